// The way of a linked form over the floor: every place where a foot stands, the number of the part that brings it there, and where the
// figure is now. A click goes to what stands there.
#pragma once
#include "ui/forms/shown_form.h"
#include "ui/shell/session.h"
#include "ui/shell/spoken.h"
#include <QWidget>

namespace bevel::ui {

class FloorPathView : public QWidget, public Spoken {
    Q_OBJECT
public:
    explicit FloorPathView(const Session& session, QWidget* parent = nullptr);
    /// Null: it is being made.
    void show_form(std::shared_ptr<const ShownForm> form);
    void set_time(double score_s);
    QSize sizeHint() const override { return {400, 228}; }
    QSize minimumSizeHint() const override { return {240, 150}; }
    QList<SpokenPart> spoken() const override;
    /// How much room the form takes, in words.
    static QString room_words(const ShownForm& form);

signals:
    void chosen(double score_s);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;

private:
    /// From the floor to the widget: the longer side of the path lies across it.
    struct View {
        QPointF middle;
        Vec3 centre;
        double scale = 100;
        bool across = false; // ahead is to the right, else up
        QPointF at(const Vec3& v) const;
    };
    View view() const;
    void paint_print(QPainter& p, const View& v, const Print& print, bool stands, bool past) const;
    const Session& session_;
    std::shared_ptr<const ShownForm> form_;
    double time_ = 0;
};

} // namespace bevel::ui
