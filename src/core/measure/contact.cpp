#include "core/measure/contact.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>

namespace bevel {
namespace {

using signal::Series;
constexpr std::size_t i(Point p) {
    return static_cast<std::size_t>(p);
}

Series coordinate(const Motion& m, Point p, Eigen::Index axis) {
    Series y(m.frames(), NAN);
    for (std::size_t f = 0; f < m.frames(); ++f)
        if (m.valid[f]) y[f] = m.m[f][i(p)][axis];
    return y;
}

void remove_short(std::vector<bool>& v, std::size_t least) {
    for (std::size_t a = 0; a < v.size();) {
        std::size_t b = a;
        while (b < v.size() && v[b] == v[a]) ++b;
        if (b - a < least && a > 0 && b < v.size())
            for (std::size_t k = a; k < b; ++k) v[k] = !v[k];
        a = b;
    }
}

/// Points in metres: on the floor below 1 cm, or below what their noise lets tell; leaving needs a little more than arriving.
std::vector<Contact> contacts_by_height(const Motion& m, Side s) {
    const double floor = std::max(0.010, 2.0 * m.jitter), leave = m.jitter > 0.002 ? 1.5 : 1.1;
    const Series heel_y = coordinate(m, on(s, left_heel), 1), toe_y = coordinate(m, on(s, left_toe), 1);
    std::vector<bool> heel, toe;
    for (std::size_t f = 0; f < m.frames(); ++f) { // leaving needs a little more than arriving
        heel.push_back(std::isfinite(heel_y[f]) ? heel_y[f] < (f > 0 && heel[f - 1] ? leave : 1.0) * floor : f > 0 && heel[f - 1]);
        toe.push_back(std::isfinite(toe_y[f]) ? toe_y[f] < (f > 0 && toe[f - 1] ? leave : 1.0) * floor : f > 0 && toe[f - 1]);
    }
    const auto least = static_cast<std::size_t>(std::max(2.0, std::min(0.15, 30 * m.jitter) * m.rate));
    remove_short(heel, least);
    remove_short(toe, least);
    std::vector<Contact> out;
    for (std::size_t f = 0; f < m.frames(); ++f)
        out.push_back(heel[f] && toe[f] ? Contact::flat : heel[f] ? Contact::heel : toe[f] ? Contact::toe : Contact::off);
    return out;
}

/// A stretch of frames in which a foot rests, with the place where heel and toe rest on the picture.
struct Rest {
    std::size_t from, to; // half-open
    Vec2 heel, toe;
    double reach; // farther from the place than this is away, m
};

/// Contacts of a foot seen by one camera, told from where it rests: a foot on the floor keeps its place on the picture.
class RestingFoot {
public:
    RestingFoot(const Motion& m, Side s) : m_(m), side_(s), heel_(s == Side::left ? 0 : 2), toe_(heel_ + 1) {
        Series sigmas;
        for (const Side both : {Side::left, Side::right})
            for (std::size_t f = 0; f < m.frames(); ++f)
                if (m.valid[f]) sigmas.push_back(m.sigma[f][i(on(both, left_heel))].across + m.sigma[f][i(on(both, left_toe))].across);
        least_sigma_ = signal::quantile(sigmas, 0.1);
        find();
        if (m.has_z) drop_raised();
        join([](std::size_t, std::size_t) { return false; });
    }

    /// One foot bears while the other is on its way: a foot that is back at its place had not left it then.
    void bear_for(const RestingFoot& other) {
        join([&](std::size_t from, std::size_t to) {
            std::size_t resting = 0;
            for (const auto& r : other.rests_)
                for (std::size_t f = std::max(r.from, from); f < std::min(r.to, to); ++f) ++resting;
            return 2 * resting < to - from;
        });
    }

