// The figure that is shown as the reference, on cards and on sheets: a plain jacket with a standing collar, wide trousers, soft shoes, a
// calm face, hands with fingers that close. Parts overlap as cloth does; each is a surface of its own, fine where the eye looks. Nothing is
// measured on it and no body is looked for in it; the families that are filmed are apart.
#include "core/sim/figure.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel::sim {

void Figure::build_shown() {
    build_cloth();
    build_head();
    for (const Side side : {Side::left, Side::right}) {
        build_hand(side);
        build_shoe(side);
    }
    primitives_.clear();
}

void Figure::build_cloth() {
    const double h = dims_.stature;
    const auto& p = rest_.points;
    auto cone = [&](const Vec3& a, const Vec3& b, double ra, double rb, int bone) {
        primitives_.push_back({Primitive::Kind::cone, a, b, ra * h, rb * h, bone});
    };
    auto ball = [&](const Vec3& at, const Vec3& radii, int bone) {
        primitives_.push_back({Primitive::Kind::ellipsoid, at, radii * h, 0, 0, bone});
    };
    const Vec3 m = 0.5 * (p[left_hip] + p[right_hip]), s = 0.5 * (p[left_shoulder] + p[right_shoulder]), trunk = s - m;
    const Vec3 ears = 0.5 * (p[left_ear] + p[right_ear]);
    const Vec3 low(-0.56 * h, -0.01, -0.16 * h), high(0.56 * h, 1.0 * h, 0.18 * h);

    primitives_.clear();
    blend_ = 0.008 * h; // the legs stay two
    ball(m + Vec3(0, 0.004, -0.006) * h, Vec3(0.090, 0.070, 0.066), bone_pelvis);
    ball(m + 0.30 * trunk, Vec3(0.080, 0.070, 0.056), bone_waist);
    for (const Side side : {Side::left, Side::right}) {
        auto at = [&](Point q) { return p[static_cast<std::size_t>(on(side, q))]; };
        const int off = side == Side::left ? 0 : bone_side_offset;
        cone(at(left_hip), at(left_knee), 0.057, 0.041, bone_thigh_l + off);
        cone(at(left_knee), at(left_ankle) + 0.10 * (at(left_knee) - at(left_ankle)), 0.041, 0.036, bone_shank_l + off);
    }
    add_surface(low, high, 0.0125, Stuff::trousers);
    // What the skirt covers is left out, so that a lifted thigh does not come through it.
    leave_out(Stuff::trousers, m.y() - 0.045 * h, 2 * h);

    primitives_.clear();
    blend_ = 0.014 * h;
    ball(m + Vec3(0, 0.030, -0.005) * h, Vec3(0.096, 0.070, 0.072), bone_pelvis);
    ball(m + 0.42 * trunk, Vec3(0.088, 0.095, 0.064), bone_waist);
    ball(m + 0.74 * trunk, Vec3(0.098, 0.112, 0.067), bone_chest);
    cone(p[left_shoulder] - Vec3(0.012, -0.001, 0) * h, p[right_shoulder] + Vec3(0.012, 0.001, 0) * h, 0.032, 0.032, bone_chest);
    cone(s + Vec3(0, 0.004, -0.004) * h, s + 0.42 * (ears - s) + Vec3(0, -0.004, -0.006) * h, 0.044, 0.034, bone_neck); // collar
    for (const Side side : {Side::left, Side::right}) {
        auto at = [&](Point q) { return p[static_cast<std::size_t>(on(side, q))]; };
        const int off = side == Side::left ? 0 : bone_side_offset;
        cone(s + 0.10 * (at(left_shoulder) - s) + Vec3(0, 0.030, -0.010) * h,
             s + 0.80 * (at(left_shoulder) - s) + Vec3(0, 0.009, -0.004) * h, 0.026, 0.024,
             bone_chest); // from the neck down to the shoulder
        cone(at(left_shoulder), at(left_elbow), 0.034, 0.029, bone_upper_arm_l + off);
        cone(at(left_elbow), at(left_wrist) + 0.10 * (at(left_elbow) - at(left_wrist)), 0.030, 0.0245, bone_forearm_l + off);
    }
    add_surface(low, high, 0.0125, Stuff::jacket);
    leave_out(Stuff::jacket, -1, m.y() + 0.062 * h);
    build_hem();
}

