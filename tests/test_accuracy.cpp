// The demo's clips against the truth of their performances: the whole video path on figures that were not used to fit its corrections.
#include "cli/demo_scene.h"
#include "core/form/form.h"
#include "core/ground/derive.h"
#include "media/tracker.h"
#include "store/library.h"
#include "support/accuracy.h"
#include "support/synthetic.h"
#include <cmath>
#include <QTemporaryDir>
#include <QTest>

using namespace bevel;

class TestAccuracy : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    std::unique_ptr<Library> library_;

    static std::filesystem::path demo() { return test::data_dir() / "demo"; }
    /// The record of a clip of the scene, by its file's name.
    std::optional<Clip> recorded(const cli::SceneClip& c) const {
        const auto clips = library_->clips().all();
        if (clips)
            for (const auto& r : *clips)
                if (std::filesystem::path(r.file).stem() == c.file) return r;
        return std::nullopt;
    }

private slots:
    void initTestCase() {
        const std::filesystem::path copy = dir_.filePath(QStringLiteral("demo")).toStdString(); // the shipped one is not touched
        std::filesystem::create_directories(copy);
        std::filesystem::copy(demo() / "library.sqlite", copy / "library.sqlite");
        auto lib = Library::open(copy);
        QVERIFY(lib.has_value());
        library_ = std::make_unique<Library>(std::move(*lib));
    }
    void figures_through_the_video_path_are_as_good_as_promised() {
        std::map<std::string, test::Errors> errors;
        int clips = 0;
        for (const auto& c : cli::scene_clips()) {
            // Of the weeks before there are three takes of one person with one fault: no sample of people.
            if (c.then == cli::SceneClip::Then::waiting || c.then == cli::SceneClip::Then::sent) continue;
            if (std::string_view(c.movement).starts_with(form_prefix)) continue; // of a whole form: bevel-form-grid
            const auto record = recorded(c);
            QVERIFY2(record.has_value(), c.file);
            const auto track = library_->tracks().load(record->id);
            QVERIFY2(track.has_value(), c.file);
            const sim::Take take(test::movement(c.movement), cli::scene_take(c));
            QCOMPARE(track->frames(), take.frames());
            QVERIFY2(test::compare(take, *track, *view_from_name(c.view),
                                   cli::scene_students()[static_cast<std::size_t>(c.student)].stature_m, errors),
                     c.file);
            ++clips;
        }
        QVERIFY(clips >= 8);
        for (const auto& row : test::accuracy_rows()) {
            const auto& e = errors[row.id];
            QVERIFY2(e.count() >= 4, row.id);
            QVERIFY2(e.mean_absolute() <= row.allowed, qPrintable(QStringLiteral("%1: %2 %3, allowed %4")
                                                                      .arg(QLatin1String(row.id))
                                                                      .arg(e.mean_absolute())
                                                                      .arg(QLatin1String(row.unit))
                                                                      .arg(row.allowed)));
        }
        // The stated sigma is not rosy where figures are told frame by frame.
        for (const char* id :
             {"knee.flexion near", "knee.flexion far", "knee.inward", "trunk.lean", "trunk.side", "stance.width", "weight.left"})
            QVERIFY2(errors[id].covered(1.64) > 0.80,
                     qPrintable(QStringLiteral("%1: %2").arg(QLatin1String(id)).arg(errors[id].covered(1.64))));
    }
    void the_command_still_makes_the_demo_clips() {
        // A short stretch of two clips, drawn again and held against what is shipped.
        for (const std::size_t which : {std::size_t{0}, std::size_t{8}}) {
            const auto& c = cli::scene_clips()[which];
            const sim::Take take(test::movement(c.movement), cli::scene_take(c));
            auto reader = ClipReader::open(demo() / "clips" / (std::string(c.file) + ".mp4"));
            QVERIFY2(reader.has_value(), c.file);
            QCOMPARE(reader->info().time_s.size(), take.frames());
            for (std::size_t i = 150; i < 154; ++i) {
                const auto shipped = reader->frame(i);
                QVERIFY(shipped.has_value());
                const auto drawn = take.picture(i);
                QCOMPARE(drawn.rgb.size(), (*shipped)->rgb.size());
                double off = 0;
                for (std::size_t k = 0; k < drawn.rgb.size(); ++k) off += std::abs(drawn.rgb[k] - (*shipped)->rgb[k]);
                off /= static_cast<double>(drawn.rgb.size());
                QVERIFY2(off < 3.0, qPrintable(QStringLiteral("%1 frame %2: %3 grey levels").arg(QLatin1String(c.file)).arg(i).arg(off)));
            }
        }
    }
    void figures_of_every_family_are_found_and_corrected_alike() {
        // Four families that share no primitive, from front and side: found, and nearer to the joints once the offsets are taken out.
        auto finder = BodyFinder::load(std::filesystem::path(BEVEL_SOURCE_DIR) / "models", Model::full);
        QVERIFY(finder.has_value());
        double raw_off = 0, corrected_off = 0;
        int n = 0;
        for (int family = 0; family < 4; ++family)
            for (const View view : {View::front, View::left}) {
                sim::TakeOptions o = sim::take_of(static_cast<std::uint64_t>(50 + family), 1.68);
                o.family = static_cast<sim::Looks::Family>(family);
                o.phone.view = view;
                o.phone.fps = 5;
                o.to_s = 2.4;
                const sim::Take take(test::movement("separate_the_clouds"), o);
                Track t = take.track();
                t.model = "full";
                finder->reset();
                for (std::size_t i = 0; i < take.frames(); ++i) {
                    t.px[i] = finder->next(take.picture(i));
                    QVERIFY2(t.px[i].has_value(), qPrintable(QStringLiteral("family %1").arg(family)));
                }
                const Track d = derive(t);
                const double tall = body_height_px(t);
                for (std::size_t i = 4; i < take.frames(); ++i)
                    for (const Point p : {left_hip, right_hip, left_knee, right_knee, left_ankle, right_ankle, left_heel, left_toe}) {
                        const auto &truth = (*take.track().px[i])[p], &a = (*t.px[i])[p], &b = (*d.px[i])[p];
                        raw_off += std::hypot(a.x - truth.x, a.y - truth.y) / tall;
                        corrected_off += std::hypot(b.x - truth.x, b.y - truth.y) / tall;
                        ++n;
                        QVERIFY(b.sigma > 0 && b.bias > 0 && b.sigma_up > 0 && b.bias_up > 0);
                    }
            }
        QVERIFY2(corrected_off < 0.75 * raw_off,
                 qPrintable(QStringLiteral("%1 of body height raw, %2 corrected").arg(raw_off / n).arg(corrected_off / n)));
        QVERIFY(corrected_off / n < 0.025);
    }
    void the_finder_still_finds_what_is_stored() {
        const auto& c = cli::scene_clips()[4];
        const auto record = recorded(c);
        QVERIFY(record.has_value());
        const auto track = library_->tracks().load(record->id);
        QVERIFY(track.has_value());
        auto reader = ClipReader::open(demo() / "clips" / (std::string(c.file) + ".mp4"));
        auto finder = BodyFinder::load(std::filesystem::path(BEVEL_SOURCE_DIR) / "models", Model::full);
        QVERIFY(reader.has_value() && finder.has_value());
        Track again = *track;
        std::vector<double> away;
        for (std::size_t i = 0; i < 24; ++i) again.px[i] = finder->next(**reader->frame(i));
        for (std::size_t i = 4; i < 20; ++i) {
            QVERIFY(again.px[i].has_value());
            for (const Point p : {left_shoulder, right_hip, left_knee, right_ankle})
                away.push_back(std::hypot((*again.px[i])[p].x - (*track->px[i])[p].x, (*again.px[i])[p].y - (*track->px[i])[p].y));
        }
        QVERIFY2(*std::max_element(away.begin(), away.end()) < 5, qPrintable(QString::number(*std::max_element(away.begin(), away.end()))));
    }
};
QTEST_GUILESS_MAIN(TestAccuracy)
#include "test_accuracy.moc"
