#include "ui/shell/shortcut_sheet.h"
#include "ui/shell/rows_model.h"
#include <QLineEdit>
#include <QVBoxLayout>

namespace bevel::ui {

ShortcutSheet::ShortcutSheet(const Actions& actions, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("shortcutSheet"));
    setWindowTitle(tr("Keys"));
    resize(560, 560);
    auto* search = new QLineEdit;
    search->setObjectName(QStringLiteral("shortcutSearch"));
    search->setAccessibleName(tr("Search"));
    search->setPlaceholderText(tr("What do you want to do?"));
    search->setClearButtonEnabled(true);
    using Row = Actions::Row;
    auto* all = new RowsModel<Row>({{tr("What"), [](const Row& r) { return r.action->text().remove(QLatin1Char('&')); }},
                                    {tr("Keys"),
                                     [](const Row& r) {
                                         QStringList keys;
                                         for (const auto& k : r.action->shortcuts()) keys << k.toString(QKeySequence::NativeText);
                                         return keys.join(tr(" or "));
                                     }},
                                    {tr("Menu"), [](const Row& r) { return Actions::title(r.menu).remove(QLatin1Char('&')); }}},
                                   this);
    std::vector<Row> rows;
    for (const auto& r : actions.rows())
        if (!r.action->shortcuts().isEmpty()) rows.push_back(r);
    all->set_rows(std::move(rows));
    auto* found = new WordsFilter(this);
    found->setSourceModel(all);
    auto* table = table_of(found, QStringLiteral("shortcuts"), tr("Keys"), {0});
    table->horizontalHeader()->setSectionResizeMode(1, QHeaderView::Interactive);
    table->setColumnWidth(1, 170);
    auto* box = new QVBoxLayout(this);
    box->addWidget(search);
    box->addWidget(table, 1);
    connect(search, &QLineEdit::textChanged, found, &WordsFilter::look_for);
}

} // namespace bevel::ui
