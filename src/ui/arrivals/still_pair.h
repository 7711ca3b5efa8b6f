// Two clips beside each other, a still of each: the one that is asked about, and the last one of whose it may be.
#pragma once
#include "ui/shell/session.h"
#include <QImage>
#include <QWidget>

namespace bevel::ui {

class StillPair : public QWidget {
    Q_OBJECT
public:
    explicit StillPair(Session& session, QWidget* parent = nullptr);
    /// `other` null: nobody to compare with.
    void compare(const Clip& clip, const Clip* other, const QString& name);
    void clear();
    /// Whether all stills there are to be are shown.
    bool painted() const;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Session& session_;
    std::array<QImage, 2> pictures_;
    std::array<qint64, 2> of_{0, 0};
    QString name_;
    int run_ = 0;
};

} // namespace bevel::ui
