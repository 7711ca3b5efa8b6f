// points.csv: one row a frame, `time_s`, then NAME_x_px, NAME_y_px, NAME_vis and, where known, NAME_x_m, NAME_y_m, NAME_z_m,
// and the 1-sigma of a point as NAME_sigma_px or NAME_sigma_m.
#pragma once
#include "core/body/points.h"
#include "core/result.h"
#include "core/sim/student.h"
#include <filesystem>

namespace bevel {

/// Reads a points file (at most 200 MB, 500 000 rows). Columns may come in any order; unknown ones are passed over; a point that lacks
/// its columns is an error. A cell left empty makes the frame absent. Beside it, NAME.camera.json may hold the picture's size and vertical.
Result<Track> read_points(const std::filesystem::path& file);
Result<Track> parse_points(const std::string& text);

std::string points_csv(const Track& track);
/// As points_csv, with the truth columns phase, weight_left, left_contact, right_contact.
std::string truth_csv(const Track& track, const sim::Truth& truth);

/// Picture size and vertical of a track, kept beside a points file.
std::string camera_json(const Track& track);

} // namespace bevel
