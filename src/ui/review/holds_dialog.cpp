#include "ui/review/holds_dialog.h"
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QLabel>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {

HoldsDialog::HoldsDialog(const OpenReview& open, const Units& units, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("holdsDialog"));
    setWindowTitle(tr("Holds in this clip"));
    resize(720, 360);
    const auto holds = find_holds(open.review->motion, open.review->measures, open.clip.states);
    auto* box = new QVBoxLayout(this);
    auto* words =
        new QLabel(holds.empty() ? tr("Nothing is held for two seconds in this clip.")
                                 : tr("%n hold(s) of two seconds or more. Sway is how far the body's centre wanders about its middle.",
                                      nullptr, static_cast<int>(holds.size())));
    words->setWordWrap(true);
    box->addWidget(words);
    auto* table = new QTableWidget(static_cast<int>(holds.size()), 6);
    table->setObjectName(QStringLiteral("holds"));
    table->setAccessibleName(tr("Holds"));
    table->setHorizontalHeaderLabels({tr("When"), tr("How long"), tr("On"), tr("Sway sideways"), tr("Sway forward"), tr("Hips sink")});
    table->verticalHeader()->hide();
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table->horizontalHeader()->setStretchLastSection(true);
    auto sway = [](const std::optional<HeldFigure>& f) {
        return f ? tr("%1 ± %2 mm").arg(QLocale().toString(f->value, 'f', 0), QLocale().toString(std::max(1.0, f->sigma), 'f', 0))
                 : tr("not seen from here");
    };
    for (int i = 0; i < table->rowCount(); ++i) {
        const auto& h = holds[static_cast<std::size_t>(i)];
        QString on = h.leg ? tr("the %1 leg").arg(text::side(*h.leg)) : tr("both feet");
        if (h.touches > 0) on += tr(", touched %n time(s)", nullptr, h.touches);
        if (h.supported) on += tr(", supported");
        const std::array<QString, 6> cells{
            text::time(h.from_s),
            tr("%1 ± %2 s").arg(QLocale().toString(h.length_s(), 'f', 1), QLocale().toString(h.sigma_s, 'f', 1)),
            on,
            sway(h.sideways),
            sway(h.forward),
            h.sinks ? text::with_sigma(h.sinks->value, h.sinks->sigma, QStringLiteral("1"), units) : tr("not seen")};
        for (int c = 0; c < 6; ++c) {
            auto* it = new QTableWidgetItem(cells[static_cast<std::size_t>(c)]);
            it->setData(Qt::UserRole, h.from_s);
            table->setItem(i, c, it);
        }
    }
    box->addWidget(table, 1);
    auto* close = new QDialogButtonBox(QDialogButtonBox::Close);
    box->addWidget(close);
    connect(close, &QDialogButtonBox::rejected, this, &QDialog::close);
    connect(table, &QTableWidget::currentItemChanged, this, [this](const QTableWidgetItem* it) {
        if (it) emit wanted(it->data(Qt::UserRole).toDouble());
    });
}

} // namespace bevel::ui
