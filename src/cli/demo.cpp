#include "cli/args.h"
#include "cli/commands.h"
#include "cli/demo_scene.h"
#include "core/form/form_review.h"
#include "core/review/trend.h"
#include "desk/at_once.h"
#include "desk/classes.h"
#include "desk/courses.h"
#include "desk/found.h"
#include "desk/library_forms.h"
#include "desk/quiet_tests.h"
#include "media/tracker.h"
#include <chrono>
#include <cstdio>
#include <unistd.h>

namespace bevel::cli {
namespace {

namespace fs = std::filesystem;

/// The take behind a clip of the scene, of a movement or of a linked form.
Result<sim::Take> performed(const SceneClip& c, const Forms& forms) {
    const auto options = scene_take(c);
    if (const auto form = forms.form(c.movement)) {
        const auto course = link(*form, *forms.movements);
        if (!course) return tl::unexpected(course.error());
        std::vector<int> only;
        for (const int part : c.in) only.push_back(part - 1);
        return sim::Take(course->score(), options, only);
    }
    const auto movement = forms.movement(c.movement);
    if (!movement) return fail(Code::not_found, c.movement);
    return sim::Take(*movement, options);
}

Result<bool> film_scene(const SceneClip& c, const Forms& forms, const fs::path& file) {
    const auto options = scene_take(c);
    const auto made = performed(c, forms);
    if (!made) return tl::unexpected(made.error());
    const sim::Take& take = *made;
    auto writer = ClipWriter::create(file, options.phone.width, options.phone.height, options.phone.fps, 27);
    if (!writer) return tl::unexpected(writer.error());
    for (std::size_t i = 0; i < take.frames(); ++i)
        if (auto ok = writer->add(take.picture(i), take.track().time_s[i]); !ok) return ok;
    return writer->finish();
}

/// What an instructor might do with the review: up to three of what is outside kept, the rest set aside, and the letter drafted.
Result<bool> decide(Library& library, const Clip& clip, const Review& review, const std::string& name) {
    LetterRecord letter;
    letter.clip = clip.id;
    letter.signed_by = "Maren Oduya";
    letter.place = "Lantern Quay";
    letter.opening = "Dear " + name.substr(0, name.find(' ')) + ", thank you for your clip.";
    letter.closing = "Take one of these at a time. Warm wishes,";
    for (const auto& remark : remarked(review.findings)) {
        const Finding& f = review.findings[remark.findings.front()];
        if (f.verdict == Verdict::inside && f.sure && letter.praise.empty() && !f.good.empty())
            letter.praise = Praise{false, FindingKey::of(f)}.text();
        if (f.verdict != Verdict::outside) continue;
        const bool keep = letter.checks.size() < 3;
        for (const auto k : remark.findings) {
            const Finding& one = review.findings[k];
            const Decision d{FindingKey::of(one), keep ? Choice::kept : Choice::set_aside};
            if (auto ok = library.decisions().save(clip.id, d); !ok) return ok;
        }
        if (keep) letter.checks.push_back(FindingKey::of(f).text());
    }
    if (auto ok = library.letters().save(letter); !ok) return tl::unexpected(ok.error());
    return true;
}

class Scene {
public:
    Scene(Library& library, const Environment& env, fs::path studio)
        : library_(library), env_(env), studio_(std::move(studio)), forms_(shipped_forms(find_data_dir(env.program))) {}

    Result<bool> run() {
        if (auto ok = library_.settings().set("signed_by", "Maren Oduya"); !ok) return ok;
        if (auto ok = library_.settings().set("place", "Lantern Quay"); !ok) return ok;
        for (const auto& s : scene_students()) {
            auto id = library_.people().add({0, s.name, s.stature_m, s.notes, 0});
            if (!id) return tl::unexpected(id.error());
            people_.push_back(*id);
        }
        for (const auto& c : scene_clips()) {
            if (env_.stop.stop_requested()) return fail(Code::cancelled, "");
            if (auto ok = take_in(c); !ok) return ok;
        }
        if (auto ok = what_was_agreed(); !ok) return ok;
        if (auto ok = what_they_do_together(); !ok) return ok;
        if (auto ok = a_course_under_way(); !ok) return ok;
        if (auto ok = a_course_of_the_class(); !ok) return ok;
        if (auto ok = somebody_learns_to_see(); !ok) return ok;
        return library_.backups().compact();
    }

