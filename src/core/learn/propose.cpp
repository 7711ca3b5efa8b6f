#include "core/learn/frames.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

using namespace learning;

constexpr double least_phase_s = 0.4; // borders nearer to each other are one

/// Mean distance of the body from another, shares of stature, along what this clip shows.
double apart(const Motion& m, const Body3& a, const Body3& b) {
    double sum = 0;
    for (const Point p : {left_wrist, right_wrist, left_elbow, right_elbow, left_hip, right_hip, left_knee, right_knee, left_ankle,
                          right_ankle, left_shoulder, right_shoulder, nose}) {
        const auto k = static_cast<std::size_t>(p);
        Vec3 d = a[k] - b[k];
        if (m.from_pictures()) { // the line of sight says little
            const Vec3 sight = (Vec3(a[k].x(), 0, a[k].z()) - Vec3(m.camera_at.x(), 0, m.camera_at.z())).normalized();
            d -= 0.8 * sight * sight.dot(d);
        }
        sum += d.norm() / 13;
    }
    return sum / m.stature;
}

double turn_of(const Body3& b, Point left) {
    const Vec3 d = b[static_cast<std::size_t>(left)] - b[static_cast<std::size_t>(mirrored(left))];
    return std::atan2(-d.z(), d.x()) / deg;
}
double lean_of(const Body3& b) {
    const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
    return std::atan2(d.z(), d.y()) / deg;
}

struct Border {
    double t;
    int rank; // what it was told from: lower is stronger
    std::string ends_at;
};

std::string stance_of(const Motion& m, const Measures& ms, const RepetitionFrame& frame, double t) {
    const std::size_t k = frame_at(m.time_s, t);
    if (ms.contact[0][k] == Contact::off || ms.contact[1][k] == Contact::off) return {};
    const Body3 b = frame.body(k);
    const double sw = BodyDims::of_stature(figure_m).shoulder_width;
    const Vec3 d = b[left_ankle] - b[right_ankle];
    const double width = std::abs(d.x()) / sw, length = std::abs(d.z()) / sw;
    if (length > 0.7) {
        const double on_left = value_at(ms, "weight.left", std::nullopt, t).value_or(0.5);
        const double left = frame.mirrored ? 1 - on_left : on_left;
        const bool on_front = (d.z() > 0 ? left : 1 - left) > 0.5;
        return on_front ? "bow" : "empty";
    }
    // Borders of the stances as in the table of forms.
    for (const auto& [name, most] : {std::pair{"together", 0.35}, {"narrow", 0.6}, {"hip", 0.85}, {"shoulder", 1.15}, {"wide", 1.5}})
        if (width < most) return name;
    return "horse";
}

std::string role_of(const Motion& m, const Measures& ms, const RepetitionFrame& frame, double from, double to) {
    const std::size_t a = frame_at(m.time_s, from), b = frame_at(m.time_s, to);
    const Body3 x = frame.body(a), y = frame.body(b);
    const Vec3 gap = y[left_ankle] - y[right_ankle];
    const bool beside = std::hypot(gap.x(), gap.z()) < 0.3;
    for (const std::size_t i : {0U, 1U}) {
        const auto &contact = ms.contact[i], &opposite = ms.contact[1 - i];
        // One heel peels off before its foot leaves; both together are a rise.
        if (contact[a] == Contact::flat && contact[b] == Contact::toe && opposite[b] == Contact::flat) return "lift";
        const bool on_part = contact[a] == Contact::heel || contact[a] == Contact::toe;
        if (contact[a] != Contact::off && contact[b] == Contact::off) return "lift";
        if (contact[a] == Contact::off && contact[b] == Contact::off) return "hold";
        if (contact[a] == Contact::off || (on_part && contact[b] == Contact::flat))
            return beside ? "close" : contact[b] == Contact::flat ? "land" : "reach";
    }
    const auto shift = [&](double t) { return value_at(ms, "weight.left", std::nullopt, t).value_or(0.5); };
    const double hips = (mid(y, left_hip).y() - mid(x, left_hip).y()) / figure_m;
    const double hands = ((y[left_wrist] - y[right_wrist]).norm() - (x[left_wrist] - x[right_wrist]).norm()) / figure_m;
    const double lift = 0.5 * (y[left_wrist].y() + y[right_wrist].y() - x[left_wrist].y() - x[right_wrist].y()) / figure_m;
    if (std::abs(shift(to) - shift(from)) > 0.15) return "transfer";
    if (std::abs(lean_of(y) - lean_of(x)) > 15) return "bend";
    const double turn = std::max(std::abs(std::remainder(turn_of(y, left_hip) - turn_of(x, left_hip), 360)),
                                 std::abs(std::remainder(turn_of(y, left_shoulder) - turn_of(x, left_shoulder), 360)));
    if (turn > 15) return "turn";
    if (std::abs(hips) > 0.015) return hips > 0 ? "rise" : "sink";
    if (std::abs(lift) > 0.08) return lift > 0 ? "rise" : "sink";
    if (std::abs(hands) > 0.1) return hands > 0 ? "open" : "close";
    return apart(m, m.m[a], m.m[b]) < 0.02 ? "hold" : "gather";
}

