#include "core/folders.h"
#include <cstdlib>
#include <string>

namespace bevel {

std::filesystem::path shipped_folder(const std::filesystem::path& program, const char* name, const char* variable) {
    namespace fs = std::filesystem;
    if (const char* env = std::getenv(variable)) return env;
    std::error_code ec;
    // The kernel knows where a program lies even when it was called by name alone.
    fs::path self = fs::read_symlink("/proc/self/exe", ec);
    if (ec) self = fs::weakly_canonical(program, ec);
    const fs::path bin = self.parent_path(), prefix = bin.parent_path();
    const bool models = std::string(name) == "models";
    for (const auto& candidate : {models ? prefix / "share/bevel/models" : prefix / "share/bevel", bin / name, prefix.parent_path() / name})
        if (fs::is_directory(candidate, ec)) return candidate;
    return models ? prefix / "share/bevel/models" : prefix / "share/bevel";
}

} // namespace bevel
