// Families of drawn figures that share no primitive with the rounded one: what is learnt about the body finder on one can be tried on
// others.
#include "core/sim/figure.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace bevel::sim {
namespace {

/// Axes of a box along a limb: y runs along it, z as near forward as it can be.
Eigen::Matrix3d along(const Vec3& from, const Vec3& to) {
    const Vec3 y = (from - to).normalized();
    Vec3 z = Vec3(0, 0, 1) - y * y.z();
    if (z.norm() < 1e-6) z = Vec3(1, 0, 0);
    z.normalize();
    Eigen::Matrix3d r;
    r.row(0) = y.cross(z);
    r.row(1) = y;
    r.row(2) = z;
    return r;
}

} // namespace

/// Rounded boxes: a square-shouldered body with hanging clothes.
void Figure::build_boxes() {
    const double h = dims_.stature, g = looks_.girth, wide = 1 + 0.45 * looks_.loose;
    const auto& p = rest_.points;
    auto box = [&](const Vec3& at, const Vec3& half, double round, int bone) {
        primitives_.push_back({Primitive::Kind::box, at, half * h, round * h, 0, bone});
    };
    auto beam = [&](const Vec3& a, const Vec3& b, double x, double z, double longer, int bone) {
        Primitive q{
            Primitive::Kind::box, 0.5 * (a + b), Vec3(x * h, 0.5 * (a - b).norm() + longer * h, z * h), 0.6 * std::min(x, z) * h, 0, bone};
        q.turn = along(a, b);
        primitives_.push_back(q);
    };
    const Vec3 m = 0.5 * (p[left_hip] + p[right_hip]), s = 0.5 * (p[left_shoulder] + p[right_shoulder]);
    const Vec3 ears = 0.5 * (p[left_ear] + p[right_ear]), trunk = s - m;
    box(m + Vec3(0, 0.01, -0.004) * h, Vec3(0.094 * g, 0.075, 0.066 * g), 0.040, bone_pelvis);
    box(m + 0.42 * trunk + Vec3(0, 0, 0.004 * g) * h, Vec3(0.084 * g, 0.09, 0.062 * g), 0.045, bone_waist);
    box(m + 0.78 * trunk, Vec3(0.112, 0.088, 0.062 * (0.6 + 0.4 * g)), 0.045, bone_chest);
    box(s + Vec3(0, 0.005, -0.004) * h, Vec3(0.125, 0.026, 0.040), 0.022, bone_chest);
    beam(ears - Vec3(0, 0.02, 0.006) * h, s, 0.030, 0.032, 0, bone_neck);
    box(ears + Vec3(0, 0.008, 0.008) * h, Vec3(0.043, 0.064, 0.056), 0.036, bone_head);
    box(ears + Vec3(0, -0.036, 0.030) * h, Vec3(0.028, 0.028, 0.028), 0.016, bone_head);
    beam(ears + Vec3(0, 0.008, 0.058) * h, p[nose] - Vec3(0, 0.004, 0.004) * h, 0.008, 0.009, 0.004, bone_head);
    if (looks_.hat) {
        box(ears + Vec3(0, 0.045, 0.004) * h, Vec3(0.095, 0.005, 0.098), 0.005, bone_head);
        box(ears + Vec3(0, 0.075, 0.004) * h, Vec3(0.050, 0.034, 0.058), 0.014, bone_head);
    }
    if (looks_.style == Looks::Hair::longer) box(ears + Vec3(0, -0.025, -0.030) * h, Vec3(0.052, 0.085, 0.040), 0.020, bone_head);
    for (const Side side : {Side::left, Side::right}) {
        auto at = [&](Point q) { return p[static_cast<std::size_t>(on(side, q))]; };
        const int off = side == Side::left ? 0 : bone_side_offset;
        const double soft = 0.7 + 0.3 * g;
        beam(at(left_shoulder), at(left_elbow), 0.031 * soft * wide, 0.030 * soft * wide, 0.012, bone_upper_arm_l + off);
        beam(at(left_elbow), at(left_wrist), 0.023 * soft * (looks_.sleeve > 0.7 ? wide : 1), 0.022 * soft, 0.006, bone_forearm_l + off);
        const Vec3 knuckle = 0.5 * (at(left_index) + at(left_little)), out = (knuckle - at(left_wrist)).normalized();
        beam(at(left_wrist), knuckle, 0.019, 0.012, 0.008, bone_hand_l + off);
        beam(knuckle, knuckle + 0.040 * h * out, 0.017, 0.008, 0.004, bone_hand_l + off);
        beam(at(left_wrist), at(left_thumb) + 0.012 * h * out, 0.008, 0.008, 0, bone_hand_l + off);
        beam(at(left_hip), at(left_knee), 0.050 * (0.6 + 0.4 * g) * wide, 0.054 * (0.6 + 0.4 * g) * wide, 0.010, bone_thigh_l + off);
        beam(at(left_knee), at(left_ankle), 0.036 * soft * wide, 0.036 * soft * wide, 0.010, bone_shank_l + off);
        const Vec3 sole = 0.5 * (at(left_heel) + at(left_toe));
        box(sole + Vec3(0, 0.018, 0) * h, Vec3(0.026, 0.018, 0.5 * dims_.foot_length / h), 0.012, bone_foot_l + off);
        box(at(left_ankle) + Vec3(0, -0.006, 0.012) * h, Vec3(0.023, 0.026, 0.032), 0.014, bone_foot_l + off);
    }
}

