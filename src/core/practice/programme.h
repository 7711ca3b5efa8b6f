// A linear programme in whole and real numbers, solved by CBC (coin-or.org).
#pragma once
#include <optional>
#include <utility>
#include <vector>

namespace bevel {

/// Terms of a row: column and factor.
using Terms = std::vector<std::pair<int, double>>;
inline constexpr double endless = 1e30;

/// Built column by column, row by row; what it is asked for is to be as large as it can be.
class Programme {
public:
    int column(double low, double high, double value, bool whole) {
        low_.push_back(low), high_.push_back(high), value_.push_back(value), whole_.push_back(whole);
        return static_cast<int>(low_.size()) - 1;
    }
    void row(Terms terms, double low, double high) { rows_.push_back({std::move(terms), low, high}); }

    /// The best found within `nodes` of the search (not a time, so that it is repeatable); nothing where none is feasible.
    std::optional<std::vector<double>> best(int nodes) const;

private:
    struct Row {
        Terms terms;
        double low, high;
    };
    std::vector<double> low_, high_, value_;
    std::vector<bool> whole_;
    std::vector<Row> rows_;
};

} // namespace bevel
