#include "media/tracker.h"
#include "core/review/look.h"
#include "core/signal/signal.h"
#include <chrono>
#include <cmath>
#include <mutex>
#include <thread>

namespace bevel {
namespace {

using Picture = std::shared_ptr<const sim::Image>;

constexpr double stretch_s = 10, overlap_s = 1, fast_fps = 50;
/// Above this many pixels a picture, one stretch at a time: memory.
constexpr int most_pixels_for_two = 1920 * 1088;

/// Reads and finds, one frame after the other; works on a thread of its own.
struct Worker {
    ClipReader reader;
    BodyFinder finder;
    SceneWatch scene;
};

/// Every how many frames the body is looked for: practice is slow, and 25 pictures a second show all of it.
std::size_t stride_of(const std::vector<double>& times, bool every_frame) {
    if (every_frame || times.size() < 8) return 1;
    std::vector<double> steps;
    for (std::size_t i = 1; i < times.size(); ++i) steps.push_back(times[i] - times[i - 1]);
    return signal::median(steps) < 1.0 / fast_fps ? 2 : 1;
}

/// Frames between two that were looked at: a cubic through the two before and the two after, a straight line where those are missing.
/// Noise of the points stays alike over a third of a second (core/ground/picture.cpp), so that a frame between is as unsure as its
/// neighbours, and by as much more as the way between them bends.
void fill_between(Track& track, std::size_t stride) {
    auto& px = track.px;
    const auto& t = track.time_s;
    for (std::size_t i = 1; stride == 2 && i + 1 < px.size(); i += 2) {
        if (px[i] || !px[i - 1] || !px[i + 1] || t[i + 1] - t[i - 1] > 0.1) continue;
        std::vector<std::size_t> by = {i - 1, i + 1};
        if (i >= 3 && i + 3 < px.size() && px[i - 3] && px[i + 3] && t[i + 3] - t[i - 3] < 0.3) by = {i - 3, i - 1, i + 1, i + 3};
        BodyPx body = *px[i - 1];
        const double u = (t[i] - t[i - 1]) / (t[i + 1] - t[i - 1]);
        for (std::size_t k = 0; k < body.size(); ++k) {
            const auto &a = (*px[i - 1])[k], &b = (*px[i + 1])[k];
            double x = 0, y = 0;
            for (const auto j : by) { // Lagrange's form, for the frames of a phone are not evenly spaced
                double weight = 1;
                for (const auto m : by)
                    if (m != j) weight *= (t[i] - t[m]) / (t[j] - t[m]);
                x += weight * (*px[j])[k].x;
                y += weight * (*px[j])[k].y;
            }
            const double bent = std::hypot(x - (1 - u) * a.x - u * b.x, y - (1 - u) * a.y - u * b.y);
            body[k] = a;
            body[k].x = x;
            body[k].y = y;
            body[k].visibility = std::min(a.visibility, b.visibility);
            body[k].sigma = std::hypot(std::max(a.sigma, b.sigma), bent);
        }
        px[i] = body;
    }
}

/// The same person: hips and shoulders as good as at the same place wherever both were found, which is on most frames.
bool same_person(const Track& found, const std::vector<std::optional<BodyPx>>& other, std::size_t from, std::size_t to,
                 std::size_t stride) {
    std::vector<double> apart;
    for (std::size_t i = from; i < to; ++i) {
        if (!found.px[i] || !other[i]) continue;
        const auto &a = *found.px[i], &b = *other[i];
        const double trunk = std::hypot(a[left_shoulder].x - a[right_hip].x, a[left_shoulder].y - a[right_hip].y);
        double most = 0;
        for (const Point p : {left_shoulder, right_shoulder, left_hip, right_hip})
            most = std::max(most, std::hypot(a[p].x - b[p].x, a[p].y - b[p].y));
        apart.push_back(most / std::max(1.0, trunk));
    }
    return 2 * apart.size() * stride > to - from && signal::median(apart) < 0.12;
}

/// A picture and its body at 1/n of the size, each pixel the mean of those it stands for.
std::pair<Picture, std::optional<BodyPx>> smaller(const sim::Image& im, std::optional<BodyPx> body, int n) {
    auto out = std::make_shared<sim::Image>();
    out->width = im.width / n;
    out->height = im.height / n;
    out->rgb.resize(static_cast<std::size_t>(out->width) * out->height * 3);
    for (int y = 0; y < out->height; ++y)
        for (int x = 0; x < out->width; ++x)
            for (int c = 0; c < 3; ++c) {
                int sum = 0;
                for (int v = 0; v < n; ++v)
                    for (int u = 0; u < n; ++u) sum += im.rgb[(static_cast<std::size_t>(y * n + v) * im.width + x * n + u) * 3 + c];
                out->rgb[(static_cast<std::size_t>(y) * out->width + x) * 3 + c] = static_cast<std::uint8_t>(sum / (n * n));
            }
    if (body)
        for (auto& p : *body) p.x /= n, p.y /= n;
    return {out, body};
}

/// What is found, frame by frame, and told to those who wait.
class Search {
public:
    Search(TrackResult& out, const TrackOptions& options, std::stop_token stop)
        : out_(out), options_(options), stop_(std::move(stop)), stride_(stride_of(out.track.time_s, options.every_frame)),
          shrink_(static_cast<long>(out.clip.width) * out.clip.height > most_pixels_for_two ? 2 : 1) {}

