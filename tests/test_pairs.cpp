// Two clips judged together, one clip cut into parts, points that are doubted: against simulated students whose truth is known.
#include "core/ground/derive.h"
#include "core/ground/doubt.h"
#include "core/review/parts.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTest>

using namespace bevel;

namespace {

struct Filmed {
    std::unique_ptr<sim::Take> take;
    std::shared_ptr<const Review> review;
};

/// One student (seed) from one side, in a tempo of its own: the two clips of a pair are not performed alike.
Filmed filmed(const Movement& m, const std::string& fault, View view, std::uint64_t seed, double tempo, int repetitions = 2) {
    sim::TakeOptions o = sim::take_of(seed, 1.68);
    o.student.score.repetitions = repetitions;
    o.student.tempo = tempo;
    if (!fault.empty()) o.student.faults.push_back(*sim::parse_fault(fault));
    o.phone.view = view;
    Filmed f;
    f.take = std::make_unique<sim::Take>(m, o);
    ReviewOptions ro;
    ro.view = view;
    ro.stature_m = 1.68;
    if (const auto r = make_review(test::pixel_track(*f.take, 1.5, seed), m, ro)) f.review = *r;
    return f;
}

/// How many of the movement's checks are told (a value, on either side, not "cannot tell"), of how many; what has no occasion does not
/// count.
std::pair<int, int> told(const Review& r) {
    std::map<std::string, bool> all;
    for (const auto& f : r.findings) {
        auto& t = all[f.check];
        t = t || f.verdict != Verdict::cannot_tell;
    }
    int yes = 0;
    for (const auto& [key, t] : all) yes += t ? 1 : 0;
    return {yes, static_cast<int>(all.size())};
}

/// Two tracks one after the other, with a pause between.
Track joined(const Track& a, const Track& b, double pause) {
    Track t = a;
    const double step = a.time_s[1] - a.time_s[0], begin = a.time_s.back() + step;
    double at = begin;
    for (; at < begin + pause; at += step) { // stands as at the end
        t.time_s.push_back(at);
        t.px.push_back(a.px.back());
        t.m.emplace_back();
    }
    for (std::size_t i = 0; i < b.frames(); ++i) {
        t.time_s.push_back(at + b.time_s[i]);
        t.px.push_back(b.px[i]);
        t.m.emplace_back();
    }
    return t;
}

} // namespace

