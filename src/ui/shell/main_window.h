// The window: the places on the left, one of them shown.
#pragma once
#include "ui/arrivals/arrivals_page.h"
#include "ui/letter/letter_page.h"
#include "ui/review/review_page.h"
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
    void show_place(int index);
    void open_review(qint64 clip);

private:
    Session& session_;
    QStackedWidget* stack_;
    QList<QToolButton*> places_;
    ArrivalsPage* arrivals_;
    ReviewPage* review_;
    LetterPage* letter_;
};

} // namespace bevel::ui
