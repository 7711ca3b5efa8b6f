#include "core/practice/programme.h"
#include <coin/Cbc_C_Interface.h>
#include <map>
#include <memory>
#include <string>

namespace bevel {

std::optional<std::vector<double>> Programme::best(int nodes) const {
    const auto n = low_.size();
    std::vector<std::vector<std::pair<int, double>>> by_column(n);
    std::vector<double> below, above;
    for (std::size_t r = 0; r < rows_.size(); ++r) {
        std::map<int, double> sum;
        for (const auto& [c, v] : rows_[r].terms) sum[c] += v;
        for (const auto& [c, v] : sum) by_column[static_cast<std::size_t>(c)].emplace_back(static_cast<int>(r), v);
        below.push_back(rows_[r].low), above.push_back(rows_[r].high);
    }
    std::vector<CoinBigIndex> start{0};
    std::vector<int> index;
    std::vector<double> values;
    for (const auto& c : by_column) {
        for (const auto& [r, v] : c) index.push_back(r), values.push_back(v);
        start.push_back(static_cast<CoinBigIndex>(index.size()));
    }
    const std::unique_ptr<Cbc_Model, decltype(&Cbc_deleteModel)> model(Cbc_newModel(), Cbc_deleteModel);
    Cbc_loadProblem(model.get(), static_cast<int>(n), static_cast<int>(rows_.size()), start.data(), index.data(), values.data(),
                    low_.data(), high_.data(), value_.data(), below.data(), above.data());
    Cbc_setObjSense(model.get(), -1);
    for (std::size_t i = 0; i < n; ++i)
        if (whole_[i]) Cbc_setInteger(model.get(), static_cast<int>(i));
    Cbc_setParameter(model.get(), "log", "0");
    Cbc_setParameter(model.get(), "maxNodes", std::to_string(nodes).c_str());
    Cbc_setParameter(model.get(), "ratioGap", "0.01"); // a hundredth of what could be better is not waited for
    Cbc_setParameter(model.get(), "threads", "0");
    Cbc_solve(model.get());
    if (Cbc_isProvenInfeasible(model.get()) || Cbc_numberSavedSolutions(model.get()) == 0) return std::nullopt;
    const double* x = Cbc_getColSolution(model.get());
    return std::vector<double>(x, x + n);
}

} // namespace bevel
