// The first screen of Arrivals: tonight's clips in the order in which they wait, and letters to look after.
#pragma once
#include "ui/arrivals/evening.h"
#include <QWidget>

class QLabel;
class QListWidget;
class QPushButton;

namespace bevel::ui {

class EveningView : public QWidget {
    Q_OBJECT
public:
    EveningView(Session& session, QWidget* parent = nullptr);

    void open_current();

signals:
    void unnamed(qint64 clip); // whose it is must be said first
    void person(qint64 id);

private:
    void fill();
    void open(qint64 clip, bool unnamed);

    Session& session_;
    QLabel *title_ = nullptr, *left_ = nullptr, *none_ = nullptr, *due_title_ = nullptr;
    QListWidget *list_ = nullptr, *due_ = nullptr;
    QPushButton* begin_ = nullptr;
};

} // namespace bevel::ui
