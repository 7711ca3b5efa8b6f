// The tables of the library, as steps from one version to the next. Inside the store only.
#pragma once
#include <array>

namespace bevel {

inline constexpr int newest_schema = 24;
/// Never edited once released, only added to.
extern const std::array<const char*, newest_schema> schema_steps;

} // namespace bevel
