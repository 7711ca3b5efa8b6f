// Which movement is it: how many takes of every movement, done in many ways, are called another, and how many are told when they are named
// as another. Prints a part of docs/accuracy.md: bevel-which-grid [MOVEMENT].
#include "core/review/review.h"
#include "support/altered.h"
#include "support/synthetic.h"
#include <atomic>
#include <cstdio>
#include <map>
#include <mutex>
#include <set>
#include <thread>

using namespace bevel;

namespace {

constexpr double stature = 1.65;
std::vector<Movement> movements;
Rivals rivals;
std::mutex out_lock;

struct Way {
    const char* name;
    std::vector<sim::FaultSpec> faults = {};
    double range = 1, higher = 0, tempo = 1;
};
const std::vector<Way>& ways() {
    using sim::Fault;
    static const std::vector<Way> all{{"faultless"},
                                      {"trunk 22° forward", {{Fault::lean_forward, 22, std::nullopt}}},
                                      {"trunk 14° aside", {{Fault::lean_side, 14, std::nullopt}}},
                                      {"stance half as wide", {{Fault::stance_narrow, 0.5, std::nullopt}}},
                                      {"stance 0.6 SW wider", {{Fault::stance_wide, 0.6, std::nullopt}}},
                                      {"shift half done", {{Fault::shift_incomplete, 0.3, std::nullopt}}},
                                      {"half the range", {}, 0.5},
                                      {"higher by 7 %", {}, 1, 0.07},
                                      {"lower by 7 %", {}, 1, -0.07},
                                      {"2.5 times the duration", {}, 1, 0, 2.5},
                                      {"half the duration", {}, 1, 0, 0.5}};
    return all;
}

struct Right {
    int takes = 0, refused = 0, asked = 0, other = 0;
};
struct Wrong {
    int pairs = 0, refused = 0, held = 0, part = 0, asked = 0, judged = 0;
};
std::map<std::string, Right> right; // by how it is done
Wrong wrong;
std::map<std::string, int> called, unasked;

Result<std::shared_ptr<const Review>> reviewed(const Track& track, View view, const Movement& named) {
    ReviewOptions o;
    o.view = view;
    o.stature_m = stature;
    return make_review(track, named, o);
}

void one(std::size_t index) {
    const Movement& m = movements[index];
    for (const auto& way : ways()) {
        auto o = sim::take_of(300 + index, stature);
        o.student.score.repetitions = 2;
        o.student.faults = way.faults;
        o.student.tempo = way.tempo;
        Movement done = m;
        if (way.range != 1) {
            VersionChange change;
            change.range = way.range;
            const auto smaller = make_version(m, Version("smaller", "", change));
            if (!smaller) continue;
            done = *smaller;
        }
        if (way.higher != 0) {
            BandChange change;
            change.higher = way.higher;
            apply(done, {change});
        }
        const bool plain = std::string(way.name) == "faultless";
        for (const bool room : {true, false}) {
            const View best = m.best_views.empty() || m.best_views.front() == View::three_d ? View::front : m.best_views.front();
            const View view = room ? View::three_d : best;
            o.phone.view = best;
            const sim::Take take(done, o);
            const Track track = room ? test::room_track(take) : test::pixel_track(take, 1.5, 3);
            const auto r = reviewed(track, view, m);
            const auto better = r ? elsewhere(**r, rivals) : std::vector<Elsewhere>{};
            {
                const std::lock_guard lock(out_lock);
                auto& line = right[std::string(way.name) + (room ? "" : ", one camera")];
                ++line.takes, line.refused += !r;
                const bool other = std::any_of(better.begin(), better.end(), [](const Elsewhere& e) { return !e.near; });
                line.other += other, line.asked += !better.empty() && !other;
                if (other) ++called[m.id + " as " + better.front().movement + " (" + way.name + (room ? ")" : ", one camera)")];
            }
            if (!plain || !room) continue;
            for (const auto& named : movements) {
                if (named.id == m.id) continue;
                const auto w = reviewed(track, view, named);
                const auto found = w ? elsewhere(**w, rivals) : std::vector<Elsewhere>{};
                const std::lock_guard lock(out_lock);
                ++wrong.pairs;
                if (!w) {
                    ++wrong.refused;
                } else if (found.empty()) {
                    ++wrong.judged, ++unasked[m.id + " as " + named.id];
                } else if (found.front().near) {
                    ++wrong.asked;
                } else {
                    double time = 0, out = 0;
                    for (const auto& rep : (*w)->alignment.repetitions) {
                        time += rep.end_s - rep.start_s;
                        for (const auto& e : found) out += std::max(0.0, std::min(e.to_s, rep.end_s) - std::max(e.from_s, rep.start_s));
                    }
                    ++(out > 0.99 * time ? wrong.held : wrong.part);
                }
            }
        }
    }
}

} // namespace

int main(int argc, char** argv) {
    movements = load_movements(test::data_dir());
    rivals = rivals_of(movements, stature);
    std::atomic<std::size_t> next{0};
    const auto work = [&] {
        for (std::size_t i; (i = next++) < movements.size();)
            if (argc < 2 || movements[i].id == argv[1]) one(i);
    };
    {
        const std::jthread other(work);
        work();
    }
    std::printf(
        "\n## Which movement is it\n\n%zu movements, one student, from points in metres and through one ideal camera with 1.5 px of "
        "noise. Named rightly:\n\n| done | takes | refused | asked about | called another |\n|---|---|---|---|---|\n",
        movements.size());
    Right sum;
    for (const auto& [name, r] : right) {
        std::printf("| %s | %d | %d | %d | %d |\n", name.c_str(), r.takes, r.refused, r.asked, r.other);
        sum.takes += r.takes, sum.refused += r.refused, sum.asked += r.asked, sum.other += r.other;
    }
    std::printf("| **all** | %d | %d | %d | %d (%.1f %%) |\n\nCalled another:", sum.takes, sum.refused, sum.asked, sum.other,
                100.0 * sum.other / std::max(1, sum.takes));
    for (const auto& [k, n] : called) std::printf(" %s;", k.c_str());
    const int held = wrong.refused + wrong.held + wrong.asked;
    std::printf(
        "\n\nNamed as every other movement, faultless, from points in metres: %d pairs; refused %d, held back %d, asked about %d, in "
        "part left out %d, judged without a word %d. Held back, asked or refused: %.1f %%.\n\nJudged without a word:",
        wrong.pairs, wrong.refused, wrong.held, wrong.asked, wrong.part, wrong.judged, 100.0 * held / std::max(1, wrong.pairs));
    for (const auto& [k, n] : unasked) std::printf(" %s;", k.c_str());
    std::printf("\n");
    return 0;
}
