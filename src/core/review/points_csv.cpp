#include "core/review/points_csv.h"
#include "core/clip_length.h"
#include "core/movement/movement.h"
#include <charconv>
#include <cmath>
#include <fstream>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {

constexpr std::size_t most_bytes = 200U << 20U, most_rows = 500000, most_columns = 1000;

/// The first fields of a line; what stands beyond the most that a file may have is not looked at.
std::vector<std::string_view> split(std::string_view line) {
    std::vector<std::string_view> out;
    std::size_t from = 0;
    while (out.size() <= most_columns) {
        const auto comma = line.find(',', from);
        out.push_back(line.substr(from, comma == std::string_view::npos ? comma : comma - from));
        if (comma == std::string_view::npos) return out;
        from = comma + 1;
    }
    return out;
}

std::optional<double> cell(std::string_view s) {
    while (!s.empty() && (s.front() == ' ' || s.front() == '"')) s.remove_prefix(1);
    while (!s.empty() && (s.back() == ' ' || s.back() == '"' || s.back() == '\r')) s.remove_suffix(1);
    double v = 0;
    const auto [end, ec] = std::from_chars(s.data(), s.data() + s.size(), v);
    if (ec != std::errc() || end != s.data() + s.size() || !std::isfinite(v) || std::abs(v) > 1e7) return std::nullopt;
    return v;
}

struct Columns {
    int time = -1, breath = -1;
    std::array<std::array<int, 5>, extra_count> extra; // x_px y_px x_m y_m z_m
    std::array<std::array<int, 8>, point_count> of;    // x_px y_px vis x_m y_m z_m sigma_px sigma_m
    bool px = true, m = true, m_sigma = false;
};

Result<Columns> columns(std::string_view header) {
    static constexpr std::array<std::string_view, 8> endings{"_x_px", "_y_px", "_vis", "_x_m", "_y_m", "_z_m", "_sigma_px", "_sigma_m"};
    Columns c;
    for (auto& o : c.of) o.fill(-1);
    for (auto& o : c.extra) o.fill(-1);
    static constexpr std::array<std::string_view, 5> extra_endings{"_x_px", "_y_px", "_x_m", "_y_m", "_z_m"};
    const auto names = split(header);
    if (names.size() > most_columns) return fail(Code::too_large, "columns");
    for (std::size_t i = 0; i < names.size(); ++i) {
        std::string_view n = names[i];
        while (!n.empty() && (n.back() == '\r' || n.back() == ' ' || n.back() == '"')) n.remove_suffix(1);
        while (!n.empty() && (n.front() == '"' || n.front() == ' ' || static_cast<unsigned char>(n.front()) >= 0x80)) n.remove_prefix(1);
        if (n == "time_s") c.time = static_cast<int>(i);
        if (n == "breath") c.breath = static_cast<int>(i);
        for (std::size_t e = 0; e < extra_endings.size(); ++e)
            if (n.ends_with(extra_endings[e]))
                if (const auto p = extra_from_name(n.substr(0, n.size() - extra_endings[e].size())))
                    c.extra[static_cast<std::size_t>(*p)][e] = static_cast<int>(i);
        for (std::size_t e = 0; e < endings.size(); ++e)
            if (n.ends_with(endings[e]))
                if (const auto p = point_from_name(n.substr(0, n.size() - endings[e].size())))
                    c.of[static_cast<std::size_t>(*p)][e] = static_cast<int>(i);
    }
    if (c.time < 0) return fail(Code::unreadable, "no column time_s");
    std::string missing;
    for (int p = 0; p < point_count; ++p) {
        const auto& o = c.of[static_cast<std::size_t>(p)];
        const bool px = o[0] >= 0 && o[1] >= 0, m = o[3] >= 0 && o[4] >= 0 && o[5] >= 0;
        c.px = c.px && px;
        c.m = c.m && m;
        c.m_sigma = c.m_sigma || o[7] >= 0;
        if (!px && !m && missing.empty()) missing = point_name(static_cast<Point>(p));
    }
    if (!c.px && !c.m) return fail(Code::unreadable, "no columns for " + missing);
    return c;
}

void put(std::string& out, double v, int decimals) {
    std::array<char, 40> buf{};
    const auto [end, ec] = std::to_chars(buf.data(), buf.data() + buf.size(), v, std::chars_format::fixed, decimals);
    if (ec == std::errc()) out.append(buf.data(), end);
}

