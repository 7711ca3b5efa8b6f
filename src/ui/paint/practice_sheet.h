// A plan on paper for the student: figures at their phases, breath, counts, cautions; HTML with large type.
#pragma once
#include "core/practice/plan.h"
#include "core/result.h"
#include <QByteArray>
#include <QString>

namespace bevel::ui {

struct SheetOptions {
    QString language; // code; empty: as the program speaks
    bool large = true;
    bool figures = true; // else words alone: for recalling
};
QString practice_html(const Plan& plan, const std::vector<Movement>& movements, const SheetOptions& options = {});
Result<QByteArray> practice_pdf(const Plan& plan, const std::vector<Movement>& movements, const SheetOptions& options = {});

} // namespace bevel::ui
