// Linked forms: one continuous course that a body can do, each part known again and judged by itself, what is lacking told apart.
#include "core/form/floor_path.h"
#include "core/form/form_review.h"
#include "core/form/from_clip.h"
#include "core/form/goes.h"
#include "core/form/pieces.h"
#include "core/form/which_form.h"
#include "core/sim/student.h"
#include "core/sim/take.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QElapsedTimer>
#include <QTest>
#include <set>

using namespace bevel;
namespace fs = std::filesystem;

class TestLinked : public QObject {
    Q_OBJECT
    std::vector<Movement> movements_;
    std::vector<LinkedForm> forms_;

    static Track performed(const LinkedCourse& course, const sim::StudentOptions& o, std::vector<int> only = {}) {
        sim::Student student(course.score(), o);
        student.only_in(std::move(only));
        Track track;
        for (double t = 0; t <= student.duration(); t += 1.0 / 30) {
            track.time_s.push_back(t);
            track.m.emplace_back(student.pose(t).points);
            track.px.emplace_back();
        }
        return track;
    }
    const LinkedForm& form(const char* id) const {
        return *std::find_if(forms_.begin(), forms_.end(), [&](const LinkedForm& f) { return f.id == id; });
    }

    Result<std::shared_ptr<const FormReview>> reviewed(const Track& track, const LinkedForm& f) {
        ReviewOptions options;
        options.stature_m = 1.70;
        return make_form_review(track, f, movements_, options);
    }
    static std::vector<std::size_t> of(const FormReview& r, PartSeen::How how) {
        std::vector<std::size_t> out;
        for (const auto& p : r.parts)
            if (p.how == how && !p.again) out.push_back(p.part + 1);
        return out;
    }

    /// As a phone films it that stands where all of the form is in the picture.
    static Track filmed(const LinkedCourse& course, View view, const sim::StudentOptions& student, std::vector<int> only = {}) {
        sim::TakeOptions o;
        o.student = student;
        o.phone.view = view;
        o.phone.seed = student.seed;
        o.phone = sim::seeing_all(sim::Student(course.score(), student), o.phone);
        const sim::Take take(course.score(), o, std::move(only));
        Track t = take.track();
        for (auto& m : t.m) m.reset();
        return t;
    }
    Result<std::shared_ptr<const FormReview>> seen(const Track& track, const LinkedForm& f, std::optional<View> view) {
        ReviewOptions options;
        options.view = view;
        options.stature_m = 1.70;
        return make_form_review(track, f, movements_, options);
    }

    /// Every part in words, for the message of a test.
    static QString told_of(const FormReview& r) {
        QString all;
        for (const auto& p : r.parts)
            all += QStringLiteral(" %1:%2 %3-%4")
                       .arg(p.part + 1)
                       .arg(QString::fromStdString(std::string(how_name(p.how))))
                       .arg(p.from_s, 0, 'f', 1)
                       .arg(p.to_s, 0, 'f', 1);
        return all;
    }

private slots:
    void initTestCase() {
        const fs::path data = fs::path(BEVEL_SOURCE_DIR) / "data";
        std::vector<Error> problems;
        movements_ = load_movements(data, &problems);
        forms_ = load_forms(data, &problems);
        for (const auto& p : problems) qWarning("%s", p.context.c_str());
        QVERIFY(problems.empty());
        QVERIFY(forms_.size() >= 10);
    }

