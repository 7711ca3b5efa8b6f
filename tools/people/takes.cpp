#include "people/takes.h"
#include "core/files.h"
#include "core/review/points_csv.h"
#include "media/tracker.h"
#include "store/track_blob.h"
#include "support/odd.h"
#include "support/truth.h"
#include <atomic>
#include <cstdio>
#include <map>
#include <mutex>
#include <QImage>
#include <QPainter>
#include <set>
#include <thread>

namespace bevel::people {
namespace {

constexpr std::uint64_t people_of_the_fit = 2000; // seeds of kinds below are the fit's

/// A take of a person: their performance, and every point of it as their surface has it.
struct Performed {
    Person person;
    std::unique_ptr<sim::Take> take;
    std::vector<Body3> points;
    Pose rest;
};

Result<Performed> performed(const Wardrobe& wardrobe, const PersonTake& t) {
    auto person = wardrobe.person(t.kind);
    if (!person) return tl::unexpected(person.error());
    Performed p;
    p.person = std::move(*person);
    auto o = t.options;
    o.student.dims = p.person.dims;
    const sim::Student student(*t.movement, o.student);
    o.phone = sim::seeing_all(student, o.phone);
    p.rest = student.solver().rest();
    p.take = std::make_unique<sim::Take>(*t.movement, o);
    for (const double s : p.take->truth().time_s) p.points.push_back(points_of(p.person, p.rest, student.pose(s)));
    return p;
}

sim::PhoneOptions phone_of(const Performed& p, const PersonTake& t) {
    return sim::seeing_all(p.take->student(), t.options.phone);
}

/// What would be judged of exact points.
Result<std::shared_ptr<const Review>> exact_review(const Performed& p, const PersonTake& t) {
    Track track = p.take->track();
    for (auto& f : track.px) f.reset();
    track.vertical.reset();
    for (std::size_t i = 0; i < track.frames(); ++i) track.m[i] = p.points[i];
    ReviewOptions o;
    o.view = View::three_d;
    o.stature_m = t.options.student.stature_m;
    return make_review(track, *t.movement, o);
}

/// The same finding as `f` among others; its value there is the exact one.
const Finding* same(const Finding& f, const std::vector<Finding>& all) {
    for (const auto& x : all)
        if (x.check == f.check && x.side == f.side) return &x;
    return nullptr;
}

bool grave(const Finding& f) {
    return f.severity == Severity::safety || f.severity == Severity::ground || f.severity == Severity::timing;
}

double beyond(const Finding& f, double value) { // 0 within the band
    if (f.high && value > *f.high) return value - *f.high;
    if (f.low && value < *f.low) return *f.low - value;
    return 0;
}

struct Told {
    int set = 0, untellable = 0, clear = 0, told = 0, opposite = 0, praised = 0;
};

struct Tally {
    int takes = 0, refused = 0, faultless = 0, alarmed = 0, alarmed_beyond_exact = 0;
    std::map<std::string, int> why, alarms, missed;
    std::map<std::string, std::vector<test::Error>> one, by_kind; // of each figure; of all figures of a kind of people
    std::map<std::string, Told> told;
};

void add_errors(const Performed& p, const PersonTake& take, const Review& v, std::uint64_t number, Tally& out) {
    const bool quiet = v.motion.neutral.source == NeutralSource::quiet_second;
    const auto stand = quiet ? test::quiet_truth(p.points, *p.take, v.motion.neutral.from_s, v.motion.neutral.to_s) : test::QuietTruth{};
    const bool left_near = std::sin(v.motion.azimuth[v.motion.frames() / 2]) > 0;
    Rng r(number + 31);
    for (const auto& [key, s] : v.measures.series) {
        if (s.unit == "state") continue;
        std::vector<std::size_t> there;
        for (std::size_t f = 0; f < s.samples.size() && f < p.take->frames(); ++f)
            if (s.samples[f].present()) there.push_back(f);
        for (int tries = 0; tries < 4 && !there.empty(); ++tries) {
            const auto f = there[r.next() % there.size()];
            auto truth = test::frame_truth(p.points[f], p.take->truth().facing[f], p.person.dims, stand).value;
            truth["weight.left"] = p.take->truth().weight_left[f];
            const auto t = truth.find(key);
            if (t == truth.end() || (key == "weight.left" && (t->second <= 0 || t->second >= 1))) continue;
            std::string id = key;
            if (const auto dot = key.rfind('.'); s.side && dot != std::string::npos) {
                id = key.substr(0, dot);
                if (v.motion.has_z) id += (*s.side == Side::left) == left_near ? " near" : " far";
            }
            const double e = s.unit == "deg" ? std::remainder(s.samples[f].value - t->second, 360) : s.samples[f].value - t->second;
            out.one[id].push_back({e, s.samples[f].sigma});
            for (const auto& tag : take.kind.tags()) out.by_kind[tag].push_back(out.one[id].back());
            break;
        }
    }
}

void add_verdict(const Performed&, const PersonTake& t, const Review& v, const Review& exact, std::uint64_t number, Tally& out) {
    if (!t.fault) {
        ++out.faultless;
        bool any = false, sure = false;
        for (const auto& f : v.findings) {
            if (f.verdict != Verdict::outside || !grave(f)) continue;
            any = true;
            const auto* x = same(f, exact.findings);
            if (x && x->verdict != Verdict::cannot_tell && beyond(f, x->value) > 0) continue;
            sure = true;
            ++out.alarms[f.rule + " " + f.check];
            std::fprintf(stderr, "%llu false %s %.3g +- %.2g in %.3g..%.3g, exact %.3g; %s %s\n", static_cast<unsigned long long>(number),
                         f.check.c_str(), f.value, f.sigma, f.low.value_or(NAN), f.high.value_or(NAN), x ? x->value : NAN,
                         t.movement->id.c_str(), std::string(view_name(t.options.phone.view)).c_str());
        }
        out.alarmed += any ? 1 : 0;
        out.alarmed_beyond_exact += sure ? 1 : 0;
        return;
    }
    auto& told = out.told[std::string(sim::fault_name(t.fault->fault))];
    ++told.set;
    bool tellable = false, clear = false, found = false, opposite = false, praised = false;
    std::string how;
    for (const auto& f : v.findings) {
        if (f.measure != t.fault->measure || f.reference) continue;
        const auto* x = same(f, exact.findings);
        if (!x || x->verdict == Verdict::cannot_tell || f.verdict == Verdict::cannot_tell) continue;
        tellable = true;
        const bool high = t.fault->direction == Direction::high;
        const auto& end = high ? f.high : f.low;
        const double exact_beyond = end ? (high ? x->value - *end : *end - x->value) : 0;
        const Check* check = nullptr;
        for (const auto& c : v.movement.checks)
            if (c.id == f.check) check = &c;
        clear |= end && exact_beyond > (check ? check->edge.value_or(0) : 0) + 2.1 * f.sigma;
        if (f.verdict == Verdict::outside) (f.direction == t.fault->direction ? found : opposite) = true;
        praised |= f.sure && exact_beyond > 0;
        char text[200];
        std::snprintf(text, sizeof text, " %s %.3g +- %.2g (exact %.3g) in %.3g..%.3g", f.check.c_str(), f.value, f.sigma, x->value,
                      f.low.value_or(NAN), f.high.value_or(NAN));
        how += text;
    }
    told.untellable += tellable ? 0 : 1;
    told.clear += clear ? 1 : 0;
    told.told += clear && found ? 1 : 0;
    told.opposite += opposite && !found ? 1 : 0;
    told.praised += praised ? 1 : 0;
    if ((clear && !found) || praised)
        std::fprintf(stderr, "%llu %s%s%s; %s %s\n", static_cast<unsigned long long>(number), praised ? "praised " : "missed ",
                     std::string(sim::fault_name(t.fault->fault)).c_str(), how.c_str(), t.movement->id.c_str(),
                     std::string(view_name(t.options.phone.view)).c_str());
}

} // namespace

const Review* PersonTakes::own(std::size_t movement) {
    auto& own = own_[movement];
    if (!own) {
        const Movement& m = movements_[movement];
        auto o = sim::take_of(32, 1.7);
        o.student.score.repetitions = 1;
        o.student.proportion_spread = o.student.mass_spread = o.student.tempo_spread = o.student.size_spread = o.student.sway = 0;
        const sim::Take take(m, o);
        Track t = take.track();
        for (auto& f : t.px) f.reset();
        ReviewOptions ro;
        ro.view = View::three_d;
        ro.stature_m = o.student.stature_m;
        const auto r = make_review(t, m, ro);
        own = r ? *r : nullptr;
    }
    return own->get();
}

PersonTake PersonTakes::operator()(std::uint64_t number) {
    PersonTake t;
    t.kind = Kind::of_seed(people_of_the_fit + number);
    const std::size_t m = static_cast<std::size_t>(number * 29) % movements_.size();
    t.movement = &movements_[m];
    Rng r(number + 41000);
    auto& o = t.options;
    o = sim::take_of(number + 42000, t.kind.stature_m);
    o.student.score.repetitions = 1;
    o.student.tempo = r.uniform(0.8, 1.1);
    auto& p = o.phone;
    p.width = 704, p.height = 396, p.fps = 10;
    p.view = t.movement->best_views[static_cast<std::size_t>(number / 5) % t.movement->best_views.size()];
    p.turn_deg = r.uniform(-12, 12);
    p.height_m = r.uniform(0.8, 1.5);
    p.distance_m = r.uniform(3.4, 4.6) * t.kind.stature_m / 1.7;
    p.tilt_deg = std::atan2(p.height_m - 0.5 * t.kind.stature_m, p.distance_m) * 57.3 + r.uniform(-2, 2);
    p.roll_deg = r.uniform() < 0.3 ? r.uniform(-3, 3) : 0;
    p.exposure = r.uniform(0.6, 1.15);
    p.bare = r.uniform() < 0.2;
    if (number % 5 < 2) return t;
    const auto& all = grid_faults();
    const Review* as_it_is = own(m);
    for (std::size_t k = 0; as_it_is && k < all.size(); ++k) {
        const auto& g = all[(number + k) % all.size()];
        if (!clear_by(g, *as_it_is)) continue;
        t.fault = g;
        o.student.faults.push_back({g.fault, g.size, std::nullopt});
        const bool sideways = g.fault == sim::Fault::lean_forward || g.fault == sim::Fault::head_forward;
        p.view = sideways ? (number % 2 == 0 ? View::left : View::right) : (number % 4 == 1 ? View::back : View::front);
        break;
    }
    return t;
}

int film_takes(const Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder, std::uint64_t first,
               std::uint64_t count, const char* program) {
    auto finder = BodyFinder::load(find_model_dir(program), Model::full);
    if (!finder) return 3;
    std::filesystem::create_directories(folder);
    PersonTakes takes(movements);
    for (std::uint64_t i = first; i < first + count; ++i) {
        const auto file = folder / ("take-" + std::to_string(i) + ".track");
        if (std::filesystem::exists(file)) continue;
        const PersonTake t = takes(i);
        const auto p = performed(wardrobe, t);
        if (!p) return std::fprintf(stderr, "%s\n", p.error().context.c_str()), 3;
        const sim::Film film(std::make_shared<const sim::Figure>(p->take->student().solver(), p->person.mesh, p->person.paint),
                             phone_of(*p, t));
        Track found = p->take->track();
        for (auto& f : found.m) f.reset();
        found.vertical.reset();
        found.model = "full";
        found.model_version = BodyFinder::version;
        finder->reset();
        std::vector<std::pair<std::shared_ptr<const sim::Image>, std::optional<BodyPx>>> kept;
        for (std::size_t f = 0; f < p->take->frames(); ++f) {
            const double s = p->take->truth().time_s[f];
            auto picture = std::make_shared<sim::Image>(film.shoot(p->take->student().pose(s), s));
            found.px[f] = finder->next(*picture);
            if (kept.size() < 5 && f >= kept.size() * p->take->frames() / 5) kept.emplace_back(picture, found.px[f]);
        }
        found.vertical = room_vertical(kept);
        if (auto ok = write_whole(file, pack_track(found)); !ok) return 3;
        std::fprintf(stderr, "%llu %s %s %s, %zu frames\n", static_cast<unsigned long long>(i), t.movement->id.c_str(),
                     std::string(view_name(t.options.phone.view)).c_str(),
                     t.fault ? std::string(sim::fault_name(t.fault->fault)).c_str() : "faultless", p->take->frames());
    }
    return 0;
}

int show_take(const Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder, std::uint64_t number,
              double at_share, const char* out) {
    PersonTakes takes(movements);
    const PersonTake t = takes(number);
    const auto bytes = read_text(folder / ("take-" + std::to_string(number) + ".track"), 64U << 20U);
    const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
    const auto p = performed(wardrobe, t);
    if (!raw || !p) return 3;
    const sim::Film film(std::make_shared<const sim::Figure>(p->take->student().solver(), p->person.mesh, p->person.paint),
                         phone_of(*p, t));
    const auto f = static_cast<std::size_t>(at_share * static_cast<double>(raw->frames() - 1));
    const double s = p->take->truth().time_s[f];
    const sim::Image im = film.shoot(p->take->student().pose(s), s);
    constexpr int larger = 3;
    QImage all =
        QImage(im.rgb.data(), im.width, im.height, im.width * 3, QImage::Format_RGB888).scaled(im.width * larger, im.height * larger);
    QPainter paint(&all);
    double left = 1e9, right = 0, low = 1e9, high = 0;
    for (std::size_t q = 0; q < point_count; ++q) {
        const Vec2 truth = film.camera().project(p->points[f][q]);
        left = std::min(left, truth.x()), right = std::max(right, truth.x()), low = std::min(low, truth.y()),
        high = std::max(high, truth.y());
        paint.setPen(QPen(Qt::yellow, 2));
        paint.drawEllipse(QPointF(larger * truth.x(), larger * truth.y()), 5, 5);
        if (!raw->px[f]) continue;
        const auto& found = (*raw->px[f])[q];
        paint.setPen(QPen(Qt::red, 2));
        paint.drawLine(QPointF(larger * truth.x(), larger * truth.y()), QPointF(larger * found.x, larger * found.y));
    }
    paint.end();
    const double around = 0.15 * (high - low);
    const QRectF part(larger * (left - around), larger * (low - around), larger * (right - left + 2 * around),
                      larger * (high - low + 2 * around));
    return all.copy(part.toRect()).save(QString::fromUtf8(out)) ? 0 : 3;
}

int judge_takes(const Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder) {
    std::set<std::uint64_t> numbers;
    for (const auto& f : std::filesystem::directory_iterator(folder))
        if (f.path().extension() == ".track") numbers.insert(std::strtoull(f.path().stem().string().c_str() + 5, nullptr, 10));
    const std::vector<std::uint64_t> list(numbers.begin(), numbers.end());
    PersonTakes takes(movements);
    std::vector<PersonTake> made;
    for (const auto n : list) made.push_back(takes(n));
    Tally all;
    std::mutex mutex;
    std::atomic<std::size_t> next{0};
    const auto work = [&] {
        for (std::size_t k = next++; k < list.size(); k = next++) {
            const PersonTake& t = made[k];
            const auto bytes = read_text(folder / ("take-" + std::to_string(list[k]) + ".track"), 64U << 20U);
            const auto raw = bytes ? unpack_track(*bytes) : Result<Track>(tl::unexpected(bytes.error()));
            const auto p = performed(wardrobe, t);
            if (!raw || !p) std::exit(3);
            ReviewOptions ro;
            ro.view = t.options.phone.view;
            ro.stature_m = t.kind.stature_m;
            const auto review = make_review(*raw, *t.movement, ro);
            const auto exact = exact_review(*p, t);
            const std::lock_guard lock(mutex);
            ++all.takes;
            const bool judged = review && exact && (*review)->held_back.empty() && (*exact)->held_back.empty();
            if (!judged) {
                ++all.refused;
                const std::string why = !exact ? "exact points: " + exact.error().context : !review ? review.error().context : "held back";
                ++all.why[why];
                std::fprintf(stderr, "%llu %s; %s\n", static_cast<unsigned long long>(list[k]), why.c_str(), t.movement->id.c_str());
                continue;
            }
            add_errors(*p, t, **review, list[k], all);
            add_verdict(*p, t, **review, **exact, list[k], all);
        }
    };
    {
        std::jthread other(work);
        work();
    }
    std::printf(
        "\n## Whole performances of dressed people\n\n%d people of the mesh whom nothing was fitted on, each doing one of all "
        "movements once, filmed at 10 pictures a second\nfrom the side an instructor would choose (within 12 degrees), found by the "
        "body finder and judged. %d were not judged",
        all.takes, all.refused);
    for (const auto& [why, n] : all.why) std::printf("%s %s %d", &why == &all.why.begin()->first ? ":" : ",", why.c_str(), n);
    std::printf(".\n\nOne moment of each person:\n\n| figure | people | median error | mean | median sigma | within 1 sigma | within 1.64 "
                "sigma |\n|---|---|---|---|---|---|---|\n");
    std::vector<test::Error> pooled;
    for (const auto& [id, e] : all.one) {
        std::vector<test::Error> s = e;
        double sum = 0;
        for (auto& x : s) sum += x.error, pooled.push_back(x), x.error = x.sigma;
        std::printf("| %s | %zu | %.3g | %+.3g | %.3g | %.0f %% | %.0f %% |\n", id.c_str(), e.size(), test::median_absolute(e),
                    sum / static_cast<double>(e.size()), test::median_absolute(s), 100 * test::covered(e, 1), 100 * test::covered(e, 1.64));
    }
    std::printf("| all figures | %zu | | | | %.0f %% | %.0f %% |\n", pooled.size(), 100 * test::covered(pooled, 1),
                100 * test::covered(pooled, 1.64));
    std::printf("\nAll figures, by kind of person:\n\n| kind | figures | within 1 sigma | within 1.64 sigma |\n|---|---|---|---|\n");
    for (const auto& [kind, e] : all.by_kind)
        std::printf("| %s | %zu | %.0f %% | %.0f %% |\n", kind.c_str(), e.size(), 100 * test::covered(e, 1), 100 * test::covered(e, 1.64));
    std::printf(
        "\nOf %d faultless ones %d had a safety, ground or timing finding; %d of them one that the same performance from exact points "
        "does not bear out",
        all.faultless, all.alarmed, all.alarmed_beyond_exact);
    for (const auto& [id, n] : all.alarms) std::printf("%s %s %d", id == all.alarms.begin()->first ? ":" : ",", id.c_str(), n);
    std::printf(".\n\nFaults of one size. Clear: the figure from exact points beyond its band by the check's edge and 2.1 stated sigma.\n\n"
                "| fault | set | could not be told | clear | told | the other way | praised |\n|---|---|---|---|---|---|---|\n");
    Told sum;
    for (const auto& [id, t] : all.told) {
        std::printf("| %s | %d | %d | %d | %d | %d | %d |\n", id.c_str(), t.set, t.untellable, t.clear, t.told, t.opposite, t.praised);
        sum.set += t.set, sum.untellable += t.untellable, sum.clear += t.clear, sum.told += t.told, sum.opposite += t.opposite,
            sum.praised += t.praised;
    }
    std::printf("| **all** | %d | %d | %d | %d (%.0f %%) | %d | %d |\n", sum.set, sum.untellable, sum.clear, sum.told,
                100.0 * sum.told / std::max(1, sum.clear), sum.opposite, sum.praised);
    return 0;
}

} // namespace bevel::people