    /// Only what an earlier scene has not, and what is kept of clips filmed at once made anew where it is no longer of use.
    Result<bool> add() {
        const auto people = library_.people().all();
        const auto clips = library_.clips().all();
        if (!people) return tl::unexpected(people.error());
        if (!clips) return tl::unexpected(clips.error());
        for (const auto& s : scene_students()) {
            const auto it = std::find_if(people->begin(), people->end(), [&](const Person& p) { return p.name == s.name; });
            if (it == people->end()) return fail(Code::not_found, s.name);
            people_.push_back(it->id);
        }
        for (const auto& c : scene_clips())
            if (std::none_of(clips->begin(), clips->end(), [&](const Clip& x) { return fs::path(x.file).stem() == c.file; }))
                if (auto ok = take_in(c); !ok) return ok;
        const auto classes = library_.classes().all();
        if (!classes) return tl::unexpected(classes.error());
        if (classes->empty())
            if (auto ok = what_they_do_together(); !ok) return ok;
        for (const auto& c : *clips)
            if (c.pair > c.id)
                if (auto ok = put_pair_together(library_, forms_, c.id, env_.stop); !ok) return tl::unexpected(ok.error());
        const auto courses = library_.courses().of(who(0));
        if (!courses) return tl::unexpected(courses.error());
        if (courses->empty())
            if (auto ok = a_course_under_way(); !ok) return ok;
        if (auto ok = a_course_of_the_class(); !ok) return ok;
        const auto assistants = library_.seeing().assistants();
        if (!assistants) return tl::unexpected(assistants.error());
        if (assistants->empty())
            if (auto ok = somebody_learns_to_see(); !ok) return ok;
        return library_.backups().compact();
    }

private:
    std::int64_t who(int student) const { return people_[static_cast<std::size_t>(student)]; }

    /// Limits, what is taught, how it went on a day, own words, practice at home.
    Result<bool> what_was_agreed() {
        Agreement high;
        high.person = who(0);
        high.check = "limit.high_stance";
        high.off = true;
        high.reason = "high stances only, agreed with her";
        high.from_day = "2026-10-13";
        if (auto ok = library_.decisions().save_agreement(high); !ok) return tl::unexpected(ok.error());
        Agreement balance = high;
        balance.person = who(5);
        balance.check = "limit.no_balance";
        balance.reason = "a chair beside her; no standing on one leg for now";
        if (auto ok = library_.decisions().save_agreement(balance); !ok) return tl::unexpected(ok.error());
        PersonFacts ilse;
        ilse.alias = "I.";
        ilse.goals = "Carry the shopping up the quay steps without holding on.";
        ilse.consent = "2026-10-13: kept at the hall, not shown to the group";
        if (auto ok = library_.people().set_facts(who(0), ilse); !ok) return ok;
        PersonFacts noor;
        noor.alias = "N.";
        noor.goals = "Learn the first form by spring.";
        if (auto ok = library_.people().set_facts(who(4), noor); !ok) return ok;
        for (const auto& p : scene_practice()) {
            PracticeLog log;
            log.person = who(p.student);
            log.day = p.date, log.title = "At home", log.minutes = p.minutes, log.effort = p.effort, log.felt = p.felt, log.pain = p.pain;
            const auto m = forms_.movement(p.movement);
            if (!m) return fail(Code::not_found, p.movement);
            log.done = {{p.movement, m->kind, p.left, p.right, (p.left + p.right) * m->duration_s()}};
            if (auto ok = library_.practice().keep(log); !ok) return tl::unexpected(ok.error());
        }
        return library_.letters()
            .keep_phrase({0, "head", "high", "", "en", "Let the head float back over the shoulders, as if the crown hung from a thread.", 0,
                          "2026-10-24"})
            .map([](std::int64_t) { return true; });
    }

