#include "core/judge/judge.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace bevel {
namespace {

/// Faults of the higher rule that a fault of the lower one brings about.
const std::multimap<std::string, std::string>& causes() {
    static const std::multimap<std::string, std::string> table{
        {"F1", "W3"}, {"F1", "K1"}, {"F1", "K2"}, {"F1", "H1"}, {"F1", "S1"}, {"F2", "K1"}, {"W1", "S1"}, {"W2", "W1"},
        {"W2", "S1"}, {"W3", "K2"}, {"W3", "S1"}, {"W5", "H1"}, {"W5", "S1"}, {"K2", "S1"}, {"K1", "H1"}, {"K6", "H3"},
        {"H1", "S1"}, {"H1", "A1"}, {"H2", "S1"}, {"S1", "S3"}, {"S1", "A1"}, {"K3", "S1"}, {"K4", "S1"},
    };
    return table;
}

struct Window {
    double from, to;
    std::string phase;
};

class Judge {
public:
    Judge(const Motion& mo, const Measures& ms, const Alignment& al, const Movement& mv) : motion_(mo), ms_(ms), al_(al), mv_(mv) {}

    std::vector<Finding> run() {
        std::vector<Finding> out;
        for (const auto& c : mv_.checks) {
            if (c.measure == "tempo.repetition_spread") {
                out.push_back(spread(c));
                continue;
            }
            for (const Side s : {Side::left, Side::right}) {
                if (c.side.empty() && s == Side::right) continue;
                Finding f = blank(c, c.side.empty() ? std::nullopt : std::optional(s));
                for (std::size_t r = 0; r < al_.repetitions.size(); ++r) {
                    const auto& rep = al_.repetitions[r];
                    if (c.side == "lead" && rep.side != s) continue;
                    if (c.side == "rear" && rep.side == s) continue;
                    f.outcomes.push_back(outcome(c, rep, static_cast<int>(r), f.side));
                }
                if (!f.outcomes.empty()) out.push_back(merged(c, std::move(f)));
            }
        }
        link(out);
        order(out);
        return out;
    }

private:
    Finding blank(const Check& c, std::optional<Side> side) const {
        Finding f;
        f.check = c.id;
        f.rule = c.rule;
        f.measure = c.measure;
        f.side = side;
        f.family = family_of(c.rule);
        f.severity = c.severity;
        f.low = c.low;
        f.high = c.high;
        f.good = c.good;
        f.reason = c.reason;
        f.phase = c.phases.empty() ? "" : c.phases.front();
        f.unit = unit_of(c.measure);
        return f;
    }

    std::string unit_of(const std::string& id) const {
        if (id == "lag.flat_to_shift" || id == "shift.duration" || id == "shift.stops") return "s";
        if (id == "weight.landing" || id == "weight.lead") return "1";
        if (id == "tempo.repetition_spread") return "%";
        for (const auto& [key, series] : ms_.series)
            if (series.id == id) return series.unit;
        return "";
    }

    std::vector<Window> windows(const Check& c, const Repetition& r) const {
        std::vector<Window> w;
        for (const auto& p : r.phases)
            if (c.phases.empty() || std::find(c.phases.begin(), c.phases.end(), p.id) != c.phases.end())
                w.push_back({p.start_s, p.end_s, p.id});
        return w;
    }

    /// Share of weight on the leading foot; from the side only while it is the front foot.
    std::vector<Sample> lead_weight(Side lead) const {
        const bool sideways = motion_.has_x;
        const auto* s = ms_.find(sideways ? "weight.left" : "weight.along_raw");
        std::vector<Sample> out = s->samples;
        for (auto& v : out)
            if (v.present()) v.value = std::clamp(lead == Side::left ? v.value : 1 - v.value, 0.0, 1.0);
        return out;
    }

    const std::vector<Sample>* samples(const Check& c, std::optional<Side> side, std::vector<Sample>& own, Side lead) const {
        if (c.measure == "weight.lead") {
            own = lead_weight(lead);
            return &own;
        }
        const auto* s = ms_.find(c.measure, side);
        return s ? &s->samples : nullptr;
    }

    Outcome outcome(const Check& c, const Repetition& rep, int index, std::optional<Side> side) const {
        Outcome o;
        o.repetition = index;
        o.low = c.low;
        o.high = c.high;
        o.time_s = rep.start_s;
        if (c.summary == Summary::event)
            event(c, rep, o);
        else
            summary(c, rep, side, o);
        if (o.absent == Absent::none) o.verdict = verdict_of(o.value, o.sigma, o.low, o.high, c.edge.value_or(0), o.widened);
        return o;
    }

