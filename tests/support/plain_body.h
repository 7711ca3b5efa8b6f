// A body put there by hand, point by point.
#pragma once
#include "core/body/points.h"

namespace bevel::test {

/// A body whose every point and angle is put there by hand: hips at 0.9 m, legs straight down, feet 0.36 m apart, trunk upright.
inline Body3 plain() {
    Body3 b;
    b.fill(Vec3::Zero());
    for (const Side s : {Side::left, Side::right}) {
        const double w = s == Side::left ? 1 : -1;
        auto set = [&](Point p, double x, double y, double z) { b[static_cast<std::size_t>(on(s, p))] = Vec3(w * x, y, z); };
        set(left_eye, 0.03, 1.62, 0.08);
        set(left_ear, 0.07, 1.58, 0.01);
        set(left_shoulder, 0.18, 1.39, 0);
        set(left_elbow, 0.20, 1.11, -0.01);
        set(left_wrist, 0.22, 0.86, 0.03);
        set(left_thumb, 0.22, 0.82, 0.06);
        set(left_index, 0.22, 0.78, 0.04);
        set(left_little, 0.22, 0.78, 0.01);
        set(left_hip, 0.09, 0.90, 0);
        set(left_knee, 0.135, 0.485, 0);
        set(left_ankle, 0.18, 0.07, 0);
        set(left_heel, 0.18, 0, -0.065);
        set(left_toe, 0.18, 0, 0.195);
    }
    b[nose] = Vec3(0, 1.57, 0.11);
    return b;
}

} // namespace bevel::test