    /// A class under way: three lessons that were held, with who was there; a test of two of them.
    Result<bool> what_they_do_together() {
        ClassGroup g;
        g.name = "Evening at the Quay", g.hall = "Lantern Quay", g.floor = "old boards, dry", g.at = "18:30", g.weekday = 4, g.minutes = 45;
        g.level = "mixed", g.taught = "clouds, and the horse's mane with its step";
        for (const auto id : people_) g.members.push_back(id);
        const auto id = library_.classes().keep(g);
        if (!id) return tl::unexpected(id.error());
        for (const auto& [student, day, left, right] :
             {std::tuple{0, "2026-10-13", 6.0, 9.5}, {0, "2026-11-17", 14.5, 17.0}, {2, "2026-10-20", 24.0, 22.5}}) {
            KeptTest t;
            t.person = who(student), t.day = day, t.test = QuietTest::one_leg_stand, t.words = "by the wall, hand near";
            t.figures = figures_to_type(t.test);
            t.figures[0].value = left, t.figures[1].value = right;
            if (auto ok = library_.quiet_tests().keep(t); !ok) return tl::unexpected(ok.error());
        }
        struct Evening {
            const char* day;
            std::vector<int> away;
            int brings; // who brings something, and what
            Today today;
        };
        const std::vector<Evening> evenings{{"2026-11-05", {4}, 0, {false, false, false, {"hips"}}},
                                            {"2026-11-12", {1, 3}, 5, {false, true, false, {}}},
                                            {"2026-11-19", {}, 3, {false, false, true, {"low_back"}}}};
        for (const auto& e : evenings) {
            const auto sheet = class_sheet(library_, *id, e.day, forms_);
            if (!sheet) return tl::unexpected(sheet.error());
            Lesson l = lesson_on(*sheet, e.day);
            for (auto& p : l.people) {
                p.here = std::none_of(e.away.begin(), e.away.end(), [&](int student) { return who(student) == p.person; });
                if (p.person == who(e.brings)) p.today = e.today;
            }
            const auto plan = propose_lesson(*sheet, l, forms_);
            if (!plan) return tl::unexpected(plan.error());
            l.plan = plan_text(*plan);
            l.held = true;
            if (auto ok = library_.classes().keep_lesson(l); !ok) return tl::unexpected(ok.error());
        }
        return true;
    }

    /// Ten weeks with steps, a short form and the ladder of balance; the third week was missed.
    Result<bool> a_course_under_way() {
        CourseOf c;
        c.person = who(0), c.title = "Steady on the quay steps";
        c.wish.from = "2026-11-09", c.wish.weeks = 10;
        c.wish.wanted = {"part_the_horses_mane", "walk_backward"};
        c.wish.form = "side_steps";
        c.wish.themes = {"balance"};
        const auto sheet = course_sheet(library_, forms_, c.person, "2026-11-30");
        if (!sheet) return tl::unexpected(sheet.error());
        for (const char* day : {"2026-11-09", "2026-11-30"}) {
            auto made = make_course(c.wish, *sheet, forms_, c.made.weeks.empty() ? nullptr : &c.made, day);
            if (!made) return tl::unexpected(made.error());
            c.made = std::move(*made);
            c.made.weeks[2].missed = true;
        }
        c.made_of = basis_of(*sheet);
        return keep_course(library_, c).map([](std::int64_t) { return true; });
    }

    /// Ten evenings of the class, where it has no course yet; the lesson of the second week is planned.
    Result<bool> a_course_of_the_class() {
        const auto classes = library_.classes().all();
        if (!classes) return tl::unexpected(classes.error());
        if (classes->empty()) return true;
        const auto group = classes->front().id;
        const auto sheet = class_course_sheet(library_, forms_, group, "2026-11-30");
        if (!sheet) return tl::unexpected(sheet.error());
        if (!sheet->courses.empty()) return true;
        CourseOf c;
        c.group = group, c.title = "Ten evenings, one form";
        c.wish.from = "2026-11-26", c.wish.weeks = 10;
        c.wish.home_days = 0, c.wish.lesson_minutes = classes->front().minutes;
        c.wish.wanted = {"gaze_at_the_moon"};
        c.wish.form = "side_steps";
        c.wish.themes = {"balance"};
        auto made = make_course(c.wish, *sheet, forms_, nullptr, "2026-11-26");
        if (!made) return tl::unexpected(made.error());
        c.made = std::move(*made);
        c.made_of = basis_of(*sheet);
        if (auto ok = keep_course(library_, c); !ok) return tl::unexpected(ok.error());
        const char* second = "2026-12-03";
        const auto of = class_sheet(library_, group, second, forms_);
        if (!of) return tl::unexpected(of.error());
        Lesson l = lesson_on(*of, second);
        const auto plan = propose_lesson(*of, l, forms_);
        if (!plan) return tl::unexpected(plan.error());
        l.plan = plan_text(*plan);
        return library_.classes().keep_lesson(l).map([](std::int64_t) { return true; });
    }

