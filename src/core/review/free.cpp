#include "core/review/free.h"
#include <algorithm>
#include <cmath>
#include <cstdio>

namespace bevel {
namespace {

#include "free_json.inc"

/// What may hurt whatever the movement: knees inward, locked or deep, a bend with long knees, a body beyond its base. A side bend with a
/// twist may well be meant, and is a note.
constexpr std::array<const char*, 6> asked{"knee_in", "knee_locked", "knee_depth", "over_base", "soft_in_bend", "no_bend_and_twist"};
constexpr double stretch_least_s = 1.5, stretch_most_s = 10;

} // namespace

const Movement& free_practice() {
    static const Movement free = [] {
        auto m = parse_movement(free_json_text);
        if (!m) {
            std::fprintf(stderr, "free practice: %s\n", m.error().context.c_str()); // the program's own data, held by a test
            return Movement{};
        }
        std::erase_if(m->checks,
                      [](const Check& c) { return std::none_of(asked.begin(), asked.end(), [&](const char* id) { return c.id == id; }); });
        for (auto& c : m->checks) {
            c.phases = {m->phases.front().id};
            if (c.rule == "S5") c.severity = Severity::even;
        }
        return std::move(*m);
    }();
    return free;
}

Alignment quiet_stretches(const Measures& measures, const ReferenceModel& model) {
    Alignment out;
    const auto *left = measures.find("foot.state", Side::left), *right = measures.find("foot.state", Side::right);
    if (!left || !right) return out;
    const auto stands = [](const Sample& s) { return s.present() && s.value < 0.5; };
    const auto& t = measures.time_s;
    const auto& borders = model.of(Side::left).borders;
    const auto add = [&](double from, double to) {
        const int parts = std::max(1, static_cast<int>(std::ceil((to - from) / stretch_most_s)));
        for (int k = 0; k < parts; ++k) {
            Repetition r;
            r.start_s = from + (to - from) * k / parts;
            r.end_s = from + (to - from) * (k + 1) / parts;
            r.phases = {{model.phases.front().id, r.start_s, r.end_s, 0, 0, 0}};
            r.student_s = {r.start_s, r.end_s};
            r.reference_s = {borders[0], borders[1]};
            out.repetitions.push_back(std::move(r));
        }
    };
    for (std::size_t i = 0; i < t.size(); ++i) {
        if (!stands(left->samples[i]) || !stands(right->samples[i])) continue;
        std::size_t e = i;
        while (e + 1 < t.size() && stands(left->samples[e + 1]) && stands(right->samples[e + 1])) ++e;
        if (t[e] - t[i] >= stretch_least_s) add(t[i], t[e]);
        i = e;
    }
    return out;
}

} // namespace bevel
