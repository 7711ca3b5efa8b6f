#include "core/align/reference.h"
#include "core/align/align.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

ScoreOptions one_of_each() {
    ScoreOptions o;
    o.repetitions = 1;
    return o;
}

/// Times of the points between the borders of the phases.
std::vector<double> points_between(const std::vector<double>& borders) {
    std::vector<double> t;
    for (std::size_t p = 0; p + 1 < borders.size(); ++p)
        for (std::size_t k = 0; k < ReferenceModel::points_a_phase; ++k)
            t.push_back(borders[p] + (borders[p + 1] - borders[p]) * (static_cast<double>(k) + 0.5) /
                                         static_cast<double>(ReferenceModel::points_a_phase));
    return t;
}

/// Two neighbouring frames and how far between them a time lies.
struct Between {
    std::size_t a, b;
    double share;
};
Between between(const std::vector<double>& time_s, double t) {
    const auto it = std::upper_bound(time_s.begin(), time_s.end(), t);
    if (it == time_s.begin()) return {0, 0, 0};
    const auto b = static_cast<std::size_t>(it - time_s.begin());
    if (b == time_s.size()) return {b - 1, b - 1, 0};
    return {b - 1, b, (t - time_s[b - 1]) / (time_s[b] - time_s[b - 1])};
}

Body3 mix(const Body3& a, const Body3& b, double share) {
    Body3 out;
    for (std::size_t p = 0; p < point_count; ++p) out[p] = a[p] + share * (b[p] - a[p]);
    return out;
}

/// Mean and variance as they come in (Welford 1962).
struct Running {
    int n = 0;
    double mean = 0, m2 = 0;
    void add(double x) {
        ++n;
        const double d = x - mean;
        mean += d / n;
        m2 += d * (x - mean);
    }
    double sd() const { return n > 1 ? std::sqrt(m2 / (n - 1)) : 0; }
};

/// What one repetition gives at the points of a course: its time for each, and the measures and postures there.
struct Gathered {
    std::vector<std::vector<Vec3>> sum; // point of the course, point of the body
    std::vector<int> n;
    std::map<std::string, std::vector<Running>> measures;

    explicit Gathered(std::size_t points) : sum(points, std::vector<Vec3>(point_count, Vec3::Zero())), n(points, 0) {}
    void add(const Motion& motion, const Measures& ms, const std::vector<double>& at, double scale) {
        for (std::size_t k = 0; k < at.size(); ++k) {
            const auto [a, b, share] = between(motion.time_s, at[k]);
            if (!motion.valid[a] || !motion.valid[b]) continue;
            const Body3 body = mix(motion.own(a), motion.own(b), share);
            for (std::size_t p = 0; p < point_count; ++p) sum[k][p] += scale * body[p];
            ++n[k];
        }
        for (const auto& [key, series] : ms.series) {
            auto& column = measures.try_emplace(key, at.size()).first->second;
            for (std::size_t k = 0; k < at.size(); ++k) {
                const auto [a, b, share] = between(ms.time_s, at[k]);
                const Sample &x = series.samples[a], &y = series.samples[b];
                if (x.present() && y.present()) column[k].add(x.value + share * (y.value - x.value));
            }
        }
    }
    void into(ReferenceModel::Course& course) const {
        course.curves.clear();
        course.posture.clear();
        for (std::size_t k = 0; k < n.size(); ++k) {
            Body3 body{};
            for (std::size_t p = 0; p < point_count; ++p) body[p] = sum[k][p] / std::max(1, n[k]);
            course.posture.push_back(body);
        }
        for (const auto& [key, column] : measures) {
            Curve c;
            for (const auto& r : column) {
                c.mean.push_back(static_cast<float>(r.mean));
                c.sd.push_back(static_cast<float>(r.sd()));
                c.n.push_back(r.n);
            }
            course.curves.emplace(key, std::move(c));
        }
    }
};

} // namespace

std::optional<double> ReferenceModel::value(const std::string& id, std::optional<Side> of_part, Side lead, double t) const {
    const Course& c = of(lead);
    const auto it = c.curves.find(measure_key(id, of_part));
    if (it == c.curves.end() || !std::isfinite(t)) return std::nullopt;
    const auto [a, b, share] = between(c.time_s, t);
    if (it->second.n[a] == 0 || it->second.n[b] == 0) return std::nullopt;
    return it->second.mean[a] + share * (it->second.mean[b] - it->second.mean[a]);
}

