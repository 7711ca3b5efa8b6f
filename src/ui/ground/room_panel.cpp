#include "ui/ground/room_panel.h"
#include "ui/text/text.h"
#include <cmath>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLocale>
#include <QScrollArea>
#include <QToolButton>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {}

RoomPanel::RoomPanel(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    inner_ = new QWidget;
    inner_->setObjectName(QStringLiteral("inCard"));
    auto* box = new QVBoxLayout(inner_);
    box->setContentsMargins(0, 4, 8, 4);
    box->setSpacing(3);
    row(box, tr("True vertical"), Marked::vertical, "dropVertical", {});
    row(box, tr("Scale"), Marked::scale, "dropScale", {});
    row(box, tr("Own foot and fist"), Marked::own_units, "dropUnits", {});
    row(box, tr("Mat or tiles on the floor"), Marked::plan, "dropPlan", {});
    camera_height_ = new QDoubleSpinBox;
    camera_height_->setObjectName(QStringLiteral("cameraHeight"));
    camera_height_->setAccessibleName(tr("Height of the camera"));
    const bool inches = session_.settings.inches;
    camera_height_->setRange(inches ? 4 : 10, inches ? 120 : 300);
    camera_height_->setDecimals(0);
    camera_height_->setSuffix(inches ? tr(" in") : tr(" cm"));
    camera_height_->setValue(inches ? 40 : 100);
    row(box, tr("Height of the camera over the floor"), Marked::floor, "dropFloor",
        {{"takeFloor", tr("It is this"),
          [this] { emit height_given(camera_height_->value() * (session_.settings.inches ? 0.0254 : 0.01)); }}},
        camera_height_);
    row(box, tr("Lens"), Marked::lens, "dropLens", {});
    row(box, tr("Shake"), Marked::shake, "dropShake", {{"steady", tr("Take it out"), [this] { emit steady_asked(); }}});
    row(box, tr("What counts"), Marked::trim, "trimOff",
        {{"trimFrom", tr("Begins here"), [this] { emit trimmed(true, false); }},
         {"trimTo", tr("Ends here"), [this] { emit trimmed(false, true); }}});
    row(box, tr("Support and seat"), Marked::support, "dropSupport",
        {{"handFrom", tr("Hand on it from here"), [this] { emit supported(true, false, false); }},
         {"handTo", tr("to here"), [this] { emit supported(false, true, false); }},
         {"seated", tr("Seated"), [this] { emit supported(true, true, true); }}});
    auto* head = new QLabel(tr("Camera place"));
    head->setObjectName(QStringLiteral("heading"));
    places_ = new QComboBox;
    places_->setObjectName(QStringLiteral("places"));
    places_->setAccessibleName(tr("Camera place"));
    places_->setToolTip(tr("Marks of a place where the camera stands again and again are kept under its name"));
    take_place_ = new QToolButton;
    auto* keep = new QToolButton;
    for (const auto& [b, name, label] :
         {std::tuple{take_place_, "takePlace", tr("Take its marks")}, {keep, "keepPlace", tr("Keep these as a place …")}}) {
        b->setObjectName(QLatin1String(name));
        b->setText(label);
        b->setProperty("small", true);
        b->setFocusPolicy(Qt::TabFocus);
    }
    connect(take_place_, &QToolButton::clicked, this, [this] { emit place_taken(places_->currentData().toLongLong()); });
    connect(keep, &QToolButton::clicked, this, &RoomPanel::place_kept);
    auto* line = new QHBoxLayout;
    line->addWidget(take_place_);
    line->addStretch(1);
    auto* second = new QHBoxLayout;
    second->addWidget(keep);
    second->addStretch(1);
    box->addWidget(head);
    box->addWidget(places_);
    box->addLayout(line);
    box->addLayout(second);
    box->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll_ = scroll;
    scroll->setWidget(inner_);
    scroll->setWidgetResizable(true);
    scroll->setAccessibleName(tr("What is known of the room and the camera"));
    scroll->setObjectName(QStringLiteral("plain"));
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* sure_head = new QLabel(tr("How sure the figures are: before, and now"));
    sure_head->setWordWrap(true);
    sure_head->setObjectName(QStringLiteral("heading"));
    sure_ = new SureView(session_);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(12, 8, 10, 10);
    all->addWidget(scroll, 1);
    all->addWidget(sure_head);
    all->addWidget(sure_);
}

/// A scroll area asks no widget how high it is at its width: words that wrap would be squeezed.
void RoomPanel::fit() {
    inner_->setMinimumHeight(std::max(0, inner_->layout()->totalHeightForWidth(scroll_->viewport()->width())));
}

RoomPanel::Row RoomPanel::row(QVBoxLayout* box, const QString& heading, Marked what, const char* back_name,
                              const std::vector<std::tuple<const char*, QString, std::function<void()>>>& buttons, QWidget* more) {
    Row r;
    auto* head = new QLabel(heading);
    head->setObjectName(QStringLiteral("heading"));
    r.words = new QLabel;
    r.words->setWordWrap(true);
    box->addWidget(head);
    box->addWidget(r.words);
    // In two lines where there are many.
    auto* line = new QHBoxLayout;
    auto* second = new QHBoxLayout;
    if (more) line->addWidget(more);
    auto button = [&](const char* name, const QString& label) {
        auto* b = new QToolButton;
        b->setText(label);
        b->setObjectName(QLatin1String(name));
        b->setProperty("small", true);
        b->setAccessibleName(tr("%1: %2").arg(heading, label));
        b->setFocusPolicy(Qt::TabFocus);
        (line->count() < 2 ? line : second)->addWidget(b);
        return b;
    };
    for (const auto& [name, label, go] : buttons) connect(button(name, label), &QToolButton::clicked, this, go);
    r.back = button(back_name, what == Marked::trim ? tr("All of it") : tr("Take back"));
    connect(r.back, &QToolButton::clicked, this, [this, what] { emit taken_back(what); });
    for (auto* l : {line, second}) l->addStretch(1);
    box->addLayout(line);
    if (second->count() > 1)
        box->addLayout(second);
    else
        delete second;
    rows_[what] = r;
    return r;
}

