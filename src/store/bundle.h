// A person's whole record as one file: a zip with record.json (docs/bundle.md, data/bundle.schema.json), points, letters, and films on
// wish.
#pragma once
#include "store/library.h"

namespace bevel {

struct BundleOptions {
    bool films = false;
    std::map<std::string, std::string> texts; // more files by name, such as record.csv; for people, not read back
};
/// Whole or not at all; cancelled between two entries.
Result<bool> write_bundle(const Library& library, std::int64_t person, const std::filesystem::path& file, const BundleOptions& options = {},
                          const std::stop_token& stop = {});

/// What a bundle may hold at most; more is refused before it is read.
inline constexpr std::uint64_t bundle_entries = 100000, bundle_text = 64U << 20U, bundle_points = 256U << 20U, bundle_film = 8ULL << 30U,
                               bundle_films = 64ULL << 30U;

/// Takes a person in from a bundle, as somebody new: nobody who is there is changed. All of it or nothing. Only entries that record.json
/// names are read, by names of a fixed form, each no longer than it may be; nothing is written outside the library.
/// unreadable (with the place) for what is none or is damaged, too_large.
Result<std::int64_t> read_bundle(Library& library, const std::filesystem::path& file, const std::stop_token& stop = {});

/// People from a list: a head line with "name" and any of "height_cm", "alias", "language", "email", "goals", "notes"; comma or semicolon
/// between fields (RFC 4180). bad_value "line N: WHY"; then nobody is taken in.
struct ListedPerson {
    Person person;
    PersonFacts facts;
    bool has_height = false;
};
Result<std::vector<ListedPerson>> people_from_csv(const std::string& text);

} // namespace bevel