/// Soft blobs: a round body under a tunic.
void Figure::build_blobs() {
    const double h = dims_.stature, g = looks_.girth;
    const auto& p = rest_.points;
    auto blob = [&](const Vec3& a, const Vec3& b, double ra, double rb, int bone) {
        primitives_.push_back({Primitive::Kind::blob, a, b, ra * h, rb * h, bone});
    };
    const Vec3 m = 0.5 * (p[left_hip] + p[right_hip]), s = 0.5 * (p[left_shoulder] + p[right_shoulder]);
    const Vec3 ears = 0.5 * (p[left_ear] + p[right_ear]), trunk = s - m;
    const Vec3 x(0.03 * h * g, 0, 0), belly(0, 0, 0.016 * h * std::max(0.0, g - 0.9) * 2);
    blob(m - x + Vec3(0, 0.02 * h, 0), m + x + Vec3(0, 0.02 * h, 0), 0.058 * g, 0.058 * g, bone_pelvis);
    blob(m - x + 0.36 * trunk + belly, m + x + 0.36 * trunk + belly, 0.054 * g, 0.054 * g, bone_waist);
    blob(m - 1.5 * x + 0.74 * trunk, m + 1.5 * x + 0.74 * trunk, 0.054, 0.054, bone_chest);
    blob(0.75 * p[left_shoulder] + 0.25 * s, 0.75 * p[right_shoulder] + 0.25 * s, 0.034, 0.034, bone_chest);
    blob(s, ears - Vec3(0, 0.03, 0.004) * h, 0.027, 0.025, bone_neck);
    blob(ears + Vec3(0, 0.022, 0.002) * h, ears + Vec3(0, -0.012, 0.012) * h, 0.046, 0.040, bone_head);
    blob(ears + Vec3(0, -0.034, 0.030) * h, ears + Vec3(0, -0.036, 0.032) * h, 0.018, 0.018, bone_head);
    blob(ears + Vec3(0, 0.004, 0.056) * h, p[nose], 0.007, 0.009, bone_head);
    if (looks_.style == Looks::Hair::longer || looks_.style == Looks::Hair::full) {
        for (const double side : {-1.0, 1.0})
            blob(ears + Vec3(side * 0.036, 0.02, -0.004) * h, ears + Vec3(side * 0.040, -0.085, -0.016) * h, 0.020, 0.022, bone_head);
        blob(ears + Vec3(0, 0.02, -0.034) * h, ears + Vec3(0, -0.09, -0.034) * h, 0.034, 0.030, bone_head);
    }
    for (const Side side : {Side::left, Side::right}) {
        auto at = [&](Point q) { return p[static_cast<std::size_t>(on(side, q))]; };
        const int off = side == Side::left ? 0 : bone_side_offset;
        const double sleeve = 1 + 0.5 * looks_.loose;
        blob(at(left_shoulder), at(left_elbow), 0.028 * sleeve, 0.024 * sleeve, bone_upper_arm_l + off);
        blob(at(left_elbow), at(left_wrist), 0.022 * sleeve, looks_.sleeve > 0.6 ? 0.026 * sleeve : 0.015, bone_forearm_l + off);
        const Vec3 knuckle = 0.5 * (at(left_index) + at(left_little)), out = (knuckle - at(left_wrist)).normalized();
        blob(at(left_wrist), knuckle + 0.02 * h * out, 0.015, 0.015, bone_hand_l + off);
        blob(knuckle, knuckle + 0.04 * h * out, 0.012, 0.008, bone_hand_l + off);
        blob(at(left_thumb), at(left_thumb) + 0.015 * h * out, 0.008, 0.007, bone_hand_l + off);
        blob(at(left_hip), at(left_knee), 0.046 * (0.6 + 0.4 * g), 0.033, bone_thigh_l + off);
        blob(at(left_knee), at(left_ankle), 0.032, 0.022, bone_shank_l + off);
        blob(at(left_heel) + Vec3(0, 0.018, 0.018) * h, at(left_toe) + Vec3(0, 0.012, -0.014) * h, 0.019, 0.014, bone_foot_l + off);
        blob(at(left_ankle) - Vec3(0, 0.008, 0) * h, at(left_ankle) + Vec3(0, 0, 0.02) * h, 0.021, 0.018, bone_foot_l + off);
    }
}

