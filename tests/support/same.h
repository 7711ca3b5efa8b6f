// Whether two looks at the same performance agree: each figure within what both state of their error, or absent in one of them.
#pragma once
#include "core/measure/measures.h"
#include <QString>
#include <QStringList>

namespace bevel::test {

struct Agreement {
    int compared = 0, apart = 0; // samples, and those beyond the allowed sigmas
    double share() const { return compared > 0 ? static_cast<double>(apart) / compared : 0; }
};

/// Compares all figures of b with those of a at the same times (b's nearest frame within half a frame of a's). Figures of a clip's own
/// start (facing) and unclamped helpers are left out.
inline std::map<std::string, Agreement> compare_figures(const Measures& a, const Measures& b, double sigmas) {
    std::map<std::string, Agreement> out;
    for (const auto& [key, s] : a.series) {
        const auto other = b.series.find(key);
        if (other == b.series.end() || key.ends_with("_raw") || key == "foot.state.left" || key == "foot.state.right" ||
            key == "pelvis.turn_rate")
            continue;
        std::size_t k = 0;
        for (std::size_t i = 0; i < s.samples.size(); i += 4) {
            while (k + 1 < b.time_s.size() && b.time_s[k + 1] <= a.time_s[i] + 1e-9) ++k;
            if (std::abs(b.time_s[k] - a.time_s[i]) > 0.02) continue;
            const Sample &x = s.samples[i], &y = other->second.samples[k];
            if (!x.present() || !y.present()) continue;
            auto& agree = out[key];
            ++agree.compared;
            const double off = s.unit == "deg" ? std::remainder(x.value - y.value, 360) : x.value - y.value;
            if (std::abs(off) > sigmas * std::hypot(x.sigma, y.sigma) + 1e-6) ++agree.apart;
        }
    }
    return out;
}

/// Figures that differ on more than `most` of their samples, as lines to show.
inline QStringList disagreements(const Measures& a, const Measures& b, double sigmas, double most) {
    QStringList out;
    for (const auto& [key, agree] : compare_figures(a, b, sigmas))
        if (agree.compared >= 10 && agree.share() > most)
            out << QStringLiteral("%1: %2 % of %3 beyond %4 sigma")
                       .arg(QString::fromStdString(key))
                       .arg(100 * agree.share(), 0, 'f', 0)
                       .arg(agree.compared)
                       .arg(sigmas);
    return out;
}

} // namespace bevel::test
