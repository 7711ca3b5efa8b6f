// The points of the body, in the order and under the names used by files and screens.
#pragma once
#include <array>
#include <cstdint>
#include <Eigen/Geometry>
#include <numbers>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace bevel {

using Vec2 = Eigen::Vector2d;
using Vec3 = Eigen::Vector3d;
/// Radians in a degree: x * deg is x degrees in radians, x / deg a number of radians in degrees.
inline constexpr double deg = std::numbers::pi / 180;

enum Point : int {
    nose,
    left_eye,
    left_ear,
    left_shoulder,
    left_elbow,
    left_wrist,
    left_thumb,
    left_index,
    left_little,
    left_hip,
    left_knee,
    left_ankle,
    left_heel,
    left_toe,
    right_eye,
    right_ear,
    right_shoulder,
    right_elbow,
    right_wrist,
    right_thumb,
    right_index,
    right_little,
    right_hip,
    right_knee,
    right_ankle,
    right_heel,
    right_toe,
};
inline constexpr int point_count = 27;
inline constexpr int side_offset = right_eye - left_eye;

enum class Side { left, right };
inline Side other(Side s) {
    return s == Side::left ? Side::right : Side::left;
}

/// The point of a pair on the given side; `left_point` must be a left_ point.
inline Point on(Side side, Point left_point) {
    return side == Side::left ? left_point : static_cast<Point>(left_point + side_offset);
}
/// The same point of the other side; the nose is its own.
inline Point mirrored(Point p) {
    if (p == nose) return p;
    return static_cast<Point>(p < right_eye ? p + side_offset : p - side_offset);
}
/// File name of a point, e.g. "left_knee".
std::string_view point_name(Point p);
std::optional<Point> point_from_name(std::string_view name);

inline constexpr std::size_t index_of(Point p) {
    return static_cast<std::size_t>(p);
}

/// Points that are there only where a person marked them or a file gives them: the outline of the back, the crown, the ends of a tool.
enum Extra : int { c7, mid_back, low_back, tail, crown, tool_front, tool_back };
inline constexpr int extra_count = 7;
std::string_view extra_name(Extra e);
std::optional<Extra> extra_from_name(std::string_view name);
/// On a frame: pixels (z unused) for a track of pixels, metres for one of metres.
using ExtraPoints = std::array<std::optional<Vec3>, extra_count>;

/// Room coordinates of all points in metres (x own left, y up, z forward).
using Body3 = std::array<Vec3, point_count>;

/// Middle of a pair, by its left point.
inline Vec3 mid(const Body3& b, Point left) {
    return 0.5 * (b[static_cast<std::size_t>(left)] + b[static_cast<std::size_t>(mirrored(left))]);
}
/// Middle of the contact area, from heel to ball (72 % of the foot).
inline Vec3 foot_centre(const Body3& b, Side s) {
    const Vec3 &heel = b[static_cast<std::size_t>(on(s, left_heel))], &toe = b[static_cast<std::size_t>(on(s, left_toe))];
    return heel + 0.36 * (toe - heel);
}
/// Bend of a joint at b: 180 degrees minus its angle; 0 is straight.
double joint_bend(const Vec3& a, const Vec3& b, const Vec3& c);

/// One point on the picture: pixels, visibility 0..1; 1-sigma in pixels of what changes from frame to frame (0: not stated) and of what
/// stays with the person for the whole clip. Along the body (about upright) both may differ; 0 there: the same as across.
struct PicturePoint {
    double x = 0, y = 0;
    double visibility = 0;
    double sigma = 0, bias = 0;
    double sigma_up = 0, bias_up = 0;
};
using BodyPx = std::array<PicturePoint, point_count>;
inline Vec2 at(const BodyPx& b, Point p) {
    return {b[p].x, b[p].y};
}
inline Vec2 mid_px(const BodyPx& b, Point left) {
    return 0.5 * (at(b, left) + at(b, mirrored(left)));
}

