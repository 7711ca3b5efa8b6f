// Work off the interface thread: by values, to nobody who is gone, in order, seen as one list.
#include "ui/jobs/background.h"
#include "ui/jobs/jobs.h"
#include <atomic>
#include <QSignalSpy>
#include <QTest>
#include <stdexcept>
#include <thread>

using namespace bevel;

class TestJobs : public QObject {
    Q_OBJECT
private slots:
    void work_goes_on_without_its_owner_and_calls_nobody() {
        std::atomic<int> worked = 0;
        int told = 0;
        {
            ui::Background lane;
            auto owner = std::make_unique<QObject>(), other = std::make_unique<QObject>();
            for (auto* o : {owner.get(), other.get()})
                lane.run<int>(
                    o,
                    [&worked](std::stop_token) {
                        std::this_thread::sleep_for(std::chrono::milliseconds(30));
                        return ++worked;
                    },
                    [&told](int) { ++told; });
            owner.reset(); // while its work is under way or waits
            QTRY_VERIFY_WITH_TIMEOUT(lane.idle(), 30000);
            QTRY_COMPARE_WITH_TIMEOUT(told, 1, 30000);
            lane.run<int>(
                other.get(), [&worked](std::stop_token) { return ++worked; }, [&told](int) { ++told; });
        } // what was posted is done before the lane ends, and nobody is called after it
        QCoreApplication::processEvents();
        QCOMPARE(worked.load(), 3);
        QCOMPARE(told, 1);
    }
    void what_a_job_throws_ends_the_job_and_nothing_else() {
        ui::Background lane;
        std::vector<Error> said;
        const auto take = [&said](Result<int> r) {
            if (!r) said.push_back(r.error());
        };
        lane.run<Result<int>>(
            this, [](std::stop_token) -> Result<int> { throw std::bad_alloc(); }, take);
        lane.run<Result<int>>(
            this, [](std::stop_token) -> Result<int> { throw std::length_error("vector::reserve"); }, take);
        int never = 0, after = 0;
        lane.run<int>(
            this, [](std::stop_token) -> int { throw std::runtime_error("no result to say it in"); }, [&never](int) { ++never; });
        lane.run<int>(
            this, [](std::stop_token) { return 7; }, [&after](int v) { after = v; });
        QTRY_COMPARE_WITH_TIMEOUT(after, 7, 30000);
        QCOMPARE(never, 0);
        QCOMPARE(said.size(), std::size_t{2});
        QVERIFY(said[0].code == Code::too_large && said[0].context == "memory");
        QVERIFY(said[1].code == Code::unreadable && said[1].context == "vector::reserve");
        QTRY_VERIFY_WITH_TIMEOUT(lane.idle(), 30000);
    }
    void what_comes_back_comes_in_order_and_all_of_it() {
        ui::Background one, other;
        std::vector<int> first, second;
        const int n = 500;
        for (int i = 0; i < n; ++i) {
            one.run<std::string>(
                this, [i](std::stop_token) { return std::to_string(i); }, [&](const std::string& s) { first.push_back(std::stoi(s)); });
            other.run<int>(
                this,
                [i, lane = &other, owner = QPointer<QObject>(this), &second](std::stop_token) {
                    lane->report(owner, [&second, i] { second.push_back(-i); });
                    return i;
                },
                [&](int v) { second.push_back(v); });
        }
        QTRY_COMPARE_WITH_TIMEOUT(first.size(), std::size_t(n), 20000);
        QTRY_COMPARE_WITH_TIMEOUT(second.size(), std::size_t(2 * n), 20000);
        for (int i = 0; i < n; ++i) {
            QCOMPARE(first[static_cast<std::size_t>(i)], i);
            QCOMPARE(second[static_cast<std::size_t>(2 * i)], -i); // what is told on the way comes before the end
            QCOMPARE(second[static_cast<std::size_t>(2 * i + 1)], i);
        }
    }
    void one_list_of_all_that_is_under_way() {
        ui::Jobs jobs;
        QSignalSpy changed(&jobs, &ui::Jobs::changed);
        QVERIFY(!jobs.current());
        bool asked = false;
        const int a_job = jobs.begin(ui::JobKind::finding, QStringLiteral("A"), [&] { asked = true; });
        const int b_job = jobs.begin(ui::JobKind::copying, QStringLiteral("B"));
        QCOMPARE(jobs.rowCount(), 2);
        QCOMPARE(jobs.current()->id, b_job); // the newest
        QVERIFY(jobs.data(jobs.index(0), Qt::DisplayRole).toString().contains(QLatin1Char('A')));
        jobs.progress(a_job, 0.25, QStringLiteral("soon"));
        jobs.end(b_job, ui::JobOutcome::failed, QStringLiteral("no room"));
        QCOMPARE(jobs.current()->id, a_job);
        QCOMPARE(jobs.data(jobs.index(1), Qt::ToolTipRole).toString(), QStringLiteral("no room"));
        jobs.cancel(b_job); // it has ended
        jobs.cancel(a_job);
        QVERIFY(asked);
        jobs.end(a_job, ui::JobOutcome::cancelled);
        jobs.progress(a_job, 0.9); // comes too late
        QCOMPARE(jobs.all().front().share, 0.25);
        QVERIFY(!jobs.current());
        (void)jobs.begin(ui::JobKind::copying, QStringLiteral("C"));
        QCOMPARE(jobs.rowCount(), 2); // the failed one of its kind makes room
        QVERIFY(changed.count() >= 6);
    }
};
QTEST_GUILESS_MAIN(TestJobs)
#include "test_jobs.moc"
