#include "ui/arrivals/still_pair.h"
#include "ui/pictures/stills.h"
#include <QPainter>

namespace bevel::ui {
StillPair::StillPair(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setMinimumHeight(120);
    setAccessibleName(tr("This clip beside the last one of whom it may be"));
}

void StillPair::clear() {
    ++run_;
    pictures_ = {};
    of_ = {0, 0};
    hide();
}

void StillPair::compare(const Clip& clip, const Clip* other, const QString& name) {
    name_ = name;
    const std::array<qint64, 2> now{clip.id, other ? other->id : 0};
    setVisible(true);
    if (now == of_) return update();
    if (now[0] != of_[0]) pictures_[0] = {};
    pictures_[1] = {};
    of_ = now;
    const int run = ++run_;
    using Two = std::array<QImage, 2>;
    session_.background->run<Two>(
        this,
        [lib = session_.library, clip, second = other ? std::optional(*other) : std::nullopt](std::stop_token) {
            return Two{still_of(*lib, clip, 260), second ? still_of(*lib, *second, 260) : QImage()};
        },
        [this, run](const Two& two) {
            if (run != run_) return; // another one was chosen meanwhile
            pictures_ = two;
            update();
        });
    update();
}

bool StillPair::painted() const {
    return of_[0] != 0 && !pictures_[0].isNull() && (of_[1] == 0 || !pictures_[1].isNull());
}

void StillPair::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    const Palette& c = session_.theme.palette;
    const double half = width() / 2.0 - 4, line = 20;
    for (int i = 0; i < 2; ++i) {
        const QRectF room(i * (half + 8), 0, half, height() - line);
        const QImage& im = pictures_[static_cast<std::size_t>(i)];
        p.setPen(c.line);
        p.drawRect(room.adjusted(0.5, 0.5, -0.5, -0.5));
        p.setPen(c.faint);
        p.setFont(session_.theme.font(10.5));
        if (!im.isNull()) {
            const QSizeF s = QSizeF(im.size()).scaled(room.size() - QSizeF(4, 4), Qt::KeepAspectRatio);
            p.drawImage(QRectF(room.center() - QPointF(s.width() / 2, s.height() / 2), s), im);
        } else {
            p.drawText(room, Qt::AlignCenter | Qt::TextWordWrap, i == 1 && of_[1] == 0 ? tr("no clip yet") : QString());
        }
        const QString words = i == 0 ? tr("this clip") : name_;
        p.drawText(QRectF(room.left(), height() - line, half, line), Qt::AlignCenter,
                   QFontMetricsF(p.font()).elidedText(words, Qt::ElideRight, half));
    }
}

} // namespace bevel::ui
