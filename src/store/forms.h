// Movements and schools of an instructor's own: copies of shipped ones that were changed, or new ones. Kept as the text of their files.
#pragma once
#include "core/form/form.h"
#include "store/stores.h"

namespace bevel {

/// The shipped movements with the own ones: one with the id of a shipped one stands in its place, the others follow by name. What cannot be
/// read (written by a newer program) is left out and said in `problems`; it stays in the library.
std::vector<Movement> with_own(const std::vector<Movement>& shipped, const std::vector<OwnForm>& own,
                               std::vector<Error>* problems = nullptr);
std::vector<School> with_own(const std::vector<School>& shipped, const std::vector<OwnForm>& own, std::vector<Error>* problems = nullptr);
std::vector<LinkedForm> with_own(const std::vector<LinkedForm>& shipped, const std::vector<OwnForm>& own,
                                 std::vector<Error>* problems = nullptr);

} // namespace bevel
