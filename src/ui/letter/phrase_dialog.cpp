#include "ui/letter/phrase_dialog.h"
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {

PhraseDialog::PhraseDialog(Session& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName(QStringLiteral("phraseDialog"));
    setWindowTitle(tr("Own words"));
    resize(760, 440);
    table_ = new QTableWidget(0, 4);
    table_->setObjectName(QStringLiteral("phrases"));
    table_->setAccessibleName(tr("Own words"));
    table_->setHorizontalHeaderLabels({tr("For"), tr("While"), tr("Words"), tr("Used")});
    table_->verticalHeader()->hide();
    table_->setShowGrid(false);
    table_->setWordWrap(true);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table_->horizontalHeader()->setSectionResizeMode(2, QHeaderView::Stretch);
    table_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("faint"));
    words_->setWordWrap(true);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    drop_ = buttons->addButton(tr("Take out"), QDialogButtonBox::ActionRole);
    drop_->setObjectName(QStringLiteral("dropPhrase"));
    drop_->setEnabled(false);
    auto* box = new QVBoxLayout(this);
    box->addWidget(table_, 1);
    box->addWidget(words_);
    box->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::close);
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int row) { drop_->setEnabled(row >= 0); });
    connect(drop_, &QPushButton::clicked, this, [this] {
        const int row = table_->currentRow();
        if (row < 0) return;
        session_.background->run<Result<bool>>(
            this,
            [lib = session_.library, id = table_->item(row, 0)->data(Qt::UserRole).toLongLong()](std::stop_token) {
                return lib->drop_phrase(id);
            },
            [this](const Result<bool>& ok) {
                if (!ok) return words_->setText(text::error(ok.error()));
                load();
            });
    });
    load();
}

void PhraseDialog::load() {
    session_.background->run<Result<std::vector<Phrase>>>(
        this, [lib = session_.library](std::stop_token) { return lib->phrases(); },
        [this](const Result<std::vector<Phrase>>& all) {
            if (!all) return words_->setText(text::error(all.error()));
            fill(*all);
        });
}

void PhraseDialog::fill(const std::vector<Phrase>& all) {
    table_->setRowCount(static_cast<int>(all.size()));
    for (std::size_t i = 0; i < all.size(); ++i) {
        const Phrase& p = all[i];
        QString of = text::check_name(p.check, session_.catalogue);
        if (p.direction == "low") of += tr(", too little");
        if (p.direction == "high") of += tr(", too much");
        const QStringList cells{of, p.role.empty() ? tr("always") : text::role(p.role), QString::fromStdString(p.words),
                                QString::number(p.used)};
        for (int c = 0; c < cells.size(); ++c) {
            auto* cell = new QTableWidgetItem(cells[c]);
            cell->setData(Qt::UserRole, static_cast<qint64>(p.id));
            table_->setItem(static_cast<int>(i), c, cell);
        }
    }
    words_->setText(all.empty() ? tr("Nothing yet: when you reword a correction in Review, your words are kept and offered next time.")
                                : tr("Offered in Review where the same thing is to be said again."));
    drop_->setEnabled(table_->currentRow() >= 0);
}

} // namespace bevel::ui
