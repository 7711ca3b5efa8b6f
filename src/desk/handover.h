// A class as one file, for the colleague who takes it over: the class, who belongs to it and what each may not do, its lessons and courses.
// No clip, no letter, nobody's reasons and nothing of how somebody felt on a day.
#pragma once
#include "desk/classes.h"

namespace bevel {

/// One of its people, as much as leading them asks for.
struct HandedPerson {
    std::string name;
    std::vector<std::string> practised; // movements they know
    int balance_step = 0;
    /// What they may not do, and until when ("": open).
    std::vector<std::pair<std::string, std::string>> limits;
};

struct HandedLesson {
    std::string day, plan, notes;
    bool held = false;
    std::vector<std::size_t> here; // of the people, from 0
};

struct Handover {
    ClassGroup group; // without id and members
    std::vector<HandedPerson> people;
    std::vector<HandedLesson> lessons; // newest first
    std::vector<CourseOf> courses;     // of no id
};

/// What is handed over of a class on a day. `names`: else its people are "1", "2", … and words written by hand (notes of the class and of
/// lessons) stay here.
Handover handover_of(const ClassSheet& sheet, bool names);

std::string handover_text(const Handover& handover);
/// At most so long.
inline constexpr std::size_t handover_most = 8U << 20U;
/// Read strictly: a limit that is not known is refused, since whoever has it would be led on. unreadable, too_large, bad_value with the
/// place.
Result<Handover> parse_handover(const std::string& text);

/// Who of the file is who of the library; 0: somebody new. Nobody is two of them.
using WhoIsWho = std::vector<std::int64_t>;
/// The one person of that very name, where there is just one on both sides.
Result<WhoIsWho> who_is_who(const Library& library, const Handover& handover);

/// Makes the class with all that came, or nothing. Somebody who is here already keeps all that is known of them, and may from now on not do
/// what the file says either (`reason`: of those agreements); a limit that is agreed already for as long stays as it is.
/// bad_value "who" where two are one; as the stores.
Result<std::int64_t> take_over(Library& library, const Handover& handover, const WhoIsWho& who, const std::string& reason,
                               const std::string& today);

} // namespace bevel
