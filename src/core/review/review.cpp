#include "core/review/review.h"
#include "core/review/free.h"
#include <algorithm>
#include <cmath>
#include <limits>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

using nlohmann::json;

json number(double v) {
    return std::isfinite(v) ? json(std::round(v * 1e5) / 1e5) : json(nullptr);
}
json bound(const std::optional<double>& v) {
    return v ? number(*v) : json(nullptr);
}
json measures_json(const Measures& ms) {
    json out = json::object();
    json time = json::array();
    for (const double t : ms.time_s) time.push_back(number(t));
    for (const auto& [key, s] : ms.series) {
        json j{{"unit", s.unit}, {"time_s", time}};
        if (s.side) j["side"] = side_name(*s.side);
        json value = json::array(), sigma = json::array();
        for (const auto& v : s.samples) {
            value.push_back(v.present() ? number(v.value) : json(nullptr));
            sigma.push_back(v.present() ? number(v.sigma) : json(nullptr));
        }
        j["value"] = std::move(value);
        j["sigma"] = std::move(sigma);
        if (const auto a = s.absent_throughout()) j["absent_reason"] = absent_name(*a);
        out[key] = std::move(j);
    }
    return out;
}

json events_json(const Measures& ms) {
    json out = json::array();
    std::array<bool, 2> off{false, false};
    for (const auto& e : ms.events) {
        json j{{"event", event_name(e.kind)}, {"part", part_name(e.part)}, {"time_s", number(e.time_s)}, {"sigma_s", number(e.sigma_s)}};
        if (e.side) j["side"] = side_name(*e.side);
        out.push_back(j);
        if (e.part != Part::foot) continue;
        // The names of the first contract: leaves the floor, first touch, flat.
        bool& up = off[static_cast<std::size_t>(*e.side)];
        const char* old = e.kind == EventKind::off ? "foot_off" : e.kind == EventKind::flat ? "foot_flat" : nullptr;
        if (up && (e.kind == EventKind::heel_down || e.kind == EventKind::toe_down)) {
            j["event"] = "foot_down";
            out.push_back(j);
            up = false;
        }
        if (e.kind == EventKind::off) up = true;
        if (old) {
            j["event"] = old;
            out.push_back(j);
        }
    }
    for (const auto& s : ms.shifts)
        out.push_back({{"event", "shift"},
                       {"along", ms.shifts_are_front ? "front" : "left"},
                       {"onset_s", number(s.onset_s)},
                       {"start_s", number(s.start_s)},
                       {"end_s", number(s.end_s)},
                       {"from", number(s.from)},
                       {"to", number(s.to)},
                       {"peaks", s.peaks},
                       {"stop_s", number(s.stop_s)},
                       {"sigma_s", number(s.sigma_s)}});
    return out;
}

json told_json(const Told& t) {
    return {{"value", number(t.value)}, {"sigma", number(t.sigma)}, {"from", from_name(t.from)}};
}

/// What holds for the whole clip, how sure it is and what it was told from.
json ground_json(const Motion& m) {
    json j{{"facing_sigma_deg", number(m.facing_sigma * 57.29577951)},
           {"scale_from", from_name(m.scale_from)},
           {"shoulder_width_m",
            {{"value", number(m.neutral.shoulder_width)},
             {"sigma", number(m.neutral.shoulder_width_sigma)},
             {"from", from_name(m.neutral.width_from)}}},
           {"neutral", m.neutral.source == NeutralSource::quiet_second
                           ? json{{"from_s", number(m.neutral.from_s)}, {"to_s", number(m.neutral.to_s)}}
                           : json(nullptr)},
           {"vertical_known", m.vertical_known},
           {"floor_known", m.floor_known}};
    if (m.camera)
        j["camera"] = {{"focal_px", told_json(m.camera->focal)},
                       {"pitch_rad", told_json(m.camera->pitch)},
                       {"roll_rad", told_json(m.camera->roll)},
                       {"height_m", told_json(m.camera->height)},
                       {"distance_m", number(m.camera->distance)}};
    if (!m.mirrored_hint.empty()) j["maybe_mirrored"] = m.mirrored_hint;
    if (m.not_as_declared) j["not_as_declared"] = true;
    return j;
}

} // namespace

