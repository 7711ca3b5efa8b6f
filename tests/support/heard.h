// What two phones hear in one room: made from one sound, each with its own distance, echoes, level, noise and beginning.
#pragma once
#include "core/practice/tones.h"
#include "core/rng.h"
#include <algorithm>
#include <cmath>
#include <vector>

namespace bevel::test {

inline constexpr double heard_rate = 16000;

/// An hour in a hall, shortened: steps, claps, a door, words that are no words (voiced bursts of changing pitch), all at odd moments.
inline Samples hall(double length_s, std::uint64_t seed) {
    Samples out(static_cast<std::size_t>(length_s * heard_rate), 0.0F);
    Rng r(seed);
    for (double t = 0.2; t < length_s - 0.5;) {
        const auto at = static_cast<std::size_t>(t * heard_rate);
        const double kind = r.uniform(), loud = r.uniform(0.1, 0.6), lasts = kind < 0.5 ? r.uniform(0.01, 0.06) : r.uniform(0.1, 0.35),
                     pitch = r.uniform(110, 320), bright = r.uniform(0.1, 0.9);
        double low = 0;
        for (std::size_t i = 0; i < static_cast<std::size_t>(3 * lasts * heard_rate) && at + i < out.size(); ++i) {
            const double s = static_cast<double>(i) / heard_rate, shape = loud * std::exp(-s / lasts);
            low += bright * (r.gauss() - low); // noise with its treble taken off
            double v = low;
            if (kind >= 0.5) {
                v = 0;
                for (int k = 1; k < 12; ++k) v += std::sin(2 * M_PI * k * pitch * (1 + 0.1 * s) * s) / k * (1 + std::cos(k * bright * 6));
                v *= 0.3 * std::min(1.0, s / 0.02);
            }
            out[at + i] += static_cast<float>(shape * v);
        }
        t += lasts + r.uniform(0.05, 0.9);
    }
    return out;
}

/// As a phone has it that began `from_s` into it: a metre of way is three milliseconds; `noise` over the sound's own level.
inline Samples phone_heard(const Samples& hall, double from_s, double length_s, double way_m, double noise, std::uint64_t seed) {
    Rng r(seed);
    const double late = way_m / 343;
    std::vector<std::pair<double, double>> echoes{{late, 1}};
    for (int k = 0; k < 25; ++k) {
        const double after = r.uniform(0.004, 0.35);
        echoes.emplace_back(late + after, 0.55 * std::exp(-after / 0.12) * (r.uniform() < 0.5 ? -1 : 1));
    }
    Samples out(static_cast<std::size_t>(length_s * heard_rate), 0.0F);
    double power = 0;
    for (std::size_t i = 0; i < out.size(); ++i) {
        double v = 0;
        for (const auto& [after, share] : echoes) {
            const double at = (from_s - after) * heard_rate + static_cast<double>(i);
            if (at >= 0 && at + 1 < static_cast<double>(hall.size())) v += share * hall[static_cast<std::size_t>(at)];
        }
        out[i] = static_cast<float>(v);
        power += v * v;
    }
    const double level = std::sqrt(power / static_cast<double>(std::max<std::size_t>(1, out.size())));
    const double gain = r.uniform(0.05, 1.2), slow = r.uniform(0.05, 0.2);
    double hum = 0;
    for (std::size_t i = 0; i < out.size(); ++i) {
        hum += 0.2 * (r.gauss() - hum);
        // Its level is turned up and down by the phone itself.
        const double turned = gain * (1 + 0.4 * std::sin(2 * M_PI * slow * static_cast<double>(i) / heard_rate + 1));
        out[i] = static_cast<float>(std::clamp(turned * (out[i] + noise * level * 3 * hum), -1.0, 1.0));
    }
    return out;
}

} // namespace bevel::test