/// Borders of phases inside a stretch, from the clip's own events; the weaker of two that are near to each other goes.
std::vector<Border> borders_in(const Motion& m, const Measures& ms, double from_s, double to_s) {
    std::vector<Border> all;
    std::array<double, 2> off{NAN, NAN};
    for (const auto& e : ms.events) {
        const auto s = static_cast<std::size_t>(e.side.value_or(Side::left));
        switch (e.kind) {
        case EventKind::off:
            off[s] = e.time_s;
            all.push_back({e.time_s - 0.15, 2, ""}); // the phase before ends with the foot on the floor
            break;
        case EventKind::heel_down:
        case EventKind::toe_down:
            if (std::isfinite(off[s])) {
                all.push_back({0.5 * (off[s] + e.time_s), 0, ""}); // in the air
                all.push_back({e.time_s, 1, "foot_down"});
                off[s] = NAN;
            }
            break;
        case EventKind::flat:
            all.push_back({e.time_s, 2, "foot_flat"});
            break;
        case EventKind::shift_end:
            all.push_back({e.time_s, 3, "shift_end"});
            break;
        case EventKind::low:
        case EventKind::high:
            all.push_back({e.time_s, 4, ""});
            break;
        case EventKind::turn_end:
            if (e.part == Part::shoulders || e.part == Part::pelvis) all.push_back({e.time_s, 5, ""});
            break;
        case EventKind::hand_stop:
            all.push_back({e.time_s, 6, ""});
            break;
        default:
            break;
        }
    }
    std::erase_if(all, [&](const Border& b) { return b.t < from_s + least_phase_s || b.t > to_s - least_phase_s; });
    std::stable_sort(all.begin(), all.end(), [](const Border& a, const Border& b) { return a.rank < b.rank; });
    std::vector<Border> kept;
    for (const auto& b : all)
        if (kept.size() < 11 && std::none_of(kept.begin(), kept.end(), [&](const Border& k) {
                // Touching and lying flat may follow each other fast; the air between lifting and touching must stay.
                return std::abs(k.t - b.t) < (k.rank <= 2 && b.rank <= 2 ? 0.2 : least_phase_s);
            }))
            kept.push_back(b);
    if (kept.empty()) {
        // Nothing stands out: the moment farthest from the beginning.
        const std::size_t a = frame_at(m.time_s, from_s);
        double most = 0, at = 0.5 * (from_s + to_s);
        for (std::size_t k = a; k < m.frames() && m.time_s[k] <= to_s - least_phase_s; ++k)
            if (m.time_s[k] >= from_s + least_phase_s)
                if (const double d = apart(m, m.m[a], m.m[k]); d > most) most = d, at = m.time_s[k];
        kept.push_back({at, 6, ""});
    }
    std::sort(kept.begin(), kept.end(), [](const Border& a, const Border& b) { return a.t < b.t; });
    return kept;
}

