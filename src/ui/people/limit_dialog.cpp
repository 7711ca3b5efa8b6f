#include "ui/people/limit_dialog.h"
#include "ui/shell/day_edit.h"
#include "ui/text/data_words.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDateEdit>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

const Check* check_named(const std::string& id) {
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            if (rc.check.id == id) return &rc.check;
    return nullptr;
}

/// How a unit is shown, so that fields hold what people read.
text::ShownUnit shown(const Check& c) {
    return text::shown_unit(QString::fromStdString(c.unit.empty() ? unit_of_measure(rule_book(), c.measure).value_or("") : c.unit));
}

} // namespace

LimitDialog::LimitDialog(const Session& session, const Agreement& now, QWidget* parent) : QDialog(parent), session_(session), now_(now) {
    setObjectName(QStringLiteral("limitDialog"));
    setWindowTitle(now.id == 0 ? tr("A limit or an adaptation") : tr("Change what was agreed"));
    check_ = new QComboBox;
    check_->setObjectName(QStringLiteral("limitCheck"));
    check_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    check_->setMinimumContentsLength(40);
    // What plans of practice keep to, first.
    for (const char* limit : {"limit.high_stance", "limit.seated", "limit.no_overhead", "limit.no_balance", "limit.no_bends",
                              "limit.no_twists", "limit.care_knees", "limit.care_low_back", "limit.care_neck", "limit.care_shoulders"})
        check_->addItem(text::check_name(limit, session_.catalogue), QString::fromLatin1(limit));
    check_->insertSeparator(check_->count());
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            check_->addItem(tr("%1: %2").arg(said(rule.name), session_.catalogue.name(QString::fromStdString(rc.check.measure))),
                            QString::fromStdString(rc.check.id));
    off_ = new QCheckBox(tr("Not judged at all"));
    off_->setObjectName(QStringLiteral("limitOff"));
    auto* ends = new QHBoxLayout;
    for (const auto& [box, name, label] : {std::tuple{&low_, "limitLow", tr("At least")}, {&high_, "limitHigh", tr("At most")}}) {
        *box = new QDoubleSpinBox;
        (*box)->setObjectName(QLatin1String(name));
        (*box)->setAccessibleName(label);
        (*box)->setRange(-1001, 2000);
        (*box)->setSpecialValueText(tr("as usual"));
        ends->addWidget(new QLabel(label));
        ends->addWidget(*box, 1);
    }
    usual_ = new QLabel;
    usual_->setObjectName(QStringLiteral("faint"));
    usual_->setWordWrap(true);
    reason_ = new QLineEdit(QString::fromStdString(now.reason));
    reason_->setObjectName(QStringLiteral("limitReason"));
    reason_->setPlaceholderText(tr("What was agreed and why, in your words; no diagnosis"));
    from_ = new DayEdit(now.from_day.empty() ? QDate::currentDate() : QDate::fromString(QString::fromStdString(now.from_day), Qt::ISODate));
    from_->setObjectName(QStringLiteral("limitFrom"));
    from_->setAccessibleName(tr("From"));
    until_ = new DayEdit(now.until_day.empty() ? QDate::currentDate().addMonths(1)
                                               : QDate::fromString(QString::fromStdString(now.until_day), Qt::ISODate));
    until_->setObjectName(QStringLiteral("limitUntil"));
    until_on_ = new QCheckBox(tr("until"));
    until_on_->setObjectName(QStringLiteral("limitUntilOn"));
    until_on_->setChecked(!now.until_day.empty());
    until_->setAccessibleName(until_on_->text());
    until_->setEnabled(until_on_->isChecked());
    for (auto* d : {from_, until_}) d->setCalendarPopup(true);
    auto* days = new QHBoxLayout;
    days->addWidget(from_);
    days->addWidget(until_on_);
    days->addWidget(until_);
    days->addStretch(1);
    problem_ = new QLabel;
    problem_->setObjectName(QStringLiteral("problem"));
    problem_->setWordWrap(true);
    problem_->hide();
    auto* form = new QFormLayout;
    form->addRow(tr("What is judged"), check_);
    form->addRow(QString(), usual_);
    form->addRow(tr("Band"), ends);
    form->addRow(QString(), off_);
    form->addRow(tr("Reason"), reason_);
    form->addRow(tr("From"), days);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    buttons->button(QDialogButtonBox::Ok)->setText(tr("Keep"));
    auto* all = new QVBoxLayout(this);
    all->addLayout(form);
    all->addWidget(problem_);
    all->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, this, &LimitDialog::keep);
    connect(check_, &QComboBox::currentIndexChanged, this, [this] {
        low_->setValue(low_->minimum());
        high_->setValue(high_->minimum());
        show_usual();
    });
    connect(until_on_, &QCheckBox::toggled, until_, &QWidget::setEnabled);
    connect(off_, &QCheckBox::toggled, this, [this](bool on) {
        low_->setEnabled(!on);
        high_->setEnabled(!on);
    });
    if (!now.check.empty()) {
        const QSignalBlocker quiet(check_);
        check_->setCurrentIndex(std::max(0, check_->findData(QString::fromStdString(now.check))));
    }
    off_->setChecked(now.off);
    const Check* c = check_named(check_->currentData().toString().toStdString());
    const double factor = c ? shown(*c).factor : 1;
    low_->setValue(now.low ? *now.low * factor : low_->minimum());
    high_->setValue(now.high ? *now.high * factor : high_->minimum());
    show_usual();
}

