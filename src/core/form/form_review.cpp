#include "core/form/form_review.h"
#include "core/align/align.h"
#include "core/form/goes.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <atomic>
#include <cmath>
#include <future>
#include <iterator>
#include <map>
#include <numbers>
#include <set>
#include <tuple>

namespace bevel {
namespace {

using How = PartSeen::How;

/// Time of a stretch in which nobody is seen: no body on the frame, or no frame.
double unseen(const Motion& m, double from, double to) {
    double sum = 0;
    const double usual = 2.5 / std::max(1.0, m.rate);
    for (std::size_t i = 0; i + 1 < m.frames(); ++i) {
        const double a = std::max(from, m.time_s[i]), b = std::min(to, m.time_s[i + 1]);
        if (b <= a) continue;
        if (!m.valid[i] || !m.valid[i + 1] || m.time_s[i + 1] - m.time_s[i] > std::max(0.3, usual)) sum += b - a;
    }
    sum += std::max(0.0, std::min(to, m.time_s.front()) - from) + std::max(0.0, to - std::max(from, m.time_s.back()));
    return sum;
}

/// Whether somebody moves there, by a share of their height.
bool moves_at(const Motion& m, double from, double to, double share = 0.06) {
    double most = 0;
    std::optional<std::size_t> first;
    for (std::size_t i = 0; i < m.frames(); ++i) {
        if (!m.valid[i] || m.time_s[i] < from || m.time_s[i] > to) continue;
        if (!first) first = i;
        for (const Point p : {left_wrist, right_wrist, left_hip, right_hip, left_ankle, right_ankle})
            most = std::max(most, (m.m[i][static_cast<std::size_t>(p)] - m.m[*first][static_cast<std::size_t>(p)]).norm());
    }
    return most > share * m.stature;
}

/// Whether somebody stands (or sits) there as before or after the form, as the figure in its quiet stand: hips and hands as high, the feet
/// as far apart, the hips between them. Whoever is still in the middle of it for that moment is not at its end, however little moves.
bool rests_as(const Motion& m, double from, double to, const Pose& stand, double figure_m) {
    constexpr double near = 0.07, near_over_feet = 0.025; // of stature; a shift of weight moves the hips by three times that
    const auto told = [](const Body3& b, double stature) {
        const Vec3 hips = mid(b, left_hip), feet = mid(b, left_ankle);
        const auto at = [&](Point p) { return b[static_cast<std::size_t>(p)]; };
        return std::array<double, 5>{hips.y() / stature, at(left_wrist).y() / stature, at(right_wrist).y() / stature,
                                     (at(left_ankle) - at(right_ankle)).norm() / stature,
                                     std::hypot(hips.x() - feet.x(), hips.z() - feet.z()) / stature};
    };
    const auto quiet = told(stand.points, figure_m);
    std::array<std::vector<double>, 5> off;
    for (std::size_t i = 0; i < m.frames(); ++i) {
        if (!m.valid[i] || m.time_s[i] < from || m.time_s[i] > to) continue;
        const auto now = told(m.m[i], m.stature);
        for (std::size_t k = 0; k < off.size(); ++k) off[k].push_back(now[k] - quiet[k]);
    }
    for (std::size_t k = 0; k < off.size(); ++k)
        if (off[k].empty() || std::abs(signal::median(off[k])) > (k + 1 < off.size() ? near : near_over_feet)) return false;
    return true;
}

Result<Alignment> aligned(const Motion& motion, const Measures& measures, const LinkedCourse& course,
                          const std::vector<ReferenceModel>& models) {
    Form form;
    form.linked = true;
    for (std::size_t k = 0; k < models.size(); ++k) form.entries.push_back({&models[k], course.parts[k].side, course.parts[k].joins});
    return align(motion, measures, form);
}

class Reviewer {
public:
    Reviewer(FormReview& out, Review& review, const Track& track, const ReviewOptions& options)
        : out_(out), review_(review), track_(track), options_(options) {}