/// Whether the body moves the same on both sides: its mirror image stays near to it.
bool moves_alike(const Motion& m, const Layout& layout) {
    const RepetitionFrame left(m, layout.from_s, Side::left, figure_m);
    double sum = 0, way = 0;
    int n = 0;
    const std::size_t begin = frame_at(m.time_s, layout.from_s);
    const Body3 first = left.body(begin);
    Vec3 sight = Vec3::Zero();
    if (m.from_pictures()) sight = left.direction(Vec3(m.camera_at.x(), 0, m.camera_at.z()) - left.origin).normalized();
    const auto seen = [&](const Vec3& d) { return (d - 0.8 * sight * sight.dot(d)).norm(); }; // depth from one camera says little
    for (const auto& p : layout.phases) {
        const Body3 b = left.body(frame_at(m.time_s, p.end_s));
        for (const Point q : {left_wrist, left_elbow, left_hip, left_knee, left_ankle, left_shoulder}) {
            const auto k = static_cast<std::size_t>(q);
            const Vec3 &l = b[k], &r = b[static_cast<std::size_t>(bevel::mirrored(q))];
            sum += seen(Vec3(l.x() + r.x(), l.y() - r.y(), l.z() - r.z()));
            way += seen(l - first[k]);
            ++n;
        }
    }
    return n > 0 && sum / n < std::max(0.06, 0.25 * way / n);
}

/// The side that leads: whose foot leaves the floor or moves; else to which the weight goes first; else the hand that goes farther.
Side leads(const Motion& m, const Measures& ms, double from_s, double to_s) {
    for (const auto& e : ms.events)
        if (e.kind == EventKind::off && e.side && e.time_s > from_s && e.time_s < to_s) return *e.side;
    const double start = value_at(ms, "weight.left", std::nullopt, from_s).value_or(0.5);
    for (std::size_t k = frame_at(ms.time_s, from_s); k < ms.time_s.size() && ms.time_s[k] < to_s; ++k)
        if (const auto w = value_at(ms, "weight.left", std::nullopt, ms.time_s[k]); w && std::abs(*w - start) > 0.15)
            return *w > start ? Side::left : Side::right;
    std::array<double, 2> way{0, 0};
    const Body3& a = m.m[frame_at(m.time_s, from_s)];
    for (std::size_t k = frame_at(m.time_s, from_s); k < m.frames() && m.time_s[k] < to_s; ++k)
        for (const Side s : {Side::left, Side::right}) {
            const auto q = static_cast<std::size_t>(on(s, left_wrist));
            way[static_cast<std::size_t>(s)] = std::max(way[static_cast<std::size_t>(s)], (m.m[k][q] - a[q]).norm());
        }
    return way[0] >= way[1] ? Side::left : Side::right;
}

} // namespace

void tell_roles(const Motion& m, const Measures& ms, Layout& layout) {
    const RepetitionFrame frame(m, layout.from_s, layout.lead, figure_m);
    double from = layout.from_s;
    for (auto& p : layout.phases) {
        p.role = role_of(m, ms, frame, from, p.end_s);
        p.stance = stance_of(m, ms, frame, p.end_s);
        p.ends_at.clear();
        for (const auto& e : ms.events) {
            if (std::abs(e.time_s - p.end_s) > 0.15) continue;
            if (e.kind == EventKind::shift_end && p.role == "transfer") p.ends_at = "shift_end";
            if (e.part != Part::foot) continue;
            if (e.kind == EventKind::flat && (p.role == "land" || p.role == "close")) p.ends_at = "foot_flat";
            if ((e.kind == EventKind::heel_down || e.kind == EventKind::toe_down) && p.role == "reach") p.ends_at = "foot_down";
        }
        from = p.end_s;
    }
    // Weight goes to the leading foot in a transfer; off it before it is lifted, and back.
    const double way = layout.lead == Side::left ? 1 : -1;
    bool been_there = false;
    from = layout.from_s;
    for (auto& p : layout.phases) {
        if (p.role == "transfer") {
            const auto a = value_at(ms, "weight.left", std::nullopt, from), b = value_at(ms, "weight.left", std::nullopt, p.end_s);
            const bool home = been_there && &p == &layout.phases.back();
            if (home || (a && b && way * (*b - *a) < 0)) p.role = been_there ? "return" : "unweight", p.ends_at.clear();
            been_there = been_there || p.role == "transfer";
        }
        been_there = been_there || p.role == "land";
        from = p.end_s;
    }
    std::map<std::string, int> times;
    for (const auto& p : layout.phases) ++times[p.role];
    std::map<std::string, int> number;
    for (auto& p : layout.phases) p.name = times[p.role] > 1 ? p.role + " " + std::to_string(++number[p.role]) : p.role;
}

