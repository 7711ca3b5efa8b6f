#include "core/measure/contact.h"
#include "core/measure/events.h"
#include "core/measure/frame_measures.h"
#include "core/measure/weight.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

using signal::Series;

/// Whether the axis a measure is told along lies near enough to the picture on this frame.
Absent seen(const Motion& m, std::size_t f, Axis axis, const MeasureInfo& info) {
    if (!m.from_pictures() || axis == Axis::any) return Absent::none;
    if (!info.over_floor.empty() && !m.apart_known &&
        std::abs(info.over_floor == "sideways" ? std::sin(m.azimuth[f]) : std::cos(m.azimuth[f])) > 0.4)
        return Absent::no_floor;
    if (axis == Axis::room) return Absent::view;
    if (axis == Axis::plan && !info.turned_deg) return Absent::none; // the errors decide
    const double c = std::abs(std::cos(m.azimuth[f])), s = std::abs(std::sin(m.azimuth[f]));
    const double off = axis == Axis::sideways || axis == Axis::plan ? std::atan2(s, c) / deg : std::atan2(c, s) / deg;
    // The gate is for the part itself, turned from where the picture would show it squarely.
    const double most = info.turned_deg.value_or(45);
    if (off <= most + 1e-9) return Absent::none;
    return off > 45 ? Absent::view : Absent::turned;
}

/// Works out one measure over the clip: values on every frame, errors on the grid of the motion and between them by interpolation.
class Column {
public:
    Column(const Motion& m, const std::vector<Body3>& own, const FrameMeasure& d, std::optional<Side> side)
        : m_(m), own_(own), d_(d), info_(*measure_info(d.id)), side_(side) {
        c_.side = side.value_or(Side::left);
        c_.info = &info_;
        c_.stature = m.stature;
        c_.shoulder_width = m.neutral.shoulder_width;
        c_.hip_height = m.neutral.hip_height;
        c_.thigh = m.neutral.thigh;
        if (m.neutral.source == NeutralSource::quiet_second) c_.neutral = &m.neutral.body;
        if (const auto part = own_part_of(d.id, side); part && m.neutral.own.of(*part)) {
            own_figure_ = *m.neutral.own.of(*part);
            c_.own = own_figure_.value;
        }
    }

    MeasureSeries run() {
        MeasureSeries out{d_.id, info_.unit, side_, std::vector<Sample>(m_.frames())};
        for (std::size_t f = 0; f < m_.frames(); ++f) {
            Sample& s = out.samples[f];
            s.absent = !m_.valid[f]                                    ? nobody(m_, f)
                       : info_.needs_vertical && !m_.vertical_known    ? Absent::no_vertical
                       : info_.needs_neutral && !c_.neutral && !c_.own ? Absent::no_neutral
                                                                       : seen(m_, f, d_.axis, info_);
            if (!s.present()) continue;
            const Value v = turned_pair(f) ? Value(Absent::turned) : d_.f(own_[f], c_);
            s.absent = v.absent;
            s.value = v.v;
        }
        errors(out);
        return out;
    }

private:
    /// One camera: whether the line of hips or shoulders itself is turned out of the picture by more than the gate (a tenth is left for
    /// the error of its width).
    bool turned_pair(std::size_t f) const {
        if (!m_.from_pictures() || d_.axis != Axis::sideways || d_.points.size() != 2 || d_.points[1] != mirrored(d_.points[0]))
            return false;
        const bool hips = d_.points[0] == left_hip;
        if (!hips && d_.points[0] != left_shoulder) return false;
        const double width = hips ? 0.100 * m_.stature : m_.neutral.shoulder_width;
        const Vec3 d = m_.m[f][static_cast<std::size_t>(d_.points[0])] - m_.m[f][static_cast<std::size_t>(d_.points[1])];
        const Vec3 right = Vec3(0, 1, 0).cross(m_.camera_at - m_.m[f][static_cast<std::size_t>(d_.points[0])]).normalized();
        return std::abs(d.dot(right)) < 0.93 * std::cos(*info_.turned_deg * deg) * width;
    }

