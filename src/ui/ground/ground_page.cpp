#include "ui/ground/ground_page.h"
#include "core/ground/derive.h"
#include "core/review/look.h"
#include "desk/ground.h"
#include "ui/ground/point_strip.h"
#include "ui/ground/points_panel.h"
#include "ui/ground/room_panel.h"
#include "ui/jobs/jobs.h"
#include "ui/paint/body.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/step.h"
#include <cmath>
#include <QButtonGroup>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QSlider>
#include <QStackedLayout>
#include <QTabWidget>
#include <QToolButton>

namespace bevel::ui {
namespace {

using MarkStep = Step<GroundMarks>;
using UnitStep = Step<std::pair<double, double>>; // fist, foot

constexpr double ear_of_stature = 0.887; // ankle to ear (core/body/dims.h)

} // namespace

struct GroundPage::Film {
    std::filesystem::path path;
    std::optional<ClipReader> reader;
    QImage frame(std::size_t i) {
        if (!reader)
            if (auto opened = ClipReader::open(path)) reader = std::move(*opened);
        if (!reader) return {};
        const auto im = reader->frame(i);
        return im ? to_image(**im) : QImage();
    }
};

GroundPage::GroundPage(Session& session, QWidget* parent) : Place(session, "ground", parent) {
    build();
    connect_panels();
    // Found again while it is open: other points under the same marks.
    connect(session_.workspace, &Workspace::measured_anew, this, [this](qint64 clip) {
        if (clip != clip_.id || clip == 0 || own_) return;
        session_.background->run<Result<Track>>(
            this, [lib = session_.library, clip](std::stop_token) { return lib->tracks().load(clip); },
            [this, clip](Result<Track> t) {
                if (!t || clip != clip_.id || t->frames() != track_.frames()) return;
                if (t->px.size() == track_.px.size() && t->model == track_.model &&
                    std::equal(t->px.begin(), t->px.end(), track_.px.begin(), [](const auto& a, const auto& b) {
                        return a.has_value() == b.has_value() && (!a || std::abs((*a)[nose].x - (*b)[nose].x) < 1e-3);
                    }))
                    return;
                const bool mirrored = track_.layers.mirrored;
                track_ = std::move(*t);
                track_.layers.mirrored = mirrored;
                apply(marks_);
            });
    });
}

QWidget* GroundPage::build_tools() {
    auto* all = new QWidget;
    auto* bar = new QHBoxLayout(all);
    bar->setContentsMargins(0, 0, 0, 0);
    tools_ = new QButtonGroup(this);
    for (const auto& [tool, name, label, tip] :
         {std::tuple{MarkTool::upright, "toolUpright", tr("Upright"),
                     tr("Drag along a door frame, a post or a hanging cord; two of them, left and right, tell most (1)")},
          {MarkTool::length, "toolLength", tr("Length"), tr("Drag along something of known length at the student's distance (2)")},
          {MarkTool::mat, "toolMat", tr("Mat"),
           tr("Click the four corners of a mat or of tiles on the floor, one after the other around it: the floor is seen as a plan then "
              "(3)")},
          {MarkTool::edge, "toolEdge", tr("Edge"),
           tr("Click three or more points along an edge that is straight; a double click ends it: the lens is told from how it bends (4)")},
          {MarkTool::points, "toolPoints", tr("Body"), tr("Drag a point of the body to where it is (5)")}}) {
        auto* b = new QToolButton;
        b->setText(label);
        b->setToolTip(tip);
        b->setObjectName(QLatin1String(name));
        b->setCheckable(true);
        b->setFocusPolicy(Qt::TabFocus);
        tools_->addButton(b, static_cast<int>(tool));
        bar->addWidget(b);
    }
    tools_->button(0)->setChecked(true);
    of_ = new QComboBox;
    of_->setObjectName(QStringLiteral("lengthOf"));
    of_->setAccessibleName(tr("What the line is drawn along"));
    of_->setToolTip(tr("A known length sets the scale; the student's own foot or fist becomes a unit for widths"));
    of_->addItems({tr("a known length"), tr("the student's foot"), tr("the student's fist")});
    connect(of_, &QComboBox::currentIndexChanged, this, [this](int i) { metres_->setVisible(i == 0); });
    bar->addWidget(of_);
    of_->hide();
    const bool inches = session_.settings.inches;
    for (const auto& [box, name, label] :
         {std::tuple{&metres_, "knownLength", tr("How long it is")}, {&second_, "matLength", tr("The mat's second side")}}) {
        *box = new QDoubleSpinBox;
        (*box)->setObjectName(QLatin1String(name));
        (*box)->setAccessibleName(label);
        (*box)->setToolTip(label);
        (*box)->setRange(inches ? 8 : 20, inches ? 400 : 1000);
        (*box)->setDecimals(1);
        (*box)->setSuffix(inches ? tr(" in") : tr(" cm"));
        (*box)->setValue(inches ? 39.4 : 100);
        bar->addWidget(*box);
        (*box)->hide(); // until one is marked
    }
    bar->addStretch(1);
    return all;
}

void GroundPage::build() {
    title_ = new QLabel(tr("Ground"));
    title_->setWordWrap(true);
    title_->setObjectName(QStringLiteral("title"));
    auto* hint = new QLabel(tr("A good clip needs none of this. Marks make figures surer where the room shows little."));
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    view_ = new MarkView(session_);
    slider_ = new QSlider(Qt::Horizontal);
    slider_->setObjectName(QStringLiteral("groundFrame"));
    slider_->setAccessibleName(tr("Frame"));
    at_ = new QLabel;
    at_->setMinimumWidth(session_.theme.wide(70));
    strip_ = new PointStrip(session_);
    strip_->hide();
    notice_ = new Notice;
    auto* time = new QHBoxLayout;
    time->addWidget(slider_, 1);
    time->addWidget(at_);
    auto* left = new QVBoxLayout;
    left->addWidget(title_);
    left->addWidget(hint);
    left->addWidget(build_tools());
    left->addWidget(view_, 1);
    left->addWidget(strip_);
    left->addLayout(time);
    left->addWidget(notice_);
    room_ = new RoomPanel(session_);
    points_ = new PointsPanel(session_);
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("groundTabs"));
    tabs_->setAccessibleName(tr("The room, and points of the body"));
    tabs_->addTab(room_, tr("Room"));
    tabs_->addTab(points_, tr("Points"));
    tabs_->setFixedWidth(session_.theme.wide(340));
    auto* content = new QWidget;
    auto* all = new QHBoxLayout(content);
    all->setContentsMargins(20, 12, 20, 12);
    all->setSpacing(16);
    all->addLayout(left, 1);
    all->addWidget(tabs_);
    empty_ = new EmptyState(tr("No clip to stand on"), tr("Open a review first: the ground is that of its clip."), tr("Go to Arrivals"));
    connect(empty_->button(), &QPushButton::clicked, this, [this] { session_.workspace->go(QStringLiteral("arrivals")); });
    either_ = new QStackedLayout(this);
    either_->addWidget(empty_);
    either_->addWidget(content);
}

