// All linked forms, done by four builds of body, from exact points: parts and their order, faults in one part, parts missing, swapped, done
// again and not seen. Prints a part of docs/accuracy.md: bevel-form-grid [SEEDS] [FORM]
#include "core/form/form_review.h"
#include "core/sim/student.h"
#include <atomic>
#include <cstdio>
#include <cstdlib>
#include <map>
#include <mutex>
#include <thread>

using namespace bevel;

namespace {

std::vector<Movement> movements;
std::mutex out_lock;

constexpr double noise_m = 0.006;

struct Tally {
    int set = 0, good = 0;
    void add(bool is_good) { ++set, good += is_good ? 1 : 0; }
};
std::map<std::string, Tally> tallies;
std::map<std::string, int> wrong; // false findings
std::vector<std::string> failures;

void count(const std::string& what, bool good, const std::string& where) {
    const std::lock_guard lock(out_lock);
    tallies[what].add(good);
    if (!good) failures.push_back(what + ": " + where);
}

struct Build {
    const char* name;
    double stature;
    std::uint64_t seed; // of its proportions and masses
};
constexpr Build builds[] = {{"1.50 m", 1.50, 1}, {"1.65 m", 1.65, 2}, {"1.78 m", 1.78, 3}, {"1.90 m", 1.90, 4}};

sim::StudentOptions student(const Build& b, std::uint64_t seed) {
    sim::StudentOptions o;
    o.stature_m = b.stature;
    o.seed = b.seed * 31 + seed;
    o.tempo = 0.8 + 0.2 * static_cast<double>(seed % 3);
    return o;
}

struct Done {
    Track track;
    std::vector<std::pair<double, double>> spans; // of the parts done
};

Done performed(const LinkedCourse& course, const sim::StudentOptions& o, std::vector<int> only = {}) {
    sim::Student s(course.score(), o);
    s.only_in(std::move(only));
    Done d;
    Rng rng(o.seed + 5);
    for (double t = 0; t <= s.duration(); t += 1.0 / 30) {
        Body3 body = s.pose(t).points;
        for (auto& p : body) p += noise_m * Vec3(rng.gauss(), rng.gauss(), rng.gauss());
        d.track.time_s.push_back(t);
        d.track.m.emplace_back(body);
        d.track.px.emplace_back();
    }
    std::array<double, point_count> sigma{};
    sigma.fill(noise_m);
    d.track.m_sigma.assign(d.track.frames(), sigma);
    const auto& keys = s.score().keys();
    d.spans.resize(course.parts.size());
    for (std::size_t i = 1; i < keys.size(); ++i)
        if (keys[i].repetition >= 0) {
            auto& span = d.spans[static_cast<std::size_t>(keys[i].repetition)];
            if (span.second == 0) span.first = s.time_of(keys[i - 1].time);
            span.second = s.time_of(keys[i].time);
        }
    return d;
}

Result<std::shared_ptr<const FormReview>> reviewed(const Track& t, const LinkedForm& f, double stature) {
    ReviewOptions o;
    o.view = View::three_d;
    o.stature_m = stature;
    return make_form_review(t, f, movements, o);
}

/// "1 2 3:missing 4 2:again …".
std::string course_of(const FormReview& r) {
    std::string out;
    for (const auto& p : r.parts) {
        out += " " + std::to_string(p.part + 1);
        if (p.how != PartSeen::How::done) out += ":" + std::string(how_name(p.how));
        if (p.again) out += ":again";
        if (p.out_of_order) out += ":out of order";
    }
    return out;
}

const PartSeen* seen(const FormReview& r, std::size_t part) {
    for (const auto& p : r.parts)
        if (p.part == part && !p.again) return &p;
    return nullptr;
}

struct FaultCase {
    sim::Fault fault;
    double size;
    const char* measure;
    Direction direction;
};
constexpr FaultCase faults[] = {{sim::Fault::lean_forward, 22, "trunk.lean", Direction::high},
                                {sim::Fault::lean_side, 13, "trunk.side", Direction::high},
                                {sim::Fault::head_forward, 9, "head.offset", Direction::high},
                                {sim::Fault::knee_in, 20, "knee.inward", Direction::high}};

void one(const LinkedForm& form, const Build& build, std::uint64_t seed) {
    const auto course = link(form, movements);
    if (!course) return;
    const std::string where = form.id + ", " + build.name + ", seed " + std::to_string(seed);
    Rng rng(seed * 101 + 7);
    auto any_part = [&](std::size_t least = 0) {
        return least + static_cast<std::size_t>(rng.uniform(0, 1) * 0.999 * static_cast<double>(course->parts.size() - least));
    };
    const auto o = student(build, seed);
    const auto plain = performed(*course, o);
    const auto faultless = reviewed(plain.track, form, build.stature);
    if (!faultless) return count("faultless forms: all parts in their order", false, where + " " + faultless.error().context);
    {
        const auto& r = **faultless;
        std::size_t done = 0;
        bool late = false;
        int any = 0, grave = 0;
        for (const auto& p : r.parts) {
            done += p.how == PartSeen::How::done && !p.again && !p.out_of_order ? 1 : 0;
            if (p.how == PartSeen::How::done) {
                const auto& span = plain.spans[p.part];
                late = late || std::abs(p.from_s - span.first) > 1.5 || std::abs(p.to_s - span.second) > 1.5;
            }
            for (const auto k : p.findings)
                if (const Finding& f = r.review->findings[k]; f.verdict == Verdict::outside) {
                    ++any;
                    grave += f.severity == Severity::safety || f.severity == Severity::ground || f.severity == Severity::timing ? 1 : 0;
                    const std::lock_guard lock(out_lock);
                    ++wrong[r.reference->course().parts[p.part].movement->id + " " + f.key() + " in " + f.phase];
                }
        }
        count("faultless forms: all parts in their order", done == course->parts.size() && r.parts.size() == course->parts.size(), where);
        count("faultless forms: ends of parts within 1.5 s", !late, where);
        count("faultless forms: without a false finding", any == 0, where);
        count("faultless forms: without one of safety, ground or timing", grave == 0, where);
    }
    for (const auto& c : faults) {
        const auto part = any_part();
        const PartSeen* before = seen(**faultless, part);
        // Asked of this part at all, and told in it.
        const auto tells = [&](const Finding& f) { return f.measure == c.measure && f.verdict != Verdict::cannot_tell && f.high; };
        if (!before || std::none_of(before->findings.begin(), before->findings.end(),
                                    [&](std::size_t k) { return tells((*faultless)->review->findings[k]); }))
            continue;
        auto with = o;
        with.faults = {{c.fault, c.size, c.fault == sim::Fault::lean_side ? std::optional(Side::left) : std::nullopt}};
        const auto done = performed(*course, with, {static_cast<int>(part)});
        const auto r = reviewed(done.track, form, build.stature);
        const std::string at = where + ", " + std::string(sim::fault_name(c.fault)) + " in part " + std::to_string(part + 1);
        bool told = false, elsewhere = false;
        if (r)
            for (const auto& p : (*r)->parts)
                for (const auto k : p.findings)
                    if (const Finding& f = (*r)->review->findings[k];
                        f.measure == c.measure && f.verdict == Verdict::outside && f.direction == c.direction)
                        (p.part == part ? told : elsewhere) = true;
        count("faults in one part: told in it", told, at);
        count("faults in one part: told in no other", !elsewhere, at);
    }
    const std::size_t n = form.parts.size();
    if (n < 3) return;
    const auto entry =
        static_cast<std::size_t>(1 + rng.uniform(0, 1) * 0.999 * static_cast<double>(n - 2)); // neither the first nor the last
    // The course that is done otherwise than the form has it; by entry.
    auto otherwise = [&](const char* what, const LinkedForm& other, auto good) {
        const auto changed = link(other, movements);
        if (!changed) return;
        const auto done = performed(*changed, o);
        const auto r = reviewed(done.track, form, build.stature);
        count(what, r && good(**r), where + ", entry " + std::to_string(entry + 1) + ":" + (r ? course_of(**r) : " " + r.error().context));
    };
    const auto of_entry = [&](const FormReview& r, const PartSeen& p) { return r.reference->course().parts[p.part].entry; };
    // Whether another part beside it looks the same: nobody can say then which of the two is missing.
    const auto same = [&](std::size_t a, std::size_t b) { return b < n && form.parts[a].movement == form.parts[b].movement; };
    const auto alone = [&](std::size_t e) { return !same(e, e + 1) && !same(e, e - 1) && !same(e + 1, e - 1); };
    {
        LinkedForm f = form;
        f.parts.erase(f.parts.begin() + static_cast<std::ptrdiff_t>(entry));
        if (alone(entry))
            otherwise("a part left out: said to be missing, and no other", f, [&](const FormReview& r) {
                bool gone = false, other = false;
                for (const auto& p : r.parts)
                    if (p.how != PartSeen::How::done && p.how != PartSeen::How::cut)
                        (of_entry(r, p) == entry && p.how == PartSeen::How::missing ? gone : other) = true;
                return gone && !other;
            });
    }
    {
        LinkedForm f = form;
        f.parts.insert(f.parts.begin() + static_cast<std::ptrdiff_t>(entry) + 1, f.parts[entry]);
        f.parts[entry + 1].turn = 0;
        if (f.parts[entry].until.empty() && f.parts[entry].from.empty() && form.parts[entry].repeats == 1 && alone(entry))
            otherwise("a part done twice: said so", f, [&](const FormReview& r) {
                return std::any_of(r.parts.begin(), r.parts.end(), [&](const PartSeen& p) { return p.again && of_entry(r, p) == entry; });
            });
    }
    if (entry + 2 < n && alone(entry) && alone(entry + 1)) {
        LinkedForm f = form;
        const auto whole = [](const FormPart& p) { return p.from.empty() && p.until.empty() && p.turn == 0; };
        if (whole(f.parts[entry]) && whole(f.parts[entry + 1])) {
            std::swap(f.parts[entry], f.parts[entry + 1]);
            otherwise("two parts swapped: said to be out of order", f, [&](const FormReview& r) {
                return std::any_of(r.parts.begin(), r.parts.end(), [&](const PartSeen& p) {
                    return p.out_of_order && (of_entry(r, p) == entry || of_entry(r, p) == entry + 1);
                });
            });
        }
    }
    { // nobody in the picture for one part
        Done d = plain;
        const auto part = any_part(1);
        for (std::size_t i = 0; i < d.track.frames(); ++i)
            if (d.track.time_s[i] > d.spans[part].first + 0.2 && d.track.time_s[i] < d.spans[part].second - 0.2) d.track.m[i].reset();
        const auto r = reviewed(d.track, form, build.stature);
        bool missing = !r;
        if (r)
            for (const auto& p : (*r)->parts) missing = missing || p.how == PartSeen::How::missing || p.how == PartSeen::How::unlike;
        count("a part not seen: nothing said to be missing", !missing, where + ", part " + std::to_string(part + 1));
        const PartSeen* p = r ? seen(**r, part) : nullptr;
        count("a part not seen: said to be not seen", p && p->how == PartSeen::How::not_seen,
              where + ", part " + std::to_string(part + 1) + ":" + (r ? course_of(**r) : " " + r.error().context));
    }
}

} // namespace