    Result<bool> run() {
        Motion& motion = review_.motion;
        const bool room = !motion.from_pictures(), turns = out_.reference->turns();
        auto found = room    ? by_body()
                     : turns ? align_as_seen(motion, review_.measures, *out_.reference, options_.view).map([](SeenForm s) {
                           return std::move(s.alignment);
                       })
                             : held_against(out_.reference->models());
        if (!found) return tl::unexpected(found.error());
        // What is not judged is told by its parts; the feet coming together after the last one are none.
        review_.alignment.left_out.clear();
        for (auto& r : found->repetitions) {
            // What was put between two moments at which somebody is seen is nothing that was seen.
            if (unseen(motion, r.start_s, r.end_s) > 0.5 * (r.end_s - r.start_s)) continue;
            PartSeen p;
            p.part = r.entry;
            // Whole but for the join, which nobody need do where something else came before.
            const LinkedPart& part = out_.reference->course().parts[r.entry];
            p.other_join = r.cut && part.joins > 0 && !r.phases.empty() && r.phases.front().index == part.joins &&
                           r.phases.back().index + 1 == part.movement->phases.size();
            p.how = r.cut && !p.other_join ? How::cut : How::done;
            p.from_s = r.start_s, p.to_s = r.end_s;
            if (p.how == How::done && !p.other_join) p.pace = (p.to_s - p.from_s) / part.duration_s();
            p.repetition = own_.size();
            own_.push_back(std::move(r));
            out_.parts.push_back(std::move(p));
        }
        if (own_.empty()) return fail(Code::cannot_judge, "no_repetition");
        if (room && turns) face_parts();
        if (!room && turns)
            if (auto ok = turn_parts(); !ok) return ok;
        order();
        lacking();
        judge_parts();
        put_together();
        remarks();
        drift();
        return true;
    }

private:
    Result<Alignment> held_against(const std::vector<ReferenceModel>& models) const {
        return aligned(review_.motion, review_.measures, out_.reference->course(), models);
    }

    /// Nobody knows yet which part it is, and so not the way that is to be faced: both are held against each other as the body points.
    Result<Alignment> by_body() {
        Motion& motion = review_.motion;
        const std::vector<double> facing = motion.facing;
        motion.facing = facing_by_body(motion);
        auto found = held_against(out_.reference->models_by_body());
        motion.facing = facing;
        return found;
    }

    /// The parts that were found say how the student turns: the clip is put on the ground once more, knowing that.
    Result<bool> turn_parts() {
        MotionOptions options = motion_options(options_);
        const double start = out_.reference->facing(0);
        for (const auto& p : out_.parts)
            for (double t = p.from_s; t < p.to_s; t += 0.2)
                options.turned.emplace_back(t, out_.reference->facing(own_[*p.repetition].to_reference(t)) - start);
        auto motion = make_motion(seen_by(track_, options_), options);
        if (!motion) return tl::unexpected(motion.error());
        motion->mirrored_hint.clear();
        review_.motion = std::move(*motion);
        review_.measures = measured(review_.motion);
        return true;
    }

    /// The way that is faced was taken from the form: it tells nothing of how it is kept.
    Measures measured(const Motion& m) const {
        Measures out = measure(m, {options_.sex});
        if (const auto facing = out.series.find("step.facing"); facing != out.series.end())
            for (auto& s : facing->second.samples)
                if (s.present()) s = {0, 0, Absent::view};
        return out;
    }

