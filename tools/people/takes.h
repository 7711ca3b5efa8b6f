// Whole performances of dressed people (human.h), filmed as an instructor films, found by the body finder and judged: how well the stated
// errors hold over people, one moment each, and which faults are told. Everything of a take but the person's lengths follows from its
// number.
#pragma once
#include "grid_faults.h"
#include "people/human.h"

namespace bevel::people {

struct PersonTake {
    Kind kind;
    const Movement* movement = nullptr;
    sim::TakeOptions options; // without the person's lengths
    std::optional<GridFault> fault;
};

/// Two of five are faultless; the others have one fault that the movement lets show, filmed from a side that tells it. `own`: the exact
/// review of each movement as it is, made on first use.
class PersonTakes {
public:
    explicit PersonTakes(const std::vector<Movement>& movements) : movements_(movements), own_(movements.size()) {}
    PersonTake operator()(std::uint64_t number);

private:
    const Review* own(std::size_t movement);
    const std::vector<Movement>& movements_;
    std::vector<std::optional<std::shared_ptr<const Review>>> own_;
};

/// Films takes first … first + count - 1 and keeps what the body finder finds (take-N.track); those that are there are left. 0 or an exit
/// code.
int film_takes(const Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder, std::uint64_t first,
               std::uint64_t count, const char* program);

/// A picture of a moment of a take with the true points (yellow) and what was found (red).
int show_take(const Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder, std::uint64_t number,
              double at_share, const char* out);

/// Prints what became of the takes that are there: part of docs/finder.md.
int judge_takes(const Wardrobe& wardrobe, const std::vector<Movement>& movements, const std::filesystem::path& folder);

} // namespace bevel::people
