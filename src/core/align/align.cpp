#include "core/align/align.h"
#include "core/align/halts.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using namespace aligning;

/// Borders that end with an event that was found are put there.
void snap(Repetition& r, const ReferenceModel& model, const Measures& ms) {
    for (std::size_t p = 0; p < r.phases.size(); ++p) {
        const std::string& kind = model.phases[r.phases[p].index].ends_at;
        if (kind.empty()) continue;
        double best = 0.25, at = NAN;
        auto offer = [&](double t) {
            if (std::abs(t - r.phases[p].end_s) < best) {
                best = std::abs(t - r.phases[p].end_s);
                at = t;
            }
        };
        for (const auto& e : ms.events) {
            if (!r.side || e.side != r.side || e.part != Part::foot) continue;
            if (kind == "foot_off" && e.kind == EventKind::off) offer(e.time_s);
            if (kind == "foot_down" && (e.kind == EventKind::heel_down || e.kind == EventKind::toe_down)) offer(e.time_s);
            if (kind == "foot_flat" && e.kind == EventKind::flat) offer(e.time_s);
        }
        if (kind == "shift_end")
            for (const auto& s : ms.shifts) offer(s.end_s);
        if (!std::isfinite(at) || at <= r.phases[p].start_s + 0.05) continue;
        if (p + 1 < r.phases.size() && at >= r.phases[p + 1].end_s - 0.05) continue;
        r.phases[p].end_s = at;
        if (p + 1 < r.phases.size()) r.phases[p + 1].start_s = at;
    }
}

/// Whether a repetition is like the reference from its beginning to its end: one that is cut off by the end of the clip is squeezed to fit.
bool is_whole(const Path& path, const Eigen::MatrixXd& reference, const Eigen::MatrixXd& student) {
    const std::size_t part = std::max<std::size_t>(1, path.size() / 6);
    auto mean = [&](std::size_t from, std::size_t to) {
        double sum = 0;
        for (std::size_t k = from; k < to; ++k) sum += distance(reference, path[k].first, student, path[k].second);
        return sum / static_cast<double>(to - from);
    };
    return mean(0, part) < 0.9 && mean(path.size() - part, path.size()) < 0.9;
}

/// Of a clip, or as a form says from where its parts are seen.
Axes axes_for(const Motion& motion, const Form& form) {
    Axes a = axes_of(motion);
    if (a.room) return a;
    for (const auto& e : form.entries)
        for (const auto& c : e.movement->course) {
            if (c.seen_from.empty()) continue;
            if (&e == &form.entries.front()) a.azimuth = c.seen_from.front();
            a.sideways = a.sideways || std::any_of(c.seen_from.begin(), c.seen_from.end(),
                                                   [](double v) { return std::abs(std::sin(v)) > seen_sideways; });
        }
    return a;
}

/// A clip held against a form.
class Aligner {
public:
    Aligner(const Motion& motion, const Measures& measures, const Form& form)
        : motion_(motion), measures_(measures), competes_(form.competes), linked_(form.linked), any_order_(form.any_order),
          axes_(axes_for(motion, form)), own_(features(postures(motion, axes_), axes_)) {
        for (std::size_t e = 0; e < form.entries.size(); ++e)
            for (const Side s : {Side::left, Side::right})
                if (form.entries[e].side.value_or(s) == s) {
                    Unit u{e, s, form.entries[e].movement, {}, {}, {}, {}, {}};
                    if (form.entries[e].joins > 0) u.joined_s = u.course().borders.at(form.entries[e].joins);
                    u.courses = features(postures(*u.model, u.course(), axes_), axes_);
                    units_.push_back(std::move(u));
                }
        const ReferenceModel& first = *form.entries.front().movement;
        quiet_ = features(quietly(first, axes_), axes_).at({0});
        Eigen::MatrixXd all = quiet_;
        for (auto& u : units_) {
            u.rows = u.courses.at(times(u.course().from(), u.course().to(), coarse));
            Eigen::MatrixXd both(all.rows() + u.rows.rows(), all.cols());
            both << all, u.rows;
            all = std::move(both);
        }
        scale_ = standard(all, quiet_, own_, motion);
        pace_sd_ = scale_.sd;
        find_stills();
        if (any_order_) by_the_clip();
        for (auto& u : units_) {
            u.rows = course_at(u, u.times);
            scale_.reference(u.rows);
        }
        scale_.reference(quiet_);
        merge_alike();
    }

