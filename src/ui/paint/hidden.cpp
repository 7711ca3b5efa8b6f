#include "ui/paint/hidden.h"
#include <algorithm>
#include <cmath>
#include <QCoreApplication>
#include <QLocale>
#include <QPainter>
#include <QPainterPath>
#include <QRegularExpression>

namespace bevel::ui {
namespace {

/// Without accents and case, so that nobody is told by them.
QString folded(const QString& s) {
    QString out;
    for (const QChar c : s.normalized(QString::NormalizationForm_KD))
        if (c.category() != QChar::Mark_NonSpacing) out += c;
    return out.toCaseFolded();
}

QStringList parts_of(const QString& name) {
    QStringList out;
    static const QRegularExpression gap(QStringLiteral("[^\\p{L}\\p{M}]+"), QRegularExpression::UseUnicodePropertiesOption);
    for (const QString& p : name.split(gap, Qt::SkipEmptyParts))
        if (p.size() > 1) out << folded(p);
    return out;
}

/// Scripts that are written without gaps between words: a name stands inside of what looks like one word.
bool has_no_gaps(const QString& s) {
    for (const QChar c : s) switch (c.script()) {
        case QChar::Script_Han:
        case QChar::Script_Hiragana:
        case QChar::Script_Katakana:
        case QChar::Script_Hangul: // particles follow without one
        case QChar::Script_Thai:
        case QChar::Script_Lao:
        case QChar::Script_Khmer:
        case QChar::Script_Myanmar:
            return true;
        default:
            break;
        }
    return false;
}

/// All by which a person may be called: the parts of the name, and of a name in one piece that begins with the family's, the given one.
QStringList called(const QString& name) {
    QStringList out = parts_of(name);
    // Decomposed Korean letters are put together again before they are counted.
    for (const QString& p : QStringList(out)) {
        const QString whole = p.normalized(QString::NormalizationForm_C);
        if (!has_no_gaps(whole)) continue;
        if (whole.size() == 3 || whole.size() == 4) out << folded(whole.right(2));
        if (whole.size() == 4) out << folded(whole.right(3));
    }
    out.removeDuplicates();
    // Longer ones first, so that the whole name goes before a part of it.
    std::stable_sort(out.begin(), out.end(), [](const QString& a, const QString& b) { return a.size() > b.size(); });
    return out;
}

/// A day in words or figures, as people write it in the languages that letters are written in; the first in the text.
QString day_in(const QString& text) {
    static const QList<QRegularExpression> all = [] {
        QStringList months;
        for (const auto& l : {QLocale(QLocale::English), QLocale(QLocale::German)})
            for (int m = 1; m <= 12; ++m)
                for (const auto f : {QLocale::LongFormat, QLocale::ShortFormat}) {
                    QString name = l.standaloneMonthName(m, f);
                    while (name.endsWith(QLatin1Char('.'))) name.chop(1);
                    if (name.size() >= 3) months << QRegularExpression::escape(name);
                }
        months.removeDuplicates();
        const QString month = QStringLiteral("(?:%1)").arg(months.join(QLatin1Char('|')));
        QList<QRegularExpression> out;
        for (const QString& p :
             {QStringLiteral("\\b\\d{4}-\\d{1,2}-\\d{1,2}\\b"), QStringLiteral("\\b\\d{1,2}[./]\\s?\\d{1,2}[./]\\s?(?:\\d{4}|\\d{2})\\b"),
              QStringLiteral("\\b\\d{1,2}(?:\\.|st|nd|rd|th)?\\s+(?:of\\s+)?%1\\b").arg(month),
              QStringLiteral("\\b%1\\.?\\s+\\d{1,2}\\b").arg(month)})
            out << QRegularExpression(p, QRegularExpression::CaseInsensitiveOption | QRegularExpression::UseUnicodePropertiesOption);
        return out;
    }();
    for (const auto& r : all)
        if (const auto m = r.match(text); m.hasMatch()) return m.captured();
    return {};
}

enum class Tells { no, plainly, perhaps };

/// A word is the name, or has it with an ending of one or two letters ("Ilses"), or hides it in a longer word.
Tells word_tells(const QString& word, const QStringList& names) {
    const QString w = folded(word);
    Tells t = Tells::no;
    for (const QString& n : names) {
        if (has_no_gaps(n.normalized(QString::NormalizationForm_C))) {
            if (w.contains(n)) return Tells::plainly;
            continue;
        }
        // "Jo" in "Jos", "Ян" in "Яна": short names with an ending are for a person to look at, where they are written like a name.
        static const QString endings = QStringLiteral("saeiouyаеиуыяюо");
        if (n.size() == 2 && w.size() == 3 && w.startsWith(n) && word[0].isUpper() && endings.contains(w[2])) t = Tells::perhaps;
        // A longer one whose last letter changes with the case: "Ольга", "Ольги".
        if (n.size() >= 5 && w.startsWith(n.chopped(1)) && w.size() <= n.size() + 2 && word[0].isUpper()) t = Tells::perhaps;
        if (w == n || (n.size() > 2 && w.startsWith(n) && w.size() <= n.size() + 2)) return Tells::plainly;
        if (n.size() > 2 && w.contains(n)) t = Tells::perhaps;
    }
    return t;
}

const QRegularExpression& words() {
    static const QRegularExpression r(QStringLiteral("[\\p{L}\\p{M}]+"), QRegularExpression::UseUnicodePropertiesOption);
    return r;
}

/// A longer word of a script without gaps, with the other word in place of the name in it; empty where the word is the name itself.
QString within_word(const QString& word, const QStringList& names) {
    QString now = word.normalized(QString::NormalizationForm_C);
    if (!has_no_gaps(now)) return {};
    for (const QString& n : names) {
        const QString name = n.normalized(QString::NormalizationForm_C);
        if (now.compare(name, Qt::CaseInsensitive) == 0) return {};
        if (has_no_gaps(name))
            now.replace(name, QLatin1Char(' ') + QCoreApplication::translate("letter", "student") + QLatin1Char(' '), Qt::CaseInsensitive);
    }
    return now.trimmed();
}

/// The text with another word in place of the name; words that may tell it are added to `unsure`.
QString without(const QString& text, const QStringList& names, QStringList& unsure) {
    QString out;
    qsizetype at = 0;
    bool replaced = false; // first and last name side by side become one word
    for (auto it = words().globalMatch(text); it.hasNext();) {
        const auto m = it.next();
        const Tells t = word_tells(m.captured(), names);
        if (t == Tells::perhaps) unsure << m.captured();
        const QString between = text.mid(at, m.capturedStart() - at);
        at = m.capturedEnd();
        if (t != Tells::plainly) {
            out += between + m.captured();
            replaced = false;
        } else if (const QString inside = within_word(m.captured(), names); !inside.isEmpty()) {
            out += between + inside;
            replaced = false;
        } else if (!replaced || !between.trimmed().isEmpty()) {
            out += between + QCoreApplication::translate("letter", "student");
            replaced = true;
        }
    }
    return out + text.mid(at);
}

double distance(const PicturePoint& a, const PicturePoint& b) {
    return std::hypot(a.x - b.x, a.y - b.y);
}

/// Stature in pixels, from the longest that shows of trunk, leg and arm.
double stature_px(const BodyPx& b) {
    double most = 0;
    for (const Side s : {Side::left, Side::right}) {
        auto l = [&](Point p, Point q) { return distance(b[on(s, p)], b[on(s, q)]); };
        most = std::max({most, l(left_shoulder, left_hip) / 0.29, (l(left_hip, left_knee) + l(left_knee, left_ankle)) / 0.49,
                         (l(left_shoulder, left_elbow) + l(left_elbow, left_wrist)) / 0.33});
    }
    return most;
}

QPointF place(const BodyPx& b, Point p) {
    return {b[p].x, b[p].y};
}
QPointF middle(const BodyPx& b, Point p) {
    return 0.5 * (place(b, p) + place(b, mirrored(p)));
}

/// A line as wide as twice `half`, with round ends.
QPainterPath band(const QPointF& a, const QPointF& b, double half) {
    QPainterPath line(a);
    line.lineTo(b.x() + 0.01, b.y());
    QPainterPathStroker s;
    s.setWidth(2 * half);
    s.setCapStyle(Qt::RoundCap);
    return s.createStroke(line);
}

/// The room between two legs that stand apart in the picture: wide trousers lose a seam rather than the room shows a strip.
QPainterPath between_legs(const BodyPx& b, double tall) {
    QPolygonF gap;
    const double thigh = 0.045 * tall, shank = 0.034 * tall;
    const QPointF hips = middle(b, left_hip);
    auto inner = [&](Side s, Point p, double half) {
        const QPointF here = place(b, on(s, p)), there = place(b, on(other(s), p));
        return QPointF(here.x() + (there.x() > here.x() ? half : -half), here.y());
    };
    const bool left_first = b[left_ankle].x < b[right_ankle].x;
    const Side first = left_first ? Side::left : Side::right;
    auto room = [&](Point p, double half) { return inner(other(first), p, half).x() - inner(first, p, half).x(); };
    // Legs that cross, or stand together, have no room between them.
    if (room(left_ankle, shank) < 0.02 * tall ||
        (b[on(first, left_knee)].x < b[on(other(first), left_knee)].x) != (b[on(first, left_ankle)].x < b[on(other(first), left_ankle)].x))
        return {};
    gap << QPointF(hips.x(), hips.y() + 0.1 * tall) << inner(first, left_knee, thigh) << inner(first, left_ankle, shank)
        << inner(other(first), left_ankle, shank) << inner(other(first), left_knee, thigh);
    QPainterPath path;
    if (room(left_knee, thigh) > 0) path.addPolygon(gap), path.closeSubpath();
    return path;
}

QPainterPath outline(const BodyPx& b, double tall) {
    QPainterPath all;
    all.setFillRule(Qt::WindingFill);
    auto add = [&](Point p, Point q, double half) { all.addPath(band(place(b, p), place(b, q), half * tall)); };
    for (const Side s : {Side::left, Side::right}) {
        auto P = [&](Point p) { return on(s, p); };
        add(P(left_shoulder), P(left_elbow), 0.055);
        add(P(left_elbow), P(left_wrist), 0.05);
        for (const Point tip : {left_thumb, left_index, left_little}) add(P(left_wrist), P(tip), 0.045);
        add(P(left_shoulder), P(left_hip), 0.075);
        add(P(left_hip), P(left_knee), 0.065);
        add(P(left_knee), P(left_ankle), 0.05);
    }
    all = all.simplified().subtracted(between_legs(b, tall));
    all.setFillRule(Qt::WindingFill);
    for (const Side s : {Side::left, Side::right}) {
        add(on(s, left_ankle), on(s, left_heel), 0.032);
        add(on(s, left_heel), on(s, left_toe), 0.032);
    }
    add(left_shoulder, right_shoulder, 0.07);
    add(left_hip, right_hip, 0.08);
    QPolygonF trunk{place(b, left_shoulder), place(b, right_shoulder), place(b, right_hip), place(b, left_hip)};
    QPainterPath body;
    body.addPolygon(trunk);
    all.addPath(body);
    return all.simplified();
}

/// Wherever the head may be: about what shows of the face, about where it sits on the trunk, and all round the shoulders where neither
/// is sure (a bow towards the camera, seen from behind).
QPainterPath head(const BodyPx& b, double tall) {
    QPainterPath all;
    all.setFillRule(Qt::WindingFill);
    auto disc = [&](const QPointF& c, double r) {
        QPainterPath p;
        p.addEllipse(c, r * tall, r * tall);
        all.addPath(p);
    };
    double least = 1;
    QPointF face;
    for (const Point p : {nose, left_eye, left_ear, right_eye, right_ear}) {
        least = std::min(least, b[p].visibility);
        face += place(b, p) / 5;
        disc(place(b, p), 0.085);
    }
    const QPointF neck = middle(b, left_shoulder), up = neck - middle(b, left_hip);
    disc(face, 0.105);
    all.addPath(band(neck, face, 0.07 * tall)); // hair and neck
    const double trunk = std::hypot(up.x(), up.y());
    if (trunk > 0.12 * tall)
        disc(neck + up / trunk * 0.115 * tall, 0.115);
    else
        disc(neck, 0.24);
    const double off = std::hypot(face.x() - neck.x(), face.y() - neck.y());
    if (least < 0.5 || off > 0.22 * tall) disc(neck + (trunk > 0.12 * tall ? up / trunk * 0.1 * tall : QPointF()), 0.2);
    return all.simplified();
}

} // namespace

bool tells(const QString& text, const Identity& who) {
    const QStringList names = called(who.name);
    for (auto it = words().globalMatch(text); it.hasNext();)
        if (word_tells(it.next().captured(), names) != Tells::no) return true;
    return false;
}

Result<LetterContent> hidden(LetterContent c, const Identity& who) {
    const QStringList names = called(who.name);
    QStringList unsure;
    const LanguageScope speaks(c.language);
    c.student = who.alias.isEmpty() || without(who.alias, names, unsure) != who.alias ? QCoreApplication::translate("letter", "a student")
                                                                                      : who.alias;
    for (QString* s : {&c.opening, &c.praise, &c.closing}) *s = without(*s, names, unsure);
    for (auto& item : c.items)
        for (QString* s : {&item.moment, &item.cue, &item.seen, &item.figure, &item.image, &item.drill, &item.homework, &item.caution})
            *s = without(*s, names, unsure);
    for (auto& s : c.cautions) s = without(s, names, unsure);
    // The sender is not rewritten; a name in common is for a person to decide.
    for (const QString& s : {c.instructor, c.place, c.movement})
        for (auto it = words().globalMatch(s); it.hasNext();)
            if (const QString w = it.next().captured(); word_tells(w, names) != Tells::no) unsure << w;
    if (who.date) {
        c.date = c.next = QDate();
        // Days that the program wrote are left out where they are written; in a person's own words they are for that person to change.
        QStringList all{c.opening, c.praise, c.closing};
        for (const auto& item : c.items)
            all << item.moment << item.cue << item.seen << item.figure << item.image << item.drill << item.homework << item.caution;
        for (const QString& s : all)
            if (const QString day = day_in(s); !day.isEmpty()) unsure << day;
    }
    if (!unsure.isEmpty()) {
        unsure.removeDuplicates();
        return fail(Code::tells, unsure.join(QStringLiteral(", ")).toStdString());
    }
    return c;
}

bool hide_person(QImage& picture, const BodyPx& body) {
    const double tall = stature_px(body);
    const double sure =
        std::min({body[left_shoulder].visibility, body[right_shoulder].visibility, body[left_hip].visibility, body[right_hip].visibility});
    if (!(tall > 20) || sure < 0.3) return false;
    QPainter p(&picture);
    QPainterPath all;
    all.addRect(QRectF(picture.rect()).adjusted(-2, -2, 2, 2));
    const QColor flat(0xE2, 0xDA, 0xCB), cover(0x8F, 0x86, 0x79);
    p.fillPath(all.subtracted(outline(body, tall)), flat);
    p.fillPath(head(body, tall), cover);
    return true;
}

} // namespace bevel::ui
