// One fault in one phase of every repetition, over all movements: how many that are clear are told, whether the right phase is named, and
// how many faultless takes are told a fault. Prints a part of docs/accuracy.md: bevel-phase-grid [--faultless|--frozen|--sizes] [SEEDS]
// [MOVEMENT].
#include "core/review/review.h"
#include "support/altered.h"
#include "support/synthetic.h"
#include <atomic>
#include <cstdio>
#include <cstdlib>
#include <map>
#include <mutex>
#include <thread>

using namespace bevel;

namespace {

struct Tally {
    int set = 0, untold = 0, clear = 0, told = 0, named = 0, opposite = 0;
    int clear_half = 0, told_half = 0;
    void add(const Tally& o) {
        set += o.set, untold += o.untold, clear += o.clear, told += o.told, named += o.named, opposite += o.opposite;
        clear_half += o.clear_half, told_half += o.told_half;
    }
};
struct Faultless {
    int takes = 0, refused = 0, any = 0, grave = 0;
    std::map<std::string, int> wrong;
};

std::mutex out_lock;
std::map<std::string, Tally> by_fault;
std::map<std::string, int> missed, misnamed;
std::map<std::string, Faultless> faultless; // by kind of points
std::vector<int> remarks;                   // outside, of each take with a fault

sim::TakeOptions student(std::uint64_t seed, int number) {
    auto o = sim::take_of(seed, 1.5 + 0.1 * static_cast<double>(number % 4));
    o.student.score.repetitions = 2;
    o.phone.view = View::front;
    return o;
}

Result<std::shared_ptr<const Review>> reviewed(const Movement& m, const Track& track, double stature) {
    ReviewOptions ro;
    ro.view = View::three_d;
    ro.stature_m = stature;
    return make_review(track, m, ro);
}

const PhaseFinding* phase_in(const Finding& f, const std::string& id) {
    for (const auto& p : f.phases)
        if (p.phase == id) return &p;
    return nullptr;
}

/// The checks a fault can be told by, in the review of the faultless take: of its measure, looking at that phase, with that end.
std::vector<const Finding*> tellers(const Review& r, const test::Alteration& a, const std::string& phase) {
    std::vector<const Finding*> out;
    for (const auto& f : r.findings) {
        if (f.measure != a.measure || f.rule != a.rule) continue;
        const Check* c = nullptr;
        for (const auto& k : r.movement.checks)
            if (k.id == f.check) c = &k;
        if (!c || (!c->phases.empty() && std::find(c->phases.begin(), c->phases.end(), phase) == c->phases.end())) continue;
        if (a.direction == Direction::high ? c->high.has_value() : c->low.has_value()) out.push_back(&f);
    }
    return out;
}

void one_movement(const Movement& m, int seeds, bool faults) {
    for (int seed = 0; seed < seeds; ++seed) {
        const auto o = student(1000 + 17 * static_cast<std::uint64_t>(seed), seed);
        const sim::Take take(m, o);
        const test::Altered plain{take.truth().time_s, take.truth().points};
        struct Kind {
            const char* name;
            double noise;
            bool stated;
        };
        for (const Kind k : {Kind{"exact points", 0, false}, Kind{"6 mm together over 0.3 s, stated", 0.006, true},
                             Kind{"6 mm together over 0.3 s, not stated", 0.006, false}}) {
            Track t = plain.track();
            test::add_noise(t, k.noise, 0.3, o.student.seed + 5, k.stated);
            const auto r = reviewed(m, t, o.student.stature_m);
            const std::lock_guard lock(out_lock);
            auto& f = faultless[k.name];
            ++f.takes;
            if (!r) {
                ++f.refused;
                continue;
            }
            bool any = false, grave = false;
            for (const auto& x : (*r)->findings) {
                if (x.verdict != Verdict::outside) continue;
                any = true;
                grave = grave || x.severity == Severity::safety || x.severity == Severity::ground || x.severity == Severity::timing;
                ++f.wrong[m.id + " " + x.check + "@" + x.phase];
            }
            f.any += any, f.grave += grave;
        }
        if (!faults) continue;
        const auto clean = reviewed(m, plain.track(), o.student.stature_m);
        if (!clean) continue;
        const double until = take.truth().phases.front().start_s;
        const auto quiet = test::quiet_truth(take, std::max(0.0, until - 2), until);
        for (const auto& a : test::alterations())
            for (const auto& phase : m.phases) {
                double shortest = 1e9;
                for (const auto& s : take.truth().phases)
                    if (s.id == phase.id) shortest = std::min(shortest, s.end_s - s.start_s);
                const auto tell = tellers(**clean, a, phase.id);
                if (shortest < 1 || tell.empty()) continue;
                std::set<int> half;
                for (const auto& s : take.truth().phases)
                    if (s.repetition % 2 == 0) half.insert(s.repetition);
                for (const bool all : {true, false}) {
                    const auto points = test::altered(take, a, phase.id, all ? std::set<int>{} : half);
                    const auto r = reviewed(m, points.track(), o.student.stature_m);
                    Tally t;
                    if (all) ++t.set;
                    bool clear = false, told = false, named = false, opposite = false;
                    int outside = 0;
                    if (r) {
                        for (const auto& g : remarked((*r)->findings))
                            outside += (*r)->findings[g.findings.front()].verdict == Verdict::outside;
                        for (const Finding* was : tell)
                            for (const auto& f : (*r)->findings) {
                                if (f.check != was->check || f.side != was->side) continue;
                                const PhaseFinding* p = phase_in(f, phase.id);
                                const PhaseFinding* before = phase_in(*was, phase.id);
                                const std::string key = measure_key(f.measure, f.side);
                                const auto exact = test::phase_truth(take, points, key, phase.id, quiet),
                                           plainly = test::phase_truth(take, plain, key, phase.id, quiet);
                                double value = 0;
                                int n = 0;
                                for (std::size_t k = 0; k < exact.size(); ++k) {
                                    if (!all && !half.contains(exact[k].repetition)) continue;
                                    value += f.reference && before ? before->value + exact[k].value - plainly[k].value : exact[k].value;
                                    ++n;
                                }
                                const double sigma = p ? p->sigma : f.sigma;
                                const auto low = p ? p->low : f.low, high = p ? p->high : f.high;
                                if (n > 0) {
                                    value /= n;
                                    const double by =
                                        a.direction == Direction::high ? value - high.value_or(1e9) : low.value_or(-1e9) - value;
                                    const double bound = bound_of(std::max<int>(1, static_cast<int>(f.phases.size())), f.judged);
                                    clear = clear || (f.verdict != Verdict::cannot_tell && by > (bound + 2.1) * sigma && by > 0);
                                }
                                if (f.verdict != Verdict::outside) continue;
                                if (f.direction != a.direction) {
                                    opposite = true;
                                    continue;
                                }
                                const bool here = f.phases.empty() ? f.phase == phase.id : p && p->verdict == Verdict::outside;
                                told = told || here || f.phases.empty();
                                named = named || f.phase == phase.id;
                            }
                    }
                    if (all) {
                        t.untold = !r;
                        t.clear = clear, t.told = clear && told, t.named = clear && told && named, t.opposite = opposite && !told;
                    } else {
                        t.clear_half = clear, t.told_half = clear && told;
                    }
                    const std::lock_guard lock(out_lock);
                    by_fault[a.id].add(t);
                    if (clear && !told) ++missed[m.id + " " + a.id + "@" + phase.id + (all ? "" : " (half)")];
                    if (all && clear && told && !named) ++misnamed[m.id + " " + a.id + "@" + phase.id];
                    if (all) remarks.push_back(outside);
                }
            }
    }
}

struct Frozen {
    int set = 0, refused = 0, told = 0, timely = 0;
};
std::map<std::string, Frozen> by_length;
std::map<std::string, int> unfrozen;

/// Held still in the middle of one phase of every repetition; and done much quicker or slower, without a halt.
void frozen_movement(const Movement& m) {
    const auto o = student(1000, 1);
    const sim::Take take(m, o);
    const auto& resting = rule_book().resting_roles;
    for (std::size_t p = 0; p < m.phases.size(); ++p) {
        const auto& phase = m.phases[p];
        if (phase.pause || phase.duration_s < 1 || std::find(resting.begin(), resting.end(), phase.role) != resting.end()) continue;
        for (const double length : {0.7, 1.5, 3.0, 5.0}) {
            std::vector<std::pair<double, double>> stops;
            std::vector<double> when;
            for (const auto& s : take.truth().phases)
                if (s.id == phase.id) {
                    when.push_back(0.5 * (s.start_s + s.end_s) + length * static_cast<double>(stops.size()));
                    stops.emplace_back(0.5 * (s.start_s + s.end_s), length);
                }
            const auto r = reviewed(m, test::frozen(take, stops).track(), o.student.stature_m);
            bool told = false, timely = false;
            if (r)
                for (const auto& f : (*r)->findings) {
                    if (f.verdict != Verdict::outside || (f.measure != "pace.halts" && f.measure != "shift.stops")) continue;
                    told = true;
                    for (const double t : when) timely = timely || (f.time_s > t - 0.2 && f.time_s < t + length + 0.2);
                }
            const std::lock_guard lock(out_lock);
            auto& f = by_length[std::to_string(length).substr(0, 3)];
            ++f.set, f.refused += !r, f.told += told, f.timely += told && timely;
            if (!told) ++unfrozen[m.id + "@" + phase.id + " " + std::to_string(length).substr(0, 3) + (r ? "" : " refused")];
        }
    }
    for (const double tempo : {0.4, 0.7, 1.5, 2.5}) {
        auto slow = o;
        slow.student.tempo = tempo;
        const sim::Take paced(m, slow);
        const auto r = reviewed(m, test::Altered{paced.truth().time_s, paced.truth().points}.track(), o.student.stature_m);
        bool told = false;
        if (r)
            for (const auto& f : (*r)->findings)
                told = told || (f.verdict == Verdict::outside && (f.measure == "pace.halts" || f.measure == "shift.stops"));
        const std::lock_guard lock(out_lock);
        auto& f = by_length["none, " + std::to_string(tempo).substr(0, 3) + " of the duration"];
        ++f.set, f.refused += !r, f.told += told;
        if (!r || told) ++unfrozen[m.id + " at " + std::to_string(tempo).substr(0, 3) + (r ? " told" : " refused")];
    }
}

struct Sized {
    int set = 0, refused = 0;
};
std::map<std::string, Sized> by_size;
std::map<std::string, int> unsized;

/// The movement done smaller, higher and lower than its figure, and reviewed as the movement.
void sized_movement(const Movement& m) {
    const auto o = student(1000, 1);
    auto one = [&](const char* what, const Movement& done) {
        const sim::Take take(done, o);
        const auto r = reviewed(m, test::Altered{take.truth().time_s, take.truth().points}.track(), o.student.stature_m);
        const std::lock_guard lock(out_lock);
        ++by_size[what].set, by_size[what].refused += !r;
        if (!r) ++unsized[m.id + " " + what];
    };
    for (const auto& [what, range] : {std::pair{"half the range", 0.5}, {"seven tenths of the range", 0.7}}) {
        VersionChange change;
        change.range = range;
        if (const auto smaller = make_version(m, Version("smaller", "", change))) one(what, *smaller);
    }
    for (const auto& [what, by] : {std::pair{"higher by 7 %", 0.07}, {"lower by 7 %", -0.07}}) {
        Movement other = m;
        BandChange change;
        change.higher = by;
        apply(other, {change});
        one(what, other);
    }
}

} // namespace

