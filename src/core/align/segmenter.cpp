#include "core/align/segmenter.h"
#include <algorithm>
#include <array>
#include <tuple>

namespace bevel::aligning {
namespace {

/// Explains every moment of the clip either as a moment of a repetition of a unit or as standing by, at the least total cost. Within a
/// repetition one step of the student passes up to three of the reference, and three steps of the student at most pass one: slopes 1/3
/// to 3; a row that rests is stayed in for any length. Only at the ends of the clip may a repetition begin or end anywhere. (Viterbi 1967;
/// the moments of all units are the states.)
class Segmenter {
public:
    Segmenter(const std::vector<Unit>& units, const Eigen::MatrixXd& student, const Eigen::MatrixXd& still, const Prices& prices,
              const Series& standing)
        : units_(units), student_(student.transpose()), prices_(prices), standing_(standing), start_of_clip_(units.size()) {
        Eigen::Index rows = still.rows();
        for (const auto& u : units) rows += u.rows.rows();
        reference_.resize(rows, still.cols());
        reference_.topRows(still.rows()) = still;
        rows = still.rows();
        stills_ = rows;
        for (const auto& u : units) {
            begins_.push_back(rows);
            reference_.middleRows(rows, u.rows.rows()) = u.rows;
            rows += u.rows.rows();
        }
        reference_size_ = reference_.rowwise().squaredNorm();
        student_size_ = student_.colwise().squaredNorm();
    }

    /// `cost` becomes that of the whole clip.
    std::vector<Chosen> run(double& cost) {
        const auto m = student_.cols();
        cost_.resize(units_.size());
        came_.resize(units_.size());
        slot_.resize(units_.size());
        stayed_.resize(units_.size());
        resting_rows_.assign(units_.size(), {});
        for (std::size_t s = 0; s < units_.size(); ++s) {
            const auto n = static_cast<std::size_t>(units_[s].rows.rows());
            for (auto& way : cost_[s]) way.assign(n, inf);
            came_[s].assign(n * static_cast<std::size_t>(m), none);
            slot_[s].assign(n, 0);
            std::size_t slots = 0;
            for (std::size_t i = 0; i < n; ++i)
                if (units_[s].rests[i]) {
                    slot_[s][i] = static_cast<std::size_t>(m) * slots++;
                    resting_rows_[s].push_back(i);
                }
            stayed_[s].assign(slots * static_cast<std::size_t>(m), 0);
        }
        next_cost_ = cost_;
        idle_.assign(units_.size() + 1, inf);
        next_idle_ = idle_;
        idle_came_.assign(static_cast<std::size_t>(m) * idle_.size(), from_idle);
        for (Eigen::Index j = 0; j < m; ++j) {
            if (j % block == 0) hold_against(j, std::min(block, m - j));
            step(j);
        }
        end();
        return trace(cost);
    }

private:
    static constexpr double limit = 0.9;      // mean squared distance, in variances, from which a moment is better not explained
    static constexpr double begun = 1;        // of a repetition: what merely sways is no row of them
    static constexpr double cut = 1.5;        // of a repetition that is not seen whole
    static constexpr int apart = 10;          // moments between stays in rows of one hold
    static constexpr Eigen::Index block = 32; // moments of the clip that are held against the reference in one product
    /// At a moment for the first, second, third time, or resting there: another time, of any number.
    static constexpr std::size_t ways = 4, resting = 3;
    /// How a state was reached: ways * (steps - 1) + way within a repetition; from_idle + what came before; end_of + ways * unit + way;
    /// cut_in: the clip begins here.
    using How = unsigned short;
    static constexpr How none = 65535, cut_in = 65534, from_idle = 3 * ways;
    How end_of() const { return static_cast<How>(from_idle + units_.size() + 1); }

    double idle_cost(Eigen::Index j) const {
        const double price = standing_.empty() ? standing_price : standing_[static_cast<std::size_t>(j)];
        return std::min(limit, apart_.col(j % block).head(stills_).minCoeff() + price);
    }

    /// Mean squared distances of the moments from `first` from every moment of the reference: |a - b|^2 = |a|^2 - 2 a b + |b|^2.
    void hold_against(Eigen::Index first, Eigen::Index count) {
        apart_.noalias() = reference_ * student_.middleCols(first, count);
        apart_ = (((-2 * apart_).colwise() + reference_size_).rowwise() + student_size_.segment(first, count)) /
                 static_cast<double>(reference_.cols());
        apart_ = apart_.cwiseMax(0);
    }

