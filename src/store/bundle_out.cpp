// One person on the way out into a zip.
#include "core/files.h"
#include "store/bundle.h"
#include "store/bundle_format.h"
#include "store/test_figures.h"
#include "store/track_blob.h"
#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <zip.h>

namespace bevel {
namespace {

namespace fs = std::filesystem;
using json = nlohmann::json;
using Zip = std::unique_ptr<zip_t, decltype([](zip_t* z) { zip_discard(z); })>;

json maybe(const std::optional<double>& v) {
    return v ? json(*v) : json(nullptr);
}

json figure_json(const KeptFigure& f) {
    return {{"check", f.check},      {"side", f.side},       {"measure", f.measure}, {"unit", f.unit},           {"view", f.view},
            {"value", f.value},      {"own", f.own},         {"of_clip", f.of_clip}, {"person", f.person},       {"low", maybe(f.low)},
            {"high", maybe(f.high)}, {"matters", f.matters}, {"judged", f.judged},   {"reference", f.reference}, {"version", f.version}};
}

/// Adds bytes under a name; the archive keeps a copy until it is closed.
bool put_file(zip_t* z, const std::string& name, const std::string& bytes) {
    void* copy = std::malloc(std::max<std::size_t>(1, bytes.size()));
    if (!copy) return false;
    std::copy(bytes.begin(), bytes.end(), static_cast<char*>(copy));
    zip_source_t* s = zip_source_buffer(z, copy, bytes.size(), 1);
    if (!s) {
        std::free(copy);
        return false;
    }
    const auto at = zip_file_add(z, name.c_str(), s, ZIP_FL_ENC_UTF_8);
    if (at < 0) {
        zip_source_free(s);
        return false;
    }
    zip_file_set_mtime(z, static_cast<zip_uint64_t>(at), 0, 0); // when it was made tells nothing that is needed
    return true;
}

std::string clip_name(std::size_t i, const char* ending) {
    return "clips/" + std::to_string(i) + ending;
}

json clip_json(const Clip& c) {
    return {{"movement", c.movement},
            {"school", c.school},
            {"view", c.view},
            {"filmed_on", c.filmed_on},
            {"arrived_on", c.arrived_on},
            {"mirrored", c.mirrored},
            {"footwear", c.footwear},
            {"version", c.version.value_or("")},
            {"surface", c.surface},
            {"named", c.named},
            {"reviewed", c.state == ClipState::reviewed}};
}

/// One person on the way into a zip.
class BundleWriter {
public:
    BundleWriter(const Library& library, const fs::path& file, const BundleOptions& options)
        : library_(library), file_(file), options_(options) {}

    Result<bool> write(std::int64_t id, const std::stop_token& stop) {
        if (auto ok = read(id); !ok) return ok;
        PendingFile out(file_);
        int why = 0;
        z_.reset(zip_open(out.path().string().c_str(), ZIP_CREATE | ZIP_TRUNCATE, &why));
        if (!z_) return fail(Code::write_failed, file_.string());
        json j{{"format", "bevel-person"}, {"version", bundle_version}, {"person", person()}, {"agreements", agreements()}};
        json clips = json::array(), letters = json::array();
        for (std::size_t i = 0; i < clips_.size(); ++i) {
            if (stop.stop_requested()) return fail(Code::cancelled, "");
            auto one = clip(i);
            if (!one) return tl::unexpected(one.error());
            clips.push_back(std::move(*one));
        }
        for (std::size_t i = 0; i < sent_.size(); ++i) {
            auto one = letter(i);
            if (!one) return tl::unexpected(one.error());
            letters.push_back(std::move(*one));
        }
        j["clips"] = clips;
        j["letters"] = letters;
        j["practice"] = practice();
        j["tests"] = tests();
        j["courses"] = json::array();
        for (const auto& c : courses_) j["courses"].push_back({{"title", c.title}, {"wish", c.wish}, {"weeks", c.weeks}});
        if (!put_file(z_.get(), "record.json", j.dump(1, ' ', false, json::error_handler_t::replace))) return failed();
        for (const auto& [name, bytes] : options_.texts)
            if (!put_file(z_.get(), name, bytes)) return failed();
        if (zip_close(z_.get()) != 0) return failed();
        (void)z_.release(); // closed: it is gone
        return out.commit();
    }

private:
    tl::unexpected<Error> failed() const { return fail(Code::write_failed, file_.string() + ": " + zip_strerror(z_.get())); }

