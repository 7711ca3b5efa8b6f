#include "core/movement/astray.h"
#include "core/movement/solver.h"
#include <algorithm>
#include <functional>
#include <map>

namespace bevel {
namespace {

const BodyDims& figure() {
    static const BodyDims d = BodyDims::of_stature(1.7);
    return d;
}

using Change = std::function<void(Posture&, bool left, double by)>; // by: in the measure's unit

HandTarget& hand_of(Posture& p, bool left) {
    return left ? p.left_hand : p.right_hand;
}
FootTarget& foot_of(Posture& p, bool left) {
    return left ? p.left_foot : p.right_foot;
}
double outward(bool left) {
    return left ? 1 : -1;
}

struct Shown {
    bool sided = false;      // once for each side it speaks of
    bool throughout = false; // feet stay where they stand: everywhere or nowhere
    Change change;
};

/// The elbow turns about the line from shoulder to wrist until it is so much lower, cm; as far as it can.
void lower_elbow(Posture& p, bool left, double by) {
    const Solver solver(figure(), p);
    const auto height = [&](double out) {
        Posture q = p;
        hand_of(q, left).elbow_out = out;
        return solver.solve(channels_of(q)).points[static_cast<std::size_t>(left ? left_elbow : right_elbow)].y();
    };
    const double wanted = height(hand_of(p, left).elbow_out) - by / 100;
    double low = -20, high = 120; // the farther out, the higher
    for (int i = 0; i < 14; ++i) {
        const double middle = 0.5 * (low + high);
        (height(middle) < wanted ? low : high) = middle;
    }
    hand_of(p, left).elbow_out = 0.5 * (low + high);
}

const std::map<std::string, Shown>& table() {
    static const std::map<std::string, Shown> all{
        {"trunk.lean", {false, false, [](Posture& p, bool, double by) { p.lean += by; }}},
        {"trunk.side", {false, false, [](Posture& p, bool, double by) { p.side += by; }}},
        {"head.pitch", {false, false, [](Posture& p, bool, double by) { p.gaze_pitch += by; }}},
        {"hip.height", {false, false, [](Posture& p, bool, double by) { p.depth += by; }}},
        {"weight.left", {false, false, [](Posture& p, bool, double by) { p.weight_left = std::clamp(p.weight_left + by, 0.0, 1.0); }}},
        {"weight.lead", {false, false, [](Posture& p, bool, double by) { p.weight_left = std::clamp(p.weight_left + by, 0.0, 1.0); }}},
        {"weight.landing", {false, false, [](Posture& p, bool, double by) { p.weight_left = std::clamp(p.weight_left + by, 0.0, 1.0); }}},
        {"turn.gap", {false, false, [](Posture& p, bool, double by) { p.shoulder_turn += by; }}},
        {"back.upper", {false, false, [](Posture& p, bool, double by) { p.upper_back += by; }}},
        {"back.lower", {false, false, [](Posture& p, bool, double by) { p.low_back += by; }}},
        {"stance.width", {false, true, [](Posture& p, bool, double by) { p.left_foot.x += by / 2, p.right_foot.x -= by / 2; }}},
        {"stance.length",
         {false, true,
          [](Posture& p, bool, double by) {
              for (FootTarget* f : {&p.left_foot, &p.right_foot})
                  if (f->z > 0.4) f->z += by;
          }}},
        {"foot.angle", {true, true, [](Posture& p, bool left, double by) { foot_of(p, left).toe_out += by; }}},
        {"foot.parity", {false, true, [](Posture& p, bool, double by) { p.left_foot.toe_out += by; }}},
        {"hand.height", {true, false, [](Posture& p, bool left, double by) { hand_of(p, left).y += by * 1.7 / (0.71 * figure().trunk); }}},
        {"hand.ahead", {true, false, [](Posture& p, bool left, double by) { hand_of(p, left).z += by; }}},
        {"hand.centre", {true, false, [](Posture& p, bool left, double by) { hand_of(p, left).x += outward(left) * by; }}},
        {"palm", {true, false, [](Posture& p, bool left, double by) { hand_of(p, left).palm += by; }}},
        {"elbow.drop", {true, false, lower_elbow}},
        {"arm.air", {true, false, [](Posture& p, bool left, double by) { hand_of(p, left).elbow_out += 1.4 * by; }}},
        {"heel.rise",
         {true, false,
          [](Posture& p, bool left, double by) {
              if (by > 0 && foot_of(p, left).contact == Contact::flat) foot_of(p, left).contact = Contact::toe;
          }}},
    };
    return all;
}

} // namespace

std::optional<Movement> astray(const Movement& movement, const Check& check, bool high, double size) {
    Movement out = movement;
    const double by = high ? size : -size;
    if (check.form == CheckForm::order && check.measure == "shift.duration") { // a hurried or a slow one
        bool any = false;
        for (auto& p : out.phases)
            if (p.role == "transfer") p.duration_s = std::max(0.3, p.duration_s + by), any = true;
        return any ? std::optional(out) : std::nullopt;
    }
    const auto it = table().find(check.measure);
    if (it == table().end() || (check.form != CheckForm::value && check.form != CheckForm::during && check.form != CheckForm::drift))
        return {};
    const Shown& s = it->second;
    // Written for the left side: it leads. What is signed by the leading side is so too.
    std::vector<bool> sides{true};
    if (s.sided) sides = check.side == "lead" ? std::vector{true} : check.side == "rear" ? std::vector{false} : std::vector{true, false};
    const auto apply_to = [&](Posture& p) {
        for (const bool left : sides) s.change(p, left, by);
    };
    const auto speaks = [&](const Phase& p) {
        return s.throughout || check.phases.empty() || std::find(check.phases.begin(), check.phases.end(), p.id) != check.phases.end();
    };
    for (auto& p : out.phases)
        if (speaks(p)) apply_to(p.posture);
    if (s.throughout) apply_to(out.home);
    return out;
}

} // namespace bevel
