#include "media/steady.h"
#include "core/ground/derive.h"
#include "core/signal/signal.h"
#include <cmath>
#include <opencv2/calib3d.hpp>
#include <opencv2/core.hpp>
#include <opencv2/imgproc.hpp>
#include <opencv2/video/tracking.hpp>

namespace bevel {
namespace {

constexpr int most_width = 640; // at which the background is followed
constexpr std::size_t fewest_corners = 12;

/// Grey picture at a scale of at most one.
cv::Mat grey(const sim::Image& im, double scale) {
    const cv::Mat rgb(im.height, im.width, CV_8UC3, const_cast<std::uint8_t*>(im.rgb.data()));
    cv::Mat out;
    cv::cvtColor(rgb, out, cv::COLOR_RGB2GRAY);
    if (scale < 1) cv::resize(out, out, {}, scale, scale, cv::INTER_AREA);
    return out;
}

/// Where the background may be looked at: everything but the body's box and what moves with it.
cv::Mat outside(const cv::Size& size, const std::optional<BodyPx>& body, double scale) {
    cv::Mat mask(size, CV_8UC1, cv::Scalar(255));
    if (!body) return mask;
    double l = 1e9, t = 1e9, r = -1e9, b = -1e9;
    for (const auto& p : *body) l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
    const double pad = 0.12 * (b - t);
    cv::rectangle(mask, cv::Point(static_cast<int>((l - pad) * scale), static_cast<int>((t - pad) * scale)),
                  cv::Point(static_cast<int>((r + pad) * scale), static_cast<int>((b + pad) * scale)), cv::Scalar(0), cv::FILLED);
    return mask;
}

/// Points of `from` found in `to`, there and back again within half a pixel.
std::vector<std::optional<cv::Point2f>> flow(const cv::Mat& from, const cv::Mat& to, const std::vector<cv::Point2f>& points) {
    std::vector<std::optional<cv::Point2f>> out(points.size());
    if (points.empty()) return out;
    std::vector<cv::Point2f> there, back;
    std::vector<std::uint8_t> found, again;
    std::vector<float> error;
    const cv::Size window(21, 21);
    cv::calcOpticalFlowPyrLK(from, to, points, there, found, error, window, 3);
    cv::calcOpticalFlowPyrLK(to, from, there, back, again, error, window, 3);
    for (std::size_t i = 0; i < points.size(); ++i)
        if (found[i] != 0 && again[i] != 0 && cv::norm(back[i] - points[i]) < 0.5) out[i] = there[i];
    return out;
}

/// In pixels of the clip: s^-1 H s.
cv::Matx33d at_full_size(const cv::Matx33d& h, double scale) {
    return cv::Matx33d::diag({1 / scale, 1 / scale, 1}) * h * cv::Matx33d::diag({scale, scale, 1});
}

/// The camera's way, told by corners of the background: each frame's pixels to those of the first, at the small size.
class Background {
public:
    Background(const Track& track, double scale, std::size_t frames) : track_(track), scale_(scale), to_first(frames), rest(frames, NAN) {}

