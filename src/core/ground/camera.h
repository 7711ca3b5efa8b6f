// The camera of a clip as far as it can be told, and how sure that is.
#pragma once
#include "core/body/points.h"

namespace bevel {

/// What a figure that holds for the whole clip was told from.
enum class From {
    assumed,     // nothing in the clip or the record tells it: what is usual, with a wide sigma
    proportions, // of a body of this height
    body,        // the body on the pictures
    floor,       // feet on the floor
    quiet_stand, // a quiet upright second of the clip
    room,        // upright edges of the room
    mark,        // marked by hand
    stated,      // by the file or the record
};
std::string_view from_name(From f);

/// A figure with its 1-sigma and where it comes from.
struct Told {
    double value = 0, sigma = 0;
    From from = From::assumed;
};

/// Pinhole with radial distortion. The level frame of a camera: r to the right on the picture and level, u up along the true vertical, w
/// away from the camera and level.
struct Camera {
    double cx = 640, cy = 360; // px
    Told focal;                // px; sigma relative
    Told distortion;           // k of r (1 + k r^2), r in half diagonals
    Told pitch, roll;          // rad; looking down and clockwise positive
    Told height;               // m over the floor
    double distance = 0;       // m, level, to the student when standing

    /// Takes roll and pitch into the projection; to be called after either was changed.
    void settle();
    /// (r, u) per metre of w of the ray through a pixel.
    Vec2 ray(double x, double y) const;
    /// Pixel of a point (r, u, w) of the level frame.
    Vec2 project(const Vec3& level) const;

private:
    double cr_ = 1, sr_ = 0, cp_ = 1, sp_ = 0; // cosine and sine of roll and pitch
};

/// One clip of one camera; `offset_s` puts its clock on the common one.
struct Shot {
    Track track;
    double offset_s = 0;
};

} // namespace bevel
