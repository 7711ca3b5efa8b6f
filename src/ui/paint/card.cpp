#include "ui/paint/card.h"
#include "core/form/pieces.h"
#include "core/movement/score.h"
#include "ui/paint/body.h"
#include "ui/paint/page_pdf.h"
#include "ui/paint/theme.h"
#include "ui/text/text.h"
#include <cmath>
#include <QBuffer>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct CardWords {
    Q_DECLARE_TR_FUNCTIONS(card)
};

/// Both feet from above, the way they face down the sheet, in true proportion; a foot off the floor is an outline.
void draw_feet(QPainter& p, const QRectF& r, const Body3& body, const Theme& theme) {
    const double metre = std::min(r.width() / 1.9, r.height() / 1.05); // a long step has room
    Vec3 middle = mid(body, left_ankle);
    for (const Side s : {Side::left, Side::right}) {
        const Vec3 heel = body[static_cast<std::size_t>(on(s, left_heel))], toe = body[static_cast<std::size_t>(on(s, left_toe))];
        // Seen from above and facing down the sheet, the left foot is on the right of it, as on a friend who stands opposite.
        auto at = [&](const Vec3& v) { return r.center() + QPointF((v.x() - middle.x()) * metre, (v.z() - middle.z()) * metre); };
        QPen pen(theme.palette.ink, 0.075 * metre, Qt::SolidLine, Qt::RoundCap);
        const bool off = std::min(heel.y(), toe.y()) > 0.02;
        if (off) pen.setColor(theme.palette.line);
        p.setPen(pen);
        p.drawLine(at(heel + 0.15 * (toe - heel)), at(heel + 0.85 * (toe - heel)));
    }
}

QString words_of(const Phase& p) {
    QString breath;
    if (p.breath == Breath::in) breath = CardWords::tr("breathe in");
    if (p.breath == Breath::out) breath = CardWords::tr("breathe out");
    return breath.isEmpty() ? said(p.name) : CardWords::tr("%1 – %2").arg(said(p.name), breath);
}

/// What stands on a card, in order.
struct Card {
    QString title;
    QStringList above; // HTML, over the pictures
    std::vector<QImage> pictures;
    QStringList captions; // plain, by picture
    QStringList below;    // HTML
};

QString paragraph(const QString& plain, const char* around = nullptr) {
    const QString text = plain.toHtmlEscaped();
    return around ? QStringLiteral("<p><%1>%2</%1></p>").arg(QLatin1String(around), text) : QStringLiteral("<p>%1</p>").arg(text);
}

QString card_body(const Card& card, const std::function<QString(std::size_t)>& picture, int width) {
    QString h = QStringLiteral("<h1>%1</h1>").arg(card.title.toHtmlEscaped()) + card.above.join(QString());
    h += QStringLiteral("<table cellspacing=\"0\" cellpadding=\"4\"><tr>");
    for (std::size_t i = 0; i < card.pictures.size(); ++i) {
        if (i > 0 && i % 4 == 0) h += QStringLiteral("</tr><tr>");
        h += QStringLiteral(
                 "<td width=\"25%\" valign=\"top\" align=\"center\"><img alt=\"\" width=\"%1\" src=\"%2\"><br><small>%3. %4</small></td>")
                 .arg(width)
                 .arg(picture(i))
                 .arg(i + 1)
                 .arg(card.captions.value(static_cast<qsizetype>(i)).toHtmlEscaped());
    }
    return h + QStringLiteral("</tr></table>") + card.below.join(QString());
}

constexpr int wide = 216, high = 380, feet_high = 110;

} // namespace

namespace {

/// The figure at a moment of its score over its feet.
QImage picture_at(const sim::Student& student, const sim::Film& film, double score_s, int width, int height, bool follow) {
    static const Theme theme;
    const Pose pose = pose_seen(student, student.time_of(score_s), follow);
    QImage im(width, height, QImage::Format_RGB32);
    im.fill(Qt::white);
    QPainter p(&im);
    p.setRenderHint(QPainter::Antialiasing);
    p.drawImage(0, 0, to_image(film.shoot(pose, 0)));
    draw_feet(p, QRectF(0, height - feet_high, width, feet_high), pose.points, theme);
    return im;
}

/// How much a posture shows of what it is of: low, turned, hands away from the belly, a foot off the floor.
double shows(const Posture& p) {
    return (1 - p.depth) * 4 + std::abs(p.pelvis_turn) / 60 + std::abs(p.weight_left - 0.5) + std::abs(hand_height(p.left_hand)) +
           std::abs(hand_height(p.right_hand)) + (p.left_foot.contact == Contact::off || p.right_foot.contact == Contact::off ? 0.6 : 0);
}

/// Of each part of a piece of a form the end of that phase of its own that shows most.
std::vector<double> telling_moments(const Movement& piece) {
    std::vector<double> at, most;
    for (const auto& key : *piece.course) {
        if (key.phase < 0 || key.repetition < 0) continue;
        const auto part = static_cast<std::size_t>(key.repetition);
        if (part >= at.size()) at.resize(part + 1, key.time), most.resize(part + 1, -1);
        const bool join = piece.phases[static_cast<std::size_t>(key.phase)].id.find(".join_") != std::string::npos;
        if (const double much = join ? 0 : shows(key.posture); much > most[part]) most[part] = much, at[part] = key.time;
    }
    return at;
}

} // namespace

