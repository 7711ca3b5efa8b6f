#include "app/main_window.h"
#include "store/forms.h"
#include "ui/shell/open_library.h"
#include "ui/shell/plain_labels.h"
#include <csignal>
#include <cstdio>
#include <malloc.h>
#include <QApplication>
#include <QCommandLineParser>
#include <QCryptographicHash>
#include <QFileInfo>
#include <QLocalServer>
#include <QLocalSocket>
#include <QMessageBox>
#include <QSettings>
#include <QSocketNotifier>
#include <QStandardPaths>
#include <QThread>
#include <sys/socket.h>
#include <sys/stat.h>
#include <unistd.h>

using namespace bevel;

namespace {

int told_to_end = -1; // a signal writes here; nothing else may be done inside of one

/// The demo's library is copied into the user's data folder once, so that the shipped one stays as it is.
std::filesystem::path unpack_demo(const std::filesystem::path& data, const std::filesystem::path& home) {
    namespace fs = std::filesystem;
    const fs::path to = home / "demo";
    std::error_code ec;
    if (!fs::exists(to / "library.sqlite", ec) && fs::exists(data / "demo" / "library.sqlite", ec)) {
        fs::create_directories(to, ec);
        fs::copy(data / "demo", to, fs::copy_options::recursive | fs::copy_options::overwrite_existing, ec);
    }
    return to;
}

/// A name of its own for each library, so that a second start finds the first.
QString meeting_place(const std::filesystem::path& folder) {
    std::error_code ec;
    const auto whole = std::filesystem::weakly_canonical(folder, ec).string();
    // In the user's own folder for such things, where nobody else can make it first.
    QString own = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    if (own.isEmpty()) own = QString::fromStdString(folder.string());
    return own + QStringLiteral("/bevel-") +
           QString::fromLatin1(QCryptographicHash::hash(QByteArray::fromStdString(whole), QCryptographicHash::Sha256).toHex().left(16));
}

/// Whether the other end of a socket belongs to the same user: file names tell whose clips they are.
bool is_ours(const QLocalSocket& socket) {
    ucred who{};
    socklen_t size = sizeof who;
    return ::getsockopt(static_cast<int>(socket.socketDescriptor()), SOL_SOCKET, SO_PEERCRED, &who, &size) == 0 && who.uid == ::getuid();
}

/// Hands files to an instance that has this library open; false when there is none.
bool handed_over(const QString& place, const QStringList& files) {
    QLocalSocket socket;
    socket.connectToServer(place);
    if (!socket.waitForConnected(500) || !is_ours(socket)) return false;
    socket.write(files.join(QLatin1Char('\n')).toUtf8() + '\0');
    return socket.waitForBytesWritten(1000);
}

/// Files named to a second start come in through it.
void open_door(QLocalServer& door, const QString& place, ui::MainWindow& window) {
    door.setSocketOptions(QLocalServer::UserAccessOption);
    QLocalServer::removeServer(place); // of a run that was killed
    door.listen(place);
    QObject::connect(&door, &QLocalServer::newConnection, &window, [&door, &window] {
        auto* guest = door.nextPendingConnection();
        if (!is_ours(*guest)) return guest->abort();
        QObject::connect(guest, &QLocalSocket::readyRead, &window, [guest, &window] {
            if (guest->bytesAvailable() > 1 << 20) return guest->abort();
            if (!guest->peek(guest->bytesAvailable()).endsWith('\0')) return; // there is more to come
            QByteArray all = guest->readAll();
            all.chop(1);
            window.take(QString::fromUtf8(all).split(QLatin1Char('\n'), Qt::SkipEmptyParts));
            guest->deleteLater();
        });
    });
}

/// A log-out asks by a signal: work under way is ended in order, as when the window is closed.
void end_on_signals(QApplication& app) {
    int ends[2] = {-1, -1};
    if (::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends) == 0) {
        told_to_end = ends[0];
        for (const int s : {SIGTERM, SIGINT, SIGHUP})
            ::signal(s, [](int) {
                const char one = 1;
                if (::write(told_to_end, &one, 1) < 0) ::_exit(1);
            });
        auto* asked = new QSocketNotifier(ends[1], QSocketNotifier::Read, &app);
        QObject::connect(asked, &QSocketNotifier::activated, &app, [asked] {
            asked->setEnabled(false);
            QApplication::exit(0);
        });
    }
}

/// A finished review is the first thing seen of the demo.
void show_finished(const Library& library, ui::MainWindow& window) {
    ClipQuery done;
    done.states = {ClipState::reviewed};
    done.most = 1;
    const auto clips = library.clips().find(done);
    if (!clips) return;
    for (const auto& c : *clips)
        if (c.state == ClipState::reviewed) return window.open_review(c.id);
}

