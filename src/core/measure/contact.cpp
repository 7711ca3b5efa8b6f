#include "core/measure/contact.h"
#include "core/body/dims.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <cstdint>

namespace bevel {
namespace {

using signal::Series;

constexpr std::size_t kinds = 4;         // Contact: flat, heel, toe, off
using Looks = std::array<double, kinds>; // log likelihood of each contact on a frame
constexpr double nothing = -1e9;

double normal(double x, double sigma) { // log of the density
    return -0.5 * (x / sigma) * (x / sigma) - std::log(sigma * 2.5066282746);
}
double normal2(double r, double sigma) { // of a place on the plane at distance r
    return -0.5 * (r / sigma) * (r / sigma) - std::log(sigma * sigma * 6.283185307);
}
/// Log density of a height that is lifted: half a normal law of this scale, blurred by the error of the height.
double lifted(double h, double scale, double sigma) {
    const double s = std::hypot(scale, sigma), slope = h * scale / (sigma * s);
    return normal(h, s) + std::log(std::max(1e-12, std::erfc(-slope / 1.41421356)));
}

/// Points in metres: heights over the floor.
std::vector<Looks> looks_by_height(const Motion& m, Side s, const FootModel& k) {
    std::vector<Looks> out(m.frames(), Looks{});
    const double sigma = std::hypot(k.floor_m, m.jitter);
    for (std::size_t f = 0; f < m.frames(); ++f) {
        if (!m.valid[f]) continue;
        const double heel = m.m[f][index_of(on(s, left_heel))].y(), toe = m.m[f][index_of(on(s, left_toe))].y();
        const double heel_on = normal(std::max(0.0, heel), sigma), toe_on = normal(std::max(0.0, toe), sigma);
        const double heel_up = lifted(heel, k.raised_m, sigma), toe_up = lifted(toe, k.raised_m, sigma);
        out[f] = {heel_on + toe_on, heel_on + toe_up, heel_up + toe_on, heel_up + toe_up};
    }
    return out;
}

/// A stretch of frames in which a foot rests, with the place where heel and toe rest on the picture.
struct Rest {
    std::size_t from, to; // half-open
    Vec2 heel, toe;
    Vec2 middle() const { return 0.5 * (heel + toe); }
    double tilt() const { return toe.y() - heel.y(); }
    std::size_t length() const { return to - from; }
};

/// One foot seen by one camera: where it rests, and what each frame says of its contact.
class SeenFoot {
public:
    SeenFoot(const Motion& m, Side s, const FootModel& k) : m_(m), k_(k), side_(s), heel_(s == Side::left ? 0 : 2), toe_(heel_ + 1) {
        find_rests();
        spreads();
    }

    /// Rests that carry nothing and stand above where the foot came from and where it goes are held in the air. From the side a share
    /// that is not known, of feet beside one another on the picture, does not speak for the foot; from the front it must be empty for
    /// certain, since a step back stands higher on the picture too.
    void drop_held(const Series& load) {
        std::vector<Rest> kept;
        for (std::size_t r = 0; r < rests_.size(); ++r) {
            Series carried;
            for (std::size_t f = rests_[r].from; f < rests_[r].to; ++f) carried.push_back(load[f]);
            const double share = signal::median(carried);
            bool above = r > 0 && r + 1 < rests_.size();
            for (const std::size_t q : {r - 1, r + 1})
                if (q < rests_.size() && rests_[r].middle().y() < rests_[q].middle().y() + 3 * middle_) above = false;
            if (!(above && (share < k_.load || (m_.has_z && !std::isfinite(share))))) kept.push_back(rests_[r]);
        }
        rests_ = std::move(kept);
    }

