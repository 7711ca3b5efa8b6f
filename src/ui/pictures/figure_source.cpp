#include "ui/pictures/figure_source.h"
#include "ui/paint/body.h"
#include "ui/paint/card.h"

namespace bevel::ui {

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

FigureSource::FigureSource(QObject* parent) : QObject(parent) {
    thread_ = std::jthread([this](const std::stop_token& stop) { draw(stop); });
}

FigureSource::~FigureSource() {
    thread_.request_stop();
    changed_.notify_all();
    if (thread_.joinable()) thread_.join();
}

void FigureSource::wish(const FigureWish& w) {
    const std::lock_guard lock(mutex_);
    wish_ = w;
    changed_.notify_all();
}

void FigureSource::draw(const std::stop_token& stop) {
    std::unique_ptr<sim::Film> right, faulty;
    FigureWish made; // what the films were made for
    made.scene = -1;
    while (true) {
        FigureWish now;
        {
            std::unique_lock lock(mutex_);
            changed_.wait(lock, stop, [&] { return wish_.has_value(); });
            if (stop.stop_requested()) return;
            now = *std::exchange(wish_, std::nullopt);
        }
        if (!now.right) continue;
        if (now.scene != made.scene || now.azimuth_deg != made.azimuth_deg || now.width != made.width || now.height != made.height) {
            auto phone = paper_phone(now.width, now.height, now.azimuth_deg);
            phone.distance_m *= now.farther;
            const auto looks = clay();
            right = std::make_unique<sim::Film>(now.right->solver(), looks, phone);
            faulty = now.faulty ? std::make_unique<sim::Film>(now.faulty->solver(), looks, phone) : nullptr;
            made = now;
        }
        auto shot = std::make_shared<FigureShot>();
        shot->wish = now;
        shot->right = to_image(right->shoot(pose_seen(*now.right, now.time_s, now.follow), 0));
        if (faulty) shot->faulty = to_image(faulty->shoot(pose_seen(*now.faulty, now.time_s, now.follow), 0));
        mail_.post([this, shot = std::move(shot)] { emit ready(shot); });
    }
}

} // namespace bevel::ui
