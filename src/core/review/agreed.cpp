#include "core/review/agreed.h"

namespace bevel {
namespace {

BandChange opened(const char* check, bool low, const std::string& reason) {
    BandChange c;
    c.check = check;
    (low ? c.open_low : c.open_high) = true;
    c.reason = reason;
    return c;
}

} // namespace

std::vector<BandChange> changes_of_limit(const std::string& limit, const std::string& reason) {
    // "Sink a little deeper", "stay a little lower", and the longer step that makes room to sink.
    if (limit == "high_stance")
        return {opened("depth", false, reason), opened("height_kept", false, reason), opened("bow_length", true, reason)};
    if (limit == "no_overhead") return {opened("hand_height", true, reason)};
    return {};
}

std::vector<BandChange> changes_of_tired_day(const std::string& reason) {
    return {opened("depth", false, reason), opened("height_kept", false, reason)};
}

} // namespace bevel