Result<std::pair<double, double>> propose_stretch(const Motion& m) {
    // Home is the posture that is come back to most often; a quiet stand before and after comes back once.
    constexpr double least = 0.07; // of stature: a way shorter than that is no movement
    const auto distance = [&](std::size_t a, std::size_t b) { return apart(m, m.m[a], m.m[b]); };
    const auto span = static_cast<std::size_t>(std::lround(0.4 * m.rate));
    const auto step = std::max<std::size_t>(1, static_cast<std::size_t>(m.rate / 10));
    std::vector<std::size_t> at;
    std::vector<double> speed;
    for (std::size_t k = span; k + span < m.frames(); k += step)
        if (m.valid[k] && m.valid[k - span] && m.valid[k + span]) at.push_back(k), speed.push_back(distance(k - span, k + span));
    if (at.size() < 15) return fail(Code::cannot_judge, "no_repetition");
    const double top = *std::max_element(speed.begin(), speed.end());
    std::optional<std::pair<double, double>> best;
    std::size_t most = 0;
    double best_cost = 1e9;
    for (std::size_t a = 0; a < at.size(); ++a) {
        std::vector<std::pair<std::size_t, std::size_t>> ways; // there and back
        double cost = 1e9;
        std::size_t begun = a;
        double far = 0;
        for (std::size_t b = a + 1; b < at.size(); ++b) {
            const double d = distance(at[a], at[b]);
            far = std::max(far, d);
            if (far < least || d > 0.25 * far) continue;
            // As near as it comes, and there where it is slowest.
            while (b + 1 < at.size() && distance(at[a], at[b + 1]) <= distance(at[a], at[b])) ++b;
            if (m.time_s[at[b]] - m.time_s[at[begun]] >= 1.5) {
                ways.emplace_back(begun, b);
                cost = std::min(cost, speed[begun] / top + speed[b] / top + distance(at[begun], at[b]) / far);
            }
            begun = b, far = 0;
        }
        if (ways.size() < most || ways.empty() || (ways.size() == most && cost >= best_cost)) continue;
        most = ways.size(), best_cost = cost;
        double least_cost = 1e9;
        for (const auto& [from, to] : ways)
            if (const double c = speed[from] / top + speed[to] / top + 2 * distance(at[from], at[to]) / top; c < least_cost)
                least_cost = c, best = {m.time_s[at[from]], m.time_s[at[to]]};
    }
    if (!best) return fail(Code::cannot_judge, "no_repetition");
    return *best;
}

Result<Layout> propose_layout(const Motion& m, const Measures& ms, double from_s, double to_s) {
    if (!(to_s - from_s >= 1) || m.frames() == 0 || from_s < m.time_s.front() - 0.1 || to_s > m.time_s.back() + 0.1)
        return fail(Code::bad_value, "stretch");
    Layout out;
    out.from_s = from_s;
    out.lead = leads(m, ms, from_s, to_s);
    for (const auto& b : borders_in(m, ms, from_s, to_s)) out.phases.push_back({"", "", "", b.ends_at, b.t});
    out.phases.push_back({"", "", "", "", to_s});
    tell_roles(m, ms, out);
    out.alike = moves_alike(m, out);
    return out;
}

Result<Layout> layout_like(const Movement& movement, const Alignment& alignment) {
    const Repetition* best = nullptr;
    for (const auto& r : alignment.repetitions)
        if (!r.cut && r.phases.size() == movement.phases.size() && (!best || r.cost < best->cost)) best = &r;
    if (!best) return fail(Code::cannot_judge, "no_repetition");
    Layout out;
    out.from_s = best->phases.front().start_s;
    out.lead = best->reference_side();
    out.alike = movement.symmetric();
    for (std::size_t k = 0; k < movement.phases.size(); ++k) {
        const auto& p = movement.phases[k];
        out.phases.push_back({p.name, p.role, p.stance, p.ends_at, best->phases[k].end_s});
    }
    return out;
}

} // namespace bevel
