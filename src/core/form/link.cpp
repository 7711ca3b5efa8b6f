// From a form's entries to one continuous course: what the feet must do between two movements, and where each lies on the floor.
#include "core/catalogue/catalogue.h"
#include "core/form/form.h"
#include "core/movement/solver.h"
#include <algorithm>
#include <cmath>
#include <map>
#include <nlohmann/json.hpp>
#include <numbers>

namespace bevel {
namespace {

constexpr double near_sw = 0.04, near_deg = 3; // a foot that stands so near to where it is to be stays
constexpr double most_turn = 62;               // degrees of one join; more is done in several

constexpr double in_rad = std::numbers::pi / 180;

/// The way a foot points, outward +, with what it was turned on the spot.
double points(const FootTarget& f) {
    return f.toe_out + f.heel_turn + f.ball_turn;
}
/// Where its ankle stands after that, SW, for a body of usual proportions (as Solver places it).
struct Spot {
    double x = 0, z = 0;
};
Spot spot(const FootTarget& f, Side side) {
    static const BodyDims dims = BodyDims::of_stature(1.70);
    constexpr double ball_share = 0.72;
    const double heel = dims.heel_behind / dims.shoulder_width, ball = ball_share * dims.foot_length / dims.shoulder_width;
    const double out = side == Side::left ? in_rad : -in_rad;
    double yaw = out * f.toe_out;
    Spot h{f.x - heel * std::sin(yaw), f.z - heel * std::cos(yaw)};
    yaw += out * f.heel_turn;
    const Spot b{h.x + ball * std::sin(yaw), h.z + ball * std::cos(yaw)};
    yaw += out * f.ball_turn;
    h = {b.x - ball * std::sin(yaw), b.z - ball * std::cos(yaw)};
    return {h.x + heel * std::sin(yaw), h.z + heel * std::cos(yaw)};
}
FootTarget& foot(Posture& p, Side s) {
    return s == Side::left ? p.left_foot : p.right_foot;
}
const FootTarget& foot(const Posture& p, Side s) {
    return s == Side::left ? p.left_foot : p.right_foot;
}
double weight_on(const Posture& p, Side s) {
    return s == Side::left ? p.weight_left : 1 - p.weight_left;
}
void set_weight(Posture& p, Side s, double share) {
    p.weight_left = s == Side::left ? share : 1 - share;
}
double between(double a, double b, double share) {
    return a + (b - a) * share;
}

/// Everything but feet and weight, so far on the way from one posture to another.
Posture mixed(const Posture& a, const Posture& b, double share) {
    Posture p = a;
    for (double Posture::*of :
         {&Posture::depth, &Posture::pelvis_turn, &Posture::shoulder_turn, &Posture::lean, &Posture::side, &Posture::gaze_turn,
          &Posture::gaze_pitch, &Posture::forward, &Posture::low_back, &Posture::upper_back, &Posture::neck, &Posture::seat})
        p.*of = between(a.*of, b.*of, share);
    for (HandTarget Posture::*of : {&Posture::left_hand, &Posture::right_hand}) {
        const HandTarget &x = a.*of, &y = b.*of;
        HandTarget h = share < 0.5 ? x : y;
        for (double HandTarget::*part : {&HandTarget::x, &HandTarget::z, &HandTarget::elbow_out, &HandTarget::palm, &HandTarget::fist,
                                         &HandTarget::drop, &HandTarget::support})
            h.*part = between(x.*part, y.*part, share);
        set_hand_height(h, between(hand_height(x), hand_height(y), share));
        p.*of = h;
    }
    return p;
}

struct Join {
    std::vector<Phase> phases; // in the frame of what comes next
    Posture home;              // what it begins with
    FloorFrame frame;          // of what comes next
};

Phase join_phase(const char* id, const char* name, const char* role, double seconds, const Posture& posture) {
    Phase p;
    p.id = id;
    p.name = name;
    p.role = role;
    p.duration_s = seconds;
    p.posture = posture;
    return p;
}

/// The foot that stays: the one that what comes next leaves on the floor, else the one with more weight; with even weight that of the side
/// that leads next, so that a form and its mirror image are joined alike.
Side staying(const Posture& end, const Posture& next, Side leads) {
    for (const Side s : {Side::left, Side::right})
        if (foot(next, other(s)).contact == Contact::off || foot(end, other(s)).contact == Contact::off) return s;
    const double w = std::abs(next.weight_left - 0.5) > 0.2 ? next.weight_left : end.weight_left;
    return std::abs(w - 0.5) < 1e-6 ? leads : w > 0.5 ? Side::left : Side::right;
}

/// What the feet must do from one posture to the next, facing so much farther to the left.
Join join(const Posture& end, const FloorFrame& at, const Posture& next, Side leads, double turn, double step_s) {
    const Side stays = staying(end, next, leads), moves = other(stays);
    Join out;
    // The frame of what comes next lies so that the foot that stays is where it is asked, once it is turned.
    out.frame.yaw = at.yaw + turn;
    FootTarget planted = foot(seen_from(end, at, {0, 0, out.frame.yaw}), stays);
    const double twist = points(foot(next, stays)) - points(planted);
    const bool turns = std::abs(twist) > near_deg && planted.contact != Contact::off;
    if (turns) planted.heel_turn += twist;
    const Spot here = spot(planted, stays), asked = spot(foot(next, stays), stays);
    const double dx = here.x - asked.x, dz = here.z - asked.z, yaw = out.frame.yaw * in_rad;
    out.frame.x = dx * std::cos(yaw) + dz * std::sin(yaw);
    out.frame.z = -dx * std::sin(yaw) + dz * std::cos(yaw);
    out.home = seen_from(end, at, out.frame);
    const FootTarget &m0 = foot(out.home, moves), &m1 = foot(next, moves);
    const Spot from = spot(m0, moves), to = spot(m1, moves);
    const bool steps = m1.contact == Contact::off || m0.contact == Contact::off || std::hypot(from.x - to.x, from.z - to.z) > near_sw ||
                       std::abs(points(m0) - points(m1)) > near_deg;
    planted = foot(out.home, stays); // as it stands in the end
    auto add = [&](const char* id, const char* name, const char* role, double seconds, const Posture& p) {
        out.phases.push_back(join_phase(id, name, role, seconds, p));
    };
    const int all = (turns ? 2 : 0) + (steps ? 2 : 0) + (steps && m1.contact != Contact::off ? 1 : 0);
    int done = 0;
    auto on_the_way = [&](double weight_stays) {
        Posture p = mixed(out.home, next, static_cast<double>(++done) / (all + 1));
        foot(p, stays) = planted;
        foot(p, moves) = m0;
        set_weight(p, stays, weight_stays);
        if (p.seat < 0.5) p.depth = std::min(p.depth, 0.93);
        return p;
    };
    if (planted.contact != Contact::off) planted.contact = Contact::flat;
    if (turns) {
        const bool can = m0.contact != Contact::off;
        if (can && weight_on(out.home, stays) > 0.3) add("join_off", "Weight off the foot", "unweight", step_s, on_the_way(0.15));
        planted.heel_turn += twist;
        add("join_turn", "Turn the foot", "pivot", step_s, on_the_way(can ? 0.15 : 0.97));
    }
    if (steps) {
        Posture over = on_the_way(0.97);
        const Posture& before = out.phases.empty() ? out.home : out.phases.back().posture;
        if (m0.contact != Contact::off && weight_on(before, stays) < 0.9) add("join_over", "Weight over", "unweight", step_s, over);
        if (m1.contact != Contact::off) {
            Posture lifted = on_the_way(0.98);
            FootTarget& f = foot(lifted, moves);
            f = m1;
            f.contact = Contact::off;
            f.lift = 0.045;
            f.x = between(m0.x, m1.x, 0.5), f.z = between(m0.z, m1.z, 0.5);
            f.toe_out = between(points(m0), points(m1), 0.5);
            f.heel_turn = f.ball_turn = 0;
            lifted.depth = std::min(lifted.depth, 0.9);
            add("join_lift", "Lift the foot", "lift", 0.8 * step_s, lifted);
            Posture placed = on_the_way(0.96);
            foot(placed, moves) = m1;
            foot(placed, moves).contact = Contact::flat;
            placed.depth = std::min(placed.depth, 0.92);
            add("join_place", "Place the foot", "gather", 0.8 * step_s, placed);
            out.phases.back().ends_at = "foot_flat";
        }
    }
    Posture arrived = next;
    if (!steps) foot(arrived, moves) = m0;
    foot(arrived, stays) = planted;
    const Posture reached = out.phases.empty() ? out.home : out.phases.back().posture;
    const double hands = std::max(std::hypot(reached.left_hand.x - arrived.left_hand.x, reached.left_hand.z - arrived.left_hand.z,
                                             hand_height(reached.left_hand) - hand_height(arrived.left_hand)),
                                  std::hypot(reached.right_hand.x - arrived.right_hand.x, reached.right_hand.z - arrived.right_hand.z,
                                             hand_height(reached.right_hand) - hand_height(arrived.right_hand)));
    const double turned =
        std::max(std::abs(reached.pelvis_turn - arrived.pelvis_turn), std::abs(reached.shoulder_turn - arrived.shoulder_turn));
    const double how_far = std::max({hands / 0.15, turned / 8, std::abs(reached.weight_left - arrived.weight_left) / 0.1,
                                     std::abs(reached.depth - arrived.depth) / 0.03, std::abs(reached.lean - arrived.lean) / 6,
                                     std::abs(reached.low_back + reached.upper_back - arrived.low_back - arrived.upper_back) / 10});
    if (!out.phases.empty() || steps || how_far > 1)
        add("join_on", steps && m1.contact == Contact::off ? "Lift the foot" : "Settle into it",
            steps && m1.contact == Contact::off ? "lift" : "gather", std::clamp(0.35 * how_far, 0.8, 1.5) * step_s, arrived);
    return out;
}

/// Feet that stand in what comes next as the join left them stay so, until they are lifted.
void stand_as_left(std::vector<Phase>& phases, const Posture& written, const Posture& left) {
    for (const Side s : {Side::left, Side::right}) {
        const FootTarget &asked = foot(written, s), &there = foot(left, s);
        if (asked.contact == Contact::off) continue;
        for (auto& p : phases) {
            FootTarget& f = foot(p.posture, s);
            const bool same = f.contact != Contact::off && std::abs(f.x - asked.x) < 1e-9 && std::abs(f.z - asked.z) < 1e-9 &&
                              std::abs(f.toe_out - asked.toe_out) < 1e-9;
            if (!same) break;
            f.x = there.x, f.z = there.z, f.toe_out = there.toe_out;
            f.heel_turn += there.heel_turn - asked.heel_turn;
            f.ball_turn += there.ball_turn - asked.ball_turn;
        }
    }
}

const Movement* find(std::span<const Movement> all, const std::string& id) {
    const auto it = std::find_if(all.begin(), all.end(), [&](const Movement& m) { return m.id == id; });
    return it == all.end() ? nullptr : &*it;
}

/// The phases of an entry, and the posture they begin with.
struct Cut {
    std::vector<Phase> phases;
    Posture begin;
};
Result<Cut> cut(const Movement& m, const FormPart& part) {
    Cut out{m.phases, m.home};
    if (!part.from.empty()) {
        const auto it = std::find_if(out.phases.begin(), out.phases.end(), [&](const Phase& p) { return p.id == part.from; });
        if (it == out.phases.end()) return fail(Code::not_found, m.id + " " + part.from);
        if (it != out.phases.begin()) out.begin = std::prev(it)->posture;
        out.phases.erase(out.phases.begin(), it);
    }
    if (!part.until.empty()) {
        const auto it = std::find_if(out.phases.begin(), out.phases.end(), [&](const Phase& p) { return p.id == part.until; });
        if (it == out.phases.end()) return fail(Code::not_found, m.id + " " + part.until);
        out.phases.erase(std::next(it), out.phases.end());
    }
    for (auto& p : out.phases) p.duration_s *= part.pace;
    return out;
}

/// The bands of a change alone: what it makes of the figure was made before.
std::vector<BandChange> bands_alone(std::vector<BandChange> changes) {
    for (auto& c : changes) {
        c.lean.reset(), c.toe_out.reset(), c.weight.reset();
        c.higher = c.forward = 0;
        c.step = c.pelvis = 1;
        c.lands.clear();
    }
    std::erase_if(changes, [](const BandChange& c) { return !c.low && !c.high && !c.off && !c.open_low && !c.open_high; });
    return changes;
}

/// Where a movement begins and ends on the floor, as key of parts that are the same.
std::string place_key(const Posture& p) {
    return posture_json(p).dump();
}

class Linker {
public:
    Linker(const LinkedForm& form, std::span<const Movement> movements, const FormBands& bands)
        : form_(form), movements_(movements), bands_(bands) {}