/// Leaves out what of a stuff lies between these heights of the rest pose, at the trunk.
void Figure::leave_out(Stuff stuff, double from_m, double to_m) {
    const double beside = 0.13 * dims_.stature; // sleeves hang beside
    std::erase_if(mesh_.triangles, [&](const auto& t) {
        return mesh_.vertices[t[0]].stuff == stuff && std::all_of(t.begin(), t.end(), [&](std::uint32_t i) {
                   const auto& p = mesh_.vertices[i].rest;
                   return p.y() >= from_m && p.y() <= to_m && std::abs(p.x()) < beside;
               });
    });
}

/// The jacket's skirt: rings from the waist over the hips, that go with the thighs the more the lower they hang.
void Figure::build_hem() {
    const double h = dims_.stature;
    const Vec3 m = 0.5 * (rest_.points[left_hip] + rest_.points[right_hip]);
    constexpr int rings = 10, around = 56;
    const auto first = static_cast<std::uint32_t>(mesh_.vertices.size());
    for (int i = 0; i <= rings; ++i) {
        const double u = static_cast<double>(i) / rings;
        const double y = m.y() + (0.075 - 0.160 * u) * h;
        const double rx = (0.078 + 0.037 * std::pow(u, 0.6)) * h, rz = (0.058 + 0.034 * std::pow(u, 0.6)) * h;
        for (int k = 0; k < around; ++k) {
            const double a = 2 * std::numbers::pi * k / around, s = std::sin(a), c = std::cos(a);
            const double r = std::pow(std::pow(std::abs(s), 2.5) + std::pow(std::abs(c), 2.5), -1 / 2.5);
            Mesh::Vertex v;
            v.stuff = Stuff::skirt;
            v.rest = Vec3(m.x() + r * rx * s, y, m.z() - 0.005 * h + r * rz * c).cast<float>();
            v.normal = Vec3(s / rx, 0.1 / rx, c / rz).normalized().cast<float>();
            const double legs = 0.9 * std::clamp((u - 0.3) / 0.7, 0.0, 1.0), left = std::clamp(0.5 + 1.3 * s, 0.0, 1.0);
            v.bone = {bone_pelvis, bone_thigh_l, bone_thigh_r};
            v.weight = {static_cast<float>(1 - legs), static_cast<float>(legs * left), static_cast<float>(legs * (1 - left))};
            mesh_.vertices.push_back(v);
        }
    }
    for (std::uint32_t i = 0; i < rings; ++i)
        for (std::uint32_t k = 0; k < around; ++k) {
            const std::uint32_t a = first + i * around + k, b = first + i * around + (k + 1) % around;
            mesh_.triangles.push_back({a, a + around, b});
            mesh_.triangles.push_back({b, a + around, b + around});
        }
}