    /// Line of sight through a point of a frame in own axes, unit.
    Vec3 sight(std::size_t f, std::size_t p) const {
        const Vec3 d = (m_.m[f][p] - m_.camera_at).normalized();
        return Vec3(d.x() * facing_.x() - d.z() * facing_.y(), d.y(), d.x() * facing_.y() + d.z() * facing_.x());
    }

    void errors(MeasureSeries& out) {
        std::vector<std::array<float, 3>> at; // own, clip, person; squared
        std::vector<std::size_t> frames;
        for (std::size_t g = 0; g < m_.grid.size(); ++g) {
            const auto f = m_.grid[g];
            if (!out.samples[f].present()) continue;
            at.push_back(error(f, g, out.samples[f].value));
            frames.push_back(f);
        }
        if (at.empty()) {
            for (auto& s : out.samples)
                if (s.present() && !m_.grid.empty()) at.push_back(error(m_.grid.front(), 0, s.value)), frames.push_back(m_.grid.front());
            if (at.empty()) return;
        }
        std::size_t k = 0;
        for (std::size_t f = 0; f < out.samples.size(); ++f) {
            Sample& s = out.samples[f];
            if (!s.present()) continue;
            while (k + 1 < frames.size() && frames[k + 1] <= f) ++k;
            const auto& a = at[k];
            const auto& b = at[std::min(k + 1, at.size() - 1)];
            const double span = k + 1 < frames.size() ? static_cast<double>(frames[k + 1] - frames[k]) : 1;
            const auto u = static_cast<float>(std::clamp((static_cast<double>(f) - static_cast<double>(frames[k])) / span, 0.0, 1.0));
            s.own = std::sqrt(a[0] + u * (b[0] - a[0]));
            s.clip = std::sqrt(a[1] + u * (b[1] - a[1]));
            s.person = std::sqrt(a[2] + u * (b[2] - a[2]));
            s.sigma = std::sqrt(s.own * s.own + s.clip * s.clip + s.person * s.person);
            if (info_.most_sigma && s.sigma > *info_.most_sigma) s = {0, 0, Absent::view};
        }
    }

    double difference(const Value& v, double centre) const {
        if (v.absent != Absent::none) return 0;
        return info_.unit == "deg" ? std::remainder(v.v - centre, 360) : v.v - centre;
    }

