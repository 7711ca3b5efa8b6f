#include "support/odd.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstdlib>

namespace bevel::test {

OddTake odd_take(std::uint64_t number) {
    Rng r(number * 7919 + 77);
    OddTake o;
    constexpr std::array<const char*, 3> movements{"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"};
    o.movement = movements[number % 3];
    o.metres = number % 4 == 3;
    auto chance = [&](double p) { return r.uniform() < p; };
    auto& t = o.options;
    t = sim::take_of(number + 5000, r.uniform(1.15, 2.05));
    auto& s = t.student;
    s.score.repetitions = 1;
    s.tempo = r.uniform(0.6, 1.6);
    s.legs = r.uniform(0.94, 1.08);
    s.hips = r.uniform(0.85, 1.3);
    s.neck = r.uniform(0.9, 1.1);
    s.mass_spread = 0.075; // two sigma are 15 %
    if (chance(0.4)) {
        s.stand_knee = r.uniform(-3, 12);
        s.stand_lean = r.uniform(-3, 6);
        s.stand_head = r.uniform(0, 0.06);
    }
    if (chance(0.4)) s.toe_out = r.uniform(-8, 25);
    auto& p = t.phone;
    constexpr std::array<View, 4> views{View::front, View::left, View::right, View::back};
    p.view = views[r.next() % 4];
    // Most film from about the front or the side; one in four from anywhere.
    p.turn_deg = chance(0.25) ? r.uniform(-45, 45) : r.uniform(-15, 15);
    p.beside_m = chance(0.5) ? r.uniform(-1.2, 1.2) : 0;
    p.roll_deg = chance(0.5) ? r.uniform(-6, 6) : 0;
    p.height_m = r.uniform(0.4, 2.0);
    p.focal = std::exp(r.uniform(std::log(0.5), std::log(1.6)));
    p.distance_m = std::clamp(4.2 * p.focal / 0.8, 2.6, 8.0) * s.stature_m / 1.7;
    // Somebody aimed it, more or less.
    p.tilt_deg =
        std::clamp(std::atan2(p.height_m - 0.5 * s.stature_m, p.distance_m) * 57.3 + (chance(0.5) ? r.uniform(-4, 4) : 0), -6.0, 15.0);
    p.distortion = chance(0.5) ? r.uniform(-0.04, 0.04) : 0;
    if (chance(0.3)) std::swap(p.width, p.height);
    constexpr std::array<double, 5> rates{24, 25, 30, 60, 120};
    p.fps = rates[r.next() % 5];
    if (chance(0.3)) t.rate_jitter = r.uniform(0, 0.6);
    if (chance(0.3)) t.dropped = r.uniform(0, 0.15);
    t.vertical_known = chance(0.6);
    t.roll_sigma = 0.005;
    t.slope_sigma = 0.006 / (p.focal * p.width);
    if (chance(0.15)) s.turn_deg = r.uniform(-60, 60);
    if (chance(0.3)) { // only the moving part, or cut in it
        o.quiet = false;
        t.from_s = 2.6 * s.tempo + r.uniform(0, 1.5);
        t.to_s = t.from_s + r.uniform(14, 26) * s.tempo;
    }
    o.mirrored = !o.metres && chance(0.2);
    o.noise = o.metres ? r.uniform(0.004, 0.020) : 0.006 * 0.887 * s.stature_m * p.focal * std::max(p.width, p.height) / p.distance_m;
    o.turn = r.uniform(-3.1, 3.1);
    o.place_x = r.uniform(-3, 3);
    o.place_z = r.uniform(-3, 3);
    o.floor_y = r.uniform(-1, 1);
    o.slope_x = chance(0.4) ? r.uniform(-0.02, 0.02) : 0;
    o.slope_z = chance(0.4) ? r.uniform(-0.02, 0.02) : 0;
    return o;
}

OddTake picture_take(int number) {
    Rng r(static_cast<std::uint64_t>(number) * 523 + 91);
    OddTake o;
    constexpr std::array<const char*, 3> movements{"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"};
    o.movement = movements[static_cast<std::size_t>(number) % 3];
    auto chance = [&](double p) { return r.uniform() < p; };
    auto& t = o.options;
    t = sim::take_of(static_cast<std::uint64_t>(number) + 600, r.uniform(1.2, 1.95));
    t.family = sim::Looks::Family::lofted;
    auto& s = t.student;
    s.score.repetitions = 1;
    s.tempo = r.uniform(0.8, 1.2);
    s.legs = r.uniform(0.96, 1.06);
    s.hips = r.uniform(0.9, 1.2);
    s.stand_knee = r.uniform(-3, 12);
    s.stand_lean = r.uniform(-3, 6);
    s.stand_head = r.uniform(0, 0.05);
    s.toe_out = r.uniform(-5, 15);
    auto& p = t.phone;
    constexpr std::array<View, 8> views{View::left, View::front, View::right, View::left, View::back, View::right, View::front, View::left};
    p.view = views[static_cast<std::size_t>(number) % 8];
    p.turn_deg = r.uniform(-18, 18);
    p.beside_m = chance(0.4) ? r.uniform(-0.7, 0.7) : 0;
    p.roll_deg = chance(0.4) ? r.uniform(-5, 5) : 0;
    p.height_m = r.uniform(0.6, 1.6);
    p.focal = std::exp(r.uniform(std::log(0.6), std::log(1.3)));
    p.distance_m = std::clamp(4.0 * p.focal / 0.8, 2.8, 4.6) * (s.stature_m / 1.7);
    p.focal = std::min(p.focal, 0.8 * p.distance_m / (3.6 * s.stature_m / 1.7));
    p.tilt_deg = std::clamp(std::atan2(p.height_m - 0.5 * s.stature_m, p.distance_m) * 57.3 + r.uniform(-2, 2), -6.0, 15.0);
    p.fps = 12;
    p.bare = chance(0.3);
    t.vertical_known = false; // told from the drawn room or not at all
    // A third of the clips show only the moving part.
    o.quiet = number % 3 != 2;
    t.from_s = o.quiet ? 0 : 3.2 * s.tempo;
    t.to_s = t.from_s + 15 * s.tempo;
    return o;
}

OddTake oblique_take(int number) {
    OddTake o = picture_take(number + 3000);
    Rng r(static_cast<std::uint64_t>(number) * 771 + 17);
    auto& t = o.options;
    auto& s = t.student;
    s.stature_m = r.uniform(1.5, 1.92);
    s.stand_knee.reset();
    s.stand_lean = s.stand_head = 0;
    constexpr std::array<sim::Looks::Family, 3> families{sim::Looks::Family::lofted, sim::Looks::Family::boxy, sim::Looks::Family::draped};
    t.family = families[static_cast<std::size_t>(number / 3) % families.size()];
    auto& p = t.phone;
    constexpr std::array<View, 4> views{View::front, View::left, View::right, View::back};
    p.view = views[static_cast<std::size_t>(number) % views.size()];
    const bool turns = number >= 2 * oblique_takes / 3;
    p.turn_deg = (r.uniform() < 0.5 ? -1 : 1) * (turns ? r.uniform(0, 20) : r.uniform(30, 60));
    p.beside_m = 0;
    p.roll_deg = r.uniform(-2, 2);
    p.focal = r.uniform(0.65, 0.95);
    p.distance_m = 4.3 * p.focal / 0.8 * s.stature_m / 1.7;
    p.height_m = r.uniform(0.8, 1.4);
    p.tilt_deg = std::atan2(p.height_m - 0.5 * s.stature_m, p.distance_m) * 57.3 + r.uniform(-2, 2);
    p.bare = false;
    o.quiet = number % 4 != 3;
    if (turns) {
        s.score.repetitions = 2;
        s.turn_deg = (r.uniform() < 0.5 ? -1 : 1) * r.uniform(60, 100);
        t.from_s = o.quiet ? 0 : 3.2 * s.tempo;
        t.to_s = t.from_s + 30 * s.tempo;
        p.fps = 8;
    } else {
        t.from_s = o.quiet ? 0 : 3.2 * s.tempo;
        t.to_s = t.from_s + 15 * s.tempo;
    }
    return o;
}

namespace {

struct ClearFault {
    const char* movement;
    const char* fault;
    View view;
    const char *rule, *words;
};
constexpr std::array<ClearFault, 12> clear_faults{{
    {"separate_the_clouds", "lean_forward=26", View::left, "S1", "Grow tall|Sit straight down|Rise from the crown"},
    {"separate_the_clouds", "lean_side.left=16", View::front, "S1", "You tip to your left"},
    {"separate_the_clouds", "head_forward=12", View::right, "S3", "ears back over the shoulders"},
    {"separate_the_clouds", "stance_narrow=0.6", View::front, "F1", "further apart"},
    {"gaze_at_the_moon", "stance_wide=0.6", View::front, "F1", "closer"},
    {"gaze_at_the_moon", "hurried_shift=0.75", View::front, "W4", "Take twice as long"},
    {"separate_the_clouds", "knee_in=20", View::front, "K1", "open"},
    {"gaze_at_the_moon", "shift_incomplete=0.35", View::front, "W3", "Pour the weight across"},
    {"gaze_at_the_moon", "stance_narrow=0.6", View::front, "F1", "further apart"},
    {"part_the_horses_mane", "lean_forward=30", View::right, "S1", "Grow tall|Sit straight down|Rise from the crown"},
    {"gaze_at_the_moon", "lean_side.right=16", View::front, "S1", "You tip to your right"},
    {"separate_the_clouds", "stance_narrow=0.7", View::back, "F1", "further apart"},
}};

} // namespace

JudgedTake judged_take(int number) {
    JudgedTake j{picture_take(number + 1000), {}, {}};
    auto& t = j.odd.options;
    auto& s = t.student;
    s.stand_knee.reset();
    s.stand_lean = s.stand_head = s.toe_out = 0;
    t.phone.fps = 15;
    t.from_s = j.odd.quiet ? 0 : 2.4 * s.tempo;
    t.to_s = t.from_s + 34 * s.tempo;
    if (number % 2 == 0) return j;
    const auto& f = clear_faults[static_cast<std::size_t>(number / 2) % clear_faults.size()];
    j.odd.movement = f.movement;
    t.phone.view = f.view;
    // Filmed as asked: squarely, in a room whose upright edges show.
    t.phone.turn_deg = std::clamp(t.phone.turn_deg, -10.0, 10.0);
    t.phone.bare = false;
    s.faults.push_back(*sim::parse_fault(f.fault));
    j.rule = f.rule;
    j.words = f.words;
    return j;
}

std::string OddTake::told() const {
    char text[400];
    const auto& p = options.phone;
    const auto& s = options.student;
    std::snprintf(text, sizeof text,
                  "%s %s turn %.0f beside %.1f roll %.0f tilt %.0f height %.1f focal %.2f dist %.1f %dx%d %.0f/s %s stature %.2f tempo "
                  "%.2f%s%s turns %.0f toe %.0f",
                  movement.c_str(), metres ? "3d" : std::string(view_name(p.view)).c_str(), p.turn_deg, p.beside_m, p.roll_deg, p.tilt_deg,
                  p.height_m, p.focal, p.distance_m, p.width, p.height, p.fps, options.vertical_known ? "edges" : "bare", s.stature_m,
                  s.tempo, quiet ? "" : " moving", mirrored ? " mirrored" : "", s.turn_deg, s.toe_out);
    return text;
}

Track odd_track(const OddTake& o, const sim::Take& take) {
    Track t = take.track();
    Rng r(o.options.student.seed * 31 + 9);
    if (o.metres) {
        for (auto& f : t.px) f.reset();
        t.vertical.reset();
        const double c = std::cos(o.turn), s = std::sin(o.turn);
        for (auto& f : t.m)
            for (auto& q : *f) {
                // A sloping floor: the student stands upright on it, every point raised by the floor under it.
                const Vec3 turned(q.x() * c + q.z() * s + o.place_x, q.y(), -q.x() * s + q.z() * c + o.place_z);
                q = turned + Vec3(0, o.floor_y + o.slope_x * (turned.x() - o.place_x) + o.slope_z * (turned.z() - o.place_z), 0);
                q += o.noise * Vec3(r.gauss(), r.gauss(), r.gauss());
            }
        return t;
    }
    for (auto& f : t.m) f.reset();
    BodyPx drift{};
    double last = t.time_s.empty() ? 0 : t.time_s.front();
    for (std::size_t i = 0; i < t.frames(); ++i) {
        // Noise that stays alike over about a third of a second, whatever the frame rate.
        const double keep = i == 0 ? 0 : std::exp(-(t.time_s[i] - last) / 0.3), fresh = std::sqrt(1 - keep * keep);
        last = t.time_s[i];
        for (std::size_t p = 0; p < point_count; ++p) {
            drift[p].x = keep * drift[p].x + fresh * o.noise * r.gauss();
            drift[p].y = keep * drift[p].y + fresh * o.noise * r.gauss();
            auto& q = (*t.px[i])[p];
            q.x += drift[p].x;
            q.y += drift[p].y;
            q.sigma = o.noise;
        }
    }
    if (!o.mirrored) return t;
    for (auto& f : t.px) {
        const BodyPx b = *f;
        for (int k = 0; k < point_count; ++k) {
            auto q = b[static_cast<std::size_t>(mirrored(static_cast<Point>(k)))];
            q.x = t.width - q.x;
            (*f)[static_cast<std::size_t>(k)] = q;
        }
    }
    if (t.vertical) t.vertical->roll = -t.vertical->roll;
    t.layers.mirrored = true;
    return t;
}

ReviewOptions odd_options(const OddTake& o) {
    ReviewOptions r;
    if (o.metres) r.view = View::three_d;
    r.stature_m = o.options.student.stature_m;
    return r;
}

bool odd_errors(std::uint64_t number, std::map<std::string, std::vector<Error>>& into, std::string& why) {
    const OddTake odd = odd_take(number);
    const sim::Take take(movement(odd.movement), odd.options);
    MotionOptions o;
    if (odd.metres) o.view = View::three_d;
    o.stature_m = odd.options.student.stature_m;
    const auto motion = make_motion(odd_track(odd, take), o);
    if (!motion) {
        why = motion.error().context + ": " + odd.told();
        return false;
    }
    const Measures found = measure(*motion);
    const bool quiet = motion->neutral.source == NeutralSource::quiet_second;
    const QuietTruth stand = quiet ? quiet_truth(take, motion->neutral.from_s, motion->neutral.to_s) : QuietTruth{};
    Rng r(number + 12345);
    const char* show = std::getenv("BEVEL_ODD");
    auto keep = [&](const std::string& id, double error, double sigma) {
        into[id + (odd.metres ? " 3d" : "")].push_back({error, sigma});
        if (show && id.find(show) == 0 && std::abs(error) > 2.5 * sigma)
            std::fprintf(stderr, "%llu %s: %.3g +- %.3g, %s\n", static_cast<unsigned long long>(number), id.c_str(), error, sigma,
                         odd.told().c_str());
    };
    std::map<std::string, std::vector<std::size_t>> frames;
    for (const auto& [key, s] : found.series)
        for (std::size_t f = 0; f < s.samples.size(); f += 3)
            if (s.samples[f].present()) frames[key].push_back(f);
    for (const auto& [key, list] : frames) {
        for (int tries = 0; tries < 4; ++tries) {
            const auto f = list[r.next() % list.size()];
            const auto truth = frame_truth(take, f, stand).value;
            const auto v = truth.find(key);
            if (v == truth.end() || found.series.at(key).unit == "state") continue;
            // A clamped share at its end says only that it is there.
            if (key == "weight.left" && (v->second <= 0 || v->second >= 1)) continue;
            const auto& s = found.series.at(key).samples[f];
            const double e = found.series.at(key).unit == "deg" ? std::remainder(s.value - v->second, 360) : s.value - v->second;
            keep(key.substr(0, key.find(".left") == std::string::npos || key == "weight.left" ? key.find(".right") : key.find(".left")), e,
                 s.sigma);
            break;
        }
    }
    // One shift and one landing of each take.
    const auto shifts = shift_truth(take, 0.3);
    for (std::size_t k = 0; k < shifts.size(); ++k) {
        const auto& truth = shifts[(k + number) % shifts.size()];
        if (truth.start_s < 0.3 || truth.end_s > take.truth().time_s.back() - 0.3) continue;
        const Shift* best = nullptr;
        for (const auto& s : found.shifts)
            if ((s.to > s.from) == (truth.to > truth.from) &&
                (!best || std::abs(s.start_s + s.end_s - truth.start_s - truth.end_s) <
                              std::abs(best->start_s + best->end_s - truth.start_s - truth.end_s)))
                best = &s;
        if (!best || std::abs(best->start_s + best->end_s - truth.start_s - truth.end_s) > 1.6) continue;
        keep("shift.start", best->start_s - truth.start_s, best->sigma_s);
        keep("shift.end", best->end_s - truth.end_s, best->sigma_s);
        keep("shift.onset", best->onset_s - truth.onset_s, best->onset_sigma_s);
        keep("shift.duration", best->duration() - (truth.end_s - truth.start_s), 1.4 * best->sigma_s);
        break;
    }
    const auto flats = flat_truth(take);
    for (std::size_t k = 0; k < flats.size(); ++k) {
        const auto& truth = flats[(k + number) % flats.size()];
        const Event* best = nullptr;
        for (const auto& e : found.events)
            if (e.kind == EventKind::flat && e.side == truth.side &&
                (!best || std::abs(e.time_s - truth.flat_s) < std::abs(best->time_s - truth.flat_s)))
                best = &e;
        if (!best || std::abs(best->time_s - truth.flat_s) > 1.0) continue;
        keep("flat", best->time_s - truth.flat_s, best->sigma_s);
        break;
    }
    return true;
}

bool picture_errors(int number, const Track& raw, std::map<std::string, std::vector<Error>>& mean,
                    std::map<std::string, std::vector<Error>>& one, std::string& why) {
    const OddTake odd = picture_take(number);
    const sim::Take take(kept_movement(odd.movement), odd.options);
    MotionOptions o;
    o.stature_m = odd.options.student.stature_m;
    const auto motion = make_motion(raw, o);
    if (!motion) {
        why = motion.error().context + ": " + odd.told();
        return false;
    }
    const Measures found = measure(*motion);
    const bool quiet = motion->neutral.source == NeutralSource::quiet_second;
    const QuietTruth stand = quiet ? quiet_truth(take, motion->neutral.from_s, motion->neutral.to_s) : QuietTruth{};
    const bool left_near = std::sin(motion->azimuth[motion->frames() / 2]) > 0;
    Rng r(static_cast<std::uint64_t>(number) + 99);
    const char* show = std::getenv("BEVEL_ODD");
    std::map<std::string, std::vector<Error>> all;
    for (const auto& [key, s] : found.series)
        for (std::size_t f = 0; f < s.samples.size() && f < take.frames(); ++f) {
            if (!s.samples[f].present()) continue;
            const auto truth = frame_truth(take, f, stand).value;
            const auto v = truth.find(key);
            if (v == truth.end() || (key == "weight.left" && (v->second <= 0 || v->second >= 1))) continue;
            std::string id = key;
            if (const auto dot = key.rfind('.'); s.side && dot != std::string::npos) {
                id = key.substr(0, dot);
                if (motion->has_z) id += (*s.side == Side::left) == left_near ? " near" : " far";
            }
            if (id == "knee.flexion near" || id == "knee.flexion far") id += quiet ? ", quiet stand" : ", none";
            double e = s.unit == "deg" ? std::remainder(s.samples[f].value - v->second, 360) : s.samples[f].value - v->second;
            if (s.unit == "state") e = e != 0 ? 1 : 0; // a contact is right or wrong
            all[id].push_back({e, s.samples[f].sigma});
        }
    for (const auto& [id, e] : all) {
        double sum = 0;
        for (const auto& x : e) sum += std::abs(x.error);
        mean[id].push_back({sum / static_cast<double>(e.size()), 0});
        one[id].push_back(e[r.next() % e.size()]);
        if (show && id.find(show) == 0)
            std::fprintf(stderr, "%d %s: %.2f, one %.2f +- %.2f, az %.0f; %s\n", number, id.c_str(), mean[id].back().error,
                         one[id].back().error, one[id].back().sigma, motion->azimuth[motion->frames() / 2] * 57.3, odd.told().c_str());
    }
    return true;
}

namespace {

struct OddFault {
    const char *movement, *fault, *check, *key;
    double least, most;
    bool high;
};
constexpr std::array<OddFault, 8> odd_faults{{
    {"separate_the_clouds", "lean_forward", "trunk_lean", "trunk.lean", 12, 25, true},
    {"separate_the_clouds", "lean_side.left", "trunk_side", "trunk.side", 10, 20, true},
    {"gaze_at_the_moon", "lean_side.right", "trunk_side", "trunk.side", 10, 20, false},
    {"separate_the_clouds", "head_forward", "head", "head.offset", 8, 14, true},
    {"separate_the_clouds", "stance_narrow", "stance", "stance.width", 0.4, 0.8, false},
    {"gaze_at_the_moon", "stance_wide", "stance", "stance.width", 0.4, 0.8, true},
    {"part_the_horses_mane", "lean_forward", "trunk_lean", "trunk.lean", 12, 25, true},
    {"gaze_at_the_moon", "knee_in", "knee_in", "knee.inward.left", 16, 30, true},
}};

} // namespace

OddVerdict odd_verdict(std::uint64_t number, bool with_fault) {
    OddTake odd = odd_take(number);
    auto& s = odd.options.student;
    s.stand_knee.reset();
    s.stand_lean = s.stand_head = s.toe_out = 0;
    Rng r(number * 31 + 5);
    const OddFault& wanted = odd_faults[r.next() % odd_faults.size()];
    OddVerdict out;
    if (with_fault) {
        odd.movement = wanted.movement;
        s.faults.push_back(*sim::parse_fault(std::string(wanted.fault) + "=" + std::to_string(r.uniform(wanted.least, wanted.most))));
        out.fault = wanted.fault;
    }
    const sim::Take take(movement(odd.movement), odd.options);
    const auto review = make_review(odd_track(odd, take), movement(odd.movement), odd_options(odd));
    if (!review) return out;
    out.reviewed = true;
    const Review& v = **review;
    if (!with_fault) {
        for (const auto& f : v.findings)
            // Who turns on the spot between two repetitions does move the planted feet.
            if (f.verdict == Verdict::outside && !(s.turn_deg != 0 && f.rule == "F4") &&
                (f.severity == Severity::safety || f.severity == Severity::ground || f.severity == Severity::timing)) {
                out.false_findings.push_back(f.check);
                char text[200];
                std::snprintf(text, sizeof text, "%s %.3g +- %.2g (own %.2g clip %.2g person %.2g) in %.3g..%.3g at %.2f s of %zu",
                              f.check.c_str(), f.value, f.sigma, f.own, f.clip, f.person, f.low.value_or(NAN), f.high.value_or(NAN),
                              f.time_s, f.repetitions.size());
                out.details.emplace_back(text);
            }
        return out;
    }
    const QuietTruth stand = v.motion.neutral.source == NeutralSource::quiet_second
                                 ? quiet_truth(take, v.motion.neutral.from_s, v.motion.neutral.to_s)
                                 : QuietTruth{};
    for (const auto& f : v.findings) {
        if (f.check != wanted.check || (f.side && f.side != Side::left)) continue;
        const Check* check = nullptr;
        for (const auto& c : v.movement.checks)
            if (c.id == f.check) check = &c;
        if (!check || f.verdict == Verdict::cannot_tell) continue;
        // The student's own truth over the same phases.
        std::vector<double> exact;
        for (const auto& rep : v.alignment.repetitions)
            for (const auto& p : rep.phases)
                if (check->phases.empty() || std::find(check->phases.begin(), check->phases.end(), p.id) != check->phases.end())
                    for (std::size_t i = 0; i < take.frames(); i += 4)
                        if (take.truth().time_s[i] >= p.start_s && take.truth().time_s[i] < p.end_s) {
                            const auto t = frame_truth(take, i, stand).value;
                            if (const auto k = t.find(wanted.key); k != t.end()) exact.push_back(k->second);
                        }
        if (exact.size() < 5) continue;
        std::nth_element(exact.begin(), exact.begin() + static_cast<std::ptrdiff_t>(exact.size() / 2), exact.end());
        const double truth = exact[exact.size() / 2];
        const auto& bound = wanted.high ? f.high : f.low;
        if (!bound || (wanted.high ? truth - *bound : *bound - truth) < std::max(3.7 * f.sigma, check->edge.value_or(0) + 1.64 * f.sigma))
            continue;
        out.clear = true;
        const bool same = f.direction == (wanted.high ? Direction::high : Direction::low);
        if (f.verdict == Verdict::outside) (same ? out.found : out.opposite) = true;
    }
    return out;
}

OddVerdict judged_verdict(int number, const Track& raw) {
    const JudgedTake j = judged_take(number);
    OddVerdict out;
    out.fault = j.rule;
    const auto review = make_review(raw, kept_movement(j.odd.movement, "judged"), odd_options(j.odd));
    if (!review) {
        out.details.push_back(review.error().context);
        return out;
    }
    out.reviewed = true;
    auto told = [&](const Finding& f) {
        char text[300];
        std::snprintf(text, sizeof text, "%s %s %.3g +- %.2g in %.3g..%.3g at %.2f s: %s", f.rule.c_str(), f.check.c_str(), f.value,
                      f.sigma, f.low.value_or(NAN), f.high.value_or(NAN), f.time_s, f.cue.c_str());
        out.details.emplace_back(text);
    };
    for (const auto& f : (*review)->findings) {
        if (f.verdict != Verdict::outside) continue;
        if (j.rule.empty()) {
            if (f.severity != Severity::safety && f.severity != Severity::ground && f.severity != Severity::timing) continue;
            out.false_findings.push_back(f.check);
            told(f);
        } else if (f.rule == j.rule) {
            std::string words = j.words;
            for (std::size_t at = 0; at < words.size();) {
                const auto end = std::min(words.find('|', at), words.size());
                out.found = out.found || f.cue.find(words.substr(at, end - at)) != std::string::npos;
                at = end + 1;
            }
            told(f);
        }
    }
    if (!j.rule.empty() && !out.found)
        for (const auto& f : (*review)->findings)
            if (f.rule == j.rule) told(f);
    return out;
}

OddVerdict oblique_verdict(int number, const Track& raw) {
    const OddTake odd = oblique_take(number);
    OddVerdict out;
    const auto review = make_review(raw, kept_movement(odd.movement), odd_options(odd));
    out.reviewed = review.has_value();
    if (!review) return out;
    for (const auto& f : (*review)->findings) {
        if (f.verdict != Verdict::outside) continue;
        if (f.severity != Severity::safety && f.severity != Severity::ground && f.severity != Severity::timing) continue;
        out.false_findings.push_back(f.check);
        char text[200];
        std::snprintf(text, sizeof text, "%d %s %.3g +- %.2g", number, f.check.c_str(), f.value, f.sigma);
        out.details.emplace_back(text);
    }
    return out;
}

double covered(const std::vector<Error>& e, double sigmas) {
    double in = 0;
    for (const auto& x : e) in += std::abs(x.error) <= sigmas * x.sigma ? 1 : 0;
    return e.empty() ? NAN : in / static_cast<double>(e.size());
}

double median_absolute(const std::vector<Error>& e) {
    std::vector<double> a;
    for (const auto& x : e) a.push_back(std::abs(x.error));
    if (a.empty()) return NAN;
    std::nth_element(a.begin(), a.begin() + static_cast<std::ptrdiff_t>(a.size() / 2), a.end());
    return a[a.size() / 2];
}

} // namespace bevel::test
