// About the chosen clip: whose it is, which movement, from where. What the clip tells itself stands there as a guess, with how sure it is.
#pragma once
#include "desk/found.h"
#include "desk/intake.h"
#include "ui/shell/notice.h"
#include <QFrame>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLineEdit;
class QSpinBox;
class QVBoxLayout;

namespace bevel::ui {

class LiveBody;
class StillPair;

class ClipForm : public QFrame {
    Q_OBJECT
public:
    ClipForm(Session& session, QWidget* parent = nullptr);
    /// The clip that is chosen in the list; none: what is to be done first. `rows`: all clips, for the last one of a person.
    void show_clip(const ClipRow* row, const std::vector<ClipRow>& rows, const std::vector<Person>& people);
    void choose_files();
    /// Judges a clip by these facts; where it has no points yet, it waits for its turn.
    void judge_again(const Person& person, const Clip& changed);
    /// Takes over the first, second or third guess of whose clip it is.
    void choose_person(int index);
    /// What stands in the form, for the clip that is chosen. `and_open`: its review is opened once it is judged.
    void confirm(bool and_open = false);
    void focus_facts();
    Notice& notice() { return *notice_; }

signals:
    void delete_asked();
    /// What is said about a clip is to be changed.
    void facts_changed(const ClipRow& before, const ClipRow& after);
    /// A clip was confirmed: the next one that is asked about may come.
    void confirmed(qint64 clip);

private:
    void build();
    void build_whose();
    void build_who();
    void build_movement();
    void build_rows();
    void build_day();
    void build_facts();
    void connect_fields();
    void connect_work();
    void fill(const ClipRow& row);
    void settle();
    void look_at_person();
    void offer_pairs();
    void offer_ground();
    void offer_versions(const std::optional<std::string>& chosen);
    void keep_typed();
    void load_condition();
    void keep_condition();
    Person person_of_form() const;
    double height_m() const;
    bool height_said() const;
    void set_height(const Person& p);
    QString name_in_file() const;
    void say_twice(std::int64_t clip);
    QString called(const ClipRow& row) const;
    void keep_both();

    Session& session_;
    std::vector<Person> people_;
    std::vector<ClipRow> rows_;
    std::optional<ClipRow> row_;
    ClipGuess guess_;
    qint64 open_then_ = 0;                         // the clip whose review is opened when it is judged
    bool touched_ = false, school_chosen_ = false; // typed in since the clip was chosen
    QLabel *file_label_ = nullptr, *sure_ = nullptr;
    Notice* notice_ = nullptr;
    QComboBox *student_ = nullptr, *movement_ = nullptr, *view_ = nullptr, *school_ = nullptr, *version_ = nullptr;
    QPushButton* named_so_ = nullptr; // a student whose name stands in the file's
    QCheckBox* mirrored_ = nullptr;
    QComboBox *pair_ = nullptr, *footwear_ = nullptr, *surface_ = nullptr;
    QWidget *pair_row_ = nullptr, *ground_row_ = nullptr; // there only where they are asked
    bool pair_chosen_ = false;                            // by a person, for the clip that is shown
    QDoubleSpinBox* height_ = nullptr;
    QWidget* day_row_ = nullptr; // how it went on the day of the clip
    QSpinBox* energy_ = nullptr;
    QLineEdit* pain_ = nullptr;
    Condition condition_; // as it is kept
    QPushButton *take_ = nullptr, *choose_ = nullptr;
    QWidget* twice_ = nullptr; // the same film was there already
    QLabel* twice_words_ = nullptr;
    QWidget* whose_ = nullptr; // buttons of the guesses
    QList<QPushButton*> guesses_;
    LiveBody* live_ = nullptr;
    StillPair* stills_ = nullptr;
    QWidget* facts_ = nullptr;
};

} // namespace bevel::ui
