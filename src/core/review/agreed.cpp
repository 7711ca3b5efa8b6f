#include "core/review/agreed.h"
#include <algorithm>

namespace bevel {
namespace {

BandChange opened(const char* check, bool low, const std::string& reason) {
    BandChange c;
    c.check = check;
    (low ? c.open_low : c.open_high) = true;
    c.reason = reason;
    return c;
}

BandChange stricter(const char* check, const std::string& reason) {
    BandChange c;
    c.check = check;
    c.stricter = true;
    c.reason = reason;
    return c;
}

} // namespace

std::vector<BandChange> changes_of_limit(const std::string& limit, const std::string& reason) {
    // "Sink a little deeper", "stay a little lower", and the longer step that makes room to sink.
    if (limit == "high_stance")
        return {opened("depth", false, reason), opened("height_kept", false, reason), opened("bow_length", true, reason)};
    if (limit == "no_overhead" || limit == "care_shoulders") return {opened("hand_height", true, reason)};
    if (limit == "care_knees") {
        auto all = changes_of_limit("high_stance", reason);
        all.push_back(stricter("front_knee_ahead", reason));
        return all;
    }
    return {};
}

std::vector<std::string> cares_of_pain(const std::string& words) {
    // Only ASCII is compared without regard to case; umlauts are written both ways.
    std::string low;
    for (const char c : words) low += c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c;
    struct Named {
        const char* care;
        std::vector<const char*> words;
    };
    static const std::vector<Named> all{{"care_knees", {"knee", "knie"}},
                                        {"care_low_back", {"back", "rücken", "rÜcken", "ruecken", "kreuz", "lumbar", "lende"}},
                                        {"care_neck", {"neck", "nacken", "hals"}},
                                        {"care_shoulders", {"shoulder", "schulter"}}};
    std::vector<std::string> out;
    for (const auto& n : all)
        if (std::any_of(n.words.begin(), n.words.end(), [&](const char* w) { return low.find(w) != std::string::npos; }))
            out.emplace_back(n.care);
    return out;
}

std::vector<BandChange> changes_of_tired_day(const std::string& reason) {
    return {opened("depth", false, reason), opened("height_kept", false, reason)};
}

} // namespace bevel
