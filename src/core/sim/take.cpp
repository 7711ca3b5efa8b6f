#include "core/sim/take.h"
#include <cmath>
#include <numbers>

namespace bevel::sim {

Take::Take(const Movement& movement, const TakeOptions& o) : Take(Score(movement, o.student.score), o) {}

Take::Take(Score score, const TakeOptions& o, std::vector<int> only) : options_(o), student_(std::move(score), o.student) {
    student_.only_in(std::move(only));
    std::vector<double> scene; // time of the performance at each frame; the clip's own time starts at 0
    const double to = std::min(o.to_s, student_.duration());
    Rng clock(o.phone.seed * 131 + 17);
    for (std::size_t i = 0; o.from_s + static_cast<double>(i) / o.phone.fps <= to; ++i) {
        const double late = o.rate_jitter * clock.uniform(-0.5, 0.5), kept = clock.uniform();
        if (i > 0 && kept < o.dropped) continue;
        scene.push_back(o.from_s + (static_cast<double>(i) + (i > 0 ? late : 0)) / o.phone.fps);
    }
    truth_ = make_truth(student_, scene);
    for (double& t : truth_.time_s) t -= o.from_s;
    for (auto& p : truth_.phases) {
        p.start_s -= o.from_s;
        p.end_s -= o.from_s;
    }
    const Camera camera = Camera::of(o.phone);
    Rng rng(o.phone.seed * 977 + 3);
    std::array<double, 8> phase{};
    for (double& p : phase) p = rng.uniform(0, 2 * std::numbers::pi);
    track_.time_s = truth_.time_s;
    track_.width = o.phone.width;
    track_.height = o.phone.height;
    for (std::size_t i = 0; i < truth_.points.size(); ++i) {
        const Vec2 shake = shake_at(phase, o.phone.shake_px, truth_.time_s[i] + o.from_s);
        BodyPx px;
        for (std::size_t p = 0; p < point_count; ++p) {
            const Vec2 q = camera.project(truth_.points[i][p]) + shake;
            px[p] = {q.x(), q.y(), 1.0, 0.5, 0, 0, 0};
        }
        track_.px.emplace_back(px);
        track_.m.emplace_back(truth_.points[i]);
        if (o.marks == TakeOptions::Marks::none) continue;
        ExtraPoints marks = student_.pose(truth_.time_s[i] + o.from_s).marks();
        if (o.marks == TakeOptions::Marks::pixels)
            for (auto& p : marks)
                if (p) {
                    const Vec2 q = camera.project(*p) + shake;
                    p = Vec3(q.x(), q.y(), 0);
                }
        track_.layers.extra.emplace_back(static_cast<std::uint32_t>(i), marks);
    }
    const double pitch = o.phone.tilt_deg * std::numbers::pi / 180;
    if (o.vertical_known) {
        Rng edges(o.phone.seed * 7 + 1);
        const double roll_off = o.roll_sigma > 0.002 ? o.roll_sigma * edges.gauss() : 0,
                     slope_off = o.slope_sigma > 1e-6 ? o.slope_sigma * edges.gauss() : 0;
        track_.vertical = VerticalOnPicture{-o.phone.roll_deg * std::numbers::pi / 180 + roll_off,
                                            std::tan(pitch) / camera.focal + slope_off, o.roll_sigma, o.slope_sigma, true};
    }
}

Image Take::picture(std::size_t frame) const {
    if (!film_) {
        const auto seed = options_.looks.value_or(options_.student.seed);
        film_ = std::make_unique<Film>(student_.solver(), options_.family ? Looks::of_family(*options_.family, seed) : Looks::of_seed(seed),
                                       options_.phone);
    }
    const double t = truth_.time_s[frame] + options_.from_s;
    return film_->shoot(student_.pose(t), t);
}

PhoneOptions seeing_all(const Student& student, PhoneOptions phone) {
    constexpr double every_s = 0.5, nearer_m = 0.1, farthest_m = 15, rim = 0.04; // of the picture's width and height
    std::vector<Vec3> points;
    for (double t = 0; t < student.duration(); t += every_s)
        for (const Vec3& p : student.pose(t).points) points.push_back(p);
    const auto within = [&](PhoneOptions& o) {
        double left = 0, right = 0, low = 0, high = 0; // of the picture's sides
        const auto look = [&] {
            const Camera camera = Camera::of(o);
            left = low = 1e9, right = high = -1e9;
            for (const Vec3& p : points) {
                if ((camera.r * (p - camera.at)).z() < 0.2) return false; // who walks into the camera
                const Vec2 q = camera.project(p);
                left = std::min(left, q.x() / o.width), right = std::max(right, q.x() / o.width);
                low = std::min(low, q.y() / o.height), high = std::max(high, q.y() / o.height);
            }
            return true;
        };
        for (int i = 0; i < 4; ++i) { // a step to the side moves the near more than the far
            if (!look()) return false;
            o.beside_m += (0.5 - (left + right) / 2) * o.width * o.distance_m / (o.focal * std::max(o.width, o.height));
        }
        return look() && left > rim && right < 1 - rim && low > rim / 2 && high < 1 - rim / 2;
    };
    while (!within(phone) && phone.distance_m + nearer_m <= farthest_m) phone.distance_m += nearer_m;
    return phone;
}

TakeOptions take_of(std::uint64_t seed, double stature_m) {
    TakeOptions o;
    o.student.seed = seed;
    o.student.stature_m = stature_m;
    o.phone.seed = seed;
    return o;
}

Result<bool> shows(const Movement& movement, const StudentOptions& options, const FaultSpec& fault) {
    constexpr double point_m = 0.01, moment_s = 0.1, step_s = 0.1, soft_deg = 6; // a degree below the least of a soft knee
    StudentOptions plain = options, faulty = options;
    plain.faults.clear();
    faulty.faults = {fault};
    const Student a(movement, plain), b(movement, faulty);
    if (std::abs(a.duration() - b.duration()) > moment_s) return true;
    // Of the movement itself: how somebody stands before and after it is no part of it.
    const double before = options.score.quiet_before_s + options.score.approach_s,
                 after = options.score.quiet_after_s + options.score.approach_s;
    for (double t = a.time_of(before); t < a.duration() - after; t += step_s) {
        if (std::abs(a.score_time(t) - b.score_time(t)) > moment_s) return true;
        const Pose p = a.pose(t), q = b.pose(t);
        if (fault.fault == Fault::knee_locked) { // standing taller with knees that stay bent locks none
            for (const Side s : {Side::left, Side::right})
                if (joint_bend(q.points[on(s, left_hip)], q.points[on(s, left_knee)], q.points[on(s, left_ankle)]) < soft_deg) return true;
            continue;
        }
        for (std::size_t k = 0; k < point_count; ++k)
            if ((p.points[k] - q.points[k]).norm() > point_m) return true;
    }
    return fail(Code::bad_value, std::string(fault_name(fault.fault)) + ": changes nothing in " + movement.id);
}

} // namespace bevel::sim
