#include "support/accuracy.h"
#include "core/measure/measures.h"
#include "core/signal/signal.h"
#include "support/truth.h"
#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstdlib>

namespace bevel::test {
namespace {

void add(Errors& e, double error, double sigma) {
    e.error.push_back(error);
    e.sigma.push_back(sigma);
}

void add_events(const std::vector<double>& truth, const std::vector<std::pair<double, double>>& found, double reach_s, Errors& into) {
    for (const double t : truth) {
        const std::pair<double, double>* best = nullptr;
        for (const auto& f : found)
            if (!best || std::abs(f.first - t) < std::abs(best->first - t)) best = &f;
        if (!best || std::abs(best->first - t) > reach_s)
            ++into.missed;
        else
            add(into, best->first - t, best->second);
    }
}

} // namespace

double Errors::mean_absolute() const {
    double sum = 0;
    for (const double v : error) sum += std::abs(v);
    return error.empty() ? NAN : sum / static_cast<double>(error.size());
}

double Errors::bias() const {
    double sum = 0;
    for (const double v : error) sum += v;
    return error.empty() ? NAN : sum / static_cast<double>(error.size());
}

double Errors::worst_of_95() const {
    std::vector<double> a;
    for (const double v : error) a.push_back(std::abs(v));
    return signal::quantile(a, 0.95);
}

double Errors::covered(double sigmas) const {
    if (error.empty()) return NAN;
    std::size_t in = 0;
    for (std::size_t i = 0; i < error.size(); ++i) in += std::abs(error[i]) <= sigmas * sigma[i] ? 1 : 0;
    return static_cast<double>(in) / static_cast<double>(error.size());
}

const std::vector<AccuracyRow>& accuracy_rows() {
    static const std::vector<AccuracyRow> rows{
        {"knee.flexion near", "deg", "side view, leg next to the camera", 5.5},
        {"knee.flexion far", "deg", "side view, leg away from the camera", 9},
        {"knee.inward", "deg", "front view, where not absent", 4},
        {"trunk.lean", "deg", "side view", 3},
        {"trunk.side", "deg", "front view", 3},
        {"head.offset", "cm", "side view", 2},
        {"stance.width", "cm", "front view", 3},
        {"weight.left", "share", "front view, feet at least 0.45 m apart", 0.06},
        {"shift.start", "s", "", 0.15},
        {"shift.end", "s", "", 0.15},
        {"foot-flat", "s", "side view, foot next to the camera", 0.2},
    };
    return rows;
}

bool compare(const sim::Take& take, const Track& found, View view, double stature_m, std::map<std::string, Errors>& into) {
    MotionOptions options;
    options.view = view;
    options.stature_m = stature_m;
    const auto motion = make_motion(found, options);
    if (!motion) return false;
    const Measures ms = measure(*motion);
    const bool side = view == View::left || view == View::right;
    const std::string near = view == View::left ? ".left" : ".right", far = view == View::left ? ".right" : ".left";
    const QuietTruth stand = motion->neutral.source == NeutralSource::quiet_second
                                 ? quiet_truth(take, motion->neutral.from_s, motion->neutral.to_s)
                                 : QuietTruth{};
    const std::size_t n = std::min(motion->frames(), take.frames());
    for (std::size_t f = 0; f < n; ++f) {
        const auto truth = frame_truth(take, f, stand).value;
        auto figure = [&](const std::string& key, const std::string& row) {
            const auto& s = ms.series.at(key).samples[f];
            const auto t = truth.find(key);
            if (s.present() && t != truth.end()) add(into[row], std::remainder(s.value - t->second, 360), s.sigma);
        };
        if (side) {
            figure("knee.flexion" + near, "knee.flexion near");
            figure("knee.flexion" + far, "knee.flexion far");
            figure("trunk.lean", "trunk.lean");
            figure("head.offset", "head.offset");
            continue;
        }
        figure("knee.inward.left", "knee.inward");
        figure("knee.inward.right", "knee.inward");
        figure("trunk.side", "trunk.side");
        const double sw = take.student().dims().shoulder_width, width = truth.at("stance.width") * sw;
        const auto& w = ms.series.at("stance.width").samples[f];
        if (w.present())
            add(into["stance.width"], 100 * (w.value * motion->neutral.shoulder_width - width),
                100 * w.sigma * motion->neutral.shoulder_width);
        const auto& share = ms.series.at("weight.left").samples[f];
        if (share.present() && width >= 0.45) add(into["weight.left"], share.value - take.truth().weight_left[f], share.sigma);
    }
    if (side) {
        const Side s = view == View::left ? Side::left : Side::right;
        std::vector<double> truth;
        std::vector<std::pair<double, double>> flat;
        for (const auto& t : flat_truth(take))
            if (t.side == s) truth.push_back(t.flat_s);
        for (const auto& e : ms.events)
            if (e.kind == EventKind::flat && e.side == s) flat.emplace_back(e.time_s, e.sigma_s);
        add_events(truth, flat, 1.0, into["foot-flat"]);
    }
    if (ms.series.at("weight.along_raw").absent_throughout()) return true; // feet side by side, seen from the side
    const auto& along = ms.series.at("weight.along_raw").samples;
    for (const bool up : {true, false}) {
        std::vector<double> starts, ends;
        std::vector<std::pair<double, double>> found_starts, found_ends;
        for (const auto& t : shift_truth(take, 0.3)) {
            bool apart = true; // the feet far enough apart on the picture, from beginning to end
            for (std::size_t i = 0; i < along.size(); ++i)
                if (ms.time_s[i] >= t.start_s - 0.2 && ms.time_s[i] <= t.end_s + 0.2 && !along[i].present()) apart = false;
            if (!apart || (t.to > t.from) != up) continue;
            starts.push_back(t.start_s);
            ends.push_back(t.end_s);
        }
        for (const auto& s : ms.shifts)
            if ((s.to > s.from) == up) found_starts.emplace_back(s.start_s, s.sigma_s), found_ends.emplace_back(s.end_s, s.sigma_s);
        add_events(starts, found_starts, 1.0, into["shift.start"]);
        add_events(ends, found_ends, 1.0, into["shift.end"]);
    }
    return true;
}

} // namespace bevel::test
