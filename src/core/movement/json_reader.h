// What movements, rules and schools share in their files. Used inside core/movement only.
#pragma once
#include "core/json_reader.h"
#include "core/movement/rules.h"

namespace bevel::reading {

inline Summary summary_from(const std::string& s) {
    return pick<Summary>(s,
                         {{"max", Summary::max},
                          {"min", Summary::min},
                          {"median", Summary::median},
                          {"at_end", Summary::at_end},
                          {"at_start", Summary::at_start},
                          {"event", Summary::event}},
                         "summary");
}

/// [low, high], either of which may be null.
inline std::pair<std::optional<double>, std::optional<double>> band_from(const json& j, const char* key = "band") {
    const auto& band = part(j, key, json::value_t::array);
    if (band.size() != 2) throw Bad{key};
    auto end = [&](const json& v) -> std::optional<double> {
        if (v.is_null()) return std::nullopt;
        if (!v.is_number()) throw Bad{key};
        return v.get<double>();
    };
    const auto low = end(band[0]), high = end(band[1]);
    if (low && high && *low > *high) throw Bad{key};
    return {low, high};
}

inline Severity severity_from(const std::string& s) {
    return pick<Severity>(s,
                          {{"safety", Severity::safety},
                           {"ground", Severity::ground},
                           {"timing", Severity::timing},
                           {"shape", Severity::shape},
                           {"even", Severity::even}},
                          "severity");
}

} // namespace bevel::reading
