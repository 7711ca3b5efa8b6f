// What leaves a review of a form: figures for the record, form_review.json.
#include "core/form/form_review.h"
#include <nlohmann/json.hpp>
#include <set>
#include <tuple>

namespace bevel {

std::vector<KeptFigure> figures_of(const FormReview& review) {
    std::vector<KeptFigure> out;
    std::set<std::tuple<std::string, std::string, std::string>> there;
    for (const auto& p : review.parts) {
        if (p.how != PartSeen::How::done || p.other_join || p.again) continue;
        const Movement& movement = *review.reference->course().parts[p.part].movement;
        for (auto& f : figures_of(p.summaries, movement, review.review->motion.view))
            if (there.insert({f.movement, f.check, f.side}).second) out.push_back(std::move(f));
    }
    return out;
}

std::string form_review_json(const FormReview& r, const std::string& clip, const std::string& school) {
    using nlohmann::json;
    const auto& course = r.reference->course();
    json parts = json::array();
    for (const auto& p : r.parts) {
        const LinkedPart& part = course.parts[p.part];
        json one{{"part", p.part + 1},
                 {"entry", part.entry + 1},
                 {"movement", part.movement->id},
                 {"side", side_name(part.side)},
                 {"how", how_name(p.how)},
                 {"from_s", p.from_s},
                 {"to_s", p.to_s}};
        if (r.goes > 1) one["go"] = p.go + 1;
        if (p.again) one["again"] = true;
        if (p.out_of_order) one["out_of_order"] = true;
        if (p.other_join) one["other_join"] = true;
        if (p.view) one["view"] = view_name(*p.view);
        if (p.pace > 0) one["pace"] = p.pace;
        if (p.repetition) {
            const Repetition& rep = r.review->alignment.repetitions[*p.repetition];
            one["cost"] = rep.cost;
            json phases = json::array();
            for (const auto& x : rep.phases) phases.push_back({{"id", x.id}, {"start_s", x.start_s}, {"end_s", x.end_s}});
            one["phases"] = phases;
            json findings = json::array();
            for (const auto k : p.findings) findings.push_back(finding_json(r.review->findings[k]));
            one["findings"] = findings;
        }
        parts.push_back(std::move(one));
    }
    json remarks = json::array();
    for (const auto& m : r.remarks) {
        json in = json::array();
        for (const auto k : m.findings) in.push_back({{"part", r.review->findings[k].part}, {"check", r.review->findings[k].key()}});
        const Finding& f = r.leading(m);
        remarks.push_back({{"rule", f.rule},
                           {"measure", f.measure},
                           {"direction", direction_name(f.direction)},
                           {"severity", severity_name(f.severity)},
                           {"parts", m.parts},
                           {"told", m.told},
                           {"cue", f.cue},
                           {"findings", in}});
    }
    json out{{"clip", clip}, {"form", r.form.id}, {"view", view_name(r.review->motion.view)}, {"parts", parts}, {"remarks", remarks}};
    if (r.drift_m) out["drift_m"] = *r.drift_m;
    if (!school.empty()) out["school"] = school;
    return out.dump(1, ' ', false, json::error_handler_t::replace) + "\n";
}

} // namespace bevel
