#include "ui/practice/plan_view.h"
#include "core/practice/gate.h"
#include "ui/shell/flow_layout.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QHBoxLayout>
#include <QHelpEvent>
#include <QInputDialog>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <QSpinBox>
#include <QToolTip>

namespace bevel::ui {

/// Where the time goes: a piece an item, patterned by its part, the minutes below.
class PlanView::Bar : public QWidget {
public:
    explicit Bar(const Session& session) : session_(session) {
        setFixedHeight(46);
        setObjectName(QStringLiteral("planBar"));
        setAccessibleName(PlanView::tr("Where the time goes"));
    }
    const Plan* plan = nullptr;
    int current = -1;

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        const Palette& c = session_.theme.palette;
        if (!plan || plan->items.empty()) return;
        const double all = std::max(plan->total_s(), 60 * plan->minutes);
        const double scale = (width() - 2 * edge) / all;
        double x = edge;
        for (std::size_t n = 0; n < plan->items.size(); ++n) {
            const auto& i = plan->items[n];
            const QRectF r(x, 2, i.seconds() * scale, 24);
            QColor fill = c.accent;
            fill.setAlphaF(i.part == PlanPart::loosening                              ? 0.25F
                           : i.part == PlanPart::form || i.part == PlanPart::sequence ? 0.75F
                           : i.part == PlanPart::drill || i.part == PlanPart::join    ? 0.5F
                                                                                      : 0.08F);
            p.fillRect(r, fill);
            if (i.part == PlanPart::loosening) p.fillRect(r, QBrush(c.accent, Qt::BDiagPattern));
            p.setPen(static_cast<int>(n) == current ? QPen(c.focus, 2) : QPen(c.line, 1));
            p.setBrush(Qt::NoBrush);
            p.drawRect(r);
            x += r.width();
        }
        p.setPen(c.faint);
        p.setFont(session_.theme.font(9));
        const int step = all > 3600 ? 10 : all > 1500 ? 5 : all > 700 ? 2 : 1;
        for (int m = 0; m * 60 <= all; m += step)
            p.drawText(QRectF(edge + m * 60 * scale - 20, 28, 40, 16), Qt::AlignHCenter, QString::number(m));
        const double end = edge + 60 * plan->minutes * scale;
        p.setPen(QPen(c.ink, 2));
        p.drawLine(QPointF(end - 1, 0), QPointF(end - 1, 28));
    }
    bool event(QEvent* e) override {
        if (e->type() == QEvent::ToolTip && plan) {
            const auto* help = static_cast<QHelpEvent*>(e);
            const double scale = (width() - 2 * edge) / std::max({1.0, plan->total_s(), 60 * plan->minutes});
            double x = edge;
            for (const auto& i : plan->items) {
                x += i.seconds() * scale;
                if (help->pos().x() < x) {
                    QToolTip::showText(help->globalPos(),
                                       text::item_title(i, *session_.practice_movements()) + QStringLiteral(", ") +
                                           text::minutes_words(i.seconds()),
                                       this);
                    break;
                }
            }
            return true;
        }
        return QWidget::event(e);
    }

private:
    static constexpr double edge = 12; // the numbers at both ends have room
    const Session& session_;
};

namespace {
/// Rows are dragged; the plan is moved, the list made anew.
class DragList : public QListWidget {
public:
    std::function<void(int, int)> moved;

protected:
    void dropEvent(QDropEvent* e) override {
        const int from = currentRow();
        const QModelIndex at = indexAt(e->position().toPoint());
        int to = at.isValid() ? at.row() : -1;
        if (at.isValid() && dropIndicatorPosition() == QAbstractItemView::BelowItem) to = at.row() + 1 < count() ? at.row() + 1 : -1;
        e->setDropAction(Qt::IgnoreAction);
        e->accept();
        if (moved) moved(from, to);
    }
};
} // namespace