std::string header(bool px, bool m, bool px_sigma, bool m_sigma) {
    std::string out = "time_s";
    for (int p = 0; p < point_count; ++p) {
        const std::string n(point_name(static_cast<Point>(p)));
        auto column = [&](const char* ending) { out.append(1, ',').append(n).append(ending); };
        if (px)
            for (const char* e : {"_x_px", "_y_px", "_vis"}) column(e);
        if (m)
            for (const char* e : {"_x_m", "_y_m", "_z_m"}) column(e);
        if (px_sigma) column("_sigma_px");
        if (m_sigma) column("_sigma_m");
    }
    return out;
}

void row(std::string& out, const Track& t, std::size_t i, bool px, bool m, bool px_sigma, bool m_sigma) {
    put(out, t.time_s[i], 6);
    for (std::size_t p = 0; p < point_count; ++p) {
        if (px) {
            if (t.px[i]) {
                const auto& q = (*t.px[i])[p];
                out += ',';
                put(out, q.x, 3);
                out += ',';
                put(out, q.y, 3);
                out += ',';
                put(out, q.visibility, 4);
            } else {
                out += ",,,";
            }
        }
        if (m) {
            for (Eigen::Index a = 0; a < 3; ++a) {
                out += ',';
                if (t.m[i]) put(out, (*t.m[i])[p][a], 6);
            }
        }
        if (px_sigma) {
            out += ',';
            if (t.px[i]) put(out, std::hypot((*t.px[i])[p].sigma, (*t.px[i])[p].bias), 3);
        }
        if (m_sigma) {
            out += ',';
            if (t.m[i]) put(out, t.m_sigma[i][p], 6);
        }
    }
}

bool any_px(const Track& t) {
    return std::any_of(t.px.begin(), t.px.end(), [](const auto& f) { return f.has_value(); });
}
bool any_m(const Track& t) {
    return std::any_of(t.m.begin(), t.m.end(), [](const auto& f) { return f.has_value(); });
}

} // namespace

Result<Track> parse_points(const std::string& text) {
    std::string_view rest = text;
    auto line = [&]() {
        const auto end = rest.find('\n');
        const auto l = rest.substr(0, end);
        rest = end == std::string_view::npos ? std::string_view{} : rest.substr(end + 1);
        return l;
    };
    const auto head = columns(line());
    if (!head) return tl::unexpected(head.error());
    Track t;
    double last = -1e18;
    while (!rest.empty()) {
        const auto l = line();
        if (l.empty() || l == "\r") continue;
        if (t.time_s.size() >= most_rows) return fail(Code::too_large, "rows");
        const auto cells = split(l);
        const std::string where = "row " + std::to_string(t.time_s.size() + 2);
        auto value = [&](int column) -> std::optional<double> {
            return column >= 0 && static_cast<std::size_t>(column) < cells.size() ? cell(cells[static_cast<std::size_t>(column)])
                                                                                  : std::nullopt;
        };
        const auto time = value(head->time);
        if (!time || *time <= last || (!t.time_s.empty() && *time - t.time_s.front() > longest_film_s))
            return fail(Code::bad_value, where + ": time_s");
        last = *time;
        BodyPx px;
        Body3 m;
        bool has_px = head->px, has_m = head->m;
        for (std::size_t p = 0; p < point_count; ++p) {
            const auto& o = head->of[p];
            if (has_px) {
                const auto x = value(o[0]), y = value(o[1]);
                const auto vis = o[2] >= 0 ? value(o[2]) : std::optional(1.0);
                if (!x || !y || !vis)
                    has_px = false;
                else
                    px[p] = {*x, *y, std::clamp(*vis, 0.0, 1.0), std::max(0.0, value(o[6]).value_or(0)), 0, 0, 0};
            }
            if (has_m) {
                const auto x = value(o[3]), y = value(o[4]), z = value(o[5]);
                if (!x || !y || !z)
                    has_m = false;
                else
                    m[p] = Vec3(*x, *y, *z);
            }
        }
        if (head->m_sigma) {
            std::array<double, point_count> s{};
            for (std::size_t p = 0; p < point_count; ++p) s[p] = std::clamp(value(head->of[p][7]).value_or(0), 0.0, 1.0);
            t.m_sigma.push_back(s);
        }
        ExtraPoints extra;
        bool any = false;
        for (std::size_t e = 0; e < extra_count; ++e) {
            const auto& o = head->extra[e];
            const auto x = value(head->m ? o[2] : o[0]), y = value(head->m ? o[3] : o[1]), z = head->m ? value(o[4]) : std::optional(0.0);
            if (x && y && z) extra[e] = Vec3(*x, *y, *z), any = true;
        }
        if (any) t.layers.extra.emplace_back(static_cast<std::uint32_t>(t.frames()), extra);
        if (head->breath >= 0 && static_cast<std::size_t>(head->breath) < cells.size()) {
            std::string_view b = cells[static_cast<std::size_t>(head->breath)];
            while (!b.empty() && (b.back() == '\r' || b.back() == ' ' || b.back() == '"')) b.remove_suffix(1);
            while (!b.empty() && (b.front() == ' ' || b.front() == '"')) b.remove_prefix(1);
            if (b != "in" && b != "out" && !b.empty()) return fail(Code::bad_value, where + ": breath");
            if (!b.empty()) t.layers.breaths.push_back({*time, b == "in"});
        }
        t.time_s.push_back(*time);
        t.px.push_back(has_px ? std::optional(px) : std::nullopt);
        t.m.push_back(has_m ? std::optional(m) : std::nullopt);
    }
    if (t.time_s.empty()) return fail(Code::unreadable, "no rows");
    return t;
}

