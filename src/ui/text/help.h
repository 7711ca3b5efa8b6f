// Pages of help, made from the catalogue and the rules themselves, so that they cannot say anything else.
#pragma once
#include "ui/text/text.h"

namespace bevel::ui {

struct HelpPage {
    QString id, title;
    QString html; // pictures as "mark:inside", "body:knees" …
};

std::vector<HelpPage> help_pages(const Catalogue& catalogue);

} // namespace bevel::ui
