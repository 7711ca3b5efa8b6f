// Speed of what a person waits for. Counters give ratios that carry over to other machines: "x real time" is clip seconds done a second.
#include "core/form/form_review.h"
#include "media/tracker.h"
#include "support/synthetic.h"
#include <benchmark/benchmark.h>
#include <fstream>

using namespace bevel;

namespace {

std::filesystem::path models() {
    return std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
}

/// The largest clip of the demo: 1280 x 720.
std::filesystem::path demo_clip() {
    std::filesystem::path best;
    std::uintmax_t size = 0;
    std::error_code ec;
    for (const auto& e : std::filesystem::directory_iterator(std::filesystem::path(BEVEL_SOURCE_DIR) / "data/demo/clips", ec))
        if (e.file_size() > size) size = e.file_size(), best = e.path();
    return best;
}

sim::Take take(View view) {
    auto o = sim::take_of(3, 1.7);
    o.phone.view = view;
    o.phone.fps = 25;
    return sim::Take(test::movement("gaze_at_the_moon"), o);
}

double resident_mb() {
    std::ifstream f("/proc/self/status");
    for (std::string line; std::getline(f, line);)
        if (line.starts_with("VmHWM:")) return std::strtod(line.c_str() + 6, nullptr) / 1024;
    return 0;
}

/// Decode, find the body, correct and smooth: a whole clip, as when it is taken in.
void track(benchmark::State& state, Model model, int stretches) {
    const auto clip = demo_clip();
    TrackOptions o;
    o.model_dir = models();
    o.model = model;
    o.stretches = stretches;
    double seconds = 0, frames = 0;
    for (auto _ : state) {
        const auto r = track_clip(clip, o);
        if (!r) return state.SkipWithError("no demo clip or no models");
        seconds += r->clip.duration_s();
        frames += static_cast<double>(r->track.frames());
    }
    state.counters["frames/s"] = benchmark::Counter(frames, benchmark::Counter::kIsRate);
    state.counters["x real time"] = benchmark::Counter(seconds, benchmark::Counter::kIsRate);
    state.counters["peak MB"] = resident_mb();
}
BENCHMARK_CAPTURE(track, lite, Model::lite, 2)->Unit(benchmark::kMillisecond)->Iterations(1)->UseRealTime();
BENCHMARK_CAPTURE(track, full, Model::full, 2)->Unit(benchmark::kMillisecond)->Iterations(1)->UseRealTime();
BENCHMARK_CAPTURE(track, full_one_stretch, Model::full, 1)->Unit(benchmark::kMillisecond)->Iterations(1)->UseRealTime();

void decode(benchmark::State& state) {
    auto reader = ClipReader::open(demo_clip());
    if (!reader) return state.SkipWithError("no demo clip");
    std::size_t i = 0, frames = 0;
    for (auto _ : state) {
        benchmark::DoNotOptimize(reader->frame(i));
        i = (i + 1) % reader->info().time_s.size();
        ++frames;
    }
    state.counters["frames/s"] = benchmark::Counter(static_cast<double>(frames), benchmark::Counter::kIsRate);
}
BENCHMARK(decode)->Unit(benchmark::kMillisecond);

/// A frame back: what stepping backwards costs.
void step_back(benchmark::State& state) {
    auto reader = ClipReader::open(demo_clip());
    if (!reader) return state.SkipWithError("no demo clip");
    auto i = reader->info().time_s.size() - 1;
    for (auto _ : state) {
        benchmark::DoNotOptimize(reader->frame(i));
        i = i > 0 ? i - 1 : reader->info().time_s.size() - 1;
    }
}
BENCHMARK(step_back)->Unit(benchmark::kMillisecond);

/// From points to findings.
void review(benchmark::State& state) {
    const auto t = take(View::front);
    const auto m = test::movement("gaze_at_the_moon");
    ReviewOptions o;
    o.view = View::front;
    o.stature_m = 1.7;
    double seconds = 0;
    for (auto _ : state) {
        benchmark::DoNotOptimize(make_review(t.track(), m, o));
        seconds += t.track().time_s.back();
    }
    state.counters["x real time"] = benchmark::Counter(seconds, benchmark::Counter::kIsRate);
}
BENCHMARK(review)->Unit(benchmark::kMillisecond);

/// One take over and over, as so many raw frames at 30 a second.
Track long_track(std::size_t frames) {
    const auto one = take(View::left);
    Track t = one.track();
    for (auto& f : t.m) f.reset();
    t.model = "full";
    const std::size_t n = t.frames();
    while (t.frames() < frames) {
        t.px.push_back(t.px[t.frames() % n]);
        t.m.emplace_back();
        t.time_s.push_back(0);
    }
    for (std::size_t i = 0; i < t.frames(); ++i) t.time_s[i] = static_cast<double>(i) / 30;
    return t;
}

/// From raw points to Evidence (layers, corrections, ground, errors, measures, events), on one core: clips of so many frames.
void evidence(benchmark::State& state) {
    const Track t = long_track(static_cast<std::size_t>(state.range(0)));
    MotionOptions o;
    o.stature_m = 1.7;
    double seconds = 0;
    for (auto _ : state) {
        const auto motion = make_motion(t, o);
        if (!motion) return state.SkipWithError("not measured");
        benchmark::DoNotOptimize(measure(*motion));
        seconds += t.time_s.back();
    }
    state.counters["x real time"] = benchmark::Counter(seconds, benchmark::Counter::kIsRate);
}
BENCHMARK(evidence)->Arg(18000)->Arg(108000)->Unit(benchmark::kMillisecond)->Iterations(2);

/// From Evidence to findings: aligned, summarised, judged.
void judgement(benchmark::State& state) {
    const Track t = long_track(static_cast<std::size_t>(state.range(0)));
    MotionOptions o;
    o.stature_m = 1.7;
    const auto motion = make_motion(t, o);
    if (!motion) return state.SkipWithError("not measured");
    const Measures ms = measure(*motion);
    const auto m = test::movement("gaze_at_the_moon");
    const Reference reference(m, 1.7);
    double seconds = 0;
    for (auto _ : state) {
        const auto al = align(*motion, ms, Form{{{&reference.model(), std::nullopt}}});
        if (!al) return state.SkipWithError("nothing found");
        benchmark::DoNotOptimize(judge(summarise(*motion, ms, *al, m, reference.model()), *al, m));
        seconds += t.time_s.back();
    }
    state.counters["x real time"] = benchmark::Counter(seconds, benchmark::Counter::kIsRate);
}
BENCHMARK(judgement)->Arg(18000)->Arg(108000)->Unit(benchmark::kMillisecond)->Iterations(2);

/// What a changed band costs: judging again from the summaries of ten minutes.
void judge_again(benchmark::State& state) {
    const Track t = long_track(18000);
    const auto m = test::movement("gaze_at_the_moon");
    ReviewOptions o;
    o.stature_m = 1.7;
    const auto r = make_review(t, m, o);
    if (!r) return state.SkipWithError("not reviewed");
    for (auto _ : state) benchmark::DoNotOptimize(judge((*r)->summaries, (*r)->alignment, (*r)->movement));
}
BENCHMARK(judge_again)->Unit(benchmark::kMicrosecond);

/// A linked form of 6.7 minutes, aligned and judged, with points in metres and as one camera sees it.
void whole_form(benchmark::State& state, View view) {
    const auto data = std::filesystem::path(BEVEL_SOURCE_DIR) / "data";
    const auto movements = load_movements(data);
    const auto forms = load_forms(data);
    const auto form = std::find_if(forms.begin(), forms.end(), [](const LinkedForm& f) { return f.id == "twenty_four_there_and_back"; });
    const auto course = form == forms.end() ? Result<LinkedCourse>(fail(Code::not_found, "form")) : link(*form, movements);
    if (!course) return state.SkipWithError("no form");
    sim::TakeOptions o = sim::take_of(3, 1.7);
    o.phone.view = view == View::three_d ? View::front : view;
    o.phone = sim::seeing_all(sim::Student(course->score(), o.student), o.phone);
    Track track = sim::Take(course->score(), o).track();
    for (auto& m : track.m)
        if (view != View::three_d) m.reset();
    ReviewOptions options;
    options.view = view;
    options.stature_m = 1.7;
    double seconds = 0;
    for (auto _ : state) {
        const auto r = make_form_review(track, *form, movements, options);
        if (!r) return state.SkipWithError("not reviewed");
        seconds += track.time_s.back();
    }
    state.counters["x real time"] = benchmark::Counter(seconds, benchmark::Counter::kIsRate);
}
BENCHMARK_CAPTURE(whole_form, metres, View::three_d)->Unit(benchmark::kMillisecond)->UseRealTime();
BENCHMARK_CAPTURE(whole_form, one_camera, View::front)->Unit(benchmark::kMillisecond)->UseRealTime();

void simulate_points(benchmark::State& state) {
    for (auto _ : state) benchmark::DoNotOptimize(take(View::front));
}
BENCHMARK(simulate_points)->Unit(benchmark::kMillisecond);

void draw_picture(benchmark::State& state) {
    const auto t = take(View::front);
    std::size_t i = 0;
    for (auto _ : state) benchmark::DoNotOptimize(t.picture(i++ % t.frames()));
    state.counters["pictures/s"] = benchmark::Counter(static_cast<double>(state.iterations()), benchmark::Counter::kIsRate);
}
BENCHMARK(draw_picture)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace

BENCHMARK_MAIN();
