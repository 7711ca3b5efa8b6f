// Clocks of two phones told from what both heard: against made sound whose offset is known, in rooms with echoes and noise, and what tells
// nothing; the sound of a clip on the clock of its pictures; and a pair put together by it.
#include "core/files.h"
#include "core/fit/sounds.h"
#include "core/fit/together.h"
#include "desk/at_once.h"
#include "desk/found.h"
#include "media/clip.h"
#include "media/clip_sound.h"
#include "store/track_blob.h"
#include "support/heard.h"
#include "support/synthetic.h"
#include "support/two_cameras.h"
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;
namespace fs = std::filesystem;

namespace {

/// Every so-many-th sample, after a plain mean over them.
Samples at_trace_rate(const Samples& in) {
    Samples out;
    const double step = test::heard_rate / sound_trace_rate;
    for (double at = 0; at + step < static_cast<double>(in.size()); at += step) {
        double sum = 0;
        const auto from = static_cast<std::size_t>(at), to = static_cast<std::size_t>(at + step) + 1;
        for (std::size_t i = from; i < to; ++i) sum += in[i];
        out.push_back(static_cast<float>(sum / static_cast<double>(to - from)));
    }
    return out;
}
SoundTrace trace(const Samples& heard, double from_s = 0) {
    return trace_of(at_trace_rate(heard), from_s);
}

/// A clip of plain pictures with that sound.
fs::path clip_of(const fs::path& file, const Samples& sound, double length_s, const std::string& codec = "libx264") {
    auto writer = ClipWriter::create(file, 64, 48, 10, 30, codec, 0, sound.empty() ? 0 : static_cast<int>(test::heard_rate));
    if (!writer) return {};
    sim::Image im{64, 48, std::vector<std::uint8_t>(64 * 48 * 3, 90)};
    for (int i = 0; i < static_cast<int>(length_s * 10); ++i) {
        im.rgb[static_cast<std::size_t>(i) % im.rgb.size()] = 200;
        if (!writer->add(im, i * 0.1)) return {};
    }
    if (!sound.empty() && !writer->add_sound(sound)) return {};
    return writer->finish() ? file : fs::path();
}

Track filmed(int pair, char phone) {
    const auto bytes =
        read_text(fs::path(BEVEL_SOURCE_DIR) / "tests/data/two" / ("pair-" + std::to_string(pair) + "-" + phone + ".track"), 64U << 20U);
    auto t = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
    return t ? *t : Track{};
}

} // namespace

class TestHeard : public QObject {
    Q_OBJECT
private slots:
    void the_offset_is_told_within_what_is_stated() {
        int within = 0, n = 0;
        for (int k = 0; k < 24; ++k) {
            Rng r(static_cast<std::uint64_t>(k) + 400);
            const auto seed = static_cast<std::uint64_t>(k) * 10;
            const Samples hall = test::hall(40, seed + 1);
            const double later = r.uniform(-9, 9), from = 10, a_m = r.uniform(1, 6), b_m = r.uniform(1, 6);
            const double noise = k % 3 == 0 ? 0.05 : k % 3 == 1 ? 0.3 : 0.8;
            const auto a = trace(test::phone_heard(hall, from, r.uniform(12, 20), a_m, noise, seed + 2)),
                       b = trace(test::phone_heard(hall, from + later, r.uniform(12, 20), b_m, noise, seed + 3));
            const auto c = clocks_by_sound(a, b);
            QVERIFY2(c.has_value(), std::to_string(k).c_str());
            // The sound itself came to one of them later: that is part of what is stated.
            const double off = std::abs(c->offset_s - later);
            QVERIFY2(off < 0.04, (std::to_string(k) + ": " + std::to_string(off)).c_str());
            QVERIFY(c->sigma_s > 0.015 && c->sigma_s < 0.03);
            QVERIFY(c->common_s > 4 && c->common_s < 20.1);
            within += off <= c->sigma_s ? 1 : 0, ++n;
            // Named the other way round it is the same, turned about.
            const auto back = clocks_by_sound(b, a);
            QVERIFY(back && std::abs(back->offset_s + c->offset_s) < 0.005);
        }
        QVERIFY2(within >= n * 2 / 3, std::to_string(within).c_str());
    }