/// What the command line says.
struct Asked {
    bool demo = false, dark = false;
    QString library;
    QStringList rest;
    std::optional<int> done; // the exit code where nothing is to be opened
};
Asked read_words(int argc, char** argv) {
    QStringList given;
    for (int i = 0; i < argc; ++i) given << QString::fromLocal8Bit(argv[i]);
    QCommandLineParser words;
    words.setApplicationDescription(QStringLiteral("Measures practice of tai chi and qigong and holds it against the movement."));
    const auto help = words.addHelpOption(), version = words.addVersionOption();
    const QCommandLineOption demo_option(QStringLiteral("demo"), QStringLiteral("Opens the demo."));
    const QCommandLineOption library_option(QStringLiteral("library"), QStringLiteral("Opens the library in this folder."),
                                            QStringLiteral("folder"));
    const QCommandLineOption dark_option(QStringLiteral("dark"), QStringLiteral("Dark colours."));
    words.addOptions({demo_option, library_option, dark_option});
    words.addPositionalArgument(QStringLiteral("files"), QStringLiteral("Clips to take in, or the folder of a library."),
                                QStringLiteral("[files…]"));
    if (!words.parse(given)) {
        std::fprintf(stderr, "bevel: %s\nbevel --help tells how it is used.\n", qPrintable(words.errorText()));
        return {false, false, {}, {}, 2};
    }
    if (words.isSet(help) || words.isSet(version)) { // without a display, too
        const QCoreApplication quiet(argc, argv);
        std::printf("%s\n", qPrintable(words.isSet(help) ? words.helpText().trimmed() : QStringLiteral("bevel " BEVEL_VERSION)));
        return {false, false, {}, {}, 0};
    }
    return {words.isSet(demo_option), words.isSet(dark_option), words.value(library_option), words.positionalArguments(), std::nullopt};
}

/// The session's movements, schools and linked forms, with the instructor's own.
void load_lists(ui::Session& session, const std::filesystem::path& data) {
    session.shipped = load_movements(data);
    const auto own = session.library->forms().all();
    session.movements = own ? with_own(session.shipped, *own) : session.shipped;
    session.shipped_schools = load_schools(data);
    const auto own_schools = session.library->forms().all(Own::school);
    session.schools = own_schools ? with_own(session.shipped_schools, *own_schools) : session.shipped_schools;
    session.shipped_linked = bevel::load_forms(data);
    const auto own_linked = session.library->forms().all(Own::linked);
    session.set_linked(own_linked ? with_own(session.shipped_linked, *own_linked) : session.shipped_linked);
}

} // namespace

int main(int argc, char** argv) {
    ::umask(077); // clips of people are private: what is written is for its owner alone
    // Pictures come and go by the dozen on several threads: what they held goes back to the system at once, in place of staying in each
    // thread's own store.
    mallopt(M_MMAP_THRESHOLD, 1 << 19);
    QCoreApplication::setApplicationName(QStringLiteral("bevel"));
    QCoreApplication::setApplicationVersion(QStringLiteral(BEVEL_VERSION));
    const Asked asked = read_words(argc, argv);
    if (asked.done) return *asked.done;
    QApplication app(argc, argv);
    ui::keep_labels_plain();
    QApplication::setApplicationDisplayName(QStringLiteral("Bevel"));
    const auto data = find_data_dir(argv[0]);
    ui::Theme::load_fonts(data);
    const std::filesystem::path home = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation).toStdString();
    QStringList files;
    std::filesystem::path folder = asked.demo ? unpack_demo(data, home) : home / "library";
    QSettings kept(QString::fromStdString((home / "settings.ini").string()), QSettings::IniFormat);
    const ui::Settings chosen = ui::Settings::load(kept);
    ui::find_languages(QString::fromStdString((home / "languages").string()));
    ui::speak(chosen.language);
    if (!asked.demo && !chosen.library.isEmpty()) folder = chosen.library.toStdString();
    if (!asked.library.isEmpty()) folder = asked.library.toStdString();
    for (const QString& w : asked.rest) {
        if (QFileInfo(w).isDir() && QFileInfo::exists(w + QStringLiteral("/library.sqlite")))
            folder = w.toStdString();
        else
            files << QFileInfo(w).absoluteFilePath();
    }
    QString place = meeting_place(folder);
    if (handed_over(place, files)) return 0;
    ui::Session session;
    auto catalogue = ui::Catalogue::load(data);
    if (!catalogue) {
        const QString why = ui::text::error(catalogue.error());
        std::fprintf(stderr, "%s\n", qPrintable(why));
        QMessageBox::critical(nullptr, QStringLiteral("Bevel"), why);
        return 3;
    }
    // Another instance may have the library and be just about to answer.
    auto first = Library::open(folder);
    for (int tries = 0; !first && first.error().code == Code::in_use && tries < 50; ++tries) {
        if (handed_over(place, files)) return 0;
        QThread::msleep(100);
        first = Library::open(folder);
    }
    auto library = ui::open_library(folder, std::move(first));
    if (!library) return 3;
    place = meeting_place(folder); // another one may have been chosen
    session.settings = chosen;
    if (asked.dark) session.settings.theme = ui::ThemeChoice::dark;
    session.catalogue = std::move(*catalogue);
    session.library = std::make_shared<Library>(std::move(*library));
    load_lists(session, data);
    session.model_dir = find_model_dir(argv[0]);
    ui::Background background, copies, finder;
    session.background = &background;
    session.copies = &copies;
    session.finder = &finder;
    ui::MainWindow window(session);
    window.set_theme(session.settings.theme);
    window.show();
    QLocalServer door;
    open_door(door, place, window);
    if (!files.isEmpty()) {
        window.take(files);
    } else if (asked.demo) {
        show_finished(*session.library, window);
    }
    end_on_signals(app);
    const int rc = QApplication::exec();
    session.settings.save(kept);
    return rc;
}