    std::array<float, 3> error(std::size_t f, std::size_t g, double centre) {
        double own = 0, clip = 0, person = 0;
        if (m_.from_pictures()) facing_ = Vec2(std::cos(m_.facing[f]), std::sin(m_.facing[f]));
        Body3 now = own_[f];
        Body3 then = c_.neutral ? *c_.neutral : now;
        Build c = c_;
        if (c.neutral) c.neutral = &then;
        const bool sided = side_.has_value();
        std::array<Vec3, point_count> biased, shaken; // effect of what stays with the person and of the frame, per axis, for pairs
        std::array<bool, point_count> has_bias{};
        for (const Point base : d_.points) {
            const bool follows = sided && base >= left_eye && base < right_eye && !pair_named(base);
            const auto p = static_cast<std::size_t>(follows ? on(c_.side, base) : base);
            const PointSigma& s = m_.sigma[f][p];
            const Vec3 keep = now[p], keep_then = then[p];
            std::array<std::pair<Vec3, double>, 3> steps{{{Vec3(1, 0, 0), s.across}, {Vec3(0, 1, 0), s.up}, {Vec3(0, 0, 1), s.depth}}};
            if (m_.from_pictures()) {
                const Vec3 d = sight(f, p), e1 = Vec3(0, 1, 0).cross(d).normalized();
                steps = {{{e1, s.across}, {d.cross(e1), s.up}, {d, s.depth}}};
            }
            for (std::size_t k = 0; k < 3; ++k) {
                const double h = std::max(1e-4, steps[k].second);
                now[p] = keep + h * steps[k].first;
                const double by = difference(d_.f(now, c), centre) / h;
                if (m_.from_pictures() && k < 2) {
                    if (k == 0) shaken[p].setZero();
                    shaken[p][static_cast<Eigen::Index>(k)] = by * steps[k].second;
                }
                own += std::pow(by * steps[k].second, 2);
                if (m_.from_pictures() && k < 2 && s.person > 0) { // what stays with the person moved the neutral alike
                    double with = by;
                    if (c.own && !own_figure_.by_hand) {
                        with = 0.33 * by; // moments seen alike are off alike
                    } else if (!c.own && c.neutral && info_.needs_neutral) {
                        then[p] = keep_then + h * steps[k].first;
                        with = difference(d_.f(now, c), centre) / h;
                        // A third of it changes with the posture.
                        with = std::hypot(with, 0.33 * by);
                    }
                    if (!has_bias[p]) biased[p].setZero();
                    has_bias[p] = true;
                    biased[p][static_cast<Eigen::Index>(k)] = with * (k == 0 ? s.person : s.person_up);
                }
                now[p] = keep;
                then[p] = keep_then;
            }
        }
        // The two sides of a person are offset alike: outward seen from front and back, forward from the side, up or down from anywhere.
        const bool sideways = m_.from_pictures() && std::abs(std::sin(m_.azimuth[f])) > 0.707;
        for (std::size_t p = 0; p < point_count; ++p) {
            if (!has_bias[p]) continue;
            person += biased[p].squaredNorm();
            const auto q = static_cast<std::size_t>(mirrored(static_cast<Point>(p)));
            if (q <= p || !has_bias[q]) continue;
            // Correlations of the two sides over the persons of the fit: hips and ears 0.6 outward, 0.9 up and down.
            constexpr double alike = 0.6, level = 0.85;
            auto together = [&](const Vec3& l, const Vec3& r) {
                return 2 * ((sideways ? 1 : -1) * alike * l[0] * r[0] + level * l[1] * r[1]);
            };
            person += together(biased[p], biased[q]);
            own = std::max(0.0, own + together(shaken[p], shaken[q]));
        }
        for (const auto& e : m_.shared) {
            Build moved = c_;
            moved.stature = e.stature;
            moved.shoulder_width = e.shoulder_width;
            moved.hip_height = c_.hip_height * e.stature / m_.stature;
            moved.thigh = c_.thigh * e.stature / m_.stature;
            if (moved.neutral) moved.neutral = &e.neutral;
            const double by = difference(d_.f(e.moved.empty() ? own_[f] : e.moved[g], moved), centre);
            (e.person ? person : clip) += by * by;
        }
        if (c_.own && own_figure_.sigma > 0) {
            Build moved = c_;
            moved.own = own_figure_.value + own_figure_.sigma;
            clip += std::pow(difference(d_.f(own_[f], moved), centre), 2);
        }
        if (std::string_view(d_.id) == "hip.height" && !c_.neutral) person += std::pow(0.03 * centre, 2); // hips of a body of this height
        return {static_cast<float>(own), static_cast<float>(clip), static_cast<float>(person)};
    }
    bool pair_named(Point left) const { return std::find(d_.points.begin(), d_.points.end(), mirrored(left)) != d_.points.end(); }

    const Motion& m_;
    const std::vector<Body3>& own_;
    const FrameMeasure& d_;
    const MeasureInfo& info_;
    std::optional<Side> side_;
    Build c_;
    OwnFigure own_figure_; // where c_.own is set
    Vec2 facing_{1, 0};    // cosine and sine of the way the student faces on the frame at hand
};

Series present_values(const MeasureSeries& s) {
    Series y(s.samples.size(), NAN);
    for (std::size_t f = 0; f < y.size(); ++f)
        if (s.samples[f].present()) y[f] = s.samples[f].value;
    return y;
}

