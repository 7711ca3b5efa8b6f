#include "ui/seeing/clip_seen.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include <algorithm>

namespace bevel::ui {

std::size_t ClipSeen::frame_at(double t) const {
    const auto& times = track().time_s;
    const auto after = std::upper_bound(times.begin(), times.end(), t);
    return after == times.begin() ? 0 : static_cast<std::size_t>(after - times.begin()) - 1;
}

SeenSource::SeenSource(QObject* parent) : QObject(parent) {
    wishes_.start([this](const std::stop_token& stop) { draw(stop); });
}

void SeenSource::draw(const std::stop_token& stop) {
    std::shared_ptr<const ClipSeen> of; // whose film is at hand
    std::unique_ptr<sim::Film> film;
    std::optional<ClipReader> reader;
    while (auto wished = wishes_.next(stop)) {
        auto picture = std::make_shared<SeenPicture>(std::move(*wished));
        if (of != picture->of) {
            of = picture->of;
            film.reset(), reader.reset();
            if (of->exercise) {
                const auto& take = of->exercise->take;
                film = std::make_unique<sim::Film>(of->student->solver(), sim::Looks::of_seed(take.student.seed), take.phone);
            } else if (auto opened = ClipReader::open(of->kept->open->file, stop)) {
                reader.emplace(std::move(*opened));
            }
        }
        const double t = of->track().time_s[picture->frame];
        if (film)
            picture->image = to_image(film->shoot(of->student->pose(t), t));
        else if (reader)
            if (auto image = reader->frame(picture->frame)) picture->image = to_image(**image);
        mail_.post([this, picture] { emit ready(picture); });
    }
}

} // namespace bevel::ui
