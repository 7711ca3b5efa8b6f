// Where the shipped files are: told by an environment variable, else beside the installed program, else in the tree it was built from.
// Never looked for upward from wherever the program was started.
#pragma once
#include <filesystem>

namespace bevel {

/// `name`: "data" or "models"; `variable`: its environment variable. An installed program finds PREFIX/share/bevel (and its models there);
/// one in a build folder's bin the tree two folders up.
std::filesystem::path shipped_folder(const std::filesystem::path& program, const char* name, const char* variable);

} // namespace bevel
