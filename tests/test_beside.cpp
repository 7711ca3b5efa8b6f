// The reference held against the student in pictures, the line a figure stands on, cards for a messenger, and what a student reads.
#include "core/form/form_review.h"
#include "desk/letter.h"
#include "support/synthetic.h"
#include "ui/paint/band_picture.h"
#include "ui/paint/body.h"
#include "ui/paint/compare.h"
#include "ui/paint/lanes.h"
#include "ui/paint/message_card.h"
#include "ui/paint/practice_picture.h"
#include <cmath>
#include <QLineF>
#include <QPainter>
#include <QTest>

using namespace bevel;
using namespace bevel::ui;

namespace {

std::shared_ptr<const Review> reviewed(const char* id, const char* fault) {
    auto o = sim::take_of(12, 1.7);
    o.student.score.repetitions = 2;
    o.phone.view = View::front;
    if (*fault != 0) o.student.faults.push_back(*sim::parse_fault(fault));
    ReviewOptions ro;
    ro.view = View::front;
    ro.stature_m = 1.7;
    auto r = make_review(test::pixel_track(sim::Take(test::movement(id), o), 0.5, 3), test::movement(id), ro);
    return r ? *r : nullptr;
}

/// A body that stands upright about a place, so many pixels tall.
BodyPx upright(double x, double floor, double tall) {
    BodyPx b{};
    const auto set = [&](Point left, double side, double up) {
        b[left] = {x + side * tall, floor - up * tall, 1};
        b[mirrored(left)] = {x - side * tall, floor - up * tall, 1};
    };
    b[nose] = {x, floor - 0.93 * tall, 1};
    set(left_eye, 0.02, 0.94), set(left_ear, 0.04, 0.93), set(left_shoulder, 0.12, 0.82), set(left_elbow, 0.16, 0.62);
    set(left_wrist, 0.17, 0.45), set(left_index, 0.17, 0.4), set(left_hip, 0.06, 0.53), set(left_knee, 0.06, 0.28);
    set(left_ankle, 0.06, 0.05), set(left_heel, 0.06, 0.01), set(left_toe, 0.08, 0.01);
    return b;
}

QPointF at_point(const BodyPx& b, Point p) {
    return {b[p].x, b[p].y};
}

Finding finding_of(const char* check, Direction d, std::optional<Side> side = {}) {
    Finding f;
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            if (rc.check.id == check) f.check = check, f.rule = rule.id, f.measure = rc.check.measure;
    f.verdict = Verdict::outside;
    f.direction = d;
    f.side = side;
    return f;
}

Catalogue catalogue() {
    return *Catalogue::load(test::data_dir());
}

} // namespace

class TestBeside : public QObject {
    Q_OBJECT
private slots:
    void every_fault_has_a_plain_sentence() {
        for (const auto& rule : rule_book().rules)
            for (const auto& rc : rule.checks)
                for (const auto& [cue, fault] :
                     {std::pair{&rc.check.cue_low, &rc.check.fault_low}, {&rc.check.cue_high, &rc.check.fault_high}}) {
                    QVERIFY2(cue->empty() == fault->empty(), rc.check.id.c_str());
                    if (fault->empty()) continue;
                    QVERIFY2(std::isupper(static_cast<unsigned char>(fault->front())) && fault->back() != '.', fault->c_str());
                    QVERIFY2(fault->find_first_of("0123456789°%") == std::string::npos, fault->c_str()); // figures stand beside it
                }
        const auto c = catalogue();
        QCOMPARE(text::fault(finding_of("knee_in", Direction::high, Side::right), c), QStringLiteral("The knee falls in, right"));
        QCOMPARE(text::fault(finding_of("knee_in", Direction::high, Side::right), c, true),
                 QStringLiteral("The knee falls in, on both sides"));
        QCOMPARE(text::fault(finding_of("trunk_lean", Direction::low), c), QStringLiteral("The trunk leans back"));
        // A check of an instructor's own, for which there are no words.
        Finding own = finding_of("trunk_lean", Direction::high);
        own.check = "my_lean";
        QCOMPARE(text::fault(own, c), QStringLiteral("Forward lean: more than asked"));
    }

