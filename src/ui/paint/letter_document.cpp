#include "ui/paint/letter_document.h"
#include "core/review/free.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include "ui/paint/compare.h"
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
#include <QRegularExpression>
#include <QSet>

namespace bevel::ui {
namespace {

struct LetterWords {
    Q_DECLARE_TR_FUNCTIONS(letter)
};
constexpr double page_w = 595, page_h = 842, margin = 48, text_w = page_w - 2 * margin;
constexpr double picture_aspect = 0.8; // of a still

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

QString reference_caption() {
    return LetterWords::tr("As it is meant, at the same moment");
}

/// "3 May 2026 · filmed from the front"; without a date where that is hidden.
QString when_and_where(const LetterContent& c) {
    return c.date.isValid() ? LetterWords::tr("%1 · filmed %2").arg(locale_now().toString(c.date, QLocale::LongFormat), c.view)
                            : LetterWords::tr("Filmed %1").arg(c.view);
}

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

/// Walks the letter and paints what lies on page `wanted`.
class Layout {
public:
    /// `picture`: width of a still, points.
    Layout(QPainter& p, const LetterContent& c, const Theme& t, int wanted, double picture = widest)
        : p_(p), c_(c), t_(t), wanted_(wanted), picture_(picture), size_(c.large ? 1.4 : 1), speaks_(c.language) {}
    static constexpr double widest = 150, narrowest = 114;