void Figure::build_head() {
    const double h = dims_.stature;
    const auto& p = rest_.points;
    const Vec3 s = 0.5 * (p[left_shoulder] + p[right_shoulder]), ears = 0.5 * (p[left_ear] + p[right_ear]);
    auto cone = [&](const Vec3& a, const Vec3& b, double ra, double rb, int bone = bone_head) {
        primitives_.push_back({Primitive::Kind::cone, ears + a * h, ears + b * h, ra * h, rb * h, bone});
    };
    auto ball = [&](const Vec3& at, const Vec3& radii) {
        primitives_.push_back({Primitive::Kind::ellipsoid, ears + at * h, radii * h, 0, 0, bone_head});
    };
    primitives_.clear();
    blend_ = 0.007 * h;
    ball(Vec3(0, 0.022, -0.002), Vec3(0.0445, 0.051, 0.056));   // skull
    ball(Vec3(0, -0.006, 0.018), Vec3(0.0365, 0.050, 0.038));   // face
    ball(Vec3(0, -0.046, 0.040), Vec3(0.0155, 0.0125, 0.0125)); // chin
    for (const double x : {-1.0, 1.0}) {
        cone(Vec3(0.031 * x, -0.026, 0.004), Vec3(0.010 * x, -0.046, 0.037), 0.010, 0.009);    // jaw
        cone(Vec3(0.005 * x, 0.0225, 0.0515), Vec3(0.027 * x, 0.0225, 0.0415), 0.0055, 0.005); // brow
        ball(Vec3(0.0215 * x, -0.007, 0.0365), Vec3(0.0145, 0.0130, 0.0120));                  // cheek
        ball(Vec3(0.0055 * x, -0.0095, 0.0585), Vec3(0.0042, 0.0038, 0.0048));                 // wings of the nose
        ball(Vec3(0.0175 * x, 0.0115, 0.0435), Vec3(0.0088, 0.0062, 0.0068));                  // lids
    }
    cone(Vec3(0, 0.018, 0.0535), Vec3(0, -0.0065, 0.0635), 0.0042, 0.0060); // nose
    ball(Vec3(0, -0.0250, 0.0530), Vec3(0.0120, 0.0034, 0.0042));           // lips
    ball(Vec3(0, -0.0308, 0.0525), Vec3(0.0105, 0.0036, 0.0042));
    for (const Point e : {left_ear, right_ear})
        primitives_.push_back(
            {Primitive::Kind::ellipsoid, p[e] + Vec3(0, 0.001, -0.004) * h, Vec3(0.0055, 0.0165, 0.0095) * h, 0, 0, bone_head});
    primitives_.push_back(
        {Primitive::Kind::cone, s + Vec3(0, 0.01, -0.004) * h, ears + Vec3(0, -0.036, -0.012) * h, 0.030 * h, 0.0285 * h, bone_neck});
    add_surface(ears + Vec3(-0.07, -0.14, -0.09) * h, ears + Vec3(0.07, 0.09, 0.09) * h, 0.0062, Stuff::head);
}

Figure::Hand Figure::hand_of(Side side) const {
    const auto at = [&](Point q) { return rest_.points[static_cast<std::size_t>(on(side, q))]; };
    const double h = dims_.stature;
    Hand hand;
    hand.out = (at(left_wrist) - at(left_elbow)).normalized();
    const Vec3 row = at(left_index) - at(left_little);
    hand.across = (row - hand.out * row.dot(hand.out)).normalized();
    hand.palm = (side == Side::left ? 1.0 : -1.0) * hand.out.cross(hand.across);
    hand.knuckle = at(left_wrist) + dims_.hand * hand.out;
    hand.thumb_root = at(left_wrist) + 0.30 * dims_.hand * hand.out + 0.016 * h * hand.across + 0.006 * h * hand.palm;
    hand.length = 0.050 * h;
    return hand;
}

