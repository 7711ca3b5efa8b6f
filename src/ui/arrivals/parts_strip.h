// A clip as a strip of thumbnails, with the parts it is cut into: split, merged, moved, taken out.
#pragma once
#include "ui/shell/session.h"
#include <QImage>
#include <QWidget>

namespace bevel::ui {

struct StripPart {
    double from_s = 0, to_s = 0;
    std::string movement;    // id, or empty
    std::int64_t person = 0; // 0: whose the clip is
    bool operator==(const StripPart&) const = default;
};

class PartsStrip : public QWidget {
    Q_OBJECT
public:
    explicit PartsStrip(const Session& session, QWidget* parent = nullptr);
    void show_clip(double duration_s);
    void set_thumbnail(int index, const QImage& picture);
    static constexpr int thumbnails = 16;
    bool complete() const {
        return std::none_of(pictures_.begin(), pictures_.end(), [](const QImage& im) { return im.isNull(); });
    }
    void name_people(const std::vector<Person>& people) { people_ = people; }
    void set_parts(const std::vector<StripPart>& parts, int chosen);
    const std::vector<StripPart>& parts() const { return parts_; }
    int chosen() const { return chosen_; }
    double at() const { return at_; }
    void set_at(double time_s);
    double x_of(double time_s) const;

signals:
    void moved_to(double time_s);
    void chosen_changed(int part);
    /// An edge was dragged or moved: the parts as they are to be.
    void asked(const std::vector<bevel::ui::StripPart>& parts, int chosen);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    double time_at(double x) const;
    QRectF strip() const;
    /// The edge under the mouse: part and whether its end.
    std::optional<std::pair<int, bool>> edge_at(double x) const;
    const Session& session_;
    std::vector<Person> people_;
    double duration_ = 0, at_ = 0;
    std::vector<QImage> pictures_;
    std::vector<StripPart> parts_, before_;
    int chosen_ = 0;
    std::optional<std::pair<int, bool>> dragged_;
};

} // namespace bevel::ui
