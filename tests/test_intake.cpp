// Taking in: what a clip tells of itself, and what stands in the way of judging it. Against takes whose truth is known.
#include "core/ground/marks.h"
#include "core/review/look.h"
#include "desk/found.h"
#include "media/scene.h"
#include "store/track_blob.h"
#include "support/odd.h"
#include "support/synthetic.h"
#include <cmath>
#include <fstream>
#include <QTemporaryDir>
#include <QTest>
#include <random>

using namespace bevel;

namespace {

Track judged_track(int k) {
    const auto bytes =
        read_text(std::filesystem::path(BEVEL_SOURCE_DIR) / "tests/data/judged" / ("take-" + std::to_string(k) + ".track"), 64U << 20U);
    auto t = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
    return t ? std::move(*t) : Track{};
}

bool has(const std::vector<Limit>& all, LimitKind kind) {
    return std::any_of(all.begin(), all.end(), [&](const Limit& l) { return l.kind == kind; });
}

const Limit& of(const std::vector<Limit>& all, LimitKind kind) {
    return *std::find_if(all.begin(), all.end(), [&](const Limit& l) { return l.kind == kind; });
}

/// A room of light and dark patches, seen through a window that can be moved.
sim::Image room(double dx, double dy, double light = 1) {
    sim::Image im;
    im.width = 640;
    im.height = 360;
    im.rgb.resize(640 * 360 * 3);
    for (int y = 0; y < 360; ++y)
        for (int x = 0; x < 640; ++x) {
            const double u = x - dx, v = y - dy;
            const double g = 120 + 60 * std::sin(u / 31.0) * std::cos(v / 23.0) + 40 * std::sin(u / 87.0 + 1) + 25 * std::cos(v / 61.0);
            for (int c = 0; c < 3; ++c)
                im.rgb[(static_cast<std::size_t>(y) * 640 + x) * 3 + c] = static_cast<std::uint8_t>(std::clamp(light * g, 0.0, 255.0));
        }
    return im;
}

std::vector<SceneSample> scene_of(const Track& t, double brightness, double shift, double wander, int people) {
    std::vector<SceneSample> out;
    std::mt19937 rng(7);
    std::normal_distribution<double> n(0, 1);
    Vec2 trembling = Vec2::Zero();
    for (double at = 0; at < t.time_s.back(); at += 0.25) {
        SceneSample s;
        s.time_s = at;
        s.brightness = brightness;
        s.contrast = 40;
        const Vec2 now(shift * n(rng), shift * n(rng)); // trembles about its place
        s.shift = now - trembling + Vec2(wander, 0);
        trembling = now;
        s.people = people;
        out.push_back(s);
    }
    return out;
}

} // namespace

