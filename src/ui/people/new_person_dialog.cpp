#include "ui/people/new_person_dialog.h"
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLineEdit>
#include <QPushButton>

namespace bevel::ui {

NewPersonDialog::NewPersonDialog(const Session& session, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("newPerson"));
    setWindowTitle(tr("Add a person"));
    const bool inches = session.settings.inches;
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("newName"));
    name_->setMaxLength(200);
    height_ = new QDoubleSpinBox;
    height_->setObjectName(QStringLiteral("newHeight"));
    height_->setRange(inches ? 31 : 79, inches ? 98 : 250);
    height_->setDecimals(1);
    height_->setSuffix(inches ? tr(" in") : tr(" cm"));
    height_->setSpecialValueText(tr("not said"));
    height_->setValue(height_->minimum());
    height_->setToolTip(tr("It gives the scale of the picture. Not said: lengths are told by the spread of grown people."));
    auto* form = new QFormLayout(this);
    form->addRow(tr("Name or alias"), name_);
    form->addRow(tr("Height"), height_);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    auto* ok = buttons->button(QDialogButtonBox::Ok);
    ok->setEnabled(false);
    connect(name_, &QLineEdit::textChanged, ok, [ok](const QString& s) { ok->setEnabled(!s.trimmed().isEmpty()); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, this, [this, inches] {
        Person p;
        p.name = name_->text().trimmed().toStdString();
        p.height_said = height_->value() > height_->minimum();
        if (p.height_said) p.stature_m = height_->value() * (inches ? 0.0254 : 0.01);
        accept();
        emit made(p);
    });
}

} // namespace bevel::ui
