// The people who practise: who they are, what was agreed with them, what happened when, and what became of each figure.
#pragma once
#include "ui/people/person_files.h"
#include "ui/shell/place.h"
#include "ui/shell/rows_model.h"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QPushButton;
class QStackedLayout;
class QTableView;
class QTableWidget;
class QTabWidget;

namespace bevel::ui {

class ChangesView;
class TestsView;
class EmptyState;
class ListStills;

class PeoplePage : public Place {
    Q_OBJECT
public:
    explicit PeoplePage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("People"); }
    void open(Ref ref) override;
    void leave() override { ++measuring_; }
    void add_actions(Actions& actions) override;
    void new_theme() override;
    void show_person(qint64 id);
    qint64 shown() const { return sheet_ ? sheet_->person.id : 0; }
    /// Of the person who is chosen; none while it is being read.
    const PersonSheet* sheet() const { return here() ? &*sheet_ : nullptr; }
    /// The record, or the figures of all clips, as lines of text.
    void write_record(const QString& file);
    void write_figures(const QString& file);
    void write_pdf(const QString& file);
    void write_hall_list(const QString& file);
    void keep_limit(const Agreement& a);

signals:
    void filled(); // the sheet of a person is shown

private:
    void build();
    QWidget* build_limits();
    QWidget* build_right();
    void fill_right();
    void change_right();
    void open_right();
    void keep_right(qint64 person, const PersonNeutral& before, const PersonNeutral& after);
    QWidget* build_facts();
    QWidget* build_consent();
    void fill_consent();
    void build_lines();
    void build_choices();
    void build_taught();
    void load_people(qint64 choose);
    void show_found(); // people whose line has the words that are searched for
    void load_sheet();
    void fill();
    void fill_limits();
    void fill_record();
    void fill_facts();
    void measure_next();
    void facts_changed();
    void person_changed();
    void height_changed();
    void change_limit();
    void end_limit();
    void add_person();
    void problem(const Error& e);
    void fill_uneven();
    void take_up(int row); // a suggestion from left against right
    void fill_letters();
    void write_bundle_to(const QString& file, bool films);
    void read_bundle_from(const QString& file);
    void read_people_from(const QString& file);

    /// Whether what is shown is of the person who is chosen: nothing is written or handed on before.
    bool here() const { return sheet_ && sheet_->person.id == wanted_; }
    std::optional<PersonSheet> sheet_;
    qint64 wanted_ = 0;
    int run_ = 0, measuring_ = 0;
    bool filling_ = false;
    EmptyState* empty_ = nullptr;
    QStackedLayout* either_ = nullptr;
    QLineEdit *search_ = nullptr, *name_ = nullptr, *alias_ = nullptr, *consent_ = nullptr;
    QListWidget *list_ = nullptr, *limits_ = nullptr;
    QLabel *title_ = nullptr, *words_ = nullptr, *count_ = nullptr, *right_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    RowsModel<RecordLine>* record_rows_ = nullptr;
    ChangesView* changes_ = nullptr;
    TestsView* tests_ = nullptr;
    ListStills* stills_ = nullptr;
    QTableView* record_ = nullptr;
    QTableWidget* taught_ = nullptr;
    QComboBox *language_ = nullptr, *lengths_ = nullptr, *ladder_ = nullptr;
    QLineEdit* email_ = nullptr;
    QListWidget *uneven_ = nullptr, *letters_ = nullptr;
    QPushButton* take_up_ = nullptr;
    std::array<QCheckBox*, purposes> consents_{};
    QPlainTextEdit *goals_ = nullptr, *notes_ = nullptr;
    QDoubleSpinBox* height_ = nullptr;
    QPushButton *end_ = nullptr, *edit_ = nullptr;
};

} // namespace bevel::ui
