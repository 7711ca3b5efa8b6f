// A key posture in body-scaled terms, and its channels as plain numbers for interpolation.
#pragma once
#include "core/body/points.h"
#include <string>

namespace bevel {

enum class Contact { flat, heel, toe, off };
std::string_view contact_name(Contact c);
std::optional<Contact> contact_from_name(std::string_view name);

enum class Level { belly, heart, brow };

/// Where the foot stands: x and z of the ankle over the floor in SW (x own left, z forward), toes out in degrees.
struct FootTarget {
    double x = 0, z = 0, toe_out = 0;
    Contact contact = Contact::flat;
    double lift = 0.045; // height of its lowest point over the floor while it is off, of stature; at its least the sole slides
    // Turned on the spot since it was set down there, toes outward +, degrees: about the heel, then about the ball.
    double heel_turn = 0, ball_turn = 0;
    static constexpr double sliding = 0.005;
    bool slides() const { return contact == Contact::off && lift <= sliding; }
    bool operator==(const FootTarget&) const = default;
};

/// Where the wrist is: x own left and z forward in SW from the mid-line of the chest, y in SW above the anchor level.
struct HandTarget {
    Level level = Level::belly;
    double x = 0, y = 0, z = 0;
    double elbow_out = 30; // degrees the elbow points away from straight down
    double palm = 0;       // degrees the hand is turned about the forearm from its easy place, thumb outward +
    double fist = 0;       // 0 open, 1 closed
    double drop = 0;       // hangs straight down from there, SW
    double support = 0;    // 1: on the back of a chair beside, where the hand stays whatever the body does
    bool operator==(const HandTarget&) const = default;
};

struct Posture {
    FootTarget left_foot, right_foot;
    HandTarget left_hand, right_hand;
    double weight_left = 0.5;                  // share of weight on the left foot
    double depth = 1;                          // hip height over the floor / its neutral value
    double pelvis_turn = 0, shoulder_turn = 0; // degrees to own left
    double lean = 0, side = 0;                 // trunk, degrees forward / to own left
    double gaze_turn = 0, gaze_pitch = 0;      // degrees against the shoulders; left, up
    double forward = 0;                        // body centre ahead of the middle of the feet's contact areas, foot lengths
    // Bends of the back and neck, each against the part below it, degrees; rounding forward +. `lean` is that of the lowest part.
    double low_back = 0, upper_back = 0, neck = 0;
    double seat = 0; // 1: sitting on a chair with upright shanks, which carries the body; depth says nothing then
    Posture mirrored() const;
    bool operator==(const Posture&) const = default;
};

/// Where a stretch of a linked form lies on the floor: its origin, SW (x to the left of the way faced at the start, z ahead), and the way
/// it faces, degrees to the left from the start.
struct FloorFrame {
    double x = 0, z = 0, yaw = 0;
    bool operator==(const FloorFrame&) const = default;
    FloorFrame mirrored() const { return {-x, z, -yaw}; }
};
/// The same posture, with the places and turns of one frame told in another. Bends of the back and neck stay about the way faced.
Posture seen_from(const Posture& p, const FloorFrame& in, const FloorFrame& from);

/// Everything that moves smoothly, in solver units. Faults and sway act on these.
struct Channels {
    struct Foot {
        double x = 0, z = 0, toe_out = 0;    // SW, SW, deg
        double lift = 0;                     // lowest point of the foot over the floor / stature
        double pitch = 0;                    // deg, toes up +, heel up -
        double heel_turn = 0, ball_turn = 0; // deg, as in FootTarget
        Contact contact = Contact::flat;
    };
    struct Hand {
        double x = 0, y = 0, z = 0; // SW from mid-shoulder height fractions: y is trunk share above mid-hip
        double elbow_out = 30;
        double palm = 0, fist = 0, drop = 0, support = 0;
    };
    std::array<Foot, 2> foot; // left, right
    std::array<Hand, 2> hand;
    double weight_left = 0.5, depth = 1, pelvis_turn = 0, shoulder_turn = 0, lean = 0, side = 0, gaze_turn = 0, gaze_pitch = 0;
    double forward = 0, low_back = 0, upper_back = 0, neck = 0, seat = 0;
    // Only faults and sway set these.
    std::array<double, 2> knee_in{0, 0}; // deg of frontal-plane projection to add
    double head_forward = 0;             // m
    double pelvis_forward = 0;           // m added after weight has been placed
    double min_knee_flexion = 7;         // deg kept in every leg on the ground
    Vec3 sway = Vec3::Zero();            // m, of the pelvis
    std::array<Vec3, 2> hand_sway{Vec3::Zero(), Vec3::Zero()};
};

} // namespace bevel
