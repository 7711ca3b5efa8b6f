#include "cli/commands.h"
namespace bevel::cli { int letter(const Words&, const Environment&) { return 2; } int demo(const Words&, const Environment&) { return 2; } }
