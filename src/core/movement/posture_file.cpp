#include "core/movement/posture_file.h"
#include "core/movement/json_reader.h"

namespace bevel {

using nlohmann::json;
using namespace reading;

namespace {

double rounded(double v) {
    return std::round(v * 1e4) / 1e4;
}

FootTarget foot_from(const json& j, FootTarget f) {
    only(j, {"x", "z", "toe_out", "contact", "lift", "heel_turn", "ball_turn"});
    f.x = number(j, "x", f.x, -4, 4);
    f.z = number(j, "z", f.z, -6, 6);
    f.toe_out = number(j, "toe_out", f.toe_out, -30, 70);
    f.lift = number(j, "lift", f.lift, 0.005, 0.5);
    f.heel_turn = number(j, "heel_turn", f.heel_turn, -100, 100);
    f.ball_turn = number(j, "ball_turn", f.ball_turn, -100, 100);
    if (j.contains("contact"))
        f.contact =
            pick<Contact>(text(j, "contact"),
                          {{"flat", Contact::flat}, {"heel", Contact::heel}, {"toe", Contact::toe}, {"off", Contact::off}}, "contact");
    return f;
}

HandTarget hand_from(const json& j, HandTarget h) {
    only(j, {"level", "x", "y", "z", "elbow_out", "palm", "fist", "drop", "support"});
    if (j.contains("level"))
        h.level = pick<Level>(text(j, "level"), {{"belly", Level::belly}, {"heart", Level::heart}, {"brow", Level::brow}}, "level");
    h.x = number(j, "x", h.x, -3, 3);
    h.y = number(j, "y", h.y, -3, 3);
    h.z = number(j, "z", h.z, -3, 3);
    h.elbow_out = number(j, "elbow_out", h.elbow_out, -20, 120);
    h.palm = number(j, "palm", h.palm, -180, 180);
    h.fist = number(j, "fist", h.fist, 0, 1);
    h.drop = number(j, "drop", h.drop, 0, 2);
    h.support = number(j, "support", h.support, 0, 1);
    return h;
}

json foot_json(const FootTarget& f) {
    json j{{"x", rounded(f.x)}, {"z", rounded(f.z)}, {"toe_out", rounded(f.toe_out)}, {"contact", contact_name(f.contact)}};
    if (f.contact == Contact::off) j["lift"] = rounded(f.lift);
    j["heel_turn"] = rounded(f.heel_turn);
    j["ball_turn"] = rounded(f.ball_turn);
    return j;
}

json hand_json(const HandTarget& h) {
    static constexpr std::array<const char*, 3> levels{"belly", "heart", "brow"};
    return {{"level", levels[static_cast<std::size_t>(h.level)]},
            {"x", rounded(h.x)},
            {"y", rounded(h.y)},
            {"z", rounded(h.z)},
            {"elbow_out", rounded(h.elbow_out)},
            {"palm", rounded(h.palm)},
            {"fist", rounded(h.fist)},
            {"drop", rounded(h.drop)},
            {"support", rounded(h.support)}};
}

constexpr std::array<std::pair<const char*, VersionChange::Feet>, 7> feet_names{{{"", VersionChange::Feet::as_they_are},
                                                                                 {"still", VersionChange::Feet::still},
                                                                                 {"seated", VersionChange::Feet::seated},
                                                                                 {"shoulder", VersionChange::Feet::shoulder},
                                                                                 {"flat", VersionChange::Feet::flat},
                                                                                 {"toe", VersionChange::Feet::toe},
                                                                                 {"slide", VersionChange::Feet::slide}}};

VersionChange version_change(const json& j) {
    only(j, {"feet", "hands", "range", "step", "chair"});
    VersionChange c;
    const std::string feet = text(j, "feet", false);
    const auto* known = std::find_if(feet_names.begin(), feet_names.end(), [&](const auto& n) { return feet == n.first; });
    if (known == feet_names.end()) throw Bad{"feet '" + feet + "'"};
    c.feet = known->second;
    c.hands = text(j, "hands", false);
    pick<int>(c.hands, {{"", 0}, {"brow", 1}, {"belly", 2}, {"hips", 3}}, "hands");
    c.range = number(j, "range", 1, 0.1, 1);
    c.step = number(j, "step", 1, 0.1, 1);
    if (j.contains("chair") && !j["chair"].is_boolean()) throw Bad{"chair"};
    c.chair = flag(j, "chair");
    if (c == VersionChange{}) throw Bad{"a change of nothing"};
    return c;
}

} // namespace

Posture read_posture(const json& j, Posture p) {
    only(j, {"left_foot", "right_foot", "left_hand", "right_hand", "weight_left", "depth", "pelvis_turn", "shoulder_turn", "lean", "side",
             "gaze_turn", "gaze_pitch", "forward", "low_back", "upper_back", "neck", "seat"});
    auto part_of = [&j](const char* key, auto& target, auto read) {
        if (j.contains(key)) target = within(key, [&] { return read(j[key], target); });
    };
    part_of("left_foot", p.left_foot, foot_from);
    part_of("right_foot", p.right_foot, foot_from);
    part_of("left_hand", p.left_hand, hand_from);
    part_of("right_hand", p.right_hand, hand_from);
    p.weight_left = number(j, "weight_left", p.weight_left, 0, 1);
    p.depth = number(j, "depth", p.depth, 0.4, 1.1);
    p.pelvis_turn = number(j, "pelvis_turn", p.pelvis_turn, -90, 90);
    p.shoulder_turn = number(j, "shoulder_turn", p.shoulder_turn, -120, 120);
    p.lean = number(j, "lean", p.lean, -30, 90);
    p.side = number(j, "side", p.side, -45, 45);
    p.gaze_turn = number(j, "gaze_turn", p.gaze_turn, -80, 80);
    p.gaze_pitch = number(j, "gaze_pitch", p.gaze_pitch, -60, 60);
    p.forward = number(j, "forward", p.forward, -0.35, 0.45);
    p.low_back = number(j, "low_back", p.low_back, -30, 60);
    p.upper_back = number(j, "upper_back", p.upper_back, -30, 60);
    p.neck = number(j, "neck", p.neck, -45, 60);
    p.seat = number(j, "seat", p.seat, 0, 1);
    return p;
}

std::map<std::string, int> read_asks(const json& j) {
    if (!j.is_object()) throw Bad{"asks: an object is needed"};
    std::map<std::string, int> out;
    for (const auto& [key, value] : j.items()) {
        const auto& known = Asks::parts();
        if (std::none_of(known.begin(), known.end(), [&k = key](const Asks::Part& p) { return k == p.name; }))
            throw Bad{"asks: '" + key + "' is not known here"};
        if (!value.is_number_integer() || value.get<int>() < 0 || value.get<int>() > 3) throw Bad{"asks: " + key + " must be 0 to 3"};
        out[key] = value.get<int>();
    }
    return out;
}

json asks_json(const Asks& a) {
    json j = json::object();
    for (const auto& p : Asks::parts()) j[p.name] = a.*p.value;
    return j;
}

Version read_version(const json& j) {
    only(j, {"name", "about", "figure", "asks"});
    const std::string name = text(j, "name");
    std::optional<VersionChange> change;
    if (j.contains("figure")) change = within("version " + name, [&] { return version_change(j["figure"]); });
    Version v{name, text(j, "about"), change};
    if (j.contains("asks")) v.asks = within("version " + name, [&] { return read_asks(j["asks"]); });
    return v;
}

json posture_json(const Posture& p) {
    return {{"left_foot", foot_json(p.left_foot)},
            {"right_foot", foot_json(p.right_foot)},
            {"left_hand", hand_json(p.left_hand)},
            {"right_hand", hand_json(p.right_hand)},
            {"weight_left", rounded(p.weight_left)},
            {"depth", rounded(p.depth)},
            {"pelvis_turn", rounded(p.pelvis_turn)},
            {"shoulder_turn", rounded(p.shoulder_turn)},
            {"lean", rounded(p.lean)},
            {"side", rounded(p.side)},
            {"gaze_turn", rounded(p.gaze_turn)},
            {"gaze_pitch", rounded(p.gaze_pitch)},
            {"forward", rounded(p.forward)},
            {"low_back", rounded(p.low_back)},
            {"upper_back", rounded(p.upper_back)},
            {"neck", rounded(p.neck)},
            {"seat", rounded(p.seat)}};
}

json version_json(const Version& v) {
    json j{{"name", v.name}, {"about", v.about}};
    if (!v.asks.empty()) j["asks"] = v.asks;
    if (!v.change) return j;
    json c = json::object();
    if (v.change->feet != VersionChange::Feet::as_they_are)
        c["feet"] = std::find_if(feet_names.begin(), feet_names.end(), [&](const auto& n) { return n.second == v.change->feet; })->first;
    if (!v.change->hands.empty()) c["hands"] = v.change->hands;
    if (v.change->range != 1) c["range"] = v.change->range;
    if (v.change->step != 1) c["step"] = v.change->step;
    if (v.change->chair) c["chair"] = true;
    j["figure"] = c;
    return j;
}

} // namespace bevel