    std::vector<Looks> looks() const {
        std::vector<Looks> out(m_.frames(), Looks{});
        const double area = 3.14159265 * k_.step_m * k_.step_m;
        std::size_t next = 0;
        for (std::size_t f = 0; f < m_.frames(); ++f) {
            while (next < rests_.size() && rests_[next].to <= f) ++next;
            if (!m_.valid[f]) continue;
            const double middle = std::hypot(middle_, sigma(f)), tilted = std::hypot(tilt_, 2 * sigma(f));
            Looks best{nothing, nothing, nothing, normal(0, 1)};
            for (const std::size_t r : {next, next - 1}) {
                if (r >= rests_.size()) continue;
                const double level = flat_level(rests_[r]), tilt = at(f, toe_).y() - at(f, heel_).y() - level;
                // The place of the rest as if it were flat: half of what it is tilted by is taken off its middle.
                Vec2 place = rests_[r].middle();
                place.y() -= 0.5 * std::abs(rests_[r].tilt() - level);
                auto from_place = [&](double lift) { return (0.5 * (at(f, heel_) + at(f, toe_)) - Vec2(0, 0.5 * lift) - place).norm(); };
                const double up = lifted(tilt, k_.raised_m, tilted), down = lifted(-tilt, k_.raised_m, tilted);
                best[0] = std::max(best[0], normal2(from_place(0), middle) + normal(tilt, tilted));
                best[1] = std::max(best[1], normal2(from_place(std::max(0.0, tilt)), middle) + up);
                best[2] = std::max(best[2], normal2(from_place(std::max(0.0, -tilt)), middle) + down);
                best[3] = -std::log(area) + normal(tilt, std::hypot(k_.raised_m, tilted));
            }
            // While it rests every frame shows the same: after half a second its tilt tells no more, until half a second before it ends.
            if (next < rests_.size() && f >= rests_[next].from) {
                const double begun = m_.time_s[f] - m_.time_s[rests_[alike(next, -1)].from],
                             ends = m_.time_s[rests_[alike(next, 1)].to - 1] - m_.time_s[f], half = 0.5 * k_.change_s;
                const double fresh = std::min(1.0, std::exp(-begun / half) + std::exp(-ends / half));
                for (const std::size_t k : {1, 2}) best[k] = best[0] + fresh * (best[k] - best[0]);
            }
            out[f] = best;
        }
        return out;
    }

    /// The model tells that a foot became flat or left the floor, and about when; the course of its tilt tells the moment: when all but a
    /// little of the way to, or from, where it settles is gone.
    void place_moments(std::vector<Contact>& c) const {
        const auto n = c.size();
        for (std::size_t f = 1; f < n; ++f) {
            const bool lands = c[f] == Contact::flat && c[f - 1] != Contact::flat,
                       leaves = c[f] != Contact::flat && c[f - 1] == Contact::flat;
            if (!lands && !leaves) continue;
            const std::ptrdiff_t into = lands ? 1 : -1; // towards where it lies flat
            const std::size_t flat_at = lands ? f : f - 1;
            f = std::max(f, move_moment(c, flat_at, into));
        }
    }

    /// Of the moment of the change that comes with frame f, where a tilt placed it: what the tilt wanders by, over its speed.
    std::optional<double> tilt_sigma(const std::vector<Contact>& c, std::size_t f) const {
        const bool lands = c[f] == Contact::flat;
        if (!lands && c[f - 1] != Contact::flat) return std::nullopt;
        const auto inside = along(c, lands ? f : f - 1, lands ? 1 : -1, 0.5 * k_.change_s, true),
                   outside = along(c, lands ? f - 1 : f, lands ? -1 : 1, 0.5 * k_.change_s, false);
        if (inside.size() < 3 || outside.size() < 3) return std::nullopt;
        Series level;
        for (const auto q : inside) level.push_back(tilt(q));
        // The level is told from as many looks as its stretch has independent ones.
        const double looks = 1 + std::abs(m_.time_s[inside.back()] - m_.time_s[inside.front()]) / k_.together_s;
        const double flat = signal::median(level), spread = std::hypot(tilt_, 2 * sigma(f) * std::sqrt(1 + 1 / looks));
        double most = 0, last = 0;
        for (const auto q : outside)
            if (std::abs(tilt(q) - flat) > most) most = std::abs(tilt(q) - flat), last = m_.time_s[q];
        if (most < 2 * spread) return std::nullopt;
        return spread * std::abs(m_.time_s[f] - last) / most;
    }

    /// Of the place of the foot at a frame, one sigma from frame to frame.
    double sigma(std::size_t f) const {
        return 0.5 * std::hypot(m_.sigma[f][index_of(on(side_, left_heel))].across, m_.sigma[f][index_of(on(side_, left_toe))].across);
    }
    Vec2 middle_of(std::size_t f) const { return 0.5 * (at(f, heel_) + at(f, toe_)); }

private:
    const Vec2& at(std::size_t f, std::size_t k) const { return m_.foot_place[f][k]; }