    void see(std::size_t i, const cv::Mat& im) {
        if (!last_.empty() && !now_.empty()) follow(i, im);
        std::optional<cv::Matx33d> here = last_.empty() ? std::optional(cv::Matx33d(cv::Matx33d::eye())) : mapping(i);
        if (here) to_first[i] = chain_ * *here;
        // New corners when half of those are gone, or when there are none yet.
        if (last_.empty() || !here || 2 * now_.size() < begun_with_) {
            std::vector<cv::Point2f> corners;
            cv::goodFeaturesToTrack(im, corners, 200, 0.01, 8, outside(im.size(), track_.px[i], scale_));
            if (here && corners.size() >= fewest_corners) {
                chain_ = *to_first[i];
                base_ = now_ = std::move(corners);
                begun_with_ = base_.size();
            }
        }
        last_ = im;
    }
    /// Whether most frames could be told.
    bool told() const {
        const auto n =
            static_cast<std::size_t>(std::count_if(to_first.begin(), to_first.end(), [](const auto& h) { return h.has_value(); }));
        return begun_with_ > 0 && 10 * n >= 8 * to_first.size();
    }

private:
    /// The corners that are found again, outside of the body.
    void follow(std::size_t i, const cv::Mat& im) {
        const auto found = flow(last_, im, now_);
        std::vector<cv::Point2f> b, p;
        const cv::Mat mask = outside(im.size(), track_.px[i], scale_);
        for (std::size_t k = 0; k < found.size(); ++k) {
            if (!found[k]) continue;
            const cv::Point at(cvRound(found[k]->x), cvRound(found[k]->y));
            if (at.x < 0 || at.y < 0 || at.x >= im.cols || at.y >= im.rows || mask.at<std::uint8_t>(at) == 0) continue;
            b.push_back(base_[k]);
            p.push_back(*found[k]);
        }
        base_.swap(b);
        now_.swap(p);
    }
    /// From where the corners are to where they were first seen; none where less than half of them fit.
    std::optional<cv::Matx33d> mapping(std::size_t i) {
        if (now_.size() < fewest_corners) return std::nullopt;
        cv::Mat inliers;
        const cv::Mat h = cv::findHomography(now_, base_, cv::RANSAC, 1.5, inliers, 500, 0.995);
        if (h.empty()) return std::nullopt;
        std::vector<double> off;
        std::vector<cv::Point2f> mapped;
        cv::perspectiveTransform(now_, mapped, h);
        std::size_t in = 0;
        for (std::size_t k = 0; k < now_.size(); ++k) {
            off.push_back(cv::norm(mapped[k] - base_[k]) / scale_);
            in += inliers.at<std::uint8_t>(static_cast<int>(k)) != 0 ? 1 : 0;
        }
        // A background in depth fits no mapping when the camera changes its place: then all corners count, not only those that fit.
        rest[i] = signal::quantile(off, 0.7);
        if (2 * in <= now_.size()) return std::nullopt;
        return cv::Matx33d(h);
    }

