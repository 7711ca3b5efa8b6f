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

namespace {

/// Looks for what stands in the way, one kind after the other.
class Obstacles {
public:
    Obstacles(const Track& track, std::span<const SceneSample> scene, const Movement* movement)
        : track_(track), scene_(scene), movement_(movement), t_(track.time_s),
          whole_(t_.back() - t_.front()), everywhere_{{t_.front(), t_.back()}} {
        for (const auto& b : track.px)
            if (b) heights_.push_back(body_height(*b));
        height_ = heights_.empty() ? 0 : signal::median(heights_);
    }

    std::vector<Limit> run() {
        in_the_picture();
        too_small();
        if (!scene_.empty()) {
            light();
            if (height_ > 0 && scene_.size() > 8) camera_moves();
            crowd();
        }
        times();
        if (height_ > 0) somebody_else();
        camera();
        if (!heights_.empty() && heights_.size() * 2 > t_.size()) view();
        std::stable_sort(out_.begin(), out_.end(), [](const Limit& a, const Limit& b) { return a.from_s < b.from_s; });
        return std::move(out_);
    }

private:
    void add(LimitKind kind, const std::vector<Stretch>& where, const std::vector<Family>& rules_out, double refuses_from) {
        double sum = 0;
        for (const auto& s : where) sum += s.to_s - s.from_s;
        for (const auto& s : where) out_.push_back({kind, s.from_s, s.to_s, sum >= refuses_from * whole_, rules_out});
    }

    bool beyond(std::size_t i, std::initializer_list<Point> points) const {
        if (!track_.px[i]) return false;
        for (const Point p : points) {
            const auto& q = (*track_.px[i])[p];
            if (q.x < 0 || q.y < 0 || q.x > track_.width - 1 || q.y > track_.height - 1) return true;
        }
        return false;
    }

    void in_the_picture() {
        const double w = track_.width;
        add(LimitKind::lost, stretches(t_, [&](std::size_t i) { return !track_.px[i]; }), all_families(), 0.6);
        add(LimitKind::feet_cut,
            stretches(t_,
                      [&](std::size_t i) {
                          return beyond(i, {left_heel, right_heel, left_toe, right_toe, left_ankle, right_ankle});
                      }),
            {Family::feet, Family::weight, Family::knees}, 0.5);
        add(LimitKind::head_cut, stretches(t_, [&](std::size_t i) { return beyond(i, {nose, left_ear, right_ear}); }), {Family::head}, 2);
        add(LimitKind::sides_cut,
            stretches(t_,
                      [&](std::size_t i) {
                          if (!track_.px[i]) return false;
                          return std::any_of(track_.px[i]->begin(), track_.px[i]->end(),
                                             [&](const auto& q) { return q.x < 0 || q.x > w - 1; });
                      }),
            {Family::arms}, 0.6);
        add(LimitKind::legs_hidden,
            stretches(t_,
                      [&](std::size_t i) {
                          if (!track_.px[i]) return false;
                          const BodyPx& b = *track_.px[i];
                          const bool legs = b[left_knee].visibility < 0.4 && b[right_knee].visibility < 0.4 &&
                                            b[left_ankle].visibility < 0.4 && b[right_ankle].visibility < 0.4;
                          return legs && std::min(b[left_shoulder].visibility, b[right_shoulder].visibility) > 0.5;
                      }),
            {Family::feet, Family::weight, Family::knees}, 0.6);
    }

    void too_small() {
        if (height_ > 0 && height_ < crop_body_px)
            add(LimitKind::too_small, everywhere_, height_ < least_body_px ? all_families() : std::vector{Family::feet, Family::head},
                height_ < least_body_px ? 0 : 2);
    }

    void light() {
        signal::Series at;
        for (const auto& s : scene_) at.push_back(s.time_s);
        add(LimitKind::dark, stretches(at, [&](std::size_t i) { return scene_[i].brightness < least_brightness; }), {}, 2);
        add(LimitKind::bright, stretches(at, [&](std::size_t i) { return scene_[i].brightness > most_brightness; }), {}, 2);
        add(LimitKind::flat,
            stretches(at,
                      [&](std::size_t i) {
                          return scene_[i].contrast < least_contrast && scene_[i].brightness >= least_brightness &&
                                 scene_[i].brightness <= most_brightness;
                      }),
            {}, 2);
        add(LimitKind::blurred, stretches(at, [&](std::size_t i) { return scene_[i].sharpness < least_sharpness; }),
            {Family::feet, Family::head}, 2);
    }