void GroundPage::connect_panels() {
    connect(tools_, &QButtonGroup::idClicked, this, [this](int id) {
        const auto tool = static_cast<MarkTool>(id);
        view_->set_tool(tool);
        of_->setVisible(tool == MarkTool::length);
        metres_->setVisible((tool == MarkTool::length && of_->currentIndex() == 0) || tool == MarkTool::mat);
        second_->setVisible(tool == MarkTool::mat);
        strip_->setVisible(tool == MarkTool::points);
        tabs_->setCurrentIndex(tool == MarkTool::points ? 1 : 0);
        if (tool == MarkTool::points) show_facts();
        view_->setFocus();
    });
    connect(tabs_, &QTabWidget::currentChanged, this, [this](int tab) {
        const bool points = view_->tool() == MarkTool::points;
        if (tab == 1 && !points) tools_->button(static_cast<int>(MarkTool::points))->click();
        if (tab == 0 && points) tools_->button(static_cast<int>(MarkTool::upright))->click();
    });
    connect(view_, &MarkView::marked, this, &GroundPage::take_line);
    connect(view_, &MarkView::cornered, this, &GroundPage::take_corners);
    connect(view_, &MarkView::edged, this, &GroundPage::take_edge);
    connect(view_, &MarkView::moved, this, &GroundPage::take_point);
    connect(view_, &MarkView::extra_marked, this, &GroundPage::take_extra);
    connect(slider_, &QSlider::valueChanged, this, &GroundPage::set_frame);
    connect(strip_, &PointStrip::asked, this, &GroundPage::set_frame);
    connect(room_, &RoomPanel::taken_back, this, &GroundPage::take_back);
    connect(room_, &RoomPanel::trimmed, this, &GroundPage::trim);
    connect(room_, &RoomPanel::supported, this, &GroundPage::support);
    connect(room_, &RoomPanel::height_given, this, [this](double metres) {
        auto m = marks_;
        m.layers.camera_height_m = metres;
        change(tr("the height of the camera"), std::move(m));
    });
    connect(room_, &RoomPanel::steady_asked, this, &GroundPage::steady);
    connect(room_, &RoomPanel::place_kept, this, &GroundPage::ask_place);
    connect(room_, &RoomPanel::place_taken, this, &GroundPage::take_place);
    connect(points_, &PointsPanel::go_to, this, [this](int frame, int point) {
        set_frame(frame);
        if (point >= 0) view_->hold(static_cast<Point>(point));
        show_facts();
    });
    connect(view_, &MarkView::body_moved, this, &GroundPage::move_body);
    connect(points_, &PointsPanel::set_body, this, &GroundPage::set_body);
    connect(points_, &PointsPanel::follow_body, this, &GroundPage::follow_body);
    connect(points_, &PointsPanel::mend, this, &GroundPage::mend);
    connect(points_, &PointsPanel::from_before, this, &GroundPage::from_before);
    connect(points_, &PointsPanel::swap, this, &GroundPage::swap_sides);
    connect(points_, &PointsPanel::fill, this, &GroundPage::fill_between);
    connect(points_, &PointsPanel::take_back, this, [this] { take_back(Marked::edits); });
    connect(points_, &PointsPanel::next, this, &GroundPage::next_doubtful);
    connect(points_, &PointsPanel::extra_chosen, this,
            [this](int e) { view_->set_extra(e < 0 ? std::nullopt : std::optional(static_cast<Extra>(e))); });
}

void GroundPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::clip, "groundBack", tr("Frame back"), {QKeySequence(Qt::Key_Left)}, [this] { set_frame(frame_ - 1); });
    actions.add(this, M::clip, "groundOn", tr("Frame on"), {QKeySequence(Qt::Key_Right)}, [this] { set_frame(frame_ + 1); });
    actions.add(this, M::clip, "doubtful", tr("Next doubtful frame"), {QKeySequence(Qt::Key_N)}, [this] { next_doubtful(); });
    int i = 0;
    for (auto* b : tools_->buttons()) actions.add(this, M::edit, "tool", b->text(), {QKeySequence(Qt::Key_1 + i++)}, [b] { b->click(); });
    actions.separate();
    actions.add(this, M::edit, "fromBefore", tr("The chosen point as on the frame before"), {QKeySequence(Qt::Key_P)},
                [this] { from_before(); });
    actions.add(this, M::edit, "swapSides", tr("Swap left and right from here, to here"), {QKeySequence(Qt::Key_S)},
                [this] { swap_sides(); });
    actions.add(this, M::edit, "setBody", tr("Set a body by hand here"), {QKeySequence(Qt::Key_B)}, [this] { set_body(); });
    actions.add(this, M::edit, "followBody", tr("Follow the body between two set by hand"), {QKeySequence(Qt::Key_G)},
                [this] { follow_body(); });
    actions.add(this, M::edit, "fillBetween", tr("Fill the chosen point between marks"), {QKeySequence(Qt::Key_F)},
                [this] { fill_between(); });
}

void GroundPage::open(Ref ref) {
    const qint64 clip = ref.clip != 0 ? ref.clip : session_.workspace->clip();
    if (clip != 0 && clip != clip_.id) open_clip(clip);
}

