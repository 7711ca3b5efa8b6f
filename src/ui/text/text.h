// All sentences: names of measures, figures with units, verdicts, reasons and cautions. The core speaks in codes only.
#pragma once
#include "core/form/form_review.h"
#include "core/review/review.h"
#include "desk/at_once.h"
#include "desk/intake.h"
#include "desk/open_review.h"
#include "store/library.h"
#include "ui/text/languages.h"
#include <filesystem>
#include <QString>
#include <QStringList>

namespace bevel::ui {

struct MeasureInfo {
    QString id, unit;
    Family family = Family::feet;
    bool sided = false, hidden = false;
    std::string source_name, source_definition, source_seen_from; // as in the data
    std::string line;                                             // what is drawn on the picture for it (paint/compare.h); or empty
    QString name() const { return said(source_name); }
    QString definition() const { return said(source_definition); }
    QString seen_from() const { return said(source_seen_from); }
};

/// In what lengths are written: the catalogue's, or inches; widths of the stance in shoulder widths, or in what the instructor counts in.
struct Units {
    enum class Width { shoulders, length, fists, feet };
    bool inches = false;
    Width width = Width::shoulders;
    double shoulder_m = 0, fist_m = 0, foot_m = 0; // of the body that is spoken of; 0: not known, and the catalogue's unit stays

    /// A fist across the knuckles, as a share of the height: 90 of 1756 mm and 79 of 1629 mm (Gordon et al. 1989, ANSUR), men and women.
    static constexpr double fist_of_stature = 0.050;
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

/// What a linked form calls one of its parts ("3", from 1; of the whole course).
QString part_name(const Movement& whole, const std::string& part);
QString part_name(const FormReview& whole, std::size_t part);
/// "3. Brush the Knee: done; 2 figures outside".
QString part_seen(const FormReview& whole, const PartSeen& p);
/// "22 of 24 parts in their order · left out: 7 · not in the picture: 12".
QString parts_seen(const FormReview& whole);
QString family(Family f);
QString side(Side s); // "left" / "right"
QString view(View v);
/// How the two clips of a pair stand to each other, for whoever asks.
QString at_once(const AtOnce& how);
/// Of a clip that was filmed obliquely; empty of any other.
QString from_fit(const OpenReview::FromFit& how);
QString point(Point p); // "left ankle"
QString verdict(Verdict v);
QString severity(Severity s);
QString absent(Absent a);
QString breath(Breath b);
/// A value in the unit people read: shares as percent, lengths with one decimal.
/// How a unit is shown: value times factor, so many decimals, then the suffix.
struct ShownUnit {
    double factor = 1;
    int decimals = 2;
    QString suffix;
};
ShownUnit shown_unit(const QString& unit, const Units& units = {});
QString figure(double value, const QString& unit, const Units& units = {});
QString difference(double value, const QString& unit, const Units& units = {}); // always with its sign, without the unit
QString bare(double value, const QString& unit, const Units& units = {});       // as figure, without the unit
QString bare_band(const std::optional<double>& low, const std::optional<double>& high, const QString& unit, const Units& units = {});
QString with_sigma(double value, double sigma, const QString& unit, const Units& units = {});
QString band(const std::optional<double>& low, const std::optional<double>& high, const QString& unit, const Units& units = {});
QString time(double seconds); // m:ss.s
/// A stretch of a clip, whose ends may be the clip's own.
QString span(const std::optional<double>& from_s, const std::optional<double>& to_s);
/// "5 of 6 repetitions", "1 of 6", "every repetition".
QString repetitions(const Finding& f);
/// "4 repetitions (2 left, 2 right)"; what is cut at the ends of the clip, and sides that look alike from its view, are said.
QString repetitions(const Review& r);
QString band_owner(BandLevel l); // whose band is in force, as it stands in a sentence
/// What a finding rests on, as the parts of a small page: rule and measure, band and whose it is, error, phases, repetitions, causes.
struct WhyPart {
    QString heading;
    QStringList lines;
};
std::vector<WhyPart> why(const Finding& f, const Review& review, const Catalogue& c, const Units& units = {});
QString aim(const Finding& f, const Units& units = {}); // the band, as it stands in a sentence
/// "Trunk lean: up to 20°, from 1 May 2026 on. A stiff hip."
/// A day as people write it: "3 Nov", with its year where that is another or `year` asks for it. Empty for what is no ISO day.
QString day(const std::string& iso, bool year = false);
QString agreement(const Agreement& a, const Catalogue& c, const Units& units = {});
QString check_name(const std::string& check, const Catalogue& c); // of the rules' checks, else its id
QString movement(const Movement& m);                              // its name, with the graded version it is
/// What may be praised in a finding, naming the one part it holds for where it is sure in no more; empty where nothing may.
QString praise(const Finding& f, const Movement& m);
/// Where a remark of several findings shows: "both sides; in “Shift”, most, and “Settle”". Empty where there is nothing to add.
/// `sides`: whether both are said, too.
QString where(const std::vector<const Finding*>& remark, const Movement& m, bool sides = true);
/// What is seen, as a plain sentence without a figure and its full stop: "The knee falls in, right". Its measure's name where nothing is.
QString fault(const Finding& f, const Catalogue& c, bool both_sides = false);
QString headline(const Finding& f, const Catalogue& c, const Units& units = {});
QString error(const Error& e);
/// What became of a clip that was looked at anew; nothing to say of one that waits.
QString looked(const Looked& l);
QString reason(const QString& code); // of cannot_judge
/// What stands in the way of judging a clip, in few words; and how to film it better.
QString limit(LimitKind k);
QString film_next(LimitKind k);
/// All of a clip's limits, a line a kind: what, where, what it makes unsure, how to film it next time.
QString limits(const std::vector<Limit>& all);
QString caution(const QString& code);
QString caution_of(const Finding& f); // the caution that a finding itself calls for, or empty
QString role(const std::string& id);
QString stance(const std::string& id);
/// A check as one sentence made from its data.
QString rule_sentence(const RuleCheck& rc, const Catalogue& c, const Units& units = {});
QString phase(const Movement& m, const std::string& id); // its name, or empty
QStringList cautions_for(const std::vector<Finding>& findings, const Movement* movement);
} // namespace text

} // namespace bevel::ui