    void camera_moves() {
        signal::Series step;
        Vec2 place = Vec2::Zero();
        double far = 0;
        for (const auto& s : scene_) {
            place += s.shift;
            far = std::max(far, place.norm());
            step.push_back(s.shift.norm());
        }
        const double wander = far / height_, shake = signal::median(step) / height_;
        if (wander > most_wander)
            add(LimitKind::wandering, everywhere_, {Family::feet, Family::weight, Family::tempo}, 2);
        else if (shake > most_shake)
            add(LimitKind::shaky, everywhere_, {Family::weight}, 2);
    }

    void crowd() {
        int counted = 0, several = 0;
        for (const auto& s : scene_) {
            if (s.people < 0) continue;
            ++counted;
            several += s.people > 1 ? 1 : 0;
        }
        if (counted > 0 && 4 * several >= counted) add(LimitKind::several_people, everywhere_, {}, 2);
    }

    void times() {
        if (whole_ < shortest_s) add(LimitKind::short_clip, everywhere_, {}, 2);
        // More than a fifth of a second without a picture, where pictures come faster otherwise.
        std::vector<Stretch> missing;
        const double usual = 1 / std::max(1.0, signal::median_rate(t_));
        for (std::size_t i = 1; i < t_.size(); ++i)
            if (t_[i] - t_[i - 1] > std::max(0.2, 4 * usual)) missing.push_back({t_[i - 1], t_[i]});
        add(LimitKind::gaps, missing, {Family::tempo}, 2);
    }

    void somebody_else() {
        // From one frame to the next nobody's hips move by half of their height_: from there on it is somebody else, or the film is cut.
        std::size_t last = t_.size();
        for (std::size_t i = 0; i < t_.size(); ++i) {
            if (!track_.px[i]) continue;
            if (last < t_.size() && t_[i] - t_[last] < 0.5) {
                const auto &a = *track_.px[last], &b = *track_.px[i];
                const double away = std::hypot(0.5 * (a[left_hip].x + a[right_hip].x - b[left_hip].x - b[right_hip].x),
                                               0.5 * (a[left_hip].y + a[right_hip].y - b[left_hip].y - b[right_hip].y));
                if (away > 0.5 * height_) {
                    add(LimitKind::somebody_else, {{t_[i], t_.back()}}, {}, 2);
                    break;
                }
            }
            last = i;
        }
    }

    void camera() {
        if (track_.vertical && track_.vertical->from_room) {
            if (std::abs(track_.vertical->roll) / deg > most_roll_deg) add(LimitKind::tilted, everywhere_, {}, 2);
            // tan(pitch) over the focal length, which is usual to a quarter.
            if (std::abs(std::atan(track_.vertical->slope * 0.82 * std::max(track_.width, track_.height))) / deg > most_pitch_deg)
                add(LimitKind::steep, everywhere_, {Family::feet, Family::weight}, 2);
        }
        const double rate = signal::median_rate(t_);
        if (rate > 0 && rate < least_rate) add(LimitKind::slow_frames, everywhere_, {Family::tempo}, 2);
        if (knee_noise(track_) > most_knee_noise) add(LimitKind::loose_clothes, everywhere_, {Family::knees}, 2);
    }

    void view() {
        const bool turns = movement_ && std::any_of(movement_->phases.begin(), movement_->phases.end(), [](const Phase& p) {
                               return p.role == "turn" || p.role == "pivot" || p.role == "swing";
                           });
        const View all = guess_view(track_);
        const double third = whole_ / 3;
        const View first = guess_view(part_of(track_, t_.front(), t_.front() + third)),
                   last = guess_view(part_of(track_, t_.back() - third, t_.back() + 1));
        if (!turns && first != last && first != View::oblique && last != View::oblique)
            add(LimitKind::view_changes, {{t_.front() + third, t_.back() - third}}, {}, 2);
        else if (movement_ && !movement_->best_views.empty() &&
                 std::none_of(movement_->best_views.begin(), movement_->best_views.end(), [&](View v) { return v == all; }))
            add(LimitKind::other_view, everywhere_, {}, 2);
    }

    const Track& track_;
    std::span<const SceneSample> scene_;
    const Movement* movement_;
    const std::vector<double>& t_;
    double whole_, height_ = 0;
    std::vector<Stretch> everywhere_;
    std::vector<double> heights_;
    std::vector<Limit> out_;
};

} // namespace

std::vector<Limit> limits_of(const Track& track, std::span<const SceneSample> scene, const Movement* movement) {
    const auto& t = track.time_s;
    if (t.size() < 2 || track.px.size() != t.size() || track.width <= 0) return {};
    if (std::any_of(track.m.begin(), track.m.end(), [](const auto& b) { return b.has_value(); })) return {}; // points in metres
    return Obstacles(track, scene, movement).run();
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