    void the_reference_stands_on_the_same_foot_as_large_as_the_student() {
        const BodyPx student = upright(300, 700, 500), reference = upright(900, 400, 300);
        for (const Side planted : {Side::left, Side::right}) {
            const BodyPx laid = laid_over(reference, student, planted);
            QVERIFY(QLineF(at_point(laid, on(planted, left_ankle)), at_point(student, on(planted, left_ankle))).length() < 1e-9);
            for (int p = 0; p < point_count; ++p) // the same body: it covers the student
                if (student[p].visibility > 0)
                    QVERIFY(QLineF(at_point(laid, static_cast<Point>(p)), at_point(student, static_cast<Point>(p))).length() < 1e-6);
            const Placement place = placement_of(reference, student, planted);
            QVERIFY(std::abs(place.scale - 500.0 / 300) < 1e-9);
        }
        // One who stands wider keeps the foot that carries where it is, and shows the other beside.
        BodyPx wide = reference;
        wide[right_ankle].x -= 60, wide[right_knee].x -= 30;
        const BodyPx laid = laid_over(wide, student, Side::left);
        QVERIFY(std::abs(laid[left_ankle].x - student[left_ankle].x) < 1e-9);
        QVERIFY(laid[right_ankle].x < student[right_ankle].x - 50);
        // Nobody in the picture: nothing grows without bound.
        QVERIFY(placement_of(BodyPx{}, student, Side::left).scale == 1);
    }

    void what_is_and_what_is_meant_share_their_anchor() {
        const BodyPx student = upright(300, 700, 500);
        BodyPx meant = student;
        for (auto& p : meant) p.x += 40, p.y -= 10; // elsewhere: only the shape may tell
        for (const char* line : {"leg", "trunk", "head", "hips", "shoulders", "feet", "foot", "arm", "centre", "height"}) {
            const Compared c = compare(student, meant, line, Side::left);
            QVERIFY2(!c.empty() && c.is.size() == c.meant.size(), line);
            for (std::size_t i = 0; i < c.is.size(); ++i) QVERIFY2(QLineF(c.is[i], c.meant[i]).length() < 1e-9, line);
        }
        QVERIFY(compare(student, meant, "", Side::left).empty());
        QVERIFY(compare(student, meant, "breath", Side::left).empty());
        // A trunk that leans: they part at the shoulders alone.
        BodyPx leaning = student;
        for (const Point p : {left_shoulder, right_shoulder, left_ear, right_ear, nose}) leaning[p].x += 80;
        const Compared c = compare(leaning, student, "trunk", Side::left);
        QVERIFY(QLineF(c.is[0], c.meant[0]).length() < 1e-9);
        QVERIFY(std::abs(c.is[1].x() - c.meant[1].x() - 80) < 1e-9);
        // Every measure that names a line names one that can be drawn, and those of pictures do.
        const auto all = catalogue();
        int drawn = 0;
        for (const auto& m : all.all())
            if (!m.line.empty()) {
                ++drawn;
                QVERIFY2(!compare(student, meant, m.line, Side::right).empty(), qPrintable(m.id));
            }
        QVERIFY(drawn > 25);
    }

    void a_figure_stands_where_it_is_on_its_line() {
        const auto r = reviewed("gaze_at_the_moon", "knee_in=18");
        QVERIFY(r);
        int looked = 0;
        for (const auto& f : r->findings) {
            if (f.verdict == Verdict::cannot_tell || f.by_hand) continue;
            ++looked;
            const BandSpan span = band_span(f);
            for (const double v : {f.value - f.sigma, f.value + f.sigma, f.low.value_or(f.value), f.high.value_or(f.value)})
                QVERIFY2(span.at(v) > 0 && span.at(v) < 1, f.check.c_str());
            for (const auto& o : f.outcomes) QVERIFY2(span.at(o.value) > 0 && span.at(o.value) < 1, f.check.c_str());
            if (f.low && f.high) QVERIFY(span.at(*f.low) < span.at(*f.high));
            // Nothing is drawn outside of its room, whatever the figure.
            QImage im(600, 140, QImage::Format_RGB32);
            im.fill(Qt::white);
            QPainter p(&im);
            draw_band(p, QRectF(20, 10, 560, 120), f, *r, Theme(), {});
            p.end();
            for (int y = 0; y < im.height(); ++y)
                for (int x = 0; x < 8; ++x) QVERIFY(im.pixel(x, y) == qRgb(255, 255, 255) && im.pixel(599 - x, y) == qRgb(255, 255, 255));
        }
        QVERIFY(looked > 5);
        Finding odd; // no spread at all
        const BandSpan span = band_span(odd);
        QVERIFY(span.high > span.low && std::isfinite(span.at(0)));
    }