    Alignment run() {
        Alignment found = repetitions();
        if (found.repetitions.empty() && !linked_) found = stands();
        return found;
    }

private:
    static constexpr double fair = 0.25; // mean cost of a fit that is not tried at another size
    static constexpr double well = 0.1;  // mean cost of a fit, in variances, that needs no second look
    struct Fit {
        Alignment found;
        double cost = 0; // of explaining the whole clip
        double mean_cost() const {
            double sum = 0;
            for (const auto& r : found.repetitions) sum += r.cost;
            return found.repetitions.empty() ? inf : sum / static_cast<double>(found.repetitions.size());
        }
    };

    /// Of a movement that is mostly a hold: stretches of its posture that begin and end with the clip or with something else, each a
    /// repetition of which the hold alone is seen.
    Alignment stands() const {
        constexpr double mostly = 0.4, least_s = 8, apart_s = 2, like = 0.6, first_s = 10;
        Alignment out;
        if (units_.empty()) return out;
        const Unit& u = units_.front();
        const auto& c = u.course();
        const auto figure = std::max_element(u.stills.begin(), u.stills.end(),
                                             [](const Still& a, const Still& b) { return a.to - a.from < b.to - b.from; });
        if (figure == u.stills.end() || figure->to - figure->from < mostly * (c.to() - c.from())) return out;
        const double middle = 0.5 * (figure->from + figure->to);
        std::size_t phase = 0;
        while (phase + 1 < u.model->phases.size() && c.borders[phase + 1] < middle) ++phase;
        std::vector<Still> whole;
        for (const auto& s : stills_)
            if (!whole.empty() && s.from - whole.back().to < apart_s)
                whole.back().to = s.to;
            else
                whole.push_back(s);
        for (const auto& s : whole) {
            if (s.to - s.from < least_s) continue;
            // What stood quietly may have been this very posture: with and without the build that was told from it.
            Eigen::MatrixXd asked = course_at(u, {middle});
            scale_.reference(asked);
            double best = inf;
            for (const bool with_build : {true, false}) {
                Standard scale = scale_;
                if (!with_build) scale.build.setZero();
                Eigen::MatrixXd there = own_.at(times(s.from, std::min(s.to, s.from + first_s), 1)); // later it may have sunk
                scale.student(there);
                double sum = 0;
                for (Eigen::Index k = 0; k < there.rows(); ++k) sum += distance(there, k, asked, 0) / static_cast<double>(there.rows());
                best = std::min(best, sum);
            }
            if (best > like) continue;
            Repetition r;
            r.side = u.model->symmetric ? std::nullopt : u.side;
            r.entry = u.entry;
            r.start_s = s.from - still_ends_s;
            r.end_s = s.to + still_ends_s;
            r.cost = best;
            r.cut = true;
            r.phases = {{u.model->phases[phase].id, r.start_s, r.end_s, phase}};
            r.student_s = {r.start_s, r.end_s};
            r.reference_s = {figure->from, figure->to};
            out.repetitions.push_back(std::move(r));
        }
        return out;
    }

    /// The course of a unit, done so much larger or smaller: the way from where it begins.
    Eigen::MatrixXd course_at(const Unit& u, const Series& t) const {
        Eigen::MatrixXd m = u.courses.at(t);
        if (range_ == 1) return m;
        const Eigen::RowVectorXd home = u.courses.at({u.course().from()}).row(0);
        return (range_ * (m.rowwise() - home)).rowwise() + home;
    }

    /// The movement is known by its course and not by its size: where it does not fit well as it stands, it is tried smaller.
    Alignment repetitions() {
        Fit best = at_range();
        if (competes_ || linked_ || (!best.found.repetitions.empty() && best.mean_cost() < fair)) return best.found;
        for (const double smaller : {0.7, 0.5}) {
            range_ = smaller;
            for (auto& u : units_) {
                u.rows = course_at(u, u.times);
                scale_.reference(u.rows);
            }
            Fit other = at_range();
            if (!other.found.repetitions.empty() && (best.found.repetitions.empty() || other.mean_cost() < 0.5 * best.mean_cost()))
                best = std::move(other); // a little better may be by chance
        }
        return best.found;
    }

    Fit at_range() {
        Fit best = once();
        // Without a quiet stand, or where the still moment that was taken for one fits badly, the build is told from how the repetitions
        // that are found differ throughout; what explains the clip at the least cost is kept.
        if (motion_.neutral.source == NeutralSource::quiet_second && best.mean_cost() < well) return best;
        auto offer = [&](Fit other) {
            if (!other.found.repetitions.empty() && (best.found.repetitions.empty() || other.cost < best.cost)) best = std::move(other);
        };
        scale_.build.setZero();
        Fit plain = once();
        if (!plain.found.repetitions.empty()) {
            learn_build(plain.found);
            offer(once());
        }
        offer(std::move(plain));
        return best;
    }

