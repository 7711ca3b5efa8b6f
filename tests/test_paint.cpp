// Painters, the letter and the sentences, against what a reader must see.
#include "core/files.h"
#include "media/clip.h"
#include "support/letters.h"
#include "support/synthetic.h"
#include "ui/paint/body.h"
#include "ui/paint/hidden.h"
#include "ui/paint/lanes.h"
#include "ui/paint/letter_document.h"
#include "ui/paint/slow_clip.h"
#include "ui/text/text.h"
#include <cmath>
#include <QProcess>
#include <QSet>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;
using namespace bevel::ui;
using test::canvas, test::letter;

namespace {

std::shared_ptr<const Review> reviewed(const char* id, View view, const char* fault = "") {
    auto o = sim::take_of(12, 1.7);
    o.student.score.repetitions = 1;
    o.phone.fps = 25;
    if (view != View::three_d) o.phone.view = view;
    if (*fault != 0) o.student.faults.push_back(*sim::parse_fault(fault));
    const sim::Take take(test::movement(id), o);
    ReviewOptions ro;
    ro.view = view;
    ro.stature_m = 1.7;
    auto r = make_review(view == View::three_d ? test::room_track(take) : test::pixel_track(take, 1.5, 3), test::movement(id), ro);
    return r ? *r : nullptr;
}

/// Pixels within `r` that are nearer to `c` than to white.
int ink(const QImage& im, const QRect& r, const QColor& c) {
    int n = 0;
    for (int y = r.top(); y <= r.bottom(); ++y)
        for (int x = r.left(); x <= r.right(); ++x) {
            const QColor p = im.pixelColor(x, y);
            const auto away = [&](const QColor& q) {
                return std::abs(p.red() - q.red()) + std::abs(p.green() - q.green()) + std::abs(p.blue() - q.blue());
            };
            n += away(c) < away(Qt::white) ? 1 : 0;
        }
    return n;
}

QImage mark(Verdict v, double size = 1, int towards = -1) {
    QImage im = canvas(44, 44);
    QPainter p(&im);
    draw_mark(p, QRectF(2, 2, 40, 40), v, Theme(), size, towards);
    return im;
}

QString words_of(const QString& pdf) {
    QProcess p;
    p.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), pdf, QStringLiteral("-")});
    return p.waitForFinished(20000) ? QString::fromUtf8(p.readAllStandardOutput()) : QString();
}

} // namespace

class TestPaint : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;

