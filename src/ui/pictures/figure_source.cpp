#include "ui/pictures/figure_source.h"
#include "ui/paint/body.h"

namespace bevel::ui {

FigureSource::FigureSource(QObject* parent) : QObject(parent) {
    wishes_.start([this](const std::stop_token& stop) { draw(stop); });
}

FigureSource::~FigureSource() {
    wishes_.stop(); // before what it fills
}

void FigureSource::wish(const FigureWish& w) {
    wishes_.set(w);
}

void FigureSource::draw(const std::stop_token& stop) {
    /// One of the two that may stand side by side: made anew for another student, filmed anew from another side.
    struct One {
        std::shared_ptr<const sim::Figure> figure;
        std::unique_ptr<sim::Film> film;
    } right, faulty;
    const auto dress = [](One& one, const std::shared_ptr<const sim::Student>& who) {
        one.figure = who ? sim::dressed(who->solver(), sim::Looks::reference()) : nullptr;
    };
    const auto film = [](One& one, const sim::PhoneOptions& phone) {
        one.film = one.figure ? std::make_unique<sim::Film>(one.figure, phone) : nullptr;
    };
    FigureWish made; // what the films were made for
    made.scene = -1;
    while (auto wished = wishes_.next(stop)) {
        FigureWish now = std::move(*wished);
        if (!now.right) continue;
        const bool other = now.scene != made.scene;
        if (other) dress(right, now.right), dress(faulty, now.faulty);
        if (other || now.width != made.width || now.height != made.height || now.follow != made.follow ||
            now.azimuth_deg != made.azimuth_deg) {
            auto phone = paper_phone(now.width, now.height, now.azimuth_deg);
            double back = camera_back(*now.right, phone, now.follow);
            if (now.faulty) back = std::max(back, camera_back(*now.faulty, phone, now.follow));
            phone.distance_m *= back;
            film(right, phone), film(faulty, phone);
            made = now;
        }
        auto shot = std::make_shared<FigureShot>();
        shot->wish = now;
        shot->right = to_image(right.film->shoot(pose_seen(*now.right, now.time_s, now.follow), 0));
        if (faulty.film) shot->faulty = to_image(faulty.film->shoot(pose_seen(*now.faulty, now.time_s, now.follow), 0));
        mail_.post([this, shot = std::move(shot)] { emit ready(shot); });
    }
}

} // namespace bevel::ui