    /// Where nothing moves, in the clip and in each unit, against their own typical speed.
    void find_stills() {
        // Half of all that moves moves faster (weighed by its square, so that the longest stand does not count).
        auto typical = [](Series v) {
            std::sort(v.begin(), v.end());
            double whole = 0, sum = 0;
            for (const double x : v) whole += x * x;
            for (const double x : v)
                if ((sum += x * x) >= 0.5 * whole) return x;
            return 1.0;
        };
        Series all;
        for (auto& u : units_) {
            u.times = times(u.course().from(), u.course().to(), coarse);
            const Series v = speeds(u.courses, pace_sd_, u.times, slow_hz);
            all.insert(all.end(), v.begin(), v.end());
        }
        usual_ = typical(all);
        for (auto& u : units_) {
            u.stills = stills(u.times, speeds(u.courses, pace_sd_, u.times, slow_hz), still_share * usual_);
            u.times = moving(u.times, u.stills);
            u.rests.assign(u.times.size(), false);
            if (u.joined_s > 0)
                u.joined = static_cast<std::size_t>(std::lower_bound(u.times.begin(), u.times.end(), u.joined_s) - u.times.begin());
            for (std::size_t k = 0; k < u.times.size(); ++k) {
                const auto& b = u.course().borders;
                for (std::size_t p = 0; p < u.model->phases.size(); ++p)
                    if (u.model->phases[p].rests && u.times[k] >= b[p] && u.times[k] <= b[p + 1]) u.rests[k] = true;
            }
        }
        const Series grid = signal::uniform_grid(motion_.time_s, coarse), v = speeds(own_, pace_sd_, grid, slow_hz);
        const double pace = std::clamp(typical(v) / std::max(1e-6, usual_), 0.3, 1.5);
        stills_ = stills(grid, v, still_share * usual_ * pace);
        if (!competes_) halts_.emplace(motion_, axes_, units_);
        // A clip in which nobody does more than sway has no typical speed of its own: all of it is one stand.
        if (halts_ && halts_->only_sways()) stills_ = {{grid.front() + still_ends_s, grid.back() - still_ends_s}};
        grid_ = moving(grid, stills_);
    }

    /// Where the figure is still, and the rest of its holds and pauses, which may be too short for that.
    static std::vector<Still> holds_of(const Unit& u) {
        std::vector<Still> out = u.stills;
        const auto& b = u.course().borders;
        for (std::size_t p = 0; p < u.model->phases.size(); ++p) {
            const Still hold{b[p], b[p + 1]};
            if (u.model->phases[p].rests &&
                std::none_of(u.stills.begin(), u.stills.end(), [&](const Still& s) { return s.from < hold.to && s.to > hold.from; }))
                out.push_back(hold);
        }
        return out;
    }

    /// Where the figure is still, so is the student in that posture: the stretches that were left out of both are the same ones.
    void join_holds(Repetition& r, const Unit& u, const std::vector<Still>& own_stills) const {
        constexpr double near_s = 1.5; // of the reference's time
        for (const auto& figure : holds_of(u)) {
            double from = inf, to = -inf;
            for (const auto& own : own_stills) {
                if (own.from < r.student_s.front() || own.to > r.student_s.back()) continue;
                const double middle = 0.5 * (own.from + own.to), at = r.to_reference(middle);
                if (at < figure.from - near_s || at > figure.to + near_s) continue;
                // A halt on the way there is another posture, which the moment found for it explains better.
                Eigen::MatrixXd there = own_.at({middle}), asked = course_at(u, {0.5 * (figure.from + figure.to), at});
                scale_.student(there);
                scale_.reference(asked);
                if (distance(there, 0, asked, 0) < distance(there, 0, asked, 1) + 0.02)
                    from = std::min(from, own.from), to = std::max(to, own.to);
            }
            if (from >= to) continue;
            std::vector<double> student, reference;
            bool put = false;
            for (std::size_t k = 0; k < r.student_s.size(); ++k) {
                const bool before =
                    r.student_s[k] < from && r.reference_s[k]<figure.from, after = r.student_s[k]> to && r.reference_s[k] > figure.to;
                if (after && !put) {
                    student.insert(student.end(), {from, to});
                    reference.insert(reference.end(), {figure.from, figure.to});
                    put = true;
                }
                if (before || after) student.push_back(r.student_s[k]), reference.push_back(r.reference_s[k]);
            }
            if (!put || student.front() != r.student_s.front()) continue;
            r.student_s = std::move(student);
            r.reference_s = std::move(reference);
        }
    }