    void the_way_over_the_floor_is_that_of_the_feet() {
        for (const auto& f : forms_) {
            const auto course = link(f, movements_);
            QVERIFY(course);
            const sim::Student student(course->score(), {});
            const FloorPath path = floor_path(course->score(), student.solver());
            // At every key somebody stands, and no foot stands at two places at once.
            for (const auto& key : course->keys) {
                int left = 0, right = 0;
                for (const auto& p : path.prints)
                    if (p.from_s <= key.time && key.time <= p.to_s) ++(p.side == Side::left ? left : right);
                QVERIFY2(left + right >= 1 && left <= 1 && right <= 1, f.id.c_str());
            }
            for (const auto& p : path.prints) {
                QVERIFY(p.to_s >= p.from_s && p.part < static_cast<int>(course->parts.size()));
                QVERIFY2((p.toe - p.heel).norm() > 0.1 && (p.toe - p.heel).norm() < 0.4, f.id.c_str());
            }
            // The mirror image of the form has the mirror image of its way.
            LinkedForm other_way = f;
            for (auto& p : other_way.parts) p.side = other(p.side), p.turn = -p.turn;
            const auto mirror = link(other_way, movements_);
            QVERIFY(mirror);
            const FloorPath back = floor_path(mirror->score(), student.solver());
            QCOMPARE(back.way.size(), path.way.size());
            const double off = (back.way.back().second + path.way.back().second).x();
            QVERIFY2(std::abs(off) < 0.02 && std::abs(back.way.back().second.z() - path.way.back().second.z()) < 0.02, f.id.c_str());
        }
        // Four steps out, a turn, four steps back.
        const auto there = std::find_if(forms_.begin(), forms_.end(), [](const LinkedForm& f) { return f.id == "walk_turn_walk_back"; });
        const auto course = link(*there, movements_);
        const sim::Student student(course->score(), {});
        const FloorPath path = floor_path(course->score(), student.solver());
        QVERIFY2(path.deep_m() > 1.5 && path.deep_m() < 4 && path.wide_m() < 1.5,
                 qPrintable(QString("%1 %2").arg(path.deep_m()).arg(path.wide_m())));
    }
    void a_piece_is_the_same_stretch_of_the_whole() {
        for (const auto& f : forms_) {
            const auto course = link(f, movements_);
            const auto pieces = pieces_of(f, movements_);
            QVERIFY(course && pieces);
            const Score whole = course->score();
            const int count = static_cast<int>(course->parts.size());
            std::set<std::string> ids;
            for (const auto& m : *pieces) {
                QVERIFY2(ids.insert(m.id).second, m.id.c_str()); // each once
                const auto id = PieceId::read(m.id);
                QVERIFY(id && id->text() == m.id && id->form == f.id && m.course);
                QCOMPARE(static_cast<int>(m.part_names.size()), id->to - id->from + 1);
                QVERIFY(m.symmetric());
                const Score score(m, ScoreOptions{});
                QVERIFY(score.duration() > 0.5);
                double phases = 0;
                for (const auto& k : score.keys()) phases = std::max(phases, static_cast<double>(k.phase));
                QCOMPARE(static_cast<std::size_t>(phases) + 1, m.phases.size());
                // What it asks is what its parts ask and the steps and turns between them, no more and no less.
                Asks asks;
                for (int k = id->from - 1; k < id->to; ++k)
                    for (const auto& p : Asks::parts())
                        asks.*p.value = std::max(asks.*p.value, course->parts[static_cast<std::size_t>(k)].movement->asks.*p.value);
                bool steps = false, turns = false;
                for (std::size_t i = 0; i < m.course->size(); ++i) {
                    const auto& key = (*m.course)[i];
                    steps = steps || key.posture.left_foot.contact == Contact::off || key.posture.right_foot.contact == Contact::off;
                    turns = turns || (i > 0 && std::abs(std::remainder(key.frame.yaw - (*m.course)[i - 1].frame.yaw, 360)) > 89);
                }
                if (steps) asks.balance = std::max(asks.balance, 1);
                if (turns) asks.turning = std::max(asks.turning, 2);
                for (const auto& p : Asks::parts()) QCOMPARE(m.asks.*p.value, asks.*p.value);
                QVERIFY2(!steps || std::find(m.cautions.begin(), m.cautions.end(), "balance") != m.cautions.end(), m.id.c_str());
                // At each of its keys the body is where it is in the whole.
                double from = -1;
                for (const auto& k : course->keys)
                    if (k.phase >= 0 && course->whole.phases[static_cast<std::size_t>(k.phase)].id == m.phases.front().id) from = k.time;
                double own = -1;
                for (const auto& k : score.keys())
                    if (k.phase == 0) own = k.time;
                const FloorFrame a = whole.frame_at(from), b = score.frame_at(own);
                QVERIFY(std::abs(a.x - b.x) + std::abs(a.z - b.z) + std::abs(a.yaw - b.yaw) < 1e-9);
            }
            QVERIFY(ids.contains(PieceId{f.id, 1, count}.text()));
            for (int k = 2; k <= count; ++k) QVERIFY(ids.contains(PieceId{f.id, k - 1, k, true}.text()));
        }
        for (const char* bad : {"form:x", "form:x/", "form:x/0-2", "form:x/3-2", "form:x/1~3", "form:x/1-2/n", "form:x/1-2-3", "walk/1-2",
                                "form:x/99999999999-2"})
            QVERIFY2(!PieceId::read(bad), bad);
    }
    /// Nobody says what is in a clip: every movement is looked for at once, and the form is told from what was found.
    void free_practice_is_searched_for_movements_and_forms_data() {
        QTest::addColumn<int>("index");
        for (std::size_t k = 0; k < forms_.size(); ++k) QTest::newRow(forms_[k].id.c_str()) << static_cast<int>(k);
    }
    void free_practice_is_searched_for_movements_and_forms() {
        QFETCH(int, index);
        const LinkedForm& f = forms_[static_cast<std::size_t>(index)];
        sim::StudentOptions o;
        o.seed = 21;
        o.stature_m = 1.63;
        o.tempo = 1.1;
        const auto course = link(f, movements_);
        const Track track = performed(*course, o);
        ReviewOptions options;
        options.stature_m = o.stature_m;
        QElapsedTimer t;
        t.start();
        const auto parts = suggest_parts(track, movements_, options);
        const auto ms = t.elapsed();
        // What was found in time: the middle of each part is in a stretch of its movement.
        const sim::Student student(course->score(), o);
        int right = 0;
        for (std::size_t k = 0; k < course->parts.size(); ++k) {
            double from = -1, to = 0;
            for (const auto& key : course->keys)
                if (key.repetition == static_cast<int>(k)) {
                    if (from < 0) from = key.time;
                    to = key.time;
                }
            const double at = student.time_of(0.4 * from + 0.6 * to);
            const std::string& is = f.parts[course->parts[k].entry].movement;
            right += std::any_of(parts.begin(), parts.end(),
                                 [&](const PartGuess& p) { return p.movement == is && p.from_s <= at && at <= p.to_s; })
                         ? 1
                         : 0;
        }
        const auto guess = guess_form(parts, forms_);
        qInfo("%s: %d of %d parts found, form %s %.2f, %lld ms of %.0f s", f.id.c_str(), right, static_cast<int>(course->parts.size()),
              guess.empty() ? "none" : guess.front().form.c_str(), guess.empty() ? 0.0 : guess.front().score, ms, track.time_s.back());
        // A form of one movement alone is that movement; one done in a graded version is not searched for.
        std::set<std::string> kinds;
        bool versions = false;
        for (const auto& p : f.parts) kinds.insert(p.movement), versions = versions || !p.version.empty();
        if (kinds.size() < 2 || versions) {
            QVERIFY(guess.empty() || guess.front().form == f.id || guess.front().score < 0.5);
            return;
        }
        QVERIFY(!guess.empty());
        QCOMPARE(guess.front().form, f.id);
        QVERIFY(guess.front().score > 0.6 && (guess.size() < 2 || guess[1].score < guess.front().score - 0.1));
        QVERIFY2(right >= 0.75 * static_cast<double>(course->parts.size()), qPrintable(QString::number(right)));
    }

