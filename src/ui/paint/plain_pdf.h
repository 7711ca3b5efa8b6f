// A PDF without information about who made it, when and how.
#pragma once
#include <string>

namespace bevel::ui {

/// The same pages without title, dates and program; the identifier follows from the content alone. False when it is no PDF that can be read
/// (`out` says why).
bool plain_pdf(const std::string& pdf, std::string& out);

} // namespace bevel::ui