class TestIntake : public QObject {
    Q_OBJECT
private slots:
    void the_movement_is_guessed_and_how_sure_is_honest() {
        const auto movements = load_movements(test::data_dir());
        int right = 0, sure = 0, sure_and_right = 0, takes = 0, among_three = 0;
        double stated = 0;
        QStringList wrong;
        for (int k = 0; k < test::judged_takes; k += 2) { // all of them by tools/odd_takes
            ++takes;
            const auto truth = test::judged_take(k).odd.movement;
            const auto guesses = guess_movement(judged_track(k), movements, {});
            QVERIFY(!guesses.empty());
            double sum = 0;
            for (const auto& g : guesses) sum += g.probability;
            QVERIFY(sum <= 1 + 1e-9);
            const bool hit = guesses.front().movement == truth;
            for (std::size_t i = 0; i < std::min<std::size_t>(3, guesses.size()); ++i) among_three += guesses[i].movement == truth ? 1 : 0;
            right += hit ? 1 : 0;
            stated += guesses.front().probability;
            if (guesses.front().probability > 0.9) ++sure, sure_and_right += hit ? 1 : 0;
            if (!hit) wrong << QStringLiteral("%1: %2").arg(k).arg(QString::fromStdString(guesses.front().movement));
        }
        // Several movements share their steps and differ in one arm; the right one is always among the three that are shown.
        QVERIFY2(right >= takes - 2 && among_three == takes, qPrintable(wrong.join(QLatin1Char(' '))));
        QCOMPARE(sure_and_right, sure);                                              // what is called sure is right
        QVERIFY2(stated > 0.4 * takes, qPrintable(QString::number(stated / takes))); // nor timid: some are alike but for one arm
        QVERIFY(stated / takes <= static_cast<double>(right) / takes + 0.05);        // not boastful
    }
    void none_of_them_is_not_called_one_of_them() {
        // Somebody who walks about without any of the movements.
        Track t = judged_track(0);
        QVERIFY(t.frames() > 0);
        for (std::size_t i = 0; i < t.frames(); ++i) {
            const auto& stand = t.px[0];
            QVERIFY(stand.has_value());
            t.px[i] = *stand;
            for (auto& p : *t.px[i]) p.x += 40 * std::sin(t.time_s[i] * 1.7);
        }
        const auto guesses = guess_movement(t, load_movements(test::data_dir()), {});
        if (!guesses.empty()) QVERIFY2(guesses.front().probability < 0.5, qPrintable(QString::number(guesses.front().probability)));
    }
    void the_same_body_is_likelier_than_another() {
        const auto lib_folder = std::filesystem::path(dir_.filePath(QStringLiteral("demo")).toStdString());
        std::filesystem::copy(test::data_dir() / "demo", lib_folder, std::filesystem::copy_options::recursive);
        auto lib = Library::open(lib_folder);
        QVERIFY(lib.has_value());
        const auto clips = *lib->clips().all();
        std::vector<std::pair<std::int64_t, BodyShape>> shapes;
        for (const auto& c : clips)
            if (const auto t = lib->tracks().load(c.id))
                if (const auto s = body_shape(*t)) shapes.emplace_back(c.person, *s);
        int same = 0;
        for (std::size_t i = 0; i < shapes.size(); ++i)
            for (std::size_t k = 0; k < i; ++k) {
                if (shapes[i].first != shapes[k].first || shapes[i].second.view != shapes[k].second.view) continue;
                ++same;
                QVERIFY(same_body(shapes[i].second, shapes[k].second) > 0.5);
            }
        QVERIFY(same >= 1);
        // From other sides nothing is said.
        BodyShape a = shapes.front().second, b = a;
        b.view = "elsewhere";
        QCOMPARE(same_body(a, b), 0.0);
        for (auto& v : b.value)
            if (v) *v += 0.2;
        b.view = a.view;
        QVERIFY(same_body(a, b) < -3);

        // Whose it is: by the file's name, else it is asked.
        Clip clip = clips.front();
        const auto people = *lib->people().all();
        auto of_greta = [&](const Clip& c) {
            return std::any_of(people.begin(), people.end(),
                               [&](const Person& p) { return p.id == c.person && p.name.starts_with("Greta"); });
        };
        const auto track = lib->tracks().load(std::find_if(clips.begin(), clips.end(), of_greta)->id);
        QVERIFY(track.has_value());
        clip.id = 999;
        clip.person = 0;
        const auto movements = load_movements(test::data_dir());
        auto first = [&](const char* name) {
            clip.named = name;
            return guess_clip(*lib, clip, *track, movements)->people.front();
        };
        auto name_of = [&](std::int64_t id) {
            for (const auto& p : people)
                if (p.id == id) return p.name;
            return std::string();
        };
        QCOMPARE(name_of(first("2026-11-25 Greta O evening.mp4").person).substr(0, 5), std::string("Greta"));
        QVERIFY(first("greta.mov").probability >= ClipGuess::sure);
        QVERIFY(first("VID_20261125_180311.mp4").probability < ClipGuess::sure); // no confirming blindly
        // What is kept is read again as it was, and nonsense gives nothing.
        const auto g = *guess_clip(*lib, clip, *track, movements);
        const auto again = parse_guess(guess_json(g));
        QCOMPARE(again.people.size(), g.people.size());
        QCOMPARE(again.movements.front().movement, g.movements.front().movement);
        QVERIFY(std::abs(again.people.front().probability - g.people.front().probability) < 1e-9);
        for (const char* bad : {"", "[]", "{\"people\":7}", "{\"people\":[7,{}]}", "{\"movements\":[{\"movement\":1}]}", "\x01\xff"})
            QVERIFY(parse_guess(bad).movements.empty());
    }
    void a_room_where_somebody_is_always_filmed_is_evidence() {
        const auto folder = std::filesystem::path(dir_.filePath(QStringLiteral("rooms")).toStdString());
        auto lib = *Library::open(folder);
        // Two rooms that share nothing, and as many clips of each of two people, who have the same body.
        const sim::Take take(test::movement("gaze_at_the_moon"), sim::take_of(9, 1.7));
        auto room = [](int kind) {
            sim::Image im;
            im.width = 160, im.height = 90;
            for (int y = 0; y < 90; ++y)
                for (int x = 0; x < 160; ++x)
                    for (int c = 0; c < 3; ++c) {
                        const bool light = kind == 0 ? (x / 20) % 2 == 0 : (y / 15 + x / 50) % 2 == 0;
                        im.rgb.push_back(light ? 200 : 60);
                    }
            return im;
        };
        Track track = take.track();
        for (auto& m : track.m) m.reset();
        const auto ada = *lib.people().add({0, "Ada Wren", 1.70, ""}, "2026-01-01"),
                   bo = *lib.people().add({0, "Bo Tern", 1.70, ""}, "2026-01-01");
        const auto file = std::filesystem::path(dir_.filePath(QStringLiteral("any.mp4")).toStdString());
        { std::ofstream(file) << "any"; }
        std::int64_t last = 0;
        for (int k = 0; k < 9; ++k) {
            Clip c;
            c.person = k == 8 ? 0 : k % 2 == 0 ? ada : bo;
            c.movement = "gaze_at_the_moon";
            c.named = "VID.mp4";
            last = *lib.clips().add(c, file);
            QVERIFY(lib.tracks().save(last, track).has_value());
            QVERIFY(lib.places().set_look(last, look_of(room(k == 8 ? 1 : k % 2), std::nullopt)).has_value());
        }
        const auto movements = std::vector<Movement>{test::movement("gaze_at_the_moon")};
        auto chance = [&](std::int64_t person) {
            const auto g = *guess_clip(lib, *lib.clips().get(last), track, movements);
            for (const auto& p : g.people)
                if (p.person == person) return p.probability;
            return 0.0;
        };
        // Filmed in Bo's room: likelier Bo, but a room alone makes nobody sure.
        QVERIFY2(chance(bo) > 3 * chance(ada), qPrintable(QStringLiteral("%1 and %2").arg(chance(bo)).arg(chance(ada))));
        QVERIFY(chance(bo) < ClipGuess::sure);
        // The other room, the other person.
        QVERIFY(lib.places().set_look(last, look_of(room(0), std::nullopt)).has_value());
        QVERIFY(chance(ada) > 3 * chance(bo));
        // A room that is neither says nothing.
        sim::Image grey = room(0);
        for (std::size_t i = 0; i < grey.rgb.size(); ++i) grey.rgb[i] = static_cast<std::uint8_t>((i * 7919 / 3) % 251);
        QVERIFY(lib.places().set_look(last, look_of(grey, std::nullopt)).has_value());
        QVERIFY(std::abs(chance(bo) - chance(ada)) < 0.15);
    }
    void good_clips_are_not_refused() {
        const auto movements = load_movements(test::data_dir());
        int clips = 0;
        QStringList complaints;
        for (int k = 0; k < test::judged_takes; ++k) { // through the picture
            const Track t = judged_track(k);
            const auto limits = limits_of(t, scene_of(t, 120, 0.2, 0, 1), nullptr);
            ++clips;
            for (const auto& l : limits) {
                QVERIFY2(!l.refuses, qPrintable(QString::number(k)));
                if (l.kind == LimitKind::slow_frames) continue; // these were filmed at 12 to 15 frames/s
                complaints << QStringLiteral("%1 %2").arg(k).arg(
                    QString::fromUtf8(limit_name(l.kind).data(), static_cast<qsizetype>(limit_name(l.kind).size())));
            }
        }
        for (std::uint64_t k = 0; k < 110; ++k) { // odd cameras, lenses, rooms and bodies, from points
            const auto odd = test::odd_take(k);
            const sim::Take take(test::movement(odd.movement.c_str()), odd.options);
            const Track t = test::odd_track(odd, take);
            if (t.width <= 0) continue;
            ++clips;
            for (const auto& l : limits_of(t, {}, nullptr))
                QVERIFY2(!l.refuses,
                         qPrintable(QStringLiteral("%1 %2").arg(k).arg(QString::fromStdString(std::string(limit_name(l.kind))))));
        }
        QVERIFY(clips >= 150);
        QVERIFY2(complaints.size() <= test::judged_takes / 6, qPrintable(complaints.join(QLatin1String(", "))));
    }
    void what_spoils_a_clip_is_said_where_it_is() {
        const Track good = judged_track(1);
        QVERIFY(good.frames() > 100);
        const double end = good.time_s.back();
        auto with = [&](const std::function<void(Track&, std::size_t)>& spoil, double from, double to) {
            Track t = good;
            for (std::size_t i = 0; i < t.frames(); ++i)
                if (t.time_s[i] >= from && t.time_s[i] < to) spoil(t, i);
            return t;
        };
        auto lost = [](Track& t, std::size_t i) { t.px[i].reset(); };
        auto moved = [](double dy) {
            return [dy](Track& t, std::size_t i) {
                if (t.px[i])
                    for (auto& p : *t.px[i]) p.y += dy;
            };
        };
        {
            const auto l = limits_of(with(lost, 2, 5), {}, nullptr);
            QVERIFY(has(l, LimitKind::lost));
            const auto& one = of(l, LimitKind::lost);
            QVERIFY(std::abs(one.from_s - 2) < 0.1 && std::abs(one.to_s - 5) < 0.1 && !one.refuses);
            QCOMPARE(one.rules_out.size(), static_cast<std::size_t>(family_count));
            QVERIFY(of(limits_of(with(lost, 0, 0.7 * end), {}, nullptr), LimitKind::lost).refuses);
            QVERIFY(!has(limits_of(with(lost, 2, 2.2), {}, nullptr), LimitKind::lost)); // not worth a word
        }
        {
            const auto l = limits_of(with(moved(0.4 * good.height), 3, 6), {}, nullptr);
            QVERIFY(has(l, LimitKind::feet_cut) && !of(l, LimitKind::feet_cut).refuses);
            QVERIFY(std::abs(of(l, LimitKind::feet_cut).from_s - 3) < 0.1);
            QVERIFY(of(limits_of(with(moved(0.4 * good.height), 0, end), {}, nullptr), LimitKind::feet_cut).refuses);
        }
        QVERIFY(has(limits_of(with(moved(-0.4 * good.height), 3, 6), {}, nullptr), LimitKind::head_cut));
        auto smaller = [&](double k) {
            return with(
                [&, k](Track& t, std::size_t i) {
                    if (t.px[i])
                        for (auto& p : *t.px[i])
                            p.x = t.width / 2.0 + k * (p.x - t.width / 2.0), p.y = t.height / 2.0 + k * (p.y - t.height / 2.0);
                },
                0, end + 1);
        };
        QVERIFY(has(limits_of(smaller(0.22), {}, nullptr), LimitKind::too_small));
        QVERIFY(!of(limits_of(smaller(0.22), {}, nullptr), LimitKind::too_small).refuses);
        QVERIFY(of(limits_of(smaller(0.06), {}, nullptr), LimitKind::too_small).refuses);
        {
            std::mt19937 rng(3);
            std::normal_distribution<double> n(0, 1);
            const auto loose = with(
                [&](Track& t, std::size_t i) {
                    if (t.px[i])
                        for (const Point p : {left_knee, right_knee}) (*t.px[i])[p].x += 9 * n(rng), (*t.px[i])[p].y += 9 * n(rng);
                },
                0, end + 1);
            QVERIFY(has(limits_of(loose, {}, nullptr), LimitKind::loose_clothes));
            QCOMPARE(of(limits_of(loose, {}, nullptr), LimitKind::loose_clothes).rules_out, std::vector<Family>{Family::knees});
        }
        {
            Track slow = good;
            slow.time_s.clear(), slow.px.clear(), slow.m.clear();
            for (std::size_t i = 0; i < good.frames(); i += 3) slow.time_s.push_back(good.time_s[i]), slow.px.push_back(good.px[i]);
            slow.m.resize(slow.px.size());
            QVERIFY(has(limits_of(slow, {}, nullptr), LimitKind::slow_frames));
        }
        const double height = 400;
        QVERIFY(has(limits_of(good, scene_of(good, 25, 0.1, 0, 1), nullptr), LimitKind::dark));
        QVERIFY(has(limits_of(good, scene_of(good, 120, 0.015 * height, 0, 1), nullptr), LimitKind::shaky));
        QVERIFY(has(limits_of(good, scene_of(good, 120, 0.2, 0.02 * height, 1), nullptr), LimitKind::wandering));
        QVERIFY(has(limits_of(good, scene_of(good, 120, 0.2, 0, 2), nullptr), LimitKind::several_people));
        QVERIFY(!has(limits_of(good, scene_of(good, 120, 0.2, 0, 1), nullptr), LimitKind::several_people));
        {
            // Filmed from one side, then from the other.
            Track turned = with(
                [](Track& t, std::size_t i) {
                    if (t.px[i])
                        for (auto& p : *t.px[i]) p.x = t.width - p.x;
                },
                end / 2, end + 1);
            const View v = guess_view(good);
            if (v == View::left || v == View::right) QVERIFY(has(limits_of(turned, {}, nullptr), LimitKind::view_changes));
        }
    }
    void other_kinds_are_told_from_the_points() {
        const Track good = judged_track(2);
        const double end = good.time_s.back();
        for (const auto k : {LimitKind::sides_cut, LimitKind::tilted, LimitKind::steep, LimitKind::legs_hidden, LimitKind::gaps,
                             LimitKind::short_clip, LimitKind::somebody_else})
            QVERIFY2(!has(limits_of(good, {}, nullptr), k), limit_name(k).data());
        auto with = [&](auto change) {
            Track t = good;
            for (std::size_t i = 0; i < t.frames(); ++i)
                if (t.px[i]) change(t, i, *t.px[i]);
            return t;
        };
        {
            // An arm that goes out of the picture for two seconds.
            const auto l = limits_of(with([&](Track& t, std::size_t i, BodyPx& b) {
                                         if (t.time_s[i] > 2 && t.time_s[i] < 4) b[left_wrist].x = t.width + 30;
                                     }),
                                     {}, nullptr);
            QVERIFY(has(l, LimitKind::sides_cut));
            const auto& one = of(l, LimitKind::sides_cut);
            QVERIFY(std::abs(one.from_s - 2) < 0.1 && std::abs(one.to_s - 4) < 0.1 && one.rules_out == std::vector<Family>{Family::arms});
        }
        {
            const auto hidden = with([](Track&, std::size_t, BodyPx& b) {
                for (const Point p : {left_knee, right_knee, left_ankle, right_ankle, left_heel, right_heel, left_toe, right_toe})
                    b[p].visibility = 0.1;
            });
            QVERIFY(of(limits_of(hidden, {}, nullptr), LimitKind::legs_hidden).refuses);
            // From the side one leg is always hidden by the other: no limit.
            const auto one = with([](Track&, std::size_t, BodyPx& b) {
                for (const Point p : {left_knee, left_ankle, left_heel, left_toe}) b[p].visibility = 0.1;
            });
            QVERIFY(!has(limits_of(one, {}, nullptr), LimitKind::legs_hidden));
        }
        Track aslant = good;
        aslant.vertical = VerticalOnPicture{0.3, 0, 0.005, 1e-5, true};
        QVERIFY(has(limits_of(aslant, {}, nullptr), LimitKind::tilted));
        aslant.vertical->from_room = false; // not seen: not known
        QVERIFY(!has(limits_of(aslant, {}, nullptr), LimitKind::tilted));
        Track down = good;
        down.vertical = VerticalOnPicture{0, std::tan(35 / 57.29578) / (0.82 * std::max(good.width, good.height)), 0.005, 1e-5, true};
        QVERIFY(has(limits_of(down, {}, nullptr), LimitKind::steep) && !has(limits_of(down, {}, nullptr), LimitKind::tilted));
        {
            Track gaps;
            gaps.width = good.width, gaps.height = good.height;
            for (std::size_t i = 0; i < good.frames(); ++i)
                if (good.time_s[i] < 3 || good.time_s[i] > 4) {
                    gaps.time_s.push_back(good.time_s[i]);
                    gaps.px.push_back(good.px[i]);
                    gaps.m.emplace_back();
                }
            const auto l = limits_of(gaps, {}, nullptr);
            QVERIFY(has(l, LimitKind::gaps));
            QVERIFY(std::abs(of(l, LimitKind::gaps).from_s - 3) < 0.1 && std::abs(of(l, LimitKind::gaps).to_s - 4) < 0.1);
        }
        Track brief = good;
        const auto n = static_cast<std::size_t>(std::lower_bound(good.time_s.begin(), good.time_s.end(), 3.0) - good.time_s.begin());
        brief.time_s.resize(n), brief.px.resize(n), brief.m.resize(n);
        QVERIFY(has(limits_of(brief, {}, nullptr), LimitKind::short_clip));
        {
            const auto l = limits_of(with([&](Track& t, std::size_t i, BodyPx& b) {
                                         if (t.time_s[i] > end / 2)
                                             for (auto& p : b) p.x += 0.7 * 400;
                                     }),
                                     {}, nullptr);
            QVERIFY(has(l, LimitKind::somebody_else));
            QVERIFY(std::abs(of(l, LimitKind::somebody_else).from_s - end / 2) < 0.1);
        }
    }
    void light_and_sharpness_are_told_from_the_pictures() {
        auto sample = [](const sim::Image& im, const BodyPx& body) {
            SceneWatch watch;
            watch.look(im, 0, body, 1);
            return watch.samples().front();
        };
        // Two passes of a running mean: about a Gaussian.
        auto blurred = [](const sim::Image& im, int half) {
            sim::Image out = im;
            for (int pass = 0; pass < 4; ++pass) {
                const sim::Image from = out;
                const bool across = pass % 2 == 0;
                for (int y = 0; y < im.height; ++y)
                    for (int x = 0; x < im.width; ++x)
                        for (int c = 0; c < 3; ++c) {
                            int sum = 0, n = 0;
                            for (int k = -half; k <= half; ++k) {
                                const int u = across ? x + k : x, v = across ? y : y + k;
                                if (u < 0 || v < 0 || u >= im.width || v >= im.height) continue;
                                sum += from.rgb[(static_cast<std::size_t>(v) * im.width + u) * 3 + c];
                                ++n;
                            }
                            out.rgb[(static_cast<std::size_t>(y) * im.width + x) * 3 + c] = static_cast<std::uint8_t>(sum / n);
                        }
            }
            return out;
        };
        double least_sharp = 1, most_blurred = 0;
        for (const std::uint64_t seed : {3U, 8U}) {
            sim::TakeOptions o = sim::take_of(seed, 1.7);
            o.to_s = 0.05;
            o.phone.bare = seed == 8;
            const sim::Take take(test::movement("gaze_at_the_moon"), o);
            const sim::Image im = take.picture(0);
            const auto usual = sample(im, *take.track().px[0]);
            QVERIFY2(usual.brightness > 60 && usual.brightness < 200 && usual.contrast > 15,
                     qPrintable(QStringLiteral("%1 %2").arg(usual.brightness).arg(usual.contrast)));
            least_sharp = std::min(least_sharp, usual.sharpness);
            most_blurred = std::max(most_blurred, sample(blurred(im, 3), *take.track().px[0]).sharpness);
            auto lit = [&](double gain, double lift) {
                sim::Image out = im;
                for (auto& v : out.rgb) v = static_cast<std::uint8_t>(std::clamp(gain * v + lift, 0.0, 255.0));
                return sample(out, *take.track().px[0]);
            };
            auto clip_of = [&](const SceneSample& s) {
                Track t = judged_track(2);
                std::vector<SceneSample> scene;
                for (double at = 0; at < t.time_s.back(); at += 0.25) scene.push_back(s), scene.back().time_s = at;
                return limits_of(t, scene, nullptr);
            };
            QVERIFY(has(clip_of(lit(0.2, 0)), LimitKind::dark));
            QVERIFY(has(clip_of(lit(1.2, 120)), LimitKind::bright));
            const auto flat = clip_of(lit(0.1, 120));
            QVERIFY(has(flat, LimitKind::flat) && !has(flat, LimitKind::dark) && !has(flat, LimitKind::bright));
            qInfo("sharp %.3f, blurred 1: %.3f 2: %.3f 3: %.3f 5: %.3f", usual.sharpness,
                  sample(blurred(im, 1), *take.track().px[0]).sharpness, sample(blurred(im, 2), *take.track().px[0]).sharpness,
                  sample(blurred(im, 3), *take.track().px[0]).sharpness, sample(blurred(im, 5), *take.track().px[0]).sharpness);
            QVERIFY(has(clip_of(sample(blurred(im, 3), *take.track().px[0])), LimitKind::blurred));
            for (const auto k : {LimitKind::dark, LimitKind::bright, LimitKind::flat, LimitKind::blurred})
                QVERIFY2(!has(clip_of(usual), k), limit_name(k).data());
        }
        QVERIFY2(least_sharp > 2 * most_blurred, qPrintable(QStringLiteral("%1 %2").arg(least_sharp).arg(most_blurred)));
    }
    void limits_are_kept_and_nonsense_is_not_read() {
        const Track good = judged_track(2);
        auto bad = good;
        for (std::size_t i = 20; i < 90; ++i) bad.px[i].reset();
        const auto l = limits_of(bad, scene_of(bad, 20, 0, 0, 3), nullptr);
        QVERIFY(l.size() >= 3);
        const auto again = parse_limits(limits_json(l));
        QCOMPARE(again.size(), l.size());
        for (std::size_t i = 0; i < l.size(); ++i) {
            QCOMPARE(again[i].kind, l[i].kind);
            QCOMPARE(again[i].rules_out, l[i].rules_out);
            QVERIFY(std::abs(again[i].from_s - l[i].from_s) < 1e-9);
        }
        for (const char* text :
             {"", "{}", "[7]", "[{\"kind\":\"dark\"}]", "[{\"kind\":\"dark\",\"from_s\":\"x\",\"to_s\":1}]", "[[", "\xff"})
            QVERIFY(parse_limits(text).empty());
    }
    void upright_edges_tell_the_vertical_and_make_figures_surer() {
        // Lines as a camera rolled by two degrees and looking down by eight draws them.
        const int w = 1280, h = 720;
        const double roll = 2 / 57.29578, slope = std::tan(8 / 57.29578) / 1100;
        auto edge = [&](double x) {
            const double t = std::tan(roll + slope * (x - w / 2.0));
            return UprightMark{x - 250 * t, 610, x + 250 * t, 110};
        };
        const std::array<UprightMark, 2> two{edge(180), edge(1100)};
        const auto v = vertical_from(two, w, h);
        QVERIFY(v.has_value() && v->from_room);
        QVERIFY(std::abs(v->roll - roll) < 0.002 && std::abs(v->slope - slope) < 1e-5);
        const std::array<UprightMark, 1> one{edge(640)};
        const auto single = vertical_from(one, w, h);
        QVERIFY(single.has_value() && std::abs(single->roll - roll) < 0.002);
        QVERIFY(single->slope_sigma > 5 * v->slope_sigma); // one line says nothing of the pitch
        const std::array<UprightMark, 2> poor{UprightMark{100, 100, 500, 120}, UprightMark{100, 100, 101, 130}};
        QVERIFY(!vertical_from(poor, w, h)); // flat, and too short
        // A clip in whose room nothing upright is seen: lean and side bend become surer, or can be told at all.
        int surer = 0;
        for (int k = 0; k < test::judged_takes && surer == 0; ++k) {
            Track t = judged_track(k);
            t.vertical.reset();
            auto middle = [&](const Track& track) {
                MotionOptions mo;
                mo.stature_m = 1.7;
                const auto motion = make_motion(track, mo);
                std::vector<double> s;
                if (!motion) return 1e9;
                const auto measures = measure(*motion, {});
                for (const char* id : {"trunk.lean", "trunk.side"})
                    if (const auto* m = measures.find(id))
                        for (const auto& x : m->samples)
                            if (x.present()) s.push_back(x.sigma);
                if (s.empty()) return 1e8;
                std::nth_element(s.begin(), s.begin() + static_cast<std::ptrdiff_t>(s.size() / 2), s.end());
                return s[s.size() / 2];
            };
            const double before = middle(t);
            const std::array<UprightMark, 2> level{UprightMark{0.1 * t.width, 0.1 * t.height, 0.1 * t.width, 0.9 * t.height},
                                                   UprightMark{0.9 * t.width, 0.1 * t.height, 0.9 * t.width, 0.9 * t.height}};
            t.layers.vertical = vertical_from(level, t.width, t.height);
            QVERIFY(t.layers.vertical.has_value());
            surer += middle(t) < 0.9 * before ? 1 : 0;
        }
        QVERIFY(surer > 0);
    }
    void the_background_tells_how_the_camera_moves() {
        SceneWatch watch;
        const std::array<Vec2, 5> places{Vec2(0, 0), Vec2(0, 0), Vec2(6.5, 0), Vec2(6.5, -4), Vec2(-2, 3)};
        for (std::size_t i = 0; i < places.size(); ++i)
            watch.look(room(places[i].x(), places[i].y()), 0.25 * static_cast<double>(i), {}, -1);
        const auto& s = watch.samples();
        QCOMPARE(s.size(), places.size());
        for (std::size_t i = 1; i < places.size(); ++i) {
            const Vec2 truth = places[i] - places[i - 1];
            QVERIFY2((s[i].shift - truth).norm() < 0.8,
                     qPrintable(QStringLiteral("%1: %2 %3").arg(i).arg(s[i].shift.x()).arg(s[i].shift.y())));
        }
        QVERIFY(s[0].brightness > 90 && s[0].contrast > 20);
        SceneWatch night;
        night.look(room(0, 0, 0.15), 0, {}, 2);
        QVERIFY(night.samples()[0].brightness < 30);
        QCOMPARE(night.samples()[0].people, 2);
        QVERIFY(!night.wants(0.1) && night.wants(0.25) && !night.wants_people(2) && night.wants_people(3.1));
    }

private:
    QTemporaryDir dir_;
};
QTEST_GUILESS_MAIN(TestIntake)
#include "test_intake.moc"
