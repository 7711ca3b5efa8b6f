#include "core/practice/course.h"
#include "core/days.h"
#include "core/practice/gate.h"
#include <algorithm>
#include <array>
#include <charconv>
#include <chrono>
#include <cmath>

namespace bevel {
namespace {

constexpr std::array<const char*, 4> thread_kind_names{"movement", "rule", "form", "ladder"};
constexpr std::array<const char*, 6> beat_names{"not_yet", "begins", "grows", "returns", "rests", "recalled"};
constexpr std::array<const char*, 3> week_kind_names{"plain", "lighter", "recall"};
constexpr double lighter_minutes = 0.7, lighter_pace = 1.3, slower_pace = 1.2;

bool active(Beat b) {
    return b != Beat::not_yet && b != Beat::rests;
}
bool is_new(Beat b) {
    return b == Beat::begins || b == Beat::grows;
}

Result<bool> checked(const CourseNeeds& n, std::size_t now) {
    if (n.weeks < least_weeks || n.weeks > most_weeks) return fail(Code::bad_value, "weeks");
    if (n.lessons < 0 || n.lessons > 7 || n.home_days < 0 || n.home_days > 7 || n.lessons + n.home_days == 0)
        return fail(Code::bad_value, "days");
    const auto minutes = [](int days, double m) { return days == 0 || (m >= 4 && m <= 180); };
    if (!minutes(n.lessons, n.lesson_minutes) || !minutes(n.home_days, n.home_minutes)) return fail(Code::bad_value, "minutes");
    // Whatever is missed, its last week begins on a day that can be written.
    if (n.from.empty() || !is_day(n.from) || days_after(n.from, 7 * 2 * most_weeks).empty()) return fail(Code::bad_value, "from");
    if (now > static_cast<std::size_t>(2 * most_weeks)) return fail(Code::bad_value, "now");
    return true;
}

/// A lighter week in every four; in a short course one before its recall.
WeekKind kind_of(std::size_t week, std::size_t weeks) {
    if (week + 1 == weeks) return WeekKind::recall;
    return week + 2 == weeks ? (weeks <= 5 ? WeekKind::lighter : WeekKind::plain)
                             : (weeks > 5 && week % 4 == 3 ? WeekKind::lighter : WeekKind::plain);
}

class Maker {
public:
    Maker(const CourseNeeds& needs, const std::vector<Movement>& movements, const Course* so_far, std::size_t now)
        : n_(needs), movements_(movements), so_far_(so_far), now_(so_far ? now : 0) {}

    Result<Course> made() {
        if (so_far_ && now_ > so_far_->weeks.size()) return fail(Code::bad_value, "now");
        std::size_t missed = 0;
        for (std::size_t w = 0; w < now_; ++w) missed += so_far_->weeks[w].missed ? 1 : 0;
        weeks_ = static_cast<std::size_t>(n_.weeks) + (n_.slide ? std::min<std::size_t>(missed, most_weeks) : 0);
        if (now_ >= weeks_) return fail(Code::bad_value, "now");
        gather();
        take_past();
        lay_out_weeks();
        if (auto ok = place_new(); !ok) return tl::unexpected(ok.error());
        for (std::size_t w = now_; w < weeks_; ++w) fill(w);
        ask_for_clips();
        count_what_grows();
        return std::move(course_);
    }

private:
    struct Line {               // of a thread, while it is made
        std::vector<int> fresh; // weeks in which something of it is new
        int steps = 0;          // how many more times something of it may be new
        int due = -1;           // the week from which it is to return
        int returned = 0;
        bool open = false; // begun
        bool gone = false; // settled, or barred by now
    };

    // -- what there is ----------------------------------------------------------------------------------------------------------------
    void add(CourseThread t, int steps) {
        for (const auto& other : course_.threads)
            if (other.key() == t.key()) return;
        t.beats.assign(weeks_, Beat::not_yet);
        course_.threads.push_back(std::move(t));
        lines_.emplace_back();
        lines_.back().steps = steps;
    }

    bool may(const std::string& movement, const std::string& key) {
        const Movement* m = movement_named(movements_, movement);
        const auto why = m ? pass(*m, n_.needs).barred : std::optional(LeftOut::Code::unknown);
        const auto said = [&](const NotInCourse& l) { return l.key == key; };
        if (why && std::none_of(course_.left_out.begin(), course_.left_out.end(), said)) course_.left_out.push_back({key, *why});
        return !why;
    }

