// Points of the body in Ground: dragged, nudged, taken from the frame before, filled between, swapped; whole bodies set by hand.
#include "core/ground/by_hand.h"
#include "core/ground/derive.h"
#include "ui/ground/ground_page.h"
#include "ui/ground/point_strip.h"
#include "ui/ground/points_panel.h"
#include "ui/jobs/jobs.h"
#include <cmath>
#include <set>

namespace bevel::ui {

void GroundPage::set_edit(Layers& l, std::uint32_t frame, Point own, const Vec2& to, bool filled) const {
    const Point point = filmed_as(own);
    std::erase_if(l.edits, [&](const PointEdit& e) { return e.frame == frame && e.point == point; });
    l.edits.push_back({frame, point, std::clamp(to.x(), 0.0, track_.width - 1.0), std::clamp(to.y(), 0.0, track_.height - 1.0), filled});
}

void GroundPage::take_point(Point point, QPointF to) {
    auto m = marks_;
    set_edit(m.layers, static_cast<std::uint32_t>(frame_), point, {to.x(), to.y()}, false);
    change(tr("a mended point"), std::move(m));
}

void GroundPage::take_extra(Extra extra, QPointF to) {
    auto m = marks_;
    auto& all = m.layers.extra;
    const auto f = static_cast<std::uint32_t>(frame_);
    auto it = std::lower_bound(all.begin(), all.end(), f, [](const auto& a, std::uint32_t frame) { return a.first < frame; });
    if (it == all.end() || it->first != f) it = all.insert(it, {f, ExtraPoints{}});
    it->second[static_cast<std::size_t>(extra)] = Vec3(to.x(), to.y(), 0);
    change(tr("a point of the back or a tool"), std::move(m));
}

/// On this frame every point of a body is by hand from now on.
void GroundPage::take_body(const BodyPx& body) {
    auto m = marks_;
    for (int k = 0; k < point_count; ++k) {
        const auto& p = body[static_cast<std::size_t>(k)];
        set_edit(m.layers, static_cast<std::uint32_t>(frame_), static_cast<Point>(k), {p.x, p.y}, false);
    }
    change(tr("a body by hand"), std::move(m));
}

/// The body of the nearest frame that has one, or one that stands straight.
void GroundPage::set_body() {
    if (track_.frames() == 0) return;
    const auto here = static_cast<std::size_t>(frame_);
    if (drawn_.px[here]) return notice_->say(tr("There is a body on this frame: drag its points, or all of it with Ctrl held."));
    std::optional<std::size_t> nearest;
    for (std::size_t i = 0; i < track_.frames(); ++i)
        if (drawn_.px[i] && (!nearest || std::abs(frame_ - static_cast<int>(i)) < std::abs(frame_ - static_cast<int>(*nearest))))
            nearest = i;
    take_body(nearest
                  ? *drawn_.px[*nearest]
                  : standing_body(view_from_name(clip_.view).value_or(View::front), marks_.layers.mirrored, track_.width, track_.height));
    notice_->say(
        tr("Drag the points to where they are; with Ctrl held the whole body moves, Ctrl and the wheel make it larger or smaller."));
}

void GroundPage::move_body(QPointF by, double grow) {
    const auto here = static_cast<std::size_t>(frame_);
    if (here >= track_.frames() || !drawn_.px[here]) return;
    BodyPx b = *drawn_.px[here];
    const Vec2 foot(0.5 * (b[left_ankle].x + b[right_ankle].x), std::max(b[left_ankle].y, b[right_ankle].y));
    for (auto& p : b) {
        p.x = foot.x() + grow * (p.x - foot.x()) + by.x();
        p.y = foot.y() + grow * (p.y - foot.y()) + by.y();
    }
    take_body(b);
}

/// The whole body through the frames between the two set by hand about this one.
void GroundPage::follow_body() {
    const auto set = bodies_by_hand(marks_.layers);
    const auto here = static_cast<std::uint32_t>(frame_);
    auto after = std::upper_bound(set.begin(), set.end(), here);
    if (after == set.end() && after != set.begin() && set.back() == here) --after; // standing on the last one: the stretch before it
    if (after == set.begin() || after == set.end())
        return notice_->problem(
            tr("Set the body on a frame before and on one after this; it is followed through the frames between then."));
    std::vector<Point> points;
    for (int k = 0; k < point_count; ++k) points.push_back(static_cast<Point>(k));
    std::vector<Vec2> from, to;
    for (const Point p : points) from.push_back(marked_at(*std::prev(after), p)), to.push_back(marked_at(*after, p));
    fill(points, *std::prev(after), from, *after, to);
}

Vec2 GroundPage::marked_at(std::uint32_t frame, Point own) const {
    for (const auto& e : marks_.layers.edits)
        if (e.frame == frame && e.point == filmed_as(own)) return {e.x, e.y};
    return filmed(frame, own);
}

/// Where a point is on the picture as it was filmed.
Vec2 GroundPage::filmed(std::size_t frame, Point point) const {
    return {(*drawn_.px[frame])[point].x, (*drawn_.px[frame])[point].y};
}

void GroundPage::from_before() {
    const auto point = view_->held();
    const auto i = static_cast<std::size_t>(frame_);
    if (!point || i == 0 || i >= track_.frames() || !drawn_.px[i] || !drawn_.px[i - 1]) return;
    const Vec2 at = filmed(i - 1, *point);
    take_point(*point, {at.x(), at.y()});
}

void GroundPage::swap_sides() {
    if (track_.frames() == 0) return;
    const auto here = static_cast<std::uint32_t>(frame_);
    if (!swap_from_) {
        swap_from_ = here;
        notice_->say(tr("Left and right change places from here. Go to the last such frame and press it again."));
        return points_->show_mended(marks_.layers, true);
    }
    const auto from = std::min(*swap_from_, here), to = std::max(*swap_from_, here) + 1;
    swap_from_.reset();
    notice_->say({});
    auto m = marks_;
    m.layers.swaps.push_back({from, to});
    change(tr("swapped sides"), std::move(m));
}

/// From the hand's mark before this frame to the one after it, in all stretches between marks about here.
void GroundPage::fill_between() {
    const auto point = view_->held();
    if (!point) return notice_->say(tr("Choose a point and mark it on two frames first; the frames between are filled then."));
    std::optional<PointEdit> before, after;
    for (const auto& e : marks_.layers.edits) {
        if (e.point != filmed_as(*point) || e.filled) continue;
        if (e.frame <= static_cast<std::uint32_t>(frame_) && (!before || e.frame > before->frame)) before = e;
        if (e.frame > static_cast<std::uint32_t>(frame_) && (!after || e.frame < after->frame)) after = e;
    }
    if (before && !after) { // standing on the last mark: the stretch before it
        after = before;
        before.reset();
        for (const auto& e : marks_.layers.edits)
            if (e.point == filmed_as(*point) && !e.filled && e.frame < after->frame && (!before || e.frame > before->frame)) before = e;
    }
    if (!before || !after)
        return notice_->problem(
            tr("Mark %1 on a frame before and on one after this; the frames between are filled then.").arg(text::point(*point)));
    fill({*point}, before->frame, {Vec2(before->x, before->y)}, after->frame, {Vec2(after->x, after->y)});
}

void GroundPage::fill(const std::vector<Point>& points, std::uint32_t first, const std::vector<Vec2>& from, std::uint32_t last,
                      const std::vector<Vec2>& to) {
    const auto job_stop = std::make_shared<std::stop_source>();
    const QString what = points.size() == 1 ? text::point(points.front()) : tr("the body");
    const int job = session_.jobs->begin(JobKind::keeping, tr("Following %1 …").arg(what), [job_stop] { job_stop->request_stop(); });
    using Ways = Result<std::vector<std::vector<Followed>>>;
    const double tall = body_height_px(drawn_);
    session_.files().run<Ways>(
        this,
        [path = session_.library->clips().path_of(clip_), first, from, last, to, tall, job_stop](const std::stop_token& quit) {
            const std::stop_callback forward(quit, [&] { job_stop->request_stop(); });
            return follow_points(path, first, from, last, to, tall, job_stop->get_token());
        },
        [this, job, points, clip = clip_.id](const Ways& ways) {
            session_.jobs->end(job, ways                                   ? JobOutcome::done
                                    : ways.error().code == Code::cancelled ? JobOutcome::cancelled
                                                                           : JobOutcome::failed);
            if (clip != clip_.id) return;
            if (!ways) {
                if (ways.error().code != Code::cancelled)
                    notice_->problem(ways.error().code == Code::bad_value ? tr("Mark two frames that are nearer to each other.")
                                                                          : text::error(ways.error()));
                return;
            }
            take_ways(points, *ways);
        });
}

void GroundPage::take_ways(const std::vector<Point>& points, const std::vector<std::vector<Followed>>& ways) {
    auto m = marks_;
    std::set<std::pair<std::uint32_t, Point>> fresh;
    for (std::size_t n = 0; n < points.size(); ++n)
        for (const auto& f : ways[n]) fresh.insert({f.frame, filmed_as(points[n])});
    std::erase_if(m.layers.edits, [&](const PointEdit& e) { return fresh.contains({e.frame, e.point}); });
    std::set<std::uint32_t> all, unsure;
    for (std::size_t n = 0; n < points.size(); ++n)
        for (const auto& f : ways[n]) {
            all.insert(f.frame);
            if (f.unsure) unsure.insert(f.frame);
            m.layers.edits.push_back({f.frame, filmed_as(points[n]), std::clamp(f.at.x(), 0.0, track_.width - 1.0),
                                      std::clamp(f.at.y(), 0.0, track_.height - 1.0), true});
        }
    change(tr("filled frames"), std::move(m));
    notice_->say(unsure.empty() ? tr("%n frame(s) filled; both ways agree on all of them.", nullptr, static_cast<int>(all.size()))
                                : tr("%n frame(s) filled straight between, since the ways did not agree there: look at them.", nullptr,
                                     static_cast<int>(unsure.size())));
}

void GroundPage::mend(int row) {
    if (row < 0 || row >= static_cast<int>(doubts_.size())) return;
    const Doubt d = doubts_[static_cast<std::size_t>(row)];
    if (d.kind == DoubtKind::swapped) {
        auto m = marks_;
        m.layers.swaps.push_back({d.from, d.to});
        return change(tr("swapped sides"), std::move(m));
    }
    if (d.kind != DoubtKind::jump || !d.point || d.from == 0 || d.to >= track_.frames() || !drawn_.px[d.from - 1] || !drawn_.px[d.to])
        return;
    // Only the points as found are used here: smoothing has spread the jump.
    const auto raw = with_layers(track_);
    if (!raw.px[d.from - 1] || !raw.px[d.to]) return;
    auto px = [&](std::size_t i) {
        const auto& q = (*raw.px[i])[*d.point];
        Vec2 p(marks_.layers.mirrored ? raw.width - q.x : q.x, q.y);
        return marks_.layers.steady.size() == track_.frames() ? marks_.layers.steady[i].to_filmed(p) : p;
    };
    fill({*d.point}, d.from - 1, {px(d.from - 1)}, d.to, {px(d.to)});
}

/// As a point of the student is named on the picture: a mirrored one shows their left as its right.
Point GroundPage::filmed_as(Point p) const {
    return marks_.layers.mirrored ? mirrored(p) : p;
}

/// Doubtful stretches in the order of the clip, from the frame that is shown on.
void GroundPage::next_doubtful() {
    if (doubts_.empty()) return notice_->say(tr("No frame is doubtful."));
    std::optional<std::uint32_t> next, first;
    for (const auto& d : doubts_) {
        if (!first || d.from < *first) first = d.from;
        if (d.from > static_cast<std::uint32_t>(frame_) && (!next || d.from < *next)) next = d.from;
    }
    set_frame(static_cast<int>(next.value_or(*first)));
    for (const auto& d : doubts_)
        if (d.from == static_cast<std::uint32_t>(frame_) && d.point) view_->hold(d.point);
}

} // namespace bevel::ui
