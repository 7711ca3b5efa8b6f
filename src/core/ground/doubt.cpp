#include "core/ground/doubt.h"
#include "core/ground/derive.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <set>

namespace bevel {
namespace {

constexpr std::array<Point, 8> watched{left_ankle, right_ankle, left_knee, right_knee, left_hip, right_hip, left_shoulder, right_shoulder};

class Looker {
public:
    explicit Looker(const Track& raw) : t_(with_layers(raw)), raw_(raw), height_(body_height_px(t_)) {
        for (const auto& e : raw.layers.edits) mended_.insert({e.frame, raw.layers.mirrored ? mirrored(e.point) : e.point});
    }

    std::vector<Doubt> run() {
        const auto n = t_.frames();
        // Left out by the stretch that counts: not doubted.
        std::vector<bool> counts(n, true);
        const auto& l = raw_.layers;
        for (std::size_t i = 0; i < n; ++i)
            counts[i] = !(l.trim_from_s && t_.time_s[i] < *l.trim_from_s) && !(l.trim_to_s && t_.time_s[i] >= *l.trim_to_s);
        collect(
            DoubtKind::lost, std::nullopt, [&](std::size_t i) { return counts[i] && !t_.px[i]; }, 1);
        if (height_ <= 0) return out_;
        for (const Point p : watched) {
            std::vector<bool> bad(n, false);
            for (std::size_t i = 0; i < n; ++i) bad[i] = counts[i] && t_.px[i] && !mended(i, p) && (*t_.px[i])[p].visibility < 0.5;
            // Looks that come and go are one stretch; a blink is none.
            bridge(bad, true, 0.5);
            bridge(bad, false, 0.5);
            collect(
                DoubtKind::unsure, p, [&](std::size_t i) { return bad[i]; }, 1);
        }
        swaps(counts);
        jumps(counts);
        bones(counts);
        slides(counts);
        std::stable_sort(out_.begin(), out_.end(), [](const Doubt& a, const Doubt& b) { return a.to - a.from > b.to - b.from; });
        return out_;
    }

private:
    bool mended(std::size_t i, Point p) const { return mended_.count({static_cast<std::uint32_t>(i), p}) > 0; }

    template <class F> void collect(DoubtKind kind, std::optional<Point> p, F bad, std::size_t least) {
        const auto n = t_.frames();
        for (std::size_t i = 0; i < n; ++i) {
            if (!bad(i)) continue;
            std::size_t k = i;
            while (k < n && bad(k)) ++k;
            if (k - i >= least) out_.push_back({kind, p, static_cast<std::uint32_t>(i), static_cast<std::uint32_t>(k)});
            i = k;
        }
    }

    /// Runs of the other kind that are shorter than `least_s` become `on`.
    void bridge(std::vector<bool>& all, bool on, double least_s) const {
        for (std::size_t i = 0; i < all.size(); ++i) {
            if (all[i] == on) continue;
            std::size_t k = i;
            while (k < all.size() && all[k] != on) ++k;
            const bool inside = !on || (i > 0 && k < all.size());
            if (inside && t_.time_s[k - 1] - t_.time_s[i] < least_s)
                std::fill(all.begin() + static_cast<std::ptrdiff_t>(i), all.begin() + static_cast<std::ptrdiff_t>(k), on);
            i = k;
        }
    }

    /// From one frame to the next the legs changed places: doubted until they change back, or for a second.
    void swaps(const std::vector<bool>& counts) {
        std::vector<std::uint32_t> at_frames;
        for (std::size_t i = 1; i < t_.frames(); ++i) {
            if (!counts[i] || !t_.px[i] || !t_.px[i - 1] || t_.time_s[i] - t_.time_s[i - 1] > 0.2) continue;
            const BodyPx &a = *t_.px[i - 1], &b = *t_.px[i];
            bool all = true;
            for (const Point p : {left_ankle, left_knee}) {
                const Point q = mirrored(p);
                const double stay = (at(b, p) - at(a, p)).norm() + (at(b, q) - at(a, q)).norm(),
                             swap = (at(b, p) - at(a, q)).norm() + (at(b, q) - at(a, p)).norm();
                all = all && stay > swap + 0.05 * height_;
            }
            if (all) at_frames.push_back(static_cast<std::uint32_t>(i));
        }
        for (std::size_t k = 0; k < at_frames.size(); k += 2) {
            const std::uint32_t from = at_frames[k];
            std::uint32_t to = k + 1 < at_frames.size() ? at_frames[k + 1] : static_cast<std::uint32_t>(t_.frames());
            out_.push_back({DoubtKind::swapped, std::nullopt, from, to});
        }
    }