void Figure::build_hand(Side side) {
    const double h = dims_.stature;
    const int off = side == Side::left ? 0 : bone_side_offset;
    const auto at = [&](Point q) { return rest_.points[static_cast<std::size_t>(on(side, q))]; };
    const Hand hand = hand_of(side);
    const Vec3 wrist = at(left_wrist), out = hand.out * h, across = hand.across * h, palm = hand.palm * h;
    const double long_palm = dims_.hand / h;
    auto cone = [&](const Vec3& a, const Vec3& b, double ra, double rb, int bone) {
        primitives_.push_back({Primitive::Kind::cone, a, b, ra * h, rb * h, bone + off});
    };
    primitives_.clear();
    blend_ = 0.005 * h;
    cone(wrist - 0.060 * out, wrist, 0.0165, 0.0145, bone_forearm_l);
    Primitive plate{Primitive::Kind::box,
                    wrist + 0.54 * dims_.hand * hand.out - 0.001 * palm,
                    Vec3(0.0215, 0.5 * long_palm + 0.002, 0.0088) * h,
                    0.0086 * h,
                    0,
                    bone_hand_l + off};
    plate.turn.row(0) = hand.across;
    plate.turn.row(1) = hand.out;
    plate.turn.row(2) = hand.palm;
    primitives_.push_back(plate);
    cone(wrist + 0.004 * out + 0.008 * across, hand.thumb_root, 0.0105, 0.0095, bone_hand_l); // ball of the thumb
    cone(wrist + 0.006 * out - 0.011 * across + 0.003 * palm, wrist + 0.032 * out - 0.014 * across + 0.003 * palm, 0.0085, 0.0075,
         bone_hand_l);
    // Of each finger: how far to the thumb's side its root lies, its length, how it splays.
    static constexpr std::array<std::array<double, 3>, 4> fingers{
        {{0.0160, 0.0440, 0.06}, {0.0053, 0.0500, 0.015}, {-0.0054, 0.0460, -0.03}, {-0.0155, 0.0365, -0.10}}};
    for (const auto& f : fingers) {
        const Vec3 root = hand.knuckle + f[0] * across - 0.10 * std::abs(f[0]) * out;
        const Vec3 way = (out + f[2] * across).normalized() * h;
        cone(root - 0.006 * out, root + f[1] * way, 0.0066, 0.0050, bone_hand_l);
    }
    const Vec3 thumb = (0.80 * hand.out + 0.55 * hand.across + 0.16 * hand.palm).normalized() * h;
    cone(hand.thumb_root, hand.thumb_root + 0.024 * thumb, 0.0085, 0.0070, bone_hand_l);
    cone(hand.thumb_root + 0.024 * thumb, hand.thumb_root + 0.041 * thumb, 0.0072, 0.0054, bone_hand_l);

    Vec3 low = wrist, high = wrist;
    for (const Primitive& q : primitives_)
        for (const Vec3& end : {q.a, q.kind == Primitive::Kind::box ? q.a : q.b}) {
            low = low.cwiseMin(end);
            high = high.cwiseMax(end);
        }
    const auto first = mesh_.vertices.size();
    add_surface(low - Vec3::Constant(0.028 * h), high + Vec3::Constant(0.028 * h), 0.0050, Stuff::skin);
    for (std::size_t i = first; i < mesh_.vertices.size(); ++i) {
        auto& v = mesh_.vertices[i];
        const Vec3 to_thumb = v.rest.cast<double>() - hand.thumb_root, way = thumb / h;
        const double along = to_thumb.dot(way), off_thumb = (to_thumb - along * way).norm();
        const double beyond = (v.rest.cast<double>() - hand.knuckle).dot(hand.out);
        if (along > 0 && off_thumb < 0.0105 * h && to_thumb.dot(hand.across) > -0.002 * h)
            v.finger = static_cast<float>(-along);
        else if (beyond > 0)
            v.finger = static_cast<float>(beyond);
    }
}

