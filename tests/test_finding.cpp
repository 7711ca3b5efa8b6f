// Finding a body and following what moves, on clips drawn for it.
#include "core/ground/derive.h"
#include "core/ground/motion.h"
#include "core/review/same_take.h"
#include "media/steady.h"
#include "media/tracker.h"
#include "support/synthetic.h"
#include <cmath>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

class TestFinding : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::filesystem::path path(const char* name) const { return dir_.filePath(QLatin1String(name)).toStdString(); }

private slots:
    void two_stretches_at_once_find_what_one_does_data() {
        QTest::addColumn<bool>("interrupted");
        QTest::newRow("in view all the time") << false;
        QTest::newRow("out of view where the stretches meet") << true;
    }
    void two_stretches_at_once_find_what_one_does() {
        QFETCH(bool, interrupted);
        sim::TakeOptions o = sim::take_of(9, 1.72);
        o.phone.view = View::front;
        o.phone.width = 320;
        o.phone.height = 360;
        o.phone.focal = 1.2;
        o.phone.fps = 6;
        o.from_s = 1;
        o.to_s = 24;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto at = path(interrupted ? "away.mp4" : "long.mp4");
        auto w = ClipWriter::create(at, o.phone.width, o.phone.height, o.phone.fps);
        QVERIFY(w.has_value());
        sim::Image nobody;
        for (std::size_t i = 0; i < take.frames(); ++i) {
            auto im = take.picture(i);
            const double t = take.track().time_s[i] - take.track().time_s[0];
            if (interrupted && t > 9.2 && t < 9.9) std::fill(im.rgb.begin(), im.rgb.end(), std::uint8_t{90});
            QVERIFY(w->add(im, t).has_value());
        }
        QVERIFY(w->finish().has_value());
        TrackOptions options;
        options.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
        options.model = Model::lite;
        std::vector<std::size_t> told;
        options.progress = [&](std::size_t done, std::size_t, const std::optional<BodyPx>&) { told.push_back(done); };
        options.stretches = 1;
        const auto one = track_clip(at, options);
        QVERIFY(one.has_value());
        QCOMPARE(told.back(), take.frames());
        told.clear();
        options.stretches = 2;
        const auto two = track_clip(at, options);
        QVERIFY(two.has_value());
        QCOMPARE(told.back(), take.frames());
        std::vector<double> apart;
        for (std::size_t i = 0; i < take.frames(); ++i) {
            QCOMPARE(two->track.px[i].has_value(), one->track.px[i].has_value());
            if (!one->track.px[i]) continue;
            for (const Point p : {left_shoulder, right_hip, left_knee, right_ankle})
                apart.push_back(
                    std::hypot((*one->track.px[i])[p].x - (*two->track.px[i])[p].x, (*one->track.px[i])[p].y - (*two->track.px[i])[p].y));
        }
        QVERIFY(apart.size() > 3 * take.frames());
        std::sort(apart.begin(), apart.end());
        QVERIFY2(apart[apart.size() * 95 / 100] < 3, qPrintable(QString::number(apart[apart.size() * 95 / 100])));
        // Stopped in the middle and gone on with, it is the same again.
        std::stop_source stop;
        std::optional<Track> so_far;
        std::size_t done = 0;
        options.checkpoint = [&](const Track& t, std::size_t d) { so_far = t, done = d; };
        options.progress = [&](std::size_t d, std::size_t, const std::optional<BodyPx>&) {
            if (d > 70) stop.request_stop();
        };
        QCOMPARE(track_clip(at, options, stop.get_token()).error().code, Code::cancelled);
        QVERIFY(so_far && done > 20 && done < take.frames());
        options.progress = {};
        options.so_far = so_far;
        options.done = done;
        const auto rest = track_clip(at, options);
        QVERIFY(rest.has_value());
        for (std::size_t i = 0; i < done; ++i) QCOMPARE(rest->track.px[i].has_value(), so_far->px[i].has_value());
        for (std::size_t i = 0; i < take.frames(); ++i) QCOMPARE(rest->track.px[i].has_value(), one->track.px[i].has_value());
    }
    void fast_clips_are_looked_at_on_every_other_frame() {
        sim::TakeOptions o = sim::take_of(4, 1.66);
        o.phone.width = 640;
        o.phone.height = 480;
        o.phone.focal = 1.2;
        o.phone.fps = 60;
        o.from_s = 5; // the arms are on their way
        o.to_s = 9;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto at = path("fast.mp4");
        auto w = ClipWriter::create(at, o.phone.width, o.phone.height, o.phone.fps);
        QVERIFY(w.has_value());
        for (std::size_t i = 0; i < take.frames(); ++i)
            QVERIFY(w->add(take.picture(i), take.track().time_s[i] - take.track().time_s[0]).has_value());
        QVERIFY(w->finish().has_value());
        TrackOptions options;
        options.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
        options.model = Model::lite;
        options.stretches = 1;
        std::size_t told = 0;
        options.progress = [&](std::size_t done, std::size_t, const std::optional<BodyPx>&) { told = done; };
        const auto half = track_clip(at, options);
        QVERIFY(half.has_value());
        QCOMPARE(told, take.frames());
        options.every_frame = true;
        const auto all = track_clip(at, options);
        QVERIFY(all.has_value());
        // Every frame has its body, and where it was filled in it is as near to the one found there as the noise from frame to frame.
        std::vector<double> filled, step;
        std::size_t same = 0;
        for (std::size_t i = 1; i + 1 < take.frames(); i += 2) {
            QVERIFY(half->track.px[i] && all->track.px[i]);
            for (std::size_t k = 0; k < point_count; ++k) {
                const auto &a = (*half->track.px[i])[k], &b = (*all->track.px[i])[k], &c = (*all->track.px[i + 1])[k];
                QVERIFY(a.sigma > 0);
                filled.push_back(std::hypot(a.x - b.x, a.y - b.y) / a.sigma);
                step.push_back(std::hypot(c.x - b.x, c.y - b.y) / b.sigma);
                same += a.x == b.x && a.y == b.y ? 1 : 0;
            }
        }
        QVERIFY(same < filled.size() / 10); // filled in, not found
        std::sort(filled.begin(), filled.end());
        const auto share = [&](double sigmas) { return std::lower_bound(filled.begin(), filled.end(), sigmas) - filled.begin(); };
        QVERIFY2(share(1) > static_cast<long>(filled.size() * 68 / 100),
                 qPrintable(QString::number(share(1)) + "/" + QString::number(filled.size())));
        QVERIFY2(share(3) > static_cast<long>(filled.size() * 97 / 100),
                 qPrintable(QString::number(share(3)) + "/" + QString::number(filled.size())));
        // Against the student's own points it is no worse than finding on every frame.
        auto off = [&](const TrackResult& r) {
            std::vector<double> d;
            for (std::size_t i = 1; i + 1 < take.frames(); i += 2)
                for (const Point p : {left_wrist, right_wrist, left_elbow, right_elbow})
                    d.push_back(
                        std::hypot((*r.track.px[i])[p].x - (*take.track().px[i])[p].x, (*r.track.px[i])[p].y - (*take.track().px[i])[p].y));
            std::sort(d.begin(), d.end());
            return d[d.size() / 2];
        };
        const double with = off(*half), without = off(*all);
        QVERIFY2(with < 1.1 * without + 0.1, qPrintable(QString("%1 px against %2").arg(with).arg(without)));
    }
    void shake_is_taken_out_against_the_room() {
        // A hand that holds the phone: the film's own shake is the truth.
        sim::TakeOptions o = sim::take_of(9, 1.72);
        o.phone.width = 960;
        o.phone.height = 540;
        o.phone.fps = 24;
        o.phone.shake_px = 14;
        o.from_s = 3;
        o.to_s = 6;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        o.phone.shake_px = 0;
        const sim::Take still(test::movement("gaze_at_the_moon"), o);
        const auto at = path("shaken.mp4");
        auto w = ClipWriter::create(at, 960, 540, 24, 20);
        QVERIFY(w.has_value());
        for (std::size_t i = 0; i < take.frames(); ++i) QVERIFY(w->add(take.picture(i), take.track().time_s[i]).has_value());
        QVERIFY(w->finish().has_value());
        Track track = take.track();
        for (auto& m : track.m) m.reset();
        const auto steady = steady_clip(at, track);
        QVERIFY2(steady.has_value(), steady ? "" : steady.error().context.c_str());
        QCOMPARE(steady->frames.size(), take.frames());
        // What is left of the difference to the film that was not shaken: the same on all frames, but for the frame it is held against.
        std::vector<double> dx, dy, before;
        for (std::size_t i = 0; i < take.frames(); ++i) {
            const auto &shaken = (*take.track().px[i])[left_ankle], &truth = (*still.track().px[i])[left_ankle];
            const Vec2 now = steady->frames[i].to_steady({shaken.x, shaken.y});
            dx.push_back(now.x() - truth.x);
            dy.push_back(now.y() - truth.y);
            before.push_back(shaken.x - truth.x);
            const Vec2 back = steady->frames[i].to_filmed(now);
            QVERIFY((back - Vec2(shaken.x, shaken.y)).norm() < 1e-6);
        }
        auto spread = [](std::vector<double> v) {
            std::sort(v.begin(), v.end());
            return v[v.size() * 9 / 10] - v[v.size() / 10];
        };
        QVERIFY(spread(before) > 8);
        QVERIFY2(spread(dx) < 0.12 * spread(before) && spread(dy) < 2, qPrintable(QStringLiteral("%1 px before, %2 and %3 after; stated %4")
                                                                                      .arg(spread(before))
                                                                                      .arg(spread(dx))
                                                                                      .arg(spread(dy))
                                                                                      .arg(steady->residual_px)));
        QVERIFY(steady->residual_px < 2);
        // The layer is used and kept: the derived points stand still where the foot does.
        track.layers.steady = steady->frames;
        QVERIFY(std::abs((*with_layers(track).px[10])[left_ankle].x - (*take.track().px[10])[left_ankle].x) > 0.01);
        // Cancelled, and a wall without anything to hold on to.
        std::stop_source stop;
        stop.request_stop();
        const auto stopped = steady_clip(at, track, stop.get_token());
        QVERIFY(!stopped && stopped.error().code == Code::cancelled);
        const auto bare = path("bare.mp4");
        auto b = ClipWriter::create(bare, 320, 240, 24);
        sim::Image grey;
        grey.width = 320, grey.height = 240;
        grey.rgb.assign(320 * 240 * 3, 120);
        Track none;
        none.width = 320, none.height = 240;
        for (int i = 0; i < 20; ++i) {
            QVERIFY(b->add(grey, i / 24.0).has_value());
            none.time_s.push_back(i / 24.0);
            none.px.emplace_back();
            none.m.emplace_back();
        }
        QVERIFY(b->finish().has_value());
        const auto nothing = steady_clip(bare, none);
        QVERIFY(!nothing && nothing.error().code == Code::cannot_judge && nothing.error().context == "no_background");
    }
    void a_point_is_followed_between_two_marks() {
        sim::TakeOptions o = sim::take_of(10, 1.70);
        o.phone.width = 960;
        o.phone.height = 540;
        o.phone.fps = 24;
        o.from_s = 4;
        o.to_s = 5.6;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto at = path("followed.mp4");
        auto w = ClipWriter::create(at, 960, 540, 24, 18);
        for (std::size_t i = 0; i < take.frames(); ++i) QVERIFY(w->add(take.picture(i), take.track().time_s[i]).has_value());
        QVERIFY(w->finish().has_value());
        auto truth = [&](std::size_t i) { return Vec2((*take.track().px[i])[left_wrist].x, (*take.track().px[i])[left_wrist].y); };
        const auto last = static_cast<std::uint32_t>(take.frames() - 3);
        const auto way = follow_point(at, 2, truth(2), last, truth(last), 400);
        QVERIFY(way.has_value());
        QCOMPARE(way->size(), std::size_t{last - 3});
        QCOMPARE(way->front().frame, 3U);
        double sum = 0, straight = 0;
        int sure = 0;
        for (const auto& f : *way) {
            const double u = (f.frame - 2.0) / (last - 2.0);
            straight += (truth(2) + u * (truth(last) - truth(2)) - truth(f.frame)).norm() / static_cast<double>(way->size());
            if (f.unsure) continue;
            sum += (f.at - truth(f.frame)).norm();
            ++sure;
        }
        // A drawn arm has little for the flow to hold on to; what it is sure of is right.
        QVERIFY2(3 * sure > static_cast<int>(way->size()),
                 qPrintable(QStringLiteral("%1 of %2, %3 px off, straight %4").arg(sure).arg(way->size()).arg(sum / sure).arg(straight)));
        QVERIFY2(sum / sure < 3 && sum / sure < straight,
                 qPrintable(QStringLiteral("%1 px off, the straight way %2 px").arg(sum / sure).arg(straight)));
        // Marks that contradict each other are said to be unsure, not joined smoothly.
        const auto wrong = follow_point(at, 2, truth(2), last, truth(last) + Vec2(80, -60), 400);
        QVERIFY(wrong.has_value());
        QVERIFY(std::count_if(wrong->begin(), wrong->end(), [](const Followed& f) { return f.unsure; }) * 2 >
                static_cast<int>(wrong->size()));
        QVERIFY(!follow_point(at, 5, truth(5), 6, truth(6), 400));
        QVERIFY(!follow_point(at, 5, truth(5), 900, truth(6), 400));
    }
    void a_clip_that_was_compressed_anew_is_known() {
        const QString demo = QStringLiteral(BEVEL_SOURCE_DIR "/data/demo/clips/");
        auto sent = [&](const char* clip, const char* name, const QStringList& how) -> Result<Track> {
            const QString out = dir_.filePath(QLatin1String(name));
            QProcess p;
            p.start(QStringLiteral("ffmpeg"),
                    QStringList{QStringLiteral("-v"), QStringLiteral("error"), QStringLiteral("-y"), QStringLiteral("-i"),
                                demo + QLatin1String(clip), QStringLiteral("-t"), QStringLiteral("9"), QStringLiteral("-an")} +
                        how + QStringList{out});
            if (!p.waitForFinished(60000) || p.exitCode() != 0) return fail(Code::unreadable, p.readAllStandardError().toStdString());
            TrackOptions options;
            options.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
            options.model = Model::lite;
            return track_clip(out.toStdString(), options).map([](const auto& found) { return found.track; });
        };
        const auto first = sent("ilse-moon-front.mp4", "first.mp4", {QStringLiteral("-crf"), QStringLiteral("18")});
        const auto small = sent("ilse-moon-front.mp4", "small.mp4",
                                {QStringLiteral("-vf"), QStringLiteral("scale=trunc(iw/4)*2:-2"), QStringLiteral("-r"),
                                 QStringLiteral("15"), QStringLiteral("-crf"), QStringLiteral("36")});
        const auto other = sent("ilse-moon-front-later.mp4", "other.mp4", {QStringLiteral("-crf"), QStringLiteral("18")});
        for (const auto* t : {&first, &small, &other}) QVERIFY2(t->has_value(), t->has_value() ? "" : t->error().context.c_str());
        QVERIFY(same_take(*first, *small) && same_take(*small, *first));
        QVERIFY(!same_take(*first, *other) && !same_take(*small, *other));
    }
    void one_of_two_people_is_followed_and_can_be_chosen() {
        sim::TakeOptions near = sim::take_of(9, 1.78), far = sim::take_of(12, 1.60);
        near.phone.width = far.phone.width = 640;
        near.phone.height = far.phone.height = 720;
        near.phone.focal = far.phone.focal = 1.2;
        far.phone.distance_m = 5.5;
        near.from_s = far.from_s = 3;
        near.to_s = far.to_s = 3.4;
        const sim::Take a(test::movement("gaze_at_the_moon"), near), b(test::movement("separate_the_clouds"), far);
        auto both = [&](std::size_t i) {
            const sim::Image l = a.picture(i), r = b.picture(i);
            sim::Image im;
            im.width = 1280;
            im.height = 720;
            for (int y = 0; y < 720; ++y)
                for (const auto* half : {&l, &r})
                    im.rgb.insert(im.rgb.end(), half->rgb.begin() + y * 640 * 3, half->rgb.begin() + (y + 1) * 640 * 3);
            return im;
        };
        {
            // Both are seen, the larger one first, each where it stands.
            auto finder = BodyFinder::load(std::filesystem::path(BEVEL_SOURCE_DIR) / "models", Model::lite);
            const auto people = finder->people(both(0));
            QVERIFY2(people.size() == 2, qPrintable(QStringLiteral("%1: %2 %3").arg(people.size()).arg(people[0].cx).arg(people[0].side)));
            QVERIFY(people[0].side >= people[1].side);
            auto hips = [](const sim::Take& t) { return 0.5 * ((*t.track().px[0])[left_hip].x + (*t.track().px[0])[right_hip].x); };
            QVERIFY2(std::abs(people[0].cx - hips(a)) < 40 && std::abs(people[1].cx - 640 - hips(b)) < 40,
                     qPrintable(QStringLiteral("%1 %2").arg(people[0].cx).arg(people[1].cx)));
        }
        for (const bool choose : {false, true}) {
            auto finder = BodyFinder::load(std::filesystem::path(BEVEL_SOURCE_DIR) / "models", Model::lite);
            QVERIFY(finder.has_value());
            if (choose) finder->choose(640 + 320, 400);
            for (std::size_t i = 0; i < 6; ++i) {
                const auto found = finder->next(both(i));
                QVERIFY(found.has_value());
                const auto& truth = choose ? *b.track().px[i] : *a.track().px[i];
                const double off = (*found)[left_hip].x - (truth[left_hip].x + (choose ? 640 : 0));
                QVERIFY2(std::abs(off) < 30, qPrintable(QStringLiteral("frame %1: %2 px").arg(i).arg(off)));
            }
        }
    }
};
QTEST_GUILESS_MAIN(TestFinding)
#include "test_finding.moc"
