// Measures of the body over time. Ids, signs and units are those of the measure catalogue (data/measures.json).
#pragma once
#include "core/measure/motion.h"
#include "core/movement/posture.h"
#include <map>

namespace bevel {

/// Why a measure has no value at a frame or in a whole clip.
enum class Absent {
    none,
    view,          // cannot be told from this view
    no_body,       // nobody found on the frame
    turned,        // the part is turned too far from the picture plane
    foreshortened, // the thigh shows less than 0.8 of its length
    toes_out,      // toes point more than 15 degrees out
    feet_close,    // feet less than 0.25 m apart
    no_neutral,    // no quiet standing to compare with
    no_vertical,   // the vertical is not known apart from the body
    foot_off,      // the foot is off the floor, or both are
    no_event,      // the event was not found
    hidden,        // the foot is hidden in part, and the moment is told too roughly
};
std::string_view absent_name(Absent a);

struct Sample {
    double value = 0, sigma = 0;
    Absent absent = Absent::none;
    bool present() const { return absent == Absent::none; }
};

/// One measure through the clip, a sample a frame.
struct MeasureSeries {
    std::string id, unit;
    std::optional<Side> side;
    std::vector<Sample> samples;
    /// Reason when no frame has a value.
    std::optional<Absent> absent_throughout() const;
};

/// One shift of weight from one level to another.
struct Shift {
    double onset_s = 0, start_s = 0, end_s = 0; // 10 % of peak speed; 10 % and 90 % of the way
    double from = 0, to = 0;                    // share on the left foot (or on the front foot) before and after
    int peaks = 1;                              // prominent peaks of speed
    double stop_s = 0;                          // longest halt on the way
    double sigma_s = 0.05;
    double duration() const { return end_s - start_s; }
};

struct FootEvent {
    enum class Kind { off, down, flat } kind; // leaves the floor; first touch; flat
    Side side;
    double time_s = 0, sigma_s = 0;
};

struct Measures {
    std::vector<double> time_s;
    std::map<std::string, MeasureSeries> series; // key: id, with .left / .right for sided ones
    std::array<std::vector<Contact>, 2> contact; // left, right
    std::vector<Shift> shifts;                   // of weight.left, or of weight.front where only that is seen
    bool shifts_are_front = false;               // shifts run along the forward axis (share on the forward foot's side: left foot)
    std::vector<FootEvent> foot_events;
    std::vector<Vec3> centre; // body centre, m
    const MeasureSeries* find(const std::string& id, std::optional<Side> side = std::nullopt) const;
};

struct MeasureOptions {
    Sex sex = Sex::mean;
};

/// All measures of a motion. Each has either a value with its 1-sigma or the reason for having none, at every frame.
Measures measure(const Motion& motion, const MeasureOptions& options = {});

/// Shifts in a signal of the share of weight (unclamped): every change by at least 0.25 between turning points.
std::vector<Shift> find_shifts(const std::vector<double>& time_s, const std::vector<double>& share, double noise);

} // namespace bevel
