// Lists the words of the shipped data as sources for the language catalogue.
#include "ui/text/data_words.h"
#include <cstdio>
#include <nlohmann/json.hpp>

int main(int argc, char** argv) {
    const auto words = bevel::ui::data_words(argc > 1 ? argv[1] : "data");
    if (!words) {
        std::fprintf(stderr, "%s\n", words.error().context.c_str());
        return 1;
    }
    std::puts("#define QT_TRANSLATE_NOOP(context, text) text\nconst char* const words[] = {");
    for (const auto& w : *words) std::printf("QT_TRANSLATE_NOOP(\"data\", %s),\n", nlohmann::json(w).dump().c_str());
    std::puts("};");
    return 0;
}