void LimitDialog::show_usual() {
    const Check* c = check_named(check_->currentData().toString().toStdString());
    const bool plain = c == nullptr; // a limit for plans has no band
    for (QWidget* w : std::initializer_list<QWidget*>{low_, high_, off_}) w->setEnabled(!plain && (w == off_ || !off_->isChecked()));
    if (plain) return usual_->setText(tr("Plans of practice leave it out or take the gentler version, and no review asks for it."));
    const auto unit = shown(*c);
    for (auto* box : {low_, high_}) {
        box->setDecimals(unit.decimals);
        box->setSuffix(unit.suffix);
    }
    usual_->setText(c->low || c->high ? tr("Usually: %1")
                                            .arg(text::band(c->low, c->high,
                                                            QString::fromStdString(unit_of_measure(rule_book(), c->measure).value_or(""))))
                                      : tr("The usual band depends on the stance."));
}

void LimitDialog::keep() {
    const Check* c = check_named(check_->currentData().toString().toStdString());
    Agreement a = now_;
    a.check = check_->currentData().toString().toStdString();
    if (a.check.empty()) return;
    a.reason = reason_->text().trimmed().toStdString();
    a.off = !c || off_->isChecked();
    const double factor = c ? shown(*c).factor : 1;
    const auto end = [&](const QDoubleSpinBox* box) {
        return a.off || box->value() <= box->minimum() ? std::optional<double>() : std::optional(box->value() / factor);
    };
    a.low = end(low_), a.high = end(high_);
    a.from_day = from_->date().toString(Qt::ISODate).toStdString();
    a.until_day = until_on_->isChecked() ? until_->date().toString(Qt::ISODate).toStdString() : std::string();
    const auto refuse = [&](const QString& why) {
        problem_->setText(why);
        problem_->show();
    };
    if (a.reason.empty()) return refuse(tr("Say why: what was agreed owes a reason."));
    if (!a.off && !a.low && !a.high) return refuse(tr("Give the band an end, or say that it is not judged."));
    if (a.low && a.high && *a.low > *a.high) return refuse(tr("The least is above the most."));
    if (!a.until_day.empty() && a.until_day < a.from_day) return refuse(tr("It ends before it begins."));
    accept();
    emit agreed(a);
}

} // namespace bevel::ui