json finding_json(const Finding& f) {
    json j{{"rule", f.rule},
           {"check", f.check},
           {"measure", f.measure},
           {"direction", f.direction == Direction::none ? json(nullptr) : json(direction_name(f.direction))},
           {"side", f.side ? json(side_name(*f.side)) : json(nullptr)},
           {"phase", f.phase},
           {"repetitions", f.repetitions},
           {"judged", f.judged},
           {"band", {bound(f.low), bound(f.high)}},
           {"unit", f.unit},
           {"verdict", verdict_name(f.verdict)},
           {"severity", severity_name(f.severity)},
           {"time_s", number(f.time_s)},
           {"cue", f.cue}};
    const bool told = f.verdict != Verdict::cannot_tell;
    j["value"] = told ? number(f.value) : json(nullptr);
    j["sigma"] = told ? number(f.sigma) : json(nullptr);
    if (!told) j["absent_reason"] = f.absent == Absent::none ? "sigma" : std::string(absent_name(f.absent));
    if (told) j["sigma_parts"] = {{"own", number(f.own)}, {"clip", number(f.clip)}, {"person", number(f.person)}};
    if (f.share_outside > 0) j["share_outside"] = number(f.share_outside);
    for (const auto& p : f.phases)
        j["phases"].push_back({{"phase", p.phase},
                               {"value", number(p.value)},
                               {"sigma", number(p.sigma)},
                               {"band", {bound(p.low), bound(p.high)}},
                               {"verdict", verdict_name(p.verdict)},
                               {"time_s", number(p.time_s)},
                               {"share_outside", number(p.share_outside)}});
    if (!f.sure_phase.empty()) j["sure_in"] = f.sure_phase;
    j["band_of"] = level_name(f.whose);
    if (f.reference) j["against_reference"] = true;
    if (f.once) j["once"] = true;
    if (f.sure) j["sure"] = true;
    if (f.own_neutral) j["own_neutral"] = true;
    if (f.allowed) j["allowed"] = true;
    if (!told && !f.film.empty()) j["film_instead"] = f.film;
    if (f.widened) j["widened"] = true;
    if (!f.reason.empty()) j["reason"] = f.reason;
    if (!f.good.empty()) j["good"] = f.good;
    if (!f.cause_of.empty()) j["cause_of"] = f.cause_of;
    if (f.of_clip != 0) j["of_clip"] = f.of_clip + 1;
    if (f.other) j["other_clip"] = {{"value", number(f.other->value)}, {"sigma", number(f.other->sigma())}};
    return j;
}

namespace {
/// Takes the repetitions out that show another movement. Where that would be all of them they stay, and that movement is given back.
std::string leave_out(Alignment& a, const std::vector<Elsewhere>& elsewhere) {
    std::vector<Repetition> kept;
    std::vector<NotJudged> out;
    for (const auto& r : a.repetitions) {
        const Elsewhere* there = nullptr;
        for (const auto& e : elsewhere)
            if (!e.near && std::min(e.to_s, r.end_s) - std::max(e.from_s, r.start_s) > 0.5 * (r.end_s - r.start_s)) there = &e;
        if (there)
            out.push_back({r.start_s, r.end_s, NotJudged::Why::other_movement, there->movement});
        else
            kept.push_back(r);
    }
    if (kept.empty() && !out.empty()) return out.front().movement;
    a.repetitions = std::move(kept);
    a.left_out.insert(a.left_out.end(), out.begin(), out.end());
    std::sort(a.left_out.begin(), a.left_out.end(), [](const NotJudged& x, const NotJudged& y) { return x.from_s < y.from_s; });
    return {};
}
} // namespace

