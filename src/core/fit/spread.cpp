#include "core/fit/spread.h"
#include <cstddef>

namespace bevel::fit {
namespace {

using Dense = Eigen::MatrixXd;
using Index = Eigen::Index;

/// A over pairs of moments: diagonal blocks, and those that tie a pair to the next.
struct Tridiagonal {
    std::vector<Dense> diagonal, next; // next[i]: rows of pair i, columns of pair i + 1
};

Tridiagonal blocks_of(const Eigen::SparseMatrix<double>& normal, std::size_t moments, std::size_t block) {
    Tridiagonal t;
    const auto pairs = (moments + 1) / 2;
    const auto size = [&](std::size_t i) { return static_cast<Index>((2 * i + 1 < moments ? 2 : 1) * block); };
    const auto wide = static_cast<Index>(2 * block);
    for (std::size_t i = 0; i < pairs; ++i) {
        const auto at = static_cast<Index>(i) * wide;
        t.diagonal.emplace_back(normal.block(at, at, size(i), size(i)));
        if (i + 1 < pairs) t.next.emplace_back(normal.block(at, at + wide, size(i), size(i + 1)));
    }
    return t;
}

} // namespace

std::optional<Spread> spread_of(const Eigen::SparseMatrix<double, Eigen::RowMajor>& jacobian, std::size_t moments, std::size_t block) {
    const auto inner = static_cast<Index>(moments * block), all = jacobian.cols(), shared = all - inner;
    const Eigen::SparseMatrix<double> j = jacobian, normal = Eigen::SparseMatrix<double>(j.transpose()) * j;
    const Tridiagonal a = blocks_of(normal, moments, block);
    const auto pairs = a.diagonal.size();
    const auto wide = static_cast<Index>(2 * block);
    Dense rest = Dense(normal.block(0, inner, inner, shared)); // B, turned into what is left of it on the way down
    // Down: what each pair is worth once those before it are gone; up: the same from the other end.
    std::vector<Eigen::LLT<Dense>> down(pairs);
    std::vector<Dense> before(pairs), after(pairs); // Schur terms of the neighbours
    Dense y = rest;
    for (std::size_t i = 0; i < pairs; ++i) {
        const auto n = a.diagonal[i].rows();
        before[i] = Dense::Zero(n, n);
        if (i > 0) {
            const Dense solved = down[i - 1].solve(a.next[i - 1]);
            before[i] = a.next[i - 1].transpose() * solved;
            y.middleRows(static_cast<Index>(i) * wide, n) -=
                solved.transpose() * y.middleRows(static_cast<Index>(i - 1) * wide, a.diagonal[i - 1].rows());
        }
        down[i].compute(a.diagonal[i] - before[i]);
        if (down[i].info() != Eigen::Success) return std::nullopt;
    }
    Spread s;
    s.moves.resize(inner, shared);
    for (std::size_t i = pairs; i-- > 0;) { // A^-1 B by going back up
        const auto at = static_cast<Index>(i) * wide, n = a.diagonal[i].rows();
        Dense r = y.middleRows(at, n);
        if (i + 1 < pairs) r -= a.next[i] * s.moves.middleRows(at + wide, a.diagonal[i + 1].rows());
        s.moves.middleRows(at, n) = down[i].solve(r);
    }
    const Dense c = Dense(normal.block(inner, inner, shared, shared)) - rest.transpose() * s.moves;
    const Eigen::LLT<Dense> clip(c);
    if (clip.info() != Eigen::Success) return std::nullopt;
    s.shared = clip.solve(Dense::Identity(shared, shared));
    s.moves = -s.moves;
    s.own.resize(moments);
    Eigen::LLT<Dense> up;
    for (std::size_t i = pairs; i-- > 0;) {
        const auto n = a.diagonal[i].rows();
        after[i] = i + 1 < pairs ? Dense(a.next[i] * up.solve(a.next[i].transpose())) : Dense(Dense::Zero(n, n));
        up.compute(a.diagonal[i] - after[i]);
        const Eigen::LLT<Dense> both(a.diagonal[i] - before[i] - after[i]);
        if (up.info() != Eigen::Success || both.info() != Eigen::Success) return std::nullopt;
        const Dense inverse = both.solve(Dense::Identity(n, n));
        const auto b = static_cast<Index>(block);
        for (Index k = 0; k * b < n; ++k) s.own[2 * i + static_cast<std::size_t>(k)] = inverse.block(k * b, k * b, b, b);
    }
    return s;
}

} // namespace bevel::fit
