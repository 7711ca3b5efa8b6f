// What is asked of a fit, as residuals in sigmas. Used by fit.cpp alone.
#pragma once
#include "core/body/points.h"
#include <ceres/ceres.h>

namespace bevel::fit {

/// Unknowns of a camera: log of focal length over the assumed one, pitch, roll, height, x, z, yaw, distortion.
inline constexpr int camera_size = 8;

/// A point on a picture. `seen`: pixels from the picture's middle as filmed.
struct Seen {
    Vec2 seen, speed;               // px, px/s
    Vec2 sigma, bias;               // px: of the moment, of the person
    double focal = 1000, half2 = 1; // px; half diagonal squared

    template <class T> bool operator()(const T* cam, const T* point, const T* offset, const T* late, T* out) const {
        using std::cos, std::exp, std::sin;
        const T cy = cos(cam[6]), sy = sin(cam[6]);
        const T dx = point[0] - cam[4], dz = point[2] - cam[5], up = point[1] - cam[3];
        const T w = sy * dx + cy * dz, r = -cy * dx + sy * dz;
        const T cp = cos(cam[1]), sp = sin(cam[1]);
        const T ahead = w * cp - up * sp, down = -up * cp - w * sp;
        if (ahead < T(0.2)) return false;
        const T f = T(focal) * exp(cam[0]);
        const T qx = f * r / ahead, qy = f * down / ahead;
        const T cr = cos(cam[2]), sr = sin(cam[2]);
        T x = cr * qx - sr * qy, y = sr * qx + cr * qy;
        const T bend = T(1) + cam[7] * (x * x + y * y) / T(half2);
        x *= bend, y *= bend;
        out[0] = (x + T(bias.x()) * offset[0] - T(seen.x()) - T(speed.x()) * late[0]) / T(sigma.x());
        out[1] = (y + T(bias.y()) * offset[1] - T(seen.y()) - T(speed.y()) * late[0]) / T(sigma.y());
        return true;
    }
};

/// Two points keep their distance.
struct Keeps {
    double give;
    template <class T> bool operator()(const T* a, const T* b, const T* length, T* out) const {
        using std::sqrt;
        const T x = a[0] - b[0], y = a[1] - b[1], z = a[2] - b[2];
        out[0] = (sqrt(x * x + y * y + z * z + T(1e-8)) - length[0]) / T(give);
        return true;
    }
};
/// How far along a line of sight a point is.
struct Along {
    Vec3 at, sight;
    double sigma;
    template <class T> bool operator()(const T* a, T* out) const {
        out[0] = T(0);
        for (int k = 0; k < 3; ++k) out[0] += T(sight[k]) * (a[k] - T(at[k]));
        out[0] /= T(sigma);
        return true;
    }
};
/// A knee bends over its foot, no other way. Points: hip, knee, ankle, heel, toe.
struct KneeBends {
    double foot_m, sigma;
    template <class T> bool operator()(const T* hip, const T* knee, const T* ankle, const T* heel, const T* toe, T* out) const {
        T line2(1e-6), along(0), ahead(0), line_ahead(0);
        for (int k = 0; k < 3; ++k) {
            const T line = ankle[k] - hip[k], off = knee[k] - hip[k], foot = toe[k] - heel[k];
            line2 += line * line, along += line * off, ahead += off * foot, line_ahead += line * foot;
        }
        const T bend = (ahead - along / line2 * line_ahead) / T(foot_m) + T(0.01);
        out[0] = bend < T(0) ? bend / T(sigma) : T(0);
        return true;
    }
};
/// An elbow points down, back or out. Points: shoulder, elbow, wrist, the other shoulder; `side`: 1 for the left arm, -1 for the right.
struct ElbowPoints {
    double side, sigma;
    template <class T> bool operator()(const T* shoulder, const T* elbow, const T* wrist, const T* other, T* out) const {
        using std::sqrt;
        T ox = shoulder[0] - other[0], oz = shoulder[2] - other[2];
        const T wide = sqrt(ox * ox + oz * oz + T(1e-6));
        ox /= wide, oz /= wide;
        const T ax = T(-side) * oz, az = T(side) * ox; // left x up = ahead
        const T x = elbow[0] - T(0.5) * (shoulder[0] + wrist[0]), y = elbow[1] - T(0.5) * (shoulder[1] + wrist[1]),
                z = elbow[2] - T(0.5) * (shoulder[2] + wrist[2]);
        const T bend = (x * (ox - ax) - y + z * (oz - az)) / T(1.732);
        out[0] = bend < T(0) ? bend / T(sigma) : T(0);
        return true;
    }
};
/// The middles of two pairs keep theirs.
struct KeepsBetween {
    double give;
    template <class T> bool operator()(const T* a, const T* b, const T* c, const T* d, const T* length, T* out) const {
        using std::sqrt;
        const T x = T(0.5) * (a[0] + b[0] - c[0] - d[0]), y = T(0.5) * (a[1] + b[1] - c[1] - d[1]),
                z = T(0.5) * (a[2] + b[2] - c[2] - d[2]);
        out[0] = (sqrt(x * x + y * y + z * z + T(1e-8)) - length[0]) / T(give);
        return true;
    }
};
/// A length of a body of this height.
struct OfHeight {
    double share, sigma; // sigma m
    template <class T> bool operator()(const T* length, const T* stature, T* out) const {
        out[0] = (length[0] - T(share) * stature[0]) / T(sigma);
        return true;
    }
};
/// Speeds change little.
struct Smooth {
    double sigma; // m, of a second difference
    template <class T> bool operator()(const T* a, const T* b, const T* c, T* out) const {
        for (int k = 0; k < 3; ++k) out[k] = (a[k] - T(2) * b[k] + c[k]) / T(sigma);
        return true;
    }
};
/// A foot either stays or steps: with a heavy-tailed loss.
struct Stays {
    double sigma;
    template <class T> bool operator()(const T* a, const T* b, T* out) const {
        for (int k = 0; k < 3; ++k) out[k] = (a[k] - b[k]) / T(sigma);
        return true;
    }
};
/// A point of the sole is on the floor or over it: with a loss that lets go of those that are seen over it.
struct OnFloor {
    double sigma;
    template <class T> bool operator()(const T* a, T* out) const {
        out[0] = a[1] / T(sigma);
        return true;
    }
};
/// And never under it.
struct NotUnderFloor {
    double sigma;
    template <class T> bool operator()(const T* a, T* out) const {
        out[0] = a[1] < T(0) ? a[1] / T(sigma) : T(0);
        return true;
    }
};
/// The body's centre is over the feet: somewhere between them, a little out. In slow practice it is so at every moment.
class OverFeet : public ceres::CostFunction {
public:
    /// `share`: of every point in the body's centre, less its share in the middle of the feet; `root`: of the information, in the floor
    /// plane.
    OverFeet(const std::array<double, point_count>& share, const Eigen::Matrix2d& root) : share_(share), root_(root) {
        set_num_residuals(2);
        mutable_parameter_block_sizes()->assign(point_count, 3);
    }
    bool Evaluate(double const* const* at, double* out, double** slopes) const override {
        Vec2 off(0, 0);
        for (std::size_t p = 0; p < point_count; ++p) off += share_[p] * Vec2(at[p][0], at[p][2]);
        Eigen::Map<Vec2>(out).noalias() = root_ * off;
        if (!slopes) return true;
        for (std::size_t p = 0; p < point_count; ++p) {
            if (!slopes[p]) continue;
            Eigen::Map<Eigen::Matrix<double, 2, 3, Eigen::RowMajor>> j(slopes[p]);
            j.setZero();
            j.col(0) = share_[p] * root_.col(0);
            j.col(2) = share_[p] * root_.col(1);
        }
        return true;
    }

private:
    std::array<double, point_count> share_;
    Eigen::Matrix2d root_;
};
/// Values about which something else is known.
template <int n> struct About {
    std::array<double, n> value, sigma;
    template <class T> bool operator()(const T* v, T* out) const {
        for (int k = 0; k < n; ++k) out[k] = (v[k] - T(value[static_cast<std::size_t>(k)])) / T(sigma[static_cast<std::size_t>(k)]);
        return true;
    }
};

} // namespace bevel::fit