    /// A part from one camera: as a clip of its own, seen from where it is; what is learnt of feet and weight on the way is learnt of it
    /// alone. What is measured on the way round is left out: nobody knows how far it has gone.
    Evidence seen_apart(const PartSeen& p) const {
        constexpr double beside_s = 3, most_deg = 15;
        Evidence e;
        e.motion = stretch_of(review_.motion, p.from_s - beside_s, p.to_s + beside_s, options_.own);
        e.measures = measured(e.motion);
        const double yaw = part_yaw(p.part);
        for (std::size_t i = 0; i < e.motion.frames(); ++i) {
            if (std::abs(std::remainder(e.motion.facing[i] - yaw, 2 * std::numbers::pi)) < most_deg * std::numbers::pi / 180) continue;
            for (auto& [key, series] : e.measures.series)
                if (series.samples[i].present()) series.samples[i].absent = Absent::turned;
        }
        return e;
    }
    /// Against the way faced at the start, rad to own left.
    double part_yaw(std::size_t part) const {
        const auto& parts = out_.reference->course().parts;
        return (parts[part].frame.yaw - parts.front().frame.yaw) * std::numbers::pi / 180;
    }
    /// Neither from the front nor from the side, from one camera: there a part may be done and not be known again.
    bool seen_askew(std::size_t part) const {
        constexpr double near_deg = 25;
        if (!review_.motion.from_pictures()) return false;
        const double azimuth = review_.motion.start_azimuth - part_yaw(part);
        return std::abs(std::remainder(azimuth, std::numbers::pi / 2)) > near_deg * std::numbers::pi / 180;
    }

    /// What was measured of a part by itself, in place of what the whole has there.
    void put_in(const Measures& part, double from_s, double to_s) {
        Measures& all = review_.measures;
        const auto within = [&](double t) { return t >= from_s && t < to_s; };
        std::size_t at =
            static_cast<std::size_t>(std::lower_bound(all.time_s.begin(), all.time_s.end(), part.time_s.front()) - all.time_s.begin());
        for (std::size_t i = 0; i < part.time_s.size(); ++i, ++at) {
            if (!within(part.time_s[i])) continue;
            for (auto& [key, series] : all.series)
                if (const auto own = part.series.find(key); own != part.series.end()) series.samples[at] = own->second.samples[i];
        }
        const auto replace = [&](auto& of, const auto& by, auto time) {
            std::erase_if(of, [&](const auto& x) { return within(time(x)); });
            std::copy_if(by.begin(), by.end(), std::back_inserter(of), [&](const auto& x) { return within(time(x)); });
            std::stable_sort(of.begin(), of.end(), [&](const auto& a, const auto& b) { return time(a) < time(b); });
        };
        replace(all.shifts, part.shifts, [](const Shift& x) { return x.start_s; });
        replace(all.events, part.events, [](const Event& x) { return x.time_s; });
    }

