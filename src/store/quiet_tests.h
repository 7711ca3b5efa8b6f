// Quiet tests as they are kept: filmed or typed in, compared with the same person's own past alone.
#pragma once
#include "core/measure/quiet_test.h"
#include <cstdint>

namespace bevel {

struct KeptTest {
    std::int64_t id = 0, person = 0;
    std::int64_t clip = 0; // 0: typed in, or the clip is gone
    std::string day, view; // ISO day; view of the clip, empty where typed in
    QuietTest test = QuietTest::quiet_stand;
    std::vector<TestFigure> figures;
    std::vector<std::string> notes; // as in QuietTestTaken
    std::string words;              // the instructor's own
};

} // namespace bevel
