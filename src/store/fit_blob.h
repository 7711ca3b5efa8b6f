// A body fitted to two clips as bytes, as the library keeps it.
#pragma once
#include "core/fit/fit.h"
#include <string>

namespace bevel {

/// Format 1, see fit_blob.cpp. Reading is bounded and refuses what does not add up or is not finite.
std::string pack_fit(const FittedBody& body);
Result<FittedBody> unpack_fit(const std::string& bytes);

} // namespace bevel