    void a_letter_says_each_caution_once_and_what_is_seen_first() {
        const auto r = reviewed("gaze_at_the_moon", "knee_in=18");
        QVERIFY(r);
        const auto c = catalogue();
        Track track;
        LetterSource source;
        source.track = &track;
        source.review = r;
        for (const auto& f : r->findings)
            if (f.verdict == Verdict::outside && source.corrections.size() < 3) source.corrections.push_back(f);
        QVERIFY(!source.corrections.empty());
        for (const bool figures : {true, false}) {
            source.figures = figures;
            const auto letter = compose_letter(source, c, Theme());
            for (const auto& item : letter.items) {
                QVERIFY2(item.seen.endsWith(QLatin1Char('.')) && !item.seen.contains(QStringLiteral("±")), qPrintable(item.seen));
                QCOMPARE(item.figure.isEmpty(), !figures);
                if (figures) QVERIFY(item.figure.contains(QStringLiteral("±")));
            }
            QStringList sentences;
            for (const auto& words : letter.cautions)
                for (const auto& s : words.split(QRegularExpression(QStringLiteral("[.;:]")), Qt::SkipEmptyParts)) {
                    QString plain;
                    for (const QChar ch : s)
                        if (ch.isLetter()) plain += ch.toLower();
                    if (plain.isEmpty()) continue;
                    QVERIFY2(!sentences.contains(plain), qPrintable(s));
                    sentences << plain;
                }
            QVERIFY(letter.cautions.join(QLatin1Char(' ')).contains(QStringLiteral("clinician")));
        }
    }

    void what_goes_with_a_correction_is_proposed_from_the_movement() {
        int with_drill = 0;
        for (const auto& m : load_movements(test::data_dir()))
            for (const auto& check : m.checks) {
                Finding f;
                f.rule = check.rule;
                const auto first = proposed_with(m, f, true, true), second = proposed_with(m, f, false, true);
                QCOMPARE(first.drill, second.drill);
                const auto barred = proposed_with(m, f, true, false); // not what may not be done
                QVERIFY(barred.homework.empty() && barred.drill.empty());
                QVERIFY(second.homework.empty() && second.image.empty()); // once a letter is enough
                if (!first.drill.empty()) {
                    ++with_drill;
                    const auto d = std::find_if(m.drills.begin(), m.drills.end(), [&](const Drill& x) { return x.name == first.drill; });
                    QVERIFY(d != m.drills.end() && std::find(d->rules.begin(), d->rules.end(), check.rule) != d->rules.end());
                }
                QCOMPARE(first.homework.movement, m.id);
                QVERIFY(first.homework.times_a_day == 1 && first.homework.a_side >= 1);
            }
        QVERIFY(with_drill > 50);
    }

    void the_camera_steps_back_only_for_who_steps() {
        const auto back = [](const char* id) {
            return camera_back(*figure_of(test::movement(id), std::nullopt), paper_phone(400, 480, 0), false);
        };
        for (const char* id : {"quiet_stand", "horse_fists", "soft_heel_drops", "neck_half_circle"}) QVERIFY2(back(id) < 1, id);
        QVERIFY(back("gaze_at_the_moon") < 1.02); // raised arms are in the usual picture
        QVERIFY(back("walk_forward") > 1.05);
    }

    void all_that_a_figure_does_stays_in_its_picture() {
        for (const Movement& m : load_movements(test::data_dir())) {
            const auto who = figure_of(m, std::nullopt);
            for (const auto& [w, h] : {std::pair{400, 480}, std::pair{300, 640}, std::pair{700, 420}})
                for (const double azimuth : {0.0, 33.0, 90.0, 171.0, 270.0}) {
                    auto phone = paper_phone(w, h, azimuth);
                    const double back = camera_back(*who, phone, false);
                    QVERIFY2(back >= nearest_camera && back < 2.5, m.id.c_str());
                    phone.distance_m *= back;
                    const auto camera = sim::Camera::of(phone);
                    for (double t = 0; t < who->duration(); t += 0.37)
                        for (const Vec3& p : who->pose(t).points) {
                            const Vec2 px = camera.project(p);
                            QVERIFY2(px.x() > 0 && px.x() < w && px.y() > 0 && px.y() < h, m.id.c_str());
                        }
                }
        }
    }

