#include "media/tracker.h"
#include "core/signal/signal.h"
#include <chrono>
#include <cmath>
#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

namespace bevel {
namespace {

using Picture = std::shared_ptr<const sim::Image>;

/// Hands decoded frames from the reading thread to the finding one; at most a few in flight.
class Pipe {
public:
    bool push(std::size_t i, Picture im) {
        std::unique_lock lock(mutex_);
        changed_.wait(lock, [&] { return queue_.size() < 4 || closed_; });
        if (closed_) return false;
        queue_.emplace_back(i, std::move(im));
        changed_.notify_all();
        return true;
    }
    std::optional<std::pair<std::size_t, Picture>> pop() {
        std::unique_lock lock(mutex_);
        changed_.wait(lock, [&] { return !queue_.empty() || done_; });
        if (queue_.empty()) return std::nullopt;
        auto out = std::move(queue_.front());
        queue_.pop_front();
        changed_.notify_all();
        return out;
    }
    void finish() {
        const std::lock_guard lock(mutex_);
        done_ = true;
        changed_.notify_all();
    }
    void close() {
        const std::lock_guard lock(mutex_);
        closed_ = true;
        changed_.notify_all();
    }

private:
    std::mutex mutex_;
    std::condition_variable changed_;
    std::deque<std::pair<std::size_t, Picture>> queue_;
    bool done_ = false, closed_ = false;
};

} // namespace

Result<TrackResult> track_clip(const std::filesystem::path& file, const TrackOptions& options, std::stop_token stop) {
    auto reader = ClipReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    auto finder = BodyFinder::load(options.model_dir, options.model);
    if (!finder) return tl::unexpected(finder.error());
    if (options.person) finder->choose(options.person->x(), options.person->y());
    TrackResult out;
    out.clip = reader->info();
    const auto n = out.clip.time_s.size();
    out.track.time_s = out.clip.time_s;
    out.track.px.resize(n);
    out.track.m.resize(n);
    out.track.width = out.clip.width;
    out.track.height = out.clip.height;
    std::vector<std::pair<Picture, std::optional<BodyPx>>> kept; // a few frames to look for the room's upright edges
    const auto started = std::chrono::steady_clock::now();
    const std::size_t first = options.so_far && options.so_far->frames() == n && options.done < n ? options.done : 0;
    for (std::size_t i = 0; i < first; ++i) {
        out.track.px[i] = options.so_far->px[i];
        if (kept.size() < 5 && i >= kept.size() * n / 5)
            if (auto frame = reader->frame(i)) kept.emplace_back(*frame, out.track.px[i]);
    }
    std::size_t done = first;
    auto saved = started;
    auto checkpoint = [&] {
        if (!options.checkpoint || done == first) return;
        out.track.model = model_name(options.model);
        out.track.model_version = BodyFinder::version;
        options.checkpoint(out.track, done);
        saved = std::chrono::steady_clock::now();
    };
    Pipe pipe;
    {
        std::jthread decoder([&] {
            for (std::size_t i = first; i < n && !stop.stop_requested(); ++i) {
                auto frame = reader->frame(i);
                if (!pipe.push(i, frame ? *frame : nullptr)) break;
            }
            pipe.finish();
        });
        while (auto item = pipe.pop()) {
            if (stop.stop_requested()) break;
            const auto [i, picture] = std::move(*item);
            if (picture)
                out.track.px[i] = finder->next(*picture);
            else
                ++out.unreadable;
            if (picture && kept.size() < 5 && i >= kept.size() * n / 5) kept.emplace_back(picture, out.track.px[i]);
            done = i + 1;
            if (options.progress) options.progress(done, n, out.track.px[i]);
            if (std::chrono::duration<double>(std::chrono::steady_clock::now() - saved).count() >= options.checkpoint_s) checkpoint();
        }
        pipe.close();
    }
    if (stop.stop_requested()) {
        checkpoint();
        return fail(Code::cancelled, "");
    }
    out.clip.damaged = reader->info().damaged;
    const double took = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
    out.frames_per_s = took > 0 ? static_cast<double>(n - first) / took : 0;
    if (std::none_of(out.track.px.begin(), out.track.px.end(), [](const auto& f) { return f.has_value(); }))
        return fail(Code::cannot_judge, "no_body");
    out.track.vertical = room_vertical(kept);
    out.track.model = model_name(options.model);
    out.track.model_version = BodyFinder::version;
    return out;
}

// Edge pixels are strongest across in their row; runs of them downwards are fitted by straight lines, and the lines' tilt by
// roll + slope * column, with outliers (furniture, clothes, slanting shadows) weighed down.
std::optional<VerticalOnPicture> room_vertical(const std::vector<std::pair<Picture, std::optional<BodyPx>>>& frames) {
    struct Line {
        double x, tilt, length;
    };
    std::vector<Line> lines;
    double middle = 0;
    for (const auto& [im, body] : frames) {
        if (!im) continue;
        const int w = im->width, h = im->height;
        middle = w / 2.0;
        double bx0 = 1e9, bx1 = -1e9;
        if (body)
            for (const auto& p : *body) {
                bx0 = std::min(bx0, p.x);
                bx1 = std::max(bx1, p.x);
            }
        const double pad = 0.25 * (bx1 - bx0) + 10;
        auto grey = [&](int x, int y) {
            const auto* p = im->rgb.data() + (static_cast<std::size_t>(y) * w + x) * 3;
            return 0.3 * p[0] + 0.59 * p[1] + 0.11 * p[2];
        };
        std::vector<float> edge(static_cast<std::size_t>(w) * h, 0.0F);
        for (int y = 2; y < h - 2; ++y)
            for (int x = 2; x < w - 2; ++x)
                edge[static_cast<std::size_t>(y) * w + x] =
                    static_cast<float>(grey(x + 1, y - 1) + 2 * grey(x + 1, y) + grey(x + 1, y + 1) - grey(x - 1, y - 1) -
                                       2 * grey(x - 1, y) - grey(x - 1, y + 1)) /
                    4.0F;
        std::vector<bool> used(edge.size(), false);
        auto e = [&](int x, int y) { return std::abs(edge[static_cast<std::size_t>(y) * w + x]); };
        auto sub = [&](int x, int y) {
            const double a = e(x - 1, y), b = e(x, y), c = e(x + 1, y), d = a - 2 * b + c;
            return x + (d < -1e-6 ? std::clamp(0.5 * (a - c) / d, -0.5, 0.5) : 0.0);
        };
        for (int y = 3; y < h - 3; ++y)
            for (int x = 4; x < w - 4; ++x) {
                if (used[static_cast<std::size_t>(y) * w + x] || e(x, y) < 14 || e(x, y) < e(x - 1, y) || e(x, y) <= e(x + 1, y)) continue;
                std::vector<Vec2> run;
                int cx = x;
                for (int v = y; v < h - 3; ++v) {
                    int best = cx;
                    for (const int k : {cx - 1, cx + 1})
                        if (k > 3 && k < w - 4 && e(k, v) > e(best, v)) best = k;
                    if (e(best, v) < 10 || used[static_cast<std::size_t>(v) * w + best]) break;
                    cx = best;
                    used[static_cast<std::size_t>(v) * w + best] = true;
                    run.emplace_back(sub(best, v), v);
                }
                if (static_cast<double>(run.size()) < 0.10 * h) continue;
                double sx = 0, sy = 0, sxy = 0, syy = 0;
                const auto n = static_cast<double>(run.size());
                for (const auto& q : run) sx += q.x(), sy += q.y();
                for (const auto& q : run) sxy += (q.x() - sx / n) * (q.y() - sy / n), syy += (q.y() - sy / n) * (q.y() - sy / n);
                const double b = sxy / syy;
                double rest = 0;
                for (const auto& q : run) rest += std::pow(q.x() - sx / n - b * (q.y() - sy / n), 2);
                if (std::sqrt(rest / n) > 0.8 || std::abs(b) > 0.27) continue;
                if (sx / n > bx0 - pad && sx / n < bx1 + pad) continue;
                lines.push_back({sx / n, -std::atan(b), n});
            }
    }
    if (lines.size() < 4) return std::nullopt;
    double left = 1e9, right = -1e9;
    for (const auto& l : lines) {
        left = std::min(left, l.x);
        right = std::max(right, l.x);
    }
    if (right - left < 0.5 * middle) return std::nullopt;
    Eigen::Vector2d fit = Eigen::Vector2d::Zero();
    double scale = 0.05, spread = 0.01;
    Eigen::Matrix2d a;
    for (int round = 0; round < 12; ++round) {
        a = Eigen::Matrix2d::Zero();
        Eigen::Vector2d r = Eigen::Vector2d::Zero();
        signal::Series off;
        double used = 0;
        for (const auto& l : lines) {
            const Eigen::Vector2d u(1, (l.x - middle) / middle);
            const double e = l.tilt - (round == 0 ? 0 : u.dot(fit)), k = e / (4.7 * scale);
            const double weight = std::abs(k) < 1 ? l.length * l.length * std::pow(1 - k * k, 2) : 0;
            a += weight * u * u.transpose();
            r += weight * l.tilt * u;
            off.push_back(std::abs(e));
            used += weight > 0 ? 1 : 0;
        }
        if (used < 4 || a.determinant() <= 0) return std::nullopt;
        fit = a.ldlt().solve(r);
        spread = 1.48 * signal::median(off);
        scale = std::clamp(spread, 0.004, 0.05);
    }
    const double support = std::sqrt(static_cast<double>(lines.size()) / static_cast<double>(std::max<std::size_t>(1, frames.size())));
    VerticalOnPicture v;
    v.roll = fit[0];
    v.slope = fit[1] / middle;
    v.roll_sigma = std::max(0.003, spread / support);
    v.slope_sigma = std::max(0.004, spread / support) / middle;
    v.from_room = true;
    return v;
}

} // namespace bevel
