// The readers of what comes from elsewhere, by name, for the tests' hostile files and for fuzzing.
#pragma once
#include <cstdint>
#include <string>
#include <vector>

namespace bevel::test {

struct HostileReader {
    const char* name;
    void (*read)(const std::string& bytes); // whatever it makes of them
};
const std::vector<HostileReader>& hostile_readers();
/// Good ones to begin from: what the program itself writes or ships.
std::vector<std::string> seeds_of(const std::string& reader);
/// A good one gone bad, the same for the same number: cut, flipped, doubled, joined with another, numbers made large.
std::string gone_bad(const std::vector<std::string>& seeds, std::uint64_t number);

} // namespace bevel::test
