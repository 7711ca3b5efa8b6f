// What one sees of a clip at a glance.
#pragma once
#include "ui/shell/session.h"
#include <QHash>
#include <QImage>
#include <QPixmap>

namespace bevel::ui {

/// The student on a frame a third into the clip, close about the body where it is known; so many pixels high. Null where the film is not
/// there. Reads the film: off the interface thread.
QImage still_of(const Library& library, const Clip& clip, int height);

/// Stills for the lines of a list, three quarters as wide as high: looked for one after the other, and kept.
class ListStills : public QObject {
    Q_OBJECT
public:
    ListStills(Session& session, int height, QObject* parent) : QObject(parent), session_(session), height_(height) {}
    QSize size() const { return {height_ * 3 / 4, height_}; }
    /// Of a clip; an empty one as long as there is none, or never (0).
    QPixmap of(qint64 clip) const { return stills_.value(clip, blank()); }
    /// Those of these clips that are not there yet.
    void look_for(const QList<qint64>& clips);

signals:
    void found(qint64 clip);

private:
    QPixmap blank() const;
    Session& session_;
    int height_;
    QHash<qint64, QPixmap> stills_;
    QList<qint64> wanted_;
    bool looking_ = false;
};

} // namespace bevel::ui
