// What a course is asked for: whose it is, from when, how many weeks, what is to be learned.
#pragma once
#include "desk/courses.h"
#include "ui/shell/session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDateEdit;
class QDoubleSpinBox;
class QLineEdit;
class QListWidget;
class QSpinBox;
class QVBoxLayout;

namespace bevel::ui {

class CourseForm : public QWidget {
    Q_OBJECT
public:
    /// `classes`: without whose it is, which is the class that is shown, and without days at home.
    CourseForm(const Session& session, bool classes, QWidget* parent = nullptr);
    void set_people(const std::vector<Person>& people, qint64 chosen);
    void set_person(qint64 id);
    /// `under_way`: its first day stays.
    void show_course(const QString& title, const CourseWish& wish, bool under_way);
    /// As it stands in the fields; what they do not show (threads set by hand) as it was shown.
    CourseWish wish() const;
    QString course_title() const;
    qint64 person() const;
    void add_wanted(const std::string& movement);

protected:
    bool eventFilter(QObject* of, QEvent* e) override;

signals:
    void person_chosen(qint64 id);
    void changed();

private:
    void build_whose(QVBoxLayout* box);
    void build_time(QVBoxLayout* box);
    void build_wanted(QVBoxLayout* box);
    void build_form(QVBoxLayout* box);
    void build_rest(QVBoxLayout* box);
    void touched();
    void take_out();
    void fill_forms();
    void form_chosen();

    const Session& session_;
    bool classes_;
    CourseWish shown_;
    bool filling_ = false;
    QComboBox *person_ = nullptr, *missed_ = nullptr, *movement_ = nullptr, *form_ = nullptr;
    QLineEdit* title_ = nullptr;
    QDateEdit* from_ = nullptr;
    QSpinBox *weeks_ = nullptr, *lessons_ = nullptr, *home_days_ = nullptr, *lesson_minutes_ = nullptr, *home_minutes_ = nullptr,
             *form_known_ = nullptr;
    QListWidget* wanted_ = nullptr;
    std::map<std::string, QCheckBox*> themes_;
    QCheckBox *chair_ = nullptr, *wall_ = nullptr, *stick_ = nullptr;
};

} // namespace bevel::ui
