#include "ui/review/holds_dialog.h"
#include "ui/shell/rows_model.h"
#include <QDialogButtonBox>
#include <QLabel>
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
    auto sway = [](const std::optional<HeldFigure>& f) {
        return f ? tr("%1 ± %2 mm").arg(QLocale().toString(f->value, 'f', 0), QLocale().toString(std::max(1.0, f->sigma), 'f', 0))
                 : tr("not seen from here");
    };
    auto* rows = new RowsModel<Hold>(
        {{tr("When"), [](const Hold& h) { return text::time(h.from_s); }},
         {tr("How long"),
          [](const Hold& h) {
              return tr("%1 ± %2 s").arg(QLocale().toString(h.length_s(), 'f', 1), QLocale().toString(h.sigma_s, 'f', 1));
          }},
         {tr("On"),
          [](const Hold& h) {
              QString on = h.leg ? tr("the %1 leg").arg(text::side(*h.leg)) : tr("both feet");
              if (h.touches > 0) on += tr(", touched %n time(s)", nullptr, h.touches);
              return h.supported ? on + tr(", supported") : on;
          }},
         {tr("Sway sideways"), [sway](const Hold& h) { return sway(h.sideways); }},
         {tr("Sway forward"), [sway](const Hold& h) { return sway(h.forward); }},
         {tr("Hips sink"), [units](const Hold& h) {
              return h.sinks ? text::with_sigma(h.sinks->value, h.sinks->sigma, QStringLiteral("1"), units) : tr("not seen");
          }}});
    rows->set_rows(holds);
    auto* table = table_of(rows, QStringLiteral("holds"), tr("Holds"), {5});
    box->addWidget(table, 1);
    auto* close = new QDialogButtonBox(QDialogButtonBox::Close);
    box->addWidget(close);
    connect(close, &QDialogButtonBox::rejected, this, &QDialog::close);
    connect(table->selectionModel(), &QItemSelectionModel::currentChanged, this, [this, rows](const QModelIndex& i) {
        if (const Hold* h = rows->at(i)) emit wanted(h->from_s);
    });
}

} // namespace bevel::ui
