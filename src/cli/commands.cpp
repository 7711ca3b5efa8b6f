#include "cli/commands.h"
#include "cli/args.h"
#include "core/files.h"
#include "core/form/form_review.h"
#include "core/ground/derive.h"
#include "core/measure/quiet_test.h"
#include "core/review/free.h"
#include "core/review/points_csv.h"
#include "core/review/review.h"
#include "core/sim/take.h"
#include "media/tracker.h"
#include "store/library.h"
#include <charconv>
#include <cstdio>
#include <iostream>
#include <nlohmann/json.hpp>

namespace bevel::cli {
namespace {

namespace fs = std::filesystem;

Result<Movement> movement_called(const std::optional<std::string>& id, const Environment& env) {
    if (!id) return fail(Code::bad_value, "--movement is needed");
    const fs::path file(*id);
    if (file.extension() == ".json") return load_movement(file);
    // id, or id/graded version
    const auto slash = id->find('/');
    const std::string base = id->substr(0, slash), version = slash == std::string::npos ? std::string() : id->substr(slash + 1);
    if (*id == free_id) return free_practice();
    const auto all = load_movements(find_data_dir(env.program));
    for (const auto& m : all) {
        if (m.id != base) continue;
        const Movement& way = m.as(version);
        if (way.version == version) return way;
        std::string known;
        for (const auto& v : m.versions)
            if (v.change) known += (known.empty() ? "" : ", ") + v.name;
        return fail(Code::bad_value, "no version '" + version + "' of " + base + (known.empty() ? "" : " (there are: " + known + ")"));
    }
    return fail(Code::bad_value, "no movement '" + base + "' (bevel-cli movements lists them)");
}

/// What stands behind a code of cannot_judge.
std::string reason(const std::string& code) {
    if (code == "no_body") return "nobody was found in the clip long enough";
    if (code == "too_long") return "the clip lasts longer than three hours, or a time stamp leaps";
    if (code == "times") return "the time stamps do not increase from frame to frame";
    if (code == "too_short") return "the clip is too short";
    if (code == "feet_cut_off") return "the feet are cut off by the edge of the picture; film from further away";
    if (code == "too_small") return "the student is too small in the picture; film from closer";
    if (code == "one_camera") return "clips of several cameras cannot be put together yet";
    if (code == "view_needed") return "the points hold no metres; give the view with --view";
    if (code == "no_repetition") return "nothing in the clip looks like this movement";
    if (code == "not_shown") return "the clip does not show this test";
    if (code == "view") return "this view does not show what the test counts";
    if (code.starts_with("held_back "))
        return "the review is held back: the clip looks like " + code.substr(10) + " (review --as-named judges it all the same)";
    return code;
}

struct Progress {
    bool shown = false;
    void at(std::size_t done, std::size_t total) {
        if (done % 30 != 0 && done != total) return;
        std::fprintf(stderr, "\r%zu of %zu frames", done, total);
        shown = true;
    }
    ~Progress() {
        if (shown) std::fputc('\n', stderr);
    }
};

bool is_points(const fs::path& p) {
    return p.extension() == ".csv";
}

/// A shipped form by its id, or a file's.
Result<LinkedForm> form_called(const std::string& name, const Environment& env) {
    if (name.ends_with(".json")) {
        const auto text = read_text(name, 1 << 20);
        return text ? parse_form(*text) : Result<LinkedForm>(tl::unexpected(text.error()));
    }
    for (auto& f : load_forms(find_data_dir(env.program)))
        if (f.id == name) return f;
    return fail(Code::not_found, "form '" + name + "'");
}

Result<TrackResult> find_bodies(const fs::path& clip, const std::string& model, const Environment& env) {
    TrackOptions o;
    o.model_dir = find_model_dir(env.program);
    const auto m = model_from_name(model);
    if (!m) return fail(Code::bad_value, "--model must be lite, full or heavy");
    o.model = *m;
    Progress progress;
    o.progress = [&](std::size_t done, std::size_t total, const std::optional<BodyPx>&) { progress.at(done, total); };
    return track_clip(clip, o, env.stop);
}

Result<bool> film(const sim::Take& take, const sim::PhoneOptions& phone, const std::string& file, const Environment& env) {
    auto writer = ClipWriter::create(file, phone.width, phone.height, phone.fps, 27,
                                     fs::path(file).extension() == ".webm" ? "libvpx-vp9" : "libx264");
    if (!writer) return tl::unexpected(writer.error());
    Progress progress;
    for (std::size_t i = 0; i < take.frames(); ++i) {
        if (env.stop.stop_requested()) return fail(Code::cancelled, "");
        if (auto ok = writer->add(take.picture(i), take.track().time_s[i]); !ok) return ok;
        progress.at(i + 1, take.frames());
    }
    return writer->finish();
}

} // namespace

int complain(const Error& e) {
    if (Library::trouble_of(e) != Library::Trouble::none) {
        std::cerr << e.context << "\n";
        return 3;
    }
    switch (e.code) {
    case Code::cancelled:
        std::cerr << "cancelled\n";
        return 130;
    case Code::cannot_judge:
        std::cerr << "cannot be judged: " << reason(e.context) << "\n";
        return 4;
    case Code::cannot_open:
        std::cerr << "cannot open " << e.context << "\n";
        return 3;
    case Code::unreadable:
        std::cerr << "cannot be read: " << e.context << "\n";
        return 3;
    case Code::too_large:
        std::cerr << "too large: " << e.context << "\n";
        return 3;
    case Code::write_failed:
        std::cerr << "cannot write " << e.context << "\n";
        return 1;
    case Code::in_use:
        std::cerr << "in use by another program: " << e.context << "\n";
        return 3;
    case Code::not_found:
        std::cerr << "not found: " << e.context << "\n";
        return 3;
    case Code::tells:
        std::cerr << "may tell who it is: " << e.context << "\n";
        return 4;
    case Code::no_longer_so:
        std::cerr << "is no longer so: " << e.context << "\n";
        return 4;
    case Code::no_field:
        std::cerr << "cannot be filled in: " << e.context << "\n";
        return 4;
    default:
        return wrong_use(e.context);
    }
}

int wrong_use(const std::string& what) {
    std::cerr << "bevel-cli: " << what << "\nbevel-cli --help tells how it is used.\n";
    return 2;
}

int simulate(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"--movement",      "--form",  "--in",        "--fault", "--view",  "--size",
                                          "--fps",           "--seed",  "--height-cm", "-o",      "--truth", "--distance",
                                          "--tilt",          "--roll",  "--exposure",  "--shake", "--tempo", "--repetitions",
                                          "--camera-height", "--looks", "--from",      "--to"});
    if (!args) return complain(args.error());
    if (!args->positional.empty()) return wrong_use("unexpected '" + args->positional[0] + "'");
    // A linked form, or one movement again and again.
    std::optional<LinkedCourse> course;
    if (const auto id = args->text("--form")) {
        const auto form = form_called(*id, env);
        if (!form) return complain(form.error());
        auto linked = link(*form, load_movements(find_data_dir(env.program)));
        if (!linked) return complain(linked.error());
        course = std::move(*linked);
    }
    const auto movement = course ? Result<Movement>(course->whole) : movement_called(args->text("--movement"), env);
    if (!movement) return complain(movement.error());
    std::vector<int> only;
    for (const auto& part : args->all("--in")) {
        const int k = std::atoi(part.c_str());
        if (!course || k < 1 || k > static_cast<int>(course->parts.size()))
            return wrong_use("--in must be the number of a part of the form");
        only.push_back(k - 1);
    }
    sim::TakeOptions o;
    o.student.score.repetitions = movement->repetitions;
    struct Number {
        const char* name;
        double low, high;
        double* into;
    };
    double seed = 1, height = 170, repetitions = movement->repetitions, looks = -1;
    for (const Number& n : {Number{"--fps", 5, 240, &o.phone.fps}, Number{"--seed", 0, 1e9, &seed}, Number{"--height-cm", 90, 230, &height},
                            Number{"--distance", 1.5, 15, &o.phone.distance_m}, Number{"--tilt", -30, 45, &o.phone.tilt_deg},
                            Number{"--roll", -45, 45, &o.phone.roll_deg}, Number{"--exposure", 0.02, 4, &o.phone.exposure},
                            Number{"--shake", 0, 20, &o.phone.shake_px}, Number{"--tempo", 0.3, 4, &o.student.tempo},
                            Number{"--repetitions", 1, 50, &repetitions}, Number{"--camera-height", 0.1, 3, &o.phone.height_m},
                            Number{"--looks", 0, 1e9, &looks}, Number{"--from", 0, 1e5, &o.from_s}, Number{"--to", 0, 1e9, &o.to_s}}) {
        const auto v = args->number(n.name, n.low, n.high);
        if (!v) return complain(v.error());
        if (*v) *n.into = **v;
    }
    o.student.seed = static_cast<std::uint64_t>(seed);
    o.phone.seed = o.student.seed;
    if (looks >= 0) o.looks = static_cast<std::uint64_t>(looks);
    o.student.stature_m = height / 100;
    o.student.score.repetitions = static_cast<int>(repetitions);
    if (const auto v = args->text("--view")) {
        const auto view = view_from_name(*v);
        if (!view || *view == View::three_d) return wrong_use("--view must be front, back, left, right or oblique");
        o.phone.view = *view;
    }
    if (const auto s = args->text("--size")) {
        if (std::sscanf(s->c_str(), "%dx%d", &o.phone.width, &o.phone.height) != 2) return wrong_use("--size must be WIDTHxHEIGHT");
    }
    for (const auto& f : args->all("--fault")) {
        const auto spec = sim::parse_fault(f);
        if (!spec) return complain(spec.error());
        if (spec->size > 0 && !course)
            if (auto ok = sim::shows(*movement, o.student, *spec); !ok) return complain(ok.error());
        o.student.faults.push_back(*spec);
    }
    if (const auto bad = o.phone.validate(); !bad.empty()) return wrong_use("--" + bad + " is out of range");
    if (course && !args->text("--distance")) o.phone = sim::seeing_all(sim::Student(course->score(), o.student), o.phone);
    const sim::Take take(course ? course->score() : Score(*movement, o.student.score), o, only);
    const auto truth = args->text("--truth");
    const auto out = args->text("-o");
    if (truth)
        if (auto ok = write_whole(*truth, truth_csv(take.track(), take.truth())); !ok) return complain(ok.error());
    if (out)
        if (auto ok = film(take, o.phone, *out, env); !ok) return complain(ok.error());
    if (!truth && !out) std::cout << truth_csv(take.track(), take.truth());
    return 0;
}