    Result<LinkedCourse> run() {
        if (form_.parts.empty()) return fail(Code::bad_value, "parts");
        for (std::size_t e = 0; e < form_.parts.size(); ++e)
            for (int r = 0; r < form_.parts[e].repeats; ++r)
                if (auto ok = add(e, r); !ok) return tl::unexpected(ok.error());
        finish();
        return std::move(out_);
    }

private:
    Result<bool> add(std::size_t e, int repeat) {
        const FormPart& part = form_.parts[e];
        const auto base = base_of(part);
        if (!base) return tl::unexpected(base.error());
        const Movement& m = **base;
        auto own = cut(m, part);
        if (!own) return tl::unexpected(own.error());
        LinkedPart one;
        one.entry = e;
        one.repeat = repeat;
        one.side = part.alternate && repeat % 2 == 1 ? other(part.side) : part.side;
        const double turn = repeat == 0 ? part.turn : 0;
        if (out_.parts.empty()) {
            if (!part.from.empty()) return fail(Code::bad_value, "parts 1: from");
            out_.stand = one.as_done(m.quiet());
            end_ = one.as_done(m.home);
            frame_ = {0, 0, turn};
        }
        // A wide turn in several joins: all but the last end in the stand of what comes next.
        const int joins = std::max(1, static_cast<int>(std::ceil(std::abs(turn) / most_turn)));
        const Posture begin = one.as_done(own->begin);
        Join j;
        std::vector<Phase> phases;
        if (out_.parts.empty()) {
            j.home = end_, j.frame = frame_;
        } else {
            for (int k = 0; k < joins; ++k) {
                Join step = join(end_, frame_, k + 1 < joins ? one.as_done(m.home) : begin, one.side, turn / joins, form_.join_s);
                if (k > 0) // one part has one frame: what was done before is told in the new one
                    for (auto& p : phases) p.posture = seen_from(p.posture, frame_, step.frame);
                else
                    j.home = step.home;
                if (k > 0) j.home = seen_from(j.home, frame_, step.frame);
                // On the way of a wide turn nothing settles.
                if (k + 1 < joins && step.phases.size() > 1 && step.phases.back().id == "join_on") step.phases.pop_back();
                for (auto& p : step.phases) {
                    if (k > 0) p.id += "_" + std::to_string(k + 1);
                    phases.push_back(p);
                }
                frame_ = step.frame;
                if (!step.phases.empty())
                    end_ = step.phases.back().posture;
                else
                    end_ = step.home;
            }
            j.frame = frame_;
        }
        one.joins = phases.size();
        one.frame = j.frame;
        std::vector<Phase> own_phases = own->phases;
        stand_as_left(own_phases, own->begin, one.as_done(end_));
        for (auto& p : phases) p.posture = one.as_done(p.posture);
        phases.insert(phases.end(), own_phases.begin(), own_phases.end());
        const Posture home = one.as_done(j.home);
        auto made = same(m, home, phases);
        if (!made) {
            auto fresh = with_phases(m, one.as_done(out_.stand), home, phases);
            if (!fresh) return tl::unexpected(fresh.error());
            apply(*fresh, bands_alone(bands_.school), BandLevel::school);
            apply(*fresh, bands_alone(bands_.student), BandLevel::student);
            apply(*fresh, bands_alone(bands_.clip), BandLevel::clip);
            made = std::make_shared<const Movement>(std::move(*fresh));
            known_.emplace_back(&m, made);
        }
        one.movement = made;
        end_ = one.as_done(phases.back().posture);
        frame_ = j.frame;
        out_.parts.push_back(std::move(one));
        return true;
    }

