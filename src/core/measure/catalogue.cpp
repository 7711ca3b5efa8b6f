#include "core/measure/measures.h"
#include <nlohmann/json.hpp>

namespace bevel {
namespace {
#include "measures_json.inc" // data/measures.json as text, made by CMake

std::vector<MeasureInfo> read() {
    std::vector<MeasureInfo> out;
    const auto j = nlohmann::json::parse(measures_json_text);
    for (const auto& m : j.at("measures")) {
        MeasureInfo i;
        i.id = m.at("id").get<std::string>();
        i.name = m.at("name").get<std::string>();
        i.unit = m.at("unit").get<std::string>();
        i.family = m.at("family").get<std::string>();
        i.definition = m.at("definition").get<std::string>();
        i.seen_from = m.at("seen_from").get<std::string>();
        i.sided = m.value("sided", false);
        i.hidden = m.value("hidden", false);
        if (m.contains("gates")) {
            const auto& g = m["gates"];
            auto number = [&](const char* key, std::optional<double>& into) {
                if (g.contains(key)) into = g[key].get<double>();
            };
            number("turned_deg", i.turned_deg);
            number("most_sigma", i.most_sigma);
            number("least_m", i.least_m);
            number("share", i.share);
            number("toes_out_deg", i.toes_out_deg);
            i.needs_vertical = g.value("vertical", false);
            i.over_floor = g.value("over_floor", "");
            i.needs_neutral = g.value("neutral", false);
        }
        out.push_back(std::move(i));
    }
    return out;
}
} // namespace

const std::vector<MeasureInfo>& measure_catalogue() {
    static const std::vector<MeasureInfo> all = read();
    return all;
}

const MeasureInfo* measure_info(std::string_view id) {
    for (const auto& m : measure_catalogue())
        if (m.id == id) return &m;
    return nullptr;
}

} // namespace bevel
