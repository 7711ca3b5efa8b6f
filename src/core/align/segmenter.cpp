#include "core/align/segmenter.h"
#include <algorithm>
#include <array>

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
        : units_(units), student_(student.transpose()), still_(still.transpose()), prices_(prices), standing_(standing),
          start_of_clip_(units.size()) {
        for (const auto& u : units) rows_.emplace_back(u.rows.transpose());
    }

    /// `cost` becomes that of the whole clip.
    std::vector<Chosen> run(double& cost) {
        const auto m = student_.cols();
        cost_.resize(units_.size());
        came_.resize(units_.size());
        slot_.resize(units_.size());
        stayed_.resize(units_.size());
        for (std::size_t s = 0; s < units_.size(); ++s) {
            const auto n = static_cast<std::size_t>(units_[s].rows.rows());
            cost_[s].assign(n, {inf, inf, inf, inf});
            came_[s].assign(n * static_cast<std::size_t>(m), none);
            slot_[s].assign(n, 0);
            std::size_t slots = 0;
            for (std::size_t i = 0; i < n; ++i)
                if (units_[s].rests[i]) slot_[s][i] = static_cast<std::size_t>(m) * slots++;
            stayed_[s].assign(slots * static_cast<std::size_t>(m), 0);
        }
        next_cost_ = cost_;
        idle_.assign(units_.size() + 1, inf);
        next_idle_ = idle_;
        idle_came_.assign(static_cast<std::size_t>(m) * idle_.size(), from_idle);
        for (Eigen::Index j = 0; j < m; ++j) step(j);
        return trace(cost);
    }

private:
    static constexpr double limit = 0.9; // mean squared distance, in variances, from which a moment is better not explained
    static constexpr double begun = 1;   // of a repetition: what merely sways is no row of them
    static constexpr double cut = 1.5;   // of a repetition that is not seen whole
    static constexpr int apart = 10;     // moments between stays in rows of one hold
    /// At a moment for the first, second, third time, or resting there: another time, of any number.
    static constexpr std::size_t ways = 4, resting = 3;
    /// How a state was reached: ways * (steps - 1) + way within a repetition; from_idle + what came before; end_of + ways * unit + way;
    /// cut_in: the clip begins here.
    using How = unsigned short;
    static constexpr How none = 65535, cut_in = 65534, from_idle = 3 * ways;
    How end_of() const { return static_cast<How>(from_idle + units_.size() + 1); }

    double idle_cost(Eigen::Index j) const {
        double best = limit;
        const double price = standing_.empty() ? standing_price : standing_[static_cast<std::size_t>(j)];
        for (Eigen::Index k = 0; k < still_.cols(); ++k) best = std::min(best, apart_at(still_, k, j) + price);
        return best;
    }

    /// Mean squared distance of a moment of the reference from one of the clip. Moments are columns here: one after the other in memory.
    double apart_at(const Eigen::MatrixXd& of, Eigen::Index i, Eigen::Index j) const {
        return (of.col(i) - student_.col(j)).squaredNorm() / static_cast<double>(of.rows());
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
        for (std::size_t s = 0; s < units_.size(); ++s)
            for (std::size_t h = 0; h < ways; ++h) offer(cost_[s].back()[h], s, static_cast<How>(end_of() + ways * s + h));
        return best;
    }

    /// Standing by at step j: as before, or since the end of a repetition.
    void stand_by(Eigen::Index j) {
        const double here = idle_cost(j);
        for (std::size_t before = 0; before < idle_.size(); ++before) {
            double best = j == 0 ? (before == start_of_clip_ ? 0.0 : inf) : idle_[before];
            auto how = static_cast<How>(from_idle + before);
            for (std::size_t h = 0; h < ways && before < start_of_clip_ && j > 0; ++h)
                if (cost_[before].back()[h] < best) best = cost_[before].back()[h], how = static_cast<How>(end_of() + ways * before + h);
            idle_came_[static_cast<std::size_t>(j) * idle_.size() + before] = how;
            next_idle_[before] = best + here;
        }
    }

    void step(Eigen::Index j) {
        stand_by(j);
        auto& next = next_cost_;
        for (std::size_t s = 0; s < units_.size(); ++s) {
            const auto n = cost_[s].size();
            const auto [open, how] = j == 0 ? std::pair{price(start_of_clip_, s), static_cast<How>(from_idle + start_of_clip_)} : free(s);
            least_.resize(n);
            for (std::size_t i = 0; i < n && j > 0; ++i) {
                const auto at = std::min_element(cost_[s][i].begin(), cost_[s][i].end());
                least_[i] = {*at, static_cast<How>(at - cost_[s][i].begin())};
            }
            for (std::size_t i = 0; i < n; ++i) {
                const double local = apart_at(rows_[s], static_cast<Eigen::Index>(i), j);
                double best = i == 0 ? open : j == 0 ? open + cut : inf;
                How from = i == 0 ? how : j == 0 ? cut_in : none;
                if (i > 0 && i == units_[s].joined && j > 0) best = open + prices_.other_join, from = how;
                for (std::size_t k = 1; k <= 3 && k <= i && j > 0; ++k) {
                    const double c = least_[i - k].first + prices_.uneven * static_cast<double>(k - 1);
                    if (c < best) best = c, from = static_cast<How>(ways * (k - 1) + least_[i - k].second);
                }
                next[s][i] = {best + local, inf, inf, inf};
                came_[s][static_cast<std::size_t>(j) * n + i] = from;
                for (std::size_t h = 1; h < resting && j > 0; ++h) next[s][i][h] = cost_[s][i][h - 1] + local + prices_.uneven;
                if (j == 0 || !units_[s].rests[i]) continue;
                next[s][i][resting] = least_[i].first + local;
                stayed_[s][slot_[s][i] + static_cast<std::size_t>(j)] = static_cast<unsigned char>(least_[i].second);
            }
        }
        idle_ = next_idle_;
        std::swap(cost_, next_cost_);
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
            for (std::size_t i = 0; i + 1 < cost_[s].size(); ++i)
                for (std::size_t h = 0; h < ways; ++h)
                    if (cost_[s][i][h] + cut < best) {
                        best = cost_[s][i][h] + cut;
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
            std::size_t i = row.value_or(cost_[s].size() - 1);
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
                const How from = came_[s][static_cast<std::size_t>(j) * cost_[s].size() + i];
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
    const Eigen::MatrixXd student_, still_; // a column a moment
    std::vector<Eigen::MatrixXd> rows_;     // of the units, as well
    const Prices& prices_;
    const Series& standing_;
    std::size_t start_of_clip_;                                           // standing by after a unit, or before any
    std::vector<std::vector<std::array<double, ways>>> cost_, next_cost_; // of being at a moment in each way
    std::vector<std::pair<double, How>> least_;                           // the cheapest way at each moment of a unit, before the step
    std::vector<double> idle_, next_idle_;
    std::vector<std::vector<How>> came_;
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
