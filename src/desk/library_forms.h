// Movements and schools as a library knows them: those that are shipped, and the instructor's own in place of or beside them.
#pragma once
#include "desk/forms.h"
#include "store/library.h"

namespace bevel {

Forms shipped_forms(const std::filesystem::path& data_dir);
/// With the library's own; one that cannot be read any more is left out.
Forms forms_of(const Library& library, const Forms& shipped);

} // namespace bevel
