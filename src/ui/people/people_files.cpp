// What of a person goes out as a file, and what comes in.
#include "core/files.h"
#include "core/movement/movement.h"
#include "desk/open_review.h"
#include "store/bundle.h"
#include "ui/people/limit_dialog.h"
#include "ui/people/people_page.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/left_edit.h"
#include "ui/text/data_words.h"
#include <charconv>
#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHeaderView>
#include <QInputDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedLayout>
#include <QTableWidget>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bevel::ui {

void PeoplePage::write_record(const QString& file) {
    if (!here()) return;
    session_.files().run<Result<bool>>(
        this, [text = record_csv(*sheet_), path = file.toStdString()](std::stop_token) { return write_whole(path, text); },
        [this, file](const Result<bool>& ok) { ok ? words_->setText(tr("Saved: %1").arg(file)) : problem(ok.error()); });
}

void PeoplePage::write_figures(const QString& file) {
    if (!here()) return;
    session_.files().run<Result<bool>>(
        this, [text = figures_csv(*sheet_), path = file.toStdString()](std::stop_token) { return write_whole(path, text); },
        [this, file](const Result<bool>& ok) { ok ? words_->setText(tr("Saved: %1").arg(file)) : problem(ok.error()); });
}

void PeoplePage::write_pdf(const QString& file) {
    if (!here()) return;
    session_.files().run<Result<bool>>(
        this,
        [sheet = *sheet_, session = &session_, path = file.toStdString()](std::stop_token) -> Result<bool> {
            const auto bytes = record_pdf(sheet, *session);
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
        },
        [this, file](const Result<bool>& ok) { ok ? words_->setText(tr("Saved: %1").arg(file)) : problem(ok.error()); });
}

void PeoplePage::write_hall_list(const QString& file) {
    const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, theme = session_.theme, today,
         path = file.toStdString()](std::stop_token) -> Result<bool> {
            const auto lines = hall_lines(*lib, today);
            if (!lines) return tl::unexpected(lines.error());
            const auto bytes = hall_list_pdf(*lines, catalogue, theme);
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
        },
        [this, file](const Result<bool>& ok) { ok ? words_->setText(tr("Saved: %1").arg(file)) : problem(ok.error()); });
}

void PeoplePage::write_bundle_to(const QString& file, bool films) {
    if (!here()) return;
    words_->setText(tr("Writing the bundle …"));
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, sheet = *sheet_, path = file.toStdString(), films](const std::stop_token& stop) {
            BundleOptions o;
            o.films = films;
            o.texts = {{"record.csv", record_csv(sheet)},
                       {"figures.csv", figures_csv(sheet)},
                       {"practice.csv", practice_csv(sheet.practice)},
                       {"tests.csv", tests_csv(sheet.tests)}};
            return write_bundle(*lib, sheet.person.id, path, o, stop);
        },
        [this, file](const Result<bool>& ok) { ok ? words_->setText(tr("Saved: %1").arg(file)) : problem(ok.error()); });
}

void PeoplePage::read_bundle_from(const QString& file) {
    words_->setText(tr("Reading the bundle …"));
    session_.files().run<Result<std::int64_t>>(
        this, [lib = session_.library, path = file.toStdString()](const std::stop_token& stop) { return read_bundle(*lib, path, stop); },
        [this](const Result<std::int64_t>& id) {
            if (!id) return problem(id.error());
            words_->setText(tr("Taken in, as somebody new."));
            session_.workspace->touched(0);
            load_people(*id);
        });
}