/// Toes more than so far out make the frontal-plane projection of the knee meaningless; judged on the slow course of the toe-out.
void gate_toes(const Motion& m, Measures& out) {
    const double limit = *measure_info("knee.inward")->toes_out_deg;
    for (const Side side : {Side::left, Side::right}) {
        auto& inward = out.series.at(measure_key("knee.inward", side));
        const Series angle = present_values(out.series.at(measure_key("foot.angle", side)));
        const Series slow = m.from_pictures() ? signal::low_pass(m.time_s, signal::fill_gaps(m.time_s, angle, 1e9), 0.5) : angle;
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (inward.samples[f].present() && std::isfinite(slow[f]) && slow[f] > limit + 1e-9)
                inward.samples[f] = {0, 0, Absent::toes_out};
    }
}

MeasureSeries blank(const char* id, std::optional<Side> side, std::size_t n, Absent why) {
    const MeasureInfo& i = *measure_info(id);
    return {i.id, i.unit, side, std::vector<Sample>(n, Sample{0, 0, why})};
}

/// Way of one foot since it was set down, in foot lengths, and of its knee sideways, in SW.
class FootWay {
public:
    FootWay(const Motion& m, const std::vector<Body3>& own, const Measures& out, Side s)
        : m_(m), own_(own), contact_(out.contact[static_cast<std::size_t>(s)]), left_(out.series.at("weight.left").samples), s_(s),
          heel_(static_cast<std::size_t>(on(s, left_heel))), knee_(static_cast<std::size_t>(on(s, left_knee))),
          foot_(m.neutral.foot > 0 ? m.neutral.foot : 0.152 * m.stature), drift(blank("foot.drift", s, m.frames(), Absent::foot_off)),
          away(blank("foot.away", s, m.frames(), Absent::foot_off)), knee(blank("knee.drift", s, m.frames(), Absent::foot_off)) {
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (m.valid[f]) follow(f);
    }

private:
    const Motion& m_;
    const std::vector<Body3>& own_;
    const std::vector<Contact>& contact_;
    const std::vector<Sample>& left_; // share of the weight
    Side s_;
    std::size_t heel_, knee_;
    double foot_;
    std::vector<Vec3> places_; // where it stood, one after the other
    std::size_t landed_ = 0;
    bool is_set_ = false;
    Vec3 set_ = Vec3::Zero(), knee_set_ = Vec3::Zero(); // place of the foot and own place of the knee when it was set down

public:
    MeasureSeries drift, away, knee;

private:
    static Sample sample(double v, double sigma) {
        Sample q{v, sigma, Absent::none};
        q.own = static_cast<float>(sigma);
        return q;
    }
    bool flat(std::size_t f) const { return contact_[f] == Contact::flat; }
    /// The middle of two thirds of a second: a single frame has its noise.
    template <class F> Vec3 middle_of_start(std::size_t from, F place) const {
        std::array<Series, 3> v;
        for (std::size_t q = from; q < m_.frames() && m_.time_s[q] - m_.time_s[from] <= 0.67 && m_.valid[q] && flat(q); ++q)
            for (std::size_t k = 0; k < 3; ++k) v[k].push_back(place(q)[static_cast<Eigen::Index>(k)]);
        return {signal::median(v[0]), signal::median(v[1]), signal::median(v[2])};
    }
    /// A foot that slides stands nowhere: over a fifth of a second it keeps its place but for noise.
    bool rests(std::size_t f) const {
        std::size_t a = f, b = f;
        while (a > 0 && m_.valid[a - 1] && m_.time_s[f] - m_.time_s[a - 1] <= 0.1) --a;
        while (b + 1 < m_.frames() && m_.valid[b + 1] && m_.time_s[b + 1] - m_.time_s[f] <= 0.1) ++b;
        const Vec3 way = (foot_centre(m_.m[b], s_) - foot_centre(m_.m[a], s_)).cwiseProduct(Vec3(1, 0, 1));
        return way.norm() < FootModel{}.still_mps * (m_.time_s[b] - m_.time_s[a]) + 2 * m_.sigma[f][heel_].across;
    }
    /// An empty foot that goes along the floor steps, as one in the air does; one with weight on it slips.
    bool slides(std::size_t f) const {
        if (!left_[f].present() || rests(f)) return false;
        return (s_ == Side::left ? left_[f].value : 1 - left_[f].value) < 0.15;
    }
    void follow(std::size_t f) {
        if (!flat(f) || slides(f)) {
            is_set_ = false;
            landed_ = f + 1;
            return;
        }
        // A sole that has just come down settles for a moment.
        if (landed_ > 0 && landed_ < m_.frames() && m_.time_s[f] - m_.time_s[landed_] < 0.33) return;
        if (!is_set_) {
            is_set_ = true;
            set_ = middle_of_start(f, [&](std::size_t q) { return foot_centre(m_.m[q], s_); });
            knee_set_ = middle_of_start(f, [&](std::size_t q) { return own_[q][knee_]; });
        }
        tell_drift(f);
        tell_away(f);
        tell_knee(f);
    }
    void tell_drift(std::size_t f) {
        const Vec3 way = (foot_centre(m_.m[f], s_) - set_).cwiseProduct(Vec3(1, 0, 1));
        double length = way.norm();
        if (m_.from_pictures()) { // across the line of sight only
            const Vec3 d = (m_.m[f][left_hip] - m_.camera_at).cross(Vec3(0, 1, 0)).normalized();
            length = std::abs(way.dot(d));
        }
        const double across = m_.sigma[f][heel_].across;
        drift.samples[f] = sample(length / foot_, 1.414 * std::hypot(across, m_.from_pictures() ? FootModel{}.creep_m : 0) / foot_);
    }
    /// Against where it stood before the last step.
    void tell_away(std::size_t f) {
        const Vec3 c = foot_centre(m_.m[f], s_);
        const bool stands = rests(f);
        if (stands && (places_.empty() || (c - places_.back()).cwiseProduct(Vec3(1, 0, 1)).norm() > 0.4 * foot_)) places_.push_back(c);
        if (!stands || places_.size() < 3 || m_.from_pictures()) {
            away.samples[f].absent = m_.from_pictures() ? Absent::view : Absent::no_event;
        } else {
            const Vec3 by = c - places_[places_.size() - 3];
            away.samples[f] = sample(std::hypot(by.x(), by.z()) / foot_, 1.414 * m_.sigma[f][heel_].across / foot_);
        }
    }
    void tell_knee(std::size_t f) {
        const Vec3& k = own_[f][knee_];
        const auto& ks = m_.sigma[f][knee_];
        const Absent turned = seen(m_, f, Axis::sideways, *measure_info("knee.drift"));
        // A knee that moves forward looks as if it moved sideways, by the depth that is not told and by the error of the facing.
        const double slant = m_.from_pictures() ? std::abs(std::sin(m_.azimuth[f])) : 0;
        const double sigma = std::hypot(1.414 * ks.across, slant * ks.depth, m_.facing_sigma * (k.z() - knee_set_.z()));
        const double wide = m_.neutral.shoulder_width;
        knee.samples[f] = turned == Absent::none ? sample((k.x() - knee_set_.x()) / wide, sigma / wide) : Sample{0, 0, turned};
    }
};