    /// The way the student faces in each part: that of the part, turned by what the feet and the hips are turned against the reference's
    /// throughout. What is worked out along it is worked out anew.
    void face_parts() {
        Motion& m = review_.motion;
        const Motion& r = out_.reference->motion();
        auto plan = [](const Body3& b, Point to, Point from) {
            const Vec3 d = b[to] - b[from];
            return std::atan2(d.x(), d.z());
        };
        std::vector<double> off(out_.parts.size(), 0);
        double last = 0;
        for (std::size_t k = 0; k < out_.parts.size(); ++k) {
            const auto& p = out_.parts[k];
            std::vector<double> apart;
            const std::size_t joins = out_.reference->course().parts[p.part].joins;
            for (std::size_t j = 0; j < own_[*p.repetition].student_s.size(); ++j) {
                const double at = own_[*p.repetition].reference_s[j];
                if (at < out_.reference->models()[p.part].course[0].borders[joins]) continue;
                const auto a = frame_at(m, own_[*p.repetition].student_s[j]), b = frame_at(r, at);
                if (!m.valid[a]) continue;
                for (const auto& [to, from] : {std::pair{left_toe, left_heel},
                                               {right_toe, right_heel},
                                               {left_hip, right_hip},
                                               {left_shoulder, right_shoulder},
                                               {left_ankle, right_ankle}}) {
                    const Vec3 d = r.m[b][to] - r.m[b][from];
                    if (std::hypot(d.x(), d.z()) < 0.12) continue;
                    apart.push_back(std::remainder(plan(m.m[a], to, from) - plan(r.m[b], to, from), 2 * std::numbers::pi));
                }
            }
            if (!apart.empty()) {
                // About the first, so that half turns are not torn apart.
                for (double& v : apart) v = apart.front() + std::remainder(v - apart.front(), 2 * std::numbers::pi);
                last = signal::median(apart);
            }
            off[k] = last;
        }
        std::size_t k = 0;
        for (std::size_t i = 0; i < m.frames(); ++i) {
            while (k + 1 < out_.parts.size() && m.time_s[i] >= out_.parts[k + 1].from_s) ++k;
            const auto& p = out_.parts[k];
            const double t = std::clamp(m.time_s[i], p.from_s, p.to_s);
            m.facing[i] = out_.reference->facing(own_[*p.repetition].to_reference(t)) + off[k];
        }
        m.facing_sigma = std::hypot(m.facing_sigma, 2 * std::numbers::pi / 180);
        MeasureOptions options;
        options.sex = options_.sex;
        review_.measures = measure(m, options);
    }
    static std::size_t frame_at(const Motion& m, double t) {
        const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), t) - m.time_s.begin());
        return std::min(i, m.frames() - 1);
    }

    void order() {
        std::vector<std::size_t> done;
        for (const auto& p : out_.parts) done.push_back(p.part);
        const auto begins = goes_of(done);
        out_.goes = static_cast<int>(begins.size());
        for (std::size_t g = 0; g < begins.size(); ++g) {
            const auto from = done.begin() + static_cast<std::ptrdiff_t>(begins[g]),
                       to = g + 1 < begins.size() ? done.begin() + static_cast<std::ptrdiff_t>(begins[g + 1]) : done.end();
            const auto on = in_order({from, to});
            for (std::size_t i = 0; i < on.size(); ++i) {
                PartSeen& p = out_.parts[begins[g] + i];
                p.go = static_cast<int>(g);
                if (on[i]) continue;
                const bool twice = std::count(from, to, p.part) > 1;
                p.again = twice, p.out_of_order = !twice;
            }
        }
    }

    /// What is not among the parts that were found, told apart by what happens where it would be.
    void lacking() {
        const auto& parts = out_.reference->course().parts;
        std::vector<bool> there(parts.size(), false);
        for (const auto& p : out_.parts) there[p.part] = true;
        std::vector<PartSeen> all;
        const double pace = usual_pace();
        std::size_t next = 0; // part that would come
        int go_now = 0;
        const double begin = review_.motion.time_s.front(), end = review_.motion.time_s.back();
        // `around`: with the parts before and after it, which may have been stretched over what nobody saw.
        auto lack = [&](std::size_t from, std::size_t to, double from_s, double to_s, std::pair<double, double> around, bool first,
                        bool last) {
            double asked = 0;
            std::vector<std::size_t> gone;
            for (std::size_t k = from; k < to; ++k)
                if (!there[k]) gone.push_back(k), asked += pace * parts[k].duration_s();
            if (gone.empty()) return;
            const double time = std::max(0.0, to_s - from_s), hidden = unseen(review_.motion, around.first, around.second);
            How how = How::missing;
            // Somebody who is on the way as the clip begins or ends did something before or after it.
            const bool cut = (first && on_the_way(begin, begin + edge_s, 0)) ||
                             (last && on_the_way(end - edge_s, end, out_.reference->score().duration()));
            const bool long_enough = time - hidden > 0.5 * asked;
            if (cut || hidden > 0.25 * asked)
                how = How::not_seen;
            else if (long_enough && !quiet(from_s, to_s))
                how = How::unlike;
            else if (long_enough && review_.motion.from_pictures()) // what moves may be behind the body
                how = How::not_seen;
            for (const auto k : gone) {
                PartSeen p;
                p.part = k;
                p.go = go_now;
                p.how = how == How::missing && seen_askew(k) ? How::not_seen : how;
                p.from_s = from_s, p.to_s = std::max(from_s, to_s);
                all.push_back(std::move(p));
            }
        };
        double at = begin, before = begin;
        bool first = true;
        for (auto& p : out_.parts) {
            // Who begins again has left nothing out by it: not what came after, nor what comes before where they begin.
            if (p.go != go_now && !p.again && !p.out_of_order) next = p.part, go_now = p.go;
            if (!p.again && !p.out_of_order) {
                lack(next, p.part, at, p.from_s, {before, p.to_s}, first, false);
                next = p.part + 1;
                first = false;
            }
            at = p.to_s, before = p.from_s;
            all.push_back(std::move(p));
        }
        lack(next, parts.size(), at, end, {before, end}, first, true);
        out_.parts = std::move(all);
    }

    /// How long somebody has to stand at an end of the clip for nothing to have come before or after it: slow practice hardly moves in a
    /// second.
    static constexpr double edge_s = 1.5;
    static constexpr double edge_share = 0.03;
    /// Whether somebody is in the middle of it, where the form's figure would stand quietly (`stands_s` of the score).
    bool on_the_way(double from, double to, double stands_s) const {
        const Motion& m = review_.motion;
        return moves_at(m, from, to, edge_share) ||
               !rests_as(m, from, to, out_.reference->pose(stands_s), out_.reference->solver().dims().stature);
    }

    double usual_pace() const {
        std::vector<double> all;
        for (const auto& p : out_.parts)
            if (p.pace > 0) all.push_back(p.pace);
        if (all.empty()) return 1;
        std::nth_element(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(all.size() / 2), all.end());
        return all[all.size() / 2];
    }

    /// Whether hardly anything moves for most of a stretch.
    bool quiet(double from, double to) const {
        int still = 0, n = 0;
        for (double t = from; t + 1 <= to; t += 0.5, ++n) still += moves_at(review_.motion, t, t + 1) ? 0 : 1;
        return n == 0 || 2 * still > n;
    }

    /// Each by itself, on both hands.
    void judge_parts() {
        std::vector<std::vector<Finding>> found(out_.parts.size());
        std::vector<Measures> apart(out_.parts.size());
        std::atomic<std::size_t> next{0};
        const auto work = [&] {
            for (std::size_t k = next++; k < out_.parts.size(); k = next++) found[k] = judged(out_.parts[k], apart[k]);
        };
        auto other = std::async(std::launch::async, work); // what it throws is thrown here
        work();
        other.get();
        for (std::size_t k = 0; k < apart.size(); ++k)
            if (!apart[k].time_s.empty()) put_in(apart[k], out_.parts[k].from_s, out_.parts[k].to_s);
        for (auto& of : found)
            review_.findings.insert(review_.findings.end(), std::move_iterator(of.begin()), std::move_iterator(of.end()));
    }

    std::vector<Finding> judged(PartSeen& p, Measures& apart) const {
        if (p.how != How::done && p.how != How::cut) return {};
        const Movement& movement = *out_.reference->course().parts[p.part].movement;
        const Alignment alone{{own_[*p.repetition]}, {}};
        auto states = options_.states;
        const auto any = [&](auto of) { return std::any_of(movement.phases.begin(), movement.phases.end(), of); };
        // Only while the seat carries: sitting down and rising are judged as what the legs do.
        for (const auto& x : own_[*p.repetition].phases)
            if (movement.phases[x.index].posture.seat > 0.5) states.push_back({true, x.start_s, x.end_s});
        if (any([](const Phase& x) { return x.posture.left_hand.support > 0.5 || x.posture.right_hand.support > 0.5; }))
            states.push_back({false, p.from_s, p.to_s});
        const auto& model = out_.reference->models()[p.part];
        if (review_.motion.from_pictures()) {
            const Evidence seen = seen_apart(p);
            if (out_.reference->turns()) p.view = seen.motion.view;
            p.summaries = summarise(seen.motion, seen.measures, alone, movement, model, states);
            apart = seen.measures;
        } else {
            p.summaries = summarise(review_.motion, review_.measures, alone, movement, model, states);
        }
        const std::string number = std::to_string(p.part + 1), before = number + ".";
        auto out = judge(p.summaries, alone, movement);
        for (auto& f : out) {
            f.part = number;
            f.phase = f.phase.empty() ? f.phase : before + f.phase;
            for (auto& x : f.phases) x.phase = before + x.phase, renumber(x.repetitions, *p.repetition);
            if (!f.sure_phase.empty()) f.sure_phase = before + f.sure_phase;
            renumber(f.repetitions, *p.repetition);
            for (auto& o : f.outcomes) o.repetition = static_cast<int>(*p.repetition);
        }
        return out;
    }

    static void renumber(std::vector<int>& repetitions, std::size_t to) {
        for (int& r : repetitions) r = static_cast<int>(to);
    }

    /// Repetitions and checks of the parts as those of the whole.
    void put_together() {
        const auto& course = out_.reference->course();
        for (auto& r : own_) {
            const std::size_t first = out_.reference->first_phase(r.entry);
            for (auto& p : r.phases) p.index += first, p.id = course.whole.phases[p.index].id;
            for (auto& s : r.stops) s.phase += first;
            review_.alignment.repetitions.push_back(r);
        }
        for (std::size_t k = 0; k < course.parts.size(); ++k)
            for (Check c : course.parts[k].movement->checks) {
                c.part = std::to_string(k + 1);
                if (c.phases.empty())
                    for (const auto& p : course.parts[k].movement->phases) c.phases.push_back(p.id);
                for (auto& id : c.phases) id = c.part + "." + id;
                for (auto& e : c.events)
                    for (auto& id : e.phases) id = c.part + "." + id;
                review_.movement.checks.push_back(std::move(c));
            }
        // Safety first, then from the ground up; what is outside before what is not, in order of time.
        const auto rank = [](const Finding& f) {
            const bool outside = f.verdict == Verdict::outside;
            return std::tuple(!(outside && f.severity == Severity::safety), f.family, !outside, f.verdict, f.rule, f.check);
        };
        std::stable_sort(review_.findings.begin(), review_.findings.end(),
                         [&](const Finding& a, const Finding& b) { return rank(a) < rank(b); });
        for (auto& p : out_.parts)
            for (std::size_t k = 0; k < review_.findings.size() && p.repetition; ++k)
                if (of_repetition(review_.findings[k]) == *p.repetition) p.findings.push_back(k);
    }
    static std::size_t of_repetition(const Finding& f) {
        return f.outcomes.empty() ? static_cast<std::size_t>(-1) : static_cast<std::size_t>(f.outcomes.front().repetition);
    }

    void remarks() {
        struct Key {
            std::string rule, measure;
            Direction direction;
            Severity severity;
            auto operator<=>(const Key&) const = default;
        };
        std::map<Key, FormRemark> all;
        std::map<Key, std::set<std::string>> parts;
        std::map<std::pair<std::string, std::string>, std::set<std::string>> told;
        for (std::size_t k = 0; k < review_.findings.size(); ++k) {
            const Finding& f = review_.findings[k];
            if (f.verdict == Verdict::cannot_tell) continue;
            told[{f.rule, f.measure}].insert(f.part);
            if (f.verdict != Verdict::outside) continue;
            const Key key{f.rule, f.measure, f.direction, f.severity};
            all[key].findings.push_back(k);
            parts[key].insert(f.part);
        }
        for (auto& [key, r] : all) {
            r.parts = static_cast<int>(parts[key].size());
            r.told = static_cast<int>(told[{key.rule, key.measure}].size());
            auto far = [&](std::size_t k) { return std::abs(review_.findings[k].excess()) / review_.findings[k].scale(); };
            std::stable_sort(r.findings.begin(), r.findings.end(), [&](std::size_t a, std::size_t b) { return far(a) > far(b); });
            out_.remarks.push_back(std::move(r));
        }
        std::stable_sort(out_.remarks.begin(), out_.remarks.end(), [&](const FormRemark& a, const FormRemark& b) {
            const Finding &x = review_.findings[a.findings.front()], &y = review_.findings[b.findings.front()];
            const bool sx = x.severity == Severity::safety, sy = y.severity == Severity::safety;
            if (sx != sy) return sx;
            if (x.family != y.family) return x.family < y.family;
            return a.parts > b.parts;
        });
    }

    void drift() {
        if (review_.motion.from_pictures() || out_.parts.empty() || out_.goes > 1) return;
        const auto last = std::find_if(out_.parts.rbegin(), out_.parts.rend(), [](const PartSeen& p) { return p.how == How::done; });
        const auto first = std::find_if(out_.parts.begin(), out_.parts.end(), [](const PartSeen& p) { return p.how == How::done; });
        if (last == out_.parts.rend() || first->part != 0 || last->part + 1 != out_.reference->models().size()) return;
        auto way = [](const Motion& m, double from, double to) {
            auto at = [&](double t) {
                const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), t) - m.time_s.begin());
                return mid(m.m[std::min(i, m.frames() - 1)], left_ankle);
            };
            Vec3 d = at(to) - at(from);
            d.y() = 0;
            return d;
        };
        const Motion& r = out_.reference->motion();
        const Vec3 own = way(review_.motion, first->from_s, last->to_s),
                   asked = way(r, out_.reference->span(first->part).first, out_.reference->span(last->part).second);
        out_.drift_m = (own - asked).norm();
    }

    FormReview& out_;
    Review& review_;
    const Track& track_;
    const ReviewOptions& options_;
    std::vector<Repetition> own_; // of the parts, by their own phases
};

} // namespace

