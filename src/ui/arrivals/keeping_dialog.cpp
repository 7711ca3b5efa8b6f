#include "ui/arrivals/keeping_dialog.h"
#include "ui/shell/day_edit.h"
#include <QCheckBox>
#include <QDate>
#include <QDateEdit>
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QLabel>
#include <QLocale>
#include <QMessageBox>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {

Result<std::vector<Kept>> kept_films(const Library& library, const std::string& today) {
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    const auto clips = library.clips().all();
    if (!clips) return tl::unexpected(clips.error());
    std::vector<Kept> out;
    for (const auto& p : *people) {
        Kept k{p, 0, 0, {}};
        std::vector<Clip> there;
        for (const auto& c : *clips)
            if (c.person == p.id && library.clips().has_file(c)) there.push_back(c);
        k.films = static_cast<int>(there.size());
        k.bytes = library.clips().room_of(there);
        if (!p.keep_until.empty() && p.keep_until < today)
            for (const auto& c : there) k.past.push_back(c.id);
        out.push_back(std::move(k));
    }
    return out;
}

KeepingDialog::KeepingDialog(Session& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName(QStringLiteral("keepingDialog"));
    setWindowTitle(tr("Room and keeping"));
    resize(session_.theme.wide(640), session_.theme.wide(440));
    words_ = new QLabel(tr("Counting …"));
    words_->setWordWrap(true);
    table_ = new QTableWidget(0, 4);
    table_->setObjectName(QStringLiteral("keeping"));
    table_->setAccessibleName(tr("Films of each student"));
    table_->setHorizontalHeaderLabels({tr("Student"), tr("Films"), tr("Room"), tr("Films are kept until")});
    table_->verticalHeader()->hide();
    table_->verticalHeader()->setDefaultSectionSize(session_.theme.wide(36));
    table_->setShowGrid(false);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionMode(QAbstractItemView::NoSelection);
    table_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (const int c : {1, 2, 3}) table_->horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    remove_ = buttons->addButton(tr("Remove films past their day …"), QDialogButtonBox::ActionRole);
    remove_->setObjectName(QStringLiteral("removePast"));
    remove_->setEnabled(false);
    connect(remove_, &QPushButton::clicked, this, &KeepingDialog::remove_past);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::close);
    auto* box = new QVBoxLayout(this);
    box->addWidget(words_);
    box->addWidget(table_, 1);
    box->addWidget(buttons);
    load();
}

void KeepingDialog::load() {
    using All = Result<std::vector<Kept>>;
    session_.background->run<All>(
        this,
        [lib = session_.library, today = QDate::currentDate().toString(Qt::ISODate).toStdString()](std::stop_token) {
            return kept_films(*lib, today);
        },
        [this](const All& all) {
            if (all)
                show_rows(*all);
            else
                words_->setText(text::error(all.error()));
        });
}

void KeepingDialog::show_rows(const std::vector<Kept>& rows) {
    rows_ = rows;
    std::uintmax_t bytes = 0;
    int films = 0, past = 0;
    table_->setRowCount(static_cast<int>(rows.size()));
    for (std::size_t i = 0; i < rows.size(); ++i) {
        const auto& k = rows[i];
        bytes += k.bytes;
        films += k.films;
        past += static_cast<int>(k.past.size());
        const int row = static_cast<int>(i);
        table_->setItem(row, 0, new QTableWidgetItem(QString::fromStdString(k.person.name)));
        table_->setItem(row, 1, new QTableWidgetItem(QString::number(k.films)));
        table_->setItem(row, 2, new QTableWidgetItem(QLocale().formattedDataSize(static_cast<qint64>(k.bytes))));
        for (const int c : {1, 2}) table_->item(row, c)->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
        auto* cell = new QWidget;
        auto* line = new QHBoxLayout(cell);
        line->setContentsMargins(8, 0, 4, 0);
        auto* ends = new QCheckBox;
        ends->setObjectName(QStringLiteral("ends%1").arg(k.person.id));
        ends->setAccessibleName(tr("%1: films are kept until a day").arg(QString::fromStdString(k.person.name)));
        auto* day = new DayEdit;
        day->setObjectName(QStringLiteral("day%1").arg(k.person.id));
        day->setAccessibleName(tr("%1: films are kept until").arg(QString::fromStdString(k.person.name)));
        const QDate until = QDate::fromString(QString::fromStdString(k.person.keep_until), Qt::ISODate);
        ends->setChecked(until.isValid());
        day->setDate(until.isValid() ? until : QDate::currentDate().addMonths(6));
        day->setEnabled(until.isValid());
        line->addWidget(ends);
        line->addWidget(day, 1);
        connect(ends, &QCheckBox::clicked, this, [this, id = k.person.id, day](bool on) {
            day->setEnabled(on);
            keep_until(id, on ? day->date() : QDate());
        });
        connect(day, &QDateEdit::dateChanged, this, [this, id = k.person.id](QDate d) { keep_until(id, d); });
        table_->setCellWidget(row, 3, cell);
    }
    words_->setText(tr("%1 films take %2. Points, findings and letters stay when a film goes; nothing is removed without your say.")
                        .arg(films)
                        .arg(QLocale().formattedDataSize(static_cast<qint64>(bytes))));
    remove_->setEnabled(past > 0 && !session_.library->read_only());
    remove_->setText(past > 0 ? tr("Remove %n film(s) past their day …", nullptr, past) : tr("No film is past its day"));
}

void KeepingDialog::keep_until(std::int64_t person, const QDate& day) {
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, person, iso = day.toString(Qt::ISODate).toStdString()](std::stop_token) {
            return lib->people().set_keep_until(person, iso);
        },
        [this](const Result<bool>& ok) {
            if (!ok) return words_->setText(text::error(ok.error()));
            load();
            emit changed();
        });
}

void KeepingDialog::remove_past() {
    std::vector<std::int64_t> all;
    for (const auto& k : rows_) all.insert(all.end(), k.past.begin(), k.past.end());
    QMessageBox box(
        QMessageBox::Warning, tr("Remove films?"),
        tr("Overwrite and remove %n film(s)? Points, findings, decisions and letters stay.", nullptr, static_cast<int>(all.size())),
        QMessageBox::Cancel, this);
    box.setObjectName(QStringLiteral("question"));
    auto* go = box.addButton(tr("Remove"), QMessageBox::DestructiveRole);
    box.setDefaultButton(QMessageBox::Cancel);
    box.exec();
    if (box.clickedButton() != go) return;
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, all](std::stop_token) -> Result<bool> {
            for (const auto id : all) {
                // Another part of the same file may be somebody's who keeps it.
                const auto parts = lib->clips().parts_of(id);
                if (parts && std::any_of(parts->begin(), parts->end(),
                                         [&](const Clip& c) { return std::find(all.begin(), all.end(), c.id) == all.end(); }))
                    continue;
                const auto c = lib->clips().get(id);
                if (c && !lib->clips().has_file(*c)) continue; // gone with its other part
                if (auto ok = lib->clips().drop_film(id); !ok) return ok;
            }
            return true;
        },
        [this](const Result<bool>& ok) {
            if (!ok) words_->setText(text::error(ok.error()));
            load();
            emit changed();
        });
}

} // namespace bevel::ui
