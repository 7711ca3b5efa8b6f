// Measures clips unlike the practice room's from points and prints how well the stated errors hold: bevel-odd-takes [COUNT] [FIRST].
// --film FOLDER draws the takes that go through the picture and keeps their raw tracks; --films FOLDER measures those.
#include "core/files.h"
#include "core/review/guess.h"
#include "core/review/limits.h"
#include "core/review/points_csv.h"
#include "media/tracker.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/odd.h"
#include "support/synthetic.h"
#include "support/two_cameras.h"
#include <algorithm>
#include <atomic>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <mutex>
#include <thread>

using namespace bevel;

namespace {

/// The take as the body finder sees it.
Track found_in(const sim::Take& take, BodyFinder& finder) {
    Track t = take.track();
    for (auto& f : t.m) f.reset();
    t.model = "full";
    t.model_version = BodyFinder::version;
    finder.reset();
    std::vector<std::pair<std::shared_ptr<const sim::Image>, std::optional<BodyPx>>> kept;
    for (std::size_t i = 0; i < take.frames(); ++i) {
        auto picture = std::make_shared<sim::Image>(take.picture(i));
        t.px[i] = finder.next(*picture);
        if (kept.size() < 5 && i >= kept.size() * take.frames() / 5) kept.emplace_back(picture, t.px[i]);
    }
    t.vertical = room_vertical(kept);
    return t;
}

enum class Takes { picture, judged, oblique };

/// Draws takes, looks for the body and keeps the raw tracks.
int film(const std::filesystem::path& folder, const char* program, Takes which) {
    auto finder = BodyFinder::load(find_model_dir(program), Model::full);
    if (!finder) return 3;
    std::filesystem::create_directories(folder);
    const bool judged = which == Takes::judged;
    const int takes = judged ? test::judged_takes : which == Takes::oblique ? test::oblique_takes : test::picture_takes;
    for (int k = 0; k < takes; ++k) {
        const auto file = folder / ("take-" + std::to_string(k) + ".track");
        if (std::filesystem::exists(file)) continue;
        const auto odd = judged ? test::judged_take(k).odd : which == Takes::oblique ? test::oblique_take(k) : test::picture_take(k);
        const sim::Take take(judged ? test::movement(odd.movement) : test::kept_movement(odd.movement), odd.options);
        if (auto ok = write_whole(file, pack_track(found_in(take, *finder))); !ok) return 3;
        std::fprintf(stderr, "%d %s\n", k, odd.told().c_str());
    }
    return 0;
}

/// The same of performances filmed by two phones.
int film_pairs(const std::filesystem::path& folder, const char* program) {
    auto finder = BodyFinder::load(find_model_dir(program), Model::full);
    if (!finder) return 3;
    std::filesystem::create_directories(folder);
    for (int k = 0; k < test::filmed_pairs; ++k)
        for (const std::size_t phone : {0U, 1U}) {
            const auto file = folder / ("pair-" + std::to_string(k) + (phone == 0 ? "-a.track" : "-b.track"));
            if (std::filesystem::exists(file)) continue;
            const auto odd = test::pair_take(k).phone[phone];
            const sim::Take take(test::kept_movement(odd.movement), odd.options);
            if (auto ok = write_whole(file, pack_track(found_in(take, *finder))); !ok) return 3;
            std::fprintf(stderr, "%d %s\n", k, odd.told().c_str());
        }
    return 0;
}

/// Those, put together: how near each figure comes to the truth and how well its stated error holds, and the same of each clip alone.
int measure_pairs(const std::filesystem::path& folder, int from, int to) {
    std::map<std::string, std::vector<test::Error>> mean, one, mean_alone, one_alone;
    std::vector<test::PairErrors> how(static_cast<std::size_t>(to));
    std::mutex mutex;
    std::atomic<int> next{from};
    const auto work = [&] {
        while (true) {
            const int k = next++;
            if (k >= to) return;
            std::array<Track, 2> raw;
            for (const std::size_t phone : {0U, 1U}) {
                const auto bytes = read_text(folder / ("pair-" + std::to_string(k) + (phone == 0 ? "-a.track" : "-b.track")), 64U << 20U);
                auto t = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
                if (!t) std::exit(3);
                raw[phone] = std::move(*t);
            }
            test::ErrorsById m, o, ma, oa;
            test::pair_errors(k, raw, how[static_cast<std::size_t>(k)], m, o);
            for (const std::size_t phone : {0U, 1U}) test::alone_errors(k, phone, raw[phone], ma, oa);
            const std::lock_guard lock(mutex);
            const auto add = [](test::ErrorsById& all, const test::ErrorsById& some) {
                for (const auto& [id, e] : some) all[id].insert(all[id].end(), e.begin(), e.end());
            };
            add(mean, m), add(one, o), add(mean_alone, ma), add(one_alone, oa);
        }
    };
    {
        std::jthread other(work);
        work();
    }
    int refused = 0;
    for (int k = from; k < to; ++k) {
        const auto& e = how[static_cast<std::size_t>(k)];
        if (!e.why.empty()) ++refused;
        std::fprintf(stderr, "%d %s: clocks %+.0f ms +- %.0f, alike %.2f rivals %.2f; misfit %.2f, %d rounds, %.2f s for %.1f s\n", k,
                     e.why.empty() ? "together" : e.why.c_str(), 1000 * e.late_s, 1000 * e.late_sigma_s, e.alike, e.rivals, e.misfit,
                     e.rounds, e.took_s, e.common_s);
    }
    std::printf(
        "| figure | takes | mean absolute error | one moment a take: within 1 sigma | within 1.64 sigma | mean stated sigma | of one "
        "clip alone: takes | error | within 1 sigma |\n|---|---|---|---|---|---|---|---|---|\n");
    for (const auto& [id, e] : mean) {
        double sum = 0, alone = 0, stated = 0;
        for (const auto& x : e) sum += x.error;
        for (const auto& x : one[id]) stated += x.sigma;
        for (const auto& x : mean_alone[id]) alone += x.error;
        const auto n = static_cast<double>(e.size()), na = static_cast<double>(mean_alone[id].size());
        std::printf("| %s | %zu | %.3g | %.0f %% | %.0f %% | %.3g | %.0f | %.3g | %.0f %% |\n", id.c_str(), e.size(), sum / n,
                    100 * test::covered(one[id], 1), 100 * test::covered(one[id], 1.64), stated / n, na, na > 0 ? alone / na : 0.0,
                    na > 0 ? 100 * test::covered(one_alone[id], 1) : 0.0);
    }
    std::printf("\nOf %d pairs %d were not put together.\n", to - from, refused);
    return 0;
}

int measure_both_kinds(const std::filesystem::path& folder) {
    std::printf("\n## Two phones at once\n\nRaw tracks of tests/data/two, put together: clocks told from the movement, both cameras placed "
                "from the body and the floor, one body\nfitted to both, as a review has it. As anybody films who is asked for a front and "
                "a side:\n\n");
    if (const int bad = measure_pairs(folder, test::odd_pairs, test::filmed_pairs)) return bad;
    std::printf(
        "\nAs odd as can be: people of three families of figures, some in long skirts, any sides 55 to 115 degrees apart, any lens, "
        "rooms without edges:\n\n");
    return measure_pairs(folder, 0, test::odd_pairs);
}

/// Takes seen obliquely: what the fit of one clip fills in.
int measure_oblique(const std::filesystem::path& folder) {
    test::ErrorsById mean, one;
    std::mutex mutex;
    std::atomic<int> next{0};
    std::map<std::string, int> without;
    int reviewed = 0, wrong = 0;
    const auto work = [&] {
        for (int k = next++; k < test::oblique_takes; k = next++) {
            const auto bytes = read_text(folder / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
            const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
            if (!raw) std::exit(3);
            test::ObliqueErrors e;
            const bool fits = test::oblique_errors(k, *raw, e);
            const auto verdict = test::oblique_verdict(k, *raw);
            const std::lock_guard lock(mutex);
            reviewed += verdict.reviewed ? 1 : 0;
            wrong += verdict.false_findings.empty() ? 0 : 1;
            std::fprintf(stderr, "%d %s misfit %.2f, worst %.2f; %s\n", k, fits ? "fitted" : e.why.c_str(), e.misfit, e.worst,
                         test::oblique_take(k).told().c_str());
            if (!fits) ++without[e.why];
            for (const auto& [id, x] : e.mean) mean[id].insert(mean[id].end(), x.begin(), x.end());
            for (const auto& [id, x] : e.one) one[id].insert(one[id].end(), x.begin(), x.end());
        }
    };
    {
        std::jthread other(work);
        work();
    }
    std::printf(
        "\n## Seen obliquely\n\n%d clips of adults of three families of figures, filmed 30 to 60 degrees off the front, the back or a "
        "side, the last third turning\non the spot (tests/data/oblique). Only what a clip by itself cannot tell there, and one body "
        "fitted to the whole clip does:\n\n",
        test::oblique_takes);
    std::printf(
        "| figure | takes | mean absolute error | median | one moment a take: within 1 sigma | within 1.64 sigma | mean stated sigma "
        "|\n|---|---|---|---|---|---|---|\n");
    for (const auto& [id, e] : mean) {
        double sum = 0, stated = 0;
        std::vector<double> all;
        for (const auto& x : e) sum += x.error, all.push_back(x.error);
        for (const auto& x : one[id]) stated += x.sigma;
        std::sort(all.begin(), all.end());
        const auto n = static_cast<double>(e.size());
        std::printf("| %s | %zu | %.3g | %.3g | %.0f %% | %.0f %% | %.3g |\n", id.c_str(), e.size(), sum / n, all[all.size() / 2],
                    100 * test::covered(one[id], 1), 100 * test::covered(one[id], 1.64), stated / n);
    }
    for (const auto& [why, n] : without) std::printf("\nOf %d takes %d were not fitted: %s.\n", test::oblique_takes, n, why.c_str());
    std::printf(
        "\nNone of them has a fault; of the %d that could be reviewed by what the clip shows itself, %d were told a fault of safety, "
        "ground or timing.\n",
        reviewed, wrong);
    return 0;
}

int measure_films(const std::filesystem::path& folder) {
    std::map<std::string, std::vector<test::Error>> mean, one;
    int refused = 0;
    for (int k = 0; k < test::picture_takes; ++k) {
        const auto bytes = read_text(folder / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
        const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
        std::string why;
        if (!raw || !test::picture_errors(k, *raw, mean, one, why)) ++refused, std::fprintf(stderr, "%d refused %s\n", k, why.c_str());
    }
    std::printf(
        "\n## Odd takes through the picture\n\n%d clips of people in a family of figures that shares no mesh with those of the fit "
        "(children to tall, slight to\nstout, slack and "
        "stooped stands, loose trousers, long hair, hats), from turned, tilted and rolled cameras of several lenses, a third\nwithout a "
        "quiet stand, a third in a room without edges. Raw tracks: tests/data/odd.\n\n",
        test::picture_takes);
    std::printf("| figure | takes | mean absolute error | largest of a take | one moment a take: within 1 sigma | within 1.64 sigma "
                "|\n|---|---|---|---|---|---|\n");
    for (const auto& [id, e] : mean) {
        double sum = 0, most = 0;
        for (const auto& x : e) sum += x.error, most = std::max(most, x.error);
        std::printf("| %s | %zu | %.3g | %.3g | %.0f %% | %.0f %% |\n", id.c_str(), e.size(), sum / static_cast<double>(e.size()), most,
                    100 * test::covered(one[id], 1), 100 * test::covered(one[id], 1.64));
    }
    std::printf("\nOf %d takes %d were refused.\n", test::picture_takes, refused);
    return 0;
}

/// Faultless takes and takes with one clear fault, judged.
int judge_takes(std::uint64_t count) {
    std::atomic<std::uint64_t> next{0};
    std::mutex mutex;
    int reviewed = 0, alarmed = 0, clear = 0, found = 0, opposite = 0;
    std::map<std::string, int> alarms, missed;
    auto work = [&] {
        while (true) {
            const auto k = next++;
            if (k >= 2 * count) return;
            const auto v = test::odd_verdict(k / 2, k % 2 == 1);
            const std::lock_guard lock(mutex);
            if (k % 2 == 0) {
                reviewed += v.reviewed ? 1 : 0;
                alarmed += v.false_findings.empty() ? 0 : 1;
                for (const auto& f : v.false_findings) ++alarms[f];
                for (const auto& d : v.details)
                    std::fprintf(stderr, "%llu false %s; %s\n", static_cast<unsigned long long>(k / 2), d.c_str(),
                                 test::odd_take(k / 2).told().c_str());
                continue;
            }
            clear += v.clear ? 1 : 0;
            found += v.clear && v.found ? 1 : 0;
            opposite += v.opposite ? 1 : 0;
            if (v.clear && !v.found)
                ++missed[v.fault], std::fprintf(stderr, "%llu missed %s\n", static_cast<unsigned long long>(k / 2), v.fault.c_str());
        }
    };
    {
        std::jthread other(work);
        work();
    }
    std::printf("\n## Judged\n\nOf %llu faultless odd takes %d were reviewed; %d had a false safety, ground or timing finding",
                static_cast<unsigned long long>(count), reviewed, alarmed);
    for (const auto& [id, n] : alarms) std::printf("%s %s %d", n > 0 && id == alarms.begin()->first ? ":" : ",", id.c_str(), n);
    std::printf(".\nOf as many takes with one fault %d could be told clearly (the exact figure beyond the band by 3.7 sigma); %d were "
                "found, %d told the other way.\n",
                clear, found, opposite);
    return 0;
}

/// The takes through the picture that are judged.
int judge_films(const std::filesystem::path& folder) {
    int faultless = 0, alarmed = 0, faulty = 0, found = 0;
    for (int k = 0; k < test::judged_takes; ++k) {
        const auto bytes = read_text(folder / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
        const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
        if (!raw) return 3;
        const auto v = test::judged_verdict(k, *raw);
        const bool fault = !v.fault.empty();
        (fault ? faulty : faultless) += v.reviewed ? 1 : 0;
        (fault ? found : alarmed) += (fault ? v.found : !v.false_findings.empty()) ? 1 : 0;
        if (!v.reviewed || (fault ? !v.found : !v.false_findings.empty())) {
            std::fprintf(stderr, "%d %s\n", k, test::judged_take(k).odd.told().c_str());
            for (const auto& d : v.details) std::fprintf(stderr, "   %s\n", d.c_str());
        }
    }
    std::printf(
        "\n## Judged through the picture\n\nFigures of the family that nothing was fitted on, from odd cameras (tests/data/judged). Of "
        "%d reviewed takes with one clear fault %d were told it in the right words; of %d faultless ones %d had a false safety, "
        "ground or timing finding.\n",
        faulty, found, faultless, alarmed);
    return 0;
}

/// Which movement they show, guessed from the points alone, and whether any of them would be refused.
int guess_films(const std::filesystem::path& folder) {
    const auto movements = load_movements(BEVEL_SOURCE_DIR "/data");
    int right = 0, sure = 0, sure_right = 0, refused = 0;
    for (int k = 0; k < test::judged_takes; ++k) {
        const auto bytes = read_text(folder / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
        const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
        if (!raw) return 1;
        const auto guesses = guess_movement(*raw, movements, {});
        const bool hit = !guesses.empty() && guesses.front().movement == test::judged_take(k).odd.movement;
        const bool bold = !guesses.empty() && guesses.front().probability > 0.9;
        right += hit ? 1 : 0;
        sure += bold ? 1 : 0;
        sure_right += bold && hit ? 1 : 0;
        for (const auto& l : limits_of(*raw, {}, nullptr)) refused += l.refuses ? 1 : 0;
    }
    std::printf("\n## Taken in\n\nOf the same %d takes the movement was guessed right for %d among %d; %d times with a stated probability "
                "above 0.9, "
                "%d of them right. %d were refused as not to be judged.\n",
                test::judged_takes, right, static_cast<int>(movements.size()), sure, sure_right, refused);
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    if (argc == 3 && std::strcmp(argv[1], "--judge") == 0) return judge_takes(std::strtoull(argv[2], nullptr, 10));
    if (argc == 3 && std::strcmp(argv[1], "--judged") == 0) return judge_films(argv[2]);
    if (argc == 3 && std::strcmp(argv[1], "--guessed") == 0) return guess_films(argv[2]);
    if (argc == 3 && std::strcmp(argv[1], "--film") == 0) return film(argv[2], argv[0], Takes::picture);
    if (argc == 3 && std::strcmp(argv[1], "--film-judged") == 0) return film(argv[2], argv[0], Takes::judged);
    if (argc == 3 && std::strcmp(argv[1], "--film-oblique") == 0) return film(argv[2], argv[0], Takes::oblique);
    if (argc == 3 && std::strcmp(argv[1], "--pairs") == 0) return measure_both_kinds(argv[2]);
    if (argc == 3 && std::strcmp(argv[1], "--oblique") == 0) return measure_oblique(argv[2]);
    if (argc == 3 && std::strcmp(argv[1], "--film-pairs") == 0) return film_pairs(argv[2], argv[0]);
    if (argc == 3 && std::strcmp(argv[1], "--films") == 0) return measure_films(argv[2]);
    const std::uint64_t count = argc > 1 ? std::strtoull(argv[1], nullptr, 10) : 600,
                        first = argc > 2 ? std::strtoull(argv[2], nullptr, 10) : 0;
    std::map<std::string, std::vector<test::Error>> all;
    std::vector<std::string> refused;
    std::mutex mutex;
    std::atomic<std::uint64_t> next{first};
    auto work = [&] {
        while (true) {
            const auto k = next++;
            if (k >= first + count) return;
            std::map<std::string, std::vector<test::Error>> one;
            std::string why;
            const bool ok = test::odd_errors(k, one, why);
            const std::lock_guard lock(mutex);
            if (!ok) refused.push_back(why);
            for (auto& [id, e] : one) all[id].insert(all[id].end(), e.begin(), e.end());
        }
    };
    {
        std::jthread other(work);
        work();
    }
    std::printf("\n## Odd takes from points\n\nClips unlike the practice room's (tests/support/odd.h): cameras at any angle, height, tilt "
                "and roll, lenses from 0.5 to 1.6 of "
                "the width,\ndistortion, portrait, 24 to 120 frames/s with jitter and losses, students beside the middle, turning, "
                "mirrored, of 1.15 to 2.05 m and odd\n"
                "proportions and masses, slack stands, only the moving part; 3D points anywhere with 4 to 20 mm of noise on sloping "
                "floors. One value per\ntake "
                "and figure.\n\n");
    std::printf("| figure | takes | median error | median sigma | within 1 sigma | within 1.64 sigma | beyond 3.7 sigma "
                "|\n|---|---|---|---|---|---|---|\n");
    for (const auto& [id, e] : all) {
        std::vector<test::Error> s = e;
        for (auto& x : s) x.error = x.sigma;
        std::printf("| %s | %zu | %.3g | %.3g | %.0f %% | %.0f %% | %.1f %% |\n", id.c_str(), e.size(), test::median_absolute(e),
                    test::median_absolute(s), 100 * test::covered(e, 1), 100 * test::covered(e, 1.64), 100 * (1 - test::covered(e, 3.7)));
    }
    std::printf("\nOf %llu takes %zu were refused.\n", static_cast<unsigned long long>(count), refused.size());
    for (const auto& w : refused) std::fprintf(stderr, "%s\n", w.c_str());
    return 0;
}
