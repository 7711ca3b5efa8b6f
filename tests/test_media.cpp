#include "core/ground/derive.h"
#include "core/ground/motion.h"
#include "media/tracker.h"
#include "support/synthetic.h"
#include <cmath>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <set>

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

    /// A clip made by another program: what it draws, how it encodes.
    QString made(const QString& source, const QStringList& how, const QString& ending = QStringLiteral("mp4")) {
        static int n = 0;
        const QString file = dir_.filePath(QStringLiteral("foreign%1.%2").arg(n++).arg(ending));
        QProcess p;
        QStringList args{"-v", "error", "-y", "-f", "lavfi", "-i", source};
        p.start(QStringLiteral("ffmpeg"), args + how + QStringList{file});
        if (!p.waitForFinished(60000) || p.exitCode() != 0) qWarning("%s", p.readAllStandardError().constData());
        return file;
    }

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
    void clips_of_other_programs_show_their_true_colours_data() {
        QTest::addColumn<QStringList>("how");
        QTest::addColumn<int>("height");
        auto row = [](const char* name, const char* matrix, const char* range, int height, const QStringList& more = {}) {
            const QString m = QLatin1String(matrix), r = QLatin1String(range);
            QStringList how{
                QStringLiteral("-vf"),          QStringLiteral("scale=out_color_matrix=%1:out_range=%2,format=yuv420p").arg(m, r),
                QStringLiteral("-colorspace"),  m == QLatin1String("bt601") ? QStringLiteral("smpte170m") : m,
                QStringLiteral("-color_range"), r};
            QTest::newRow(name) << how + more << height;
        };
        row("601, limited", "bt601", "tv", 240);
        row("709, limited", "bt709", "tv", 240);
        row("709, full", "bt709", "pc", 720);
        row("601, full, B-frames", "bt601", "pc", 240, {"-bf", "3"});
        row("709, VP9 in WebM", "bt709", "tv", 720, {"-c:v", "libvpx-vp9"});
    }
    void clips_of_other_programs_show_their_true_colours() {
        QFETCH(QStringList, how);
        QFETCH(int, height);
        const QString file = made(QStringLiteral("color=c=0xC83250:s=%1x%2:r=25:d=0.6").arg(height * 4 / 3).arg(height), how,
                                  how.contains(QStringLiteral("libvpx-vp9")) ? QStringLiteral("webm") : QStringLiteral("mp4"));
        auto reader = ClipReader::open(file.toStdString());
        QVERIFY(reader.has_value());
        QCOMPARE(reader->info().time_s.size(), std::size_t{15});
        const auto im = reader->frame(7);
        QVERIFY(im.has_value());
        const auto* p = (*im)->rgb.data() + (static_cast<std::size_t>((*im)->height / 2) * (*im)->width + (*im)->width / 2) * 3;
        const std::array<int, 3> want{200, 50, 80};
        for (std::size_t c = 0; c < 3; ++c)
            QVERIFY2(std::abs(p[c] - want[c]) <= 7, qPrintable(QStringLiteral("%1 %2 %3").arg(p[0]).arg(p[1]).arg(p[2])));
    }
    void pixels_that_are_not_square_are_made_so() {
        const QString file = made(QStringLiteral("testsrc=s=160x240:r=25:d=0.4"), {"-vf", "setsar=2/1,format=yuv420p"});
        auto reader = ClipReader::open(file.toStdString());
        QVERIFY(reader.has_value());
        QCOMPARE(reader->info().width, 320);
        QCOMPARE((*reader->frame(2))->width, 320);
        QCOMPARE((*reader->frame(2))->height, 240);
    }
    void high_dynamic_range_is_shown_plainly() {
        // Diffuse white of 203 cd/m2 has the PQ code 0.58: it must come out bright, and black black.
        for (const auto& [source, low, high] : {std::tuple{"color=c=0x949494", 200, 240}, {"color=c=0x000000", 0, 12}}) {
            const QString file = made(QLatin1String(source) + QStringLiteral(":s=320x240:r=25:d=0.4"),
                                      {"-vf", "scale=out_range=tv,format=yuv420p10le", "-c:v", "libx265", "-x265-params", "log-level=none",
                                       "-color_trc", "smpte2084", "-color_primaries", "bt2020", "-colorspace", "bt2020nc"});
            auto reader = ClipReader::open(file.toStdString());
            QVERIFY(reader.has_value());
            const auto im = reader->frame(1);
            QVERIFY(im.has_value());
            const int v = (*im)->rgb[(static_cast<std::size_t>(120) * 320 + 160) * 3];
            QVERIFY2(v >= low && v <= high, qPrintable(QString::number(v)));
        }
    }
    void frames_that_are_not_there_cost_no_search_and_the_rest_is_right() {
        // One key frame at the start only; the data of twelve frames are blanked.
        const QString file = made(QStringLiteral("testsrc=s=320x240:r=25:d=6"), {"-g", "500", "-bf", "0", "-pix_fmt", "yuv420p"});
        std::vector<std::pair<std::int64_t, int>> packets; // where and how long, as the other program says
        QProcess probe;
        probe.start(QStringLiteral("ffprobe"), {"-v", "error", "-show_entries", "packet=pos,size", "-of", "csv=p=0", file});
        QVERIFY(probe.waitForFinished());
        for (const auto& line : probe.readAllStandardOutput().split('\n')) {
            const auto two = line.split(',');
            if (two.size() >= 2) packets.emplace_back(two[1].toLongLong(), two[0].toInt());
        }
        QCOMPARE(packets.size(), std::size_t{150});
        QFile f(file);
        QVERIFY(f.open(QIODevice::ReadWrite));
        for (std::size_t k = 40; k < 150; k += 10) {
            f.seek(packets[k].first + 4);
            f.write(QByteArray(packets[k].second - 4, '\0'));
        }
        f.close();
        // Which frames a decoder can still give is for the other program to say; no other is missing here.
        std::set<int> theirs;
        probe.start(QStringLiteral("ffprobe"), {"-v", "quiet", "-show_entries", "frame=pts_time", "-of", "csv=p=0", file});
        QVERIFY(probe.waitForFinished());
        for (const auto& line : probe.readAllStandardOutput().split('\n'))
            if (!line.trimmed().isEmpty()) theirs.insert(static_cast<int>(std::lround(line.split(',')[0].toDouble() * 25)));
        QVERIFY(theirs.size() > 100 && theirs.size() < 145);
        auto reader = ClipReader::open(file.toStdString());
        QVERIFY(reader.has_value());
        int lost = 0;
        for (int i = 0; i < 150; ++i) {
            const bool here = reader->frame(static_cast<std::size_t>(i)).has_value();
            lost += !here && theirs.contains(i) ? 1 : 0;
        }
        QVERIFY2(lost <= 1, qPrintable(QString::number(lost)));
        QVERIFY(reader->info().damaged);
        for (int i = 149; i >= 0; i -= 7) // and in any order
            if (theirs.contains(i)) QVERIFY2(reader->frame(static_cast<std::size_t>(i)).has_value(), qPrintable(QString::number(i)));
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
    void reading_stops_when_it_is_asked_to() {
        const auto file = made(QStringLiteral("testsrc2=size=320x240:rate=30:duration=4"), {});
        std::stop_source stop;
        auto reader = ClipReader::open(file.toStdString(), stop.get_token());
        QVERIFY(reader.has_value());
        QVERIFY(reader->frame(3).has_value());
        stop.request_stop();
        QCOMPARE(reader->frame(100).error().code, Code::cancelled); // not: damaged
        QVERIFY(!reader->info().damaged);
        QCOMPARE(ClipReader::open(file.toStdString(), stop.get_token()).error().code, Code::cancelled);
    }
    void clips_cut_without_coding_anew_and_open_groups_are_read_right_data() {
        QTest::addColumn<QStringList>("how");
        QTest::addColumn<QString>("ending");
        QTest::addColumn<bool>("cut");
        const QStringList open{"-c:v", "libx264", "-x264-params", "open-gop=1:keyint=20:min-keyint=20:bframes=3:scenecut=0"};
        QTest::newRow("open groups of pictures") << open << "mp4" << false;
        QTest::newRow("open groups, matroska") << open << "mkv" << false;
        QTest::newRow("open groups, transport stream") << open << "ts" << false;
        QTest::newRow("hevc") << QStringList{"-c:v", "libx265", "-x265-params",
                                             "open-gop=1:keyint=20:min-keyint=20:bframes=3:log-level=none"}
                              << "mp4" << false;
        QTest::newRow("an edit list hides the beginning") << open << "mp4" << true;
        QTest::newRow("many pictures between") << QStringList{"-c:v", "libx264", "-bf", "8", "-g", "60"} << "mov" << false;
    }
    void clips_cut_without_coding_anew_and_open_groups_are_read_right() {
        QFETCH(QStringList, how);
        QFETCH(QString, ending);
        QFETCH(bool, cut);
        // A square that walks right by two pixels a frame: each picture tells its number.
        const int n = 100;
        auto file =
            made(QStringLiteral("color=c=black:size=320x64:rate=25:duration=4"),
                 QStringList{"-vf", "geq=lum='if(between(X,2*N+20,2*N+51),235,16)':cb=128:cr=128", "-pix_fmt", "yuv420p"} + how, ending);
        int from = 0;
        if (cut) {
            const QString all = file;
            file = dir_.filePath(QStringLiteral("cut.mp4"));
            QProcess p;
            p.start(QStringLiteral("ffmpeg"), {"-v", "error", "-y", "-ss", "1.2", "-i", all, "-c", "copy", file});
            QVERIFY(p.waitForFinished(30000) && p.exitCode() == 0);
            from = 30;
        }
        auto reader = ClipReader::open(file.toStdString());
        QVERIFY(reader.has_value());
        const auto& times = reader->info().time_s;
        QVERIFY2(static_cast<int>(times.size()) >= n - from - 1 && static_cast<int>(times.size()) <= n - from + 1,
                 qPrintable(QString::number(times.size())));
        auto number = [&](const sim::Image& im) {
            double sum = 0, at = 0;
            for (int x = 0; x < im.width; ++x) {
                const double v = im.rgb[(static_cast<std::size_t>(im.height / 2) * im.width + x) * 3] > 120 ? 1 : 0;
                sum += v;
                at += v * x;
            }
            return sum > 0 ? static_cast<int>(std::lround((at / sum - 35.5) / 2)) : -1;
        };
        auto first = reader->frame(0);
        QVERIFY(first.has_value());
        const int start = number(**first);
        QVERIFY2(std::abs(start - from) <= 1, qPrintable(QString::number(start)));
        std::vector<std::size_t> order;
        for (std::size_t i = 0; i < times.size(); ++i) order.push_back((i * 37) % times.size()); // in no order
        for (const auto i : order) {
            auto f = reader->frame(i);
            QVERIFY2(f.has_value(), qPrintable(QString::number(i)));
            QCOMPARE(number(**f), start + static_cast<int>(i));
        }
        QVERIFY(!reader->info().damaged);
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
