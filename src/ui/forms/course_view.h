// The course of a movement in time under the figure: phases, weight from foot to foot, breath, and a measure with the bands it is judged
// by.
#pragma once
#include "core/review/own_course.h"
#include "ui/jobs/background.h"
#include "ui/shell/session.h"
#include <QWidget>

namespace bevel::ui {

class CourseView : public QWidget {
    Q_OBJECT
public:
    explicit CourseView(Session& session, QWidget* parent = nullptr);
    /// The course is told in the background; what is shown meanwhile is empty.
    void show_movement(const Movement& movement);
    /// Measure of the lane, by id.
    void show_lane(const std::string& measure);
    /// Moment of the figure, s of its score.
    void set_time(double score_s);
    bool is_told() const { return review_ != nullptr; }
    /// Measures that the movement is judged by and that the figure has, in the order of its checks; the one that drives it first.
    const std::vector<std::string>& measures() const { return measures_; }
    QSize sizeHint() const override { return {400, 228}; }
    QSize minimumSizeHint() const override { return {240, 190}; }

signals:
    void told();
    void chosen(double score_s); // a moment was pointed at

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;

private:
    QRectF area() const;
    void paint_breath_course(QPainter& p, const QRectF& r) const;
    Session& session_;
    std::shared_ptr<const Review> review_;
    std::vector<double> reference_s_;
    std::vector<std::string> measures_;
    std::string lane_;
    double time_ = 0;
    int run_ = 0;
    Background lane_of_work_; // its own: it does not wait behind the copying of a clip
};

} // namespace bevel::ui
