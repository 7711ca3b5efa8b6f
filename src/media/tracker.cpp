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
constexpr double least_two_s = 4 * overlap_s; // less than that is left to one: the overlap is looked at twice
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

/// Times and size of a clip, nothing found yet.
TrackResult nothing_yet(const ClipInfo& clip) {
    TrackResult out;
    out.clip = clip;
    out.track.time_s = clip.time_s;
    out.track.px.resize(clip.time_s.size());
    out.track.m.resize(clip.time_s.size());
    out.track.width = clip.width;
    out.track.height = clip.height;
    return out;
}

/// What the kept pictures tell of the room.
void tell_room(TrackResult& out, const Search& search) {
    out.track.vertical = room_vertical(search.kept());
    if (out.track.vertical) { // a tilt a pixel of the smaller picture
        out.track.vertical->slope /= search.shrink();
        out.track.vertical->slope_sigma /= search.shrink();
    }
    for (const auto& [picture, body] : search.kept())
        if (picture && out.look.empty()) out.look = look_of(*picture, body);
}

/// One run over a clip: stretch by stretch, two at once where that is worth it.
class Run {
public:
    Run(const std::filesystem::path& file, const TrackOptions& options, std::stop_token stop)
        : file_(file), options_(options), stop_(std::move(stop)) {}

    Result<TrackResult> go() {
        auto begun = worker();
        if (!begun) return tl::unexpected(begun.error());
        first_ = std::move(*begun);
        if (options_.person) first_->finder.choose(options_.person->x(), options_.person->y());
        out_ = nothing_yet(first_->reader.info());
        out_.track.model = model_name(options_.model);
        out_.track.model_version = BodyFinder::version;
        search_.emplace(out_, options_, stop_);
        const auto n = frames();
        const auto started = std::chrono::steady_clock::now();
        take_over();
        const double last = times().back();
        two_ = options_.stretches > 1 && std::thread::hardware_concurrency() > 1 &&
               static_cast<long>(out_.clip.width) * out_.clip.height <= most_pixels_for_two && last > least_two_s;
        ahead_.resize(two_ ? n : 0);
        saved_ = started;
        while (done_ < n && !stop_.stop_requested()) {
            if (auto went = next(); !went) return tl::unexpected(went.error());
            if (std::chrono::duration<double>(std::chrono::steady_clock::now() - saved_).count() >= options_.checkpoint_s) checkpoint();
        }
        if (stop_.stop_requested()) {
            checkpoint();
            return fail(Code::cancelled, "");
        }
        fill_between(out_.track, search_->stride());
        out_.clip.damaged = first_->reader.info().damaged || (second_ && second_->reader.info().damaged);
        const double took = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
        out_.frames_per_s = took > 0 ? static_cast<double>(n - begun_) / took : 0;
        if (std::none_of(out_.track.px.begin(), out_.track.px.end(), [](const auto& f) { return f.has_value(); }))
            return fail(Code::cannot_judge, "no_body");
        tell_room(out_, *search_);
        return std::move(out_);
    }

private:
    const std::vector<double>& times() const { return out_.clip.time_s; }
    std::size_t frames() const { return out_.clip.time_s.size(); }
    std::size_t index_at(double t) const {
        return static_cast<std::size_t>(std::lower_bound(times().begin(), times().end(), t) - times().begin());
    }
    Result<Worker> worker() const {
        auto reader = ClipReader::open(file_, stop_);
        if (!reader) return tl::unexpected(reader.error());
        auto finder = BodyFinder::load(options_.model_dir, options_.model);
        if (!finder) return tl::unexpected(finder.error());
        return Worker{std::move(*reader), std::move(*finder), {}};
    }
    /// What an earlier run found.
    void take_over() {
        begun_ = options_.so_far && options_.so_far->frames() == frames() && options_.done < frames() ? options_.done : 0;
        for (std::size_t i = 0; i < begun_; ++i) {
            out_.track.px[i] = options_.so_far->px[i];
            if (search_->wants(i))
                if (auto frame = first_->reader.frame(i)) search_->keep(i, *frame, out_.track.px[i]);
        }
        search_->start_at(begun_);
        done_ = begun_;
    }
    void checkpoint() {
        if (!options_.checkpoint || done_ == begun_) return;
        options_.checkpoint(out_.track, done_);
        saved_ = std::chrono::steady_clock::now();
    }
    /// What a stretch saw from this frame on goes to the rest, once.
    void gather(Worker& w, std::size_t from) {
        for (const auto& s : w.scene.samples())
            if (from < frames() && s.time_s >= times()[from] && (out_.scene.empty() || s.time_s > out_.scene.back().time_s))
                out_.scene.push_back(s);
        w.scene = {};
    }
    /// The next stretch, or the next two: what is left is shared out evenly where it is less than two whole ones, so that both end
    /// together.
    Result<bool> next() {
        const auto n = frames();
        const double now = times()[done_], left = times().back() - now;
        const bool both = two_ && left > least_two_s;
        const double part = both ? std::min(stretch_s, 0.5 * (left + overlap_s)) : stretch_s;
        const std::size_t middle = std::max(done_ + 1, std::min(n, index_at(now + part)));
        if (!both) {
            lead(two_ ? n : middle);
            return true;
        }
        // A remainder that is not worth a stretch of its own goes with these two.
        const double after = left - 2 * part;
        return side_by_side(middle, after < overlap_s ? n : std::min(n, index_at(now + 2 * part)));
    }
    void lead(std::size_t end) {
        const std::size_t from = done_;
        done_ = search_->stretch(*first_, done_, end, out_.track.px, done_, true, out_.unreadable);
        gather(*first_, from);
    }
    Result<bool> side_by_side(std::size_t middle, std::size_t end) {
        const std::size_t overlap = std::max(done_, index_at(times()[middle] - overlap_s));
        if (!second_) {
            auto another = worker();
            if (!another) return tl::unexpected(another.error());
            second_ = std::move(*another);
        }
        point_second();
        std::size_t lost = 0;
        {
            const std::jthread other([&] { search_->stretch(*second_, overlap, end, ahead_, middle, false, lost); });
            lead(middle);
        }
        if (stop_.stop_requested()) return true;
        if (same_person(out_.track, ahead_, overlap, middle, search_->stride())) {
            std::copy(ahead_.begin() + static_cast<std::ptrdiff_t>(middle), ahead_.begin() + static_cast<std::ptrdiff_t>(end),
                      out_.track.px.begin() + static_cast<std::ptrdiff_t>(middle));
            out_.unreadable += lost;
            gather(*second_, middle);
            std::swap(*first_, *second_); // goes on from where it is
            done_ = end;
        } else { // somebody else, or nobody: the first goes on itself
            search_->take_back(end - middle);
            lead(end);
        }
        return true;
    }
    /// It looks for the one who is followed, nearest to where they are now.
    void point_second() {
        second_->finder.reset();
        second_->scene = {};
        if (done_ > 0 && out_.track.px[done_ - 1]) {
            const auto& b = *out_.track.px[done_ - 1];
            second_->finder.choose(0.5 * (b[left_hip].x + b[right_hip].x), 0.5 * (b[left_hip].y + b[right_hip].y));
        } else if (options_.person) {
            second_->finder.choose(options_.person->x(), options_.person->y());
        }
    }

