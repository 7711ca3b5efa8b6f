#include "core/ground/motion.h"
#include "media/tracker.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

namespace {
/// A picture whose number can be read back from its brightness in eight vertical stripes.
sim::Image numbered(int n, int w = 160, int h = 160) {
    sim::Image im;
    im.width = w;
    im.height = h;
    im.rgb.resize(static_cast<std::size_t>(w) * h * 3);
    for (int y = 0; y < h; ++y)
        for (int x = 0; x < w; ++x) {
            const int bit = (n >> (x * 8 / w)) & 1;
            for (int c = 0; c < 3; ++c) im.rgb[(static_cast<std::size_t>(y) * w + x) * 3 + c] = bit ? 210 : 40;
        }
    return im;
}
int number_of(const sim::Image& im, bool upright = true) {
    int n = 0;
    for (int b = 0; b < 8; ++b) {
        const int along = (2 * b + 1) * (upright ? im.width : im.height) / 16;
        const auto i = upright ? (static_cast<std::size_t>(im.height / 2) * im.width + along) * 3
                               : (static_cast<std::size_t>(along) * im.width + im.width / 2) * 3;
        if (im.rgb[i] > 125) n |= 1 << b;
    }
    return n;
}
} // namespace

class TestMedia : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::filesystem::path path(const char* name) const { return dir_.filePath(QLatin1String(name)).toStdString(); }

