#include "ui/paint/slow_clip.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include "ui/paint/hidden.h"
#include <algorithm>
#include <cmath>
#include <QPainter>

namespace bevel::ui {

SlowClip stretch_of(const Finding& f, const Review& review) {
    SlowClip s;
    s.family = f.family;
    const double end = review.motion.time_s.empty() ? 0 : review.motion.time_s.back();
    double from = f.time_s - 1.5, to = f.time_s + 1.5;
    if (const auto* rep = review.alignment.at(f.time_s))
        for (const auto& p : rep->phases)
            if (f.time_s >= p.start_s && f.time_s < p.end_s) from = p.start_s - 0.5, to = p.end_s + 0.5;
    // A long hold is shown about its moment.
    if (to - from > 8) from = std::max(from, f.time_s - 4), to = std::min(to, f.time_s + 4);
    s.from_s = std::max(0.0, from);
    s.to_s = std::min(end, to);
    return s;
}

namespace {
struct Fineness {
    int quality;
    double scale;
};

Result<bool> write_once(const std::filesystem::path& file, const std::filesystem::path& clip, const Track& track, const SlowClip& what,
                        const Fineness& fine, const Theme& theme, const std::stop_token& stop,
                        const std::function<void(double)>& progress) {
    auto reader = ClipReader::open(clip);
    if (!reader) return tl::unexpected(reader.error());
    const auto& ts = track.time_s;
    const auto first = static_cast<std::size_t>(std::lower_bound(ts.begin(), ts.end(), what.from_s - 1e-6) - ts.begin());
    const auto last = static_cast<std::size_t>(std::upper_bound(ts.begin(), ts.end(), what.to_s + 1e-6) - ts.begin());
    if (last <= first + 1 || !(what.slower >= 1)) return fail(Code::bad_value, "stretch");
    Track part = track;
    part.px.assign(track.px.begin() + static_cast<std::ptrdiff_t>(first), track.px.begin() + static_cast<std::ptrdiff_t>(last));
    const QRectF crop = crop_of(part, 4.0 / 3);
    const int high = std::clamp(static_cast<int>(fine.scale * crop.height()) / 2 * 2, 240, 720), wide = high * 4 / 3 / 2 * 2;
    const double k = wide / crop.width();
    const double rate = static_cast<double>(last - first - 1) / (ts[last - 1] - ts[first]) / what.slower;
    auto writer = ClipWriter::create(file, wide, high, rate, fine.quality);
    if (!writer) return tl::unexpected(writer.error());
    std::size_t shown = 0;
    sim::Image out;
    out.width = wide;
    out.height = high;
    for (std::size_t i = first; i < last; ++i) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const auto picture = reader->frame(i);
        if (!picture) continue; // a damaged frame is passed over
        QImage q = to_image(**picture);
        const auto& body = track.px[i];
        if (what.hide && !(body && hide_person(q, *body))) continue;
        QImage im(wide, high, QImage::Format_RGB888);
        im.fill(QColor(0xF3, 0xEE, 0xE4));
        QPainter p(&im);
        p.setRenderHints(QPainter::SmoothPixmapTransform | QPainter::Antialiasing);
        p.drawImage(QRectF(-crop.left() * k, -crop.top() * k, q.width() * k, q.height() * k), q);
        if (body && what.family)
            draw_body(
                p, *body, *what.family, [&](double x, double y) { return QPointF((x - crop.left()) * k, (y - crop.top()) * k); }, theme,
                2.0);
        p.end();
        out.rgb.resize(static_cast<std::size_t>(wide) * high * 3);
        for (int y = 0; y < high; ++y)
            std::copy_n(im.constScanLine(y), static_cast<std::size_t>(wide) * 3, out.rgb.data() + static_cast<std::size_t>(y) * wide * 3);
        if (auto ok = writer->add(out, (ts[i] - ts[first]) * what.slower); !ok) return ok;
        ++shown;
        if (progress) progress(static_cast<double>(i - first + 1) / static_cast<double>(last - first));
    }
    if (shown == 0) return fail(Code::cannot_judge, "nothing_to_show");
    return writer->finish();
}
} // namespace

Result<bool> write_slow_clip(const std::filesystem::path& file, const std::filesystem::path& clip, const Track& track, const SlowClip& what,
                             const Theme& theme, const std::stop_token& stop, const std::function<void(double)>& progress) {
    // Beside it, so that what stands there stays until the new one fits.
    auto trial = file;
    std::error_code none;
    for (int n = 1; n == 1 || std::filesystem::exists(trial, none); ++n)
        trial.replace_filename(file.stem().string() + ".trial-" + std::to_string(n) + file.extension().string());
    for (const Fineness& fine : {Fineness{22, 1}, {27, 1}, {30, 0.75}, {34, 0.5}}) {
        auto ok = write_once(what.most_bytes > 0 ? trial : file, clip, track, what, fine, theme, stop, progress);
        if (what.most_bytes == 0) return ok;
        if (!ok) {
            std::filesystem::remove(trial, none);
            return ok;
        }
        if (std::filesystem::file_size(trial, none) > what.most_bytes) continue;
        std::filesystem::rename(trial, file, none);
        return none ? fail(Code::write_failed, file.string()) : Result<bool>(true);
    }
    std::filesystem::remove(trial, none);
    return fail(Code::too_large, "clip");
}

} // namespace bevel::ui
