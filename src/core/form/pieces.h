// Pieces of a linked form for practice: some of its parts in a row, or a join alone, as movements that lie on the floor as they do in the
// whole (Movement::course). They ask what their parts ask, and what the way between them does. They are shown, led and planned like any
// movement; nothing is judged by them.
#pragma once
#include "core/form/form.h"

namespace bevel {

/// "form:ID/2-5" the parts 2 to 5, "form:ID/2~3" how 2 goes over into 3; "/m" behind it: the form's mirror image.
struct PieceId {
    std::string form; // id
    int from = 1, to = 1;
    bool join = false, mirrored = false;
    std::string text() const;
    /// Nothing where it is no piece's.
    static std::optional<PieceId> read(const std::string& id);
    bool operator==(const PieceId&) const = default;
};

/// The form with left and right changed over.
LinkedForm mirrored(const LinkedForm& form);

/// The parts of a form that are taught together, as numbers of its first and its last part, from 1: its groups, or each by itself.
std::vector<std::pair<int, int>> steps_of(const LinkedForm& form);

/// Every piece that practice may ask for: each part and each step alone, each join, the form up to each step, and the whole. The error is
/// that of `link`.
Result<std::vector<Movement>> pieces_of(const LinkedForm& form, std::span<const Movement> movements, bool mirror = false);

} // namespace bevel
