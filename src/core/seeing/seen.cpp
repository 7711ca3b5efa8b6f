#include "core/seeing/seen.h"
#include <algorithm>

namespace bevel {
namespace {

/// Measures of one rule that an eye does not tell apart.
struct AsOne {
    std::string_view rule, a, b;
};
constexpr AsOne as_one[] = {{"K1", "knee.inward", "knee.toe"}, {"W3", "weight.leaving", "weight.lead"}};
constexpr std::array<std::string_view, 3> not_in_a_picture{"B2", "B3", "R1"};

const Check* check_of(const Movement& m, const std::string& id) {
    const auto it = std::find_if(m.checks.begin(), m.checks.end(), [&](const Check& c) { return c.id == id; });
    return it == m.checks.end() ? nullptr : &*it;
}

bool same_thing(const std::string& rule_a, const std::string& a, const std::string& rule_b, const std::string& b) {
    if (a == b) return true;
    return rule_a == rule_b && std::any_of(std::begin(as_one), std::end(as_one), [&](const AsOne& one) {
               return one.rule == rule_a && ((one.a == a && one.b == b) || (one.a == b && one.b == a));
           });
}

/// The stretches in which a finding shows: its phases in the repetitions in which they are outside; without phases the repetitions.
void add_spans(const Finding& f, const Review& review, std::vector<Visible::Span>& to) {
    const auto& all = review.alignment.repetitions;
    const auto repetition = [&](int n) { return n >= 0 && n < static_cast<int>(all.size()) ? &all[static_cast<std::size_t>(n)] : nullptr; };
    bool any = false;
    for (const auto* p : f.outside())
        for (const int n : p->repetitions)
            if (const auto* r = repetition(n))
                for (const auto& span : r->phases)
                    if (span.id == p->phase) to.push_back({span.start_s, span.end_s, f.side}), any = true;
    if (any) return;
    for (const int n : f.repetitions)
        if (const auto* r = repetition(n)) to.push_back({r->start_s, r->end_s, f.side});
    if (f.repetitions.empty()) to.push_back({f.time_s - moment_s, f.time_s + moment_s, f.side});
}

void sort_spans(std::vector<Visible::Span>& spans) {
    std::sort(spans.begin(), spans.end(),
              [](const auto& a, const auto& b) { return std::tie(a.from_s, a.to_s) < std::tie(b.from_s, b.to_s); });
}

Visible visible_of(const Remarked& r, const Review& review) {
    Visible v;
    for (const auto k : r.findings) {
        const Finding& f = review.findings[k];
        v.left = v.left || f.side == Side::left;
        v.right = v.right || f.side == Side::right;
        add_spans(f, review, v.spans);
    }
    const Finding& most = review.findings[r.findings.front()];
    v.check = most.check, v.rule = most.rule, v.measure = most.measure, v.direction = most.direction;
    v.family = most.family, v.severity = most.severity, v.time_s = most.time_s, v.finding = r.findings.front();
    v.size = std::abs(most.excess()) / most.scale();
    sort_spans(v.spans);
    return v;
}

bool shows_on(const Visible& v, Side s) {
    return s == Side::left ? v.left : v.right;
}
bool speaks_of(SaidSide said, Side side) {
    return said == SaidSide::both || said == (side == Side::left ? SaidSide::left : SaidSide::right);
}

/// Whether the sides that were said are sides on which it shows.
bool sides_fit(SaidSide said, const Visible& v) {
    if (said == SaidSide::none) return false;
    for (const Side s : {Side::left, Side::right})
        if (speaks_of(said, s) && !shows_on(v, s)) return false;
    return true;
}
bool moment_fits(double t, const Visible& v) {
    return std::any_of(v.spans.begin(), v.spans.end(), [&](const auto& s) { return t >= s.from_s - moment_s && t <= s.to_s + moment_s; });
}

/// What somebody said that is not there: whether anybody could have known.
SeenMark of_what_is_not_there(const Said& s, const Check& check, const WhatIsThere& truth) {
    const auto means = [&](const WhatIsThere::Other& o) {
        return same_thing(check.rule, check.measure, o.rule, o.measure) &&
               (o.direction == Direction::none || o.direction == seen_direction(check, s.direction)) &&
               (!o.side || s.side == SaidSide::none || speaks_of(s.side, *o.side));
    };
    if (std::any_of(truth.open.begin(), truth.open.end(), means)) return SeenMark::open;
    if (std::any_of(truth.untold.begin(), truth.untold.end(), means)) return SeenMark::untold;
    // What nothing was told of, one way or the other, nobody can call invented.
    return std::any_of(truth.within.begin(), truth.within.end(), means) ? SeenMark::invented : SeenMark::untold;
}

bool comes_alike(const Visible& a, const Visible& b) {
    return a.family == b.family && (a.severity == Severity::safety) == (b.severity == Severity::safety);
}

} // namespace

std::string_view said_side_name(SaidSide s) {
    constexpr std::array<std::string_view, 4> names{"", "left", "right", "both"};
    return names[static_cast<std::size_t>(s)];
}
std::string_view seen_mark_name(SeenMark m) {
    constexpr std::array<std::string_view, 5> names{"found", "again", "invented", "open", "untold"};
    return names[static_cast<std::size_t>(m)];
}

bool same_to_the_eye(const Check& a, const Check& b) {
    return same_thing(a.rule, a.measure, b.rule, b.measure);
}

Direction seen_direction(const Check& check, Direction direction) {
    const bool alike = check.low && check.high && !check.fault_low.empty() && check.fault_low == check.fault_high;
    return alike && direction != Direction::none ? Direction::low : direction;
}

std::vector<Sayable> sayables(const Movement& movement) {
    std::vector<Sayable> out;
    std::vector<const Check*> of;
    for (const auto& c : movement.checks) {
        if (std::find(not_in_a_picture.begin(), not_in_a_picture.end(), c.rule) != not_in_a_picture.end()) continue;
        for (const Direction d : {Direction::low, Direction::high}) {
            if (!(d == Direction::low ? c.low : c.high) || seen_direction(c, d) != d) continue;
            const std::size_t n = out.size();
            std::size_t k = 0;
            while (k < n && !(out[k].direction == d && same_to_the_eye(*of[k], c))) ++k;
            if (k < n) {
                out[k].sided = out[k].sided || !c.side.empty();
                continue;
            }
            out.push_back({c.id, c.rule, d, family_of(c.rule), !c.side.empty()});
            of.push_back(&c);
        }
    }
    std::stable_sort(out.begin(), out.end(), [](const Sayable& a, const Sayable& b) { return a.family < b.family; });
    return out;
}

WhatIsThere what_is_there(const Review& review, const std::vector<FindingKey>& set_aside) {
    WhatIsThere out;
    const auto aside = [&](const Finding& f) {
        return std::any_of(set_aside.begin(), set_aside.end(), [&](const FindingKey& k) { return k.means(f); });
    };
    for (const auto& r : remarked(review.findings)) {
        const Finding& first = review.findings[r.findings.front()];
        if (first.by_hand) continue; // words alone: nothing to hold against what is said
        Remarked counted;
        for (const auto k : r.findings) {
            const Finding& f = review.findings[k];
            WhatIsThere::Other other{f.check, f.rule, f.measure, f.side, f.direction};
            if (const Check* check = check_of(review.movement, f.check)) other.direction = seen_direction(*check, f.direction);
            if (f.of_clip == 1 || f.verdict == Verdict::edge || f.once || f.allowed || (f.verdict == Verdict::outside && aside(f)))
                out.open.push_back(other);
            else if (f.verdict == Verdict::cannot_tell)
                out.untold.push_back({f.check, f.rule, f.measure, f.side, Direction::none});
            else if (f.verdict == Verdict::inside)
                out.within.push_back({f.check, f.rule, f.measure, f.side, Direction::none});
            else
                counted.findings.push_back(k);
        }
        if (counted.findings.empty()) continue;
        Visible v = visible_of(counted, review);
        if (const Check* check = check_of(review.movement, v.check)) v.direction = seen_direction(*check, v.direction);
        // What an eye does not tell apart is one thing, the larger one leads.
        const auto twin = std::find_if(out.there.begin(), out.there.end(), [&](const Visible& o) {
            return o.direction == v.direction && same_thing(o.rule, o.measure, v.rule, v.measure);
        });
        if (twin == out.there.end()) {
            out.there.push_back(std::move(v));
            continue;
        }
        if (v.size > twin->size) std::swap(v, *twin);
        twin->left = twin->left || v.left, twin->right = twin->right || v.right;
        twin->severity = std::min(twin->severity, v.severity);
        twin->spans.insert(twin->spans.end(), v.spans.begin(), v.spans.end());
        sort_spans(twin->spans);
    }
    std::stable_sort(out.there.begin(), out.there.end(), [&](const Visible& a, const Visible& b) {
        return comes_first(review.findings[a.finding], review.findings[b.finding]);
    });
    return out;
}

int SeenCount::found() const {
    return static_cast<int>(std::count_if(found_by.begin(), found_by.end(), [](const auto& f) { return f.has_value(); }));
}
int SeenCount::of(SeenMark m) const {
    return static_cast<int>(std::count(said.begin(), said.end(), m));
}

SeenCount count_seen(const std::vector<Said>& said, const WhatIsThere& truth, const Movement& movement) {
    SeenCount out;
    const auto n = truth.there.size();
    out.found_by.resize(n), out.side_right.resize(n), out.moment_right.resize(n);
    std::vector<std::optional<std::size_t>> of(said.size()); // what each speaks of
    for (std::size_t k = 0; k < said.size(); ++k) {
        const Check* check = check_of(movement, said[k].check);
        if (!check) { // of another movement, or one that is gone
            out.said.push_back(SeenMark::untold);
            continue;
        }
        for (std::size_t i = 0; i < n && !of[k]; ++i)
            if (truth.there[i].direction == seen_direction(*check, said[k].direction) &&
                same_thing(check->rule, check->measure, truth.there[i].rule, truth.there[i].measure))
                of[k] = i;
        if (!of[k]) {
            out.said.push_back(of_what_is_not_there(said[k], *check, truth));
            continue;
        }
        const Visible& v = truth.there[*of[k]];
        const bool sided = v.left || v.right, side = sides_fit(said[k].side, v), moment = moment_fits(said[k].time_s, v);
        auto &sides = out.side_right[*of[k]], &moments = out.moment_right[*of[k]];
        const bool again = out.found_by[*of[k]].has_value();
        out.said.push_back(again ? SeenMark::again : SeenMark::found);
        if (!again) out.found_by[*of[k]] = k;
        // Said of each side by itself, both must be right; said again of another moment, one of them is enough.
        if (sided) sides = again ? *sides && side : side;
        moments = again ? *moments || moment : moment;
    }
    std::vector<std::size_t> order; // of what is there, as it was said
    for (std::size_t k = 0; k < said.size(); ++k)
        if (of[k] && out.said[k] == SeenMark::found) order.push_back(*of[k]);
    for (std::size_t a = 0; a < order.size(); ++a)
        for (std::size_t b = a + 1; b < order.size(); ++b) {
            if (comes_alike(truth.there[order[a]], truth.there[order[b]])) continue;
            ++out.pairs;
            if (order[a] < order[b]) ++out.in_order;
        }
    if (n > 0 && !said.empty()) out.first_right = of.front() && comes_alike(truth.there[*of.front()], truth.there.front());
    return out;
}

} // namespace bevel
