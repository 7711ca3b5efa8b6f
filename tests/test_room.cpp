// Two clips filmed at once in the real window: put together beside other work, shown in the room from any side, at the same moment of both.
#include "core/files.h"
#include "store/track_blob.h"
#include "support/window_bench.h"
#include "ui/jobs/jobs.h"
#include "ui/review/room_view.h"
#include "ui/text/text.h"
#include <QImage>
#include <QLabel>
#include <QSignalSpy>
#include <QToolButton>

using namespace bevel;
using test::Bench;

class TestRoom : public QObject {
    Q_OBJECT
    test::Copy copy_;

    std::filesystem::path fresh(const char* name) const {
        const std::filesystem::path to = copy_.dir.filePath(QLatin1String(name)).toStdString();
        std::filesystem::copy(copy_.demo, to, std::filesystem::copy_options::recursive);
        return to;
    }
    static std::int64_t paired_clip(Bench& b, const char* view) {
        const auto clips = b.session.library->clips().all();
        for (const auto& c : *clips)
            if (c.pair != 0 && c.view == view) return c.id;
        qFatal("no pair");
    }
    static ui::ReviewPage* open(Bench& b, std::int64_t clip) {
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(clip);
        if (!opened.wait(60000)) qFatal("not opened");
        return b.window->review();
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    void both_are_one_review_seen_from_any_side() {
        Bench b(fresh("sides"));
        auto* page = open(b, paired_clip(b, "front"));
        const auto& state = page->state();
        const auto how = state.open->at_once;
        QVERIFY(how.tried && how.together);
        QCOMPARE(how.view, View::front);
        QVERIFY(std::abs(how.apart_deg - 90) < 20);
        QCOMPARE(state.open->review->motion.view, View::three_d);
        // What was done wrong shows from the front and from the side: one review tells both.
        std::map<std::string, Direction> outside;
        for (const auto& f : state.open->review->findings)
            if (f.verdict == Verdict::outside) outside[f.check] = f.direction;
        QVERIFY(outside.contains("stance") && outside["stance"] == Direction::low);
        QVERIFY(outside.contains("trunk_lean") && outside["trunk_lean"] == Direction::high);
        QVERIFY(ui::text::at_once(how).contains(QStringLiteral("one performance")));
        QVERIFY(ui::text::at_once({}).contains(QStringLiteral("not known yet")));
        AtOnce apart;
        apart.tried = true;
        QVERIFY(ui::text::at_once(apart).contains(QStringLiteral("do not show one performance")));
        // The same moment of both films.
        for (const double t : {4.0, 8.0, 12.5}) {
            page->state().set_time(t);
            const auto frame = state.partner_frame();
            QVERIFY(frame.has_value());
            QVERIFY(std::abs(state.beside->track.time_s[*frame] - (state.time() + how.ahead_s)) < 0.05);
        }
        auto* in_room = page->findChild<QToolButton*>(QStringLiteral("inRoom"));
        auto* room = page->findChild<ui::RoomView*>(QStringLiteral("roomView"));
        QVERIFY(in_room && room && in_room->isVisible() && !room->isVisible());
        QTest::keyClick(page, Qt::Key_V);
        QVERIFY(room->isVisible());
        const QImage before = room->grab().toImage();
        const auto look = room->look();
        room->setFocus();
        QTest::keyClick(room, Qt::Key_Left, Qt::ShiftModifier);
        QVERIFY(std::abs(std::remainder(room->look().azimuth_deg - look.azimuth_deg, 360) + 10) < 1e-9);
        QVERIFY(room->grab().toImage() != before);
        for (int i = 0; i < 20; ++i) QTest::keyClick(room, Qt::Key_Up, Qt::ShiftModifier);
        QCOMPARE(room->look().above_deg, 90.0); // straight down, and no farther
        for (int i = 0; i < 40; ++i) QTest::keyClick(room, Qt::Key_Down, Qt::ShiftModifier);
        QCOMPARE(room->look().above_deg, 0.0);
        QTest::mousePress(room, Qt::LeftButton, {}, QPoint(20, 20));
        QTest::mouseMove(room, QPoint(60, 40));
        QTest::mouseRelease(room, Qt::LeftButton, {}, QPoint(60, 40));
        QTest::keyClick(page, Qt::Key_V);
        QVERIFY(!room->isVisible());
        // The other clip first: the same room, its own clock.
        const auto other = state.open->partner->clip.id;
        QSignalSpy opened(page, &ui::ReviewPage::opened);
        QTest::keyClick(page, Qt::Key_X);
        QVERIFY(opened.wait(60000));
        QCOMPARE(state.open->clip.id, other);
        QVERIFY(state.open->at_once.together);
        QVERIFY(std::abs(state.open->at_once.ahead_s + how.ahead_s) < 1e-6);
        // A clip by itself has no room to be shown in.
        const auto clips = b.session.library->clips().all();
        for (const auto& c : *clips)
            if (c.pair == 0 && c.state == ClipState::reviewed && c.movement == "separate_the_clouds") {
                open(b, c.id);
                QVERIFY(!in_room->isVisible());
                QTest::keyClick(page, Qt::Key_V);
                QVERIFY(!room->isVisible());
                return;
            }
        QFAIL("no clip by itself");
    }

    void a_pair_of_which_nothing_is_known_is_put_together_beside_the_work() {
        Bench b(fresh("beside"));
        const auto first = paired_clip(b, "front"), second = paired_clip(b, "left");
        // As after the body was found anew: what is kept is of other points.
        QVERIFY(b.session.library->tracks().keep_fit(first, second, {"of older points", "apart", {}}).has_value());
        auto* page = open(b, first);
        QVERIFY(page->state().open->partner && !page->state().open->at_once.tried);
        QVERIFY(page->state().open->review->motion.from_pictures()); // at once, and as before
        QSignalSpy again(page, &ui::ReviewPage::opened);
        QVERIFY(again.wait(120000));
        QVERIFY(page->state().open->at_once.together);
        bool done = false;
        for (const auto& j : b.session.jobs->all())
            if (j.kind == ui::JobKind::joining) {
                done = j.outcome == ui::JobOutcome::done;
                QVERIFY(ui::Jobs::words(j).contains(QStringLiteral("Wen")));
            }
        QVERIFY(done);
        const auto kept = b.session.library->tracks().fit_of(first, second);
        QVERIFY(kept && *kept && (*kept)->body);
    }

    void an_oblique_clip_is_fitted_beside_the_work_and_says_so() {
        Bench b(fresh("oblique"));
        std::int64_t id = 0;
        const auto clips = b.session.library->clips().all();
        for (auto c : *clips)
            if (c.pair == 0 && c.movement == "part_the_horses_mane" && c.state == ClipState::reviewed) {
                c.view.clear(); // nobody said from where
                QVERIFY(b.session.library->clips().set_facts(c).has_value());
                id = c.id;
            }
        QVERIFY(id != 0);
        // As if it had been filmed from there: points found on a film of a student seen obliquely.
        const auto bytes = read_text(std::filesystem::path(BEVEL_SOURCE_DIR) / "tests/data/oblique/take-9.track", 64U << 20U);
        const auto track = unpack_track(*bytes);
        QVERIFY(track && b.session.library->tracks().save(id, *track));
        auto* page = open(b, id);
        QVERIFY(page->state().open->from_fit.wanted && !page->state().open->from_fit.tried);
        QVERIFY(ui::text::from_fit(page->state().open->from_fit).contains(QStringLiteral("being fitted")));
        const auto told = [&] { return page->state().open->review->measures.series.at("knee.flexion.left").samples; };
        const auto count = [](const std::vector<Sample>& s) {
            return std::count_if(s.begin(), s.end(), [](const Sample& x) { return x.present(); });
        };
        const auto before = count(told());
        QTRY_VERIFY_WITH_TIMEOUT(page->state().open->from_fit.told, 120000); // other work may open it anew before
        QVERIFY(count(told()) > before + 50);
        QVERIFY(test::says(*b.window, QStringLiteral("one body fitted")));
        QVERIFY(ui::text::from_fit(page->state().open->from_fit).contains(QStringLiteral("wider errors")));
        const auto done = std::any_of(b.session.jobs->all().begin(), b.session.jobs->all().end(),
                                      [](const auto& j) { return j.kind == ui::JobKind::fitting && j.outcome == ui::JobOutcome::done; });
        QVERIFY(done);
        QVERIFY(test::clipped(*b.window, QStringLiteral("review")).isEmpty());
    }
};

QTEST_MAIN(TestRoom)
#include "test_room.moc"