int track(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o", "--model"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o");
    if (args->positional.size() != 1 || !out) return wrong_use("track takes one clip and -o points.csv");
    auto found = find_bodies(args->positional[0], args->text("--model").value_or("full"), env);
    if (!found) return complain(found.error());
    std::fprintf(stderr, "%.1f frames/s\n", found->frames_per_s);
    if (found->clip.damaged) std::fprintf(stderr, "part of the clip is damaged; what is readable was used\n");
    // Points as they are measured: corrected, smoothed, with their errors.
    if (auto ok = write_whole(*out, points_csv(derive(found->track))); !ok) return complain(ok.error());
    std::error_code ec;
    if (!fs::is_regular_file(*out, ec)) return 0; // a pipe has nothing beside it
    auto camera = fs::path(*out);
    camera.replace_extension(".camera.json");
    if (auto ok = write_whole(camera, camera_json(found->track)); !ok) return complain(ok.error());
    return 0;
}

namespace {
int review_form(const std::string& id, const Track& points, const ReviewOptions& options, const std::string& input,
                const std::string& school, const std::string& out, const Environment& env) {
    const auto form = form_called(id, env);
    if (!form) return complain(form.error());
    const auto made = make_form_review(points, *form, load_movements(find_data_dir(env.program)), options);
    if (!made) return complain(made.error());
    const auto& parts = (*made)->reference->course().parts;
    for (const auto& p : (*made)->parts)
        if (p.how != PartSeen::How::done || p.again || p.out_of_order)
            std::fprintf(stderr, "part %zu (%s): %s%s%s\n", p.part + 1, parts[p.part].movement->id.c_str(),
                         std::string(how_name(p.how)).c_str(), p.again ? ", again" : "", p.out_of_order ? ", out of order" : "");
    if (auto ok = write_whole(out, form_review_json(**made, input, school)); !ok) return complain(ok.error());
    return 0;
}

/// Where a hand was on a support: FROM-TO in seconds, or "all", as often as it was.
Result<std::vector<SupportState>> supports_of(const Args& args) {
    std::vector<SupportState> out;
    for (const auto& words_of : args.all("--support")) {
        SupportState s;
        const auto dash = words_of.find('-');
        if (words_of != "all") {
            auto number = [](std::string_view t, double& v) {
                const auto [end, ec] = std::from_chars(t.data(), t.data() + t.size(), v);
                return ec == std::errc() && end == t.data() + t.size() && v >= 0;
            };
            const std::string_view all_of(words_of);
            if (dash == std::string::npos || !number(all_of.substr(0, dash), s.from_s) || !number(all_of.substr(dash + 1), s.to_s) ||
                s.to_s <= s.from_s)
                return fail(Code::bad_value, "--support must be FROM-TO in seconds, or all");
        }
        out.push_back(s);
    }
    return out;
}

/// Of a clip, whose bodies are found, or of a file of points.
Result<Track> points_of(const fs::path& input, const Args& args, const Environment& env) {
    if (is_points(input)) return read_points(input);
    auto found = find_bodies(input, args.text("--model").value_or("full"), env);
    if (!found) return tl::unexpected(found.error());
    return std::move(found->track);
}
} // namespace