std::vector<QImage> phase_pictures(const Movement& movement, int width, int height) {
    const auto figure = figure_of(movement, std::nullopt);
    const sim::Student& student = *figure;
    const bool follow = movement.course != nullptr;
    auto phone = paper_phone(width, height - feet_high, 25);
    phone.distance_m *= camera_back(student, phone, follow);
    const sim::Film film(student.solver(), sim::Looks::reference(), phone);
    std::vector<QImage> out;
    if (follow) {
        for (const double t : telling_moments(movement)) out.push_back(picture_at(student, film, t, width, height, true));
        return out;
    }
    for (const auto& key : student.score().keys())
        if (key.repetition == 0 && key.phase >= 0) out.push_back(picture_at(student, film, key.time, width, height, false));
    return out;
}

namespace {

Card card_of(const Movement& m) {
    Card card;
    card.title = said(m.name);
    if (!m.pinyin.empty()) card.above << paragraph(QString::fromStdString(m.pinyin), "i");
    card.above << paragraph(said(m.about));
    card.pictures = phase_pictures(m, wide, high);
    for (const auto& p : m.phases) card.captions << words_of(p);
    card.below << paragraph(m.symmetric()
                                ? CardWords::tr("%n time(s).", nullptr, 2 * m.repetitions)
                                : CardWords::tr("%n time(s) to each side; the other side is its mirror image.", nullptr, m.repetitions));
    QString points;
    for (const auto& a : m.attention) points += QStringLiteral("<li>%1</li>").arg(said(a).toHtmlEscaped());
    if (!points.isEmpty()) card.below << QStringLiteral("<ul>%1</ul>").arg(points);
    for (const auto& image : m.images) card.below << paragraph(said(image), "i");
    for (const auto& c : text::cautions_for({}, &m)) card.below << paragraph(c, "b");
    return card;
}

/// Of a piece that is a whole form: each part once, as it faces there.
Card card_of_form(const LinkedForm& form, const Movement& whole) {
    Card card;
    card.title = said(form.name);
    if (!form.pinyin.empty()) card.above << paragraph(QString::fromStdString(form.pinyin), "i");
    if (!form.about.empty()) card.above << paragraph(said(form.about));
    card.pictures = phase_pictures(whole, wide, high);
    for (const auto& name : whole.part_names) card.captions << said(name);
    for (const auto& key : *whole.course) // the side that leads, behind its name
        if (key.phase >= 0 && key.repetition >= 0) {
            QString& words = card.captions[key.repetition];
            if (!words.endsWith(QLatin1Char(')'))) words = CardWords::tr("%1 (%2)").arg(words, text::side(key.side));
        }
    for (const auto& c : text::cautions_for({}, &whole)) card.below << paragraph(c, "b");
    return card;
}

QString html_of(const Card& card) {
    auto inside = [&](std::size_t i) {
        QByteArray png;
        QBuffer out(&png);
        out.open(QIODevice::WriteOnly);
        if (i < card.pictures.size()) card.pictures[i].save(&out, "PNG");
        return QStringLiteral("data:image/png;base64,") + QString::fromLatin1(png.toBase64());
    };
    return QStringLiteral(
               "<!DOCTYPE html>\n<html lang=\"%1\"><head><meta charset=\"utf-8\"><title>%2</title><style>body{font-family:'Open "
               "Sans',sans-serif;font-size:1.15em;max-width:48em;margin:2em auto;padding:0 1em;line-height:1.45;color:#2b2622;"
               "background:#fdfaf3}td{vertical-align:top;text-align:center}img{max-width:100%;height:auto}</style></head><body>%3"
               "</body></html>\n")
        .arg(spoken_language(), card.title.toHtmlEscaped(), card_body(card, inside, 150));
}

Result<QByteArray> pdf_of(const Card& card) {
    PagePdf page;
    page.title = card.title;
    page.font = Theme().font(12);
    for (std::size_t i = 0; i < card.pictures.size(); ++i) page.images[QStringLiteral("phase%1").arg(i)] = card.pictures[i];
    page.html = card_body(
        card, [](std::size_t i) { return QStringLiteral("phase%1").arg(i); }, 96);
    return page_pdf(page);
}

} // namespace

QString card_html(const Movement& movement) {
    return html_of(card_of(movement));
}
Result<QByteArray> card_pdf(const Movement& movement) {
    return pdf_of(card_of(movement));
}

Result<QByteArray> form_card(const LinkedForm& form, std::span<const Movement> movements, bool html) {
    const auto pieces = pieces_of(form, movements);
    if (!pieces) return tl::unexpected(pieces.error());
    int count = 0;
    for (const auto& p : form.parts) count += p.repeats;
    const std::string id = PieceId{form.id, 1, count}.text();
    const auto whole = std::find_if(pieces->begin(), pieces->end(), [&](const Movement& m) { return m.id == id; });
    if (whole == pieces->end()) return fail(Code::not_found, id);
    const Card card = card_of_form(form, *whole);
    return html ? Result<QByteArray>(html_of(card).toUtf8()) : pdf_of(card);
}

} // namespace bevel::ui
