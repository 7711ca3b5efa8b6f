// Painters, the letter and the sentences, against what a reader must see.
#include "support/synthetic.h"
#include "ui/paint/body.h"
#include "ui/paint/lanes.h"
#include "ui/paint/letter_document.h"
#include "ui/text/text.h"
#include <cmath>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;
using namespace bevel::ui;

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

QImage canvas(int w, int h) {
    QImage im(w, h, QImage::Format_RGB32);
    im.fill(Qt::white);
    return im;
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

LetterContent letter(int corrections) {
    LetterContent c;
    c.student = QStringLiteral("Wen Adeyemi");
    c.instructor = QStringLiteral("Maren Oduya");
    c.place = QStringLiteral("Lantern Quay");
    c.movement = QStringLiteral("Gaze at the Moon");
    c.view = QStringLiteral("from the front");
    c.date = QDate(2026, 11, 12);
    c.opening = QStringLiteral("Dear Wen, thank you for your clip.");
    c.praise = QStringLiteral("The stance has a good width.");
    c.closing = QStringLiteral("Warm wishes,");
    for (int i = 0; i < corrections; ++i) {
        LetterItem item;
        item.moment = QStringLiteral("Pour the weight across, 0:04.0");
        item.cue = QStringLiteral("Correction number %1: let the knee look where the toes look & stay soft.").arg(i + 1);
        item.figure = QStringLiteral("Knee falls in, left: 12° (± 3°; aim: up to 6°), in 2 of 2 repetitions");
        item.caution = text::caution(QStringLiteral("knees"));
        item.still = item.reference = canvas(720, 496);
        c.items.push_back(item);
    }
    c.cautions << text::caution(QStringLiteral("general"));
    return c;
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
    void a_hidden_face_cannot_be_known() {
        auto o = sim::take_of(4, 1.7);
        o.to_s = 0.05;
        const sim::Take take(test::movement("gaze_at_the_moon"), o);
        const QImage before = to_image(take.picture(0));
        QImage after = before;
        const BodyPx& body = *take.track().px[0];
        hide_face(after, body);
        const QPoint nose_at(static_cast<int>(body[nose].x), static_cast<int>(body[nose].y));
        QSet<QRgb> tones;
        const double head = std::abs(body[left_ear].x - body[right_ear].x);
        for (int dy = -static_cast<int>(head / 2); dy <= head / 2; ++dy)
            for (int dx = -static_cast<int>(head / 2); dx <= head / 2; ++dx) tones.insert(after.pixel(nose_at + QPoint(dx, dy)));
        QVERIFY(tones.size() <= 16); // a few blocks, no eyes
        QCOMPARE(after.pixel(static_cast<int>(body[left_knee].x), static_cast<int>(body[left_knee].y)),
                 before.pixel(static_cast<int>(body[left_knee].x), static_cast<int>(body[left_knee].y)));
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
            QVERIFY(write_letter_pdf(file.toStdString(), c).has_value());
            const QString words = words_of(file);
            for (const QString& w : {c.place, c.student, c.opening, c.praise, QStringLiteral("licensed clinician")})
                QVERIFY2(words.simplified().contains(w), qPrintable(w));
            QCOMPARE(words.count(QStringLiteral("Correction number")), n);
            QCOMPARE(words.contains(QStringLiteral("Knees follow the toes")), n > 0);
            QCOMPARE(words.count(QLatin1Char('\f')), letter_pages(c)); // pdftotext ends each page with a form feed
        }
        QCOMPARE(letter_pages(letter(1)), 1);
        QVERIFY(letter_pages(letter(3)) <= 2);
        QVERIFY(!write_letter_pdf("/nonexistent/letter.pdf", letter(1)));
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
        source.wording[finding_key(r->findings.front())] = QStringLiteral("Open the knee like a gate.");
        const auto c = compose_letter(source, *catalogue, Theme());
        QCOMPARE(c.items.size(), 3);
        QCOMPARE(c.items[0].cue, QStringLiteral("Open the knee like a gate."));
        QVERIFY(c.items[0].figure.contains(QStringLiteral("±")) && c.items[0].figure.contains(QStringLiteral("repetition")));
        QVERIFY(!c.items[0].caution.isEmpty()); // a knee
        QVERIFY(c.items[0].still.isNull());
    }
    void figures_read_as_people_write_them() {
        QCOMPARE(text::figure(0.544, QStringLiteral("1")), QStringLiteral("54 %"));
        QCOMPARE(text::figure(-3.2, QStringLiteral("deg")), QStringLiteral("−3°"));
        QCOMPARE(text::figure(-0.2, QStringLiteral("deg")), QStringLiteral("0°")); // no minus zero
        QCOMPARE(text::figure(1.01, QStringLiteral("SW"), 0.36), QStringLiteral("1.01 SW (36 cm)"));
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
