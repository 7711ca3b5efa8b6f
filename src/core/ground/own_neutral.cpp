#include "core/ground/own_neutral.h"
#include <algorithm>
#include <cmath>
#include <map>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

using nlohmann::json;

bool alike(View a, View b) {
    const auto side = [](View v) { return v == View::left || v == View::right; };
    return (a == b && a != View::oblique) || (side(a) && side(b)); // oblique: from here or there
}

json figures_json(const OwnFigures& f) {
    json out = json::object();
    for (std::size_t k = 0; k < own_part_count; ++k)
        if (f[k]) out[std::string(own_part_name(static_cast<OwnPart>(k)))] = {f[k]->value, f[k]->sigma};
    return out;
}
bool read_figures(const json& j, OwnFigures& out, bool by_hand) {
    if (!j.is_object() || j.size() > own_part_count) return false;
    for (std::size_t k = 0; k < own_part_count; ++k) {
        const auto it = j.find(std::string(own_part_name(static_cast<OwnPart>(k))));
        if (it == j.end()) continue;
        if (!it->is_array() || it->size() != 2 || !(*it)[0].is_number() || !(*it)[1].is_number()) return false;
        const OwnFigure f{(*it)[0].get<double>(), (*it)[1].get<double>(), by_hand};
        const auto [least, most] = bounds_of(static_cast<OwnPart>(k));
        if (!(f.value >= least && f.value <= most) || !(f.sigma >= 0 && f.sigma <= most - least)) return false;
        out[k] = f;
    }
    return true;
}
json comfort_json(const Comfort& c) {
    return {{"value", c.value}, {"clip", c.clip}};
}
bool read_comfort(const json& all, const char* key, OwnBounds b, std::optional<Comfort>& out) {
    const auto it = all.find(key);
    if (it == all.end()) return true;
    if (!it->is_object() || !it->contains("value") || !(*it)["value"].is_number()) return false;
    Comfort c;
    c.value = (*it)["value"].get<double>();
    if (const auto clip = it->find("clip"); clip != it->end()) {
        if (!clip->is_number_integer()) return false;
        c.clip = clip->get<std::int64_t>();
    }
    if (!(c.value >= b.least && c.value <= b.most) || c.clip < 0) return false;
    out = c;
    return true;
}

} // namespace

std::string_view own_part_name(OwnPart p) {
    constexpr std::array<std::string_view, own_part_count> n{"head", "gap_left", "gap_right", "gaze", "back_upper", "back_lower", "stoop"};
    return n[static_cast<std::size_t>(p)];
}

bool OwnFigures::empty() const {
    for (const auto& f : *this)
        if (f) return false;
    return true;
}

std::optional<OwnPart> own_part_of(std::string_view measure, std::optional<Side> side) {
    if (measure == "head.offset") return OwnPart::head;
    if (measure == "head.pitch") return OwnPart::gaze;
    if (measure == "back.upper") return OwnPart::back_upper;
    if (measure == "back.lower") return OwnPart::back_lower;
    if (measure == "trunk.lean") return OwnPart::stoop;
    if (measure == "shoulder.gap" && side) return *side == Side::left ? OwnPart::gap_left : OwnPart::gap_right;
    return std::nullopt;
}

OwnBounds bounds_of(OwnPart p) {
    switch (p) {
    case OwnPart::head:
        return {-0.1, 0.15};
    case OwnPart::gap_left:
    case OwnPart::gap_right:
        return {0.03, 0.2};
    case OwnPart::gaze:
        return {-60, 60};
    case OwnPart::back_upper:
    case OwnPart::back_lower:
        return {-90, 90};
    case OwnPart::stoop:
        return {5, 45};
    }
    return {0, 0};
}