    const Track& track_;
    double scale_;
    cv::Mat last_;
    std::vector<cv::Point2f> base_, now_; // corners as first seen, and where they are
    cv::Matx33d chain_ = cv::Matx33d::eye();
    std::size_t begun_with_ = 0;

public:
    std::vector<std::optional<cv::Matx33d>> to_first;
    std::vector<double> rest; // what the mapping leaves of the corners' moves, in pixels of the clip
};

/// The frame that stands in the middle of all the camera's wandering: held against it the least is moved.
std::size_t middle_frame(const std::vector<std::optional<cv::Matx33d>>& to_first, const cv::Point2d& centre) {
    auto middle_of = [&](const cv::Matx33d& h) {
        const cv::Vec3d q = h * cv::Vec3d(centre.x, centre.y, 1);
        return cv::Point2d(q[0] / q[2], q[1] / q[2]);
    };
    signal::Series xs, ys;
    for (const auto& h : to_first)
        if (h) xs.push_back(middle_of(*h).x), ys.push_back(middle_of(*h).y);
    const cv::Point2d usual(signal::median(xs), signal::median(ys));
    std::size_t anchor = 0;
    double nearest = 1e300;
    for (std::size_t i = 0; i < to_first.size(); ++i)
        if (to_first[i] && cv::norm(middle_of(*to_first[i]) - usual) < nearest)
            nearest = cv::norm(middle_of(*to_first[i]) - usual), anchor = i;
    return anchor;
}

} // namespace

Result<Steadied> steady_clip(const std::filesystem::path& file, const Track& track, const std::stop_token& stop,
                             const std::function<void(double)>& progress) {
    cv::setNumThreads(1);
    auto reader = ClipReader::open(file, stop);
    if (!reader) return tl::unexpected(reader.error());
    const std::size_t n = std::min(reader->info().time_s.size(), track.frames());
    if (n < 2) return fail(Code::cannot_judge, "no_background");
    const int width = reader->info().width, tall = reader->info().height;
    const double scale = std::min(1.0, static_cast<double>(most_width) / width);
    Background background(track, scale, n);
    for (std::size_t i = 0; i < n; ++i) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const auto frame = reader->frame(i);
        if (!frame) continue; // a broken frame: the next one is held against the one before
        background.see(i, grey(**frame, scale));
        if (progress && i % 16 == 0) progress(static_cast<double>(i) / static_cast<double>(n));
    }
    if (!background.told()) return fail(Code::cannot_judge, "no_background");
    const auto& to_first = background.to_first;
    const cv::Matx33d to_anchor = to_first[middle_frame(to_first, {0.5 * width * scale, 0.5 * tall * scale})]->inv();
    Steadied out;
    out.frames.resize(track.frames());
    signal::Series moved, left;
    std::optional<cv::Matx33d> before;
    for (std::size_t i = 0; i < n; ++i) {
        if (to_first[i]) before = to_first[i]; // a frame that could not be told is taken as the one before
        if (!before) continue;
        cv::Matx33d h = at_full_size(to_anchor * *before, scale);
        h = h * (1 / h(2, 2));
        Steady& s = out.frames[i];
        for (int k = 0; k < 8; ++k) s.h[static_cast<std::size_t>(k)] = h(k / 3, k % 3);
        const double rest = background.rest[i];
        s.sigma = std::isfinite(rest) ? rest : 0;
        const Vec2 c(0.5 * width, 0.5 * tall);
        moved.push_back((s.to_steady(c) - c).norm());
        if (std::isfinite(rest)) left.push_back(rest);
    }
    out.residual_px = left.empty() ? 0 : signal::median(left);
    out.most_px = signal::quantile(moved, 0.95);
    const double height = body_height_px(track);
    if (height > 0 && out.residual_px > 0.02 * height) return fail(Code::cannot_judge, "camera_walks");
    return out;
}

namespace {

/// What both ways say of the frames between: joined where they agree, straight where they do not.
std::vector<Followed> joined(const std::vector<std::optional<Vec2>>& there, const std::vector<std::optional<Vec2>>& back,
                             std::uint32_t first, const Vec2& from, const Vec2& to, double height_px) {
    const auto count = there.size();
    const std::uint32_t last = first + static_cast<std::uint32_t>(count) - 1;
    std::vector<Followed> out;
    for (std::size_t i = 1; i + 1 < count; ++i) {
        const double share = static_cast<double>(i) / static_cast<double>(count - 1);
        Followed f;
        f.frame = first + static_cast<std::uint32_t>(i);
        f.unsure = !there[i] || !back[i] || (*there[i] - *back[i]).norm() > 0.02 * height_px;
        if (!f.unsure) f.at = (1 - share) * *there[i] + share * *back[i];
        out.push_back(f);
    }
    // Over unsure stretches the straight way between what is sure.
    for (std::size_t i = 0; i < out.size(); ++i) {
        if (!out[i].unsure) continue;
        std::size_t a = i, b = i;
        while (a > 0 && out[a].unsure) --a;
        while (b + 1 < out.size() && out[b].unsure) ++b;
        const bool left = !out[a].unsure, right = !out[b].unsure;
        const Vec2 p = left ? out[a].at : from, q = right ? out[b].at : to;
        const double s = left ? out[a].frame : first, e = right ? out[b].frame : last;
        out[i].at = p + (q - p) * ((out[i].frame - s) / (e - s));
    }
    return out;
}

} // namespace

