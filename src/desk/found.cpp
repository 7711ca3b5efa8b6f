#include "desk/found.h"
#include "core/form/which_form.h"
#include "core/ground/derive.h"
#include "core/review/look.h"
#include "core/review/same_take.h"
#include "core/signal/signal.h"
#include "desk/at_once.h"
#include <algorithm>
#include <cctype>
#include <cmath>
#include <map>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {
std::string problem_of(const Error& e) {
    if (e.code == Code::cancelled) return "cancelled";
    return e.code == Code::cannot_judge ? e.context : "unreadable: " + e.context;
}

/// What was marked by hand holds when the body is found again.
Track with_marks_of(const Library& library, std::int64_t clip, Track track) {
    if (auto before = library.tracks().load(clip); before && before->frames() == track.frames() && before->width == track.width)
        std::swap(track.layers.steady, before->layers.steady), track.layers = std::move(before->layers);
    return track;
}

ClipQuality quality_of(const Track& raw, const Review* review) {
    ClipQuality q;
    Track track = raw; // with what was set by hand, whatever stretch counts
    track.layers.trim_from_s.reset(), track.layers.trim_to_s.reset();
    track = with_layers(track);
    const auto found = std::count_if(track.px.begin(), track.px.end(), [](const auto& f) { return f.has_value(); });
    q.found = track.frames() > 0 ? static_cast<double>(found) / static_cast<double>(track.frames()) : 0;
    q.frames_per_s = signal::median_rate(track.time_s);
    q.vertical_seen = track.vertical && track.vertical->from_room;
    q.neutral_seen = review && review->motion.neutral.source == NeutralSource::quiet_second;
    return q;
}
} // namespace

Result<Clip> keep_found(Library& library, Clip clip, const Found& found) {
    auto ok = library.together([&]() -> Result<bool> {
        if (found.track) {
            if (auto done = library.tracks().save(clip.id, with_marks_of(library, clip.id, *found.track)); !done) return done;
            const auto before = clip.quality ? clip.quality->limits : std::vector<Limit>();
            clip.quality = quality_of(*found.track, found.review);
            clip.quality->limits = found.limits.empty() ? before : found.limits;
            if (auto done = library.tracks().save_quality(clip.id, *clip.quality); !done) return done;
            if (auto done = library.tracks().forget_unfinished(clip.id); !done) return done;
        }
        if (found.review) {
            const Motion& m = found.review->motion;
            if (m.has_x && m.neutral.source == NeutralSource::quiet_second)
                if (auto done = library.people().set_shoulder_width(clip.person, m.neutral.shoulder_width); !done) return done;
        }
        if (found.review && clip.view.empty()) {
            clip.view = view_name(found.review->motion.view);
            if (auto done = library.clips().set_facts(clip); !done) return done;
        }
        if (found.better) {
            clip.which = which_json({clip.movement, *found.better});
            if (auto done = library.clips().set_which(clip.id, clip.which); !done) return done;
        }
        clip.state = found.review ? ClipState::tracked : ClipState::failed;
        clip.problem = found.review ? std::string() : problem_of(found.error);
        return library.clips().set_state(clip.id, clip.state, clip.problem);
    });
    if (!ok) return tl::unexpected(ok.error());
    return clip;
}

Result<Clip> keep_asked(Library& library, Clip clip, const Track& track, std::vector<Limit> limits, const ClipGuess& guess) {
    auto ok = library.together([&]() -> Result<bool> {
        if (auto done = library.tracks().save(clip.id, with_marks_of(library, clip.id, track)); !done) return done;
        clip.quality = quality_of(track, nullptr);
        clip.quality->limits = std::move(limits);
        if (auto done = library.tracks().save_quality(clip.id, *clip.quality); !done) return done;
        if (auto done = library.tracks().forget_unfinished(clip.id); !done) return done;
        clip.guess = guess_json(guess);
        if (auto done = library.clips().set_guess(clip.id, clip.guess); !done) return done;
        const auto& all = clip.quality->limits;
        const auto refusing = std::find_if(all.begin(), all.end(), [](const Limit& l) { return l.refuses; });
        clip.state = refusing == all.end() ? ClipState::asked : ClipState::failed;
        clip.problem = refusing == all.end() ? std::string() : "limit: " + std::string(limit_name(refusing->kind));
        return library.clips().set_state(clip.id, clip.state, clip.problem);
    });
    if (!ok) return tl::unexpected(ok.error());
    return clip;
}

