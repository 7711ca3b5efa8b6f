// A course of weeks, of a person or of a class: asked for on the left, as threads on the right, with what each week is made of and why.
#pragma once
#include "ui/shell/notice.h"
#include "ui/weeks/course_form.h"
#include "ui/weeks/course_threads.h"
#include <QUndoStack>

class QComboBox;
class QLabel;
class QPushButton;

namespace bevel::ui {

/// A course as it is in the library, or is not.
struct CourseStep {
    CourseOf course;
    bool there = true;
};

class WeeksView : public QWidget {
    Q_OBJECT
public:
    /// `classes`: the courses of classes, else of people.
    WeeksView(Session& session, QUndoStack& undo, bool classes, QWidget* parent = nullptr);
    void set_people(const std::vector<Person>& people, qint64 chosen) { form_->set_people(people, chosen); }
    void set_person(qint64 id) { form_->set_person(id); }
    void show_person(qint64 id) { show_owner(id); }
    /// Another class, or the same as it is now.
    void show_class(const ClassGroup& group);
    /// The person or class whose courses are shown; 0: nobody's.
    qint64 owner() const { return owner_; }
    const CourseOf& course() const { return course_; }
    const CourseSheet& sheet() const { return sheet_; }
    CourseForm* form() { return form_; }
    ThreadsTable* threads() { return table_; }
    Notice* notice() { return notice_; }
    /// Another one for this person or class, not kept yet.
    void begin_another();
    /// Keeps what is shown and is not kept yet.
    void keep_it();
    void remove();
    /// The weeks anew, by what is known today.
    void make_anew();
    void begin_in(const QString& key, int week); // week from 0
    void release(const QString& key);
    void toggle_missed(int week);
    /// By the ending: the sheet for the wall (.pdf), dates (.ics), the page (.html) with nothing, "ogg" or "mp4" beside it.
    void export_to(const QString& file, const QString& beside = {});
    /// A session of a week is asked for; of the week that is chosen.
    void ask_for_day(bool at_home);

signals:
    void person_chosen(qint64 id);
    void filled();
    void kept();
    /// A session is to be planned: what it is asked for beside what the day asks, and of which week.
    void day_wanted(const bevel::Needs& day, const QString& of_what);
    /// The same of a class: the lesson of its day in that week.
    void lesson_wanted(const std::string& day);
    void exported(const QString& file);

protected:
    void showEvent(QShowEvent* e) override;
    void resizeEvent(QResizeEvent* e) override;

private:
    /// Where there is no room for both, what it is asked for or the weeks.
    void lay_out();
    void load();
    void show_owner(qint64 id);
    qint64 of(const CourseOf& course) const { return classes_ ? course.group : course.person; }
    QLayout* build_top();
    QLayout* build_below();
    QString today() const;
    Forms forms() const { return session_.forms(); }
    CourseNeeds needs() const;
    void take(CourseSheet sheet);
    void show_course(const CourseOf& course);
    void fill();
    void fill_choice();
    void fill_week();
    void say_what_happened();
    void form_changed();
    /// The weeks of another wish; nothing becomes of it where they cannot be made, and it is said.
    void try_wish(CourseWish wish, const QString& title, const QString& step);
    void change_to(CourseOf after, const QString& step);
    void apply(const CourseStep& step);
    void problem(const Error& e);
    QStringList titles() const;

    Session& session_;
    QUndoStack& undo_;
    bool classes_;
    qint64 owner_ = 0;
    ClassGroup group_; // where it is of classes
    int run_ = 0;
    CourseSheet sheet_;
    CourseOf course_;
    std::vector<Movement> movements_;
    CourseForm* form_ = nullptr;
    ThreadsModel* model_ = nullptr;
    ThreadsTable* table_ = nullptr;
    QComboBox* choice_ = nullptr;
    QLabel *words_ = nullptr, *week_ = nullptr, *why_ = nullptr, *left_out_ = nullptr;
    QPushButton *keep_ = nullptr, *another_ = nullptr, *remove_ = nullptr, *anew_ = nullptr, *export_ = nullptr, *lesson_ = nullptr,
                *home_ = nullptr, *begins_ = nullptr, *missed_ = nullptr;
    QPushButton* asked_ = nullptr; // of a narrow one: which of the two is shown
    QWidget *left_ = nullptr, *right_ = nullptr;
    Notice* notice_ = nullptr;
};

} // namespace bevel::ui
