// Can a clip be judged? What is wrong with it, where, and what that rules out. From the points and from what the pictures themselves show.
#pragma once
#include "core/judge/judge.h"
#include "core/movement/movement.h"
#include <span>

namespace bevel {

/// What a picture shows besides the body, about four times a second.
struct SceneSample {
    double time_s = 0;
    double brightness = 0, contrast = 0; // mean and standard deviation of the luma, 0 to 255
    Vec2 shift = Vec2::Zero();           // of the background since the sample before, in pixels
    int people = -1;                     // -1: not counted on this one
    double sharpness = 1;                // of plain edges: how much of the change over eight pixels happens at once; 1 where there are none
};

enum class LimitKind {
    lost,           // the body was not found
    feet_cut,       // feet beyond the edge of the picture
    head_cut,       // the head beyond it
    too_small,      // fewer pixels than the network looks at
    dark,           // little light
    shaky,          // the camera trembles
    wandering,      // the camera moves along
    view_changes,   // seen from one side, then from another
    other_view,     // the movement is told better from elsewhere
    slow_frames,    // too few frames a second for the order of things
    several_people, // one of them is followed
    loose_clothes,  // the knees wander under them
    sides_cut,      // arms or feet beyond the left or right edge
    bright,         // so much light that what is light has no shape
    flat,           // hardly any difference of light and dark: mist, a dirty lens
    blurred,        // out of focus or moved while open
    tilted,         // the phone stands aslant
    steep,          // it looks down or up steeply
    legs_hidden,    // furniture or a skirt before both legs
    gaps,           // pictures are missing in between
    short_clip,     // over before anything can be repeated
    somebody_else,  // another person is followed from some moment on
};
std::string_view limit_name(LimitKind k);

struct Limit {
    LimitKind kind = LimitKind::lost;
    double from_s = 0, to_s = 0;
    bool refuses = false;          // nothing can be judged
    std::vector<Family> rules_out; // in that stretch
};

/// In order of time. Stretches shorter than 0.3 s are not worth a word. `movement` null: not said yet.
std::vector<Limit> limits_of(const Track& track, std::span<const SceneSample> scene, const Movement* movement);

/// As JSON text, for keeping; reading is bounded and gives nothing for what does not add up.
std::string limits_json(const std::vector<Limit>& limits);
std::vector<Limit> parse_limits(const std::string& text);

} // namespace bevel