void RoomPanel::show_marks(const GroundMarks& marks, const Track& track, const Person& person) {
    const Layers& l = marks.layers;
    const Units u = session_.settings.units(Motion{});
    auto angle = [](double rad) { return QLocale().toString(rad / deg, 'f', 1); };
    auto length = [&](double m) { return text::figure(m * 100, QStringLiteral("cm"), u); };
    auto tilt = [&](const VerticalOnPicture& v) { return tr("%1° ± %2°").arg(angle(v.roll), angle(v.roll_sigma)); };
    auto say = [&](Marked what, const QString& words, bool marked) {
        rows_[what].words->setText(words);
        rows_[what].back->setEnabled(marked); // nothing to take back, nothing to press
    };
    say(Marked::vertical,
        l.vertical                                    ? tr("marked: the camera is tilted %1").arg(tilt(*l.vertical))
        : track.vertical && track.vertical->from_room ? tr("seen in the room: the camera is tilted %1").arg(tilt(*track.vertical))
                                                      : tr("not known: the camera is taken as level"),
        l.vertical.has_value());
    say(Marked::scale,
        l.plan    ? tr("by the mat")
        : l.scale ? tr("by a length of %1").arg(length(l.scale->metres))
        : person.height_said
            ? tr("by the student's height of %1").arg(length(person.stature_m))
            : tr("nobody said how tall the student is: by the spread of grown people, so lengths are unsure by a twentieth"),
        l.scale.has_value());
    auto unit = [&](double marked, double usual) {
        return marked > 0 ? tr("%1, marked").arg(length(marked)) : tr("%1, from the height").arg(length(usual));
    };
    say(Marked::own_units,
        tr("foot %1; fist %2")
            .arg(unit(person.foot_m, BodyDims::of_stature(person.stature_m).foot_length),
                 unit(person.fist_m, person.stature_m * Units::fist_of_stature)),
        person.foot_m > 0 || person.fist_m > 0);
    say(Marked::plan,
        l.plan ? tr("camera %1 ± %2 over the floor, looking down %3°")
                     .arg(length(l.plan->height_m),
                          length(l.plan->height_m * std::sqrt(l.plan->root[6] * l.plan->root[6] + l.plan->root[7] * l.plan->root[7] +
                                                              l.plan->root[8] * l.plan->root[8] + l.plan->root[9] * l.plan->root[9])),
                          angle(l.plan->pitch))
               : tr("none marked: widths come from the height, lengths from what is usual of cameras"),
        l.plan.has_value());
    say(Marked::floor, l.camera_height_m ? tr("given: %1").arg(length(*l.camera_height_m)) : tr("told from the feet"),
        l.camera_height_m.has_value());
    say(Marked::lens,
        l.lens ? tr("straight edges bend by %1 % ± %2 %")
                     .arg(QLocale().toString(100 * l.lens->k, 'f', 1), QLocale().toString(100 * l.lens->sigma, 'f', 1))
               : tr("taken as straight, to 2 %"),
        l.lens.has_value());
    const bool steady = l.steady.size() == track.frames() && !l.steady.empty();
    double left = 0;
    if (steady) {
        std::vector<double> all;
        for (const auto& s : l.steady) all.push_back(s.sigma);
        std::nth_element(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(all.size() / 2), all.end());
        left = all[all.size() / 2];
    }
    say(Marked::shake,
        steady ? tr("taken out against the room, to ± %1 px").arg(QLocale().toString(left, 'f', 1)) : tr("the camera is taken as still"),
        steady);
    say(Marked::trim,
        l.trim_from_s || l.trim_to_s ? tr("from %1 to %2")
                                           .arg(text::time(l.trim_from_s.value_or(0)),
                                                text::time(l.trim_to_s.value_or(track.time_s.empty() ? 0 : track.time_s.back())))
                                     : tr("the whole clip"),
        l.trim_from_s || l.trim_to_s);
    QStringList states;
    for (const auto& s : marks.states)
        states << (s.seat ? tr("seated")
                          : tr("hand on a support from %1 to %2")
                                .arg(text::time(s.from_s), text::time(std::min(s.to_s, track.time_s.empty() ? 0 : track.time_s.back()))));
    say(Marked::support, states.isEmpty() ? tr("none: the feet carry all the weight") : states.join(QStringLiteral("; ")),
        !states.isEmpty());
    fit();
}

void RoomPanel::show_places(const std::vector<CameraPlace>& places, std::int64_t likely) {
    places_->clear();
    int at = 0;
    for (const auto& p : places) {
        const QString name = QString::fromStdString(p.name);
        places_->addItem(p.id == likely ? tr("%1 (looks like this room)").arg(name) : name, QVariant::fromValue<qint64>(p.id));
        if (p.id == likely) at = places_->count() - 1;
    }
    if (places.empty()) places_->addItem(tr("none kept yet"), QVariant::fromValue<qint64>(0));
    places_->setCurrentIndex(at);
    places_->setEnabled(!places.empty());
    take_place_->setEnabled(!places.empty());
}

} // namespace bevel::ui
