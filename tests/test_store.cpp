// The library: what is kept stays whole, and is what was meant.
#include "store/library.h"
#include "support/synthetic.h"
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

class TestStore : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::filesystem::path path(const std::string& name) const { return dir_.path().toStdString() + "/" + name; }
    static void put(const std::filesystem::path& file, const std::string& bytes) {
        QFile f(QString::fromStdString(file.string()));
        if (f.open(QIODevice::WriteOnly)) f.write(bytes.data(), static_cast<qint64>(bytes.size()));
    }
    /// A library with one person and one clip of the given day.
    struct One {
        Library library;
        std::int64_t person = 0, clip = 0;
    };
    One one(const std::string& name, const std::string& day = "2026-05-10") const {
        put(path(name + ".mp4"), "clip " + name);
        One o{*Library::open(path(name)), 0, 0};
        o.person = *o.library.add_person({0, "Noor", 1.7, "", 0});
        Clip c;
        c.person = o.person;
        c.movement = "gaze_at_the_moon";
        c.filmed_on = day;
        c.arrived_on = "2026-05-12";
        o.clip = *o.library.add_clip(c, path(name + ".mp4"));
        return o;
    }

private slots:
    void what_is_agreed_holds_from_its_first_to_its_last_day() {
        auto o = one("agreed");
        Agreement a;
        a.person = o.person;
        a.check = "trunk_lean";
        a.high = 20;
        a.reason = "A stiff hip.";
        a.from_day = "2026-05-01";
        a.until_day = "2026-06-01";
        const auto id = o.library.save_agreement(a);
        QVERIFY(id.has_value());
        Clip c = *o.library.clip(o.clip);
        auto in_force = [&](const std::string& day) {
            c.filmed_on = day;
            return o.library.agreements_for(c)->size();
        };
        for (const auto& [day, n] : std::vector<std::pair<std::string, std::size_t>>{
                 {"2026-04-30", 0}, {"2026-05-01", 1}, {"2026-06-01", 1}, {"2026-06-02", 0}, {"", 1}}) // "": the day it arrived
            QCOMPARE(in_force(day), n);
        // Of another person never.
        c.person = *o.library.add_person({0, "Wen", 1.6, "", 0});
        QCOMPARE(in_force("2026-05-10"), std::size_t{0});
        // Changed, and taken back.
        a.id = *id;
        a.until_day.clear();
        QCOMPARE(*o.library.save_agreement(a), *id);
        QCOMPARE(o.library.agreements(o.person)->size(), std::size_t{1});
        QCOMPARE(o.library.agreements(o.person)->front().high, std::optional<double>(20));
        QVERIFY(!o.library.agreements(o.person)->front().low);
        QVERIFY(o.library.remove_agreement(*id).has_value());
        QVERIFY(o.library.agreements(o.person)->empty());
    }
    void a_band_of_the_clip_comes_after_that_of_the_person() {
        auto o = one("both");
        Agreement mine, clip;
        clip.clip = o.clip, clip.check = "head", clip.off = true, clip.reason = "A scarf hides it.";
        mine.person = o.person, mine.check = "head", mine.high = 6, mine.reason = "Agreed.";
        QVERIFY(o.library.save_agreement(clip).has_value());
        QVERIFY(o.library.save_agreement(mine).has_value());
        const auto all = *o.library.agreements_for(*o.library.clip(o.clip));
        QCOMPARE(all.size(), std::size_t{2});
        QVERIFY(all[0].person != 0 && all[1].clip == o.clip && all[1].off);
    }
    void an_agreement_that_says_nothing_is_refused() {
        auto o = one("nothing");
        Agreement a;
        a.person = o.person, a.check = "head", a.high = 5, a.reason = "r";
        auto refused = [&](auto change, const char* why) {
            Agreement b = a;
            change(b);
            const auto r = o.library.save_agreement(b);
            return !r.has_value() && r.error().context == why;
        };
        QVERIFY(refused([](Agreement& b) { b.reason.clear(); }, "reason"));
        QVERIFY(refused([](Agreement& b) { b.check.clear(); }, "check"));
        QVERIFY(refused([](Agreement& b) { b.clip = 1; }, "check")); // of both
        QVERIFY(refused([](Agreement& b) { b.high.reset(); }, "band"));
        QVERIFY(refused([](Agreement& b) { b.low = 9; }, "band"));
        QVERIFY(refused([](Agreement& b) { b.from_day = "2026-02-01", b.until_day = "2026-01-01"; }, "days"));
        QVERIFY(o.library.agreements(o.person)->empty());
    }
};
QTEST_GUILESS_MAIN(TestStore)
#include "test_store.moc"