MotionOptions motion_options(const ReviewOptions& options) {
    MotionOptions mo;
    mo.view = options.view;
    mo.stature_m = options.stature_m;
    mo.shoulder_width_m = options.shoulder_width_m;
    mo.own = options.own;
    return mo;
}

Track seen_by(const Track& track, const ReviewOptions& options) {
    Track out = track;
    out.layers.mirrored = out.layers.mirrored || options.mirrored;
    return out;
}

namespace {

/// As the movement was done there, in the mean of its repetitions; the less the more alike.
double mean_cost(const Alignment& a) {
    double sum = 0;
    for (const auto& r : a.repetitions) sum += r.cost;
    return a.repetitions.empty() ? std::numeric_limits<double>::infinity() : sum / static_cast<double>(a.repetitions.size());
}

} // namespace

Result<std::shared_ptr<const Review>> make_review(const Track& track, const Movement& movement, const ReviewOptions& options) {
    MotionOptions how = motion_options(options);
    how.one_way = true; // of one movement; who does a form turns
    const Track swapped = options.mirrored && !track.layers.mirrored ? seen_by(track, options) : Track{};
    const Track& seen = swapped.frames() > 0 ? swapped : track;
    MeasureOptions measure_options;
    measure_options.sex = options.sex;
    auto motion = make_motion(seen, how);
    if (!motion) return tl::unexpected(motion.error());
    const bool doubted = motion->side_doubted;
    auto measures = measure(*motion, measure_options);
    auto made = make_review(Evidence{std::move(*motion), std::move(measures)}, movement, options);
    if (!doubted || movement.id == free_id || (!made && made.error().context != "no_repetition")) return made;
    // Said to be filmed from a side that the body contradicts: whichever of both the movement is found from more likely.
    how.view.reset();
    auto other = make_motion(seen, how);
    if (!other) return made;
    other->not_as_declared = true;
    auto other_measures = measure(*other, measure_options);
    auto as_shown = make_review(Evidence{std::move(*other), std::move(other_measures)}, movement, options);
    if (!as_shown || (made && mean_cost((*made)->alignment) <= mean_cost((*as_shown)->alignment))) return made;
    return as_shown;
}

Result<std::shared_ptr<const Review>> make_review(Evidence evidence, const Movement& movement, const ReviewOptions& options) {
    auto out = std::make_shared<Review>();
    out->movement = movement;
    apply(out->movement, options.school, BandLevel::school);
    apply(out->movement, options.adaptations, BandLevel::student);
    apply(out->movement, options.clip, BandLevel::clip);
    out->motion = std::move(evidence.motion);
    out->measures = std::move(evidence.measures);
    out->reference = std::make_shared<const Reference>(out->movement, out->motion.stature);
    if (out->movement.id == free_id) {
        out->alignment = quiet_stretches(out->measures, out->reference->model());
    } else {
        auto alignment = align(out->motion, out->measures, Form{{{&out->reference->model(), std::nullopt}}});
        if (!alignment) return tl::unexpected(alignment.error());
        out->alignment = std::move(*alignment);
    }
    out->held_back = leave_out(out->alignment, options.elsewhere);
    auto states = options.states;
    // A movement that is done on a chair, or with a hand on one, is so throughout.
    const auto any = [&](auto of) { return std::any_of(out->movement.phases.begin(), out->movement.phases.end(), of); };
    if (any([](const Phase& p) { return p.posture.seat > 0.5; })) states.push_back({true, 0, 1e9});
    if (any([](const Phase& p) { return p.posture.left_hand.support > 0.5 || p.posture.right_hand.support > 0.5; }))
        states.push_back({false, 0, 1e9});
    out->summaries = summarise(out->motion, out->measures, out->alignment, out->movement, out->reference->model(), states);
    if (out->held_back.empty()) out->findings = judge(out->summaries, out->alignment, out->movement);
    return std::shared_ptr<const Review>(std::move(out));
}

