#include "support/accuracy.h"
#include "core/measure/measures.h"
#include "core/signal/signal.h"
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

void frame_by_frame(const Measures& measured, const Measures& truth, const std::string& key, Errors& into) {
    const auto &a = measured.series.at(key), &b = truth.series.at(key);
    for (std::size_t i = 0; i < std::min(a.samples.size(), b.samples.size()); ++i)
        if (a.samples[i].present() && b.samples[i].present()) add(into, a.samples[i].value - b.samples[i].value, a.samples[i].sigma);
}

/// Each event of the truth against the nearest that was found, if there is one within `reach_s`.
template <class T>
void events(const std::vector<T>& found, const std::vector<T>& truth, double reach_s, Errors& into, double (*time)(const T&),
            double (*sigma)(const T&)) {
    for (const auto& t : truth) {
        const T* best = nullptr;
        for (const auto& f : found)
            if (!best || std::abs(time(f) - time(t)) < std::abs(time(*best) - time(t))) best = &f;
        if (!best || std::abs(time(*best) - time(t)) > reach_s)
            ++into.missed;
        else
            add(into, time(*best) - time(t), sigma(*best));
    }
}

std::vector<Shift> towards(const std::vector<Shift>& all, bool up) {
    std::vector<Shift> out;
    for (const auto& s : all)
        if ((s.to > s.from) == up) out.push_back(s);
    return out;
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
        {"knee.flexion near", "deg", "side view, leg next to the camera", 5},
        {"knee.flexion far", "deg", "side view, leg away from the camera", 9},
        {"knee.inward", "deg", "front view, where not absent", 4},
        {"trunk.lean", "deg", "side view", 3},
        {"trunk.side", "deg", "front view", 3},
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
    Track room = take.track();
    for (auto& f : room.px) f.reset();
    MotionOptions exact;
    exact.view = View::three_d;
    exact.stature_m = stature_m;
    exact.filter = false;
    const auto truth_motion = make_motion(room, exact);
    if (!motion || !truth_motion) return false;
    const Measures measured = measure(*motion), truth = measure(*truth_motion);
    const bool side = view == View::left || view == View::right;
    if (side) {
        const std::string near = view == View::left ? ".left" : ".right", far = view == View::left ? ".right" : ".left";
        frame_by_frame(measured, truth, "knee.flexion" + near, into["knee.flexion near"]);
        frame_by_frame(measured, truth, "knee.flexion" + far, into["knee.flexion far"]);
        frame_by_frame(measured, truth, "trunk.lean", into["trunk.lean"]);
        std::vector<FootEvent> flat, flat_truth;
        for (const auto& e : measured.foot_events)
            if (e.kind == FootEvent::Kind::flat) flat.push_back(e);
        for (const auto& e : truth.foot_events)
            if (e.kind == FootEvent::Kind::flat) flat_truth.push_back(e);
        if (std::getenv("BEVEL_ACCURACY_VERBOSE")) {
            for (const Measures* which : {&truth, &measured})
                for (std::size_t s = 0; s < 2; ++s) {
                    std::fprintf(stderr, "  %s %s", which == &truth ? "true" : "found", s == 0 ? "left" : "right");
                    for (std::size_t i = 0; i < which->contact[s].size(); ++i)
                        if (i == 0 || which->contact[s][i] != which->contact[s][i - 1])
                            std::fprintf(stderr, " %s@%.2f", std::string(contact_name(which->contact[s][i])).c_str(), which->time_s[i]);
                    std::fprintf(stderr, "\n");
                }
            for (const auto* list : {&flat_truth, &flat}) {
                std::fprintf(stderr, list == &flat ? "  found flat" : "  true flat ");
                for (const auto& e : *list) std::fprintf(stderr, " %s %.2f", e.side == Side::left ? "left" : "right", e.time_s);
                std::fprintf(stderr, "\n");
            }
        }
        // The foot behind the other is seen badly, and the order of its landing is not judged.
        const Side s = view == View::left ? Side::left : Side::right;
        auto of = [s](std::vector<FootEvent> v) {
            std::erase_if(v, [s](const FootEvent& e) { return e.side != s; });
            return v;
        };
        events<FootEvent>(
            of(flat), of(flat_truth), 1.0, into["foot-flat"], [](const FootEvent& e) { return e.time_s; },
            [](const FootEvent& e) { return e.sigma_s; });
    } else {
        for (const char* k : {".left", ".right"}) frame_by_frame(measured, truth, std::string("knee.inward") + k, into["knee.inward"]);
        frame_by_frame(measured, truth, "trunk.side", into["trunk.side"]);
        auto width = [](const Motion& m, std::size_t i) { return 100 * std::abs(m.m[i][left_ankle].x() - m.m[i][right_ankle].x()); };
        const auto& stated = measured.series.at("stance.width").samples;
        for (std::size_t i = 0; i < motion->frames(); ++i)
            if (motion->valid[i])
                add(into["stance.width"], width(*motion, i) - width(*truth_motion, i),
                    100 * stated[i].sigma * motion->neutral.shoulder_width);
        const auto& share = measured.series.at("weight.left").samples;
        for (std::size_t i = 0; i < motion->frames(); ++i)
            if (share[i].present() && width(*truth_motion, i) >= 45)
                add(into["weight.left"], share[i].value - take.truth().weight_left[i], share[i].sigma);
    }
    // The truth of the shifts comes from the moments of the student's own segments.
    if (measured.series.at("weight.along_raw").absent_throughout()) return true; // feet side by side, seen from the side
    auto true_shifts = find_shifts(take.truth().time_s, take.truth().weight_raw, 0);
    const auto& along = measured.series.at("weight.along_raw").samples;
    std::erase_if(true_shifts, [&](const Shift& s) { // the feet close together on the picture, from beginning to end
        for (std::size_t i = 0; i < along.size(); ++i)
            if (measured.time_s[i] >= s.start_s - 0.2 && measured.time_s[i] <= s.end_s + 0.2 && !along[i].present()) return true;
        return false;
    });
    if (std::getenv("BEVEL_ACCURACY_VERBOSE")) {
        std::fprintf(stderr, "  true shifts");
        for (const auto& s : true_shifts)
            std::fprintf(stderr, " [%.2f %.2f > %.2f: %.2f > %.2f]", s.onset_s, s.start_s, s.end_s, s.from, s.to);
        std::fprintf(stderr, "\n  found      ");
        for (const auto& s : measured.shifts)
            std::fprintf(stderr, " [%.2f %.2f > %.2f: %.2f > %.2f s %.2f]", s.onset_s, s.start_s, s.end_s, s.from, s.to, s.sigma_s);
        std::fprintf(stderr, "\n");
    }
    for (const bool up : {true, false}) {
        const auto a = towards(measured.shifts, up), b = towards(true_shifts, up);
        events<Shift>(
            a, b, 1.0, into["shift.start"], [](const Shift& s) { return s.start_s; }, [](const Shift& s) { return s.sigma_s; });
        events<Shift>(
            a, b, 1.0, into["shift.end"], [](const Shift& s) { return s.end_s; }, [](const Shift& s) { return s.sigma_s; });
    }
    return true;
}

} // namespace bevel::test
