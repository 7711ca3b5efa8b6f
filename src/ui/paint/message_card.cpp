#include "ui/paint/message_card.h"
#include <cmath>
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct CardWords {
    Q_DECLARE_TR_FUNCTIONS(letter)
};

class Card {
public:
    Card(QPainter& p, const Theme& t) : p_(p), t_(t) {}
    /// Wrapped words, smaller where they would go below `bottom`.
    void words(const QString& s, double size, QFont::Weight weight, const QColor& colour, double after,
               double bottom = card_size.height()) {
        if (s.isEmpty()) return;
        QFont f = t_.font(size, weight);
        QRectF r;
        for (double px = size; px >= 16; px -= 2) {
            f.setPixelSize(static_cast<int>(px));
            p_.setFont(f);
            r = p_.boundingRect(QRectF(edge, y, card_size.width() - 2 * edge, 4000), Qt::TextWordWrap | Qt::AlignLeft, s);
            if (r.bottom() <= bottom) break;
        }
        p_.setPen(colour);
        p_.drawText(r, Qt::TextWordWrap | Qt::AlignLeft, s);
        y = r.bottom() + after;
    }
    void picture(const QImage& im, double x, double w) {
        const QRectF box(x, y, w, w / 0.8);
        p_.fillRect(box, QColor(0xF3, 0xEE, 0xE4));
        if (im.isNull()) return;
        const QSizeF s = QSizeF(im.size()).scaled(box.size(), Qt::KeepAspectRatio);
        p_.drawImage(QRectF(box.center().x() - s.width() / 2, box.top(), s.width(), s.height()), im);
    }
    static constexpr double edge = 60;
    double y = 50;

private:
    QPainter& p_;
    const Theme& t_;
};

} // namespace

QImage message_card(const LetterContent& c, int item, const Theme& theme) {
    if (item < 0 || item >= c.items.size()) return {};
    const LanguageScope speaks(c.language);
    const LetterItem& it = c.items[item];
    QImage im(card_size, QImage::Format_RGB32);
    im.fill(Qt::white);
    QPainter p(&im);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    Card card(p, theme);
    const QString movement = it.movement.isEmpty() ? c.movement : it.movement;
    const QString head =
        c.items.size() > 1
            ? CardWords::tr("%1 · %2 of %3", "movement, number of a correction").arg(movement).arg(item + 1).arg(c.items.size())
            : movement;
    card.words(head, 30, QFont::DemiBold, theme.palette.accent, 14);
    card.words(it.cue, 52, QFont::DemiBold, theme.palette.ink, 26, 330);
    if (!it.still.isNull() || !it.reference.isNull()) {
        const bool two = !it.still.isNull() && !it.reference.isNull();
        constexpr double w = 470, gap = 20;
        if (!it.still.isNull()) card.picture(it.still, Card::edge, w);
        if (!it.reference.isNull()) card.picture(it.reference, two ? Card::edge + w + gap : Card::edge, w);
        card.y += w / 0.8 + 22;
    }
    card.words(it.seen, 32, QFont::Normal, theme.palette.ink, 14, 1150);
    if (!it.drill.isEmpty()) card.words(CardWords::tr("First alone: %1").arg(it.drill), 28, QFont::Normal, theme.palette.ink, 12, 1220);
    card.words(it.caution, 26, QFont::Normal, theme.palette.outside, 10, 1270);
    card.y = std::max(card.y, 1285.0);
    QStringList from{c.instructor, c.place};
    from.removeAll(QString());
    card.words(from.join(QStringLiteral(" · ")), 26, QFont::Normal, theme.palette.faint, 0);
    return im;
}

} // namespace bevel::ui
