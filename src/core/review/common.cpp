#include "core/review/common.h"
#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

namespace bevel {
namespace {

/// A rule in one direction.
using Key = std::pair<std::string, Direction>;

/// The surest figure of a person about a rule.
struct Told {
    double chance = 0;
    std::string check, movement;
};

const Rule* rule_of(const std::string& check) {
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            if (rc.check.id == check) return &rule;
    return nullptr;
}

std::map<Key, Told> told_by(const PersonFigures& person) {
    std::map<std::tuple<std::string, std::string, std::string, std::string>, const KeptFigure*> newest;
    for (const auto& f : person.figures) {
        const KeptFigure*& at = newest[{f.movement, f.check, f.side, f.view}];
        if (!at || at->day <= f.day) at = &f;
    }
    std::map<Key, Told> out;
    for (const auto& [key, f] : newest) {
        const Rule* rule = rule_of(f->check);
        if (!rule) continue;
        for (const Direction d : {Direction::low, Direction::high})
            if (const auto chance = chance_beyond(*f, d)) {
                const auto [at, fresh] = out.try_emplace({rule->id, d});
                if (fresh || *chance > at->second.chance) at->second = {*chance, f->check, f->movement};
            }
    }
    return out;
}

/// The distribution of how many of them are so, each with its own chance.
std::vector<double> number_of(const std::vector<double>& chances) {
    std::vector<double> p{1};
    for (const double c : chances) {
        p.push_back(0);
        for (std::size_t k = p.size(); k-- > 0;) p[k] = p[k] * (1 - c) + (k > 0 ? p[k - 1] * c : 0);
    }
    return p;
}

int quantile_of(const std::vector<double>& p, double q) {
    double sum = 0;
    for (std::size_t k = 0; k < p.size(); ++k) {
        sum += p[k];
        if (sum >= q - 1e-12) return static_cast<int>(k);
    }
    return static_cast<int>(p.size()) - 1;
}

struct Counted {
    CommonFault fault;
    std::vector<double> chances;
};

std::string most_named(const std::vector<std::string>& names) {
    std::map<std::string, int> n;
    for (const auto& x : names) ++n[x];
    const auto best = std::max_element(n.begin(), n.end(), [](const auto& a, const auto& b) { return a.second < b.second; });
    return best == n.end() ? std::string() : best->first;
}

std::map<Key, Counted> counted(std::span<const PersonFigures> people) {
    std::map<Key, Counted> out;
    std::map<Key, std::pair<std::vector<std::string>, std::vector<std::string>>> where; // checks, movements
    for (const auto& person : people)
        for (const auto& [key, told] : told_by(person)) {
            Counted& c = out[key];
            c.chances.push_back(told.chance);
            ++c.fault.told;
            auto& [checks, movements] = where[key];
            if (told.chance <= 0.5) {
                if (c.fault.check.empty()) c.fault.check = told.check;
                continue;
            }
            ++c.fault.missing;
            c.fault.who.push_back(person.person);
            checks.push_back(told.check);
            movements.push_back(told.movement);
        }
    for (auto& [key, c] : out) {
        c.fault.rule = key.first;
        c.fault.direction = key.second;
        if (c.fault.missing > 0) {
            c.fault.check = most_named(where[key].first);
            c.fault.movement = most_named(where[key].second);
        }
        const auto p = number_of(c.chances);
        c.fault.least = quantile_of(p, 0.05);
        c.fault.most = quantile_of(p, 0.95);
    }
    return out;
}

double log_beta(double a, double b) {
    return std::lgamma(a) + std::lgamma(b) - std::lgamma(a + b);
}

/// The chance that a share of Beta(a, b) is larger than one of Beta(c, d), for whole numbers (Miller 2014, a sum over a).
double larger(int a, int b, int c, int d) {
    double sum = 0;
    for (int i = 0; i < a; ++i) sum += std::exp(log_beta(c + i, b + d) - std::log(b + i) - log_beta(1 + i, b) - log_beta(c, d));
    return std::clamp(sum, 0.0, 1.0);
}

} // namespace

std::optional<double> chance_beyond(const KeptFigure& f, Direction direction) {
    const auto end = direction == Direction::low ? f.low : f.high;
    if (direction == Direction::none || !end || !std::isfinite(f.value)) return std::nullopt;
    const double beyond = direction == Direction::low ? *end - f.value : f.value - *end;
    const double sigma = std::hypot(f.own, f.of_clip, f.person);
    if (!(sigma > 0)) return beyond > 0 ? 1.0 : 0.0;
    return 0.5 * std::erfc(-beyond / sigma / std::numbers::sqrt2);
}

std::vector<CommonFault> common_faults(std::span<const PersonFigures> people) {
    std::vector<CommonFault> out;
    for (auto& [key, c] : counted(people))
        if (c.fault.least >= 2) out.push_back(std::move(c.fault));
    const auto share = [](const CommonFault& f) { return static_cast<double>(f.missing) / f.told; };
    std::stable_sort(out.begin(), out.end(), [&](const CommonFault& a, const CommonFault& b) {
        if (std::abs(share(a) - share(b)) > 1e-9) return share(a) > share(b);
        return family_of(a.rule) < family_of(b.rule);
    });
    return out;
}

std::vector<ShareChange> share_changes(std::span<const PersonFigures> before, std::span<const PersonFigures> after) {
    const auto was = counted(before), is = counted(after);
    std::map<Key, ShareChange> all;
    for (const auto* side : {&was, &is})
        for (const auto& [key, c] : *side) {
            if (c.fault.missing < 2) continue; // one alone is nothing in common
            ShareChange& s = all[key];
            s.rule = key.first;
            s.direction = key.second;
            s.check = c.fault.check;
        }
    std::vector<ShareChange> out;
    for (auto& [key, s] : all) {
        const auto a = was.find(key), b = is.find(key);
        if (a != was.end()) s.before = a->second.fault;
        if (b != is.end()) s.after = b->second.fault;
        if (a != was.end() && b != is.end()) {
            const auto p = number_of(a->second.chances), q = number_of(b->second.chances);
            s.fell = 0;
            for (std::size_t i = 0; i < p.size(); ++i)
                for (std::size_t k = 0; k < q.size(); ++k)
                    if (p[i] * q[k] > 1e-9)
                        s.fell += p[i] * q[k] *
                                  larger(static_cast<int>(i) + 1, s.before.told - static_cast<int>(i) + 1, static_cast<int>(k) + 1,
                                         s.after.told - static_cast<int>(k) + 1);
        }
        out.push_back(std::move(s));
    }
    std::stable_sort(out.begin(), out.end(), [](const ShareChange& a, const ShareChange& b) {
        const auto share = [](const CommonFault& f) { return f.told > 0 ? static_cast<double>(f.missing) / f.told : 0.0; };
        if (std::abs(share(a.before) - share(b.before)) > 1e-9) return share(a.before) > share(b.before);
        return family_of(a.rule) < family_of(b.rule);
    });
    return out;
}

} // namespace bevel
