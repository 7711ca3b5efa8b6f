#include "core/review/limits.h"
#include "core/ground/motion.h"
#include "core/signal/signal.h"
#include <cmath>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

constexpr std::array<std::string_view, 22> names{
    "lost",       "feet_cut",    "head_cut",       "too_small",     "dark",      "shaky",        "wandering", "view_changes",
    "other_view", "slow_frames", "several_people", "loose_clothes", "sides_cut", "bright",       "flat",      "blurred",
    "tilted",     "steep",       "legs_hidden",    "gaps",          "short",     "somebody_else"};
constexpr double least_s = 0.3;
/// The network looks at the body through 256 pixels, of which the body takes about 0.7: with fewer in the clip the points are guessed
/// between them, and with a third of that they are worth nothing.
constexpr double crop_body_px = 180, least_body_px = 60;
/// Half of the light that a figure needs to stand out from its ground (mid grey is 118), or hardly any difference at all.
constexpr double least_brightness = 40, most_brightness = 215, least_contrast = 10;
/// Clips of the hall show 0.76 to 0.90; blurred by a Gaussian of two pixels 0.46, of four 0.31, of eight 0.22.
constexpr double least_sharpness = 0.35;
/// The corrections of the body finder were fitted on cameras from 2 degrees up to 10 down, not rolled; beyond twice that nothing is known.
constexpr double most_roll_deg = 12, most_pitch_deg = 20;
constexpr double shortest_s = 4; // hardly a repetition, and no quiet stand beside it
/// Of the body's height, from one quarter second to the next: half a per cent is what a shift's speed must be told from.
constexpr double most_shake = 0.006, most_wander = 0.15;
constexpr double least_rate = 20;        // a tenth of a second, the tolerance of orders, needs two frames at least
constexpr double most_knee_noise = 0.03; // of the trunk: three times that of close clothes

struct Stretch {
    double from_s, to_s;
};

/// Stretches of frames for which `is` holds, gaps of up to `least_s` bridged.
std::vector<Stretch> stretches(const signal::Series& t, const std::function<bool(std::size_t)>& is) {
    std::vector<Stretch> out;
    for (std::size_t i = 0; i < t.size(); ++i) {
        if (!is(i)) continue;
        const double end = i + 1 < t.size() ? t[i + 1] : t[i];
        if (!out.empty() && t[i] - out.back().to_s < least_s)
            out.back().to_s = end;
        else
            out.push_back({t[i], end});
    }
    std::erase_if(out, [](const Stretch& s) { return s.to_s - s.from_s < least_s; });
    return out;
}

double body_height(const BodyPx& b) {
    double low = -1e9, high = 1e9;
    for (const auto& p : b) low = std::max(low, p.y), high = std::min(high, p.y);
    return low - high;
}

double trunk(const BodyPx& b) {
    return std::hypot(0.5 * (b[left_shoulder].x + b[right_shoulder].x) - 0.5 * (b[left_hip].x + b[right_hip].x),
                      0.5 * (b[left_shoulder].y + b[right_shoulder].y) - 0.5 * (b[left_hip].y + b[right_hip].y));
}

const std::vector<Family>& all_families() {
    static const std::vector<Family> all{Family::feet,  Family::weight, Family::knees, Family::hips,
                                         Family::spine, Family::head,   Family::arms,  Family::tempo};
    return all;
}

/// Spread of the knees' frame-to-frame trembling against that of the hips, in trunk lengths: what clothes add to the network's own.
double knee_noise(const Track& track) {
    std::vector<double> off;
    const auto& t = track.time_s;
    for (std::size_t i = 1; i + 1 < t.size(); ++i) {
        if (!track.px[i - 1] || !track.px[i] || !track.px[i + 1]) continue;
        const double size = trunk(*track.px[i]);
        if (size < 5) continue;
        for (const Point p : {left_knee, right_knee}) {
            const auto &a = (*track.px[i - 1])[p], &b = (*track.px[i])[p], &c = (*track.px[i + 1])[p];
            // The second difference of white noise has the square root of six times its spread.
            off.push_back(std::hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y) / std::sqrt(6.0) / size);
        }
    }
    return off.size() < 20 ? 0 : signal::median(off);
}

Track part_of(const Track& track, double from, double to) {
    Track out = track;
    for (std::size_t i = 0; i < out.time_s.size(); ++i)
        if (out.time_s[i] < from || out.time_s[i] >= to) out.px[i].reset();
    return out;
}

} // namespace

std::string_view limit_name(LimitKind k) {
    return names[static_cast<std::size_t>(k)];
}

