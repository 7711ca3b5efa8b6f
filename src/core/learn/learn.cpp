#include "core/learn/learn.h"
#include "core/learn/frames.h"
#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <numbers>
#include <set>

namespace bevel {
namespace {

using namespace learning;
using nlohmann::json;

constexpr double proportions_m = 0.02; // how far joints of bodies scaled to one stature lie apart
constexpr double same_place_m = 0.08;  // a planted foot that seems to move by less has not
constexpr double turned_deg = 12;      // a planted foot that seems to turn by less has not

/// A repetition found or laid out: where, and the moments its phases begin and end.
struct Shown {
    std::size_t showing = 0;
    Side lead = Side::left;
    std::vector<double> borders;
};

double rounded(double v) {
    return std::round(v * 1000) / 1000;
}

Eigen::Matrix3d information_of(const Motion& m, const RepetitionFrame& frame, std::size_t k, std::size_t point) {
    const PointSigma& s = m.sigma[k][point];
    Eigen::Matrix3d cov = Eigen::Matrix3d::Identity() * (proportions_m * proportions_m);
    if (!m.from_pictures()) {
        cov += Eigen::Matrix3d::Identity() * static_cast<double>(s.across * s.across);
        return cov.inverse();
    }
    const Vec3 sight = (m.m[k][point] - m.camera_at).normalized();
    Vec3 across = Vec3(0, 1, 0).cross(sight);
    across = across.norm() > 1e-6 ? Vec3(across.normalized()) : Vec3(1, 0, 0);
    const Vec3 upright = sight.cross(across);
    auto add = [&](const Vec3& axis, double sigma) {
        const Vec3 a = frame.direction(axis);
        cov += frame.scale * frame.scale * sigma * sigma * a * a.transpose();
    };
    add(across, std::hypot(static_cast<double>(s.across), static_cast<double>(s.person)));
    add(upright, std::hypot(static_cast<double>(s.up), static_cast<double>(s.person_up)));
    add(sight, std::max(0.02, static_cast<double>(s.depth)));
    return cov.inverse();
}

/// What the clips show at one moment of the repetition (index of a border).
std::vector<SeenBody> seen_at(std::span<const Showing> showings, const std::vector<Shown>& shown, std::size_t border) {
    std::vector<SeenBody> out;
    for (std::size_t c = 0; c < showings.size(); ++c) {
        const Motion& m = *showings[c].motion;
        SeenBody s;
        s.points.fill(Vec3::Zero());
        double weight = 0, depth = 0;
        int weights = 0, depths = 0;
        for (const auto& r : shown) {
            if (r.showing != c) continue;
            const double t = r.borders[border];
            const std::size_t k = frame_at(m.time_s, t);
            if (!m.valid[k]) continue;
            const RepetitionFrame frame(m, r.borders.front(), r.lead, figure_m);
            const Body3 b = frame.body(k);
            for (std::size_t p = 0; p < point_count; ++p) {
                const auto from = static_cast<std::size_t>(frame.mirrored ? bevel::mirrored(static_cast<Point>(p)) : static_cast<Point>(p));
                s.points[p] += b[p];
                if (s.n == 0) s.information[p] = information_of(m, frame, k, from);
            }
            ++s.n;
            const auto& ms = *showings[c].measures;
            if (const auto w = value_at(ms, "weight.left", std::nullopt, t))
                weight += std::clamp(frame.mirrored ? 1 - *w : *w, 0.0, 1.0), ++weights;
            if (const auto h = value_at(ms, "hip.height", std::nullopt, t)) depth += *h, ++depths;
        }
        if (s.n == 0) continue;
        for (auto& p : s.points) p /= s.n;
        if (weights > 0) s.weight_left = weight / weights;
        if (depths > 0) s.depth = depth / depths;
        out.push_back(std::move(s));
    }
    return out;
}

/// How a foot of the leading or the other side lies at a border, over all repetitions; what the clips say little of stays near `prior`.
SeenFoot foot_at(std::span<const Showing> showings, const std::vector<Shown>& shown, const std::vector<SeenBody>& seen, std::size_t border,
                 Side side, const FootTarget& prior, const std::string& ends_at) {
    SeenFoot out;
    std::map<Contact, int> votes, touched; // around the moment; from when it touches
    bool from_the_air = false;
    for (const auto& r : shown) {
        const Measures& ms = *showings[r.showing].measures;
        const auto& contact = ms.contact[static_cast<std::size_t>(r.lead == Side::right ? other(side) : side)];
        const double t = r.borders[border];
        for (std::size_t k = frame_at(ms.time_s, t - 0.1); k < contact.size() && ms.time_s[k] <= t + 0.1; ++k) ++votes[contact[k]];
        std::size_t k = frame_at(ms.time_s, t - 0.25);
        from_the_air = from_the_air || contact[k] == Contact::off;
        while (k < contact.size() && ms.time_s[k] <= t + 0.25 && contact[k] == Contact::off) ++k;
        if (k < contact.size() && contact[k] != Contact::off) ++touched[contact[k]];
    }
    // Where the phase ends as a foot touches, it is the one that comes from the air, and it touches.
    if (ends_at == "foot_down" && from_the_air && !touched.empty()) votes = touched;
    if (ends_at == "foot_flat" && out.contact != Contact::off && votes.contains(Contact::flat) && !votes.contains(Contact::off))
        votes = {{Contact::flat, 1}};
    int most = 0;
    for (const auto& [c, n] : votes)
        if (n > most) most = n, out.contact = c;
    const double sw = BodyDims::of_stature(figure_m).shoulder_width;
    auto level = [](const Vec3& v) { return Vec2(v.x(), v.z()); };
    // Place: each clip's, weighed by what it can tell in each direction, and the prior.
    Eigen::Matrix2d sum = Eigen::Matrix2d::Identity() / (0.25 * 0.25);
    Vec2 weighed = sum * Vec2(prior.x * sw, prior.z * sw);
    Vec2 along = Vec2::Zero();
    double lift = 0;
    for (const auto& s : seen) {
        const auto a = static_cast<std::size_t>(on(side, left_ankle)), h = static_cast<std::size_t>(on(side, left_heel)),
                   t = static_cast<std::size_t>(on(side, left_toe));
        const Eigen::Matrix3d cov = s.information[a].inverse();
        Eigen::Matrix2d flat;
        flat << cov(0, 0), cov(0, 2), cov(2, 0), cov(2, 2);
        const Eigen::Matrix2d info = flat.inverse() * s.n;
        sum += info;
        weighed += info * level(s.points[a]);
        along += s.n * (level(s.points[t]) - level(s.points[h]));
        lift += std::max(0.0, std::min(s.points[h].y(), s.points[t].y())) / static_cast<double>(seen.size());
    }
    out.place = sum.inverse() * weighed;
    const double outward = side == Side::left ? 1 : -1;
    out.toe_out = along.norm() > 1e-3 ? outward * std::atan2(along.x(), along.y()) / deg : prior.toe_out;
    const auto dims = BodyDims::of_stature(figure_m);
    const Vec2 forward = along.norm() > 1e-3 ? Vec2(along.normalized()) : Vec2(0, 1);
    out.heel = out.place - dims.heel_behind * forward;
    out.ball = out.heel + 0.72 * dims.foot_length * forward;
    out.lift = lift;
    return out;
}

/// Feet at all borders as a movement has them: one place while planted, turned about what stays. bad_value "step" where a foot gets to
/// another place between two borders at which it is on the floor.
Result<std::vector<FootTarget>> planted(std::vector<SeenFoot> feet) {
    // On its way from one place to another it is in the air, even if the moment is read as touching.
    const auto far = [&](std::size_t a, std::size_t b) { return (feet[a].place - feet[b].place).norm() > 1.5 * same_place_m; };
    for (std::size_t k = 1; k + 1 < feet.size(); ++k)
        if (far(k - 1, k) && far(k, k + 1) && feet[k - 1].contact != Contact::off && feet[k + 1].contact != Contact::off)
            feet[k].contact = Contact::off;
    for (std::size_t k = 1; k < feet.size(); ++k)
        if (feet[k - 1].contact != Contact::off && feet[k].contact != Contact::off && (feet[k - 1].place - feet[k].place).norm() > 0.2)
            return fail(Code::bad_value, "step");
    const double sw = BodyDims::of_stature(figure_m).shoulder_width;
    std::vector<FootTarget> out(feet.size());
    // It ends as it began.
    const SeenFoot home = feet.front();
    for (std::size_t k = 0; k < feet.size(); ++k) {
        const SeenFoot& f = feet[k];
        out[k] = {f.place.x() / sw, f.place.y() / sw, std::clamp(f.toe_out, -29.0, 69.0), f.contact,
                  std::clamp(f.lift / figure_m, 0.02, 0.45)};
    }
    for (std::size_t from = 0; from < feet.size();) {
        if (feet[from].contact == Contact::off) {
            ++from;
            continue;
        }
        std::size_t to = from;
        while (to + 1 < feet.size() && feet[to + 1].contact != Contact::off) ++to;
        // Mean of the stretch where it does not turn; the last stretch ends at home.
        const bool last = to + 1 == feet.size() && from > 0;
        const SeenFoot& first = last ? home : feet[from];
        Vec2 place = Vec2::Zero();
        double toe = 0;
        int n = 0;
        for (std::size_t k = from; k <= to; ++k)
            if (std::abs(feet[k].toe_out - first.toe_out) < turned_deg) place += feet[k].place, toe += feet[k].toe_out, ++n;
        place = n > 0 && !last ? Vec2(place / n) : first.place;
        toe = n > 0 && !last ? toe / n : first.toe_out;
        if (last) place = Vec2(out[0].x * sw, out[0].z * sw), toe = out[0].toe_out;
        for (std::size_t k = from; k <= to; ++k) {
            FootTarget& f = out[k];
            f.x = place.x() / sw, f.z = place.y() / sw, f.toe_out = std::clamp(toe, -29.0, 69.0);
            const double turn = feet[k].toe_out - toe;
            if (std::abs(turn) < turned_deg) continue;
            const bool heel_stays = (feet[k].heel - first.heel).norm() <= (feet[k].ball - first.ball).norm();
            (heel_stays ? f.heel_turn : f.ball_turn) = std::clamp(turn, -95.0, 95.0);
        }
        // Not about heel and ball in one stretch: the figure turns about one of them at a time.
        double heel = 0, ball = 0;
        for (std::size_t k = from; k <= to; ++k) heel += std::abs(out[k].heel_turn), ball += std::abs(out[k].ball_turn);
        if (heel > 0 && ball > 0)
            for (std::size_t k = from; k <= to; ++k) {
                FootTarget& f = out[k];
                const double turn = f.heel_turn + f.ball_turn;
                f.heel_turn = heel >= ball ? turn : 0, f.ball_turn = heel >= ball ? 0 : turn;
            }
        from = to + 1;
    }
    return out;
}

/// Both halves the mean of themselves and the other's mirror image.
Posture evened(const Posture& p) {
    const Posture q = p.mirrored();
    Posture out = p;
    auto mean = [](double a, double b) { return 0.5 * (a + b); };
    auto foot = [&](FootTarget& f, const FootTarget& g) {
        f.x = mean(f.x, g.x), f.z = mean(f.z, g.z), f.toe_out = mean(f.toe_out, g.toe_out);
        f.heel_turn = mean(f.heel_turn, g.heel_turn), f.ball_turn = mean(f.ball_turn, g.ball_turn);
        if (g.contact == Contact::flat) f.contact = Contact::flat;
    };
    auto hand = [&](HandTarget& h, const HandTarget& g) {
        h.x = mean(h.x, g.x), h.y = mean(h.y, g.y), h.z = mean(h.z, g.z), h.elbow_out = mean(h.elbow_out, g.elbow_out);
        h.palm = mean(h.palm, g.palm), h.fist = mean(h.fist, g.fist), h.drop = mean(h.drop, g.drop);
    };
    foot(out.left_foot, q.left_foot), foot(out.right_foot, q.right_foot);
    hand(out.left_hand, q.left_hand), hand(out.right_hand, q.right_hand);
    out.weight_left = 0.5;
    out.pelvis_turn = out.shoulder_turn = out.side = out.gaze_turn = 0;
    return out;
}

/// A phase in which a foot leaves and lands elsewhere gets a border in the air.
void split_steps(std::span<const Showing> showings, Layout& layout) {
    const auto& show = showings[layout.showing];
    const Measures& ms = *show.measures;
    for (std::size_t p = 0; p < layout.phases.size(); ++p) {
        const double from = p == 0 ? layout.from_s : layout.phases[p - 1].end_s, to = layout.phases[p].end_s;
        for (const auto& contact : ms.contact) {
            const std::size_t a = frame_at(ms.time_s, from), b = frame_at(ms.time_s, to);
            if (contact[a] == Contact::off || contact[b] == Contact::off) continue;
            std::size_t first = b, last = a;
            for (std::size_t k = a; k <= b; ++k)
                if (contact[k] == Contact::off) first = std::min(first, k), last = std::max(last, k);
            if (first >= last || ms.time_s[last] - ms.time_s[first] < 0.15) continue;
            LaidPhase up = layout.phases[p];
            up.end_s = 0.5 * (ms.time_s[first] + ms.time_s[last]);
            if (up.end_s - from < 0.15 || to - up.end_s < 0.15) continue;
            up.name += " (up)";
            up.role = "lift";
            up.ends_at.clear();
            layout.phases.insert(layout.phases.begin() + static_cast<std::ptrdiff_t>(p), up);
            break;
        }
    }
}

const char* breath_name(Breath b) {
    return b == Breath::in ? "in" : b == Breath::out ? "out" : "free";
}

/// What is fitted: postures at the borders (the first is home) and lengths of the phases.
struct Shape {
    std::vector<Posture> postures;
    std::vector<double> lengths;
    double misfit_m = 0;
};

Result<Shape> shape_of(std::span<const Showing> showings, const std::vector<Shown>& shown, const Layout& layout, const Movement* like) {
    const std::size_t borders = layout.phases.size() + 1;
    const bool same_phases = like && like->phases.size() == layout.phases.size();
    Posture standing;
    standing.left_foot = {0.32, 0, 8};
    standing.right_foot = {-0.32, 0, 8};
    standing.left_hand = {Level::belly, 0.82, -0.15, 0.12, 35};
    standing.right_hand = {Level::belly, -0.82, -0.15, 0.12, 35};
    auto prior_at = [&](std::size_t k, const Posture& before) {
        if (same_phases) return k == 0 ? like->home : like->phases[k - 1].posture;
        if (k == 0 && like) return like->home;
        return k == 0 ? standing : before;
    };
    std::vector<std::vector<SeenBody>> seen;
    for (std::size_t k = 0; k < borders; ++k) {
        seen.push_back(seen_at(showings, shown, k));
        if (seen.back().empty()) return fail(Code::cannot_judge, "no_repetition");
    }
    std::array<std::vector<FootTarget>, 2> feet;
    for (const Side s : {Side::left, Side::right}) {
        std::vector<SeenFoot> as_seen;
        for (std::size_t k = 0; k < borders; ++k) {
            const Posture p = prior_at(k, standing);
            const FootTarget& prior = s == Side::left ? p.left_foot : p.right_foot;
            as_seen.push_back(foot_at(showings, shown, seen[k], k, s, prior, k == 0 ? std::string() : layout.phases[k - 1].ends_at));
        }
        if ((as_seen.back().place - as_seen.front().place).norm() > 0.3) return fail(Code::bad_value, "home");
        if (as_seen.front().contact == Contact::off) as_seen.front().contact = Contact::flat;
        as_seen.back().contact = as_seen.front().contact;
        auto as_planted = planted(std::move(as_seen));
        if (!as_planted) return tl::unexpected(as_planted.error());
        feet[static_cast<std::size_t>(s)] = std::move(*as_planted);
    }
    for (std::size_t k = 0; k < borders; ++k)
        if (feet[0][k].contact == Contact::off && feet[1][k].contact == Contact::off) return fail(Code::bad_value, "both_feet");
    // Its ends are one moment: what is seen at both.
    auto both = seen.front();
    both.insert(both.end(), seen.back().begin(), seen.back().end());
    Shape out;
    Posture quiet = standing, before = standing;
    quiet.left_foot = feet[0][0], quiet.right_foot = feet[1][0];
    double sum = 0;
    for (std::size_t k = 0; k < borders; ++k) {
        Posture prior = prior_at(k, before);
        prior.left_foot = feet[0][k], prior.right_foot = feet[1][k];
        double misfit = 0;
        Posture p = k + 1 == borders ? out.postures.front() : fit_posture(prior, quiet, k == 0 ? both : seen[k], &misfit);
        if (layout.alike) p = evened(p);
        sum += misfit * misfit / static_cast<double>(borders - 1);
        out.postures.push_back(p);
        before = p;
    }
    out.misfit_m = std::sqrt(sum);
    for (std::size_t p = 0; p + 1 < borders; ++p) {
        double length = 0;
        for (const auto& r : shown) length += (r.borders[p + 1] - r.borders[p]) / static_cast<double>(shown.size());
        out.lengths.push_back(std::max(0.1, length));
    }
    return out;
}

std::vector<std::string> cautions_of(const Shape& shape, const Movement* like) {
    std::set<std::string> out;
    if (like) out.insert(like->cautions.begin(), like->cautions.end());
    for (const auto& p : shape.postures) {
        if (p.depth < 0.88) out.insert("knees");
        if (p.left_foot.contact == Contact::off || p.right_foot.contact == Contact::off) out.insert("balance");
        if (p.lean + p.low_back > 35) out.insert("bends");
        for (const auto* h : {&p.left_hand, &p.right_hand})
            if (h->level == Level::brow ? h->y > 0.1 : h->level == Level::heart && h->y > 1.1) out.insert("overhead");
    }
    return {out.begin(), out.end()};
}

json movement_json(const Shape& shape, const Layout& layout, std::span<const Showing> showings, const LearnOptions& o) {
    json j{{"id", o.id}, {"name", o.name}, {"kind", o.kind}, {"about", o.about}, {"attention", o.attention}};
    std::set<std::string> views;
    for (const auto& s : showings) {
        if (s.motion->from_pictures())
            views.insert(std::string(view_name(s.motion->view)));
        else
            views.insert({"front", "left", "right"});
    }
    j["best_views"] = views;
    j["driver"] = "weight.left";
    j["repetitions"] = o.like ? o.like->repetitions : 2;
    j["cautions"] = cautions_of(shape, o.like);
    json needs = json::array();
    if (o.like) {
        j["trains"] = o.like->trains;
        j["asks"] = asks_json(o.like->asks);
        for (const auto& n : o.like->needs)
            if (n != "heel_first" && n != "toe_first") needs.push_back(n);
        json drills = json::array(), versions = json::array();
        for (const auto& d : o.like->drills) drills.push_back({{"name", d.name}, {"about", d.about}, {"rules", d.rules}});
        for (const auto& v : o.like->versions) versions.push_back(version_json(v));
        j["drills"] = drills;
        j["versions"] = versions;
        if (o.like->tool) j["tool"] = {{"front", o.like->tool->front}, {"back", o.like->tool->back}};
    }
    json phases = json::array();
    const bool same_phases = o.like && o.like->phases.size() == layout.phases.size();
    for (std::size_t p = 0; p < layout.phases.size(); ++p) {
        const auto& l = layout.phases[p];
        const Posture& at = shape.postures[p + 1];
        for (const auto* f : {&at.left_foot, &at.right_foot})
            if (l.role == "reach" && f->contact == Contact::heel)
                needs.push_back("heel_first");
            else if (l.role == "reach" && f->contact == Contact::toe)
                needs.push_back("toe_first");
        json x{{"id", "p" + std::to_string(p + 1)},
               {"name", l.name},
               {"duration_s", rounded(shape.lengths[p])},
               {"breath", same_phases ? breath_name(o.like->phases[p].breath) : "free"},
               {"easing", l.role == "hold" || l.role == "settle" || p + 1 == layout.phases.size() ? "settle" : "flow"},
               {"posture", posture_json(at)}};
        if (same_phases) x["id"] = o.like->phases[p].id;
        if (!l.role.empty()) x["role"] = l.role;
        if (!l.stance.empty()) x["stance"] = l.stance;
        if (!l.ends_at.empty()) x["ends_at"] = l.ends_at;
        phases.push_back(std::move(x));
    }
    std::set<std::string> each(needs.begin(), needs.end());
    if (each.contains("heel_first")) each.erase("toe_first");
    j["needs"] = each;
    j["home"] = posture_json(shape.postures.front());
    j["phases"] = phases;
    return j;
}

/// Whole repetitions of all showings.
std::vector<Shown> found_in(std::span<const Showing> showings, const Movement& movement, std::vector<Alignment>* alignments = nullptr) {
    std::vector<Shown> out;
    for (std::size_t c = 0; c < showings.size(); ++c) {
        const Reference reference(movement, showings[c].motion->stature);
        const auto a = align(*showings[c].motion, *showings[c].measures, Form{{{&reference.model(), std::nullopt}}});
        if (alignments) alignments->push_back(a ? *a : Alignment{});
        if (!a) continue;
        for (const auto& r : a->repetitions) {
            if (r.cut || r.phases.size() != movement.phases.size()) continue;
            Shown s{c, r.reference_side(), {r.phases.front().start_s}};
            for (const auto& p : r.phases) s.borders.push_back(p.end_s);
            out.push_back(std::move(s));
        }
    }
    return out;
}

/// Bands from what was shown; a check's id is unique in a movement.
std::vector<LearnedBand> bands_of(std::span<const Showing> showings, const Movement& movement, const std::vector<Alignment>& alignments) {
    std::vector<std::vector<double>> values(movement.checks.size());
    for (std::size_t c = 0; c < showings.size(); ++c) {
        if (alignments[c].repetitions.empty()) continue;
        const Reference reference(movement, showings[c].motion->stature);
        const auto s = summarise(*showings[c].motion, *showings[c].measures, alignments[c], movement, reference.model());
        for (const auto& v : s.values)
            for (const auto& r : v.repetitions)
                if (r.absent == Absent::none && r.whole == Absent::none && std::isfinite(r.value)) values[v.check].push_back(r.value);
    }
    std::vector<LearnedBand> out;
    for (std::size_t k = 0; k < values.size(); ++k) {
        const Check& c = movement.checks[k];
        const auto& v = values[k];
        if (v.empty()) continue;
        LearnedBand b{c.id, 0, 0, static_cast<int>(v.size()), c.low, c.high};
        for (const double x : v) b.mean += x / static_cast<double>(v.size());
        for (const double x : v) b.sd += (x - b.mean) * (x - b.mean);
        b.sd = v.size() > 1 ? std::sqrt(b.sd / static_cast<double>(v.size() - 1)) : 0;
        if (c.severity == Severity::safety) {
            b.beyond = (c.low && b.mean < *c.low) || (c.high && b.mean > *c.high);
        } else if (c.low && c.high) {
            const double half = std::max(2 * b.sd, 0.5 * (*c.high - *c.low));
            b.low = b.mean - half, b.high = b.mean + half;
        } else {
            if (c.low) b.low = std::min(*c.low, b.mean - 2 * b.sd);
            if (c.high) b.high = std::max(*c.high, b.mean + 2 * b.sd);
        }
        out.push_back(b);
    }
    return out;
}

/// Mean and spread of every figure at the end of every phase, over the repetitions of one side: sides and signs are as that one's.
json spread_of(std::span<const Showing> showings, const Movement& movement, const std::vector<Shown>& shown, Side lead) {
    json out = json::array();
    for (std::size_t p = 0; p < movement.phases.size(); ++p)
        for (const auto& info : measure_catalogue()) {
            if (info.hidden) continue;
            for (const auto side :
                 info.sided ? std::vector<std::optional<Side>>{Side::left, Side::right} : std::vector<std::optional<Side>>{{}}) {
                std::vector<double> v;
                for (const auto& r : shown)
                    if (r.lead == lead)
                        if (const auto x = value_at(*showings[r.showing].measures, info.id, side, r.borders[p + 1])) v.push_back(*x);
                if (v.size() < 2) continue;
                double mean = 0, var = 0;
                for (const double x : v) mean += x / static_cast<double>(v.size());
                for (const double x : v) var += (x - mean) * (x - mean) / static_cast<double>(v.size() - 1);
                out.push_back({{"phase", movement.phases[p].id},
                               {"measure", measure_key(info.id, side)},
                               {"mean", rounded(mean)},
                               {"sd", rounded(std::sqrt(var))},
                               {"n", v.size()}});
            }
        }
    return out;
}

} // namespace

Result<Learned> learn(std::span<const Showing> showings, const Layout& laid, const LearnOptions& options) {
    if (showings.empty() || laid.showing >= showings.size()) return fail(Code::bad_value, "layout");
    if (options.name.empty() || options.id.empty() || options.kind.empty()) return fail(Code::bad_value, "name");
    Layout layout = laid;
    double before = layout.from_s;
    for (const auto& p : layout.phases) {
        if (!(p.end_s > before + 0.05)) return fail(Code::bad_value, "layout");
        before = p.end_s;
    }
    if (layout.phases.size() < 2 || layout.phases.size() > 40) return fail(Code::bad_value, "layout");
    split_steps(showings, layout);
    std::vector<Shown> shown{{layout.showing, layout.lead, {layout.from_s}}};
    for (const auto& p : layout.phases) shown.front().borders.push_back(p.end_s);
    Learned out;
    std::vector<Alignment> alignments;
    // From the one that was laid out, then from all that are found with it.
    for (int round = 0; round < 3; ++round) {
        const auto shape = shape_of(showings, shown, layout, options.like);
        if (!shape) return tl::unexpected(shape.error());
        out.misfit_m = shape->misfit_m;
        out.text = movement_json(*shape, layout, showings, options).dump(1);
        auto m = parse_movement(out.text);
        if (!m) return tl::unexpected(m.error());
        out.movement = std::move(*m);
        alignments.clear();
        auto found = found_in(showings, out.movement, &alignments);
        if (found.empty()) return fail(Code::cannot_judge, "no_repetition");
        shown = std::move(found);
    }
    out.repetitions.assign(showings.size(), 0);
    for (const auto& s : shown) ++out.repetitions[s.showing];
    out.bands = bands_of(showings, out.movement, alignments);
    json j = json::parse(out.text);
    // Where those who show it halt as a rule, a pause belongs.
    for (std::size_t p = 0; p < out.movement.phases.size(); ++p) {
        std::size_t halted = 0;
        for (const auto& a : alignments)
            for (const auto& r : a.repetitions)
                halted += std::any_of(r.stops.begin(), r.stops.end(), [&](const Stop& s) { return s.phase == p && !s.asked; }) ? 1 : 0;
        if (3 * halted >= shown.size()) j["phases"][p]["pause"] = true;
    }
    json bands = json::array();
    for (const auto& b : out.bands) {
        const auto& c =
            *std::find_if(out.movement.checks.begin(), out.movement.checks.end(), [&](const Check& k) { return k.id == b.check; });
        if (b.low == c.low && b.high == c.high) continue;
        json x{{"check", b.check}, {"reason", options.reason.empty() ? "as it was shown" : options.reason}};
        if (b.low) x["low"] = rounded(*b.low);
        if (b.high) x["high"] = rounded(*b.high);
        bands.push_back(std::move(x));
    }
    j["bands"] = bands;
    json names = json::array();
    for (const auto& s : showings) names.push_back(s.name);
    j["recorded"] = {{"clips", names},
                     {"repetitions", shown.size()},
                     {"lead", side_name(layout.lead)},
                     {"spread", spread_of(showings, out.movement, shown, layout.lead)}};
    out.text = j.dump(1);
    auto m = parse_movement(out.text);
    if (!m) return tl::unexpected(m.error());
    out.movement = std::move(*m);
    return out;
}

} // namespace bevel