    /// Who agreed to what; and an assistant who looked at nine clips, said what is there but what has to do with weight and hips, now and
    /// then of another moment, and now and then something that is not there.
    Result<bool> somebody_learns_to_see() {
        for (std::size_t s = 0; s < people_.size(); ++s) {
            auto facts = library_.people().facts(people_[s]);
            if (!facts) return tl::unexpected(facts.error());
            set_consent(*facts, Purpose::kept, true, "2026-10-13");
            if (s == 2 || s == 4) { // Wen and Noor
                set_consent(*facts, Purpose::shown, true, "2026-10-13");
                set_consent(*facts, Purpose::learned, true, "2026-11-19");
            }
            if (auto ok = library_.people().set_facts(people_[s], *facts); !ok) return ok;
        }
        const auto id = library_.seeing().keep({0, "Sefa Lindholm"});
        if (!id) return tl::unexpected(id.error());
        for (int k = 0; k < 9; ++k) {
            ExerciseWish wish;
            wish.level = k < 4 ? SeeingLevel::plain : k < 7 ? SeeingLevel::clear : SeeingLevel::several;
            wish.seed = 300 + static_cast<std::uint64_t>(k);
            const auto e = make_exercise(*forms_.movements, wish, env_.stop);
            if (!e) return tl::unexpected(e.error());
            std::vector<Said> said;
            for (const auto& v : e->truth.there) {
                if (v.family == Family::weight || v.family == Family::hips) continue;
                const auto side = v.left && v.right ? SaidSide::both : v.left ? SaidSide::left : v.right ? SaidSide::right : SaidSide::none;
                said.push_back({v.check, v.direction, side, k % 4 == 3 ? 0.5 : v.time_s});
            }
            if (k % 3 == 2 && !e->truth.within.empty()) said.push_back({e->truth.within.front().check, Direction::high, SaidSide::none, 4});
            const Movement& m = e->review->movement;
            SeenRound round = round_of(count_seen(said, e->truth, m), said, e->truth, m);
            round.assistant = *id, round.level = wish.level, round.seed = wish.seed, round.view = e->take.phone.view;
            round.day = k < 4 ? "2026-11-21" : k < 7 ? "2026-11-25" : "2026-11-28";
            if (auto ok = library_.seeing().keep_round(round); !ok) return tl::unexpected(ok.error());
        }
        return true;
    }

    /// The letter went out two days after the clip, with something to do at home and a day of the next look.
    Result<bool> send(const Clip& clip) {
        auto letters = library_.letters().of(clip.id);
        if (!letters || letters->empty()) return fail(Code::not_found, "letter");
        LetterRecord l = letters->front();
        const auto later = [&](int days) {
            int y = 0;
            unsigned m = 0, d = 0;
            std::sscanf(clip.filmed_on.c_str(), "%d-%u-%u", &y, &m, &d);
            const std::chrono::year_month_day date{std::chrono::sys_days(std::chrono::year(y) / static_cast<int>(m) / static_cast<int>(d)) +
                                                   std::chrono::days(days)};
            std::array<char, 16> b{};
            std::snprintf(b.data(), b.size(), "%04d-%02u-%02u", static_cast<int>(date.year()), static_cast<unsigned>(date.month()),
                          static_cast<unsigned>(date.day()));
            return std::string(b.data());
        };
        for (const auto& key : l.checks) l.with[key].homework = {clip.movement, 1, 3, 0};
        l.review_on = later(12);
        if (auto ok = library_.letters().save(l); !ok) return tl::unexpected(ok.error());
        return library_.letters().set_sent(clip.id, later(2), "mail");
    }

    Result<bool> take_in(const SceneClip& c) {
        const auto m = forms_.movement(c.movement);
        if (!m) return fail(Code::not_found, c.movement);
        const fs::path file = studio_ / (std::string(c.file) + ".mp4");
        std::error_code ec;
        if (!fs::exists(file, ec))
            if (auto ok = film_scene(c, forms_, file); !ok) return ok;
        std::printf("%s %.1f MB\n", c.file, static_cast<double>(fs::file_size(file, ec)) / 1e6);
        std::fflush(stdout);
        Clip clip;
        clip.person = people_[static_cast<std::size_t>(c.student)];
        clip.movement = c.movement;
        clip.view = c.view;
        clip.filmed_on = clip.arrived_on = c.date;
        auto id = library_.clips().add(clip, file);
        if (!id) return tl::unexpected(id.error());
        if (c.then == SceneClip::Then::waiting) return true;
        auto recorded = library_.clips().get(*id);
        if (!recorded) return tl::unexpected(recorded.error());
        return look_at(c, *m, *recorded);
    }