    void summary(const Check& c, const Repetition& rep, std::optional<Side> side, Outcome& o) const {
        std::vector<Sample> own;
        const auto* all = samples(c, side, own, rep.side);
        if (!all) {
            o.absent = Absent::view;
            return;
        }
        struct At {
            double v, sigma, t;
        };
        std::vector<At> in;
        std::map<Absent, int> missing;
        std::size_t frames = 0;
        for (const auto& w : windows(c, rep))
            for (std::size_t f = 0; f < all->size(); ++f) {
                const double t = ms_.time_s[f];
                if (t < w.from || t >= w.to) continue;
                ++frames;
                const Sample& s = (*all)[f];
                if (s.present())
                    in.push_back({s.value, s.sigma, t});
                else
                    ++missing[s.absent];
            }
        // A value told for less than a third of the time is not one for the phase.
        if (in.size() * 3 < frames || in.size() < 3) {
            o.absent = Absent::no_body;
            int most = -1;
            for (const auto& [a, count] : missing)
                if (count > most) most = count, o.absent = a;
            return;
        }
        std::vector<double> v, sg;
        for (const auto& a : in) {
            v.push_back(a.v);
            sg.push_back(a.sigma);
        }
        o.sigma = signal::median(sg);
        switch (c.summary) {
        case Summary::max:
            o.value = signal::quantile(v, 0.90);
            break;
        case Summary::min:
            o.value = signal::quantile(v, 0.10);
            break;
        case Summary::at_start:
            o.value = v.front();
            break;
        case Summary::at_end:
            o.value = v.back();
            break;
        default:
            o.value = signal::median(v);
            break;
        }
        const auto nearest = std::min_element(in.begin(), in.end(),
                                              [&](const At& a, const At& b) { return std::abs(a.v - o.value) < std::abs(b.v - o.value); });
        o.time_s = nearest->t;
    }

    const Shift* shift_in(const Check& c, const Repetition& rep) const {
        const Shift* best = nullptr;
        double most = 0;
        for (const auto& w : windows(c, rep)) {
            if (w.phase != "shift") continue;
            for (const auto& s : ms_.shifts) {
                const bool towards = rep.side == Side::left ? s.to > s.from : s.to < s.from;
                const double common = std::min(w.to + 0.6, s.end_s) - std::max(w.from - 1.5, s.start_s);
                if (towards && common > most) {
                    most = common;
                    best = &s;
                }
            }
        }
        return best;
    }

    /// Foot-flat of the leading foot nearest to the end of its landing.
    const Event* flat_in(const Repetition& rep) const {
        const Event* best = nullptr;
        double least = 1.0;
        for (const auto& p : rep.phases) {
            if (p.id != "set") continue;
            for (const auto& e : ms_.events)
                if (e.side == rep.side && e.kind == EventKind::flat && std::abs(e.time_s - p.end_s) < least) {
                    least = std::abs(e.time_s - p.end_s);
                    best = &e;
                }
        }
        return best;
    }

    /// From the side the foot behind the other is seen badly: the order of its landing and the shift is not judged.
    static bool too_rough(const Event& e, Outcome& o) {
        if (e.sigma_s <= 0.25) return false;
        o.absent = Absent::hidden;
        return true;
    }