    void repetitions_become_entries() {
        const auto& a = movements_[0];
        const auto& b = movements_[1];
        const auto row = [](const Movement& m, std::optional<Side> s) { return RepetitionGuess{&m, s, 0, 1, 0}; };
        const Side l = Side::left, r = Side::right;
        const auto parts = [&](std::vector<RepetitionGuess> all) { return parts_from(all); };
        QVERIFY(parts({}).empty());
        auto p = parts({row(a, l), row(a, l), row(a, l)}); // one side
        QVERIFY(p.size() == 1 && p[0].repeats == 3 && !p[0].alternate && p[0].side == l);
        p = parts({row(a, r), row(a, l), row(a, r), row(b, l)}); // sides in turns
        QVERIFY(p.size() == 2 && p[0].repeats == 3 && p[0].alternate && p[0].side == r && p[1].movement == b.id);
        p = parts({row(a, l), row(a, l), row(a, r), row(a, r)}); // two on each side are two entries
        QVERIFY(p.size() == 2 && p[0].repeats == 2 && !p[0].alternate && p[1].repeats == 2 && p[1].side == r);
        p = parts({row(a, std::nullopt), row(a, std::nullopt)}); // both look alike
        QVERIFY(p.size() == 1 && p[0].repeats == 2 && !p[0].alternate);
        p = parts({row(a, l), row(b, r), row(a, l)});
        QCOMPARE(p.size(), std::size_t{3});
    }
    /// From points of somebody doing a form, the form: its movements in their order, and one can do what was learned.
    void a_form_is_learned_from_a_clip_of_it_data() {
        QTest::addColumn<QString>("id");
        for (const char* id : {"follow_step_six", "turn_with_strike_and_push"}) QTest::newRow(id) << QString::fromLatin1(id);
    }
    void a_form_is_learned_from_a_clip_of_it() {
        QFETCH(QString, id);
        const auto f = std::find_if(forms_.begin(), forms_.end(), [&](const LinkedForm& x) { return QString::fromStdString(x.id) == id; });
        QVERIFY(f != forms_.end());
        sim::StudentOptions o;
        o.seed = 8;
        o.stature_m = 1.71;
        ReviewOptions options;
        options.stature_m = o.stature_m;
        LinkedForm learned;
        learned.id = "learned", learned.name = "Learned";
        learned.parts = parts_from(performed(*link(*f, movements_), o), movements_, options);
        QVERIFY(!learned.parts.empty());
        const auto said_order = [&](const LinkedForm& x) {
            std::vector<std::string> out;
            for (const auto& p : x.parts)
                for (int k = 0; k < p.repeats; ++k)
                    if (out.empty() || out.back() != p.movement) out.push_back(p.movement);
            return out;
        };
        // Longest common run of movements, in order.
        const auto a = said_order(*f), b = said_order(learned);
        std::vector<std::vector<int>> common(a.size() + 1, std::vector<int>(b.size() + 1, 0));
        for (std::size_t i = 0; i < a.size(); ++i)
            for (std::size_t k = 0; k < b.size(); ++k)
                common[i + 1][k + 1] = a[i] == b[k] ? common[i][k] + 1 : std::max(common[i][k + 1], common[i + 1][k]);
        QStringList words;
        for (const auto& m : b) words << QString::fromStdString(m);
        QVERIFY2(common[a.size()][b.size()] >= 0.7 * static_cast<double>(a.size()) && b.size() <= a.size() + 2,
                 qPrintable(words.join(QLatin1Char(' '))));
        const auto course = link(learned, movements_);
        QVERIFY2(course.has_value(), course ? "" : course.error().context.c_str());
        const auto again = parse_form(form_json(learned)); // as it is kept
        QVERIFY(again && again->parts == learned.parts);
    }

    void a_form_is_known_by_what_its_parts_ask_and_train() {
        for (const auto& f : forms_) {
            const auto face = face_of(f, movements_);
            QVERIFY(face && face->id == "form:" + f.id);
            for (const auto& p : f.parts) {
                const auto m = std::find_if(movements_.begin(), movements_.end(), [&](const Movement& x) { return x.id == p.movement; });
                for (const auto& t : m->trains)
                    QVERIFY2(std::find(face->trains.begin(), face->trains.end(), t) != face->trains.end(), (f.id + t).c_str());
                const Asks asks = asks_of(*m, p.version);
                QVERIFY(face->asks.knees >= asks.knees && face->asks.balance >= asks.balance);
            }
        }
    }

