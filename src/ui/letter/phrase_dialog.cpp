#include "ui/letter/phrase_dialog.h"
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

PhraseDialog::PhraseDialog(Session& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName(QStringLiteral("phraseDialog"));
    setWindowTitle(tr("Own words"));
    resize(760, 440);
    rows_ = new RowsModel<Phrase>({{tr("For"),
                                    [this](const Phrase& p) {
                                        QString of = text::check_name(p.check, session_.catalogue);
                                        if (p.direction == "low") of += tr(", too little");
                                        if (p.direction == "high") of += tr(", too much");
                                        return of;
                                    }},
                                   {tr("While"), [](const Phrase& p) { return p.role.empty() ? tr("always") : text::role(p.role); }},
                                   {tr("Words"), [](const Phrase& p) { return QString::fromStdString(p.words); }},
                                   {tr("Used"), [](const Phrase& p) { return QString::number(p.used); }}});
    table_ = table_of(rows_, QStringLiteral("phrases"), tr("Own words"), {2});
    table_->setWordWrap(true);
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
    connect(table_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            [this](const QModelIndex& i) { drop_->setEnabled(i.isValid()); });
    connect(drop_, &QPushButton::clicked, this, [this] {
        const Phrase* chosen = rows_->at(table_->currentIndex());
        if (!chosen) return;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id = chosen->id](std::stop_token) { return lib->letters().drop_phrase(id); },
            [this](const Result<bool>& ok) {
                if (!ok) return words_->setText(text::error(ok.error()));
                load();
            });
    });
    load();
}

void PhraseDialog::load() {
    session_.background->run<Result<std::vector<Phrase>>>(
        this, [lib = session_.library](std::stop_token) { return lib->letters().phrases(); },
        [this](const Result<std::vector<Phrase>>& all) {
            if (!all) return words_->setText(text::error(all.error()));
            fill(*all);
        });
}

void PhraseDialog::fill(const std::vector<Phrase>& all) {
    rows_->set_rows(all);
    words_->setText(all.empty() ? tr("Nothing yet: when you reword a correction in Review, your words are kept and offered next time.")
                                : tr("Offered in Review where the same thing is to be said again."));
    drop_->setEnabled(table_->currentIndex().isValid());
}

} // namespace bevel::ui
