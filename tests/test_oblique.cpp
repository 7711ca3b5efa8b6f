// A clip filmed obliquely: one body fitted to it tells what the view hides, within what it states, and nothing else; what is kept of it.
#include "core/files.h"
#include "core/fit/together.h"
#include "desk/at_once.h"
#include "desk/found.h"
#include "desk/library_forms.h"
#include "desk/open_review.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include "support/two_cameras.h"
#include <QFile>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;
namespace fs = std::filesystem;

namespace {

/// Of a take the first seconds: long enough to be told, and short enough for many.
Track cut(Track t, double seconds) {
    const auto keep =
        static_cast<std::size_t>(std::lower_bound(t.time_s.begin(), t.time_s.end(), t.time_s.front() + seconds) - t.time_s.begin());
    t.time_s.resize(keep), t.px.resize(keep), t.m.resize(keep);
    return t;
}

Track filmed(int number) {
    const auto bytes =
        read_text(fs::path(BEVEL_SOURCE_DIR) / "tests/data/oblique" / ("take-" + std::to_string(number) + ".track"), 64U << 20U);
    auto t = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
    return t ? *t : Track{};
}

MotionOptions options_of(const test::OddTake& odd) {
    MotionOptions o;
    o.stature_m = odd.options.student.stature_m;
    return o;
}

Review by_itself(Motion motion) {
    Review r;
    r.measures = measure(motion);
    r.motion = std::move(motion);
    return r;
}

/// A heel that stands, and is up on the frames of the second half.
MeasureSeries heel_series(double up_cm) {
    MeasureSeries s;
    s.id = "heel.rise", s.unit = "cm", s.side = Side::left;
    for (int f = 0; f < 10; ++f) s.samples.push_back({f < 5 ? 0 : up_cm, 0.5, Absent::none, 0.3F, 0.3F, 0.2F});
    return s;
}

} // namespace

class TestOblique : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    Forms forms_;