    void the_moment_a_trace_begins_counts() {
        const Samples hall = test::hall(30, 7);
        const auto a = trace(test::phone_heard(hall, 5, 14, 2, 0.1, 1), 3.5), b = trace(test::phone_heard(hall, 7, 14, 2, 0.1, 2), -1);
        const auto c = clocks_by_sound(a, b);
        QVERIFY(c);
        QVERIFY(std::abs(c->offset_s - (2 + 3.5 + 1)) < 0.03); // 7 s of the hall are 5.5 s of the first and -1 s of the second
    }

    void what_is_not_one_hour_tells_nothing() {
        int told = 0;
        std::vector<SoundTrace> hours;
        for (std::uint64_t k = 0; k < 12; ++k) hours.push_back(trace(test::phone_heard(test::hall(16, 900 + k), 0.5, 15, 3, 0.2, k)));
        for (std::size_t i = 0; i < hours.size(); ++i)
            for (std::size_t j = 0; j < hours.size(); ++j) told += i != j && clocks_by_sound(hours[i], hours[j]) ? 1 : 0;
        QCOMPARE(told, 0);
        // Silence, and the steady noise of a fan.
        const Samples silent(static_cast<std::size_t>(15 * test::heard_rate), 0.0F);
        QVERIFY(!clocks_by_sound(trace(silent), hours[0]));
        QVERIFY(!clocks_by_sound(trace(silent), trace(silent)));
        Rng r(5);
        std::array<Samples, 2> fan{silent, silent};
        for (auto& f : fan)
            for (auto& v : f) v = static_cast<float>(0.1 * r.gauss());
        QVERIFY(!clocks_by_sound(trace(fan[0]), trace(fan[1])));
        // Nothing at all, and next to nothing.
        QVERIFY(!clocks_by_sound({}, {}));
        QVERIFY(!clocks_by_sound(trace_of({}, 0), hours[0]));
        QVERIFY(!clocks_by_sound(trace(Samples(9000, 0.5F)), hours[0]));
        // Samples that are no numbers are silence.
        Samples wild(static_cast<std::size_t>(15 * sound_trace_rate), NAN);
        QVERIFY(!clocks_by_sound(trace_of(wild, 0), hours[0]));
        for (auto& row : trace_of(wild, 0).rise)
            for (const float v : row) QVERIFY(std::isfinite(v));
    }

    void a_beat_that_fits_itself_one_beat_on_tells_nothing() {
        // A metronome, the same click each half second, exactly.
        Samples beat(static_cast<std::size_t>(20 * test::heard_rate), 0.0F);
        Rng r(3);
        Samples click;
        for (int i = 0; i < 2000; ++i) click.push_back(static_cast<float>(0.5 * std::exp(-i / 400.0) * r.gauss()));
        for (double t = 0.1; t < 19.5; t += 0.5)
            for (std::size_t i = 0; i < click.size(); ++i) beat[static_cast<std::size_t>(t * test::heard_rate) + i] += click[i];
        const auto a = trace(test::phone_heard(beat, 1, 14, 2, 0.05, 1)), b = trace(test::phone_heard(beat, 3.2, 14, 2, 0.05, 2));
        QVERIFY(!clocks_by_sound(a, b));
    }

    void what_is_too_short_in_common_tells_nothing() {
        const Samples hall = test::hall(40, 77);
        const auto a = trace(test::phone_heard(hall, 0, 14, 2, 0.05, 1)), b = trace(test::phone_heard(hall, 11.5, 14, 2, 0.05, 2));
        QVERIFY(!clocks_by_sound(a, b)); // two and a half seconds
        QVERIFY(clocks_by_sound(a, b, 2));
    }