Result<std::vector<Followed>> follow_point(const std::filesystem::path& file, std::uint32_t first, const Vec2& from, std::uint32_t last,
                                           const Vec2& to, double height_px, const std::stop_token& stop,
                                           const std::function<void(double)>& progress) {
    return follow_points(file, first, {from}, last, {to}, height_px, stop, progress).map([](auto&& all) { return std::move(all[0]); });
}

Result<std::vector<std::vector<Followed>>> follow_points(const std::filesystem::path& file, std::uint32_t first,
                                                         const std::vector<Vec2>& from, std::uint32_t last, const std::vector<Vec2>& to,
                                                         double height_px, const std::stop_token& stop,
                                                         const std::function<void(double)>& progress) {
    cv::setNumThreads(1);
    if (last <= first + 1 || last - first > 600 || from.empty() || from.size() != to.size()) return fail(Code::bad_value, "frames");
    auto reader = ClipReader::open(file, stop);
    if (!reader) return tl::unexpected(reader.error());
    if (last >= reader->info().time_s.size()) return fail(Code::bad_value, "frames");
    // Only the part of the pictures about the ways from one mark to the other is kept.
    const double pad = std::max(60.0, 0.35 * height_px);
    Vec2 low = from[0], high = from[0];
    for (const auto* ends : {&from, &to})
        for (const Vec2& p : *ends) low = low.cwiseMin(p), high = high.cwiseMax(p);
    const int x0 = std::max(0, static_cast<int>(low.x() - pad)), y0 = std::max(0, static_cast<int>(low.y() - pad));
    const int x1 = std::min(reader->info().width, static_cast<int>(high.x() + pad)),
              y1 = std::min(reader->info().height, static_cast<int>(high.y() + pad));
    if (x1 - x0 < 40 || y1 - y0 < 40) return fail(Code::bad_value, "frames");
    constexpr double most_bytes = 8e8;
    if (static_cast<double>(x1 - x0) * (y1 - y0) * (last - first + 1) > most_bytes) return fail(Code::bad_value, "frames");
    std::vector<cv::Mat> part;
    for (std::uint32_t i = first; i <= last; ++i) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const auto frame = reader->frame(i);
        part.push_back(frame ? grey(**frame, 1)(cv::Rect(x0, y0, x1 - x0, y1 - y0)).clone() : part.empty() ? cv::Mat() : part.back());
        if (part.back().empty()) return fail(Code::unreadable, file.string());
        if (progress) progress(0.5 * (i - first) / (last - first));
    }
    const auto count = part.size();
    using Way = std::vector<std::optional<Vec2>>;
    auto run = [&](bool forward) {
        std::vector<Way> ways(from.size(), Way(count));
        std::vector<std::optional<cv::Point2f>> at;
        for (const Vec2& p : forward ? from : to)
            at.emplace_back(cv::Point2f(static_cast<float>(p.x() - x0), static_cast<float>(p.y() - y0)));
        for (std::size_t k = 0; k < count && !stop.stop_requested(); ++k) {
            const std::size_t i = forward ? k : count - 1 - k;
            std::vector<cv::Point2f> points;
            std::vector<std::size_t> whose;
            for (std::size_t n = 0; n < at.size(); ++n) {
                if (!at[n]) continue;
                ways[n][i] = Vec2(double{at[n]->x} + x0, double{at[n]->y} + y0);
                points.push_back(*at[n]);
                whose.push_back(n);
            }
            if (k + 1 == count || points.empty()) break;
            const auto next = flow(part[i], part[forward ? i + 1 : i - 1], points);
            for (std::size_t n = 0; n < whose.size(); ++n) at[whose[n]] = next[n];
        }
        if (progress) progress(forward ? 0.75 : 1);
        return ways;
    };
    const auto there = run(true), back = run(false);
    if (stop.stop_requested()) return fail(Code::cancelled, "");
    std::vector<std::vector<Followed>> out;
    for (std::size_t n = 0; n < from.size(); ++n) out.push_back(joined(there[n], back[n], first, from[n], to[n], height_px));
    return out;
}

} // namespace bevel
