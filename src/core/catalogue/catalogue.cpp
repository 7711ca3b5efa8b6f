#include "core/catalogue/catalogue.h"
#include "core/json_reader.h"
#include <cstdio>
#include <cstdlib>
#include <set>

namespace bevel {
namespace {
#include "measures_json.inc" // data/measures.json as text, made by CMake

using namespace reading;

MeasureInfo measure_from(const json& m) {
    only(m, {"id", "name", "family", "unit", "definition", "seen_from", "sided", "hidden", "habit", "gates", "line"});
    MeasureInfo i;
    i.id = text(m, "id");
    try {
        i.name = text(m, "name");
        i.unit = text(m, "unit");
        i.family = text(m, "family");
        i.definition = text(m, "definition");
        i.seen_from = text(m, "seen_from");
        i.sided = flag(m, "sided");
        i.hidden = flag(m, "hidden");
        i.habit = flag(m, "habit");
        static const std::set<std::string> families{"arms", "feet", "head", "hips", "knees", "spine", "tempo", "weight"};
        if (!families.contains(i.family)) throw Bad{"family '" + i.family + "' is not known"};
        if (!m.contains("gates")) return i;
        const auto& g = part(m, "gates", json::value_t::object);
        only(g, {"turned_deg", "most_sigma", "least_m", "share", "toes_out_deg", "vertical", "neutral", "over_floor"});
        auto gate = [&](const char* key, std::optional<double>& into, double most) {
            if (g.contains(key)) into = reading::number(g, key, 0, 0, most);
        };
        gate("turned_deg", i.turned_deg, 90);
        gate("most_sigma", i.most_sigma, 1000);
        gate("least_m", i.least_m, 2);
        gate("share", i.share, 1);
        gate("toes_out_deg", i.toes_out_deg, 90);
        i.needs_vertical = flag(g, "vertical");
        i.needs_neutral = flag(g, "neutral");
        i.over_floor = text(g, "over_floor", false);
        if (!i.over_floor.empty() && i.over_floor != "sideways" && i.over_floor != "forward")
            throw Bad{"over_floor '" + i.over_floor + "' is not known"};
    } catch (const Bad& b) {
        throw Bad{"measure " + i.id + ": " + b.where};
    }
    return i;
}

} // namespace

Result<std::vector<MeasureInfo>> parse_measures(const std::string& source) {
    return guarded(source, [](const json& j) {
        only(j, {"$schema", "measures"});
        std::vector<MeasureInfo> out;
        std::set<std::string> ids;
        for (const auto& m : part(j, "measures", json::value_t::array)) {
            out.push_back(measure_from(m));
            if (!ids.insert(out.back().id).second) throw Bad{"measure " + out.back().id + ": is there twice"};
        }
        if (out.empty() || out.size() > 500) throw Bad{"measures"};
        return out;
    });
}

const std::vector<MeasureInfo>& measure_catalogue() {
    static const std::vector<MeasureInfo> all = [] {
        auto read = parse_measures(measures_json_text);
        if (!read) {
            std::fprintf(stderr, "data/measures.json: %s\n", read.error().context.c_str());
            std::abort(); // built in, and read by the tests
        }
        return std::move(*read);
    }();
    return all;
}

const MeasureInfo* measure_info(std::string_view id) {
    for (const auto& m : measure_catalogue())
        if (m.id == id) return &m;
    return nullptr;
}

} // namespace bevel
