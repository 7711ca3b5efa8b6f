// A linked form as the place of forms shows it: linked, performed, seen from above. Made off the interface thread.
#pragma once
#include "core/form/floor_path.h"
#include "core/form/form.h"
#include "core/sim/student.h"
#include <memory>

namespace bevel::ui {

struct ShownForm {
    LinkedForm form;
    LinkedCourse course;
    std::shared_ptr<const sim::Student> figure;
    FloorPath path;
    /// Moment of the score at which a part begins with its join, and at which its own last phase ends.
    double begins_s(std::size_t part) const;
    double ends_s(std::size_t part) const;
    /// Of the form, standing quietly before and after left out.
    double seconds() const;
};

/// The error is that of `link`.
Result<std::shared_ptr<const ShownForm>> shown_form(const LinkedForm& form, const std::vector<Movement>& movements);

} // namespace bevel::ui
