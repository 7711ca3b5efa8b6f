// Two clips filmed at once: clocks told from the movement, one body fitted to both, errors against the truth and against the full inverse,
// what is not one performance, what the library keeps of it, and the review in the room.
#include "core/files.h"
#include "core/fit/spread.h"
#include "core/fit/together.h"
#include "desk/at_once.h"
#include "desk/found.h"
#include "desk/intake.h"
#include "desk/library_forms.h"
#include "desk/open_review.h"
#include "store/fit_blob.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include "support/truth.h"
#include "support/two_cameras.h"
#include <QFile>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;
namespace fs = std::filesystem;

namespace {

/// Points of a phone as exact as asked.
Track points_of(const test::OddTake& odd, double noise_px, std::uint64_t seed) {
    return test::pixel_track(sim::Take(test::kept_movement(odd.movement), odd.options), noise_px, seed);
}
std::array<Track, 2> points_of(const test::PairTake& pair, double noise_px) {
    return {points_of(pair.phone[0], noise_px, 5), points_of(pair.phone[1], noise_px, 6)};
}
MotionOptions options_of(const test::PairTake& pair) {
    MotionOptions o;
    o.stature_m = pair.phone[0].options.student.stature_m;
    return o;
}
Track filmed(int pair, char phone) {
    const auto bytes =
        read_text(fs::path(BEVEL_SOURCE_DIR) / "tests/data/two" / ("pair-" + std::to_string(pair) + "-" + phone + ".track"), 64U << 20U);
    auto t = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
    return t ? *t : Track{};
}

double mean_of(const std::map<std::string, std::vector<test::Error>>& all, const std::string& id) {
    const auto e = all.find(id);
    if (e == all.end() || e->second.empty()) return 1e9;
    double sum = 0;
    for (const auto& x : e->second) sum += x.error;
    return sum / static_cast<double>(e->second.size());
}

/// A fit whose every number is its own.
FittedBody some_fit(std::size_t moments) {
    FittedBody b;
    Rng r(3);
    b.offset_s = 1.25, b.offset_sigma_s = 0.02, b.stature_m = 1.7, b.stature_sigma_m = 0.01, b.misfit = 0.9, b.rounds = 7;
    for (int c = 0; c < 2; ++c) {
        PlacedCamera p;
        p.camera.focal.value = 1000 + c, p.camera.pitch.value = 0.05, p.camera.roll.value = -0.01;
        p.at = Vec3(3 * c, 1.1, 4 - c), p.yaw = 3 + c;
        p.camera.settle();
        b.cameras.push_back(p);
    }
    b.factors.resize(3);
    b.factors[1].person = true;
    for (std::size_t k = 0; k < moments; ++k) {
        b.time_s.push_back(0.1 * static_cast<double>(k));
        b.m.emplace_back(), b.own.emplace_back();
        for (auto& f : b.factors) f.moved.emplace_back();
        for (std::size_t p = 0; p < point_count; ++p) {
            b.m[k][p] = Vec3(r.gauss(), r.gauss(), r.gauss());
            Eigen::Matrix3f root;
            for (Eigen::Index i = 0; i < 9; ++i) root(i / 3, i % 3) = static_cast<float>(0.01 * r.gauss());
            b.own[k][p] = root * root.transpose();
            for (auto& f : b.factors) f.moved[k][p] = Vec3(0.01, 0.001 * static_cast<double>(k), -0.02); // changes evenly
        }
    }
    return b;
}

} // namespace

class TestAtOnce : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    fs::path path(const std::string& name) const { return dir_.path().toStdString() + "/" + name; }
    Forms forms_;

    /// A clip of that person with these points, judged.
    std::int64_t clip_of(Library& lib, std::int64_t person, const test::OddTake& odd, const Track& track, const std::string& name) {
        const auto film = path(name + ".mp4");
        QFile f(QString::fromStdString(film.string()));
        if (!f.open(QIODevice::WriteOnly)) return 0;
        f.write(name.c_str());
        f.close();
        Clip c;
        c.person = person, c.movement = odd.movement, c.filmed_on = c.arrived_on = "2026-11-24";
        const auto id = lib.clips().add(c, film);
        if (!id || !lib.tracks().save(*id, track)) return 0;
        const auto people = lib.people().all();
        for (const auto& p : *people)
            if (p.id == person)
                if (!judge_clip(lib, forms_, p, *lib.clips().get(*id))) return 0;
        return *id;
    }

