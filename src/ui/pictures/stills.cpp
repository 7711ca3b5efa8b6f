#include "ui/pictures/stills.h"
#include "media/clip.h"
#include "ui/paint/body.h"

namespace bevel::ui {

QImage still_of(const Library& library, const Clip& clip, int height) {
    auto reader = ClipReader::open(library.clips().path_of(clip));
    if (!reader) return {};
    const std::size_t frame = reader->info().time_s.size() / 3;
    const auto picture = reader->frame(frame);
    if (!picture) return {};
    const QImage whole = to_image(**picture);
    const auto track = library.tracks().load(clip.id);
    const QRectF crop = track && track->width > 0 ? crop_of(*track, 0.75) : QRectF(whole.rect());
    return whole.copy(crop.toRect().intersected(whole.rect())).scaledToHeight(height, Qt::SmoothTransformation);
}

QPixmap ListStills::blank() const {
    QPixmap p(size());
    p.fill(session_.theme.palette.line);
    return p;
}

void ListStills::look_for(const QList<qint64>& clips) {
    wanted_ = clips;
    if (looking_) return;
    const auto next = std::find_if(wanted_.begin(), wanted_.end(), [&](qint64 id) { return id != 0 && !stills_.contains(id); });
    if (next == wanted_.end()) return;
    looking_ = true;
    session_.files().run<QImage>( // reading films is nothing that anybody waits for
        this,
        [lib = session_.library, id = *next, height = height_](std::stop_token) {
            const auto clip = lib->clips().get(id);
            return clip ? still_of(*lib, *clip, height) : QImage();
        },
        [this, id = *next](const QImage& still) {
            looking_ = false;
            stills_[id] = still.isNull() ? blank() : QPixmap::fromImage(still);
            emit found(id);
            look_for(wanted_);
        });
}

} // namespace bevel::ui
