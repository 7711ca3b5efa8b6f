#include "ui/review/agreement_dialog.h"
#include "ui/shell/day_edit.h"
#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QDateEdit>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace bevel::ui {
namespace {

QDate day_of(const Clip& c) {
    const QDate d = QDate::fromString(QString::fromStdString(c.filmed_on.empty() ? c.arrived_on : c.filmed_on), Qt::ISODate);
    return d.isValid() ? d : QDate::currentDate();
}

/// Without the phases that a level of the band stack split it by.
std::string base_id(const std::string& check) {
    return check.substr(0, check.find('@'));
}

} // namespace

AgreementDialog::AgreementDialog(const Session& session, const OpenReview& open, const std::string& check, QWidget* parent)
    : QDialog(parent) {
    setObjectName(QStringLiteral("agreementDialog"));
    for (const auto& c : open.review->movement.checks)
        if (c.id == check || (!check_ && base_id(c.id) == base_id(check))) check_ = &c;
    units_ = session.settings.units(open.review->motion, open.person);
    person_ = open.person.id;
    clip_ = open.clip.id;
    before_.person = person_;
    before_.check = base_id(check);
    for (const auto& a : open.agreements)
        if (a.check == before_.check) before_ = a;
    for (const auto& f : open.review->findings)
        if (base_id(f.check) == before_.check) findings_.push_back(f);
    if (check_)
        unit_ = QString::fromStdString(check_->unit.empty() ? unit_of_measure(rule_book(), check_->measure).value_or("") : check_->unit);
    setWindowTitle(tr("Agree on a band with %1").arg(QString::fromStdString(open.person.name)));
    build(session, open);
    start_with(open);
    settle();
}

QDoubleSpinBox* AgreementDialog::end_box(const char* name, const QString& label, bool present, const std::optional<double>& value) {
    auto* box = new QDoubleSpinBox;
    const auto u = text::shown_unit(unit_, units_);
    box->setObjectName(QLatin1String(name));
    box->setAccessibleName(label);
    box->setDecimals(u.decimals);
    box->setSingleStep(std::pow(10.0, -u.decimals) * (u.decimals == 2 ? 5 : 1));
    box->setRange(-1000, 1000);
    box->setSuffix(u.suffix);
    box->setEnabled(present);
    if (value) box->setValue(*value * u.factor);
    return box;
}

void AgreementDialog::build(const Session& session, const OpenReview& open) {
    const bool low = check_ && !check_->cue_low.empty(), high = check_ && !check_->cue_high.empty();
    low_ = end_box("agreeLow", tr("At least"), low, check_ ? check_->low : std::nullopt);
    high_ = end_box("agreeHigh", tr("At most"), high, check_ ? check_->high : std::nullopt);
    off_ = new QCheckBox(tr("Do not judge it at all"));
    off_->setObjectName(QStringLiteral("agreeOff"));
    scope_ = new QComboBox;
    scope_->setObjectName(QStringLiteral("agreeScope"));
    scope_->setAccessibleName(tr("For how long"));
    scope_->addItems({tr("With %1, from a day on").arg(QString::fromStdString(open.person.name)), tr("For this clip only")});
    from_ = new DayEdit;
    from_->setAccessibleName(tr("From"));
    ends_ = new QCheckBox(tr("until"));
    ends_->setObjectName(QStringLiteral("agreeEnds"));
    until_ = new DayEdit;
    until_->setAccessibleName(tr("Until"));
    for (auto* d : {from_, until_}) d->setCalendarPopup(true);
    reason_ = new QLineEdit;
    reason_->setObjectName(QStringLiteral("agreeReason"));
    reason_->setAccessibleName(tr("Reason"));
    reason_->setPlaceholderText(tr("Why: the reader of a review sees it"));
    auto* days = new QHBoxLayout;
    for (QWidget* w : std::initializer_list<QWidget*>{from_, ends_, until_}) days->addWidget(w);
    days->addStretch(1);
    auto* form = new QFormLayout(this);
    auto* head = new QLabel(text::check_name(before_.check, session.catalogue));
    head->setObjectName(QStringLiteral("heading"));
    form->addRow(head);
    if (check_) {
        // What is in force without this agreement.
        const BandStep* usual = &check_->stack.front();
        for (const auto& s : check_->stack)
            if (s.level < BandLevel::student) usual = &s;
        auto* was =
            new QLabel(tr("Usual band: %1, by %2").arg(text::band(usual->low, usual->high, unit_, units_), text::band_owner(usual->level)));
        was->setObjectName(QStringLiteral("faint"));
        was->setWordWrap(true);
        form->addRow(was);
    }
    if (low) form->addRow(tr("At least"), low_);
    if (high) form->addRow(tr("At most"), high_);
    low_->setParent(this), high_->setParent(this);
    low_->setVisible(low), high_->setVisible(high);
    form->addRow(off_);
    form->addRow(tr("Holds"), scope_);
    form->addRow(tr("From"), days);
    form->addRow(tr("Reason"), reason_);
    auto* note = new QLabel(tr("Bevel keeps what was agreed about form. It keeps no diagnosis."));
    note->setObjectName(QStringLiteral("faint"));
    form->addRow(note);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    ok_ = buttons->addButton(tr("Agree"), QDialogButtonBox::AcceptRole);
    ok_->setObjectName(QStringLiteral("agreeOk"));
    if (before_.id != 0) {
        auto* end = buttons->addButton(tr("Take it back"), QDialogButtonBox::DestructiveRole);
        end->setObjectName(QStringLiteral("agreeEnd"));
        connect(end, &QPushButton::clicked, this, [this] {
            emit ended(before_.id);
            accept();
        });
    }
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, [this] {
        emit agreed(agreement());
        accept();
    });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    for (auto* c : {off_, ends_}) connect(c, &QCheckBox::toggled, this, &AgreementDialog::settle);
    connect(scope_, &QComboBox::currentIndexChanged, this, &AgreementDialog::settle);
    connect(reason_, &QLineEdit::textChanged, this, &AgreementDialog::settle);
    for (auto* d : {from_, until_}) connect(d, &QDateEdit::dateChanged, this, &AgreementDialog::settle);
    for (auto* d : {low_, high_}) connect(d, &QDoubleSpinBox::valueChanged, this, &AgreementDialog::settle);
}