    void the_sound_of_a_clip_is_on_the_clock_of_its_pictures() {
        QTemporaryDir dir;
        const fs::path folder = dir.path().toStdString();
        const Samples hall = test::hall(30, 21);
        const Samples heard = test::phone_heard(hall, 4, 12, 2, 0.1, 1);
        const auto plain = trace(heard);
        const auto mp4 = clip_of(folder / "one.mp4", heard, 12), mkv = clip_of(folder / "two.mkv", heard, 12);
        QVERIFY(!mp4.empty() && !mkv.empty());
        for (const auto& file : {mp4, mkv}) {
            const auto got = sound_of_clip(file);
            QVERIFY2(got.has_value(), file.string().c_str());
            QVERIFY(std::abs(got->length_s() - 12) < 0.2);
            const auto c = clocks_by_sound(plain, *got);
            QVERIFY(c);
            QVERIFY2(std::abs(c->offset_s) < 0.012, (file.string() + std::to_string(c->offset_s)).c_str());
        }
        // The same with the pictures begun later than the sound, as some phones write it: the pictures' clock is the clip's.
        for (const auto& [by, late] : {std::pair{"0.7", 0.7}, {"-0.4", -0.4}}) {
            const fs::path moved = folder / (std::string("moved") + by + ".mkv");
            QProcess p;
            p.start(QStringLiteral("ffmpeg"),
                    {QStringLiteral("-v"), QStringLiteral("error"), QStringLiteral("-itsoffset"), QLatin1String(by), QStringLiteral("-i"),
                     QString::fromStdString(mkv.string()), QStringLiteral("-i"), QString::fromStdString(mkv.string()),
                     QStringLiteral("-map"), QStringLiteral("0:v"), QStringLiteral("-map"), QStringLiteral("1:a"), QStringLiteral("-c"),
                     QStringLiteral("copy"), QString::fromStdString(moved.string())});
            QVERIFY(p.waitForFinished() && p.exitCode() == 0);
            const auto got = sound_of_clip(moved);
            QVERIFY(got);
            const auto c = clocks_by_sound(plain, *got); // t of the moved clip is t + late of the sound
            QVERIFY(c);
            QVERIFY2(std::abs(c->offset_s - late) < 0.03, std::to_string(c->offset_s).c_str());
        }
        // Two phones, through files.
        const auto other = clip_of(folder / "other.mp4", test::phone_heard(hall, 6.5, 12, 5, 0.2, 9), 12);
        const auto c = clocks_by_sound(*sound_of_clip(mp4), *sound_of_clip(other));
        QVERIFY(c && std::abs(c->offset_s - 2.5) < 0.04);
    }

    void what_has_no_sound_or_cannot_be_read_says_so() {
        QTemporaryDir dir;
        const fs::path folder = dir.path().toStdString();
        const auto silent = clip_of(folder / "silent.mp4", {}, 3);
        QCOMPARE(sound_of_clip(silent).error().code, Code::not_found);
        QCOMPARE(sound_of_clip(folder / "none.mp4").error().code, Code::cannot_open);
        std::stop_source stop;
        stop.request_stop();
        const auto good = clip_of(folder / "good.mp4", test::phone_heard(test::hall(8, 4), 0, 6, 2, 0.1, 1), 6);
        QCOMPARE(sound_of_clip(good, stop.get_token()).error().code, Code::cancelled);
        // Cut and turned bytes: a trace, or an error; never more than the file could hold.
        const auto bytes = read_text(good, 64U << 20U);
        QVERIFY(bytes);
        Rng r(8);
        int read = 0, refused = 0;
        for (int k = 0; k < 60; ++k) {
            std::string bad = *bytes;
            if (k % 2 == 0) bad.resize(static_cast<std::size_t>(r.uniform(10, static_cast<double>(bad.size()))));
            for (int i = 0; i < 1 + k; ++i) bad[r.next() % bad.size()] = static_cast<char>(r.next());
            const fs::path file = folder / "bad.mp4";
            QVERIFY(write_whole(file, bad).has_value());
            if (const auto t = sound_of_clip(file)) {
                ++read;
                QVERIFY(t->length_s() <= most_sound_s + 1);
                for (const auto& row : t->rise)
                    for (const float v : row) QVERIFY(std::isfinite(v));
            } else {
                ++refused;
            }
        }
        QVERIFY2(read > 5 && refused > 5, (std::to_string(read) + " " + std::to_string(refused)).c_str());
    }