    void event(const Check& c, const Repetition& rep, Outcome& o) const {
        o.absent = Absent::no_event;
        if (c.measure == "weight.landing") {
            const auto* flat = flat_in(rep);
            if (!flat) return;
            if (too_rough(*flat, o)) return;
            const auto all = lead_weight(rep.side);
            const auto at = std::lower_bound(ms_.time_s.begin(), ms_.time_s.end(), flat->time_s) - ms_.time_s.begin();
            const auto f = std::min<std::size_t>(static_cast<std::size_t>(at), all.size() - 1);
            if (!all[f].present()) {
                o.absent = all[f].absent;
                return;
            }
            // Judged on the lower bound: pressure may sit anywhere from heel to ball.
            const double slack = motion_.has_x ? 0 : 0.1;
            o.value = std::max(0.0, all[f].value - slack);
            // The share moves on while the moment is uncertain.
            auto share_at = [&](double t) {
                const auto k = static_cast<std::size_t>(std::lower_bound(ms_.time_s.begin(), ms_.time_s.end(), t) - ms_.time_s.begin());
                return k < all.size() && all[k].present() ? all[k].value : all[f].value;
            };
            const double speed = std::abs(share_at(flat->time_s + 0.15) - share_at(flat->time_s - 0.15)) / 0.3;
            o.sigma = std::hypot(all[f].sigma, std::max(0.3, speed) * flat->sigma_s);
            o.time_s = flat->time_s;
            o.absent = Absent::none;
            return;
        }
        const Shift* s = shift_in(c, rep);
        if (!s) {
            const auto reason = ms_.find("weight.along_raw")->absent_throughout();
            if (reason) o.absent = *reason;
            return;
        }
        o.time_s = s->start_s;
        if (c.measure == "shift.duration") {
            o.value = s->duration();
            o.sigma = 1.4 * s->sigma_s;
        } else if (c.measure == "shift.stops") {
            o.value = s->stop_s;
            o.sigma = s->stop_sigma_s;
        } else if (c.measure == "lag.flat_to_shift") {
            const auto* flat = flat_in(rep);
            if (!flat) return;
            if (too_rough(*flat, o)) return;
            o.value = s->onset_s - flat->time_s;
            o.sigma = std::hypot(s->onset_sigma_s, flat->sigma_s);
            o.time_s = flat->time_s;
        } else {
            return;
        }
        o.absent = Absent::none;
    }

    Finding spread(const Check& c) const {
        Finding f = blank(c, std::nullopt);
        Outcome o;
        o.low = c.low;
        o.high = c.high;
        std::vector<double> d;
        for (const auto& r : al_.repetitions) d.push_back(r.end_s - r.start_s);
        if (d.size() < 3) {
            o.absent = Absent::no_event;
        } else {
            double mean = 0, var = 0;
            for (const double v : d) mean += v / static_cast<double>(d.size());
            for (const double v : d) var += (v - mean) * (v - mean) / static_cast<double>(d.size() - 1);
            o.value = 100 * std::sqrt(var) / mean;
            o.sigma = 100 * 0.35 / mean;
            const auto worst =
                std::max_element(d.begin(), d.end(), [&](double a, double b) { return std::abs(a - mean) < std::abs(b - mean); }) -
                d.begin();
            o.repetition = static_cast<int>(worst);
            o.time_s = al_.repetitions[static_cast<std::size_t>(worst)].start_s;
            o.verdict = verdict_of(o.value, o.sigma, o.low, o.high, c.edge.value_or(0), o.widened);
        }
        f.outcomes.push_back(o);
        return merged(c, std::move(f));
    }

    static double off(const Outcome& o) {
        if (o.low && o.value < *o.low) return o.value - *o.low;
        if (o.high && o.value > *o.high) return o.value - *o.high;
        return 0;
    }

    Finding merged(const Check& c, Finding f) const {
        const Outcome* worst = nullptr;
        std::map<Absent, int> missing;
        std::vector<double> values;
        int edges = 0;
        for (const auto& o : f.outcomes) {
            if (o.verdict == Verdict::cannot_tell) {
                ++missing[o.absent];
                continue;
            }
            ++f.judged;
            values.push_back(o.value);
            if (o.verdict == Verdict::outside) f.repetitions.push_back(o.repetition);
            if (o.verdict == Verdict::edge) ++edges;
            if (!worst || std::abs(off(o)) > std::abs(off(*worst))) worst = &o;
        }
        if (f.judged == 0 || !worst) {
            f.verdict = Verdict::cannot_tell;
            int most = -1;
            for (const auto& [a, n] : missing)
                if (n > most) most = n, f.absent = a;
            if (!f.outcomes.empty()) {
                const auto& o = f.outcomes.front();
                f.value = o.value;
                f.sigma = o.sigma;
                f.time_s = o.time_s;
            }
            return f;
        }
        const auto bad = static_cast<int>(f.repetitions.size());
        f.verdict = bad > 0 && 3 * bad >= f.judged ? Verdict::outside : bad > 0 || 2 * edges > f.judged ? Verdict::edge : Verdict::inside;
        if (f.verdict == Verdict::inside) {
            // Shown for a check that holds: the middle repetition.
            const double m = signal::median(values);
            for (const auto& o : f.outcomes)
                if (o.verdict != Verdict::cannot_tell && (worst == nullptr || std::abs(o.value - m) < std::abs(worst->value - m)))
                    worst = &o;
        }
        f.value = worst->value;
        f.sigma = worst->sigma;
        f.time_s = worst->time_s;
        f.low = worst->low;
        f.high = worst->high;
        f.widened = worst->widened;
        const auto& rep = al_.repetitions[static_cast<std::size_t>(worst->repetition)];
        for (const auto& p : rep.phases)
            if (f.time_s >= p.start_s && f.time_s < p.end_s) f.phase = p.id;
        f.cue = f.low && f.value < *f.low ? c.cue_low : f.high && f.value > *f.high ? c.cue_high : "";
        if (f.cue.empty() && f.verdict != Verdict::inside) f.cue = c.cue_high.empty() ? c.cue_low : c.cue_high;
        return f;
    }