/// The agreement in force, or a proposal: a band that the present figures lie in, from the day of the clip on.
void AgreementDialog::start_with(const OpenReview& open) {
    const auto u = text::shown_unit(unit_, units_);
    const double step = std::pow(10.0, -u.decimals) * (u.decimals == 0 ? 1 : 5);
    from_->setDate(day_of(open.clip));
    until_->setDate(from_->date().addMonths(2));
    if (before_.id != 0) {
        if (before_.low) low_->setValue(*before_.low * u.factor);
        if (before_.high) high_->setValue(*before_.high * u.factor);
        off_->setChecked(before_.off);
        scope_->setCurrentIndex(before_.clip != 0 ? 1 : 0);
        reason_->setText(QString::fromStdString(before_.reason));
        if (const QDate d = QDate::fromString(QString::fromStdString(before_.from_day), Qt::ISODate); d.isValid()) from_->setDate(d);
        if (const QDate d = QDate::fromString(QString::fromStdString(before_.until_day), Qt::ISODate); d.isValid()) {
            ends_->setChecked(true);
            until_->setDate(d);
        }
        return;
    }
    for (const auto& f : findings_) {
        if (f.direction == Direction::high && f.high)
            high_->setValue(std::max(high_->value(), std::ceil((f.value + f.sigma) * u.factor / step) * step));
        if (f.direction == Direction::low && f.low)
            low_->setValue(std::min(low_->value(), std::floor((f.value - f.sigma) * u.factor / step) * step));
    }
}

Agreement AgreementDialog::agreement() const {
    Agreement a = before_;
    const auto u = text::shown_unit(unit_, units_);
    a.off = off_->isChecked();
    a.low.reset(), a.high.reset();
    if (!a.off && check_ && check_->low && low_->isEnabled()) a.low = low_->value() / u.factor;
    if (!a.off && check_ && check_->high && high_->isEnabled()) a.high = high_->value() / u.factor;
    a.reason = reason_->text().trimmed().toStdString();
    const bool clip = scope_->currentIndex() == 1;
    a.person = clip ? 0 : person_;
    a.clip = clip ? clip_ : 0;
    a.from_day = clip ? "" : from_->date().toString(Qt::ISODate).toStdString();
    a.until_day = clip || !ends_->isChecked() ? "" : until_->date().toString(Qt::ISODate).toStdString();
    return a;
}

void AgreementDialog::settle() {
    const bool clip = scope_->currentIndex() == 1, off = off_->isChecked();
    low_->setEnabled(!off && check_ && !check_->cue_low.empty());
    high_->setEnabled(!off && check_ && !check_->cue_high.empty());
    from_->setEnabled(!clip);
    ends_->setEnabled(!clip);
    until_->setEnabled(!clip && ends_->isChecked());
    const bool days = clip || !ends_->isChecked() || from_->date() <= until_->date();
    const bool band = off || !check_ || !check_->low || !check_->high || low_->value() <= high_->value();
    ok_->setEnabled(!reason_->text().trimmed().isEmpty() && days && band);
    ok_->setToolTip(reason_->text().trimmed().isEmpty() ? tr("Say why first")
                    : !days                             ? tr("The last day lies before the first")
                    : !band                             ? tr("The band is upside down")
                                                        : QString());
}

} // namespace bevel::ui