/// Of both feet, and the way the hips face in the room.
void wander(const Motion& m, const std::vector<Body3>& own, Measures& out) {
    for (const Side s : {Side::left, Side::right}) {
        FootWay way(m, own, out, s);
        out.series[measure_key("foot.drift", s)] = std::move(way.drift);
        out.series[measure_key("foot.away", s)] = std::move(way.away);
        out.series[measure_key("knee.drift", s)] = std::move(way.knee);
    }
    MeasureSeries facing = blank("step.facing", std::nullopt, m.frames(), Absent::no_body);
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (!m.valid[f]) {
            facing.samples[f].absent = nobody(m, f);
        } else {
            facing.samples[f] = {m.facing[f] / deg, m.facing_sigma / deg, Absent::none};
            facing.samples[f].clip = static_cast<float>(m.facing_sigma / deg);
        }
    out.series["step.facing"] = std::move(facing);
}

/// Turn of the pelvis per second, for the rule that it rests while a foot is off.
void turn_rate(const Motion& m, Measures& out) {
    const auto& turn = out.series.at("pelvis.turn");
    Series room = present_values(turn); // against the room, so that a step of the facing is no turn of the pelvis
    for (std::size_t f = 0; f < m.frames(); ++f) room[f] += m.facing[f] / deg;
    const Series rate = signal::derivative(m.time_s, signal::low_pass(m.time_s, room, 2.0));
    MeasureSeries series = blank("pelvis.turn_rate", std::nullopt, m.frames(), Absent::view);
    for (std::size_t f = 0; f < m.frames(); ++f) {
        auto& s = series.samples[f];
        s.absent = turn.samples[f].absent;
        if (!s.present()) continue;
        if (!std::isfinite(rate[f])) {
            s.absent = Absent::no_body;
            continue;
        }
        s.own = static_cast<float>(std::max(0.5, turn.samples[f].own * rate_of_noise));
        s.value = freed_of_noise(rate[f], s.own);
        s.sigma = s.own;
    }
    out.series["pelvis.turn_rate"] = std::move(series);
    for (const Side side : {Side::left, Side::right}) {
        MeasureSeries foot = blank("foot.turn_rate", side, m.frames(), Absent::view);
        if (!m.from_pictures()) {
            // Against the room: the student's own turn and the toe-out together.
            const auto& angle = out.series.at(measure_key("foot.angle", side));
            Series yaw = present_values(angle), own;
            for (std::size_t f = 0; f < m.frames(); ++f) {
                yaw[f] = m.facing[f] / deg + (side == Side::left ? yaw[f] : -yaw[f]);
                if (angle.samples[f].present()) own.push_back(angle.samples[f].own);
            }
            const Series speed = signal::derivative(m.time_s, signal::low_pass(m.time_s, yaw, 2.0));
            const double noise = own.empty() ? 1 : std::max(0.5, signal::median(own) * rate_of_noise);
            for (std::size_t f = 0; f < m.frames(); ++f)
                if (std::isfinite(speed[f])) {
                    foot.samples[f] = {freed_of_noise(speed[f], noise), noise, Absent::none};
                    foot.samples[f].own = static_cast<float>(noise);
                }
        }
        out.series[measure_key("foot.turn_rate", side)] = std::move(foot);
    }
}