int quiet_test(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o", "--view", "--height-cm", "--model", "--support"});
    if (!args) return complain(args.error());
    if (args->positional.size() != 2) return wrong_use("quiet-test takes the test and one clip or points.csv");
    const auto test = quiet_test_from_name(args->positional[0]);
    if (!test)
        return wrong_use("the test must be one_leg_stand, sit_to_stand, quiet_stand, heel_raises, comfortable_ranges or neutral_stand");
    MotionOptions mo;
    if (const auto v = args->text("--view")) {
        mo.view = view_from_name(*v);
        if (!mo.view) return wrong_use("--view must be front, back, left, right, oblique or 3d");
    }
    const auto height = args->number("--height-cm", 80, 250);
    if (!height) return complain(height.error());
    if (*height) mo.stature_m = **height / 100;
    const auto states = supports_of(*args);
    if (!states) return complain(states.error());
    const auto points = points_of(args->positional[1], *args, env);
    if (!points) return complain(points.error());
    const auto motion = make_motion(*points, mo);
    if (!motion) return complain(motion.error());
    const auto taken = take_quiet_test(*test, *motion, measure(*motion), *states);
    if (!taken) return complain(taken.error());
    nlohmann::json figures = nlohmann::json::array();
    for (const auto& f : taken->figures) {
        nlohmann::json one{{"id", f.id}, {"value", f.value}, {"sigma", f.sigma}};
        if (!f.unit.empty()) one["unit"] = f.unit;
        if (f.side) one["side"] = side_name(*f.side);
        figures.push_back(std::move(one));
    }
    const nlohmann::json out{{"test", quiet_test_name(taken->test)}, {"from_s", taken->from_s}, {"to_s", taken->to_s},
                             {"view", view_name(motion->view)},      {"figures", figures},      {"notes", taken->notes}};
    const std::string text = out.dump(1) + "\n";
    if (const auto file = args->text("-o")) {
        if (auto ok = write_whole(*file, text); !ok) return complain(ok.error());
    } else {
        std::cout << text;
    }
    return 0;
}

