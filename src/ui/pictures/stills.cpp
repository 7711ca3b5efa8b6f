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

} // namespace bevel::ui