Result<ReferenceModel> from_recordings(const ReferenceModel& movement, std::span<const Recording> recordings) {
    ReferenceModel out = movement;
    out.origin.clear();
    std::array<std::vector<const Repetition*>, 2> whole;
    std::array<std::vector<const Recording*>, 2> of;
    double hips = 0;
    for (const auto& r : recordings) {
        if (r.motion->from_pictures()) return fail(Code::bad_value, "view");
        out.origin += (out.origin.empty() ? "" : ", ") + r.name;
        hips += r.motion->neutral.hip_height / r.motion->stature / static_cast<double>(recordings.size());
        for (const auto& rep : r.alignment->repetitions)
            if (!rep.cut)
                for (const Side s : {Side::left, Side::right})
                    if (rep.side.value_or(s) == s)
                        whole[static_cast<std::size_t>(s)].push_back(&rep), of[static_cast<std::size_t>(s)].push_back(&r);
    }
    if (whole[0].empty() || whole[1].empty()) return fail(Code::cannot_judge, "no_repetition");
    out.hip_height = hips * out.stature;
    double start = movement.of(Side::left).from();
    for (std::size_t s = 0; s < 2; ++s) {
        auto& course = out.course[s];
        // Borders at the mean length of each phase.
        std::vector<double> lengths(out.phases.size(), 0);
        for (const auto* rep : whole[s])
            for (std::size_t p = 0; p < lengths.size(); ++p)
                lengths[p] += (rep->phases[p].end_s - rep->phases[p].start_s) / static_cast<double>(whole[s].size());
        course.borders = {start};
        for (const double l : lengths) course.borders.push_back(course.borders.back() + l);
        start = course.borders.back();
        course.time_s = points_between(course.borders);
        Gathered all(course.time_s.size());
        for (std::size_t k = 0; k < whole[s].size(); ++k) {
            std::vector<double> borders{whole[s][k]->phases.front().start_s};
            for (const auto& p : whole[s][k]->phases) borders.push_back(p.end_s);
            const Motion& m = *of[s][k]->motion;
            all.add(m, *of[s][k]->measures, points_between(borders), out.stature / m.stature);
        }
        all.into(course);
    }
    return out;
}

Reference::Reference(const Movement& movement, double stature_m)
    : score_(movement, one_of_each()), solver_(BodyDims::of_stature(stature_m), movement.quiet()) {
    Track track;
    const double rate = 30;
    for (int i = 0; i <= static_cast<int>(score_.duration() * rate); ++i) {
        track.time_s.push_back(i / rate);
        track.m.emplace_back(solver_.solve(score_.at(i / rate)).points);
        track.px.emplace_back();
    }
    MotionOptions o;
    o.view = View::three_d;
    o.stature_m = stature_m;
    // The reference has no noise to filter; a body solved from a checked movement always makes a motion.
    o.filter = false;
    o.errors = false;
    if (auto m = make_motion(track, o)) motion_ = std::move(*m);
    measures_ = measure(motion_);
    model_.movement = movement.id;
    model_.origin = "movement";
    model_.views = movement.best_views;
    for (const auto& p : movement.phases) model_.phases.push_back({p.id, p.role, p.ends_at});
    model_.stature = stature_m;
    model_.hip_height = motion_.neutral.hip_height;
    if (motion_.frames() > 0) model_.quiet = motion_.own(0);
    const auto& keys = score_.keys();
    for (std::size_t i = 1; i < keys.size(); ++i) {
        if (keys[i].phase < 0) continue;
        auto& b = model_.course[static_cast<std::size_t>(keys[i].side)].borders;
        if (b.empty()) b.push_back(keys[i - 1].time);
        b.push_back(keys[i].time);
    }
    for (auto& course : model_.course) {
        course.time_s = points_between(course.borders);
        Gathered one(course.time_s.size());
        one.add(motion_, measures_, course.time_s, 1);
        one.into(course);
    }
    model_.symmetric = movement.symmetric();
}

} // namespace bevel
