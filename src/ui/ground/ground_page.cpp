#include "ui/ground/ground_page.h"
#include "core/ground/derive.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include "ui/shell/empty_state.h"
#include <cmath>
#include <QButtonGroup>
#include <QDoubleSpinBox>
#include <QHeaderView>
#include <QSlider>
#include <QStackedLayout>
#include <QTableWidget>
#include <QToolButton>

namespace bevel::ui {
namespace {

constexpr double deg = 57.29577951308232;

/// A change of what is marked, to be done and undone.
class MarkStep : public QUndoCommand {
public:
    using Apply = std::function<void(const Layers&, const std::vector<UprightMark>&)>;
    struct Marks {
        Layers layers;
        std::vector<UprightMark> uprights;
    };
    MarkStep(const QString& what, Apply apply, Marks before, Marks after)
        : apply_(std::move(apply)), before_(std::move(before)), after_(std::move(after)) {
        setText(what);
    }
    void redo() override { apply_(after_.layers, after_.uprights); }
    void undo() override { apply_(before_.layers, before_.uprights); }

private:
    Apply apply_;
    Marks before_, after_;
};

/// A figure of each of the four families that rest on the ground.
struct Watched {
    const char* id;
    std::optional<Side> side;
};
const std::array<Watched, 6>& watched() {
    static const std::array<Watched, 6> all{{{"stance.width", std::nullopt},
                                             {"stance.length", std::nullopt},
                                             {"weight.foot", Side::left},
                                             {"knee.inward", Side::left},
                                             {"trunk.lean", std::nullopt},
                                             {"trunk.side", std::nullopt}}};
    return all;
}

/// Middle error of each over the clip; NaN where it is told nowhere.
std::vector<double> errors_of(const Track& track, const ReviewOptions& o) {
    std::vector<double> out(watched().size(), NAN);
    MotionOptions mo;
    mo.view = o.view;
    mo.stature_m = o.stature_m;
    mo.shoulder_width_m = o.shoulder_width_m;
    const auto motion = make_motion(track, mo);
    if (!motion) return out;
    const auto measures = measure(*motion, {});
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto* s = measures.find(watched()[i].id, watched()[i].side);
        std::vector<double> sigma;
        if (s)
            for (const auto& v : s->samples)
                if (v.present()) sigma.push_back(v.sigma);
        if (sigma.empty()) continue;
        std::nth_element(sigma.begin(), sigma.begin() + static_cast<std::ptrdiff_t>(sigma.size() / 2), sigma.end());
        out[i] = sigma[sigma.size() / 2];
    }
    return out;
}

} // namespace

GroundPage::GroundPage(Session& session, QWidget* parent) : Place(session, "ground", parent) {
    build();
}