/// Rounding of the upper back and hollow of the low back against the quiet stand, where points are marked.
void curve_of_back(const Motion& m, Measures& out) {
    for (const bool upper : {true, false}) {
        const char* id = upper ? "back.upper" : "back.lower";
        MeasureSeries s = blank(id, std::nullopt, m.frames(), Absent::not_marked);
        Series quiet;
        auto curve = [&](std::size_t f) -> std::optional<double> {
            if (m.back.empty() || !m.back[f].middle || !(upper ? m.back[f].upper : m.back[f].low)) return std::nullopt;
            return upper ? *m.back[f].upper - *m.back[f].middle : *m.back[f].low - *m.back[f].middle;
        };
        const auto& own = m.neutral.own.of(upper ? OwnPart::back_upper : OwnPart::back_lower);
        const bool stood = !own && m.neutral.source == NeutralSource::quiet_second;
        for (std::size_t f = 0; stood && f < m.frames(); ++f)
            if (m.time_s[f] >= m.neutral.from_s && m.time_s[f] <= m.neutral.to_s)
                if (const auto c = curve(f)) quiet.push_back(*c);
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (const auto c = curve(f)) {
                if (!own && quiet.empty()) {
                    s.samples[f].absent = Absent::no_neutral;
                    continue;
                }
                const double stand = own ? 0 : m.back_sigma; // of what it is held against, beside the figure's own
                s.samples[f] = {*c - (own ? own->value : signal::median(quiet)), std::hypot(m.back_sigma, stand, own ? own->sigma : 0),
                                Absent::none};
                s.samples[f].own = static_cast<float>(std::hypot(m.back_sigma, stand));
                s.samples[f].clip = static_cast<float>(own ? own->sigma : 0);
            }
        out.series[id] = std::move(s);
    }
}

