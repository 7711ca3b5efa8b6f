// Fits where the network puts its points against the joints and how far people and ways of drawing them differ in it, and prints
// src/core/ground/offsets.inc.
//   bevel-fit-offsets --collect FOLDER               films the drawn figures: raw tracks, truths and kinds.csv (about 15 minutes)
//   bevel-fit-offsets --fit FOLDER...                fits the pairs of all folders
//   bevel-fit-offsets --judge FOLDER...              what offsets do to kinds that were left out of their fit, as a table
// An offset that is learnt on one way of drawing people is one of that drawing. What is fitted here is what ways of drawing have in
// common: each way is one observation of it, the spread between them goes into sigma, and an offset that makes points worse on a way or a
// kind of people left out is none.
#include "core/files.h"
#include "core/ground/derive.h"
#include "core/movement/movement.h"
#include "core/review/points_csv.h"
#include "core/signal/signal.h"
#include "core/sim/take.h"
#include "media/tracker.h"
#include "store/library.h"
#include "store/track_blob.h"
#include <cmath>
#include <cstdio>
#include <cstring>
#include <fstream>
#include <functional>
#include <map>
#include <set>
#include <sstream>

using namespace bevel;

namespace {

constexpr std::array<Point, 14> bases{nose,       left_eye,    left_ear, left_shoulder, left_elbow, left_wrist, left_thumb,
                                      left_index, left_little, left_hip, left_knee,     left_ankle, left_heel,  left_toe};
constexpr std::array<const char*, 4> family_names{"rounded", "lofted", "boxy", "draped"};

struct Filmed {
    std::string movement;
    sim::TakeOptions take;
};

/// Everybody who is drawn for fitting: every family, build and view, some turned between the views, some stooped, bent and slack.
std::vector<Filmed> drawn_people(const std::vector<Movement>& movements) {
    std::vector<Filmed> out;
    for (int i = 0; i < 96; ++i) {
        Filmed p;
        p.movement = movements[static_cast<std::size_t>(i) % movements.size()].id;
        Rng rng(static_cast<std::uint64_t>(i) + 3100);
        auto& t = p.take;
        t = sim::take_of(static_cast<std::uint64_t>(i) + 300, rng.uniform(1.45, 1.95));
        t.family = static_cast<sim::Looks::Family>(i % 4);
        t.student.legs = rng.uniform(0.95, 1.05);
        t.student.hips = rng.uniform(0.9, 1.15);
        t.student.stand_lean = rng.uniform(-3, 8);
        t.student.stand_head = rng.uniform(0, 0.06);
        t.student.toe_out = rng.uniform(-4, 20);
        t.student.score.repetitions = 1;
        if (i % 5 == 0) t.student.faults.push_back({sim::Fault::lean_forward, rng.uniform(5, 25), std::nullopt});
        constexpr std::array<View, 6> views{View::left, View::front, View::right, View::left, View::back, View::right};
        t.phone.view = views[static_cast<std::size_t>(i / 4) % views.size()];
        t.phone.turn_deg = rng.uniform(-25, 25);
        t.phone.height_m = rng.uniform(0.7, 1.5);
        t.phone.tilt_deg = rng.uniform(-2, 10);
        t.phone.distance_m = rng.uniform(3.2, 5.0);
        t.phone.fps = 5.0 / 3;
        out.push_back(p);
    }
    return out;
}

int collect(const std::filesystem::path& folder, const char* program) {
    const auto movements = load_movements(find_data_dir(program));
    auto finder = BodyFinder::load(find_model_dir(program), Model::full);
    if (!finder) return 3;
    std::filesystem::create_directories(folder);
    std::ofstream kinds(folder / "kinds.csv");
    int i = 0;
    for (const auto& p : drawn_people(movements)) {
        const std::string name = "drawn-" + std::to_string(i++);
        kinds << name << ";" << family_names[static_cast<std::size_t>(*p.take.family)] << ";drawn\n";
        kinds.flush();
        if (std::filesystem::exists(folder / (name + ".truth"))) continue;
        const auto m = std::find_if(movements.begin(), movements.end(), [&](const Movement& x) { return x.id == p.movement; });
        const sim::Take take(*m, p.take);
        Track t = take.track();
        t.model = "full";
        t.model_version = BodyFinder::version;
        finder->reset();
        for (std::size_t f = 0; f < take.frames(); ++f) t.px[f] = finder->next(take.picture(f));
        if (auto ok = write_whole(folder / (name + ".track"), pack_track(t)); !ok) return 3;
        if (auto ok = write_whole(folder / (name + ".truth"), pack_track(take.track())); !ok) return 3;
        std::fprintf(stderr, "%s\n", name.c_str());
    }
    return 0;
}

/// An error of a point in the axes of its offset, in body heights.
struct Row {
    double weight, bend, along, across;
    bool left = true;
};
struct Filmed2 {
    std::string drawing; // the first of its tags: way of drawing
    std::set<std::string> tags;
    std::array<std::array<std::vector<Row>, 14>, 4> rows;
    Track found, truth;
    std::vector<Azimuth> azimuth;
};

std::vector<Filmed2> read_all(const std::vector<std::filesystem::path>& folders) {
    std::vector<Filmed2> out;
    for (const auto& folder : folders) {
        std::ifstream kinds(folder / "kinds.csv");
        for (std::string line; std::getline(kinds, line);) {
            std::istringstream words(line);
            std::string name, tag;
            std::getline(words, name, ';');
            const auto a = read_text(folder / (name + ".track"), 64U << 20U), b = read_text(folder / (name + ".truth"), 64U << 20U);
            if (!a || !b) continue;
            auto found = unpack_track(*a), truth = unpack_track(*b);
            if (!found || !truth || found->frames() != truth->frames()) continue;
            Filmed2 f;
            while (std::getline(words, tag, ';')) {
                if (f.drawing.empty()) f.drawing = tag;
                f.tags.insert(tag);
            }
            f.found = std::move(*found), f.truth = std::move(*truth);
            f.azimuth = rough_azimuth(f.found);
            const double height = body_height_px(f.found);
            for (std::size_t i = 0; i < f.found.frames(); ++i) {
                if (!f.found.px[i] || !f.truth.px[i]) continue;
                for (int k = 0; k < point_count; ++k) {
                    const auto q = static_cast<Point>(k);
                    const auto &x = (*f.found.px[i])[static_cast<std::size_t>(k)], &y = (*f.truth.px[i])[static_cast<std::size_t>(k)];
                    const Vec2 e(x.x - y.x, x.y - y.y);
                    if (x.visibility < 0.3 || e.norm() > 0.12 * height) continue; // another limb was taken for this one
                    for (const auto& [seen, weight] : seen_as(q, f.azimuth[i])) {
                        if (weight < 0.5) continue; // each kind of seeing is learnt where it prevails
                        const auto axes = offset_axes(*f.found.px[i], q, seen, f.azimuth[i]);
                        const Point base = q == nose || q < right_eye ? q : mirrored(q);
                        const auto at = static_cast<std::size_t>(std::find(bases.begin(), bases.end(), base) - bases.begin());
                        f.rows[static_cast<std::size_t>(seen)][at].push_back(
                            {weight, axes.bend, e.dot(axes.along) / height, e.dot(axes.across) / height, base == q});
                    }
                }
            }
            out.push_back(std::move(f));
        }
    }
    return out;
}

/// Of one person: how far a point lies off in the middle, what it grows by with the bend, and how it varies about that.
struct Own {
    double along = 0, across = 0, var_along = 0, var_across = 0, bend = 0;
    int n = 0;
};

bool bends(std::size_t base) {
    return bases[base] >= left_hip;
}
/// Hip and shoulder lie deep: where their joints are in a mesh no surface tells, nor how high the knee is on the leg. What a mesh says of
/// that is not asked, and what nobody knows of it (Harrington et al. 2007, J Biomech 40:595: some 12 mm) is stated.
bool is_deep(std::size_t base) {
    return bases[base] == left_hip || bases[base] == left_shoulder;
}
bool told_along(std::size_t base, const std::string& drawing) {
    return drawing != "mesh" || (!is_deep(base) && bases[base] != left_knee);
}
bool told_across(std::size_t base, const std::string& drawing) {
    return drawing != "mesh" || !is_deep(base);
}
constexpr double unknown_level = 0.007;

/// Offset of one axis as ways of drawing have it in common: mean over the drawings and its spread between them and between persons.
struct Common {
    double mean = 0, between_drawings = 0, between_persons = 0;
};
Common common_of(const std::map<std::string, std::vector<double>>& by_drawing) {
    std::vector<double> means, errors;
    Common c;
    double within = 0;
    std::size_t persons = 0;
    for (const auto& [drawing, values] : by_drawing) {
        if (values.size() < 4) continue;
        const double middle = signal::median(values);
        signal::Series off;
        for (const double v : values) off.push_back((v - middle) * (v - middle));
        const double var = signal::median(off) / 0.455; // of squares the median is 0.455 of the variance
        means.push_back(middle);
        errors.push_back(1.57 * var / static_cast<double>(values.size())); // of a median
        within += var * static_cast<double>(values.size());
        persons += values.size();
    }
    if (means.empty()) return c;
    c.between_persons = std::sqrt(within / static_cast<double>(persons));
    double sum = 0;
    for (const double m : means) sum += m;
    const double plain = sum / static_cast<double>(means.size());
    double spread = 0, error = 0;
    for (std::size_t i = 0; i < means.size(); ++i) spread += (means[i] - plain) * (means[i] - plain), error += errors[i];
    // Variance between the drawings beyond what so few persons of each would give (DerSimonian and Laird 1986, with equal weights).
    const double tau2 = means.size() > 1
                            ? std::max(0.0, spread / static_cast<double>(means.size() - 1) - error / static_cast<double>(means.size()))
                            : plain * plain;
    double w_sum = 0, m_sum = 0;
    for (std::size_t i = 0; i < means.size(); ++i) {
        const double w = 1 / (tau2 + errors[i] + 1e-8);
        w_sum += w;
        m_sum += w * means[i];
    }
    const double mean = m_sum / w_sum, error_of_mean = 1 / w_sum;
    // As much of it as it is surely more than nothing (James and Stein 1961, positive part).
    c.mean = mean * std::max(0.0, 1 - error_of_mean / std::max(mean * mean, 1e-12));
    c.between_drawings = std::sqrt(tau2 + error_of_mean);
    return c;
}

double mean(const signal::Series& x) {
    double sum = 0;
    for (const double v : x) sum += v;
    return sum / static_cast<double>(x.size());
}

PointOffset offset_of(const std::vector<const Filmed2*>& people, std::size_t seen, std::size_t base) {
    // What grows with the bend first: within each person, then the middle over the ways of drawing.
    Eigen::Matrix2d fit = Eigen::Matrix2d::Zero();
    if (bends(base)) {
        struct Slope {
            double uu = 0, ux = 0, uy = 0;
        };
        std::map<std::string, Slope> by_drawing;
        for (const auto* f : people) {
            const auto& rows = f->rows[seen][base];
            signal::Series u, x, y;
            for (const auto& q : rows) u.push_back(q.bend), x.push_back(q.along), y.push_back(q.across);
            if (u.size() < 4) continue;
            const double mu = signal::median(u), mx = signal::median(x), my = signal::median(y);
            auto& slope = by_drawing[f->drawing];
            for (std::size_t i = 0; i < u.size(); ++i) {
                const double w = std::min(1.0, 0.015 / std::max(1e-6, std::hypot(x[i] - mx, y[i] - my))); // Huber 1964
                slope.uu += w * (u[i] - mu) * (u[i] - mu), slope.ux += w * (u[i] - mu) * (x[i] - mx),
                    slope.uy += w * (u[i] - mu) * (y[i] - my);
            }
        }
        signal::Series along, across;
        for (const auto& [drawing, q] : by_drawing) {
            if (q.uu < 1) continue; // too little bending was seen
            if (told_along(base, drawing)) along.push_back(q.ux / q.uu);
            if (told_across(base, drawing)) across.push_back(q.uy / q.uu);
        }
        if (along.size() >= 2) fit(1, 0) = signal::median(along);
        if (across.size() >= 2) fit(1, 1) = signal::median(across);
    }
    std::map<std::string, std::vector<double>> along, across, along_of_all, across_of_all;
    signal::Series own_along, own_across;
    for (const auto* f : people) {
        for (const bool left : {true, false}) { // each side by itself: what is wrong the same way on the picture would cancel out else
            signal::Series x, y;
            for (const auto& q : f->rows[seen][base])
                if (q.left == left) x.push_back(q.along - fit(1, 0) * q.bend), y.push_back(q.across - fit(1, 1) * q.bend);
            if (x.size() < 4) continue;
            const double mx = signal::median(x), my = signal::median(y);
            along_of_all[f->drawing].push_back(mx), across_of_all[f->drawing].push_back(my);
            if (told_along(base, f->drawing)) along[f->drawing].push_back(mx);
            if (told_across(base, f->drawing)) across[f->drawing].push_back(my);
            signal::Series dx, dy;
            for (const double v : x) dx.push_back((v - mx) * (v - mx));
            for (const double v : y) dy.push_back((v - my) * (v - my));
            own_along.push_back(mean(dx)); // far ones count: a frame is not left out for being wrong
            own_across.push_back(mean(dy));
        }
    }
    PointOffset o;
    if (own_along.size() < 8) {
        o.own_along = o.own_across = o.person_along = o.person_across = 0.02;
        return o;
    }
    // Of deep joints nobody but the drawings tells where they are: their plain middle. How persons differ in it everybody tells.
    const auto plain = [](const std::map<std::string, std::vector<double>>& told,
                          const std::map<std::string, std::vector<double>>& everybody) {
        signal::Series all, off, middles;
        for (const auto& [drawing, values] : told) {
            all.insert(all.end(), values.begin(), values.end());
            middles.push_back(signal::median(values));
        }
        for (const auto& [drawing, values] : everybody) {
            const double middle = signal::median(values);
            for (const double v : values) off.push_back((v - middle) * (v - middle));
        }
        Common m;
        m.mean = signal::median(all);
        m.between_persons = std::sqrt(signal::median(off) / 0.455);
        for (const double v : middles) m.between_drawings += (v - m.mean) * (v - m.mean) / static_cast<double>(middles.size());
        m.between_drawings = std::sqrt(m.between_drawings);
        return m;
    };
    const Common a = is_deep(base) ? plain(along, along_of_all) : common_of(along),
                 c = is_deep(base) ? plain(across, across_of_all) : common_of(across);
    o.along = a.mean, o.across = c.mean;
    o.along_bend = fit(1, 0), o.across_bend = fit(1, 1);
    o.own_along = std::max(0.002, std::sqrt(signal::median(own_along)));
    o.own_across = std::max(0.002, std::sqrt(signal::median(own_across)));
    o.person_along = std::max(0.002, std::hypot(a.between_persons, a.between_drawings));
    o.person_across = std::max(0.002, std::hypot(c.between_persons, c.between_drawings));
    return o;
}

/// By how much a person's rows lie farther from the truth with an offset than with none, along and across.
Vec2 worse_by(const Filmed2& f, std::size_t seen, std::size_t base, const PointOffset& o) {
    Vec2 sum = Vec2::Zero();
    double n = 0;
    for (const auto& q : f.rows[seen][base]) {
        sum += q.weight * Vec2(std::abs(q.along - o.along - o.along_bend * q.bend) - std::abs(q.along),
                               std::abs(q.across - o.across - o.across_bend * q.bend) - std::abs(q.across));
        n += q.weight;
    }
    return n > 0 ? Vec2(sum / n) : Vec2(0, 0);
}

/// Groups that are left out one after the other: ways of drawing, and kinds of people within the mesh.
std::vector<std::string> groups(const std::vector<Filmed2>& all) {
    std::set<std::string> out;
    for (const auto& f : all) {
        out.insert(f.drawing);
        for (const auto& t : f.tags)
            if (t != "drawn" && t != f.drawing) out.insert(t);
    }
    return {out.begin(), out.end()};
}

PointOffset scaled(PointOffset o, const std::array<double, 2>& much) {
    o.along *= much[0], o.along_bend *= much[0];
    o.across *= much[1], o.across_bend *= much[1];
    return o;
}

bool surely_worse(const std::vector<const Filmed2*>& group, std::size_t seen, std::size_t base, const PointOffset& o, std::size_t axis) {
    signal::Series by;
    for (const auto* f : group)
        if (f->rows[seen][base].size() >= 4 && (axis == 0 ? told_along(base, f->drawing) : told_across(base, f->drawing)))
            by.push_back(worse_by(*f, seen, base, o)[static_cast<Eigen::Index>(axis)]);
    const auto n = static_cast<double>(by.size());
    if (n < 4) return false;
    double mean = 0, var = 0;
    for (const double v : by) mean += v / n;
    for (const double v : by) var += (v - mean) * (v - mean) / (n - 1);
    return mean > 2 * std::sqrt(var / n);
}

/// The fit to some people. Of an offset that made any of the groups worse when that group was left out of its fit only so much is kept as
/// does not; the rest goes into the spread.
OffsetTable fitted(const std::vector<const Filmed2*>& people, const std::vector<std::string>& left_out) {
    OffsetTable table;
    for (std::size_t seen = 0; seen < 4; ++seen)
        for (std::size_t base = 0; base < bases.size(); ++base) {
            PointOffset o = offset_of(people, seen, base);
            // As much of it as makes no group surely worse, by two standard errors over its people.
            std::array<double, 2> much{1, 1};
            for (const auto& group : is_deep(base) ? std::vector<std::string>{} : left_out) {
                std::vector<const Filmed2*> rest, in;
                for (const auto* f : people) (f->tags.count(group) ? in : rest).push_back(f);
                if (in.empty() || rest.size() < 12) continue;
                const PointOffset other = offset_of(rest, seen, base);
                for (std::size_t axis = 0; axis < 2; ++axis)
                    for (; much[axis] > 0; much[axis] -= 0.25)
                        if (!surely_worse(in, seen, base, scaled(other, much), axis)) break;
            }
            o.person_along = std::hypot(o.person_along, (1 - much[0]) * o.along);
            o.person_across = std::hypot(o.person_across, (1 - much[1]) * o.across);
            o = scaled(o, much);
            if (bases[base] == left_knee) o.person_along = std::hypot(o.person_along, unknown_level);
            table[seen][static_cast<std::size_t>(bases[base])] = o;
        }
    return table;
}

void print_table(const OffsetTable& table, std::size_t people, std::size_t drawings) {
    std::printf(
        "// Made by `./run fit-offsets` on %zu people of %zu ways of drawing. Place of the network's points against the joints that the "
        "ways have in\n// common, along and across (see offset_axes), its growth with the bend of the knee, and what remains within a clip "
        "and "
        "between\n// persons and drawings, in body heights (ankle to ear): front, back, side near, side far.\nconstexpr OffsetTable "
        "mean_offsets{{\n",
        people, drawings);
    for (const auto& kind : table) {
        std::printf("    {{\n");
        for (const Point b : bases) {
            const auto& o = kind[static_cast<std::size_t>(b)];
            std::printf("        {%.5f, %.5f, %.5f, %.5f, %.5f, %.5f, %.5f, %.5f}, // %s\n", o.along, o.across, o.along_bend, o.across_bend,
                        o.own_along, o.own_across, o.person_along, o.person_across, std::string(point_name(b)).c_str());
        }
        std::printf("    }},\n");
    }
    std::printf("}};\n");
}

/// Mean distance of the points from the truth, % of body height, and the share of moments within one and 1.64 stated sigma across.
struct Judged {
    double error = 0, one = 0, most = 0;
    int n = 0, persons = 0;
};
Judged judged(const std::vector<const Filmed2*>& people, const OffsetTable& table) {
    Judged j;
    for (const auto* f : people) {
        Track t = f->found;
        correct_offsets(t, f->azimuth, table);
        const double height = body_height_px(f->found);
        ++j.persons;
        for (std::size_t i = 0; i < t.frames(); ++i) {
            if (!t.px[i]) continue;
            for (std::size_t k = 0; k < point_count; ++k) {
                const auto &x = (*t.px[i])[k], &y = (*f->truth.px[i])[k];
                const Vec2 e(x.x - y.x, x.y - y.y);
                if (x.visibility < 0.3 || e.norm() > 0.12 * height) continue;
                j.error += 100 * e.norm() / height;
                const double sigma =
                    std::hypot(std::hypot(x.sigma / 0.6, x.bias), std::hypot(x.sigma_up / 0.6, x.bias_up)) / std::sqrt(2.0);
                const double r = e.norm() / std::max(sigma, 1e-6); // of two independent ends: Rayleigh
                j.one += r < 1.515, j.most += r < 2.146;           // 68 and 90 %
                ++j.n;
            }
        }
    }
    if (j.n > 0) j.error /= j.n, j.one *= 100.0 / j.n, j.most *= 100.0 / j.n;
    return j;
}

/// Figures as they show on one picture, where they are measured: from the front (a) or from the side (b); none otherwise.
struct Shown {
    const char* name;
    bool side;
    std::function<double(const BodyPx&, const Azimuth&)> of; // deg, or % of body height
};
double bend_of(const BodyPx& b, Side side) {
    const Vec2 thigh = at(b, on(side, left_knee)) - at(b, on(side, left_hip)),
               shank = at(b, on(side, left_ankle)) - at(b, on(side, left_knee));
    return std::abs(std::atan2(thigh.x() * shank.y() - thigh.y() * shank.x(), thigh.dot(shank))) * 57.29578;
}
std::vector<Shown> shown(double height) {
    const auto near = [](const Azimuth& a) { return a.s > 0 ? Side::left : Side::right; };
    const auto far = [](const Azimuth& a) { return a.s > 0 ? Side::right : Side::left; };
    const auto ahead = [](const Azimuth& a) { return a.s > 0 ? -1.0 : 1.0; }; // the way they face on the picture
    return {{"stance width, %", false,
             [=](const BodyPx& b, const Azimuth&) { return 100 * std::abs(b[left_ankle].x - b[right_ankle].x) / height; }},
            {"side bend, deg", false,
             [](const BodyPx& b, const Azimuth&) {
                 const Vec2 t = mid_px(b, left_shoulder) - mid_px(b, left_hip);
                 return std::atan2(t.x(), -t.y()) * 57.29578;
             }},
            {"knee bend near, deg", true, [=](const BodyPx& b, const Azimuth& a) { return bend_of(b, near(a)); }},
            {"knee bend far, deg", true, [=](const BodyPx& b, const Azimuth& a) { return bend_of(b, far(a)); }},
            {"lean, deg", true,
             [=](const BodyPx& b, const Azimuth& a) {
                 const Vec2 t = mid_px(b, left_shoulder) - mid_px(b, left_hip);
                 return ahead(a) * std::atan2(t.x(), -t.y()) * 57.29578;
             }},
            {"head ahead, %", true,
             [=](const BodyPx& b, const Azimuth& a) {
                 return 100 * ahead(a) * (mid_px(b, left_ear).x() - mid_px(b, left_shoulder).x()) / height;
             }},
            {"knee past toe, %", true, [=](const BodyPx& b, const Azimuth& a) {
                 return 100 * ahead(a) *
                        (b[static_cast<std::size_t>(on(near(a), left_knee))].x - b[static_cast<std::size_t>(on(near(a), left_toe))].x) /
                        height;
             }}};
}

/// Mean error of a figure and the mean of what each person's own mean is off.
void figures_of(const std::vector<const Filmed2*>& people, const OffsetTable& table) {
    const auto names = shown(1);
    for (std::size_t k = 0; k < names.size(); ++k) {
        double sum = 0, off = 0;
        int persons = 0;
        for (const auto* f : people) {
            Track t = f->found;
            correct_offsets(t, f->azimuth, table);
            const auto figures = shown(body_height_px(f->found));
            double mean = 0;
            int n = 0;
            for (std::size_t i = 0; i < t.frames(); ++i) {
                if (!t.px[i]) continue;
                const Azimuth a = f->azimuth[i].unit();
                if ((figures[k].side ? a.s * a.s : a.c * a.c) < 0.8) continue;
                mean += figures[k].of(*t.px[i], a) - figures[k].of(*f->truth.px[i], a), ++n;
            }
            if (n < 4) continue;
            sum += mean / n, off += std::abs(mean / n), ++persons;
        }
        std::printf(" %+.1f (%.1f) |", persons > 0 ? sum / persons : 0, persons > 0 ? off / persons : 0);
    }
    std::printf("\n");
}

int judge_all(const std::vector<Filmed2>& all) {
    OffsetTable none;
    for (auto& kind : none) kind.fill(PointOffset{});
    std::printf(
        "# The body finder on people of many shapes\n\nMade by `./run people` and `bevel-fit-offsets --judge`: how far the points lie from "
        "the "
        "truth, on ways of drawing people and on kinds of people within the mesh (160 dressed people, tools/people), each left out of the "
        "fit "
        "that is tried on it. \"Of the program\": the offsets in use, which were fitted with all but lofted. Levels of hip and knee and "
        "the "
        "places of hip and shoulder in the mesh are not anatomy (docs/design/truth.md): its lean is not a figure of the finder alone.\n\n");
    std::printf("| left out of the fit | persons | no offsets, %% of height | offsets of the program | fitted without it | within 1 sigma, "
                "%%: of the "
                "program, fitted without | within 1.64 |\n|---|---|---|---|---|---|---|\n");
    const auto names = groups(all);
    for (const auto& group : names) {
        std::vector<const Filmed2*> in, rest;
        for (const auto& f : all) (f.tags.count(group) ? in : rest).push_back(&f);
        const auto table = fitted(rest, {});
        const Judged a = judged(in, none), b = judged(in, fitted_offsets()), c = judged(in, table);
        std::printf("| %s | %d | %.2f | %.2f | %.2f | %.0f %.0f | %.0f %.0f |\n", group.c_str(), c.persons, a.error, b.error, c.error,
                    b.one, c.one, b.most, c.most);
        std::fflush(stdout);
    }
    std::printf("\nMean error of a person's figure, and how far it is off on the average (in brackets), on kinds left out of the fit:\n\n| "
                "left out | offsets |");
    for (const auto& f : shown(1)) std::printf(" %s |", f.name);
    std::printf("\n|---|---|");
    for (std::size_t k = 0; k < shown(1).size(); ++k) std::printf("---|");
    std::printf("\n");
    for (const auto& group : names) {
        std::vector<const Filmed2*> in, rest;
        for (const auto& f : all) (f.tags.count(group) ? in : rest).push_back(&f);
        for (const auto& [name, table] : {std::pair<const char*, OffsetTable>{"none", none},
                                          {"of the program", fitted_offsets()},
                                          {"fitted without", fitted(rest, {})}}) {
            std::printf("| %s | %s |", group.c_str(), name);
            figures_of(in, table);
        }
        std::fflush(stdout);
    }
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    if (argc == 3 && std::strcmp(argv[1], "--collect") == 0) return collect(argv[2], argv[0]);
    if (argc >= 3 && (std::strcmp(argv[1], "--fit") == 0 || std::strcmp(argv[1], "--judge") == 0)) {
        const auto all = read_all({argv + 2, argv + argc});
        if (all.size() < 24) return std::fprintf(stderr, "too few people: film them first\n"), 3;
        if (std::strcmp(argv[1], "--judge") == 0) return judge_all(all);
        std::vector<const Filmed2*> people;
        std::set<std::string> drawings;
        for (const auto& f : all)
            if (f.drawing != "lofted") people.push_back(&f), drawings.insert(f.drawing); // lofted is kept for measuring
        print_table(fitted(people, groups(all)), people.size(), drawings.size());
        return 0;
    }
    std::fprintf(stderr, "bevel-fit-offsets --collect FOLDER | --fit FOLDER... | --judge FOLDER...\n");
    return 2;
}