    void every_form_links_to_one_course_that_a_body_can_do_data() {
        QTest::addColumn<int>("index");
        for (std::size_t i = 0; i < forms_.size(); ++i) QTest::newRow(forms_[i].id.c_str()) << static_cast<int>(i);
    }
    void every_form_links_to_one_course_that_a_body_can_do() {
        QFETCH(int, index);
        const auto course = link(forms_[static_cast<std::size_t>(index)], movements_);
        QVERIFY2(course.has_value(), course ? "" : course.error().context.c_str());
        const Score score = course->score();
        const Solver solver(BodyDims::of_stature(1.70), course->stand);
        const double dt = 1.0 / 60;
        double fastest = 0, slid = 0, highest_step = 0;
        QString where_fast, where_slid, where_out;
        int out = 0, frames = 0;
        std::optional<Pose> before;
        std::array<Contact, 2> contact_before{};
        for (double t = 0; t <= score.duration(); t += dt, ++frames) {
            const Channels c = score.at(t);
            const Pose pose = pose_of(score, solver, t);
            const auto& key = score.keys()[score.stretch_at(t)];
            const QString where =
                QString::fromStdString(key.phase < 0 ? "quiet" : course->whole.phases[static_cast<std::size_t>(key.phase)].id) +
                QStringLiteral(" %1 s").arg(t);
            for (const auto& p : pose.points)
                QVERIFY2(std::isfinite(p.x()) && std::isfinite(p.y()) && std::isfinite(p.z()), qPrintable(where));
            if (before) {
                for (std::size_t p = 0; p < point_count; ++p) {
                    const double v = (pose.points[p] - before->points[p]).norm() / dt;
                    if (v > fastest) fastest = v, where_fast = where + QStringLiteral(" point %1").arg(p);
                }
                for (const Side s : {Side::left, Side::right}) {
                    const auto k = static_cast<std::size_t>(s);
                    if (c.foot[k].contact != contact_before[k] || c.foot[k].contact == Contact::off) continue;
                    const Point at = c.foot[k].contact == Contact::toe ? left_toe : left_heel;
                    Vec3 d = pose.points[static_cast<std::size_t>(on(s, at))] - before->points[static_cast<std::size_t>(on(s, at))];
                    d.y() = 0;
                    const bool turning = c.foot[k].contact == Contact::flat && d.norm() > 0 &&
                                         key.posture.left_foot.ball_turn + key.posture.right_foot.ball_turn != 0;
                    if (!turning && d.norm() > slid) slid = d.norm(), where_slid = where;
                }
            }
            // The body's centre over the feet, as far as it moves slowly: within the feet and 6 cm about them.
            const Vec3 centre = body_centre(pose.points, SegmentTable::of(Sex::mean));
            double least = 1e9;
            const Vec3 feet[4] = {pose.points[left_heel], pose.points[left_toe], pose.points[right_heel], pose.points[right_toe]};
            for (double w = 0; w <= 1.001; w += 0.05)
                for (double l = 0; l <= 1.001; l += 0.25)
                    for (double r = 0; r <= 1.001; r += 0.25) {
                        const Vec3 a = feet[0] + l * (feet[1] - feet[0]), b = feet[2] + r * (feet[3] - feet[2]);
                        least =
                            std::min(least, std::hypot(a.x() + w * (b.x() - a.x()) - centre.x(), a.z() + w * (b.z() - a.z()) - centre.z()));
                    }
            if (least > 0.08 && c.seat < 0.5) ++out, where_out = where;
            highest_step = std::max(highest_step, least);
            before = pose;
            contact_before = {c.foot[0].contact, c.foot[1].contact};
        }
        qInfo("%s: %.0f s, %zu parts, fastest %.2f m/s (%s), slid %.2f mm (%s), off the feet %d of %d (%s)", course->whole.id.c_str(),
              score.duration(), course->parts.size(), fastest, qPrintable(where_fast), slid * 1000, qPrintable(where_slid), out, frames,
              qPrintable(where_out));
        QVERIFY2(fastest < 3.2, qPrintable(where_fast));
        QVERIFY2(slid < 0.002, qPrintable(where_slid));
        QVERIFY2(out * 50 < frames, qPrintable(where_out));
        for (const auto& part : course->parts) {
            QVERIFY(!part.movement->checks.empty());
            // What any part warns of and asks, the whole does.
            for (const auto& c : part.movement->cautions)
                QVERIFY2(std::find(course->whole.cautions.begin(), course->whole.cautions.end(), c) != course->whole.cautions.end(),
                         c.c_str());
            for (const auto& a : Asks::parts()) QVERIFY2(course->whole.asks.*a.value >= part.movement->asks.*a.value, a.name);
        }
    }

