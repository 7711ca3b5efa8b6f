#include "support/readers.h"
#include "core/files.h"
#include "core/ground/own_neutral.h"
#include "core/measure/breath_trace.h"
#include "core/measure/measures.h"
#include "core/movement/movement.h"
#include "core/practice/plan.h"
#include "core/review/points_csv.h"
#include "core/review/review.h"
#include "desk/handover.h"
#include "media/clip.h"
#include "media/clip_sound.h"
#include "store/bundle.h"
#include "store/library.h"
#include "store/track_blob.h"
#include "support/synthetic.h"
#include <algorithm>
#include <filesystem>
#include <fstream>
#include <unistd.h>
#include <zip.h>

namespace bevel::test {
namespace {

namespace fs = std::filesystem;

/// A folder of this process, gone with it.
const fs::path& place() {
    struct Place {
        fs::path path = fs::temp_directory_path() / ("bevel-readers-" + std::to_string(::getpid()));
        Place() { fs::create_directories(path); }
        ~Place() {
            std::error_code ec;
            fs::remove_all(path, ec);
        }
    };
    static const Place p;
    return p.path;
}
fs::path file_of(const std::string& bytes, const char* name) {
    const auto file = place() / name;
    (void)write_whole(file, bytes);
    return file;
}
Library& library() {
    static Library lib = [] {
        Library l = *Library::open(place() / "library");
        (void)l.settings().set("place", "Lantern Quay");
        return l;
    }();
    return lib;
}
/// What was taken in goes again, so that a long run does not fill the disk.
void take_in(const fs::path& file) {
    auto& lib = library();
    if (const auto id = read_bundle(lib, file)) {
        (void)lib.people().facts(*id), (void)lib.people().neutral(*id), (void)lib.records().lines(*id), (void)lib.letters().lines(*id),
            (void)lib.decisions().agreements(*id);
        (void)lib.letters().waiting(), (void)lib.records().figures(*id);
        const auto clips = lib.clips().all();
        if (clips)
            for (const auto& c : *clips) (void)lib.tracks().load(c.id), (void)lib.clips().remove(c.id);
        (void)lib.people().erase(*id);
    }
}

void clip(const std::string& bytes) {
    const auto file = file_of(bytes, "clip.mp4");
    (void)sound_of_clip(file);
    auto reader = ClipReader::open(file);
    if (!reader) return;
    auto& r = *reader;
    for (std::size_t f = 0; f < std::min<std::size_t>(3, r.info().time_s.size()); ++f) (void)r.frame(f);
}
void record(const std::string& bytes) {
    const auto file = place() / "record.zip";
    int why = 0;
    zip_t* z = zip_open(file.c_str(), ZIP_CREATE | ZIP_TRUNCATE, &why);
    if (!z) return;
    zip_source_t* s = zip_source_buffer(z, bytes.data(), bytes.size(), 0);
    if (zip_file_add(z, "record.json", s, ZIP_FL_ENC_UTF_8) < 0) zip_source_free(s);
    if (zip_close(z) == 0)
        take_in(file);
    else
        zip_discard(z);
}

} // namespace

const std::vector<HostileReader>& hostile_readers() {
    static const std::vector<HostileReader> all{
        {"points", [](const std::string& b) { (void)parse_points(b); }},
        {"movement",
         [](const std::string& b) {
             if (const auto m = parse_movement(b))
                 for (const auto& v : m->versions) (void)m->as(v.name);
         }},
        {"school", [](const std::string& b) { (void)parse_school(b); }},
        {"rules", [](const std::string& b) { (void)parse_rules(b); }},
        {"measures", [](const std::string& b) { (void)parse_measures(b); }},
        {"plan", [](const std::string& b) { (void)parse_plan(b); }},
        {"class",
         [](const std::string& b) {
             if (const auto h = parse_handover(b)) (void)handover_text(*h);
         }},
        {"review", [](const std::string& b) { (void)parse_review_json(b); }},
        {"breath", [](const std::string& b) { (void)breath_trace(b); }},
        {"neutral", [](const std::string& b) { (void)parse_neutral(b); }},
        {"which", [](const std::string& b) { (void)parse_which(b); }},
        {"people", [](const std::string& b) { (void)people_from_csv(b); }},
        {"track", [](const std::string& b) { (void)unpack_track(b); }},
        {"marks", [](const std::string& b) { (void)unpack_marks(b); }},
        {"bundle", [](const std::string& b) { take_in(file_of(b, "bundle.zip")); }},
        {"record", record},
        {"clip", clip},
    };
    return all;
}

std::vector<std::string> seeds_of(const std::string& reader) {
    std::vector<std::string> out;
    const fs::path source = BEVEL_SOURCE_DIR;
    auto files = [&](const fs::path& folder, const char* ending, std::size_t most) {
        std::vector<fs::path> all;
        std::error_code ec;
        for (const auto& e : fs::directory_iterator(folder, ec))
            if (e.path().extension() == ending && e.path().string().find(".schema.") == std::string::npos) all.push_back(e.path());
        std::sort(all.begin(), all.end());
        for (const auto& f : all)
            if (out.size() < most)
                if (auto text = read_text(f, 4U << 20U)) out.push_back(std::move(*text));
    };
    auto take = [] {
        sim::TakeOptions o = sim::take_of(3, 1.7);
        o.to_s = 12;
        return sim::Take(movement("open_and_close"), o);
    };
    if (reader == "movement") files(source / "data/movements", ".json", 60);
    if (reader == "school") files(source / "data/schools", ".json", 60);
    for (const char* one : {"rules", "measures"})
        if (reader == one) out.push_back(*read_text(source / "data" / (reader + ".json"), 4U << 20U));
    if (reader == "track") files(source / "tests/data/odd", ".track", 2);
    if (reader == "points") {
        Track t = take().track();
        t.time_s.resize(40), t.px.resize(40), t.m.resize(40);
        out.push_back(points_csv(t));
        out.push_back("time_s,nose_x_m,nose_y_m,nose_z_m,breath\n0,0,1.6,0.1,in\n0.1,0,1.6,0.1,\n");
    }
    if (reader == "marks") {
        Layers l;
        out.push_back(pack_marks(l));
        l.trim_from_s = 1, l.trim_to_s = 9, l.breaths = {{1, true}, {4, false}};
        out.push_back(pack_marks(l));
    }
    if (reader == "plan") {
        Needs needs;
        needs.minutes = 20;
        const auto movements = load_movements(source / "data");
        if (const auto plan = propose(needs, movements)) out.push_back(plan_text(*plan));
    }
    if (reader == "class") {
        Handover h;
        h.group.name = "Evening", h.group.at = "18:30", h.group.weekday = 4;
        h.people = {{"Ana", {"open_and_close"}, 3, {{"seated", ""}, {"care_knees", "2027-01-05"}}}, {"Bo", {}, 0, {}}};
        h.lessons = {{"2026-12-03", "", "rain", true, {0, 1}}};
        out.push_back(handover_text(h));
        CourseNeeds needs;
        needs.from = "2026-12-03", needs.home_days = 0, needs.needs.wanted = {"part_the_horses_mane"};
        if (auto made = propose_course(needs, load_movements(source / "data"))) {
            CourseOf c;
            c.title = "Eight weeks", c.wish.from = needs.from, c.made = std::move(*made);
            h.courses.push_back(std::move(c));
        }
        out.push_back(handover_text(h));
    }
    if (reader == "review") {
        const sim::Take t = take();
        ReviewOptions o;
        o.view = View::three_d, o.stature_m = 1.7;
        if (const auto r = make_review(room_track(t), movement("open_and_close"), o)) out.push_back(review_json(**r, "clip.mp4"));
    }
    if (reader == "breath") out = {"0,1.0\n0.5,1.2\n1.0,1.5\n1.5,1.2\n2,1.0\n", "0.2,in\n3.1,out\n6,in\n"};
    if (reader == "neutral") {
        PersonNeutral n;
        RightMoment m;
        m.clip = 1, m.time_s = 2, m.figures.of(OwnPart::head) = OwnFigure{0.01, 0.002, false};
        n.moments.push_back(m);
        n.depth = Comfort{0.2, 1};
        out.push_back(neutral_text(n));
    }
    if (reader == "which") out.push_back(which_json({"open_and_close", {Elsewhere{}}}));
    if (reader == "people")
        out = {"name,height_cm,alias,language,email,goals,notes\r\nAna,162,A.,de,a@b.c,\"climb, stairs\",x\r\n",
               "name;height_cm\nBo;172,5\n"};
    if (reader == "bundle" || reader == "record") {
        auto lib = *Library::open(place() / "seed");
        Person p;
        p.name = "Ana Okafor";
        const auto id = lib.people().add(p, "2026-01-01");
        Clip c;
        c.person = *id, c.movement = "open_and_close", c.filmed_on = c.arrived_on = "2026-10-01", c.state = ClipState::tracked;
        const auto clip = lib.clips().add_record(c);
        Track t;
        t.width = t.height = 100;
        for (int i = 0; i < 12; ++i) t.time_s.push_back(i * 0.04), t.px.emplace_back(BodyPx{}), t.m.emplace_back();
        (void)lib.tracks().save(*clip, t);
        (void)lib.decisions().decide(*clip, {"head", "left", Choice::kept, "Look far.", ""});
        const auto file = place() / "seed.zip";
        if (write_bundle(lib, *id, file)) {
            std::ifstream in(file, std::ios::binary);
            const std::string whole((std::istreambuf_iterator<char>(in)), {});
            if (reader == "bundle") out.push_back(whole);
        }
        if (reader == "record") {
            int why = 0;
            if (zip_t* z = zip_open(file.c_str(), ZIP_RDONLY, &why)) {
                if (zip_file_t* f = zip_fopen(z, "record.json", 0)) {
                    std::string text(1 << 20, 0);
                    const auto n = zip_fread(f, text.data(), text.size());
                    if (n > 0) out.push_back(text.substr(0, static_cast<std::size_t>(n)));
                    zip_fclose(f);
                }
                zip_discard(z);
            }
        }
        (void)lib.people().erase(*id);
    }
    if (reader == "clip") {
        const auto file = place() / "seed.mp4";
        for (const int sound : {0, 16000})
            if (auto w = ClipWriter::create(file, 64, 48, 25, 26, "libx264", 0, sound)) {
                sim::Image picture;
                picture.width = 64, picture.height = 48;
                picture.rgb.assign(64 * 48 * 3, 90);
                bool ok = true;
                for (int i = 0; i < 12; ++i) ok = ok && w->add(picture, i * 0.04).has_value();
                if (sound != 0) ok = ok && w->add_sound(std::vector<float>(8000, 0.1F)).has_value();
                if (ok && w->finish())
                    if (auto bytes = read_text(file, 1 << 20)) out.push_back(std::move(*bytes));
            }
    }
    return out;
}

std::string gone_bad(const std::vector<std::string>& seeds, std::uint64_t number) {
    Rng rng(number * 7919 + 13);
    const auto pick = [&](std::size_t n) { return n == 0 ? 0 : static_cast<std::size_t>(rng.uniform(0, static_cast<double>(n) - 1e-9)); };
    std::string s = seeds[pick(seeds.size())];
    const int times = 1 + static_cast<int>(pick(4));
    for (int k = 0; k < times && !s.empty(); ++k) {
        const auto at = pick(s.size());
        switch (pick(8)) {
        case 0:
            s.resize(at);
            break;
        case 1:
            s[at] = static_cast<char>(pick(256));
            break;
        case 2:
            s.insert(at, s.substr(pick(s.size()), pick(200)));
            break;
        case 3:
            s.erase(at, 1 + pick(40));
            break;
        case 4: {
            const auto& other = seeds[pick(seeds.size())];
            s = s.substr(0, at) + other.substr(pick(other.size() + 1));
            break;
        }
        case 5: { // a number that none should be
            const auto digit = s.find_first_of("0123456789", at);
            static const std::vector<std::string> odd{
                "1e400", "-1", "99999999999999999999", "0", "nan", "1e-400", "2147483648", "null", "true", "\"\"", "[]", "{}"};
            if (digit != std::string::npos) s.replace(digit, 1, odd[pick(odd.size())]);
            break;
        }
        case 6:
            s.insert(at, std::string(1 + pick(3000), "[{\"\0,\n"[pick(6)]));
            break;
        default:
            for (std::size_t i = at; i < std::min(s.size(), at + 8); ++i) s[i] = static_cast<char>(0xff - pick(3));
        }
    }
    return s;
}

} // namespace bevel::test
