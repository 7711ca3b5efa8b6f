#include "core/judge/finding_key.h"
#include <algorithm>
#include <charconv>

namespace bevel {
namespace {

constexpr std::string_view seen_prefix = "seen:", limit_prefix = "limit.", better_prefix = "better:";

/// Takes the ending away where it is there.
bool ends(std::string_view& text, std::string_view ending) {
    if (!text.ends_with(ending)) return false;
    text.remove_suffix(ending.size());
    return true;
}

std::string side_of(const std::optional<Side>& side) {
    return side ? std::string(side_name(*side)) : std::string();
}

} // namespace

FindingKey FindingKey::of(const Finding& f) {
    return {f.part, f.check, f.side, f.direction};
}

FindingKey FindingKey::read(std::string_view text) {
    const auto slash = text.rfind('/');
    return slash == std::string_view::npos ? read(text, {}) : read(text.substr(0, slash), text.substr(slash + 1));
}

FindingKey FindingKey::read(std::string_view check, std::string_view side) {
    FindingKey k;
    if (side == "left" || side == "right") k.side = side == "left" ? Side::left : Side::right;
    if (const auto at = check.find('~'); at != std::string_view::npos) {
        k.part = check.substr(0, at);
        check.remove_prefix(at + 1);
    }
    if (!check.starts_with(limit_prefix)) // a limit has a dot of its own
        k.direction = ends(check, ".low") ? Direction::low : ends(check, ".high") ? Direction::high : Direction::none;
    k.check = check;
    return k;
}

std::string FindingKey::check_text() const {
    std::string out = part.empty() ? check : part + "~" + check;
    if (direction != Direction::none) out += "." + std::string(direction_name(direction));
    return out;
}
std::string FindingKey::side_text() const {
    return side_of(side);
}
std::string FindingKey::text() const {
    return check_text() + "/" + side_text();
}

bool FindingKey::means(const Finding& f) const {
    return part == f.part && check == f.check && side == f.side && (direction == Direction::none || direction == f.direction);
}

FindingKey FindingKey::either() const {
    FindingKey k = *this;
    k.direction = Direction::none;
    return k;
}

std::optional<std::int64_t> FindingKey::seen() const {
    if (!check.starts_with(seen_prefix)) return std::nullopt;
    std::int64_t id = 0;
    const char* from = check.data() + seen_prefix.size();
    const char* to = check.data() + check.size();
    const auto [end, error] = std::from_chars(from, to, id);
    return error == std::errc() && end == to && from != to ? std::optional(id) : std::nullopt;
}
std::string FindingKey::seen_check(std::int64_t id) {
    return std::string(seen_prefix) + std::to_string(id);
}

bool means_one_of(const FindingKey& key, const std::vector<const Finding*>& remark) {
    return std::any_of(remark.begin(), remark.end(), [&](const Finding* f) { return key.means(*f); });
}

Praise Praise::read(std::string_view text) {
    Praise p;
    if (text.starts_with(better_prefix)) {
        p.better = true;
        text.remove_prefix(better_prefix.size());
    }
    if (!text.empty()) p.key = FindingKey::read(text);
    return p;
}
std::string Praise::text() const {
    if (empty()) return {};
    return (better ? std::string(better_prefix) : std::string()) + key.text();
}

std::string limit_of(const std::string& agreed) {
    return agreed.starts_with(limit_prefix) ? agreed.substr(limit_prefix.size()) : std::string();
}
std::string check_of_limit(const std::string& limit) {
    return std::string(limit_prefix) + limit;
}

} // namespace bevel