    /// Corrections, as they were asked for; what is known; what is to be learned, standing easily before low and on one leg; the form; the
    /// ladder.
    void gather() {
        const Needs& needs = n_.needs;
        for (const auto& a : needs.asked) {
            CourseThread t{ThreadKind::rule, a.movement, a.rule, a.drill, false, {}};
            if (!n_.settled.contains(t.key()) && may(a.movement, t.key())) add(std::move(t), 1);
        }
        // Of what a letter asks something is done already.
        std::vector<std::string> practised = needs.practised;
        for (const auto& a : needs.asked) practised.push_back(a.movement);
        const auto is_known = [&](const std::string& id) { return std::find(practised.begin(), practised.end(), id) != practised.end(); };
        for (const auto& id : practised)
            if (const Movement* m = movement_named(movements_, id); m && !pass(*m, needs).barred)
                add({ThreadKind::movement, id, "", "", true, {}}, 0);
        std::vector<std::string> wanted;
        for (const auto& id : needs.wanted)
            if (!is_known(id))
                wanted.push_back(id);
            else
                (void)may(id, CourseThread{ThreadKind::movement, id, "", "", true, {}}.key()); // known, and barred by now: said
        const auto hardness = [&](const std::string& id) {
            const Movement* m = movement_named(movements_, id);
            if (!m) return 0;
            const Traits t = traits_of(*m);
            return 2 * t.stage() + (t.balance ? 3 : 0) + (t.form ? 1 : 0);
        };
        std::stable_sort(wanted.begin(), wanted.end(), [&](const auto& a, const auto& b) { return hardness(a) < hardness(b); });
        for (const auto& id : wanted) {
            CourseThread t{ThreadKind::movement, id, "", "", false, {}};
            if (may(id, t.key())) add(std::move(t), 1);
        }
        if (needs.form && !needs.form->steps.empty()) {
            CourseThread t{ThreadKind::form, needs.form->form, "", "", needs.form->known > 0, {}};
            int left = 0;
            for (const auto& [from, to] : needs.form->steps) left += to > needs.form->known ? 1 : 0;
            add(std::move(t), left);
        }
        if (needs.themes.contains("balance")) {
            CourseThread t{ThreadKind::ladder, "", "", "", true, {}};
            // Standing freely in reach of a support is where the ladder is left to lessons with a helper.
            const int at = balance_step_of(needs.balance_step, false), top = static_cast<int>(BalanceStep::slower);
            if (needs.limits.contains("no_balance") || needs.limits.contains("seated"))
                course_.left_out.push_back({t.key(), LeftOut::Code::limit});
            else if (needs.dizzy || needs.unsteady)
                course_.left_out.push_back({t.key(), LeftOut::Code::balance_today});
            else if (!needs.chair && !needs.wall)
                course_.left_out.push_back({t.key(), LeftOut::Code::no_support});
            else
                add(std::move(t), std::max(0, top - at));
        }
    }

    /// What weeks before this one brought: kept as they were, of missed ones nothing was learned.
    void take_past() {
        for (std::size_t i = 0; i < lines_.size(); ++i) lines_[i].open = course_.threads[i].known;
        if (!so_far_) return;
        for (const auto& was : so_far_->threads) {
            auto it = std::find_if(course_.threads.begin(), course_.threads.end(), [&](const auto& t) { return t.key() == was.key(); });
            if (it == course_.threads.end()) { // settled, barred by now, or no longer wished for: what was stays to be seen
                if (std::none_of(was.beats.begin(), was.beats.begin() + static_cast<std::ptrdiff_t>(std::min(now_, was.beats.size())),
                                 active))
                    continue;
                add(was, 0);
                it = course_.threads.end() - 1;
                lines_.back().gone = true, lines_.back().open = was.known;
            }
            auto& line = lines_[static_cast<std::size_t>(it - course_.threads.begin())];
            for (std::size_t w = 0; w < now_ && w < was.beats.size(); ++w) {
                it->beats[w] = was.beats[w];
                if (so_far_->weeks[w].missed || !active(was.beats[w])) continue;
                if (is_new(was.beats[w])) line.steps = std::max(0, line.steps - 1), line.returned = 0;
                if (was.beats[w] == Beat::returns) ++line.returned;
                line.open = true;
                line.due = static_cast<int>(w) + 1;
                it->known = was.known; // what the course itself brought stays its own, though a clip of it has come since
            }
        }
    }

