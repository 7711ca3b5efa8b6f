// What is told of all repetitions together: how even, how alike on both sides, how they grow and die away.
#include "core/judge/summariser.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel::summing {

double Summariser::ends_variance(const Repetition& r, const std::vector<std::string>& phases) const {
    const auto counts = [&](const PhaseSpan& p) {
        return phases.empty() ? !ref_.phases[p.index].rests : std::find(phases.begin(), phases.end(), p.id) != phases.end();
    };
    double sum = 0;
    for (std::size_t k = 0; k < r.phases.size(); ++k) {
        if (!counts(r.phases[k])) continue;
        if (k == 0 || !counts(r.phases[k - 1])) sum += r.phases[k].start_sigma_s * r.phases[k].start_sigma_s;
        if (k + 1 == r.phases.size() || !counts(r.phases[k + 1])) sum += r.phases[k].end_sigma_s * r.phases[k].end_sigma_s;
    }
    return sum;
}

RepetitionValue Summariser::spread(const Check& c) const {
    RepetitionValue v;
    v.absent = Absent::no_event;
    const auto& borders = ref_.of(Side::left).borders;
    double held = 0;
    for (std::size_t p = 0; p < ref_.phases.size(); ++p)
        if (ref_.phases[p].rests) held += borders[p + 1] - borders[p];
    if (c.phases.empty() && 2 * held > borders.back() - borders.front()) {
        v.absent = Absent::no_occasion; // mostly a hold: there is no pace to speak of
        return v;
    }
    std::vector<double> d;
    std::vector<std::size_t> which;
    double error = 0; // variance of a duration by the errors of its ends
    for (std::size_t k = 0; k < al_.repetitions.size(); ++k) {
        if (al_.repetitions[k].cut) continue;
        double sum = 0;
        for (const auto& w : windows(c.phases, al_.repetitions[k])) {
            // A hold lasts as long as it lasts, and a halt is told by itself: neither is the pace of a repetition.
            if (c.phases.empty() && ref_.phases[w.phase].rests) continue;
            sum += w.to - w.from;
            for (const auto& stop : c.phases.empty() ? al_.repetitions[k].stops : std::vector<Stop>{})
                sum -= std::max(0.0, std::min(w.to, stop.to_s) - std::max(w.from, stop.from_s));
        }
        d.push_back(sum);
        which.push_back(k);
        error += ends_variance(al_.repetitions[k], c.phases);
    }
    if (d.size() < 3) return v;
    error /= static_cast<double>(d.size());
    double mean = 0, var = 0;
    for (const double x : d) mean += x / static_cast<double>(d.size());
    for (const double x : d) var += (x - mean) * (x - mean) / static_cast<double>(d.size() - 1);
    v.value = 100 * std::sqrt(std::max(0.0, var - error)) / mean; // what the ends' own errors spread is not the student's
    v.own = 100 * std::sqrt(error) / mean;
    const auto worst =
        std::max_element(d.begin(), d.end(), [&](double a, double b) { return std::abs(a - mean) < std::abs(b - mean); }) - d.begin();
    const std::size_t k = which[static_cast<std::size_t>(worst)];
    v.repetition = static_cast<int>(k);
    v.time_s = al_.repetitions[k].start_s;
    v.absent = Absent::none;
    return v;
}

double Summariser::begins(Side side) const {
    for (const auto& rep : al_.repetitions)
        if (rep.side == side) return rep.start_s;
    return al_.repetitions.empty() ? 0 : al_.repetitions.front().start_s;
}

