// Clips waiting, and the form that takes a new one in.
#pragma once
#include "ui/arrivals/clip_form.h"
#include "ui/shell/place.h"
#include "ui/shell/rows_model.h"
#include <QTimer>

class QLineEdit;
class QTableView;
class QTabWidget;

namespace bevel::ui {

class EveningView;
class LimitStrip;
class Welcome;

class ArrivalsPage : public Place {
    Q_OBJECT
public:
    explicit ArrivalsPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Arrivals"); }
    void add_actions(Actions& actions) override;
    void new_theme() override;
    /// All clips, with the one that is asked for chosen.
    void open(Ref ref) override;
    void refresh();
    /// A page for students on how to film a movement, as HTML or PDF by its ending.
    void write_guide(const Movement& movement, const QString& file);

    /// The clip that waits at the first row of the table comes before the one at the second (-1: at the end), as when it is dragged there.
    void put_before(int row, int other);

protected:
    bool eventFilter(QObject* of, QEvent* e) override;
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dropEvent(QDropEvent* e) override;

private:
    void build();
    QLayout* choices_row();
    QLayout* search_row();
    QWidget* build_clips();
    void build_table();
    void show_clip(qint64 id);
    void show_rows(std::vector<ClipRow> rows, const std::vector<Person>& people);
    const ClipRow* chosen() const;
    const std::vector<ClipRow>& rows() const { return clips_->rows(); }
    const ClipRow* row_at(int shown) const; // of the table as it stands; null beyond it
    void choose(int row);                   // of rows(); nothing where the search hides it
    QString state_of(const ClipRow& r) const;
    QColor ink_of(const ClipRow& r) const;
    void open_chosen();
    void delete_chosen();
    void erase_chosen();
    /// Long work with the library, its end said in words.
    /// `without`: what is done instead where films are damaged and are to be left out.
    void upkeep(const QString& what, std::function<Result<QString>(const std::stop_token&)> work, std::function<void()> without = {});
    void back_up();
    void back_up_to(const QString& file, bool without_damaged);
    void restore();
    void restore_to(const QString& file, const QString& folder, bool without_damaged);
    void show_chosen();
    void show_found(); // rows that the search words are in
    ClipQuery query() const;
    void open_or_confirm();
    void confirm_or_open();
    void go_to_next_asked(qint64 but);
    void move_turn(int by);
    void set_line(const std::vector<std::int64_t>& ids);
    void cut_chosen();
    void ask_who();
    void set_by_hand();
    bool by_hand(const ClipRow& r) const;
    void show_keeping();
    void save_guide();
    void change_facts(const ClipRow& before, const ClipRow& after);

    RowsModel<ClipRow>* clips_ = nullptr; // all that are listed
    WordsFilter* found_ = nullptr;        // those with the words that are searched for, as the table shows them
    std::vector<Person> people_;
    qint64 wanted_ = 0; // to be chosen once it is listed
    QTabWidget* tabs_ = nullptr;
    EveningView* evening_ = nullptr;
    QTableView* table_ = nullptr;
    QLineEdit* search_ = nullptr;
    QTimer typing_;          // the library is asked once the words stand still
    std::int64_t all_ = 0;   // clips there are
    QLabel* more_ = nullptr; // that not all of them are listed
    QLabel* detail_ = nullptr;
    Welcome* welcome_ = nullptr; // as long as there is no clip
    QPushButton *open_ = nullptr, *change_ = nullptr, *parts_ = nullptr, *meant_ = nullptr, *hand_ = nullptr;
    ClipForm* form_ = nullptr;
    LimitStrip* strip_ = nullptr;
};

} // namespace bevel::ui