    /// Price of a unit after another, or of the first one.
    double price(std::size_t before, std::size_t next) const {
        const auto e = static_cast<double>(units_[next].entry);
        if (before == start_of_clip_) return begun + prices_.skipped * e;
        const double gap = e - static_cast<double>(units_[before].entry);
        if (gap == 0) return begun + (before == next && units_[next].side ? prices_.again : 0);
        return begun + (gap > 0 ? prices_.skipped * (gap - 1) : prices_.swapped);
    }

    /// Cheapest way to begin a repetition of unit `next` after the step before; without one, the cheapest way to have ended.
    std::pair<double, How> free(std::optional<std::size_t> next) const {
        std::pair<double, How> best{inf, none};
        auto offer = [&](double cost, std::size_t before, How how) {
            const double c = cost + (next ? price(before, *next) : 0);
            if (c < best.first) best = {c, how};
        };
        for (std::size_t before = 0; before < idle_.size(); ++before) offer(idle_[before], before, static_cast<How>(from_idle + before));
        for (std::size_t s = 0; s < units_.size(); ++s) offer(ended_[s].first, s, ended_[s].second);
        return best;
    }

    /// The cheapest way to be at the end of each unit after the step before.
    void end() {
        ended_.assign(units_.size(), {inf, none});
        for (std::size_t s = 0; s < units_.size(); ++s)
            for (std::size_t h = 0; h < ways; ++h)
                if (const double c = cost_[s][h].back(); c < ended_[s].first) ended_[s] = {c, static_cast<How>(end_of() + ways * s + h)};
    }

    /// Standing by at step j: as before, or since the end of a repetition.
    void stand_by(Eigen::Index j) {
        const double here = idle_cost(j);
        for (std::size_t before = 0; before < idle_.size(); ++before) {
            double best = j == 0 ? (before == start_of_clip_ ? 0.0 : inf) : idle_[before];
            auto how = static_cast<How>(from_idle + before);
            if (before < start_of_clip_ && j > 0 && ended_[before].first < best) std::tie(best, how) = ended_[before];
            idle_came_[static_cast<std::size_t>(j) * idle_.size() + before] = how;
            next_idle_[before] = best + here;
        }
    }

    void step(Eigen::Index j) {
        end();
        stand_by(j);
        for (std::size_t s = 0; s < units_.size(); ++s)
            if (j == 0) {
                begin(s);
            } else {
                go_on(s, j);
            }
        idle_ = next_idle_;
        std::swap(cost_, next_cost_);
    }

    /// The clip's first moment: at the beginning of a unit or, cut in, anywhere in it.
    void begin(std::size_t s) {
        const auto n = cost_[s][0].size();
        const double open = price(start_of_clip_, s);
        const double* const local = apart_.col(0).data() + begins_[s];
        for (auto& way : next_cost_[s]) std::fill(way.begin(), way.end(), inf);
        for (std::size_t i = 0; i < n; ++i) {
            next_cost_[s][0][i] = (i == 0 ? open : open + cut) + local[i];
            came_[s][i] = i == 0 ? static_cast<How>(from_idle + start_of_clip_) : cut_in;
        }
    }

    /// From each moment of a unit to those after it. Plain loops over arrays, without a branch: there are millions of moments.
    void go_on(std::size_t s, Eigen::Index j) {
        const auto& [once, twice, thrice, rested] = cost_[s];
        const auto n = once.size();
        const double* const local = apart_.col(j % block).data() + begins_[s];
        // The cheapest way at each moment before the step; what is before the unit's beginning costs too much.
        least_.assign(n + 3, inf);
        way_.assign(n + 3, 0);
        for (std::size_t i = 0; i < n; ++i) {
            double best = once[i], way = 0;
            way = twice[i] < best ? 1 : way, best = std::min(twice[i], best);
            way = thrice[i] < best ? 2 : way, best = std::min(thrice[i], best);
            way = rested[i] < best ? 3 : way, best = std::min(rested[i], best);
            least_[i + 3] = best, way_[i + 3] = way;
        }
        const auto [open, how] = free(s);
        auto& [at, again, third, resting_on] = next_cost_[s];
        from_.resize(n);
        const double one_missed = prices_.uneven, two_missed = 2 * prices_.uneven;
        const double* const least = least_.data();
        const double* const way = way_.data();
        for (std::size_t i = 0; i < n; ++i) {
            double best = least[i + 2], from = way[i + 2];
            const double second = least[i + 1] + one_missed, third_before = least[i] + two_missed;
            from = second < best ? ways + way[i + 1] : from, best = std::min(second, best);
            from = third_before < best ? 2 * ways + way[i] : from, best = std::min(third_before, best);
            at[i] = best + local[i], from_[i] = from;
            again[i] = once[i] + local[i] + prices_.uneven, third[i] = twice[i] + local[i] + prices_.uneven;
        }
        How* const came = came_[s].data() + static_cast<std::size_t>(j) * n;
        for (std::size_t i = 0; i < n; ++i) came[i] = at[i] < inf ? static_cast<How>(from_[i]) : none;
        at[0] = open + local[0], came[0] = how;
        if (const auto i = units_[s].joined; i > 0 && open + prices_.other_join + local[i] <= at[i])
            at[i] = open + prices_.other_join + local[i], came[i] = how;
        for (const auto i : resting_rows_[s]) {
            resting_on[i] = least[i + 3] + local[i];
            stayed_[s][slot_[s][i] + static_cast<std::size_t>(j)] = static_cast<unsigned char>(way[i + 3]);
        }
    }

