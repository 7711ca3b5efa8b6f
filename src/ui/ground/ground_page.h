// The ground under a clip: true vertical, a length, which stretch counts, points mended by hand; and what each does to how sure the figures
// are. A good clip needs no visit.
#pragma once
#include "ui/ground/mark_view.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"

class QButtonGroup;
class QDoubleSpinBox;
class QSlider;
class QStackedLayout;
class QTableWidget;

namespace bevel::ui {

class EmptyState;

class GroundPage : public Place {
    Q_OBJECT
public:
    explicit GroundPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Ground"); }
    void open(Ref ref) override;
    void add_actions(Actions& actions) override;
    void new_theme() override { show_frame(); }
    const Layers& layers() const { return track_.layers; }
    MarkView* view() { return view_; }
    int frame() const { return frame_; }
    void set_frame(int frame);
    /// Middle one-sigma errors of some figures, and what they are now.
    struct Sure {
        QString name, unit;
        double before = 0, now = 0; // NaN: cannot be told
    };
    const std::vector<Sure>& how_sure() const { return sure_; }

signals:
    void opened();
    void measured(); // how sure the figures are is known

private:
    void build();
    void open_clip(qint64 clip);
    void change(const QString& what, const Layers& after, const std::vector<UprightMark>& uprights);
    void apply(const Layers& layers, const std::vector<UprightMark>& uprights);
    void take_line(const UprightMark& line);
    void take_point(Point point, QPointF to);
    void show_frame();
    void show_facts();
    void measure_again();
    void next_doubtful();
    static const std::vector<Point>& watched_points();

    EmptyState* empty_ = nullptr;
    QStackedLayout* either_ = nullptr;
    Clip clip_;
    Person person_;
    Track track_;                       // raw, with its layers
    Track drawn_;                       // as it is seen
    Layers first_;                      // as they were when the clip was opened
    std::vector<UprightMark> uprights_; // of this visit
    std::vector<Sure> sure_;
    int frame_ = 0, run_ = 0, picture_run_ = 0;
    MarkView* view_ = nullptr;
    QLabel *title_ = nullptr, *vertical_ = nullptr, *scale_ = nullptr, *trim_ = nullptr, *mended_ = nullptr, *at_ = nullptr;
    Notice* notice_ = nullptr;
    QButtonGroup* tools_ = nullptr;
    QDoubleSpinBox* metres_ = nullptr;
    QSlider* slider_ = nullptr;
    QTableWidget* table_ = nullptr;
};

} // namespace bevel::ui
