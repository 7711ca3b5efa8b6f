// What is done with the library as a whole, or for good: backups, deleting, erasing.
#include "ui/arrivals/arrivals_page.h"
#include "ui/arrivals/finding_queue.h"
#include <QDate>
#include <QFileDialog>
#include <QMessageBox>

namespace bevel::ui {

namespace {
/// A question before something that cannot be undone.
bool ask(QWidget* parent, const QString& title, const QString& words, const QString& yes) {
    QMessageBox box(QMessageBox::Warning, title, words, QMessageBox::Cancel, parent);
    box.setObjectName(QStringLiteral("question"));
    auto* go = box.addButton(yes, QMessageBox::DestructiveRole);
    box.setDefaultButton(QMessageBox::Cancel);
    box.exec();
    return box.clickedButton() == go;
}

/// What became of the films, where there is something to say.
QString films_words(const BackedUp& b) {
    QString out;
    QStringList damaged;
    for (const auto& n : b.damaged) damaged << QString::fromStdString(n);
    if (!damaged.isEmpty())
        out += QLatin1Char(' ') + ArrivalsPage::tr("Without these damaged films: %1.").arg(damaged.join(QStringLiteral(", ")));
    if (b.missing > 0) out += QLatin1Char(' ') + ArrivalsPage::tr("%n clip(s) have no film here any more.", nullptr, b.missing);
    return out;
}
/// Where a name still stands, by what the instructor calls it.
QString mentions_words(const std::vector<std::string>& tables) {
    QStringList out;
    for (const auto& t : tables) {
        const QString word = t == "own_letter"               ? ArrivalsPage::tr("letter templates")
                             : t == "own_plan"               ? ArrivalsPage::tr("own plans")
                             : t == "practice"               ? ArrivalsPage::tr("practice logs")
                             : t == "own_form"               ? ArrivalsPage::tr("own movements")
                             : t == "letter" || t == "sent"  ? ArrivalsPage::tr("letters to others")
                             : t == "person" || t == "facts" ? ArrivalsPage::tr("notes on other people")
                             : t == "clip"                   ? ArrivalsPage::tr("file names of other clips")
                                                             : ArrivalsPage::tr("other records");
        if (!out.contains(word)) out << word;
    }
    return out.join(QStringLiteral(", "));
}
} // namespace

void ArrivalsPage::upkeep(const QString& what, std::function<Result<QString>(const std::stop_token&)> work, std::function<void()> without) {
    form_->notice().say(what);
    auto stop = std::make_shared<std::stop_source>();
    const int job = session_.jobs->begin(JobKind::keeping, what, [stop] { stop->request_stop(); });
    session_.files().run<Result<QString>>(
        session_.jobs,
        [work = std::move(work), stop](const std::stop_token& quit) {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            return work(stop->get_token());
        },
        [page = QPointer<ArrivalsPage>(this), session = &session_, job, without = std::move(without)](const Result<QString>& word) {
            const bool cancelled = !word && word.error().code == Code::cancelled;
            session->jobs->end(job, word ? JobOutcome::done : cancelled ? JobOutcome::cancelled : JobOutcome::failed);
            session->workspace->touched(0);
            if (!page) return;
            if (word || cancelled)
                page->form_->notice().say(word ? *word : text::error(word.error()));
            else if (without && word.error().context.starts_with("damaged films: "))
                page->form_->notice().problem(text::error(word.error()), tr("Without these"), [page, without] {
                    if (page) without();
                });
            else
                page->form_->notice().problem(text::error(word.error()));
        });
}

void ArrivalsPage::delete_chosen() {
    const auto* r = chosen();
    if (!r) return;
    if (r->clip.id == session_.finding->running())
        return form_->notice().problem(tr("The body is being looked for in this clip. Stop that first."), tr("Stop it"),
                                       [this] { session_.finding->stop(); });
    if (!ask(this, tr("Delete this clip?"),
             tr("The clip of %1, its points and what was decided about it are deleted. Letters that were sent stay.")
                 .arg(QString::fromStdString(r->person.name)),
             tr("Delete")))
        return;
    upkeep(tr("Deleting …"), [lib = session_.library, id = r->clip.id](const std::stop_token&) -> Result<QString> {
        return lib->clips().remove(id).map([](bool) { return tr("Deleted."); });
    });
}

void ArrivalsPage::erase_chosen() {
    const auto* r = chosen();
    if (!r) return;
    if (session_.finding->running() != 0)
        return form_->notice().problem(tr("A body is being looked for. Stop that first."), tr("Stop it"),
                                       [this] { session_.finding->stop(); });
    const QString name = QString::fromStdString(r->person.name);
    if (!ask(this, tr("Erase %1?").arg(name),
             tr("All clips, points, decisions, agreements and letters of %1 are erased and overwritten. This cannot be undone.").arg(name),
             tr("Erase")))
        return;
    upkeep(tr("Erasing …"), [lib = session_.library, id = r->person.id, name](const std::stop_token&) -> Result<QString> {
        const auto gone = lib->people().erase(id);
        if (!gone) return tl::unexpected(gone.error());
        QString word = tr("%1 is erased: %2 clips, %3 letters.").arg(name).arg(gone->clips).arg(gone->letters);
        if (gone->phrases > 0) word += QLatin1Char(' ') + tr("Own wordings that named them are erased too: %n.", nullptr, gone->phrases);
        if (!gone->mentions.empty())
            word += QLatin1Char(' ') + tr("The name still stands elsewhere in your own texts (%1).").arg(mentions_words(gone->mentions));
        if (!gone->shared_with.empty()) {
            QStringList others;
            for (const auto& n : gone->shared_with) others << QString::fromStdString(n);
            word +=
                QLatin1Char(' ') +
                tr("A film of which %1 is a part stays; cut it outside of Bevel, or delete it too.").arg(others.join(QStringLiteral(", ")));
        }
        if (!gone->backups.empty()) {
            QStringList files;
            for (const auto& f : gone->backups) files << QString::fromStdString(f);
            word += QLatin1Char(' ') +
                    tr("These backups still hold them; delete them or make new ones: %1").arg(files.join(QStringLiteral(", ")));
        }
        return word;
    });
}

void ArrivalsPage::back_up() {
    const QString day = QDate::currentDate().toString(Qt::ISODate);
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Back up the library"), QStringLiteral("bevel-%1.tar").arg(day), tr("Backups (*.tar)"));
    if (file.isEmpty()) return;
    back_up_to(file, false);
}

void ArrivalsPage::back_up_to(const QString& file, bool without_damaged) {
    const QString day = QDate::currentDate().toString(Qt::ISODate);
    upkeep(
        tr("Backing up …"),
        [lib = session_.library, file, day, without_damaged](const std::stop_token& stop) -> Result<QString> {
            return lib->backups().write(file.toStdString(), day.toStdString(), without_damaged, stop).map([&](const BackedUp& b) {
                return tr("Backed up: %1").arg(file) + films_words(b);
            });
        },
        [this, file] { back_up_to(file, true); });
}

void ArrivalsPage::restore() {
    const QString file = QFileDialog::getOpenFileName(this, tr("Choose a backup"), QString(), tr("Backups (*.tar)"));
    if (file.isEmpty()) return;
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Into which empty folder?"));
    if (!folder.isEmpty()) restore_to(file, folder, false);
}

void ArrivalsPage::restore_to(const QString& file, const QString& folder, bool without_damaged) {
    upkeep(
        tr("Restoring …"),
        [file, folder, without_damaged](const std::stop_token& stop) -> Result<QString> {
            return Library::restore(file.toStdString(), folder.toStdString(), without_damaged, stop).map([&](const BackedUp& b) {
                return tr("Restored. Open it with: bevel %1").arg(folder) + films_words(b);
            });
        },
        [this, file, folder] { restore_to(file, folder, true); });
}

} // namespace bevel::ui
