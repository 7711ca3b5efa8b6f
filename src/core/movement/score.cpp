#include "core/movement/score.h"
#include "core/movement/solver.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <numbers>
#include <tuple>

namespace bevel {
namespace {

constexpr std::size_t scalar_count = 29;

std::array<double, scalar_count> scalars(const Posture& p) {
    const Channels c = channels_of(p);
    return {c.weight_left,  c.depth,        c.pelvis_turn,     c.shoulder_turn,     c.lean,         c.side,
            c.gaze_turn,    c.gaze_pitch,   c.hand[0].x,       c.hand[0].y,         c.hand[0].z,    c.hand[0].elbow_out,
            c.hand[1].x,    c.hand[1].y,    c.hand[1].z,       c.hand[1].elbow_out, c.forward,      c.low_back,
            c.upper_back,   c.neck,         c.hand[0].palm,    c.hand[0].fist,      c.hand[1].palm, c.hand[1].fist,
            c.hand[0].drop, c.hand[1].drop, c.hand[0].support, c.hand[1].support,   c.seat};
}

/// Of the scalars: turns of pelvis and shoulders; leaning forward and aside.
bool is_turn(std::size_t c) {
    return c == 2 || c == 3;
}
bool is_tilt(std::size_t c) {
    return c == 4 || c == 5;
}

const FootTarget& foot_of(const Posture& p, Side s) {
    return s == Side::left ? p.left_foot : p.right_foot;
}

double smooth(double u) {
    u = std::clamp(u, 0.0, 1.0);
    return u * u * u * (10 - 15 * u + 6 * u * u);
}

} // namespace

Posture seen_from(const Posture& p, const FloorFrame& in, const FloorFrame& from) {
    if (in == from) return p;
    constexpr double rad = std::numbers::pi / 180;
    const double turn = in.yaw - from.yaw;
    Posture out = p;
    auto turned = [](double x, double z, double by) { // to own left
        return std::pair{x * std::cos(by) + z * std::sin(by), -x * std::sin(by) + z * std::cos(by)};
    };
    for (FootTarget* f : {&out.left_foot, &out.right_foot}) {
        const auto [gx, gz] = turned(f->x, f->z, in.yaw * rad);
        std::tie(f->x, f->z) = turned(gx + in.x - from.x, gz + in.z - from.z, -from.yaw * rad);
    }
    out.left_foot.toe_out += turn;
    out.right_foot.toe_out -= turn;
    out.pelvis_turn += turn;
    out.shoulder_turn += turn;
    const auto [aside, ahead] = turned(std::tan(p.side * rad), std::tan(p.lean * rad), turn * rad);
    out.side = std::atan(aside) / rad;
    out.lean = std::atan(ahead) / rad;
    return out;
}

Score::Score(const Movement& movement, const ScoreOptions& o) : movement_(movement) {
    if (movement.course) { // laid out already
        keys_ = *movement.course;
        build_channels();
        return;
    }
    const Posture quiet = movement.quiet();
    double t = 0;
    keys_.push_back({t, quiet, -1, -1, Side::left, Ease::settle});
    keys_.push_back({t += o.quiet_before_s, quiet, -1, -1, Side::left, Ease::settle});
    keys_.push_back({t += o.approach_s, movement.home, -1, -1, Side::left, Ease::flow});
    const int total = o.repetitions * (o.both_sides ? 2 : 1);
    for (int r = 0; r < total; ++r) {
        const bool second = o.both_sides && (o.alternate ? r % 2 == 1 : r >= o.repetitions);
        const Side side = second ? Side::right : Side::left;
        for (std::size_t i = 0; i < movement.phases.size(); ++i) {
            const Phase& ph = movement.phases[i];
            const Posture p = second ? ph.posture.mirrored() : ph.posture;
            keys_.push_back({t += ph.duration_s, p, static_cast<int>(i), r, side, ph.ease});
        }
    }
    keys_.push_back({t += o.approach_s, quiet, -1, -1, Side::left, Ease::settle});
    keys_.push_back({t += o.quiet_after_s, quiet, -1, -1, Side::left, Ease::settle});
    // The first repetition starts from the home of its own side.
    build_channels();
}

Score::Score(Movement whole, std::vector<ScoreKey> keys) : movement_(std::move(whole)), keys_(std::move(keys)) {
    build_channels();
}

void Score::build_channels() {
    for (std::size_t i = 0; i < keys_.size(); ++i)
        from_.push_back(i == 0 ? keys_[i].posture : seen_from(keys_[i - 1].posture, keys_[i - 1].frame, keys_[i].frame));
    std::vector<double> t;
    for (const auto& k : keys_) t.push_back(k.time);
    values_.assign(scalar_count, {});
    for (const auto& k : keys_) {
        const auto v = scalars(k.posture);
        for (std::size_t c = 0; c < scalar_count; ++c) values_[c].push_back(v[c] + (is_turn(c) ? k.frame.yaw : 0));
    }
    for (std::size_t c = 0; c < scalar_count; ++c) {
        slopes_.push_back(signal::monotone_slopes(t, values_[c]));
        for (std::size_t i = 0; i < keys_.size(); ++i)
            if (keys_[i].ease == Ease::settle || (is_tilt(c) && i + 1 < keys_.size() && keys_[i].frame.yaw != keys_[i + 1].frame.yaw))
                slopes_[c][i] = 0; // where the way faced changes, leaning forward becomes leaning aside
    }
}

std::size_t Score::stretch_at(double t) const {
    const auto it = std::upper_bound(keys_.begin() + 1, keys_.end() - 1, t, [](double v, const ScoreKey& k) { return v < k.time; });
    return static_cast<std::size_t>(it - keys_.begin());
}

double Score::channel(std::size_t which, std::size_t i, double u) const {
    const double h = keys_[i].time - keys_[i - 1].time;
    const double begin = is_tilt(which) ? (which == 4 ? from_[i].lean : from_[i].side) : values_[which][i - 1];
    return signal::quintic(begin, slopes_[which][i - 1], values_[which][i], slopes_[which][i], h, u);
}

double Score::weight_left(double t) const {
    t = std::clamp(t, 0.0, duration());
    const std::size_t i = stretch_at(t);
    return channel(0, i, (t - keys_[i - 1].time) / (keys_[i].time - keys_[i - 1].time));
}

Channels::Foot Score::foot_at(std::size_t i, double u, Side side) const {
    const FootTarget& a = foot_of(from_[i], side);
    const FootTarget& b = foot_of(keys_[i].posture, side);
    constexpr double heel_pitch = 16, toe_pitch = -24, peel = -24;
    const double high = b.contact == Contact::off ? b.lift : a.lift;
    auto pitch_of = [&](Contact c) { return c == Contact::heel ? heel_pitch : c == Contact::toe ? toe_pitch : 0.0; };
    Channels::Foot f;
    double travel = u;
    f.contact = b.contact;
    const double quarter = std::numbers::pi / 2;
    const bool slides = (a.slides() || b.slides()) && (a.contact == Contact::off || a.slides() || a.contact == Contact::flat) &&
                        (b.contact == Contact::off || b.slides() || b.contact == Contact::flat);
    if (slides) { // the sole stays along the floor; it comes up and down by the thickness of a sheet
        const bool leaves = a.contact != Contact::off, lands = b.contact != Contact::off;
        f.lift = leaves  ? b.lift * smooth(u / 0.2)
                 : lands ? a.lift * (1 - smooth((u - 0.9) / 0.1))
                         : a.lift + (b.lift - a.lift) * smooth(u);
        travel = leaves ? (u - 0.1) / 0.9 : lands ? u / 0.9 : u;
        f.contact = (leaves && u <= 0) || (lands && u >= 1) ? (leaves ? a.contact : b.contact) : Contact::off;
    } else if (a.contact != Contact::off && b.contact == Contact::off) {
        // The foot peels off heel first, then rises and travels.
        const double leave = 0.4;
        const double rise = std::max(0.0, (u - leave) / (1 - leave));
        travel = rise;
        f.lift = high * smooth(rise);
        f.pitch = u < leave ? pitch_of(a.contact) + (peel - pitch_of(a.contact)) * smooth(u / leave) : peel * (1 - smooth(rise));
        f.contact = u <= 0 ? a.contact : u < leave ? Contact::toe : Contact::off;
    } else if (a.contact == Contact::off && b.contact != Contact::off) {
        travel = u / 0.9;
        f.lift = high * std::cos(quarter * u);
        f.pitch = pitch_of(b.contact) * smooth(u / 0.8);
        f.contact = u >= 1 ? b.contact : Contact::off;
        if (b.contact == Contact::flat) { // toe first, then the heel sinks
            const double touch = 0.7;
            f.lift = u < touch ? high * (1 - smooth(u / touch)) : 0;
            f.pitch = u < touch ? -14 * smooth(u / 0.6) : -14 * (1 - smooth((u - touch) / (1 - touch)));
            travel = u / 0.68;
            f.contact = u < touch ? Contact::off : u < 1 ? Contact::toe : Contact::flat;
        }
    } else if (a.contact == Contact::off) {
        f.lift = a.lift + (b.lift - a.lift) * smooth(u);
        travel = u;
    } else {
        const double from = pitch_of(a.contact), to = pitch_of(b.contact);
        f.pitch = std::abs(to) < std::abs(from) ? to + (from - to) * std::cos(quarter * u) : from + (to - from) * smooth(u);
        f.contact = u >= 1 ? b.contact : (a.contact == b.contact ? a.contact : a.contact == Contact::flat ? b.contact : a.contact);
        // Turning on the spot: what turns is lifted a little off the floor.
        const double about_heel = std::abs(b.heel_turn - a.heel_turn), about_ball = std::abs(b.ball_turn - a.ball_turn);
        if (std::max(about_heel, about_ball) > 0 && a.contact == Contact::flat && b.contact == Contact::flat && u > 0 && u < 1) {
            const double up = std::pow(std::sin(std::numbers::pi * u), 2);
            f.pitch = (about_heel >= about_ball ? 9 : -14) * up;
            if (up > 0.15) f.contact = about_heel >= about_ball ? Contact::heel : Contact::toe;
        }
    }
    const double s = smooth(travel);
    f.x = a.x + (b.x - a.x) * s;
    f.z = a.z + (b.z - a.z) * s;
    f.toe_out = a.toe_out + (b.toe_out - a.toe_out) * s;
    f.heel_turn = a.heel_turn + (b.heel_turn - a.heel_turn) * s;
    f.ball_turn = a.ball_turn + (b.ball_turn - a.ball_turn) * s;
    return f;
}

Channels Score::at(double t) const {
    t = std::clamp(t, 0.0, duration());
    const std::size_t i = stretch_at(t);
    const double u = (t - keys_[i - 1].time) / (keys_[i].time - keys_[i - 1].time);
    auto v = [&](std::size_t which) { return channel(which, i, u); };
    Channels c;
    c.foot = {foot_at(i, u, Side::left), foot_at(i, u, Side::right)};
    c.weight_left = std::clamp(v(0), 0.0, 1.0);
    c.depth = v(1);
    c.pelvis_turn = v(2) - keys_[i].frame.yaw;
    c.shoulder_turn = v(3) - keys_[i].frame.yaw;
    c.lean = v(4);
    c.side = v(5);
    c.gaze_turn = v(6);
    c.gaze_pitch = v(7);
    c.forward = v(16);
    c.low_back = v(17);
    c.upper_back = v(18);
    c.neck = v(19);
    c.hand = {Channels::Hand{v(8), v(9), v(10), v(11), v(20), v(21), v(24), v(26)},
              Channels::Hand{v(12), v(13), v(14), v(15), v(22), v(23), v(25), v(27)}};
    c.seat = v(28);
    return c;
}

} // namespace bevel
