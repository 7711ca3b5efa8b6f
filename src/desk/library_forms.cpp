#include "desk/library_forms.h"
#include "store/forms.h"

namespace bevel {

Forms shipped_forms(const std::filesystem::path& data_dir) {
    return {std::make_shared<const std::vector<Movement>>(load_movements(data_dir)),
            std::make_shared<const std::vector<School>>(load_schools(data_dir))};
}

Forms forms_of(const Library& library, const Forms& shipped) {
    Forms out = shipped;
    if (const auto own = library.forms().all())
        out.movements = std::make_shared<const std::vector<Movement>>(with_own(*shipped.movements, *own));
    if (const auto own = library.forms().all(Own::school))
        out.schools = std::make_shared<const std::vector<School>>(with_own(*shipped.schools, *own));
    return out;
}

} // namespace bevel
