// Ten years of a school: 200 people, 60 000 clips with their figures, letters and practice; how long what a person waits for takes then.
// bevel-size-bench [FOLDER]: the library is made there once (points are left away), else in a folder of its own.
#include "core/review/trend.h"
#include "core/rng.h"
#include "store/library.h"
#include <algorithm>
#include <chrono>
#include <cstdio>
#include <filesystem>
#include <unistd.h>

using namespace bevel;

namespace {

double now_ms() {
    return std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now().time_since_epoch()).count();
}

std::string day_of(int n) { // of ten years to the end of 2026
    const auto d = std::chrono::sys_days(std::chrono::year(2017) / 1 / 1) + std::chrono::days(n);
    const std::chrono::year_month_day date{d};
    std::array<char, 16> b{};
    std::snprintf(b.data(), b.size(), "%04d-%02u-%02u", static_cast<int>(date.year()), static_cast<unsigned>(date.month()),
                  static_cast<unsigned>(date.day()));
    return b.data();
}

bool fill(Library& lib) {
    constexpr int people = 200, each = 300;
    const std::array<const char*, 6> movements{"gaze_at_the_moon",    "brush_and_push",       "draw_the_bow",
                                               "separate_the_clouds", "part_the_horses_mane", "walk_forward"};
    Rng rng(5);
    for (int p = 0; p < people; ++p) {
        const auto ok = lib.together([&]() -> Result<bool> {
            Person who;
            who.name = "Student " + std::to_string(p + 1);
            who.stature_m = 1.5 + 0.4 * rng.uniform();
            const auto id = lib.people().add(who);
            if (!id) return tl::unexpected(id.error());
            for (int k = 0; k < each; ++k) {
                Clip c;
                c.person = *id;
                c.movement = movements[static_cast<std::size_t>(k % 6)];
                c.view = k % 2 ? "left" : "front";
                c.filmed_on = c.arrived_on = day_of(k * 12 + p % 12);
                c.state = k + 1 == each && p % 7 == 0 ? ClipState::tracked : ClipState::reviewed;
                const auto clip = lib.clips().add_record(c);
                if (!clip) return tl::unexpected(clip.error());
                std::vector<KeptFigure> figures;
                for (int f = 0; f < 12; ++f) {
                    KeptFigure x;
                    x.movement = c.movement, x.view = c.view, x.check = "check" + std::to_string(f), x.measure = "trunk.lean",
                    x.unit = "deg", x.side = f % 2 ? "left" : "right";
                    x.value = 8 - 0.01 * k + rng.gauss(), x.own = 0.8, x.of_clip = 0.6, x.person = 1, x.high = 6, x.matters = 3,
                    x.judged = 4;
                    figures.push_back(x);
                }
                if (auto done = lib.records().keep_figures(*clip, figures); !done) return done;
                if (c.state != ClipState::reviewed || k % 3) continue;
                if (auto done = lib.decisions().save(*clip, {"check1.high", "left", Choice::kept, "", ""}); !done) return done;
                LetterRecord l;
                l.clip = *clip;
                l.checks = {"check1.high/left"};
                l.review_on = day_of(k * 12 + 14);
                if (auto done = lib.letters().save(l); !done) return tl::unexpected(done.error());
                if (auto done = lib.letters().set_sent(*clip, c.filmed_on, "mail"); !done) return done;
                PracticeLog log;
                log.person = *id, log.day = c.filmed_on, log.minutes = 20, log.done = {{c.movement, "qigong", 3, 3, 200}};
                if (auto done = lib.practice().keep(log); !done) return tl::unexpected(done.error());
            }
            return true;
        });
        if (!ok) {
            std::fprintf(stderr, "%s\n", ok.error().context.c_str());
            return false;
        }
    }
    return true;
}

/// Median and 95th percentile of many goes, each for another person.
template <class F> void time_of(const char* what, F go, int goes = 40) {
    std::vector<double> ms;
    for (int k = 0; k < goes; ++k) {
        const double from = now_ms();
        go(k);
        ms.push_back(now_ms() - from);
    }
    std::sort(ms.begin(), ms.end());
    std::printf("%-46s %7.1f ms median %7.1f ms p95\n", what, ms[ms.size() / 2], ms[ms.size() * 95 / 100]);
}

} // namespace

int main(int argc, char** argv) {
    const bool own = argc < 2;
    const std::filesystem::path folder =
        own ? std::filesystem::temp_directory_path() / ("bevel-size-" + std::to_string(::getpid())) : std::filesystem::path(argv[1]);
    {
        auto lib = Library::open(folder);
        if (!lib) return 1;
        if (lib->clips().count() == 0) {
            const double from = now_ms();
            if (!fill(*lib)) return 1;
            std::printf("made in %.0f s\n", (now_ms() - from) / 1000);
        }
    }
    const double from = now_ms();
    auto lib = Library::open(folder);
    if (!lib) return 1;
    const auto people = lib->people().all();
    std::printf("%lld clips, %zu people; opened in %.0f ms\n", static_cast<long long>(lib->clips().count()), people->size(),
                now_ms() - from);
    const auto who = [&](int k) { return (*people)[static_cast<std::size_t>(k * 37) % people->size()].id; };
    time_of("people", [&](int) { (void)lib->people().all(); });
    time_of("clips as listed", [&](int) { (void)lib->clips().find({}); });
    time_of("clips found by name, month and movement", [&](int k) {
        ClipQuery q;
        q.words = {{"student " + std::to_string(k + 1), {}, {}, ""}, {"nov", {}, {}, "-11-"}, {"bow", {"draw_the_bow"}, {}, ""}};
        (void)lib->clips().find(q);
    });
    time_of("who waits this evening", [&](int) { (void)lib->letters().waiting(); });
    time_of("letters due", [&](int) { (void)lib->letters().due("2026-11-26"); });
    time_of("letters of a person", [&](int k) { (void)lib->letters().lines(who(k)); });
    time_of("record of a person", [&](int k) { (void)lib->records().lines(who(k)); });
    time_of("figures and trends of a person", [&](int k) { (void)trends_of(*lib->records().figures(who(k))); });
    time_of("practice of a person", [&](int k) { (void)lib->practice().of(who(k)); });
    time_of("said before, of a correction", [&](int k) { (void)lib->letters().said_before(who(k), "draw_the_bow", "check1.high/left"); });
    time_of("asked before a clip", [&](int k) { (void)lib->records().asked_before(1 + k * 997); });
    time_of(
        "backup, in the background", [&](int) { (void)lib->backups().write(folder.string() + ".backup", "2026-11-26", {}); }, 3);
    std::error_code ec;
    std::filesystem::remove(folder.string() + ".backup", ec);
    if (own) std::filesystem::remove_all(folder);
}
