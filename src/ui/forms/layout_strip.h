// A clip's course as a strip: how high hips and hands are and where the weight is, with the borders of the phases that are laid out on it.
#pragma once
#include "core/learn/learn.h"
#include "ui/shell/session.h"
#include <QWidget>

namespace bevel::ui {

class LayoutStrip : public QWidget {
    Q_OBJECT
public:
    explicit LayoutStrip(const Session& session, QWidget* parent = nullptr);
    /// Neither may change while it is shown; null: nothing.
    void show_clip(std::shared_ptr<const Evidence> of);
    void set_layout_of(const Layout& layout);
    /// -1 where the repetition begins, else the end of that phase.
    void choose(int border);
    int chosen() const { return chosen_; }
    double at() const { return at_; }
    void set_at(double time_s);
    double x_of(double time_s) const;

signals:
    void moved_to(double time_s);
    void chosen_changed(int border);
    /// A border was dragged or moved by keys.
    void asked(int border, double time_s);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    QRectF area() const;
    double time_at(double x) const;
    double border_time(int border) const;
    std::optional<int> border_at(double x) const;
    double allowed(int border, double t) const; // between its neighbours
    const Session& session_;
    std::shared_ptr<const Evidence> of_;
    Layout layout_;
    double duration_ = 0, at_ = 0;
    int chosen_ = 0;
    std::optional<int> dragged_;
};

} // namespace bevel::ui
