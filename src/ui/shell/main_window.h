// The window: the places on the left, one of them shown; menus and keys from the one table of actions.
#pragma once
#include "ui/arrivals/arrivals_page.h"
#include "ui/letter/letter_page.h"
#include "ui/review/review_page.h"
#include "ui/shell/actions.h"
#include <QMainWindow>

class QStackedWidget;

namespace bevel::ui {

class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    explicit MainWindow(Session& session);
    ArrivalsPage* arrivals() { return arrivals_; }
    ReviewPage* review() { return review_; }
    LetterPage* letter() { return letter_; }
    const Actions& actions_table() const { return actions_; }
    void show_place(int index);
    void open_review(qint64 clip);
    /// Files given on the command line, or by a second start: the first one is put into the form.
    void take(const QStringList& files);
    void set_theme(ThemeChoice choice);

protected:
    void closeEvent(QCloseEvent* e) override;
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dropEvent(QDropEvent* e) override;

private:
    struct Place {
        QString title;
        QWidget* page;
    };
    void add_place(const QString& title, QWidget* page);
    void build_actions();
    void show_keys();
    void show_about();

    Session& session_;
    Actions actions_;
    QStackedWidget* stack_;
    QWidget* rail_;
    QList<QToolButton*> places_;
    ArrivalsPage* arrivals_;
    ReviewPage* review_;
    LetterPage* letter_;
};

} // namespace bevel::ui