namespace {

/// Words of a name or file name: letters and digits in small letters, what is not plain Latin taken as it is.
std::vector<std::string> words_of(const std::string& text) {
    std::vector<std::string> out(1);
    for (const char c : text) {
        const auto u = static_cast<unsigned char>(c);
        if (u >= 0x80 || std::isalnum(u))
            out.back() += static_cast<char>(std::tolower(u));
        else if (!out.back().empty())
            out.emplace_back();
    }
    if (out.back().empty()) out.pop_back();
    return out;
}

/// How much likelier a file of this name is this person's than anybody's, as a logarithm: a whole name is taken for two hundred to one, the
/// beginning of one for twenty.
double by_name(const std::vector<std::string>& file, const std::string& person) {
    double best = 0;
    for (const auto& name : words_of(person))
        for (const auto& w : file) {
            if (name.size() < 3 || w.size() < 3) continue;
            if (w == name) best = std::max(best, std::log(200.0));
            if (w.starts_with(name) || name.starts_with(w)) best = std::max(best, std::log(20.0));
        }
    return best;
}

} // namespace

namespace {

/// A form that explains most of what was found in a long clip, as a guess of a movement; nothing where none does.
std::optional<MovementGuess> form_guess(const Track& track, std::span<const Movement> movements, std::span<const LinkedForm> forms,
                                        const ReviewOptions& o, const std::stop_token& stop) {
    constexpr double long_s = 45, least = 0.5;
    constexpr int kinds = 3; // two movements in turn are no form yet
    if (forms.empty() || track.time_s.empty() || track.time_s.back() - track.time_s.front() < long_s) return std::nullopt;
    const auto parts = suggest_parts(track, movements, o);
    const auto guessed = guess_form(parts, forms);
    std::optional<FormGuess> best = guessed.empty() ? std::nullopt : std::optional(guessed.front());
    // Parts that one camera sees from another side than the clip's are not found one by one.
    if (const auto turning = guess_turning_form(track, movements, forms, o, stop); turning && (!best || turning->score > best->score))
        best = turning;
    if (!best || best->score < least || best->movements < kinds) return std::nullopt;
    MovementGuess g;
    g.movement = std::string(form_prefix) + best->form;
    g.probability = best->score;
    g.repetitions = 1;
    double cost = 0, time = 0;
    for (const auto& p : parts) cost += p.cost * (p.to_s - p.from_s), time += p.to_s - p.from_s;
    g.cost = time > 0 ? cost / time : 0;
    g.share = time / (track.time_s.back() - track.time_s.front());
    return g;
}

} // namespace

std::int64_t sent_before(const Library& library, const Clip& clip, const Track& track) {
    const auto clips = library.clips().all(); // newest first
    if (!clips || clip.is_part()) return 0;
    int compared = 0;
    for (const auto& c : *clips) {
        if (c.id == clip.id || c.is_part() || c.file == clip.file) continue;
        if (++compared > takes_compared) break;
        if (const auto other = library.tracks().load(c.id); other && same_take(track, *other)) return c.id;
    }
    return 0;
}