    /// The number of pages.
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
            const QString all = c_.cautions.join(QLatin1Char(' '));
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
    /// One correction alone in a column; the height it takes.
    double alone(int i, double width) {
        left_ = y_ = 0, wide_ = width;
        const LetterItem& it = c_.items[i];
        const bool two = !it.reference.isNull(), any = two || !it.still.isNull() || it.still_left_out;
        numbered(i);
        if (any) {
            constexpr double gap = 10;
            const double w = 0.5 * (width - gap), tall = w / picture_aspect;
            if (here()) pictures(it, y_, w, gap);
            y_ += tall + 10 + captions(it, w, gap, y_ + tall + 3, here());
        }
        for (const auto& l : lines_of(it)) line(l.words, l.size, QFont::Normal, l.colour, l.after);
        return y_;
    }
    const std::vector<LetterPlace>& places() const { return places_; }

private:
    bool here() const { return page_ == wanted_; }
    QFont type(double size, QFont::Weight w = QFont::Normal) const { return points(t_, size_ * size, w); }
    void room(double h) {
        if (y_ + h <= page_h - margin) return;
        ++page_;
        y_ = margin;
    }
    void line(const QString& s, double size, QFont::Weight w, const QColor& c, double after) {
        y_ += put(p_, left_, y_, wide_, s, type(size, w), c, here()) + after;
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
    /// Pictures on the left, what belongs to them in a column beside; in large type below them.
    void item(int i) {
        const LetterItem& it = c_.items[i];
        constexpr double gap = 10;
        const double w = picture_, tall = w / picture_aspect;
        const bool two = !it.reference.isNull(), any = two || !it.still.isNull() || it.still_left_out;
        const double shown_w = !any ? 0 : two ? 2 * w + gap : w;
        const bool beside_them = any && !c_.large;
        const double x = margin + (beside_them ? shown_w + gap + 6 : 0), wide = text_w - (x - margin);
        const auto lines = lines_of(it);
        double column = 0;
        for (const auto& l : lines) column += put(p_, x, 0, wide, l.words, type(l.size), l.colour, false) + l.after;
        const double head = put(p_, 0, 0, text_w, it.cue, type(13, QFont::DemiBold), t_.palette.ink, false) + 20 * size_,
                     shown = any ? tall + 4 + captions(it, w, gap, 0, false) : 0;
        room(head + (beside_them ? std::max(shown, column) : shown + column) + 12);
        const double from = y_;
        numbered(i);
        const double top = y_;
        if (any && here()) {
            pictures(it, top, w, gap);
            captions(it, w, gap, top + tall + 3, true);
        }
        double y = beside_them ? top : top + shown;
        for (const auto& l : lines) y += put(p_, x, y, wide, l.words, type(l.size), l.colour, here()) + l.after;
        y_ = std::max(y, top + shown) + 12;
        places_.push_back({page_, QRectF(left_, from, wide_, y_ - 12 - from)});
    }
    void numbered(int i) {
        const LetterItem& it = c_.items[i];
        line(LetterWords::tr("%1 · %2").arg(i + 1).arg(it.moment), 10, QFont::DemiBold, t_.palette.accent, 2);
        line(it.cue, 13, QFont::DemiBold, t_.palette.ink, 5);
    }
    void pictures(const LetterItem& it, double top, double w, double gap) {
        picture(it.still, {left_, top, w, w / picture_aspect});
        if (!it.reference.isNull()) picture(it.reference, {left_ + w + gap, top, w, w / picture_aspect});
    }
    struct Line {
        QString words;
        double size;
        QColor colour;
        double after;
    };
    std::vector<Line> lines_of(const LetterItem& it) const {
        std::vector<Line> out;
        auto add = [&](const QString& words, double size, const QColor& colour, double after) {
            if (!words.isEmpty()) out.push_back({words, size, colour, after});
        };
        add(it.seen, 11, t_.palette.ink, 4);
        add(it.figure, 8.5, t_.palette.faint, 5);
        for (const auto& words : beside(it)) add(words, 10.5, t_.palette.ink, 4);
        add(it.caution, 9.5, t_.palette.outside, 3);
        return out;
    }
    void picture(const QImage& im, const QRectF& box) {
        p_.fillRect(box, QColor(0xF3, 0xEE, 0xE4));
        if (im.isNull()) return;
        const QSizeF s = QSizeF(im.size()).scaled(box.size(), Qt::KeepAspectRatio);
        p_.setRenderHint(QPainter::SmoothPixmapTransform);
        p_.drawImage(QRectF(box.center().x() - s.width() / 2, box.top(), s.width(), s.height()), im);
    }
    double captions(const LetterItem& it, double w, double gap, double y, bool draw) {
        double h = put(p_, left_, y, w, still_caption(it), type(9), t_.palette.faint, draw);
        if (!it.reference.isNull()) h = std::max(h, put(p_, left_ + w + gap, y, w, reference_caption(), type(9), t_.palette.faint, draw));
        return h;
    }

    QPainter& p_;
    const LetterContent& c_;
    const Theme& t_;
    int wanted_, page_ = 0;
    double picture_;
    double size_; // of the type
    LanguageScope speaks_;
    double y_ = margin, left_ = margin, wide_ = text_w;
    std::vector<LetterPlace> places_; // of the corrections
};

QString data_url(const QImage& im) {
    QByteArray bytes;
    QBuffer b(&bytes);
    b.open(QIODevice::WriteOnly);
    im.save(&b, "PNG");
    return QStringLiteral("data:image/png;base64,") + QString::fromLatin1(bytes.toBase64());
}

} // namespace

namespace {
/// Pages of a letter with stills so wide, and where its corrections stand then.
std::pair<int, std::vector<LetterPlace>> laid_out(const LetterContent& c, double picture) {
    QImage dummy(8, 8, QImage::Format_ARGB32);
    QPainter p(&dummy);
    Layout l(p, c, Theme(), -1, picture);
    const int pages = l.run();
    return {pages, l.places()};
}

/// The widest stills with which the letter takes no more pages than with the narrowest: no page for two lines of cautions.
double picture_width(const LetterContent& c) {
    const int fewest = laid_out(c, Layout::narrowest).first;
    double w = Layout::widest;
    while (w > Layout::narrowest && laid_out(c, w).first > fewest) w -= 6;
    return w;
}
} // namespace

bool paint_letter_page(QPainter& p, const LetterContent& c, int number, const Theme& theme) {
    return number >= 0 && number < Layout(p, c, theme, number, picture_width(c)).run();
}

int letter_pages(const LetterContent& c) {
    return laid_out(c, picture_width(c)).first;
}

std::vector<LetterPlace> letter_places(const LetterContent& c) {
    return laid_out(c, picture_width(c)).second;
}

double paint_letter_item(QPainter& p, const LetterContent& c, int item, double width, const Theme& theme, bool draw) {
    return item >= 0 && item < c.items.size() ? Layout(p, c, theme, draw ? 0 : -1).alone(item, width) : 0;
}

QStringList words_of_item(const LetterContent& c, int item) {
    if (item < 0 || item >= c.items.size()) return {};
    const LanguageScope speaks(c.language);
    const LetterItem& it = c.items[item];
    QStringList out{it.moment, it.cue, it.seen, it.figure};
    out << beside(it) << it.caution;
    out.removeAll(QString());
    return out;
}

namespace {
Result<QByteArray> stripped(const QByteArray& bytes) {
    std::string out;
    if (!plain_pdf(bytes.toStdString(), out)) return fail(Code::write_failed, "PDF: " + out);
    return QByteArray::fromStdString(out);
}
} // namespace

namespace {
/// Letters one after the other, each beginning on a page of its own; under a title where there is one.
Result<QByteArray> written(const std::vector<LetterContent>& letters, const Theme& theme, const QString& title) {
    QByteArray bytes;
    QBuffer out(&bytes);
    out.open(QIODevice::WriteOnly);
    QPdfWriter pdf(&out);
    pdf.setPageSize(QPageSize(QPageSize::A4));
    pdf.setPageMargins(QMarginsF(0, 0, 0, 0));
    if (!title.isEmpty()) pdf.setTitle(title);
    pdf.setCreator(QStringLiteral("Bevel"));
    QPainter p(&pdf);
    const double scale = pdf.width() / page_w;
    bool first = true;
    for (const auto& c : letters)
        for (int i = 0; i < letter_pages(c); ++i) {
            if (!std::exchange(first, false)) pdf.newPage();
            p.save();
            p.scale(scale, scale);
            paint_letter_page(p, c, i, theme);
            p.restore();
        }
    if (!p.end()) return fail(Code::write_failed, "PDF");
    out.close();
    return bytes;
}
} // namespace

Result<QByteArray> letter_pdf(const LetterContent& c, bool anonymous) {
    const auto bytes = written({c}, Theme(), anonymous ? QString() : LetterWords::tr("%1 for %2").arg(c.movement, c.student));
    return bytes && anonymous ? stripped(*bytes) : bytes;
}

Result<QByteArray> letters_pdf(const std::vector<LetterContent>& letters, const Theme& theme) {
    const auto bytes = written(letters, theme, {});
    return bytes ? stripped(*bytes) : bytes; // no name stands in what a viewer shows of the file
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
            ".pair{display:flex;flex-wrap:wrap;gap:1em}.pair figure{flex:1 1 14em;margin:0}.pair img{width:100%}.pair "
            "figure{max-width:20em}footer{border-top:1px "
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
                 .arg(e(it.cue), e(it.moment));
        if (!it.seen.isEmpty()) h += QStringLiteral("<p>%1</p>\n").arg(e(it.seen));
        if (!it.reference.isNull() || !it.still.isNull()) {
            h += QStringLiteral("<div class=\"pair\">");
            if (!it.still.isNull())
                h += QStringLiteral("<figure><img alt=\"%1\" src=\"%2\"><figcaption>%1</figcaption></figure>")
                         .arg(e(LetterWords::tr("You, at this moment")), data_url(it.still));
            if (!it.reference.isNull())
                h += QStringLiteral("<figure><img alt=\"%1\" src=\"%2\"><figcaption>%1</figcaption></figure>")
                         .arg(e(reference_caption()), data_url(it.reference));
            h += QStringLiteral("</div>\n");
        }
        if (!it.figure.isEmpty()) h += QStringLiteral("<p class=\"faint\"><small>%1</small></p>\n").arg(e(it.figure));
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

QString letter_spoken(const LetterContent& c) {
    const LanguageScope speaks(c.language);
    QStringList out;
    if (!c.opening.isEmpty()) out << c.opening;
    if (!c.praise.isEmpty()) out << c.praise;
    for (const auto& it : c.items) {
        if (!it.movement.isEmpty()) out << it.movement + QLatin1Char('.');
        for (const QString& words : QStringList{it.seen, it.cue} + beside(it) + QStringList{it.caution})
            if (!words.isEmpty()) out << (words.back().isPunct() ? words : words + QLatin1Char('.'));
    }
    if (c.next.isValid()) out << next_words(c);
    if (!c.closing.isEmpty()) out << c.closing;
    out << text::caution(QStringLiteral("general"));
    if (!c.instructor.isEmpty()) out << c.instructor;
    QString all = out.join(QLatin1Char('\n'));
    return all.remove(QChar(0xAB)).remove(QChar(0xBB)); // to the voice these are marks of its own
}

QString letter_text(const LetterContent& c) {
    const LanguageScope speaks(c.language);
    QStringList out;
    if (!c.opening.isEmpty()) out << c.opening;
    if (!c.praise.isEmpty()) out << c.praise;
    for (int i = 0; i < c.items.size(); ++i) {
        const auto& it = c.items[i];
        QString words = QStringLiteral("%1. %2").arg(i + 1).arg(it.cue);
        if (!it.movement.isEmpty() || !it.seen.isEmpty()) words += QLatin1Char('\n');
        if (!it.movement.isEmpty()) words += QStringLiteral("%1: ").arg(it.movement);
        words += it.seen;
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

namespace {
/// "The knee falls in, right: in all 4 repetitions, most in “Shift”."
QString seen_words(const Finding& f, const std::vector<const Finding*>& remark, const Movement& movement, const Catalogue& catalogue) {
    const auto on = [&](Side s) { return std::any_of(remark.begin(), remark.end(), [&](const Finding* g) { return g->side == s; }); };
    QStringList when{f.part.empty() ? text::repetitions(f) : QString(), text::where(remark, movement, false)};
    when.removeAll(QString());
    const QString seen = text::fault(f, catalogue, on(Side::left) && on(Side::right));
    return when.isEmpty() ? LetterWords::tr("%1.", "what is seen").arg(seen)
                          : LetterWords::tr("%1: %2.", "what is seen, when and where").arg(seen, when.join(QStringLiteral(", ")));
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
                item.figure = LetterWords::tr("%1, asked: %2")
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
    const QRectF crop = crop_of(body ? moment : track, picture_aspect);
    const int wide = 600, high = static_cast<int>(wide / picture_aspect);
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
