// What a letter says of each correction, and its two pictures: the clip's moment with the fault marked, the reference at the same moment.
#include "core/review/free.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include "ui/paint/compare.h"
#include "ui/paint/hidden.h"
#include "ui/paint/letter_document.h"
#include "ui/text/languages.h"
#include "ui/text/text.h"
#include <cmath>
#include <QCoreApplication>
#include <QRegularExpression>
#include <QSet>

namespace bevel::ui {
namespace {
struct ComposedWords {
    Q_DECLARE_TR_FUNCTIONS(letter)
};
} // namespace

QString homework_words(const Homework& h, const std::vector<Movement>* movements) {
    if (h.empty()) return {};
    QString name = QString::fromStdString(h.movement);
    if (movements)
        for (const auto& m : *movements)
            if (m.id == h.movement) name = said(m.name);
    QStringList how;
    if (h.times_a_day > 0) how << ComposedWords::tr("%n time(s) a day", nullptr, h.times_a_day);
    if (h.a_side > 0) how << ComposedWords::tr("%1 a side").arg(h.a_side);
    if (h.hold_s > 0) how << ComposedWords::tr("holding %1 s").arg(locale_now().toString(h.hold_s, 'f', 0));
    if (how.isEmpty()) return name;
    return name.isEmpty() ? how.join(QStringLiteral(", ")) : QStringLiteral("%1: %2").arg(name, how.join(QStringLiteral(", ")));
}

namespace {
/// The instructor's own words for a finding: of this very end of the band, else of an older decision that names none.
std::string wording_of(const std::vector<Decision>& decisions, const Finding& f) {
    std::string out;
    for (const auto& d : decisions)
        if (d.key == FindingKey::of(f) || (out.empty() && d.key.means(f))) out = d.wording;
    return out;
}
} // namespace

namespace {
/// "The knee falls in, right: in all 4 repetitions, most in “Shift”."
QString seen_words(const Finding& f, const std::vector<const Finding*>& remark, const Movement& movement, const Catalogue& catalogue) {
    const auto on = [&](Side s) { return std::any_of(remark.begin(), remark.end(), [&](const Finding* g) { return g->side == s; }); };
    QStringList when{f.part.empty() ? text::repetitions(f) : QString(), text::where(remark, movement, false)};
    when.removeAll(QString());
    const QString seen = text::fault(f, catalogue, on(Side::left) && on(Side::right));
    return when.isEmpty() ? ComposedWords::tr("%1.", "what is seen").arg(seen)
                          : ComposedWords::tr("%1: %2.", "what is seen, when and where").arg(seen, when.join(QStringLiteral(", ")));
}

std::string line_of(const Finding& f, const Catalogue& catalogue) {
    const auto* info = catalogue.find(QString::fromStdString(f.measure));
    return info ? info->line : std::string();
}

/// Each sentence once, however it is punctuated.
QStringList without_repeats(const QStringList& all) {
    QSet<QString> said_already;
    QStringList out;
    static const QRegularExpression sentence(QStringLiteral("[^.!?]+[.!?]*\\s*"));
    for (const QString& words : all) {
        QString kept;
        for (auto it = sentence.globalMatch(words); it.hasNext();) {
            const QString s = it.next().captured();
            QString plain;
            for (const QChar c : s)
                if (c.isLetterOrNumber()) plain += c.toLower();
            if (plain.isEmpty() || said_already.contains(plain)) continue;
            said_already.insert(plain);
            kept += s;
        }
        if (!kept.trimmed().isEmpty()) out << kept.trimmed();
    }
    return out;
}
} // namespace

LetterContent compose_letter(const LetterSource& source, const Catalogue& catalogue, const Theme& theme) {
    LetterContent c;
    const Movement& movement = source.review->movement;
    c.movement = text::movement(movement);
    c.view = text::view(source.review->motion.view);
    for (const auto& f : source.corrections) {
        if (c.items.size() >= 3) break;
        LetterItem item;
        item.key = QString::fromStdString(FindingKey::of(f).text());
        const QString phase = text::phase(movement, f.phase);
        item.moment = phase.isEmpty() ? text::time(f.time_s) : QStringLiteral("%1, %2").arg(phase, text::time(f.time_s));
        if (source.review->partner) // two clips, two clocks
            item.moment = QStringLiteral("%1, %2").arg(item.moment, text::view(source.review->of(f).motion.view));
        const std::string own = wording_of(source.decisions, f);
        item.cue = !own.empty() ? QString::fromStdString(own) : said(f.cue);
        const QString unit = QString::fromStdString(f.unit);
        if (!f.by_hand) {
            item.seen = seen_words(f, remark_of(f, source.review->findings), movement, catalogue);
            if (source.figures)
                item.figure = ComposedWords::tr("%1, asked: %2")
                                  .arg(text::with_sigma(f.value, f.sigma, unit, source.units), text::aim(f, source.units));
        }
        item.caution = text::caution_of(f);
        const auto with =
            std::find_if(source.with.begin(), source.with.end(), [&](const auto& w) { return FindingKey::read(w.first).means(f); });
        if (with != source.with.end()) {
            item.image = said(with->second.image);
            for (const auto& d : movement.drills)
                if (d.name == with->second.drill) item.drill = QStringLiteral("%1. %2").arg(said(d.name), said(d.about));
            item.homework = homework_words(with->second.homework, source.movements);
        }
        const bool other = f.of_clip == 1 && source.partner_track && source.review->partner;
        const Track& track = other ? *source.partner_track : *source.track;
        if (track.width > 0 && source.pictures) {
            const auto stills =
                make_stills(other ? source.partner_clip : source.clip, track, other ? source.review->partner : source.review, f,
                            line_of(f, catalogue), f.by_hand ? QString() : text::fault(f, catalogue), source.hide_identity, theme);
            item.still = stills.still;
            item.reference = stills.reference;
            item.frame = stills.frame;
            item.still_left_out = stills.left_out;
        }
        c.items.push_back(item);
    }
    c.cautions = without_repeats(text::cautions_for({}, &movement) << text::caution(QStringLiteral("general")));
    return c;
}

namespace {
/// The foot that carries at a frame.
Side planted_at(const Review& review, std::size_t frame) {
    const auto* weight = review.measures.find("weight.left");
    return weight && frame < weight->samples.size() && weight->samples[frame].present() && weight->samples[frame].value < 0.5 ? Side::right
                                                                                                                              : Side::left;
}

/// What is wrong, in a corner of the picture.
void name_fault(QPainter& p, const QSize& size, const QString& seen, const Theme& theme) {
    if (seen.isEmpty()) return;
    QFont f = theme.font(12, QFont::DemiBold);
    f.setPixelSize(size.width() / 22);
    p.setFont(f);
    const double pad = size.width() / 60.0;
    const QRectF words = p.boundingRect(QRectF(pad, pad, size.width() - 4 * pad, size.height()), Qt::TextWordWrap | Qt::AlignLeft, seen);
    QColor veil(0xFF, 0xFD, 0xF8, 225);
    p.fillRect(words.adjusted(-pad, -pad, pad, pad), veil);
    p.setPen(theme.palette.outside);
    p.drawText(words, Qt::TextWordWrap | Qt::AlignLeft, seen);
}
} // namespace

Stills make_stills(const std::filesystem::path& clip, const Track& track, const std::shared_ptr<const Review>& review, const Finding& f,
                   const std::string& line, const QString& seen, bool hide_identity, const Theme& theme) {
    Stills out;
    const auto& ts = track.time_s;
    auto i = static_cast<std::size_t>(std::lower_bound(ts.begin(), ts.end(), f.time_s - 1e-6) - ts.begin());
    i = std::min(i, ts.size() - 1);
    out.frame = i;
    const BodyPx* body = track.px[i] ? &*track.px[i] : nullptr;
    // Where the reference would stand at this moment; there is none of practice of no known movement.
    const auto* rep = review->alignment.at(f.time_s);
    std::optional<ReferencePainter::Shot> shot;
    Placement place;
    if (review->movement.id != free_id) {
        const double ref = rep ? rep->to_reference(f.time_s) : review->reference->borders(Side::left).front();
        shot = ReferencePainter(review, std::max(track.width, 320), std::max(track.height, 240)).at(ref);
        if (body) place = placement_of(shot->points, *body, planted_at(*review, i));
    }
    // Close about both bodies at this moment, so that they can be seen in print, in one frame and on one line of the floor.
    Track moment = track;
    moment.px.clear();
    if (body) moment.px.push_back(*body);
    BodyPx meant{};
    if (shot && body) {
        meant = laid_over(shot->points, *body, planted_at(*review, i));
        moment.px.push_back(meant);
    }
    const QRectF crop = crop_of(body ? moment : track, still_aspect);
    const int wide = 600, high = static_cast<int>(wide / still_aspect);
    const double k = wide / crop.width();
    const auto to = [&](double x, double y) { return QPointF((x - crop.left()) * k, (y - crop.top()) * k); };
    auto framed = [&](const QImage& source, const Placement& at, const std::function<void(QPainter&)>& lines) {
        QImage im(wide, high, QImage::Format_RGB32);
        im.fill(QColor(0xF3, 0xEE, 0xE4));
        QPainter p(&im);
        p.setRenderHints(QPainter::SmoothPixmapTransform | QPainter::Antialiasing);
        const QPointF corner = at(0, 0);
        p.drawImage(QRectF(to(corner.x(), corner.y()), QSizeF(source.size()) * at.scale * k), source);
        lines(p);
        return im;
    };
    if (!clip.empty())
        if (auto reader = ClipReader::open(clip))
            if (auto im = reader->frame(i)) {
                QImage q = to_image(**im);
                if (!hide_identity || (body && hide_person(q, *body)))
                    out.still = framed(q, {}, [&](QPainter& p) {
                        if (body) draw_body(p, *body, f.family, to, theme, 2.0);
                        if (body && shot)
                            draw_compared(p, compare(*body, meant, line, f.side.value_or(planted_at(*review, i))), to, theme, 2.4);
                        name_fault(p, {wide, high}, seen, theme);
                    });
                else
                    out.left_out = true;
            }
    if (!shot) return out;
    out.reference = framed(shot->picture, place, [&](QPainter& p) {
        draw_body(
            p, shot->points, f.family,
            [&](double x, double y) {
                const QPointF q = place(x, y);
                return to(q.x(), q.y());
            },
            theme, 2.0);
    });
    return out;
}

} // namespace bevel::ui
