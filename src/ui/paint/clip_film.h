// Frames of a clip by time, for previews; opened on first use. One thread at a time.
#pragma once
#include "media/clip.h"
#include "ui/paint/body.h"
#include <QImage>

namespace bevel::ui {

struct ClipFilm {
    std::filesystem::path path;
    std::optional<ClipReader> reader;
    bool open() {
        if (!reader)
            if (auto r = ClipReader::open(path)) reader = std::move(*r);
        return reader.has_value();
    }
    /// Null when it cannot be read. `width` 0: as it is.
    QImage at(double t, int width) {
        if (!open()) return {};
        const auto& times = reader->info().time_s;
        const auto i = std::min<std::size_t>(static_cast<std::size_t>(std::lower_bound(times.begin(), times.end(), t) - times.begin()),
                                             times.size() - 1);
        const auto im = reader->frame(i);
        if (!im) return {};
        return width > 0 ? to_image(**im).scaledToWidth(width, Qt::SmoothTransformation) : to_image(**im);
    }
};

} // namespace bevel::ui
