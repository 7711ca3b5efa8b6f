// Holds of twenty seconds to twenty minutes, on two feet, on one and on a chair, from three sides: whether each is found as one, what is
// told of who keeps the form, and of who sinks or lets the hands sink. Prints a part of docs/accuracy.md: bevel-hold-grid [SEEDS].
#include "core/review/review.h"
#include "support/synthetic.h"
#include <atomic>
#include <cstdio>
#include <cstdlib>
#include <map>
#include <mutex>
#include <thread>

using namespace bevel;

namespace {

struct Kind {
    const char *name, *movement, *version;
    double longest_s;
};
const Kind kinds[] = {{"quiet stand", "quiet_stand", "", 1200},
                      {"post", "embrace_the_post", "", 1200},
                      {"post, seated", "embrace_the_post", "Seated", 1200},
                      {"horse, fist out", "horse_fists", "", 300},
                      {"one leg", "one_leg_stand", "", 90}};
struct Way {
    const char* name;
    double sinks, hands; // of the neutral hip height; of the trunk, over the hold
    const char* measure; // that tells it
};
const Way ways[] = {
    {"kept", 0, 0, nullptr}, {"sinks by 7 %", 0.07, 0, "hip.height"}, {"hands sink by 0.45 of the trunk", 0, 0.45, "hand.height"}};
struct View3 {
    const char* name;
    View view;
};
const View3 views[] = {{"front", View::front}, {"side", View::right}, {"metres", View::three_d}};

struct Row {
    int takes = 0, refused = 0, one = 0, told = 0, wrong = 0;
};
std::mutex lock;
std::map<std::string, Row> rows;
std::map<std::string, int> odd;

/// The movement with its hold so long and, on the way, so much lower.
Movement held(const Movement& m, double seconds, const Way& way) {
    Movement out = m;
    for (std::size_t k = 0; k < out.phases.size(); ++k) {
        auto& p = out.phases[k];
        if (p.role != "hold") continue;
        p.duration_s = seconds;
        p.ease = Ease::flow;
        p.posture.depth -= way.sinks;
        p.posture.left_hand.y -= way.hands;
        p.posture.right_hand.y -= way.hands;
    }
    return out;
}

void one(const Kind& kind, const View3& view, double seconds, const Way& way, int seed) {
    const Movement base = test::movement(kind.movement);
    const Movement& m = base.as(kind.version);
    if (way.sinks > 0 && m.home.seat > 0) return;          // on a chair
    if (way.hands > 0 && base.id == "quiet_stand") return; // they hang
    auto o = sim::take_of(500 + 13 * static_cast<std::uint64_t>(seed), 1.55 + 0.07 * (seed % 4));
    o.student.score.repetitions = 1;
    o.student.tempo_spread = 0;
    o.phone.view = view.view;
    const sim::Take take(held(m, seconds, way), o);
    int wanted = 0;
    for (const auto& s : take.truth().phases) wanted = std::max(wanted, s.repetition + 1);
    ReviewOptions ro;
    ro.view = view.view;
    ro.stature_m = o.student.stature_m;
    const auto r = make_review(view.view == View::three_d ? test::room_track(take) : test::pixel_track(take, 1.5, 3), m, ro);
    const std::string name = std::string(kind.name) + " | " + std::to_string(static_cast<int>(seconds)) + " | " + way.name;
    const std::lock_guard guard(lock);
    Row& row = rows[name];
    ++row.takes;
    const std::string where = name + " " + view.name;
    if (!r) {
        ++row.refused, ++odd["refused: " + where];
        return;
    }
    if (static_cast<int>((*r)->alignment.repetitions.size()) == wanted)
        ++row.one;
    else
        ++odd[std::to_string((*r)->alignment.repetitions.size()) + " repetitions: " + where];
    bool told = false, can = false, wrong = false;
    for (const auto& f : (*r)->findings) {
        const bool of_it = way.measure && f.measure == way.measure;
        can = can || (of_it && f.verdict != Verdict::cannot_tell);
        if (f.verdict != Verdict::outside) continue;
        if (of_it)
            told = true;
        else if (!way.measure)
            wrong = true, ++odd["false " + f.check + ": " + where];
    }
    row.told += told, row.wrong += wrong;
    if (way.measure && !told && seconds >= 30) ++odd[std::string(can ? "missed: " : "cannot tell: ") + where];
}

} // namespace

int main(int argc, char** argv) {
    const int seeds = argc > 1 ? std::max(1, std::atoi(argv[1])) : 1;
    struct Job {
        const Kind* kind;
        const View3* view;
        double seconds;
        const Way* way;
        int seed;
    };
    std::vector<Job> jobs;
    for (const double s : argc > 2 ? std::vector<double>{20, 60} : std::vector<double>{20, 60, 90, 300, 1200})
        for (const auto& k : kinds)
            for (const auto& v : views)
                for (const auto& w : ways)
                    for (int n = 0; n < seeds; ++n)
                        if (s <= k.longest_s && !(s > 100 && n > 0)) jobs.push_back({&k, &v, s, &w, n});
    std::atomic<std::size_t> next{0};
    auto work = [&] {
        for (std::size_t i; (i = next++) < jobs.size();) one(*jobs[i].kind, *jobs[i].view, jobs[i].seconds, *jobs[i].way, jobs[i].seed);
    };
    {
        const std::jthread other(work);
        work();
    }
    std::printf(
        "\n## Holds\n\nFrom the front, from the side (1.5 px of noise) and in metres.\n\n| held | s | how | takes | refused | as one | "
        "told | something false |\n|---|---|---|---|---|---|---|---|\n");
    for (const auto& [name, r] : rows)
        std::printf("| %s | %d | %d | %d | %d | %d |\n", name.c_str(), r.takes, r.refused, r.one, r.told, r.wrong);
    std::printf("\nNot so:");
    for (const auto& [k, n] : odd) std::printf(" %s (%d);", k.c_str(), n);
    std::printf("\n");
    return 0;
}
