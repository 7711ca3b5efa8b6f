// What is at hand and asked for today: time, person, body, place, themes.
#pragma once
#include "desk/needs.h"
#include "ui/shell/session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLayout;
class QListWidget;
class QPushButton;
class QSpinBox;
class QVBoxLayout;

namespace bevel::ui {

class Fold;

class NeedsForm : public QWidget {
    Q_OBJECT
public:
    explicit NeedsForm(Session& session, QWidget* parent = nullptr);
    void set_people(const std::vector<Person>& people, qint64 choose);
    void set_known(const PersonNeeds& known);
    /// Those who practise together: what is agreed with any of them holds for all.
    void set_group(const std::vector<PersonNeeds>& group);
    std::vector<qint64> group() const;
    qint64 person() const;
    QString person_name() const;
    Needs needs() const;
    /// A day of a course: what it is made of, and which it is in words. It holds until another person is chosen or it is let go.
    void take_day(const Needs& day, const QString& words);
    void let_day_go();
    void add_wanted(const std::string& movement);
    /// Forms may have come or gone.
    void fill_forms();
    void choose_form(const std::string& id);

signals:
    void person_chosen(qint64 id);
    void group_chosen();
    void changed();

private:
    QLayout* build_time();
    void build_group();
    QLayout* build_today();
    QLayout* build_care();
    QLayout* build_themes();
    QLayout* build_place();
    QLayout* build_wanted();
    QLayout* build_form();
    void form_chosen();
    void fold(QVBoxLayout* box, const QString& title, QLayout* content, std::function<QString()> value);
    static QString checked(const std::map<std::string, QCheckBox*>& boxes, const QString& none);
    std::vector<Fold*> folds_; // the last one is of the form
    QCheckBox* check(const char* name, const QString& label, const QString& tip = {});
    Session& session_;
    void say_known();
    PersonNeeds known_;
    struct CourseDay {
        qint64 person = 0;
        Needs needs; // of which what letters ask, what is known and the step of the ladder are its own
        QString words;
    };
    std::optional<CourseDay> of_course_;
    std::vector<PersonNeeds> group_known_; // none: one person, or nobody in particular
    bool filling_ = false;
    std::pair<std::string, qint64> form_of_; // form and person that the number of known parts is of
    QComboBox *person_ = nullptr, *movement_ = nullptr, *steadier_ = nullptr, *form_ = nullptr;
    QSpinBox *minutes_ = nullptr, *energy_ = nullptr, *form_known_ = nullptr;
    QDoubleSpinBox *pace_ = nullptr, *breath_ = nullptr;
    QCheckBox *dizzy_ = nullptr, *unsteady_ = nullptr, *chair_ = nullptr, *wall_ = nullptr, *stick_ = nullptr, *helper_ = nullptr,
              *grow_ = nullptr, *form_mirrored_ = nullptr, *form_recall_ = nullptr;
    std::map<std::string, QCheckBox*> care_, themes_;
    QLabel* asked_ = nullptr;
    QPushButton* day_off_ = nullptr;
    QListWidget *wanted_ = nullptr, *group_ = nullptr;
};

} // namespace bevel::ui