    /// The last rest before (-1) or after (1) this one, without a break, at the same place and tilt.
    std::size_t alike(std::size_t r, int step) const {
        for (std::size_t q = r + static_cast<std::size_t>(step); q < rests_.size(); q += static_cast<std::size_t>(step)) {
            if ((rests_[q].middle() - rests_[r].middle()).norm() > 3 * middle_ || std::abs(rests_[q].tilt() - rests_[r].tilt()) > 2 * tilt_)
                break;
            r = q;
        }
        return r;
    }

    double tilt(std::size_t f) const { return at(f, toe_).y() - at(f, heel_).y(); }

    /// Frames from `f` in steps of `step` that keep the contact of `f`, at most `seconds` away.
    std::vector<std::size_t> along(const std::vector<Contact>& c, std::size_t f, std::ptrdiff_t step, double seconds, bool same) const {
        std::vector<std::size_t> out;
        for (auto k = static_cast<std::ptrdiff_t>(f); k >= 0 && k < static_cast<std::ptrdiff_t>(c.size()); k += step) {
            const auto q = static_cast<std::size_t>(k);
            if (std::abs(m_.time_s[q] - m_.time_s[f]) > seconds || (same && c[q] != c[f])) break;
            if (!same && q != f && c[q] == Contact::flat) break;
            if (m_.valid[q]) out.push_back(q);
        }
        return out;
    }

    /// Moves the border between flat and not flat beside `flat_at`; returns the last frame it looked at.
    std::size_t move_moment(std::vector<Contact>& c, std::size_t flat_at, std::ptrdiff_t into) const {
        const auto inside = along(c, flat_at, into, k_.change_s, true), outside = along(c, flat_at, -into, k_.change_s, false);
        Series level;
        for (const auto q : inside)
            if (2 * std::abs(m_.time_s[q] - m_.time_s[flat_at]) > std::abs(m_.time_s[inside.back()] - m_.time_s[flat_at]))
                level.push_back(tilt(q));
        if (level.size() < 3 || outside.size() < 3) return flat_at;
        const double flat = signal::median(level), spread = std::max(k_.floor_m, signal::quantile(level, 0.84) - flat);
        double most = 0;
        for (const auto q : outside) most = std::max(most, std::abs(tilt(q) - flat));
        const bool tilts = most > 3 * spread;
        const double little = std::max(1.64 * spread, 0.15 * most);
        if (!tilts) return flat_at;
        auto away = [&](std::size_t q) { return std::abs(tilt(q) - flat) > little; };
        // The last frame towards the flat side that is still away, else the first on the other side that is not any more.
        std::optional<std::size_t> border;
        for (const auto q : inside) {
            if (away(q)) border = q;
            if (std::abs(m_.time_s[q] - m_.time_s[border.value_or(flat_at)]) > 0.5 * k_.together_s) break;
        }
        for (const auto q : inside) {
            if (!border || (into > 0 ? q > *border : q < *border)) break;
            c[q] = tilt(q) > flat ? Contact::heel : Contact::toe;
        }
        if (!border)
            for (const auto q : outside) {
                if (q == flat_at) continue;
                if (away(q)) break;
                c[q] = Contact::flat;
            }
        return into > 0 && border ? *border + 1 : flat_at;
    }

    Vec2 median_of(std::size_t from, std::size_t to, std::size_t k) const {
        Series x, y;
        for (std::size_t f = from; f < to; ++f)
            if (m_.valid[f]) x.push_back(at(f, k).x()), y.push_back(at(f, k).y());
        return {signal::median(x), signal::median(y)};
    }

    void find_rests() {
        const auto n = m_.frames();
        std::vector<bool> still(n, false);
        const double half = 0.10; // s; speed over a fifth of a second
        std::size_t a = 0, b = 0;
        for (std::size_t f = 0; f < n; ++f) {
            while (b + 1 < n && m_.time_s[b] < m_.time_s[f] + half) ++b;
            while (m_.time_s[a] < m_.time_s[f] - half) ++a;
            if (!m_.valid[a] || !m_.valid[b] || b <= a) {
                still[f] = f > 0 && still[f - 1];
                continue;
            }
            const double dt = m_.time_s[b] - m_.time_s[a];
            const double v = std::max((at(b, heel_) - at(a, heel_)).norm(), (at(b, toe_) - at(a, toe_)).norm()) / dt;
            still[f] = v < (f > 0 && still[f - 1] ? k_.leave_mps : k_.still_mps);
        }
        const auto least = static_cast<std::size_t>(std::max(2.0, k_.shortest_rest_s * m_.rate));
        for (std::size_t f = 0; f < n;) {
            std::size_t e = f;
            while (e < n && still[e] == still[f]) ++e;
            if (still[f] && e - f >= least) rests_.push_back({f, e, median_of(f, e, heel_), median_of(f, e, toe_)});
            f = e;
        }
        // A wobble at one place does not end a rest.
        for (std::size_t r = 0; r + 1 < rests_.size();) {
            const Rest &p = rests_[r], &q = rests_[r + 1];
            if ((p.heel - q.heel).norm() + (p.toe - q.toe).norm() < 2 * k_.step_m / 8 &&
                m_.time_s[q.from] - m_.time_s[p.to - 1] < k_.change_s / 2) {
                rests_[r] = {p.from, q.to, median_of(p.from, q.to, heel_), median_of(p.from, q.to, toe_)};
                rests_.erase(rests_.begin() + static_cast<std::ptrdiff_t>(r) + 1);
            } else {
                ++r;
            }
        }
    }

