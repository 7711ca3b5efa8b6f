// Covariances of a fit whose unknowns are moments in a row, each tied to its two neighbours on either side, and some that all share.
#pragma once
#include <Eigen/Dense>
#include <Eigen/SparseCore>
#include <optional>
#include <vector>

namespace bevel::fit {

/// Of the normal equations [A B; B' C] with A banded over moments of `block` unknowns (ties reach two moments), C over the shared ones.
struct Spread {
    std::vector<Eigen::MatrixXd> own; // block x block, a moment each: inverse of A on its diagonal
    Eigen::MatrixXd moves;            // moments' unknowns x shared: how they follow a shared one (-A^-1 B)
    Eigen::MatrixXd shared;           // covariance of the shared ones
};

/// `jacobian`: rows of residuals; columns the moments' unknowns in order, then the shared ones. By block recursion over pairs of moments
/// (Rybicki and Hummer 1991, for the diagonal of the inverse of a block tridiagonal matrix). Nothing where it is not definite.
std::optional<Spread> spread_of(const Eigen::SparseMatrix<double, Eigen::RowMajor>& jacobian, std::size_t moments, std::size_t block);

} // namespace bevel::fit
