// Ground in the real window: marked by mouse and by keys, points mended, followed and swapped, places kept; each undone.
#include "core/ground/derive.h"
#include "support/window_bench.h"
#include "ui/arrivals/inbox.h"
#include "ui/ground/ground_page.h"
#include "ui/jobs/jobs.h"
#include <cmath>
#include <QDoubleSpinBox>
#include <QListWidget>
#include <QSignalSpy>
#include <QToolButton>

using namespace bevel;
using test::Bench;

class TestGroundPage : public QObject {
    Q_OBJECT
    test::Copy copy_;

    /// The page with a clip of the demo under it, painted.
    static bool stand_on(Bench& b, qint64 clip) {
        auto* page = b.window->ground();
        QSignalSpy measured(page, &ui::GroundPage::measured);
        page->open({clip});
        b.window->show_place(b.window->place(QStringLiteral("ground")));
        return QTest::qWaitFor([&] { return measured.count() > 0 && b.background.idle() && page->view()->has_picture(); }, 30000);
    }
    static void click(ui::MarkView* view, QPointF px) { QTest::mouseClick(view, Qt::LeftButton, {}, view->to_view(px).toPoint()); }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }
    void the_ground_is_marked_by_mouse_and_by_keys_and_points_are_mended() {
        Bench b(copy_.demo);
        QSignalSpy reviewed(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(2);
        QTRY_COMPARE_WITH_TIMEOUT(reviewed.count(), 1, 30000);
        auto* page = b.window->ground();
        QSignalSpy opened(page, &ui::GroundPage::opened), measured(page, &ui::GroundPage::measured);
        b.window->show_place(b.window->place(QStringLiteral("ground")));
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 20000);
        QTRY_COMPARE_WITH_TIMEOUT(measured.count(), 1, 20000);
        auto* view = page->view();
        auto* background = &b.background;
        auto painted = [&] { return background->idle() && !view->to_picture(view->rect().center()).isNull(); };
        QTRY_VERIFY_WITH_TIMEOUT(painted(), 20000);
        QTest::qWait(50);
        QVERIFY(!page->layers().vertical);
        // Two edges that lean by one degree to the right, dragged with the mouse.
        const double lean = std::tan(1 / 57.29578);
        for (const double x : {200.0, 1080.0}) {
            const QPoint top = view->to_view({x + 300 * lean, 60}).toPoint(), foot = view->to_view({x - 300 * lean, 660}).toPoint();
            QTest::mousePress(view, Qt::LeftButton, {}, top);
            QTest::mouseMove(view, foot);
            QTest::mouseRelease(view, Qt::LeftButton, {}, foot);
        }
        QVERIFY(page->layers().vertical.has_value());
        QVERIFY2(std::abs(page->layers().vertical->roll * 57.29578 - 1) < 0.25,
                 qPrintable(QString::number(page->layers().vertical->roll * 57.29578)));
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->tracks().load(2)->layers.vertical.has_value(), 20000); // kept
        QTRY_VERIFY_WITH_TIMEOUT(reviewed.count() >= 2, 30000);                                            // the review is another one now
        page->undo().undo();
        page->undo().undo();
        QVERIFY(!page->layers().vertical);
        QTRY_VERIFY_WITH_TIMEOUT(!b.session.library->tracks().load(2)->layers.vertical.has_value(), 20000);
        // A length by keys alone.
        page->findChild<QToolButton*>(QStringLiteral("toolLength"))->click();
        page->findChild<QDoubleSpinBox*>(QStringLiteral("knownLength"))->setValue(90);
        view->setFocus();
        QTest::keyClick(view, Qt::Key_Return);
        const int frame = page->frame();
        for (int i = 0; i < 3; ++i) QTest::keyClick(view, Qt::Key_Right, Qt::ShiftModifier);
        QCOMPARE(page->frame(), frame); // the end moved, not the clip
        QTest::keyClick(view, Qt::Key_Return);
        QVERIFY(page->layers().scale.has_value());
        QCOMPARE(page->layers().scale->metres, 0.9);
        QVERIFY(std::abs(page->layers().scale->x1 - page->layers().scale->x0 - (0.3 * 1280 + 30)) < 1e-6);
        page->findChild<QToolButton*>(QStringLiteral("dropScale"))->click();
        QVERIFY(!page->layers().scale);
        // The student's own foot as a unit: a tenth of the body's height on the picture is about 17 cm; what cannot be a foot is refused.
        auto* of = page->findChild<QComboBox*>(QStringLiteral("lengthOf"));
        QVERIFY(of->isVisible());
        of->setCurrentIndex(1);
        QVERIFY(!page->findChild<QDoubleSpinBox*>(QStringLiteral("knownLength"))->isVisible());
        const auto stored = *b.session.library->tracks().load(2);
        const double tall = body_height_px(drawn_points(stored));
        auto drag = [&](double length) {
            const QPoint a = view->to_view({300, 600}).toPoint(), z = view->to_view({300 + length, 600}).toPoint();
            QTest::mousePress(view, Qt::LeftButton, {}, a);
            QTest::mouseMove(view, z);
            QTest::mouseRelease(view, Qt::LeftButton, {}, z);
        };
        auto whose = [&] {
            const auto people = *b.session.library->people().all();
            for (const auto& p : people)
                if (p.id == b.session.library->clips().get(2)->person) return p;
            return Person{};
        };
        drag(0.6 * tall);
        QVERIFY(test::says(*b.window, QStringLiteral("no foot of a person")));
        drag(0.15 * tall);
        QTRY_VERIFY_WITH_TIMEOUT(whose().foot_m > 0, 20000);
        QVERIFY2(std::abs(whose().foot_m - 0.15 * 0.887 * whose().stature_m) < 0.01, qPrintable(QString::number(whose().foot_m)));
        QVERIFY(test::says(*b.window, QStringLiteral("cm, marked")));
        page->findChild<QToolButton*>(QStringLiteral("dropUnits"))->click();
        QTRY_COMPARE_WITH_TIMEOUT(whose().foot_m, 0.0, 20000);
        page->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(whose().foot_m > 0.2, 20000);
        page->undo().undo();
        of->setCurrentIndex(0);
        // A point by dragging, then by a key; another frame keeps its own.
        page->findChild<QToolButton*>(QStringLiteral("toolPoints"))->click();
        const auto track = *b.session.library->tracks().load(2);
        const auto drawn = drawn_points(track);
        const auto& ankle = (*drawn.px[static_cast<std::size_t>(frame)])[left_ankle];
        const QPoint from = view->to_view({ankle.x, ankle.y}).toPoint();
        QTest::mousePress(view, Qt::LeftButton, {}, from);
        QTest::mouseMove(view, from + QPoint(20, 0));
        QTest::mouseRelease(view, Qt::LeftButton, {}, from + QPoint(20, 0));
        QCOMPARE(page->layers().edits.size(), std::size_t{1});
        const auto edit = page->layers().edits.front();
        QCOMPARE(static_cast<int>(edit.frame), frame);
        const double moved = edit.x;
        QTest::keyClick(view, Qt::Key_Right);
        QCOMPARE(page->layers().edits.size(), std::size_t{1});
        QVERIFY(std::abs(page->layers().edits.front().x - moved - 1) < 1e-6);
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->tracks().load(2)->layers.edits.size() == 1, 20000);
        page->findChild<QToolButton*>(QStringLiteral("dropEdits"))->click();
        // What counts.
        page->set_frame(48);
        page->findChild<QToolButton*>(QStringLiteral("trimFrom"))->click();
        QVERIFY(std::abs(*page->layers().trim_from_s - track.time_s[48]) < 1e-9);
        page->findChild<QToolButton*>(QStringLiteral("trimTo"))->click(); // nothing would be left
        QVERIFY(!page->layers().trim_to_s && test::says(*b.window, QStringLiteral("less than a second")));
        // Frames that do not count are no doubtful ones, and looking for those goes past them.
        page->findChild<QToolButton*>(QStringLiteral("nextDoubtful"))->click();
        QVERIFY(page->frame() >= 48);
        page->findChild<QToolButton*>(QStringLiteral("trimOff"))->click();
        QVERIFY(!page->findChild<QToolButton*>(QStringLiteral("trimOff"))->isEnabled()); // nothing more to take back
        QVERIFY(!page->layers().trim_from_s);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
        QVERIFY(!page->how_sure().empty());
    }
    void a_mat_is_marked_by_clicks_and_by_keys_and_taken_back() {
        Bench b(copy_.demo);
        QVERIFY(stand_on(b, 1));
        auto* page = b.window->ground();
        auto* view = page->view();
        page->findChild<QToolButton*>(QStringLiteral("toolMat"))->click();
        auto *wide = page->findChild<QDoubleSpinBox*>(QStringLiteral("knownLength")),
             *deep = page->findChild<QDoubleSpinBox*>(QStringLiteral("matLength"));
        QVERIFY(wide->isVisible() && deep->isVisible());
        wide->setValue(200);
        deep->setValue(120);
        // A floor rectangle as the hall's camera sees it: 4 m away, 1.1 m high, 3 degrees down.
        sim::PhoneOptions phone;
        phone.distance_m = 4.0;
        const auto camera = sim::Camera::of(phone);
        const std::array<Vec3, 4> mat{Vec3(-1, 0, 0.4), Vec3(1, 0, 0.4), Vec3(1, 0, -0.8), Vec3(-1, 0, -0.8)};
        std::array<QPointF, 4> px;
        for (std::size_t i = 0; i < 4; ++i) {
            const Vec2 q = camera.project(mat[i]);
            px[i] = {q.x(), q.y()};
        }
        // In another order they are a mat of another size: refused with a sentence.
        for (const std::size_t i : {0U, 2U, 1U, 3U}) click(view, px[i]);
        QVERIFY(!page->layers().plan && test::says(*b.window, QStringLiteral("No camera sees a mat of that size so")));
        QSignalSpy measured(page, &ui::GroundPage::measured);
        for (const auto& p : px) click(view, p);
        QVERIFY(page->layers().plan.has_value());
        QVERIFY2(std::abs(page->layers().plan->height_m - 1.1) < 0.15, qPrintable(QString::number(page->layers().plan->height_m)));
        QVERIFY(test::says(*b.window, QStringLiteral("by the mat")));
        QTRY_VERIFY_WITH_TIMEOUT(measured.count() > 0, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->tracks().load(1)->layers.plan.has_value(), 20000);
        page->undo().undo();
        QVERIFY(!page->layers().plan);
        // The same by keys alone: a cross that is moved and set.
        view->setFocus();
        QTest::keyClick(view, Qt::Key_Return);
        QPointF at(0.5 * 1280, 0.8 * 720);
        for (const auto& p : px) {
            auto go = [&](Qt::Key plus, Qt::Key minus, double& is, double to) {
                while (std::abs(to - is) >= 0.5) {
                    const double step = std::abs(to - is) >= 10 ? 10 : 1;
                    QTest::keyClick(view, to > is ? plus : minus, step > 1 ? Qt::ShiftModifier : Qt::NoModifier);
                    is += to > is ? step : -step;
                }
            };
            go(Qt::Key_Right, Qt::Key_Left, at.rx(), p.x());
            go(Qt::Key_Down, Qt::Key_Up, at.ry(), p.y());
            QTest::keyClick(view, Qt::Key_Return);
        }
        QVERIFY(page->layers().plan.has_value());
        QVERIFY(std::abs(page->layers().plan->height_m - 1.1) < 0.15);
        // Kept as a place under a name and offered for another clip from there.
        page->keep_place(QStringLiteral("shelf by the window"));
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->places().all()->size() == 1, 20000);
        page->findChild<QToolButton*>(QStringLiteral("dropPlan"))->click();
        QVERIFY(!page->layers().plan);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
        QVERIFY(stand_on(b, 8)); // Ilse's later clip, the same hall
        auto* places = page->findChild<QComboBox*>(QStringLiteral("places"));
        QTRY_VERIFY_WITH_TIMEOUT(places->currentText().contains(QStringLiteral("shelf by the window")), 20000);
        QVERIFY2(places->currentText().contains(QStringLiteral("looks like this room")), qPrintable(places->currentText()));
        page->findChild<QToolButton*>(QStringLiteral("takePlace"))->click();
        QVERIFY(page->layers().plan.has_value());
        page->undo().undo();
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
    }
    void an_edge_tells_the_lens_and_the_camera_height_is_given() {
        Bench b(copy_.demo);
        QVERIFY(stand_on(b, 1));
        auto* page = b.window->ground();
        auto* view = page->view();
        page->findChild<QToolButton*>(QStringLiteral("toolEdge"))->click();
        for (const double x : {100.0, 400.0, 700.0, 1000.0, 1200.0}) click(view, {x, 500 - 20 * std::pow((x - 640) / 640, 2)});
        QTest::mouseDClick(view, Qt::LeftButton, {}, view->to_view({1200, 500 - 20 * std::pow(560.0 / 640, 2)}).toPoint());
        QVERIFY(page->layers().lens.has_value());
        // An edge that bows upwards at its ends below the middle of the picture: the outer parts are drawn in, k is below 0.
        QVERIFY2(page->layers().lens->k < -0.01, qPrintable(QString::number(page->layers().lens->k)));
        page->undo().undo();
        QVERIFY(!page->layers().lens);
        page->findChild<QDoubleSpinBox*>(QStringLiteral("cameraHeight"))->setValue(115);
        page->findChild<QToolButton*>(QStringLiteral("takeFloor"))->click();
        QVERIFY(page->layers().camera_height_m && std::abs(*page->layers().camera_height_m - 1.15) < 1e-9);
        // A hand on a support over a stretch, the seat, and both taken back.
        page->set_frame(100);
        page->findChild<QToolButton*>(QStringLiteral("handTo"))->click();
        QVERIFY(test::says(*b.window, QStringLiteral("Go to where the hand takes the support first")));
        page->findChild<QToolButton*>(QStringLiteral("handFrom"))->click();
        page->set_frame(220);
        page->findChild<QToolButton*>(QStringLiteral("handTo"))->click();
        QCOMPARE(page->marks().states.size(), std::size_t{1});
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->clips().get(1)->states.size() == 1, 20000);
        const auto track = *b.session.library->tracks().load(1);
        QVERIFY(std::abs(b.session.library->clips().get(1)->states[0].from_s - track.time_s[100]) < 1e-9);
        page->undo().undo();
        QVERIFY(page->marks().states.empty());
        page->undo().undo();
        QVERIFY(!page->layers().camera_height_m);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
    }
    void sides_are_swapped_points_followed_and_doubts_mended() {
        // A clip whose legs change places for a while and whose wrist jumps.
        {
            auto lib = *Library::open(copy_.demo);
            auto t = *lib.tracks().load(5);
            for (std::size_t i = 200; i < 230; ++i)
                for (const Point p : {left_knee, left_ankle, left_heel, left_toe}) std::swap((*t.px[i])[p], (*t.px[i])[mirrored(p)]);
            (*t.px[300])[right_wrist].x += 160;
            QVERIFY(lib.tracks().save(5, t).has_value());
        }
        Bench b(copy_.demo);
        QVERIFY(stand_on(b, 5));
        auto* page = b.window->ground();
        auto* view = page->view();
        page->findChild<QToolButton*>(QStringLiteral("toolPoints"))->click();
        auto* list = page->findChild<QListWidget*>(QStringLiteral("doubts"));
        auto row_of = [&](DoubtKind kind) {
            for (std::size_t i = 0; i < page->doubts().size(); ++i)
                if (page->doubts()[i].kind == kind) return static_cast<int>(i);
            return -1;
        };
        auto* mend = page->findChild<QToolButton*>(QStringLiteral("mendDoubt"));
        QVERIFY(row_of(DoubtKind::swapped) >= 0 && row_of(DoubtKind::jump) >= 0);
        QCOMPARE(list->count(), static_cast<int>(page->doubts().size()));
        // The list leads to the frame; mending swaps exactly that stretch back.
        list->setCurrentRow(row_of(DoubtKind::swapped));
        QCOMPARE(page->frame(), 200);
        QVERIFY(mend->isEnabled());
        mend->click();
        QVERIFY(page->layers().swaps.size() == 1 && page->layers().swaps[0].from == 200 && page->layers().swaps[0].to == 230);
        QCOMPARE(row_of(DoubtKind::swapped), -1);
        // The jump is filled from its neighbours, by the picture.
        list->setCurrentRow(row_of(DoubtKind::jump));
        QCOMPARE(page->frame(), 300);
        mend->click();
        QTRY_VERIFY_WITH_TIMEOUT(page->layers().edits.size() == 1, 20000);
        QVERIFY(page->layers().edits[0].filled && page->layers().edits[0].frame == 300 && page->layers().edits[0].point == right_wrist);
        const auto t = *b.session.library->tracks().load(5);
        const double way = 0.5 * ((*t.px[299])[right_wrist].x + (*t.px[301])[right_wrist].x);
        QVERIFY2(std::abs(page->layers().edits[0].x - way) < 12, qPrintable(QString::number(page->layers().edits[0].x - way)));
        QCOMPARE(row_of(DoubtKind::jump), -1);
        while (page->undo().canUndo()) page->undo().undo();
        QVERIFY(page->layers().edits.empty() && page->layers().swaps.empty());
        // By hand: swapped from one frame to another with S, a point as on the frame before with P.
        page->set_frame(200);
        QTest::keyClick(view, Qt::Key_S);
        page->set_frame(229);
        QTest::keyClick(view, Qt::Key_S);
        QVERIFY(page->layers().swaps.size() == 1 && page->layers().swaps[0].to == 230);
        page->set_frame(300);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
        view->hold(right_wrist);
        QTest::keyClick(view, Qt::Key_P);
        QCOMPARE(page->layers().edits.size(), std::size_t{1});
        page->undo().undo();
        // Two marks, and F fills between them; undo takes the filled ones away and leaves the marks.
        for (const int frame : {310, 330}) {
            page->set_frame(frame);
            QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
            QCoreApplication::processEvents();
            view->hold(left_wrist);
            QTest::keyClick(view, Qt::Key_Right);
        }
        QCOMPARE(page->layers().edits.size(), std::size_t{2});
        page->set_frame(320);
        view->hold(left_wrist);
        QTest::keyClick(view, Qt::Key_F);
        QTRY_COMPARE_WITH_TIMEOUT(page->layers().edits.size(), std::size_t{21}, 30000);
        QVERIFY(test::says(*b.window, QStringLiteral("filled")));
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->tracks().load(5)->layers.edits.size() == 21, 20000);
        page->undo().undo();
        QCOMPARE(page->layers().edits.size(), std::size_t{2});
        // A point of the back is marked by a click.
        auto* extra = page->findChild<QComboBox*>(QStringLiteral("extraPoint"));
        extra->setCurrentIndex(extra->findData(static_cast<int>(c7)));
        emit extra->activated(extra->currentIndex());
        click(view, {640, 200});
        QVERIFY(page->layers().extra.size() == 1 && page->layers().extra[0].second[c7]);
        QVERIFY(std::abs(page->layers().extra[0].second[c7]->x() - 640) < 2);
        page->findChild<QToolButton*>(QStringLiteral("dropEdits"))->click();
        QVERIFY(page->layers().edits.empty() && page->layers().extra.empty() && page->layers().swaps.empty());
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
    }
    void without_the_network_a_body_is_set_by_hand_and_followed() {
        // The same film is in the library with points found: those are what the hand aims at.
        const auto aim = [&] {
            auto lib = *Library::open(copy_.demo);
            return drawn_points(*lib.tracks().load(5));
        }();
        QTemporaryDir fresh;
        const std::filesystem::path folder = fresh.filePath(QStringLiteral("library")).toStdString();
        QVERIFY(Library::open(folder).has_value());
        std::filesystem::path film;
        {
            auto lib = *Library::open(copy_.demo);
            film = lib.clips().path_of(*lib.clips().get(5));
        }
        Bench b(folder);
        b.session.model_dir = fresh.filePath(QStringLiteral("nowhere")).toStdString();
        b.window->show_place(b.window->place(QStringLiteral("arrivals")));
        b.session.inbox->take({QString::fromStdString(film.string())});
        b.window->findChild<QTabWidget*>(QStringLiteral("arrivalTabs"))->setCurrentIndex(1);
        auto* by_hand = b.window->findChild<QPushButton*>(QStringLiteral("byHand"));
        QTRY_VERIFY_WITH_TIMEOUT(by_hand->isVisible(), 30000);
        QVERIFY(test::says(*b.window, QStringLiteral("The files of the body finder are missing")));
        auto* page = b.window->ground();
        QSignalSpy opened(page, &ui::GroundPage::opened);
        by_hand->click();
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        auto* view = page->view();
        QTRY_VERIFY_WITH_TIMEOUT(view->has_picture() && b.background.idle(), 30000);
        QVERIFY(test::says(*b.window, QStringLiteral("Press B")));
        QCOMPARE(page->layers().edits.size(), std::size_t{0});
        auto set_points = [&](int frame) {
            page->set_frame(frame);
            const bool idle = QTest::qWaitFor([&] { return b.background.idle(); }, 20000);
            QTest::keyClick(view, Qt::Key_B);
            if (!idle || page->layers().edits.size() % point_count != 0) return false;
            // Every point where it is on the film, by the same signal that dragging gives.
            for (int k = 0; k < point_count; ++k) {
                const auto& p = (*aim.px[static_cast<std::size_t>(frame)])[static_cast<std::size_t>(k)];
                emit view->moved(static_cast<Point>(k), {p.x, p.y});
            }
            return true;
        };
        view->setFocus();
        QVERIFY(set_points(100));
        QCOMPARE(page->layers().edits.size(), std::size_t{point_count});
        // The second begins as the first; with Ctrl all of it moves, and Undo brings it back.
        page->set_frame(112);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle(), 20000);
        QTest::keyClick(view, Qt::Key_B);
        QCOMPARE(page->layers().edits.size(), std::size_t{2 * point_count});
        const auto before = page->layers().edits.back();
        QTest::keyClick(view, Qt::Key_Right, Qt::ControlModifier | Qt::ShiftModifier);
        QVERIFY(std::abs(page->layers().edits.back().x - before.x - 10) < 1e-6);
        page->undo().undo();
        QVERIFY(std::abs(page->layers().edits.back().x - before.x) < 1e-6);
        page->undo().undo();
        QVERIFY(set_points(112));
        page->set_frame(105);
        QTest::keyClick(view, Qt::Key_G);
        QTRY_COMPARE_WITH_TIMEOUT(page->layers().edits.size(), std::size_t{13 * point_count}, 30000);
        QVERIFY(test::says(*b.window, QStringLiteral("filled")));
        std::vector<double> off;
        for (const auto& e : page->layers().edits)
            if (e.filled && (e.point == left_wrist || e.point == right_knee || e.point == left_ankle || e.point == right_shoulder))
                off.push_back(std::hypot(e.x - (*aim.px[e.frame])[e.point].x, e.y - (*aim.px[e.frame])[e.point].y));
        std::sort(off.begin(), off.end());
        QVERIFY2(off.size() == 44 && off[40] < 8, qPrintable(QString::number(off[40])));
        // It is kept, and too few frames are still said to be too few.
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->tracks().load(1)->layers.edits.size() == std::size_t{13 * point_count}, 20000);
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
        QVERIFY(b.session.library->clips().get(1)->state != ClipState::tracked);
    }
    void a_mirrored_clip_is_mended_on_the_side_that_is_seen() {
        Bench b(copy_.demo);
        {
            auto c = *b.session.library->clips().get(5);
            c.mirrored = true;
            QVERIFY(b.session.library->clips().set_facts(c).has_value());
        }
        QVERIFY(stand_on(b, 5));
        auto* page = b.window->ground();
        auto* view = page->view();
        page->findChild<QToolButton*>(QStringLiteral("toolPoints"))->click();
        const auto raw = *b.session.library->tracks().load(5);
        const auto i = static_cast<std::size_t>(page->frame());
        // What the picture shows as its right knee is the student's left.
        const auto& shown = (*raw.px[i])[right_knee];
        emit view->moved(left_knee, {shown.x + 15, shown.y});
        QCOMPARE(page->layers().edits.size(), std::size_t{1});
        QCOMPARE(page->layers().edits[0].point, right_knee);
        Track now = raw;
        now.layers = page->layers();
        now.layers.mirrored = true;
        QVERIFY(std::abs((*drawn_points(now).px[i])[left_knee].x - shown.x - 15) < 1);
        while (page->undo().canUndo()) page->undo().undo();
        auto c = *b.session.library->clips().get(5);
        c.mirrored = false;
        QVERIFY(b.session.library->clips().set_facts(c).has_value());
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
    }
    void shake_is_taken_out_on_request_and_told() {
        Bench b(copy_.demo);
        QVERIFY(stand_on(b, 4)); // Paulo's, held in a hand that is almost still
        auto* page = b.window->ground();
        page->findChild<QToolButton*>(QStringLiteral("steady"))->click();
        QTRY_VERIFY_WITH_TIMEOUT(!page->layers().steady.empty(), 60000);
        const auto track = *b.session.library->tracks().load(4);
        QCOMPARE(page->layers().steady.size(), track.frames());
        QVERIFY(test::says(*b.window, QStringLiteral("The picture moved by up to")));
        QTRY_VERIFY_WITH_TIMEOUT(b.session.library->tracks().load(4)->layers.steady.size() == track.frames(), 20000);
        page->findChild<QToolButton*>(QStringLiteral("dropShake"))->click();
        QVERIFY(page->layers().steady.empty());
        QTRY_VERIFY_WITH_TIMEOUT(b.background.idle() && b.copies.idle(), 20000);
    }
};

QTEST_MAIN(TestGroundPage)
#include "test_ground_page.moc"
