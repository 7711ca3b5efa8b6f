// One lesson of a class: who is there and what each brings today, the plan for all, and who does what instead.
#pragma once
#include "desk/classes.h"
#include "ui/pacing/pacer_window.h"
#include "ui/shell/day_edit.h"
#include "ui/shell/notice.h"
#include "ui/shell/rows_model.h"
#include <QPointer>

class QCheckBox;
class QLabel;
class QPushButton;
class QTableView;

namespace bevel::ui {

class LessonView : public QWidget {
    Q_OBJECT
public:
    explicit LessonView(Session& session, QWidget* parent = nullptr);
    /// Another class, or the same as it is now; its lesson of the chosen day.
    void show_class(const ClassSheet& sheet);
    void show_day(const std::string& iso);
    /// The courses of the class as they are now: lessons are proposed by them.
    void set_courses(const std::vector<CourseOf>& courses);
    const Lesson& lesson() const { return lesson_; }
    const Plan& plan() const { return plan_; }
    const std::vector<std::vector<Instead>>& instead() const { return instead_; }
    /// A lesson for those who are there. `another`: one more way of it.
    void propose_now(bool another = false);
    /// What the lesson is to work on beside what letters asked for.
    void ask_for(const AskedFor& what) { asked_ = {what}; }
    void toggle_here();
    void take_out();
    /// More (1) or less (-1) of the chosen exercise, in all its rounds: a repeat on each side, seconds of a hold or of a stand.
    void adjust(int by);
    /// The chosen exercise, all its rounds, one place earlier (-1) or later (1); the stands at both ends stay.
    void move(int by);
    /// The lesson as it stands, from now on or (undo) as it was.
    void set_lesson(const Lesson& lesson);
    PacerWindow* run_now();
    /// Leader's sheet (".pdf" with names) or the list for the wall.
    void export_to(const QString& file, bool leader);

signals:
    void proposed();
    void kept();
    void exported(const QString& file);
    /// A lesson was changed by hand: how it was, how it is.
    void changed(const bevel::Lesson& before, const bevel::Lesson& after);

protected:
    bool eventFilter(QObject* of, QEvent* e) override;

private:
    struct Here {
        const PersonNeeds* who = nullptr;
        LessonPerson how;
    };
    struct Line {
        QString what, minutes, otherwise, whom;
        std::size_t item = 0, rounds = 1; // first of so many items of the plan, with what settles between
    };
    QWidget* build_there();
    QWidget* build_plan();
    void fill();
    void fill_there();
    void fill_plan();
    QString week_words() const;
    void show_today();
    void change(const std::function<void(Lesson&)>& how);
    LessonPerson* chosen(Lesson& lesson) const;
    /// What each does as it stands now: the gate is asked again at every change and before every run.
    void ask_gate();
    void keep();

    Session& session_;
    ClassSheet sheet_;
    Lesson lesson_;
    Plan plan_;
    std::vector<InClass> there_;
    std::vector<std::vector<Instead>> instead_;
    std::vector<AskedFor> asked_;
    std::uint64_t another_ = 0;
    int run_ = 0;
    bool filling_ = false;
    RowsModel<Here>* here_rows_ = nullptr;
    RowsModel<Line>* plan_rows_ = nullptr;
    QTableView *here_ = nullptr, *table_ = nullptr;
    DayEdit* day_ = nullptr;
    QLabel *head_ = nullptr, *of_whom_ = nullptr;
    std::vector<std::pair<std::string, QCheckBox*>> today_;
    QPushButton *toggle_ = nullptr, *propose_ = nullptr, *other_ = nullptr, *go_ = nullptr, *export_ = nullptr, *out_ = nullptr,
                *up_ = nullptr, *down_ = nullptr, *more_ = nullptr, *less_ = nullptr;
    QPointer<PacerWindow> pacer_;
    Notice* notice_ = nullptr;
};

} // namespace bevel::ui
