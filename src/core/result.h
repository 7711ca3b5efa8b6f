// Outcome of a computation: a value, or an error with a code and the context needed to word it.
#pragma once
#include <string>
#include <tl/expected.hpp>

namespace bevel {

enum class Code {
    cancelled,
    cannot_open,  // context: path
    unreadable,   // file is of no known kind or damaged beyond use
    too_large,    // a bound of the reader was passed
    bad_value,    // a field holds what it must not; context names it
    not_found,    // a named thing does not exist
    cannot_judge, // input is readable, but no judgement is possible
    write_failed,
    in_use,       // another program has it; context: path
    tells,        // a letter that is to hide who it is may tell it; context: the words
    no_longer_so, // a correction or praise that does not hold any more; context: its FindingKey
    no_field,     // a letter's field that cannot be filled; context: which, and why, in words
};

struct Error {
    Code code = Code::bad_value;
    std::string context;
};

template <class T> using Result = tl::expected<T, Error>;

inline tl::unexpected<Error> fail(Code code, std::string context) {
    return tl::unexpected<Error>(Error{code, std::move(context)});
}

} // namespace bevel
