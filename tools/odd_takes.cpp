// Measures clips unlike the practice room's from points and prints how well the stated errors hold: bevel-odd-takes [COUNT] [FIRST].
#include "support/odd.h"
#include <cstdio>
#include <cstdlib>
#include <atomic>
#include <mutex>
#include <thread>

using namespace bevel;

int main(int argc, char** argv) {
    const std::uint64_t count = argc > 1 ? std::strtoull(argv[1], nullptr, 10) : 600, first = argc > 2 ? std::strtoull(argv[2], nullptr, 10) : 0;
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
    std::printf("| figure | takes | median error | median sigma | within 1 sigma | within 1.64 sigma | beyond 3.7 sigma |\n|---|---|---|---|---|---|---|\n");
    for (const auto& [id, e] : all) {
        std::vector<test::Error> s = e;
        for (auto& x : s) x.error = x.sigma;
        std::printf("| %s | %zu | %.3g | %.3g | %.0f %% | %.0f %% | %.1f %% |\n", id.c_str(), e.size(), test::median_absolute(e), test::median_absolute(s),
                    100 * test::covered(e, 1), 100 * test::covered(e, 1.64), 100 * (1 - test::covered(e, 3.7)));
    }
    std::printf("\nOf %llu takes %zu were refused.\n", static_cast<unsigned long long>(count), refused.size());
    for (const auto& w : refused) std::fprintf(stderr, "%s\n", w.c_str());
    return 0;
}
