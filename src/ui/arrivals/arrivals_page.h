// Clips waiting, and the form that takes a new one in.
#pragma once
#include "media/tracker.h"
#include "ui/shell/actions.h"
#include "ui/shell/session.h"
#include <QFrame>
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QProgressBar;
class QPushButton;
class QTableWidget;

namespace bevel::ui {

class LiveBody;

class ArrivalsPage : public QWidget {
    Q_OBJECT
public:
    ArrivalsPage(Session& session, QWidget* parent = nullptr);
    ~ArrivalsPage() override;
    void refresh();
    /// Puts a file into the form, as a drop does.
    void offer(const QString& file);
    /// Several files and folders with clips: one after the other comes into the form.
    void offer_all(const QStringList& paths);
    void add_actions(Actions& actions);
    void new_theme(); // colours that are set by hand

signals:
    void open_review(qint64 clip);
    void wanted(); // this place is to be shown

protected:
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dropEvent(QDropEvent* e) override;

private:
    void build();
    QFrame* build_form();
    void show_rows(std::vector<ClipRow> rows, std::vector<Person> people);
    void take_in();
    void judge_again(const Person& person, const Clip& changed);
    const ClipRow* chosen() const;
    void choose_file();
    void offer_next();
    void delete_chosen();
    void erase_chosen();
    /// Long work with the library, its end said in words.
    void upkeep(const QString& what, std::function<Result<QString>(const std::stop_token&)> work);
    void back_up();
    void restore();
    void show_chosen();
    void show_found(); // rows that the search words are in
    void edit_chosen();
    void empty_form(const QString& word = {});
    void start_next();
    void show_progress(std::size_t done, std::size_t total, double rate, const std::optional<BodyPx>& body);
    void finished(const QString& problem);
    void say(const QString& text, bool problem);

    Session& session_;
    std::vector<ClipRow> rows_;
    std::vector<Person> people_;
    QStringList in_line_;          // files that come into the form after this one
    QString file_, offered_again_; // a file that is there already and was offered once more
    std::optional<Clip> editing_;  // the clip that is changed; else the form takes in a new one
    qint64 running_ = 0;
    std::shared_ptr<std::stop_source> stop_;
    QTableWidget* table_ = nullptr;
    QLineEdit* search_ = nullptr;
    QLabel *file_label_ = nullptr, *message_ = nullptr, *progress_label_ = nullptr, *detail_ = nullptr, *empty_ = nullptr;
    QComboBox *student_ = nullptr, *movement_ = nullptr, *view_ = nullptr, *school_ = nullptr;
    QCheckBox* mirrored_ = nullptr;
    QDoubleSpinBox* height_ = nullptr;
    QPushButton *take_ = nullptr, *open_ = nullptr, *cancel_ = nullptr, *choose_ = nullptr, *change_ = nullptr, *leave_ = nullptr;
    QProgressBar* progress_ = nullptr;
    LiveBody* live_ = nullptr;
};

} // namespace bevel::ui
