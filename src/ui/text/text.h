// All sentences: names of measures, figures with units, verdicts, reasons and cautions. The core speaks in codes only.
#pragma once
#include "core/review/review.h"
#include "store/library.h"
#include <filesystem>
#include <QString>
#include <QStringList>

namespace bevel::ui {

struct MeasureInfo {
    QString id, name, unit, definition, seen_from;
    Family family = Family::feet;
    bool sided = false, hidden = false;
};

/// The measure catalogue of the data folder, in its order.
class Catalogue {
public:
    static Result<Catalogue> load(const std::filesystem::path& data_dir);
    const std::vector<MeasureInfo>& all() const { return all_; }
    const MeasureInfo* find(const QString& id) const;
    QString name(const QString& id) const;
    std::vector<const MeasureInfo*> of(Family f) const; // shown ones

private:
    std::vector<MeasureInfo> all_;
};

namespace text {
QString family(Family f);
QString side(Side s); // "left" / "right"
QString view(View v);
QString verdict(Verdict v);
QString severity(Severity s);
QString absent(Absent a);
QString breath(Breath b);
/// A value in the unit people read: shares as percent, lengths with one decimal. `shoulder_width_m` adds cm to widths in SW.
/// How a unit is shown: value times factor, so many decimals, then the suffix.
struct ShownUnit {
    double factor = 1;
    int decimals = 2;
    QString suffix;
};
ShownUnit shown_unit(const QString& unit);
QString figure(double value, const QString& unit, double shoulder_width_m = 0);
QString difference(double value, const QString& unit); // always with its sign, without the unit
QString bare(double value, const QString& unit);       // as figure, without the unit
QString bare_band(const std::optional<double>& low, const std::optional<double>& high, const QString& unit);
QString with_sigma(double value, double sigma, const QString& unit);
QString band(const std::optional<double>& low, const std::optional<double>& high, const QString& unit);
QString time(double seconds); // m:ss.s
/// "5 of 6 repetitions", "1 of 6", "every repetition".
QString repetitions(const Finding& f);
/// "4 repetitions (2 left, 2 right)"; what is cut at the ends of the clip, and sides that look alike from its view, are said.
QString repetitions(const Review& r);
QString band_owner(BandLevel l); // whose band is in force, as it stands in a sentence
/// What a finding rests on, a sentence or two each: rule, measure, band and whose it is, parts of the error, repetitions, causes.
QStringList why(const Finding& f, const Review& review, const Catalogue& c);
/// What is the matter, in one short line: "Right knee falls in: 11° (band up to 6°)".
QString aim(const Finding& f); // the band, as it stands in a sentence
/// "Trunk lean: up to 20°, from 1 May 2026 on. A stiff hip."
QString agreement(const Agreement& a, const Catalogue& c);
QString check_name(const std::string& check, const Catalogue& c); // of the rules' checks, else its id
QString headline(const Finding& f, const Catalogue& c);
QString error(const Error& e);
QString reason(const QString& code); // of cannot_judge
QString caution(const QString& code);
QString caution_of(const Finding& f);                    // the caution that a finding itself calls for, or empty
QString phase(const Movement& m, const std::string& id); // its name, or empty
QStringList cautions_for(const std::vector<Finding>& findings, const Movement* movement);
} // namespace text

} // namespace bevel::ui
