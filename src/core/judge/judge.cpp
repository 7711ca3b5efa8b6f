#include "core/judge/judge.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <cmath>
#include <map>

namespace bevel {
namespace {

constexpr double sure = 1.64;  // sigma beyond a band that make a fault
constexpr double strong = 2.5; // sigma beyond which one repetition speaks for itself
constexpr double in_three = 3; // a fault shows in a third of the repetitions

using Combined = CombinedValue;

double beyond(double value, const std::optional<double>& low, const std::optional<double>& high) {
    if (low && value < *low) return value - *low;
    if (high && value > *high) return value - *high;
    return 0;
}

class Judge {
public:
    Judge(const Summaries& s, std::array<const Alignment*, 2> al, const Movement& mv, const RuleBook& rules)
        : s_(s), al_(al), mv_(mv), rules_(rules) {}

    std::vector<Finding> run() {
        std::vector<Finding> out;
        for (const auto& v : s_.values) judge_one(v, out);
        link(out);
        order(out);
        return out;
    }

private:
    static std::vector<const RepetitionValue*> told_of(const std::vector<RepetitionValue>& all) {
        std::vector<const RepetitionValue*> out;
        for (const auto& r : all)
            if (r.absent == Absent::none) out.push_back(&r);
        return out;
    }

    Finding blank(const CheckValues& v) const {
        const Check& c = mv_.checks[v.check];
        Finding f;
        f.check = c.id;
        f.rule = c.rule;
        f.measure = c.measure;
        f.unit = s_.units[v.check];
        f.side = v.side;
        f.family = family_of(c.rule);
        f.severity = c.severity;
        f.low = c.low;
        f.high = c.high;
        f.matters = c.matters;
        f.reference = c.reference;
        f.whose = c.stack.empty() ? BandLevel::movement : c.stack.back().level;
        f.good = c.good;
        f.reason = c.reason;
        f.film = c.film;
        f.of_clip = v.of_clip;
        if (std::vector<const RepetitionValue*> told = told_of(v.other); !told.empty()) f.other = combine(told);
        f.phase = c.phases.empty() ? "" : c.phases.front();
        return f;
    }

