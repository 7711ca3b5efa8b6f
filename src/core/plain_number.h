// Numbers of files and of the command line: with a point, whatever the language of the desktop.
#pragma once
#include <charconv>
#include <cmath>
#include <optional>
#include <string_view>

namespace bevel {

/// The whole of the text as a finite number; nothing where it is none. No blanks, no comma.
inline std::optional<double> plain_number(std::string_view text) {
    double v = 0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), v);
    if (error != std::errc() || end != text.data() + text.size() || !std::isfinite(v)) return std::nullopt;
    return v;
}

} // namespace bevel
