// Truth to test against: simulated students as tracks of exact or noisy points.
#pragma once
#include "core/review/review.h"
#include "core/sim/take.h"
#include <filesystem>

namespace bevel::test {

inline std::filesystem::path data_dir() {
    return std::filesystem::path(BEVEL_SOURCE_DIR) / "data";
}

inline Movement movement(const std::string& id) {
    auto m = load_movement(data_dir() / "movements" / (id + ".json"));
    return m ? *m : Movement{};
}

/// A movement as it was when the kept takes were drawn; it does not change with the shipped one.
inline Movement kept_movement(const std::string& id, const char* with = "odd") {
    auto m = load_movement(std::filesystem::path(BEVEL_SOURCE_DIR) / "tests/data" / with / "movements" / (id + ".json"));
    return m ? *m : Movement{};
}

/// Metres only.
inline Track room_track(const sim::Take& take) {
    Track t = take.track();
    for (auto& f : t.px) f.reset();
    return t;
}

/// Pixels only, with noise that stays smooth over some frames as a body finder's does, and sigma stated as it is.
inline Track pixel_track(const sim::Take& take, double noise_px, std::uint64_t seed) {
    Track t = take.track();
    Rng rng(seed);
    for (auto& f : t.m) f.reset();
    BodyPx drift{};
    for (auto& f : t.px)
        for (std::size_t p = 0; p < point_count; ++p) {
            drift[p].x = 0.9 * drift[p].x + 0.436 * noise_px * rng.gauss();
            drift[p].y = 0.9 * drift[p].y + 0.436 * noise_px * rng.gauss();
            (*f)[p].x += drift[p].x;
            (*f)[p].y += drift[p].y;
            (*f)[p].sigma = std::max(noise_px, 0.5);
        }
    return t;
}

inline const Finding* find(const Review& r, const std::string& check, std::optional<Side> side = std::nullopt) {
    for (const auto& f : r.findings)
        if (f.check == check && (!side || f.side == side)) return &f;
    return nullptr;
}

} // namespace bevel::test