    /// Where each go begins, from the numbers of the parts alone.
    void goes_are_counted_from_the_order_of_the_parts() {
        using Parts = std::vector<std::size_t>;
        const auto begins = [](const Parts& done) { return goes_of(done); };
        QCOMPARE(begins({}), Parts{});
        QCOMPARE(begins({0, 1, 2, 3}), Parts{0});
        QCOMPARE(begins({0, 1, 0, 1, 2, 3}), (Parts{0, 2}));                      // begun again after two
        QCOMPARE(begins({0, 1, 2, 3, 0, 1, 2, 3, 0, 1, 2, 3}), (Parts{0, 4, 8})); // three times through
        QCOMPARE(begins({0, 1, 2, 2, 3, 4}), Parts{0});                           // one part twice
        QCOMPARE(begins({0, 1, 3, 4, 2, 5, 6}), Parts{0});                        // swapped
        QCOMPARE(begins({0, 1, 4, 5, 2, 3, 6, 7}), Parts{0});                     // two swapped with two: nothing is done again
        QCOMPARE(begins({2, 3, 4, 2, 3, 4, 5}), (Parts{0, 3}));                   // from the middle, twice
        const auto on = in_order({0, 1, 3, 2, 4});
        QCOMPARE(std::count(on.begin(), on.end(), true), 4);
        QVERIFY(in_order({}).empty());
        // Whatever comes: goes begin at the first part, in order of time, and each is at least one part.
        std::uint64_t x = 5;
        for (int round = 0; round < 300; ++round) {
            Parts done(1 + round % 14);
            for (auto& p : done) x = x * 6364136223846793005ULL + 1442695040888963407ULL, p = (x >> 33) % 7;
            const auto all = begins(done);
            QVERIFY(!all.empty() && all.front() == 0 && all.back() < done.size());
            for (std::size_t k = 1; k < all.size(); ++k) QVERIFY(all[k] > all[k - 1]);
        }
    }
    /// Who begins again, or goes through twice, has left nothing out and done nothing out of order.
    void a_form_begun_again_is_two_goes() {
        const LinkedForm& f = form("follow_step_six");
        sim::StudentOptions o;
        o.seed = 4;
        for (const std::size_t first : {std::size_t(2), std::size_t(4), f.parts.size()}) {
            LinkedForm twice = f;
            twice.parts.resize(first);
            twice.parts.insert(twice.parts.end(), f.parts.begin(), f.parts.end());
            const auto course = link(twice, movements_);
            QVERIFY(course.has_value());
            const auto r = reviewed(performed(*course, o), f);
            QVERIFY(r.has_value());
            QCOMPARE((*r)->goes, 2);
            std::array<std::vector<std::size_t>, 2> gone;
            for (const auto& p : (*r)->parts) {
                QVERIFY2(!p.again && !p.out_of_order && p.how == PartSeen::How::done, qPrintable(told_of(**r)));
                gone[static_cast<std::size_t>(p.go)].push_back(p.part);
            }
            QCOMPARE(gone[1].size(), f.parts.size());
            QCOMPARE(gone[0].size(), first);
            for (const auto& go : gone)
                for (std::size_t k = 0; k < go.size(); ++k) QCOMPARE(go[k], k);
            const auto j = nlohmann::json::parse(form_review_json(**r, "clip.mp4"));
            QCOMPARE(j["parts"].back()["go"], 2);
        }
        // Once through is one go, and a part done twice is no new one.
        const auto once = reviewed(performed(*link(f, movements_), o), f);
        QVERIFY(once && (*once)->goes == 1);
        QVERIFY(!nlohmann::json::parse(form_review_json(**once, "clip.mp4"))["parts"].front().contains("go"));
    }

