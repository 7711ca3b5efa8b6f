#include "ui/review/frame_source.h"
#include "ui/paint/hidden.h"
#include <cmath>
#include <list>

namespace bevel::ui {

FrameSource::FrameSource(std::shared_ptr<const OpenReview> open, std::shared_ptr<const OpenReview> beside, bool hide_beside,
                         QObject* parent)
    : QObject(parent), open_(std::move(open)), beside_(std::move(beside)), hide_beside_(hide_beside), of_(open_) {
    if (beside_) partner_.start([this](const std::stop_token& s) { show_partner(s); });
    student_.start([this](const std::stop_token& s) { show_student(s); });
    reference_.start([this](const std::stop_token& s) { show_reference(s); });
}

FrameSource::~FrameSource() {
    student_.stop();
    partner_.stop();
    reference_.stop();
}

void FrameSource::wish(std::size_t frame, double reference_s, double scale, std::optional<std::size_t> partner) {
    const double home = open_->review->reference->borders(Side::left).front();
    const Wish w{frame, std::isfinite(reference_s) ? reference_s : home, std::clamp(scale, 0.1, 1.0), partner};
    student_.set(w);
    if (partner) partner_.set(w);
    reference_.set(w);
}

void FrameSource::deliver(std::shared_ptr<FramePicture> picture) {
    mail_.post([this, picture = std::move(picture)] {
        picture->of = of_;
        emit ready(picture);
    });
}

void FrameSource::show_student(const std::stop_token& stop) {
    auto reader = ClipReader::open(open_->file);
    while (auto now = student_.next(stop)) {
        auto out = std::make_shared<FramePicture>();
        out->frame = now->frame;
        if (reader)
            if (auto im = reader->frame(now->frame)) out->image = to_image(**im);
        deliver(std::move(out));
    }
}

void FrameSource::show_partner(const std::stop_token& stop) {
    auto reader = ClipReader::open(beside_->file);
    while (auto now = partner_.next(stop)) {
        auto out = std::make_shared<FramePicture>();
        out->frame = now->frame;
        out->partner = true;
        out->partner_frame = *now->partner;
        if (reader)
            if (auto im = reader->frame(*now->partner)) out->image = to_image(**im);
        const auto& px = beside_->track.px;
        if (hide_beside_ && !out->image.isNull() &&
            !(*now->partner < px.size() && px[*now->partner] && hide_person(out->image, *px[*now->partner])))
            out->image = QImage();
        deliver(std::move(out));
    }
}

void FrameSource::show_reference(const std::stop_token& stop) {
    const int w = open_->track.width > 0 ? open_->track.width : 1280, h = open_->track.height > 0 ? open_->track.height : 720;
    // Figures that were drawn, by their moment: the same stretch is looked at again and again.
    constexpr double step = 1.0 / 60;
    const std::size_t most = 40;
    std::map<long, ReferencePainter::Shot> drawn;
    std::list<long> order;
    std::unique_ptr<ReferencePainter> painter;
    double scale = 0;
    while (auto now = reference_.next(stop)) {
        if (!painter || std::abs(now->scale / scale - 1) > 0.05) { // the view has another size
            scale = now->scale;
            painter = std::make_unique<ReferencePainter>(open_->review, std::max(64, static_cast<int>(w * scale)),
                                                         std::max(64, static_cast<int>(h * scale)));
            drawn.clear();
            order.clear();
        }
        const long key = std::lround(now->reference_s / step);
        auto it = drawn.find(key);
        if (it == drawn.end()) {
            if (order.size() >= most) {
                drawn.erase(order.front());
                order.pop_front();
            }
            it = drawn.emplace(key, painter->at(static_cast<double>(key) * step)).first;
            order.push_back(key);
        }
        auto out = std::make_shared<FramePicture>();
        out->frame = now->frame;
        out->reference = true;
        out->image = it->second.picture;
        out->scale = static_cast<double>(painter->width()) / w;
        out->points = it->second.points;
        for (auto& p : out->points) p.x /= out->scale, p.y /= out->scale;
        deliver(std::move(out));
    }
}

} // namespace bevel::ui
