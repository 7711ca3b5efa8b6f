#include "ui/shell/shortcut_sheet.h"
#include <QHeaderView>
#include <QLineEdit>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {

ShortcutSheet::ShortcutSheet(const Actions& actions, QWidget* parent) : QDialog(parent), actions_(actions) {
    setObjectName(QStringLiteral("shortcutSheet"));
    setWindowTitle(tr("Keys"));
    resize(560, 560);
    auto* search = new QLineEdit;
    search->setObjectName(QStringLiteral("shortcutSearch"));
    search->setAccessibleName(tr("Search"));
    search->setPlaceholderText(tr("What do you want to do?"));
    search->setClearButtonEnabled(true);
    table_ = new QTableWidget(0, 3);
    table_->setObjectName(QStringLiteral("shortcuts"));
    table_->setAccessibleName(tr("Keys"));
    table_->setHorizontalHeaderLabels({tr("What"), tr("Keys"), tr("Menu")});
    table_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->setColumnWidth(1, 170);
    table_->verticalHeader()->hide();
    table_->setShowGrid(false);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionMode(QAbstractItemView::NoSelection);
    auto* box = new QVBoxLayout(this);
    box->addWidget(search);
    box->addWidget(table_, 1);
    connect(search, &QLineEdit::textChanged, this, &ShortcutSheet::fill);
    fill({});
}

void ShortcutSheet::fill(const QString& words) {
    table_->setRowCount(0);
    for (const auto& r : actions_.rows()) {
        if (r.action->shortcuts().isEmpty()) continue;
        QStringList keys;
        for (const auto& k : r.action->shortcuts()) keys << k.toString(QKeySequence::NativeText);
        const QString what = r.action->text().remove(QLatin1Char('&')), menu = Actions::title(r.menu).remove(QLatin1Char('&'));
        const QStringList cells{what, keys.join(tr(" or ")), menu};
        if (!words.trimmed().isEmpty() && !cells.join(QLatin1Char(' ')).contains(words.trimmed(), Qt::CaseInsensitive)) continue;
        const int row = table_->rowCount();
        table_->insertRow(row);
        for (int c = 0; c < cells.size(); ++c) table_->setItem(row, c, new QTableWidgetItem(cells[c]));
    }
}

} // namespace bevel::ui
