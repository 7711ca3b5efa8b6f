// Reading of JSON data files: small readers that name the place that is wrong. Used inside core only.
#pragma once
#include "core/result.h"
#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>

namespace bevel::reading {

using nlohmann::json;

/// Thrown and caught inside the reading only, to leave a nested read with the place that is wrong.
struct Bad {
    std::string where;
};

/// What goes wrong inside is said with the place it is in.
template <class F> auto within(const std::string& place, F read) {
    try {
        return read();
    } catch (const Bad& b) {
        throw Bad{place + ": " + b.where};
    }
}

/// Nothing but these keys; a mistyped one would be passed over in silence else.
inline void only(const json& j, std::initializer_list<const char*> keys) {
    if (!j.is_object()) throw Bad{"an object is needed"};
    for (const auto& [key, value] : j.items())
        if (std::none_of(keys.begin(), keys.end(), [&k = key](const char* known) { return k == known; }))
            throw Bad{"'" + key + "' is not known here"};
}

template <class E> E pick(const std::string& word, std::initializer_list<std::pair<const char*, E>> of, const char* where) {
    for (const auto& [name, value] : of)
        if (word == name) return value;
    throw Bad{std::string(where) + " '" + word + "'"};
}

inline double number(const json& j, const char* key, double fallback, double lo, double hi) {
    const auto it = j.find(key);
    if (it == j.end()) return fallback;
    if (!it->is_number()) throw Bad{key};
    const double v = it->get<double>();
    if (!std::isfinite(v) || v < lo || v > hi) throw Bad{key};
    return v;
}

inline std::string text(const json& j, const char* key, bool needed = true) {
    const auto it = j.find(key);
    if (it == j.end()) {
        if (needed) throw Bad{key};
        return {};
    }
    if (!it->is_string()) throw Bad{key};
    auto s = it->get<std::string>();
    if (s.size() > 2000) throw Bad{key};
    return s;
}

/// Whether; an absent one is not so.
inline bool flag(const json& j, const char* key) {
    const auto it = j.find(key);
    if (it == j.end()) return false;
    if (!it->is_boolean()) throw Bad{key};
    return it->get<bool>();
}

/// Small letters, digits and underscores.
inline std::string identifier(const json& j, const char* key) {
    const std::string s = text(j, key);
    const auto good = [](char c) { return (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || c == '_'; };
    if (s.empty() || !std::all_of(s.begin(), s.end(), good)) throw Bad{std::string(key) + " '" + s + "'"};
    return s;
}

inline const json& part(const json& j, const char* key, json::value_t type) {
    const auto it = j.find(key);
    if (it == j.end() || it->type() != type) throw Bad{key};
    return *it;
}

template <class F> auto guarded(const std::string& source, F read) -> Result<decltype(read(json{}))> {
    try {
        const json j = json::parse(source, nullptr, true);
        if (!j.is_object()) return fail(Code::unreadable, "not a JSON object");
        return read(j);
    } catch (const Bad& b) {
        return fail(Code::bad_value, b.where);
    } catch (const json::exception& e) {
        return fail(Code::unreadable, e.what());
    }
}

} // namespace bevel::reading
