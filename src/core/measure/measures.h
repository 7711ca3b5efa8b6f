// Evidence: measures of the body over time and its events. Ids, signs, units and gates are those of the measure catalogue
// (data/measures.json, built into the program). Knows no movement, no band, no school.
#pragma once
#include "core/catalogue/catalogue.h"
#include "core/catalogue/event_names.h"
#include "core/ground/motion.h"
#include "core/movement/posture.h"
#include "core/result.h"
#include <map>

namespace bevel {

/// Why a measure has no value at a frame or in a whole clip.
enum class Absent {
    none,
    view,          // cannot be told from this view
    no_body,       // nobody found on the frame
    turned,        // the part is turned too far from the picture plane
    foreshortened, // the limb shows too little of its length
    toes_out,      // toes point more than 15 degrees out
    feet_close,    // feet less than 0.25 m apart
    no_neutral,    // no quiet standing to compare with
    no_vertical,   // the vertical is not known apart from the body
    foot_off,      // the foot is off the floor, or both are
    no_event,      // the event was not found
    hidden,        // the foot is hidden in part, and the moment is told too roughly
    not_marked,    // needs points or moments that a person marks
    no_floor,      // the floor is not known, and the feet stand at different depths
    not_recorded,  // needs a recorded range of this student
    supported,     // a hand on a support carries part of the weight
    seated,        // seated practice has rules of its own
    alike,         // left and right repetitions look the same from here
    no_occasion,   // what the rule is about does not happen here
    otherwise,     // the student plainly faces another way there than the clip is taken to show
};
inline constexpr std::size_t absent_count = 20;
std::string_view absent_name(Absent a);
/// Why nothing is told of a frame that is not valid.
inline Absent nobody(const Motion& m, std::size_t frame) {
    return frame < m.otherwise.size() && m.otherwise[frame] ? Absent::otherwise : Absent::no_body;
}

std::string_view side_name(Side s);
/// Key of a measure in Measures::series.
std::string measure_key(const std::string& id, std::optional<Side> side);

struct Sample {
    double value = 0, sigma = 0;
    Absent absent = Absent::none;
    // Parts of sigma: of this frame alone, of the whole clip, of the person in every clip from this view.
    float own = 0, clip = 0, person = 0;
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

/// One transfer of weight from one level to another, from the projection of the body centre between the feet. An overshoot, a plateau and
/// a way back are shifts of their own or none.
struct Shift {
    double onset_s = 0, start_s = 0, end_s = 0; // 10 % of peak speed; 10 % and 90 % of the way
    double rest_s = 0;                          // below 10 % of peak speed again; its sigma is that of the onset
    double from = 0, to = 0;                    // share on the left foot before and after
    int peaks = 1;                              // prominent peaks of speed
    double stop_s = 0, stop_at_s = 0;           // longest halt on the way; its middle
    double stop_sigma_s = 0.05;                 // of the length of a halt: error of the share over the speed around it
    double sigma_s = 0.05;                      // of start and end
    double onset_sigma_s = 0.05;
    double duration() const { return end_s - start_s; }
};

struct Event {
    EventKind kind;
    Part part = Part::foot;
    std::optional<Side> side;
    double time_s = 0, sigma_s = 0;
};

struct Measures {
    std::vector<double> time_s;
    std::map<std::string, MeasureSeries> series;      // key: id of the catalogue, with .left / .right for sided ones
    std::array<std::vector<Contact>, 2> contact;      // left, right
    std::array<std::vector<double>, 2> contact_sigma; // s, of the moment of a change, on the frame it comes with; else 0
    std::vector<Shift> shifts;
    bool shifts_are_front = false; // only the share along the forward axis is seen
    std::vector<Event> events;     // in order of time
    std::vector<Vec3> centre;      // body centre, m
    const MeasureSeries* find(const std::string& id, std::optional<Side> side = std::nullopt) const;
};

struct Evidence {
    Motion motion;
    Measures measures;
};

struct MeasureOptions {
    Sex sex = Sex::mean;
};

/// All measures of a motion. Each has either a value with its 1-sigma or the reason for having none, at every frame.
Measures measure(const Motion& motion, const MeasureOptions& options = {});

/// Shifts in a signal of the share of weight (unclamped projection) whose 1-sigma from moment to moment is `noise`, and that wanders with
/// the posture by `wander`. Found are changes of at least 0.15 and five sigma.
std::vector<Shift> find_shifts(const std::vector<double>& time_s, const std::vector<double>& share, double noise, double wander = 0);

} // namespace bevel
