#include "core/form/from_clip.h"

namespace bevel {

std::vector<FormPart> parts_from(std::span<const RepetitionGuess> repetitions) {
    std::vector<FormPart> out;
    std::optional<Side> last; // of the repetition before
    for (const auto& r : repetitions) {
        const Side side = r.side.value_or(last.value_or(Side::left));
        FormPart* now = out.empty() || out.back().movement != r.movement->id ? nullptr : &out.back();
        const bool other = last && side != *last;
        // The second repetition of an entry says whether its sides take turns; the later ones keep to it.
        if (now && (now->repeats == 1 || now->alternate == other)) {
            if (now->repeats == 1) now->alternate = other;
            ++now->repeats;
        } else {
            FormPart part;
            part.movement = r.movement->id;
            part.side = side;
            out.push_back(std::move(part));
        }
        last = side;
    }
    return out;
}

std::vector<FormPart> parts_from(const Track& track, std::span<const Movement> movements, const ReviewOptions& options) {
    return parts_from(suggest_repetitions(track, movements, options));
}

} // namespace bevel
