// Words of the shipped data that people read: what the catalogue of a language has to have besides the program's own sentences.
#pragma once
#include "core/result.h"
#include <filesystem>
#include <set>
#include <string>

namespace bevel::ui {

/// From measures, rules, movements and schools of the data folder, and the names of roles and stances.
Result<std::set<std::string>> data_words(const std::filesystem::path& data_dir);

} // namespace bevel::ui
