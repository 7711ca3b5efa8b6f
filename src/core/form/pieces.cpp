#include "core/form/pieces.h"
#include <algorithm>
#include <charconv>
#include <cmath>
#include <set>

namespace bevel {
namespace {

/// A number from 1 at the beginning of `text`, which is taken off it.
std::optional<int> number(std::string_view& text) {
    int n = 0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), n);
    if (error != std::errc() || n < 1) return std::nullopt;
    text.remove_prefix(static_cast<std::size_t>(end - text.data()));
    return n;
}

void add_new(std::vector<std::string>& to, const std::vector<std::string>& more) {
    for (const auto& c : more)
        if (std::find(to.begin(), to.end(), c) == to.end()) to.push_back(c);
}

/// What the way between the parts asks, which none of them says: a step, and a turn of a right angle or more.
void ask_for_joins(Movement& m, const std::vector<ScoreKey>& keys) {
    constexpr double wide_turn = 89;
    bool steps = false, turns = false;
    for (std::size_t i = 0; i < keys.size(); ++i) {
        const Posture& p = keys[i].posture;
        steps = steps || p.left_foot.contact == Contact::off || p.right_foot.contact == Contact::off;
        turns = turns || (i > 0 && std::abs(std::remainder(keys[i].frame.yaw - keys[i - 1].frame.yaw, 360)) > wide_turn);
    }
    if (steps) {
        m.asks.balance = std::max(m.asks.balance, 1);
        add_new(m.cautions, {"balance"});
    }
    if (turns) m.asks.turning = std::max(m.asks.turning, 2);
}

/// From one key of the course to another, both with their stretches; what was reached before is where it begins.
Movement cut(const LinkedForm& form, const LinkedCourse& course, const PieceId& id, std::size_t first, std::size_t last) {
    Movement m = course.whole;
    m.id = id.text();
    m.kind = "whole form"; // none of the kinds that plans know: it is only taken by name
    m.about = form.about;
    m.versions.clear(), m.drills.clear(), m.images.clear(), m.attention.clear(), m.checks.clear(), m.bands.clear();
    m.cautions.clear(), m.trains.clear(), m.needs.clear(), m.part_names.clear(), m.phases.clear();
    m.recorded.reset(), m.source.reset(), m.tool.reset();
    m.asks = {};
    m.repetitions = 2;
    bool all_seated = true;
    for (int k = id.from - 1; k < id.to; ++k) {
        const Movement& part = *course.parts[static_cast<std::size_t>(k)].movement;
        for (const auto& asked : Asks::parts()) m.asks.*asked.value = std::max(m.asks.*asked.value, part.asks.*asked.value);
        add_new(m.cautions, part.cautions);
        add_new(m.trains, part.trains);
        if (part.tool) m.tool = part.tool;
        all_seated = all_seated && std::find(part.needs.begin(), part.needs.end(), "seat") != part.needs.end();
        m.part_names.push_back(course.whole.part_names[static_cast<std::size_t>(k)]);
    }
    add_new(m.cautions, form.cautions);
    if (all_seated) m.needs.emplace_back("seat");
    auto keys = std::make_shared<std::vector<ScoreKey>>();
    const double begin = first == 0 ? 0 : course.keys[first - 1].time;
    if (first > 0) {
        keys->push_back(course.keys[first - 1]);
        keys->back().time = 0;
        keys->back().phase = keys->back().repetition = -1;
        // Told in the frame of what comes next, as the home of a movement is.
        const FloorFrame& frame = course.keys[first].frame;
        m.home = seen_from(keys->back().posture, keys->back().frame, frame);
    }
    for (std::size_t i = first; i <= last; ++i) {
        ScoreKey key = course.keys[i];
        key.time -= begin;
        if (key.phase >= 0) {
            m.phases.push_back(course.whole.phases[static_cast<std::size_t>(key.phase)]);
            key.phase = static_cast<int>(m.phases.size()) - 1;
            key.repetition -= id.from - 1;
        }
        keys->push_back(key);
    }
    ask_for_joins(m, *keys);
    m.course = std::move(keys);
    return m;
}

