// The drawn figure: a surface around smooth-union primitives in the rest pose, with bone weights for skinning.
#pragma once
#include "core/sim/film.h"

namespace bevel::sim {

struct Mesh {
    struct Vertex {
        Eigen::Vector3f rest, normal;
        std::array<std::uint8_t, 3> bone{};
        std::array<float, 3> weight{};
    };
    std::vector<Vertex> vertices;
    std::vector<std::array<std::uint32_t, 3>> triangles;
};

class Figure {
public:
    Figure(const Solver& solver, const Looks& looks);
    const Mesh& mesh() const { return mesh_; }
    /// Colour of the skin, hair or cloth at a point of the rest pose.
    Eigen::Vector3f colour(const Eigen::Vector3f& rest) const;
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
    // The other families (figure_families.cpp).
    void build_boxes();
    void build_blobs();
    void build_skirt();
    void build_lofts();
    void ring_tube(const std::vector<Vec3>& path, const std::vector<Vec2>& radii,
                   const std::vector<std::array<std::pair<int, double>, 2>>& bones, const Vec3& front, double squareness);
    double field(const Vec3& p) const;
    void weigh(Mesh::Vertex& v) const;

    Pose rest_;
    BodyDims dims_;
    Looks looks_;
    std::vector<Primitive> primitives_;
    Mesh mesh_;
};

} // namespace bevel::sim