    void what_is_left_out_done_twice_or_swapped_is_said() {
        const LinkedForm& f = form("follow_step_six");
        const LinkedForm& steps = form("turn_with_strike_and_push");
        sim::StudentOptions o;
        o.seed = 9;
        LinkedForm less = f;
        less.parts.erase(less.parts.begin() + 3);
        auto r = reviewed(performed(*link(less, movements_), o), f);
        QVERIFY(r.has_value());
        QCOMPARE(of(**r, PartSeen::How::missing), std::vector<std::size_t>{4});
        LinkedForm more = steps;
        more.parts.insert(more.parts.begin() + 5, more.parts[4]);
        more.parts[5].turn = 0;
        r = reviewed(performed(*link(more, movements_), o), steps);
        QVERIFY(r.has_value());
        QCOMPARE(std::count_if((*r)->parts.begin(), (*r)->parts.end(), [](const PartSeen& p) { return p.again && p.part == 4; }), 1);
        QVERIFY(of(**r, PartSeen::How::missing).empty());
        LinkedForm other = form("class_flow_of_fifteen");
        std::swap(other.parts[7], other.parts[8]);
        r = reviewed(performed(*link(other, movements_), o), form("class_flow_of_fifteen"));
        QVERIFY(r.has_value());
        QVERIFY(std::any_of((*r)->parts.begin(), (*r)->parts.end(), [](const PartSeen& p) { return p.out_of_order; }));
    }
    void what_nobody_saw_is_never_missing() {
        const LinkedForm& f = form("follow_step_six");
        const auto course = link(f, movements_);
        sim::StudentOptions o;
        o.seed = 4;
        const auto whole = performed(*course, o);
        const auto seen = reviewed(whole, f);
        QVERIFY(seen.has_value());
        for (std::size_t part = 0; part < course->parts.size(); ++part) {
            Track t = whole;
            for (std::size_t i = 0; i < t.frames(); ++i)
                if (t.time_s[i] > (*seen)->parts[part].from_s + 0.3 && t.time_s[i] < (*seen)->parts[part].to_s - 0.3) t.m[i].reset();
            const auto r = reviewed(t, f);
            QVERIFY(r.has_value());
            const QString all = told_of(**r);
            QVERIFY2(of(**r, PartSeen::How::missing).empty(), qPrintable(QString::number(part + 1) + all));
            QVERIFY2(of(**r, PartSeen::How::unlike).empty(), qPrintable(QString::number(part + 1) + all));
            const auto hidden = of(**r, PartSeen::How::not_seen);
            QVERIFY(std::find(hidden.begin(), hidden.end(), part + 1) != hidden.end());
        }
        // A clip that begins and ends on the way.
        Track cut;
        for (std::size_t i = 0; i < whole.frames(); ++i)
            if (whole.time_s[i] > (*seen)->parts[1].from_s + 4 && whole.time_s[i] < (*seen)->parts[4].from_s + 3) {
                cut.time_s.push_back(whole.time_s[i]);
                cut.m.push_back(whole.m[i]);
                cut.px.emplace_back();
            }
        const auto r = reviewed(cut, f);
        QVERIFY(r.has_value());
        QVERIFY2(of(**r, PartSeen::How::missing).empty(), qPrintable(told_of(**r)));
        QVERIFY(!of(**r, PartSeen::How::done).empty());
    }
    /// One camera sees the parts of a form that turns from several sides: each is known again, measured and judged from its own.
    void one_camera_sees_each_part_from_its_own_side() {
        const std::array<View, 4> round{View::front, View::left, View::back, View::right}; // a quarter turn to own right each
        int parts = 0, told = 0, safety = 0, ground = 0;
        for (const char* id : {"walk_turn_walk_back", "turn_with_strike_and_push", "twelve_at_the_quay", "staff_close_with_a_turn"})
            for (const View view : {View::front, View::left, View::back}) {
                const LinkedForm& f = form(id);
                const auto course = link(f, movements_);
                sim::StudentOptions student;
                student.seed = 3;
                const Track track = filmed(*course, view, student);
                for (const auto& frame : track.px)
                    for (const auto& p : *frame) QVERIFY(p.x > 0 && p.x < track.width && p.y > 0 && p.y < track.height);
                const auto r = seen(track, f, view);
                QVERIFY2(r.has_value(), id);
                QVERIFY2(of(**r, PartSeen::How::done).size() == course->parts.size(), qPrintable(QString("%1").arg(id) + told_of(**r)));
                const auto start = static_cast<std::size_t>(std::find(round.begin(), round.end(), view) - round.begin());
                for (const auto& p : (*r)->parts) {
                    ++parts;
                    const double yaw = course->parts[p.part].frame.yaw - course->parts.front().frame.yaw;
                    const auto quarters = static_cast<int>(std::lround(yaw / 90));
                    QVERIFY(p.view);
                    // Who turns a quarter to own left shows the side that was before it in this round.
                    if (std::abs(std::remainder(yaw, 90)) < 10 && *p.view != View::oblique)
                        QCOMPARE(*p.view, round[static_cast<std::size_t>(static_cast<int>(start) - quarters + 8) % 4]);
                    for (const auto k : p.findings) {
                        const Finding& x = (*r)->review->findings[k];
                        QVERIFY(x.measure != "step.facing" || x.verdict == Verdict::cannot_tell); // taken from the form
                        told += x.verdict != Verdict::cannot_tell;
                        safety += x.verdict == Verdict::outside && x.severity == Severity::safety;
                        ground += x.verdict == Verdict::outside && x.severity == Severity::ground;
                    }
                }
                // Not one is missing where half of it lies outside of the clip.
                Track half = track;
                const auto n = half.time_s.size() / 2;
                half.time_s.resize(n), half.px.resize(n), half.m.resize(n);
                if (const auto cut = seen(half, f, view)) QVERIFY2(of(**cut, PartSeen::How::missing).empty(), qPrintable(told_of(**cut)));
            }
        qInfo("%d parts, %d figures told, %d and %d false ones of safety and of the ground", parts, told, safety, ground);
        QCOMPARE(safety, 0);
        QVERIFY(told > 8 * parts && 50 * ground <= parts);
    }
    /// Which of the forms that turn a film shows is told though most of its parts are seen from elsewhere than its beginning.
    void a_turning_form_is_known_from_one_camera() {
        for (const auto& [id, view] : {std::pair{"turn_with_strike_and_push", View::front},
                                       {"walk_turn_walk_back", View::left},
                                       {"twelve_at_the_quay", View::back}}) {
            sim::StudentOptions student;
            student.seed = 8;
            ReviewOptions options;
            options.stature_m = 1.70;
            const Track track = filmed(*link(form(id), movements_), view, student);
            QElapsedTimer clock;
            clock.start();
            const auto guess = guess_turning_form(track, movements_, forms_, options);
            QVERIFY(guess.has_value());
            qInfo("%s: %s %.2f, %lld ms", id, guess->form.c_str(), guess->score, static_cast<long long>(clock.elapsed()));
            QCOMPARE(guess->form, std::string(id));
            QVERIFY(guess->score > 0.5);
        }
        // A form that stays where it faces, and points in metres, are no business of it.
        sim::StudentOptions student;
        student.seed = 8;
        const auto steps = link(form("side_steps"), movements_);
        const auto other = guess_turning_form(filmed(*steps, View::front, student), movements_, forms_, {});
        QVERIFY2(!other || other->score < 0.5, other ? qPrintable(QString("%1 %2").arg(other->form.c_str()).arg(other->score)) : "");
        QVERIFY(!guess_turning_form(performed(*steps, student), movements_, forms_, {}));
    }
    /// From where the camera stands is told when nobody said it.
    void the_side_a_form_is_seen_from_is_told() {
        const LinkedForm& f = form("twelve_at_the_quay");
        const auto course = link(f, movements_);
        for (const View view : {View::front, View::right}) {
            const auto r = seen(filmed(*course, view, {}), f, std::nullopt);
            QVERIFY(r.has_value());
            QVERIFY2(of(**r, PartSeen::How::done).size() >= course->parts.size() - 1, qPrintable(told_of(**r)));
            QCOMPARE((*r)->parts.front().view, std::optional(view));
        }
    }
    /// A fault in the parts that are turned to the side is told there, from the same camera that cannot see it in the others.
    void a_fault_is_told_where_its_part_turns_it_to_the_camera() {
        LinkedForm f;
        f.id = "a_quarter_round", f.name = "A Quarter Round", f.kind = "tai_chi";
        f.parts = {{.movement = "opening_rise_and_sink"},
                   {.movement = "push_and_sit_back"},
                   {.movement = "push_and_sit_back", .side = Side::right, .turn = 90},
                   {.movement = "opening_rise_and_sink"}};
        const auto course = link(f, movements_);
        QVERIFY2(course.has_value(), course ? "" : course.error().context.c_str());
        const std::size_t parts = course->parts.size();
        sim::StudentOptions student;
        student.seed = 5;
        student.faults = {{sim::Fault::head_forward, 10, std::nullopt}};
        const auto r = seen(filmed(*course, View::front, student), f, View::front);
        QVERIFY(r.has_value());
        QVERIFY2(of(**r, PartSeen::How::done).size() == parts, qPrintable(told_of(**r)));
        std::set<View> views;
        for (const auto& p : (*r)->parts) {
            views.insert(*p.view);
            bool could_tell = false;
            for (const auto k : p.findings) {
                const Finding& x = (*r)->review->findings[k];
                could_tell = could_tell || (x.measure == "trunk.lean" && x.verdict != Verdict::cannot_tell);
            }
            QCOMPARE(could_tell, *p.view == View::right);
        }
        QCOMPARE(views, (std::set<View>{View::front, View::right}));
        // Measures of a part are those of its own view, in the whole too.
        const auto& lean = (*r)->review->measures.series.at("trunk.lean").samples;
        for (const auto& p : (*r)->parts) {
            int known = 0, all = 0;
            for (std::size_t i = 0; i < lean.size(); ++i) {
                const double t = (*r)->review->measures.time_s[i];
                if (t < p.from_s + 0.7 * (p.to_s - p.from_s) || t > p.to_s - 0.1) continue;
                ++all, known += lean[i].present();
            }
            QVERIFY(all > 10 && (*p.view == View::right ? known == all : known == 0));
        }
    }
    void a_fault_is_told_in_its_part_and_counted_over_all() {
        const LinkedForm& f = form("turn_with_strike_and_push");
        const auto course = link(f, movements_);
        sim::StudentOptions o;
        o.seed = 3;
        o.faults = {{sim::Fault::head_forward, 9, std::nullopt}};
        for (const std::vector<int>& in : {std::vector<int>{2}, {1, 3, 4}}) {
            const auto r = reviewed(performed(*course, o, in), f);
            QVERIFY(r.has_value());
            const auto remark = std::find_if((*r)->remarks.begin(), (*r)->remarks.end(),
                                             [&](const FormRemark& m) { return (*r)->leading(m).measure == "head.offset"; });
            QVERIFY(remark != (*r)->remarks.end());
            QCOMPARE(remark->parts, static_cast<int>(in.size()));
            QVERIFY(remark->told >= remark->parts);
            for (const auto k : remark->findings) {
                const int part = std::stoi((*r)->review->findings[k].part) - 1;
                QVERIFY(std::find(in.begin(), in.end(), part) != in.end());
            }
            const auto j = nlohmann::json::parse(form_review_json(**r, "clip.mp4"));
            QCOMPARE(j["parts"].size(), course->parts.size());
            QVERIFY(!j["remarks"].empty());
        }
    }

