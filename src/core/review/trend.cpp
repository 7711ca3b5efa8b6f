#include "core/review/trend.h"
#include "core/review/free.h"
#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstdio>

namespace bevel {

double day_number(const std::string& iso) {
    int y = 0;
    unsigned m = 0, d = 0;
    if (std::sscanf(iso.c_str(), "%d-%u-%u", &y, &m, &d) != 3) return 0;
    const std::chrono::year_month_day date{std::chrono::year(y), std::chrono::month(m), std::chrono::day(d)};
    return date.ok() ? static_cast<double>(std::chrono::sys_days(date).time_since_epoch().count()) : 0;
}

namespace {

/// z with this much of a standard normal above it.
double normal_above(double tail) {
    double low = 0, high = 12;
    for (int i = 0; i < 60; ++i) {
        const double z = 0.5 * (low + high);
        (0.5 * std::erfc(z / std::sqrt(2.0)) > tail ? low : high) = z;
    }
    return 0.5 * (low + high);
}

bool same_end(const std::optional<double>& a, const std::optional<double>& b) {
    return a.has_value() == b.has_value() && (!a || std::abs(*a - *b) < 1e-6);
}

double beyond(double v, const KeptFigure& f) {
    if (f.low && v < *f.low) return *f.low - v;
    return f.high && v > *f.high ? v - *f.high : 0;
}

} // namespace

std::vector<KeptFigure> figures_of(const Review& r) {
    // Of another movement; or of practice that is another thing each time, whose figures make no line.
    if (!r.held_back.empty() || r.movement.id == free_id) return {};
    return figures_of(r.summaries, r.movement, r.motion.view);
}

std::vector<KeptFigure> figures_of(const Summaries& summaries, const Movement& movement, View view) {
    std::vector<KeptFigure> out;
    for (const auto& v : summaries.values) {
        std::vector<const RepetitionValue*> told;
        for (const auto& x : v.repetitions)
            if (x.absent == Absent::none && x.whole == Absent::none && std::isfinite(x.value)) told.push_back(&x);
        if (told.empty() || v.check >= movement.checks.size()) continue;
        const Check& c = movement.checks[v.check];
        const auto all = combine(told);
        KeptFigure f;
        f.view = view_name(view);
        f.movement = movement.id;
        f.version = movement.version;
        f.check = c.id;
        f.measure = c.measure;
        f.unit = v.check < summaries.units.size() ? summaries.units[v.check] : "";
        f.side = v.side ? std::string(side_name(*v.side)) : "";
        f.value = all.value, f.own = all.own, f.of_clip = all.clip, f.person = all.person;
        f.low = c.low, f.high = c.high;
        f.matters = c.matters;
        f.judged = static_cast<int>(told.size());
        f.reference = c.reference;
        out.push_back(std::move(f));
    }
    return out;
}

std::vector<std::vector<std::size_t>> lines_of(std::span<const KeptFigure> points) {
    std::vector<std::vector<std::size_t>> out;
    for (std::size_t i = 0; i < points.size(); ++i) {
        // A clip from another side or of another graded version begins a line of its own, and a later one from the same side goes on with
        // the earlier.
        auto same = std::find_if(out.rbegin(), out.rend(), [&](const std::vector<std::size_t>& line) {
            const KeptFigure& p = points[line.back()];
            return p.view == points[i].view && p.version == points[i].version;
        });
        if (same != out.rend() && same_end(points[same->back()].low, points[i].low) && same_end(points[same->back()].high, points[i].high))
            same->push_back(i);
        else
            out.push_back({i});
    }
    return out;
}

double day_variance(std::span<const KeptFigure> points) {
    const double prior_days = 4;
    double prior = 0;
    // What is worth a remark is somewhat more than ordinary days differ by. Who differs by nearly as much still hears a false "better" in
    // fewer than 2.5 % of letters (tests/test_trend.cpp).
    for (const auto& p : points) prior = std::max(prior, 0.75 * p.matters);
    if (prior == 0 && !points.empty()) {
        const auto& p = points.back();
        prior = p.low && p.high ? 0.19 * (*p.high - *p.low) : 0.075 * std::abs(p.value);
    }
    double sum = prior_days * prior * prior, days = prior_days;
    for (const auto& line : lines_of(points)) {
        if (line.size() < 3) continue;
        // About its own straight line; what the clips' errors explain is not the day's.
        double n = 0, t = 0, y = 0, tt = 0, ty = 0, errors = 0;
        for (const auto i : line) {
            const auto& p = points[i];
            const double x = day_number(p.day);
            n += 1, t += x, y += p.value, tt += x * x, ty += x * p.value;
            errors += p.own * p.own + p.of_clip * p.of_clip;
        }
        const double across = tt - t * t / n, slope = across > 0 ? (ty - t * y / n) / across : 0;
        double squares = 0;
        for (const auto i : line) {
            const double r = points[i].value - y / n - slope * (day_number(points[i].day) - t / n);
            squares += r * r;
        }
        const double free = n - (across > 0 ? 2 : 1);
        sum += std::max(0.0, squares - free * errors / n);
        days += free;
    }
    return sum / days;
}

ChangeOfFigure change_between(const KeptFigure& a, const KeptFigure& b, double day, int compared) {
    ChangeOfFigure c;
    c.value = b.value - a.value;
    c.sigma = std::sqrt(a.own * a.own + b.own * b.own + a.of_clip * a.of_clip + b.of_clip * b.of_clip + 2 * day);
    c.detectable = normal_above(0.025 / std::max(1, compared)) * c.sigma;
    // By the band that is in force now.
    const double before = beyond(a.value, b), after = beyond(b.value, b);
    if (std::abs(c.value) > c.detectable) c.turn = after < before ? Turn::better : after > before ? Turn::worse : Turn::none;
    return c;
}

std::vector<FigureTrend> trends_of(std::vector<KeptFigure> all) {
    std::stable_sort(all.begin(), all.end(), [](const KeptFigure& a, const KeptFigure& b) {
        return std::tuple(a.key(), a.day, a.clip) < std::tuple(b.key(), b.day, b.clip);
    });
    std::vector<FigureTrend> out;
    for (auto& f : all) {
        if (out.empty() || out.back().points.front().key() != f.key()) out.emplace_back();
        out.back().points.push_back(std::move(f));
    }
    int compared = 0;
    const auto newest = [](const FigureTrend& t) -> const std::vector<std::size_t>& {
        // The line the last clip is in.
        return *std::find_if(t.lines.begin(), t.lines.end(),
                             [&](const std::vector<std::size_t>& l) { return l.back() == t.points.size() - 1; });
    };
    for (auto& t : out) {
        t.lines = lines_of(t.points);
        compared += newest(t).size() > 1 ? 1 : 0;
    }
    for (auto& t : out) {
        const auto& line = newest(t);
        if (line.size() < 2) continue;
        // From the days before: a change that has just come is not the days' own spread.
        const double day = day_variance(std::span(t.points).first(t.points.size() - 1));
        t.last = change_between(t.points[line[line.size() - 2]], t.points[line.back()], day, compared);
        t.since_first = change_between(t.points[line.front()], t.points[line.back()], day, compared);
    }
    return out;
}

std::vector<Asymmetry> asymmetries(const std::vector<FigureTrend>& trends) {
    std::vector<std::pair<Asymmetry, double>> compared; // with what matters
    for (const auto& l : trends) {
        if (l.points.empty() || l.points.back().side != "left") continue;
        const auto& a = l.points.back();
        for (const auto& r : trends) {
            if (r.points.empty()) continue;
            const auto& b = r.points.back();
            if (b.side != "right" || b.clip != a.clip || b.check != a.check || b.movement != a.movement) continue;
            compared.push_back({{a.movement, a.check, a.measure, a.unit, a.day, a.view, a.value, b.value,
                                 std::sqrt(a.own * a.own + a.of_clip * a.of_clip + b.own * b.own + b.of_clip * b.of_clip)},
                                std::max(a.matters, b.matters)});
        }
    }
    const double z = normal_above(0.0125 / static_cast<double>(std::max<std::size_t>(1, compared.size()))); // both directions
    std::vector<Asymmetry> out;
    for (const auto& [one, matters] : compared)
        if (const double d = std::abs(one.left - one.right); d > matters && d > z * one.sigma) out.push_back(one);
    std::stable_sort(out.begin(), out.end(), [](const Asymmetry& a, const Asymmetry& b) {
        return std::abs(a.left - a.right) * b.sigma > std::abs(b.left - b.right) * a.sigma;
    });
    return out;
}

} // namespace bevel