Result<std::shared_ptr<const Review>> paired(const Review& first, std::shared_ptr<const Review> second) {
    const auto &a = first.movement.checks, &b = second->movement.checks;
    const bool same = first.held_back.empty() && second->held_back.empty() && first.movement.id == second->movement.id &&
                      a.size() == b.size() &&
                      std::equal(a.begin(), a.end(), b.begin(), [](const Check& x, const Check& y) { return x.id == y.id; });
    if (!same) return fail(Code::bad_value, "pair");
    auto out = std::make_shared<Review>(first);
    out->findings = judge(merged(first.summaries, second->summaries), first.alignment, second->alignment, first.movement);
    out->partner = std::move(second);
    return std::shared_ptr<const Review>(std::move(out));
}

namespace {
/// The repetition of `to` that answers repetition k of `from`.
const Repetition& answering(const Alignment& from, std::size_t k, const Alignment& to) {
    const auto side = from.repetitions[k].side;
    const auto alike = [&](const Repetition& r) { return !side || !r.side || *r.side == *side; };
    std::size_t number = 0; // how many of that side came before
    for (std::size_t i = 0; i < k; ++i) number += alike(from.repetitions[i]) ? 1 : 0;
    const Repetition* best = nullptr;
    for (const auto& r : to.repetitions) {
        if (!alike(r)) continue;
        best = &r;
        if (number-- == 0) break;
    }
    return best ? *best : to.repetitions[std::min(k, to.repetitions.size() - 1)];
}
} // namespace

double same_moment(const Alignment& from, double t, const Alignment& to) {
    const auto& reps = from.repetitions;
    if (reps.empty() || to.repetitions.empty()) return NAN;
    for (std::size_t k = 0; k < reps.size(); ++k)
        if (t >= reps[k].start_s && t <= reps[k].end_s) return answering(from, k, to).to_student(reps[k].to_reference(t));
    if (t < reps.front().start_s) return answering(from, 0, to).start_s - (reps.front().start_s - t);
    if (t > reps.back().end_s) return answering(from, reps.size() - 1, to).end_s + (t - reps.back().end_s);
    std::size_t k = 0;
    while (k + 2 < reps.size() && reps[k + 1].end_s < t) ++k;
    const double share = (t - reps[k].end_s) / std::max(1e-6, reps[k + 1].start_s - reps[k].end_s);
    const double a = answering(from, k, to).end_s, b = answering(from, k + 1, to).start_s;
    return b > a ? a + share * (b - a) : a;
}