PlanView::PlanView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    bar_ = new Bar(session_);
    auto* list = new DragList;
    list_ = list;
    list->moved = [this](int from, int to) { move(from, to); };
    list_->setObjectName(QStringLiteral("plan"));
    list_->setAccessibleName(tr("The session"));
    list_->setWordWrap(true);
    list_->setSpacing(2);
    list_->setDragDropMode(QAbstractItemView::InternalMove);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_->setToolTip(tr("Drag to another place; a lock keeps it when a session is proposed anew"));
    total_ = new QLabel;
    total_->setObjectName(QStringLiteral("planTotal"));
    total_->setWordWrap(true);
    problems_ = new QLabel;
    problems_->setObjectName(QStringLiteral("planProblems"));
    problems_->setWordWrap(true);
    detail_ = new QLabel;
    detail_->setObjectName(QStringLiteral("faint"));
    detail_->setWordWrap(true);
    auto number = [&](const char* name, const QString& label, int most, auto set) {
        auto* s = new QSpinBox;
        s->setObjectName(QLatin1String(name));
        s->setAccessibleName(label);
        s->setToolTip(label);
        s->setRange(0, most);
        s->setPrefix(label + QLatin1Char(' '));
        connect(s, &QSpinBox::valueChanged, this, [this, set](int v) {
            if (filling_ || current() < 0) return;
            change([&](Plan& p) { set(p.items[static_cast<std::size_t>(current())], v); });
        });
        return s;
    };
    left_ = number("planLeft", tr("left"), 30, [](PlanItem& i, int v) { i.left = v; });
    right_ = number("planRight", tr("right"), 30, [](PlanItem& i, int v) { i.right = v; });
    times_ = number("planTimes", tr("times"), 60, [](PlanItem& i, int v) { i.times = v; });
    holds_ = number("planHolds", tr("holds"), 20, [](PlanItem& i, int v) { i.holds = std::max(1, v); });
    hold_s_ = number("planHoldS", tr("seconds"), 600,
                     [](PlanItem& i, int v) { i.holds > 0 ? i.hold_s = std::max(5, v) : i.practice_s = std::max(5, v); });
    auto button = [&](const char* name, const QString& label, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        connect(b, &QPushButton::clicked, this, go);
        return b;
    };
    lock_ = button("planLock", tr("Lock"), [this] {
        if (current() >= 0) lock(current(), !plan_.items[static_cast<std::size_t>(current())].locked);
    });
    up_ = button("planUp", tr("Earlier"), [this] {
        if (current() > 0) move(current(), current() - 1);
    });
    down_ = button("planDown", tr("Later"), [this] {
        if (current() >= 0 && current() + 1 < list_->count()) move(current(), current() + 2 < list_->count() ? current() + 2 : -1);
    });
    let_in_ = button("planLetIn", tr("Let it in …"), [this] { ask_why(current()); });
    let_in_->setToolTip(tr("Against what was agreed or what today asks for, with the reason, which is printed with the plan"));
    out_ = button("planOut", tr("Take out"), [this] { take_out(current()); });
    auto* row = new FlowLayout;
    row->setSpacing(6);
    for (QWidget* w : std::initializer_list<QWidget*>{left_, right_, times_, holds_, hold_s_}) row->addWidget(w);
    for (auto* b : {let_in_, lock_, up_, down_, out_}) row->addWidget(b);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(total_);
    box->addWidget(bar_);
    box->addWidget(list_, 1);
    box->addLayout(row);
    box->addWidget(detail_);
    box->addWidget(problems_);
    connect(list_, &QListWidget::currentRowChanged, this, [this](int r) {
        show_item();
        if (!filling_) emit chosen(r);
    });
    show_item();
}

int PlanView::current() const {
    return list_->currentRow();
}

void PlanView::show_plan(const Plan& plan, const Needs& needs) {
    plan_ = plan;
    needs_ = needs;
    fill();
}

void PlanView::change(const std::function<void(Plan&)>& how) {
    const Plan before = plan_;
    Plan after = plan_;
    how(after);
    settle_plan(after, *session_.practice_movements());
    emit changed(before, after);
}

void PlanView::move(int row, int before) {
    if (row < 0 || row >= list_->count() || before == row) return;
    change([&](Plan& p) {
        PlanItem i = p.items[static_cast<std::size_t>(row)];
        p.items.erase(p.items.begin() + row);
        const int to = before < 0 ? static_cast<int>(p.items.size()) : before > row ? before - 1 : before;
        p.items.insert(p.items.begin() + to, std::move(i));
    });
}

void PlanView::take_out(int row) {
    if (row < 0 || row >= list_->count()) return;
    change([&](Plan& p) { p.items.erase(p.items.begin() + row); });
}

void PlanView::lock(int row, bool on) {
    if (row < 0 || row >= list_->count()) return;
    change([&](Plan& p) { p.items[static_cast<std::size_t>(row)].locked = on; });
}

void PlanView::insert(const std::string& movement, int row) {
    const auto m = session_.movement(movement);
    if (!m) return;
    const Traits t = traits_of(*m);
    PlanItem i;
    i.movement = movement;
    i.part = t.loosening ? PlanPart::loosening : PlanPart::form;
    i.change_s = change_of_stance_s + explain_s;
    if (t.hold)
        i.holds = 1, i.hold_s = 30;
    else if (t.sided)
        i.left = i.right = 3;
    else
        i.times = 8;
    const Pass way = pass(*m, needs_);
    i.version = way.version, i.support = way.support, i.ladder = way.ladder, i.first_side = way.first_side;
    i.why = {{PlanReason::Code::wanted, "", ""}};
    if (way.barred) emit barred(text::left_out({movement, *way.barred}, *session_.practice_movements()));
    if (way.barred == LeftOut::Code::unknown) return;
    // What is barred stands there to be let in with a reason.
    change([&](Plan& p) { p.items.insert(p.items.begin() + std::clamp(row, 0, static_cast<int>(p.items.size())), std::move(i)); });
}