    /// Where the clip ends: standing by, at the end of a repetition, or anywhere in one.
    struct Last {
        How state = none;
        std::optional<std::size_t> row; // of the reference, when cut
        double cost = 0;
    };
    Last last() const {
        auto [best, state] = free(std::nullopt);
        Last l{state, std::nullopt, best};
        for (std::size_t s = 0; s < units_.size(); ++s)
            for (std::size_t i = 0; i + 1 < cost_[s][0].size(); ++i)
                for (std::size_t h = 0; h < ways; ++h)
                    if (cost_[s][h][i] + cut < best) {
                        best = cost_[s][h][i] + cut;
                        l = {static_cast<How>(end_of() + ways * s + h), i, best};
                    }
        return l;
    }

    std::vector<Chosen> trace(double& cost) const {
        std::vector<Chosen> out;
        auto [state, row, whole] = last();
        cost = whole;
        auto j = static_cast<int>(student_.cols()) - 1;
        while (j >= 0) {
            if (state < end_of()) {
                state = idle_came_[static_cast<std::size_t>(j--) * idle_.size() + (state - from_idle)];
                continue;
            }
            const auto s = static_cast<std::size_t>((state - end_of()) / ways);
            auto h = static_cast<std::size_t>((state - end_of()) % ways);
            std::size_t i = row.value_or(cost_[s][0].size() - 1);
            row.reset();
            Chosen c{s, 0, j, 0, static_cast<int>(i), {}};
            while (true) {
                if (h == resting) {
                    const int until = j;
                    while (h == resting) h = stayed_[s][slot_[s][i] + static_cast<std::size_t>(j--)];
                    if (c.stays.empty() || c.stays.front().first > until + apart)
                        c.stays.insert(c.stays.begin(), {j + 1, until});
                    else
                        c.stays.front().first = j + 1; // of the row before in the same hold
                }
                j -= static_cast<int>(h); // held moments
                const How from = came_[s][static_cast<std::size_t>(j) * cost_[s][0].size() + i];
                if (from >= from_idle) {
                    state = from == cut_in ? static_cast<How>(from_idle + start_of_clip_) : from;
                    break;
                }
                i -= static_cast<std::size_t>(from / ways) + 1;
                h = from % ways;
                --j;
            }
            c.from = static_cast<int>(i);
            c.start = j--;
            out.push_back(c);
        }
        std::reverse(out.begin(), out.end());
        return out;
    }

    const std::vector<Unit>& units_;
    const Eigen::MatrixXd student_; // a column a moment
    Eigen::MatrixXd reference_;     // a row a moment: what is stood by in, then the units' own
    Eigen::VectorXd reference_size_;
    Eigen::RowVectorXd student_size_;
    Eigen::Index stills_ = 0;
    std::vector<Eigen::Index> begins_; // row of `reference_` at which each unit begins
    Eigen::MatrixXd apart_;            // of a block of moments of the clip (columns) from each of the reference
    const Prices& prices_;
    const Series& standing_;
    std::size_t start_of_clip_;                                           // standing by after a unit, or before any
    std::vector<std::array<std::vector<double>, ways>> cost_, next_cost_; // of each unit, in each way, of being at a moment of it
    std::vector<std::pair<double, How>> ended_;                           // of each unit: the cheapest way to be at its end
    std::vector<double> least_, way_, from_;                              // of one unit, during a step; ways as numbers of one width
    std::vector<double> idle_, next_idle_;
    std::vector<std::vector<How>> came_;
    std::vector<std::vector<std::size_t>> resting_rows_;
    std::vector<std::vector<std::size_t>> slot_;     // where the row's part of stayed_ begins
    std::vector<std::vector<unsigned char>> stayed_; // the way in which a row that rests was reached from itself
    std::vector<How> idle_came_;
};

} // namespace

std::vector<Chosen> explained(const std::vector<Unit>& units, const Eigen::MatrixXd& student, const Eigen::MatrixXd& still, double& cost,
                              const Prices& prices, const Series& standing) {
    return Segmenter(units, student, still, prices, standing).run(cost);
}

} // namespace bevel::aligning
