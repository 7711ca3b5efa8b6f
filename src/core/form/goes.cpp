#include "core/form/goes.h"
#include <algorithm>
#include <set>

namespace bevel {

std::vector<bool> in_order(const std::vector<std::size_t>& done) {
    const std::size_t n = done.size();
    std::vector<double> best(n, 1);
    std::vector<std::size_t> before(n, n);
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t k = 0; k < i; ++k)
            if (done[k] < done[i] && best[k] + 1 > best[i]) best[i] = best[k] + 1, before[i] = k;
    std::vector<bool> on(n, false);
    if (n == 0) return on;
    auto at = static_cast<std::size_t>(std::max_element(best.begin(), best.end()) - best.begin());
    while (at < n) {
        on[at] = true;
        at = before[at];
    }
    return on;
}

std::vector<std::size_t> goes_of(const std::vector<std::size_t>& done) {
    constexpr double worth = 1.5;
    const std::size_t n = done.size();
    std::vector<double> best(n + 1, 0);
    std::vector<std::size_t> from(n + 1, 0);
    for (std::size_t to = 1; to <= n; ++to) {
        best[to] = -1e9;
        for (std::size_t k = 0; k < to; ++k) {
            if (k > 0) {
                const auto before = done.begin() + static_cast<std::ptrdiff_t>(from[k]),
                           here = done.begin() + static_cast<std::ptrdiff_t>(k), end = done.begin() + static_cast<std::ptrdiff_t>(to);
                const std::set<std::size_t> earlier(before, here), now(here, end);
                if (std::count_if(now.begin(), now.end(), [&](std::size_t p) { return earlier.contains(p); }) < 2) continue;
            }
            const auto on = in_order({done.begin() + static_cast<std::ptrdiff_t>(k), done.begin() + static_cast<std::ptrdiff_t>(to)});
            const double value = best[k] - (k > 0 ? worth : 0) + static_cast<double>(std::count(on.begin(), on.end(), true));
            if (value > best[to]) best[to] = value, from[to] = k;
        }
    }
    std::vector<std::size_t> out;
    for (std::size_t at = n; at > 0; at = from[at]) out.insert(out.begin(), from[at]);
    return out;
}

} // namespace bevel