    void link(std::vector<Finding>& all) const {
        for (auto& low : all) {
            if (low.verdict != Verdict::outside) continue;
            for (const auto& high : all) {
                if (high.verdict != Verdict::outside || &high == &low) continue;
                const auto [from, to] = causes().equal_range(low.rule);
                const bool leads = std::any_of(from, to, [&](const auto& p) { return p.second == high.rule; });
                const bool together = std::any_of(high.repetitions.begin(), high.repetitions.end(), [&](int r) {
                    return std::find(low.repetitions.begin(), low.repetitions.end(), r) != low.repetitions.end();
                });
                if (leads && together) low.cause_of.push_back(high.check);
            }
        }
    }

    static int rank(const Finding& f) {
        if (f.verdict == Verdict::outside) return f.severity == Severity::safety ? 0 : 1;
        if (f.verdict == Verdict::edge) return 2;
        return f.verdict == Verdict::inside ? 3 : 4;
    }
    static void order(std::vector<Finding>& all) {
        std::stable_sort(all.begin(), all.end(), [](const Finding& a, const Finding& b) {
            if (rank(a) != rank(b)) return rank(a) < rank(b);
            if (a.family != b.family) return a.family < b.family;
            if (a.repetitions.size() != b.repetitions.size()) return a.repetitions.size() > b.repetitions.size();
            return std::abs(a.excess()) / std::max(a.sigma, 1e-9) > std::abs(b.excess()) / std::max(b.sigma, 1e-9);
        });
    }

    const Motion& motion_;
    const Measures& ms_;
    const Alignment& al_;
    const Movement& mv_;
};

} // namespace

std::string_view verdict_name(Verdict v) {
    constexpr std::array<std::string_view, 4> n{"inside", "edge", "outside", "cannot_tell"};
    return n[static_cast<std::size_t>(v)];
}

std::string_view family_name(Family f) {
    constexpr std::array<std::string_view, 8> n{"feet", "weight", "knees", "hips", "spine", "head", "arms", "tempo"};
    return n[static_cast<std::size_t>(f)];
}

Family family_of(const std::string& rule) {
    if (rule.empty()) return Family::tempo;
    switch (rule[0]) {
    case 'F':
        return Family::feet;
    case 'W':
        return Family::weight;
    case 'K':
        return Family::knees;
    case 'H':
        return Family::hips;
    case 'S':
        return rule == "S3" || rule == "S4" ? Family::head : Family::spine;
    case 'A':
        return Family::arms;
    default:
        return Family::tempo;
    }
}

double Finding::excess() const {
    if (low && value < *low) return value - *low;
    if (high && value > *high) return value - *high;
    return 0;
}

Verdict verdict_of(double value, double sigma, std::optional<double>& low, std::optional<double>& high, double edge, bool& widened) {
    widened = false;
    if (low && high) {
        const double half = 0.5 * (*high - *low), middle = 0.5 * (*high + *low);
        if (sigma > half) return Verdict::cannot_tell;
        if (half < 2 * sigma) { // finer than the clip can tell
            low = middle - 2 * sigma;
            high = middle + 2 * sigma;
            widened = true;
        }
    } else {
        // A band with one end has no width: its own bound is the scale, and only close to it does the error matter.
        const double bound = low ? *low : high ? *high : 0, inside = low ? value - bound : bound - value;
        if (std::abs(bound) > 0 && sigma > std::abs(bound) && inside < 1.64 * sigma) return Verdict::cannot_tell;
    }
    double out = 0;
    if (low && value < *low) out = *low - value;
    if (high && value > *high) out = value - *high;
    if (out > std::max(1.64 * sigma, edge)) return Verdict::outside;
    return out > 0 ? Verdict::edge : Verdict::inside;
}

std::vector<Finding> judge(const Motion& motion, const Measures& measures, const Alignment& alignment, const Movement& movement) {
    return Judge(motion, measures, alignment, movement).run();
}

} // namespace bevel
