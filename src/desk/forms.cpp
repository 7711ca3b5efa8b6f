#include "desk/forms.h"
#include "core/review/free.h"
#include <algorithm>

namespace bevel {
namespace {

template <class T> std::shared_ptr<const T> named(const std::shared_ptr<const std::vector<T>>& in, const std::string& id) {
    const auto it = std::find_if(in->begin(), in->end(), [&](const T& x) { return x.id == id; });
    return it == in->end() ? nullptr : std::shared_ptr<const T>(in, &*it);
}

} // namespace

std::shared_ptr<const Movement> Forms::movement(const std::string& id) const {
    auto m = named(movements, id);
    if (!m && id == free_id) return {std::shared_ptr<const Movement>(), &free_practice()};
    return m;
}
std::shared_ptr<const Movement> Forms::movement(const std::string& id, const std::string& version) const {
    const auto m = movement(id);
    return m ? std::shared_ptr<const Movement>(m, &m->as(version)) : nullptr;
}
std::shared_ptr<const School> Forms::school(const std::string& id) const {
    return named(schools, id);
}

} // namespace bevel
