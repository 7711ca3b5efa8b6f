#include "ui/shell/main_window.h"
#include <cstdio>
#include <QApplication>
#include <QDir>
#include <QMessageBox>
#include <QStandardPaths>

namespace {

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

} // namespace

int main(int argc, char** argv) {
    using namespace bevel;
    QApplication app(argc, argv);
    QApplication::setApplicationName(QStringLiteral("bevel"));
    QApplication::setApplicationDisplayName(QStringLiteral("Bevel"));
    const QStringList args = QApplication::arguments();
    const auto data = find_data_dir(argv[0]);
    ui::Theme::load_fonts(data);
    const std::filesystem::path home = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation).toStdString();
    const bool demo = args.contains(QStringLiteral("--demo"));
    std::filesystem::path folder = demo ? unpack_demo(data, home) : home / "library";
    if (const int i = static_cast<int>(args.indexOf(QStringLiteral("--library"))); i >= 0 && i + 1 < args.size())
        folder = args[i + 1].toStdString();
    ui::Session session;
    auto catalogue = ui::Catalogue::load(data);
    auto library = Library::open(folder);
    if (!catalogue || !library) {
        const QString why = ui::text::error(catalogue ? library.error() : catalogue.error());
        std::fprintf(stderr, "%s\n", qPrintable(why));
        QMessageBox::critical(nullptr, QStringLiteral("Bevel"), why);
        return 3;
    }
    session.catalogue = std::move(*catalogue);
    session.library = std::make_shared<Library>(std::move(*library));
    session.movements = load_movements(data);
    session.schools = load_schools(data);
    session.model_dir = find_model_dir(argv[0]);
    session.theme = ui::Theme(args.contains(QStringLiteral("--dark")));
    ui::Background background, finder;
    session.background = &background;
    session.finder = &finder;
    ui::MainWindow window(session);
    window.show();
    if (demo) { // a finished review is the first thing seen
        if (auto clips = session.library->clips())
            for (const auto& c : *clips)
                if (c.state == ClipState::reviewed) {
                    window.open_review(c.id);
                    break;
                }
    }
    return QApplication::exec();
}
