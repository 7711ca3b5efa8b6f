// What there is to be judged by: movements and schools, shipped and the instructor's own, as they stood when they were asked for. By value;
// whoever holds it may keep it on any thread, whatever is edited meanwhile.
#pragma once
#include "core/form/form.h"
#include <memory>

namespace bevel {

struct Forms {
    std::shared_ptr<const std::vector<Movement>> movements = std::make_shared<const std::vector<Movement>>();
    std::shared_ptr<const std::vector<School>> schools = std::make_shared<const std::vector<School>>();
    std::shared_ptr<const std::vector<LinkedForm>> linked = std::make_shared<const std::vector<LinkedForm>>();
    std::shared_ptr<const std::vector<Movement>> faces = std::make_shared<const std::vector<Movement>>(); // of those

    /// Null for one that is not known. Free practice is known by its id alone; a linked form, "form:ID", has a face (face_of).
    std::shared_ptr<const Movement> movement(const std::string& id) const;
    /// As somebody practises it: in the graded version that they are taught.
    std::shared_ptr<const Movement> movement(const std::string& id, const std::string& version) const;
    std::shared_ptr<const School> school(const std::string& id) const;
    /// Of a clip that is of "form:ID"; null for a movement.
    std::shared_ptr<const LinkedForm> form(const std::string& clip_id) const;
    /// Faces for these forms; one whose first movement is not there has none.
    static std::vector<Movement> faces_of(const std::vector<LinkedForm>& linked, const std::vector<Movement>& movements);
};

} // namespace bevel
