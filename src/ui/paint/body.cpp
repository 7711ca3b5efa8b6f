#include "ui/paint/body.h"
#include "core/form/form_reference.h"
#include "core/signal/signal.h"
#include <cmath>
#include <functional>

namespace bevel::ui {

QImage to_image(const sim::Image& im) {
    return QImage(im.rgb.data(), im.width, im.height, im.width * 3, QImage::Format_RGB888).copy();
}

namespace {

sim::StudentOptions plain(const std::optional<sim::FaultSpec>& fault) {
    sim::StudentOptions o;
    o.score.repetitions = 1;
    o.proportion_spread = o.mass_spread = o.tempo_spread = o.size_spread = 0;
    o.sway = 0;
    if (fault) o.faults.push_back(*fault);
    return o;
}

} // namespace

std::shared_ptr<const sim::Student> figure_of(const Movement& movement, const std::optional<sim::FaultSpec>& fault) {
    return std::make_shared<const sim::Student>(movement, plain(fault));
}

std::shared_ptr<const sim::Student> figure_of(const Score& score, const std::optional<sim::FaultSpec>& fault) {
    return std::make_shared<const sim::Student>(score, plain(fault));
}

Pose pose_seen(const sim::Student& student, double time_s, bool follow) {
    Pose pose = student.pose(time_s);
    if (!follow) return pose;
    constexpr int steps = 4;
    constexpr double step_s = 0.6;
    Vec3 at = Vec3::Zero();
    double sum = 0;
    for (int k = -steps; k <= steps; ++k) {
        const double w = steps + 1 - std::abs(k);
        at += w * mid(student.pose(std::clamp(time_s + k * step_s, 0.0, student.duration())).points, left_hip);
        sum += w;
    }
    at /= sum;
    const double sw = student.dims().shoulder_width;
    return placed(std::move(pose), {-at.x() / sw, -at.z() / sw, 0}, sw);
}

sim::PhoneOptions paper_phone(int width, int height, double azimuth_deg) {
    sim::PhoneOptions phone;
    phone.width = std::max(64, width / 2 * 2);
    phone.height = std::max(64, height / 2 * 2);
    phone.turn_deg = azimuth_deg;
    phone.paper = true;
    phone.noise = 0;
    phone.tilt_deg = 2;
    phone.height_m = 1.1;
    // The whole body with raised arms fits whatever the shape of the picture.
    phone.focal = 0.8;
    const double longer = std::max(phone.width, phone.height);
    phone.distance_m = std::max(2.55 * phone.focal * longer / phone.height, 2.0 * phone.focal * longer / phone.width);
    return phone;
}

double camera_back(const sim::Student& student, const sim::PhoneOptions& phone, bool follow) {
    constexpr double step_s = 0.25, skin_m = 0.07; // points lie inside of hands, feet and head by less than that
    constexpr int most = 160;
    const double step = std::max(step_s, student.duration() / most);
    const sim::Camera camera = sim::Camera::of(phone);
    double needed = 0; // m more than there is
    bool any = false;
    for (double t = 0; t <= student.duration(); t += step)
        for (const Vec3& p : pose_seen(student, t, follow).points) {
            // Beside the line of sight by x and y, where the picture ends at w and h: far enough is where x / depth is below w / focal.
            const Vec3 c = camera.r * (p - camera.at);
            const double x = (std::abs(c.x()) + skin_m) * camera.focal / (0.5 * phone.width),
                         y = (std::abs(c.y()) + skin_m) * camera.focal / (0.5 * phone.height);
            needed = any ? std::max(needed, std::max(x, y) - c.z()) : std::max(x, y) - c.z();
            any = true;
        }
    return std::max(nearest_camera, 1 + needed / phone.distance_m);
}

QRectF crop_of(const Track& t, double aspect) {
    std::vector<double> x0, x1, y0, y1;
    for (const auto& f : t.px) {
        if (!f) continue;
        double a = 1e9, b = -1e9, c = 1e9, d = -1e9;
        for (const auto& p : *f) {
            a = std::min(a, p.x), b = std::max(b, p.x);
            c = std::min(c, p.y), d = std::max(d, p.y);
        }
        x0.push_back(a), x1.push_back(b), y0.push_back(c), y1.push_back(d);
    }
    if (x0.empty()) return {0, 0, static_cast<double>(t.width), static_cast<double>(t.height)};
    double left = signal::quantile(x0, 0.02), right = signal::quantile(x1, 0.98), top = signal::quantile(y0, 0.02),
           bottom = signal::quantile(y1, 0.98);
    const double tall = bottom - top;
    top -= 0.14 * tall; // the crown lies above the ears
    bottom += 0.06 * tall;
    left -= 0.06 * tall;
    right += 0.06 * tall;
    double w = right - left, h = bottom - top;
    if (w / h < aspect)
        w = h * aspect;
    else
        h = w / aspect;
    QRectF r(0.5 * (left + right) - w / 2, 0.5 * (top + bottom) - h / 2, w, h);
    // Stay inside the picture where it is large enough.
    if (w <= t.width) r.moveLeft(std::clamp(r.left(), 0.0, t.width - w));
    if (h <= t.height) r.moveTop(std::clamp(r.top(), 0.0, t.height - h));
    return r;
}

void draw_body(QPainter& p, const BodyPx& b, std::optional<Family> family, const std::function<QPointF(double, double)>& to,
               const Theme& theme, double line, double roll) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    auto at = [&](Point q) { return to(b[q].x, b[q].y); };
    auto mid = [&](Point q) { return to(0.5 * (b[q].x + b[mirrored(q)].x), 0.5 * (b[q].y + b[mirrored(q)].y)); };
    auto segment = [&](Point u, Point v, QColor c, double width) {
        const double seen = std::min(b[u].visibility, b[v].visibility);
        QPen halo(QColor(255, 255, 255, seen > 0.5 ? 150 : 60), width + 2, Qt::SolidLine, Qt::RoundCap);
        p.setPen(halo);
        p.drawLine(at(u), at(v));
        QPen pen(c, seen > 0.5 ? width : width * 0.6, Qt::SolidLine, Qt::RoundCap);
        if (seen <= 0.5) pen.setDashPattern({2, 3});
        p.setPen(pen);
        p.drawLine(at(u), at(v));
    };
    const QColor ink(0x2B, 0x26, 0x22, 190);
    for (const Side s : {Side::left, Side::right}) {
        const QColor c = theme.side(s);
        QColor soft = c;
        soft.setAlpha(150);
        auto pair = [&](Point u, Point v, Family f) {
            const bool strong = family && *family == f;
            segment(on(s, u), on(s, v), strong ? c : soft, strong ? 2.2 * line : 0.8 * line);
        };
        pair(left_shoulder, left_elbow, Family::arms);
        pair(left_elbow, left_wrist, Family::arms);
        pair(left_wrist, left_index, Family::arms);
        segment(on(s, left_shoulder), on(s, left_hip), soft, 0.8 * line);
        pair(left_hip, left_knee, Family::knees);
        pair(left_knee, left_ankle, Family::knees);
        pair(left_ankle, left_heel, Family::feet);
        pair(left_heel, left_toe, Family::feet);
    }
    segment(left_shoulder, right_shoulder, family == Family::arms || family == Family::hips ? theme.palette.accent : ink,
            (family == Family::arms ? 2.0 : 0.8) * line);
    segment(left_hip, right_hip, family == Family::hips ? theme.palette.accent : ink, (family == Family::hips ? 2.2 : 0.8) * line);
    const QPen strong(theme.palette.accent, 2.2 * line, Qt::SolidLine, Qt::RoundCap), plumb(ink, line, Qt::DashLine);
    const double up = std::hypot(mid(left_shoulder).x() - mid(left_hip).x(), mid(left_shoulder).y() - mid(left_hip).y());
    const QPointF vertical(std::sin(roll), -std::cos(roll));
    if (family == Family::spine || family == Family::head) {
        const Point low = family == Family::spine ? left_hip : left_shoulder, high = family == Family::spine ? left_shoulder : left_ear;
        p.setPen(plumb);
        p.drawLine(mid(low), mid(low) + vertical * up * (family == Family::spine ? 1.15 : 0.6));
        p.setPen(strong);
        p.drawLine(mid(low), mid(high));
    }
    if (family == Family::feet) {
        p.setPen(QPen(theme.palette.accent, 1.6 * line, Qt::DashLine));
        p.drawLine(at(left_ankle), at(right_ankle));
    }
    if (family == Family::weight) {
        // The body centre and the plumb line from it to the floor between the feet.
        static const auto w = centre_weights(SegmentTable::of(Sex::mean));
        double x = 0, y = 0;
        for (std::size_t i = 0; i < w.size(); ++i) x += w[i] * b[i].x, y += w[i] * b[i].y;
        const QPointF c = to(x, y), floor = 0.25 * (at(left_heel) + at(left_toe) + at(right_heel) + at(right_toe));
        p.setPen(QPen(theme.palette.accent, 1.8 * line, Qt::DashLine));
        p.drawLine(c, QPointF(c.x() - vertical.x() * (floor.y() - c.y()), floor.y()));
        p.setBrush(theme.palette.accent);
        p.setPen(QPen(Qt::white, line));
        p.drawEllipse(c, 3.2 * line, 3.2 * line);
        p.setBrush(Qt::NoBrush);
        for (const Side s : {Side::left, Side::right}) {
            p.setPen(QPen(theme.side(s), 2.4 * line, Qt::SolidLine, Qt::RoundCap));
            p.drawLine(at(on(s, left_heel)), at(on(s, left_toe)));
        }
    }
    p.restore();
}

