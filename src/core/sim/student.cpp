#include "core/sim/student.h"
#include "core/plain_number.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

namespace bevel::sim {
namespace {

struct FaultInfo {
    Fault fault;
    std::string_view name, unit;
    double most;
};
constexpr std::array<FaultInfo, 14> infos{{
    {Fault::stance_narrow, "stance_narrow", "SW", 1.2},
    {Fault::stance_wide, "stance_wide", "SW", 1.2},
    {Fault::knee_in, "knee_in", "deg", 40},
    {Fault::knee_past_toe, "knee_past_toe", "cm", 20},
    {Fault::knee_locked, "knee_locked", "deg", 20}, // past straight too
    {Fault::early_weight, "early_weight", "s", 3},
    {Fault::shift_incomplete, "shift_incomplete", "share", 0.5},
    {Fault::lean_forward, "lean_forward", "deg", 45},
    {Fault::lean_side, "lean_side", "deg", 30},
    {Fault::head_forward, "head_forward", "cm", 20},
    {Fault::turn_gap, "turn_gap", "deg", 60},
    {Fault::hurried_shift, "hurried_shift", "share", 0.8},
    {Fault::halting_shift, "halting_shift", "s", 10},
    {Fault::hips_turn_foot_off, "hips_turn_foot_off", "deg", 60},
}};

BodyDims vary(const StudentOptions& o, Rng& rng) {
    if (o.dims) return *o.dims;
    const double stature = o.stature_m, spread = o.proportion_spread;
    BodyDims d = BodyDims::of_stature(stature);
    for (double* v :
         {&d.shank, &d.thigh, &d.hip_width, &d.shoulder_width, &d.trunk, &d.neck_to_ear, &d.upper_arm, &d.forearm, &d.hand, &d.foot_length})
        *v *= 1 + spread * std::clamp(rng.gauss(), -2.0, 2.0);
    d.heel_behind = 0.25 * d.foot_length;
    // Legs, trunk and neck must still add up to the stature.
    const double want = (0.926 - 0.039) * stature, have = d.shank + d.thigh + d.trunk + d.neck_to_ear;
    for (double* v : {&d.shank, &d.thigh, &d.trunk, &d.neck_to_ear}) *v *= want / have;
    const double legs = d.shank + d.thigh, trunk = d.trunk;
    d.shank *= o.legs;
    d.thigh *= o.legs;
    d.trunk -= (o.legs - 1) * legs; // long legs, short trunk
    if (d.trunk < 0.5 * trunk) d.trunk = 0.5 * trunk;
    d.hip_width *= o.hips;
    d.neck_to_ear *= o.neck; // ankle to ear leaves 0.887 of stature
    return d;
}

} // namespace

std::string_view fault_name(Fault f) {
    return infos[static_cast<std::size_t>(f)].name;
}
std::string_view fault_unit(Fault f) {
    return infos[static_cast<std::size_t>(f)].unit;
}

std::optional<Fault> fault_from_name(std::string_view name) {
    for (const auto& i : infos)
        if (i.name == name) return i.fault;
    return std::nullopt;
}

Result<FaultSpec> parse_fault(const std::string& text) {
    const auto eq = text.find('=');
    if (eq == std::string::npos) return fail(Code::bad_value, text + ": expected NAME=SIZE");
    std::string name = text.substr(0, eq);
    FaultSpec spec{};
    if (const auto dot = name.find('.'); dot != std::string::npos) {
        const std::string side = name.substr(dot + 1);
        if (side != "left" && side != "right") return fail(Code::bad_value, text + ": side must be left or right");
        spec.side = side == "left" ? Side::left : Side::right;
        name.resize(dot);
    }
    const auto f = fault_from_name(name);
    if (!f) return fail(Code::bad_value, "no fault called '" + name + "'");
    spec.fault = *f;
    const std::string size = text.substr(eq + 1);
    const auto read = plain_number(size);
    spec.size = read.value_or(-1);
    if (spec.size < 0 || spec.size > infos[static_cast<std::size_t>(*f)].most)
        return fail(Code::bad_value, text + ": size must lie between 0 and " + std::to_string(infos[static_cast<std::size_t>(*f)].most));
    return spec;
}

Student::Student(const Movement& movement, const StudentOptions& o) : Student(Score(movement, o.score), o) {}

Student::Student(Score score, const StudentOptions& o)
    : score_(std::move(score)), solver_(
                                    [&] {
                                        Rng rng(o.seed * 7919 + 11);
                                        return vary(o, rng);
                                    }(),
                                    score_.movement().quiet()),
      options_(o) {
    Rng rng(o.seed);
    const auto& keys = score_.keys();
    const auto n = keys.size();
    for (auto* v : {&in_repetition_, &shifting_, &after_shift_, &foot_off_, &turning_, &deep_, &high_}) v->assign(n, false);
    // Deep and high are of the repetition: the parts of a form differ in it.
    std::map<int, std::pair<double, double>> depths;
    for (const auto& k : keys) {
        auto& [least, most] = depths.try_emplace(k.repetition, 2.0, 0.0).first->second;
        least = std::min(least, k.posture.depth);
        if (k.phase >= 0) most = std::max(most, k.posture.depth);
    }
    for (std::size_t i = 1; i < n; ++i) {
        const Posture &a = keys[i - 1].posture, &b = keys[i].posture;
        const auto [least, most] = depths.at(keys[i].repetition);
        const bool off = a.left_foot.contact == Contact::off || b.left_foot.contact == Contact::off ||
                         a.right_foot.contact == Contact::off || b.right_foot.contact == Contact::off;
        in_repetition_[i] = keys[i].phase >= 0;
        foot_off_[i] = off && in_repetition_[i];
        shifting_[i] = in_repetition_[i] && !off && std::abs(b.weight_left - a.weight_left) > 0.25 &&
                       std::abs(b.weight_left - 0.5) > 0.15 && b.weight_left > 0.1 && b.weight_left < 0.9;
        turning_[i] = in_repetition_[i] && (std::abs(b.shoulder_turn) > 10 || std::abs(a.shoulder_turn) > 10);
        deep_[i] = in_repetition_[i] && (b.depth < least + 0.06 || a.depth < least + 0.06);
        high_[i] = in_repetition_[i] && (b.depth > most - 0.03);
    }
    for (std::size_t i = 1; i + 1 < n; ++i)
        if (shifting_[i])
            for (std::size_t j = i + 1; j < n && std::abs(keys[j].posture.weight_left - keys[i].posture.weight_left) < 0.1; ++j)
                after_shift_[j] = true;
    for (double& p : sway_phase_) p = rng.uniform(0, 2 * std::numbers::pi);
    for (double& m : mass_noise_) m = 1 + o.mass_spread * std::clamp(rng.gauss(), -2.0, 2.0);
    int most_repetitions = 0;
    for (const auto& k : keys) most_repetitions = std::max(most_repetitions, k.repetition + 1);
    for (int i = 0; i <= most_repetitions; ++i) repetition_size_.push_back(1 + o.size_spread * std::clamp(rng.gauss(), -2.0, 2.0));
    run_clock(o, rng);
    int last = -1;
    for (const auto& k : keys) last = std::max(last, k.repetition);
    for (const auto& k : keys)
        if (o.turn_deg != 0 && k.repetition >= 0 && k.repetition <= last / 2) turn_from_ = time_of(k.time);
    turn_to_ = turn_from_ + 1.2;
}

double Student::facing(double t) const {
    const double s = score_time(t);
    const FloorFrame& frame = score_.frame_at(s);
    if (frame.yaw != 0 && options_.turn_deg == 0) return (frame.yaw + score_.at(s).pelvis_turn) * std::numbers::pi / 180;
    if (options_.turn_deg == 0) return 0;
    const double u = std::clamp((t - turn_from_ + 0.6) / (turn_to_ - turn_from_), 0.0, 1.0);
    return options_.turn_deg * std::numbers::pi / 180 * u * u * (3 - 2 * u);
}

void Student::run_clock(const StudentOptions& o, Rng& rng) {
    const auto& keys = score_.keys();
    std::vector<double> rate(keys.size(), 1.0);
    double hurry = 0, halt = 0;
    for (const auto& f : o.faults) {
        if (f.fault == Fault::hurried_shift) hurry = f.size;
        if (f.fault == Fault::halting_shift) halt = f.size;
    }
    for (std::size_t i = 1; i < keys.size(); ++i) {
        rate[i] = 1.0 / (o.tempo * std::exp(o.tempo_spread * std::clamp(rng.gauss(), -2.0, 2.0)));
        if (shifting_[i]) rate[i] /= 1 - hurry;
    }
    std::vector<bool> halted(keys.size(), false);
    double s = 0, speed = 1.0 / o.tempo, stop = -1;
    clock_.push_back(0);
    const double settle = clock_step / 0.12;
    while (s < score_.duration() && clock_.size() < 240 * 3600) {
        const std::size_t i = score_.stretch_at(s);
        double wanted = rate[i];
        if (halt > 0 && shifting_[i] && !halted[i] && s > 0.5 * (keys[i - 1].time + keys[i].time)) {
            halted[i] = true;
            stop = halt;
        }
        if (stop > 0) {
            wanted = 0;
            stop -= clock_step;
        }
        speed += (wanted - speed) * settle;
        s += speed * clock_step;
        clock_.push_back(std::min(s, score_.duration()));
    }
}

double Student::score_time(double t) const {
    const double x = std::clamp(t / clock_step, 0.0, static_cast<double>(clock_.size() - 1));
    const auto i = std::min(static_cast<std::size_t>(x), clock_.size() - 2);
    const double u = x - static_cast<double>(i);
    return clock_[i] + u * (clock_[i + 1] - clock_[i]);
}

double Student::time_of(double s) const {
    const auto it = std::lower_bound(clock_.begin(), clock_.end(), s);
    if (it == clock_.begin()) return 0;
    if (it == clock_.end()) return duration();
    const auto i = static_cast<std::size_t>(it - clock_.begin());
    const double d = clock_[i] - clock_[i - 1];
    return clock_step * (static_cast<double>(i - 1) + (d > 0 ? (s - clock_[i - 1]) / d : 0));
}

double Student::envelope(const std::vector<bool>& marked, double s) const {
    const auto& keys = score_.keys();
    double best = 0;
    for (std::size_t i = 1; i < keys.size(); ++i) {
        if (!marked[i]) continue;
        const double out = std::max({keys[i - 1].time - s, s - keys[i].time, 0.0});
        const double u = std::clamp(1 - out / 0.35, 0.0, 1.0);
        best = std::max(best, u * u * (3 - 2 * u));
    }
    return best;
}

double Student::shifted(double s) const {
    const auto& keys = score_.keys();
    const std::size_t i = score_.stretch_at(s);
    const double u = (s - keys[i - 1].time) / (keys[i].time - keys[i - 1].time), grown = u * u * (3 - 2 * u);
    auto way = [&](std::size_t k) { return keys[k].posture.weight_left > 0.5 ? 1.0 : -1.0; };
    if (shifting_[i]) return way(i) * grown;
    if (after_shift_[i]) return way(i);
    if (i > 1 && (shifting_[i - 1] || after_shift_[i - 1])) return way(i - 1) * (1 - grown);
    return 0;
}

std::vector<Side> Student::sides_of(const FaultSpec& f, double s) const {
    if (f.side) return {*f.side};
    const auto& k = score_.keys()[score_.stretch_at(s)];
    return {k.side};
}

void Student::apply_fault(const FaultSpec& f, double s, Channels& c) const {
    const double all = envelope(in_repetition_, s);
    const auto side = static_cast<std::size_t>(sides_of(f, s).front());
    const double way = side == 0 ? 1 : -1;
    switch (f.fault) {
    case Fault::stance_narrow:
    case Fault::stance_wide: {
        const double d = (f.fault == Fault::stance_wide ? 0.5 : -0.5) * f.size;
        c.foot[0].x += d;
        c.foot[1].x -= d;
        break;
    }
    case Fault::knee_in:
        for (std::size_t i = 0; i < 2; ++i)
            if (!f.side || static_cast<std::size_t>(*f.side) == i) c.knee_in[i] = f.size * envelope(deep_, s);
        break;
    case Fault::knee_past_toe: {
        const double e = std::abs(shifted(s));
        c.pelvis_forward += 0.013 * f.size * e;
        c.depth -= 0.004 * f.size * e;
        break;
    }
    case Fault::knee_locked: {
        const double e = envelope(high_, s);
        c.min_knee_flexion -= f.size * e;
        c.depth += 0.05 * e; // as tall as the knees allow
        break;
    }
    case Fault::early_weight: {
        const auto& keys = score_.keys();
        for (std::size_t i = 1; i < keys.size(); ++i)
            if (shifting_[i] && s > keys[i - 1].time - f.size - 0.5 && s < keys[i].time) {
                const double u = std::clamp((s - keys[i - 1].time + f.size + 0.5) / 0.5, 0.0, 1.0);
                const double back = std::clamp((keys[i].time - s) / 0.5, 0.0, 1.0);
                c.weight_left = score_.weight_left(s + f.size * std::min(u, back));
                // The shift may not run on into the next one.
                if (s + f.size > keys[i].time) c.weight_left = score_.weight_left(std::min(s + f.size * std::min(u, back), keys[i].time));
            }
        break;
    }
    case Fault::shift_incomplete: {
        c.weight_left -= f.size * shifted(s);
        break;
    }
    case Fault::lean_forward:
        c.lean += f.size * all;
        break;
    case Fault::lean_side:
        c.side += f.size * all * (f.side ? way : 1);
        break;
    case Fault::head_forward:
        c.head_forward += 0.01 * f.size * all;
        break;
    case Fault::turn_gap: {
        const double e = envelope(turning_, s) * (c.shoulder_turn >= 0 ? 1 : -1);
        c.shoulder_turn += 0.6 * f.size * e * std::min(1.0, std::abs(c.shoulder_turn) / 10);
        c.pelvis_turn -= 0.4 * f.size * e * std::min(1.0, std::abs(c.shoulder_turn) / 10);
        break;
    }
    case Fault::hips_turn_foot_off: {
        const auto& keys = score_.keys();
        const std::size_t i = score_.stretch_at(s);
        if (foot_off_[i]) {
            const double u = (s - keys[i - 1].time) / (keys[i].time - keys[i - 1].time);
            c.pelvis_turn += f.size * std::pow(std::sin(std::numbers::pi * u), 2);
        }
        break;
    }
    case Fault::hurried_shift:
    case Fault::halting_shift:
        break; // in the clock
    }
}

Channels Student::faulty(double t) const {
    const double s = score_time(t);
    Channels c = score_.at(s);
    const auto& key = score_.keys()[score_.stretch_at(s)];
    if (key.repetition >= 0) {
        const double in = envelope(in_repetition_, s);
        const double size =
            1 + (repetition_size_[static_cast<std::size_t>(key.repetition)] - 1) * in * std::min(1.0, std::abs(c.shoulder_turn) / 10 + 0.3);
        for (auto& h : c.hand) {
            h.x *= size;
            h.z *= size;
        }
    }
    if (only_.empty() || std::find(only_.begin(), only_.end(), key.repetition) != only_.end())
        for (const auto& f : options_.faults) apply_fault(f, s, c);
    if (options_.stand_knee) {
        c.min_knee_flexion = std::min(c.min_knee_flexion, *options_.stand_knee);
        const double quiet = 1 - envelope(in_repetition_, s);
        if (*options_.stand_knee < 7) c.depth += 0.02 * quiet;
        if (*options_.stand_knee > 7) c.min_knee_flexion = 7 + (*options_.stand_knee - 7) * quiet;
    }
    c.lean += options_.stand_lean;
    c.head_forward += options_.stand_head;
    for (auto& f : c.foot) f.toe_out += options_.toe_out;
    // Natural sway: a few slow sines with fixed phases.
    std::size_t k = 0;
    auto wave = [&](double mm) {
        double v = 0;
        for (const double hz : {0.13, 0.29, 0.47, 0.83})
            v += std::sin(2 * std::numbers::pi * hz * t + sway_phase_[k++ % 48]) / (1 + 3 * hz);
        return 0.0006 * mm * v * options_.sway;
    };
    c.sway = Vec3(wave(4), 0, wave(5));
    for (auto& h : c.hand_sway) h = Vec3(wave(6), wave(8), wave(6));
    c.weight_left = std::clamp(c.weight_left, 0.0, 1.0);
    return c;
}

/// A posture of the repetition under way in which the chair is used: it stands there all the time.
Posture Student::seat_at(double t) const {
    const Movement& m = score_.movement();
    const auto& key = score_.keys()[score_.stretch_at(score_time(t))];
    const bool right = key.side == Side::right && key.phase >= 0;
    for (const auto& p : m.phases)
        if (p.posture.seat > 0.5 || p.posture.left_hand.support > 0 || p.posture.right_hand.support > 0)
            return right ? p.posture.mirrored() : p.posture;
    return m.home;
}

Pose Student::pose(double t) const {
    Pose pose = solver_.solve(faulty(t));
    if (const auto& tool = score_.movement().tool) pose.tool = tool_ends(pose.points, *tool, solver_.dims().stature);
    pose.chair = chair_of(seat_at(t), pose, solver_.dims());
    if (options_.turn_deg != 0) return placed(std::move(pose), {0, 0, facing(t) * 180 / std::numbers::pi}, 1);
    return placed(std::move(pose), score_.frame_at(score_time(t)), solver_.dims().shoulder_width);
}

std::vector<SegmentMass> Student::masses(const Pose& pose) const {
    const auto& p = pose.points;
    std::vector<SegmentMass> out;
    auto mid = [&](Point a, Point b) { return Vec3(0.5 * (p[a] + p[b])); };
    const Vec3 hip = mid(left_hip, right_hip), shoulder = mid(left_shoulder, right_shoulder), ear = mid(left_ear, right_ear);
    const Vec3 forward = pose.bones[bone_chest].r.col(2);
    const Vec3 d = shoulder - hip;
    const auto& n = mass_noise_;
    out.push_back({0.0690 * n[0], ear + Vec3(0, 0.012, 0) + 0.008 * pose.bones[bone_head].r.col(2)});
    out.push_back({0.1596 * n[1], hip + 0.80 * d + 0.004 * forward}); // upper, middle and lower trunk
    out.push_back({0.1633 * n[2], hip + 0.43 * d + 0.008 * forward});
    out.push_back({0.1117 * n[3], hip + 0.06 * d + 0.000 * forward});
    for (const Side s : {Side::left, Side::right}) {
        auto seg = [&](Point a, Point b, double mass, double at) {
            const Vec3 &from = p[static_cast<std::size_t>(on(s, a))], &to = p[static_cast<std::size_t>(on(s, b))];
            out.push_back({mass, from + at * (to - from)});
        };
        seg(left_shoulder, left_elbow, 0.0271, 0.577);
        seg(left_elbow, left_wrist, 0.0162, 0.457);
        seg(left_wrist, left_index, 0.0061, 0.79);
        seg(left_hip, left_knee, 0.1416 * n[4], 0.40);
        seg(left_knee, left_ankle, 0.0433 * n[4], 0.44);
        seg(left_heel, left_toe, 0.0137, 0.44);
    }
    return out;
}

Contact contact_from_heights(double heel, double toe) {
    const bool h = heel < 0.010, t = toe < 0.010;
    return h && t ? Contact::flat : h ? Contact::heel : t ? Contact::toe : Contact::off;
}

Truth make_truth(const Student& student, const std::vector<double>& times) {
    Truth out;
    out.time_s = times;
    const double g = 9.81, d = 1.0 / 60.0;
    auto centre = [&](const Pose& pose) {
        Vec3 c = Vec3::Zero();
        double m = 0;
        for (const auto& s : student.masses(pose)) {
            c += s.mass * s.at;
            m += s.mass;
        }
        return Vec3(c / m);
    };
    const auto& keys = student.score().keys();
    for (const double t : times) {
        const Pose pose = student.pose(t);
        const auto& p = pose.points;
        const Vec3 c0 = centre(pose), before = centre(student.pose(t - d)), after = centre(student.pose(t + d));
        const Vec3 acc = (before - 2 * c0 + after) / (d * d);
        const Vec3 zero_moment = c0 - acc * c0.y() / g;
        auto foot_centre = [&](Side s) {
            const Vec3 &heel = p[static_cast<std::size_t>(on(s, left_heel))], &toe = p[static_cast<std::size_t>(on(s, left_toe))];
            Vec3 f = heel + 0.36 * (toe - heel);
            f.y() = 0;
            return f;
        };
        const Vec3 l = foot_centre(Side::left), r = foot_centre(Side::right);
        Vec3 axis = l - r;
        Vec3 rel = zero_moment - r;
        rel.y() = 0;
        const double w = rel.dot(axis) / axis.squaredNorm();
        std::array<Contact, 2> contact{};
        for (const Side s : {Side::left, Side::right})
            contact[static_cast<std::size_t>(s)] =
                contact_from_heights(p[static_cast<std::size_t>(on(s, left_heel))].y(), p[static_cast<std::size_t>(on(s, left_toe))].y());
        double shown = std::clamp(w, 0.0, 1.0);
        if (contact[0] == Contact::off) shown = 0;
        if (contact[1] == Contact::off) shown = 1;
        out.points.push_back(p);
        out.weight_raw.push_back(w);
        out.facing.push_back(student.facing(t));
        out.centre.push_back(c0);
        out.weight_left.push_back(shown);
        out.contact.push_back(contact);
        const auto& key = keys[student.score().stretch_at(student.score_time(t))];
        out.phase.push_back(key.phase < 0 ? "" : student.score().movement().phases[static_cast<std::size_t>(key.phase)].id);
    }
    for (std::size_t i = 1; i < keys.size(); ++i)
        if (keys[i].phase >= 0)
            out.phases.push_back({student.score().movement().phases[static_cast<std::size_t>(keys[i].phase)].id, keys[i].repetition,
                                  keys[i].side, student.time_of(keys[i - 1].time), student.time_of(keys[i].time)});
    return out;
}

} // namespace bevel::sim