void GroundPage::open_clip(qint64 id) {
    struct Loaded {
        Result<Clip> clip;
        Result<Track> track;
        Person person;
    };
    empty_->say(tr("Opening …"));
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, id](std::stop_token) {
            Loaded l{lib->clips().get(id), lib->tracks().load(id), {}};
            if (const auto people = lib->people().all(); people && l.clip)
                for (const auto& p : *people)
                    if (p.id == l.clip->person) l.person = p;
            if (l.clip && l.track) l.track->layers.mirrored = l.clip->mirrored;
            return l;
        },
        [this](Loaded l) {
            if (!l.clip) return empty_->say(text::error(l.clip.error()));
            if (!l.track) return empty_->say(text::error(l.track.error()));
            either_->setCurrentIndex(1);
            undo().clear();
            pictured_ = -1;
            view_->show_frame({}, std::nullopt, std::nullopt); // nothing of another clip stays under this one's name
            clip_ = *l.clip;
            person_ = l.person;
            track_ = std::move(*l.track);
            first_ = track_.layers;
            film_ = std::make_shared<Film>(Film{session_.library->clips().path_of(clip_), std::nullopt});
            sure_.clear();
            swap_from_.reset();
            hand_from_.reset();
            doubt_ = 0;
            notice_->say({});
            title_->setText(tr("Ground under %1's clip").arg(QString::fromStdString(person_.name.empty() ? clip_.named : person_.name)));
            const QSignalBlocker quiet(slider_);
            slider_->setRange(0, std::max(0, static_cast<int>(track_.frames()) - 1));
            frame_ = static_cast<int>(track_.frames() / 3);
            slider_->setValue(frame_);
            GroundMarks m;
            m.layers = track_.layers;
            m.states = clip_.states;
            apply(m);
            if (std::none_of(track_.px.begin(), track_.px.end(), [](const auto& f) { return f.has_value(); })) {
                tools_->button(static_cast<int>(MarkTool::points))->click();
                notice_->say(tr("Nobody was found in this clip. Press B to set a body on this frame, go on about half a second and set it "
                                "again; G follows it between."));
            }
            find_places();
            emit opened();
        });
}

void GroundPage::set_frame(int frame) {
    frame_ = std::clamp(frame, 0, std::max(0, static_cast<int>(track_.frames()) - 1));
    const QSignalBlocker quiet(slider_);
    slider_->setValue(frame_);
    strip_->set_frame(frame_);
    show_frame();
}

void GroundPage::change(const QString& what, GroundMarks after) {
    if (track_.frames() == 0) return;
    if (session_.library->read_only()) return notice_->problem(text::error({Code::write_failed, "read_only"}));
    undo().push(new MarkStep(
        what,
        [this, clip = clip_.id](const GroundMarks& m) {
            apply(m);
            session_.background->run<Result<bool>>(
                this,
                [lib = session_.library, clip, m](std::stop_token) {
                    // The marks alone: the points may have been found again meanwhile.
                    return lib->together([&]() -> Result<bool> {
                        auto track = lib->tracks().load(clip);
                        if (!track) return tl::unexpected(track.error());
                        track->layers = m.layers;
                        if (auto ok = lib->clips().set_states(clip, m.states); !ok) return ok;
                        return lib->tracks().save(clip, *track);
                    });
                },
                [this, clip](const Result<bool>& ok) {
                    if (!ok) return notice_->problem(text::error(ok.error()));
                    own_ = true; // the points are those that are here
                    session_.workspace->remeasured(clip);
                    own_ = false;
                    if (clip == clip_.id && (clip_.state == ClipState::failed || clip_.state == ClipState::asked)) judge_anew();
                });
        },
        marks_, std::move(after)));
}

/// A clip that could not be judged: perhaps it can be now.
void GroundPage::judge_anew() {
    session_.background->run<std::pair<Result<Looked>, Result<Clip>>>(
        this,
        [lib = session_.library, forms = session_.forms(), clip = clip_.id](std::stop_token) {
            auto said = look_again(*lib, forms, clip);
            return std::pair{std::move(said), lib->clips().get(clip)};
        },
        [this](const std::pair<Result<Looked>, Result<Clip>>& now) {
            if (!now.second || now.second->id != clip_.id) return;
            clip_ = *now.second;
            if (clip_.state != ClipState::failed && now.first) notice_->say(text::looked(*now.first));
            session_.workspace->touched(clip_.id);
        });
}

void GroundPage::apply(const GroundMarks& marks) {
    marks_ = marks;
    track_.layers = marks.layers;
    drawn_ = drawn_points(track_);
    doubts_ = doubts_of(track_);
    points_->show_doubts(doubts_, track_);
    show_facts();
    show_frame();
    measure_again();
}