    void files_of_forms_are_read_strictly() {
        for (const auto& f : forms_) {
            const auto again = parse_form(form_json(f));
            QVERIFY(again.has_value());
            QCOMPARE(again->parts.size(), f.parts.size());
            QVERIFY(again->parts == f.parts);
        }
        const std::string good = R"({"id": "x", "name": "X", "parts": [{"movement": "walk_forward"}]})";
        QVERIFY(parse_form(good).has_value());
        const std::pair<const char*, const char*> bad[] = {
            {R"("name": "X")", R"("name": "")"},
            {R"("id": "x")", R"("id": "X y")"},
            {R"("movement": "walk_forward")", R"("movement": "")"},
            {R"("movement": "walk_forward")", R"("movement": 3)"},
            {R"("movement": "walk_forward")", R"("movement": "walk_forward", "side": "up")"},
            {R"("movement": "walk_forward")", R"("movement": "walk_forward", "repeats": 1.5)"},
            {R"("movement": "walk_forward")", R"("movement": "walk_forward", "repeats": 1e9)"},
            {R"("movement": "walk_forward")", R"("movement": "walk_forward", "turn": 1e300)"},
            {R"("movement": "walk_forward")", R"("movement": "walk_forward", "what": 1)"},
            {R"([{"movement": "walk_forward"}])", "[]"},
            {R"([{"movement": "walk_forward"}])", "{}"},
        };
        for (const auto& [from, to] : bad) {
            std::string text = good;
            text.replace(text.find(from), std::string(from).size(), to);
            QVERIFY2(!parse_form(text).has_value(), text.c_str());
        }
        for (std::size_t cut = 0; cut < good.size(); ++cut) QVERIFY(!parse_form(good.substr(0, cut)).has_value());
        LinkedForm f = *parse_form(good);
        f.parts[0].movement = "nobody_knows";
        QCOMPARE(link(f, movements_).error().code, Code::not_found);
        f = *parse_form(good);
        f.parts[0].until = "no_phase";
        QCOMPARE(link(f, movements_).error().code, Code::not_found);
        f = *parse_form(good);
        f.parts[0].version = "No such version";
        QCOMPARE(link(f, movements_).error().code, Code::not_found);
        f = *parse_form(good);
        f.parts[0].from = "shift";
        QCOMPARE(link(f, movements_).error().code, Code::bad_value);
    }
    void any_two_movements_can_be_joined_data() {
        QTest::addColumn<int>("index");
        for (std::size_t i = 0; i < movements_.size(); ++i) QTest::newRow(movements_[i].id.c_str()) << static_cast<int>(i);
    }
    /// Whatever an instructor puts one after another: every movement after every other, either side, turned or not.
    void any_two_movements_can_be_joined() {
        QFETCH(int, index);
        const Movement& a = movements_[static_cast<std::size_t>(index)];
        for (std::size_t k = 0; k < movements_.size(); ++k) {
            const Movement& b = movements_[k];
            const bool sits = a.home.seat > 0.5 || b.home.seat > 0.5, holds = a.tool.has_value() != b.tool.has_value();
            if (sits || holds) continue;
            LinkedForm f;
            f.id = "two", f.name = "Two";
            f.parts = {FormPart{}, FormPart{}};
            f.parts[0].movement = a.id, f.parts[1].movement = b.id;
            f.parts[1].side = k % 2 == 0 ? Side::right : Side::left;
            f.parts[1].turn = static_cast<double>(k % 5) * 60 - 120;
            const auto course = link(f, movements_);
            QVERIFY2(course.has_value(), (b.id + ": " + (course ? "" : course.error().context)).c_str());
            // Feet move over the floor only while they are off it.
            for (std::size_t i = 1; i < course->keys.size(); ++i) {
                const Posture from = seen_from(course->keys[i - 1].posture, course->keys[i - 1].frame, course->keys[i].frame);
                const Posture& to = course->keys[i].posture;
                for (const auto& [x, y] : {std::pair{from.left_foot, to.left_foot}, {from.right_foot, to.right_foot}}) {
                    if (x.contact == Contact::off || y.contact == Contact::off) continue;
                    QVERIFY2(std::hypot(x.x - y.x, x.z - y.z) < 1e-6, (b.id + " key " + std::to_string(i)).c_str());
                    QVERIFY2(std::abs(x.toe_out - y.toe_out) < 1e-6, (b.id + " key " + std::to_string(i)).c_str());
                }
                QVERIFY2(to.left_foot.contact != Contact::off || to.right_foot.contact != Contact::off, b.id.c_str());
            }
        }
    }