    void the_second_phone_is_known_among_the_clips_of_the_day() {
        QTemporaryDir dir;
        const fs::path folder = dir.path().toStdString();
        auto lib = Library::open(folder / "library");
        QVERIFY(lib.has_value());
        const Samples hour = test::hall(30, 61), other = test::hall(30, 62);
        const auto add = [&](const std::string& name, const Samples& sound, const char* day) {
            Clip c;
            c.filmed_on = c.arrived_on = day;
            const auto id = lib->clips().add(c, clip_of(folder / (name + ".mp4"), sound, 12));
            return id ? *lib->clips().get(*id) : Clip{};
        };
        const char* today = "2026-11-24";
        const auto first = add("first", test::phone_heard(hour, 3, 12, 2, 0.1, 1), today),
                   earlier = add("earlier", test::phone_heard(other, 3, 12, 2, 0.1, 2), today), silent = add("silent", {}, today),
                   yesterday = add("yesterday", test::phone_heard(hour, 5, 12, 3, 0.1, 3), "2026-11-23"),
                   second = add("second", test::phone_heard(hour, 5, 12, 4, 0.1, 4), today);
        QVERIFY(first.id && earlier.id && silent.id && yesterday.id && second.id);
        QCOMPARE(heard_with(*lib, second, 0), first.id);
        QCOMPARE(heard_with(*lib, first, 0), second.id);
        QCOMPARE(heard_with(*lib, earlier, 0), std::int64_t{0});
        QCOMPARE(heard_with(*lib, silent, 0), std::int64_t{0});
        QCOMPARE(heard_with(*lib, yesterday, 0), std::int64_t{0});     // the day it is said to be of counts
        QCOMPARE(heard_with(*lib, second, first.id), std::int64_t{0}); // the same film once more is no second phone
        std::stop_source stop;
        stop.request_stop();
        QCOMPARE(heard_with(*lib, second, 0, stop.get_token()), std::int64_t{0});
        const auto c = heard_together(*lib, first, second);
        QVERIFY(c && std::abs(c->offset_s - 2) < 0.04);
        QVERIFY(!heard_together(*lib, first, silent) && !heard_together(*lib, earlier, second));
        // A film that is gone is no reason not to go on.
        QVERIFY(fs::remove(lib->clips().path_of(first)));
        QCOMPARE(heard_with(*lib, second, 0), std::int64_t{0});
        QVERIFY(!heard_together(*lib, first, second));
        // It is kept with what else a clip tells of itself.
        ClipGuess g;
        g.heard_with = first.id;
        QCOMPARE(parse_guess(guess_json(g)).heard_with, first.id);
        QCOMPARE(parse_guess("{\"heard_with\":\"x\"}").heard_with, std::int64_t{0});
    }

    void a_pair_is_put_together_at_the_offset_that_was_heard() {
        for (const int number : {14, 19}) {
            const auto pair = test::pair_take(number);
            MotionOptions o;
            o.stature_m = pair.phone[0].options.student.stature_m;
            const std::array<Track, 2> raw{filmed(number, 'a'), filmed(number, 'b')};
            Clocks heard;
            heard.offset_s = pair.later_s + 0.012, heard.sigma_s = 0.018;
            const auto both = put_together(raw[0], raw[1], o, 60, {}, heard);
            QVERIFY2(both.has_value(), both ? "" : both.error().context.c_str());
            QVERIFY2(std::abs(both->clocks.offset_s - pair.later_s) < 0.04, std::to_string(both->clocks.offset_s - pair.later_s).c_str());
            QCOMPARE(both->clocks.sigma_s, 0.018);
            // What was heard elsewhere is not believed against what is seen.
            heard.offset_s = pair.later_s + 1.7;
            const auto wrong = put_together(raw[0], raw[1], o, 60, {}, heard);
            QVERIFY(!wrong);
            QCOMPARE(wrong.error().context, std::string("apart"));
        }
    }
};

QTEST_GUILESS_MAIN(TestHeard)
#include "test_heard.moc"