    void lay_out_weeks() {
        for (std::size_t w = 0; w < weeks_; ++w) {
            if (w < now_) {
                course_.weeks.push_back(so_far_->weeks[w]);
                continue;
            }
            CourseWeek week;
            week.kind = kind_of(w, weeks_);
            week.from = days_after(n_.from, 7 * static_cast<int>(w));
            const bool lighter = week.kind == WeekKind::lighter;
            week.pace = n_.needs.pace * (lighter ? lighter_pace : week.kind == WeekKind::plain && w % 3 == 2 ? slower_pace : 1);
            // Not below what a session can be made of.
            const auto minutes = [&](int days, double m) {
                return days == 0 ? 0 : lighter ? std::max(4.0, std::round(lighter_minutes * m)) : m;
            };
            week.lesson_minutes = minutes(n_.lessons, n_.lesson_minutes);
            week.home_minutes = minutes(n_.home_days, n_.home_minutes);
            course_.weeks.push_back(std::move(week));
        }
    }

    // -- what is new, and when --------------------------------------------------------------------------------------------------------
    /// What is to be new, in turn: corrections first; then movements, the form and the ladder take turns.
    std::vector<std::size_t> in_turn() const {
        std::vector<std::size_t> out;
        std::array<std::vector<std::size_t>, 4> of;
        for (std::size_t i = 0; i < lines_.size(); ++i) {
            const auto& t = course_.threads[i];
            if (lines_[i].gone || n_.begins.contains(t.key())) continue;
            const int more =
                t.kind == ThreadKind::movement || t.kind == ThreadKind::rule ? (lines_[i].open ? 0 : lines_[i].steps) : lines_[i].steps;
            for (int s = 0; s < more; ++s) of[static_cast<std::size_t>(t.kind)].push_back(i);
        }
        out = of[static_cast<std::size_t>(ThreadKind::rule)];
        for (std::size_t k = 0;; ++k) {
            bool any = false;
            // One step up the ladder for two of anything else.
            for (const ThreadKind kind : {ThreadKind::movement, ThreadKind::form})
                if (const auto& q = of[static_cast<std::size_t>(kind)]; k < q.size()) out.push_back(q[k]), any = true;
            if (const auto& q = of[static_cast<std::size_t>(ThreadKind::ladder)]; k < q.size()) out.push_back(q[k]), any = true;
            if (!any) return out;
        }
    }

    Result<bool> place_new() {
        std::vector<std::size_t> free;
        std::set<std::size_t> taken;
        for (const auto& [key, number] : n_.begins) {
            const auto w = static_cast<std::size_t>(std::max(1, number) - 1);
            std::size_t i = 0;
            while (i < lines_.size() && course_.threads[i].key() != key) ++i;
            if (i == lines_.size() || lines_[i].gone || lines_[i].open || w < now_) continue; // it is not in it, or has begun
            if (w >= weeks_ || course_.weeks[w].kind != WeekKind::plain || !taken.insert(w).second) return fail(Code::bad_value, "begins");
            lines_[i].fresh.push_back(static_cast<int>(w));
        }
        for (std::size_t w = now_; w < weeks_; ++w)
            if (course_.weeks[w].kind == WeekKind::plain && !taken.contains(w)) free.push_back(w);
        const auto turn = in_turn();
        const std::size_t fits = std::min(turn.size(), free.size());
        for (std::size_t k = 0; k < turn.size(); ++k) {
            auto& line = lines_[turn[k]];
            if (k < fits)
                line.fresh.push_back(static_cast<int>(free[k * free.size() / fits]));
            else if (line.fresh.empty() && !line.open)
                course_.left_out.push_back({course_.threads[turn[k]].key(), LeftOut::Code::no_room});
        }
        return true;
    }

    // -- what returns -----------------------------------------------------------------------------------------------------------------
    /// How many threads a week holds: few things, repeated.
    std::size_t room(std::size_t w) const {
        const CourseWeek& week = course_.weeks[w];
        const double minutes = std::max(week.lesson_minutes, week.home_minutes);
        return static_cast<std::size_t>(std::max(2.0, std::floor(0.5 * most_things(minutes))));
    }