/// A skirt to the shins, or a tunic to the knees: rings that hang between the legs.
void Figure::build_skirt() {
    const double h = dims_.stature;
    const auto& p = rest_.points;
    const Vec3 m = 0.5 * (p[left_hip] + p[right_hip]);
    const double bottom = looks_.loose > 0.4 ? 0.45 : 0.85; // how far down the thigh or shank
    const int rings = 12, around = 40;
    const auto first = static_cast<std::uint32_t>(mesh_.vertices.size());
    for (int i = 0; i <= rings; ++i) {
        const double u = static_cast<double>(i) / rings;
        const double y =
            m.y() + 0.05 * h - u * (0.05 * h + dims_.thigh + (looks_.loose > 0.4 ? (1 - bottom) * dims_.shank : -0.15 * dims_.thigh));
        const double rx = (0.098 * looks_.girth + 0.075 * u) * h, rz = (0.074 * looks_.girth + 0.050 * u) * h;
        for (int k = 0; k < around; ++k) {
            const double a = 2 * std::numbers::pi * k / around;
            const double fold = 1 + 0.05 * u * std::sin(7 * a);
            Mesh::Vertex v;
            v.rest = Eigen::Vector3f(static_cast<float>(rx * fold * std::sin(a)), static_cast<float>(y),
                                     static_cast<float>(rz * fold * std::cos(a)));
            v.normal = Eigen::Vector3f(static_cast<float>(std::sin(a) / rx), 0.0F, static_cast<float>(std::cos(a) / rz)).normalized();
            const double legs = std::clamp(1.2 * u, 0.0, 0.9), left = std::clamp(0.5 + 0.9 * std::sin(a), 0.0, 1.0);
            v.bone = {bone_pelvis, bone_thigh_l, bone_thigh_r};
            v.weight = {static_cast<float>(1 - legs), static_cast<float>(legs * left), static_cast<float>(legs * (1 - left))};
            mesh_.vertices.push_back(v);
        }
    }
    for (int i = 0; i < rings; ++i)
        for (int k = 0; k < around; ++k) {
            const auto a = first + static_cast<std::uint32_t>(i * around + k),
                       b = first + static_cast<std::uint32_t>(i * around + (k + 1) % around);
            const auto c = a + around, d = b + around;
            mesh_.triangles.push_back({a, c, b});
            mesh_.triangles.push_back({b, c, d});
        }
}

