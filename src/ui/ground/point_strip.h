// How well a point is seen along the clip: its visibility and its error, with what was mended and what is doubtful.
#pragma once
#include "core/ground/doubt.h"
#include "ui/shell/session.h"
#include <QWidget>

namespace bevel::ui {

class PointStrip : public QWidget {
    Q_OBJECT
public:
    explicit PointStrip(const Session& session, QWidget* parent = nullptr);
    /// `drawn`: derived points. No point: the worst of the legs and the trunk.
    void show_point(const Track& drawn, std::optional<Point> point, const std::vector<Doubt>& doubts, const Layers& layers);
    void set_frame(int frame);

signals:
    void asked(int frame);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override { mousePressEvent(e); }

private:
    const Session& session_;
    std::vector<float> seen_, sigma_;               // a value a frame; NaN: nobody found
    std::vector<std::pair<float, float>> doubtful_; // shares of the clip
    std::vector<float> marked_;
    int frames_ = 0, frame_ = 0;
};

} // namespace bevel::ui
