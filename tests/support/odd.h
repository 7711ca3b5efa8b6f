// Clips unlike the practice room's: turned and moved students, tilted cameras of any lens, rooms without edges, bodies outside the table,
// clips without a quiet stand, cut, mirrored, of any frame rate. Each follows from its number alone.
#pragma once
#include "core/review/review.h"
#include "core/sim/take.h"
#include <map>

namespace bevel::test {

struct OddTake {
    std::string movement;
    sim::TakeOptions options;
    bool metres = false, mirrored = false, quiet = true;
    double noise = 0; // px or m
    // Points in metres: anywhere in the room.
    double turn = 0, place_x = 0, place_z = 0, floor_y = 0, slope_x = 0, slope_z = 0;
    std::string told() const; // what is odd about it, for messages
};
OddTake odd_take(std::uint64_t number);
/// Error and stated sigma of one figure at one moment of one take.
struct Error {
    double error = 0, sigma = 0;
};
/// Takes that are drawn and looked at by the body finder: figures of the family that the corrections were not fitted on, of every build,
/// in clothes and hair of every kind, from cameras as odd as the drawn room allows. Raw tracks of them are in tests/data/odd.
inline constexpr int picture_takes = 26;
OddTake picture_take(int number);
/// Takes through the picture of adults seen obliquely, 30 to 60 degrees off the front, the back or a side; in the last third they turn on
/// the spot by 60 to 100 degrees within the clip. Raw tracks: tests/data/oblique.
inline constexpr int oblique_takes = 36;
OddTake oblique_take(int number);
/// Takes through the picture that are judged: of the same family and cameras, every second one with one clear fault, filmed from where it
/// can be told. Raw tracks and the movements they were performed by: tests/data/judged.
inline constexpr int judged_takes = 48;
struct JudgedTake {
    OddTake odd;
    std::string rule, words; // of a faulty one: the rule that is broken, and words of the right sentence, any of them ("a|b")
};
JudgedTake judged_take(int number);
/// Errors of one of them from its raw track, one value per take and figure; `near` tells legs by the side towards the camera.
bool picture_errors(int number, const Track& raw, std::map<std::string, std::vector<Error>>& mean,
                    std::map<std::string, std::vector<Error>>& one, std::string& why);

/// The points as a body finder would give them; exact but for the noise. Mirrored clips show everything swapped.
Track odd_track(const OddTake& odd, const sim::Take& take);
ReviewOptions odd_options(const OddTake& odd);

/// One value per take and figure (a frame drawn from those that have one), keyed by id. False when the clip was refused (`why`).
bool odd_errors(std::uint64_t number, std::map<std::string, std::vector<Error>>& into, std::string& why);

/// What the judgement made of an odd take: a faultless one, or one with a single fault that is clear, that is whose exact figure, worked
/// out from the performed points, lies beyond the band in force by at least 3.7 of the sigma stated for it.
struct OddVerdict {
    bool reviewed = false, clear = false, found = false, opposite = false;
    std::string fault;
    std::vector<std::string> false_findings; // safety, ground or timing, of a faultless take
    std::vector<std::string> details;        // of each: figure, error, band and moment
};
OddVerdict odd_verdict(std::uint64_t number, bool with_fault);

/// The same of a judged take through the picture, from its raw track; `found`: the rule that is broken is told in the right words.
OddVerdict judged_verdict(int number, const Track& raw);

/// What the judgement made of an oblique take, which has no fault.
OddVerdict oblique_verdict(int number, const Track& raw);

double covered(const std::vector<Error>& e, double sigmas);
double median_absolute(const std::vector<Error>& e);

} // namespace bevel::test