void GroundPage::take_line(const UprightMark& line) {
    auto m = marks_;
    if (view_->tool() == MarkTool::length && of_->currentIndex() > 0) return take_unit(line);
    if (view_->tool() == MarkTool::length) {
        m.layers.scale = MarkedLength{line.x0, line.y0, line.x1, line.y1, metres_->value() * (session_.settings.inches ? 0.0254 : 0.01)};
        return change(tr("a known length"), std::move(m));
    }
    m.uprights.push_back(line);
    m.layers.vertical = vertical_from(m.uprights, track_.width, track_.height);
    if (!m.layers.vertical || !vertical_from(std::span(&line, 1), track_.width, track_.height))
        return notice_->problem(tr("Too short or too flat to tell the vertical. Drag along something that stands upright."));
    notice_->say({});
    change(tr("an upright edge"), std::move(m));
}

/// Along the student's own foot or fist; at their distance a pixel is as long as their height tells, or a marked length.
void GroundPage::take_unit(const UprightMark& line) {
    const bool foot = of_->currentIndex() == 1;
    const double px = std::hypot(line.x1 - line.x0, line.y1 - line.y0), tall = body_height_px(drawn_);
    double metres_a_px = tall > 0 ? ear_of_stature * person_.stature_m / tall : 0;
    if (const auto& s = marks_.layers.scale) metres_a_px = s->metres / std::max(1.0, std::hypot(s->x1 - s->x0, s->y1 - s->y0));
    const double metres = px * metres_a_px;
    if (person_.id == 0) return notice_->problem(tr("Say whose clip this is first: the unit belongs to the student."));
    if (metres < (foot ? 0.12 : 0.05) || metres > (foot ? 0.40 : 0.14))
        return notice_->problem(
            foot ? tr("That is %1 cm, no foot of a person. Drag from the heel to the tip of the toes, seen from the side.")
                       .arg(QLocale().toString(metres * 100, 'f', 0))
                 : tr("That is %1 cm, no fist of a person. Drag across the knuckles, from side to side.")
                       .arg(QLocale().toString(metres * 100, 'f', 0)));
    set_units(foot ? person_.fist_m : metres, foot ? metres : person_.foot_m);
}

void GroundPage::set_units(double fist_m, double foot_m) {
    if (session_.library->read_only()) return notice_->problem(text::error({Code::write_failed, "read_only"}));
    undo().push(new UnitStep(
        tr("an own unit"),
        [this, id = person_.id](const std::pair<double, double>& u) {
            session_.background->run<Result<bool>>(
                this, [lib = session_.library, id, u](std::stop_token) { return lib->people().set_own_units(id, u.first, u.second); },
                [this, clip = clip_.id](const Result<bool>& ok) {
                    if (!ok) return notice_->problem(text::error(ok.error()));
                    session_.workspace->remeasured(clip);
                });
            if (id != person_.id) return;
            std::tie(person_.fist_m, person_.foot_m) = u;
            show_facts();
        },
        {person_.fist_m, person_.foot_m}, {fist_m, foot_m}));
}

void GroundPage::take_corners(const std::array<QPointF, 4>& corners) {
    auto m = marks_;
    const double unit = session_.settings.inches ? 0.0254 : 0.01;
    FloorMark mat;
    for (std::size_t i = 0; i < 4; ++i) mat.corners[i] = Vec2(corners[i].x(), corners[i].y());
    mat.wide_m = metres_->value() * unit;
    mat.long_m = second_->value() * unit;
    CameraPrior prior{track_.width, track_.height, track_.focal_px, std::nullopt, m.layers.lens ? m.layers.lens->k : 0};
    if (m.layers.vertical)
        prior.vertical = m.layers.vertical;
    else if (track_.vertical && track_.vertical->from_room)
        prior.vertical = track_.vertical;
    const auto plan = plan_from(mat, prior);
    if (!plan)
        return notice_->problem(
            tr("No camera sees a mat of that size so. Click the corners one after the other around it, the first two along the "
               "first length, and check both lengths."));
    m.layers.plan = *plan;
    m.mat = mat;
    notice_->say({});
    change(tr("a mat on the floor"), std::move(m));
}