void PlanView::let_in(int row, const QString& reason) {
    if (row < 0 || row >= list_->count()) return;
    change([&](Plan& p) { p.items[static_cast<std::size_t>(row)].let_in = reason.trimmed().left(200).toStdString(); });
}

void PlanView::ask_why(int row) {
    if (row < 0 || row >= list_->count()) return;
    auto* dialog = new QInputDialog(this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setObjectName(QStringLiteral("letIn"));
    dialog->setWindowTitle(tr("Let it in"));
    dialog->setLabelText(tr("Why may it be done today all the same? The reason is printed with the plan."));
    dialog->setTextValue(QString::fromStdString(plan_.items[static_cast<std::size_t>(row)].let_in));
    connect(dialog, &QInputDialog::textValueSelected, this, [this, row](const QString& reason) { let_in(row, reason); });
    dialog->open();
}

void PlanView::set_needs(const Needs& needs) {
    needs_ = needs;
    fill();
}

std::vector<int> PlanView::barred_rows() const {
    std::vector<int> out;
    for (std::size_t n = 0; n < plan_.items.size(); ++n)
        if (bevel::barred(plan_.items[n], needs_, *session_.practice_movements())) out.push_back(static_cast<int>(n));
    return out;
}

void PlanView::fill() {
    filling_ = true;
    const int at = list_->currentRow();
    list_->clear();
    const auto snapshot = session_.practice_movements();
    const auto& movements = *snapshot;
    double from = 0;
    for (const auto& i : plan_.items) {
        const QStringList why = text::plan_reasons(i.why, movements);
        const QString head = QStringLiteral("%1   %2%3 · %4")
                                 .arg(text::minutes_words(from), text::item_title(i, movements), i.locked ? tr("  (locked)") : QString(),
                                      text::item_amount(i));
        auto* it = new QListWidgetItem(why.isEmpty() ? head
                                                     : head + QLatin1Char('\n') + text::part_of_plan(i.part) + QStringLiteral(": ") +
                                                           why.join(QStringLiteral("; ")),
                                       list_);
        if (i.part == PlanPart::settling) it->setForeground(session_.theme.palette.faint);
        from += i.seconds();
    }
    list_->setCurrentRow(std::min(at, list_->count() - 1));
    filling_ = false;
    bar_->plan = &plan_;
    total_->setText(plan_.items.empty() ? QString()
                                        : tr("%1 of %2 minutes · loosening %3 %")
                                              .arg(text::minutes_words(plan_.total_s()))
                                              .arg(plan_.minutes)
                                              .arg(std::lround(100 * plan_.loosening_share())));
    QStringList lines;
    for (const auto& l : plan_.left_out) lines << text::left_out(l, movements);
    for (const auto& p : problems_of(plan_, needs_, movements)) lines << text::plan_problem(p, plan_, movements);
    lines.removeDuplicates();
    lines.removeAll(QString());
    if (lines.size() > 4) lines = lines.mid(0, 4) << tr("and %n more", nullptr, static_cast<int>(lines.size()) - 4);
    problems_->setText(lines.join(QLatin1Char('\n')));
    problems_->setVisible(!lines.isEmpty());
    show_item();
}

void PlanView::show_item() {
    filling_ = true;
    const int r = list_->currentRow();
    const PlanItem* i = r >= 0 && r < static_cast<int>(plan_.items.size()) ? &plan_.items[static_cast<std::size_t>(r)] : nullptr;
    const bool sided = i && i->left + i->right > 0;
    left_->setVisible(sided);
    right_->setVisible(sided);
    times_->setVisible(i && i->times > 0);
    holds_->setVisible(i && i->holds > 0);
    hold_s_->setVisible(i &&
                        (i->holds > 0 || i->part == PlanPart::opening || i->part == PlanPart::closing || i->part == PlanPart::settling));
    for (auto* b : {lock_, up_, down_, out_}) b->setEnabled(i != nullptr);
    let_in_->setVisible(i && (!i->let_in.empty() || bevel::barred(*i, needs_, *session_.practice_movements())));
    lock_->setText(i && i->locked ? tr("Unlock") : tr("Lock"));
    if (i) {
        left_->setValue(i->left), right_->setValue(i->right), times_->setValue(i->times), holds_->setValue(i->holds);
        hold_s_->setValue(static_cast<int>(std::lround(i->holds > 0 ? i->hold_s : i->practice_s)));
        QStringList words;
        for (const auto& c : i->cautions) words << text::caution(QString::fromStdString(c));
        if (i->support) words << tr("Chair or wall in reach.");
        if (!i->let_in.empty()) words << tr("Let in: %1").arg(QString::fromStdString(i->let_in));
        detail_->setText(words.join(QLatin1Char(' ')));
    }
    detail_->setVisible(i && !detail_->text().isEmpty());
    bar_->current = r;
    bar_->update();
    filling_ = false;
}

} // namespace bevel::ui
