#include "core/measure/breath_trace.h"
#include "core/signal/signal.h"
#include <algorithm>
#include <charconv>
#include <cmath>
#include <sstream>

namespace bevel {
namespace {

std::optional<double> number(std::string_view s) {
    double v = 0;
    const auto [end, ec] = std::from_chars(s.data(), s.data() + s.size(), v);
    if (ec != std::errc() || end != s.data() + s.size() || !std::isfinite(v)) return std::nullopt;
    return v;
}

} // namespace

Result<std::vector<BreathMark>> breath_trace(const std::string& text, double shift_s) {
    if (text.size() > 4U << 20U) return fail(Code::too_large, "trace");
    std::vector<double> t, y;
    std::vector<BreathMark> marks;
    std::istringstream in(text);
    std::string line;
    for (int n = 1; std::getline(in, line); ++n) {
        for (char& c : line)
            if (c == ',' || c == ';' || c == '\t' || c == '\r') c = ' ';
        std::istringstream parts(line);
        std::string time, value;
        if (!(parts >> time)) continue; // an empty line
        parts >> value;
        const auto at = number(time);
        if (!at && n == 1) continue; // a head line
        if (!at || value.empty() || std::abs(*at) > 1e5) return fail(Code::bad_value, "line " + std::to_string(n));
        if (value == "in" || value == "out") {
            if (!t.empty() || (!marks.empty() && *at + shift_s <= marks.back().time_s))
                return fail(Code::bad_value, "line " + std::to_string(n));
            marks.push_back({*at + shift_s, value == "in"});
            continue;
        }
        const auto v = number(value);
        if (!v || !marks.empty() || (!t.empty() && *at <= t.back())) return fail(Code::bad_value, "line " + std::to_string(n));
        t.push_back(*at);
        y.push_back(*v);
    }
    if (!marks.empty()) return marks;
    if (t.size() < 10) return fail(Code::cannot_judge, "no_breath");
    signal::Series high = signal::low_pass(t, y, 1.0), low = high;
    for (double& v : low) v = -v;
    const double height = signal::quantile(high, 0.9) - signal::quantile(high, 0.1);
    if (!(height > 1e-9)) return fail(Code::cannot_judge, "no_breath");
    for (const auto k : signal::prominent_peaks(high, 0.2 * height)) marks.push_back({t[k] + shift_s, false});
    for (const auto k : signal::prominent_peaks(low, 0.2 * height)) marks.push_back({t[k] + shift_s, true});
    std::sort(marks.begin(), marks.end(), [](const BreathMark& a, const BreathMark& b) { return a.time_s < b.time_s; });
    // In turns: of two of a kind the first stands.
    marks.erase(std::unique(marks.begin(), marks.end(), [](const BreathMark& a, const BreathMark& b) { return a.in == b.in; }),
                marks.end());
    if (marks.size() < 2) return fail(Code::cannot_judge, "no_breath");
    return marks;
}

} // namespace bevel
