// Phases of a movement that is learned: where each begins and ends, set and undone.
#include "core/ground/derive.h"
#include "desk/open_review.h"
#include "ui/forms/learn_dialog.h"
#include "ui/forms/learn_words.h"
#include "ui/shell/left_edit.h"
#include "ui/shell/step.h"
#include "ui/text/data_words.h"
#include <QComboBox>
#include <set>

namespace bevel::ui {

void LearnDialog::change(const QString& what, const Layout& after) {
    undo_.push(new Step<Layout>(
        what, [this](const Layout& l) { set_layout_now(l); }, layout_, after));
}

void LearnDialog::set_layout_now(const Layout& layout) {
    layout_ = layout;
    result_.reset();
    strip_->set_layout_of(layout);
    fill_phases();
    settle();
}

void LearnDialog::fill_phases() {
    filling_ = true;
    const int at = phases_->currentRow();
    phases_->setRowCount(static_cast<int>(layout_.phases.size()));
    double from = layout_.from_s;
    for (int i = 0; i < phases_->rowCount(); ++i) {
        const auto& p = layout_.phases[static_cast<std::size_t>(i)];
        phases_->setItem(i, 0, new QTableWidgetItem(QString::fromStdString(p.name)));
        auto combo = [&](int column, const std::vector<std::string>& all, const std::string& now, auto words) {
            auto* b = new QComboBox;
            b->addItem(tr("none"), QString());
            for (const auto& s : all) b->addItem(words(s), QString::fromStdString(s));
            b->setCurrentIndex(std::max(0, b->findData(QString::fromStdString(now))));
            b->setAccessibleName(column == 1 ? tr("Role of phase %1").arg(i + 1) : tr("Stance of phase %1").arg(i + 1));
            connect(b, &QComboBox::activated, this, [this, i] { phase_edited(i); });
            phases_->setCellWidget(i, column, b);
        };
        combo(1, role_names(), p.role, [](const std::string& s) { return text::role(s); });
        combo(2, stance_names(), p.stance, [](const std::string& s) { return text::stance(s); });
        auto* seconds = new QTableWidgetItem(QLocale().toString(p.end_s - from, 'f', 1));
        seconds->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
        phases_->setItem(i, 3, seconds);
        from = p.end_s;
    }
    if (at >= 0 && at < phases_->rowCount()) phases_->setCurrentCell(at, 0);
    lead_->setCurrentIndex(layout_.alike ? 2 : layout_.lead == Side::right ? 1 : 0);
    filling_ = false;
}

void LearnDialog::phase_edited(int row) {
    if (row < 0 || row >= static_cast<int>(layout_.phases.size())) return;
    Layout l = layout_;
    auto& p = l.phases[static_cast<std::size_t>(row)];
    const QString name = phases_->item(row, 0)->text().trimmed();
    if (!name.isEmpty()) p.name = name.left(120).toStdString();
    p.role = qobject_cast<QComboBox*>(phases_->cellWidget(row, 1))->currentData().toString().toStdString();
    p.stance = qobject_cast<QComboBox*>(phases_->cellWidget(row, 2))->currentData().toString().toStdString();
    const auto& was = layout_.phases[static_cast<std::size_t>(row)];
    if (p.name == was.name && p.role == was.role && p.stance == was.stance) return;
    if (p.role != was.role) p.ends_at.clear();
    // Later: the table is made anew, and the field that was left still stands in it.
    QMetaObject::invokeMethod(
        this, [this, l] { change(tr("a phase"), l); }, Qt::QueuedConnection);
}

void LearnDialog::border_here() {
    Layout l = layout_;
    double from = l.from_s;
    for (std::size_t i = 0; i < l.phases.size(); ++i) {
        const double t = strip_->at();
        if (t > from + 0.1 && t < l.phases[i].end_s - 0.1) {
            LaidPhase first = l.phases[i];
            first.end_s = t;
            first.ends_at.clear();
            l.phases.insert(l.phases.begin() + static_cast<std::ptrdiff_t>(i), first);
            l.phases[i + 1].name += " 2";
            return change(tr("a border"), l);
        }
        from = l.phases[i].end_s;
    }
    say(tr("The mark stands outside of the repetition, or on a border."), true);
}

void LearnDialog::take_border_out() {
    const int b = strip_->chosen();
    if (b < 0 || b + 1 >= static_cast<int>(layout_.phases.size()) || layout_.phases.size() < 3) return;
    Layout l = layout_;
    l.phases.erase(l.phases.begin() + b);
    change(tr("a border taken out"), l);
}

/// The repetition begins or ends at the mark; phases beyond it go.
void LearnDialog::edge_here(bool end) {
    Layout l = layout_;
    const double t = strip_->at();
    if (end ? t < l.from_s + 1 : t > l.to_s() - 1) return say(why_not({Code::bad_value, "stretch"}), true);
    if (end) {
        while (l.phases.size() > 1 && l.phases[l.phases.size() - 2].end_s > t - 0.1) l.phases.pop_back();
        l.phases.back().end_s = t;
    } else {
        while (l.phases.size() > 1 && l.phases.front().end_s < t + 0.1) l.phases.erase(l.phases.begin());
        l.from_s = t;
    }
    change(end ? tr("the end") : tr("the beginning"), l);
}

} // namespace bevel::ui