class Cutter {
public:
    Cutter(const LinkedForm& form, const LinkedCourse& course, bool mirror, std::vector<Movement>& out)
        : form_(form), course_(course), mirror_(mirror), out_(out) {}

    void parts(int from, int to) {
        const PieceId id{form_.id, from, to, false, mirror_};
        if (!made_.insert(id.text()).second) return;
        const int count = static_cast<int>(course_.parts.size());
        // The whole stands before it begins and after it ends.
        const std::size_t first = from == 1 ? 0 : key_of(from - 1, true),
                          last = to == count ? course_.keys.size() - 1 : key_of(to - 1, false);
        out_.push_back(cut(form_, course_, id, first, last));
    }
    /// The last phase of the part before, the steps between, the first phase of the part itself.
    void join(int to) {
        const PieceId id{form_.id, to - 1, to, true, mirror_};
        const auto& part = course_.parts[static_cast<std::size_t>(to - 1)];
        const std::size_t begins = key_of(to - 1, true);
        const std::size_t last = std::min(begins + part.joins, key_of(to - 1, false));
        out_.push_back(cut(form_, course_, id, begins > 1 ? begins - 1 : begins, last));
    }

private:
    /// First or last key of a part, counted from 0.
    std::size_t key_of(int part, bool first) const {
        std::size_t at = 0;
        for (std::size_t i = 0; i < course_.keys.size(); ++i)
            if (course_.keys[i].phase >= 0 && course_.keys[i].repetition == part) {
                at = i;
                if (first) break;
            }
        return at;
    }
    const LinkedForm& form_;
    const LinkedCourse& course_;
    bool mirror_;
    std::vector<Movement>& out_;
    std::set<std::string> made_;
};

} // namespace

std::string PieceId::text() const {
    return std::string(form_prefix) + form + "/" + std::to_string(from) + (join ? "~" : "-") + std::to_string(to) + (mirrored ? "/m" : "");
}

std::optional<PieceId> PieceId::read(const std::string& id) {
    if (!id.starts_with(form_prefix)) return std::nullopt;
    const auto slash = id.find('/');
    if (slash == std::string::npos) return std::nullopt;
    PieceId out;
    out.form = id.substr(form_prefix.size(), slash - form_prefix.size());
    std::string_view rest = std::string_view(id).substr(slash + 1);
    const auto from = number(rest);
    if (!from || rest.empty() || (rest[0] != '-' && rest[0] != '~')) return std::nullopt;
    out.join = rest[0] == '~';
    rest.remove_prefix(1);
    const auto to = number(rest);
    if (!to || *to < *from || (out.join && *to != *from + 1) || (!rest.empty() && rest != "/m")) return std::nullopt;
    out.from = *from, out.to = *to, out.mirrored = !rest.empty();
    return out;
}

LinkedForm mirrored(const LinkedForm& form) {
    LinkedForm out = form;
    for (auto& p : out.parts) p.side = other(p.side), p.turn = -p.turn;
    return out;
}

std::vector<std::pair<int, int>> steps_of(const LinkedForm& form) {
    std::vector<std::pair<int, int>> out;
    int number = 1;
    std::string group;
    for (const auto& p : form.parts) {
        const int to = number + p.repeats - 1;
        if (!p.group.empty() && p.group == group && !out.empty())
            out.back().second = to;
        else
            out.emplace_back(number, to);
        group = p.group;
        number = to + 1;
    }
    return out;
}

Result<std::vector<Movement>> pieces_of(const LinkedForm& form, std::span<const Movement> movements, bool mirror) {
    std::vector<Movement> out;
    const LinkedForm one = mirror ? mirrored(form) : form;
    const auto course = link(one, movements);
    if (!course) return tl::unexpected(course.error());
    Cutter cut(one, *course, mirror, out);
    const int count = static_cast<int>(course->parts.size());
    for (int k = 1; k <= count; ++k) cut.parts(k, k);
    for (int k = 2; k <= count; ++k) cut.join(k);
    for (const auto& [from, to] : steps_of(one)) cut.parts(from, to), cut.parts(1, to);
    for (int k = 1; k <= count; ++k) cut.parts(1, k); // whatever somebody knows of it
    return out;
}

} // namespace bevel
