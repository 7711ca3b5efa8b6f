// A fixed sample of clips unlike the practice room's: from points, and through the picture on figures of a family that nothing was fitted
// on. The long grids are `./run accuracy`.
#include "core/review/points_csv.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/odd.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include <algorithm>
#include <cmath>
#include <QTest>

using namespace bevel;

class TestOdd : public QObject {
    Q_OBJECT

    static double mean(const std::vector<test::Error>& e) {
        double sum = 0;
        for (const auto& x : e) sum += x.error;
        return e.empty() ? NAN : sum / static_cast<double>(e.size());
    }

private slots:
    void stated_errors_hold_on_odd_takes() {
        std::map<std::string, std::vector<test::Error>> all;
        QStringList refused;
        for (std::uint64_t k = 0; k < 100; ++k) {
            std::string why;
            if (!test::odd_errors(k, all, why)) refused << QString::fromStdString(why);
        }
        QVERIFY2(refused.size() <= 3, qPrintable(refused.join(QLatin1Char('\n'))));
        for (const auto& [id, e] : all) {
            if (e.size() < 15) continue;
            // Of n values within 1.64 sigma nine in ten are expected; three binomial sigma below that is not chance. docs/accuracy.md has
            // the figures that fall short of it by up to a tenth on the long grid.
            const double n = static_cast<double>(e.size()), least = 0.80 - 3 * std::sqrt(0.9 * 0.1 / n);
            QVERIFY2(
                test::covered(e, 1.64) >= least,
                qPrintable(
                    QStringLiteral("%1: %2 of %3 within 1.64 sigma").arg(QString::fromStdString(id)).arg(test::covered(e, 1.64)).arg(n)));
        }
    }
    void odd_takes_through_the_picture_are_measured() {
        std::map<std::string, std::vector<test::Error>> means, one;
        QStringList refused;
        for (int k = 0; k < test::picture_takes; ++k) {
            const auto bytes = read_text(
                std::filesystem::path(BEVEL_SOURCE_DIR) / "tests/data/odd" / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
            QVERIFY(bytes.has_value());
            const auto raw = unpack_track(*bytes);
            QVERIFY(raw.has_value());
            QCOMPARE(raw->model, std::string("full"));
            std::string why;
            if (!test::picture_errors(k, *raw, means, one, why)) refused << QString::fromStdString(why);
        }
        QVERIFY2(refused.isEmpty(), qPrintable(refused.join(QLatin1Char('\n'))));
        const std::vector<std::pair<const char*, double>> allowed{{"knee.flexion near, quiet stand", 4},
                                                                  {"knee.flexion near, none", 7},
                                                                  {"trunk.lean", 2},
                                                                  {"head.offset", 2},
                                                                  {"trunk.side", 2},
                                                                  {"knee.inward", 5}};
        for (const auto& [id, most] : allowed) {
            QVERIFY2(means[id].size() >= 5, id);
            QVERIFY2(mean(means[id]) <= most,
                     qPrintable(QStringLiteral("%1: %2, allowed %3").arg(QLatin1String(id)).arg(mean(means[id])).arg(most)));
        }
    }
    void hurried_and_halting_shifts_are_timed_as_they_are() {
        // The commonest fault must never be told to go the other way: the quicker the shift, the shorter the figure.
        for (const View view : {View::three_d, View::front})
            for (const std::uint64_t seed : {12U, 15U, 18U}) {
                double last = 1e9;
                for (const double hurry : {0.0, 0.3, 0.5, 0.7}) {
                    auto o = sim::take_of(seed, 1.62);
                    o.student.score.repetitions = 1;
                    o.student.tempo_spread = 0;
                    if (hurry > 0) o.student.faults = {{sim::Fault::hurried_shift, hurry, std::nullopt}};
                    const sim::Take take(test::movement("gaze_at_the_moon"), o);
                    const auto truth = test::shift_truth(take, 0.3);
                    QVERIFY(truth.size() >= 2);
                    MotionOptions mo;
                    mo.view = view;
                    mo.stature_m = 1.62;
                    const Measures ms =
                        measure(*make_motion(view == View::three_d ? test::room_track(take) : test::pixel_track(take, 1.5, seed), mo));
                    const auto& t = truth.front();
                    const auto found = std::min_element(ms.shifts.begin(), ms.shifts.end(), [&](const Shift& a, const Shift& b) {
                        return std::abs(a.end_s - t.end_s) < std::abs(b.end_s - t.end_s);
                    });
                    QVERIFY(found != ms.shifts.end());
                    const double allowed = view == View::three_d ? 0.06 : 0.25 + 2.5 * found->sigma_s;
                    QVERIFY2(std::abs(found->duration() - (t.end_s - t.start_s)) < allowed,
                             qPrintable(QStringLiteral("seed %1 hurry %2: %3 for %4")
                                            .arg(seed)
                                            .arg(hurry)
                                            .arg(found->duration())
                                            .arg(t.end_s - t.start_s)));
                    if (view == View::three_d) QVERIFY(found->duration() < last);
                    last = found->duration();
                }
            }
        auto o = sim::take_of(21, 1.7);
        o.student.score.repetitions = 1;
        o.student.faults = {{sim::Fault::halting_shift, 1.4, std::nullopt}};
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        MotionOptions mo;
        mo.view = View::front;
        mo.stature_m = 1.7;
        const Measures ms = measure(*make_motion(test::pixel_track(take, 1.5, 4), mo));
        QVERIFY(std::any_of(ms.shifts.begin(), ms.shifts.end(),
                            [](const Shift& s) { return s.stop_s > 0.8 && s.stop_s > 3 * s.stop_sigma_s; }));
        QVERIFY(std::any_of(ms.events.begin(), ms.events.end(),
                            [](const Event& e) { return e.kind == EventKind::stop && e.part == Part::weight; }));
    }
    void odd_clips_are_reviewed_without_false_alarms() {
        int reviewed = 0, alarmed = 0;
        QStringList told;
        for (std::uint64_t k = 0; k < 48; ++k) {
            const auto v = test::odd_verdict(k, false);
            reviewed += v.reviewed ? 1 : 0;
            alarmed += v.false_findings.empty() ? 0 : 1;
            for (const auto& d : v.details) told << QStringLiteral("%1: %2").arg(k).arg(QString::fromStdString(d));
        }
        QVERIFY2(reviewed >= 46, qPrintable(QString::number(reviewed)));
        QVERIFY2(alarmed <= 1, qPrintable(told.join(QLatin1String(", "))));
    }
    void a_side_that_was_said_wrongly_is_seen_and_costs_nothing() {
        int wrong = 0, reviewed = 0, followed = 0, kept = 0, alarmed = 0;
        for (std::uint64_t k = 0; wrong < 24; ++k) {
            auto odd = test::odd_take(k);
            auto& s = odd.options.student;
            if (odd.metres || odd.mirrored || s.turn_deg != 0) continue;
            s.stand_knee.reset();
            s.stand_lean = s.stand_head = s.toe_out = 0;
            const sim::Take take(test::movement(odd.movement), odd.options);
            const Track track = test::odd_track(odd, take);
            auto o = test::odd_options(odd);
            const View v = odd.options.phone.view;
            o.view = v;
            const auto right = make_review(track, test::movement(odd.movement), o);
            o.view = v == View::front ? View::left : v == View::left ? View::back : v == View::back ? View::right : View::front;
            const auto said = make_review(track, test::movement(odd.movement), o);
            ++wrong;
            kept += right && !(*right)->motion.not_as_declared ? 1 : 0;
            if (!said) continue;
            ++reviewed;
            followed += (*said)->motion.not_as_declared ? 1 : 0;
            for (const auto& f : (*said)->findings)
                if (f.verdict == Verdict::outside && (f.severity == Severity::safety || f.severity == Severity::ground)) {
                    ++alarmed;
                    break;
                }
        }
        // Held to be filmed from the side that was said, one in fourteen was like its movement at all.
        QVERIFY2(reviewed >= 22, qPrintable(QString::number(reviewed)));
        QVERIFY2(followed >= 20, qPrintable(QString::number(followed)));
        QVERIFY2(kept >= 22,
                 qPrintable(QString::number(kept))); // what is said rightly is not doubted (two of these are refused either way)
        QVERIFY2(alarmed <= 2, qPrintable(QString::number(alarmed)));
    }
    void clear_faults_through_the_picture_are_told_in_the_right_words() {
        int found = 0, alarmed = 0;
        QStringList told;
        for (int k = 0; k < test::judged_takes; ++k) {
            const auto bytes = read_text(
                std::filesystem::path(BEVEL_SOURCE_DIR) / "tests/data/judged" / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
            const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
            QVERIFY(raw.has_value());
            const auto v = test::judged_verdict(k, *raw);
            QVERIFY2(v.reviewed, qPrintable(QString::number(k)));
            found += v.found ? 1 : 0;
            alarmed += v.false_findings.empty() ? 0 : 1;
            if (v.fault.empty() ? !v.false_findings.empty() : !v.found)
                for (const auto& d : v.details) told << QStringLiteral("%1: %2").arg(k).arg(QString::fromStdString(d));
        }
        QVERIFY2(found >= 22, qPrintable(QString::number(found) + QLatin1Char(' ') + told.join(QLatin1String("\n"))));
        // One is asked; docs/accuracy.md says which remain and why.
        QVERIFY2(alarmed <= 3, qPrintable(QString::number(alarmed) + QLatin1Char(' ') + told.join(QLatin1String("\n"))));
    }
};
QTEST_GUILESS_MAIN(TestOdd)
#include "test_odd.moc"
