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
    if (id.starts_with(form_prefix)) return named(faces, id);
    auto m = named(movements, id);
    if (!m && id == free_id) return {std::shared_ptr<const Movement>(), &free_practice()};
    return m;
}
std::shared_ptr<const Movement> Forms::movement(const std::string& id, const std::string& version) const {
    const auto m = movement(id);
    return m ? std::shared_ptr<const Movement>(m, &m->as(version)) : nullptr;
}
std::shared_ptr<const LinkedForm> Forms::form(const std::string& id) const {
    return id.starts_with(form_prefix) ? named(linked, id.substr(form_prefix.size())) : nullptr;
}
std::vector<Movement> Forms::faces_of(const std::vector<LinkedForm>& linked, const std::vector<Movement>& movements) {
    std::vector<Movement> out;
    for (const auto& f : linked)
        if (auto face = face_of(f, movements)) out.push_back(std::move(*face));
    return out;
}
std::shared_ptr<const School> Forms::school(const std::string& id) const {
    return named(schools, id);
}

} // namespace bevel
