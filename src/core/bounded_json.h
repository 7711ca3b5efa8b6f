// JSON from elsewhere: no deeper and no more of it than it may be, whatever the text claims; the reading can be stopped.
#pragma once
#include "core/result.h"
#include <nlohmann/json.hpp>
#include <stop_token>

namespace bevel {

struct JsonBounds {
    std::size_t values = 3'000'000; // objects, lists, texts, numbers and keys together
    int depth = 40;
};

/// unreadable for what is no JSON, too_large beyond the bounds (both with `what` as context), cancelled.
inline Result<nlohmann::json> bounded_json(const std::string& text, const std::string& what, const JsonBounds& bounds = {},
                                           const std::stop_token& stop = {}) {
    using json = nlohmann::json;
    struct TooMuch {};
    struct Stopped {};
    std::size_t n = 0;
    const auto watch = [&](int depth, json::parse_event_t event, json&) {
        using E = json::parse_event_t;
        if (event == E::object_end || event == E::array_end) return true;
        if (++n > bounds.values || depth > bounds.depth) throw TooMuch{};
        if (n % 4096 == 0 && stop.stop_requested()) throw Stopped{};
        return true;
    };
    try {
        auto j = json::parse(text, watch, false);
        if (j.is_discarded()) return fail(Code::unreadable, what);
        return j;
    } catch (const TooMuch&) {
        return fail(Code::too_large, what);
    } catch (const Stopped&) {
        return fail(Code::cancelled, "");
    }
}

} // namespace bevel
