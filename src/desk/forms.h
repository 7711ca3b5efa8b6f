// What there is to be judged by: movements and schools, shipped and the instructor's own, as they stood when they were asked for. By value;
// whoever holds it may keep it on any thread, whatever is edited meanwhile.
#pragma once
#include "core/movement/movement.h"
#include <memory>

namespace bevel {

struct Forms {
    std::shared_ptr<const std::vector<Movement>> movements = std::make_shared<const std::vector<Movement>>();
    std::shared_ptr<const std::vector<School>> schools = std::make_shared<const std::vector<School>>();

    /// Null for one that is not known. Free practice is known by its id alone.
    std::shared_ptr<const Movement> movement(const std::string& id) const;
    /// As somebody practises it: in the graded version that they are taught.
    std::shared_ptr<const Movement> movement(const std::string& id, const std::string& version) const;
    std::shared_ptr<const School> school(const std::string& id) const;
};

} // namespace bevel
