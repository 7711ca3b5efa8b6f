// How smooth the review is, measured in the window itself: bevel-ui-bench LIBRARY. Pictures a second while playing at 1x, how long a step
// takes to be shown, time from the start to a painted review, memory.
#include "app/main_window.h"
#include "core/movement/movement.h"
#include "ui/ground/ground_page.h"
#include <algorithm>
#include <cstdio>
#include <fstream>
#include <malloc.h>
#include <nlohmann/json.hpp>
#include <QApplication>
#include <QElapsedTimer>
#include <QTemporaryDir>
#include <QThread>
#include <QToolButton>

using namespace bevel;

namespace {

bool wait(const std::function<bool()>& until, int ms = 30000) {
    QElapsedTimer t;
    t.start();
    while (!until()) {
        if (t.elapsed() > ms) return false;
        QCoreApplication::processEvents(QEventLoop::AllEvents, 2);
    }
    return true;
}

double resident_mb() {
    std::ifstream f("/proc/self/statm");
    double pages = 0, resident = 0;
    f >> pages >> resident;
    return resident * 4096 / 1e6;
}

} // namespace

int main(int argc, char** argv) {
    mallopt(M_MMAP_THRESHOLD, 1 << 19); // as the program does
    QElapsedTimer start;
    start.start();
    QApplication app(argc, argv);
    if (QApplication::arguments().size() != 2) return 2;
    QTemporaryDir copy;
    const std::filesystem::path folder = copy.filePath(QStringLiteral("library")).toStdString();
    QElapsedTimer copying;
    copying.start();
    std::filesystem::copy(QApplication::arguments()[1].toStdString(), folder, std::filesystem::copy_options::recursive);
    const double copied = static_cast<double>(copying.elapsed());
    const auto data = find_data_dir(argv[0]);
    ui::Theme::load_fonts(data);
    auto library = Library::open(folder);
    auto catalogue = ui::Catalogue::load(data);
    if (!library || !catalogue) return 3;
    std::int64_t reviewed = 0;
    const auto clips = library->clips().all();
    for (const auto& c : *clips) {
        if (c.state == ClipState::reviewed) reviewed = c.id;
        if (c.state == ClipState::waiting) (void)library->clips().set_state(c.id, ClipState::failed, "cancelled"); // nothing else is to run
    }
    ui::Session session;
    session.library = std::make_shared<Library>(std::move(*library));
    session.catalogue = std::move(*catalogue);
    session.shipped = load_movements(data);
    session.movements = session.shipped;
    session.shipped_schools = load_schools(data);
    session.schools = session.shipped_schools;
    session.shipped_linked = load_forms(data);
    session.set_linked(session.shipped_linked);
    ui::Background background, copies, finder;
    session.background = &background;
    session.copies = &copies;
    session.finder = &finder;
    ui::MainWindow window(session);
    window.show();
    window.open_review(reviewed);
    auto* page = window.review();
    if (!wait([&] { return page->shows_current(); })) return 3;
    std::printf("start to painted review  %.2f s\n", (static_cast<double>(start.elapsed()) - copied) / 1000);
    // Playing: every picture of both views is counted as it is painted for its frame.
    auto* play = page->findChild<QToolButton*>(QStringLiteral("play"));
    page->state().set_frame(0);
    wait([&] { return page->shows_current(); });
    QList<ui::PictureView*> views = page->findChildren<ui::PictureView*>();
    views.removeIf([](const ui::PictureView* v) { return !v->isVisible(); }); // the partner's, where there is no pair
    std::array<std::size_t, 2> last{~std::size_t{0}, ~std::size_t{0}}, shown{0, 0};
    QElapsedTimer t;
    play->click();
    t.start();
    wait([&] {
        for (std::size_t k = 0; k < 2; ++k)
            if (const auto f = views[static_cast<qsizetype>(k)]->shown_frame(); f && *f != last[k]) last[k] = *f, ++shown[k];
        return t.elapsed() > 8000;
    });
    play->click();
    const double seconds = static_cast<double>(t.elapsed()) / 1000;
    std::printf("playing at 1x            student %.1f, reference %.1f pictures/s; clock %.3f of real time\n",
                static_cast<double>(shown[0]) / seconds, static_cast<double>(shown[1]) / seconds, page->state().time() / seconds);
    std::vector<double> steps;
    wait([&] { return page->shows_current(); });
    for (int k = 0; k < 60; ++k) {
        QElapsedTimer s;
        s.start();
        page->state().set_frame(static_cast<std::ptrdiff_t>(page->state().frame) + (k % 3 == 2 ? -1 : 1));
        if (!wait([&] { return views[0]->is_current(); }, 5000)) break;
        steps.push_back(static_cast<double>(s.nsecsElapsed()) / 1e6);
    }
    std::sort(steps.begin(), steps.end());
    if (!steps.empty())
        std::printf("a step is shown after    %.0f ms (median), %.0f ms (95 %%)\n", steps[steps.size() / 2],
                    steps[steps.size() * 95 / 100]);
    // A point moved by hand, until how sure the figures are is known anew.
    auto* ground = window.ground();
    bool told = false;
    QObject::connect(ground, &ui::GroundPage::measured, ground, [&] { told = true; });
    ground->open({reviewed});
    window.show_place(window.place(QStringLiteral("ground")));
    if (wait([&] { return told && ground->view()->has_picture() && background.idle() && copies.idle(); })) {
        ground->view()->set_tool(ui::MarkTool::points);
        std::vector<double> seen, known;
        for (int k = 0; k < 20; ++k) {
            QElapsedTimer s;
            told = false;
            s.start();
            emit ground->view()->moved(left_knee, {600.0 + k, 400});
            seen.push_back(static_cast<double>(s.nsecsElapsed()) / 1e6);
            if (!wait([&] { return told; })) break;
            known.push_back(static_cast<double>(s.nsecsElapsed()) / 1e6);
            wait([&] { return background.idle() && copies.idle(); });
        }
        std::sort(seen.begin(), seen.end());
        std::sort(known.begin(), known.end());
        if (!known.empty())
            std::printf("a moved point            drawn after %.0f ms, figures after %.0f ms (median)\n", seen[seen.size() / 2],
                        known[known.size() / 2]);
    }
    // Forms: until it is drawn, how many pictures it shows, and how fast a band is judged by.
    window.show_place(window.place(QStringLiteral("review")));
    wait([&] { return page->shows_current(); });
    auto* forms = window.forms();
    QElapsedTimer f;
    f.start();
    window.show_place(window.place(QStringLiteral("forms")));
    window.repaint();
    const double shown_ms = static_cast<double>(f.nsecsElapsed()) / 1e6;
    wait([&] { return forms->figure().is_current(); });
    std::printf("Forms opened after       %.0f ms, its figure drawn after %.0f ms\n", shown_ms,
                static_cast<double>(f.nsecsElapsed()) / 1e6);
    forms->figure().play(true);
    const int pictures = forms->figure().shown();
    f.start();
    wait([&] { return f.elapsed() > 5000; });
    std::printf("the figure plays at      %.1f pictures/s\n",
                (forms->figure().shown() - pictures) / (static_cast<double>(f.elapsed()) / 1000));
    forms->figure().play(false);
    const std::string id = page->state().open->review->movement.id;
    std::vector<double> judged;
    for (int k = 0; k < 12; ++k) {
        auto j = nlohmann::json::parse(*session.movement(id)->source);
        j["bands"].push_back({{"check", "trunk_lean"}, {"high", 9.0 + k}, {"reason", "tried"}});
        std::vector<Movement> all = *session.movements.now();
        for (auto& m : all)
            if (m.id == id) m = *parse_movement(j.dump());
        const auto before = page->state().open;
        f.start();
        session.movements = all;
        session.workspace->rules_changed();
        if (page->state().open == before) break; // not by the bands alone
        judged.push_back(static_cast<double>(f.nsecsElapsed()) / 1e6);
    }
    std::sort(judged.begin(), judged.end());
    if (!judged.empty()) std::printf("a band of a movement     judged and listed after %.0f ms (median)\n", judged[judged.size() / 2]);
    std::printf("resident                 %.0f MB\n", resident_mb());
    return 0;
}
