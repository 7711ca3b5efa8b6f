#include "ui/paint/letter_document.h"
#include "core/review/free.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include "ui/paint/hidden.h"
#include "ui/paint/plain_pdf.h"
#include "ui/text/languages.h"
#include "ui/text/text.h"
#include <cmath>
#include <QBuffer>
#include <QCoreApplication>
#include <QFile>
#include <QLocale>
#include <QPdfWriter>

namespace bevel::ui {
namespace {

struct LetterWords {
    Q_DECLARE_TR_FUNCTIONS(letter)
};
constexpr double page_w = 595, page_h = 842, margin = 48, text_w = page_w - 2 * margin;

/// Draws wrapped text and returns the height used; measures only when the painter is null.
double put(QPainter& p, double x, double y, double w, const QString& s, const QFont& f, const QColor& c, bool draw) {
    if (s.isEmpty()) return 0;
    p.setFont(f);
    const QRectF r = p.boundingRect(QRectF(x, y, w, 2000), Qt::AlignLeft | Qt::TextWordWrap, s);
    if (draw) {
        p.setPen(c);
        p.drawText(QRectF(x, y, w, r.height() + 4), Qt::AlignLeft | Qt::TextWordWrap, s);
    }
    return r.height();
}

QFont points(const Theme& t, double size, QFont::Weight w = QFont::Normal) {
    QFont f = t.font(size, w);
    f.setPixelSize(static_cast<int>(std::lround(size))); // the painter's unit is the point
    return f;
}

QString still_caption(const LetterItem& it) {
    return it.still_left_out ? LetterWords::tr("Left out: on this picture it cannot be hidden who it is")
                             : LetterWords::tr("You, at this moment");
}

/// "3 May 2026 · filmed from the front"; without a date where that is hidden.
QString when_and_where(const LetterContent& c) {
    return c.date.isValid() ? LetterWords::tr("%1 · filmed %2").arg(locale_now().toString(c.date, QLocale::LongFormat), c.view)
                            : LetterWords::tr("Filmed %1").arg(c.view);
}

/// Walks the letter and paints what lies on page `wanted`; returns the number of pages.
/// What goes with a correction: picture for the mind, drill, homework, a line each.
QStringList beside(const LetterItem& it) {
    QStringList out;
    if (!it.image.isEmpty()) out << LetterWords::tr("Picture this: %1").arg(it.image);
    if (!it.drill.isEmpty()) out << LetterWords::tr("First alone: %1").arg(it.drill);
    if (!it.homework.isEmpty()) out << LetterWords::tr("At home: %1").arg(it.homework);
    return out;
}

QString next_words(const LetterContent& c) {
    return LetterWords::tr("Please send a new clip around %1.").arg(locale_now().toString(c.next, QLocale::LongFormat));
}

class Layout {
public:
    Layout(QPainter& p, const LetterContent& c, const Theme& t, int wanted)
        : p_(p), c_(c), t_(t), wanted_(wanted), size_(c.large ? 1.4 : 1), speaks_(c.language) {}

