// What a painted view shows, for those who hear it: each part of it a child with a name, a value and a place.
#pragma once
#include <QList>
#include <QRect>
#include <QString>

class QWidget;

namespace bevel::ui {

struct SpokenPart {
    QString name, value;
    QRect at; // in the view
};

class Spoken {
public:
    virtual ~Spoken() = default;
    virtual QList<SpokenPart> spoken() const = 0;
};

/// Lets screen readers find the parts of views that are Spoken. Once, before windows are made.
void install_spoken();
/// Tells listeners, if there are any, that the values of a view have changed.
void announce(QWidget* view);

} // namespace bevel::ui