    std::vector<Contact> contacts() const {
        std::vector<Contact> out(m_.frames(), Contact::off);
        for (const auto& r : rests_) {
            const double level = flat_level(r);
            // The ends of a rest may already belong to the step: they are judged by how the foot rested just before.
            const std::size_t guard = std::min(frames(0.8), (r.to - r.from) / 3);
            const std::size_t last = r.to - guard, first = r.from + guard;
            const Rest end = rest(last > r.from + frames(1.2) ? last - frames(1.2) : r.from, last),
                       begin = rest(first, std::min(r.to, first + frames(1.2)));
            const Contact now = tilted(r.toe.y() - r.heel.y() - level, 0.03);
            for (std::size_t f = first; f < last; ++f) out[f] = now;
            leave(end, now, level, {last, r.to}, 1, out);
            leave(begin, now, level, {first - 1, r.from}, -1, out);
        }
        // A heel or toe that seems up for less than a quarter of a second is noise.
        for (std::size_t a = 1; a < out.size();) {
            std::size_t b = a;
            while (b < out.size() && out[b] != Contact::flat && out[b] != Contact::off) ++b;
            if (b > a && b < out.size() && b - a < frames(0.25) && out[a - 1] == Contact::flat && out[b] == Contact::flat)
                std::fill(out.begin() + static_cast<std::ptrdiff_t>(a), out.begin() + static_cast<std::ptrdiff_t>(b), Contact::flat);
            a = std::max(b, a + 1);
        }
        return out;
    }

private:
    const Vec2& at(std::size_t f, std::size_t k) const { return m_.foot_place[f][k]; }

    /// Whether heel and toe are seen well on most of the frames: their sigma is near its least in the clip.
    bool sure(std::size_t from, std::size_t to) const {
        std::size_t well = 0;
        for (std::size_t f = from; f < to; ++f) well += sigma(f) < 1.3 * least_sigma_ ? 1 : 0;
        return 2 * well >= to - from;
    }
    double sigma(std::size_t f) const { return m_.sigma[f][i(on(side_, left_heel))].across + m_.sigma[f][i(on(side_, left_toe))].across; }

    Vec2 median_of(std::size_t from, std::size_t to, std::size_t k) const {
        Series x, y;
        for (std::size_t f = from; f < to; ++f)
            if (m_.valid[f]) x.push_back(at(f, k).x()), y.push_back(at(f, k).y());
        return {signal::median(x), signal::median(y)};
    }

    Rest rest(std::size_t from, std::size_t to) const {
        Rest r{from, to, median_of(from, to, heel_), median_of(from, to, toe_), 0};
        Series away;
        for (std::size_t f = from; f < to; ++f)
            if (m_.valid[f]) away.push_back(std::max((at(f, heel_) - r.heel).norm(), (at(f, toe_) - r.toe).norm()));
        // 1 cm, or what the points wander while the foot rests.
        r.reach = std::clamp(std::max(2 * m_.jitter, 1.25 * signal::quantile(away, 0.8)), 0.012, 0.022);
        return r;
    }

    void find() {
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
            still[f] = v < (f > 0 && still[f - 1] ? 0.11 : 0.08);
        }
        remove_short(still, static_cast<std::size_t>(std::max(2.0, 0.2 * m_.rate)));
        for (std::size_t f = 0; f < n;) {
            std::size_t e = f;
            while (e < n && still[e] == still[f]) ++e;
            if (still[f]) rests_.push_back(rest(f, e));
            f = e;
        }
    }

    /// From the side height over the floor shows: a foot held still in the air does not rest.
    void drop_raised() {
        Series heights;
        for (const auto& r : rests_)
            for (std::size_t f = r.from; f < r.to; ++f) heights.push_back(std::min(r.heel.y(), r.toe.y()));
        const double floor = signal::quantile(heights, 0.3);
        std::erase_if(rests_, [&](const Rest& r) { return std::min(r.heel.y(), r.toe.y()) > floor + 0.035; });
    }

    /// Rests at one place with nothing but a wobble between them are one; so are those between which `bears` knows the foot bore the body.
    template <class F> void join(F bears) {
        for (std::size_t i = 0; i + 1 < rests_.size();) {
            const Rest &a = rests_[i], &b = rests_[i + 1];
            const double level = a.toe.y() - a.heel.y();
            double most = 0, tilt = std::abs(b.toe.y() - b.heel.y() - level);
            for (std::size_t f = a.to; f < b.from; ++f) {
                if (!m_.valid[f]) continue;
                most = std::max(most, std::max((at(f, heel_) - a.heel).norm(), (at(f, toe_) - a.toe).norm()));
                tilt = std::max(tilt, std::abs(at(f, toe_).y() - at(f, heel_).y() - level));
            }
            const double apart = std::max((a.heel - b.heel).norm(), (a.toe - b.toe).norm());
            // A step lifts or moves the foot by more than this, and lifting heel or toe tilts it; the points of a foot that bears drift
            // with the shin. A hidden foot is told less surely.
            const bool seen = sure(a.to, b.from);
            if ((apart < 0.06 && most < (seen ? 0.07 : 0.10) && tilt < (seen ? 0.03 : 0.04)) ||
                (apart < 0.07 && tilt < 0.045 && bears(a.to, b.from))) {
                rests_[i] = rest(a.from, b.to);
                rests_.erase(rests_.begin() + static_cast<std::ptrdiff_t>(i) + 1);
            } else {
                ++i;
            }
        }
    }

