#include "ui/review/figures_table.h"
#include "ui/review/views.h"
#include <cmath>
#include <QHeaderView>

namespace bevel::ui {

FiguresTable::FiguresTable(const Session& session, const ReviewState& state, QWidget* parent)
    : QTableWidget(0, 5, parent), session_(session), state_(state) {
    setObjectName(QStringLiteral("figures"));
    setAccessibleName(tr("Figures at this frame"));
    setHorizontalHeaderLabels({tr("At this frame"), tr("Student"), tr("Ref."), tr("Off"), tr("Band")});
    verticalHeader()->hide();
    verticalHeader()->setDefaultSectionSize(24);
    setEditTriggers(QAbstractItemView::NoEditTriggers);
    setSelectionMode(QAbstractItemView::NoSelection);
    setFocusPolicy(Qt::NoFocus);
    setShowGrid(false);
    horizontalHeader()->setMinimumSectionSize(34);
    horizontalHeader()->setDefaultAlignment(Qt::AlignRight | Qt::AlignVCenter);
    setWordWrap(false);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    horizontalHeaderItem(0)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (int c = 1; c < 5; ++c) horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
}

QString FiguresTable::band_now(const MeasureSeries& s, std::optional<double> reference) const {
    const auto* rep = state_.repetition_of(state_.shown());
    const double t = state_.shown_time();
    QString out = QStringLiteral("–");
    for (const auto& c : state_.open->review->movement.checks) {
        const auto applies = rep ? band_of(c, *rep, s) : std::nullopt;
        if (!applies) continue;
        const bool now = c.phases.empty() || std::any_of(rep->phases.begin(), rep->phases.end(), [&](const PhaseSpan& p) {
                             return t >= p.start_s && t < p.end_s && std::find(c.phases.begin(), c.phases.end(), p.id) != c.phases.end();
                         });
        if (!now || (applies->relative && !reference)) continue;
        const double by = applies->relative ? *reference : 0;
        auto moved = [&](const std::optional<double>& v) { return v ? std::optional(*v + by) : std::nullopt; };
        out = text::bare_band(moved(applies->low), moved(applies->high), QString::fromStdString(s.unit), state_.units);
    }
    return out;
}

void FiguresTable::fill() {
    if (!state_.open) return;
    if (state_.family == Family::tempo) return fill_tempo();
    const Review& r = *state_.open->review;
    const auto keys = lane_keys(session_, r, state_.family);
    setRowCount(static_cast<int>(keys.size()));
    const auto* rep = state_.repetition_of(state_.shown());
    for (std::size_t i = 0; i < keys.size(); ++i) {
        const auto& s = r.measures.series.at(keys[i]);
        const Sample& v = s.samples[state_.shown()];
        const QString unit = QString::fromStdString(s.unit);
        QString name = session_.catalogue.name(QString::fromStdString(s.id));
        if (s.side) name = tr("%1, %2").arg(name, text::side(*s.side));
        const auto reference =
            rep ? r.reference->model().value(s.id, s.side, rep->reference_side(), state_.reference_s[state_.shown()]) : std::nullopt;
        const std::array<QString, 5> cells{name, v.present() ? text::with_sigma(v.value, v.sigma, unit, state_.units) : QStringLiteral("–"),
                                           reference ? text::bare(*reference, unit, state_.units) : QStringLiteral("–"),
                                           reference && v.present() ? text::difference(v.value - *reference, unit, state_.units)
                                                                    : QStringLiteral("–"),
                                           band_now(s, reference)};
        const auto* info = session_.catalogue.find(QString::fromStdString(s.id));
        for (int c = 0; c < 5; ++c) {
            auto* cell = item(static_cast<int>(i), c);
            if (!cell) setItem(static_cast<int>(i), c, cell = new QTableWidgetItem);
            cell->setText(cells[static_cast<std::size_t>(c)]);
            if (c > 0) cell->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            cell->setToolTip(v.present() ? (info ? tr("%1: %2").arg(name, info->definition()) : name)
                                         : tr("%1: %2").arg(name, text::absent(v.absent)));
            cell->setForeground(!v.present() ? session_.theme.palette.faint
                                : s.side     ? session_.theme.side(*s.side)
                                             : session_.theme.palette.ink);
        }
    }
}

void FiguresTable::fill_tempo() {
    const Review& r = *state_.open->review;
    const auto* rep = state_.repetition_of(state_.shown());
    setRowCount(rep ? static_cast<int>(rep->phases.size()) + 1 : 0);
    if (!rep) return;
    const QString unit = QStringLiteral("s");
    double whole = 0;
    for (const auto& p : rep->phases) whole += r.movement.phases[p.index].duration_s;
    auto row = [&](int at, const QString& name, double student, double reference, bool now) {
        const std::array<QString, 5> cells{name, text::figure(student, unit), text::bare(reference, unit),
                                           text::difference(student - reference, unit), QStringLiteral("–")};
        for (int c = 0; c < 5; ++c) {
            auto* cell = new QTableWidgetItem(cells[static_cast<std::size_t>(c)]);
            if (c > 0) cell->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            cell->setForeground(now ? session_.theme.palette.accent : session_.theme.palette.ink);
            cell->setToolTip(tr("%1: how long it took, against the reference").arg(name));
            setItem(at, c, cell);
        }
    };
    row(0, rep->side ? tr("Repetition, %1").arg(text::side(*rep->side)) : tr("Repetition"), rep->end_s - rep->start_s, whole, false);
    for (std::size_t i = 0; i < rep->phases.size(); ++i) {
        const auto& p = rep->phases[i];
        row(static_cast<int>(i) + 1, said(r.movement.phases[p.index].name), p.end_s - p.start_s, r.movement.phases[p.index].duration_s,
            state_.shown_time() >= p.start_s && state_.shown_time() < p.end_s);
    }
}

} // namespace bevel::ui
