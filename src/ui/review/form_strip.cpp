#include "ui/review/form_strip.h"
#include <QHelpEvent>
#include <QPainter>
#include <QToolTip>

namespace bevel::ui {
namespace {

constexpr double left_edge = 128, missing_wide = 14; // as the lanes below begin

bool is_lacking(const PartSeen& p) {
    return p.how == PartSeen::How::missing;
}

/// The worst that is said of a part.
Verdict worst(const FormReview& whole, const PartSeen& p) {
    bool inside = false, edge = false;
    for (const auto k : p.findings) {
        const auto v = whole.review->findings[k].verdict;
        if (v == Verdict::outside) return Verdict::outside;
        edge = edge || v == Verdict::edge;
        inside = inside || v == Verdict::inside;
    }
    return edge ? Verdict::edge : inside ? Verdict::inside : Verdict::cannot_tell;
}

} // namespace

FormStrip::FormStrip(const Session& session, ReviewState& state, QWidget* parent) : QWidget(parent), session_(session), state_(state) {
    setObjectName(QStringLiteral("formStrip"));
    setAccessibleName(tr("Parts of the form"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    hide();
    connect(&state, &ReviewState::frame_changed, this, [this] {
        update();
        announce(this);
    });
}

QSize FormStrip::sizeHint() const {
    return {400, session_.theme.wide(46)};
}

void FormStrip::show_review() {
    setVisible(state_.open && state_.open->whole);
    update();
}

std::vector<FormStrip::Shown> FormStrip::shown() const {
    std::vector<Shown> out;
    if (!state_.open || !state_.open->whole) return out;
    const auto& whole = *state_.open->whole;
    const double end = whole.review->measures.time_s.back(), wide = width() - left_edge - 1;
    const auto x = [&](double t) { return left_edge + wide * std::clamp(t / std::max(0.1, end), 0.0, 1.0); };
    const double top = 16, high = height() - top - 2;
    // What is missing has no time of its own: small marks beside each other where it would be.
    std::map<double, int> at;
    for (std::size_t k = 0; k < whole.parts.size(); ++k) {
        const auto& p = whole.parts[k];
        if (is_lacking(p))
            out.push_back(
                {k, QRectF(x(0.5 * (p.from_s + p.to_s)) - 0.5 * missing_wide + missing_wide * at[p.from_s]++, top, missing_wide, high)});
        else
            out.push_back({k, QRectF(x(p.from_s), top, std::max(3.0, x(p.to_s) - x(p.from_s)), high)});
    }
    return out;
}

void FormStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.paper);
    if (!state_.open || !state_.open->whole) return;
    const auto& whole = *state_.open->whole;
    p.setFont(session_.theme.font(10.5, QFont::DemiBold));
    p.setPen(c.ink);
    p.drawText(QRectF(2, 14, left_edge - 8, height() - 14), Qt::AlignLeft | Qt::AlignTop, tr("Parts"));
    const auto now = place_now();
    for (const auto& s : shown()) {
        const auto& part = whole.parts[s.place];
        const QRectF box = s.at.adjusted(0.5, 0.5, -0.5, -0.5);
        const bool done = part.how == PartSeen::How::done || part.how == PartSeen::How::cut;
        const Verdict verdict = worst(whole, part);
        const QColor line = verdict == Verdict::outside  ? c.outside
                            : verdict == Verdict::edge   ? c.edge
                            : verdict == Verdict::inside ? c.inside
                                                         : c.faint;
        QColor fill = line;
        fill.setAlpha(now == s.place ? 110 : 46);
        p.setPen(QPen(part.how == PartSeen::How::missing || part.how == PartSeen::How::unlike ? c.outside
                      : done                                                                  ? line
                                                                                              : c.faint,
                      now == s.place ? 2 : 1, done && part.how == PartSeen::How::done ? Qt::SolidLine : Qt::DashLine));
        p.setBrush(done ? QBrush(fill) : part.how == PartSeen::How::not_seen ? QBrush(c.faint, Qt::BDiagPattern) : QBrush(Qt::NoBrush));
        p.drawRoundedRect(box, 3, 3);
        if (is_lacking(part)) {
            p.setPen(QPen(c.outside, 1.6));
            p.drawLine(box.center() + QPointF(-3, -3), box.center() + QPointF(3, 3));
            p.drawLine(box.center() + QPointF(-3, 3), box.center() + QPointF(3, -3));
        }
        p.setPen(part.again || part.out_of_order || !done ? c.outside : c.ink);
        p.setFont(session_.theme.font(9.5, part.again || part.out_of_order ? QFont::DemiBold : QFont::Normal));
        const QString number = QString::number(part.part + 1);
        const double need = p.fontMetrics().horizontalAdvance(number) + 2;
        p.drawText(QRectF(s.at.center().x() - 0.5 * need, 0, need, 15), Qt::AlignCenter, number);
        // The name where there is room for it.
        const QString name = text::part_name(whole, part.part);
        if (done && box.width() > 46) {
            p.setPen(c.ink);
            p.setFont(session_.theme.font(9.5));
            p.drawText(box.adjusted(4, 0, -3, 0), Qt::AlignVCenter | Qt::AlignLeft,
                       p.fontMetrics().elidedText(name, Qt::ElideRight, static_cast<int>(box.width()) - 7));
        }
    }
    const double end = whole.review->measures.time_s.back();
    const double x = left_edge + (width() - left_edge - 1) * state_.time() / std::max(0.1, end);
    p.setPen(QPen(c.focus, 1.6));
    p.drawLine(QPointF(x, 14), QPointF(x, height()));
}

std::optional<std::size_t> FormStrip::place_at(QPointF at) const {
    std::optional<std::size_t> best;
    for (const auto& s : shown()) // the small marks of what is missing lie over the others
        if (s.at.adjusted(0, -16, 0, 2).contains(at)) best = !best || is_lacking(state_.open->whole->parts[s.place]) ? s.place : *best;
    return best;
}

std::optional<std::size_t> FormStrip::place_now() const {
    if (!state_.open || !state_.open->whole) return std::nullopt;
    constexpr double frame_s = 0.05; // the frame nearest to a part's beginning may lie before it
    const auto& parts = state_.open->whole->parts;
    for (std::size_t k = 0; k < parts.size(); ++k)
        if (!is_lacking(parts[k]) && state_.time() + frame_s >= parts[k].from_s && state_.time() + frame_s < parts[k].to_s) return k;
    return std::nullopt;
}

void FormStrip::go_to(std::size_t place) {
    state_.set_time(state_.open->whole->parts[place].from_s);
}

void FormStrip::mousePressEvent(QMouseEvent* e) {
    if (const auto place = place_at(e->position())) go_to(*place);
}

bool FormStrip::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(e);
        if (const auto place = place_at(help->pos()))
            QToolTip::showText(help->globalPos(), text::part_seen(*state_.open->whole, state_.open->whole->parts[*place]).toHtmlEscaped(),
                               this);
        else
            QToolTip::hideText();
        return true;
    }
    return QWidget::event(e);
}

QList<SpokenPart> FormStrip::spoken() const {
    QList<SpokenPart> out;
    for (const auto& s : shown()) {
        const auto& whole = *state_.open->whole;
        out << SpokenPart{tr("Part %1, %2").arg(whole.parts[s.place].part + 1).arg(text::part_name(whole, whole.parts[s.place].part)),
                          text::part_seen(whole, whole.parts[s.place]), s.at.toRect()};
    }
    return out;
}

} // namespace bevel::ui
