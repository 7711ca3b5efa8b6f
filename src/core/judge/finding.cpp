// What a finding says of itself: its names, how far out it is, which stand first, and which are one remark.
#include "core/judge/beyond.h"
#include "core/judge/judge.h"
#include <algorithm>
#include <array>
#include <cmath>

namespace bevel {

namespace {
int rank(const Finding& f) {
    if (f.verdict == Verdict::outside) return f.severity == Severity::safety ? 0 : 1;
    if (f.verdict == Verdict::edge) return 2;
    return f.verdict == Verdict::inside ? 3 : 4;
}
} // namespace

bool comes_first(const Finding& a, const Finding& b) {
    if (rank(a) != rank(b)) return rank(a) < rank(b);
    if (a.family != b.family) return a.family < b.family;
    if (a.repetitions.size() != b.repetitions.size()) return a.repetitions.size() > b.repetitions.size();
    return std::abs(a.excess()) / std::max(a.sigma, 1e-9) > std::abs(b.excess()) / std::max(b.sigma, 1e-9);
}

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

std::vector<const PhaseFinding*> Finding::outside() const {
    std::vector<const PhaseFinding*> out;
    for (const auto& p : phases)
        if (p.verdict == Verdict::outside) out.push_back(&p);
    std::stable_sort(out.begin(), out.end(), [](const auto* a, const auto* b) {
        return std::abs(beyond(a->value, a->low, a->high)) > std::abs(beyond(b->value, b->low, b->high));
    });
    return out;
}

std::vector<Remarked> remarked(const std::vector<Finding>& findings) {
    std::vector<Remarked> out;
    for (std::size_t k = 0; k < findings.size(); ++k) {
        const Finding& f = findings[k];
        const auto same = [&](const Remarked& r) {
            const Finding& o = findings[r.findings.front()];
            return !f.by_hand && !o.by_hand && f.verdict == Verdict::outside && o.verdict == Verdict::outside && o.rule == f.rule &&
                   o.measure == f.measure && o.direction == f.direction && o.severity == f.severity;
        };
        const auto at = std::find_if(out.begin(), out.end(), same);
        if (at == out.end()) {
            out.push_back({{k}});
            continue;
        }
        at->findings.push_back(k);
        // The farthest outside leads, by the size of its band: one against the reference and one by itself are not equally wide.
        auto far = [&](std::size_t i) { return std::abs(findings[i].excess()) / findings[i].scale(); };
        if (far(k) > far(at->findings.front())) std::swap(at->findings.front(), at->findings.back());
    }
    return out;
}

std::vector<const Finding*> remark_of(const Finding& f, const std::vector<Finding>& findings) {
    for (const auto& r : remarked(findings)) {
        std::vector<const Finding*> out;
        bool there = false;
        for (const auto k : r.findings) {
            out.push_back(&findings[k]);
            there = there || (findings[k].key() == f.key() && findings[k].side == f.side);
        }
        if (there) return out;
    }
    return {&f};
}

std::string Finding::key() const {
    return direction == Direction::none ? check : check + "." + std::string(direction_name(direction));
}

} // namespace bevel
