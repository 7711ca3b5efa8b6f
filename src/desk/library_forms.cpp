#include "desk/library_forms.h"
#include "store/forms.h"

namespace bevel {

namespace {
Forms with_faces(Forms f) {
    f.faces = std::make_shared<const std::vector<Movement>>(Forms::faces_of(*f.linked, *f.movements));
    return f;
}
} // namespace

Forms shipped_forms(const std::filesystem::path& data_dir) {
    Forms out;
    out.movements = std::make_shared<const std::vector<Movement>>(load_movements(data_dir));
    out.schools = std::make_shared<const std::vector<School>>(load_schools(data_dir));
    out.linked = std::make_shared<const std::vector<LinkedForm>>(load_forms(data_dir));
    return with_faces(std::move(out));
}

Forms forms_of(const Library& library, const Forms& shipped) {
    Forms out = shipped;
    if (const auto own = library.forms().all())
        out.movements = std::make_shared<const std::vector<Movement>>(with_own(*shipped.movements, *own));
    if (const auto own = library.forms().all(Own::school))
        out.schools = std::make_shared<const std::vector<School>>(with_own(*shipped.schools, *own));
    if (const auto own = library.forms().all(Own::linked))
        out.linked = std::make_shared<const std::vector<LinkedForm>>(with_own(*shipped.linked, *own));
    return with_faces(std::move(out));
}

} // namespace bevel