ReferencePainter::ReferencePainter(std::shared_ptr<const Review> review, int width, int height) : review_(std::move(review)) {
    // Seen from where the camera of the clip stands.
    const Motion& m = review_->motion;
    if (!m.azimuth.empty()) {
        double c = 0, s = 0;
        for (std::size_t i = 0; i < m.frames(); ++i)
            if (m.valid[i]) c += std::cos(m.azimuth[i]), s += std::sin(m.azimuth[i]);
        phone_.turn_deg = std::atan2(s, c) * 57.29578;
    }
    phone_.width = width / 2 * 2;
    phone_.height = height / 2 * 2;
    phone_.paper = true;
    phone_.noise = 0;
    phone_.tilt_deg = 0;
    if (const auto& c = review_->motion.camera) {
        phone_.distance_m = std::clamp(c->distance, 1.2, 15.0);
        phone_.height_m = std::clamp(c->height.value, 0.2, 2.5);
        phone_.tilt_deg = c->pitch.value * 57.29578;
    }
    // Who turns and walks is seen by a camera that stands still: where it stands from where the form begins.
    if (m.from_pictures() && dynamic_cast<const FormReference*>(review_->reference.get())) {
        const double azimuth = m.start_azimuth;
        const Vec3 out(std::sin(azimuth), 0, std::cos(azimuth)), right(std::cos(azimuth), 0, -std::sin(azimuth));
        phone_.turn_deg = azimuth * 57.29578;
        phone_.distance_m = std::clamp(m.camera_at.dot(out), 1.2, 19.0);
        phone_.beside_m = std::clamp(-m.camera_at.dot(right), -10.0, 10.0);
    }
    film_ = std::make_unique<sim::Film>(review_->reference->solver(), sim::Looks::reference(), phone_);
}

ReferencePainter::Shot ReferencePainter::at(double reference_s) const {
    const Pose pose = review_->reference->pose(reference_s);
    Shot out;
    out.picture = to_image(film_->shoot(pose, 0));
    for (std::size_t i = 0; i < point_count; ++i) {
        const Vec2 p = film_->camera().project(pose.points[i]);
        out.points[i] = {p.x(), p.y(), 1, 0};
    }
    return out;
}

} // namespace bevel::ui
