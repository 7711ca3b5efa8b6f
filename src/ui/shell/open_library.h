// Opening the library at the start, and the ways out where it cannot be opened.
#pragma once
#include "store/library.h"
#include <functional>
#include <optional>
#include <QString>

namespace bevel::ui {

/// What is said when it cannot be opened, and what can be done then.
struct OpenTrouble {
    QString words;
    bool again = false, reading = false, restore = false;
};
OpenTrouble trouble_words(const Error& e);

/// `library`: the first try. Where that failed it asks, as often as it takes: try again, open it for reading, restore a backup, choose
/// another one. Nothing when it was given up. `folder`: where it is in the end.
std::optional<Library> open_library(std::filesystem::path& folder, Result<Library> library);

} // namespace bevel::ui