    void a_form_that_is_done_well_is_seen_whole_and_has_no_faults_data() { every_form_links_to_one_course_that_a_body_can_do_data(); }
    void a_form_that_is_done_well_is_seen_whole_and_has_no_faults() {
        QFETCH(int, index);
        const auto& f = forms_[static_cast<std::size_t>(index)];
        const auto course = link(f, movements_);
        QVERIFY(course.has_value());
        sim::StudentOptions o;
        o.seed = 5;
        const auto track = performed(*course, o);
        ReviewOptions options;
        options.stature_m = 1.70;
        QElapsedTimer timer;
        timer.start();
        const auto review = make_form_review(track, f, movements_, options);
        QVERIFY2(review.has_value(), review ? "" : review.error().context.c_str());
        const auto& r = **review;
        int done = 0, false_ones = 0;
        QStringList wrong;
        for (const auto& p : r.parts) {
            done += p.how == PartSeen::How::done && !p.again && !p.out_of_order;
            for (const auto k : p.findings)
                if (const auto& x = r.review->findings[k]; x.verdict == Verdict::outside)
                    ++false_ones, wrong << QStringLiteral("%1 %2 in %3: %4 (%5 to %6)")
                                               .arg(p.part + 1)
                                               .arg(QString::fromStdString(x.key()), QString::fromStdString(x.phase))
                                               .arg(x.value)
                                               .arg(x.low.value_or(-99))
                                               .arg(x.high.value_or(99));
        }
        qInfo("%s: %d of %zu parts in order, %d false (%s), %lld ms of %.0f s", f.id.c_str(), done, course->parts.size(), false_ones,
              qPrintable(wrong.join(QStringLiteral(", "))), timer.elapsed(), track.time_s.back());
        QCOMPARE(done, static_cast<int>(course->parts.size()));
        QCOMPARE(r.parts.size(), course->parts.size());
        QVERIFY2(wrong.isEmpty(), qPrintable(wrong.join(QStringLiteral(", "))));
    }
};

QTEST_GUILESS_MAIN(TestLinked)
#include "test_linked.moc"
