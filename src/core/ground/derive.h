// From the raw points of a track to the points that are measured: layers applied, the network's own offsets taken out, smoothed.
#pragma once
#include "core/body/points.h"

namespace bevel {

/// Where the camera stands, seen from the student: the angle from the way they face to the camera, to own left positive. 0: in front,
/// 90 degrees: at their left. Given by its cosine and sine, which are not normalised: their length tells how sure it is.
struct Azimuth {
    double c = 1, s = 0;
    double angle() const; // rad
    Azimuth unit() const;
};

/// Azimuth of the camera on every frame of pixels: signed widths of shoulders and hips give the cosine, feet and face the sine; slowly
/// varying (a turn of the waist does not turn the student). Frames without a body carry their neighbours' value.
std::vector<Azimuth> rough_azimuth(const Track& track);

/// Mean place of a network's point against the joint, by where the camera stands, in body heights (ankle to ear): along the limb that leads
/// to it and square to it (outward from the midline seen from front or back; the way the person faces, from the side), and how both grow
/// with the bend of the knee (per radian). What remains is stated as 1-sigmas, along and across: within a clip, and between persons.
struct PointOffset {
    double along = 0, across = 0, along_bend = 0, across_bend = 0;
    double own_along = 0.010, own_across = 0.010, person_along = 0.012, person_across = 0.012;
};
/// By how it is seen, then by point: of pairs the left one.
using OffsetTable = std::array<std::array<PointOffset, 14>, 4>;
/// The program's own (offsets.inc).
const OffsetTable& fitted_offsets();
enum class Seen { front, back, near, far }; // near, far: side of the body towards the camera or away from it

/// Axes of the offset of point p on the picture: along the limb and square to it, both of length 1.
struct OffsetAxes {
    Vec2 along, across;
    double bend = 0; // rad, of the knee as it shows; 0 for points above the hips
};
OffsetAxes offset_axes(const BodyPx& body, Point p, Seen seen, const Azimuth& azimuth);
/// Kinds of seeing that a point takes part in at an azimuth, with weights that add to 1.
std::vector<std::pair<Seen, double>> seen_as(Point p, const Azimuth& azimuth);

/// How far the head is ahead of the shoulders, square to the trunk in the sagittal plane, the network tells too small: it moves the head
/// back and the shoulders along. Five ways of drawing people, 16 persons each, heads 4, 8 and 12 cm ahead of their own stand: 0.70, 0.68,
/// 0.68, 0.60 and 0.67 of it, over persons +- 0.10; each way is within 0.08 of what the others give. Of what is missing 0.46 are the
/// head's. What it does to people and drawings left out: docs/design/truth.md.
struct HeadAhead {
    static constexpr double told = 0.67, told_sigma = 0.10, of_head = 0.46;
    static constexpr double usual = 0.021; // as it is told of people at ease, in body heights
    // Between people, and with what arms and trunk do, it differs by so much of itself: nothing within is put right, as what was put right
    // there made takes of two ways of drawing worse.
    static constexpr double at_ease = 0.022;
    /// Share of an offset that is seen from there: 1 from the side, 0 from front and back.
    static double seen_from(const Azimuth& azimuth);
};

/// Ankle to ear on the picture, px: the largest usual over the clip.
double body_height_px(const Track& track);

/// Layers applied (mirroring undone, trimmed frames absent, edits in; where nobody was found and every point was set, the body by hand),
/// offsets of the network taken out, points smoothed by their visibility, sigma and bias of every point filled in. Points read from a file
/// that states no sigma get one from the size of the body.
Track derive(const Track& raw);
/// The derived points as they are drawn on the picture: sides told rightly, places as filmed, mirrored clips too.
Track drawn_points(const Track& raw);
/// The same in steps: layers only; offsets only.
Track with_layers(const Track& raw);
void correct_offsets(Track& track, const std::vector<Azimuth>& azimuth, const OffsetTable& offsets = fitted_offsets());
/// After the offsets: heads as far ahead as the network would have to tell them (HeadAhead).
void put_heads_ahead(Track& track, const std::vector<Azimuth>& azimuth);

/// Zero-phase smoothing on the track's own times that trusts each point by its visibility; never across a gap of more than 0.25 s or a cut.
void smooth(Track& track, double cutoff_hz);

/// Takes back the corrections that tracks of format 1 hold, so that they become what the network gave (up to the smoothing).
void uncorrect_version_1(Track& track);

} // namespace bevel