void Figure::ring_tube(const std::vector<Vec3>& path, const std::vector<Vec2>& radii,
                       const std::vector<std::array<std::pair<int, double>, 2>>& bones, const Vec3& front, double squareness) {
    const int around = 28;
    const auto first = static_cast<std::uint32_t>(mesh_.vertices.size());
    const auto n = path.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Vec3 dir = (path[std::min(i + 1, n - 1)] - path[i > 0 ? i - 1 : 0]).normalized();
        const Vec3 z = (front - dir * dir.dot(front)).normalized(), x = dir.cross(z);
        for (int k = 0; k < around; ++k) {
            const double a = 2 * std::numbers::pi * k / around, s = std::sin(a), c = std::cos(a);
            // Superellipse: 2 is round, more is squarer.
            const double r = std::pow(std::pow(std::abs(s), squareness) + std::pow(std::abs(c), squareness), -1 / squareness);
            Mesh::Vertex v;
            v.rest = (path[i] + r * (radii[i].x() * s * x + radii[i].y() * c * z)).cast<float>();
            v.normal = (s / radii[i].x() * x + c / radii[i].y() * z).normalized().cast<float>();
            v.bone = {static_cast<std::uint8_t>(bones[i][0].first), static_cast<std::uint8_t>(bones[i][1].first), 0};
            v.weight = {static_cast<float>(bones[i][0].second), static_cast<float>(bones[i][1].second), 0};
            mesh_.vertices.push_back(v);
        }
    }
    for (std::size_t i = 0; i + 1 < n; ++i)
        for (int k = 0; k < around; ++k) {
            const auto a = first + static_cast<std::uint32_t>(i) * around + static_cast<std::uint32_t>(k),
                       b = first + static_cast<std::uint32_t>(i) * around + static_cast<std::uint32_t>((k + 1) % around);
            mesh_.triangles.push_back({a, a + around, b});
            mesh_.triangles.push_back({b, a + around, b + around});
        }
    for (const std::size_t end : {std::size_t{0}, n - 1}) { // closed by a fan
        Mesh::Vertex v = mesh_.vertices[first + static_cast<std::uint32_t>(end) * around];
        v.rest = path[end].cast<float>();
        const auto tip = static_cast<std::uint32_t>(mesh_.vertices.size());
        v.normal = (end == 0 ? path[0] - path[1] : path[n - 1] - path[n - 2]).normalized().cast<float>();
        mesh_.vertices.push_back(v);
        for (int k = 0; k < around; ++k) {
            const auto a = first + static_cast<std::uint32_t>(end) * around + static_cast<std::uint32_t>(k),
                       b = first + static_cast<std::uint32_t>(end) * around + static_cast<std::uint32_t>((k + 1) % around);
            mesh_.triangles.push_back({tip, a, b});
        }
    }
}