    void fill(std::size_t w) {
        const int at = static_cast<int>(w);
        const bool recall = course_.weeks[w].kind == WeekKind::recall;
        std::size_t used = 0;
        std::vector<std::size_t> due;
        for (std::size_t i = 0; i < lines_.size(); ++i) {
            auto& line = lines_[i];
            auto& beat = course_.threads[i].beats[w];
            if (line.gone) {
                beat = line.open ? Beat::rests : Beat::not_yet;
                continue;
            }
            if (std::find(line.fresh.begin(), line.fresh.end(), at) != line.fresh.end()) {
                beat = line.open ? Beat::grows : Beat::begins;
                line.open = true, line.returned = 0, line.due = at + 1;
                ++used;
            } else if (line.open) {
                beat = Beat::rests;
                if (recall || line.due <= at) due.push_back(i);
            }
        }
        // Corrections before what was learned last, that before what is known for long.
        std::stable_sort(due.begin(), due.end(), [&](std::size_t a, std::size_t b) {
            const bool ra = course_.threads[a].kind == ThreadKind::rule, rb = course_.threads[b].kind == ThreadKind::rule;
            return ra != rb                                               ? ra
                   : course_.threads[a].known != course_.threads[b].known ? course_.threads[b].known
                                                                          : lines_[a].due < lines_[b].due;
        });
        // It comes back the week after, and after that less and less often.
        constexpr std::array<int, 5> rest{1, 2, 2, 3, 4};
        for (const auto i : due) {
            const bool of_course = !course_.threads[i].known || course_.threads[i].kind == ThreadKind::form;
            if (used >= room(w) && !(recall && of_course)) continue;
            ++used;
            auto& line = lines_[i];
            course_.threads[i].beats[w] = recall && course_.threads[i].kind != ThreadKind::ladder ? Beat::recalled : Beat::returns;
            line.due = at + rest[std::min<std::size_t>(static_cast<std::size_t>(line.returned), rest.size() - 1)];
            ++line.returned;
        }
    }

    /// Every second week one is asked for, and looked at in the week after; of a missed week none came.
    void ask_for_clips() {
        std::optional<std::size_t> last;
        for (std::size_t w = 0; w < weeks_; ++w) {
            auto& week = course_.weeks[w];
            if (w >= now_) {
                week.clip_asked = !last || w >= *last + 2 || w + 1 == weeks_;
                week.clip_looked = w > 0 && course_.weeks[w - 1].clip_asked && !course_.weeks[w - 1].missed;
            }
            if (week.clip_asked && !week.missed) last = w;
        }
    }

    /// Parts of the form that are known, and the step of the ladder, at each week's end.
    void count_what_grows() {
        const Needs& needs = n_.needs;
        for (std::size_t i = 0; i < lines_.size(); ++i) {
            const auto& t = course_.threads[i];
            if (t.kind != ThreadKind::form && t.kind != ThreadKind::ladder) continue;
            int parts = needs.form ? needs.form->known : 0, ladder = balance_step_of(needs.balance_step, false);
            for (std::size_t w = 0; w < weeks_; ++w) {
                const bool missed = course_.weeks[w].missed;
                if (is_new(t.beats[w]) && !missed && t.kind == ThreadKind::form) {
                    for (const auto& [from, to] : needs.form->steps)
                        if (to > parts) {
                            parts = to;
                            break;
                        }
                } else if (is_new(t.beats[w]) && !missed) {
                    ladder = std::min(ladder + 1, static_cast<int>(BalanceStep::slower));
                }
                if (w < now_) continue;
                if (t.kind == ThreadKind::form) course_.weeks[w].parts = parts;
                if (t.kind == ThreadKind::ladder && !lines_[i].gone) course_.weeks[w].ladder = ladder;
            }
        }
    }

