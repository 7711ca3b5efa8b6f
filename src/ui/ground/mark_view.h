// A frame of the clip on which the ground is marked and points are mended: lines dragged by mouse or moved by keys.
#pragma once
#include "core/ground/marks.h"
#include "ui/arrivals/taking_in.h"
#include <QImage>
#include <QWidget>

namespace bevel::ui {

enum class MarkTool { upright, length, points };

class MarkView : public QWidget {
    Q_OBJECT
public:
    explicit MarkView(const Session& session, QWidget* parent = nullptr);
    void show_frame(const QImage& picture, const std::optional<BodyPx>& body, const std::optional<VerticalOnPicture>& vertical);
    void set_tool(MarkTool tool);
    MarkTool tool() const { return tool_; }
    void set_lines(const std::vector<UprightMark>& uprights, const std::optional<MarkedLength>& length);
    /// Place of a picture's pixel in this view, and back.
    QPointF to_view(QPointF px) const;
    QPointF to_picture(QPointF at) const;

signals:
    void marked(const UprightMark& line);       // with the tool for uprights or the length
    void moved(bevel::Point point, QPointF to); // picture pixels

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;
    bool event(QEvent* e) override;

private:
    QRectF shown() const;
    std::optional<Point> point_at(QPointF at) const;
    void choose_point(int by);
    const Session& session_;
    QImage picture_;
    std::optional<BodyPx> body_;
    std::optional<VerticalOnPicture> vertical_;
    std::vector<UprightMark> uprights_;
    std::optional<MarkedLength> length_;
    MarkTool tool_ = MarkTool::upright;
    std::optional<std::pair<QPointF, QPointF>> drawing_; // picture pixels
    bool second_end_ = true;                             // the end that the keys move
    std::optional<Point> held_;
    QPointF held_at_;
};

} // namespace bevel::ui
