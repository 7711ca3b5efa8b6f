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
    rows_ = new RowsModel<SentLetter>({{tr("When"),
                                        [](const SentLetter& l) {
                                            const auto at = QDateTime::fromString(QString::fromStdString(l.sent_at), Qt::ISODate);
                                            return QStringLiteral("%1, %2").arg(text::day(l.sent_at.substr(0, 10)),
                                                                                QLocale().toString(at.time(), QLocale::ShortFormat));
                                        }},
                                       {tr("As"),
                                        [](const SentLetter& l) {
                                            const QString as = l.kind == "pdf"     ? tr("PDF")
                                                               : l.kind == "html"  ? tr("HTML")
                                                               : l.kind == "clip"  ? tr("slow motion")
                                                               : l.kind == "text"  ? tr("text")
                                                               : l.kind == "card"  ? tr("picture card")
                                                               : l.kind == "sound" ? tr("spoken")
                                                                                   : tr("print");
                                            return l.hidden ? tr("%1, hidden").arg(as) : as;
                                        }},
                                       {tr("File"), [](const SentLetter& l) { return QString::fromStdString(l.name); }},
                                       {tr("What was asked"), asked}});
    table_ = table_of(rows_, QStringLiteral("sent"), tr("Letters that were sent"), {3});
    table_->horizontalHeader()->setSectionResizeMode(2, QHeaderView::Interactive);
    table_->setColumnWidth(2, 150);
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
    connect(table_, &QTableView::activated, this, &SentDialog::open_chosen);
    connect(table_->selectionModel(), &QItemSelectionModel::currentChanged, this, [this](const QModelIndex& i) {
        const SentLetter* l = rows_->at(i);
        open_->setEnabled(l && l->kind != "clip");
    });
    session_.background->run<Result<std::vector<SentLetter>>>(
        this, [lib = session_.library, id = person.id](std::stop_token) { return lib->letters().sent(id); },
        [this](const Result<std::vector<SentLetter>>& all) {
            if (all)
                fill(*all);
            else
                words_->setText(text::error(all.error()));
        });
}

void SentDialog::fill(const std::vector<SentLetter>& all) {
    rows_->set_rows(all);
    words_->setText(all.empty() ? tr("Nothing was sent yet.") : tr("Letters are kept as they went out. Of a clip the stretch is kept."));
    if (!all.empty()) table_->selectRow(0);
}

void SentDialog::open_chosen() {
    const SentLetter* chosen = rows_->at(table_->currentIndex());
    if (!chosen) return;
    const SentLetter& l = *chosen;
    const QString file = copies_.filePath(QStringLiteral("sent-%1%2").arg(l.id).arg(QString::fromStdString(ending_of(l.kind))));
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id = l.id, kind = l.kind, path = file.toStdString()](std::stop_token) -> Result<bool> {
            const auto bytes = lib->letters().sent_file(id);
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