    int run() {
        head();
        if (!c_.opening.isEmpty()) paragraph(c_.opening, 11, 12);
        if (!c_.praise.isEmpty()) {
            room(40);
            line(LetterWords::tr("What went well"), 10, QFont::DemiBold, t_.palette.inside, 3);
            paragraph(c_.praise, 12, 14);
        }
        for (int i = 0; i < c_.items.size(); ++i) item(i);
        if (c_.next.isValid()) paragraph(next_words(c_), 11, 10);
        if (!c_.closing.isEmpty()) paragraph(c_.closing, 11, 10);
        room(30);
        paragraph(c_.instructor, 11, 14);
        if (!c_.cautions.isEmpty()) {
            const QString all = c_.cautions.join(QStringLiteral("  "));
            const double h = put(p_, margin + 10, 0, text_w - 20, all, type(9), t_.palette.faint, false);
            room(h + 18);
            if (here()) {
                p_.setPen(QPen(t_.palette.line, 1));
                p_.drawLine(QPointF(margin, y_), QPointF(page_w - margin, y_));
            }
            y_ += 8;
            put(p_, margin, y_, text_w, all, type(9), t_.palette.faint, here());
        }
        return page_ + 1;
    }

private:
    bool here() const { return page_ == wanted_; }
    QFont type(double size, QFont::Weight w = QFont::Normal) const { return points(t_, size_ * size, w); }
    void room(double h) {
        if (y_ + h <= page_h - margin) return;
        ++page_;
        y_ = margin;
    }
    void line(const QString& s, double size, QFont::Weight w, const QColor& c, double after) {
        y_ += put(p_, margin, y_, text_w, s, type(size, w), c, here()) + after;
    }
    void paragraph(const QString& s, double size, double after) {
        const double h = put(p_, margin, 0, text_w, s, type(size), t_.palette.ink, false);
        room(h);
        line(s, size, QFont::Normal, t_.palette.ink, after);
    }
    void head() {
        line(c_.place, 10, QFont::DemiBold, t_.palette.accent, 2);
        line(LetterWords::tr("%1 for %2").arg(c_.movement, c_.student), 19, QFont::DemiBold, t_.palette.ink, 2);
        line(when_and_where(c_), 10, QFont::Normal, t_.palette.faint, 12);
    }
    void item(int i) {
        const LetterItem& it = c_.items[i];
        const double picture = 168, gap = 12, w = (text_w - gap) / 2;
        const bool pictures = !it.reference.isNull() || !it.still.isNull();
        const QStringList more = beside(it);
        double h = 20 + put(p_, 0, 0, text_w, it.cue, type(13, QFont::DemiBold), t_.palette.ink, false) + 16 * size_ +
                   (pictures ? picture + 22 : 0) + put(p_, 0, 0, text_w, it.caution, type(10), t_.palette.outside, false);
        for (const auto& words : more) h += put(p_, 0, 0, text_w, words, type(11), t_.palette.ink, false) + 3;
        room(h);
        line(LetterWords::tr("%1 · %2").arg(i + 1).arg(it.moment), 10, QFont::DemiBold, t_.palette.accent, 2);
        line(it.cue, 13, QFont::DemiBold, t_.palette.ink, 3);
        line(it.figure, 10, QFont::Normal, t_.palette.faint, 5);
        if (pictures) {
            auto image = [&](const QImage& im, double x, const QString& caption) {
                if (!here()) return;
                const QRectF box(x, y_, w, picture);
                p_.fillRect(box, QColor(0xF3, 0xEE, 0xE4));
                if (!im.isNull()) {
                    const QSizeF s = QSizeF(im.size()).scaled(box.size(), Qt::KeepAspectRatio);
                    p_.setRenderHint(QPainter::SmoothPixmapTransform);
                    p_.drawImage(QRectF(box.center().x() - s.width() / 2, box.top(), s.width(), s.height()), im);
                }
                put(p_, x, y_ + picture + 3, w, caption, type(9), t_.palette.faint, true);
            };
            image(it.still, margin, still_caption(it));
            if (!it.reference.isNull())
                image(it.reference, margin + w + gap, LetterWords::tr("The reference, at the same moment of the movement"));
            y_ += picture + 20;
        }
        for (const auto& words : more) line(words, 11, QFont::Normal, t_.palette.ink, 3);
        if (!it.caution.isEmpty()) line(it.caution, 10, QFont::Normal, t_.palette.outside, 2);
        y_ += 12;
    }