    template <class T> static Result<bool> into(T& to, Result<T> from) {
        if (!from) return tl::unexpected(from.error());
        to = std::move(*from);
        return true;
    }
    Result<bool> read(std::int64_t id) {
        std::vector<Person> people;
        if (auto ok = into(people, library_.people().all()); !ok) return ok;
        const auto who = std::find_if(people.begin(), people.end(), [&](const Person& p) { return p.id == id; });
        if (who == people.end()) return fail(Code::not_found, "person");
        who_ = *who;
        ClipQuery of;
        of.person = id;
        of.most = bundle_entries / 4;
        for (const auto& ok : {into(facts_, library_.people().facts(id)), into(heights_, library_.people().heights(id)),
                               into(agreements_, library_.decisions().agreements(id)), into(figures_, library_.records().figures(id)),
                               into(sent_, library_.letters().sent(id)), into(practice_, library_.practice().of(id)),
                               into(tests_, library_.quiet_tests().of(id)), into(courses_, library_.courses().of(id)),
                               into(own_, library_.people().neutral(id)), into(clips_, library_.clips().find(of))})
            if (!ok) return ok;
        std::reverse(clips_.begin(), clips_.end()); // oldest first
        // Clips are known by their place, from 1; 0 is none of these.
        own_.renumber([&](std::int64_t clip) -> std::int64_t {
            const auto at = std::find_if(clips_.begin(), clips_.end(), [&](const Clip& c) { return c.id == clip; });
            return at == clips_.end() ? 0 : at - clips_.begin() + 1;
        });
        return true;
    }

    json person() const {
        json taught = json::array(), grown = json::array(), consents = json::array();
        for (const auto& c : facts_.consents)
            consents.push_back({{"purpose", purpose_name(c.purpose)}, {"from", c.from}, {"until", c.until}});
        for (const auto& t : facts_.taught) taught.push_back({{"movement", t.movement}, {"version", t.version}, {"up_to", t.up_to}});
        for (const auto& [from, m] : heights_) grown.push_back({{"day", from}, {"metres", m}});
        return {{"name", who_.name},
                {"notes", who_.notes},
                {"alias", facts_.alias},
                {"goals", facts_.goals},
                {"consent", facts_.consent},
                {"consents", consents},
                {"language", facts_.language},
                {"email", facts_.email},
                {"lengths", facts_.lengths},
                {"balance_step", facts_.balance_step},
                {"taught", taught},
                {"heights", grown},
                {"shoulder_width_m", who_.shoulder_width_m},
                {"fist_m", who_.fist_m},
                {"foot_m", who_.foot_m},
                {"keep_until", who_.keep_until},
                {"neutral", neutral_text(own_)}};
    }

    json agreements() const {
        json agreed = json::array();
        for (const auto& a : agreements_)
            agreed.push_back({{"check", a.check},
                              {"low", maybe(a.low)},
                              {"high", maybe(a.high)},
                              {"off", a.off},
                              {"reason", a.reason},
                              {"from", a.from_day},
                              {"until", a.until_day}});
        return agreed;
    }

