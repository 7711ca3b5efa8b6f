#include "core/review/own_course.h"

namespace bevel {

std::shared_ptr<const Review> own_course(const Movement& movement, double stature_m) {
    auto r = std::make_shared<Review>();
    const auto reference = std::make_shared<const Reference>(movement, stature_m);
    r->movement = movement;
    r->motion = reference->motion();
    r->measures = reference->measures();
    const ReferenceModel& model = reference->model();
    for (const Side side : {Side::left, Side::right}) {
        if (side == Side::right && model.symmetric) break;
        const auto& borders = reference->borders(side);
        Repetition rep;
        if (!model.symmetric) rep.side = side;
        rep.start_s = borders.front();
        rep.end_s = borders.back();
        for (std::size_t p = 0; p < model.phases.size(); ++p) rep.phases.push_back({model.phases[p].id, borders[p], borders[p + 1], p});
        rep.student_s = rep.reference_s = {rep.start_s, rep.end_s};
        r->alignment.repetitions.push_back(std::move(rep));
    }
    r->reference = reference;
    return r;
}

} // namespace bevel
