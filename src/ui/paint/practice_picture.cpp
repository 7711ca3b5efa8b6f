#include "ui/paint/practice_picture.h"
#include "core/files.h"
#include "media/clip.h"
#include "media/sound.h"
#include "ui/paint/body.h"
#include "ui/paint/card.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCoreApplication>
#include <QPainterPath>

namespace bevel::ui {
namespace {
struct PacerWords {
    Q_DECLARE_TR_FUNCTIONS(practice)
};

QFont sized(const Theme& theme, double pixels, QFont::Weight w = QFont::Normal) {
    QFont f = theme.font(10, w);
    f.setPixelSize(std::max(8, static_cast<int>(std::lround(pixels))));
    return f;
}

/// Text in a box, as large as `pixels` and smaller until it fits.
void fit(QPainter& p, const QRectF& r, const QString& s, double pixels, int flags, const Theme& theme, QFont::Weight w = QFont::Normal) {
    for (double size = pixels; size >= 9; size *= 0.92) {
        p.setFont(sized(theme, size, w));
        const QRectF need = p.boundingRect(r, flags | Qt::TextWordWrap, s);
        if (need.width() <= r.width() + 1 && need.height() <= r.height() + 1) break;
    }
    p.drawText(r, flags | Qt::TextWordWrap, s);
}

} // namespace

double score_time(const sim::Student& figure, double movement_s, std::optional<Side> side) {
    const auto& keys = figure.score().keys();
    if (figure.score().movement().course) { // once through, whoever leads
        double from = 0, to = 0;
        bool begun = false;
        for (std::size_t i = 0; i < keys.size(); ++i) {
            if (keys[i].phase < 0) continue;
            if (!std::exchange(begun, true)) from = i > 0 ? keys[i - 1].time : 0;
            to = keys[i].time;
        }
        return std::clamp(from + movement_s, from, to);
    }
    const Side wanted = side.value_or(Side::left);
    // The repetition of that side; the first where no side leads.
    int rep = -1;
    for (const auto& k : keys)
        if (k.repetition >= 0 && k.phase >= 0 && (k.side == wanted || rep < 0)) {
            rep = k.repetition;
            if (k.side == wanted) break;
        }
    double from = 0, to = figure.score().duration();
    for (std::size_t i = 1; i < keys.size(); ++i)
        if (keys[i].repetition == rep && keys[i].phase == 0) {
            from = keys[i - 1].time;
            break;
        }
    for (const auto& k : keys)
        if (k.repetition == rep && k.phase >= 0) to = k.time;
    return std::clamp(from + movement_s, from, to);
}

PracticePicture practice_picture(const Timeline& t, const Plan& plan, const std::vector<Movement>& movements, double at_s, bool facing) {
    PracticePicture out;
    if (t.stretches.empty()) return out;
    const bool over = at_s >= t.length_s;
    const Moment m = moment_at(t, plan, movements, at_s);
    const Stretch& s = t.stretches[m.stretch];
    const PlanItem& i = plan.items[s.item];
    out.share = t.length_s > 0 ? std::clamp(at_s / t.length_s, 0.0, 1.0) : 1;
    if (over) {
        out.title = PacerWords::tr("That was all");
        return out;
    }
    out.title = text::item_title(i, movements);
    out.amount = text::item_amount(i);
    out.otherwise = text::otherwise_words(i, movements);
    out.fullness = m.fullness;
    out.breath = m.breath;
    out.left = text::minutes_words(m.item_left_s);
    const Movement* now = movement_named(movements, s.movement);
    switch (s.kind) {
    case Stretch::Kind::change:
        out.resting = true;
        out.words = i.support ? text::first_large(text::balance_step(i.ladder)) : PacerWords::tr("Get ready");
        break;
    case Stretch::Kind::breaths:
        out.resting = true;
        out.words = PacerWords::tr("Two free breaths");
        out.left = text::minutes_words(m.left_s);
        break;
    case Stretch::Kind::settle:
        out.words = PacerWords::tr("Stand, and settle");
        break;
    case Stretch::Kind::stand:
        out.left = text::minutes_words(m.left_s);
        break;
    case Stretch::Kind::hold:
        out.count = QStringLiteral("%1").arg(static_cast<int>(std::ceil(m.left_s - 1e-6)));
        out.side = s.of > 1 ? PacerWords::tr("hold %1 of %2").arg(s.number).arg(s.of) : PacerWords::tr("hold");
        break;
    case Stretch::Kind::repeat:
        out.count = QStringLiteral("%1").arg(s.number);
        out.side =
            s.side ? (*s.side == Side::left ? PacerWords::tr("left, %1 of %2") : PacerWords::tr("right, %1 of %2")).arg(s.number).arg(s.of)
                   : PacerWords::tr("%1 of %2").arg(s.number).arg(s.of);
        if (facing && s.side)
            out.facing =
                *s.side == Side::left ? PacerWords::tr("whoever faces the group: right") : PacerWords::tr("whoever faces the group: left");
        if (now)
            for (const auto& p : now->phases)
                if (p.id == m.phase) out.words = i.recall ? PacerWords::tr("From memory") : said(p.name);
        break;
    }
    if (m.next_item) out.next = text::item_title(plan.items[*m.next_item], movements);
    // The newest of what is said stays to be read for a while.
    for (const auto& c : t.calls) {
        if (c.at_s > at_s) break;
        if (c.at_s > at_s - 5 &&
            (c.code == "attention" || c.code == "image" || c.code == "caution" || c.code == "part" || c.code == "was_part"))
            out.caption = text::call_words(c, movements);
    }
    return out;
}

void paint_breath(QPainter& p, const QRectF& r, double fullness, Breath breath, const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const double word_high = 0.16 * r.height();
    const QRectF water = r.adjusted(0, 0, 0, -word_high);
    // Two shores, and the water's level between them; a boat on it.
    const double top = water.top() + 0.16 * water.height(), bottom = water.bottom() - 0.06 * water.height();
    const double level = bottom - std::clamp(fullness, 0.0, 1.0) * (bottom - top);
    QColor fill = c.accent;
    fill.setAlphaF(breath == Breath::free ? 0.10F : 0.22F);
    p.setPen(Qt::NoPen);
    p.setBrush(fill);
    p.drawRect(QRectF(water.left(), level, water.width(), water.bottom() - level));
    p.setPen(QPen(c.line, std::max(1.0, 0.008 * r.height()), Qt::DashLine));
    p.drawLine(QPointF(water.left(), top), QPointF(water.right(), top));
    p.drawLine(QPointF(water.left(), bottom), QPointF(water.right(), bottom));
    const double w = 0.34 * water.width(), h = 0.10 * water.height();
    const QPointF at(water.center().x(), level);
    QPainterPath boat;
    boat.moveTo(at + QPointF(-w / 2, -h * 0.3));
    boat.quadTo(at + QPointF(0, h * 1.1), at + QPointF(w / 2, -h * 0.3));
    boat.closeSubpath();
    p.setBrush(c.accent);
    p.setPen(Qt::NoPen);
    p.drawPath(boat);
    if (breath != Breath::free) { // a sail that points where the breath goes
        QPainterPath sail;
        const double up = breath == Breath::in ? -1 : 1;
        const QPointF foot = at + QPointF(0, up < 0 ? -h * 0.28 : -h * 1.88);
        sail.moveTo(foot + QPointF(-w * 0.16, 0));
        sail.lineTo(foot + QPointF(w * 0.16, 0));
        sail.lineTo(foot + QPointF(0, up * h * 1.6));
        sail.closeSubpath();
        p.drawPath(sail);
    }
    p.setPen(c.ink);
    fit(p, QRectF(r.left(), water.bottom(), r.width(), word_high),
        breath == Breath::in    ? PacerWords::tr("breathe in")
        : breath == Breath::out ? PacerWords::tr("breathe out")
                                : PacerWords::tr("breathe freely"),
        0.8 * word_high, Qt::AlignCenter, theme);
    p.restore();
}

void paint_practice(QPainter& p, const QRectF& r, const PracticePicture& s, const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    p.fillRect(r, c.paper);
    const bool tall = r.height() > r.width();
    const double unit = std::min(r.width(), r.height());
    const double pad = 0.035 * unit;
    // A thin line of what is done.
    p.fillRect(QRectF(r.left(), r.bottom() - 0.012 * unit, r.width() * s.share, 0.012 * unit), c.accent);
    const QRectF all = r.adjusted(pad, pad, -pad, -pad - 0.02 * unit);
    const double title_high = 0.13 * unit;
    p.setPen(c.ink);
    fit(p, QRectF(all.left(), all.top(), all.width(), title_high), s.title, 0.085 * unit, Qt::AlignLeft | Qt::AlignVCenter, theme,
        QFont::DemiBold);
    const double other_high = s.otherwise.isEmpty() ? 0 : 0.075 * unit;
    if (other_high > 0) {
        p.setPen(c.accent);
        fit(p, QRectF(all.left(), all.top() + title_high, all.width(), other_high), s.otherwise, 0.055 * unit,
            Qt::AlignLeft | Qt::AlignVCenter, theme);
    }
    QRectF figure, panel;
    const double foot_high = 0.16 * unit;
    if (tall) {
        figure = QRectF(all.left(), all.top() + title_high + other_high, all.width(), 0.50 * all.height() - other_high);
        panel = QRectF(all.left(), figure.bottom(), all.width(), all.bottom() - foot_high - figure.bottom());
    } else {
        figure =
            QRectF(all.left(), all.top() + title_high + other_high, 0.52 * all.width(), all.height() - title_high - other_high - foot_high);
        panel = QRectF(figure.right() + pad, figure.top(), all.right() - figure.right() - pad, figure.height());
    }
    if (!s.figure.isNull()) {
        const QSizeF size = QSizeF(s.figure.size()).scaled(figure.size(), Qt::KeepAspectRatio);
        p.drawImage(QRectF(figure.center().x() - size.width() / 2, figure.center().y() - size.height() / 2, size.width(), size.height()),
                    s.figure);
    }
    // Count and side, breath, side by side below or above each other.
    const QRectF count = tall ? QRectF(panel.left(), panel.top(), 0.45 * panel.width(), panel.height())
                              : QRectF(panel.left(), panel.top(), panel.width(), 0.46 * panel.height());
    const QRectF breath = tall ? QRectF(count.right() + pad, panel.top(), panel.width() - count.width() - pad, panel.height())
                               : QRectF(panel.left(), count.bottom() + pad, panel.width(), panel.height() - count.height() - pad);
    p.setPen(c.accent);
    if (s.count.isEmpty())
        fit(p, count, s.left, 0.20 * unit, Qt::AlignCenter, theme, QFont::DemiBold);
    else {
        // Whoever leads reads their side from where they stand: it takes room from the count.
        const double lead = s.facing.isEmpty() ? 0 : 0.18 * count.height(), below = 0.28 * count.height() + lead;
        fit(p, count.adjusted(0, 0, 0, -below), s.count, 0.30 * unit, Qt::AlignCenter, theme, QFont::DemiBold);
        p.setPen(c.ink);
        const QRectF side(count.left(), count.bottom() - below, count.width(), below);
        fit(p, side.adjusted(0, 0, 0, -lead), s.side, 0.075 * unit, Qt::AlignCenter, theme);
        p.setPen(c.faint);
        if (lead > 0) fit(p, QRectF(side.left(), side.bottom() - lead, side.width(), lead), s.facing, 0.06 * unit, Qt::AlignCenter, theme);
    }
    paint_breath(p, breath, s.fullness, s.running ? s.breath : Breath::free, theme); // nobody is told to breathe in for as long as a pause
    const QRectF foot(all.left(), all.bottom() - foot_high, all.width(), foot_high);
    p.setPen(c.ink);
    fit(p, QRectF(foot.left(), foot.top(), foot.width(), 0.55 * foot_high),
        s.waits                ? PacerWords::tr("Waits for your tap")
        : !s.running           ? PacerWords::tr("Paused")
        : !s.caption.isEmpty() ? s.caption
                               : s.words,
        0.065 * unit, Qt::AlignLeft | Qt::AlignVCenter, theme);
    p.setPen(c.faint);
    const QRectF lower(foot.left(), foot.top() + 0.55 * foot_high, foot.width(), 0.45 * foot_high);
    const double clock = s.left.isEmpty() || s.count.isEmpty() ? 0 : 0.24 * lower.width(); // without a count it stands large already
    if (!s.next.isEmpty())
        fit(p, lower.adjusted(0, 0, -clock, 0), PacerWords::tr("Next: %1").arg(s.next), 0.05 * unit, Qt::AlignLeft | Qt::AlignVCenter,
            theme);
    if (clock > 0)
        fit(p, QRectF(lower.right() - clock, lower.top(), clock, lower.height()), PacerWords::tr("%1 left", "time").arg(s.left),
            0.05 * unit, Qt::AlignRight | Qt::AlignVCenter, theme);
    p.restore();
}

Result<std::map<std::size_t, std::shared_ptr<const std::vector<float>>>> spoken_of(const Timeline& t,
                                                                                   const std::vector<Movement>& movements,
                                                                                   const std::string& language,
                                                                                   const std::filesystem::path& recordings,
                                                                                   const std::stop_token& stop) {
    const LanguageScope speaks(QString::fromStdString(language));
    std::map<std::size_t, std::shared_ptr<const std::vector<float>>> out;
    std::map<QString, std::shared_ptr<const std::vector<float>>> made;
    for (std::size_t i = 0; i < t.calls.size(); ++i) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const QString words = text::call_words(t.calls[i], movements, true);
        if (words.isEmpty()) continue;
        auto& sound = made[words];
        if (!sound) {
            if (!recordings.empty())
                for (const char* ending : {".wav", ".flac", ".ogg"}) {
                    const auto name = t.calls[i].code + (t.calls[i].of.empty() ? "" : "-" + t.calls[i].of) + ending;
                    if (name.find('/') != std::string::npos) continue; // words, not a file
                    if (auto own = read_sound(recordings / name)) {
                        sound = std::make_shared<const std::vector<float>>(std::move(*own));
                        break;
                    }
                }
            if (!sound) {
                auto voice = speak_words(words.toStdString(), language);
                if (!voice) return tl::unexpected(voice.error());
                sound = std::make_shared<const std::vector<float>>(std::move(*voice));
            }
        }
        out[i] = sound;
    }
    return out;
}