    /// Frames from `from` to `to` into `px`; what cannot be read is counted in `unreadable`. `counts`: from this frame on they are news.
    /// Where it came to: `to`, unless it was stopped.
    std::size_t stretch(Worker& w, std::size_t from, std::size_t to, std::vector<std::optional<BodyPx>>& px, std::size_t counts, bool leads,
                        std::size_t& unreadable) {
        for (std::size_t i = from; i < to; ++i) {
            if (stop_.stop_requested()) return i;
            if (i % stride_ != 0 && i + 1 < px.size()) {
                const std::lock_guard lock(mutex_);
                found_ += i >= counts ? 1 : 0;
                continue;
            }
            auto frame = w.reader.frame(i);
            if (frame)
                look(w, **frame, out_.track.time_s[i], px[i] = w.finder.next(**frame), i >= counts);
            else
                unreadable += i >= counts ? 1 : 0;
            const std::lock_guard lock(mutex_);
            if (frame && i >= counts) keep(i, *frame, px[i]);
            if (i < counts) continue;
            ++found_;
            if (leads) newest_ = px[i];
            if (options_.progress) options_.progress(found_, px.size(), newest_);
        }
        return to;
    }
    /// What the picture shows besides the body. In the overlap of two stretches it is looked at once more, for the shift.
    static void look(Worker& w, const sim::Image& im, double t, const std::optional<BodyPx>& body, bool news) {
        if (!w.scene.wants(t)) return;
        w.scene.look(im, t, body, news && w.scene.wants_people(t) ? w.finder.count_people(im) : -1);
    }
    /// A few frames to look for the room's upright edges.
    void keep(std::size_t i, const Picture& im, const std::optional<BodyPx>& body) {
        const std::size_t part = i * 5 / out_.track.px.size();
        if (!kept_[part].first) kept_[part] = shrink_ == 1 ? std::pair{im, body} : smaller(*im, body, shrink_);
    }
    /// How much smaller than the clip's the kept pictures are.
    int shrink() const { return shrink_; }
    std::size_t stride() const { return stride_; }
    bool wants(std::size_t i) const { return !kept_[i * 5 / out_.track.px.size()].first; }
    void start_at(std::size_t done) { found_ = done; }
    /// A second look at what was counted already is no news.
    void take_back(std::size_t frames) { found_ -= frames; }
    std::vector<std::pair<Picture, std::optional<BodyPx>>> kept() const { return {kept_.begin(), kept_.end()}; }

private:
    TrackResult& out_;
    const TrackOptions& options_;
    std::stop_token stop_;
    std::size_t stride_;
    int shrink_;
    std::mutex mutex_;
    std::size_t found_ = 0;
    std::optional<BodyPx> newest_;
    std::array<std::pair<Picture, std::optional<BodyPx>>, 5> kept_;
};

} // namespace

Result<TrackResult> track_clip(const std::filesystem::path& file, const TrackOptions& options, std::stop_token stop) {
    auto worker = [&]() -> Result<Worker> {
        auto reader = ClipReader::open(file, stop);
        if (!reader) return tl::unexpected(reader.error());
        auto finder = BodyFinder::load(options.model_dir, options.model);
        if (!finder) return tl::unexpected(finder.error());
        return Worker{std::move(*reader), std::move(*finder), {}};
    };
    auto first = worker();
    if (!first) return tl::unexpected(first.error());
    if (options.person) first->finder.choose(options.person->x(), options.person->y());
    TrackResult out;
    out.clip = first->reader.info();
    const auto& times = out.clip.time_s;
    const auto n = times.size();
    out.track.time_s = times;
    out.track.px.resize(n);
    out.track.m.resize(n);
    out.track.width = out.clip.width;
    out.track.height = out.clip.height;
    out.track.model = model_name(options.model);
    out.track.model_version = BodyFinder::version;
    Search finding(out, options, stop);
    const auto started = std::chrono::steady_clock::now();
    const std::size_t begun = options.so_far && options.so_far->frames() == n && options.done < n ? options.done : 0;
    for (std::size_t i = 0; i < begun; ++i) {
        out.track.px[i] = options.so_far->px[i];
        if (finding.wants(i))
            if (auto frame = first->reader.frame(i)) finding.keep(i, *frame, out.track.px[i]);
    }
    finding.start_at(begun);
    auto index_at = [&](double t) { return static_cast<std::size_t>(std::lower_bound(times.begin(), times.end(), t) - times.begin()); };
    std::size_t done = begun;
    auto saved = started;
    auto checkpoint = [&] {
        if (!options.checkpoint || done == begun) return;
        options.checkpoint(out.track, done);
        saved = std::chrono::steady_clock::now();
    };
    // What a stretch saw from this frame on goes to the rest, once.
    auto gather = [&](Worker& w, std::size_t from) {
        for (const auto& s : w.scene.samples())
            if (from < n && s.time_s >= times[from] && (out.scene.empty() || s.time_s > out.scene.back().time_s)) out.scene.push_back(s);
        w.scene = {};
    };
    const bool two = options.stretches > 1 && std::thread::hardware_concurrency() > 1 &&
                     static_cast<long>(out.clip.width) * out.clip.height <= most_pixels_for_two && times.back() > stretch_s + 2 * overlap_s;
    std::optional<Worker> second;
    std::vector<std::optional<BodyPx>> ahead(two ? n : 0); // of the second stretch
    while (done < n && !stop.stop_requested()) {
        const std::size_t middle = two ? index_at(times[done] + stretch_s) : std::min(n, done + index_at(stretch_s) + 1);
        const std::size_t end = two ? index_at(times[done] + 2 * stretch_s) : middle;
        const std::size_t overlap = two && middle < n ? std::max(done, index_at(times[middle] - overlap_s)) : middle;
        std::size_t lost = 0;
        if (!two || middle >= n || end - middle < middle - overlap) {
            const std::size_t from = done;
            done = finding.stretch(*first, done, end, out.track.px, done, true, out.unreadable);
            gather(*first, from);
        } else {
            if (!second) {
                auto another = worker();
                if (!another) return tl::unexpected(another.error());
                second = std::move(*another);
            }
            second->finder.reset();
            second->scene = {};
            const std::size_t from = done;
            if (done > 0 && out.track.px[done - 1]) { // looks for the one who is followed, nearest to where they are now
                const auto& b = *out.track.px[done - 1];
                second->finder.choose(0.5 * (b[left_hip].x + b[right_hip].x), 0.5 * (b[left_hip].y + b[right_hip].y));
            } else if (options.person) {
                second->finder.choose(options.person->x(), options.person->y());
            }
            {
                const std::jthread other([&] { finding.stretch(*second, overlap, end, ahead, middle, false, lost); });
                done = finding.stretch(*first, done, middle, out.track.px, done, true, out.unreadable);
            }
            gather(*first, from);
            if (stop.stop_requested()) break;
            if (same_person(out.track, ahead, overlap, middle, finding.stride())) {
                std::copy(ahead.begin() + static_cast<std::ptrdiff_t>(middle), ahead.begin() + static_cast<std::ptrdiff_t>(end),
                          out.track.px.begin() + static_cast<std::ptrdiff_t>(middle));
                out.unreadable += lost;
                gather(*second, middle);
                std::swap(*first, *second); // goes on from where it is
                done = end;
            } else { // somebody else, or nobody: the first goes on itself
                finding.take_back(end - middle);
                done = finding.stretch(*first, middle, end, out.track.px, middle, true, out.unreadable);
                gather(*first, middle);
            }
        }
        if (std::chrono::duration<double>(std::chrono::steady_clock::now() - saved).count() >= options.checkpoint_s) checkpoint();
    }
    if (stop.stop_requested()) {
        checkpoint();
        return fail(Code::cancelled, "");
    }
    fill_between(out.track, finding.stride());
    out.clip.damaged = first->reader.info().damaged || (second && second->reader.info().damaged);
    const double took = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
    out.frames_per_s = took > 0 ? static_cast<double>(n - begun) / took : 0;
    if (std::none_of(out.track.px.begin(), out.track.px.end(), [](const auto& f) { return f.has_value(); }))
        return fail(Code::cannot_judge, "no_body");
    out.track.vertical = room_vertical(finding.kept());
    for (const auto& [picture, body] : finding.kept())
        if (picture && out.look.empty()) out.look = look_of(*picture, body);
    if (out.track.vertical) { // a tilt a pixel of the smaller picture
        out.track.vertical->slope /= finding.shrink();
        out.track.vertical->slope_sigma /= finding.shrink();
    }
    return out;
}

Result<TrackResult> track_without_body(const std::filesystem::path& file, std::stop_token stop) {
    auto reader = ClipReader::open(file, stop);
    if (!reader) return tl::unexpected(reader.error());
    TrackResult out;
    out.clip = reader->info();
    const auto n = out.clip.time_s.size();
    out.track.time_s = out.clip.time_s;
    out.track.px.resize(n);
    out.track.m.resize(n);
    out.track.width = out.clip.width;
    out.track.height = out.clip.height;
    const TrackOptions none;
    Search kept(out, none, stop);
    for (std::size_t part = 0; part < 5; ++part) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const std::size_t i = std::min(n - 1, part * n / 5 + 1);
        if (const auto frame = reader->frame(i); frame && kept.wants(i)) kept.keep(i, *frame, std::nullopt);
    }
    out.track.vertical = room_vertical(kept.kept());
    if (out.track.vertical) {
        out.track.vertical->slope /= kept.shrink();
        out.track.vertical->slope_sigma /= kept.shrink();
    }
    for (const auto& [picture, body] : kept.kept())
        if (picture && out.look.empty()) out.look = look_of(*picture, body);
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
    for (const auto& [picture, body] : frames) {
        if (!picture) continue;
        const auto& im = picture; // a binding cannot be captured
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