std::vector<Limit> limits_of(const Track& track, std::span<const SceneSample> scene, const Movement* movement) {
    std::vector<Limit> out;
    const auto& t = track.time_s;
    if (t.size() < 2 || track.px.size() != t.size() || track.width <= 0) return out;
    if (std::any_of(track.m.begin(), track.m.end(), [](const auto& b) { return b.has_value(); })) return out; // points in metres
    const double whole = t.back() - t.front();
    auto add = [&](LimitKind kind, const std::vector<Stretch>& where, std::vector<Family> rules_out, double refuses_from) {
        double sum = 0;
        for (const auto& s : where) sum += s.to_s - s.from_s;
        for (const auto& s : where) out.push_back({kind, s.from_s, s.to_s, sum >= refuses_from * whole, rules_out});
    };
    const std::vector<Stretch> everywhere{{t.front(), t.back()}};
    add(LimitKind::lost, stretches(t, [&](std::size_t i) { return !track.px[i]; }), all_families(), 0.6);
    const double w = track.width, h = track.height;
    auto beyond = [&](std::size_t i, std::initializer_list<Point> points) {
        if (!track.px[i]) return false;
        for (const Point p : points) {
            const auto& q = (*track.px[i])[p];
            if (q.x < 0 || q.y < 0 || q.x > w - 1 || q.y > h - 1) return true;
        }
        return false;
    };
    add(LimitKind::feet_cut,
        stretches(t,
                  [&](std::size_t i) {
                      return beyond(i, {left_heel, right_heel, left_toe, right_toe, left_ankle, right_ankle});
                  }),
        {Family::feet, Family::weight, Family::knees}, 0.5);
    add(LimitKind::head_cut, stretches(t, [&](std::size_t i) { return beyond(i, {nose, left_ear, right_ear}); }), {Family::head}, 2);
    add(LimitKind::sides_cut,
        stretches(t,
                  [&](std::size_t i) {
                      if (!track.px[i]) return false;
                      return std::any_of(track.px[i]->begin(), track.px[i]->end(), [&](const auto& q) { return q.x < 0 || q.x > w - 1; });
                  }),
        {Family::arms}, 0.6);
    add(LimitKind::legs_hidden,
        stretches(t,
                  [&](std::size_t i) {
                      if (!track.px[i]) return false;
                      const BodyPx& b = *track.px[i];
                      const bool legs = b[left_knee].visibility < 0.4 && b[right_knee].visibility < 0.4 && b[left_ankle].visibility < 0.4 &&
                                        b[right_ankle].visibility < 0.4;
                      return legs && std::min(b[left_shoulder].visibility, b[right_shoulder].visibility) > 0.5;
                  }),
        {Family::feet, Family::weight, Family::knees}, 0.6);
    std::vector<double> heights;
    for (const auto& b : track.px)
        if (b) heights.push_back(body_height(*b));
    const double height = heights.empty() ? 0 : signal::median(heights);
    if (height > 0 && height < crop_body_px)
        add(LimitKind::too_small, everywhere, height < least_body_px ? all_families() : std::vector{Family::feet, Family::head},
            height < least_body_px ? 0 : 2);
    if (!scene.empty()) {
        signal::Series at;
        for (const auto& s : scene) at.push_back(s.time_s);
        add(LimitKind::dark, stretches(at, [&](std::size_t i) { return scene[i].brightness < least_brightness; }), {}, 2);
        add(LimitKind::bright, stretches(at, [&](std::size_t i) { return scene[i].brightness > most_brightness; }), {}, 2);
        add(LimitKind::flat,
            stretches(at,
                      [&](std::size_t i) {
                          return scene[i].contrast < least_contrast && scene[i].brightness >= least_brightness &&
                                 scene[i].brightness <= most_brightness;
                      }),
            {}, 2);
        add(LimitKind::blurred, stretches(at, [&](std::size_t i) { return scene[i].sharpness < least_sharpness; }),
            {Family::feet, Family::head}, 2);
        if (height > 0 && scene.size() > 8) {
            signal::Series step;
            Vec2 place = Vec2::Zero();
            double far = 0;
            for (const auto& s : scene) {
                place += s.shift;
                far = std::max(far, place.norm());
                step.push_back(s.shift.norm());
            }
            const double wander = far / height, shake = signal::median(step) / height;
            if (wander > most_wander)
                add(LimitKind::wandering, everywhere, {Family::feet, Family::weight, Family::tempo}, 2);
            else if (shake > most_shake)
                add(LimitKind::shaky, everywhere, {Family::weight}, 2);
        }
        std::vector<Stretch> crowd;
        int counted = 0, several = 0;
        for (const auto& s : scene) {
            if (s.people < 0) continue;
            ++counted;
            several += s.people > 1 ? 1 : 0;
        }
        if (counted > 0 && 4 * several >= counted) add(LimitKind::several_people, everywhere, {}, 2);
    }
    if (whole < shortest_s) add(LimitKind::short_clip, everywhere, {}, 2);
    {
        // More than a fifth of a second without a picture, where pictures come faster otherwise.
        std::vector<Stretch> missing;
        const double usual = 1 / std::max(1.0, signal::median_rate(t));
        for (std::size_t i = 1; i < t.size(); ++i)
            if (t[i] - t[i - 1] > std::max(0.2, 4 * usual)) missing.push_back({t[i - 1], t[i]});
        add(LimitKind::gaps, missing, {Family::tempo}, 2);
    }
    if (height > 0) {
        // From one frame to the next nobody's hips move by half of their height: from there on it is somebody else, or the film is cut.
        std::size_t last = t.size();
        for (std::size_t i = 0; i < t.size(); ++i) {
            if (!track.px[i]) continue;
            if (last < t.size() && t[i] - t[last] < 0.5) {
                const auto &a = *track.px[last], &b = *track.px[i];
                const double away = std::hypot(0.5 * (a[left_hip].x + a[right_hip].x - b[left_hip].x - b[right_hip].x),
                                               0.5 * (a[left_hip].y + a[right_hip].y - b[left_hip].y - b[right_hip].y));
                if (away > 0.5 * height) {
                    add(LimitKind::somebody_else, {{t[i], t.back()}}, {}, 2);
                    break;
                }
            }
            last = i;
        }
    }
    if (track.vertical && track.vertical->from_room) {
        if (std::abs(track.vertical->roll) / deg > most_roll_deg) add(LimitKind::tilted, everywhere, {}, 2);
        // tan(pitch) over the focal length, which is usual to a quarter.
        if (std::abs(std::atan(track.vertical->slope * 0.82 * std::max(w, h))) / deg > most_pitch_deg)
            add(LimitKind::steep, everywhere, {Family::feet, Family::weight}, 2);
    }
    const double rate = signal::median_rate(t);
    if (rate > 0 && rate < least_rate) add(LimitKind::slow_frames, everywhere, {Family::tempo}, 2);
    if (knee_noise(track) > most_knee_noise) add(LimitKind::loose_clothes, everywhere, {Family::knees}, 2);
    if (!heights.empty() && heights.size() * 2 > t.size()) {
        const bool turns = movement && std::any_of(movement->phases.begin(), movement->phases.end(), [](const Phase& p) {
                               return p.role == "turn" || p.role == "pivot" || p.role == "swing";
                           });
        const View all = guess_view(track);
        const double third = whole / 3;
        const View first = guess_view(part_of(track, t.front(), t.front() + third)),
                   last = guess_view(part_of(track, t.back() - third, t.back() + 1));
        if (!turns && first != last && first != View::oblique && last != View::oblique)
            add(LimitKind::view_changes, {{t.front() + third, t.back() - third}}, {}, 2);
        else if (movement && !movement->best_views.empty() &&
                 std::none_of(movement->best_views.begin(), movement->best_views.end(), [&](View v) { return v == all; }))
            add(LimitKind::other_view, everywhere, {}, 2);
    }
    std::stable_sort(out.begin(), out.end(), [](const Limit& a, const Limit& b) { return a.from_s < b.from_s; });
    return out;
}

