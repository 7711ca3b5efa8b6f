#include "ui/letter/sent_dialog.h"
#include "core/files.h"
#include "ui/letter/mail.h"
#include <algorithm>
#include <nlohmann/json.hpp>
#include <QDateTime>
#include <QDesktopServices>
#include <QDialogButtonBox>
#include <QDir>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QUrl>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

/// The cues of a letter in one line.
QString asked(const SentLetter& l) {
    const auto j = nlohmann::json::parse(l.body, nullptr, false);
    QStringList cues;
    if (j.is_object() && j.contains("items") && j["items"].is_array())
        for (const auto& i : j["items"]) // whatever a record from elsewhere has there
            if (i.is_object() && i.contains("cue") && i["cue"].is_string()) cues << QString::fromStdString(i["cue"].get<std::string>());
    return cues.join(QStringLiteral(" · "));
}

} // namespace

std::string harmless_html(const std::string& html) {
    // What stands first holds for all that follows: no script, no frame, no form, nothing fetched.
    std::string out = "<!DOCTYPE html><meta charset=\"utf-8\"><meta http-equiv=\"Content-Security-Policy\" content=\"default-src 'none'; "
                      "img-src data:; media-src data:; style-src 'unsafe-inline'; base-uri 'none'; form-action 'none'\">";
    // Nor is the page exchanged for another: what speaks to the browser that way is a word without meaning.
    constexpr std::string_view word = "http-equiv";
    for (std::size_t i = 0; i < html.size();) {
        const bool here =
            i + word.size() <= html.size() && std::equal(word.begin(), word.end(), html.begin() + static_cast<std::ptrdiff_t>(i),
                                                         [](char a, char b) { return a == (b >= 'A' && b <= 'Z' ? b - 'A' + 'a' : b); });
        if (here) {
            out += "data-none";
            i += word.size();
        } else {
            out += html[i++];
        }
    }
    return out;
}

SentDialog::SentDialog(const Session& session, const Person& person, QWidget* parent)
    : QDialog(parent), session_(session),
      copies_(session.library->read_only() ? QDir::tempPath() + QStringLiteral("/bevel-XXXXXX")
                                           : mail_folder(*session.library) + QStringLiteral("/sent-XXXXXX")) {
    setObjectName(QStringLiteral("sentDialog"));
    setWindowTitle(tr("Sent to %1").arg(QString::fromStdString(person.name)));
    resize(760, 380);
    table_ = new QTableWidget(0, 4);
    table_->setObjectName(QStringLiteral("sent"));
    table_->setAccessibleName(tr("Letters that were sent"));
    table_->setHorizontalHeaderLabels({tr("When"), tr("As"), tr("File"), tr("What was asked")});
    table_->horizontalHeader()->setStretchLastSection(true);
    table_->setColumnWidth(0, 150);
    table_->setColumnWidth(1, 110);
    table_->setColumnWidth(2, 150);
    table_->verticalHeader()->hide();
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    words_ = new QLabel(tr("Nothing was sent yet."));
    words_->setObjectName(QStringLiteral("faint"));
    words_->setWordWrap(true);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    open_ = buttons->addButton(tr("Open as it was"), QDialogButtonBox::ActionRole);
    open_->setObjectName(QStringLiteral("openSent"));
    open_->setEnabled(false);
    auto* box = new QVBoxLayout(this);
    box->addWidget(table_, 1);
    box->addWidget(words_);
    box->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(open_, &QPushButton::clicked, this, &SentDialog::open_chosen);
    connect(table_, &QTableWidget::cellActivated, this, &SentDialog::open_chosen);
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
        const int r = table_->currentRow();
        open_->setEnabled(r >= 0 && all_[static_cast<std::size_t>(r)].kind != "clip");
    });
    session_.background->run<Result<std::vector<SentLetter>>>(
        this, [lib = session_.library, id = person.id](std::stop_token) { return lib->sent(id); },
        [this](const Result<std::vector<SentLetter>>& all) {
            if (all)
                fill(*all);
            else
                words_->setText(text::error(all.error()));
        });
}

void SentDialog::fill(const std::vector<SentLetter>& all) {
    all_ = all;
    table_->setRowCount(static_cast<int>(all.size()));
    for (std::size_t i = 0; i < all.size(); ++i) {
        const auto& l = all[i];
        const QDateTime when = QDateTime::fromString(QString::fromStdString(l.sent_at), Qt::ISODate);
        const QString as = l.kind == "pdf"    ? tr("PDF")
                           : l.kind == "html" ? tr("HTML")
                           : l.kind == "clip" ? tr("slow motion")
                           : l.kind == "text" ? tr("text")
                                              : tr("print");
        const QStringList cells{QLocale().toString(when, QLocale::ShortFormat), l.hidden ? tr("%1, hidden").arg(as) : as,
                                QString::fromStdString(l.name), asked(l)};
        for (int c = 0; c < cells.size(); ++c) {
            auto* cell = new QTableWidgetItem(cells[c]);
            cell->setToolTip(cells[c]);
            table_->setItem(static_cast<int>(i), c, cell);
        }
    }
    words_->setText(all.empty() ? tr("Nothing was sent yet.") : tr("Letters are kept as they went out. Of a clip the stretch is kept."));
    if (!all.empty()) table_->selectRow(0);
}

void SentDialog::open_chosen() {
    const int r = table_->currentRow();
    if (r < 0) return;
    const SentLetter& l = all_[static_cast<std::size_t>(r)];
    const QString file = copies_.filePath(QStringLiteral("sent-%1.%2")
                                              .arg(l.id)
                                              .arg(QLatin1String(l.kind == "html"   ? "html"
                                                                 : l.kind == "text" ? "txt"
                                                                                    : "pdf")));
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id = l.id, kind = l.kind, path = file.toStdString()](std::stop_token) -> Result<bool> {
            const auto bytes = lib->sent_file(id);
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, kind == "html" ? harmless_html(*bytes) : *bytes);
        },
        [this, file](const Result<bool>& ok) {
            if (!ok) return words_->setText(text::error(ok.error()));
            emit opened(file);
            if (!qEnvironmentVariableIsSet("BEVEL_NO_VIEWER")) QDesktopServices::openUrl(QUrl::fromLocalFile(file));
        });
}

} // namespace bevel::ui