private slots:
    void initTestCase() { forms_ = shipped_forms(test::data_dir()); }

    void nobody_faces_otherwise_who_does_not() {
        const auto all = load_movements(test::data_dir());
        for (std::size_t k = 0; k < all.size(); k += 7)
            for (const View v : {View::front, View::left}) {
                sim::TakeOptions o;
                o.phone.view = v;
                o.phone.turn_deg = k % 2 == 0 ? 0 : 35;
                o.student.score.repetitions = 1;
                const sim::Take take(all[k], o);
                MotionOptions mo;
                mo.stature_m = o.student.stature_m;
                mo.one_way = true;
                const auto motion = make_motion(take.track(), mo);
                QVERIFY2(motion, all[k].id.c_str());
                QVERIFY2(std::all_of(motion->valid.begin(), motion->valid.end(), [](bool x) { return x; }), all[k].id.c_str());
            }
    }

    void a_stretch_with_left_taken_for_right_tells_nothing() {
        test::OddTake odd = test::oblique_take(8);
        odd.options.phone.turn_deg = 25;
        const sim::Take take(test::kept_movement(odd.movement), odd.options);
        Track raw = take.track();
        int otherwise = 0; // frames
        const auto told = [&](const Track& t) {
            MotionOptions one_way = options_of(odd);
            one_way.one_way = true;
            const auto motion = make_motion(t, one_way);
            const auto found = measure(*motion);
            std::vector<bool> out;
            for (const auto& s : found.series.at("weight.left").samples) out.push_back(s.present());
            // Why nothing is told is said: the body is there.
            for (std::size_t f = 0; f < motion->frames(); ++f)
                if (!motion->valid[f] && motion->otherwise[f])
                    otherwise += found.series.at("weight.left").samples[f].absent == Absent::otherwise ? 1 : -1000;
            return out;
        };
        const auto before = told(raw);
        const double from = raw.time_s.front() + 6, to = from + 1.5;
        for (std::size_t f = 0; f < raw.frames(); ++f)
            if (raw.px[f] && raw.time_s[f] >= from && raw.time_s[f] <= to) {
                BodyPx& b = *raw.px[f];
                for (const Point p : {left_shoulder, left_elbow, left_wrist, left_hip, left_knee, left_ankle, left_heel, left_toe})
                    std::swap(b[p], b[mirrored(p)]);
            }
        const auto after = told(raw);
        int swapped = 0, elsewhere = 0, all = 0;
        for (std::size_t f = 0; f < raw.frames(); ++f) {
            const double t = raw.time_s[f];
            if (t >= from && t <= to)
                swapped += after[f] ? 1 : 0;
            else if (t < from - 1 || t > to + 1) // away from it
                all += before[f] ? 1 : 0, elsewhere += before[f] && after[f] ? 1 : 0;
        }
        QCOMPARE(swapped, 0);
        QVERIFY2(otherwise > 10, qPrintable(QString::number(otherwise)));
        QVERIFY(all > 50);
        QVERIFY2(elsewhere > 0.9 * all, qPrintable(QStringLiteral("%1 of %2").arg(elsewhere).arg(all)));
    }

    /// Safety, ground and timing: eight of these takes were told wrongly while turns were not followed and feet were lifted by the view.
    void faultless_people_seen_obliquely_are_seldom_told_wrongly() {
        int reviewed = 0, wrong = 0;
        QStringList words;
        for (int k = 0; k < test::oblique_takes; ++k) {
            const test::OddVerdict v = test::oblique_verdict(k, filmed(k));
            if (!v.reviewed) continue;
            ++reviewed;
            for (const auto& d : v.details) words << QString::fromStdString(d);
            wrong += v.false_findings.empty() ? 0 : 1;
        }
        QVERIFY(reviewed >= 30);
        QVERIFY2(wrong <= 2, qPrintable(words.join(QLatin1Char('\n'))));
    }

    void exact_points_of_one_oblique_camera_are_nearly_the_body() {
        test::OddTake odd = test::oblique_take(9);
        const sim::Take take(test::kept_movement(odd.movement), odd.options);
        const Track raw = cut(test::pixel_track(take, 0.5, 3), 6);
        const auto body = fit_alone(raw, options_of(odd));
        QVERIFY2(body.has_value(), body ? "" : body.error().context.c_str());
        QCOMPARE(body->cameras.size(), std::size_t{1});
        QVERIFY(body->misfit < 0.85);
        // Lengths stay as they are from moment to moment.
        for (const auto& [a, b] : {std::pair{left_hip, left_knee}, {right_knee, right_ankle}, {left_elbow, left_wrist}}) {
            double least = 1e9, most = 0;
            for (const auto& m : body->m) {
                const double d = (m[index_of(a)] - m[index_of(b)]).norm();
                least = std::min(least, d), most = std::max(most, d);
            }
            QVERIFY2(most - least < 0.05, std::to_string(most - least).c_str());
        }
        // No sole is under the floor, and no knee bends backwards.
        for (const auto& m : body->m)
            for (const Side s : {Side::left, Side::right}) {
                QVERIFY(m[index_of(on(s, left_heel))].y() > -0.05 && m[index_of(on(s, left_toe))].y() > -0.05);
                const Vec3 hip = m[index_of(on(s, left_hip))], knee = m[index_of(on(s, left_knee))], ankle = m[index_of(on(s, left_ankle))],
                           foot = (m[index_of(on(s, left_toe))] - m[index_of(on(s, left_heel))]).normalized(), line = ankle - hip;
                const Vec3 off = knee - hip - line * ((knee - hip).dot(line) / line.squaredNorm());
                QVERIFY2(off.dot(foot) > -0.05, std::to_string(off.dot(foot)).c_str());
            }
    }

    void through_the_body_finder_it_tells_what_the_view_hides_within_what_it_states() {
        test::ErrorsById mean, one;
        for (const int number : {1, 9, 10, 17}) { // of two families, from in front, from behind and from both sides
            const Track raw = cut(filmed(number), 9);
            QVERIFY(raw.frames() > 100);
            test::ObliqueErrors e;
            QVERIFY2(test::oblique_errors(number, raw, e), e.why.c_str());
            for (const auto& [id, x] : e.mean) mean[id].insert(mean[id].end(), x.begin(), x.end());
            for (const auto& [id, x] : e.one) one[id].insert(one[id].end(), x.begin(), x.end());
        }
        for (const auto& [id, most] : std::map<std::string, double>{
                 {"knee.flexion near", 9}, {"knee.flexion far", 9}, {"thigh near", 7}, {"thigh far", 7}, {"stance.length", 0.25}}) {
            QVERIFY2(mean.contains(id) && mean[id].size() == 4, id.c_str());
            double sum = 0;
            for (const auto& x : mean[id]) sum += x.error;
            QVERIFY2(sum / 4 < most, (id + " " + std::to_string(sum / 4)).c_str());
        }
        std::vector<test::Error> all;
        for (const auto& [id, e] : one) all.insert(all.end(), e.begin(), e.end());
        QVERIFY(all.size() > 40);
        QVERIFY2(test::covered(all, 1) > 0.62, std::to_string(test::covered(all, 1)).c_str());
        QVERIFY2(test::covered(all, 1.64) > 0.84, std::to_string(test::covered(all, 1.64)).c_str());
        // What it cannot tell it does not.
        for (const char* id : {"trunk.lean", "trunk.side", "hand.centre near", "elbow.flexion near", "knee.inward near", "heel.rise near"})
            QVERIFY2(!mean.contains(id), id);
    }

    void what_the_clip_tells_by_itself_stays_as_it_is() {
        const test::OddTake odd = test::oblique_take(9);
        const Track raw = cut(filmed(9), 8);
        const auto motion = make_motion(raw, options_of(odd));
        QVERIFY(motion && seen_obliquely(*motion));
        const auto body = fit_alone(raw, options_of(odd));
        QVERIFY(body.has_value());
        const auto fitted = motion_of(*body, *motion, options_of(odd));
        QVERIFY(fitted.has_value());
        const Review alone = by_itself(*motion);
        const Evidence e = filled_from(*fitted, alone, Sex::mean);
        QVERIFY(e.motion.view == motion->view && e.motion.from_pictures()); // pictures and view are the clip's
        std::size_t filled = 0, kept = 0;
        for (const auto& [key, s] : e.measures.series) {
            const auto& was = alone.measures.series.at(key);
            QCOMPARE(s.samples.size(), was.samples.size());
            for (std::size_t f = 0; f < s.samples.size(); ++f) {
                if (was.samples[f].present()) {
                    ++kept;
                    QVERIFY(s.samples[f].value == was.samples[f].value && s.samples[f].sigma == was.samples[f].sigma);
                } else if (s.samples[f].present()) {
                    ++filled;
                    QVERIFY2(s.samples[f].sigma > 0 && std::isfinite(s.samples[f].value), key.c_str());
                }
            }
        }
        QVERIFY(filled > 500 && kept > 500);
        QVERIFY(e.measures.contact == alone.measures.contact && e.measures.events.size() == alone.measures.events.size());
        // From the front nothing is asked of a fit.
        Motion front = *motion;
        for (double& a : front.azimuth) a = 0.1;
        QVERIFY(!seen_obliquely(front));
        Review straight = by_itself(*motion);
        straight.motion.azimuth = front.azimuth;
        const Evidence none = filled_from(*fitted, straight, Sex::mean);
        for (const auto& [key, s] : none.measures.series)
            for (std::size_t f = 0; f < s.samples.size(); ++f)
                QVERIFY(s.samples[f].absent == straight.measures.series.at(key).samples[f].absent);
        QVERIFY(!seen_obliquely({}));
    }

    void a_heel_that_is_up_says_how_far_it_may_be_off() {
        // Its error grows with what it is up; one that stands keeps its own.
        for (const double up : {3.0, 8.0}) {
            MeasureSeries s = heel_series(up);
            const MeasureSeries was = s;
            doubt_raised_heels(s);
            for (std::size_t f = 0; f < s.samples.size(); ++f) {
                QCOMPARE(s.samples[f].value, was.samples[f].value);
                if (f < 5)
                    QCOMPARE(s.samples[f].sigma, was.samples[f].sigma);
                else
                    QVERIFY(s.samples[f].sigma >= 0.4 * up && s.samples[f].sigma < 0.5 + 0.4 * up);
                const auto parts = std::hypot(s.samples[f].own, s.samples[f].clip, s.samples[f].person);
                QVERIFY(std::abs(parts - s.samples[f].sigma) < 0.05);
            }
        }
    }

    void who_is_found_wrongly_is_not_fitted() {
        // Turns on the spot, and is found on the wrong side for a part of the clip.
        const auto wrong = fit_alone(filmed(33), options_of(test::oblique_take(33)));
        QVERIFY(!wrong && wrong.error().code == Code::cannot_judge && wrong.error().context == "apart");
        const Track raw = cut(filmed(9), 6);
        Track empty = raw;
        for (auto& f : empty.px) f.reset();
        QVERIFY(!fit_alone(empty, options_of(test::oblique_take(9))));
        Track brief = raw;
        brief.time_s.resize(12), brief.px.resize(12), brief.m.resize(12);
        QVERIFY(!fit_alone(brief, options_of(test::oblique_take(9))));
        std::stop_source stop;
        stop.request_stop();
        const auto stopped = fit_alone(raw, options_of(test::oblique_take(9)), stop.get_token());
        QVERIFY(!stopped && stopped.error().code == Code::cancelled);
    }

    void the_library_reviews_an_oblique_clip_with_it() {
        auto lib = Library::open(dir_.path().toStdString() + "/library");
        QVERIFY(lib.has_value());
        const test::OddTake odd = test::oblique_take(9);
        Person who;
        who.name = "Ines", who.stature_m = odd.options.student.stature_m, who.height_said = true;
        who.id = *lib->people().add(who);
        const auto add = [&](const std::string& name, const Track& track) -> std::int64_t {
            const auto film = fs::path(dir_.path().toStdString()) / (name + ".mp4");
            if (!write_whole(film, name)) return 0;
            Clip c;
            c.person = who.id, c.movement = odd.movement, c.filmed_on = c.arrived_on = "2026-11-24";
            const auto id = lib->clips().add(c, film);
            return id && lib->tracks().save(*id, track) ? *id : 0;
        };
        const auto id = add("oblique", filmed(9)), second = add("another", filmed(1));
        QVERIFY(id && second);
        auto open = load_review(*lib, forms_, id, "en");
        QVERIFY2(open.has_value(), open ? "" : open.error().context.c_str());
        QVERIFY((*open)->from_fit.wanted && !(*open)->from_fit.tried && !(*open)->from_fit.told);
        const auto present = [](const Review& r, const char* key) {
            const auto& s = r.measures.series.at(key).samples;
            return std::count_if(s.begin(), s.end(), [](const Sample& x) { return x.present(); });
        };
        const auto before = present(*(*open)->review, "knee.flexion.left");
        const auto fitted = fit_clip(*lib, forms_, id);
        QVERIFY2(fitted && *fitted, fitted ? "" : fitted.error().context.c_str());
        open = load_review(*lib, forms_, id, "en");
        QVERIFY(open && (*open)->from_fit.told && (*open)->from_fit.tried);
        const Review& r = *(*open)->review;
        QVERIFY(present(r, "knee.flexion.left") > before + 50);
        QVERIFY(r.motion.from_pictures() && !(*open)->at_once.together);
        // A performance without a fault: none of the figures that came in is one.
        for (const auto& f : r.findings)
            if (f.verdict == Verdict::outside) QVERIFY2(f.severity != Severity::safety, f.check.c_str());
        // Other points are another fit; a pair has none by itself.
        Track moved = filmed(9);
        for (auto& b : moved.px)
            if (b) (*b)[index_of(nose)].x += 1;
        QVERIFY(lib->tracks().save(id, moved).has_value());
        open = load_review(*lib, forms_, id, "en");
        QVERIFY(open && (*open)->from_fit.wanted && !(*open)->from_fit.tried);
        QVERIFY(*fit_clip(*lib, forms_, id));
        QVERIFY(lib->clips().pair(id, second).has_value());
        QCOMPARE(fit_clip(*lib, forms_, id).error().code, Code::bad_value);
        const auto kept = kept_alone(*lib, *lib->clips().get(id), who);
        QVERIFY(!kept.tried && !kept.body);
        QCOMPARE(fit_clip(*lib, forms_, 4711).error().code, Code::not_found);
        // Where no body fits that is kept too, and not asked again at every look.
        const auto third = add("brief", cut(filmed(9), 1.2));
        const auto none = fit_clip(*lib, forms_, third);
        QVERIFY(none && !*none);
        QVERIFY(kept_alone(*lib, *lib->clips().get(third), who).tried);
    }
};

QTEST_GUILESS_MAIN(TestOblique)
#include "test_oblique.moc"