Result<bool> write_practice_film(const std::filesystem::path& file, const PracticeFilm& film, const std::vector<Movement>& movements,
                                 const std::stop_token& stop, const std::function<void(double)>& progress) {
    const LanguageScope speaks(QString::fromStdString(film.language));
    const Timeline t = timeline_of(film.plan, movements, film.options);
    if (t.length_s <= 0) return fail(Code::bad_value, "plan");
    SpokenWords spoken;
    if (film.spoken) {
        auto words = spoken_of(t, movements, film.language.empty() ? "en" : film.language, {}, stop);
        if (!words) return tl::unexpected(words.error());
        spoken = std::move(*words);
    }
    const SoundTrack sound(t, sound_rate, spoken);
    auto writer = ClipWriter::create(file, film.width, film.height, film.fps, 28, "libx264", 0, static_cast<int>(sound_rate));
    if (!writer) return tl::unexpected(writer.error());
    struct Figure {
        std::shared_ptr<const sim::Student> student;
        std::unique_ptr<sim::Film> film;
    };
    std::map<std::string, Figure> figures;
    const Theme theme;
    QImage page(film.width, film.height, QImage::Format_RGB888);
    const auto frames = static_cast<std::size_t>(std::ceil(t.length_s * film.fps));
    std::int64_t heard = 0;
    std::vector<float> piece;
    QString drawn_as; // movement, time: what the last figure shows
    QImage figure;
    for (std::size_t f = 0; f < frames; ++f) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        const double at = static_cast<double>(f) / film.fps;
        PracticePicture s = practice_picture(t, film.plan, movements, at);
        const Moment m = moment_at(t, film.plan, movements, at);
        const Stretch& stretch = t.stretches[m.stretch];
        const Movement* mv = movement_of(film.plan.items[stretch.item], movements, stretch.movement);
        if (mv && stretch.kind != Stretch::Kind::settle && !film.plan.items[stretch.item].recall) {
            auto& one = figures[drawn_id(*mv)];
            if (!one.student) {
                one.student = figure_of(*mv, std::nullopt);
                const bool tall = film.height > film.width;
                auto phone =
                    paper_phone(tall ? film.width * 3 / 4 : film.width / 2, tall ? film.height / 2 : film.height * 3 / 4, film.azimuth_deg);
                phone.distance_m *= camera_back(*one.student, phone, mv->course != nullptr);
                one.film = std::make_unique<sim::Film>(one.student->solver(), sim::Looks::reference(), phone);
            }
            const double score = score_time(*one.student, m.movement_s, stretch.side);
            const QString as = QStringLiteral("%1 %2").arg(QString::fromStdString(drawn_id(*mv))).arg(std::lround(score * film.fps));
            if (as != drawn_as) {
                figure = to_image(one.film->shoot(pose_seen(*one.student, one.student->time_of(score), mv->course != nullptr), 0));
                if (film.mirrored) figure = figure.mirrored(true, false);
                drawn_as = as;
            }
            s.figure = figure;
        }
        QPainter p(&page);
        paint_practice(p, QRectF(0, 0, film.width, film.height), s, theme);
        p.end();
        sim::Image im;
        im.width = film.width, im.height = film.height;
        im.rgb.resize(static_cast<std::size_t>(film.width) * static_cast<std::size_t>(film.height) * 3);
        for (int y = 0; y < film.height; ++y)
            std::copy_n(page.constScanLine(y), static_cast<std::size_t>(film.width) * 3,
                        im.rgb.begin() + static_cast<std::ptrdiff_t>(y) * film.width * 3);
        if (auto ok = writer->add(im, at); !ok) return ok;
        // The sound that belongs to this frame.
        const std::int64_t to = f + 1 == frames ? sound.length() : sound.sample_of(static_cast<double>(f + 1) / film.fps);
        piece.resize(static_cast<std::size_t>(std::max<std::int64_t>(0, to - heard)));
        sound.read(heard, piece);
        if (auto ok = writer->add_sound(piece); !ok) return ok;
        heard = std::max(heard, to);
        if (progress && f % 12 == 0) progress(static_cast<double>(f) / static_cast<double>(frames));
    }
    if (auto ok = writer->finish(); !ok) return ok;
    const std::string captions = captions_of(t, [&](const Call& c) { return text::call_words(c, movements).toStdString(); });
    auto beside = file;
    beside.replace_extension(".vtt");
    return write_whole(beside, captions);
}

} // namespace bevel::ui
