// Figures of a quiet test as the library and a bundle write them. Inside the store only.
#pragma once
#include "core/measure/quiet_test.h"
#include <nlohmann/json.hpp>

namespace bevel {

inline nlohmann::json test_figures(const std::vector<TestFigure>& all) {
    auto figures = nlohmann::json::array();
    for (const auto& f : all)
        figures.push_back({{"id", f.id},
                           {"unit", f.unit},
                           {"side", f.side ? std::string(side_name(*f.side)) : std::string()},
                           {"value", f.value},
                           {"sigma", f.sigma}});
    return figures;
}

} // namespace bevel
