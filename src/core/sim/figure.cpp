#include "core/sim/figure.h"
#include <algorithm>
#include <cmath>

namespace bevel::sim {

double Figure::Primitive::distance(const Vec3& p) const {
    if (kind == Kind::ellipsoid) {
        const Vec3 q = (p - a).cwiseQuotient(b), g = (p - a).cwiseQuotient(b.cwiseProduct(b));
        const double k0 = q.norm(), k1 = g.norm();
        return k1 < 1e-12 ? -b.minCoeff() : k0 * (k0 - 1) / k1;
    }
    if (kind == Kind::box) {
        const Vec3 q = (turn * (p - a)).cwiseAbs() - b + Vec3::Constant(ra);
        return q.cwiseMax(0.0).norm() + std::min(q.maxCoeff(), 0.0) - ra;
    }
    const Vec3 d = b - a;
    const double u = std::clamp((p - a).dot(d) / std::max(d.squaredNorm(), 1e-12), 0.0, 1.0);
    return (p - a - u * d).norm() - (ra + u * (rb - ra));
}

Figure::Figure(const Solver& solver, const Looks& looks) : rest_(solver.rest()), dims_(solver.dims()), looks_(looks) {
    blend_ = 0.014 * dims_.stature;
    switch (looks_.family) {
    case Looks::Family::rounded:
        build_primitives();
        build_mesh();
        break;
    case Looks::Family::boxy:
        build_boxes();
        build_mesh();
        break;
    case Looks::Family::draped:
        build_blobs();
        build_mesh();
        build_skirt();
        break;
    case Looks::Family::lofted:
        build_lofts();
        break;
    case Looks::Family::shown:
        build_shown();
        break;
    }
}

Figure::Figure(const Solver& solver, Mesh mesh, std::vector<Eigen::Vector3f> paint)
    : rest_(solver.rest()), dims_(solver.dims()), mesh_(std::move(mesh)), paint_(std::move(paint)) {}

void Figure::build_primitives() {
    const double h = dims_.stature, g = looks_.girth;
    const auto& p = rest_.points;
    auto cone = [&](const Vec3& a, const Vec3& b, double ra, double rb, int bone) {
        primitives_.push_back({Primitive::Kind::cone, a, b, ra * h, rb * h, bone});
    };
    auto ball = [&](const Vec3& at, const Vec3& radii, int bone) {
        primitives_.push_back({Primitive::Kind::ellipsoid, at, radii * h, 0, 0, bone});
    };
    const Vec3 m = 0.5 * (p[left_hip] + p[right_hip]), s = 0.5 * (p[left_shoulder] + p[right_shoulder]);
    const Vec3 ears = 0.5 * (p[left_ear] + p[right_ear]);
    const Vec3 trunk = s - m;
    ball(m + Vec3(0, 0.015, -0.008) * h, Vec3(0.092 * g, 0.075, 0.068 * g), bone_pelvis);
    ball(m + 0.38 * trunk, Vec3(0.082 * g, 0.095, 0.060 * g), bone_waist);
    ball(m + 0.72 * trunk, Vec3(0.097 * (0.6 + 0.4 * g), 0.115, 0.066 * (0.5 + 0.5 * g)), bone_chest);
    cone(p[left_shoulder] - Vec3(0.012, -0.002, 0) * h, p[right_shoulder] + Vec3(0.012, 0.002, 0) * h, 0.034, 0.034, bone_chest);
    cone(s + Vec3(0, -0.01, 0) * h, ears + Vec3(0, -0.03, -0.008) * h, 0.033, 0.030, bone_neck);
    ball(ears + Vec3(0, 0.012, 0.008) * h, Vec3(0.043, 0.060, 0.054), bone_head);
    ball(ears + Vec3(0, -0.030, 0.028) * h, Vec3(0.030, 0.034, 0.032), bone_head);
    cone(ears + Vec3(0, 0.010, 0.056) * h, p[nose] - Vec3(0, 0.002, 0.004) * h, 0.006, 0.010, bone_head);
    for (const Point e : {left_ear, right_ear}) ball(p[e], Vec3(0.006, 0.016, 0.011), bone_head);
    if (looks_.style == Looks::Hair::bun) ball(ears + Vec3(0, 0.045, -0.058) * h, Vec3(0.026, 0.026, 0.024), bone_head);
    if (looks_.style != Looks::Hair::bald && looks_.style != Looks::Hair::cropped)
        ball(ears + Vec3(0, 0.020, -0.004) * h, Vec3(0.047, 0.058, 0.055), bone_head);
    for (const Side side : {Side::left, Side::right}) {
        auto at = [&](Point q) { return p[static_cast<std::size_t>(on(side, q))]; };
        const int off = side == Side::left ? 0 : bone_side_offset;
        const double soft = 0.75 + 0.25 * g;
        cone(at(left_shoulder), at(left_elbow), 0.033 * soft, 0.024, bone_upper_arm_l + off);
        cone(at(left_elbow), at(left_wrist), 0.025 * soft, 0.0165, bone_forearm_l + off);
        const Vec3 knuckle = 0.5 * (at(left_index) + at(left_little)), out = (knuckle - at(left_wrist)).normalized();
        cone(at(left_wrist), knuckle, 0.0165, 0.018, bone_hand_l + off);
        cone(at(left_index), at(left_index) + 0.045 * h * out, 0.011, 0.007, bone_hand_l + off);
        cone(at(left_little), at(left_little) + 0.038 * h * out, 0.010, 0.007, bone_hand_l + off);
        cone(knuckle, knuckle + 0.047 * h * out, 0.012, 0.008, bone_hand_l + off);
        cone(at(left_wrist), at(left_thumb) + 0.012 * h * out, 0.012, 0.008, bone_hand_l + off);
        cone(at(left_hip), at(left_knee), 0.056 * (0.6 + 0.4 * g), 0.035 * soft, bone_thigh_l + off);
        cone(at(left_knee), at(left_ankle), 0.035 * soft, 0.025, bone_shank_l + off);
        cone(at(left_knee) + 0.28 * (at(left_ankle) - at(left_knee)) - Vec3(0, 0, 0.010) * h,
             at(left_knee) + 0.5 * (at(left_ankle) - at(left_knee)) - Vec3(0, 0, 0.008) * h, 0.032 * soft, 0.026, bone_shank_l + off);
        const Vec3 heel = at(left_heel) + Vec3(0, 0.020, 0.020) * h, toe = at(left_toe) + Vec3(0, 0.014, -0.016) * h;
        cone(heel, toe, 0.022, 0.016, bone_foot_l + off);
        cone(at(left_ankle) - Vec3(0, 0.008, 0) * h, 0.5 * (heel + toe) + Vec3(0, 0.006, 0) * h, 0.026, 0.022, bone_foot_l + off);
    }
}

double Figure::field(const Vec3& p) const {
    if (looks_.family == Looks::Family::draped) { // blobs flow into each other: level set of a sum of bells
        double sum = 0, nearest = 1e9;
        for (const auto& prim : primitives_) {
            const double r = 0.5 * (prim.ra + prim.rb), d = (prim.distance(p) + r) / r;
            nearest = std::min(nearest, (d - 1) * r);
            if (d < 2.2) sum += std::exp(-1.6 * (d * d - 1));
        }
        return std::max(sum > 1e-3 ? std::clamp(-0.3 * std::log(sum) * 0.1 * dims_.stature, -0.05, nearest + 0.02) : nearest, -p.y());
    }
    const double k = blend_;
    double d = 1e9;
    for (const auto& prim : primitives_) {
        const double e = prim.distance(p);
        const double h = std::max(k - std::abs(d - e), 0.0) / k;
        d = std::min(d, e) - h * h * k * 0.25;
    }
    return std::max(d, -p.y()); // soles are flat
}

void Figure::weigh(Mesh::Vertex& v) const {
    std::array<double, bone_count> near;
    near.fill(1e9);
    const Vec3 at = v.rest.cast<double>();
    for (const auto& prim : primitives_) {
        auto& n = near[static_cast<std::size_t>(prim.bone)];
        n = std::min(n, prim.distance(at));
    }
    std::array<int, bone_count> order{};
    for (int i = 0; i < bone_count; ++i) order[static_cast<std::size_t>(i)] = i;
    std::partial_sort(order.begin(), order.begin() + 3, order.end(),
                      [&](int a, int b) { return near[static_cast<std::size_t>(a)] < near[static_cast<std::size_t>(b)]; });
    const double least = near[static_cast<std::size_t>(order[0])];
    double sum = 0;
    std::array<double, 3> w{};
    for (std::size_t i = 0; i < 3; ++i) {
        w[i] = std::exp(-(near[static_cast<std::size_t>(order[i])] - least) / (0.010 * dims_.stature));
        sum += w[i];
    }
    for (std::size_t i = 0; i < 3; ++i) {
        v.bone[i] = static_cast<std::uint8_t>(order[i]);
        v.weight[i] = static_cast<float>(w[i] / sum);
    }
}

void Figure::build_mesh() {
    const double h = dims_.stature;
    add_surface(Vec3(-0.52 * h, -0.02, -0.12 * h), Vec3(0.52 * h, 1.03 * h, 0.16 * h), 0.0125, Stuff::by_place);
}

// Naive surface nets: one vertex in every cell that the surface crosses, one quad for every crossed edge.
void Figure::add_surface(const Vec3& low, const Vec3& high, double step, Stuff stuff) {
    const Eigen::Vector3i n = ((high - low) / step).array().ceil().cast<int>();
    auto id = [&](int x, int y, int z) { return (static_cast<std::size_t>(z) * n.y() + y) * n.x() + x; };
    auto place = [&](int x, int y, int z) { return Vec3(low + step * Vec3(x, y, z)); };
    std::vector<float> f(static_cast<std::size_t>(n.x()) * n.y() * n.z(), 1.0F);
    // A coarse pass finds which blocks hold surface at all.
    const int block = 6;
    for (int z = 0; z < n.z(); z += block)
        for (int y = 0; y < n.y(); y += block)
            for (int x = 0; x < n.x(); x += block) {
                const double centre = field(place(x + block / 2, y + block / 2, z + block / 2));
                const bool near = std::abs(centre) < step * block;
                for (int k = z; k < std::min(z + block, n.z()); ++k)
                    for (int j = y; j < std::min(y + block, n.y()); ++j)
                        for (int i = x; i < std::min(x + block, n.x()); ++i)
                            f[id(i, j, k)] = static_cast<float>(near ? field(place(i, j, k)) : centre);
            }
    std::vector<std::uint32_t> vertex(f.size(), 0xFFFFFFFFU);
    for (int z = 0; z + 1 < n.z(); ++z)
        for (int y = 0; y + 1 < n.y(); ++y)
            for (int x = 0; x + 1 < n.x(); ++x) {
                Vec3 sum = Vec3::Zero();
                int hits = 0;
                std::array<double, 8> v{};
                for (int c = 0; c < 8; ++c) v[static_cast<std::size_t>(c)] = f[id(x + (c & 1), y + ((c >> 1) & 1), z + (c >> 2))];
                for (int c = 0; c < 8; ++c)
                    for (const int bit : {1, 2, 4}) {
                        const int e = c | bit;
                        const double a = v[static_cast<std::size_t>(c)], b = v[static_cast<std::size_t>(e)];
                        if (e == c || (a < 0) == (b < 0)) continue;
                        const double u = a / (a - b);
                        const Vec3 from(c & 1, (c >> 1) & 1, c >> 2), to(e & 1, (e >> 1) & 1, e >> 2);
                        sum += from + u * (to - from);
                        ++hits;
                    }
                if (hits == 0) continue;
                Mesh::Vertex vert;
                vert.stuff = stuff;
                const Vec3 at = place(x, y, z) + step * sum / hits;
                vert.rest = at.cast<float>();
                const double e = 0.32 * step;
                vert.normal =
                    Vec3(field(at + Vec3(e, 0, 0)) - field(at - Vec3(e, 0, 0)), field(at + Vec3(0, e, 0)) - field(at - Vec3(0, e, 0)),
                         field(at + Vec3(0, 0, e)) - field(at - Vec3(0, 0, e)))
                        .normalized()
                        .cast<float>();
                weigh(vert);
                vertex[id(x, y, z)] = static_cast<std::uint32_t>(mesh_.vertices.size());
                mesh_.vertices.push_back(vert);
            }
    auto quad = [&](std::size_t a, std::size_t b, std::size_t c, std::size_t d, bool flip) {
        const std::array<std::uint32_t, 4> q{vertex[a], vertex[b], vertex[c], vertex[d]};
        if (std::any_of(q.begin(), q.end(), [](auto i) { return i == 0xFFFFFFFFU; })) return;
        if (flip) {
            mesh_.triangles.push_back({q[0], q[2], q[1]});
            mesh_.triangles.push_back({q[0], q[3], q[2]});
        } else {
            mesh_.triangles.push_back({q[0], q[1], q[2]});
            mesh_.triangles.push_back({q[0], q[2], q[3]});
        }
    };
    for (int z = 1; z + 1 < n.z(); ++z)
        for (int y = 1; y + 1 < n.y(); ++y)
            for (int x = 1; x + 1 < n.x(); ++x) {
                const bool in = f[id(x, y, z)] < 0;
                if (in != (f[id(x + 1, y, z)] < 0)) quad(id(x, y - 1, z - 1), id(x, y, z - 1), id(x, y, z), id(x, y - 1, z), !in);
                if (in != (f[id(x, y + 1, z)] < 0)) quad(id(x - 1, y, z - 1), id(x - 1, y, z), id(x, y, z), id(x, y, z - 1), !in);
                if (in != (f[id(x, y, z + 1)] < 0)) quad(id(x - 1, y - 1, z), id(x, y - 1, z), id(x, y, z), id(x - 1, y, z), !in);
            }
}

namespace {

/// How far a hand is closed, 0 to 1: closed, the solver brings its knuckles nearer to the wrist.
double fist_of(const Pose& pose, Side side, double hand_m) {
    const auto at = [&](Point p) { return pose.points[static_cast<std::size_t>(on(side, p))]; };
    const Vec3 dir = (at(left_wrist) - at(left_elbow)).normalized();
    return std::clamp((1 - (at(left_index) - at(left_wrist)).dot(dir) / hand_m) / 0.45, 0.0, 1.0);
}

} // namespace

void Figure::skin(const Pose& pose, std::vector<Eigen::Vector3f>& at, std::vector<Eigen::Vector3f>& normal) const {
    std::array<Eigen::Matrix3f, bone_count> r;
    std::array<Eigen::Vector3f, bone_count> t;
    for (std::size_t b = 0; b < bone_count; ++b) {
        const Eigen::Matrix3d turn = pose.bones[b].r * rest_.bones[b].r.transpose();
        r[b] = turn.cast<float>();
        t[b] = (pose.bones[b].o - turn * rest_.bones[b].o).cast<float>();
    }
    const std::array<Hand, 2> hands{hand_of(Side::left), hand_of(Side::right)};
    const std::array<double, 2> fists{fist_of(pose, Side::left, dims_.hand), fist_of(pose, Side::right, dims_.hand)};
    at.resize(mesh_.vertices.size());
    normal.resize(mesh_.vertices.size());
    for (std::size_t i = 0; i < mesh_.vertices.size(); ++i) {
        const auto& v = mesh_.vertices[i];
        Eigen::Vector3f rest = v.rest, facing = v.normal;
        if (v.finger != 0) {
            const std::size_t s = v.rest.x() > 0 ? 0 : 1;
            bend(hands[s], fists[s], v.finger, rest, facing);
        }
        Eigen::Vector3f p = Eigen::Vector3f::Zero(), m = Eigen::Vector3f::Zero();
        for (std::size_t k = 0; k < 3; ++k) {
            const auto b = v.bone[k];
            p += v.weight[k] * (r[b] * rest + t[b]);
            m += v.weight[k] * (r[b] * facing);
        }
        at[i] = p;
        normal[i] = m.normalized();
    }
}

Eigen::Vector3f Figure::colour(const Eigen::Vector3f& q, Stuff stuff) const {
    switch (stuff) {
    case Stuff::by_place:
        break;
    case Stuff::head:
        return colour_of_head(q);
    case Stuff::skin:
        return looks_.skin.cast<float>();
    case Stuff::skirt:
    case Stuff::jacket:
        return colour_of_jacket(q);
    case Stuff::trousers: // under the jacket's skirt nothing of them shows, however a thigh is lifted
        return (q.y() > rest_.points[left_hip].y() - 0.085 * dims_.stature ? looks_.shirt : looks_.trousers).cast<float>();
    case Stuff::shoe:
        return q.y() < 0.0075F * static_cast<float>(dims_.stature) ? Eigen::Vector3f(0.86F, 0.83F, 0.77F) : looks_.shoes.cast<float>();
    }
    const auto h = static_cast<float>(dims_.stature);
    const auto& p = rest_.points;
    const Eigen::Vector3f ears = (0.5 * (p[left_ear] + p[right_ear])).cast<float>();
    const Eigen::Vector3f skin = looks_.skin.cast<float>(), hair = looks_.hair.cast<float>(), shirt = looks_.shirt.cast<float>();
    const float shoulder_y = static_cast<float>(p[left_shoulder].y()), hip_y = static_cast<float>(p[left_hip].y());
    const float ax = std::abs(q.x());
    if (q.y() > shoulder_y + 0.030F * h && ax < 0.08F * h) {
        const Eigen::Vector3f e = (q - ears) / h;
        const float x = std::abs(e.x());
        const bool bald = looks_.style == Looks::Hair::bald;
        if (looks_.hat && e.y() > 0.030F) return 0.5F * (shirt + Eigen::Vector3f(0.5F, 0.42F, 0.3F));
        if (looks_.style == Looks::Hair::longer && (e.z() < 0.012F || (x > 0.030F && e.z() < 0.035F))) return hair;
        if (!bald && (e.y() > 0.046F - 0.10F * std::max(0.0F, 0.02F - e.z()) || (e.z() < -0.004F && e.y() > -0.025F) ||
                      (x > 0.036F && e.z() < 0.016F && e.y() > 0.012F)))
            return hair;
        if (e.z() > 0.02F) {
            const float ex = (x - 0.019F) / 0.0085F, ey = (e.y() - 0.016F) / 0.0048F;
            if (ex * ex + ey * ey < 1)
                return ex * ex * 3.4F + ey * ey * 0.7F < 1 ? Eigen::Vector3f(0.10F, 0.07F, 0.06F) : Eigen::Vector3f(0.93F, 0.92F, 0.9F);
            if (x > 0.009F && x < 0.030F && std::abs(e.y() - 0.0285F) < 0.0028F) return Eigen::Vector3f(0.6F * hair + 0.2F * skin);
            if (x < 0.015F && std::abs(e.y() + 0.0295F) < 0.0034F)
                return Eigen::Vector3f(skin.x() * 0.86F, skin.y() * 0.58F, skin.z() * 0.58F);
            if (x > 0.003F && x < 0.008F && std::abs(e.y() + 0.013F) < 0.0022F) return Eigen::Vector3f(0.6F * skin);
        }
        return skin;
    }
    const Vec3 at = q.cast<double>();
    const Side side = q.x() > 0 ? Side::left : Side::right;
    const Vec3 s = p[static_cast<std::size_t>(on(side, left_shoulder))], w = p[static_cast<std::size_t>(on(side, left_wrist))];
    const double along = (at - s).dot(w - s) / (w - s).squaredNorm();
    const double off = (at - s - along * (w - s)).norm();
    if (along > 0.16 && off < 0.05 * dims_.stature && q.y() > hip_y - 0.05F * h && ax > 0.10F * h)
        return along > looks_.sleeve ? skin : shirt;
    if (q.y() > shoulder_y + 0.022F * h && ax < 0.048F * h) return skin;
    if (q.z() > 0 && q.y() > shoulder_y - (0.035F * h - ax) && ax < 0.03F * h) return skin; // open collar
    if (q.y() > hip_y + 0.02F * h) return shirt;
    if (q.y() < 0.010F * h) return Eigen::Vector3f(0.25F, 0.24F, 0.23F);
    if (q.y() < 0.046F * h) return looks_.shoes.cast<float>();
    return looks_.trousers.cast<float>();
}

Looks Looks::of_seed(std::uint64_t seed) {
    static const std::array<Vec3, 6> skins{Vec3(0.86, 0.68, 0.56), Vec3(0.55, 0.38, 0.28), Vec3(0.78, 0.58, 0.44),
                                           Vec3(0.90, 0.74, 0.64), Vec3(0.42, 0.29, 0.22), Vec3(0.70, 0.50, 0.38)};
    static const std::array<Vec3, 6> shirts{Vec3(0.25, 0.44, 0.48), Vec3(0.72, 0.66, 0.54), Vec3(0.55, 0.25, 0.24),
                                            Vec3(0.33, 0.40, 0.26), Vec3(0.30, 0.30, 0.45), Vec3(0.82, 0.80, 0.76)};
    static const std::array<Vec3, 4> trousers{Vec3(0.16, 0.16, 0.20), Vec3(0.36, 0.33, 0.29), Vec3(0.24, 0.27, 0.34),
                                              Vec3(0.30, 0.24, 0.22)};
    static const std::array<Vec3, 5> hairs{Vec3(0.10, 0.08, 0.07), Vec3(0.72, 0.72, 0.72), Vec3(0.36, 0.22, 0.13), Vec3(0.56, 0.55, 0.54),
                                           Vec3(0.20, 0.14, 0.10)};
    Rng rng(seed * 31 + 5);
    Looks l;
    l.skin = skins[seed % skins.size()];
    l.shirt = shirts[(seed * 5 + 1) % shirts.size()];
    l.trousers = trousers[(seed * 3) % trousers.size()];
    l.hair = hairs[(seed * 2 + 1) % hairs.size()];
    l.girth = rng.uniform(0.92, 1.22);
    l.sleeve = rng.uniform(0.35, 0.95);
    l.style = static_cast<Hair>(seed % 4);
    return l;
}

Looks Looks::of_family(Family family, std::uint64_t seed) {
    Looks l = of_seed(seed * 13 + static_cast<std::uint64_t>(family));
    Rng rng(seed * 131 + static_cast<std::uint64_t>(family));
    l.family = family;
    l.girth = rng.uniform(0.85, 1.45);
    l.loose = rng.uniform(0, 1);
    l.hat = rng.uniform() < 0.3;
    if (rng.uniform() < 0.4) l.style = Hair::longer;
    return l;
}

} // namespace bevel::sim
