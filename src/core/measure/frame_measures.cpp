#include "core/measure/frame_measures.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel {
namespace {

double outward(Side s) {
    return s == Side::left ? 1 : -1;
}
const Vec3& at(const Body3& b, const Build& c, Point left) {
    return b[index_of(on(c.side, left))];
}

/// Yaw of a left-to-right pair, to own left positive.
double yaw(const Body3& b, Point left) {
    const Vec3 d = b[index_of(left)] - b[index_of(mirrored(left))];
    return std::atan2(-d.z(), d.x()) / deg;
}
double slope_of_pair(const Body3& b, Point left) {
    const Vec3 d = b[index_of(left)] - b[index_of(mirrored(left))];
    return std::atan2(d.y(), std::hypot(d.x(), d.z())) / deg;
}

Value stance_width(const Body3& b, const Build& c) {
    return std::abs(b[left_ankle].x() - b[right_ankle].x()) / c.shoulder_width;
}
Value stance_length(const Body3& b, const Build& c) {
    return std::abs(b[left_ankle].z() - b[right_ankle].z()) / c.shoulder_width;
}
double toe_out(const Body3& b, Side s) {
    const Vec3 f = b[index_of(on(s, left_toe))] - b[index_of(on(s, left_heel))];
    return outward(s) * std::atan2(f.x(), f.z()) / deg;
}
Value foot_angle(const Body3& b, const Build& c) {
    return toe_out(b, c.side);
}
Value foot_parity(const Body3& b, const Build&) {
    return toe_out(b, Side::left) - toe_out(b, Side::right);
}
Value heel_rise(const Body3& b, const Build& c) {
    return 100 * at(b, c, left_heel).y();
}

Value knee_flexion(const Body3& b, const Build& c) {
    const Vec3 &h = at(b, c, left_hip), &k = at(b, c, left_knee), &a = at(b, c, left_ankle);
    const double bend = joint_bend(h, k, a);
    // Forward is where the toes point; a knee behind the line hip-ankle is past straight.
    Vec3 toe = at(b, c, left_toe) - at(b, c, left_heel);
    toe.y() = 0;
    const double u = (k - h).dot(a - h) / (a - h).squaredNorm();
    const Vec3 off = k - h - u * (a - h);
    return off.dot(toe) < 0 ? -bend : bend;
}

Value knee_inward(const Body3& b, const Build& c) {
    const Vec3 &h = at(b, c, left_hip), &k = at(b, c, left_knee), &a = at(b, c, left_ankle);
    const Vec2 t(k.x() - h.x(), k.y() - h.y()), l(a.x() - k.x(), a.y() - k.y());
    if (t.norm() < *c.info->share * c.thigh) return Absent::foreshortened;
    return outward(c.side) * std::atan2(t.x() * l.y() - t.y() * l.x(), t.dot(l)) / deg;
}

Value knee_ahead(const Body3& b, const Build& c) {
    const Vec3 &k = at(b, c, left_knee), &toe = at(b, c, left_toe), &heel = at(b, c, left_heel);
    Vec3 line = toe - heel;
    line.y() = 0;
    if (line.norm() < 0.05) return Absent::turned;
    return 100 * (k - toe).dot(line.normalized());
}

Value knee_toe(const Body3& b, const Build& c) {
    Vec3 shin = at(b, c, left_knee) - at(b, c, left_ankle), foot = at(b, c, left_toe) - at(b, c, left_heel);
    shin.y() = foot.y() = 0;
    if (shin.norm() < *c.info->least_m || shin.dot(foot) <= 0) return Absent::foreshortened;               // no direction, or leaning back
    return -outward(c.side) * std::atan2(foot.z() * shin.x() - foot.x() * shin.z(), foot.dot(shin)) / deg; // inwards positive
}

Value knee_gap(const Body3& b, const Build& c) {
    const double ankles = std::abs(b[left_ankle].x() - b[right_ankle].x());
    if (ankles < *c.info->least_m) return Absent::feet_close;
    return (b[left_knee].x() - b[right_knee].x()) / ankles;
}

Value pelvis_tilt(const Body3& b, const Build&) {
    return slope_of_pair(b, left_hip);
}
Value shoulder_tilt(const Body3& b, const Build&) {
    return slope_of_pair(b, left_shoulder);
}
Value pelvis_turn(const Body3& b, const Build&) {
    return yaw(b, left_hip);
}
Value shoulder_turn(const Body3& b, const Build&) {
    return yaw(b, left_shoulder);
}
Value turn_gap(const Body3& b, const Build&) {
    return std::remainder(yaw(b, left_shoulder) - yaw(b, left_hip), 360);
}
Value hip_height(const Body3& b, const Build& c) {
    return mid(b, left_hip).y() / (c.neutral ? mid(*c.neutral, left_hip).y() : c.hip_height);
}
Value thigh(const Body3& b, const Build& c) {
    const Vec3 t = at(b, c, left_knee) - at(b, c, left_hip);
    return std::atan2(-t.y(), std::hypot(t.x(), t.z())) / deg;
}
Value lean(const Body3& b, const Build& c) {
    const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
    return std::atan2(d.z(), d.y()) / deg - c.own.value_or(0); // from a stooped back that is known, else from the vertical
}
Value side_bend(const Body3& b, const Build&) {
    const Vec3 d = mid(b, left_shoulder) - mid(b, left_hip);
    return std::atan2(d.x(), d.y()) / deg;
}
double ears_ahead(const Body3& b) {
    return 100 * (mid(b, left_ear).z() - mid(b, left_shoulder).z());
}
Value head_offset(const Body3& b, const Build& c) {
    return ears_ahead(b) - (c.own ? 100 * *c.own * c.stature : ears_ahead(*c.neutral));
}
double gaze(const Body3& b) {
    const Vec3 d = b[nose] - mid(b, left_ear);
    return std::atan2(d.y(), std::hypot(d.x(), d.z())) / deg;
}
Value head_pitch(const Body3& b, const Build& c) {
    return gaze(b) - (c.own ? *c.own : gaze(*c.neutral));
}
Value head_turn(const Body3& b, const Build&) {
    const Vec3 d = b[nose] - mid(b, left_ear);
    return std::atan2(d.x(), d.z()) / deg;
}
Value head_roll(const Body3& b, const Build&) {
    return slope_of_pair(b, left_shoulder) - slope_of_pair(b, left_ear); // left ear down: towards own left
}
Value crown_height(const Body3& b, const Build& c) {
    return mid(b, left_ear).y() / mid(*c.neutral, left_ear).y();
}
double plumb(const Body3& b, Eigen::Index axis) {
    return 100 * (mid(b, left_ear)[axis] - 0.5 * (foot_centre(b, Side::left)[axis] + foot_centre(b, Side::right)[axis]));
}
Value plumb_side(const Body3& b, const Build&) {
    return plumb(b, 0);
}
Value plumb_forward(const Body3& b, const Build&) {
    return plumb(b, 2);
}
Value shoulder_gap(const Body3& b, const Build& c) {
    const double now = at(b, c, left_ear).y() - at(b, c, left_shoulder).y(),
                 then = c.own ? *c.own * c.stature : at(*c.neutral, c, left_ear).y() - at(*c.neutral, c, left_shoulder).y();
    if (then < 0.03) return Absent::no_neutral;
    return now / then;
}
Value elbow_flexion(const Body3& b, const Build& c) {
    return joint_bend(at(b, c, left_shoulder), at(b, c, left_elbow), at(b, c, left_wrist));
}
Value arm_air(const Body3& b, const Build& c) {
    const Vec3 arm = at(b, c, left_elbow) - at(b, c, left_shoulder), down = at(b, c, left_hip) - at(b, c, left_shoulder);
    return std::atan2(arm.cross(down).norm(), arm.dot(down)) / deg;
}
Value elbow_drop(const Body3& b, const Build& c) {
    const Vec3 shoulder = at(b, c, left_shoulder), elbow = at(b, c, left_elbow), wrist = at(b, c, left_wrist);
    const double along = (elbow - shoulder).norm() / ((elbow - shoulder).norm() + (wrist - elbow).norm());
    return 100 * (shoulder.y() + along * (wrist.y() - shoulder.y()) - elbow.y());
}
Value hand_ahead(const Body3& b, const Build& c) {
    return (at(b, c, left_wrist).z() - mid(b, left_shoulder).z()) / c.shoulder_width;
}
Value hand_height(const Body3& b, const Build& c) {
    return at(b, c, left_wrist).y() / c.stature;
}
Value hand_centre(const Body3& b, const Build& c) {
    const double bone = 0.6 * mid(b, left_shoulder).x() + 0.4 * mid(b, left_hip).x();
    return outward(c.side) * (at(b, c, left_wrist).x() - bone) / c.shoulder_width;
}
Value head_hand(const Body3& b, const Build& c) {
    const Vec3 gaze = b[nose] - mid(b, left_ear), to = at(b, c, left_wrist) - mid(b, left_ear);
    if (std::hypot(to.x(), to.z()) < 0.1) return Absent::foreshortened;
    return std::remainder(std::atan2(gaze.x(), gaze.z()) / deg - std::atan2(to.x(), to.z()) / deg, 360);
}
/// The end of a tool beyond a hand: a fifth of the stature on, along the line through both hands.
constexpr double beyond_hand = 0.2, least_spacing_m = 0.08;
Vec3 tip(const Body3& b, Side s, double stature) {
    const Vec3 &hand = b[on(s, left_wrist)], &rest = b[on(other(s), left_wrist)];
    return hand + beyond_hand * stature * (hand - rest).normalized();
}
bool held_apart(const Body3& b) {
    return (b[left_wrist] - b[right_wrist]).norm() >= least_spacing_m;
}
Value tool_tip(const Body3& b, const Build& c) {
    if (!held_apart(b)) return Absent::foreshortened;
    return tip(b, c.side, c.stature).y() / c.stature;
}
Value tool_turn(const Body3& b, const Build&) {
    const Vec3 d = b[left_wrist] - b[right_wrist];
    if (std::hypot(d.x(), d.z()) < least_spacing_m) return Absent::foreshortened;
    return std::remainder(yaw(b, left_wrist) - yaw(b, left_shoulder), 360);
}
double from_axis(const Vec3& p, const Vec3& a, const Vec3& b) {
    const Vec3 d = b - a;
    const double u = d.squaredNorm() < 1e-12 ? 0 : std::clamp((p - a).dot(d) / d.squaredNorm(), 0.0, 1.0);
    return (p - a - u * d).norm();
}
Value tool_clear(const Body3& b, const Build& c) {
    if (!held_apart(b)) return Absent::foreshortened;
    const Vec3 front = tip(b, Side::left, c.stature), back = tip(b, Side::right, c.stature);
    const Vec3 hips = mid(b, left_hip), shoulders = mid(b, left_shoulder);
    double least = 1e9;
    constexpr int steps = 40;
    for (int k = 0; k <= steps; ++k) {
        const Vec3 p = back + (front - back) * k / steps;
        least = std::min({least, from_axis(p, hips, shoulders), from_axis(p, shoulders, mid(b, left_ear))});
        // It may come down before the thighs, and rests on them where somebody sits.
        for (const Side s : {Side::left, Side::right}) least = std::min(least, from_axis(p, b[on(s, left_knee)], b[on(s, left_ankle)]));
    }
    return 100 * least;
}
Value palm(const Body3& b, const Build& c) {
    const Vec3 w = at(b, c, left_wrist);
    const Vec3 n = outward(c.side) * (at(b, c, left_little) - w).cross(at(b, c, left_index) - w);
    if (n.norm() < 1e-6) return Absent::foreshortened;
    return std::atan2(n.y(), std::hypot(n.x(), n.z())) / deg;
}
Value fingers(const Body3& b, const Build& c) {
    const Vec3 d = 0.5 * (at(b, c, left_index) + at(b, c, left_little)) - at(b, c, left_wrist);
    return std::atan2(d.y(), std::hypot(d.x(), d.z())) / deg;
}

} // namespace