    /// Of all movements at once the spread is told half by the clip: else each further movement of the library would change what the others
    /// are like.
    void by_the_clip() {
        Eigen::MatrixXd own = own_.at(signal::uniform_grid(motion_.time_s, coarse));
        const Eigen::RowVectorXd mean = own.colwise().mean();
        own.rowwise() -= mean;
        const Eigen::RowVectorXd square = own.array().square().colwise().mean();
        scale_.sd = (0.5 * (scale_.sd.array().square() + square.array())).sqrt().max(0.08);
    }

    /// Sides of an entry that look alike become one unit without a side.
    void merge_alike() {
        for (std::size_t k = 0; k + 1 < units_.size(); ++k)
            if (units_[k].entry == units_[k + 1].entry && alike(units_[k].rows, units_[k + 1].rows)) {
                units_[k].side.reset();
                units_.erase(units_.begin() + static_cast<std::ptrdiff_t>(k) + 1);
            }
    }

    void learn_build(const Alignment& found) {
        std::vector<Series> apart(static_cast<std::size_t>(quiet_.cols()));
        for (const auto& r : found.repetitions) {
            const auto u =
                std::find_if(units_.begin(), units_.end(), [&](const Unit& x) { return x.entry == r.entry && x.side == r.side; });
            const Eigen::MatrixXd d = own_.at(r.student_s) - course_at(*u, r.reference_s);
            for (Eigen::Index row = 0; row < d.rows(); ++row)
                for (Eigen::Index c = 0; c < d.cols(); ++c) apart[static_cast<std::size_t>(c)].push_back(d(row, c));
        }
        Eigen::RowVectorXd build(quiet_.cols());
        for (Eigen::Index c = 0; c < build.cols(); ++c) build[c] = signal::median(apart[static_cast<std::size_t>(c)]);
        scale_.set_build(build);
    }

    Fit once() const {
        const Series& grid = grid_;
        Eigen::MatrixXd student = own_.at(grid);
        scale_.student(student);
        // Standing by: quietly as before the first repetition, or in the posture between two of them.
        Eigen::MatrixXd still(1 + static_cast<Eigen::Index>(units_.size()), quiet_.cols());
        still.row(0) = quiet_.row(0);
        for (std::size_t k = 0; k < units_.size(); ++k) still.row(static_cast<Eigen::Index>(k) + 1) = units_[k].rows.row(0);
        Fit out;
        const auto chosen = linked_      ? explained(units_, student, still, out.cost, of_parts, standing(grid))
                            : any_order_ ? explained(units_, student, still, out.cost, in_any_order, standing(grid))
                                         : explained(units_, student, still, out.cost);
        for (const auto& c : chosen)
            if (auto r = fit(c, grid))
                out.found.repetitions.push_back(std::move(*r));
            else
                out.found.left_out.push_back(r.error());
        return out;
    }

    /// In a form who moves does something: it is not taken for standing by as easily.
    Series standing(const Series& grid) const {
        Series out = speeds(own_, pace_sd_, grid, slow_hz);
        for (double& v : out) v = standing_price * (1 + 2 * std::clamp(v / std::max(1e-6, usual_), 0.0, 1.0));
        return out;
    }

    /// How surely the moment t of a unit is told on a path through it: what it leaves unexplained about that moment, as time at the speed
    /// that the figure has there. At a turning point, and of a movement that this view hardly shows, that is long.
    double moment_sigma(const Path& path, const Eigen::MatrixXd& reference, const Eigen::MatrixXd& student, const Series& rt,
                        double t) const {
        constexpr double around_s = 0.5, surely_s = 0.25, hardly_s = 2;
        double apart = 0, way = 0, n = 0;
        const auto columns = static_cast<double>(reference.cols());
        for (std::size_t k = 1; k < path.size(); ++k) {
            const auto [i, j] = path[k];
            const double dt = rt[static_cast<std::size_t>(i)] - rt[static_cast<std::size_t>(path[k - 1].first)];
            if (std::abs(rt[static_cast<std::size_t>(i)] - t) > around_s || dt <= 0) continue;
            apart += distance(reference, i, student, j);
            way += (reference.row(i) - reference.row(path[k - 1].first)).squaredNorm() / columns / (dt * dt);
            ++n;
        }
        if (n == 0 || way <= 0) return hardly_s;
        return std::clamp(std::sqrt(apart / way), surely_s, hardly_s);
    }

