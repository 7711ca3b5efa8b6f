// Classes: people who practise together week after week.
#pragma once
#include "desk/handover.h"
#include "ui/classes/class_facts.h"
#include "ui/classes/common_view.h"
#include "ui/classes/lesson_view.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/place.h"
#include "ui/weeks/weeks_view.h"

class QStackedLayout;
class QTabWidget;

namespace bevel::ui {

class ClassesPage : public Place {
    Q_OBJECT
public:
    explicit ClassesPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Classes"); }
    void open(Ref ref) override;
    void add_actions(Actions& actions) override;
    void show_class(qint64 id);
    qint64 shown() const { return sheet_ ? sheet_->group.id : 0; }
    LessonView* lesson() { return lesson_; }
    ClassFacts* facts() { return facts_; }
    CommonView* common() { return common_; }
    WeeksView* course() { return course_; }
    /// A new class under that name.
    void add_class(const QString& name);
    void remove_class();
    /// The class that is shown, for a colleague.
    void hand_over(const QString& file, HandOver how);
    /// A class from a file: whoever is here already is asked for, then it is taken over.
    void take_over(const QString& file);

signals:
    void handed_over(const QString& file);
    void filled();        // a class is shown
    void courses_known(); // its courses as they are now

private:
    QWidget* build_side();
    void ask_name();
    void ask_file();
    void load(qint64 choose);
    void take(const Handover& handover, const WhoIsWho& who);
    void load_sheet();
    void load_courses();
    void keep(const ClassGroup& group);

    std::optional<ClassSheet> sheet_;
    std::vector<Person> people_;
    qint64 wanted_ = 0;
    int run_ = 0, keeping_ = 0;
    bool filling_ = false;
    RowsModel<ClassGroup>* rows_ = nullptr;
    QTableView* list_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    QStackedLayout* either_ = nullptr;
    EmptyState* empty_ = nullptr;
    LessonView* lesson_ = nullptr;
    ClassFacts* facts_ = nullptr;
    CommonView* common_ = nullptr;
    WeeksView* course_ = nullptr;
    Notice* notice_ = nullptr;
};

} // namespace bevel::ui