std::string_view how_name(How h) {
    constexpr std::array<std::string_view, 5> names{"done", "cut", "not_seen", "unlike", "missing"};
    return names[static_cast<std::size_t>(h)];
}

Result<SeenForm> align_as_seen(const Motion& motion, const Measures& measures, const FormReference& reference,
                               std::optional<View> declared) {
    constexpr double enough = 0.5;
    std::vector<double> from{0, 90, -90, 180, 45, -45, 135, -135};
    if (declared == View::oblique)
        from = {45, -45, 135, -135};
    else if (declared)
        from.resize(4);
    if (declared == View::left) std::swap(from[0], from[1]);
    if (declared == View::right) std::swap(from[0], from[2]);
    if (declared == View::back) std::swap(from[0], from[3]);
    const double length = motion.time_s.back() - motion.time_s.front();
    Result<SeenForm> best = fail(Code::cannot_judge, "no_repetition");
    for (const double azimuth : from) {
        auto found = aligned(motion, measures, reference.course(),
                             reference.models_seen(azimuth * std::numbers::pi / 180, motion.camera ? motion.camera->distance : 4));
        if (!found) continue;
        double well = 0;
        for (const auto& r : found->repetitions) well += std::max(0.0, 1 - r.cost) * (r.end_s - r.start_s) / length;
        if (!best || well > best->explained) best = SeenForm{std::move(*found), well};
        if (declared && azimuth == from.front() && best->explained > enough) break;
    }
    return best;
}

Result<std::shared_ptr<const FormReview>> make_form_review(const Track& track, const LinkedForm& form, std::span<const Movement> movements,
                                                           const ReviewOptions& options) {
    auto course = link(form, movements, {options.school, options.adaptations, options.clip});
    if (!course) return tl::unexpected(course.error());
    auto motion = make_motion(seen_by(track, options), motion_options(options));
    if (!motion) return tl::unexpected(motion.error());
    auto out = std::make_shared<FormReview>();
    auto review = std::make_shared<Review>();
    out->form = form;
    review->motion = std::move(*motion);
    MeasureOptions measure_options;
    measure_options.sex = options.sex;
    auto reference = std::async(std::launch::async, [&] { return std::make_shared<const FormReference>(*course, review->motion.stature); });
    review->measures = measure(review->motion, measure_options);
    out->reference = reference.get();
    review->reference = out->reference;
    review->movement = course->whole;
    review->movement.id = clip_id(form);
    if (auto ok = Reviewer(*out, *review, track, options).run(); !ok) return tl::unexpected(ok.error());
    out->review = std::move(review);
    return std::shared_ptr<const FormReview>(std::move(out));
}

} // namespace bevel