void GroundPage::build() {
    title_ = new QLabel(tr("Ground"));
    title_->setObjectName(QStringLiteral("title"));
    auto* hint = new QLabel(tr("A good clip needs none of this. Marks make figures surer where the room shows little."));
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    view_ = new MarkView(session_);
    tools_ = new QButtonGroup(this);
    auto* bar = new QHBoxLayout;
    for (const auto& [tool, name, label, tip] :
         {std::tuple{MarkTool::upright, "toolUpright", tr("Upright edge"),
                     tr("Drag along a door frame, a post or a hanging cord; two of them, left and right, tell most")},
          {MarkTool::length, "toolLength", tr("Known length"), tr("Drag along something of known length at the student's distance")},
          {MarkTool::points, "toolPoints", tr("Mend points"), tr("Drag a point of the body to where it is")}}) {
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
    metres_ = new QDoubleSpinBox;
    metres_->setObjectName(QStringLiteral("knownLength"));
    metres_->setAccessibleName(tr("How long it is"));
    const bool inches = session_.settings.inches;
    metres_->setRange(inches ? 8 : 20, inches ? 200 : 500);
    metres_->setDecimals(1);
    metres_->setSuffix(inches ? tr(" in") : tr(" cm"));
    metres_->setValue(inches ? 39.4 : 100);
    bar->addWidget(metres_);
    bar->addStretch(1);
    metres_->hide(); // until a length is marked
    auto* doubtful = new QToolButton;
    doubtful->setText(tr("Next doubtful"));
    doubtful->setToolTip(tr("Where the body was lost or a foot or knee is unsure (N)"));
    doubtful->setObjectName(QStringLiteral("nextDoubtful"));
    doubtful->setFocusPolicy(Qt::TabFocus);
    slider_ = new QSlider(Qt::Horizontal);
    slider_->setObjectName(QStringLiteral("groundFrame"));
    slider_->setAccessibleName(tr("Frame"));
    at_ = new QLabel;
    at_->setMinimumWidth(session_.theme.wide(70));
    auto* time = new QHBoxLayout;
    time->addWidget(slider_, 1);
    time->addWidget(at_);
    time->addWidget(doubtful);
    auto* left = new QVBoxLayout;
    left->addWidget(title_);
    left->addWidget(hint);
    left->addLayout(bar);
    left->addWidget(view_, 1);
    left->addLayout(time);
    notice_ = new Notice;
    left->addWidget(notice_);

    auto* side = new QFrame;
    side->setObjectName(QStringLiteral("card"));
    side->setFixedWidth(session_.theme.wide(330));
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(16, 12, 16, 12);
    auto row = [&](const QString& heading, QLabel*& words,
                   std::initializer_list<std::tuple<const char*, QString, std::function<void()>>> buttons) {
        auto* head = new QLabel(heading);
        head->setObjectName(QStringLiteral("heading"));
        words = new QLabel;
        words->setWordWrap(true);
        words->setMinimumHeight(session_.theme.wide(20));
        box->addWidget(head);
        box->addWidget(words);
        auto* line = new QHBoxLayout;
        for (const auto& [name, label, go] : buttons) {
            auto* b = new QToolButton;
            b->setText(label);
            b->setObjectName(QLatin1String(name));
            b->setProperty("small", true);
            b->setAccessibleName(tr("%1: %2").arg(heading, label));
            b->setFocusPolicy(Qt::TabFocus);
            connect(b, &QToolButton::clicked, this, go);
            line->addWidget(b);
        }
        line->addStretch(1);
        box->addLayout(line);
    };
    row(tr("True vertical"), vertical_, {{"dropVertical", tr("Take back"), [this] {
                                              Layers l = track_.layers;
                                              l.vertical.reset();
                                              change(tr("the vertical"), l, {});
                                          }}});
    row(tr("Scale"), scale_, {{"dropScale", tr("Take back"), [this] {
                                   Layers l = track_.layers;
                                   l.scale.reset();
                                   change(tr("the length"), l, uprights_);
                               }}});
    auto trim = [this](bool from, bool to) {
        Layers l = track_.layers;
        if (!from && !to) l.trim_from_s.reset(), l.trim_to_s.reset();
        const double t = frame_ < static_cast<int>(track_.frames()) ? track_.time_s[static_cast<std::size_t>(frame_)] : 0;
        if (from) l.trim_from_s = t;
        if (to) l.trim_to_s = t;
        if (l.trim_from_s && l.trim_to_s && *l.trim_to_s - *l.trim_from_s < 1)
            return notice_->problem(tr("That leaves less than a second. Choose another frame."));
        change(tr("the stretch"), l, uprights_);
    };
    row(tr("What counts"), trim_,
        {{"trimFrom", tr("Begins here"), [trim] { trim(true, false); }},
         {"trimTo", tr("Ends here"), [trim] { trim(false, true); }},
         {"trimOff", tr("All of it"), [trim] { trim(false, false); }}});
    row(tr("Points mended"), mended_, {{"dropEdits", tr("Take all back"), [this] {
                                            Layers l = track_.layers;
                                            l.edits.clear();
                                            change(tr("the mended points"), l, uprights_);
                                        }}});
    auto* head = new QLabel(tr("How sure the figures are"));
    head->setObjectName(QStringLiteral("heading"));
    box->addWidget(head);
    table_ = new QTableWidget(static_cast<int>(watched().size()), 3);
    table_->setObjectName(QStringLiteral("sure"));
    table_->setAccessibleName(tr("How sure the figures are"));
    table_->setHorizontalHeaderLabels({tr("Figure"), tr("Before"), tr("Now")});
    table_->verticalHeader()->hide();
    table_->verticalHeader()->setDefaultSectionSize(24);
    table_->setShowGrid(false);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionMode(QAbstractItemView::NoSelection);
    table_->setFocusPolicy(Qt::NoFocus);
    table_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (int c : {1, 2}) table_->horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
    table_->setMinimumHeight(static_cast<int>(watched().size()) * 24 + 34);
    box->addWidget(table_, 1);
    auto* content = new QWidget;
    auto* all = new QHBoxLayout(content);
    all->setContentsMargins(20, 12, 20, 12);
    all->setSpacing(16);
    all->addLayout(left, 1);
    all->addWidget(side);
    empty_ = new EmptyState(tr("No clip to stand on"), tr("Open a review first: the ground is that of its clip."), tr("Go to Arrivals"));
    connect(empty_->button(), &QPushButton::clicked, this, [this] { session_.workspace->go(QStringLiteral("arrivals")); });
    either_ = new QStackedLayout(this);
    either_->addWidget(empty_);
    either_->addWidget(content);
    connect(tools_, &QButtonGroup::idClicked, this, [this](int id) {
        view_->set_tool(static_cast<MarkTool>(id));
        metres_->setVisible(static_cast<MarkTool>(id) == MarkTool::length);
        view_->setFocus();
    });
    connect(view_, &MarkView::marked, this, &GroundPage::take_line);
    connect(view_, &MarkView::moved, this, &GroundPage::take_point);
    connect(slider_, &QSlider::valueChanged, this, &GroundPage::set_frame);
    connect(doubtful, &QToolButton::clicked, this, &GroundPage::next_doubtful);
}

void GroundPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::clip, "groundBack", tr("Frame back"), {QKeySequence(Qt::Key_Left)}, [this] { set_frame(frame_ - 1); });
    actions.add(this, M::clip, "groundOn", tr("Frame on"), {QKeySequence(Qt::Key_Right)}, [this] { set_frame(frame_ + 1); });
    actions.add(this, M::clip, "doubtful", tr("Next doubtful frame"), {QKeySequence(Qt::Key_N)}, [this] { next_doubtful(); });
    int i = 0;
    for (auto* b : tools_->buttons()) actions.add(this, M::edit, "tool", b->text(), {QKeySequence(Qt::Key_1 + i++)}, [b] { b->click(); });
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
            Loaded l{lib->clip(id), lib->load_track(id), {}};
            if (const auto people = lib->people(); people && l.clip)
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
            view_->show_frame({}, std::nullopt, std::nullopt); // nothing of another clip stays under this one's name
            clip_ = *l.clip;
            person_ = l.person;
            track_ = std::move(*l.track);
            first_ = track_.layers;
            uprights_.clear();
            sure_.clear();
            notice_->say({});
            title_->setText(tr("Ground under %1's clip").arg(QString::fromStdString(person_.name.empty() ? clip_.named : person_.name)));
            const QSignalBlocker quiet(slider_);
            slider_->setRange(0, std::max(0, static_cast<int>(track_.frames()) - 1));
            frame_ = static_cast<int>(track_.frames() / 3);
            slider_->setValue(frame_);
            apply(track_.layers, {});
            emit opened();
        });
}