    /// How far middle and tilt wander while the foot rests, over the clip.
    void spreads() {
        Series middle, tilt;
        for (const auto& r : rests_)
            for (std::size_t f = r.from; f < r.to; ++f)
                if (m_.valid[f]) {
                    middle.push_back((middle_of(f) - r.middle()).norm());
                    tilt.push_back(std::abs(at(f, toe_).y() - at(f, heel_).y() - r.tilt()));
                }
        // Of a normal law on the plane 68 % lie within 1.51 sigma, on a line within 1.
        const double m = middle.empty() ? 0 : signal::quantile(middle, 0.68) / 1.51, t = tilt.empty() ? 0 : signal::quantile(tilt, 0.68);
        middle_ = std::hypot(k_.creep_m, m);
        tilt_ = std::hypot(k_.floor_m, t, 0.7 * k_.creep_m);
    }

    /// Toe over heel on the picture while the foot is flat at the place of `r`: as it is for most of the time there.
    double flat_level(const Rest& r) const {
        std::vector<std::pair<double, double>> tilts; // with the time they lasted
        double all = 0;
        for (const auto& q : rests_)
            if ((q.middle() - r.middle()).norm() < k_.step_m / 2) {
                tilts.emplace_back(q.tilt(), static_cast<double>(q.length()));
                all += tilts.back().second;
            }
        std::sort(tilts.begin(), tilts.end());
        double sum = 0;
        for (const auto& [tilt, weight] : tilts)
            if ((sum += weight) >= 0.5 * all) return tilt;
        return r.tilt();
    }

