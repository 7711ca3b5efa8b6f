#include "core/movement/solver.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>
#include <numbers>

namespace bevel {
namespace {

constexpr double ball_share = 0.72; // of the foot, from the heel: the front end of the contact area (measures.md, "Foot")
// Parts of the trunk between hips and shoulders that bend against each other, shares of it from below: pelvis, low back, chest.
constexpr double pelvis_part = 0.22, low_part = 0.33, chest_part = 1 - pelvis_part - low_part;
// A chair: how far beside and ahead of the middle of the feet its back stands (SW), how high the hand lies on it (of stature); how far
// the hips of who sits on one are behind the ankles (of the thigh) and above the knees (of the shank).
constexpr double chair_beside = 1.25, chair_ahead = 0.55, chair_back = 0.53, seat_behind = 0.94, seat_over_knees = 0.06;
const Vec3 up(0, 1, 0);

Eigen::Matrix3d about_y(double degrees) {
    return Eigen::AngleAxisd(degrees * deg, up).toRotationMatrix();
}

Eigen::Matrix3d tilt_to(const Vec3& direction) {
    return Eigen::Quaterniond::FromTwoVectors(up, direction).toRotationMatrix();
}

/// Frame whose y runs against `along` (rest bones hang down) and whose z is as near to `forward` as it can be.
Eigen::Matrix3d limb_frame(const Vec3& along, const Vec3& forward) {
    const Vec3 y = -along.normalized();
    Vec3 z = forward - y * y.dot(forward);
    if (z.norm() < 1e-6) z = Vec3(0, 0, 1) - y * y.z();
    if (z.norm() < 1e-6) z = Vec3(1, 0, 0) - y * y.x();
    z.normalize();
    Eigen::Matrix3d r;
    r.col(0) = y.cross(z);
    r.col(1) = y;
    r.col(2) = z;
    return r;
}

/// Middle joint of two bones of lengths a, b from `from` to `to`, bent towards `pole`. `to` is pulled in when out of reach.
Vec3 two_bone(const Vec3& from, Vec3& to, double a, double b, const Vec3& pole) {
    Vec3 d = to - from;
    double dist = d.norm();
    const double most = (a + b) * 0.99995, least = std::abs(a - b) + 0.02 * (a + b);
    if (dist < 1e-9) {
        d = Vec3(0, -1, 0);
        dist = 1;
    }
    const Vec3 dir = d / dist;
    const double reach = std::clamp(dist, least, most);
    to = from + dir * reach;
    const double along = (a * a - b * b + reach * reach) / (2 * reach);
    const double off = std::sqrt(std::max(0.0, a * a - along * along));
    Vec3 side = pole - dir * dir.dot(pole);
    if (side.norm() < 1e-9) side = Vec3(0, 0, 1) - dir * dir.z();
    return from + dir * along + side.normalized() * off;
}

/// Bent forward about the hips' rest axis, degrees.
Vec3 bent(const Vec3& v, double degrees) {
    return degrees == 0 ? v : Vec3(Eigen::AngleAxisd(degrees * deg, Vec3(1, 0, 0)) * v);
}

double soft_min(double a, double b, double k) {
    const double h = std::max(k - std::abs(a - b), 0.0) / k;
    return std::min(a, b) - h * h * h * k / 6.0;
}

/// Soft limits keep a leg from going straight; where straight legs are asked for they are hard.
double straightness(const Channels& c) {
    return std::clamp(c.min_knee_flexion / 7, 0.01, 1.0);
}

double span_at(double a, double b, double flexion_deg) {
    return std::sqrt(a * a + b * b + 2 * a * b * std::cos(flexion_deg * deg));
}

/// Deviation of the knee from hip-ankle in the frontal plane, towards the other leg positive, degrees.
double frontal_knee(const Vec3& hip, const Vec3& knee, const Vec3& ankle, Side side) {
    const double s = side == Side::left ? -1.0 : 1.0;
    const Vec2 t(knee.x() - hip.x(), knee.y() - hip.y()), l(ankle.x() - knee.x(), ankle.y() - knee.y());
    const double bend = std::atan2(t.x() * l.y() - t.y() * l.x(), t.dot(l));
    return s * -bend / deg;
}

/// The inside of the elbow and the way the thumb points; and how far the second is turned from the first about the forearm, rad.
struct ArmTurn {
    Vec3 inside, thumb;
    double twist;
};
ArmTurn arm_turn(const Vec3& shoulder, const Vec3& elbow, const Vec3& wrist, Side side, double shoulder_yaw) {
    const Vec3 dir = (wrist - elbow).normalized();
    const Vec3 want = about_y(shoulder_yaw) * Vec3(side == Side::left ? -0.3 : 0.3, 0.45, 0.8);
    ArmTurn a;
    a.thumb = (want - dir * dir.dot(want)).normalized();
    const Vec3 in = 0.5 * (shoulder + wrist) - elbow;
    a.inside = in.norm() > 1e-4 ? in : a.thumb;
    Vec3 flat = a.inside - dir * dir.dot(a.inside);
    flat = flat.norm() > 1e-9 ? Vec3(flat.normalized()) : a.thumb;
    a.twist = std::atan2(dir.dot(flat.cross(a.thumb)), flat.dot(a.thumb));
    return a;
}

double level_share(Level l) {
    switch (l) {
    case Level::belly:
        return 0.10;
    case Level::heart:
        return 0.65;
    case Level::brow:
        return 1.36;
    }
    return 0;
}

constexpr double sw_of_trunk = 0.71;

Channels::Hand hand_channel(const HandTarget& h) {
    return {h.x, hand_height(h), h.z, h.elbow_out, h.palm, h.fist, h.drop, h.support};
}

Channels::Foot foot_channel(const FootTarget& f) {
    Channels::Foot c{f.x, f.z, f.toe_out, 0, 0, f.heel_turn, f.ball_turn, f.contact};
    if (f.contact == Contact::heel) c.pitch = 16;
    if (f.contact == Contact::toe) c.pitch = -24;
    if (f.contact == Contact::off) c.lift = f.lift;
    return c;
}

} // namespace

double hand_height(const HandTarget& h) {
    return level_share(h.level) + sw_of_trunk * h.y;
}

void set_hand_height(HandTarget& h, double height) {
    h.y = (height - level_share(h.level)) / sw_of_trunk;
}

Channels channels_of(const Posture& p) {
    Channels c;
    c.foot = {foot_channel(p.left_foot), foot_channel(p.right_foot)};
    c.hand = {hand_channel(p.left_hand), hand_channel(p.right_hand)};
    c.weight_left = p.weight_left;
    c.depth = p.depth;
    c.pelvis_turn = p.pelvis_turn;
    c.shoulder_turn = p.shoulder_turn;
    c.lean = p.lean;
    c.side = p.side;
    c.gaze_turn = p.gaze_turn;
    c.gaze_pitch = p.gaze_pitch;
    c.forward = p.forward;
    c.low_back = p.low_back;
    c.upper_back = p.upper_back;
    c.neck = p.neck;
    c.seat = p.seat;
    return c;
}

Solver::Solver(const BodyDims& dims, const Posture& quiet) : dims_(dims) {
    const Channels c = channels_of(quiet);
    const std::array<Foot, 2> feet{place_foot(c.foot[0], Side::left), place_foot(c.foot[1], Side::right)};
    const Vec3 mid = 0.5 * (feet[0].ankle + feet[1].ankle);
    neutral_hip_ = reach_limit(c, mid.x(), mid.z(), feet);
    const Pose straight = rest();
    for (const Side s : {Side::left, Side::right}) {
        auto p = [&](Point q) { return straight.points[static_cast<std::size_t>(on(s, q))]; };
        rest_twist_[static_cast<std::size_t>(s)] = arm_turn(p(left_shoulder), p(left_elbow), p(left_wrist), s, 0).twist;
    }
}

Solver::Foot Solver::place_foot(const Channels::Foot& f, Side side) const {
    const double sw = dims_.shoulder_width;
    Foot out;
    const double outward = side == Side::left ? 1 : -1;
    out.forward = about_y(outward * f.toe_out) * Vec3(0, 0, 1);
    Vec3 ground(f.x * sw, 0, f.z * sw);
    Vec3 heel0 = ground - out.forward * dims_.heel_behind;
    if (f.heel_turn != 0 || f.ball_turn != 0) { // on the spot: the heel stays, then the ball of the foot does
        out.forward = about_y(outward * f.heel_turn) * out.forward;
        const Vec3 ball = heel0 + ball_share * dims_.foot_length * out.forward;
        out.forward = about_y(outward * f.ball_turn) * out.forward;
        heel0 = ball - ball_share * dims_.foot_length * out.forward;
        ground = heel0 + out.forward * dims_.heel_behind;
    }
    const Vec3 across = up.cross(out.forward);
    const double pitch = f.pitch * deg;
    const Eigen::Matrix3d r = Eigen::AngleAxisd(-pitch, across).toRotationMatrix();
    const Vec3 toe0 = heel0 + out.forward * dims_.foot_length;
    const Vec3 pivot = pitch >= 0 ? heel0 : toe0;
    const Vec3 raise(0, f.lift * dims_.stature, 0);
    auto turned = [&](const Vec3& p) { return Vec3(pivot + r * (p - pivot) + raise); };
    out.ankle = turned(ground + Vec3(0, dims_.ankle_height, 0));
    out.heel = turned(heel0);
    out.toe = turned(toe0);
    return out;
}

double Solver::reach_limit(const Channels& c, double x, double z, const std::array<Foot, 2>& feet) const {
    double limit = 1e9;
    bool first = true;
    const Eigen::Matrix3d r = about_y(c.pelvis_turn);
    for (int i = 0; i < 2; ++i) {
        const Vec3 hip = r * Vec3((i == 0 ? 0.5 : -0.5) * dims_.hip_width, 0, 0) + Vec3(x, 0, z);
        const auto k = static_cast<std::size_t>(i);
        // A foot without weight may reach with a longer leg; the more it lies on the floor, the less.
        const double away = std::clamp(std::abs(c.foot[k].pitch) / 16 + c.foot[k].lift / 0.02, 0.0, 1.0);
        const double flat_least = c.min_knee_flexion + std::min(1.0, straightness(c)), free_least = std::min(c.min_knee_flexion, 4.0);
        const double least = flat_least + (free_least - flat_least) * away * away * (3 - 2 * away);
        const double span = span_at(dims_.thigh, dims_.shank, std::abs(least));
        const Vec3& a = feet[k].ankle;
        const double flat = std::hypot(hip.x() - a.x(), hip.z() - a.z());
        const double h = a.y() + std::sqrt(std::max(0.04, span * span - flat * flat));
        limit = first ? h : soft_min(limit, h, 0.008 * straightness(c));
        first = false;
    }
    return limit;
}

void Solver::leg(Pose& pose, Side side, const Foot& foot, double knee_in, double least, const Vec3& pelvis_forward) const {
    const auto off = side == Side::left ? 0 : bone_side_offset;
    const Vec3 hip = pose.points[static_cast<std::size_t>(on(side, left_hip))];
    Vec3 ankle = foot.ankle;
    Vec3 pole = foot.forward + 0.15 * pelvis_forward;
    const Vec3 wanted = ankle;
    // Past straight: the knee lies behind the line from hip to ankle.
    if (least < 0 && (ankle - hip).norm() > span_at(dims_.thigh, dims_.shank, 1.3 - least)) pole = -pole;
    Vec3 knee = two_bone(hip, ankle, dims_.thigh, dims_.shank, pole);
    if (least < 0) pole = foot.forward; // the skin still faces forward
    if (knee_in > 0.01) {
        // Turn the knee about the line hip-ankle until the frontal-plane projection has grown by knee_in.
        const Vec3 axis = (ankle - hip).normalized();
        const double before = frontal_knee(hip, knee, ankle, side);
        const double way = side == Side::left ? 1.0 : -1.0;
        double lo = 0, hi = 85 * deg;
        Vec3 turned = knee;
        for (int i = 0; i < 24; ++i) {
            const double mid = 0.5 * (lo + hi);
            turned = hip + Eigen::AngleAxisd(way * mid, axis) * (knee - hip);
            (frontal_knee(hip, turned, ankle, side) - before < knee_in ? lo : hi) = mid;
        }
        pole = turned - (hip + axis * axis.dot(turned - hip));
        knee = turned;
    }
    const Vec3 shift = ankle - wanted; // out of reach: the foot follows the leg
    auto at = [&](Point p) -> Vec3& { return pose.points[static_cast<std::size_t>(on(side, p))]; };
    at(left_knee) = knee;
    at(left_ankle) = ankle;
    at(left_heel) = foot.heel + shift;
    at(left_toe) = foot.toe + shift;
    auto bone = [&](int b) -> Frame& { return pose.bones[static_cast<std::size_t>(b + off)]; };
    bone(bone_thigh_l) = {limb_frame(knee - hip, pole), hip};
    bone(bone_shank_l) = {limb_frame(ankle - knee, pole), knee};
    const Vec3 f = (foot.toe - foot.heel).normalized();
    const Vec3 left = up.cross(foot.forward);
    Eigen::Matrix3d r;
    r.col(0) = left;
    r.col(1) = f.cross(left);
    r.col(2) = f;
    bone(bone_foot_l) = {r, ankle};
}

void Solver::arm(Pose& pose, Side side, const Vec3& target, const Channels::Hand& hand, double shoulder_yaw) const {
    const double elbow_out = hand.elbow_out;
    const auto off = side == Side::left ? 0 : bone_side_offset;
    const double s = side == Side::left ? 1 : -1;
    const Vec3 shoulder = pose.points[static_cast<std::size_t>(on(side, left_shoulder))];
    const Eigen::Matrix3d yaw = about_y(shoulder_yaw);
    const Vec3 pole = yaw * Vec3(s * std::sin(elbow_out * deg), -std::cos(elbow_out * deg), -0.35);
    Vec3 wrist = target;
    // Never a straight arm: stop a little short of full reach.
    const double most = span_at(dims_.upper_arm, dims_.forearm, 14);
    if ((wrist - shoulder).norm() > most) wrist = shoulder + (wrist - shoulder).normalized() * most;
    const Vec3 elbow = two_bone(shoulder, wrist, dims_.upper_arm, dims_.forearm, pole);
    const Vec3 dir = (wrist - elbow).normalized();
    ArmTurn turn = arm_turn(shoulder, elbow, wrist, side, shoulder_yaw);
    if (hand.palm != 0) {
        const double by = -s * hand.palm * deg;
        turn.thumb = Eigen::AngleAxisd(by, dir) * turn.thumb;
        turn.twist += by;
    }
    const Vec3& thumb = turn.thumb;
    // Closed, the fingers end nearer to the wrist.
    const double open = 1 - 0.45 * std::clamp(hand.fist, 0.0, 1.0);
    auto at = [&](Point p) -> Vec3& { return pose.points[static_cast<std::size_t>(on(side, p))]; };
    at(left_elbow) = elbow;
    at(left_wrist) = wrist;
    at(left_index) = wrist + dir * dims_.hand * open + thumb * 0.25 * dims_.hand;
    at(left_little) = wrist + dir * dims_.hand * 0.9 * open - thumb * 0.3 * dims_.hand;
    at(left_thumb) = wrist + dir * dims_.hand * 0.5 + thumb * 0.45 * open * dims_.hand;
    auto bone = [&](int b) -> Frame& { return pose.bones[static_cast<std::size_t>(b + off)]; };
    bone(bone_upper_arm_l) = {limb_frame(elbow - shoulder, turn.inside), shoulder};
    // Half of the hand's turn is in the forearm, as in a body; else the skin would wring at the wrist.
    const double half = 0.5 * std::remainder(turn.twist - rest_twist_[static_cast<std::size_t>(side)], 2 * std::numbers::pi);
    bone(bone_forearm_l) = {Eigen::AngleAxisd(half, dir).toRotationMatrix() * limb_frame(wrist - elbow, turn.inside), elbow};
    bone(bone_hand_l) = {limb_frame(dir, thumb), wrist};
}

Pose Solver::build(const Channels& c, const Vec3& m, const std::array<Foot, 2>& feet) const {
    Pose pose;
    auto& p = pose.points;
    const Eigen::Matrix3d pelvis = about_y(c.pelvis_turn);
    const Vec3 d = Vec3(std::tan(c.side * deg), 1, std::tan(c.lean * deg)).normalized();
    const Vec3 low = bent(d, c.low_back), high = bent(d, c.low_back + c.upper_back);
    const Eigen::Matrix3d tilt = tilt_to(high);
    const Eigen::Matrix3d chest = tilt * about_y(c.shoulder_turn);
    const Eigen::Matrix3d waist = tilt_to(bent((d + up).normalized(), c.low_back)) * about_y(0.5 * (c.pelvis_turn + c.shoulder_turn));
    const bool curved = c.low_back != 0 || c.upper_back != 0 || c.neck != 0;
    const Vec3 middle = m + dims_.trunk * (pelvis_part * d + low_part * low); // between low back and chest
    const Vec3 s = curved ? Vec3(middle + dims_.trunk * chest_part * high) : Vec3(m + d * dims_.trunk);
    p[left_hip] = m + pelvis * Vec3(0.5 * dims_.hip_width, 0, 0);
    p[right_hip] = m - pelvis * Vec3(0.5 * dims_.hip_width, 0, 0);
    p[left_shoulder] = s + chest * Vec3(0.5 * dims_.shoulder_width, 0, 0);
    p[right_shoulder] = s - chest * Vec3(0.5 * dims_.shoulder_width, 0, 0);
    const Vec3 chest_forward = about_y(c.shoulder_turn) * Vec3(0, 0, 1);
    // A head is held up over a leaning trunk; over a rounded one it hangs along with it, the more the rounder.
    const double hang = std::clamp((std::abs(c.low_back) + std::abs(c.upper_back)) / 40, 0.0, 1.0);
    const double nod = hang * (c.lean + c.low_back + c.upper_back) + c.neck;
    const Vec3 neck = bent(((1 - hang) * (0.5 * d + 0.5 * up).normalized() + hang * high).normalized(), c.neck);
    const Vec3 ears = s + dims_.neck_to_ear * neck + (dims_.ear_forward + c.head_forward) * bent(chest_forward, nod);
    const Eigen::Matrix3d head = Eigen::AngleAxisd(nod * deg, Vec3(1, 0, 0)).toRotationMatrix() * about_y(c.shoulder_turn + c.gaze_turn) *
                                 Eigen::AngleAxisd(-c.gaze_pitch * deg, Vec3(1, 0, 0)).toRotationMatrix();
    const double h = dims_.stature;
    p[nose] = ears + head * Vec3(0, -0.004, 0.064) * h;
    p[left_ear] = ears + head * Vec3(0.043, 0, 0) * h;
    p[right_ear] = ears - head * Vec3(0.043, 0, 0) * h;
    p[left_eye] = ears + head * Vec3(0.019, 0.016, 0.050) * h;
    p[right_eye] = ears + head * Vec3(-0.019, 0.016, 0.050) * h;
    pose.bones[bone_pelvis] = {pelvis, m};
    pose.bones[bone_waist] = {waist, m + 0.22 * dims_.trunk * (0.6 * d + 0.4 * up)};
    pose.bones[bone_chest] = {chest, curved ? middle : Vec3(m + 0.55 * dims_.trunk * d)};
    pose.bones[bone_neck] = {tilt_to((ears - s).normalized()) * about_y(c.shoulder_turn + 0.5 * c.gaze_turn), s};
    pose.bones[bone_head] = {head, ears};
    for (const Side side : {Side::left, Side::right}) {
        const auto i = static_cast<std::size_t>(side);
        leg(pose, side, feet[i], c.knee_in[i], c.min_knee_flexion, pelvis * Vec3(0, 0, 1));
        // Up along the straight line from hips to shoulders.
        const Vec3 line = curved ? Vec3((s - m) / dims_.trunk) : d;
        Vec3 wrist = m + line * (c.hand[i].y * dims_.trunk) +
                     about_y(c.shoulder_turn) * Vec3(c.hand[i].x, 0, c.hand[i].z) * dims_.shoulder_width -
                     c.hand[i].drop * dims_.shoulder_width * up + c.hand_sway[i];
        if (c.hand[i].support > 0) { // on the back of a chair that stands there, whatever the body does
            const Vec3 chair((side == Side::left ? chair_beside : -chair_beside) * dims_.shoulder_width, chair_back * dims_.stature,
                             chair_ahead * dims_.shoulder_width);
            wrist += std::clamp(c.hand[i].support, 0.0, 1.0) * (chair - wrist);
        }
        arm(pose, side, wrist, c.hand[i], c.shoulder_turn);
    }
    return pose;
}

Pose Solver::solve(const Channels& c) const {
    const std::array<Foot, 2> feet{place_foot(c.foot[0], Side::left), place_foot(c.foot[1], Side::right)};
    // Foot centre: middle of the contact area, heel to 72 % of the foot.
    auto centre = [&](const Foot& f) -> Vec3 {
        return Vec3(f.ankle.x(), 0, f.ankle.z()) + f.forward * (0.36 * dims_.foot_length - dims_.heel_behind);
    };
    const Vec3 ahead = (feet[0].forward + feet[1].forward).normalized() * (c.forward * dims_.foot_length);
    const Vec3 target = c.weight_left * centre(feet[0]) + (1 - c.weight_left) * centre(feet[1]) + ahead;
    const SegmentTable table = SegmentTable::of(Sex::mean);
    Vec3 m(target.x(), 0, target.z());
    const double wanted = c.depth * neutral_hip_;
    Pose pose;
    const double seated = std::clamp(c.seat, 0.0, 1.0);
    const Vec3 ankles = 0.5 * (feet[0].ankle + feet[1].ankle);
    const Vec3 facing = (feet[0].forward + feet[1].forward).normalized();
    const Vec3 on_seat =
        Vec3(ankles.x(), dims_.ankle_height + dims_.shank * (1 + seat_over_knees), ankles.z()) - seat_behind * dims_.thigh * facing;
    for (int i = 0; i < 6; ++i) {
        m.y() = soft_min(wanted, reach_limit(c, m.x(), m.z(), feet), 0.012 * straightness(c));
        const Vec3 hips = m + seated * (on_seat - m);
        pose = build(c, hips, feet);
        if (seated >= 1) break; // the chair carries the body
        const Vec3 off = target - body_centre(pose.points, table);
        if (i < 5) m += Vec3(off.x(), 0, off.z());
    }
    if (seated > 0) {
        pose = build(c, m + seated * (on_seat - m) + 0.3 * c.sway, feet);
    } else if (c.pelvis_forward != 0 || !c.sway.isZero()) {
        m += Vec3(0, 0, c.pelvis_forward) + c.sway;
        m.y() = soft_min(wanted + c.sway.y(), reach_limit(c, m.x(), m.z(), feet), 0.012 * straightness(c));
        pose = build(c, m, feet);
    }
    return pose;
}

Pose placed(Pose pose, const FloorFrame& frame, double sw) {
    if (frame == FloorFrame{}) return pose;
    const Eigen::Matrix3d r = about_y(frame.yaw);
    const Vec3 at(frame.x * sw, 0, frame.z * sw);
    auto put = [&](const Vec3& p) { return Vec3(r * p + at); };
    for (auto& p : pose.points) p = put(p);
    for (auto& rod : pose.chair) rod.from = put(rod.from), rod.to = put(rod.to);
    if (pose.tool) pose.tool = std::pair{put(pose.tool->first), put(pose.tool->second)};
    for (auto& b : pose.bones) b.r = r * b.r, b.o = put(b.o);
    return pose;
}

std::pair<Vec3, Vec3> tool_ends(const Body3& b, const Tool& tool, double stature_m) {
    auto palm = [&](Side s) {
        auto at = [&](Point p) { return b[static_cast<std::size_t>(on(s, p))]; };
        return Vec3(0.4 * at(left_wrist) + 0.3 * at(left_index) + 0.3 * at(left_little));
    };
    const Vec3 left = palm(Side::left), right = palm(Side::right), along = (left - right).normalized();
    return {left + tool.front * stature_m * along, right - tool.back * stature_m * along};
}

ExtraPoints Pose::marks() const {
    auto at = [&](Bone b, const Vec3& off) { return Vec3(bones[b].o + bones[b].r * off); };
    const double trunk = (mid(points, left_shoulder) - mid(points, left_hip)).norm();
    const Vec3 back(0, 0, -0.22 * trunk);
    ExtraPoints out;
    // Tail and low back are of the pelvis and the low back, the middle and the base of the neck of the chest.
    const Vec3 m = mid(points, left_hip), s = mid(points, left_shoulder);
    out[tail] = m + bones[bone_waist].r * (back + Vec3(0, -0.05 * trunk, 0));
    out[low_back] = at(bone_waist, back);
    out[mid_back] = at(bone_chest, back);
    out[c7] = s + bones[bone_chest].r * (0.6 * back);
    if (tool) out[tool_front] = tool->first, out[tool_back] = tool->second;
    out[crown] = at(bone_head, Vec3(0, 0.31 * trunk, 0));
    return out;
}

Pose Solver::rest() const {
    Channels c;
    const double hip = 0.5 * dims_.hip_width / dims_.shoulder_width;
    c.foot[0].x = hip;
    c.foot[1].x = -hip;
    c.min_knee_flexion = 0;
    c.hand = {Channels::Hand{1.55, 0.05, 0.02, 90}, Channels::Hand{-1.55, 0.05, 0.02, 90}};
    const std::array<Foot, 2> feet{place_foot(c.foot[0], Side::left), place_foot(c.foot[1], Side::right)};
    Pose p = build(c, Vec3(0, dims_.hip_height() - 0.002, 0), feet);
    return p;
}

std::vector<Rod> chair_rods(const Vec3& seat, const Vec3& ahead, double back_m) {
    constexpr double wide = 0.42, deep = 0.40, bar = 0.016, slat = 0.02;
    const Vec3 across = Vec3(0, 1, 0).cross(ahead).normalized();
    const auto at = [&](double x, double y, double z) -> Vec3 {
        const Vec3 p = seat + x * across + z * ahead;
        return Vec3(p.x(), y, p.z());
    };
    const double top = seat.y() - slat, front = 0.5 * deep, behind = -0.5 * deep, side = 0.5 * wide;
    std::vector<Rod> rods;
    for (int k = 0; k <= 9; ++k) { // the seat, slat by slat
        const double z = behind + (front - behind) * k / 9;
        rods.push_back({at(-side, top, z), at(side, top, z), slat});
    }
    for (const double x : {-side, side}) {
        rods.push_back({at(x, bar, front), at(x, top, front), bar});
        rods.push_back({at(x, bar, behind), at(x, back_m, behind - 0.04), bar});
    }
    for (const double y : {back_m, back_m - 0.12, back_m - 0.24})
        rods.push_back({at(-side, y, behind - 0.04), at(side, y, behind - 0.04), bar});
    return rods;
}

std::vector<Rod> chair_of(const Posture& p, const Pose& pose, const BodyDims& dims) {
    if (p.seat > 0.5) {
        const Vec3 hips = mid(pose.points, left_hip), knees = mid(pose.points, left_knee);
        Vec3 ahead = knees - hips;
        ahead.y() = 0;
        if (ahead.norm() < 1e-3) return {};
        ahead.normalize();
        const double thigh = 0.045 * dims.stature; // half as thick where it rests
        const Vec3 seat = hips + 0.06 * ahead;
        return chair_rods(Vec3(seat.x(), std::min(hips.y(), knees.y()) - thigh, seat.z()), ahead, 0.5 * dims.stature);
    }
    for (const Side side : {Side::left, Side::right}) {
        if ((side == Side::left ? p.left_hand : p.right_hand).support <= 0) continue;
        const double back = chair_back * dims.stature - 0.01;
        const double out = side == Side::left ? 1 : -1, away = 0.1; // the hand rests near its inner end, the legs stand clear
        const Vec3 rail(out * (chair_beside * dims.shoulder_width + away), back, chair_ahead * dims.shoulder_width);
        return chair_rods(Vec3(rail.x(), 0.26 * dims.stature, rail.z() + 0.24), Vec3(0, 0, 1), back); // its back towards who stands there
    }
    return {};
}

} // namespace bevel