private slots:
    void initTestCase() { forms_ = shipped_forms(test::data_dir()); }

    void errors_by_recursion_are_those_of_the_full_inverse() {
        Rng r(11);
        for (const std::size_t moments : {1U, 2U, 3U, 6U, 7U, 12U}) {
            constexpr Eigen::Index block = 5, shared = 4;
            const auto inner = static_cast<Eigen::Index>(moments) * block, all = inner + shared;
            std::vector<Eigen::Triplet<double>> values;
            Eigen::Index row = 0;
            const auto residual = [&](const std::vector<Eigen::Index>& columns) {
                for (const auto c : columns) values.emplace_back(row, c, r.gauss());
                ++row;
            };
            for (Eigen::Index k = 0; k < static_cast<Eigen::Index>(moments); ++k)
                for (Eigen::Index i = 0; i < 2 * block; ++i) {
                    residual({k * block + i % block, k * block + (i + 1) % block, inner + i % shared}); // seen
                    if (k >= 2)
                        residual({k * block + i % block, (k - 1) * block + i % block, (k - 2) * block + i % block}); // smooth
                    else if (k == 1)
                        residual({k * block + i % block, i % block});
                }
            for (Eigen::Index g = 0; g < shared; ++g) residual({inner + g});
            Eigen::SparseMatrix<double, Eigen::RowMajor> j(row, all);
            j.setFromTriplets(values.begin(), values.end());
            const auto s = fit::spread_of(j, moments, block);
            QVERIFY(s.has_value());
            const Eigen::MatrixXd dense(j), normal = dense.transpose() * dense, full = normal.inverse();
            const Eigen::MatrixXd a = normal.topLeftCorner(inner, inner).inverse(), moves = -a * normal.topRightCorner(inner, shared);
            QVERIFY((s->shared - full.bottomRightCorner(shared, shared)).norm() < 1e-9 * full.norm());
            QVERIFY((s->moves - moves).norm() < 1e-9 * (1 + moves.norm()));
            for (std::size_t k = 0; k < moments; ++k) {
                const auto at = static_cast<Eigen::Index>(k) * block;
                QVERIFY((s->own[k] - a.block(at, at, block, block)).norm() < 1e-9 * a.norm());
                // Both together are what the full inverse says of a moment.
                const Eigen::MatrixXd m = moves.middleRows(at, block), whole = s->own[k] + m * s->shared * m.transpose();
                QVERIFY((whole - full.block(at, at, block, block)).norm() < 1e-8 * full.norm());
            }
        }
        // What no residual speaks of has no error that could be told.
        Eigen::SparseMatrix<double, Eigen::RowMajor> none(3, 12);
        QVERIFY(!fit::spread_of(none, 2, 4).has_value());
    }

    void exact_points_of_two_phones_are_one_body() {
        // Of the asked kind and an odd one: a child in a room without edges, seen obliquely.
        for (const int number : {19, 0}) {
            const auto pair = test::pair_take(number);
            const auto raw = points_of(pair, 0.3);
            const auto both = put_together(raw[0], raw[1], options_of(pair));
            QVERIFY2(both.has_value(), both ? "" : both.error().context.c_str());
            QVERIFY2(std::abs(both->clocks.offset_s - pair.later_s) < 0.03, std::to_string(both->clocks.offset_s - pair.later_s).c_str());
            QCOMPARE(both->motion.view, View::three_d);
            QCOMPARE(both->motion.frames(), raw[0].frames());
            const sim::Take take(test::kept_movement(pair.phone[0].movement), pair.phone[0].options);
            const Measures m = measure(both->motion);
            std::map<std::string, std::pair<double, int>> mean;
            int outside = 0, all = 0;
            for (const auto& [key, s] : m.series)
                for (std::size_t f = 10; f + 10 < s.samples.size(); f += 5) {
                    const auto truth = test::frame_truth(take, f, {}).value;
                    const auto v = truth.find(key);
                    if (v == truth.end() || !s.samples[f].present() || s.unit == "state") continue;
                    if (key == "weight.left" && (v->second <= 0 || v->second >= 1)) continue;
                    const double e = s.unit == "deg" ? std::remainder(s.samples[f].value - v->second, 360) : s.samples[f].value - v->second;
                    mean[key].first += std::abs(e), mean[key].second += 1;
                    outside += std::abs(e) > 3 * s.samples[f].sigma ? 1 : 0, ++all;
                }
            for (const auto& [key, most] : std::map<std::string, double>{{"knee.flexion.left", 2.5},
                                                                         {"knee.flexion.right", 2.5},
                                                                         {"trunk.lean", 2},
                                                                         {"trunk.side", 2},
                                                                         {"stance.width", 0.06},
                                                                         {"stance.length", 0.06},
                                                                         {"shoulder.turn", 4}}) {
                QVERIFY2(mean.contains(key), key.c_str());
                const double error = mean[key].first / mean[key].second;
                QVERIFY2(error < most, (std::to_string(number) + " " + key + " " + std::to_string(error)).c_str());
            }
            QVERIFY2(all > 300 && outside * 20 < all, (std::to_string(outside) + " of " + std::to_string(all)).c_str());
        }
    }

    void through_the_body_finder_they_go_together_and_say_how_sure_they_are() {
        test::ErrorsById mean, one;
        for (const int number : {17, 18, 19}) { // of 18 the likeliest offset by heights alone is a repetition away
            test::PairErrors how;
            test::pair_errors(number, {filmed(number, 'a'), filmed(number, 'b')}, how, mean, one);
            QVERIFY2(how.why.empty(), (std::to_string(number) + " " + how.why).c_str());
            QVERIFY2(std::abs(how.late_s) < 0.1, std::to_string(how.late_s).c_str());
            QVERIFY(std::abs(how.late_s) < 3 * how.late_sigma_s);
            QVERIFY(how.misfit < 1.25);
        }
        // A heel that is up is told as up, or its error says that it may be.
        QVERIFY(one.contains("heel.rise up"));
        QVERIFY2(test::covered(one["heel.rise up"], 2) > 0.99, std::to_string(mean_of(mean, "heel.rise up")).c_str());
        for (const auto& [id, most] : std::map<std::string, double>{{"knee.flexion", 6},
                                                                    {"stance.width", 0.07},
                                                                    {"stance.length", 0.07},
                                                                    {"trunk.lean", 3.5},
                                                                    {"trunk.side", 2.5},
                                                                    {"knee.ahead", 3}})
            QVERIFY2(mean_of(mean, id) < most, (id + " " + std::to_string(mean_of(mean, id))).c_str());
        std::vector<test::Error> all;
        for (const auto& [id, e] : one)
            if (id != "foot.state") all.insert(all.end(), e.begin(), e.end());
        QVERIFY(all.size() > 60);
        QVERIFY2(test::covered(all, 1) > 0.6, std::to_string(test::covered(all, 1)).c_str());
        QVERIFY2(test::covered(all, 1.64) > 0.82, std::to_string(test::covered(all, 1.64)).c_str());
    }

    void what_is_not_one_performance_is_not_put_together() {
        // Another performance of the same person and movement in the same place, a little slower or quicker.
        auto pair = test::pair_take(19);
        const auto dims = sim::Take(test::kept_movement(pair.phone[0].movement), pair.phone[0].options).student().dims();
        std::array<Track, 2> raw;
        for (const double tempo : {1.25, 0.8}) {
            auto& s = pair.phone[1].options.student;
            s = pair.phone[0].options.student;
            s.seed += 1000, s.tempo *= tempo, s.dims = dims;
            raw = points_of(pair, 2);
            const auto both = put_together(raw[0], raw[1], options_of(pair));
            QVERIFY(!both && both.error().code == Code::cannot_judge);
            QCOMPARE(both.error().context, std::string("apart"));
        }
        // Other people, through the body finder.
        for (const auto& [a, b] : {std::pair{12, 13}, {15, 16}}) {
            const auto other = put_together(filmed(a, 'a'), filmed(b, 'b'), options_of(test::pair_take(a)));
            QVERIFY(!other);
        }
        // Nobody in one of them, a clip of a second, points in metres.
        Track empty = raw[0];
        for (auto& f : empty.px) f.reset();
        QVERIFY(!put_together(raw[0], empty, options_of(pair)));
        Track brief = raw[1];
        brief.time_s.resize(12), brief.px.resize(12), brief.m.resize(12);
        QVERIFY(!put_together(raw[0], brief, options_of(pair)));
        const Track room = test::room_track(sim::Take(test::kept_movement(pair.phone[0].movement), pair.phone[0].options));
        QVERIFY(!put_together(room, raw[1], options_of(pair)));
    }

    void a_fit_can_be_stopped_and_is_the_same_in_either_order() {
        const auto pair = test::pair_take(17);
        const auto raw = points_of(pair, 1);
        std::stop_source stop;
        stop.request_stop();
        const auto none = put_together(raw[0], raw[1], options_of(pair), 60, stop.get_token());
        QVERIFY(!none && none.error().code == Code::cancelled);
        const auto one = put_together(raw[0], raw[1], options_of(pair)), other = put_together(raw[1], raw[0], options_of(pair));
        QVERIFY(one && other);
        QVERIFY(std::abs(one->clocks.offset_s + other->clocks.offset_s) < 0.04);
        // No offset that is farther away than asked.
        const auto near = put_together(raw[0], raw[1], options_of(pair), std::abs(pair.later_s) / 2);
        QVERIFY(!near || std::abs(near->clocks.offset_s) <= std::abs(pair.later_s) / 2 + 0.3);
    }

    void a_long_clip_is_fitted_in_stretches_that_meet() {
        auto pair = test::pair_take(19);
        for (auto& p : pair.phone) {
            p.options.student.score.repetitions = 3;
            p.options.to_s = p.options.from_s + 45;
        }
        const auto raw = points_of(pair, 1);
        const auto both = put_together(raw[0], raw[1], options_of(pair));
        QVERIFY2(both.has_value(), both ? "" : both.error().context.c_str());
        const auto& b = both->body;
        QVERIFY(b.time_s.back() - b.time_s.front() > 38);
        QCOMPARE(b.m.size(), b.time_s.size());
        QCOMPARE(b.own.size(), b.time_s.size());
        for (const auto& f : b.factors) QCOMPARE(f.moved.size(), b.time_s.size());
        for (std::size_t k = 1; k < b.time_s.size(); ++k) {
            QVERIFY(b.time_s[k] > b.time_s[k - 1] && b.time_s[k] - b.time_s[k - 1] < 0.16);
            for (const Point p : {left_hip, right_ankle, nose}) QVERIFY((b.m[k][p] - b.m[k - 1][p]).norm() < 0.12);
        }
    }

    void a_kept_fit_is_read_back_or_refused() {
        for (const std::size_t moments : {2U, 3U, 4U, 7U, 31U}) {
            const FittedBody b = some_fit(moments);
            const auto bytes = pack_fit(b);
            const auto back = unpack_fit(bytes);
            QVERIFY(back.has_value());
            QCOMPARE(back->time_s, b.time_s);
            QCOMPARE(back->offset_s, b.offset_s);
            QCOMPARE(back->cameras.size(), b.cameras.size());
            QVERIFY((back->cameras[1].pixel(Vec3(0.2, 1, 0.1)) - b.cameras[1].pixel(Vec3(0.2, 1, 0.1))).norm() < 1e-6);
            QVERIFY(back->factors[1].person && !back->factors[0].person);
            for (std::size_t k = 0; k < moments; ++k)
                for (std::size_t p = 0; p < point_count; ++p) {
                    QVERIFY((back->m[k][p] - b.m[k][p]).norm() < 1e-6);
                    QVERIFY((back->own[k][p] - b.own[k][p]).norm() < 1e-7F);
                    QVERIFY((back->factors[2].moved[k][p] - b.factors[2].moved[k][p]).norm() < 1e-6);
                }
        }
        const auto whole = pack_fit(some_fit(9));
        for (std::size_t n = 0; n < whole.size(); n += 1 + n / 7) QVERIFY(!unpack_fit(whole.substr(0, n)));
        QVERIFY(!unpack_fit(whole + "x"));
        Rng r(5);
        for (int i = 0; i < 400; ++i) { // bits flipped: refused, or numbers that are finite
            auto bad = whole;
            for (int k = 0; k < 3; ++k) bad[r.next() % bad.size()] = static_cast<char>(r.next());
            if (const auto read = unpack_fit(bad))
                for (const auto& body : read->m)
                    for (const auto& p : body) QVERIFY(p.allFinite());
        }
    }

    void what_the_other_phone_did_not_see_is_not_left_out() {
        Motion alone;
        for (int i = 0; i <= 60; ++i) alone.time_s.push_back(0.1 * i), alone.valid.push_back(true);
        QVERIFY(std::abs(share_shown(some_fit(31), alone) - 31.0 / 61) < 0.02); // three of six seconds
        QVERIFY(share_shown(some_fit(61), alone) > 0.98);
        for (std::size_t i = 31; i < 61; ++i) alone.valid[i] = false; // nobody there then
        QVERIFY(share_shown(some_fit(31), alone) > 0.98);
        QVERIFY(share_shown({}, alone) == 0 && share_shown(some_fit(31), {}) == 0);
    }

    void the_library_keeps_it_for_these_points_and_no_longer() {
        auto lib = Library::open(path("keeps"));
        QVERIFY(lib.has_value());
        Person who;
        who.name = "Ines";
        const auto ines = lib->people().add(who);
        const auto pair = test::pair_take(19);
        std::array<std::int64_t, 3> ids{};
        for (std::size_t i = 0; i < 3; ++i)
            ids[i] = clip_of(*lib, *ines, pair.phone[0], points_of(pair.phone[0], 1, i), "kept-" + std::to_string(i));
        QVERIFY(ids[0] && ids[1] && ids[2]);
        KeptFit fit{"these", "", some_fit(4)};
        QVERIFY(lib->tracks().keep_fit(ids[1], ids[0], fit).has_value());
        for (const auto& [a, b] : {std::pair{ids[0], ids[1]}, {ids[1], ids[0]}}) {
            const auto kept = lib->tracks().fit_of(a, b);
            QVERIFY(kept && *kept && (*kept)->made_of == "these" && (*kept)->body);
        }
        QVERIFY(!*lib->tracks().fit_of(ids[0], ids[2]));
        // One of them with another clip: what was kept of it goes.
        QVERIFY(lib->tracks().keep_fit(ids[1], ids[2], {"others", "apart", {}}).has_value());
        QVERIFY(!*lib->tracks().fit_of(ids[0], ids[1]));
        QCOMPARE((*lib->tracks().fit_of(ids[2], ids[1]))->why, std::string("apart"));
        // One by itself is neither of a pair.
        QVERIFY(lib->tracks().keep_fit(ids[0], ids[0], {"alone", "", some_fit(3)}).has_value());
        QCOMPARE((*lib->tracks().fit_of(ids[0], ids[0]))->made_of, std::string("alone"));
        QVERIFY(!*lib->tracks().fit_of(ids[0], ids[1]));
        QVERIFY(lib->clips().remove(ids[2]).has_value());
        QVERIFY(!*lib->tracks().fit_of(ids[2], ids[1]));
        QVERIFY(lib->tracks().keep_fit(ids[0], ids[1], fit).has_value());
        const auto sum = lib->tracks().sum_of_points(ids[0]);
        QCOMPARE(sum.size(), std::size_t{64});
        QVERIFY(lib->tracks().save(ids[0], points_of(pair.phone[0], 1, 77)).has_value());
        QVERIFY(lib->tracks().sum_of_points(ids[0]) != sum);
        QVERIFY(lib->people().erase(*ines).has_value());
        QVERIFY(!*lib->tracks().fit_of(ids[0], ids[1]));
        QVERIFY(lib->tracks().sum_of_points(ids[0]).empty());
    }

    void a_pair_of_the_library_is_one_review_in_the_room() {
        auto lib = Library::open(path("room"));
        QVERIFY(lib.has_value());
        auto pair = test::pair_take(12);
        for (auto& p : pair.phone) {
            p.movement = "separate_the_clouds";
            p.options.student.faults.push_back(*sim::parse_fault("lean_forward=22"));
            p.options.student.faults.push_back(*sim::parse_fault("stance_narrow=0.7"));
            p.options.to_s = p.options.from_s + 30;
        }
        Person who;
        who.name = "Ines", who.stature_m = pair.phone[0].options.student.stature_m;
        who.id = *lib->people().add(who);
        // The one that came later began earlier or later: which is the first of a pair is the library's own affair.
        const std::int64_t a = clip_of(*lib, who.id, pair.phone[0], points_of(pair.phone[0], 1, 5), "front"),
                           b = clip_of(*lib, who.id, pair.phone[1], points_of(pair.phone[1], 1, 6), "side");
        QVERIFY(a && b);
        QVERIFY(put_pair_together(*lib, forms_, a).error().code == Code::not_found); // no pair yet
        QVERIFY(lib->clips().pair(a, b).has_value());
        {
            const auto before = load_review(*lib, forms_, a, "en");
            QVERIFY(before && (*before)->partner && !(*before)->at_once.tried && to_be_tried((*before)->clip, (*before)->at_once));
            QVERIFY((*before)->review->motion.from_pictures());
        }
        const auto together = put_pair_together(*lib, forms_, b);
        QVERIFY2(together.has_value() && *together, together ? "apart" : together.error().context.c_str());
        for (const auto id : {a, b}) {
            const auto open = load_review(*lib, forms_, id, "en");
            QVERIFY(open.has_value());
            const auto& how = (*open)->at_once;
            QVERIFY(how.tried && how.together && how.view != View::three_d);
            QVERIFY2(std::abs(how.ahead_s - (id == a ? -1 : 1) * pair.later_s) < 0.06, std::to_string(how.ahead_s).c_str());
            QVERIFY2(std::abs(how.apart_deg - 90) < 35, std::to_string(how.apart_deg).c_str()); // one in front, one at a side
            const Review& r = *(*open)->review;
            QCOMPARE(r.motion.view, View::three_d);
            QCOMPARE(r.motion.frames(), (*open)->track.frames());
            // From either clip both faults are told: the lean and the narrow stance.
            for (const auto& [check, way] : {std::pair{"trunk_lean", Direction::high}, {"stance", Direction::low}}) {
                const Finding* f = test::find(r, check);
                QVERIFY2(f && f->verdict == Verdict::outside && f->direction == way, check);
            }
            // No figure is less sure than the clip's own.
            const auto track = lib->tracks().load(id);
            const auto alone = make_review(*track, r.movement, review_options(forms_, (*open)->clip, (*open)->person));
            int compared = 0;
            for (const char* key : {"trunk.lean", "trunk.side", "stance.width", "stance.length"}) {
                const auto x = r.measures.series.find(key), y = (*alone)->measures.series.find(key);
                if (x == r.measures.series.end() || y == (*alone)->measures.series.end()) continue;
                double here = 0, there = 0;
                for (std::size_t f = 0; f < x->second.samples.size(); ++f)
                    if (x->second.samples[f].present() && y->second.samples[f].present())
                        here += x->second.samples[f].sigma, there += y->second.samples[f].sigma;
                QVERIFY2(here <= there + 1e-9, key);
                compared += there > 0 ? 1 : 0;
            }
            QVERIFY(compared >= 1); // from a side alone the lean may be all of them
            // Moments of the feet are the clip's own.
            QVERIFY(r.measures.contact == (*alone)->measures.contact);
            const auto of_feet = [](const Review& v) {
                std::vector<double> at;
                for (const auto& e : v.measures.events)
                    if (e.part == Part::foot) at.push_back(e.time_s);
                return at;
            };
            QCOMPARE(of_feet(r), of_feet(**alone));
        }
        // Other points, another height, mirrored: what was kept is not theirs.
        QVERIFY(lib->tracks().save(b, points_of(pair.phone[1], 1, 60)).has_value());
        const auto stale = load_review(*lib, forms_, a, "en");
        QVERIFY(stale && !(*stale)->at_once.tried && (*stale)->review->motion.from_pictures());
        // Parted, nothing is left of it.
        QVERIFY(*put_pair_together(*lib, forms_, a));
        QVERIFY(lib->clips().part(a).has_value());
        const auto parted = load_review(*lib, forms_, a, "en");
        QVERIFY(parted && !(*parted)->partner && !(*parted)->at_once.together && (*parted)->review->motion.from_pictures());
    }

    void a_pair_of_two_evenings_stays_two_clips() {
        auto lib = Library::open(path("apart"));
        auto pair = test::pair_take(12);
        for (auto& p : pair.phone) p.movement = "separate_the_clouds", p.options.to_s = p.options.from_s + 25;
        pair.phone[1].options.student.tempo *= 1.3, pair.phone[1].options.student.seed += 7;
        Person who;
        who.name = "Ines", who.stature_m = pair.phone[0].options.student.stature_m;
        who.id = *lib->people().add(who);
        const std::int64_t a = clip_of(*lib, who.id, pair.phone[0], points_of(pair.phone[0], 1.5, 5), "one"),
                           b = clip_of(*lib, who.id, pair.phone[1], points_of(pair.phone[1], 1.5, 6), "two");
        QVERIFY(a && b && lib->clips().pair(a, b));
        const auto together = put_pair_together(*lib, forms_, a);
        QVERIFY(together.has_value() && !*together);
        const auto open = load_review(*lib, forms_, a, "en");
        QVERIFY(open && (*open)->partner && (*open)->at_once.tried && !(*open)->at_once.together && !(*open)->at_once.why.empty());
        QVERIFY(!to_be_tried((*open)->clip, (*open)->at_once)); // not asked again at every look
        QVERIFY((*open)->review->motion.from_pictures());
    }
};

QTEST_GUILESS_MAIN(TestAtOnce)
#include "test_at_once.moc"