std::string review_json(const Review& r, const std::string& clip, const std::string& school) {
    json reps = json::array();
    for (const auto& rep : r.alignment.repetitions) {
        json phases = json::array();
        json stops = json::array();
        for (const auto& s : rep.stops) stops.push_back({{"from_s", number(s.from_s)}, {"to_s", number(s.to_s)}, {"asked", s.asked}});
        for (const auto& p : rep.phases) phases.push_back({{"id", p.id}, {"start_s", number(p.start_s)}, {"end_s", number(p.end_s)}});
        reps.push_back({{"side", rep.side ? json(side_name(*rep.side)) : json()},
                        {"start_s", number(rep.start_s)},
                        {"end_s", number(rep.end_s)},
                        {"cost", number(rep.cost)},
                        {"cut", rep.cut},
                        {"stops", stops},
                        {"phases", phases}});
    }
    json findings = json::array();
    for (const auto& f : r.findings) findings.push_back(finding_json(f));
    json left_out = json::array();
    for (const auto& l : r.alignment.left_out) {
        json j{{"from_s", number(l.from_s)}, {"to_s", number(l.to_s)}, {"why", not_judged_name(l.why)}};
        if (!l.movement.empty()) j["movement"] = l.movement;
        left_out.push_back(std::move(j));
    }
    json out{{"clip", clip},
             {"movement", r.movement.id},
             {"view", view_name(r.motion.view)},
             {"height_cm", number(r.motion.stature * 100)},
             {"ground", ground_json(r.motion)},
             {"measures", measures_json(r.measures)},
             {"events", events_json(r.measures)},
             {"repetitions", reps},
             {"left_out", left_out},
             {"findings", findings}};
    if (!r.held_back.empty()) out["held_back_as"] = r.held_back;
    if (!school.empty()) out["school"] = school;
    return out.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

Result<ReviewFile> parse_review_json(const std::string& text) {
    try {
        const json j = json::parse(text);
        ReviewFile r;
        r.clip = j.at("clip").get<std::string>();
        r.movement = j.at("movement").get<std::string>();
        r.school = j.value("school", "");
        r.held_back = j.value("held_back_as", "");
        const auto view = view_from_name(j.at("view").get<std::string>());
        if (!view) return fail(Code::bad_value, "view");
        r.view = *view;
        if (j.contains("height_cm") && j["height_cm"].is_number()) r.stature_m = j["height_cm"].get<double>() / 100;
        for (const auto& f : j.at("findings")) {
            Finding x;
            x.rule = f.at("rule").get<std::string>();
            x.check = f.value("check", x.rule);
            x.measure = f.at("measure").get<std::string>();
            x.unit = f.at("unit").get<std::string>();
            x.phase = f.at("phase").get<std::string>();
            x.cue = f.at("cue").get<std::string>();
            x.good = f.value("good", "");
            x.family = family_of(x.rule);
            if (f.at("side").is_string()) x.side = f["side"] == "left" ? Side::left : Side::right;
            x.repetitions = f.at("repetitions").get<std::vector<int>>();
            if (const auto d = f.find("direction"); d != f.end() && d->is_string())
                x.direction = *d == "low" ? Direction::low : *d == "high" ? Direction::high : Direction::none;
            x.sure = f.value("sure", false);
            x.sure_phase = f.value("sure_in", "");
            for (const auto& p : f.value("phases", json::array())) {
                PhaseFinding one;
                one.phase = p.at("phase").get<std::string>();
                if (p.at("value").is_number()) one.value = p["value"].get<double>();
                if (p.at("sigma").is_number()) one.sigma = p["sigma"].get<double>();
                if (p.at("band").at(0).is_number()) one.low = p["band"][0].get<double>();
                if (p.at("band").at(1).is_number()) one.high = p["band"][1].get<double>();
                for (const Verdict v : {Verdict::inside, Verdict::edge, Verdict::outside, Verdict::cannot_tell})
                    if (p.at("verdict").get<std::string>() == verdict_name(v)) one.verdict = v;
                x.phases.push_back(std::move(one));
            }
            x.reference = f.value("against_reference", false);
            x.judged = f.value("judged", static_cast<int>(x.repetitions.size()));
            if (f.at("value").is_number()) x.value = f["value"].get<double>();
            if (f.at("sigma").is_number()) x.sigma = f["sigma"].get<double>();
            x.time_s = f.at("time_s").is_number() ? f["time_s"].get<double>() : 0;
            if (f.at("band").at(0).is_number()) x.low = f["band"][0].get<double>();
            if (f.at("band").at(1).is_number()) x.high = f["band"][1].get<double>();
            const auto verdict = f.at("verdict").get<std::string>(), severity = f.at("severity").get<std::string>();
            for (const Verdict v : {Verdict::inside, Verdict::edge, Verdict::outside, Verdict::cannot_tell})
                if (verdict == verdict_name(v)) x.verdict = v;
            for (const Severity s : {Severity::safety, Severity::ground, Severity::timing, Severity::shape, Severity::even})
                if (severity == severity_name(s)) x.severity = s;
            r.findings.push_back(std::move(x));
        }
        return r;
    } catch (const json::exception& e) {
        return fail(Code::unreadable, e.what());
    }
}

} // namespace bevel