std::string limits_json(const std::vector<Limit>& limits) {
    nlohmann::json out = nlohmann::json::array();
    for (const auto& l : limits) {
        nlohmann::json rules = nlohmann::json::array();
        for (const Family f : l.rules_out) rules.push_back(static_cast<int>(f));
        out.push_back({{"kind", limit_name(l.kind)}, {"from_s", l.from_s}, {"to_s", l.to_s}, {"refuses", l.refuses}, {"rules_out", rules}});
    }
    return out.dump();
}

std::vector<Limit> parse_limits(const std::string& text) {
    std::vector<Limit> out;
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_array()) return out;
    for (const auto& l : j) {
        if (out.size() >= 1000 || !l.is_object()) return {};
        const auto kind = std::find(names.begin(), names.end(), l.value("kind", ""));
        if (kind == names.end()) continue; // of a newer program
        Limit limit;
        limit.kind = static_cast<LimitKind>(kind - names.begin());
        for (const auto& [key, to] : {std::pair{"from_s", &limit.from_s}, {"to_s", &limit.to_s}}) {
            if (!l.contains(key) || !l[key].is_number()) return {};
            *to = l[key].get<double>();
        }
        limit.refuses = l.contains("refuses") && l["refuses"].is_boolean() && l["refuses"].get<bool>();
        if (l.contains("rules_out") && l["rules_out"].is_array())
            for (const auto& f : l["rules_out"])
                if (f.is_number_integer() && f.get<int>() >= 0 && f.get<int>() < family_count)
                    limit.rules_out.push_back(static_cast<Family>(f.get<int>()));
        out.push_back(std::move(limit));
    }
    return out;
}

} // namespace bevel