/// How much of the comfortable range is used: depth of the sink, twist of shoulders against hips, bend to the side, each by itself.
void use_of_range(const Motion& m, Measures& out) {
    struct Part {
        const char *id, *of;
        const std::optional<Comfort>& comfort;
        bool sink; // 1 is standing, and less is more of it
    };
    for (const auto& p : {Part{"range.depth", "hip.height", m.neutral.depth, true}, Part{"range.twist", "turn.gap", m.neutral.twist, false},
                          Part{"range.bend", "trunk.side", m.neutral.bend, false}}) {
        MeasureSeries s = blank(p.id, std::nullopt, m.frames(), Absent::not_recorded);
        if (p.comfort && p.comfort->value > 0) {
            const auto& of = out.series.at(p.of).samples;
            const double by = 100 / p.comfort->value;
            for (std::size_t f = 0; f < m.frames(); ++f) {
                s.samples[f] = of[f];
                if (!of[f].present()) continue;
                const double v = p.sink ? std::max(0.0, 1 - of[f].value) : std::abs(of[f].value);
                s.samples[f] = {by * v,
                                by * of[f].sigma,
                                Absent::none,
                                static_cast<float>(by * of[f].own),
                                static_cast<float>(by * of[f].clip),
                                static_cast<float>(by * of[f].person)};
            }
        }
        out.series[p.id] = std::move(s);
    }
}

