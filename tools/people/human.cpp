#include "people/human.h"
#include <algorithm>
#include <cmath>
#include <fstream>
#include <nlohmann/json.hpp>
#include <QImage>

namespace bevel::people {
namespace {

using nlohmann::json;
constexpr double target_scale = 1e-3; // of the shape targets

Result<json> read_json(const std::filesystem::path& file) {
    std::ifstream in(file);
    json j = json::parse(in, nullptr, false);
    if (!in || j.is_discarded()) return fail(Code::bad_value, file.string());
    return j;
}

bool starts(const std::string& s, const char* with) {
    return s.rfind(with, 0) == 0;
}

/// Which of our bones a bone of the mesh goes with.
int our_bone(const std::string& name) {
    const int side = name.find(".R") != std::string::npos ? bone_side_offset : 0;
    for (const auto& [with, bone] : std::vector<std::pair<const char*, int>>{{"upperarm", bone_upper_arm_l},
                                                                             {"lowerarm", bone_forearm_l},
                                                                             {"wrist", bone_hand_l},
                                                                             {"metacarpal", bone_hand_l},
                                                                             {"finger", bone_hand_l},
                                                                             {"upperleg", bone_thigh_l},
                                                                             {"lowerleg", bone_shank_l},
                                                                             {"foot", bone_foot_l},
                                                                             {"toe", bone_foot_l}})
        if (starts(name, with)) return bone + side;
    for (const auto& [with, bone] : std::vector<std::pair<const char*, int>>{{"root", bone_pelvis},
                                                                             {"pelvis", bone_pelvis},
                                                                             {"spine05", bone_pelvis},
                                                                             {"spine04", bone_waist},
                                                                             {"spine03", bone_waist},
                                                                             {"spine", bone_chest},
                                                                             {"clavicle", bone_chest},
                                                                             {"shoulder", bone_chest},
                                                                             {"breast", bone_chest},
                                                                             {"neck", bone_neck}})
        if (starts(name, with)) return bone;
    return bone_head;
}

/// Shares of the ends of a range that a value lies between: low and high alone, or low, middle and high.
std::vector<std::pair<std::string, double>> between(double v, const std::vector<std::string>& ends) {
    if (ends.size() == 2) return {{ends[0], 1 - v}, {ends[1], v}};
    if (v < 0.5) return {{ends[0], 1 - 2 * v}, {ends[1], 2 * v}};
    return {{ends[1], 2 - 2 * v}, {ends[2], 2 * v - 1}};
}

Eigen::Matrix3d least_turn(const Vec3& from, const Vec3& to) {
    return Eigen::Quaterniond::FromTwoVectors(from, to).toRotationMatrix();
}

} // namespace

Kind Kind::of_seed(std::uint64_t seed) {
    Rng rng(seed * 7727 + 5);
    Kind k;
    k.male = rng.uniform() < 0.5 ? rng.uniform(0, 0.15) : rng.uniform(0.85, 1);
    k.old = rng.uniform() < 0.45 ? rng.uniform(0, 0.3) : rng.uniform(0.4, 1); // many who practise are old
    k.muscle = rng.uniform(0.1, 0.9);
    k.weight = std::clamp(0.52 + 0.24 * rng.gauss(), 0.02, 1.0);
    k.tall = rng.uniform(0.1, 0.9);
    double sum = 0;
    for (double& o : k.origin) sum += o = std::pow(rng.uniform(), 3);
    for (double& o : k.origin) o /= sum;
    k.stature_m = std::clamp((k.male > 0.5 ? 1.74 : 1.61) + 0.08 * rng.gauss(), 1.45, 2.0);
    for (const char* both :
         {"upperleg-scale-horiz", "lowerleg-scale-horiz", "upperarm-scale-vert", "foot-scale-depth", "foot-scale-horiz"}) {
        const double much = 0.5 * rng.gauss();
        for (const char* side : {"l-", "r-"})
            k.single[side + std::string(both) + (much > 0 ? "-incr" : "-decr")] = std::min(1.0, std::abs(much));
    }
    for (const char* one : {"hip-scale-horiz", "hip-scale-depth", "torso-scale-horiz", "torso-scale-depth", "torso-scale-vert"}) {
        const double much = 0.4 * rng.gauss();
        k.single[one + std::string(much > 0 ? "-incr" : "-decr")] = std::min(1.0, std::abs(much));
    }
    k.sleeve = rng.uniform() < 0.5 ? rng.uniform(0.25, 0.5) : rng.uniform(0.8, 0.97);
    k.trouser = rng.uniform() < 0.8 ? rng.uniform(0.9, 0.99) : rng.uniform(0.4, 0.6);
    k.loose_m = rng.uniform(0.002, 0.026);
    k.skirt = k.male < 0.5 && rng.uniform() < 0.25;
    k.shoes = rng.uniform() < 0.8;
    k.long_hair = k.male < 0.5 && rng.uniform() < 0.45;
    k.bald = k.male > 0.5 && k.old > 0.5 && rng.uniform() < 0.4;
    const auto colour = [&](double low, double high) {
        return Eigen::Vector3f(static_cast<float>(rng.uniform(low, high)), static_cast<float>(rng.uniform(low, high)),
                               static_cast<float>(rng.uniform(low, high)));
    };
    k.shirt = colour(0.08, 0.92);
    k.trousers = colour(0.08, 0.6);
    k.shoe = colour(0.1, 0.9);
    const auto dark = static_cast<float>(rng.uniform(0.06, 0.3)), grey = static_cast<float>(rng.uniform(0.5, 0.8));
    k.hair = k.old > 0.6 ? Eigen::Vector3f(grey, grey, grey) : Eigen::Vector3f(1.3F * dark, dark, 0.8F * dark);
    static const std::array<const char*, 3> origins{"african", "asian", "caucasian"};
    const auto most = static_cast<std::size_t>(std::max_element(k.origin.begin(), k.origin.end()) - k.origin.begin());
    k.skin = std::string(k.old > 0.66   ? "old_"
                         : k.old > 0.33 ? "middleage_"
                                        : "young_") +
             origins[most] + (k.male > 0.5 ? "_male" : "_female");
    return k;
}

std::vector<std::string> Kind::tags() const {
    std::vector<std::string> out{male > 0.5 ? "male" : "female", old > 0.5 ? "old" : "young",
                                 weight > 0.66   ? "stout"
                                 : weight < 0.36 ? "slight"
                                                 : "middling"};
    out.emplace_back(skirt ? "skirt" : loose_m > 0.016 ? "loose" : "close");
    return out;
}

Result<Wardrobe> Wardrobe::open(const std::filesystem::path& package) {
    Wardrobe w;
    w.package_ = package;
    auto model = read_json(package / "public/data/models/human_full_size.json");
    if (!model) return tl::unexpected(model.error());
    auto list = read_json(package / "src/json/targets/target-list.json");
    if (!list) return tl::unexpected(list.error());
    const auto& v = (*model)["vertices"];
    for (std::size_t i = 0; i + 2 < v.size(); i += 3)
        w.base_.emplace_back(v[i].get<double>(), v[i + 1].get<double>(), v[i + 2].get<double>());
    const auto& uv = (*model)["uvs"][0];
    for (std::size_t i = 0; i + 1 < uv.size(); i += 2) w.uv_.emplace_back(uv[i].get<double>(), uv[i + 1].get<double>());
    for (const auto& m : (*model)["materials"]) w.materials_.push_back(m["DbgName"].get<std::string>());
    const auto& f = (*model)["faces"]; // kind 11: four corners, a material, four places on the skin's picture
    for (std::size_t i = 0; i + 9 < f.size(); i += 10) {
        Quad q;
        for (std::size_t k = 0; k < 4; ++k) q.corners[k] = {f[i + 1 + k].get<std::uint32_t>(), f[i + 6 + k].get<std::uint32_t>()};
        q.material = f[i + 5].get<int>();
        w.quads_.push_back(q);
    }
    const auto &index = (*model)["skinIndices"], &weight = (*model)["skinWeights"];
    for (std::size_t i = 0; i + 3 < index.size(); i += 4) {
        w.entry_.push_back({index[i].get<int>(), index[i + 1].get<int>(), index[i + 2].get<int>(), index[i + 3].get<int>()});
        w.weight_.push_back(
            {weight[i].get<double>(), weight[i + 1].get<double>(), weight[i + 2].get<double>(), weight[i + 3].get<double>()});
    }
    for (const auto& b : (*model)["bones"]) w.bone_of_entry_.push_back(our_bone(b["name"].get<std::string>()));
    for (const auto& [name, places] : (*model)["metadata"]["joint_pos_idxs"].items()) w.joints_[name] = places.get<std::vector<int>>();
    std::vector<std::string> names;
    for (const auto& [name, tags] : (*list)["targets"].items()) names.push_back(name);
    std::sort(names.begin(), names.end());
    for (std::size_t i = 0; i < names.size(); ++i) w.targets_[std::filesystem::path(names[i]).stem().string()] = i;
    if (w.base_.size() * 4 != index.size() ||
        std::filesystem::file_size(package / "public/data/targets/targets.bin") != names.size() * w.base_.size() * 6)
        return fail(Code::bad_value, "targets.bin");
    const auto at = w.shaped(Kind());
    w.mean_leg_ = (w.joint(at, "upperleg01.L____head").y() - w.joint(at, "foot.L____head").y()) / Kind().stature_m;
    return w;
}

std::vector<Vec3> Wardrobe::shaped(const Kind& k) const {
    std::map<std::string, double> wanted = k.single;
    static const std::array<const char*, 3> origins{"african", "asian", "caucasian"};
    for (const auto& [sex, s] : between(k.male, {"female", "male"}))
        for (const auto& [age, a] : between(k.old, {"young", "old"})) {
            for (std::size_t o = 0; o < 3; ++o) wanted[std::string(origins[o]) + "-" + sex + "-" + age] += s * a * k.origin[o];
            for (const auto& [muscle, m] : between(k.muscle, {"minmuscle", "averagemuscle", "maxmuscle"}))
                for (const auto& [weight, w] : between(k.weight, {"minweight", "averageweight", "maxweight"})) {
                    const std::string body = sex + "-" + age + "-" + muscle + "-" + weight;
                    wanted["universal-" + body] += s * a * m * w;
                    wanted[body + (k.tall > 0.5 ? "-maxheight" : "-minheight")] += s * a * m * w * std::abs(2 * k.tall - 1);
                }
        }
    std::vector<Vec3> at = base_;
    std::ifstream in(package_ / "public/data/targets/targets.bin", std::ios::binary);
    std::vector<std::int16_t> d(base_.size() * 3);
    for (const auto& [name, much] : wanted) {
        const auto found = targets_.find(name);
        if (found == targets_.end() || std::abs(much) < 1e-3) continue;
        in.seekg(static_cast<std::streamoff>(found->second * d.size() * 2));
        in.read(reinterpret_cast<char*>(d.data()), static_cast<std::streamsize>(d.size() * 2));
        for (std::size_t i = 0; i < at.size(); ++i) at[i] += much * target_scale * Vec3(d[3 * i], d[3 * i + 1], d[3 * i + 2]);
    }
    double low = 1e9, high = -1e9; // of the body alone
    for (const auto& q : quads_)
        if (q.material == 0)
            for (const auto& c : q.corners) low = std::min(low, at[c.vertex].y()), high = std::max(high, at[c.vertex].y());
    const double scale = k.stature_m / (high - low);
    for (auto& p : at) p = scale * (p - Vec3(0, low, 0));
    return at;
}

Vec3 Wardrobe::joint(const std::vector<Vec3>& at, const std::string& name) const {
    Vec3 sum = Vec3::Zero();
    const auto& of = joints_.at(name);
    for (const int i : of) sum += at[static_cast<std::size_t>(i)];
    return sum / static_cast<double>(of.size());
}

Result<Person> Wardrobe::person(const Kind& k) const {
    const auto at = shaped(k);
    const double h = k.stature_m;
    std::vector<bool> of_body(at.size(), false);
    for (const auto& q : quads_)
        if (q.material == 0)
            for (const auto& c : q.corners) of_body[c.vertex] = true;
    // The bone that a vertex goes with most.
    std::vector<std::array<std::pair<int, double>, 3>> bones(at.size());
    for (std::size_t i = 0; i < at.size(); ++i) {
        std::array<double, bone_count> share{};
        for (std::size_t q = 0; q < 4; ++q)
            share[static_cast<std::size_t>(bone_of_entry_[static_cast<std::size_t>(entry_[i][q])])] += weight_[i][q];
        std::array<int, bone_count> order{};
        for (int b = 0; b < bone_count; ++b) order[static_cast<std::size_t>(b)] = b;
        std::partial_sort(order.begin(), order.begin() + 3, order.end(),
                          [&](int a, int b) { return share[static_cast<std::size_t>(a)] > share[static_cast<std::size_t>(b)]; });
        double sum = 0;
        for (std::size_t q = 0; q < 3; ++q) sum += share[static_cast<std::size_t>(order[q])];
        for (std::size_t q = 0; q < 3; ++q) bones[i][q] = {order[q], sum > 0 ? share[static_cast<std::size_t>(order[q])] / sum : q == 0};
    }
    /// Middle between the extremes of a limb about a level of its bone's joint, sideways and front to back.
    const auto middle = [&](const Vec3& about, int bone_a, int bone_b, double half_m) {
        Vec3 low = Vec3::Constant(1e9), high = Vec3::Constant(-1e9);
        for (std::size_t i = 0; i < at.size(); ++i) {
            if (!of_body[i] || std::abs(at[i].y() - about.y()) > half_m) continue;
            const int b = bones[i][0].first;
            if (b != bone_a && b != bone_b) continue;
            low = low.cwiseMin(at[i]);
            high = high.cwiseMax(at[i]);
        }
        return low.x() > high.x() ? about : Vec3(0.5 * (low.x() + high.x()), about.y(), 0.5 * (low.z() + high.z()));
    };
    const auto name = [](const char* bone, Side side, const char* end) {
        return std::string(bone) + (side == Side::left ? ".L" : ".R") + "____" + end;
    };
    std::array<Vec3, point_count> p; // on the mesh as it is
    for (auto& x : p) x.setZero();
    for (const Side side : {Side::left, Side::right}) {
        const int off = side == Side::left ? 0 : bone_side_offset;
        const double s = side == Side::left ? 1 : -1;
        auto to = [&](Point q) -> Vec3& { return p[static_cast<std::size_t>(on(side, q))]; };
        const Vec3 ankle = joint(at, name("foot", side, "head")), hip = joint(at, name("upperleg01", side, "head"));
        to(left_ankle) = middle(ankle, bone_shank_l + off, bone_foot_l + off, 0.006 * h);
        // Hip and knee: levels and the hips' distance by published shares of this person's own length of leg.
        const double leg = 0.491 * h * (hip.y() - ankle.y()) / h / mean_leg_;
        const Vec3 knee_about(joint(at, name("lowerleg01", side, "head")).x(), ankle.y() + 0.246 / 0.491 * leg, 0);
        to(left_knee) = middle(knee_about, bone_thigh_l + off, bone_shank_l + off, 0.008 * h);
        to(left_hip) = Vec3(s * 0.050 * h * std::sqrt(std::abs(hip.x()) / (0.066 * h)), ankle.y() + leg, hip.z());
        to(left_shoulder) = joint(at, name("upperarm01", side, "head"));
        to(left_elbow) = joint(at, name("lowerarm01", side, "head"));
        to(left_wrist) = joint(at, name("wrist", side, "head"));
        to(left_index) = joint(at, name("finger2-1", side, "head"));
        to(left_little) = joint(at, name("finger5-1", side, "head"));
        to(left_thumb) = joint(at, name("finger1-2", side, "head"));
        to(left_eye) = joint(at, name("eye", side, "head"));
        // Ear: the outermost of the head at the height of the eyes and a little below; heel and toe: the ends of the foot.
        Vec3 ear(0, 0, 0), heel(0, 0, 1e9), toe(0, 0, -1e9);
        for (std::size_t i = 0; i < at.size(); ++i) {
            if (!of_body[i]) continue;
            const int b = bones[i][0].first;
            if (b == bone_foot_l + off && at[i].y() < 0.03 * h) {
                if (at[i].z() < heel.z()) heel = at[i];
                if (at[i].z() > toe.z()) toe = at[i];
            }
        }
        const Vec3 eye = to(left_eye);
        double most = 0;
        for (std::size_t i = 0; i < at.size(); ++i)
            if (of_body[i] && bones[i][0].first == bone_head && std::abs(at[i].y() - (eye.y() - 0.008 * h)) < 0.010 * h &&
                at[i].z() < eye.z() - 0.02 * h)
                most = std::max(most, s * at[i].x());
        Vec3 sum = Vec3::Zero();
        int many = 0;
        for (std::size_t i = 0; i < at.size(); ++i)
            if (of_body[i] && bones[i][0].first == bone_head && std::abs(at[i].y() - (eye.y() - 0.008 * h)) < 0.014 * h &&
                s * at[i].x() > most - 0.012 * h && at[i].z() < eye.z() - 0.02 * h)
                sum += at[i], ++many;
        ear = many > 0 ? Vec3(sum / many) : eye;
        to(left_ear) = ear;
        to(left_heel) = Vec3(heel.x(), 0, heel.z()); // on the sole, as the movement's points are
        to(left_toe) = Vec3(toe.x(), 0, toe.z());
    }
    {
        Vec3 tip(0, 0, -1e9);
        const double eye_y = p[left_eye].y();
        for (std::size_t i = 0; i < at.size(); ++i)
            if (of_body[i] && bones[i][0].first == bone_head && std::abs(at[i].x()) < 0.004 * h && at[i].y() < eye_y &&
                at[i].y() > eye_y - 0.04 * h && at[i].z() > tip.z())
                tip = at[i];
        p[nose] = tip;
    }
    const auto mid = [&](Point q) { return Vec3(0.5 * (p[static_cast<std::size_t>(q)] + p[static_cast<std::size_t>(mirrored(q))])); };
    const auto far = [&](Point a, Point b) { return (p[static_cast<std::size_t>(a)] - p[static_cast<std::size_t>(b)]).norm(); };
    Person out;
    BodyDims& d = out.dims;
    d = BodyDims::of_stature(h);
    d.ankle_height = mid(left_ankle).y();
    d.shank = far(left_knee, left_ankle);
    d.thigh = far(left_hip, left_knee);
    d.hip_width = far(left_hip, right_hip);
    d.shoulder_width = far(left_shoulder, right_shoulder);
    d.trunk = mid(left_shoulder).y() - mid(left_hip).y();
    d.neck_to_ear = mid(left_ear).y() - mid(left_shoulder).y();
    d.upper_arm = far(left_shoulder, left_elbow);
    d.forearm = far(left_elbow, left_wrist);
    d.hand = (0.5 * (p[left_index] + p[left_little]) - p[left_wrist]).norm();
    d.foot_length = far(left_heel, left_toe);
    d.heel_behind = mid(left_ankle).z() - mid(left_heel).z();

    const Solver solver(d, Posture());
    const Pose rest = solver.rest();
    // From the mesh to the rest pose, a bone each: turned as its limb, joint on joint.
    std::array<Eigen::Matrix3d, bone_count> turn;
    std::array<Vec3, bone_count> shift;
    const auto set = [&](int bone, const Eigen::Matrix3d& r, const Vec3& from, const Vec3& onto) {
        turn[static_cast<std::size_t>(bone)] = r;
        shift[static_cast<std::size_t>(bone)] = onto - r * from;
    };
    const auto rest_mid = [&](Point q) {
        return Vec3(0.5 * (rest.points[static_cast<std::size_t>(q)] + rest.points[static_cast<std::size_t>(mirrored(q))]));
    };
    const Eigen::Matrix3d same = Eigen::Matrix3d::Identity();
    set(bone_pelvis, same, mid(left_hip), rest_mid(left_hip));
    set(bone_chest, same, mid(left_shoulder), rest_mid(left_shoulder));
    set(bone_head, same, mid(left_ear), rest_mid(left_ear));
    turn[bone_waist] = turn[bone_neck] = same;
    shift[bone_waist] = 0.5 * (shift[bone_pelvis] + shift[bone_chest]);
    shift[bone_neck] = 0.5 * (shift[bone_chest] + shift[bone_head]);
    for (const Side side : {Side::left, Side::right}) {
        const int off = side == Side::left ? 0 : bone_side_offset;
        const auto limb = [&](int bone, Point from, Point to) {
            const auto a = static_cast<std::size_t>(on(side, from)), b = static_cast<std::size_t>(on(side, to));
            set(bone + off, least_turn(p[b] - p[a], rest.points[b] - rest.points[a]), p[a], rest.points[a]);
        };
        limb(bone_upper_arm_l, left_shoulder, left_elbow);
        limb(bone_forearm_l, left_elbow, left_wrist);
        limb(bone_thigh_l, left_hip, left_knee);
        limb(bone_shank_l, left_knee, left_ankle);
        // The hand goes on as the forearm does; the foot turns about the upright.
        const auto w = static_cast<std::size_t>(on(side, left_wrist)), i = static_cast<std::size_t>(on(side, left_index)),
                   l = static_cast<std::size_t>(on(side, left_little)), a = static_cast<std::size_t>(on(side, left_ankle)),
                   he = static_cast<std::size_t>(on(side, left_heel)), t = static_cast<std::size_t>(on(side, left_toe));
        set(bone_hand_l + off, least_turn(0.5 * (p[i] + p[l]) - p[w], 0.5 * (rest.points[i] + rest.points[l]) - rest.points[w]), p[w],
            rest.points[w]);
        const Vec3 mesh_foot = p[t] - p[he], rest_foot = rest.points[t] - rest.points[he];
        const double by = std::atan2(rest_foot.x(), rest_foot.z()) - std::atan2(mesh_foot.x(), mesh_foot.z());
        set(bone_foot_l + off, Eigen::AngleAxisd(by, Vec3(0, 1, 0)).toRotationMatrix(), p[a], rest.points[a]);
        shift[static_cast<std::size_t>(bone_foot_l + off)].y() = 0; // soles on the floor
    }
    const auto placed = [&](std::size_t v, const Vec3& x) {
        Vec3 sum = Vec3::Zero();
        for (const auto& [b, share] : bones[v]) sum += share * (turn[static_cast<std::size_t>(b)] * x + shift[static_cast<std::size_t>(b)]);
        return sum;
    };
    for (std::size_t q = 0; q < point_count; ++q) {
        const Point base = q == nose ? nose : static_cast<Point>(q) < right_eye ? static_cast<Point>(q) : mirrored(static_cast<Point>(q));
        const int off = q == nose || static_cast<Point>(q) < right_eye ? 0 : bone_side_offset;
        static const std::map<Point, int> holder{{nose, bone_head},           {left_eye, bone_head},          {left_ear, bone_head},
                                                 {left_shoulder, bone_chest}, {left_elbow, bone_upper_arm_l}, {left_wrist, bone_forearm_l},
                                                 {left_thumb, bone_hand_l},   {left_index, bone_hand_l},      {left_little, bone_hand_l},
                                                 {left_hip, bone_pelvis},     {left_knee, bone_thigh_l},      {left_ankle, bone_shank_l},
                                                 {left_heel, bone_foot_l},    {left_toe, bone_foot_l}};
        const int bone = holder.at(base) + (holder.at(base) >= bone_upper_arm_l ? off : 0);
        out.bone[q] = bone;
        out.rest[q] = turn[static_cast<std::size_t>(bone)] * p[q] + shift[static_cast<std::size_t>(bone)];
    }

    // What is seen of it, dressed.
    QImage skin;
    const auto folder = package_ / "public/data/skins" / k.skin / "textures";
    if (std::filesystem::is_directory(folder)) {
        std::vector<std::filesystem::path> pictures;
        for (const auto& f : std::filesystem::directory_iterator(folder))
            if (f.path().string().find("diffuse") != std::string::npos) pictures.push_back(f.path());
        std::sort(pictures.begin(), pictures.end());
        if (!pictures.empty()) skin = QImage(QString::fromStdString(pictures.front().string()));
    }
    if (skin.isNull()) return fail(Code::bad_value, "skin " + k.skin);
    const double hip_y = rest_mid(left_hip).y();
    enum class Cloth { body, tights, skirt, hair, eye, left_out };
    const auto cloth_of = [&](const std::string& m) {
        return m == "body"                                  ? Cloth::body
               : m == "helper-tights"                       ? Cloth::tights
               : m == "helper-skirt"                        ? (k.skirt ? Cloth::skirt : Cloth::left_out)
               : m == "helper-hair"                         ? (k.long_hair ? Cloth::hair : Cloth::left_out)
               : m == "helper-l-eye" || m == "helper-r-eye" ? Cloth::eye
                                                            : Cloth::left_out;
    };
    std::map<std::pair<std::uint32_t, int>, std::uint32_t> made; // a vertex once for each cloth
    std::vector<std::size_t> source;
    std::vector<Cloth> cloth;
    const auto vertex = [&](const Corner& c, Cloth as) {
        const auto [it, fresh] = made.try_emplace({c.vertex, static_cast<int>(as)}, static_cast<std::uint32_t>(out.mesh.vertices.size()));
        if (!fresh) return it->second;
        sim::Mesh::Vertex v;
        v.rest = placed(c.vertex, at[c.vertex]).cast<float>();
        for (std::size_t q = 0; q < 3; ++q) {
            v.bone[q] = static_cast<std::uint8_t>(bones[c.vertex][q].first);
            v.weight[q] = static_cast<float>(bones[c.vertex][q].second);
        }
        out.mesh.vertices.push_back(v);
        source.push_back(c.vertex);
        cloth.push_back(as);
        const Vec2& uv = uv_[c.uv];
        const QColor texel(skin.pixel(std::clamp(static_cast<int>(uv.x() * skin.width()), 0, skin.width() - 1),
                                      std::clamp(static_cast<int>((1 - uv.y()) * skin.height()), 0, skin.height() - 1)));
        out.paint.emplace_back(static_cast<float>(texel.redF()), static_cast<float>(texel.greenF()), static_cast<float>(texel.blueF()));
        return it->second;
    };
    // How far along its limb a vertex of the clothes lies: of the arm from the shoulder, of the leg from the hip; below 0: on the trunk.
    const auto along = [&](std::size_t v, Point from, Point to) {
        const Side side = at[v].x() > 0 ? Side::left : Side::right;
        const Vec3 a = p[static_cast<std::size_t>(on(side, from))], b = p[static_cast<std::size_t>(on(side, to))];
        return (at[v] - a).dot(b - a) / (b - a).squaredNorm();
    };
    const auto arm = [](int b) {
        return b == bone_upper_arm_l || b == bone_forearm_l || b == bone_hand_l || b == bone_upper_arm_r || b == bone_forearm_r ||
               b == bone_hand_r;
    };
    const auto leg = [](int b) {
        return b == bone_thigh_l || b == bone_shank_l || b == bone_foot_l || b == bone_thigh_r || b == bone_shank_r || b == bone_foot_r;
    };
    for (const auto& q : quads_) {
        const Cloth as = cloth_of(materials_[static_cast<std::size_t>(q.material)]);
        if (as == Cloth::left_out) continue;
        bool covers = true;
        if (as == Cloth::tights)
            for (const auto& c : q.corners) {
                const int b = bones[c.vertex][0].first;
                if (b == bone_head || b == bone_neck) covers = false;
                if (arm(b) && along(c.vertex, left_shoulder, left_wrist) > k.sleeve) covers = false;
                if (leg(b) && along(c.vertex, left_hip, left_ankle) > k.trouser) covers = false;
            }
        if (as == Cloth::hair) // not over the face
            for (const auto& c : q.corners) covers = covers && at[c.vertex].z() < p[left_ear].z() + 0.030 * h;
        if (!covers) continue;
        std::array<std::uint32_t, 4> i{};
        for (std::size_t c = 0; c < 4; ++c) i[c] = vertex(q.corners[c], as);
        out.mesh.triangles.push_back({i[0], i[1], i[2]});
        out.mesh.triangles.push_back({i[0], i[2], i[3]});
    }
    const auto normals = [&] {
        std::vector<Eigen::Vector3f> n(out.mesh.vertices.size(), Eigen::Vector3f::Zero());
        for (const auto& t : out.mesh.triangles) {
            const auto &a = out.mesh.vertices[t[0]].rest, &b = out.mesh.vertices[t[1]].rest, &c = out.mesh.vertices[t[2]].rest;
            const Eigen::Vector3f f = (b - a).cross(c - a);
            for (const auto v : t) n[v] += f;
        }
        for (std::size_t v = 0; v < n.size(); ++v)
            out.mesh.vertices[v].normal = n[v].norm() > 0 ? Eigen::Vector3f(n[v].normalized()) : Eigen::Vector3f(0, 1, 0);
    };
    normals();
    const Vec3 ears = rest_mid(left_ear);
    for (std::size_t v = 0; v < out.mesh.vertices.size(); ++v) {
        auto& x = out.mesh.vertices[v];
        const int b = bones[source[v]][0].first;
        double out_by = 0;
        switch (cloth[v]) {
        case Cloth::tights:
            out_by = 0.004 + k.loose_m * (arm(b) || leg(b) ? 1 : 0.6);
            out.paint[v] = leg(b) || x.rest.y() < hip_y - 0.01 * h ? k.trousers : k.shirt;
            break;
        case Cloth::skirt:
            out_by = 0.006;
            out.paint[v] = k.trousers;
            break;
        case Cloth::hair:
            out.paint[v] = k.hair;
            break;
        case Cloth::eye: {
            const Vec3 middle_of_eye =
                turn[bone_head] * p[static_cast<std::size_t>(at[source[v]].x() > 0 ? left_eye : right_eye)] + shift[bone_head];
            const Eigen::Vector3f from = x.rest - middle_of_eye.cast<float>();
            out.paint[v] = from.z() > 0 && std::hypot(from.x(), from.y()) < 0.0035 * h ? Eigen::Vector3f(0.12F, 0.08F, 0.06F)
                                                                                       : Eigen::Vector3f(0.92F, 0.91F, 0.9F);
            break;
        }
        default:
            if (b == bone_head && !k.bald && x.rest.y() > ears.y() + 0.028 * h - 0.5 * std::max(0.0, ears.z() + 0.03 * h - x.rest.z())) {
                out.paint[v] = k.hair;
                out_by = 0.006;
            }
            if (k.shoes && (b == bone_foot_l || b == bone_foot_r) && x.rest.y() < 0.05 * h) {
                out.paint[v] = x.rest.y() < 0.012 * h ? Eigen::Vector3f(0.3F, 0.3F, 0.3F) : k.shoe;
                out_by = 0.005;
            }
        }
        x.rest += static_cast<float>(out_by) * x.normal;
        if (x.rest.y() < 0) x.rest.y() = 0;
    }
    normals();
    return out;
}

Body3 points_of(const Person& person, const Pose& rest, const Pose& pose) {
    Body3 out;
    for (std::size_t q = 0; q < point_count; ++q) {
        const auto b = static_cast<std::size_t>(person.bone[q]);
        out[q] = pose.bones[b].o + pose.bones[b].r * rest.bones[b].r.transpose() * (person.rest[q] - rest.bones[b].o);
    }
    return out;
}

} // namespace bevel::people
