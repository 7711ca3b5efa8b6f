// A frame of the clip on which the ground is marked and points are mended: by mouse or by keys.
#pragma once
#include "desk/intake.h"
#include "ui/ground/ground_marks.h"
#include "ui/shell/session.h"
#include <QImage>
#include <QWidget>

namespace bevel::ui {

enum class MarkTool { upright, length, mat, edge, points };

class MarkView : public QWidget {
    Q_OBJECT
public:
    explicit MarkView(const Session& session, QWidget* parent = nullptr);
    void show_frame(const QImage& picture, const std::optional<BodyPx>& body, const std::optional<VerticalOnPicture>& vertical,
                    const ExtraPoints& extra = {});
    void set_tool(MarkTool tool);
    MarkTool tool() const { return tool_; }
    void show_marks(const GroundMarks& marks);
    /// Place of a picture's pixel in this view, and back.
    QPointF to_view(QPointF px) const;
    QPointF to_picture(QPointF at) const;
    const QImage& picture() const { return picture_; }
    bool has_picture() const { return !picture_.isNull(); }
    std::optional<Point> held() const { return held_; }
    void hold(std::optional<Point> point);
    /// The next click places this point of the back or a tool.
    void set_extra(std::optional<Extra> extra);

signals:
    void marked(const bevel::UprightMark& line); // with the tool for uprights or the length
    void cornered(const std::array<QPointF, 4>& corners);
    void edged(const QVector<QPointF>& points);
    void moved(bevel::Point point, QPointF to); // picture pixels
    void body_moved(QPointF by, double grow);   // all of it, about the feet
    void extra_marked(bevel::Extra extra, QPointF to);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void mouseDoubleClickEvent(QMouseEvent* e) override;
    void wheelEvent(QWheelEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;
    bool event(QEvent* e) override;

private:
    QRectF shown() const;
    std::optional<Point> point_at(QPointF at) const;
    void choose_point(int by);
    bool clicks() const { return tool_ == MarkTool::mat || tool_ == MarkTool::edge; }
    void set_click(QPointF px);
    void end_edge();
    void paint_marks(QPainter& p) const;
    void paint_points(QPainter& p, const BodyPx& body) const;
    void paint_loupe(QPainter& p, const BodyPx& body) const;
    const Session& session_;
    QImage picture_;
    std::optional<BodyPx> body_;
    std::optional<VerticalOnPicture> vertical_;
    ExtraPoints extras_;
    GroundMarks marks_;
    MarkTool tool_ = MarkTool::upright;
    std::optional<std::pair<QPointF, QPointF>> drawing_; // picture pixels
    bool second_end_ = true;                             // the end that the keys move
    QVector<QPointF> clicked_;                           // corners or points of an edge so far
    std::optional<QPointF> cross_;                       // that the keys move, to set one
    std::optional<Point> held_;
    std::optional<QPointF> whole_from_, whole_by_; // the whole body is dragged: from where, how far
    QPointF held_at_;
    std::optional<Extra> extra_;
};

} // namespace bevel::ui
