// Words of a command line: positionals and options of the form --name value.
#pragma once
#include "core/result.h"
#include <charconv>
#include <map>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace bevel::cli {

class Args {
public:
    /// `allowed` names the options that take a value, `flags` those that take none; any other option is an error.
    static Result<Args> parse(const std::vector<std::string>& words, const std::set<std::string>& allowed,
                              const std::set<std::string>& flags = {}) {
        Args a;
        for (std::size_t i = 0; i < words.size(); ++i) {
            const std::string& w = words[i];
            if (w.size() < 2 || w[0] != '-') {
                a.positional.push_back(w);
                continue;
            }
            if (flags.contains(w)) {
                a.flags_.insert(w);
                continue;
            }
            if (!allowed.contains(w)) return fail(Code::bad_value, "unknown option " + w);
            if (i + 1 >= words.size()) return fail(Code::bad_value, w + " needs a value");
            a.options_[w].push_back(words[++i]);
        }
        return a;
    }
    std::optional<std::string> text(const std::string& name) const {
        const auto it = options_.find(name);
        return it == options_.end() ? std::nullopt : std::optional(it->second.back());
    }
    bool flag(const std::string& name) const { return flags_.contains(name); }
    std::vector<std::string> all(const std::string& name) const {
        const auto it = options_.find(name);
        return it == options_.end() ? std::vector<std::string>{} : it->second;
    }
    /// The number of an option, or bad_value when it is not one within [low, high].
    Result<std::optional<double>> number(const std::string& name, double low, double high) const {
        const auto t = text(name);
        if (!t) return std::optional<double>{};
        double v = 0;
        const auto [end, ec] = std::from_chars(t->data(), t->data() + t->size(), v);
        if (ec != std::errc() || end != t->data() + t->size() || !(v >= low && v <= high))
            return fail(Code::bad_value, name + " must be a number from " + std::to_string(low) + " to " + std::to_string(high));
        return std::optional(v);
    }
    std::vector<std::string> positional;

private:
    std::map<std::string, std::vector<std::string>> options_;
    std::set<std::string> flags_;
};

} // namespace bevel::cli
