// What became of a figure: hand-computed changes, lines that break, and how seldom a change is said where there is none.
#include "core/review/trend.h"
#include "core/rng.h"
#include "store/library.h"
#include <cmath>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

namespace {

KeptFigure point(const char* day, double value, double own = 1, double clip = 1, const char* view = "front") {
    KeptFigure f;
    f.day = day, f.view = view, f.movement = "m", f.check = "lean", f.measure = "trunk.lean", f.unit = "deg";
    f.value = value, f.own = own, f.of_clip = clip, f.person = 3;
    f.high = 8, f.matters = 2, f.judged = 4;
    return f;
}

} // namespace

class TestTrend : public QObject {
    Q_OBJECT

private slots:
    void a_change_is_as_computed_by_hand() {
        // 18 ± (1, 1) and 9 ± (1, 1); a day's variance of 4: sigma = sqrt(4 + 8) = 3.4641; one figure: 1.95996 sigma = 6.7895.
        const auto c = change_between(point("2026-10-01", 18), point("2026-11-01", 9), 4, 1);
        QCOMPARE(c.value, -9.0);
        QVERIFY(std::abs(c.sigma - std::sqrt(12.0)) < 1e-9);
        QVERIFY2(std::abs(c.detectable - 6.7895) < 1e-3, qPrintable(QString::number(c.detectable, 'f', 6)));
        QVERIFY(c.turn == Turn::better);
        // Ten figures at once: 2.80703 sigma = 9.7239, which 9 does not reach.
        const auto many = change_between(point("2026-10-01", 18), point("2026-11-01", 9), 4, 10);
        QVERIFY2(std::abs(many.detectable - 9.7239) < 1e-3, qPrintable(QString::number(many.detectable, 'f', 6)));
        QVERIFY(many.turn == Turn::none);
        // The part of the error that stays with the person is not in it.
        auto a = point("2026-10-01", 18), b = point("2026-11-01", 9);
        a.person = b.person = 50;
        QVERIFY(change_between(a, b, 4, 1).turn == Turn::better);
        // Farther from the band is worse; within it nothing is said, however far.
        QVERIFY(change_between(point("2026-10-01", 9), point("2026-11-01", 18), 4, 1).turn == Turn::worse);
        QVERIFY(change_between(point("2026-10-01", -10), point("2026-11-01", 7), 4, 1).turn == Turn::none);
    }
    void below_a_band_is_as_bad_as_above_it() {
        auto a = point("2026-10-01", 10), b = point("2026-11-01", 30);
        for (auto* p : {&a, &b}) p->low = 40, p->high.reset();
        QVERIFY(change_between(a, b, 1, 1).turn == Turn::better);
        QVERIFY(change_between(b, a, 1, 1).turn == Turn::worse);
    }
    void another_view_or_band_begins_a_new_line() {
        std::vector<KeptFigure> all{point("2026-09-01", 18), point("2026-09-08", 17), point("2026-09-15", 12, 1, 1, "left"),
                                    point("2026-09-22", 15)};
        auto lines = lines_of(all);
        QCOMPARE(lines, (std::vector<std::vector<std::size_t>>{{0, 1, 3}, {2}})); // the same side goes on
        all.push_back(point("2026-09-29", 14));
        all.back().high = 12;
        lines = lines_of(all);
        QCOMPARE(lines.size(), std::size_t{3});
        QCOMPARE(lines.back(), (std::vector<std::size_t>{4}));
        const auto t = trends_of(all);
        QCOMPARE(t.size(), std::size_t{1});
        QVERIFY(!t[0].last); // the last clip stands alone
        // An easier way of the movement is another line: what it shows says nothing about the whole.
        std::vector<KeptFigure> easier{point("2026-09-01", 18), point("2026-09-08", 17), point("2026-09-15", 6), point("2026-09-22", 16)};
        easier[2].version = "Arms only";
        QCOMPARE(lines_of(easier), (std::vector<std::vector<std::size_t>>{{0, 1, 3}, {2}}));
    }
    void what_spreads_from_day_to_day_is_learned() {
        // Points that jump by 6 degrees about a level line: more than what matters (2), which is only a first guess.
        std::vector<KeptFigure> jumps, calm;
        for (int k = 0; k < 12; ++k) {
            const std::string day = "2026-0" + std::to_string(1 + k / 3) + "-0" + std::to_string(1 + 3 * (k % 3));
            jumps.push_back(point(day.c_str(), 20 + (k % 2 == 0 ? 6 : -6), 0.1, 0.1));
            calm.push_back(point(day.c_str(), 20, 0.1, 0.1));
        }
        const double much = day_variance(jumps), little = day_variance(calm);
        QVERIFY2(much > 20 && much < 45, qPrintable(QString::number(much)));
        QVERIFY2(little < 2 && little > 0.5, qPrintable(QString::number(little)));
        QVERIFY(std::abs(day_variance(std::vector<KeptFigure>{point("2026-01-01", 20)}) - 2.25) <
                1e-9); // three quarters of what matters, squared
    }
    void a_false_better_is_seldom_said() {
        // Nobody changes: twelve figures over two to six clips, each with its errors and its good and bad days. A letter tells a false
        // "better" when any of its figures does.
        Rng rng(7);
        int letters = 0, lying = 0, found = 0, real = 0;
        for (int person = 0; person < 1500; ++person) {
            std::vector<KeptFigure> all;
            const int clips = 2 + person % 5;
            const bool changes = person % 3 == 0; // one figure of these really does, by a lot
            for (int k = 0; k < 12; ++k) {
                const double level = 9 + 2 * rng.gauss(), day = 1 + 0.8 * rng.uniform(); // up to nearly what matters
                for (int c = 0; c < clips; ++c) {
                    auto p = point(("2026-0" + std::to_string(c + 1) + "-10").c_str(), 0, 0.8, 1.2);
                    p.check = "check" + std::to_string(k);
                    const double gone = changes && k == 0 && c + 1 == clips ? -14 : 0;
                    p.value = level + (k == 0 ? 14 : 0) + gone + 0.8 * rng.gauss() + 1.2 * rng.gauss() + day * rng.gauss();
                    all.push_back(p);
                }
            }
            ++letters;
            bool lie = false;
            for (const auto& t : trends_of(all)) {
                const bool is_real = changes && t.points[0].check == "check0";
                const bool told = t.last && t.last->turn == Turn::better;
                lie |= told && !is_real;
                if (is_real) ++real, found += told ? 1 : 0;
            }
            lying += lie ? 1 : 0;
        }
        const double share = static_cast<double>(lying) / letters;
        qInfo("false better in %.2f %% of %d letters; a change of 14 found in %.0f %%", 100 * share, letters, 100.0 * found / real);
        QVERIFY2(share <= 0.025, qPrintable(QString::number(share)));
        QVERIFY2(found > 0.8 * real, qPrintable(QStringLiteral("%1 of %2").arg(found).arg(real)));
    }
    void figures_facts_and_the_state_of_a_day_are_kept() {
        QTemporaryDir dir;
        const std::filesystem::path folder = dir.filePath(QStringLiteral("library")).toStdString();
        std::int64_t person = 0, clip = 0;
        {
            auto lib = *Library::open(folder);
            person = *lib.people().add({0, "Odile Farrow", 1.64, ""});
            Clip c;
            c.person = person, c.movement = "m", c.filmed_on = "2026-10-01", c.state = ClipState::reviewed;
            const auto film = std::filesystem::path(dir.filePath(QStringLiteral("a.mp4")).toStdString());
            QFile f(QString::fromStdString(film.string()));
            QVERIFY(f.open(QIODevice::WriteOnly) && f.write("not a film") > 0);
            f.close();
            clip = *lib.clips().add(c, film);
            QVERIFY(lib.clips().set_state(clip, ClipState::reviewed, ""));
            QCOMPARE(lib.records().without_figures(person)->size(), std::size_t{1});
            QVERIFY(lib.records().keep_figures(clip, {point("", 18), point("", 18)})); // the same one twice is one
            QVERIFY(lib.records().without_figures(person)->empty());
            // Figures stand for what they were made from: said to be of another movement, or of a person of another height, they go.
            Clip other = *lib.clips().get(clip);
            QVERIFY(lib.clips().set_facts(other));
            QVERIFY(lib.records().figures(person)->empty() && lib.records().without_figures(person)->size() == 1);
            QVERIFY(lib.records().keep_figures(clip, {point("", 18)}));
            QVERIFY(lib.people().set_height(person, "2026-09-01", 1.60));
            QVERIFY(lib.records().figures(person)->empty());
            QVERIFY(lib.records().keep_figures(clip, {point("", 18)}));
            QVERIFY(lib.people().set_facts(person, {"O.",
                                                    "walk without looking down",
                                                    "2026-09-01, at home",
                                                    {{Purpose::kept, "2026-09-01", ""}},
                                                    "de",
                                                    "",
                                                    "cm",
                                                    4,
                                                    {{"m", "Arms only", "p2"}}}));
            QVERIFY(lib.records().set_condition(clip, {"left knee", 4}));
            QVERIFY(!lib.records().set_condition(clip, {"", 11}));
        }
        auto lib = *Library::open(folder);
        const auto figures = *lib.records().figures(person);
        QCOMPARE(figures.size(), std::size_t{1});
        QVERIFY(figures[0].value == 18 && figures[0].day == "2026-10-01" && *figures[0].high == 8 && !figures[0].low);
        const auto facts = *lib.people().facts(person);
        QVERIFY(facts.goals == "walk without looking down" && facts.taught.size() == 1 && facts.taught[0].up_to == "p2");
        QVERIFY(facts.lengths == "cm" && facts.balance_step == 4);
        const auto state = *lib.records().condition(clip);
        QVERIFY(state.pain == "left knee" && state.energy == 4);
        QVERIFY(!lib.records().condition(clip + 1)->energy);
        QCOMPARE(lib.records().lines(person)->size(), std::size_t{2}); // the clip, and how it went that day
        // Erasing takes all of it.
        QVERIFY(lib.people().erase(person).has_value());
        QVERIFY(lib.records().figures(person)->empty() && lib.records().lines(person)->empty());
        QFile f(QString::fromStdString((folder / "library.sqlite").string()));
        QVERIFY(f.open(QIODevice::ReadOnly));
        QVERIFY(!f.readAll().contains("looking down"));
    }
};
QTEST_GUILESS_MAIN(TestTrend)
#include "test_trend.moc"
