// A clip of a linked form in the real window: its parts in a strip, findings of all of them, one letter over the whole.
#include "core/form/form_review.h"
#include "support/table.h"
#include "support/window_bench.h"
#include "ui/letter/letter_page.h"
#include "ui/review/findings_column.h"
#include "ui/review/form_strip.h"
#include "ui/review/review_page.h"
#include <QListWidget>
#include <QPushButton>
#include <QSignalSpy>
#include <QToolButton>

using namespace bevel;
using bevel::test::Bench;

class TestWhole : public QObject {
    Q_OBJECT
    test::Copy copy_;
    std::int64_t clip_ = 0;

    /// Points of a form that was done with a trunk that leans aside in some of its parts, one of which was left out.
    Track performed(const std::vector<int>& ahead, int left_out) const {
        const auto movements = load_movements(test::data_dir());
        LinkedForm form;
        for (const auto& f : load_forms(test::data_dir()))
            if (f.id == "follow_step_six") form = f;
        if (left_out >= 0) form.parts.erase(form.parts.begin() + left_out);
        sim::TakeOptions o = sim::take_of(12, 1.66);
        o.phone.view = View::front;
        o.phone.distance_m = 5;
        o.student.faults = {{sim::Fault::lean_side, 13, Side::left}};
        const sim::Take take(link(form, movements)->score(), o, ahead);
        return test::pixel_track(take, 0.7, 3);
    }

private slots:
    void initTestCase() {
        QVERIFY(copy_.make());
        auto lib = *Library::open(copy_.demo);
        const auto people = *lib.people().all();
        Clip c;
        c.person = people.front().id;
        c.movement = "form:follow_step_six";
        c.view = "front";
        c.filmed_on = c.arrived_on = "2026-11-22";
        const auto id = lib.clips().add(c, copy_.clip);
        QVERIFY(id.has_value());
        clip_ = *id;
        QVERIFY(lib.tracks().save(clip_, performed({1, 2, 4}, 3)).has_value());
        QVERIFY(lib.clips().set_state(clip_, ClipState::tracked, "").has_value());
    }
    void the_parts_stand_in_a_strip_and_the_letter_is_of_the_whole() {
        Bench b(copy_.demo);
        auto* review = b.window->review();
        auto* strip = review->findChild<ui::FormStrip*>();
        QVERIFY(strip && !strip->isVisible());
        QSignalSpy opened(review, &ui::ReviewPage::opened);
        b.session.workspace->go(QStringLiteral("review"), {clip_});
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 60000);
        QVERIFY(strip->isVisible());
        const auto& open = *review->state().open;
        QVERIFY(open.whole);
        QCOMPARE(open.whole->parts.size(), std::size_t{6});
        // What is heard is what is seen: six parts, the fourth left out.
        const auto parts = strip->spoken();
        QCOMPARE(parts.size(), qsizetype{6});
        int out = 0;
        for (const auto& p : parts) {
            out += p.value.contains(QStringLiteral("left out")) ? 1 : 0;
            QVERIFY(strip->rect().contains(p.at.center()));
        }
        QCOMPARE(out, 1);
        QVERIFY2(test::says(*review, QStringLiteral("5 of 6 parts")), "how many were done is said");
        // A click goes to the part, Page Down to the next one.
        const auto& third = open.whole->parts[2];
        QTest::mouseClick(strip, Qt::LeftButton, {}, parts[2].at.center());
        QVERIFY(std::abs(review->state().time() - third.from_s) < 0.1);
        QTest::keyClick(b.window.get(), Qt::Key_PageDown); // over the one that is missing
        QVERIFY(std::abs(review->state().time() - open.whole->parts[4].from_s) < 0.1);
        // One remark for the trunk, whatever parts it was seen in, and it names them.
        const auto& findings = open.review->findings;
        const auto lean = std::find_if(findings.begin(), findings.end(),
                                       [](const Finding& f) { return f.verdict == Verdict::outside && f.measure == "trunk.side"; });
        QVERIFY(lean != findings.end());
        const auto remark = remark_of(*lean, findings);
        QVERIFY(remark.size() >= 2);
        const QString where = ui::text::where(remark, open.review->movement);
        QVERIFY2(where.contains(QStringLiteral("(2)")) || where.contains(QStringLiteral("part(s)")) ||
                     where.contains(QStringLiteral("parts")),
                 qPrintable(where));
        // Kept in one of them, it is a correction of the letter, and what is kept is known by its part.
        auto* keep = review->findChild<QToolButton*>(QStringLiteral("keep"));
        QVERIFY(keep);
        QSignalSpy decided(review, &ui::ReviewPage::decided);
        keep->click();
        QTRY_VERIFY_WITH_TIMEOUT(decided.count() >= 1, 10000);
        QTRY_VERIFY_WITH_TIMEOUT(!b.session.library->decisions().of(clip_)->empty(), 10000);
        QVERIFY(!b.session.library->decisions().of(clip_)->front().key.part.empty());
        QTest::keyClick(b.window.get(), Qt::Key_3, Qt::ControlModifier);
        auto* letter = b.window->letter();
        auto* list = letter->findChild<QListWidget*>(QStringLiteral("corrections"));
        QTRY_VERIFY_WITH_TIMEOUT(list->count() >= 1, 20000);
        auto* pdf = letter->findChild<QPushButton*>(QStringLiteral("primary"));
        QTRY_VERIFY_WITH_TIMEOUT(pdf->isEnabled(), 30000);
        QSignalSpy exported(letter, &ui::LetterPage::exported);
        const QString file = copy_.dir.filePath(QStringLiteral("whole.pdf"));
        letter->export_to(file);
        QTRY_COMPARE_WITH_TIMEOUT(exported.count(), 1, 30000);
        QVERIFY(QFileInfo(file).size() > 10000);
    }
    void figures_of_its_parts_join_those_of_their_movements() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.session.workspace->go(QStringLiteral("review"), {clip_});
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 60000);
        const auto person = b.window->review()->state().open->person.id;
        const auto of_clip = [&] {
            std::set<std::string> out;
            const auto all = *b.session.library->records().figures(person);
            for (const auto& f : all)
                if (f.clip == clip_) out.insert(f.movement);
            return out;
        };
        QTRY_VERIFY_WITH_TIMEOUT(!of_clip().empty(), 20000);
        QCOMPARE(of_clip(), (std::set<std::string>{"follow_step", "opening_rise_and_sink"}));
    }
    void a_review_of_a_movement_has_no_strip() {
        Bench b(copy_.demo);
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.session.workspace->go(QStringLiteral("review"), {3});
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 60000);
        QVERIFY(!b.window->review()->findChild<ui::FormStrip*>()->isVisible());
    }
};

QTEST_MAIN(TestWhole)
#include "test_whole.moc"
