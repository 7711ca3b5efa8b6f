#include "core/fit/stretches.h"
#include <algorithm>
#include <iterator>

namespace bevel::fit {

std::pair<double, double> in_common(std::span<const FitShot> shots) {
    double from = -1e18, to = 1e18;
    for (const auto& s : shots)
        if (!s.track.time_s.empty())
            from = std::max(from, s.track.time_s.front() + s.offset_s), to = std::min(to, s.track.time_s.back() + s.offset_s);
    return {from, to};
}

std::pair<double, double> stretch_of(std::span<const FitShot> shots) {
    constexpr double beyond_s = 3;
    const auto [from, to] = in_common(shots);
    if (!(from <= to)) return {from, to};
    const auto& t = shots[0].track.time_s;
    return {std::max(from - beyond_s, t.front()), std::min(to + beyond_s, t.back())};
}

void join(FittedBody& whole, FittedBody part) {
    if (whole.time_s.empty()) {
        whole = std::move(part);
        return;
    }
    const double change = 0.5 * (whole.time_s.back() + part.time_s.front());
    const auto keep = static_cast<std::size_t>(std::lower_bound(whole.time_s.begin(), whole.time_s.end(), change) - whole.time_s.begin()),
               from = static_cast<std::size_t>(
                   std::lower_bound(part.time_s.begin(), part.time_s.end(), keep > 0 ? whole.time_s[keep - 1] + 1e-6 : change) -
                   part.time_s.begin());
    const auto add = [&](auto& to, auto& what) {
        to.resize(keep);
        to.insert(to.end(), std::make_move_iterator(what.begin() + static_cast<std::ptrdiff_t>(from)), std::make_move_iterator(what.end()));
    };
    add(whole.m, part.m), add(whole.own, part.own);
    for (std::size_t f = 0; f < whole.factors.size(); ++f) add(whole.factors[f].moved, part.factors[f].moved);
    add(whole.time_s, part.time_s);
    whole.misfit = std::max(whole.misfit, part.misfit);
    whole.worst = std::max(whole.worst, part.worst);
    whole.rounds += part.rounds;
}

} // namespace bevel::fit