    const std::filesystem::path& file_;
    const TrackOptions& options_;
    std::stop_token stop_;
    TrackResult out_;
    std::optional<Worker> first_, second_;
    std::optional<Search> search_;
    std::size_t begun_ = 0, done_ = 0;
    bool two_ = false;
    std::vector<std::optional<BodyPx>> ahead_; // of the second stretch
    std::chrono::steady_clock::time_point saved_;
};

} // namespace

Result<TrackResult> track_clip(const std::filesystem::path& file, const TrackOptions& options, std::stop_token stop) {
    return Run(file, options, std::move(stop)).go();
}

Result<TrackResult> track_without_body(const std::filesystem::path& file, std::stop_token stop) {
    auto reader = ClipReader::open(file, stop);
    if (!reader) return tl::unexpected(reader.error());
    TrackResult out = nothing_yet(reader->info());
    const auto n = out.clip.time_s.size();
    const TrackOptions none;
    Search kept(out, none, stop);
    for (std::size_t part = 0; part < 5; ++part) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const std::size_t i = std::min(n - 1, part * n / 5 + 1);
        if (const auto frame = reader->frame(i); frame && kept.wants(i)) kept.keep(i, *frame, std::nullopt);
    }
    tell_room(out, kept);
    return out;
}

} // namespace bevel