/// Where the true vertical lies on the picture: its tilt at column x is roll + slope * (x - width/2), clockwise positive.
struct VerticalOnPicture {
    double roll = 0;          // rad
    double slope = 0;         // rad per px; tan(pitch) / focal length
    double roll_sigma = 0.02; // rad
    double slope_sigma = 5e-5;
    bool from_room = false; // seen in the room's own upright edges, or marked by hand; otherwise it is not known
};

enum class View { front, back, left, right, oblique, three_d };
std::string_view view_name(View v);
std::optional<View> view_from_name(std::string_view name);

/// A length the user marked on the picture, at the student's distance.
struct MarkedLength {
    double x0 = 0, y0 = 0, x1 = 0, y1 = 0; // px
    double metres = 0;
};
/// The camera as a rectangle of known size on the floor tells it: what is said together with how its errors hang together.
struct CameraPlan {
    double focal_px = 0, pitch = 0, roll = 0, height_m = 0;
    /// Columns are one-sigma steps of (log focal, pitch, roll, log height), lower triangle of the covariance's root, row by row.
    std::array<double, 10> root{};
};
/// How straight lines of the room bend on the picture: r (1 + k r^2), r in half diagonals.
struct LensBend {
    double k = 0, sigma = 0.02;
};
/// A frame's pixels as they would be had the camera not moved: a homography, row by row without its last 1, and what is left, px.
struct Steady {
    std::array<double, 8> h{1, 0, 0, 0, 1, 0, 0, 0};
    double sigma = 0;
    Vec2 to_steady(const Vec2& p) const;
    Vec2 to_filmed(const Vec2& p) const;
};
/// Left and right were told the wrong way round on these frames, half-open.
struct SideSwap {
    std::uint32_t from = 0, to = 0;
};
/// A point moved by hand on one frame, in pixels of the picture as it was filmed.
struct PointEdit {
    std::uint32_t frame = 0;
    Point point = nose;
    double x = 0, y = 0;
    bool filled = false; // between marks, by following the picture
};

/// A breath begins: tapped by a person or read from a trace.
struct BreathMark {
    double time_s = 0;
    bool in = true;
};

/// A hand on a chair, wall or stick, a second person's arm; or the whole clip seated.
struct SupportState {
    bool seat = false;
    double from_s = 0, to_s = 1e9;
};

/// What is laid over the raw points of a track; applied when it is put on the ground, so that the points themselves stay as found.
struct Layers {
    bool mirrored = false;                        // the picture shows left and right swapped
    std::optional<double> trim_from_s, trim_to_s; // only this stretch is used, half-open
    std::optional<VerticalOnPicture> vertical;    // marked by hand; stands before the room's
    std::optional<MarkedLength> scale;            // stands before the student's height
    std::optional<double> camera_height_m;        // floor: height of the camera over it
    std::optional<CameraPlan> plan;               // from a mat or tiles; stands before all other figures of the camera
    std::optional<LensBend> lens;                 // from edges that are straight
    std::vector<SideSwap> swaps;
    std::vector<Steady> steady; // one a frame, or none: shake taken out
    std::vector<PointEdit> edits;
    std::vector<BreathMark> breaths;                          // in order of time
    std::vector<std::pair<std::uint32_t, ExtraPoints>> extra; // by frame, in order; frames without any are left out
};

/// The body on every frame of a clip, as it was found or read. `px` or `m` (or both) hold one entry a frame; an absent frame means nobody
/// was found.
struct Track {
    std::vector<double> time_s; // from the stream's own timestamps
    std::vector<std::optional<BodyPx>> px;
    std::vector<std::optional<Body3>> m;
    std::vector<std::array<double, point_count>> m_sigma; // 1-sigma of each point in metres; empty when not stated
    int width = 0, height = 0;                            // picture, after rotation; 0 when unknown
    std::optional<VerticalOnPicture> vertical;            // of the room
    std::optional<double> focal_px;                       // where it is known
    std::string model; // network that found the points, whose own offsets are still in them; empty: points as given, nothing to correct
    int model_version = 0;
    Layers layers;
    std::size_t frames() const { return time_s.size(); }
};

} // namespace bevel