int main(int argc, char** argv) {
    const std::string only = argc > 1 ? argv[1] : "";
    const bool faults = only != "--faultless";
    if (only.starts_with("--")) --argc, ++argv;
    const int seeds = argc > 1 ? std::max(1, std::atoi(argv[1])) : 1;
    auto movements = load_movements(test::data_dir());
    if (argc > 2) std::erase_if(movements, [&](const Movement& m) { return m.id != argv[2]; });
    std::atomic<std::size_t> next{0};
    auto work = [&] {
        for (std::size_t i; (i = next++) < movements.size();) one_movement(movements[i], seeds, faults);
    };
    auto freeze = [&] {
        for (std::size_t i; (i = next++) < movements.size();) frozen_movement(movements[i]);
    };
    if (only != "--frozen" && only != "--sizes") {
        const std::jthread other(work);
        work();
    }
    next = 0;
    if (only.empty() || only == "--frozen") {
        const std::jthread other(freeze);
        freeze();
    }
    if (!by_length.empty()) {
        std::printf(
            "\n## Held still\n\n%zu movements, one student, exact points held still in the middle of one phase of every repetition in "
            "which no pause belongs; and without a halt at other durations.\n\n| halt, s | set | refused | told | within 0.2 s of "
            "it |\n|---|---|---|---|---|\n",
            movements.size());
        for (const auto& [name, f] : by_length)
            std::printf("| %s | %d | %d | %.1f %% | %.1f %% |\n", name.c_str(), f.set, f.refused, 100.0 * f.told / std::max(1, f.set),
                        100.0 * f.timely / std::max(1, f.told));
        std::printf("\nMissed, or told where there is none:");
        for (const auto& [k, n] : unfrozen) std::printf(" %s;", k.c_str());
        std::printf("\n");
    }
    if (only == "--frozen") return 0;
    next = 0;
    auto size = [&] {
        for (std::size_t i; (i = next++) < movements.size();) sized_movement(movements[i]);
    };
    if (only.empty() || only == "--sizes") {
        const std::jthread other(size);
        size();
        // Both are done before anything is printed.
    }
    if (!by_size.empty()) {
        std::printf("\n## Smaller, higher, lower\n\nReviewed as the movement itself.\n\n| done | takes | refused |\n|---|---|---|\n");
        for (const auto& [name, s] : by_size) std::printf("| %s | %d | %d |\n", name.c_str(), s.set, s.refused);
        std::printf("\nRefused:");
        for (const auto& [k, n] : unsized) std::printf(" %s;", k.c_str());
        std::printf("\n");
    }
    if (only == "--sizes") return 0;
    std::printf(
        "\n## One fault in one phase\n\n%zu movements, %d students each, exact points in metres changed by a rigid move in one phase of a "
        "second or more that the rule asks for, in every repetition and in every second one (tests/support/altered.h). Clear: the exact "
        "figure of that phase beyond its band by the check's bound and 2.1 stated sigma.\n\n| fault | size | set | clear | told | right "
        "phase named | the other way | clear in half the repetitions | told |\n|---|---|---|---|---|---|---|---|---|\n",
        movements.size(), seeds);
    Tally sum;
    auto line = [](const char* id, double by, const Tally& t) {
        auto share = [](int a, int b) { return b > 0 ? 100.0 * a / b : 0.0; };
        std::printf("| %s | %g | %d | %.0f %% | %.1f %% | %.1f %% | %d | %d | %.1f %% |\n", id, by, t.set, share(t.clear, t.set),
                    share(t.told, t.clear), share(t.named, t.told), t.opposite, t.clear_half, share(t.told_half, t.clear_half));
    };
    for (const auto& a : test::alterations()) {
        line(a.id, a.size, by_fault[a.id]);
        sum.add(by_fault[a.id]);
    }
    line("**all**", 0, sum);
    std::sort(remarks.begin(), remarks.end());
    if (!remarks.empty())
        std::printf("\nRemarks a take with one fault: %d in the median, at most %d in 95 %%.\n", remarks[remarks.size() / 2],
                    remarks[remarks.size() * 95 / 100]);
    std::printf("\nMissed:");
    for (const auto& [k, n] : missed) std::printf(" %s;", k.c_str());
    std::printf("\n\nAnother phase named:");
    for (const auto& [k, n] : misnamed) std::printf(" %s;", k.c_str());
    std::printf("\n\n| faultless takes | takes | refused | with a false finding | with a false safety, ground or timing finding "
                "|\n|---|---|---|---|---|\n");
    for (const auto& [name, f] : faultless)
        std::printf("| %s | %d | %d | %.1f %% | %.1f %% |\n", name.c_str(), f.takes, f.refused, 100.0 * f.any / std::max(1, f.takes),
                    100.0 * f.grave / std::max(1, f.takes));
    for (const auto& [name, f] : faultless) {
        std::printf("\nFalse, %s:", name.c_str());
        for (const auto& [k, n] : f.wrong) std::printf(" %s %d;", k.c_str(), n);
        std::printf("\n");
    }
    return 0;
}
