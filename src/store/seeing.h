// Who learns to see, and their rounds as they are kept.
#pragma once
#include "core/seeing/rounds.h"

namespace bevel {

struct Assistant {
    std::int64_t id = 0;
    std::string name;
};

} // namespace bevel
