// What comes from elsewhere and is not what it says: every reader gets each file of tests/data/hostile that was ever found to harm one, and
// some hundred good ones gone bad. None may stop the program, hang it or fill the disk; what it says of them is its own affair.
#include "core/files.h"
#include "core/movement/movement.h"
#include "support/readers.h"
#include <filesystem>
#include <QElapsedTimer>
#include <QTest>

using namespace bevel;
namespace fs = std::filesystem;

class TestHostile : public QObject {
    Q_OBJECT
private slots:
    void every_reader_has_good_ones_to_begin_from() {
        for (const auto& r : test::hostile_readers()) QVERIFY2(!test::seeds_of(r.name).empty(), r.name);
    }
    void what_was_found_once_does_no_harm_again() {
        int files = 0;
        for (const auto& r : test::hostile_readers()) {
            std::error_code ec;
            for (const auto& e : fs::directory_iterator(fs::path(BEVEL_SOURCE_DIR) / "tests/data/hostile" / r.name, ec)) {
                const auto bytes = read_text(e.path(), 64U << 20U);
                QVERIFY(bytes);
                r.read(*bytes);
                ++files;
            }
        }
        QVERIFY(files > 0);
    }
    void good_ones_gone_bad_do_no_harm_data() {
        QTest::addColumn<QString>("name");
        for (const auto& r : test::hostile_readers()) QTest::newRow(r.name) << QString::fromLatin1(r.name);
    }
    void good_ones_gone_bad_do_no_harm() {
        QFETCH(QString, name);
        const auto& all = test::hostile_readers();
        const auto r = std::find_if(all.begin(), all.end(), [&](const auto& x) { return name == QLatin1String(x.name); });
        const auto seeds = test::seeds_of(r->name);
        const bool slow = name == QLatin1String("bundle") || name == QLatin1String("record") || name == QLatin1String("clip");
        QElapsedTimer clock;
        for (int k = 0; k < (slow ? 60 : 300); ++k) {
            clock.start();
            r->read(test::gone_bad(seeds, static_cast<std::uint64_t>(k)));
            QVERIFY2(clock.elapsed() < 60000, "it takes for ever");
        }
        for (const auto& s : seeds) r->read(s);
        r->read("");
        r->read(std::string(100000, '\0'));
        r->read(std::string(100000, '['));
        r->read(std::string(100000, ','));
        r->read(std::string(100000, '9'));
    }
};
QTEST_GUILESS_MAIN(TestHostile)
#include "test_hostile.moc"