const std::vector<FrameMeasure>& frame_measures() {
    static const std::vector<Point> leg{left_hip, left_knee, left_ankle}, foot{left_heel, left_toe}, hips{left_hip, right_hip},
        shoulders{left_shoulder, right_shoulder}, trunk{left_hip, right_hip, left_shoulder, right_shoulder},
        base{left_ear, right_ear, left_heel, right_heel, left_toe, right_toe}, head{nose, left_ear, right_ear},
        hand{left_wrist, left_index, left_little}, hands{left_wrist, right_wrist}, feet{left_heel, left_toe, right_heel, right_toe};
    static const std::vector<Point> tool_and_body{left_wrist,     right_wrist, left_hip,   right_hip,  left_shoulder,
                                                  right_shoulder, left_knee,   right_knee, left_ankle, right_ankle};
    static const std::vector<FrameMeasure> all{
        {"stance.width", Axis::plan, {left_ankle, right_ankle}, stance_width},
        {"stance.length", Axis::plan, {left_ankle, right_ankle}, stance_length},
        {"foot.angle", Axis::plan, foot, foot_angle},
        {"foot.parity", Axis::plan, feet, foot_parity},
        {"heel.rise", Axis::forward, {left_heel}, heel_rise},
        {"knee.flexion", Axis::forward, leg, knee_flexion},
        {"knee.inward", Axis::sideways, leg, knee_inward},
        {"knee.ahead", Axis::forward, {left_knee, left_toe}, knee_ahead},
        {"knee.toe", Axis::room, {left_knee, left_ankle, left_heel, left_toe}, knee_toe},
        {"knee.gap", Axis::sideways, {left_knee, right_knee, left_ankle, right_ankle}, knee_gap},
        {"pelvis.tilt", Axis::sideways, hips, pelvis_tilt},
        {"shoulder.tilt", Axis::sideways, shoulders, shoulder_tilt},
        {"pelvis.turn", Axis::forward, hips, pelvis_turn},
        {"shoulder.turn", Axis::forward, shoulders, shoulder_turn},
        {"turn.gap", Axis::forward, trunk, turn_gap},
        {"trunk.twist", Axis::room, trunk, turn_gap},
        {"hip.height", Axis::any, hips, hip_height},
        {"thigh", Axis::forward, {left_hip, left_knee}, thigh},
        {"trunk.lean", Axis::forward, trunk, lean},
        {"trunk.side", Axis::sideways, trunk, side_bend},
        {"head.offset", Axis::forward, {left_ear, right_ear, left_shoulder, right_shoulder}, head_offset},
        {"head.pitch", Axis::forward, head, head_pitch},
        {"head.turn", Axis::forward, head, head_turn},
        {"head.roll", Axis::sideways, {left_ear, right_ear, left_shoulder, right_shoulder}, head_roll},
        {"crown.height", Axis::any, {left_ear, right_ear}, crown_height},
        {"plumb.side", Axis::sideways, base, plumb_side},
        {"plumb.forward", Axis::forward, base, plumb_forward},
        {"shoulder.gap", Axis::any, {left_ear, left_shoulder}, shoulder_gap},
        {"elbow.flexion", Axis::room, {left_shoulder, left_elbow, left_wrist}, elbow_flexion},
        {"arm.air", Axis::room, {left_shoulder, left_elbow, left_hip}, arm_air},
        {"elbow.drop", Axis::any, {left_shoulder, left_elbow, left_wrist}, elbow_drop},
        {"hand.ahead", Axis::forward, {left_wrist, left_shoulder, right_shoulder}, hand_ahead},
        {"hand.height", Axis::any, {left_wrist}, hand_height},
        {"hand.centre", Axis::sideways, {left_wrist, left_shoulder, right_shoulder, left_hip, right_hip}, hand_centre},
        {"head.hand", Axis::room, {nose, left_ear, right_ear, left_wrist}, head_hand},
        {"tool.tip", Axis::room, hands, tool_tip},
        {"tool.turn", Axis::room, {left_wrist, right_wrist, left_shoulder, right_shoulder}, tool_turn},
        {"tool.clear", Axis::room, tool_and_body, tool_clear},
        {"palm", Axis::room, hand, palm},
        {"fingers", Axis::room, hand, fingers},
    };
    return all;
}

} // namespace bevel