/// Lofted rings: every part a tube of superelliptic sections.
void Figure::build_lofts() {
    const double h = dims_.stature, g = looks_.girth, wide = 1 + 0.6 * looks_.loose;
    const auto& p = rest_.points;
    const Vec3 m = 0.5 * (p[left_hip] + p[right_hip]), s = 0.5 * (p[left_shoulder] + p[right_shoulder]);
    const Vec3 ears = 0.5 * (p[left_ear] + p[right_ear]), t = s - m, forward(0, 0, 1);
    using B = std::array<std::pair<int, double>, 2>;
    auto one = [](int b) { return B{{{b, 1.0}, {b, 0.0}}}; };
    auto two = [](int a, double wa, int b) { return B{{{a, wa}, {b, 1 - wa}}}; };
    auto r = [&](double x, double z) { return Vec2(x * h, z * h); };
    const double hang = looks_.loose > 0.5 ? 1.12 : 1.0; // a shirt worn outside
    ring_tube({m - Vec3(0, 0.055, 0) * h, m - Vec3(0, 0.03, 0.004) * h, m + Vec3(0, 0.03, -0.006) * h, m + 0.30 * t, m + 0.50 * t,
               m + 0.70 * t, m + 0.88 * t, s + Vec3(0, 0.008, -0.004) * h, s + Vec3(0, 0.03, -0.002) * h},
              {r(0.060 * g, 0.050 * g), r(0.092 * g * hang, 0.070 * g * hang), r(0.094 * g * hang, 0.072 * g), r(0.082 * g, 0.064 * g),
               r(0.086 * (0.5 + 0.5 * g), 0.063 * g), r(0.096, 0.066 * (0.6 + 0.4 * g)), r(0.104, 0.060), r(0.092, 0.044), r(0.042, 0.034)},
              {one(bone_pelvis), one(bone_pelvis), one(bone_pelvis), two(bone_waist, 0.8, bone_pelvis), one(bone_waist),
               two(bone_chest, 0.8, bone_waist), one(bone_chest), one(bone_chest), two(bone_chest, 0.6, bone_neck)},
              forward, 2.5);
    ring_tube({s - Vec3(0, 0.01, 0) * h, s + 0.5 * (ears - s), ears - Vec3(0, 0.02, 0) * h},
              {r(0.034, 0.034), r(0.030, 0.031), r(0.031, 0.032)},
              {two(bone_chest, 0.6, bone_neck), one(bone_neck), two(bone_neck, 0.4, bone_head)}, forward, 2);
    std::vector<Vec3> head;
    std::vector<Vec2> head_r;
    std::vector<B> head_b;
    for (int i = 0; i <= 12; ++i) {
        const double u = i / 12.0, y = -0.062 + 0.137 * u;
        const double round = std::sqrt(std::max(0.02, 1 - std::pow(2 * u - 1, 2))), jaw = u < 0.4 ? 0.72 + 0.7 * u : 1;
        head.push_back(ears + Vec3(0, y, u < 0.45 ? 0.026 - 0.04 * u : 0.006) * h);
        head_r.push_back(r(0.043 * round * jaw + 0.002, 0.052 * round * jaw + 0.002));
        head_b.push_back(one(bone_head));
    }
    ring_tube(head, head_r, head_b, forward, 2.1);
    ring_tube({ears + Vec3(0, 0.012, 0.050) * h, ears + Vec3(0, 0.002, 0.060) * h, p[nose] - Vec3(0, 0.004, 0) * h},
              {r(0.005, 0.004), r(0.008, 0.008), r(0.009, 0.006)}, {one(bone_head), one(bone_head), one(bone_head)}, forward, 2);
    if (looks_.hat)
        ring_tube({ears + Vec3(0, 0.040, 0.006) * h, ears + Vec3(0, 0.046, 0.006) * h, ears + Vec3(0, 0.050, 0.006) * h,
                   ears + Vec3(0, 0.09, 0.004) * h},
                  {r(0.088, 0.095), r(0.085, 0.092), r(0.050, 0.058), r(0.040, 0.046)},
                  {one(bone_head), one(bone_head), one(bone_head), one(bone_head)}, forward, 2);
    if (looks_.style == Looks::Hair::longer || looks_.style == Looks::Hair::full)
        ring_tube({ears + Vec3(0, 0.070, -0.002) * h, ears + Vec3(0, 0.03, -0.010) * h, ears + Vec3(0, -0.04, -0.024) * h,
                   ears + Vec3(0, -0.10, -0.030) * h},
                  {r(0.030, 0.034), r(0.050, 0.054), r(0.052, 0.042), r(0.044, 0.022)},
                  {one(bone_head), one(bone_head), one(bone_head), two(bone_head, 0.7, bone_chest)}, forward, 2.2);
    for (const Side side : {Side::left, Side::right}) {
        auto at = [&](Point q) { return p[static_cast<std::size_t>(on(side, q))]; };
        const int off = side == Side::left ? 0 : bone_side_offset;
        const double soft = 0.7 + 0.3 * g, cuff = looks_.sleeve > 0.6 ? wide : 1;
        const Vec3 sh = at(left_shoulder), el = at(left_elbow), wr = at(left_wrist), hi = at(left_hip), kn = at(left_knee),
                   an = at(left_ankle);
        ring_tube({sh + 0.22 * (s - sh) + Vec3(0, 0.008, 0) * h, sh, sh + 0.3 * (el - sh), sh + 0.75 * (el - sh), el, el + 0.35 * (wr - el),
                   el + 0.85 * (wr - el), wr},
                  {r(0.030, 0.030), r(0.035 * soft, 0.034 * soft), r(0.031 * soft * cuff, 0.031 * soft * cuff),
                   r(0.026 * soft * cuff, 0.026 * soft * cuff), r(0.024 * cuff, 0.024 * cuff), r(0.024 * soft, 0.024 * soft),
                   r(0.017 * cuff, 0.016 * cuff), r(0.016, 0.014)},
                  {one(bone_chest), two(bone_upper_arm_l + off, 0.6, bone_chest), one(bone_upper_arm_l + off), one(bone_upper_arm_l + off),
                   two(bone_upper_arm_l + off, 0.5, bone_forearm_l + off), one(bone_forearm_l + off), one(bone_forearm_l + off),
                   two(bone_forearm_l + off, 0.5, bone_hand_l + off)},
                  forward, 2.2);
        const Vec3 knuckle = 0.5 * (at(left_index) + at(left_little)), out = (knuckle - wr).normalized();
        const Vec3 across = (at(left_index) - at(left_little)).normalized();
        ring_tube({wr, 0.5 * (wr + knuckle), knuckle, knuckle + 0.03 * h * out, knuckle + 0.05 * h * out},
                  {r(0.010, 0.016), r(0.012, 0.021), r(0.012, 0.022), r(0.009, 0.019), r(0.006, 0.012)},
                  {one(bone_hand_l + off), one(bone_hand_l + off), one(bone_hand_l + off), one(bone_hand_l + off), one(bone_hand_l + off)},
                  across, 2.4);
        ring_tube({wr + 0.2 * (at(left_thumb) - wr), at(left_thumb), at(left_thumb) + 0.02 * h * out},
                  {r(0.010, 0.010), r(0.009, 0.009), r(0.006, 0.006)},
                  {one(bone_hand_l + off), one(bone_hand_l + off), one(bone_hand_l + off)}, across, 2);
        ring_tube({hi + Vec3(0, 0.045, 0) * h, hi, hi + 0.35 * (kn - hi), hi + 0.8 * (kn - hi), kn, kn + 0.3 * (an - kn),
                   kn + 0.7 * (an - kn), an + 0.06 * (kn - an)},
                  {r(0.048 * g, 0.058 * g), r(0.054 * (0.5 + 0.5 * g), 0.062 * (0.5 + 0.5 * g)),
                   r(0.049 * soft * wide, 0.054 * soft * wide), r(0.037 * soft * wide, 0.039 * soft * wide), r(0.034 * wide, 0.035 * wide),
                   r(0.035 * soft * wide, 0.038 * soft * wide), r(0.026 * wide, 0.028 * wide), r(0.025 * wide, 0.028 * wide)},
                  {one(bone_pelvis), two(bone_thigh_l + off, 0.5, bone_pelvis), one(bone_thigh_l + off), one(bone_thigh_l + off),
                   two(bone_thigh_l + off, 0.5, bone_shank_l + off), one(bone_shank_l + off), one(bone_shank_l + off),
                   two(bone_shank_l + off, 0.7, bone_foot_l + off)},
                  forward, 2.2);
        const Vec3 he = at(left_heel), to = at(left_toe);
        ring_tube({he + Vec3(0, 0.020, 0.004) * h, he + Vec3(0, 0.026, 0.024) * h, 0.5 * (he + to) + Vec3(0, 0.026, -0.01) * h,
                   he + 0.72 * (to - he) + Vec3(0, 0.017, 0) * h, to + Vec3(0, 0.012, -0.003) * h},
                  {r(0.016, 0.016), r(0.023, 0.026), r(0.024, 0.026), r(0.029, 0.017), r(0.016, 0.010)},
                  {one(bone_foot_l + off), one(bone_foot_l + off), one(bone_foot_l + off), one(bone_foot_l + off), one(bone_foot_l + off)},
                  Vec3(0, 1, 0), 2.6);
        ring_tube({an + Vec3(0, 0.02, 0) * h, an - Vec3(0, 0.012, -0.008) * h}, {r(0.023, 0.025), r(0.025, 0.034)},
                  {two(bone_shank_l + off, 0.4, bone_foot_l + off), one(bone_foot_l + off)}, forward, 2);
    }
}

} // namespace bevel::sim