/// Marked breath against the course of the hips: an in-breath against the nearest low (rising begins), an out-breath against the nearest
/// high; positive when the breath comes later.
void breathe(const Motion& m, Measures& out) {
    MeasureSeries lag = blank("breath.lag", std::nullopt, m.frames(), Absent::not_marked);
    for (std::size_t k = 0; k < m.breaths.size(); ++k) {
        const auto& b = m.breaths[k];
        const Event* best = nullptr;
        for (const auto& e : out.events)
            if (e.kind == (b.in ? EventKind::low : EventKind::high) &&
                (!best || std::abs(e.time_s - b.time_s) < std::abs(best->time_s - b.time_s)))
                best = &e;
        if (!best || std::abs(best->time_s - b.time_s) > 3) continue;
        const double until = k + 1 < m.breaths.size() ? m.breaths[k + 1].time_s : b.time_s + 5;
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (m.time_s[f] >= b.time_s && m.time_s[f] < until) {
                // A tap follows what is felt by about a quarter of a second, more or less.
                lag.samples[f] = {b.time_s - best->time_s, std::hypot(best->sigma_s, 0.12), Absent::none};
                lag.samples[f].own = static_cast<float>(lag.samples[f].sigma);
            }
    }
    out.series["breath.lag"] = std::move(lag);
    MeasureSeries ratio = blank("breath.ratio", std::nullopt, m.frames(), Absent::not_marked);
    for (std::size_t k = 1; k + 1 < m.breaths.size(); ++k) {
        if (m.breaths[k].in || !m.breaths[k - 1].in || !m.breaths[k + 1].in) continue;
        const double in = m.breaths[k].time_s - m.breaths[k - 1].time_s, breath_out = m.breaths[k + 1].time_s - m.breaths[k].time_s;
        const double r = breath_out / in, sigma = r * 0.12 * 1.414 * std::hypot(1 / in, 1 / breath_out);
        for (std::size_t f = 0; f < m.frames(); ++f)
            if (m.time_s[f] >= m.breaths[k - 1].time_s && m.time_s[f] < m.breaths[k + 1].time_s) {
                ratio.samples[f] = {r, sigma, Absent::none};
                ratio.samples[f].own = static_cast<float>(sigma);
            }
    }
    out.series["breath.ratio"] = std::move(ratio);
    // How far apart the hands are on a tool, against the first second of it: between the points themselves, so in room metres only.
    MeasureSeries spacing = blank("tool.spacing", std::nullopt, m.frames(), m.from_pictures() ? Absent::view : Absent::no_body);
    if (!m.from_pictures()) {
        std::vector<double> apart(m.frames(), NAN), first;
        for (std::size_t f = 0; f < m.frames(); ++f) {
            if (!m.valid[f]) continue;
            apart[f] = (m.m[f][left_wrist] - m.m[f][right_wrist]).norm();
            if (m.time_s[f] - m.time_s.front() < 1) first.push_back(apart[f]);
        }
        const double usual = first.empty() ? 0 : signal::median(first);
        for (std::size_t f = 0; f < m.frames() && usual > 0.02; ++f) {
            if (!m.valid[f]) continue;
            const double sigma = std::hypot(m.sigma[f][left_wrist].across, m.sigma[f][right_wrist].across) / usual;
            spacing.samples[f] = {apart[f] / usual, sigma, Absent::none};
            spacing.samples[f].own = static_cast<float>(sigma);
        }
    }
    out.series["tool.spacing"] = std::move(spacing);
}

} // namespace

std::string_view side_name(Side s) {
    return s == Side::left ? "left" : "right";
}

std::string measure_key(const std::string& id, std::optional<Side> side) {
    return side ? id + "." + std::string(side_name(*side)) : id;
}

std::string_view absent_name(Absent a) {
    constexpr std::array<std::string_view, absent_count> names{"none",      "view",       "no_body",    "turned",      "foreshortened",
                                                               "toes_out",  "feet_close", "no_neutral", "no_vertical", "foot_off",
                                                               "no_event",  "hidden",     "not_marked", "no_floor",    "not_recorded",
                                                               "supported", "seated",     "alike",      "no_occasion", "otherwise"};
    return names[static_cast<std::size_t>(a)];
}

std::optional<Absent> MeasureSeries::absent_throughout() const {
    std::array<std::size_t, absent_count> count{};
    for (const auto& s : samples) {
        if (s.present()) return std::nullopt;
        ++count[static_cast<std::size_t>(s.absent)];
    }
    return static_cast<Absent>(std::max_element(count.begin(), count.end()) - count.begin());
}

const MeasureSeries* Measures::find(const std::string& id, std::optional<Side> side) const {
    const auto it = series.find(measure_key(id, side));
    return it == series.end() ? nullptr : &it->second;
}

Measures measure(const Motion& m, const MeasureOptions& options) {
    Measures out;
    out.time_s = m.time_s;
    std::vector<Body3> own(m.frames());
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (m.valid[f]) own[f] = m.own(f);
    for (const auto& d : frame_measures()) {
        if (!measure_info(d.id)->sided) {
            out.series[d.id] = Column(m, own, d, std::nullopt).run();
            continue;
        }
        for (const Side s : {Side::left, Side::right}) out.series[measure_key(d.id, s)] = Column(m, own, d, s).run();
    }
    gate_toes(m, out);
    find_contacts(m, out);
    weigh(m, options.sex, out);
    wander(m, own, out);
    turn_rate(m, out);
    curve_of_back(m, out);
    use_of_range(m, out);
    find_events(m, out);
    breathe(m, out);
    return out;
}

} // namespace bevel
