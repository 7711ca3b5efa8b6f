// A check of the rules by its id; inside the words only.
#pragma once
#include "core/movement/rules.h"

namespace bevel::ui::text {

/// Null for none of the rules'.
inline const Check* known_check(const std::string& id) {
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            if (rc.check.id == id) return &rc.check;
    return nullptr;
}

} // namespace bevel::ui::text