int main(int argc, char** argv) {
    const int seeds = argc > 1 ? std::atoi(argv[1]) : 2;
    const auto data = find_data_dir(argv[0]);
    movements = load_movements(data);
    struct Job {
        LinkedForm form;
        const Build* build;
        std::uint64_t seed;
    };
    std::vector<Job> jobs;
    for (const auto& f : load_forms(data))
        if (argc < 3 || f.id == argv[2])
            for (const auto& b : builds)
                for (int s = 0; s < seeds; ++s) jobs.push_back({f, &b, static_cast<std::uint64_t>(31 + 7 * s)});
    std::atomic<std::size_t> next{0};
    std::vector<std::thread> workers;
    for (unsigned w = 0; w < std::max(1U, std::thread::hardware_concurrency()); ++w)
        workers.emplace_back([&] {
            for (std::size_t k = next++; k < jobs.size(); k = next++) one(jobs[k].form, *jobs[k].build, jobs[k].seed);
        });
    for (auto& w : workers) w.join();
    std::printf("## Linked forms, from points\n\n%zu forms, %zu builds, %d seed(s) each; noise of 6 mm, stated. Faults of fixed size in "
                "one part, taken at "
                "random; where the part asks nothing of the kind it is not counted.\n\n| | set | good | share |\n|---|---|---|---|\n",
                load_forms(data).size(), std::size(builds), seeds);
    for (const auto& [what, t] : tallies)
        std::printf("| %s | %d | %d | %.1f %% |\n", what.c_str(), t.set, t.good, 100.0 * t.good / std::max(1, t.set));
    std::printf("\n");
    for (const auto& [what, n] : wrong) std::fprintf(stderr, "false: %d %s\n", n, what.c_str());
    for (const auto& f : failures) std::fprintf(stderr, "%s\n", f.c_str());
}
