// The window: the places on the left, one of them shown; menus and keys from the one table of actions; what is under way at the foot.
#pragma once
#include "ui/arrivals/arrivals_page.h"
#include "ui/arrivals/evening.h"
#include "ui/arrivals/finding_queue.h"
#include "ui/arrivals/inbox.h"
#include "ui/classes/classes_page.h"
#include "ui/forms/forms_page.h"
#include "ui/ground/ground_page.h"
#include "ui/letter/letter_page.h"
#include "ui/people/people_page.h"
#include "ui/practice/practice_page.h"
#include "ui/review/review_page.h"
#include "ui/seeing/seeing_page.h"
#include "ui/shell/actions.h"
#include <QMainWindow>
#include <QUndoGroup>

class QStackedWidget;
class QToolButton;

namespace bevel::ui {

class DoneLine;

class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    explicit MainWindow(Session& session);
    ~MainWindow() override;
    ArrivalsPage* arrivals() { return arrivals_; }
    ReviewPage* review() { return review_; }
    LetterPage* letter() { return letter_; }
    GroundPage* ground() { return ground_; }
    FormsPage* forms() { return forms_; }
    PeoplePage* people() { return people_; }
    PracticePage* practice() { return practice_; }
    ClassesPage* classes() { return classes_; }
    SeeingPage* seeing() { return seeing_; }
    Evening& evening() { return evening_; }
    PracticePage* practice() const { return practice_; }
    /// The number of a place in the rail, by its id.
    int place(const QString& id) const;
    const Actions& actions_table() const { return *actions_; }
    void show_place(int index, Ref ref = {});
    void open_review(qint64 clip);
    /// Files given on the command line, or by a second start: they come into the form.
    void take(const QStringList& files);
    void set_theme(ThemeChoice choice);
    /// Takes up new settings: the places are made again where words or sizes changed, with the clip that is open.
    void apply(const Settings& settings);

signals:
    void made_again();

protected:
    void closeEvent(QCloseEvent* e) override;
    void showEvent(QShowEvent* e) override;
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dropEvent(QDropEvent* e) override;

private:
    bool fitted_ = false; // into what the screen leaves free
    void build();
    void rebuild();
    void add_place(Place* place);
    void build_actions();
    void show_keys();
    void show_about();
    void show_settings(const QString& field = {});
    void show_help();

    Session& session_;
    Workspace workspace_;
    Jobs jobs_;
    FindingQueue finding_;
    Inbox inbox_;
    Evening evening_;
    QUndoGroup undo_;
    std::unique_ptr<Actions> actions_;
    QStackedWidget* stack_ = nullptr;
    QWidget* rail_ = nullptr;
    DoneLine* done_ = nullptr;
    QList<Place*> places_;
    QList<QToolButton*> doors_; // to the places
    ArrivalsPage* arrivals_ = nullptr;
    ReviewPage* review_ = nullptr;
    LetterPage* letter_ = nullptr;
    GroundPage* ground_ = nullptr;
    FormsPage* forms_ = nullptr;
    PeoplePage* people_ = nullptr;
    PracticePage* practice_ = nullptr;
    ClassesPage* classes_ = nullptr;
    SeeingPage* seeing_ = nullptr;
};

} // namespace bevel::ui
