// Linked forms: one continuous course that a body can do, each part known again and judged by itself, what is lacking told apart.
#include "core/form/form_review.h"
#include "core/sim/student.h"
#include "core/sim/take.h"
#include <cmath>
#include <QTest>

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
        for (const auto& part : course->parts) QVERIFY(!part.movement->checks.empty());
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
            for (const auto& x : p.findings)
                if (x.verdict == Verdict::outside)
                    ++false_ones, wrong << QStringLiteral("%1 %2 in %3: %4 (%5 to %6)").arg(p.part + 1).arg(QString::fromStdString(x.key()), QString::fromStdString(x.phase)).arg(x.value).arg(x.low.value_or(-99)).arg(x.high.value_or(99));
        }
        qInfo("%s: %d of %zu parts in order, %d false (%s), %lld ms of %.0f s", f.id.c_str(), done, course->parts.size(), false_ones,
              qPrintable(wrong.join(QStringLiteral(", "))), timer.elapsed(), track.time_s.back());
        QCOMPARE(done, static_cast<int>(course->parts.size()));
        QCOMPARE(r.parts.size(), course->parts.size());
    }
};

QTEST_GUILESS_MAIN(TestLinked)
#include "test_linked.moc"
