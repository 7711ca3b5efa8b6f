// Own random generator (PCG32, O'Neill 2014), so that equal seeds give equal students on every system.
#pragma once
#include <cmath>
#include <cstdint>

namespace bevel {

class Rng {
public:
    explicit Rng(std::uint64_t seed) : state_(0) {
        next();
        state_ += seed * 0x9E3779B97F4A7C15ULL + 0x853c49e6748fea9bULL;
        next();
    }
    std::uint32_t next() {
        const std::uint64_t old = state_;
        state_ = old * 6364136223846793005ULL + 1442695040888963407ULL;
        const auto xorshifted = static_cast<std::uint32_t>(((old >> 18U) ^ old) >> 27U);
        const auto rot = static_cast<std::uint32_t>(old >> 59U);
        return (xorshifted >> rot) | (xorshifted << ((32U - rot) & 31U));
    }
    /// Uniform in [0, 1).
    double uniform() { return next() / 4294967296.0; }
    double uniform(double lo, double hi) { return lo + (hi - lo) * uniform(); }
    /// Standard normal (Box-Muller, one value a call).
    double gauss() {
        const double u = 1.0 - uniform();
        const double v = uniform();
        return std::sqrt(-2.0 * std::log(u)) * std::cos(6.283185307179586 * v);
    }

private:
    std::uint64_t state_;
};

} // namespace bevel