    void jumps(const std::vector<bool>& counts) {
        for (int k = 0; k < point_count; ++k) {
            const auto p = static_cast<Point>(k);
            std::size_t a = 0, b = 0;
            const auto n = t_.frames();
            std::vector<bool> bad(n, false);
            for (std::size_t i = 0; i < n; ++i) {
                while (t_.time_s[a] < t_.time_s[i] - 0.1) ++a;
                while (b + 1 < n && t_.time_s[b] < t_.time_s[i] + 0.1) ++b;
                if (!counts[i] || !t_.px[i] || !t_.px[a] || !t_.px[b] || a >= i || b <= i || mended(i, p)) continue;
                const double share = (t_.time_s[i] - t_.time_s[a]) / (t_.time_s[b] - t_.time_s[a]);
                const Vec2 before = at(*t_.px[a], p), after = at(*t_.px[b], p), way = before + share * (after - before);
                const Point base = p == nose || p < right_eye ? p : mirrored(p);
                const bool small = base < left_shoulder || base == left_thumb || base == left_index || base == left_little;
                bad[i] = !small && (at(*t_.px[i], p) - way).norm() > 0.06 * height_ && (after - before).norm() < 0.06 * height_;
            }
            collect(
                DoubtKind::jump, p, [&](std::size_t i) { return bad[i]; }, 1);
        }
    }

    void bones(const std::vector<bool>& counts) {
        for (const Side s : {Side::left, Side::right})
            for (const auto& [from, to] : {std::pair{left_hip, left_knee}, {left_knee, left_ankle}, {left_shoulder, left_elbow}}) {
                const Point a = on(s, from), b = on(s, to);
                signal::Series length;
                for (const auto& f : t_.px)
                    if (f) length.push_back((at(*f, a) - at(*f, b)).norm());
                if (length.size() < 10) continue;
                const double usual = signal::quantile(length, 0.95);
                collect(
                    DoubtKind::bone, b,
                    [&](std::size_t i) {
                        if (!counts[i] || !t_.px[i] || mended(i, a) || mended(i, b)) return false;
                        const double now = (at(*t_.px[i], a) - at(*t_.px[i], b)).norm();
                        return now > 1.18 * usual && now > usual + 0.03 * height_;
                    },
                    2);
            }
    }

    void slides(const std::vector<bool>& counts) {
        const auto n = t_.frames();
        for (const Side s : {Side::left, Side::right}) {
            std::vector<bool> slow(n, false);
            std::size_t a = 0, b = 0;
            for (std::size_t i = 0; i < n; ++i) {
                while (t_.time_s[a] < t_.time_s[i] - 0.15) ++a;
                while (b + 1 < n && t_.time_s[b] < t_.time_s[i] + 0.15) ++b;
                if (!counts[i] || !t_.px[i] || !t_.px[a] || !t_.px[b] || b <= a) continue;
                const double dt = t_.time_s[b] - t_.time_s[a];
                auto speed = [&](Point p) { return (at(*t_.px[b], on(s, p)) - at(*t_.px[a], on(s, p))).norm() / height_ / dt; };
                const Vec2 ankle = at(*t_.px[b], on(s, left_ankle)) - at(*t_.px[a], on(s, left_ankle)),
                           heel = at(*t_.px[b], on(s, left_heel)) - at(*t_.px[a], on(s, left_heel)),
                           toe = at(*t_.px[b], on(s, left_toe)) - at(*t_.px[a], on(s, left_toe));
                // The whole foot as one piece, along the floor and not up from it.
                const bool together = (ankle - heel).norm() < 0.3 * ankle.norm() && (ankle - toe).norm() < 0.3 * ankle.norm();
                slow[i] =
                    speed(left_ankle) > 0.05 && speed(left_ankle) < 0.35 && together && std::abs(ankle.y()) < 0.15 * std::abs(ankle.x());
            }
            bridge(slow, false, 0.4);
            collect(
                DoubtKind::sliding, on(s, left_ankle), [&](std::size_t i) { return slow[i]; }, 1);
        }
    }

    Track t_;
    const Track& raw_;
    double height_;
    std::set<std::pair<std::uint32_t, Point>> mended_;
    std::vector<Doubt> out_;
};

} // namespace

std::string_view doubt_name(DoubtKind k) {
    constexpr std::array<std::string_view, 6> n{"lost", "unsure", "swapped", "jump", "bone", "sliding"};
    return n[static_cast<std::size_t>(k)];
}

std::vector<Doubt> doubts_of(const Track& track) {
    return Looker(track).run();
}

} // namespace bevel