    void judge_one(const CheckValues& v, std::vector<Finding>& out) const {
        const Check& c = mv_.checks[v.check];
        Finding f = blank(v);
        std::vector<const RepetitionValue*> told;
        std::map<Absent, int> missing;
        for (const auto& r : v.repetitions)
            if (r.absent == Absent::none)
                told.push_back(&r);
            else
                ++missing[r.absent];
        if (told.empty()) {
            // What the rule is about does not happen in this clip: there is nothing to say.
            if (missing.size() == 1 && missing.begin()->first == Absent::no_occasion) return;
            missing.erase(Absent::no_occasion);
            int most = -1;
            for (const auto& [a, n] : missing)
                if (n > most) most = n, f.absent = a;
            if (!v.repetitions.empty()) f.time_s = v.repetitions.front().time_s;
            out.push_back(std::move(f));
            return;
        }
        f.judged = static_cast<int>(told.size());
        const Combined all = combine(told);
        const double edge = c.edge.value_or(0);
        // The band as this clip can tell it.
        if (verdict_of(all.value, all.sigma(), f.low, f.high, edge, f.widened, c.matters) == Verdict::cannot_tell) {
            set(f, all, told, false);
            f.absent = Absent::none; // the error is larger than the band
            f.verdict = Verdict::cannot_tell;
            out.push_back(std::move(f));
            return;
        }
        for (const auto* r : told)
            if (r->whole != Absent::none && beyond(r->value, f.low, f.high) != 0) { // perhaps only while it does not matter
                set(f, all, told, false);
                f.absent = r->whole;
                f.verdict = Verdict::cannot_tell;
                out.push_back(std::move(f));
                return;
            }
        for (const auto* r : told) f.outcomes.push_back(outcome(*r, f, edge));
        bool any = false;
        std::optional<Finding> edged;
        for (const Direction d : {Direction::low, Direction::high}) {
            const auto& bound = d == Direction::low ? f.low : f.high;
            if (!bound) continue;
            auto out_by = [&](double x) { return d == Direction::low ? *bound - x : x - *bound; };
            std::vector<const RepetitionValue*> beyond_it, outside, certain, not_other;
            for (const auto* r : told) {
                if (out_by(r->value) > 0) beyond_it.push_back(r);
                if (out_by(r->value) > std::max(sure * r->sigma(), edge)) outside.push_back(r);
                if (out_by(r->value) > std::max(strong * r->sigma(), edge)) certain.push_back(r);
                const double by = beyond(r->value, f.low, f.high);
                if (by == 0 || (by < 0) == (d == Direction::low)) not_other.push_back(r);
            }
            if (beyond_it.empty()) continue;
            const auto n = static_cast<double>(told.size());
            const Combined usual = combine(not_other), most = combine(outside.empty() ? beyond_it : outside);
            auto fault = [&](const Combined& x) { return out_by(x.value) > std::max(sure * x.sigma(), edge); };
            const bool often = in_three * static_cast<double>(beyond_it.size()) >= n && fault(usual),
                       plain = in_three * static_cast<double>(outside.size()) >= n && !outside.empty() && fault(most);
            Finding g = f;
            g.direction = d;
            g.repetitions.clear();
            for (const auto* r : plain && !often ? outside : beyond_it) g.repetitions.push_back(r->repetition);
            if (often || plain) {
                set(g, plain && !often ? most : usual, plain && !often ? outside : beyond_it, true);
                g.verdict = Verdict::outside;
                say(c, g);
                out.push_back(std::move(g));
                any = true;
            } else if (!certain.empty()) {
                set(g, combine(certain), certain, true);
                g.repetitions.clear();
                for (const auto* r : certain) g.repetitions.push_back(r->repetition);
                g.verdict = Verdict::edge;
                g.once = true;
                say(c, g);
                edged = std::move(g);
            } else if (out_by(usual.value) > 0 && !edged) {
                set(g, usual, beyond_it, true);
                g.verdict = Verdict::edge;
                say(c, g);
                edged = std::move(g);
            }
        }
        if (any) return;
        if (edged) {
            out.push_back(std::move(*edged));
            return;
        }
        // Inside: the combined value, and where it is nearest to that.
        set(f, all, told, false);
        if (beyond(all.value, f.low, f.high) != 0) { // some one way, some the other, none by enough
            f.verdict = Verdict::edge;
            f.direction = all.value < f.low.value_or(-1e300) ? Direction::low : Direction::high;
            say(c, f);
        } else {
            f.verdict = Verdict::inside;
            f.sure = (!f.low || all.value - sure * all.sigma() >= *f.low) && (!f.high || all.value + sure * all.sigma() <= *f.high);
            f.allowed = agreed(c, all);
        }
        out.push_back(std::move(f));
    }

    /// Whether only what was agreed with this student keeps the value inside.
    static bool agreed(const Check& c, const Combined& x) {
        if (c.stack.size() < 2 || c.stack.back().level != BandLevel::student) return false;
        const BandStep& usual = c.stack[c.stack.size() - 2];
        return std::abs(beyond(x.value, usual.low, usual.high)) > std::max(sure * x.sigma(), c.edge.value_or(0));
    }

    static Outcome outcome(const RepetitionValue& r, const Finding& f, double edge) {
        Outcome o;
        o.repetition = r.repetition;
        o.value = r.value;
        o.sigma = r.sigma();
        o.time_s = r.time_s;
        o.low = f.low;
        o.high = f.high;
        o.widened = f.widened;
        o.absent = Absent::none;
        const double by = std::abs(beyond(r.value, f.low, f.high));
        o.verdict = by > std::max(sure * o.sigma, edge) ? Verdict::outside : by > 0 ? Verdict::edge : Verdict::inside;
        return o;
    }

    /// The figure of a finding and the moment that shows it: the worst repetition of a fault, else the one nearest to the figure.
    void set(Finding& f, const Combined& x, const std::vector<const RepetitionValue*>& from, bool worst) const {
        f.value = x.value;
        f.own = x.own;
        f.clip = x.clip;
        f.person = x.person;
        f.sigma = x.sigma();
        const RepetitionValue* best = from.front();
        std::size_t moments = 0, away = 0;
        for (const auto* r : from) {
            const bool nearer = worst ? std::abs(beyond(r->value, f.low, f.high)) > std::abs(beyond(best->value, f.low, f.high))
                                      : std::abs(r->value - x.value) < std::abs(best->value - x.value);
            if (nearer) best = r;
            for (const float v : r->course) ++moments, away += beyond(v, f.low, f.high) != 0 ? 1 : 0;
        }
        f.share_outside = moments > 0 ? static_cast<double>(away) / static_cast<double>(moments) : 0;
        f.time_s = best->time_s;
        const auto& rep = al_[static_cast<std::size_t>(f.of_clip)]->repetitions[static_cast<std::size_t>(best->repetition)];
        for (const auto& p : rep.phases)
            if (f.time_s >= p.start_s && f.time_s < p.end_s) f.phase = p.id;
    }

