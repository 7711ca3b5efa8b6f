// The first screen of Arrivals: tonight's clips in the order in which they wait, and letters to look after.
#pragma once
#include "ui/arrivals/evening.h"
#include <QDate>
#include <QWidget>

class QLabel;
class QListWidget;
class QPushButton;

namespace bevel::ui {

class ListStills;

class EveningView : public QWidget {
    Q_OBJECT
public:
    EveningView(Session& session, QWidget* parent = nullptr);

    void open_current();
    qint64 current() const; // the clip that is highlighted; 0 for none

signals:
    void unnamed(qint64 clip); // whose it is must be said first
    void person(qint64 id);
    void current_changed();

private:
    void fill();
    void open(qint64 clip, bool unnamed);
    QString line_of(const Waiting& w, const QDate& today) const;
    QString asked_of(const Waiting& w) const;

    Session& session_;
    QLabel *title_ = nullptr, *left_ = nullptr, *none_ = nullptr, *due_title_ = nullptr;
    QListWidget *list_ = nullptr, *due_ = nullptr;
    QPushButton* begin_ = nullptr;
    ListStills* stills_ = nullptr;
};

} // namespace bevel::ui
