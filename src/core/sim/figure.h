// The drawn figure: a surface around smooth-union primitives in the rest pose, with bone weights for skinning.
#pragma once
#include "core/sim/film.h"

namespace bevel::sim {

/// What a part of the surface is of. `by_place`: skin, hair and cloth are told apart by where a point lies in the rest pose.
enum class Stuff : std::uint8_t { by_place, skirt, trousers, head, skin, jacket, shoe };
/// Of closed surfaces only the side that faces the eye can be seen.
constexpr bool is_closed(Stuff s) {
    return s > Stuff::trousers;
}

struct Mesh {
    struct Vertex {
        Eigen::Vector3f rest, normal;
        std::array<std::uint8_t, 3> bone{};
        std::array<float, 3> weight{};
        Stuff stuff = Stuff::by_place;
        float finger = 0; // so far beyond the knuckles, m; the thumb: below 0, beyond its root
    };
    std::vector<Vertex> vertices;
    std::vector<std::array<std::uint32_t, 3>> triangles;
};

class Figure {
public:
    Figure(const Solver& solver, const Looks& looks);
    /// A surface made elsewhere, in the rest pose of the solver, with a colour for every vertex.
    Figure(const Solver& solver, Mesh mesh, std::vector<Eigen::Vector3f> paint);
    const Mesh& mesh() const { return mesh_; }
    /// Colour of the skin, hair or cloth at a point of the rest pose.
    Eigen::Vector3f colour(const Eigen::Vector3f& rest, Stuff stuff) const;
    /// A colour for every vertex, where the surface was painted; else empty.
    const std::vector<Eigen::Vector3f>& paint() const { return paint_; }
    /// Vertex positions and normals for a pose.
    void skin(const Pose& pose, std::vector<Eigen::Vector3f>& at, std::vector<Eigen::Vector3f>& normal) const;

private:
    struct Primitive {
        enum class Kind { cone, ellipsoid, box, blob } kind;
        Vec3 a, b; // cone, blob: from a to b; ellipsoid: radii b about a; box: half sizes b about a, edges rounded by ra
        double ra, rb;
        int bone;
        Eigen::Matrix3d turn = Eigen::Matrix3d::Identity(); // of a box: room to own axes
        double distance(const Vec3& p) const;
    };
    void build_primitives();
    void build_mesh();
    /// The surface of the primitives that are there, within a box of the rest pose, on a grid of `step`.
    void add_surface(const Vec3& low, const Vec3& high, double step, Stuff stuff);
    // The other families (figure_families.cpp).
    void build_boxes();
    void build_blobs();
    void build_skirt();
    void build_lofts();
    void ring_tube(const std::vector<Vec3>& path, const std::vector<Vec2>& radii,
                   const std::vector<std::array<std::pair<int, double>, 2>>& bones, const Vec3& front, double squareness);
    // The one that is shown beside a student (figure_shown.cpp).
    void build_shown();
    void build_cloth();
    void build_hem();
    void leave_out(Stuff stuff, double from_m, double to_m);
    void build_head();
    void build_hand(Side side);
    void build_shoe(Side side);
    Eigen::Vector3f colour_of_head(const Eigen::Vector3f& rest) const;
    Eigen::Vector3f colour_of_jacket(const Eigen::Vector3f& rest) const;
    /// Fingers and thumb bend towards the palm as the hand closes. A hand of the rest pose: where the knuckles and the thumb's root are.
    struct Hand {
        Vec3 knuckle, thumb_root, out, palm, across; // across: towards the thumb
        double length = 0;                           // of the longest finger, m
    };
    Hand hand_of(Side side) const;
    void bend(const Hand& hand, double fist, float finger, Eigen::Vector3f& at, Eigen::Vector3f& normal) const;
    double field(const Vec3& p) const;
    void weigh(Mesh::Vertex& v) const;

    Pose rest_;
    BodyDims dims_;
    Looks looks_;
    std::vector<Primitive> primitives_;
    double blend_ = 0; // over how far primitives flow into each other, m
    Mesh mesh_;
    std::vector<Eigen::Vector3f> paint_;
};

} // namespace bevel::sim