int review(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"-o", "--movement", "--form", "--view", "--height-cm", "--school", "--model", "--support"},
                                  {"--mirrored", "--seated", "--as-named"});
    if (!args) return complain(args.error());
    const auto out = args->text("-o");
    if (args->positional.size() != 1 || !out) return wrong_use("review takes one clip or points.csv and -o review.json");
    const auto form_id = args->text("--form");
    if (form_id && args->text("--movement")) return wrong_use("--movement or --form, not both");
    const auto movement = form_id ? Result<Movement>(Movement{}) : movement_called(args->text("--movement"), env);
    if (!movement) return complain(movement.error());
    ReviewOptions o;
    if (const auto v = args->text("--view")) {
        o.view = view_from_name(*v);
        if (!o.view) return wrong_use("--view must be front, back, left, right, oblique or 3d");
    }
    const auto height = args->number("--height-cm", 80, 250);
    if (!height) return complain(height.error());
    if (*height) o.stature_m = **height / 100;
    if (const auto id = args->text("--school")) {
        bool found = false;
        for (const auto& s : load_schools(find_data_dir(env.program)))
            if (s.id == *id) {
                o.school = s.changes;
                found = true;
            }
        if (!found) return wrong_use("no school '" + *id + "'");
    }
    if (args->flag("--seated")) o.states.push_back({true, 0, 1e9});
    const auto states = supports_of(*args);
    if (!states) return complain(states.error());
    o.states.insert(o.states.end(), states->begin(), states->end());
    const fs::path input(args->positional[0]);
    const auto points = points_of(input, *args, env);
    if (!points) return complain(points.error());
    o.mirrored = args->flag("--mirrored");
    if (form_id) return review_form(*form_id, *points, o, input.string(), args->text("--school").value_or(""), *out, env);
    const auto made = args->flag("--as-named") ? make_review(*points, *movement, o).map([](auto r) {
        return Competed{std::move(r), {}};
    })
                                               : make_review_among(*points, *movement, load_movements(find_data_dir(env.program)), o);
    if (!made) return complain(made.error());
    for (const auto& e : made->better)
        std::fprintf(stderr,
                     e.near ? "%.1f to %.1f s may be %s: the two look much alike.\n"
                            : "%.1f to %.1f s looks like %s and is not judged; --as-named judges it all the same.\n",
                     e.from_s, e.to_s, e.movement.c_str());
    if (auto ok = write_whole(*out, review_json(*made->review, input.string(), args->text("--school").value_or(""))); !ok)
        return complain(ok.error());
    return 0;
}