OwnFigures PersonNeutral::seen_from(View v) const {
    OwnFigures out;
    for (std::size_t k = 0; k < own_part_count; ++k) {
        if (by_hand[k]) {
            out[k] = by_hand[k];
            out[k]->by_hand = true;
            continue;
        }
        // Moments of one clip share its errors: a figure a clip.
        struct Sum {
            double value = 0, variance = 0, n = 0;
        };
        std::map<std::int64_t, Sum> clips;
        const auto tells = [&](const RightMoment& m) { return m.figures[k] && alike(m.view, v); };
        const bool elsewhere = std::any_of(moments.begin(), moments.end(), [&](const auto& m) { return tells(m) && !m.of_clip; });
        for (const auto& m : moments)
            if (tells(m) && !(elsewhere && m.of_clip)) {
                auto& s = clips[m.clip];
                s.value += m.figures[k]->value, s.variance += m.figures[k]->sigma * m.figures[k]->sigma, s.n += 1;
            }
        if (clips.empty()) continue;
        const auto n = static_cast<double>(clips.size());
        double mean = 0, variance = 0, spread = 0;
        for (const auto& [clip, s] : clips) mean += s.value / s.n / n, variance += s.variance / s.n / n / n;
        for (const auto& [clip, s] : clips) spread += std::pow(s.value / s.n - mean, 2);
        if (n > 1) variance = std::max(variance, spread / (n - 1) / n);
        out[k] = {mean, std::sqrt(variance), false, !elsewhere};
    }
    return out;
}

PersonNeutral PersonNeutral::for_clip(std::int64_t clip) const {
    PersonNeutral out = *this;
    for (auto& m : out.moments) m.of_clip = clip != 0 && m.clip == clip;
    for (auto* c : {&out.depth, &out.twist, &out.bend})
        if (*c && clip != 0 && (*c)->clip == clip) c->reset();
    return out;
}

void PersonNeutral::renumber(const std::function<std::int64_t(std::int64_t)>& clip) {
    for (auto& m : moments)
        if (m.clip != 0) m.clip = clip(m.clip);
    for (auto* c : {&depth, &twist, &bend})
        if (*c && (*c)->clip != 0) (*c)->clip = clip((*c)->clip);
}

std::string neutral_text(const PersonNeutral& n) {
    if (n.empty()) return {};
    json j = json::object();
    for (const auto& m : n.moments)
        j["moments"].push_back({{"clip", m.clip},
                                {"time_s", m.time_s},
                                {"view", view_name(m.view)},
                                {"version", m.version},
                                {"figures", figures_json(m.figures)}});
    if (!n.by_hand.empty()) j["by_hand"] = figures_json(n.by_hand);
    if (n.depth) j["depth"] = comfort_json(*n.depth);
    if (n.twist) j["twist"] = comfort_json(*n.twist);
    if (n.bend) j["bend"] = comfort_json(*n.bend);
    return j.dump();
}

Result<PersonNeutral> parse_neutral(const std::string& text) {
    PersonNeutral out;
    if (text.empty()) return out;
    if (text.size() > 64 * 1024) return fail(Code::too_large, "neutral");
    const auto j = json::parse(text, nullptr, false);
    if (!j.is_object()) return fail(Code::unreadable, "neutral");
    if (const auto all = j.find("moments"); all != j.end()) {
        if (!all->is_array() || all->size() > most_moments) return fail(Code::bad_value, "neutral: moments");
        for (const auto& e : *all) {
            RightMoment m;
            const auto good = e.is_object() && e.contains("clip") && e["clip"].is_number_integer() && e.contains("time_s") &&
                              e["time_s"].is_number() && e.contains("view") && e["view"].is_string() && e.contains("figures") &&
                              read_figures(e["figures"], m.figures, false);
            const auto view = good ? view_from_name(e["view"].get<std::string>()) : std::nullopt;
            if (!view) return fail(Code::bad_value, "neutral: moment");
            m.clip = e["clip"].get<std::int64_t>();
            m.time_s = e["time_s"].get<double>();
            m.view = *view;
            if (const auto v = e.find("version"); v != e.end() && v->is_number_integer()) m.version = v->get<int>();
            if (m.clip < 0 || !(m.time_s >= 0 && m.time_s < 1e6)) return fail(Code::bad_value, "neutral: moment");
            out.moments.push_back(m);
        }
    }
    if (const auto h = j.find("by_hand"); h != j.end() && !read_figures(*h, out.by_hand, true))
        return fail(Code::bad_value, "neutral: by_hand");
    if (!read_comfort(j, "depth", depth_bounds, out.depth) || !read_comfort(j, "twist", twist_bounds, out.twist) ||
        !read_comfort(j, "bend", bend_bounds, out.bend))
        return fail(Code::bad_value, "neutral: range");
    return out;
}

} // namespace bevel