private slots:
    void frame_n_is_frame_n_after_any_seek_data() {
        QTest::addColumn<QString>("file");
        QTest::addColumn<QString>("codec");
        QTest::newRow("h264") << "a.mp4"
                              << "libx264";
        QTest::newRow("h264 mkv") << "a.mkv"
                                  << "libx264";
        QTest::newRow("vp9") << "a.webm"
                             << "libvpx-vp9";
        QTest::newRow("mpeg4 avi") << "a.avi"
                                   << "mpeg4";
        QTest::newRow("mjpeg mov") << "a.mov"
                                   << "mjpeg";
    }
    void frame_n_is_frame_n_after_any_seek() {
        QFETCH(QString, file);
        QFETCH(QString, codec);
        const auto at = path(qPrintable(file));
        auto w = ClipWriter::create(at, 160, 160, 25, 18, codec.toStdString());
        QVERIFY(w.has_value());
        for (int i = 0; i < 120; ++i) QVERIFY(w->add(numbered(i), i / 25.0).has_value());
        QVERIFY(w->finish().has_value());
        auto r = ClipReader::open(at);
        QVERIFY(r.has_value());
        QCOMPARE(r->info().time_s.size(), std::size_t{120});
        for (const std::size_t i : {0, 1, 2, 119, 118, 60, 59, 61, 3, 119, 0, 77, 50, 51, 49}) {
            auto f = r->frame(i);
            QVERIFY(f.has_value());
            QCOMPARE(number_of(**f), static_cast<int>(i));
        }
        QVERIFY(std::abs(r->info().time_s[50] - 2.0) < 0.002);
        QVERIFY(!r->frame(120));
    }
    void variable_frame_rate_is_kept() {
        const auto at = path("vfr.mp4");
        auto w = ClipWriter::create(at, 160, 160, 30);
        QVERIFY(w.has_value());
        std::vector<double> times;
        double t = 0;
        for (int i = 0; i < 60; ++i) {
            times.push_back(t);
            QVERIFY(w->add(numbered(i), t).has_value());
            t += i % 3 == 0 ? 0.060 : 0.021;
        }
        QVERIFY(w->finish().has_value());
        auto r = ClipReader::open(at);
        QVERIFY(r.has_value());
        for (std::size_t i = 0; i < times.size(); ++i) QVERIFY(std::abs(r->info().time_s[i] - times[i]) < 0.001);
        QCOMPARE(number_of(**r->frame(37)), 37);
    }
    void rotation_is_honoured() {
        const auto at = path("turned.mp4");
        auto w = ClipWriter::create(at, 160, 192, 25, 18, "libx264", 90);
        QVERIFY(w.has_value());
        for (int i = 0; i < 5; ++i) QVERIFY(w->add(numbered(13, 160, 192), i / 25.0).has_value());
        QVERIFY(w->finish().has_value());
        auto r = ClipReader::open(at);
        QVERIFY(r.has_value());
        QCOMPARE(r->info().rotation, 90);
        QCOMPARE(r->info().width, 192);
        const auto f = *r->frame(2);
        QCOMPARE(f->width, 192);
        QCOMPARE(f->height, 160);
        QCOMPARE(number_of(*f, false), 13); // stripes from left to right run downwards after a clockwise quarter turn
    }
    void the_room_tells_the_vertical() {
        sim::TakeOptions o = sim::take_of(8, 1.7);
        o.phone.tilt_deg = 6;
        o.phone.roll_deg = 2;
        o.phone.width = 960;
        o.phone.height = 540;
        o.to_s = 0.05;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto picture = std::make_shared<const sim::Image>(take.picture(0));
        const auto v = room_vertical({{picture, take.track().px[0]}});
        QVERIFY(v.has_value());
        QVERIFY(std::abs(v->roll - take.track().vertical->roll) < 0.006);
        QVERIFY(std::abs(v->slope / take.track().vertical->slope - 1) < 0.12);
        sim::Image blank;
        blank.width = blank.height = 200;
        blank.rgb.assign(200 * 200 * 3, 128);
        QVERIFY(!room_vertical({{std::make_shared<const sim::Image>(blank), std::nullopt}}));
    }
    void a_filmed_student_is_found_on_every_frame() {
        sim::TakeOptions o = sim::take_of(9, 1.72);
        o.phone.view = View::front;
        o.phone.fps = 24;
        o.from_s = 3;
        o.to_s = 5;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto at = path("take.mp4");
        auto w = ClipWriter::create(at, o.phone.width, o.phone.height, o.phone.fps);
        QVERIFY(w.has_value());
        for (std::size_t i = 0; i < take.frames(); ++i) QVERIFY(w->add(take.picture(i), take.track().time_s[i]).has_value());
        QVERIFY(w->finish().has_value());
        TrackOptions options;
        options.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
        std::size_t told = 0;
        options.progress = [&](std::size_t done, std::size_t, const std::optional<BodyPx>&) { told = done; };
        const auto found = track_clip(at, options);
        QVERIFY(found.has_value());
        QCOMPARE(told, take.frames());
        QCOMPARE(guess_view(found->track), View::front);
        double sum = 0;
        int n = 0;
        for (std::size_t i = 0; i < take.frames(); ++i) {
            QVERIFY(found->track.px[i].has_value());
            for (const Point p : {left_shoulder, right_shoulder, left_hip, right_hip, left_knee, right_knee, left_ankle, right_ankle}) {
                const auto &a = (*found->track.px[i])[p], &b = (*take.track().px[i])[p];
                sum += std::hypot(a.x - b.x, a.y - b.y);
                ++n;
            }
        }
        QVERIFY2(sum / n < 8, qPrintable(QString::number(sum / n)));
        std::stop_source stop;
        stop.request_stop();
        QCOMPARE(track_clip(at, options, stop.get_token()).error().code, Code::cancelled);
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
    void pictures_of_equal_seeds_agree() {
        sim::TakeOptions o = sim::take_of(9, 1.72);
        o.phone.width = 640;
        o.phone.height = 360;
        o.to_s = 0.05;
        const auto m = test::movement("separate_the_clouds");
        const auto a = sim::Take(m, o).picture(0), b = sim::Take(m, o).picture(0);
        double off = 0;
        for (std::size_t i = 0; i < a.rgb.size(); ++i) off += std::abs(a.rgb[i] - b.rgb[i]);
        QVERIFY(off / static_cast<double>(a.rgb.size()) < 0.1);
    }
};
QTEST_GUILESS_MAIN(TestMedia)
#include "test_media.moc"
