// A virtual phone films a virtual student: a skinned figure in a plain room, drawn by a z-buffer.
#pragma once
#include "core/sim/student.h"
#include <memory>

namespace bevel::sim {

/// Interleaved 8-bit RGB, rows top to bottom.
struct Image {
    int width = 0, height = 0;
    std::vector<std::uint8_t> rgb;
};

struct PhoneOptions {
    View view = View::front;
    int width = 1280, height = 720;
    double fps = 30;
    double distance_m = 4.2, height_m = 1.10;
    double tilt_deg = 3;   // looking down positive
    double roll_deg = 0;   // clockwise turn of the camera
    double turn_deg = 0;   // the camera stands so much further round, towards the student's own left
    double beside_m = 0;   // the student stands so far to the right of the picture's middle
    double distortion = 0; // radial, of the half diagonal: r (1 + k r^2); points only, the drawn pictures have none
    bool bare = false;     // a room without upright edges
    double focal = 0.80;   // in units of the longer picture side
    double exposure = 1;   // 1: well lit
    double shake_px = 0;   // amplitude of a held phone
    double noise = 1.2;    // grey levels
    bool paper = false;    // plain paper in place of the room: for the reference figure
    std::uint64_t seed = 1;
    /// Empty when usable, else what is wrong.
    std::string validate() const;
};

/// Pinhole camera: p_cam = r * (p - at), x right, y down, z ahead; pixels about (cx, cy).
struct Camera {
    Eigen::Matrix3d r = Eigen::Matrix3d::Identity();
    Vec3 at = Vec3::Zero();
    double focal = 1000, cx = 640, cy = 360, distortion = 0;
    Vec2 project(const Vec3& p) const;
    static Camera of(const PhoneOptions& o);
};

/// Shift of the picture by a held phone at time t: slow sines with the given phases, px.
Vec2 shake_at(const std::array<double, 8>& phases, double amplitude_px, double t);

/// How a figure looks: builds, clothes and hair that tell people apart. Colours are 0..1 RGB. The families share no primitive: rounded
/// cones, lofted rings, rounded boxes, soft blobs under a long skirt; and the figure that is shown beside a student, in a plain jacket,
/// with fingers that close.
struct Looks {
    enum class Family { rounded, lofted, boxy, draped, shown } family = Family::rounded;
    double girth = 1.0;
    double loose = 0; // 0: close-fitting; 1: wide trousers and sleeves
    bool hat = false;
    Vec3 skin{0.80, 0.62, 0.50}, hair{0.16, 0.11, 0.08}, shirt{0.27, 0.43, 0.47}, trousers{0.20, 0.20, 0.24}, shoes{0.85, 0.83, 0.78};
    double sleeve = 0.45; // share of the arm that is covered
    enum class Hair { cropped, full, bun, bald, longer } style = Hair::full;
    static Looks of_seed(std::uint64_t seed);
    /// The same people in a family of their own, with looser clothes, hats and long hair.
    static Looks of_family(Family family, std::uint64_t seed);
    /// Nobody in particular, in undyed cloth: the figure of every reference, card and sheet.
    static Looks reference();
};

class Figure;
/// The body of a solver, clothed; made once for all films of it.
std::shared_ptr<const Figure> dressed(const Solver& solver, const Looks& looks);

class Film {
public:
    Film(const Solver& solver, const Looks& looks, const PhoneOptions& phone);
    Film(std::shared_ptr<const Figure> figure, const PhoneOptions& phone);
    ~Film();
    /// The picture of a pose at time t (t moves the hand-held shake only).
    Image shoot(const Pose& pose, double t) const;
    /// Shift of the picture at time t by hand shake, px.
    Vec2 shake(double t) const;
    const Camera& camera() const;

private:
    struct Impl;
    std::unique_ptr<Impl> impl_;
};

} // namespace bevel::sim
