#include "ui/text/data_words.h"
#include "core/files.h"
#include "core/form/form.h"
#include "core/movement/movement.h"
#include "desk/open_review.h"
#include <nlohmann/json.hpp>

namespace bevel::ui {
namespace {

/// Strings under the keys whose values are read by people; all strings of cues and faults.
void collect(const nlohmann::json& j, bool all, std::set<std::string>& out) {
    static const std::set<std::string> read{"name", "definition", "seen_from", "film", "good", "reason", "about", "kind"};
    if (j.is_string()) {
        if (all && !j.get_ref<const std::string&>().empty()) out.insert(j.get<std::string>());
        return;
    }
    if (j.is_array())
        for (const auto& v : j) collect(v, all, out);
    if (j.is_object())
        for (const auto& [key, v] : j.items()) {
            const bool people = all || key == "cues" || key == "faults" || key == "attention" || key == "images" || key == "trains" ||
                                (v.is_string() && read.contains(key));
            collect(v, people, out);
        }
}

} // namespace

Result<std::set<std::string>> data_words(const std::filesystem::path& data_dir) {
    namespace fs = std::filesystem;
    std::vector<fs::path> files{data_dir / "measures.json", data_dir / "rules.json", data_dir / "free.json"};
    std::error_code ec;
    for (const char* folder : {"movements", "schools", "forms"})
        for (const auto& f : fs::directory_iterator(data_dir / folder, ec))
            if (f.path().string().ends_with(".json") && !f.path().string().ends_with(".schema.json")) files.push_back(f.path());
    std::set<std::string> out(role_names().begin(), role_names().end());
    out.insert(stance_names().begin(), stance_names().end());
    out.insert(reasons_said().begin(), reasons_said().end());
    out.insert(join_names().begin(), join_names().end());
    for (const auto& f : files) {
        const auto source = read_text(f, 1 << 22);
        if (!source) return tl::unexpected(source.error());
        const auto j = nlohmann::json::parse(*source, nullptr, false);
        if (j.is_discarded()) return fail(Code::unreadable, f.string());
        collect(j, false, out);
    }
    // A graded version gives its own reasons for what it leaves out.
    for (const auto& m : load_movements(data_dir))
        for (const auto& v : m.versions)
            if (const auto made = make_version(m, v)) collect(nlohmann::json::parse(*made->source, nullptr, false), false, out);
    return out;
}

} // namespace bevel::ui
