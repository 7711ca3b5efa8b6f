#include "ui/review/seen_dialog.h"
#include "ui/shell/left_edit.h"
#include "ui/text/text.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

SeenDialog::SeenDialog(Family family, double time_s, QWidget* parent) : QDialog(parent), time_s_(time_s) {
    setObjectName(QStringLiteral("seenDialog"));
    setWindowTitle(tr("Something seen at %1").arg(text::time(time_s)));
    family_ = new QComboBox;
    family_->setObjectName(QStringLiteral("seenFamily"));
    for (int f = 0; f < family_count; ++f) family_->addItem(text::family(static_cast<Family>(f)), f);
    family_->setCurrentIndex(static_cast<int>(family));
    side_ = new QComboBox;
    side_->setObjectName(QStringLiteral("seenSide"));
    side_->addItem(tr("no side"), QString());
    side_->addItem(text::side(Side::left), QStringLiteral("left"));
    side_->addItem(text::side(Side::right), QStringLiteral("right"));
    words_ = new LeftEdit;
    words_->setObjectName(QStringLiteral("seenWords"));
    words_->setTabChangesFocus(true);
    words_->setMinimumSize(360, 70);
    words_->setPlaceholderText(tr("What should the student do?"));
    safety_ = new QCheckBox(tr("It can hurt: comes before all else"));
    safety_->setObjectName(QStringLiteral("seenSafety"));
    auto* form = new QFormLayout;
    form->addRow(tr("Words"), words_);
    form->addRow(tr("Part"), family_);
    form->addRow(tr("Side"), side_);
    form->addRow(QString(), safety_);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    auto* ok = buttons->button(QDialogButtonBox::Ok);
    ok->setText(tr("Keep it"));
    ok->setEnabled(false);
    connect(words_, &QPlainTextEdit::textChanged, this, [this, ok] { ok->setEnabled(!words_->toPlainText().trimmed().isEmpty()); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, this, [this] {
        Remark s;
        s.time_s = time_s_;
        s.family = family_->currentData().toInt();
        s.side = side_->currentData().toString().toStdString();
        s.safety = safety_->isChecked();
        s.words = words_->toPlainText().trimmed().left(600).toStdString();
        accept();
        emit seen(s);
    });
    auto* box = new QVBoxLayout(this);
    box->addLayout(form);
    box->addWidget(buttons);
}

} // namespace bevel::ui
