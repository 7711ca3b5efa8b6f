// The form that takes a clip in, or changes what is said about one: who, which movement, from where.
#pragma once
#include "ui/arrivals/taking_in.h"
#include "ui/shell/notice.h"
#include <QFrame>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;

namespace bevel::ui {

class LiveBody;

class ClipForm : public QFrame {
    Q_OBJECT
public:
    ClipForm(Session& session, QWidget* parent = nullptr);
    void set_people(const std::vector<Person>& people);
    /// Files and folders with clips: one after the other comes into the form.
    void offer(const QStringList& paths);
    void choose_files();
    /// The facts of a clip that is there already.
    void edit(const ClipRow& row);
    /// Judges a clip by these facts; where it has no points yet, it waits for its turn.
    void judge_again(const Person& person, const Clip& changed);
    Notice& notice() { return *notice_; }
    bool is_empty() const { return file_.isEmpty() && !editing_; }

signals:
    /// What was said about a clip is to be changed.
    void facts_changed(const ClipRow& before, const ClipRow& after);

private:
    void build();
    void offer_files(const QStringList& files);
    void offer_next();
    void show_file(const QString& file);
    void take_in();
    void taken_in(const Result<Taken>& taken, bool cancelled);
    void empty_form(const QString& word = {});
    Person person_of_form() const;
    double height_m() const;
    void set_height(double metres);

    Session& session_;
    std::vector<Person> people_;
    QStringList in_line_;            // files that come into the form after this one
    QString file_, offered_again_;   // a file that is there already and was offered once more
    std::optional<ClipRow> editing_; // the clip that is changed; else the form takes in a new one
    QLabel* file_label_ = nullptr;
    Notice* notice_ = nullptr;
    QComboBox *student_ = nullptr, *movement_ = nullptr, *view_ = nullptr, *school_ = nullptr;
    QCheckBox* mirrored_ = nullptr;
    QDoubleSpinBox* height_ = nullptr;
    QPushButton *take_ = nullptr, *choose_ = nullptr, *leave_ = nullptr;
    LiveBody* live_ = nullptr;
};

} // namespace bevel::ui
