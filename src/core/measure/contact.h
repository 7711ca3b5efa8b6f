// Contacts of the feet with the floor: one model for points in metres and for one camera.
//
// What it takes for granted, and nothing else (struct FootModel holds the sizes):
//  1. A part of a foot that bears stays where it is; one in the air is anywhere within a step.
//  2. A flat foot has heel and toe on the floor, within what a soft shoe or a short toe hides. A foot on its heel has the toe up, a foot on
//     its toe or ball the heel; the middle of the foot rises by half of that.
//  3. One foot at least bears. A foot that carries weight is not in the air.
//  4. Contacts change about once a second, one part of the foot at a time or both.
//  5. Points found on pictures err together for a while: so many independent looks there are in a second. While a foot rests its points
//     err alike all the time: a long rest tells of its tilt no more than a second of it.
// Its answer is the likeliest course of both feet together (Viterbi 1967); the sigma of a change is the spread of its moment given all
// frames (forward-backward, Rabiner 1989, Proc IEEE 77:257).
#pragma once
#include "core/measure/measures.h"

namespace bevel {

struct FootModel {
    double step_m = 0.25;     // how far a foot in the air is from where it stood or will stand
    double raised_m = 0.08;   // how high heel or toe is lifted, or a foot in the air
    double floor_m = 0.005;   // heel or toe of a foot on the floor lies so far from it: soles, soft shoes
    double creep_m = 0.010;   // a found point of a planted foot wanders at least so far with the shin above it
    double change_s = 1;      // contacts change once in this time
    double load = 0.10;       // share that a foot in the air may seem to carry by masses and places not quite known
    double together_s = 0.25; // points found on pictures err together for so long
    double metres_s = 0.08;   // points given in metres after the filter
    double still_mps = 0.08;  // slower than this over a fifth of a second a foot rests; an anchor of its place
    double leave_mps = 0.11;  // and it has left when faster than this
    double shortest_rest_s = 0.2;
};

/// foot.state of both feet, `contact` and `contact_sigma`. Needs points, sigma and foot_place of the motion.
void find_contacts(const Motion& m, Measures& out, const FootModel& model = {});

} // namespace bevel