void GroundPage::set_frame(int frame) {
    frame_ = std::clamp(frame, 0, std::max(0, static_cast<int>(track_.frames()) - 1));
    const QSignalBlocker quiet(slider_);
    slider_->setValue(frame_);
    show_frame();
}

void GroundPage::change(const QString& what, const Layers& after, const std::vector<UprightMark>& uprights) {
    if (session_.library->read_only()) return notice_->problem(text::error({Code::write_failed, "read_only"}));
    undo().push(new MarkStep(what,
                             [this, clip = clip_.id](const Layers& l, const std::vector<UprightMark>& u) {
                                 apply(l, u);
                                 session_.background->run<Result<bool>>(
                                     this,
                                     [lib = session_.library, clip, l](std::stop_token) {
                                         // The marks alone: the points may have been found again meanwhile.
                                         return lib->together([&]() -> Result<bool> {
                                             auto track = lib->load_track(clip);
                                             if (!track) return tl::unexpected(track.error());
                                             track->layers = l;
                                             return lib->save_track(clip, *track);
                                         });
                                     },
                                     [this, clip](const Result<bool>& ok) {
                                         if (!ok) return notice_->problem(text::error(ok.error()));
                                         session_.workspace->remeasured(clip);
                                     });
                             },
                             {track_.layers, uprights_}, {after, uprights}));
}

