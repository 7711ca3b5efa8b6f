#include "ui/forms/shown_form.h"
#include "ui/pictures/figure_source.h"

namespace bevel::ui {

double ShownForm::begins_s(std::size_t part) const {
    double before = 0;
    for (const auto& k : course.keys) {
        if (k.repetition == static_cast<int>(part)) return before;
        before = k.time;
    }
    return before;
}

double ShownForm::ends_s(std::size_t part) const {
    double at = 0;
    for (const auto& k : course.keys)
        if (k.repetition == static_cast<int>(part)) at = k.time;
    return at;
}

double ShownForm::seconds() const {
    double s = 0;
    for (const auto& p : course.parts) s += p.duration_s();
    return s;
}

Result<std::shared_ptr<const ShownForm>> shown_form(const LinkedForm& form, const std::vector<Movement>& movements) {
    auto course = link(form, movements);
    if (!course) return tl::unexpected(course.error());
    auto out = std::make_shared<ShownForm>();
    out->form = form;
    out->course = std::move(*course);
    out->figure = figure_of(out->course.score(), std::nullopt);
    out->path = floor_path(out->figure->score(), out->figure->solver());
    return std::shared_ptr<const ShownForm>(std::move(out));
}

} // namespace bevel::ui