    QPainter& p_;
    const LetterContent& c_;
    const Theme& t_;
    int wanted_, page_ = 0;
    double size_; // of the type
    LanguageScope speaks_;
    double y_ = margin;
};

QString data_url(const QImage& im) {
    QByteArray bytes;
    QBuffer b(&bytes);
    b.open(QIODevice::WriteOnly);
    im.save(&b, "PNG");
    return QStringLiteral("data:image/png;base64,") + QString::fromLatin1(bytes.toBase64());
}

} // namespace

bool paint_letter_page(QPainter& p, const LetterContent& c, int number, const Theme& theme) {
    return number >= 0 && number < Layout(p, c, theme, number).run();
}

int letter_pages(const LetterContent& c) {
    QImage dummy(8, 8, QImage::Format_ARGB32);
    QPainter p(&dummy);
    return Layout(p, c, Theme(), -1).run();
}

namespace {
Result<QByteArray> stripped(const QByteArray& bytes) {
    std::string out;
    if (!plain_pdf(bytes.toStdString(), out)) return fail(Code::write_failed, "PDF: " + out);
    return QByteArray::fromStdString(out);
}
} // namespace

Result<QByteArray> letter_pdf(const LetterContent& c, bool anonymous) {
    QByteArray bytes;
    QBuffer out(&bytes);
    out.open(QIODevice::WriteOnly);
    QPdfWriter pdf(&out);
    pdf.setPageSize(QPageSize(QPageSize::A4));
    pdf.setPageMargins(QMarginsF(0, 0, 0, 0));
    if (!anonymous) pdf.setTitle(LetterWords::tr("%1 for %2").arg(c.movement, c.student));
    pdf.setCreator(QStringLiteral("Bevel"));
    QPainter p(&pdf);
    const double scale = pdf.width() / page_w;
    const int pages = letter_pages(c);
    for (int i = 0; i < pages; ++i) {
        if (i > 0) pdf.newPage();
        p.save();
        p.scale(scale, scale);
        paint_letter_page(p, c, i, Theme());
        p.restore();
    }
    if (!p.end()) return fail(Code::write_failed, "PDF");
    out.close();
    return anonymous ? stripped(bytes) : Result<QByteArray>(bytes);
}

QString letter_html(const LetterContent& c) {
    const LanguageScope speaks(c.language);
    auto e = [](const QString& s) { return s.toHtmlEscaped(); };
    const QString title = e(LetterWords::tr("%1 for %2").arg(c.movement, c.student));
    QString h =
        QStringLiteral(
            "<!DOCTYPE html>\n<html lang=\"%2\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
            "content=\"width=device-width, initial-scale=1\"><title>%1</title><style>body{font-family:'Open "
            "Sans',sans-serif;background:#f5f0e6;color:#2b2622;font-size:%3;"
            "max-width:46em;margin:2em auto;padding:0 1em;line-height:1.5}h1{font-size:1.6em}.faint{color:#625a50}.caution{color:#9c242b}"
            ".pair{display:flex;flex-wrap:wrap;gap:1em}.pair figure{flex:1 1 14em;margin:0}.pair img{width:100%}footer{border-top:1px "
            "solid "
            "#d9cfbe;margin-top:2em;padding-top:.6em}</style></head><body><main>\n")
            .arg(title, spoken_language(), c.large ? QStringLiteral("1.4em") : QStringLiteral("1em"));
    h += QStringLiteral("<p class=\"faint\">%1</p><h1>%2</h1><p class=\"faint\">%3</p>\n").arg(e(c.place), title, e(when_and_where(c)));
    auto paragraphs = [&](const QString& words) {
        for (const auto& p : words.split(QLatin1Char('\n'), Qt::SkipEmptyParts)) h += QStringLiteral("<p>%1</p>\n").arg(e(p));
    };
    paragraphs(c.opening);
    if (!c.praise.isEmpty()) h += QStringLiteral("<h2>%1</h2><p>%2</p>\n").arg(e(LetterWords::tr("What went well")), e(c.praise));
    for (int i = 0; i < c.items.size(); ++i) {
        const auto& it = c.items[i];
        h += QStringLiteral("<section aria-labelledby=\"c%1\"><h2 id=\"c%1\">%1. %2</h2><p class=\"faint\">%3</p>\n")
                 .arg(i + 1)
                 .arg(e(it.cue), e(it.figure.isEmpty() ? it.moment : QStringLiteral("%1 · %2").arg(it.moment, it.figure)));
        if (!it.reference.isNull() || !it.still.isNull()) {
            h += QStringLiteral("<div class=\"pair\">");
            if (!it.still.isNull())
                h += QStringLiteral("<figure><img alt=\"%1\" src=\"%2\"><figcaption>%1</figcaption></figure>")
                         .arg(e(LetterWords::tr("You, at this moment")), data_url(it.still));
            if (!it.reference.isNull())
                h += QStringLiteral("<figure><img alt=\"%1\" src=\"%2\"><figcaption>%1</figcaption></figure>")
                         .arg(e(LetterWords::tr("The reference, at the same moment of the movement")), data_url(it.reference));
            h += QStringLiteral("</div>\n");
        }
        for (const auto& words : beside(it)) h += QStringLiteral("<p>%1</p>\n").arg(e(words));
        if (!it.caution.isEmpty()) h += QStringLiteral("<p class=\"caution\">%1</p>").arg(e(it.caution));
        h += QStringLiteral("</section>\n");
    }
    if (c.next.isValid()) h += QStringLiteral("<p>%1</p>\n").arg(e(next_words(c)));
    paragraphs(c.closing);
    h += QStringLiteral("<p>%1</p></main>\n<footer class=\"faint\"><p>%2</p></footer></body></html>\n")
             .arg(e(c.instructor), e(c.cautions.join(QLatin1Char(' '))));
    return h;
}

QString letter_text(const LetterContent& c) {
    const LanguageScope speaks(c.language);
    QStringList out;
    if (!c.opening.isEmpty()) out << c.opening;
    if (!c.praise.isEmpty()) out << c.praise;
    for (int i = 0; i < c.items.size(); ++i) {
        const auto& it = c.items[i];
        QString words = QStringLiteral("%1. %2").arg(i + 1).arg(it.cue);
        if (!it.figure.isEmpty()) words += QStringLiteral(" (%1)").arg(it.figure);
        for (const auto& more : beside(it)) words += QLatin1Char('\n') + more;
        if (!it.caution.isEmpty()) words += QLatin1Char('\n') + it.caution;
        out << words;
    }
    if (c.next.isValid()) out << next_words(c);
    if (!c.closing.isEmpty()) out << c.closing;
    if (!c.instructor.isEmpty()) out << c.instructor;
    // Of the cautions the general one; those of the corrections stand with them.
    if (!c.cautions.isEmpty()) out << c.cautions.back();
    return out.join(QStringLiteral("\n\n")) + QLatin1Char('\n');
}

QString homework_words(const Homework& h, const std::vector<Movement>* movements) {
    if (h.empty()) return {};
    QString name = QString::fromStdString(h.movement);
    if (movements)
        for (const auto& m : *movements)
            if (m.id == h.movement) name = said(m.name);
    QStringList how;
    if (h.times_a_day > 0) how << LetterWords::tr("%n time(s) a day", nullptr, h.times_a_day);
    if (h.a_side > 0) how << LetterWords::tr("%1 a side").arg(h.a_side);
    if (h.hold_s > 0) how << LetterWords::tr("holding %1 s").arg(locale_now().toString(h.hold_s, 'f', 0));
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

LetterContent compose_letter(const LetterSource& source, const Catalogue& catalogue, const Theme& theme) {
    LetterContent c;
    const Movement& movement = source.review->movement;
    c.movement = text::movement(movement);
    c.view = text::view(source.review->motion.view);
    for (const auto& f : source.corrections) {
        if (c.items.size() >= 3) break;
        LetterItem item;
        const QString phase = text::phase(movement, f.phase);
        item.moment = phase.isEmpty() ? text::time(f.time_s) : QStringLiteral("%1, %2").arg(phase, text::time(f.time_s));
        if (source.review->partner) // two clips, two clocks
            item.moment = QStringLiteral("%1, %2").arg(item.moment, text::view(source.review->of(f).motion.view));
        const std::string own = wording_of(source.decisions, f);
        item.cue = !own.empty() ? QString::fromStdString(own) : said(f.cue);
        const QString unit = QString::fromStdString(f.unit);
        const QString where = text::where(remark_of(f, source.review->findings), movement);
        if (!f.by_hand)
            item.figure = LetterWords::tr("%1 (± %2; aim: %3), %4")
                              .arg(text::headline(f, catalogue, source.units), text::figure(f.sigma, unit, source.units),
                                   text::aim(f, source.units), f.part.empty() ? text::repetitions(f) : where);
        if (!f.by_hand && f.part.empty() && !where.isEmpty()) item.figure = QStringLiteral("%1; %2").arg(item.figure, where);
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
            const auto stills = make_stills(other ? source.partner_clip : source.clip, track,
                                            other ? source.review->partner : source.review, f, source.hide_identity, theme);
            item.still = stills.still;
            item.reference = stills.reference;
            item.frame = stills.frame;
            item.still_left_out = stills.left_out;
        }
        c.items.push_back(item);
    }
    c.cautions = text::cautions_for({}, &movement) << text::caution(QStringLiteral("general"));
    return c;
}

Stills make_stills(const std::filesystem::path& clip, const Track& track, const std::shared_ptr<const Review>& review, const Finding& f,
                   bool hide_identity, const Theme& theme) {
    Stills out;
    const auto& ts = track.time_s;
    auto i = static_cast<std::size_t>(std::lower_bound(ts.begin(), ts.end(), f.time_s - 1e-6) - ts.begin());
    i = std::min(i, ts.size() - 1);
    out.frame = i;
    // Close about the body at this moment, so that it can be seen in print.
    Track moment = track;
    moment.px.assign(1, track.px[i] ? track.px[i] : std::nullopt);
    const double aspect = 1.45;
    const QRectF crop = crop_of(moment.px[0] ? moment : track, aspect);
    const int wide = 720, high = static_cast<int>(wide / aspect);
    const double k = wide / crop.width();
    auto framed = [&](const QImage& source, const BodyPx* body, double dx) {
        QImage im(wide, high, QImage::Format_RGB32);
        im.fill(QColor(0xF3, 0xEE, 0xE4));
        QPainter p(&im);
        p.setRenderHints(QPainter::SmoothPixmapTransform | QPainter::Antialiasing);
        const double left = crop.left() + dx;
        p.drawImage(QRectF(-left * k, -crop.top() * k, source.width() * k, source.height() * k), source);
        if (body)
            draw_body(
                p, *body, f.family, [&](double x, double y) { return QPointF((x - left) * k, (y - crop.top()) * k); }, theme, 2.0);
        return im;
    };
    const BodyPx* body = track.px[i] ? &*track.px[i] : nullptr;
    if (!clip.empty())
        if (auto reader = ClipReader::open(clip))
            if (auto im = reader->frame(i)) {
                QImage q = to_image(**im);
                if (!hide_identity || (body && hide_person(q, *body)))
                    out.still = framed(q, body, 0);
                else
                    out.left_out = true;
            }
    if (review->movement.id == free_id) return out; // there is none to be held against
    const auto* rep = review->alignment.at(f.time_s);
    const double ref = rep ? rep->to_reference(f.time_s) : review->reference->borders(Side::left).front();
    const ReferencePainter painter(review, std::max(track.width, 320), std::max(track.height, 240));
    const auto shot = painter.at(ref);
    double dx = 0.5 * (shot.points[left_ankle].x + shot.points[right_ankle].x) - crop.center().x();
    if (body) dx = 0.5 * (shot.points[left_ankle].x + shot.points[right_ankle].x) - 0.5 * ((*body)[left_ankle].x + (*body)[right_ankle].x);
    out.reference = framed(shot.picture, &shot.points, dx);
    return out;
}

} // namespace bevel::ui