void GroundPage::apply(const Layers& layers, const std::vector<UprightMark>& uprights) {
    track_.layers = layers;
    uprights_ = uprights;
    drawn_ = drawn_points(track_);
    show_facts();
    show_frame();
    measure_again();
}

void GroundPage::take_line(const UprightMark& line) {
    Layers l = track_.layers;
    if (view_->tool() == MarkTool::length) {
        l.scale = MarkedLength{line.x0, line.y0, line.x1, line.y1, metres_->value() * (session_.settings.inches ? 0.0254 : 0.01)};
        return change(tr("a known length"), l, uprights_);
    }
    auto lines = uprights_;
    lines.push_back(line);
    l.vertical = vertical_from(lines, track_.width, track_.height);
    if (!l.vertical || !vertical_from(std::span(&line, 1), track_.width, track_.height))
        return notice_->problem(tr("Too short or too flat to tell the vertical. Drag along something that stands upright."));
    notice_->say({});
    change(tr("an upright edge"), l, lines);
}

void GroundPage::take_point(Point point, QPointF to) {
    Layers l = track_.layers;
    std::erase_if(l.edits, [&](const PointEdit& e) { return e.frame == static_cast<std::uint32_t>(frame_) && e.point == point; });
    l.edits.push_back({static_cast<std::uint32_t>(frame_), point, std::clamp(to.x(), 0.0, track_.width - 1.0),
                       std::clamp(to.y(), 0.0, track_.height - 1.0)});
    change(tr("a mended point"), l, uprights_);
}

void GroundPage::show_frame() {
    if (track_.frames() == 0) return;
    const auto i = static_cast<std::size_t>(frame_);
    at_->setText(text::time(track_.time_s[i]));
    view_->set_lines(uprights_, track_.layers.scale);
    const int run = ++picture_run_;
    session_.background->run<QImage>(
        this,
        [path = session_.library->path_of(clip_), i](std::stop_token) {
            auto reader = ClipReader::open(path);
            if (!reader) return QImage();
            const auto im = reader->frame(i);
            return im ? to_image(**im) : QImage();
        },
        [this, run, i](const QImage& im) {
            if (run != picture_run_) return;
            view_->show_frame(im, drawn_.px[i], track_.layers.vertical ? track_.layers.vertical : track_.vertical);
        });
}

void GroundPage::show_facts() {
    const Layers& l = track_.layers;
    auto tilt = [](const VerticalOnPicture& v) {
        return tr("%1° ± %2°").arg(QLocale().toString(v.roll * deg, 'f', 1), QLocale().toString(std::max(0.1, v.roll_sigma * deg), 'f', 1));
    };
    vertical_->setText(l.vertical ? tr("marked by hand: camera tilted %1").arg(tilt(*l.vertical))
                       : track_.vertical && track_.vertical->from_room
                           ? tr("seen in the room: camera tilted %1").arg(tilt(*track_.vertical))
                           : tr("not known: the camera is taken as level"));
    scale_->setText(
        l.scale ? tr("by a length of %1").arg(text::figure(l.scale->metres * 100, QStringLiteral("cm"), session_.settings.units(Motion{})))
                : tr("by the student's height of %1")
                      .arg(text::figure(person_.stature_m * 100, QStringLiteral("cm"), session_.settings.units(Motion{}))));
    trim_->setText(l.trim_from_s || l.trim_to_s
                       ? tr("from %1 to %2")
                             .arg(text::time(l.trim_from_s.value_or(0)),
                                  text::time(l.trim_to_s.value_or(track_.time_s.empty() ? 0 : track_.time_s.back())))
                       : tr("the whole clip"));
    for (const auto& [name, on] : {std::pair{"dropVertical", l.vertical.has_value()},
                                   {"dropScale", l.scale.has_value()},
                                   {"trimOff", l.trim_from_s || l.trim_to_s},
                                   {"dropEdits", !l.edits.empty()}})
        findChild<QToolButton*>(QLatin1String(name))->setEnabled(on); // nothing to take back, nothing to press
    mended_->setText(l.edits.empty() ? tr("none") : tr("%n point(s)", nullptr, static_cast<int>(l.edits.size())));
}

