#include "ui/classes/common_view.h"
#include "ui/shell/flow_layout.h"
#include "ui/text/class_words.h"
#include <QClipboard>
#include <QGuiApplication>
#include <QLabel>
#include <QPushButton>
#include <QTableView>
#include <QVBoxLayout>

namespace bevel::ui {

CommonView::CommonView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    since_ = new DayEdit(QDate::currentDate().addDays(-70));
    since_->setObjectName(QStringLiteral("commonSince"));
    since_->setAccessibleName(tr("Clips since this day"));
    connect(since_, &QDateEdit::dateChanged, this, [this] { load(); });
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("commonWords"));
    words_->setWordWrap(true);
    auto* top = new QHBoxLayout;
    top->addWidget(new QLabel(tr("Clips since")));
    top->addWidget(since_);
    top->addWidget(words_, 1);
    rows_ = new RowsModel<CommonFault>({{tr("What is seen"), [this](const CommonFault& f) { return text::missed(f, session_.catalogue); }},
                                        {tr("Of how many"), [](const CommonFault& f) { return text::how_many(f); }},
                                        {tr("How sure"), [](const CommonFault& f) { return text::how_sure(f); }},
                                        {tr("Most in"),
                                         [this](const CommonFault& f) {
                                             const auto m = session_.movement(f.movement);
                                             return m ? said(m->name) : QString::fromStdString(f.movement);
                                         }},
                                        {tr("Who"), [this](const CommonFault& f) {
                                             QStringList names;
                                             for (const auto& m : sheet_.members)
                                                 if (std::find(f.who.begin(), f.who.end(), m.person.id) != f.who.end())
                                                     names << QString::fromStdString(m.person.name);
                                             return names.join(QStringLiteral(", "));
                                         }}});
    table_ = table_of(rows_, QStringLiteral("common"), tr("What most of them miss"), {0, 4});
    change_rows_ = new RowsModel<ShareChange>(
        {{tr("What is seen"), [this](const ShareChange& s) { return text::missed(s.check, s.direction, session_.catalogue); }},
         {tr("Before that day and since"), [](const ShareChange& s) { return text::share_change(s); }}});
    change_table_ = table_of(change_rows_, QStringLiteral("commonChanges"), tr("Before that day and since"), {0, 1});
    for (auto* t : {table_, change_table_}) {
        t->setWordWrap(true);
        t->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    }
    drill_ = new QPushButton(tr("Work on it in the next lesson"));
    drill_->setObjectName(QStringLiteral("commonDrill"));
    connect(drill_, &QPushButton::clicked, this, [this] {
        if (const CommonFault* f = rows_->at(table_->currentIndex())) emit wanted({f->movement, f->rule, {}, 0, 0});
    });
    copy_ = new QPushButton(tr("Copy a letter to the class"));
    copy_->setObjectName(QStringLiteral("commonLetter"));
    copy_->setToolTip(tr("One thing for all; nobody is named, and no share of fewer than five people"));
    connect(copy_, &QPushButton::clicked, this, [this] {
        QGuiApplication::clipboard()->setText(letter());
        words_->setText(tr("The letter is in the clipboard."));
    });
    auto* acts = new QHBoxLayout;
    acts->addWidget(drill_);
    acts->addWidget(copy_);
    acts->addStretch(1);
    after_ = new QLabel(tr("What became of it"));
    after_->setObjectName(QStringLiteral("heading"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(4, 10, 4, 4);
    all->addLayout(top);
    all->addWidget(table_, 3);
    all->addLayout(acts);
    all->addWidget(after_);
    all->addWidget(change_table_, 2);
    connect(table_->selectionModel(), &QItemSelectionModel::currentRowChanged, this,
            [this](const QModelIndex& i) { drill_->setEnabled(i.isValid()); });
    fill();
}

void CommonView::show_class(const ClassSheet& sheet) {
    sheet_ = sheet;
    load();
}

void CommonView::load() {
    struct Counted {
        std::vector<CommonFault> common;
        std::vector<ShareChange> changes;
    };
    const int run = ++run_;
    const QDate since = since_->date();
    session_.background->run<Result<Counted>>(
        this,
        [lib = session_.library, sheet = sheet_, from = since.toString(Qt::ISODate).toStdString(),
         to = since.addDays(-1).toString(Qt::ISODate).toStdString()](std::stop_token) -> Result<Counted> {
            const auto now = figures_of_class(*lib, sheet, from, "");
            const auto before = figures_of_class(*lib, sheet, "", to);
            if (!now || !before) return tl::unexpected((now ? before : now).error());
            return Counted{common_faults(*now), share_changes(*before, *now)};
        },
        [this, run](const Result<Counted>& counted) {
            if (run != run_) return;
            if (!counted) {
                words_->setText(text::error(counted.error()));
                return;
            }
            common_ = counted->common;
            changes_ = counted->changes;
            fill();
            emit this->counted();
        });
}

void CommonView::fill() {
    rows_->set_rows(common_);
    change_rows_->set_rows(changes_);
    if (!common_.empty() && !table_->currentIndex().isValid()) table_->selectRow(0);
    drill_->setEnabled(!common_.empty() && table_->currentIndex().isValid());
    copy_->setEnabled(!letter().isEmpty());
    words_->setText(common_.empty()
                        ? tr("Nothing that two or more of them miss for sure.")
                        : tr("Of each the newest clip of a movement counts. Those who do not tell a thing are not counted in it."));
    after_->setVisible(!changes_.empty());
    change_table_->setVisible(!changes_.empty());
}

QString CommonView::letter() const {
    return text::class_letter(sheet_, common_, changes_, *session_.movements.now(), session_.catalogue);
}

} // namespace bevel::ui