    /// What nobody moves in, and what was stayed in a hold of this repetition: who holds for minutes sways and sinks, and may be quicker in
    /// that than the figure ever is.
    std::vector<Still> stills_of(const Chosen& c, const Series& grid) const {
        std::vector<Still> all = stills_;
        for (const auto& [from, to] : c.stays) {
            const Still held{grid[static_cast<std::size_t>(from)] + still_ends_s, grid[static_cast<std::size_t>(to)] - still_ends_s};
            if (held.to - held.from > still_least_s - 2 * still_ends_s) all.push_back(held);
        }
        std::sort(all.begin(), all.end(), [](const Still& a, const Still& b) { return a.from < b.from; });
        std::vector<Still> out;
        for (const auto& s : all)
            if (!out.empty() && s.from <= out.back().to)
                out.back().to = std::max(out.back().to, s.to);
            else
                out.push_back(s);
        return out;
    }

    tl::expected<Repetition, NotJudged> fit(const Chosen& c, const Series& grid) const {
        const Unit& u = units_[c.unit];
        const std::vector<Still> own_stills = stills_of(c, grid);
        const auto& course = u.course();
        Repetition r;
        r.side = u.side;
        r.entry = u.entry;
        r.start_s = grid[static_cast<std::size_t>(c.start)];
        r.end_s = grid[static_cast<std::size_t>(c.end)];
        r.cut = c.from > 0 || c.to + 1 < u.rows.rows();
        const double from = c.from > 0 ? u.times[static_cast<std::size_t>(c.from)] : course.from(),
                     to = c.to + 1 < u.rows.rows() ? u.times[static_cast<std::size_t>(c.to)] : course.to();
        // Of a repetition that is cut at least a third is asked, else it may be anything.
        if (r.cut && to - from < (course.to() - course.from()) / 3)
            return tl::unexpected(NotJudged{r.start_s, r.end_s, NotJudged::Why::cut, {}});
        const auto unlike = [&] { return tl::unexpected(NotJudged{r.start_s, r.end_s, NotJudged::Why::unlike, {}}); };
        const Series rt = moving(times(from, to, fine), u.stills), st = moving(times(r.start_s, r.end_s, fine), own_stills);
        Eigen::MatrixXd reference = course_at(u, rt), student = own_.at(st);
        scale_.reference(reference);
        scale_.student(student);
        const Path path = warp(reference, student, 0.2, r.cost);
        if (path.empty() || !is_whole(path, reference, student)) return unlike();
        for (const auto& [i, j] : path) {
            r.reference_s.push_back(rt[static_cast<std::size_t>(i)]);
            r.student_s.push_back(st[static_cast<std::size_t>(j)]);
        }
        join_holds(r, u, own_stills);
        const auto& b = course.borders;
        for (std::size_t p = 0; p < u.model->phases.size(); ++p)
            if (!r.cut || (b[p] >= from - 1e-9 && b[p + 1] <= to + 1e-9))
                r.phases.push_back({u.model->phases[p].id, r.to_student(b[p]), r.to_student(b[p + 1]), p,
                                    moment_sigma(path, reference, student, rt, b[p]),
                                    moment_sigma(path, reference, student, rt, b[p + 1])});
        if (r.phases.empty()) return tl::unexpected(NotJudged{r.start_s, r.end_s, NotJudged::Why::cut, {}});
        snap(r, *u.model, measures_);
        if (halts_) r.stops = halts_->in(r, u, own_stills);
        return r;
    }

    const Motion& motion_;
    const Measures& measures_;
    bool competes_, linked_, any_order_;
    Axes axes_;
    Features own_;
    std::vector<Unit> units_;
    Eigen::MatrixXd quiet_;
    Standard scale_;
    Eigen::RowVectorXd pace_sd_; // in which speeds are told, and what is still: the library's
    /// Speeds are taken below so many Hz; slower than a quarter of what is usual is still.
    static constexpr double slow_hz = 1, still_share = 0.25;
    double usual_ = 1;           // speed of the figure
    double range_ = 1;           // of the way of the movement
    std::optional<Halts> halts_; // not where movements compete
    std::vector<Still> stills_;  // of the clip
    Series grid_;                // coarse moments of the clip without these
};

} // namespace

Result<Alignment> align(const Motion& motion, const Measures& measures, const Form& form) {
    if (form.entries.empty() || std::any_of(form.entries.begin(), form.entries.end(), [](const FormEntry& e) { return !e.movement; }))
        return fail(Code::bad_value, "form");
    Alignment out = Aligner(motion, measures, form).run();
    if (out.repetitions.empty()) return fail(Code::cannot_judge, "no_repetition");
    return out;
}

} // namespace bevel