void GroundPage::measure_again() {
    const int run = ++run_;
    ReviewOptions o;
    o.view = view_from_name(clip_.view);
    if (person_.id != 0) o.stature_m = person_.stature_m;
    if (person_.shoulder_width_m > 0) o.shoulder_width_m = person_.shoulder_width_m;
    using Errors = std::pair<std::vector<double>, std::vector<double>>;
    Track before = track_;
    before.layers = first_;
    const bool known = !sure_.empty();
    session_.files().run<Errors>(
        this,
        [now = track_, before = std::move(before), o, known](std::stop_token) {
            return Errors{known ? std::vector<double>() : errors_of(before, o), errors_of(now, o)};
        },
        [this, run](const Errors& e) {
            if (run != run_) return;
            if (sure_.empty()) {
                for (std::size_t i = 0; i < watched().size(); ++i) {
                    const auto* m = session_.catalogue.find(QLatin1String(watched()[i].id));
                    sure_.push_back(
                        {m ? m->name() : QLatin1String(watched()[i].id), m ? m->unit : QString(), e.first.empty() ? NAN : e.first[i], NAN});
                }
            }
            const Units u = session_.settings.units(Motion{});
            for (std::size_t i = 0; i < sure_.size(); ++i) {
                sure_[i].now = e.second[i];
                auto words = [&](double v) {
                    return std::isfinite(v) ? QStringLiteral("± ") + text::figure(v, sure_[i].unit, u) : QStringLiteral("–");
                };
                const bool better =
                    std::isfinite(sure_[i].now) && (!std::isfinite(sure_[i].before) || sure_[i].now < 0.95 * sure_[i].before);
                const std::array<QString, 3> cells{sure_[i].name, words(sure_[i].before), words(sure_[i].now)};
                for (int c = 0; c < 3; ++c) {
                    auto* cell = new QTableWidgetItem(cells[static_cast<std::size_t>(c)]);
                    if (c > 0) cell->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
                    if (c == 2 && better) cell->setForeground(session_.theme.palette.inside);
                    table_->setItem(static_cast<int>(i), c, cell);
                }
            }
            emit measured();
        });
}

void GroundPage::next_doubtful() {
    auto doubtful = [&](std::size_t i) {
        if (!drawn_.px[i]) return !track_.px[i]; // left out by the stretch that counts: not doubtful
        return std::any_of(watched_points().begin(), watched_points().end(), [&](Point p) { return (*drawn_.px[i])[p].visibility < 0.5; });
    };
    const std::size_t n = track_.frames();
    for (std::size_t k = 1; k <= n; ++k) {
        const std::size_t i = (static_cast<std::size_t>(frame_) + k) % n;
        // The first of a stretch: its neighbours come with it.
        if (doubtful(i) && (i == 0 || !doubtful(i - 1))) return set_frame(static_cast<int>(i));
    }
    notice_->say(tr("No frame is doubtful."));
}

const std::vector<Point>& GroundPage::watched_points() {
    static const std::vector<Point> all{left_ankle, right_ankle, left_knee, right_knee, left_hip, right_hip, left_shoulder, right_shoulder};
    return all;
}

} // namespace bevel::ui
