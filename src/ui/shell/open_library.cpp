#include "ui/shell/open_library.h"
#include "ui/text/text.h"
#include <atomic>
#include <QAbstractButton>
#include <QCoreApplication>
#include <QEventLoop>
#include <QFileDialog>
#include <QMessageBox>
#include <QProgressDialog>
#include <QPushButton>
#include <QTimer>
#include <thread>

namespace bevel::ui {
namespace {

struct OpeningWords {
    Q_DECLARE_TR_FUNCTIONS(OpeningWords)
};

/// A backup into an empty folder that is chosen, with a way to stop; the folder, where it was restored.
std::optional<std::filesystem::path> restored() {
    const QString file =
        QFileDialog::getOpenFileName(nullptr, OpeningWords::tr("Choose a backup"), QString(), OpeningWords::tr("Backups (*.tar)"));
    if (file.isEmpty()) return std::nullopt;
    const QString into = QFileDialog::getExistingDirectory(nullptr, OpeningWords::tr("Into which empty folder?"));
    if (into.isEmpty()) return std::nullopt;
    const std::filesystem::path folder = into.toStdString();
    for (bool without = false;;) {
        Result<BackedUp> done = fail(Code::cancelled, "");
        std::atomic<bool> over = false;
        QProgressDialog wait(OpeningWords::tr("Restoring …"), OpeningWords::tr("Stop"), 0, 0);
        wait.setMinimumDuration(0);
        wait.show();
        {
            std::jthread work([&](const std::stop_token& stop) {
                done = Library::restore(file.toStdString(), folder, without, stop);
                over = true;
            });
            QObject::connect(&wait, &QProgressDialog::canceled, &wait, [&] { work.request_stop(); });
            while (!over) {
                QCoreApplication::processEvents(QEventLoop::AllEvents, 50);
                std::this_thread::sleep_for(std::chrono::milliseconds(20));
            }
        }
        wait.close();
        if (done) return folder;
        if (done.error().code == Code::cancelled) return std::nullopt;
        QMessageBox ask(QMessageBox::Warning, QStringLiteral("Bevel"), text::error(done.error()));
        const bool films = done.error().context.starts_with("damaged films: ");
        auto* go_on = films ? ask.addButton(OpeningWords::tr("Without these"), QMessageBox::AcceptRole) : nullptr;
        ask.addButton(QMessageBox::Close);
        ask.exec();
        if (!go_on || ask.clickedButton() != go_on) return std::nullopt;
        without = true;
    }
}

} // namespace

OpenTrouble trouble_words(const Error& e) {
    OpenTrouble t;
    t.words = text::error(e);
    switch (Library::trouble_of(e)) {
    case Library::Trouble::missing:
        t.again = t.restore = true;
        break;
    case Library::Trouble::damaged:
        t.reading = t.restore = true;
        break;
    case Library::Trouble::full:
        t.again = t.reading = true;
        break;
    case Library::Trouble::closed:
        t.again = t.reading = t.restore = true;
        break;
    case Library::Trouble::none:
        t.again = e.code == Code::in_use;
        break;
    }
    return t;
}

std::optional<Library> open_library(std::filesystem::path& folder, Result<Library> library) {
    while (!library) {
        const OpenTrouble t = trouble_words(library.error());
        std::fprintf(stderr, "%s\n", qPrintable(t.words));
        QMessageBox ask(QMessageBox::Critical, QStringLiteral("Bevel"), t.words);
        ask.setObjectName(QStringLiteral("libraryTrouble"));
        auto button = [&](bool offered, const char* name, const QString& label) -> QPushButton* {
            if (!offered) return nullptr;
            auto* b = ask.addButton(label, QMessageBox::ActionRole);
            b->setObjectName(QLatin1String(name));
            return b;
        };
        auto* again = button(t.again, "again", OpeningWords::tr("Try again"));
        auto* reading = button(t.reading, "reading", OpeningWords::tr("Open it for reading"));
        auto* restore = button(t.restore, "restore", OpeningWords::tr("Restore a backup …"));
        auto* other = button(true, "other", OpeningWords::tr("Choose another library …"));
        auto* quit = ask.addButton(OpeningWords::tr("Quit"), QMessageBox::RejectRole);
        quit->setObjectName(QStringLiteral("quit"));
        ask.setEscapeButton(quit);
        ask.exec();
        const auto* chosen = ask.clickedButton();
        if (!chosen || chosen == quit) return std::nullopt;
        bool only_reading = false;
        if (chosen == reading) {
            only_reading = true;
        } else if (chosen == restore) {
            if (const auto to = restored()) folder = *to;
        } else if (chosen == other) {
            const QString to = QFileDialog::getExistingDirectory(nullptr, OpeningWords::tr("The folder of a library, or an empty one"));
            if (!to.isEmpty()) folder = to.toStdString();
        }
        Q_UNUSED(again);
        library = Library::open(folder, only_reading);
    }
    return std::move(*library);
}

} // namespace bevel::ui
