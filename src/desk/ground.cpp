#include "desk/ground.h"
#include <cmath>

namespace bevel {

const std::array<Watched, 6>& watched() {
    static const std::array<Watched, 6> all{{{"stance.width", std::nullopt},
                                             {"stance.length", std::nullopt},
                                             {"weight.foot", Side::left},
                                             {"knee.inward", Side::left},
                                             {"trunk.lean", std::nullopt},
                                             {"trunk.side", std::nullopt}}};
    return all;
}

std::vector<double> errors_of(const Track& track, const ReviewOptions& o) {
    std::vector<double> out(watched().size(), NAN);
    MotionOptions mo;
    mo.view = o.view;
    mo.stature_m = o.stature_m;
    mo.shoulder_width_m = o.shoulder_width_m;
    const auto motion = make_motion(track, mo);
    if (!motion) return out;
    const auto measures = measure(*motion, {});
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto* s = measures.find(watched()[i].id, watched()[i].side);
        std::vector<double> sigma;
        if (s)
            for (const auto& v : s->samples)
                if (v.present()) sigma.push_back(v.sigma);
        if (sigma.empty()) continue;
        std::nth_element(sigma.begin(), sigma.begin() + static_cast<std::ptrdiff_t>(sigma.size() / 2), sigma.end());
        out[i] = sigma[sigma.size() / 2];
    }
    return out;
}

} // namespace bevel