    /// Height of the hips in a quiet stand, m, of a usual body.
    static double hips_of(const Posture& quiet) { return Solver(BodyDims::of_stature(1.70), quiet).neutral_hip_height(); }

    /// The movement of an entry, with its figure as the school and the student have it.
    Result<const Movement*> base_of(const FormPart& part) {
        auto& made = bases_[{part.movement, part.version}];
        if (made) return made.get();
        const Movement* plain = find(movements_, part.movement);
        if (!plain) return fail(Code::not_found, part.movement);
        if (!part.version.empty() &&
            std::none_of(plain->versions.begin(), plain->versions.end(), [&](const Version& v) { return v.name == part.version; }))
            return fail(Code::not_found, part.movement + ": " + part.version);
        auto base = std::make_unique<Movement>(plain->as(part.version));
        apply(*base, bands_.school, BandLevel::school);
        apply(*base, bands_.student, BandLevel::student);
        apply(*base, bands_.clip, BandLevel::clip);
        if (out_.parts.empty()) first_hips_ = hips_of(base->quiet());
        // Heights are shares of the quiet stand's, and there is one quiet stand for all: that of the first movement.
        const double scale = hips_of(base->quiet()) / first_hips_;
        base->home.depth *= scale;
        for (auto& p : base->phases) p.posture.depth *= scale;
        made = std::move(base);
        return made.get();
    }