Result<ClipGuess> guess_clip(const Library& library, const Clip& clip, const Track& track, std::span<const Movement> movements,
                             std::span<const LinkedForm> forms, const std::stop_token& stop) {
    ClipGuess out;
    const auto people = library.people().all();
    if (!people) return tl::unexpected(people.error());
    const auto clips = library.clips().all();
    if (!clips) return tl::unexpected(clips.error());
    out.view = view_name(guess_view(track));
    out.same_take = sent_before(library, clip, track);
    out.heard_with = heard_with(library, clip, out.same_take, stop);
    const auto shape = body_shape(track);
    const auto file = words_of(std::filesystem::path(clip.named.empty() ? clip.file : clip.named).stem().string());
    std::map<std::int64_t, int> seen;
    std::map<std::int64_t, double> alike;
    if (shape)
        for (const auto& c : *clips) { // newest first
            if (c.person == 0 || c.id == clip.id || ++seen[c.person] > 3) continue;
            const auto other = library.tracks().load(c.id);
            const auto theirs = other ? body_shape(*other) : std::nullopt;
            if (theirs && theirs->view == shape->view) {
                const double now = same_body(*shape, *theirs);
                const auto it = alike.find(c.person);
                alike[c.person] = it == alike.end() ? now : std::max(it->second, now);
            }
        }
    // Whoever is filmed in this room more often than others are: counted, with one clip of each kind beforehand.
    std::map<std::int64_t, double> at_home;
    if (const auto looks = library.places().looks()) {
        const auto mine = std::find_if(looks->begin(), looks->end(), [&](const auto& l) { return l.clip == clip.id; });
        if (mine != looks->end()) {
            std::map<std::int64_t, std::pair<double, double>> counts; // here, in all
            std::pair<double, double> all{1, 2};
            for (const auto& l : *looks) {
                if (l.person == 0 || l.clip == clip.id) continue;
                const double here = same_room(mine->look, l.look) > same_place ? 1 : 0;
                auto& c = counts[l.person];
                c.first += here, all.first += here;
                ++c.second, ++all.second;
            }
            for (const auto& [person, c] : counts) at_home[person] = std::log((c.first + 1) / (c.second + 2) / (all.first / all.second));
        }
    }
    // Somebody new is as likely as any one of them before anything is known.
    double all = 1;
    for (const auto& p : *people) {
        const auto it = alike.find(p.id);
        const double weight = std::exp(std::clamp(
            by_name(file, p.name) + (it == alike.end() ? 0.0 : it->second) + (at_home.contains(p.id) ? at_home[p.id] : 0.0), -20.0, 20.0));
        out.people.push_back({p.id, weight});
        all += weight;
    }
    out.people.push_back({0, 1});
    for (auto& p : out.people) p.probability /= all;
    std::stable_sort(out.people.begin(), out.people.end(), [](const auto& a, const auto& b) { return a.probability > b.probability; });
    if (out.people.size() > 3) out.people.resize(3);
    ReviewOptions o;
    if (!out.people.empty())
        for (const auto& p : *people)
            if (p.id == out.people.front().person && p.height_said) o.stature_m = p.stature_m;
    if (const auto form = form_guess(track, movements, forms, o, stop))
        out.movements = {*form};
    else
        out.movements = guess_movement(track, movements, o);
    if (stop.stop_requested()) return fail(Code::cancelled, ""); // half a guess is none
    if (out.movements.size() > 3) out.movements.resize(3);
    return out;
}

std::string guess_json(const ClipGuess& g) {
    nlohmann::json people = nlohmann::json::array(), movements = nlohmann::json::array();
    for (const auto& p : g.people) people.push_back({{"person", p.person}, {"probability", p.probability}});
    for (const auto& m : g.movements)
        movements.push_back({{"movement", m.movement},
                             {"probability", m.probability},
                             {"repetitions", m.repetitions},
                             {"left", m.left},
                             {"right", m.right}});
    return nlohmann::json{{"people", people},       {"movements", movements},   {"view", g.view},
                          {"mirrored", g.mirrored}, {"same_take", g.same_take}, {"heard_with", g.heard_with}}
        .dump();
}

ClipGuess parse_guess(const std::string& text) {
    ClipGuess g;
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_object()) return g;
    auto number = [](const nlohmann::json& o, const char* key) {
        return o.is_object() && o.contains(key) && o[key].is_number() ? std::clamp(o[key].get<double>(), 0.0, 1e15) : 0.0;
    };
    if (j.contains("people") && j["people"].is_array())
        for (const auto& p : j["people"])
            if (g.people.size() < 3)
                g.people.push_back({static_cast<std::int64_t>(number(p, "person")), std::min(1.0, number(p, "probability"))});
    if (j.contains("movements") && j["movements"].is_array())
        for (const auto& m : j["movements"]) {
            if (g.movements.size() >= 3 || !m.is_object() || !m.contains("movement") || !m["movement"].is_string()) continue;
            MovementGuess one;
            one.movement = m["movement"].get<std::string>();
            one.probability = std::min(1.0, number(m, "probability"));
            one.repetitions = static_cast<int>(std::min(1e6, number(m, "repetitions")));
            one.left = static_cast<int>(std::min(1e6, number(m, "left")));
            one.right = static_cast<int>(std::min(1e6, number(m, "right")));
            g.movements.push_back(std::move(one));
        }
    g.same_take = static_cast<std::int64_t>(number(j, "same_take"));
    g.heard_with = static_cast<std::int64_t>(number(j, "heard_with"));
    if (j.contains("view") && j["view"].is_string()) g.view = j["view"].get<std::string>();
    g.mirrored = j.contains("mirrored") && j["mirrored"].is_boolean() && j["mirrored"].get<bool>();
    return g;
}

} // namespace bevel