/// Fingers follow an arc towards the palm: a little round when open, rolled in when closed. The thumb lies over them.
void Figure::bend(const Hand& hand, double fist, float finger, Eigen::Vector3f& at, Eigen::Vector3f& normal) const {
    if (finger < 0) {
        const double share = std::min(1.0, -finger / (0.020 * dims_.stature));
        const Eigen::Matrix3d turn = (Eigen::AngleAxisd(share * fist * 0.9, hand.across.cross(hand.palm).normalized()) *
                                      Eigen::AngleAxisd(share * fist * 0.7, hand.palm.cross(hand.across).normalized()))
                                         .toRotationMatrix();
        at = (hand.thumb_root + turn * (at.cast<double>() - hand.thumb_root)).cast<float>();
        normal = (turn * normal.cast<double>()).cast<float>();
        return;
    }
    const double whole = 0.45 + 3.75 * fist; // of the bend over the longest finger, rad
    const double curve = whole / hand.length, turned = curve * finger;
    const Vec3 from = at.cast<double>() - hand.knuckle;
    const double over = from.dot(hand.palm); // towards the palm off the middle of the finger
    const Vec3 now_out = std::cos(turned) * hand.out + std::sin(turned) * hand.palm,
               now_palm = std::cos(turned) * hand.palm - std::sin(turned) * hand.out;
    const Vec3 line = std::sin(turned) / curve * hand.out + (1 - std::cos(turned)) / curve * hand.palm;
    at = (hand.knuckle + from.dot(hand.across) * hand.across + line + over * now_palm).cast<float>();
    const Vec3 n = normal.cast<double>();
    normal = (n.dot(hand.across) * hand.across + n.dot(hand.out) * now_out + n.dot(hand.palm) * now_palm).cast<float>();
}

void Figure::build_shoe(Side side) {
    const double h = dims_.stature;
    const int off = side == Side::left ? 0 : bone_side_offset;
    const auto at = [&](Point q) { return rest_.points[static_cast<std::size_t>(on(side, q))]; };
    auto cone = [&](const Vec3& a, const Vec3& b, double ra, double rb, int bone) {
        primitives_.push_back({Primitive::Kind::cone, a, b, ra * h, rb * h, bone + off});
    };
    const Vec3 ahead = (at(left_toe) - at(left_heel)).normalized();
    const Vec3 inward = (side == Side::left ? -1.0 : 1.0) * Vec3(0, 1, 0).cross(ahead); // to the other foot
    const Vec3 up = Vec3(0, h, 0), fore = ahead * h, in = inward * h;
    const Vec3 heel = at(left_heel), toe = at(left_toe), ankle = at(left_ankle);
    const double length = (toe - heel).norm() / h;
    primitives_.clear();
    blend_ = 0.009 * h;
    cone(heel + 0.020 * fore + 0.017 * up, heel + 0.45 * length * fore + 0.013 * up, 0.0205, 0.0185, bone_foot_l);
    // Ball of the foot: broad, the inner side further ahead; then the toes.
    const Vec3 ball_in = heel + 0.72 * length * fore + 0.012 * in + 0.011 * up,
               ball_out = heel + 0.65 * length * fore - 0.012 * in + 0.010 * up;
    cone(heel + 0.35 * length * fore + 0.015 * up, ball_in, 0.0170, 0.0150, bone_foot_l);
    cone(heel + 0.35 * length * fore + 0.013 * up, ball_out, 0.0170, 0.0145, bone_foot_l);
    cone(ball_in, toe - 0.013 * fore + 0.006 * in + 0.009 * up, 0.0150, 0.0125, bone_foot_l);
    cone(ball_out, toe - 0.021 * fore - 0.010 * in + 0.008 * up, 0.0145, 0.0110, bone_foot_l);
    cone(ankle + 0.002 * up, heel + 0.62 * length * fore + 0.016 * up, 0.0235, 0.0150, bone_foot_l); // instep
    cone(ankle + 0.004 * up, ankle + 0.035 * up, 0.0235, 0.0235, bone_shank_l);
    const Vec3 low = heel.cwiseMin(toe) - Vec3(0.04, 0.01, 0.04) * h,
               high = heel.cwiseMax(toe).cwiseMax(ankle) + Vec3(0.04, 0.06, 0.04) * h;
    add_surface(low, high, 0.0075, Stuff::shoe);
}