    /// A second phone filmed the same performance.
    Result<bool> put_beside(const SceneClip& c, std::int64_t id) {
        const auto all = library_.clips().all();
        if (!all) return tl::unexpected(all.error());
        for (const auto& other : *all) {
            if (fs::path(other.file).stem() != c.beside) continue;
            if (auto ok = library_.clips().pair(other.id, id); !ok) return ok;
            const auto together = put_pair_together(library_, forms_, id, env_.stop);
            if (!together) return tl::unexpected(together.error());
            std::printf("%s and %s: %s\n", c.beside, c.file, *together ? "one performance" : "apart");
            return true;
        }
        return fail(Code::not_found, c.beside);
    }

    /// The very path of a real clip.
    Result<bool> look_at(const SceneClip& c, const Movement& movement, const Clip& clip) {
        TrackOptions o;
        o.model_dir = find_model_dir(env_.program);
        auto found = track_clip(library_.clips().path_of(clip), o, env_.stop);
        if (!found) return tl::unexpected(found.error());
        const auto& student = scene_students()[static_cast<std::size_t>(c.student)];
        ReviewOptions ro;
        ro.view = view_from_name(c.view);
        ro.stature_m = student.stature_m;
        std::shared_ptr<const Review> review;
        std::vector<KeptFigure> figures;
        if (const auto form = forms_.form(c.movement)) {
            const auto whole = make_form_review(found->track, *form, *forms_.movements, ro);
            if (!whole) return tl::unexpected(whole.error());
            review = (*whole)->review, figures = figures_of(**whole);
        } else {
            const auto made = make_review(found->track, movement, ro);
            if (!made) return tl::unexpected(made.error());
            review = *made, figures = figures_of(**made);
        }
        Found what;
        what.track = &found->track;
        what.review = review.get();
        what.limits = limits_of(found->track, found->scene, &review->movement);
        auto kept = keep_found(library_, clip, what);
        if (!kept) return tl::unexpected(kept.error());
        if (auto ok = library_.records().keep_figures(kept->id, figures); !ok) return ok;
        if (c.beside)
            if (auto ok = put_beside(c, kept->id); !ok) return ok;
        if (c.then == SceneClip::Then::tracked) return true;
        if (auto ok = decide(library_, *kept, *review, student.name); !ok) return ok;
        if (auto ok = library_.clips().set_state(kept->id, ClipState::reviewed, ""); !ok) return ok;
        if (c.then == SceneClip::Then::sent)
            if (auto ok = send(*kept); !ok) return ok;
        return c.film_stays ? Result<bool>(true) : library_.clips().drop_film(kept->id);
    }

    Library& library_;
    const Environment& env_;
    fs::path studio_;
    Forms forms_;
    std::vector<std::int64_t> people_;
};

} // namespace

int demo(const Words& words, const Environment& env) {
    const auto args = Args::parse(words, {"--make", "--add", "--clips"});
    if (!args) return complain(args.error());
    const auto make = args->text("--make"), add = args->text("--add"), folder = make ? make : add;
    if (make.has_value() == add.has_value()) return wrong_use("demo takes --make FOLDER or --add FOLDER [--clips FOLDER]");
    if (make && fs::exists(fs::path(*folder) / "library.sqlite")) return wrong_use("there is a library in " + *folder + " already");
    auto library = Library::open(*folder);
    if (!library) return complain(library.error());
    // Clips filmed before may be given, so that only what comes after filming is done anew.
    const auto clips = args->text("--clips");
    const fs::path studio = clips ? fs::path(*clips) : fs::temp_directory_path() / ("bevel-scene-" + std::to_string(::getpid()));
    std::error_code ec;
    fs::create_directories(studio, ec);
    Scene scene(*library, env, studio);
    const auto ok = make ? scene.run() : scene.add();
    if (!clips) fs::remove_all(studio, ec);
    return ok ? 0 : complain(ok.error());
}

} // namespace bevel::cli
