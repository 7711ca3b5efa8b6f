// Every movement with bodies of several builds and sizes, faultless and with faults, from points in metres with noise: how many clear
// faults are told in the right direction, and how many remarks are false. Prints a part of docs/accuracy.md. A fault is clear where the
// band is left by more than the smallest amount worth a remark, by arithmetic alone: what the movement itself asks, plus the size of the
// fault. With --picture: one movement of each kind filmed from its best side and found by the body finder.
#include "core/movement/solver.h"
#include "grid_faults.h"
#include "media/clip.h"
#include "media/pose/finder.h"
#include "media/tracker.h"
#include "support/synthetic.h"
#include <atomic>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <map>
#include <set>
#include <thread>

using namespace bevel;

namespace {

struct Tally {
    int clear = 0, told = 0, opposite = 0;          // faults
    int judged = 0, false_remarks = 0, refused = 0; // of faultless takes
    std::map<std::string, int> missed, wrong;
    void add(const Tally& o) {
        clear += o.clear, told += o.told, opposite += o.opposite, judged += o.judged, false_remarks += o.false_remarks,
            refused += o.refused;
        for (const auto& [k, n] : o.missed) missed[k] += n;
        for (const auto& [k, n] : o.wrong) wrong[k] += n;
    }
};

Track noisy(const sim::Take& take, double metres, std::uint64_t seed) {
    Track t = test::room_track(take);
    Rng rng(seed);
    Body3 drift{};
    for (auto& v : drift) v.setZero();
    for (auto& f : t.m)
        for (std::size_t p = 0; p < point_count; ++p) {
            for (Eigen::Index a = 0; a < 3; ++a) drift[p][a] = 0.9 * drift[p][a] + 0.436 * metres * rng.gauss();
            (*f)[p] += drift[p];
        }
    std::array<double, point_count> sigma{};
    sigma.fill(metres);
    t.m_sigma.assign(t.frames(), sigma);
    return t;
}

Result<std::shared_ptr<const Review>> review_of(const Movement& m, const sim::TakeOptions& o, double noise) {
    const sim::Take take(m, o);
    ReviewOptions ro;
    ro.view = View::three_d;
    ro.stature_m = o.student.stature_m;
    return make_review(noisy(take, noise, o.student.seed), m, ro);
}

sim::TakeOptions body(std::uint64_t build, double stature, std::uint64_t seed) {
    auto o = sim::take_of(build * 31 + seed, stature);
    o.student.score.repetitions = 2;
    return o;
}

Tally grid_of(const Movement& m, int seeds) {
    Tally out;
    // What the movement itself asks: its own figure, exact.
    auto plain = body(1, 1.7, 1);
    plain.student.proportion_spread = plain.student.mass_spread = plain.student.tempo_spread = plain.student.size_spread =
        plain.student.sway = 0;
    const auto own = review_of(m, plain, 1e-5);
    for (std::uint64_t build = 1; build <= 4; ++build)
        for (const double stature : {1.45, 1.65, 1.9})
            for (int seed = 1; seed <= seeds; ++seed) {
                auto o = body(build, stature, static_cast<std::uint64_t>(seed));
                const auto r = review_of(m, o, 0.006);
                if (!r) {
                    ++out.refused;
                    continue;
                }
                for (const auto& f : (*r)->findings) {
                    if (f.verdict == Verdict::cannot_tell) continue;
                    ++out.judged;
                    if (f.verdict == Verdict::outside) ++out.false_remarks, ++out.wrong[f.check];
                }
            }
    if (!own) return out;
    for (const auto& g : grid_faults()) {
        if (!clear_by(g, **own)) continue;
        for (std::uint64_t build = 1; build <= 4; ++build)
            for (const double stature : {1.45, 1.65, 1.9})
                for (int seed = 1; seed <= seeds; ++seed) {
                    auto o = body(build, stature, static_cast<std::uint64_t>(seed));
                    o.student.faults.push_back({g.fault, g.size, std::nullopt});
                    const auto r = review_of(m, o, 0.006);
                    ++out.clear;
                    bool told = false, opposite = false, any = false;
                    if (r)
                        for (const auto& x : (*r)->findings) {
                            any |= x.measure == g.measure && x.verdict != Verdict::cannot_tell;
                            if (x.measure != g.measure || x.verdict != Verdict::outside) continue;
                            told |= x.direction == g.direction;
                            opposite |= x.direction != g.direction;
                        }
                    out.told += told ? 1 : 0;
                    out.opposite += opposite && !told ? 1 : 0;
                    if (!told)
                        ++out.missed[std::string(g.measure) + (g.direction == Direction::low ? " low" : " high") +
                                     (any ? "" : " (could not be told, and said so)")];
                }
    }
    return out;
}

/// The take as a film, found by the body finder.
Result<Track> filmed(const Movement& m, const sim::TakeOptions& o, const std::filesystem::path& models) {
    const sim::Take take(m, o);
    const auto file = std::filesystem::temp_directory_path() / "bevel-movement-grid.mp4";
    auto writer = ClipWriter::create(file, o.phone.width, o.phone.height, o.phone.fps, 26);
    if (!writer) return tl::unexpected(writer.error());
    for (std::size_t i = 0; i < take.frames(); ++i)
        if (auto ok = writer->add(take.picture(i), take.track().time_s[i]); !ok) return tl::unexpected(ok.error());
    if (auto ok = writer->finish(); !ok) return tl::unexpected(ok.error());
    TrackOptions options;
    options.model_dir = models;
    auto made = track_clip(file, options);
    std::filesystem::remove(file);
    if (!made) return tl::unexpected(made.error());
    return std::move(made->track);
}

/// Two bodies, faultless and with each fault that is clear and can be told from there.
Tally pictures_of(const Movement& m, const std::filesystem::path& models) {
    Tally out;
    auto plain = body(1, 1.7, 1);
    plain.student.proportion_spread = plain.student.mass_spread = plain.student.tempo_spread = plain.student.size_spread =
        plain.student.sway = 0;
    const auto own = review_of(m, plain, 1e-5);
    for (const auto& [seed, stature] : {std::pair{601U, 1.66}, {602U, 1.78}}) {
        auto o = sim::take_of(seed, stature);
        o.student.score.repetitions = 1;
        o.phone.view = m.best_views.front();
        o.phone.width = 960;
        o.phone.height = 540;
        o.phone.fps = 15;
        o.family = sim::Looks::Family::lofted; // nothing was fitted on it
        ReviewOptions ro;
        ro.view = o.phone.view;
        ro.stature_m = stature;
        const auto review = [&](const sim::TakeOptions& with) -> Result<std::shared_ptr<const Review>> {
            const auto track = filmed(m, with, models);
            if (!track) return tl::unexpected(track.error());
            return make_review(*track, m, ro);
        };
        const auto clean = review(o);
        if (!clean) {
            ++out.refused;
            continue;
        }
        for (const auto& f : (*clean)->findings) {
            if (f.verdict == Verdict::cannot_tell) continue;
            ++out.judged;
            if (f.verdict == Verdict::outside) ++out.false_remarks, ++out.wrong[f.check];
        }
        if (!own) continue;
        for (const auto& g : grid_faults()) {
            const auto seen = std::any_of((*clean)->findings.begin(), (*clean)->findings.end(),
                                          [&](const Finding& f) { return f.measure == g.measure && f.verdict != Verdict::cannot_tell; });
            if (!clear_by(g, **own) || !seen) continue;
            auto faulty = o;
            faulty.student.faults.push_back({g.fault, g.size, std::nullopt});
            const auto r = review(faulty);
            ++out.clear;
            bool told = false, opposite = false;
            if (r)
                for (const auto& x : (*r)->findings) {
                    if (x.measure != g.measure || x.verdict != Verdict::outside) continue;
                    told |= x.direction == g.direction;
                    opposite |= x.direction != g.direction;
                }
            out.told += told ? 1 : 0;
            out.opposite += opposite && !told ? 1 : 0;
            if (!told) {
                std::string why = r ? "" : "refused";
                if (r)
                    for (const auto& x : (*r)->findings)
                        if (x.measure == g.measure && why.empty())
                            why = x.verdict == Verdict::cannot_tell
                                      ? "could not be told"
                                      : std::string(verdict_name(x.verdict)) + ", error " + std::to_string(x.sigma).substr(0, 4) +
                                            " beyond by " + std::to_string(std::abs(x.excess())).substr(0, 4);
                ++out.missed[m.id + ": " + g.measure + " (" + why + ")"];
            }
        }
    }
    return out;
}

} // namespace