RepetitionValue Summariser::same(const Check& how) const {
    if (how.counts == "ramp") return ramp();
    RepetitionValue v;
    v.absent = Absent::no_event;
    std::array<std::vector<double>, 2> range;
    std::array<double, 2> error{0, 0};
    for (const auto& rep : al_.repetitions) {
        if (rep.cut) continue;
        if (!rep.side) {
            v.absent = ref_.symmetric ? Absent::no_occasion : Absent::alike;
            return v;
        }
        const auto side = static_cast<std::size_t>(*rep.side);
        if (how.counts == "repetitions") {
            range[side].push_back(1);
            continue;
        }
        const auto* all = samples(ms_, how.measure, how.side, std::nullopt, *rep.side);
        if (!all) return v;
        std::vector<double> x;
        for (std::size_t f = frame(rep.start_s); f < all->size() && ms_.time_s[f] < rep.end_s; ++f)
            if ((*all)[f].present()) x.push_back((*all)[f].value), error[side] = std::max(error[side], static_cast<double>((*all)[f].own));
        if (x.size() < 10) continue;
        range[side].push_back(signal::quantile(x, 0.97) - signal::quantile(x, 0.03));
    }
    if (how.counts == "repetitions") {
        v.value = std::abs(static_cast<double>(range[0].size()) - static_cast<double>(range[1].size()));
        v.time_s = begins(range[0].size() < range[1].size() ? Side::left : Side::right);
        v.absent = Absent::none;
        return v;
    }
    if (range[0].size() < 2 || range[1].size() < 2) return v;
    const double l = signal::median(range[0]), r = signal::median(range[1]), larger = std::max(l, r);
    if (larger < 1e-6) return v;
    v.value = 100 * std::abs(l - r) / larger;
    v.time_s = begins(l < r ? Side::left : Side::right);
    double sum = 0;
    for (std::size_t s = 0; s < 2; ++s) {
        double var = 0;
        const double m = s == 0 ? l : r;
        for (const double x : range[s]) var += (x - m) * (x - m);
        var /= static_cast<double>(range[s].size() - 1);
        sum += (var + 2 * error[s] * error[s]) / static_cast<double>(range[s].size());
    }
    v.own = 100 * std::sqrt(sum) / larger;
    v.absent = Absent::none;
    return v;
}

RepetitionValue Summariser::ramp() const {
    RepetitionValue v;
    v.absent = Absent::no_event;
    // Each side by itself: one that swings less far than the other is no break. Sides that look alike are one row.
    std::map<int, std::vector<std::pair<double, double>>> rows; // size and beginning of each swing, by side
    double error = 0, n = 0;
    for (const auto& rep : al_.repetitions) {
        if (rep.cut) continue;
        const auto* all = samples(ms_, mv_.feature, "", std::nullopt, rep.reference_side());
        if (!all) return v;
        std::vector<double> x;
        for (std::size_t f = frame(rep.start_s); f < all->size() && ms_.time_s[f] < rep.end_s; ++f) {
            if ((*all)[f].present())
                x.push_back((*all)[f].value), error += (*all)[f].own, n += 1;
            else
                v.absent = (*all)[f].absent;
        }
        if (x.size() < 10) continue;
        rows[rep.side ? static_cast<int>(*rep.side) : -1].emplace_back(signal::quantile(x, 0.97) - signal::quantile(x, 0.03), rep.start_s);
    }
    for (const auto& [side, row] : rows) {
        if (row.size() < 3) continue;
        const double largest = std::max_element(row.begin(), row.end())->first;
        if (largest < 1e-6) continue;
        std::vector<double> after(row.size()); // the largest from here on
        for (std::size_t k = row.size(); k-- > 0;) after[k] = std::max(row[k].first, k + 1 < row.size() ? after[k + 1] : 0);
        if (v.absent != Absent::none) v.time_s = row.front().second;
        v.absent = Absent::none;
        double before = 0;
        for (std::size_t k = 0; k < row.size(); ++k) {
            const double dip = 100 * (std::min(before, after[k]) - row[k].first) / largest;
            if (dip > v.value) v.value = dip, v.time_s = row[k].second;
            before = std::max(before, row[k].first);
        }
        v.own = std::max(v.own, 100 * 2 * error / std::max(1.0, n) / largest); // of two ends, of two swings
    }
    return v;
}

} // namespace bevel::summing