    const CourseNeeds& n_;
    const std::vector<Movement>& movements_;
    const Course* so_far_;
    std::size_t now_, weeks_ = 0;
    Course course_;
    std::vector<Line> lines_;
};

} // namespace

std::string_view thread_kind_name(ThreadKind k) {
    return thread_kind_names[static_cast<std::size_t>(k)];
}
std::string_view beat_name(Beat b) {
    return beat_names[static_cast<std::size_t>(b)];
}
std::string_view week_kind_name(WeekKind k) {
    return week_kind_names[static_cast<std::size_t>(k)];
}

std::string CourseThread::key() const {
    std::string k(thread_kind_name(kind));
    if (kind == ThreadKind::rule) k += " " + rule;
    return of.empty() ? k : k + " " + of;
}

const CourseThread* Course::fresh_in(std::size_t week) const {
    for (const auto& t : threads)
        if (week < t.beats.size() && is_new(t.beats[week])) return &t;
    return nullptr;
}

std::string days_after(const std::string& day, int days) {
    if (day.empty() || !is_day(day)) return {};
    int y = 0;
    unsigned m = 0, d = 0;
    std::from_chars(day.data(), day.data() + 4, y);
    std::from_chars(day.data() + 5, day.data() + 7, m);
    std::from_chars(day.data() + 8, day.data() + 10, d);
    const std::chrono::year_month_day to{
        std::chrono::sys_days(std::chrono::year_month_day{std::chrono::year(y), std::chrono::month(m), std::chrono::day(d)}) +
        std::chrono::days(days)};
    char text[40];
    std::snprintf(text, sizeof text, "%04d-%02u-%02u", static_cast<int>(to.year()), static_cast<unsigned>(to.month()),
                  static_cast<unsigned>(to.day()));
    return is_day(text) ? text : std::string();
}

std::size_t weeks_over(const Course& course, const std::string& day) {
    return static_cast<std::size_t>(
        std::count_if(course.weeks.begin(), course.weeks.end(), [&](const CourseWeek& w) { return days_after(w.from, 7) <= day; }));
}

Result<Course> propose_course(const CourseNeeds& needs, const std::vector<Movement>& movements, const Course* so_far, std::size_t now) {
    if (auto ok = checked(needs, now); !ok) return tl::unexpected(ok.error());
    return Maker(needs, movements, so_far, now).made();
}

Needs day_of_course(const Course& course, const CourseNeeds& needs, std::size_t week, bool at_home, const Needs& day) {
    Needs out = day;
    if (week >= course.weeks.size()) return out;
    const CourseWeek& w = course.weeks[week];
    out.minutes = at_home ? w.home_minutes : w.lesson_minutes;
    out.pace = w.pace;
    out.wanted.clear(), out.asked.clear(), out.practised = needs.needs.practised, out.themes = needs.needs.themes;
    out.form.reset();
    out.sequence.clear();
    // What may not be done is the day's and the person's together.
    out.limits.insert(needs.needs.limits.begin(), needs.needs.limits.end());
    out.care.insert(needs.needs.care.begin(), needs.needs.care.end());
    if (at_home) out.helper = false;
    for (const auto& t : course.threads) {
        if (week >= t.beats.size()) continue;
        const bool before = t.known || [&] {
            for (std::size_t v = 0; v < week; ++v)
                if (active(t.beats[v]) && !course.weeks[v].missed) return true;
            return false;
        }();
        if (t.kind == ThreadKind::movement && before && !t.known) out.practised.push_back(t.of);
        if (!active(t.beats[week])) continue;
        switch (t.kind) {
        case ThreadKind::movement:
            out.wanted.push_back(t.of);
            break;
        case ThreadKind::rule:
            out.asked.push_back({t.of, t.rule, t.drill});
            break;
        case ThreadKind::form:
            if (needs.needs.form) {
                out.form = needs.needs.form;
                out.form->recall = t.beats[week] == Beat::recalled;
                // What is known when the week begins; a growing week brings the next parts in.
                int known = needs.needs.form->known;
                for (std::size_t v = 0; v < week; ++v) known = std::max(known, course.weeks[v].missed ? 0 : course.weeks[v].parts);
                out.form->known = known;
            }
            break;
        case ThreadKind::ladder:
            out.balance_step = w.ladder;
            out.themes.insert("balance");
            break;
        }
    }
    if (w.ladder > 0)
        out.balance_step = balance_step_of(day.balance_step > 0 ? std::min(w.ladder, day.balance_step) : w.ladder, out.helper);
    return out;
}

} // namespace bevel