int main(int argc, char** argv) {
    const bool picture = argc > 1 && std::strcmp(argv[1], "--picture") == 0;
    const int seeds = argc > 1 ? std::max(1, std::atoi(argv[1])) : 3;
    auto movements = load_movements(find_data_dir(argv[0]));
    if (picture) { // the first of each kind
        std::set<std::string> kinds;
        std::erase_if(movements, [&](const Movement& m) { return argc > 2 ? m.id != argv[2] : !kinds.insert(m.kind).second; });
    }
    std::vector<Tally> all(movements.size());
    std::atomic<std::size_t> next{0};
    auto work = [&] {
        for (std::size_t i; (i = next++) < movements.size();)
            all[i] = picture ? pictures_of(movements[i], find_model_dir(argv[0])) : grid_of(movements[i], seeds);
    };
    {
        std::optional<std::jthread> other;
        if (!picture) other.emplace(work); // the body finder uses both threads itself
        work();
    }
    if (picture)
        std::printf("\n## One movement of each kind, through the picture\n\n%zu movements, 2 bodies each, filmed from the best side at 15 "
                    "pictures a second and found by the body finder. Faults: ",
                    movements.size());
    else
        std::printf("\n## All movements, from points\n\n%zu movements, 4 builds, 3 sizes, %d seeds each; points in metres with 6 mm of "
                    "noise. Faults: ",
                    movements.size(), seeds);
    for (const auto& g : grid_faults())
        std::printf("%s%s %g", &g == &grid_faults().front() ? "" : ", ", std::string(sim::fault_name(g.fault)).c_str(), g.size);
    std::printf(".\n\n| movement | clear faults | told rightly | the other way | judged faultless | false remarks | refused "
                "|\n|---|---|---|---|---|---|---|\n");
    Tally sum;
    for (std::size_t i = 0; i < movements.size(); ++i) {
        const auto& t = all[i];
        sum.add(t);
        std::printf("| %s | %d | %d | %d | %d | %d | %d |\n", movements[i].id.c_str(), t.clear, t.told, t.opposite, t.judged,
                    t.false_remarks, t.refused);
    }
    std::printf("| **all** | %d | %.1f %% | %.1f %% | %d | %.2f %% | %d |\n\n", sum.clear, 100.0 * sum.told / std::max(1, sum.clear),
                100.0 * sum.opposite / std::max(1, sum.clear), sum.judged, 100.0 * sum.false_remarks / std::max(1, sum.judged),
                sum.refused);
    std::printf("Missed:");
    for (const auto& [k, n] : sum.missed) std::printf(" %s %d;", k.c_str(), n);
    std::printf("\n\nFalse:");
    for (const auto& [k, n] : sum.wrong) std::printf(" %s %d;", k.c_str(), n);
    std::printf("\n");
    return 0;
}
