#include "ui/paint/letter_document.h"
#include "ui/paint/plain_pdf.h"
#include "ui/text/languages.h"
#include "ui/text/text.h"
#include <cmath>
#include <QBuffer>
#include <QCoreApplication>
#include <QLocale>
#include <QPdfWriter>

namespace bevel::ui {
namespace {

struct LetterWords {
    Q_DECLARE_TR_FUNCTIONS(letter)
};
constexpr double page_w = 595, page_h = 842, margin = 48, text_w = page_w - 2 * margin;

/// Draws wrapped text and returns the height used; paints only where `draw`.
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
            const double w = 0.5 * (width - gap), tall = w / still_aspect;
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
        const double w = picture_, tall = w / still_aspect;
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
        picture(it.still, {left_, top, w, w / still_aspect});
        if (!it.reference.isNull()) picture(it.reference, {left_ + w + gap, top, w, w / still_aspect});
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

} // namespace bevel::ui