void GroundPage::take_edge(const QVector<QPointF>& points) {
    auto m = marks_;
    StraightEdge edge;
    for (const auto& p : points) edge.emplace_back(p.x(), p.y());
    m.edges.push_back(edge);
    if (!lens_from({edge}, track_.width, track_.height))
        return notice_->problem(tr("Too short to tell how the lens bends it. Choose a long edge near the side of the picture."));
    m.layers.lens = lens_from(m.edges, track_.width, track_.height);
    notice_->say({});
    change(tr("a straight edge"), std::move(m));
}

void GroundPage::take_back(Marked what) {
    auto m = marks_;
    Layers& l = m.layers;
    QString name;
    switch (what) {
    case Marked::vertical:
        l.vertical.reset(), m.uprights.clear(), name = tr("the vertical");
        break;
    case Marked::lens:
        l.lens.reset(), m.edges.clear(), name = tr("the lens");
        break;
    case Marked::scale:
        l.scale.reset(), name = tr("the length");
        break;
    case Marked::plan:
        l.plan.reset(), m.mat.reset(), name = tr("the mat");
        break;
    case Marked::floor:
        l.camera_height_m.reset(), name = tr("the height of the camera");
        break;
    case Marked::trim:
        l.trim_from_s.reset(), l.trim_to_s.reset(), name = tr("the stretch");
        break;
    case Marked::edits:
        l.edits.clear(), l.swaps.clear(), l.extra.clear(), name = tr("the mended points");
        break;
    case Marked::shake:
        l.steady.clear(), name = tr("the shake");
        break;
    case Marked::own_units:
        return set_units(0, 0);
    case Marked::support:
        m.states.clear(), name = tr("the support");
        break;
    }
    change(name, std::move(m));
}

void GroundPage::trim(bool from, bool to) {
    auto m = marks_;
    if (track_.frames() == 0) return;
    if (from) m.layers.trim_from_s = here_s();
    if (to) m.layers.trim_to_s = here_s();
    if (m.layers.trim_from_s && m.layers.trim_to_s && *m.layers.trim_to_s - *m.layers.trim_from_s < 1)
        return notice_->problem(tr("That leaves less than a second. Choose another frame."));
    change(tr("the stretch"), std::move(m));
}

void GroundPage::support(bool from, bool to, bool seat) {
    auto m = marks_;
    if (track_.frames() == 0) return;
    if (seat) {
        std::erase_if(m.states, [](const SupportState& s) { return s.seat; });
        m.states.push_back({true, 0, 1e9});
        return change(tr("the seat"), std::move(m));
    }
    if (from) {
        hand_from_ = here_s();
        return notice_->say(tr("A hand on a support from %1. Go to where it is let go, and press “to here”.").arg(text::time(*hand_from_)));
    }
    if (!to) return;
    if (!hand_from_ || here_s() <= *hand_from_)
        return notice_->problem(tr("Go to where the hand takes the support first, and press “Hand on it from here”."));
    m.states.push_back({false, *hand_from_, here_s()});
    hand_from_.reset();
    notice_->say({});
    change(tr("a support"), std::move(m));
}

void GroundPage::show_frame() {
    if (track_.frames() == 0 || !film_) return;
    const auto i = static_cast<std::size_t>(frame_);
    at_->setText(text::time(track_.time_s[i]));
    view_->show_marks(marks_);
    const int run = ++picture_run_;
    auto show = [this, i](const QImage& im) {
        ExtraPoints extra;
        for (const auto& [frame, points] : marks_.layers.extra)
            if (frame == i) extra = points;
        view_->show_frame(im, drawn_.px[i], marks_.layers.vertical ? marks_.layers.vertical : track_.vertical, extra);
    };
    if (pictured_ == frame_) return show(view_->picture()); // other marks on the same picture: at once
    session_.background->run<QImage>(
        this, [film = film_, i](std::stop_token) { return film->frame(i); },
        [this, run, show, frame = frame_](const QImage& im) {
            if (run != picture_run_) return;
            pictured_ = im.isNull() ? -1 : frame;
            show(im);
        });
}

void GroundPage::show_facts() {
    room_->show_marks(marks_, track_, person_);
    points_->show_mended(marks_.layers, swap_from_.has_value());
    strip_->show_point(drawn_, view_->tool() == MarkTool::points ? view_->held() : std::nullopt, doubts_, marks_.layers);
    strip_->set_frame(frame_);
}

} // namespace bevel::ui