Result<Track> read_points(const std::filesystem::path& file) {
    auto text = read_text(file, most_bytes);
    if (!text) return tl::unexpected(text.error());
    auto track = parse_points(*text);
    if (!track) return track;
    auto side = file;
    side.replace_extension(".camera.json");
    if (auto camera = read_text(side, 1 << 16)) {
        const auto j = nlohmann::json::parse(*camera, nullptr, false);
        try {
            if (j.is_object()) {
                track->width = std::clamp(j.value("width", 0), 0, 8192);
                track->height = std::clamp(j.value("height", 0), 0, 8192);
                if (j.contains("focal_px")) track->focal_px = std::clamp(j.at("focal_px").get<double>(), 50.0, 50000.0);
                track->layers.mirrored = j.value("mirrored", false);
                if (j.contains("roll"))
                    track->vertical =
                        VerticalOnPicture{j.at("roll").get<double>(), j.at("slope").get<double>(), j.at("roll_sigma").get<double>(),
                                          j.at("slope_sigma").get<double>(), j.at("from_room").get<bool>()};
            }
        } catch (const nlohmann::json::exception&) {
            track->vertical.reset(); // a damaged companion file only loses the vertical
        }
    }
    return track;
}

std::string points_csv(const Track& t) {
    const bool px = any_px(t) || !any_m(t), m = any_m(t), m_sigma = m && t.m_sigma.size() == t.frames();
    const bool px_sigma = std::any_of(t.px.begin(), t.px.end(), [](const auto& f) { return f && (*f)[nose].sigma > 0; });
    std::string out = header(px, m, px_sigma, m_sigma) + "\n";
    for (std::size_t i = 0; i < t.frames(); ++i) {
        row(out, t, i, px, m, px_sigma, m_sigma);
        out += '\n';
    }
    return out;
}

std::string truth_csv(const Track& t, const sim::Truth& truth) {
    std::string out = header(true, true, false, false) + ",phase,weight_left,left_contact,right_contact\n";
    for (std::size_t i = 0; i < t.frames(); ++i) {
        row(out, t, i, true, true, false, false);
        out.append(1, ',').append(truth.phase[i]).append(1, ',');
        put(out, truth.weight_left[i], 5);
        for (const Contact c : truth.contact[i]) out.append(1, ',').append(contact_name(c));
        out += '\n';
    }
    return out;
}

std::string camera_json(const Track& t) {
    nlohmann::json j{{"width", t.width}, {"height", t.height}};
    if (t.focal_px) j["focal_px"] = *t.focal_px;
    if (t.layers.mirrored) j["mirrored"] = true;
    if (t.vertical) {
        j["roll"] = t.vertical->roll;
        j["slope"] = t.vertical->slope;
        j["roll_sigma"] = t.vertical->roll_sigma;
        j["slope_sigma"] = t.vertical->slope_sigma;
        j["from_room"] = t.vertical->from_room;
    }
    return j.dump(1) + "\n";
}

} // namespace bevel