    std::size_t frames(double seconds) const { return static_cast<std::size_t>(std::max(1.0, seconds * m_.rate)); }

    double tilt(std::size_t f) const { return at(f, toe_).y() - at(f, heel_).y(); }

    /// Toe over heel on the picture while the foot is flat at the place of `r`: as in the longest rest there.
    double flat_level(const Rest& r) const {
        const Rest* longest = &r;
        for (const auto& q : rests_)
            if ((q.heel + q.toe - r.heel - r.toe).norm() < 0.24 && q.to - q.from > longest->to - longest->from) longest = &q;
        return longest->toe.y() - longest->heel.y();
    }

    /// Toe up: on the heel. Heel up: on the toe.
    static Contact tilted(double by, double limit) { return by > limit ? Contact::heel : by < -limit ? Contact::toe : Contact::flat; }

    /// From frame `from` on, in steps of +1 or -1, until the foot as a whole has left its place for two frames. Its points drift together
    /// with the shin above; heel against toe tells whether it lies flat.
    void leave(const Rest& r, Contact inside, double level, std::pair<std::size_t, std::size_t> start_and_end_of_rest, int step,
               std::vector<Contact>& out) const {
        const auto [from, end] = start_and_end_of_rest;
        const auto n = static_cast<std::ptrdiff_t>(m_.frames());
        const Vec2 middle = 0.5 * (r.heel + r.toe);
        const double own = inside == Contact::flat ? r.toe.y() - r.heel.y() : level;
        // How far heel or toe is lifted within the next second: flat is when most of that has gone.
        double most = 0;
        for (auto f = static_cast<std::ptrdiff_t>(from);
             f >= 0 && f < n && std::abs(f - static_cast<std::ptrdiff_t>(from)) < static_cast<std::ptrdiff_t>(frames(1.0)); f += step)
            if (m_.valid[static_cast<std::size_t>(f)]) most = std::max(most, std::abs(tilt(static_cast<std::size_t>(f)) - own));
        const double limit = std::clamp(0.35 * most, 0.014, 0.035);
        int away = 0;
        for (auto f = static_cast<std::ptrdiff_t>(from); f >= 0 && f < n; f += step) {
            const auto i = static_cast<std::size_t>(f);
            auto& c = out[i];
            if (!m_.valid[i]) continue;
            const bool resting = step > 0 ? i < end : i >= end;
            away = !resting && (0.5 * (at(i, heel_) + at(i, toe_)) - middle).norm() > 0.035 ? away + 1 : 0;
            if (away == 2) {
                const auto before = static_cast<std::size_t>(f - step);
                if (out[before] != Contact::flat) out[before] = Contact::off;
                return;
            }
            const Contact now = tilted(tilt(i) - own, limit);
            if (c == Contact::off || now == Contact::flat) c = now;
        }
    }

    const Motion& m_;
    Side side_;
    std::size_t heel_, toe_;
    double least_sigma_ = 0;
    std::vector<Rest> rests_;
};

} // namespace

void find_contacts(const Motion& m, Measures& out) {
    const bool exact = m.view == View::three_d;
    if (exact) {
        for (const Side s : {Side::left, Side::right}) out.contact[static_cast<std::size_t>(s)] = contacts_by_height(m, s);
    } else {
        RestingFoot left(m, Side::left), right(m, Side::right);
        const RestingFoot left_alone = left;
        left.bear_for(right);
        right.bear_for(left_alone);
        out.contact = {left.contacts(), right.contacts()};
    }
    for (const Side s : {Side::left, Side::right}) {
        const auto& c = out.contact[static_cast<std::size_t>(s)];
        MeasureSeries state{"foot.state", "state", s, {}};
        for (std::size_t f = 0; f < m.frames(); ++f)
            state.samples.push_back(m.valid[f] ? Sample{static_cast<double>(c[f]), 0, Absent::none} : Sample{0, 0, Absent::no_body});
        out.series[s == Side::left ? "foot.state.left" : "foot.state.right"] = std::move(state);
    }
}

} // namespace bevel