    /// Through a form that walks and turns the reference stands where the student does on the picture, as large, and faces the same way.
    void the_reference_of_a_form_stands_where_the_camera_sees_the_student() {
        const auto movements = load_movements(test::data_dir());
        const auto forms = load_forms(test::data_dir());
        const auto form = std::find_if(forms.begin(), forms.end(), [](const LinkedForm& f) { return f.id == "turn_with_strike_and_push"; });
        const auto course = link(*form, movements);
        QVERIFY(course.has_value());
        for (const View view : {View::front, View::left, View::back}) {
            sim::TakeOptions o;
            o.student.seed = 5;
            o.student.proportion_spread = o.student.size_spread = 0;
            o.phone.view = view;
            o.phone = sim::seeing_all(sim::Student(course->score(), o.student), o.phone);
            const Track track = test::pixel_track(sim::Take(course->score(), o), 0.5, 3);
            ReviewOptions ro;
            ro.view = view;
            ro.stature_m = o.student.stature_m;
            const auto whole = make_form_review(track, *form, movements, ro);
            QVERIFY(whole.has_value());
            const ReferencePainter painter((*whole)->review, track.width, track.height);
            int looked = 0;
            for (const auto& p : (*whole)->parts) {
                QVERIFY(p.repetition);
                const auto& rep = (*whole)->review->alignment.repetitions[*p.repetition];
                const double t = 0.3 * rep.start_s + 0.7 * rep.end_s;
                const auto i =
                    static_cast<std::size_t>(std::lower_bound(track.time_s.begin(), track.time_s.end(), t) - track.time_s.begin());
                const BodyPx &student = *track.px[i], reference = painter.at(rep.to_reference(t)).points;
                const auto tall = [](const BodyPx& b) { return at_point(b, left_ankle).y() - at_point(b, left_ear).y(); };
                const auto hips = [](const BodyPx& b) { return 0.5 * (at_point(b, left_hip) + at_point(b, right_hip)); };
                const double apart = QLineF(hips(student), hips(reference)).length() / tall(student);
                QVERIFY2(apart < 0.25, qPrintable(QString("%1, part %2: %3").arg(static_cast<int>(view)).arg(p.part + 1).arg(apart)));
                QVERIFY(std::abs(tall(reference) / tall(student) - 1) < 0.15);
                // The same side of the picture for the same shoulder, where the shoulders show.
                const double wide = at_point(student, left_shoulder).x() - at_point(student, right_shoulder).x();
                if (std::abs(wide) > 0.12 * tall(student)) {
                    QVERIFY(wide * (at_point(reference, left_shoulder).x() - at_point(reference, right_shoulder).x()) > 0);
                    ++looked;
                }
            }
            QVERIFY(looked >= 2);
        }
    }
    /// From above the plan faces up for who has turned, and what one camera does not show of them is spread out.
    void the_plan_from_above_turns_with_who_turns() {
        const auto r = reviewed("push_and_sit_back", "");
        QVERIFY(r != nullptr);
        const auto drawn = [&](double turn) {
            Review turned = *r;
            for (double& v : turned.motion.facing) v += turn;
            for (double& v : turned.motion.azimuth) v -= turn;
            QImage picture(300, 240, QImage::Format_RGB32);
            QPainter p(&picture);
            draw_floor_plan(p, QRectF(0, 0, 300, 240), turned, turned.motion.frames() / 2, Theme());
            p.end();
            return picture;
        };
        QCOMPARE(drawn(0), drawn(2 * M_PI)); // all the way round is where it was
        QVERIFY(drawn(0) != drawn(M_PI / 2));
        Review nobody = *r;
        nobody.motion.valid.assign(nobody.motion.frames(), false);
        QImage picture(300, 240, QImage::Format_RGB32);
        QPainter p(&picture);
        draw_floor_plan(p, QRectF(0, 0, 300, 240), nobody, 10, Theme()); // said in words
        draw_floor_plan(p, QRectF(0, 0, 300, 240), nobody, 1U << 30U, Theme());
    }
    void a_card_is_upright_and_holds_its_words_whatever_their_length() {
        LetterContent c;
        c.movement = QStringLiteral("Gaze at the Moon");
        c.instructor = QStringLiteral("Maren Oduya"), c.place = QStringLiteral("Lantern Quay");
        LetterItem item;
        item.cue = QStringLiteral("Let the knee look where the toes look; open the hip a little.");
        item.seen = QStringLiteral("The knee falls in, right: in all 4 repetitions.");
        item.still = item.reference = QImage(600, 750, QImage::Format_RGB32);
        item.still.fill(Qt::blue);
        item.reference.fill(Qt::green);
        c.items << item << item;
        c.items[1].cue = QStringLiteral("word ").repeated(400);
        c.items[1].seen = c.items[1].cue;
        c.items[1].still = QImage(); // left out, because who it is could not be hidden
        for (int i = 0; i < 2; ++i) {
            const QImage card = message_card(c, i, Theme());
            QCOMPARE(card.size(), card_size);
            int blue = 0;
            for (int y = 0; y < card.height(); y += 4)
                for (int x = 0; x < card.width(); x += 4) blue += card.pixelColor(x, y) == QColor(Qt::blue) ? 1 : 0;
            QCOMPARE(blue > 1000, i == 0);
            for (int y = 0; y < card.height(); ++y) QCOMPARE(card.pixelColor(4, y), QColor(Qt::white)); // the edge stays free
        }
        QVERIFY(message_card(c, 2, Theme()).isNull());
        QVERIFY(message_card(c, -1, Theme()).isNull());
    }
};

QTEST_MAIN(TestBeside)
#include "test_beside.moc"
