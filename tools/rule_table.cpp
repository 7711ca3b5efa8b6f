// Which checks speak: every way of going wrong of tests/support/wrong.h, done in every movement, reviewed from points in metres. Prints the
// table of docs/rules.md, and with --list the rows of tests/data/rules_alive.txt: bevel-rule-table [--list] [MOVEMENT].
#include "support/wrong.h"
#include <atomic>
#include <cstdio>
#include <map>
#include <mutex>
#include <set>
#include <thread>

using namespace bevel;

namespace {

struct Shown {
    std::string way, movement;
    double beyond = 0; // how many sigma beyond the band, at most 9
    int others = 0;    // other faults told with it
};
struct Row {
    std::set<std::string> asked; // movements with this check
    std::vector<Shown> told;     // the clearest of each movement
};
std::map<std::pair<std::string, Direction>, Row> rows;
std::map<std::string, int> clean_faults;
std::mutex lock;

void sweep(const Movement& m) {
    const auto clean = test::reviewed(m, test::as_asked(m));
    std::set<std::pair<std::string, Direction>> own;
    if (clean)
        for (const auto& f : clean->findings)
            if (f.verdict == Verdict::outside) own.insert({f.check, f.direction});
    {
        const std::lock_guard guard(lock);
        for (const auto& o : own) ++clean_faults[m.id + " " + o.first];
        for (const auto& c : m.checks) {
            if (c.low) rows[{c.id, Direction::low}].asked.insert(m.id);
            if (c.high) rows[{c.id, Direction::high}].asked.insert(m.id);
            if (!c.low && !c.high) // a student or a school sets it
                for (const Direction d : {Direction::low, Direction::high})
                    if (!(d == Direction::low ? c.cue_low : c.cue_high).empty()) rows[{c.id, d}].asked.insert(m.id);
        }
    }
    std::map<std::pair<std::string, Direction>, Shown> best;
    for (const auto& way : test::wrong_ways(m)) {
        const auto r = test::reviewed(m, way);
        if (!r) continue;
        int all = 0;
        for (const auto& f : r->findings) all += f.verdict == Verdict::outside;
        for (const auto& f : r->findings) {
            if (f.verdict != Verdict::outside || own.contains({f.check, f.direction})) continue;
            const double by = std::min(9.0, std::abs(f.excess()) / std::max(1e-6, f.sigma));
            Shown& t = best[{f.check, f.direction}];
            // A fault that is told with few others shows the rule best.
            if (t.way.empty() || by - 0.3 * all > t.beyond - 0.3 * t.others) t = {way.id, m.id, by, all};
        }
    }
    const std::lock_guard guard(lock);
    for (auto& [key, t] : best) rows[key].told.push_back(t);
}

} // namespace

int main(int argc, char** argv) {
    const bool list = argc > 1 && std::string(argv[1]) == "--list";
    if (list) --argc, ++argv;
    auto movements = load_movements(test::data_dir());
    if (argc > 1) std::erase_if(movements, [&](const Movement& m) { return m.id != argv[1]; });
    std::atomic<std::size_t> next{0};
    auto work = [&] {
        for (std::size_t i; (i = next++) < movements.size();) sweep(movements[i]);
    };
    {
        const std::jthread other(work);
        work();
    }
    for (auto& [key, row] : rows)
        std::sort(row.told.begin(), row.told.end(),
                  [](const Shown& a, const Shown& b) { return a.beyond - 0.3 * a.others > b.beyond - 0.3 * b.others; });
    if (!list)
        std::printf(
            "# Rules and the faults that show them\n\nEvery check of data/rules.json, each end of its band by itself: how many of the "
            "shipped "
            "movements ask for it, in how many of them at least one way of going wrong (tests/support/wrong.h, exact points in metres) "
            "is told by it, the views that can tell its measure, and one such way. tests/test_alive.cpp performs one of each, three of "
            "the safety rules. Made by `./run rules`.\n\n| rule | check | end | asked by | told in | seen from | shown by "
            "|\n|---|---|---|---|---|---|---|\n");
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            for (const Direction d : {Direction::low, Direction::high}) {
                const auto it = rows.find({rc.check.id, d});
                bool asks = it != rows.end();
                for (const auto& [stance, band] : rc.stances) asks = asks || (d == Direction::low ? band.low : band.high).has_value();
                asks = asks || (d == Direction::low ? rc.check.low : rc.check.high).has_value();
                if (!asks) continue;
                const Row empty, &row = it == rows.end() ? empty : it->second;
                const std::string end(direction_name(d));
                if (list) {
                    const std::size_t most = rc.check.severity == Severity::safety ? 3 : 1;
                    for (std::size_t k = 0; k < std::min(most, row.told.size()); ++k)
                        std::printf("%s\t%s\t%s\t%s\n", rc.check.id.c_str(), end.c_str(), row.told[k].movement.c_str(),
                                    row.told[k].way.c_str());
                    if (row.told.empty()) std::printf("# %s\t%s\tin none of %zu\n", rc.check.id.c_str(), end.c_str(), row.asked.size());
                } else {
                    const auto* info = measure_info(rc.check.measure);
                    std::printf("| %s | %s | %s | %zu | %zu | %s | %s |\n", rule.id.c_str(), rc.check.id.c_str(), end.c_str(),
                                row.asked.size(), row.told.size(), info ? info->seen_from.c_str() : "",
                                row.told.empty() ? "**nothing**" : (row.told[0].way + " in " + row.told[0].movement).c_str());
                }
            }
    for (const auto& [what, n] : clean_faults) std::fprintf(stderr, "false without a fault: %s\n", what.c_str());
    return 0;
}