private slots:
    void a_halt_is_marked_under_the_phases_and_a_pause_less() {
        // The same ruler without halts, with one where none is asked, and with one where a pause belongs.
        sim::TakeOptions o = sim::take_of(4, 1.7);
        o.student.score.repetitions = 1;
        const auto m = test::movement("gaze_at_the_moon");
        ReviewOptions ro;
        ro.view = View::three_d;
        ro.stature_m = 1.7;
        const auto made = make_review(test::room_track(sim::Take(m, o)), m, ro);
        QVERIFY(made.has_value());
        Review review = **made;
        const ui::Theme theme;
        const QRectF rect(0, 0, 800, 36);
        const auto map = ui::TimeMapper::clock(0, review.motion.time_s.back());
        auto marked = [&](std::vector<Stop> stops) {
            review.alignment.repetitions.front().stops = std::move(stops);
            QImage im(800, 36, QImage::Format_RGB32);
            im.fill(theme.palette.sheet);
            QPainter p(&im);
            ui::draw_ruler(p, rect, review, map, theme);
            p.end();
            int n = 0;
            for (int y = 0; y < im.height(); ++y)
                for (int x = 0; x < im.width(); ++x) n += im.pixelColor(x, y) == theme.palette.outside ? 1 : 0;
            return n;
        };
        const double at = review.alignment.repetitions.front().start_s + 1;
        QCOMPARE(marked({}), 0);
        const int halt = marked({{at, at + 2, 0, false}}), wide = static_cast<int>(map.x(at + 2, rect) - map.x(at, rect));
        QVERIFY2(halt >= 3 * wide && halt <= 6 * (wide + 2), qPrintable(QString::number(halt)));
        QCOMPARE(marked({{at, at + 2, 0, true}}), 0);
    }
    void initTestCase() { Theme::load_fonts(test::data_dir()); }

    void the_shape_of_a_mark_carries_its_meaning() {
        const Theme theme;
        const QRect all(0, 0, 44, 44), middle(18, 18, 8, 8), left(0, 0, 22, 44), right(22, 0, 22, 44);
        const QImage ring = mark(Verdict::inside), half = mark(Verdict::edge), dashed = mark(Verdict::cannot_tell);
        QCOMPARE(ink(ring, middle, theme.palette.inside), 0);
        QVERIFY(ink(ring, left, theme.palette.inside) > 100 &&
                std::abs(ink(ring, left, theme.palette.inside) - ink(ring, right, theme.palette.inside)) < 20);
        QVERIFY(ink(half, left, theme.palette.edge) > 100);
        QVERIFY(ink(half, right.adjusted(3, 0, 0, 0), theme.palette.edge) < 15);
        const int gaps = ink(dashed, all, theme.palette.cannot);
        QVERIFY(gaps > 60 && gaps < 0.8 * ink(ring, all, theme.palette.inside));
        // The wedge is thick away from where it should go, and thicker the farther off.
        const QImage down = mark(Verdict::outside, 1, -1), up = mark(Verdict::outside, 1, 1);
        const QColor red = theme.palette.outside;
        QVERIFY(ink(down, right, red) > 2 * ink(down, left, red));
        QVERIFY(ink(up, left, red) > 2 * ink(up, right, red));
        QVERIFY(ink(mark(Verdict::outside, 0), all, red) < ink(down, all, red));
        QVERIFY(ink(down, all, red) < ink(mark(Verdict::outside, 3), all, red));
    }
    void time_turns_into_pixels_and_back() {
        const auto r = reviewed("gaze_at_the_moon", View::front);
        QVERIFY(r);
        const double end = r->measures.time_s.back();
        for (const TimeMapper& map : {TimeMapper::clock(0, end), TimeMapper::movement(*r)}) {
            QCOMPARE(map.share(0), 0.0);
            QVERIFY(std::abs(map.share(end) - 1) < 1e-9);
            for (double t = 0; t < end; t += 0.37) QVERIFY(std::abs(map.time(map.share(t)) - t) < 1e-6);
            const TimeMapper zoomed = map.zoomed(4, 8);
            QVERIFY(std::abs(zoomed.share(4)) < 1e-9 && std::abs(zoomed.share(8) - 1) < 1e-9);
            QVERIFY(zoomed.share(3) < 0 && zoomed.share(9) > 1);
        }
        // By the movement equal phases are equally wide, however long they took.
        const TimeMapper by_movement = TimeMapper::movement(*r);
        const auto& reps = r->alignment.repetitions;
        for (std::size_t i = 0; i < reps[0].phases.size(); ++i) {
            const auto width = [&](const Repetition& rep) {
                return by_movement.share(rep.phases[i].end_s) - by_movement.share(rep.phases[i].start_s);
            };
            QVERIFY(std::abs(width(reps[0]) - width(reps[1])) < 1e-6);
        }
    }
    void the_band_of_the_leading_foot_turns_with_the_side() {
        Check c;
        c.measure = "weight.lead";
        c.low = 0.7;
        c.high = 0.95;
        MeasureSeries left{"weight.left", "1", std::nullopt, {}};
        Repetition rep;
        rep.side = Side::left;
        QVERIFY(band_of(c, rep, left)->low == 0.7 && band_of(c, rep, left)->high == 0.95);
        rep.side = Side::right;
        QVERIFY(std::abs(*band_of(c, rep, left)->low - 0.05) < 1e-12 && std::abs(*band_of(c, rep, left)->high - 0.3) < 1e-12);
        c.measure = "knee.flexion";
        c.side = "lead";
        MeasureSeries knee{"knee.flexion", "deg", Side::left, {}};
        QVERIFY(!band_of(c, rep, knee));
        QVERIFY(!band_of(c, rep, left));
    }
    void a_peak_of_one_frame_is_drawn_at_its_full_height() {
        const auto r = reviewed("gaze_at_the_moon", View::front);
        QVERIFY(r);
        const Theme theme;
        MeasureSeries spiky = r->measures.series.at("trunk.side");
        for (auto& s : spiky.samples) s = {0, 0.1, Absent::none};
        const std::size_t at = spiky.samples.size() / 2;
        spiky.samples[at].value = 40;
        // Several frames to a pixel: the peak must not be lost among its neighbours.
        const TimeMapper map = TimeMapper::clock(0, r->measures.time_s.back());
        QImage im = canvas(200, 100);
        QPainter p(&im);
        Lane lane;
        lane.series = &spiky;
        draw_lane(p, QRectF(0, 0, 199, 99), lane, *r, reference_times(*r), map, theme);
        p.end();
        int top = 100, base = 0;
        const int x = static_cast<int>(map.x(r->measures.time_s[at], QRectF(0, 0, 199, 99)));
        for (int dx = -1; dx <= 1; ++dx)
            for (int y = 0; y < 100; ++y)
                if (ink(im, QRect(x + dx, y, 1, 1), theme.palette.accent) > 0) top = std::min(top, y), base = std::max(base, y);
        // Four fifths of the lane from foot to tip: a tenth is room on either side.
        QVERIFY2(base - top > 70, qPrintable(QStringLiteral("%1 to %2").arg(top).arg(base)));
    }
    void a_long_hold_is_drawn_in_windows_and_what_was_left_out_is_hatched() {
        const Theme theme;
        const auto pixels = [](const QImage& im, const QColor& c) {
            int n = 0;
            for (int y = 0; y < im.height(); ++y)
                for (int x = 0; x < im.width(); ++x) n += im.pixelColor(x, y) == c;
            return n;
        };
        std::array<int, 2> outside{};
        for (const bool sinks : {false, true}) {
            Movement done = test::movement("embrace_the_post");
            for (auto& p : done.phases)
                if (p.role == "hold") p.duration_s = 60, p.ease = Ease::flow, p.posture.depth -= sinks ? 0.08 : 0;
            auto o = sim::take_of(500, 1.55);
            o.student.score.repetitions = 1;
            ReviewOptions ro;
            ro.view = View::three_d;
            ro.stature_m = 1.55;
            const auto r = make_review(test::room_track(sim::Take(done, o)), test::movement("embrace_the_post"), ro);
            QVERIFY(r);
            Lane lane{QStringLiteral("Hip height"), QStringLiteral("1"), {}, (*r)->measures.find("hip.height"), nullptr, std::nullopt, {}};
            for (const auto& c : (*r)->movement.checks)
                if (c.id == "hold_hip_height") lane.checks.push_back(&c);
            QCOMPARE(lane.checks.size(), std::size_t{1});
            const auto map = TimeMapper::clock(0, (*r)->motion.time_s.back());
            QImage im = canvas(1000, 160);
            {
                QPainter p(&im);
                draw_lane(p, QRectF(0, 0, 999, 119), lane, **r, reference_times(**r), map, theme);
                Review some = **r; // the second of the two is left out
                some.alignment.left_out = {
                    {some.alignment.repetitions.back().start_s, some.alignment.repetitions.back().end_s, NotJudged::Why::unlike, {}}};
                some.alignment.repetitions.pop_back();
                draw_ruler(p, QRectF(0, 122, 999, 36), some, map, theme);
            }
            outside[sinks ? 1 : 0] = pixels(im.copy(0, 0, 1000, 120), theme.palette.outside);
            QVERIFY(pixels(im.copy(0, 0, 1000, 120), theme.palette.ink) > (sinks ? 50 : 200)); // windows within what is let
            if (!sinks) QCOMPARE(pixels(im.copy(60, 112, 380, 7), theme.palette.faint), 0); // a limit below the lane is no line at its edge
            // Hatched where nothing was judged, and only there.
            const auto from = static_cast<int>(map.x((*r)->alignment.repetitions.back().start_s, QRectF(0, 0, 999, 1)));
            QVERIFY(pixels(im.copy(from + 120, 122, 250, 18), theme.palette.faint) > 100);
            QVERIFY(pixels(im.copy(from - 200, 124, 120, 14), theme.palette.faint) < 20);
        }
        QCOMPARE(outside[0], 0);
        QVERIFY(outside[1] > 100); // the last windows lie beyond what is let
    }
    void a_lane_shows_its_band_and_hatches_what_it_cannot_tell() {
        const auto r = reviewed("gaze_at_the_moon", View::front);
        QVERIFY(r);
        const Theme theme;
        const TimeMapper map = TimeMapper::clock(0, r->measures.time_s.back());
        auto painted = [&](const char* key) {
            QImage im = canvas(600, 100);
            QPainter p(&im);
            Lane lane;
            lane.series = &r->measures.series.at(key);
            lane.reference = r->reference->measures().find(lane.series->id, lane.series->side);
            for (const auto& c : r->movement.checks) lane.checks.push_back(&c);
            draw_lane(p, QRectF(0, 0, 599, 99), lane, *r, reference_times(*r), map, theme);
            return im;
        };
        const QImage side = painted("trunk.side");
        int band = 0;
        for (int x = 0; x < 600; ++x)
            for (int y = 0; y < 100; ++y) band += side.pixelColor(x, y) == theme.palette.band ? 1 : 0;
        QVERIFY(band > 2000);
        const QImage lean = painted("trunk.lean"); // not from the front
        auto course = [&](const QImage& im) {
            int n = 0;
            for (int x = 0; x < 600; ++x)
                for (int y = 0; y < 100; ++y) n += im.pixelColor(x, y) == theme.palette.accent ? 1 : 0;
            return n;
        };
        QVERIFY(course(side) > 300);
        QCOMPARE(course(lean), 0);
        QVERIFY(lean != side);
    }
    void the_tide_rises_with_the_weight() {
        const auto r = reviewed("gaze_at_the_moon", View::front);
        QVERIFY(r);
        const Theme theme;
        const TimeMapper map = TimeMapper::clock(0, r->measures.time_s.back());
        QImage im = canvas(800, 124);
        QPainter p(&im);
        draw_tide(p, QRectF(0, 0, 799, 123), *r, reference_times(*r), map, theme);
        p.end();
        // Blue hangs from the top as far as the left foot carries.
        const auto& share = r->measures.series.at("weight.left");
        for (const double t : {7.0, 15.5}) {
            const auto i = static_cast<std::size_t>(std::lower_bound(r->measures.time_s.begin(), r->measures.time_s.end(), t) -
                                                    r->measures.time_s.begin());
            const int x = static_cast<int>(map.x(t, QRectF(0, 0, 799, 123)));
            int blue = 0, red = 0;
            for (int y = 14; y < 110; ++y) {
                const QColor c = im.pixelColor(x, y);
                (c.blue() > c.red() + 8 ? blue : red) += 1;
            }
            QVERIFY(std::abs(blue / double(blue + red) - share.samples[i].value) < 0.12);
        }
    }
    void who_it_is_cannot_be_seen_on_any_still_data() {
        QTest::addColumn<int>("view");
        QTest::addColumn<double>("lean");
        QTest::newRow("front") << static_cast<int>(View::front) << 0.0;
        QTest::newRow("side") << static_cast<int>(View::left) << 0.0;
        QTest::newRow("behind") << static_cast<int>(View::back) << 0.0;
        QTest::newRow("a bow towards the camera") << static_cast<int>(View::front) << 75.0;
        QTest::newRow("a bow seen from the side") << static_cast<int>(View::right) << 75.0;
    }
    void who_it_is_cannot_be_seen_on_any_still() {
        QFETCH(int, view);
        QFETCH(double, lean);
        for (const std::uint64_t seed : {4U, 9U, 14U}) {
            auto o = sim::take_of(seed, 1.5 + 0.02 * static_cast<double>(seed));
            o.phone.view = static_cast<View>(view);
            if (lean > 0) o.student.faults.push_back({sim::Fault::lean_forward, lean, std::nullopt});
            o.from_s = 4;
            o.to_s = 4.05;
            const sim::Take take(test::movement("separate_the_clouds"), o);
            const QImage before = to_image(take.picture(0));
            QImage after = before;
            const BodyPx& body = *take.track().px[0];
            QVERIFY(hide_person(after, body));
            // The head itself: from the ears up to the crown, as the figure was drawn. One colour, whatever was there.
            QSet<QRgb> tones;
            const double tall = std::hypot(body[left_shoulder].x - body[left_ankle].x, body[left_shoulder].y - body[left_ankle].y) / 0.78;
            const QPointF ears(0.5 * (body[left_ear].x + body[right_ear].x), 0.5 * (body[left_ear].y + body[right_ear].y));
            for (double a = 0; a < 6.28; a += 0.1)
                for (double r = 0; r < 0.07 * tall; r += 1) {
                    const QPoint q = (ears + QPointF(r * std::cos(a), r * std::sin(a))).toPoint();
                    if (after.rect().contains(q)) tones.insert(after.pixel(q));
                }
            QVERIFY2(tones.size() == 1, qPrintable(QStringLiteral("%1 tones, seed %2").arg(tones.size()).arg(seed)));
            // Away from the body nothing of the room is left: a single colour.
            tones.clear();
            for (int y = 0; y < after.height(); y += 3)
                for (int x = 0; x < after.width(); x += 3) {
                    double nearest = 1e9;
                    for (const auto& p : body) nearest = std::min(nearest, std::hypot(p.x - x, p.y - y));
                    if (nearest > 0.3 * tall) tones.insert(after.pixel(x, y));
                }
            QCOMPARE(tones.size(), 1);
            // The knee is still seen: that is what the letter is about.
            const QPoint knee(static_cast<int>(body[left_knee].x), static_cast<int>(body[left_knee].y));
            QCOMPARE(after.pixel(knee), before.pixel(knee));
        }
        BodyPx lost{}; // nobody to speak of
        QImage im(200, 200, QImage::Format_RGB32);
        QVERIFY(!hide_person(im, lost));
    }
    /// Legs that stand apart show no room between them, and the legs themselves are still there.
    void no_room_shows_between_the_legs() {
        BodyPx body{};
        for (auto& p : body) p = {200, 200, 1, 1, 0, 0, 0};
        const auto put = [&](Point p, double x, double y) { body[p].x = x, body[p].y = y; };
        // 400 pixels tall, feet wide apart.
        put(left_shoulder, 245, 110), put(right_shoulder, 155, 110), put(left_hip, 222, 220), put(right_hip, 178, 220);
        put(left_knee, 260, 310), put(right_knee, 140, 310), put(left_ankle, 285, 400), put(right_ankle, 115, 400);
        put(left_heel, 285, 412), put(right_heel, 115, 412), put(left_toe, 300, 415), put(right_toe, 100, 415);
        for (const Point p : {nose, left_eye, right_eye, left_ear, right_ear}) put(p, 200, 55);
        for (const Point p : {left_elbow, left_wrist, left_thumb, left_index, left_little}) put(p, 275, 170);
        for (const Point p : {right_elbow, right_wrist, right_thumb, right_index, right_little}) put(p, 125, 170);
        QImage im(400, 460, QImage::Format_RGB32);
        const QRgb room = qRgb(255, 0, 255);
        im.fill(room);
        QVERIFY(hide_person(im, body));
        int strip = 0;
        for (const int y : {300, 330, 360, 390}) {
            const double share = (y - 220) / 180.0, left = 222 + share * 63, right = 178 - share * 63; // axes of the legs
            for (int x = static_cast<int>(right) + 1; x < left; ++x)
                if (im.pixel(x, y) == room && x - right > 22 && left - x > 22) ++strip;
            QCOMPARE(im.pixel(static_cast<int>(left), y), room);
            QCOMPARE(im.pixel(static_cast<int>(right), y), room);
        }
        QCOMPARE(strip, 0);
    }
    void a_hidden_letter_tells_no_name() {
        auto c = letter(2);
        c.student = QStringLiteral("René-Luise Brandt");
        c.opening = QStringLiteral("Dear René, this is Luises clip. RENE BRANDT's feet were quiet.");
        c.items[0].cue = QStringLiteral("Luise: knees over toes");
        const Identity who{c.student, true};
        const auto h = hidden(c, who);
        QVERIFY(h.has_value());
        QCOMPARE(h->opening, QStringLiteral("Dear student, this is student clip. student's feet were quiet."));
        QVERIFY(!h->date.isValid());
        const auto pdf = letter_pdf(*h, true);
        QVERIFY(pdf.has_value());
        const QString file = dir_.filePath(QStringLiteral("hidden.pdf"));
        QVERIFY(write_whole(file.toStdString(), {pdf->constData(), static_cast<std::size_t>(pdf->size())}).has_value());
        QProcess info;
        info.start(QStringLiteral("pdfinfo"), {file});
        QVERIFY(info.waitForFinished());
        const QString about = QString::fromUtf8(info.readAllStandardOutput());
        for (const char* key : {"Title:", "CreationDate:", "ModDate:", "Producer:", "Creator:", "Author:"})
            QVERIFY2(!about.contains(QLatin1String(key)), qPrintable(about));
        const QString everything = words_of(file) + letter_html(*h) + QString::fromLatin1(*pdf);
        for (const char* part : {"RENE", "Luise", "Brandt", "BRANDT"}) QVERIFY2(!everything.contains(QLatin1String(part)), part);
        QVERIFY(!everything.contains(QStringLiteral("René")));
        // What may tell and cannot be decided is refused, not guessed.
        for (auto change :
             std::vector<std::function<void(LetterContent&)>>{[](LetterContent& x) { x.closing = QStringLiteral("As Brandtmann says"); },
                                                              [](LetterContent& x) { x.instructor = QStringLiteral("Maren Brandt"); },
                                                              [](LetterContent& x) { x.place = QStringLiteral("Brandt Hall"); }}) {
            auto d = c;
            change(d);
            const auto refused = hidden(d, who);
            QVERIFY(!refused.has_value() && refused.error().code == Code::tells);
        }
        // Days in a person's own words are for that person to change; those in generated words were left out when they were written.
        for (const char* day :
             {"since Tuesday, October 13", "am 3. November", "on 2026-10-13", "13.10.2026", "the 3rd of May", "3 Nov it was better"}) {
            auto d = c;
            d.closing = QString::fromUtf8(day);
            QVERIFY2(!hidden(d, who), day);
            QVERIFY2(hidden(d, {c.student, false}).has_value(), day);
        }
        for (const char* none : {"may be better by 3", "in 3 minutes", "7 of 10", "1.5 cm", "10/10", "half past 7"}) {
            auto d = c;
            d.closing = QString::fromUtf8(none);
            QVERIFY2(hidden(d, who).has_value(), none);
        }
        QVERIFY(tells(QStringLiteral("letter-luise-may"), who));
        QVERIFY(!tells(QStringLiteral("letter-may"), who));
    }
    void a_name_is_hidden_in_every_script() {
        struct Row {
            const char *name, *text, *gone;
            bool refused;
        };
        for (const Row& r :
             {Row{"李明", "李明今天很好，继续练习。", "李明", false}, Row{"김민수", "민수는 오늘 잘했어요. 김민수님", "민수", false},
              Row{"佐藤 花子", "花子さんの膝は静かでした。", "花子", false}, Row{"สมชาย ใจดี", "วันนี้สมชายทำได้ดี", "สมชาย", false},
              Row{"欧阳修文", "修文，站得更稳了", "修文", false}, Row{"Ян", "Яна осанка", "Яна", true},
              Row{"Jo Li", "Jos feet", "Jos", true}, Row{"An", "Ans feet", "Ans", true}, Row{"Ольга", "Ольги сегодня", "Ольги", true}}) {
            auto c = letter(1);
            c.student = QString::fromUtf8(r.name);
            c.opening = QString::fromUtf8(r.text);
            const auto h = hidden(c, {c.student, false});
            if (h)
                QVERIFY2(!h->opening.contains(QString::fromUtf8(r.gone)), qPrintable(h->opening));
            else
                QVERIFY2(r.refused, r.name);
        }
        // Words that only begin like a short name are words.
        auto c = letter(1);
        c.student = QStringLiteral("An Jo");
        c.opening = QStringLiteral("And then any job, an answer and joy.");
        const auto h = hidden(c, {c.student, false});
        QVERIFY2(h, h ? "" : h.error().context.c_str());
    }
    void a_slow_motion_clip_is_as_slow_as_said_and_shows_nobody_when_hidden() {
        auto o = sim::take_of(6, 1.7);
        o.phone.fps = 25;
        o.to_s = 4;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const auto source = std::filesystem::path(dir_.filePath(QStringLiteral("whole.mp4")).toStdString());
        {
            auto w = ClipWriter::create(source, o.phone.width, o.phone.height, 25);
            QVERIFY(w.has_value());
            for (std::size_t i = 0; i < take.frames(); ++i) QVERIFY(w->add(take.picture(i), take.track().time_s[i]).has_value());
            QVERIFY(w->finish().has_value());
        }
        SlowClip what;
        what.from_s = 1, what.to_s = 3, what.slower = 3;
        what.family = Family::knees;
        for (const bool hide : {false, true}) {
            what.hide = hide;
            const auto file = std::filesystem::path(dir_.filePath(hide ? QStringLiteral("h.mp4") : QStringLiteral("s.mp4")).toStdString());
            QVERIFY(write_slow_clip(file, source, take.track(), what, Theme()).has_value());
            auto reader = ClipReader::open(file);
            QVERIFY(reader.has_value());
            QVERIFY(std::abs(reader->info().duration_s() - 6) < 0.1); // two seconds, three times as slow
            const auto first = reader->frame(0);
            QVERIFY(first.has_value());
            QSet<QRgb> corner;
            const QImage im = to_image(**first);
            for (int y = 4; y < 60; y += 4)
                for (int x = 4; x < 60; x += 4) {
                    const QColor c = im.pixelColor(x, y);
                    corner.insert(qRgb(c.red() / 12, c.green() / 12, c.blue() / 12));
                }
            if (hide) QVERIFY2(corner.size() <= 2, qPrintable(QString::number(corner.size()))); // flat, but for the encoder
        }
        // No larger than is said, or not at all: what stood there stays.
        const auto small = std::filesystem::path(dir_.filePath(QStringLiteral("small.mp4")).toStdString());
        const auto as_it_comes = std::filesystem::file_size(dir_.filePath(QStringLiteral("h.mp4")).toStdString());
        what.hide = true;
        what.most_bytes = as_it_comes * 6 / 10;
        QVERIFY(write_slow_clip(small, source, take.track(), what, Theme()).has_value());
        const auto fits = std::filesystem::file_size(small);
        QVERIFY(fits > 1000 && fits <= what.most_bytes);
        what.most_bytes = 500;
        const auto never = write_slow_clip(small, source, take.track(), what, Theme());
        QVERIFY(!never && never.error().code == Code::too_large);
        QCOMPARE(std::filesystem::file_size(small), fits);
        QCOMPARE(QDir(dir_.path()).entryList({QStringLiteral("*trial*")}).size(), 0);
        what.most_bytes = 0;
        what.from_s = 90, what.to_s = 95;
        QVERIFY(!write_slow_clip("/tmp/none.mp4", source, take.track(), what, Theme()));
        what.from_s = 1, what.to_s = 3;
        const auto gone = write_slow_clip("/nonexistent/x.mp4", source, take.track(), what, Theme());
        QVERIFY(!gone.has_value() && gone.error().code == Code::write_failed);
    }
    void the_crop_holds_the_body_and_stays_in_the_picture() {
        auto o = sim::take_of(4, 1.7);
        o.student.score.repetitions = 1;
        o.phone.fps = 10;
        const sim::Take take(test::movement("part_the_horses_mane"), o);
        const QRectF crop = crop_of(take.track(), 0.9);
        QVERIFY(std::abs(crop.width() / crop.height() - 0.9) < 1e-9);
        QVERIFY(crop.left() >= 0 && crop.right() <= take.track().width + 1e-9);
        for (const auto& f : take.track().px)
            for (const Point p : {nose, left_toe, right_heel}) QVERIFY(crop.contains((*f)[p].x, (*f)[p].y));
    }
    void the_letter_prints_what_was_chosen() {
        for (const int n : {0, 1, 3}) {
            const auto c = letter(n);
            const QString file = dir_.filePath(QStringLiteral("letter%1.pdf").arg(n));
            const auto pdf = letter_pdf(c);
            QVERIFY(pdf && write_whole(file.toStdString(), {pdf->constData(), static_cast<std::size_t>(pdf->size())}).has_value());
            const QString words = words_of(file);
            for (const QString& w : {c.place, c.student, c.opening, c.praise, QStringLiteral("licensed clinician")})
                QVERIFY2(words.simplified().contains(w), qPrintable(w));
            QCOMPARE(words.count(QStringLiteral("Correction number")), n);
            QCOMPARE(words.contains(QStringLiteral("Knees follow the toes")), n > 0);
            QCOMPARE(words.count(QLatin1Char('\f')), letter_pages(c)); // pdftotext ends each page with a form feed
        }
        QCOMPARE(letter_pages(letter(1)), 1);
        QVERIFY(letter_pages(letter(3)) <= 2);
    }
    void the_letter_as_html_is_whole_and_escaped() {
        auto c = letter(2);
        c.student = QStringLiteral("<script>Wen</script>");
        const QString html = letter_html(c);
        QVERIFY(!html.contains(QStringLiteral("<script>")));
        QVERIFY(html.contains(QStringLiteral("&lt;script&gt;Wen")));
        QVERIFY(html.contains(QStringLiteral("toes look &amp; stay")));
        QCOMPARE(html.count(QStringLiteral("data:image/png;base64,")), 4);
        QVERIFY(!html.contains(QStringLiteral("http://")) &&
                !html.contains(QStringLiteral("https://"))); // nothing is loaded from elsewhere
    }
    void a_letter_is_composed_from_findings() {
        const auto r = reviewed("gaze_at_the_moon", View::front, "knee_in=18");
        QVERIFY(r);
        const auto catalogue = Catalogue::load(test::data_dir());
        QVERIFY(catalogue.has_value());
        LetterSource source;
        Track track = test::pixel_track(sim::Take(test::movement("gaze_at_the_moon"), sim::take_of(12, 1.7)), 1, 1);
        track.width = 0; // no pictures
        source.track = &track;
        source.review = r;
        for (int i = 0; i < 5; ++i) source.corrections.push_back(r->findings.front());
        source.decisions.push_back({FindingKey::of(r->findings.front()), Choice::kept, "Open the knee like a gate."});
        const auto c = compose_letter(source, *catalogue, Theme());
        QCOMPARE(c.items.size(), 3);
        QCOMPARE(c.items[0].cue, QStringLiteral("Open the knee like a gate."));
        QVERIFY(c.items[0].figure.contains(QStringLiteral("±")) && c.items[0].seen.contains(QStringLiteral("repetition")));
        QVERIFY(!c.items[0].caution.isEmpty()); // a knee
        QVERIFY(c.items[0].still.isNull());
    }
    void figures_read_as_people_write_them() {
        QCOMPARE(text::figure(0.544, QStringLiteral("1")), QStringLiteral("54 %"));
        QCOMPARE(text::figure(-3.2, QStringLiteral("deg")), QStringLiteral("−3°"));
        QCOMPARE(text::figure(-0.2, QStringLiteral("deg")), QStringLiteral("0°")); // no minus zero
        // The stance of a student with shoulder joints 36 cm apart, feet of 26 cm and fists of 9 cm.
        Units units{false, Units::Width::shoulders, 0.36, 0.09, 0.26};
        const QString sw = QStringLiteral("SW");
        QCOMPARE(text::figure(1.01, sw, units), QStringLiteral("1.01 SW"));
        units.width = Units::Width::length;
        QCOMPARE(text::figure(1.01, sw, units), QStringLiteral("36 cm"));
        QCOMPARE(text::with_sigma(1.01, 0.05, sw, units), QStringLiteral("36 ± 2 cm"));
        QCOMPARE(text::band(0.85, 1.15, sw, units), QStringLiteral("31 to 41 cm"));
        units.width = Units::Width::fists;
        QCOMPARE(text::figure(1.0, sw, units), QStringLiteral("4.0 fists"));
        units.width = Units::Width::feet;
        QCOMPARE(text::figure(0.65, sw, units), QStringLiteral("0.90 foot lengths"));
        units.width = Units::Width::length;
        units.inches = true;
        QCOMPARE(text::figure(1.01, sw, units), QStringLiteral("14.3 in"));
        QCOMPARE(text::figure(2.54, QStringLiteral("cm"), units), QStringLiteral("1.0 in"));
        units.shoulder_m = 0; // not known of this body: the catalogue's unit stays
        QCOMPARE(text::figure(1.01, sw, units), QStringLiteral("1.01 SW"));
        QCOMPARE(text::with_sigma(6.66, 1.21, QStringLiteral("cm")), QStringLiteral("6.7 ± 1.2 cm"));
        QCOMPARE(text::with_sigma(6.66, 0.001, QStringLiteral("cm")), QStringLiteral("6.7 ± 0.1 cm")); // never finer than it is shown
        QCOMPARE(text::band(-3.0, 8.0, QStringLiteral("deg")), QStringLiteral("−3 to 8°"));
        QCOMPARE(text::band(std::nullopt, 0.1, QStringLiteral("1")), QStringLiteral("up to 10 %"));
        QCOMPARE(text::difference(0.2, QStringLiteral("1")), QStringLiteral("+20"));
        QCOMPARE(text::difference(-2.5, QStringLiteral("cm")), QStringLiteral("−2.5"));
        QCOMPARE(text::time(64.26), QStringLiteral("1:04.3"));
        QCOMPARE(text::time(-1), QStringLiteral("0:00.0"));
        Finding f;
        f.judged = 6;
        f.repetitions = {0, 2, 3, 4, 5};
        QCOMPARE(text::repetitions(f), QStringLiteral("in 5 of 6 repetitions"));
        f.repetitions = {0, 1, 2, 3, 4, 5};
        QCOMPARE(text::repetitions(f), QStringLiteral("in all 6 repetitions"));
    }
    void everything_has_words() {
        const auto catalogue = Catalogue::load(test::data_dir());
        QVERIFY(catalogue.has_value());
        QSet<QString> reasons;
        for (int a = 0; a < static_cast<int>(absent_count); ++a) {
            QVERIFY(!absent_name(static_cast<Absent>(a)).empty());
            reasons.insert(text::absent(static_cast<Absent>(a)));
        }
        QCOMPARE(reasons.size(), static_cast<int>(absent_count)); // each its own
        for (const char* code : {"no_body", "too_short", "feet_cut_off", "too_small", "oblique_view", "view_needed", "no_repetition",
                                 "cancelled", "unreadable: x"})
            QVERIFY2(text::reason(QLatin1String(code)) != QLatin1String(code), code);
        for (const auto& m : load_movements(test::data_dir())) {
            for (const auto& c : m.checks) {
                QVERIFY2(catalogue->find(QString::fromStdString(c.measure)), c.measure.c_str());
                QVERIFY2(!c.good.empty(), c.id.c_str());
            }
            for (const auto& code : m.cautions) QVERIFY2(!text::caution(QString::fromStdString(code)).isEmpty(), code.c_str());
            // Invitations that make people brace are not among the words.
            for (const auto& c : m.checks)
                for (const Cue* cue : {&c.cue_low, &c.cue_high}) {
                    QString words = QString::fromStdString(cue->usual);
                    for (const auto& [role, text] : cue->by_role) words += QString::fromStdString(text);
                    QVERIFY2(!words.contains(QStringLiteral("straighten"), Qt::CaseInsensitive), c.id.c_str());
                }
        }
    }
};
QTEST_MAIN(TestPaint)
#include "test_paint.moc"
