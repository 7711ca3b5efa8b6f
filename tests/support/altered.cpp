#include "support/altered.h"
#include "core/rng.h"
#include <algorithm>
#include <cmath>

namespace bevel::test {
namespace {

constexpr double rad = 0.017453292519943295;

Vec3 middle(const Body3& b, Point left) {
    return 0.5 * (b[static_cast<std::size_t>(left)] + b[static_cast<std::size_t>(mirrored(left))]);
}
/// Own left and ahead on the floor.
Vec3 left_of(double facing) {
    return {std::cos(facing), 0, -std::sin(facing)};
}
Vec3 ahead_of(double facing) {
    return {std::sin(facing), 0, std::cos(facing)};
}

void turn(Body3& b, std::initializer_list<Point> left_points, bool with_nose, const Vec3& about, const Vec3& axis, double degrees) {
    const Eigen::Matrix3d r = Eigen::AngleAxisd(degrees * rad, axis.normalized()).toRotationMatrix();
    auto move = [&](Point p) {
        Vec3& q = b[static_cast<std::size_t>(p)];
        q = about + r * (q - about);
    };
    for (const Point p : left_points) move(p), move(mirrored(p));
    if (with_nose) move(nose);
}
void shift(Body3& b, std::initializer_list<Point> left_points, bool with_nose, const Vec3& by) {
    for (const Point p : left_points) {
        b[static_cast<std::size_t>(p)] += by;
        b[static_cast<std::size_t>(mirrored(p))] += by;
    }
    if (with_nose) b[nose] += by;
}

const std::initializer_list<Point> head{left_eye, left_ear},
    arms{left_shoulder, left_elbow, left_wrist, left_thumb, left_index, left_little},
    upper{left_eye, left_ear, left_shoulder, left_elbow, left_wrist, left_thumb, left_index, left_little};

} // namespace

const std::vector<Alteration>& alterations() {
    static const std::vector<Alteration> all{
        {"lean", "S1", "trunk.lean", Direction::high, 20,
         [](Body3& b, double f, double size) { turn(b, upper, true, middle(b, left_hip), left_of(f), size); }},
        {"lean_back", "S1", "trunk.lean", Direction::low, 15,
         [](Body3& b, double f, double size) { turn(b, upper, true, middle(b, left_hip), left_of(f), -size); }},
        {"side", "S1", "trunk.side", Direction::high, 14,
         [](Body3& b, double f, double size) { turn(b, upper, true, middle(b, left_hip), ahead_of(f), -size); }},
        {"head", "S3", "head.offset", Direction::high, 0.10,
         [](Body3& b, double f, double size) { shift(b, head, true, size * ahead_of(f)); }},
        {"twist", "H2", "turn.gap", Direction::high, 35,
         [](Body3& b, double, double size) { turn(b, upper, true, middle(b, left_hip), Vec3(0, 1, 0), size); }},
        {"shoulders_up", "A1", "shoulder.gap", Direction::low, 0.05,
         [](Body3& b, double, double size) { shift(b, arms, false, Vec3(0, size, 0)); }},
        {"shoulder_tilt", "A1", "shoulder.tilt", Direction::high, 10,
         [](Body3& b, double f, double size) { turn(b, arms, false, middle(b, left_shoulder), ahead_of(f), size); }},
        {"chin_up", "S4", "head.pitch", Direction::high, 25,
         [](Body3& b, double f, double size) { turn(b, head, true, middle(b, left_ear), left_of(f), -size); }},
        {"head_tilt", "S4", "head.roll", Direction::high, 14,
         [](Body3& b, double f, double size) { turn(b, head, true, middle(b, left_ear), ahead_of(f), -size); }},
        {"pelvis_tilt", "H1", "pelvis.tilt", Direction::high, 11,
         [](Body3& b, double f, double size) { turn(b, {left_hip}, false, middle(b, left_hip), ahead_of(f), size); }},
        {"hands_up", "A4", "hand.height", Direction::high, 0.22,
         [](Body3& b, double, double size) {
             shift(b, {left_wrist, left_thumb, left_index, left_little}, false, Vec3(0, size, 0));
         }},
        {"knees_in", "K1", "knee.inward", Direction::high, 0.08, [](Body3& b, double f, double size) {
             b[left_knee] -= size * left_of(f);
             b[right_knee] += size * left_of(f);
         }}};
    return all;
}

Track Altered::track() const {
    Track t;
    t.time_s = time_s;
    for (const auto& p : points) {
        t.m.emplace_back(p);
        t.px.emplace_back();
    }
    return t;
}

Altered altered(const sim::Take& take, const Alteration& what, const std::string& phase, const std::set<int>& repetitions) {
    Altered out{take.truth().time_s, take.truth().points};
    for (const auto& span : take.truth().phases) {
        if (span.id != phase || (!repetitions.empty() && !repetitions.contains(span.repetition))) continue;
        const double ramp = std::min(0.25, 0.25 * (span.end_s - span.start_s));
        for (std::size_t f = 0; f < out.time_s.size(); ++f) {
            const double t = out.time_s[f];
            const double in = std::clamp(std::min(t - span.start_s, span.end_s - t) / ramp, 0.0, 1.0);
            if (in > 0) what.apply(out.points[f], take.truth().facing[f], what.size * in * in * (3 - 2 * in));
        }
    }
    return out;
}

Altered frozen(const sim::Take& take, const std::vector<std::pair<double, double>>& stops) {
    const auto& t = take.truth().time_s;
    const double step = t[1] - t[0];
    Altered out;
    double later = 0;
    std::size_t next = 0;
    for (std::size_t f = 0; f < t.size(); ++f) {
        out.time_s.push_back(t[f] + later);
        out.points.push_back(take.truth().points[f]);
        if (next < stops.size() && t[f] >= stops[next].first) {
            for (double held = step; held < stops[next].second; held += step) {
                later += step;
                out.time_s.push_back(t[f] + later);
                out.points.push_back(take.truth().points[f]);
            }
            ++next;
        }
    }
    return out;
}

void add_noise(Track& track, double metres, double together_s, std::uint64_t seed, bool stated) {
    if (metres <= 0) return;
    Rng rng(seed);
    Body3 drift{};
    bool first = true;
    for (std::size_t f = 0; f < track.m.size(); ++f) {
        const double step = f == 0 ? 0.04 : track.time_s[f] - track.time_s[f - 1];
        const double keep = together_s > 0 ? std::exp(-step / together_s) : 0;
        for (std::size_t p = 0; p < point_count; ++p) {
            for (Eigen::Index a = 0; a < 3; ++a)
                drift[p][a] = first ? metres * rng.gauss() : keep * drift[p][a] + std::sqrt(1 - keep * keep) * metres * rng.gauss();
            (*track.m[f])[p] += drift[p];
        }
        first = false;
    }
    if (!stated) return;
    std::array<double, point_count> sigma{};
    sigma.fill(metres);
    track.m_sigma.assign(track.frames(), sigma);
}

std::vector<PhaseTruth> phase_truth(const sim::Take& take, const Altered& points, const std::string& key, const std::string& phase,
                                    const QuietTruth& quiet) {
    std::vector<PhaseTruth> out;
    for (const auto& span : take.truth().phases) {
        if (span.id != phase) continue;
        const double trim = std::min(0.15, 0.15 * (span.end_s - span.start_s));
        std::vector<double> v;
        for (std::size_t f = 0; f < points.time_s.size(); ++f) {
            if (points.time_s[f] < span.start_s + trim || points.time_s[f] > span.end_s - trim) continue;
            const auto all = frame_truth(points.points[f], take.truth().facing[f], take.student().dims(), quiet);
            if (const auto at = all.value.find(key); at != all.value.end()) v.push_back(at->second);
        }
        if (v.empty()) continue;
        std::nth_element(v.begin(), v.begin() + static_cast<std::ptrdiff_t>(v.size() / 2), v.end());
        out.push_back({span.repetition, span.side, v[v.size() / 2]});
    }
    return out;
}

} // namespace bevel::test
