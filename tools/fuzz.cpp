// Readers of what comes from elsewhere, fed by libFuzzer: bevel-fuzz --reader=NAME CORPUS [options of libFuzzer]. Nothing they are given
// may stop them, grow without end or leave something behind. What is found becomes a file in tests/data/hostile/NAME, which the tests read.
#include "support/readers.h"
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <fstream>

namespace {
const bevel::test::HostileReader* chosen = nullptr;
}

extern "C" int LLVMFuzzerInitialize(int* argc, char*** argv) {
    const char* name = "";
    for (int i = 1; i < *argc; ++i)
        if (std::strncmp((*argv)[i], "--write-seeds=", 14) == 0) {
            const std::filesystem::path folder = (*argv)[i] + 14;
            for (const auto& r : bevel::test::hostile_readers()) {
                std::filesystem::create_directories(folder / r.name);
                int n = 0;
                for (const auto& s : bevel::test::seeds_of(r.name))
                    std::ofstream(folder / r.name / ("seed-" + std::to_string(n++)), std::ios::binary) << s;
            }
            std::exit(0);
        }
    for (int i = 1; i < *argc; ++i)
        if (std::strncmp((*argv)[i], "--reader=", 9) == 0) name = (*argv)[i] + 9;
    for (const auto& r : bevel::test::hostile_readers())
        if (r.name == std::string(name)) chosen = &r;
    if (!chosen) {
        std::fprintf(stderr, "bevel-fuzz: no reader '%s'. There are:", name);
        for (const auto& r : bevel::test::hostile_readers()) std::fprintf(stderr, " %s", r.name);
        std::fprintf(stderr, "\n");
        std::exit(2);
    }
    return 0;
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* bytes, std::size_t size) {
    chosen->read(std::string(reinterpret_cast<const char*>(bytes), size));
    return 0;
}