    /// A part that was made already, in the same way.
    std::shared_ptr<const Movement> same(const Movement& m, const Posture& home, const std::vector<Phase>& phases) const {
        for (const auto& [of, made] : known_) {
            if (of != &m || made->phases.size() != phases.size() || place_key(made->home) != place_key(home)) continue;
            const bool alike = std::equal(phases.begin(), phases.end(), made->phases.begin(), [](const Phase& a, const Phase& b) {
                return a.id == b.id && a.duration_s == b.duration_s && place_key(a.posture) == place_key(b.posture);
            });
            if (alike) return made;
        }
        return nullptr;
    }

    static void add_cautions(std::vector<std::string>& to, const std::vector<std::string>& more) {
        for (const auto& c : more)
            if (std::find(to.begin(), to.end(), c) == to.end()) to.push_back(c);
    }

    void finish() {
        constexpr double quiet_before_s = 1.5, approach_s = 1.5, quiet_after_s = 1.0;
        Movement& whole = out_.whole;
        whole = *out_.parts.front().movement;
        whole.id = form_.id, whole.name = form_.name, whole.kind = form_.kind, whole.about = form_.about, whole.pinyin = form_.pinyin;
        whole.version.clear();
        whole.phases.clear(), whole.checks.clear();
        whole.home = out_.parts.front().as_done(out_.parts.front().movement->home);
        whole.stand = out_.stand;
        auto& keys = out_.keys;
        double t = 0;
        const FloorFrame first = out_.parts.front().frame;
        keys.push_back({t, out_.stand, -1, -1, Side::left, Ease::settle, first});
        keys.push_back({t += quiet_before_s, out_.stand, -1, -1, Side::left, Ease::settle, first});
        keys.push_back({t += approach_s, whole.home, -1, -1, Side::left, Ease::flow, first});
        for (std::size_t k = 0; k < out_.parts.size(); ++k) {
            const LinkedPart& part = out_.parts[k];
            whole.part_names.push_back(form_.parts[part.entry].name.value_or(part.movement->name));
            // Who does the whole does each of its parts: what any of them asks and warns of holds for it.
            for (const auto& asked : Asks::parts())
                whole.asks.*asked.value = std::max(whole.asks.*asked.value, part.movement->asks.*asked.value);
            add_cautions(whole.cautions, part.movement->cautions);
            for (const Phase& p : part.movement->phases) {
                Phase one = p;
                one.id = std::to_string(k + 1) + "." + p.id;
                one.posture = part.as_done(p.posture);
                keys.push_back({t += p.duration_s, one.posture, static_cast<int>(whole.phases.size()), static_cast<int>(k), part.side,
                                p.ease, part.frame});
                whole.phases.push_back(std::move(one));
            }
        }
        add_cautions(whole.cautions, form_.cautions);
        // Where it ends in a step, the feet come together again.
        const Posture &last = keys.back().posture, home = out_.parts.front().as_done(out_.parts.front().movement->home);
        Join j = join(last, frame_, home, out_.parts.back().side, 0, form_.join_s);
        Posture closed = last;
        if (j.phases.size() > 1) {
            for (const Phase& p : j.phases) keys.push_back({t += p.duration_s, p.posture, -1, -1, Side::left, p.ease, j.frame});
            closed = j.phases.back().posture;
            frame_ = j.frame;
        }
        Posture quiet = out_.stand;
        quiet.left_foot = closed.left_foot, quiet.right_foot = closed.right_foot;
        keys.push_back({t += approach_s, quiet, -1, -1, Side::left, Ease::settle, frame_});
        keys.push_back({t += quiet_after_s, quiet, -1, -1, Side::left, Ease::settle, frame_});
    }

    const LinkedForm& form_;
    std::span<const Movement> movements_;
    const FormBands& bands_;
    std::map<std::pair<std::string, std::string>, std::unique_ptr<Movement>> bases_;
    LinkedCourse out_;
    double first_hips_ = 1;
    Posture end_;      // where the part before left off, in its frame
    FloorFrame frame_; // of that
    std::vector<std::pair<const Movement*, std::shared_ptr<const Movement>>> known_;
};

} // namespace

const std::vector<std::string>& join_names() {
    static const std::vector<std::string> all{"Weight off the foot", "Turn the foot",  "Weight over",
                                              "Lift the foot",       "Place the foot", "Settle into it"};
    return all;
}

Result<LinkedCourse> link(const LinkedForm& form, std::span<const Movement> movements, const FormBands& bands) {
    return Linker(form, movements, bands).run();
}

} // namespace bevel