    const Motion& m_;
    const FootModel& k_;
    Side side_;
    std::size_t heel_, toe_;
    double middle_ = 0.01, tilt_ = 0.01;
    std::vector<Rest> rests_;
};

/// Share of the weight on the left foot as the picture shows it: the body centre between the feet, along the picture's right; NaN where
/// they stand too close on it. With the sigma of each.
struct Load {
    Series left, sigma;
};
Load load_seen(const Motion& m, double least) {
    Load out{Series(m.frames(), NAN), Series(m.frames(), NAN)};
    const Vec3 axis(std::cos(m.start_azimuth), 0, -std::sin(m.start_azimuth));
    const auto w = centre_weights(SegmentTable::of(Sex::mean));
    const double tilt = (m.camera ? m.camera->roll.sigma : m.vertical_sigma) * 0.56 * m.stature; // the body centre stands so high
    for (std::size_t f = 0; f < m.frames(); ++f) {
        if (!m.valid[f]) continue;
        Vec3 c = Vec3::Zero();
        double error = tilt * tilt;
        for (std::size_t p = 0; p < w.size(); ++p) c += w[p] * m.m[f][p], error += std::pow(w[p] * m.sigma[f][p].person, 2);
        const double l = foot_centre(m.m[f], Side::left).dot(axis), r = foot_centre(m.m[f], Side::right).dot(axis);
        if (std::abs(l - r) < least) continue;
        out.left[f] = (c.dot(axis) - r) / (l - r);
        out.sigma[f] = std::hypot(std::sqrt(error), m.sigma[f][left_heel].person) / std::abs(l - r);
    }
    return out;
}

using Both = std::array<std::vector<Looks>, 2>;
constexpr std::size_t states = kinds * kinds - 1; // both feet; both in the air is none
constexpr std::size_t of(std::size_t state, std::size_t foot) {
    return foot == 0 ? state / kinds : state % kinds;
}

/// Log of the chance that the contacts of both feet change from one state to another within dt.
double change(std::size_t from, std::size_t to, double dt, const FootModel& k) {
    double log_p = 0;
    for (std::size_t foot = 0; foot < 2; ++foot) {
        const auto a = of(from, foot), b = of(to, foot);
        const double rate = std::min(0.5, dt / k.change_s);
        if (a == b)
            log_p += std::log(1 - rate);
        else // heel to toe passes over flat or over the air, which may last less than a frame
            log_p += std::log(rate / (a + b == 3 && a != 0 && b != 0 ? 12 : 3));
    }
    return log_p;
}

struct Course {
    std::array<std::vector<Contact>, 2> contact;
    std::array<std::vector<std::array<double, kinds>>, 2> chance; // of each contact, given all frames
};

Course likeliest(const Motion& m, const Both& looks, double together_s, const FootModel& k) {
    const auto n = m.frames();
    Course out;
    for (std::size_t foot = 0; foot < 2; ++foot) out.contact[foot].resize(n), out.chance[foot].assign(n, {});
    using Chances = std::array<double, states>;
    std::vector<Chances> likely(n), ahead(n); // likelihood of each frame, scaled; chance given the frames so far
    std::vector<std::array<std::uint8_t, states>> came(n);
    std::array<Chances, states> step{}, step_log{};
    double step_dt = -1;
    auto steps = [&](double dt) {
        if (std::abs(dt - step_dt) < 1e-9) return;
        step_dt = dt;
        for (std::size_t a = 0; a < states; ++a)
            for (std::size_t b = 0; b < states; ++b) step_log[a][b] = change(a, b, dt, k), step[a][b] = std::exp(step_log[a][b]);
    };
    auto dt_of = [&](std::size_t f) { return std::max(1e-4, m.time_s[f] - m.time_s[f - 1]); };
    auto scale = [](Chances& v) {
        double sum = 0;
        for (const double x : v) sum += x;
        for (double& x : v) x /= std::max(sum, 1e-300);
    };
    Chances best{};
    for (std::size_t f = 0; f < n; ++f) {
        // Frames closer than the points err together count less each.
        const double independent = f == 0 ? 1 : std::min(1.0, dt_of(f) / together_s);
        Chances seen{};
        for (std::size_t s = 0; s < states; ++s) seen[s] = independent * (looks[0][f][of(s, 0)] + looks[1][f][of(s, 1)]);
        const double most_seen = *std::max_element(seen.begin(), seen.end());
        for (std::size_t s = 0; s < states; ++s) likely[f][s] = std::exp(seen[s] - most_seen) + 1e-30;
        if (f == 0) {
            best = seen;
            ahead[0] = likely[0];
            scale(ahead[0]);
            continue;
        }
        steps(dt_of(f));
        Chances now{};
        for (std::size_t b = 0; b < states; ++b) {
            double most = -1e300, sum = 0;
            for (std::size_t a = 0; a < states; ++a) {
                if (best[a] + step_log[a][b] > most) most = best[a] + step_log[a][b], came[f][b] = static_cast<std::uint8_t>(a);
                sum += ahead[f - 1][a] * step[a][b];
            }
            now[b] = most + seen[b];
            ahead[f][b] = sum * likely[f][b];
        }
        best = now;
        scale(ahead[f]);
    }
    auto state = static_cast<std::size_t>(std::max_element(best.begin(), best.end()) - best.begin());
    Chances back;
    back.fill(1);
    for (std::size_t f = n; f-- > 0;) {
        if (f + 1 < n) {
            steps(dt_of(f + 1));
            Chances later{};
            for (std::size_t a = 0; a < states; ++a)
                for (std::size_t b = 0; b < states; ++b) later[a] += step[a][b] * likely[f + 1][b] * back[b];
            back = later;
            scale(back);
        }
        Chances both{};
        for (std::size_t s = 0; s < states; ++s) both[s] = ahead[f][s] * back[s];
        scale(both);
        for (std::size_t foot = 0; foot < 2; ++foot) {
            out.contact[foot][f] = static_cast<Contact>(of(state, foot));
            for (std::size_t s = 0; s < states; ++s) out.chance[foot][f][of(s, foot)] += both[s];
        }
        if (f > 0) state = came[f][state];
    }
    return out;
}

/// On its way from flat to the air, or back, a foot peels over its heel or over its toe, not over both: what lasts longer is kept.
void one_way(const Motion& m, std::vector<Contact>& c, double change_s) {
    auto tilted = [](Contact k) { return k == Contact::heel || k == Contact::toe; };
    for (std::size_t a = 0; a < c.size();) {
        std::size_t b = a, heels = 0;
        while (b < c.size() && tilted(c[b])) heels += c[b++] == Contact::heel ? 1 : 0;
        if (b > a && heels > 0 && heels < b - a && m.time_s[b - 1] - m.time_s[a] < change_s)
            std::fill(c.begin() + static_cast<std::ptrdiff_t>(a), c.begin() + static_cast<std::ptrdiff_t>(b),
                      2 * heels > b - a ? Contact::heel : Contact::toe);
        a = std::max(b, a + 1);
    }
}

/// How sure the moment of the change between f - 1 and f is: half the time in which the chance of what comes after rises from 16 to 84 %
/// of its way, within the time of one change.
double moment_spread(const Motion& m, const std::vector<std::array<double, kinds>>& chance, const std::vector<Contact>& c, std::size_t f,
                     double change_s) {
    const auto after = static_cast<std::size_t>(c[f]);
    std::size_t first = f - 1, last = f;
    while (first > 0 && c[first - 1] == c[f - 1] && m.time_s[f] - m.time_s[first - 1] < change_s) --first;
    while (last + 1 < c.size() && c[last + 1] == c[f] && m.time_s[last + 1] - m.time_s[f] < change_s) ++last;
    double low = 1, high = 0;
    for (std::size_t k = first; k < f; ++k) low = std::min(low, chance[k][after]);
    for (std::size_t k = f; k <= last; ++k) high = std::max(high, chance[k][after]);
    std::size_t a = f - 1, b = f;
    while (a > first && chance[a][after] > low + 0.16 * (high - low)) --a;
    while (b < last && chance[b][after] < low + 0.84 * (high - low)) ++b;
    return 0.5 * (m.time_s[b] - m.time_s[a]);
}

} // namespace

void find_contacts(const Motion& m, Measures& out, const FootModel& k) {
    Both looks;
    std::vector<SeenFoot> feet;
    const bool metres = !m.from_pictures();
    if (metres) {
        for (const Side s : {Side::left, Side::right}) looks[static_cast<std::size_t>(s)] = looks_by_height(m, s, k);
    } else {
        for (const Side s : {Side::left, Side::right}) feet.emplace_back(m, s, k);
        const Load load = load_seen(m, 0.12);
        for (const Side s : {Side::left, Side::right}) {
            const auto foot = static_cast<std::size_t>(s);
            Series carried = load.left;
            if (s == Side::right)
                for (double& v : carried) v = 1 - v;
            feet[foot].drop_held(carried);
            looks[foot] = feet[foot].looks();
            for (std::size_t f = 0; f < m.frames(); ++f) {
                if (!std::isfinite(carried[f])) continue;
                const double over = std::max(0.0, carried[f] - k.load) / std::hypot(k.load, load.sigma[f]);
                looks[foot][f][static_cast<std::size_t>(Contact::off)] -= 0.5 * over * over;
            }
        }
    }
    Course course = likeliest(m, looks, metres ? k.metres_s : k.together_s, k);
    for (const Side s : {Side::left, Side::right}) {
        const auto foot = static_cast<std::size_t>(s);
        auto& c = course.contact[foot];
        if (!metres) feet[foot].place_moments(c), one_way(m, c, 2 * k.change_s);
        out.contact_sigma[foot].assign(m.frames(), 0);
        for (std::size_t f = 1; f < m.frames(); ++f)
            if (c[f] != c[f - 1]) {
                const auto placed = metres ? std::nullopt : feet[foot].tilt_sigma(c, f);
                // A change lies anywhere between its frames.
                const double frame = 0.29 * (m.time_s[f] - m.time_s[f - 1]);
                out.contact_sigma[foot][f] =
                    placed ? std::hypot(frame, *placed) : std::hypot(frame, moment_spread(m, course.chance[foot], c, f, k.change_s));
            }
        MeasureSeries state{"foot.state", "state", s, {}};
        for (std::size_t f = 0; f < m.frames(); ++f)
            state.samples.push_back(m.valid[f] ? Sample{static_cast<double>(c[f]), 0, Absent::none} : Sample{0, 0, nobody(m, f)});
        out.series[s == Side::left ? "foot.state.left" : "foot.state.right"] = std::move(state);
        out.contact[foot] = c;
    }
}

} // namespace bevel