int movements(const Words& words, const Environment& env) {
    if (!words.empty()) return wrong_use("movements takes nothing");
    std::vector<Error> problems;
    for (const auto& m : load_movements(find_data_dir(env.program), &problems)) {
        std::printf("%-24s %s (%s)", m.id.c_str(), m.name.c_str(), m.kind.c_str());
        for (std::size_t i = 0; i < m.best_views.size(); ++i)
            std::printf("%s%s", i == 0 ? "; best from " : ", ", std::string(view_name(m.best_views[i])).c_str());
        std::printf("\n");
    }
    for (const auto& p : problems) std::fprintf(stderr, "%s\n", p.context.c_str());
    return problems.empty() ? 0 : 3;
}

int forms(const Words& words, const Environment& env) {
    if (words.size() > 1) return wrong_use("forms takes the id of one form, or nothing");
    std::vector<Error> problems;
    const auto data = find_data_dir(env.program);
    const auto all = load_forms(data, &problems);
    const auto movements = load_movements(data);
    bool found = words.empty();
    for (const auto& f : all) {
        if (!words.empty() && f.id != words[0]) continue;
        found = true;
        const auto course = link(f, movements);
        if (!course) return complain(course.error());
        std::printf("%-28s %s (%s); %zu parts, %.0f s\n", f.id.c_str(), f.name.c_str(), f.kind.c_str(), course->parts.size(),
                    course->keys.back().time);
        if (words.empty()) continue;
        for (std::size_t k = 0; k < course->parts.size(); ++k) {
            const auto& p = course->parts[k];
            std::printf("  %2zu  %-5s %s", k + 1, std::string(side_name(p.side)).c_str(),
                        f.parts[p.entry].name.value_or(p.movement->name).c_str());
            for (std::size_t j = 0; j < p.joins; ++j)
                std::printf("%s%s", j == 0 ? "; joined by: " : ", ", p.movement->phases[j].name.c_str());
            std::printf("\n");
        }
    }
    for (const auto& p : problems) std::fprintf(stderr, "%s\n", p.context.c_str());
    if (!found) return wrong_use("no form '" + words[0] + "'");
    return problems.empty() ? 0 : 3;
}

int measures(const Words& words, const Environment& env) {
    if (!words.empty()) return wrong_use("measures takes nothing");
    const auto text = read_text(find_data_dir(env.program) / "measures.json", 1 << 20);
    if (!text) return complain(text.error());
    const auto j = nlohmann::json::parse(*text, nullptr, false);
    if (j.is_discarded()) return complain({Code::unreadable, "measures.json"});
    for (const auto& m : j["measures"])
        std::printf("%-22s %-6s %s; seen from %s\n", m.value("id", "").c_str(), m.value("unit", "").c_str(),
                    m.value("definition", "").c_str(), m.value("seen_from", "").c_str());
    return 0;
}

} // namespace bevel::cli