Eigen::Vector3f Figure::colour_of_head(const Eigen::Vector3f& q) const {
    const auto h = static_cast<float>(dims_.stature);
    const Eigen::Vector3f ears = (0.5 * (rest_.points[left_ear] + rest_.points[right_ear])).cast<float>();
    const Eigen::Vector3f skin = looks_.skin.cast<float>(), hair = looks_.hair.cast<float>();
    const Eigen::Vector3f e = (q - ears) / h;
    const float x = std::abs(e.x());
    const bool ear = x > 0.0430F && e.y() < 0.018F;
    // Hairline: over the forehead, down before the ear, behind it to the nape.
    const auto between = [&](float z0, float y0, float z1, float y1) { return y0 + (y1 - y0) * (e.z() - z0) / (z1 - z0); };
    const float line = e.z() > 0.020F   ? 0.048F - 0.30F * std::max(0.0F, x - 0.020F)
                       : e.z() > 0.010F ? between(0.020F, 0.044F, 0.010F, 0.008F)
                       : e.z() > 0.000F ? 0.008F
                       : e.z() > -0.03F ? between(0.0F, 0.008F, -0.03F, -0.032F)
                                        : -0.032F;
    if (!ear && e.y() > line) return hair;
    if (e.z() > 0.02F) {
        // Lowered lids: a dark lash line with a little of the eye above it.
        const float ex = (x - 0.0175F) / 0.0088F, ey = (e.y() - 0.0098F + 0.0016F * ex * ex) / 0.0023F;
        if (ex * ex + ey * ey < 1)
            return ex * ex < 0.22F ? Eigen::Vector3f(0.16F, 0.12F, 0.10F) : Eigen::Vector3f(0.5F * skin + 0.2F * hair);
        if (x > 0.007F && x < 0.028F && std::abs(e.y() - 0.0255F + 3.0F * (x - 0.017F) * (x - 0.017F) * 10) < 0.0021F)
            return Eigen::Vector3f(0.55F * hair + 0.35F * skin);
        if (x < 0.0125F && e.y() < -0.0225F && e.y() > -0.0340F) {
            if (std::abs(e.y() + 0.0279F) < 0.0009F) return Eigen::Vector3f(0.62F * skin);
            return Eigen::Vector3f(skin.x() * 0.94F, skin.y() * 0.82F, skin.z() * 0.80F);
        }
    }
    return skin;
}

Eigen::Vector3f Figure::colour_of_jacket(const Eigen::Vector3f& q) const {
    const auto h = static_cast<float>(dims_.stature);
    const auto& p = rest_.points;
    const Eigen::Vector3f cloth = looks_.shirt.cast<float>(), seam = 0.72F * cloth;
    const float shoulder_y = static_cast<float>(p[left_shoulder].y()),
                hip_y = static_cast<float>(0.5 * (p[left_hip].y() + p[right_hip].y()));
    const float x = q.x() / h;
    if (q.z() > 0 && std::abs(x) < 0.0016F && q.y() > hip_y - 0.08F * h) return seam; // where it closes
    if (q.z() > 0 && std::abs(x) < 0.011F)
        for (int k = 0; k < 5; ++k) {
            const float y = (q.y() - (shoulder_y - 0.012F * h - static_cast<float>(k) * 0.056F * h)) / h;
            if (std::abs(y) < 0.0024F) return seam; // a loop of cloth
        }
    const float collar = (q.y() - shoulder_y) / h - 0.036F;
    if (std::abs(x) < 0.048F && std::abs(collar) < 0.0014F) return seam;
    return cloth;
}

Looks Looks::reference() {
    Looks l;
    l.family = Family::shown;
    l.skin = Vec3(0.95, 0.79, 0.66);
    l.shirt = Vec3(0.84, 0.81, 0.74);
    l.trousers = Vec3(0.56, 0.55, 0.53);
    l.shoes = Vec3(0.24, 0.23, 0.22);
    l.hair = Vec3(0.34, 0.30, 0.27);
    l.style = Hair::cropped;
    return l;
}

} // namespace bevel::sim