void PeoplePage::read_people_from(const QString& file) {
    session_.files().run<Result<int>>(
        this,
        [lib = session_.library, path = file.toStdString()](std::stop_token) -> Result<int> {
            const auto text = read_text(path, 4U << 20U);
            if (!text) return tl::unexpected(text.error());
            const auto all = people_from_csv(*text);
            if (!all) return tl::unexpected(all.error());
            const auto there = lib->people().all();
            if (!there) return tl::unexpected(there.error());
            int taken = 0;
            auto ok = lib->together([&]() -> Result<bool> {
                for (const auto& p : *all) {
                    if (std::any_of(there->begin(), there->end(), [&](const Person& x) { return x.name == p.person.name; })) continue;
                    const auto id = lib->people().add(p.person);
                    if (!id) return tl::unexpected(id.error());
                    if (auto kept = lib->people().set_facts(*id, p.facts); !kept) return kept;
                    ++taken;
                }
                return true;
            });
            if (!ok) return tl::unexpected(ok.error());
            return taken;
        },
        [this](const Result<int>& taken) {
            if (!taken) return problem(taken.error());
            session_.workspace->touched(0);
            load_people(shown());
            words_->setText(tr("%n people taken in; who was there already stays as they were.", nullptr, *taken));
        });
}

void PeoplePage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    const auto ask = [this](const QString& what, const QString& name, void (PeoplePage::*write)(const QString&)) {
        if (!here()) return;
        const QString& folder = session_.settings.export_folder;
        const QString file =
            QFileDialog::getSaveFileName(this, what, folder.isEmpty() ? name : folder + QLatin1Char('/') + name, tr("CSV (*.csv)"));
        if (!file.isEmpty()) (this->*write)(file);
    };
    actions.add(this, M::file, "recordCsv", tr("Record of this person as CSV …"), {},
                [ask] { ask(tr("Record as CSV"), QStringLiteral("record.csv"), &PeoplePage::write_record); });
    actions.add(this, M::file, "figuresCsv", tr("Figures of this person as CSV …"), {},
                [ask] { ask(tr("Figures as CSV"), QStringLiteral("figures.csv"), &PeoplePage::write_figures); });
    const auto to = [this](const QString& what, const QString& name, const QString& kinds) {
        const QString& folder = session_.settings.export_folder;
        return here() ? QFileDialog::getSaveFileName(this, what, folder.isEmpty() ? name : folder + QLatin1Char('/') + name, kinds)
                      : QString();
    };
    actions.add(this, M::file, "recordPdf", tr("Record of this person as PDF …"), {}, [this, to] {
        const QString file = to(tr("Record as PDF"), QStringLiteral("record.pdf"), tr("PDF (*.pdf)"));
        if (!file.isEmpty()) write_pdf(file);
    });
    actions.add(
        this, M::file, "hallList", tr("List for the hall …"), {},
        [this, to] {
            const QString file = to(tr("List for the hall"), QStringLiteral("hall.pdf"), tr("PDF (*.pdf)"));
            if (!file.isEmpty()) write_hall_list(file);
        },
        tr("Everybody with the one thing asked last, limits and a box to tick"));
    actions.separate();
    for (const bool films : {false, true})
        actions.add(
            this, M::file, films ? "bundleWithFilms" : "bundle",
            films ? tr("Everything about this person, films too, as a bundle …") : tr("Everything about this person as a bundle …"), {},
            [this, to, films] {
                const QString file = to(tr("Bundle"), QStringLiteral("person.zip"), tr("Bundle (*.zip)"));
                if (!file.isEmpty()) write_bundle_to(file, films);
            },
            tr("For another computer or the person: a zip file with everything as text, and points and letters"));
    actions.add(this, M::file, "readBundle", tr("Take in a bundle …"), {}, [this] {
        const QString file = QFileDialog::getOpenFileName(this, tr("Take in a bundle"), QString(), tr("Bundle (*.zip)"));
        if (!file.isEmpty()) read_bundle_from(file);
    });
    actions.add(
        this, M::file, "peopleCsv", tr("People from a list …"), {},
        [this] {
            const QString file = QFileDialog::getOpenFileName(this, tr("People from a list"), QString(), tr("CSV (*.csv)"));
            if (!file.isEmpty()) read_people_from(file);
        },
        tr("A CSV file with a head line: name, height_cm, alias, language, email, goals, notes"));
    actions.add(this, M::edit, "findPerson", tr("Search people"), {QKeySequence::Find}, [this] { search_->setFocus(); });
}

} // namespace bevel::ui