class TestPairs : public QObject {
    Q_OBJECT
private slots:
    void what_one_clip_cannot_tell_the_other_does_and_says_so() {
        const auto m = test::movement("part_the_horses_mane");
        const auto front = filmed(m, "knee_past_toe=16", View::front, 21, 1.0), side = filmed(m, "knee_past_toe=16", View::left, 21, 1.25);
        QVERIFY(front.review && side.review);
        const auto* alone = test::find(*front.review, "front_knee_ahead");
        QVERIFY(!alone || alone->verdict == Verdict::cannot_tell);
        const auto pair = paired(*front.review, side.review);
        QVERIFY(pair.has_value());
        const auto* knee = test::find(**pair, "front_knee_ahead");
        QVERIFY(knee && knee->verdict == Verdict::outside);
        QCOMPARE(knee->of_clip, 1);
        const auto* own = test::find(*side.review, "front_knee_ahead", knee->side);
        QVERIFY(own && std::abs(own->value - knee->value) < 1e-9 && std::abs(own->time_s - knee->time_s) < 1e-9);
        // Its moment lies in a repetition of that clip, in a phase it names.
        const auto* rep = (*pair)->of(*knee).alignment.at(knee->time_s);
        QVERIFY(rep);
        bool in_phase = false;
        for (const auto& p : rep->phases)
            in_phase = in_phase || (p.id == knee->phase && knee->time_s >= p.start_s && knee->time_s <= p.end_s);
        QVERIFY(in_phase);
        // What the front clip tells stays its own where it is the surer one.
        const auto* width = test::find(**pair, "stance");
        if (width && width->verdict != Verdict::cannot_tell && width->other) QVERIFY(width->sigma <= width->other->sigma() + 1e-9);
        // Both ways round the same is found.
        const auto turned = paired(*side.review, front.review);
        QVERIFY(turned.has_value());
        const auto* again = test::find(**turned, "front_knee_ahead");
        QVERIFY(again && again->of_clip == 0 && again->verdict == Verdict::outside && std::abs(again->value - knee->value) < 1e-9);
    }
    void two_movements_are_no_pair() {
        const auto a = filmed(test::movement("gaze_at_the_moon"), "", View::front, 22, 1),
                   b = filmed(test::movement("separate_the_clouds"), "", View::left, 22, 1);
        QVERIFY(a.review && b.review);
        const auto pair = paired(*a.review, b.review);
        QVERIFY(!pair && pair.error().code == Code::bad_value);
    }
    void clips_that_disagree_are_said_to() {
        // The same check from both sides, of two performances that differ by far more than their errors.
        const auto m = test::movement("separate_the_clouds");
        const auto narrow = filmed(m, "stance_narrow=0.5", View::front, 23, 1), wide = filmed(m, "", View::back, 23, 1);
        QVERIFY(narrow.review && wide.review);
        const auto pair = paired(*narrow.review, wide.review);
        QVERIFY(pair.has_value());
        const auto* width = test::find(**pair, "stance");
        QVERIFY(width && width->other);
        QVERIFY2(width->contradicted(), qPrintable(QStringLiteral("%1 against %2").arg(width->value).arg(width->other->value)));
        const auto same = paired(*wide.review, filmed(m, "", View::front, 23, 1.2).review);
        const auto* agreed = test::find(**same, "stance");
        QVERIFY(agreed && agreed->other);
        QVERIFY2(!agreed->contradicted(), qPrintable(QStringLiteral("%1 ± %2 (own %5 clip %6 person %7) against %3 ± %4 (own %8 clip %9)")
                                                         .arg(agreed->value)
                                                         .arg(agreed->sigma)
                                                         .arg(agreed->other->value)
                                                         .arg(agreed->other->sigma())
                                                         .arg(agreed->own)
                                                         .arg(agreed->clip)
                                                         .arg(agreed->person)
                                                         .arg(agreed->other->own)
                                                         .arg(agreed->other->clip)));
    }
    void equal_moments_of_two_clips_are_equal_moments_of_the_movement() {
        for (const char* id : {"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"}) {
            const auto m = test::movement(id);
            const auto a = filmed(m, "", View::front, 31, 0.9), b = filmed(m, "", View::left, 31, 1.3);
            QVERIFY2(a.review && b.review, id);
            // Truth: the phase borders as they were performed, of the same repetition in both.
            double worst = 0, sum = 0;
            int n = 0;
            for (const auto& p : a.take->truth().phases)
                for (const auto& q : b.take->truth().phases) {
                    if (p.id != q.id || p.repetition != q.repetition || p.side != q.side) continue;
                    const double t = 0.5 * (p.start_s + p.end_s), truth = 0.5 * (q.start_s + q.end_s);
                    const double told = same_moment(a.review->alignment, t, b.review->alignment);
                    worst = std::max(worst, std::abs(told - truth));
                    sum += std::abs(told - truth);
                    ++n;
                }
            QVERIFY(n > 5);
            QVERIFY2(sum / n < 0.35 && worst < 1.2,
                     qPrintable(QStringLiteral("%1: mean %2 s, most %3 s").arg(QLatin1String(id)).arg(sum / n).arg(worst)));
            QVERIFY(std::isnan(same_moment(a.review->alignment, 1, Alignment{})));
        }
    }
    void the_best_pair_of_views_tells_most_rules() {
        for (const char* id : {"part_the_horses_mane", "gaze_at_the_moon", "separate_the_clouds"}) {
            const auto m = test::movement(id);
            double best = 0;
            QString seen;
            const auto front = filmed(m, "", View::front, 41, 1);
            QVERIFY2(front.review, id);
            const auto one = told(*front.review);
            for (const View v : {View::left, View::right}) {
                const auto side = filmed(m, "", v, 41, 1.1);
                QVERIFY2(side.review, id);
                const auto pr = paired(*front.review, side.review);
                const auto [yes, all] = told(**pr);
                if (getenv("DBG"))
                    for (const auto& f : (*pr)->findings)
                        if (f.verdict == Verdict::cannot_tell)
                            qWarning("%s %s %s absent %s sigma", id, f.check.c_str(), f.rule.c_str(),
                                     std::string(absent_name(f.absent)).c_str());
                best = std::max(best, static_cast<double>(yes) / all);
                seen += QStringLiteral(" %1/%2").arg(yes).arg(all);
                QVERIFY(yes >= one.first); // a second clip never takes anything away
            }
            QVERIFY2(best >= 0.7,
                     qPrintable(
                         QStringLiteral("%1: front alone %2/%3, pairs%4").arg(QLatin1String(id)).arg(one.first).arg(one.second).arg(seen)));
        }
    }
    void a_clip_with_two_movements_is_cut_where_one_ends() {
        const auto movements = load_movements(test::data_dir());
        sim::TakeOptions o = sim::take_of(51, 1.7);
        o.student.score.repetitions = 1;
        const sim::Take moon(test::movement("gaze_at_the_moon"), o), clouds(test::movement("separate_the_clouds"), o);
        const Track a = test::pixel_track(moon, 1.5, 51), b = test::pixel_track(clouds, 1.5, 52);
        const double pause = 9;
        const Track both = joined(a, b, pause);
        const auto parts = suggest_parts(both, movements, {});
        QStringList found;
        for (const auto& p : parts)
            found << QStringLiteral("%1 %2–%3 %4").arg(QString::fromStdString(p.movement)).arg(p.from_s).arg(p.to_s).arg(p.cost);
        QVERIFY2(parts.size() == 2, qPrintable(found.join(QStringLiteral(", "))));
        QCOMPARE(parts[0].movement, std::string("gaze_at_the_moon"));
        QCOMPARE(parts[1].movement, std::string("separate_the_clouds"));
        // Every repetition as it was performed lies inside its part, and neither part reaches into the other's.
        const double second = a.time_s.back() + pause;
        for (const auto& p : moon.truth().phases) QVERIFY(p.start_s >= parts[0].from_s - 0.6 && p.end_s <= parts[0].to_s + 0.6);
        for (const auto& p : clouds.truth().phases)
            QVERIFY(second + p.start_s >= parts[1].from_s - 0.6 && second + p.end_s <= parts[1].to_s + 0.6);
        QVERIFY(parts[0].to_s <= parts[1].from_s + 1e-9);
        // Each part is judged by itself as the clip alone is.
        Track part = both;
        part.layers.trim_from_s = parts[1].from_s;
        part.layers.trim_to_s = parts[1].to_s;
        ReviewOptions ro;
        ro.stature_m = 1.7;
        const auto judged = make_review(part, test::movement("separate_the_clouds"), ro),
                   alone = make_review(b, test::movement("separate_the_clouds"), ro);
        QVERIFY(judged && alone);
        QCOMPARE((*judged)->alignment.repetitions.size(), (*alone)->alignment.repetitions.size());
    }
    void an_idle_head_and_tail_are_left_out() {
        sim::TakeOptions o = sim::take_of(53, 1.62);
        o.student.score.repetitions = 2;
        const sim::Take take(test::movement("separate_the_clouds"), o);
        const Track t = test::pixel_track(take, 1.5, 53);
        Track idle = t;
        // Fifteen seconds of standing before and after.
        const double step = t.time_s[1] - t.time_s[0];
        const auto n = static_cast<std::size_t>(15 / step);
        for (auto& s : idle.time_s) s += 15;
        for (std::size_t k = 0; k < n; ++k) {
            idle.time_s.insert(idle.time_s.begin() + static_cast<std::ptrdiff_t>(k), static_cast<double>(k) * step);
            idle.px.insert(idle.px.begin(), t.px.front());
            idle.m.insert(idle.m.begin(), std::nullopt);
            idle.time_s.push_back(idle.time_s.back() + step);
            idle.px.push_back(t.px.back());
            idle.m.emplace_back();
        }
        const auto parts = suggest_parts(idle, load_movements(test::data_dir()), {});
        QCOMPARE(parts.size(), std::size_t{1});
        const auto& phases = take.truth().phases;
        QVERIFY2(parts[0].from_s > 10 && parts[0].from_s <= 15 + phases.front().start_s + 0.5,
                 qPrintable(QString::number(parts[0].from_s)));
        QVERIFY2(parts[0].to_s >= 15 + phases.back().end_s - 0.5 && parts[0].to_s < idle.time_s.back() - 8,
                 qPrintable(QString::number(parts[0].to_s)));
    }
    void planted_faults_of_points_are_doubted_and_good_clips_are_not() {
        sim::TakeOptions o = sim::take_of(61, 1.7);
        o.student.score.repetitions = 1;
        const sim::Take take(test::movement("part_the_horses_mane"), o);
        const Track good = test::pixel_track(take, 1.0, 61);
        for (const auto& d : doubts_of(good))
            QVERIFY2(d.to - d.from < 6, qPrintable(QString::fromLatin1(doubt_name(d.kind).data()) + QString::number(d.from)));
        auto has = [](const std::vector<Doubt>& all, DoubtKind k, std::uint32_t from, std::uint32_t to) {
            return std::any_of(all.begin(), all.end(), [&](const Doubt& d) { return d.kind == k && d.from <= from && d.to >= to; });
        };
        const double tall = body_height_px(good);
        // Legs that change places for half a second.
        Track swapped = good;
        for (std::size_t i = 100; i < 115; ++i)
            for (const Point p : {left_knee, left_ankle, left_heel, left_toe})
                std::swap((*swapped.px[i])[p], (*swapped.px[i])[mirrored(p)]);
        QVERIFY(has(doubts_of(swapped), DoubtKind::swapped, 100, 115));
        // Swapping them back leaves nothing to doubt, and the very points.
        swapped.layers.swaps.push_back({100, 115});
        QVERIFY(!has(doubts_of(swapped), DoubtKind::swapped, 100, 115));
        const auto back = with_layers(swapped);
        QVERIFY(std::abs((*back.px[107])[left_ankle].x - (*good.px[107])[left_ankle].x) < 1e-9);
        // A wrist that is elsewhere for two frames.
        Track jump = good;
        for (const std::size_t i : {200U, 201U}) (*jump.px[i])[right_wrist].x += 0.3 * tall;
        QVERIFY(has(doubts_of(jump), DoubtKind::jump, 200, 202));
        // A knee that wanders off its bones.
        Track bone = good;
        for (std::size_t i = 300; i < 330; ++i) (*bone.px[i])[left_knee].y += 0.12 * tall;
        QVERIFY(has(doubts_of(bone), DoubtKind::bone, 302, 328));
        // Nobody, hardly anybody.
        Track lost = good;
        for (std::size_t i = 400; i < 420; ++i) lost.px[i].reset();
        for (std::size_t i = 430; i < 460; ++i) (*lost.px[i])[right_ankle].visibility = 0.2;
        const auto doubts = doubts_of(lost);
        QVERIFY(has(doubts, DoubtKind::lost, 400, 420) && has(doubts, DoubtKind::unsure, 430, 460));
        for (std::size_t i = 1; i < doubts.size(); ++i) QVERIFY(doubts[i - 1].to - doubts[i - 1].from >= doubts[i].to - doubts[i].from);
        // What was mended by hand is not doubted.
        for (std::uint32_t i = 430; i < 460; ++i) lost.layers.edits.push_back({i, right_ankle, 100, 100, false});
        QVERIFY(!has(doubts_of(lost), DoubtKind::unsure, 430, 460));
        // A foot that slides as one piece.
        Track slide = good;
        for (std::size_t i = 20; i < 50; ++i)
            for (const Point p : {left_ankle, left_heel, left_toe}) (*slide.px[i])[p].x += 0.15 * tall * static_cast<double>(i - 20) / 30;
        for (std::size_t i = 50; i < slide.frames(); ++i)
            for (const Point p : {left_ankle, left_heel, left_toe}) (*slide.px[i])[p].x += 0.15 * tall;
        QVERIFY(has(doubts_of(slide), DoubtKind::sliding, 30, 40));
    }
};

QTEST_GUILESS_MAIN(TestPairs)
#include "test_pairs.moc"