    void say(const Check& c, Finding& f) const {
        std::string role;
        for (const auto& p : mv_.phases)
            if (p.id == f.phase) role = p.role;
        f.cue = (f.direction == Direction::low ? c.cue_low : c.cue_high).of(role);
    }

    void link(std::vector<Finding>& all) const {
        for (auto& low : all) {
            if (low.verdict != Verdict::outside) continue;
            const Rule* rule = rules_.find(low.rule);
            for (const auto& high : all) {
                if (!rule || high.verdict != Verdict::outside || &high == &low) continue;
                const bool leads = std::find(rule->causes.begin(), rule->causes.end(), high.rule) != rule->causes.end();
                // Repetitions of two clips are not the same ones.
                const bool together =
                    low.of_clip != high.of_clip || std::any_of(high.repetitions.begin(), high.repetitions.end(), [&](int r) {
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

    const Summaries& s_;
    std::array<const Alignment*, 2> al_;
    const Movement& mv_;
    const RuleBook& rules_;
};

} // namespace

std::string_view verdict_name(Verdict v) {
    constexpr std::array<std::string_view, 4> n{"inside", "edge", "outside", "cannot_tell"};
    return n[static_cast<std::size_t>(v)];
}

std::string_view direction_name(Direction d) {
    constexpr std::array<std::string_view, 3> n{"", "low", "high"};
    return n[static_cast<std::size_t>(d)];
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
    case 'U':
        return Family::hips;
    case 'S':
        return rule == "S3" || rule == "S4" ? Family::head : Family::spine;
    case 'A':
    case 'T':
        return Family::arms;
    default:
        return Family::tempo;
    }
}

double Finding::excess() const {
    return beyond(value, low, high);
}

double Finding::scale() const {
    const double bound = low ? *low : high ? *high : 1;
    const double half = low && high ? 0.5 * (*high - *low) : matters > 0 ? 2 * matters : std::max(0.3 * std::abs(bound), 2 * sigma);
    return half > 0 ? half : std::max(matters, 1e-6);
}

bool Finding::contradicted() const {
    // The person's own part is not the same from every side: all of both errors counts.
    return other && verdict != Verdict::cannot_tell && std::abs(value - other->value) > strong * std::hypot(sigma, other->sigma());
}

std::string Finding::key() const {
    return direction == Direction::none ? check : check + "." + std::string(direction_name(direction));
}

Verdict verdict_of(double value, double sigma, std::optional<double>& low, std::optional<double>& high, double edge, bool& widened,
                   double matters) {
    widened = false;
    const double out_by = std::abs(beyond(value, low, high));
    if (low && high) {
        const double half = 0.5 * (*high - *low), middle = 0.5 * (*high + *low);
        if (sigma > half) return Verdict::cannot_tell;
        if (half < 2 * sigma) { // finer than the clip can tell
            low = middle - 2 * sigma;
            high = middle + 2 * sigma;
            widened = true;
        }
    } else if (matters > 0) {
        if (sigma > 2 * matters && out_by <= strong * sigma) return Verdict::cannot_tell;
    } else {
        // Its own bound is the scale, and only close to it does the error matter.
        const double bound = low ? *low : high ? *high : 0, inside = low ? value - bound : bound - value;
        if (std::abs(bound) > 0 && sigma > std::abs(bound) && inside < sure * sigma) return Verdict::cannot_tell;
    }
    const double by = std::abs(beyond(value, low, high));
    if (by > std::max(sure * sigma, edge)) return Verdict::outside;
    return by > 0 ? Verdict::edge : Verdict::inside;
}

std::vector<Finding> judge(const Summaries& summaries, const Alignment& alignment, const Movement& movement, const RuleBook& rules) {
    return Judge(summaries, {&alignment, &alignment}, movement, rules).run();
}

std::vector<Finding> judge(const Summaries& both, const Alignment& first, const Alignment& second, const Movement& movement,
                           const RuleBook& rules) {
    return Judge(both, {&first, &second}, movement, rules).run();
}

} // namespace bevel
