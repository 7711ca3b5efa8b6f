// The order in which the parts of a form were done. Inside of core/form.
#pragma once
#include <cstddef>
#include <vector>

namespace bevel {

/// The longest way through the parts as they were done that only goes forward: what is not on it is again or out of order.
std::vector<bool> in_order(const std::vector<std::size_t>& done);

/// Where each time through the form begins among the parts as they were done: a new one does at least two parts again that the one before
/// it did, and puts two more of them in order. Empty where nothing was done.
std::vector<std::size_t> goes_of(const std::vector<std::size_t>& done);

} // namespace bevel