    /// Points and film of a clip go into the zip, the rest into its record.
    Result<json> clip(std::size_t i) {
        const Clip& c = clips_[i];
        json one = clip_json(c);
        if (const auto track = library_.tracks().load(c.id)) {
            one["points"] = clip_name(i, ".track");
            if (!put_file(z_.get(), one["points"], pack_track(*track))) return failed();
        }
        if (options_.films && library_.clips().has_file(c) && !c.is_part())
            if (!film(c, one["film"] = clip_name(i, library_.clips().path_of(c).extension().string().c_str()))) return failed();
        decided(c, one);
        return one;
    }
    bool film(const Clip& c, const std::string& name) {
        zip_source_t* s = zip_source_file(z_.get(), library_.clips().path_of(c).string().c_str(), 0, -1);
        const auto at = s ? zip_file_add(z_.get(), name.c_str(), s, ZIP_FL_ENC_UTF_8) : -1;
        if (at < 0) {
            if (s) zip_source_free(s);
            return false;
        }
        zip_set_file_compression(z_.get(), static_cast<zip_uint64_t>(at), ZIP_CM_STORE, 0); // films are small already
        return true;
    }
    void decided(const Clip& c, json& one) const {
        json kept = json::array(), seen = json::array(), measured = json::array();
        if (const auto d = library_.decisions().of(c.id))
            for (const auto& x : *d)
                if (!x.key.seen())
                    kept.push_back({{"check", x.key.check_text()},
                                    {"side", x.key.side_text()},
                                    {"choice", static_cast<int>(x.choice)},
                                    {"wording", x.wording},
                                    {"note", x.note}});
        if (const auto s = library_.decisions().seen_in(c.id))
            for (const auto& x : *s)
                seen.push_back({{"time_s", x.time_s}, {"part", x.family}, {"side", x.side}, {"safety", x.safety}, {"words", x.words}});
        for (const auto& f : figures_)
            if (f.clip == c.id) measured.push_back(figure_json(f));
        one["decisions"] = kept;
        one["seen"] = seen;
        one["figures"] = measured;
        const auto condition = library_.records().condition(c.id);
        one["condition"] = {{"pain", condition ? condition->pain : ""},
                            {"energy", condition && condition->energy ? json(*condition->energy) : json(nullptr)}};
    }

    Result<json> letter(std::size_t i) {
        const auto& l = sent_[i];
        json one{{"sent_at", l.sent_at}, {"kind", l.kind}, {"name", l.name}, {"hidden", l.hidden}, {"body", l.body}};
        const auto at = std::find_if(clips_.begin(), clips_.end(), [&](const Clip& c) { return c.id == l.clip; });
        one["clip"] = at == clips_.end() ? json(nullptr) : json(at - clips_.begin());
        if (const auto bytes = library_.letters().sent_file(l.id); bytes && !bytes->empty()) {
            const std::string ending = ending_of(l.kind);
            one["file"] = "letters/" + std::to_string(i) + ending;
            if (!put_file(z_.get(), one["file"], *bytes)) return failed();
        }
        return one;
    }

    json tests() const {
        json all = json::array();
        for (const auto& t : tests_) {
            const auto of = std::find_if(clips_.begin(), clips_.end(), [&](const Clip& c) { return c.id == t.clip; });
            all.push_back({{"day", t.day},
                           {"test", quiet_test_name(t.test)},
                           {"view", t.view},
                           {"clip", of == clips_.end() ? json(nullptr) : json(of - clips_.begin())},
                           {"figures", test_figures(t.figures)},
                           {"notes", t.notes},
                           {"words", t.words}});
        }
        return all;
    }
    json practice() const {
        json log = json::array();
        for (const auto& p : practice_) {
            json done = json::array();
            for (const auto& d : p.done)
                done.push_back({{"movement", d.movement}, {"kind", d.kind}, {"left", d.left}, {"right", d.right}, {"seconds", d.seconds}});
            log.push_back({{"day", p.day},
                           {"title", p.title},
                           {"minutes", p.minutes},
                           {"effort", p.effort ? json(*p.effort) : json(nullptr)},
                           {"felt", p.felt},
                           {"pain", p.pain},
                           {"done", done},
                           {"plan", p.plan}});
        }
        return log;
    }

    const Library& library_;
    const fs::path& file_;
    const BundleOptions& options_;
    Zip z_;
    Person who_;
    PersonFacts facts_;
    std::vector<std::pair<std::string, double>> heights_;
    std::vector<Agreement> agreements_;
    std::vector<KeptFigure> figures_;
    std::vector<SentLetter> sent_;
    std::vector<PracticeLog> practice_;
    std::vector<KeptTest> tests_;
    std::vector<KeptCourse> courses_;
    PersonNeutral own_;
    std::vector<Clip> clips_;
};

} // namespace

Result<bool> write_bundle(const Library& library, std::int64_t id, const fs::path& file, const BundleOptions& options,
                          const std::stop_token& stop) {
    return BundleWriter(library, file, options).write(id, stop);
}

} // namespace bevel
