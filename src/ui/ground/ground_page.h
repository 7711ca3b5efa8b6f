// The ground under a clip: vertical, scale, floor, lens and shake, which stretch counts, points mended by hand; and what each does to how
// sure the figures are. A good clip needs no visit.
#pragma once
#include "core/ground/doubt.h"
#include "media/steady.h"
#include "ui/ground/mark_view.h"
#include "ui/ground/sure_view.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"

class QButtonGroup;
class QComboBox;
class QDoubleSpinBox;
class QSlider;
class QStackedLayout;
class QTabWidget;

namespace bevel::ui {

class EmptyState;
class PointsPanel;
class PointStrip;
class RoomPanel;

class GroundPage : public Place {
    Q_OBJECT
public:
    explicit GroundPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Ground"); }
    void open(Ref ref) override;
    void add_actions(Actions& actions) override;
    void new_theme() override { show_frame(); }
    const Layers& layers() const { return marks_.layers; }
    const GroundMarks& marks() const { return marks_; }
    MarkView* view() { return view_; }
    int frame() const { return frame_; }
    void set_frame(int frame);
    const std::vector<SureView::Sure>& how_sure() const { return sure_; }
    const std::vector<Doubt>& doubts() const { return doubts_; }
    /// Keeps what is marked as a place where the camera stands.
    void keep_place(const QString& name);

signals:
    void opened();
    void measured(); // how sure the figures are is known

private:
    struct Film; // opened once a clip, used on the background thread
    void build();
    QWidget* build_tools();
    void connect_panels();
    void open_clip(qint64 clip);
    void change(const QString& what, GroundMarks after);
    void apply(const GroundMarks& marks);
    void judge_anew();
    void take_line(const UprightMark& line);
    void take_unit(const UprightMark& line);
    void set_units(double fist_m, double foot_m);
    void take_corners(const std::array<QPointF, 4>& corners);
    void take_edge(const QVector<QPointF>& points);
    void take_point(Point point, QPointF to);
    void take_extra(Extra extra, QPointF to);
    void take_back(Marked what);
    void trim(bool from, bool to);
    void support(bool from, bool to, bool seat);
    void from_before();
    void swap_sides();
    void fill_between();
    void fill(const std::vector<Point>& points, std::uint32_t first, const std::vector<Vec2>& from, std::uint32_t last,
              const std::vector<Vec2>& to);
    void take_ways(const std::vector<Point>& points, const std::vector<std::vector<Followed>>& ways);
    void set_body();
    void take_body(const BodyPx& body);
    void move_body(QPointF by, double grow);
    void follow_body();
    Vec2 marked_at(std::uint32_t frame, Point own) const;
    void mend(int doubt);
    void steady();
    void ask_place();
    void take_place(qint64 id);
    void find_places();
    void show_frame();
    void show_facts();
    void measure_again();
    void next_doubtful();
    Point filmed_as(Point p) const;
    void set_edit(Layers& l, std::uint32_t frame, Point own, const Vec2& to, bool filled) const;
    Vec2 filmed(std::size_t frame, Point point) const;
    double here_s() const { return track_.time_s[static_cast<std::size_t>(frame_)]; }

    EmptyState* empty_ = nullptr;
    QStackedLayout* either_ = nullptr;
    Clip clip_;
    Person person_;
    Track track_;  // raw, with its layers
    Track drawn_;  // as it is seen
    Layers first_; // as they were when the clip was opened
    GroundMarks marks_;
    std::vector<SureView::Sure> sure_;
    std::vector<Doubt> doubts_;
    std::vector<CameraPlace> places_;
    std::string look_; // of this clip's room
    std::shared_ptr<Film> film_;
    std::optional<std::uint32_t> swap_from_;
    std::optional<double> hand_from_;
    std::size_t doubt_ = 0; // the next one to look at
    int frame_ = 0, run_ = 0, picture_run_ = 0;
    bool own_ = false;  // what is measured anew was marked here
    int pictured_ = -1; // the frame whose picture is in the view
    MarkView* view_ = nullptr;
    QLabel *title_ = nullptr, *at_ = nullptr;
    Notice* notice_ = nullptr;
    QButtonGroup* tools_ = nullptr;
    QComboBox* of_ = nullptr;                              // what the length is drawn along
    QDoubleSpinBox *metres_ = nullptr, *second_ = nullptr; // a length; the mat's other side
    QSlider* slider_ = nullptr;
    PointStrip* strip_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    RoomPanel* room_ = nullptr;
    PointsPanel* points_ = nullptr;
};

} // namespace bevel::ui
