// Track format 2: "bevtrk02", length and text of a JSON head (model, version, picture, vertical, layers), number of frames, then a frame
// each: time (float64), present (uint8), and 27 points of x, y, visibility, stated sigma as float32; then, where shake was taken out,
// "steady01" and a frame each: eight numbers of the homography (float64) and what is left (float32). Little endian. Format 1 held corrected
// points to 1/16 px; it is read and its corrections are taken back.
#include "store/track_blob.h"
#include "core/ground/derive.h"
#include <algorithm>
#include <cmath>
#include <cstring>
#include <nlohmann/json.hpp>

namespace bevel {
namespace {
constexpr std::string_view steady_tag = "steady01";
constexpr std::string_view magic_1 = "bevtrk01", magic_2 = "bevtrk02";
constexpr std::uint32_t most_frames = 500000, most_head = 4U << 20U;
constexpr std::size_t most_edits = 200000;
using nlohmann::json;

template <class T> void put(std::string& out, T v) {
    out.append(reinterpret_cast<const char*>(&v), sizeof v);
}

class BlobReader {
public:
    explicit BlobReader(std::string_view b) : bytes_(b) {}
    template <class T> bool get(T& v) {
        if (at_ + sizeof v > bytes_.size()) return false;
        std::memcpy(&v, bytes_.data() + at_, sizeof v);
        at_ += sizeof v;
        return true;
    }
    bool text(std::string& v, std::size_t n) {
        if (n > left()) return false;
        v.assign(bytes_.substr(at_, n));
        at_ += n;
        return true;
    }
    std::size_t left() const { return bytes_.size() - at_; }

private:
    std::string_view bytes_;
    std::size_t at_ = 0;
};

json vertical_json(const VerticalOnPicture& v) {
    return {{"roll", v.roll}, {"slope", v.slope}, {"roll_sigma", v.roll_sigma}, {"slope_sigma", v.slope_sigma}, {"from_room", v.from_room}};
}

json layers_json(const Layers& l) {
    json j{{"mirrored", l.mirrored}};
    if (l.trim_from_s) j["trim_from_s"] = *l.trim_from_s;
    if (l.trim_to_s) j["trim_to_s"] = *l.trim_to_s;
    if (l.vertical) j["vertical"] = vertical_json(*l.vertical);
    if (l.scale) j["scale"] = {l.scale->x0, l.scale->y0, l.scale->x1, l.scale->y1, l.scale->metres};
    if (l.camera_height_m) j["camera_height_m"] = *l.camera_height_m;
    if (l.plan) {
        j["plan"] = {{"focal_px", l.plan->focal_px}, {"pitch", l.plan->pitch}, {"roll", l.plan->roll}, {"height_m", l.plan->height_m}};
        j["plan"]["root"] = l.plan->root;
    }
    if (l.lens) j["lens"] = {l.lens->k, l.lens->sigma};
    for (const auto& s : l.swaps) j["swaps"].push_back({s.from, s.to});
    for (const auto& e : l.edits) j["edits"].push_back({e.frame, point_name(e.point), e.x, e.y, e.filled});
    for (const auto& b : l.breaths) j["breaths"].push_back({b.time_s, b.in});
    for (const auto& [frame, points] : l.extra)
        for (std::size_t e = 0; e < extra_count; ++e)
            if (points[e]) j["extra"].push_back({frame, extra_name(static_cast<Extra>(e)), points[e]->x(), points[e]->y(), points[e]->z()});
    return j;
}

/// A finite number within bounds; throws what the reader below turns into an error.
double bounded(const json& j, double most = 1e7) {
    const double v = j.get<double>();
    if (!std::isfinite(v) || std::abs(v) > most) throw std::out_of_range("number");
    return v;
}

/// Number of a frame.
std::uint32_t frame_of(const json& j) {
    const auto n = j.get<std::int64_t>();
    if (n < 0 || n > most_frames) throw std::out_of_range("frame");
    return static_cast<std::uint32_t>(n);
}

VerticalOnPicture vertical_of(const json& j) {
    VerticalOnPicture v{bounded(j.at("roll"), 7), bounded(j.at("slope"), 1), bounded(j.at("roll_sigma"), 7),
                        bounded(j.at("slope_sigma"), 1), j.at("from_room").get<bool>()};
    if (!(v.roll_sigma > 0) || !(v.slope_sigma > 0)) throw std::out_of_range("vertical");
    return v;
}

Layers layers_of(const json& j) {
    Layers l;
    l.mirrored = j.value("mirrored", false);
    if (j.contains("trim_from_s")) l.trim_from_s = bounded(j["trim_from_s"]);
    if (j.contains("trim_to_s")) l.trim_to_s = bounded(j["trim_to_s"]);
    if (j.contains("vertical")) l.vertical = vertical_of(j["vertical"]);
    if (j.contains("camera_height_m")) l.camera_height_m = std::clamp(bounded(j["camera_height_m"]), 0.05, 5.0);
    if (j.contains("plan")) {
        const auto& p = j["plan"];
        CameraPlan plan{
            bounded(p.at("focal_px"), 1e5), bounded(p.at("pitch"), 2), bounded(p.at("roll"), 2), bounded(p.at("height_m"), 50), {}};
        if (!(plan.focal_px > 10) || !(plan.height_m > 0.01) || p.at("root").size() != plan.root.size()) throw std::out_of_range("plan");
        for (std::size_t i = 0; i < plan.root.size(); ++i) plan.root[i] = bounded(p["root"].at(i), 10);
        l.plan = plan;
    }
    if (j.contains("lens")) {
        l.lens = LensBend{bounded(j["lens"].at(0), 1), bounded(j["lens"].at(1), 1)};
        if (!(l.lens->sigma > 0)) throw std::out_of_range("lens");
    }
    if (j.contains("swaps")) {
        if (j["swaps"].size() > most_edits) throw std::out_of_range("swaps");
        for (const auto& s : j["swaps"]) l.swaps.push_back({frame_of(s.at(0)), frame_of(s.at(1))});
    }
    if (j.contains("scale")) {
        const auto& s = j["scale"];
        l.scale = MarkedLength{bounded(s.at(0)), bounded(s.at(1)), bounded(s.at(2)), bounded(s.at(3)), bounded(s.at(4))};
        if (!(l.scale->metres > 0)) throw std::out_of_range("scale");
    }
    if (j.contains("breaths")) {
        if (j["breaths"].size() > most_edits) throw std::out_of_range("breaths");
        for (const auto& b : j["breaths"]) l.breaths.push_back({bounded(b.at(0)), b.at(1).get<bool>()});
    }
    if (j.contains("extra")) {
        if (j["extra"].size() > most_edits) throw std::out_of_range("extra");
        for (const auto& e : j["extra"]) {
            const auto frame = frame_of(e.at(0));
            const auto which = extra_from_name(e.at(1).get<std::string>());
            if (!which || (!l.extra.empty() && frame < l.extra.back().first)) throw std::out_of_range("extra");
            if (l.extra.empty() || l.extra.back().first != frame) l.extra.emplace_back(frame, ExtraPoints{});
            l.extra.back().second[static_cast<std::size_t>(*which)] = Vec3(bounded(e.at(2)), bounded(e.at(3)), bounded(e.at(4)));
        }
    }
    if (j.contains("edits")) {
        if (j["edits"].size() > most_edits) throw std::out_of_range("edits");
        for (const auto& e : j["edits"]) {
            const auto p = point_from_name(e.at(1).get<std::string>());
            if (!p) throw std::out_of_range("point");
            l.edits.push_back({frame_of(e.at(0)), *p, bounded(e.at(2)), bounded(e.at(3)), e.size() > 4 && e.at(4).get<bool>()});
        }
    }
    return l;
}

/// Format 1: points to 1/16 px, corrected by the offsets of model version 1 and smoothed.
Result<Track> unpack_1(BlobReader r) {
    std::uint32_t n = 0;
    std::int32_t w = 0, h = 0;
    std::uint8_t has = 0, room = 0;
    VerticalOnPicture v;
    if (!r.get(n) || !r.get(w) || !r.get(h) || !r.get(has) || !r.get(room) || !r.get(v.roll) || !r.get(v.slope) || !r.get(v.roll_sigma) ||
        !r.get(v.slope_sigma))
        return fail(Code::unreadable, "track");
    if (n > most_frames || n > r.left() / 9 || w < 0 || h < 0 || w > 8192 || h > 8192) return fail(Code::unreadable, "track");
    Track t;
    t.width = w;
    t.height = h;
    v.from_room = room != 0;
    if (has != 0) {
        if (!std::isfinite(v.roll) || !std::isfinite(v.slope) || !std::isfinite(v.roll_sigma) || !std::isfinite(v.slope_sigma))
            return fail(Code::unreadable, "track");
        t.vertical = v;
    }
    double last = -1e18;
    for (std::uint32_t i = 0; i < n; ++i) {
        double time = 0;
        std::uint8_t present = 0;
        if (!r.get(time) || !r.get(present) || !std::isfinite(time) || time <= last) return fail(Code::unreadable, "track");
        last = time;
        t.time_s.push_back(time);
        t.m.emplace_back();
        t.px.emplace_back();
        if (present == 0) continue;
        BodyPx b;
        for (auto& p : b) {
            std::int16_t x = 0, y = 0;
            std::uint8_t vis = 0, sigma = 0;
            if (!r.get(x) || !r.get(y) || !r.get(vis) || !r.get(sigma)) return fail(Code::unreadable, "track");
            p = {x / 16.0, y / 16.0, vis / 255.0, 0, 0, 0, 0};
        }
        t.px.back() = b;
    }
    uncorrect_version_1(t);
    return t;
}
} // namespace

std::string pack_marks(const Layers& layers) {
    return layers_json(layers).dump();
}

Result<Layers> unpack_marks(const std::string& text) {
    if (text.size() > most_head) return fail(Code::unreadable, "marks");
    try {
        return layers_of(json::parse(text));
    } catch (const std::exception&) {
        return fail(Code::unreadable, "marks");
    }
}

std::string pack_track(const Track& t) {
    json head{
        {"model", t.model}, {"version", t.model_version}, {"width", t.width}, {"height", t.height}, {"layers", layers_json(t.layers)}};
    if (t.vertical) head["vertical"] = vertical_json(*t.vertical);
    if (t.focal_px) head["focal_px"] = *t.focal_px;
    const std::string text = head.dump();
    std::string out(magic_2);
    put(out, static_cast<std::uint32_t>(text.size()));
    out += text;
    put(out, static_cast<std::uint32_t>(t.frames()));
    for (std::size_t i = 0; i < t.frames(); ++i) {
        put(out, t.time_s[i]);
        put(out, static_cast<std::uint8_t>(t.px[i].has_value()));
        if (!t.px[i]) continue;
        for (const auto& p : *t.px[i])
            for (const double v : {p.x, p.y, p.visibility, p.sigma}) put(out, static_cast<float>(v));
    }
    if (t.layers.steady.size() == t.frames() && t.frames() > 0) {
        out += steady_tag;
        for (const auto& s : t.layers.steady) {
            for (const double v : s.h) put(out, v);
            put(out, static_cast<float>(s.sigma));
        }
    }
    return out;
}

Result<Track> unpack_track(const std::string& bytes) {
    const std::string_view all(bytes);
    if (all.substr(0, magic_1.size()) == magic_1) return unpack_1(BlobReader(all.substr(magic_1.size())));
    if (all.substr(0, magic_2.size()) != magic_2) return fail(Code::unreadable, "track");
    BlobReader r(all.substr(magic_2.size()));
    std::uint32_t head_size = 0, n = 0;
    std::string text;
    if (!r.get(head_size) || head_size > most_head || !r.text(text, head_size) || !r.get(n)) return fail(Code::unreadable, "track");
    if (n > most_frames || n > r.left() / 9) return fail(Code::unreadable, "track");
    Track t;
    try {
        const json head = json::parse(text);
        t.model = head.at("model").get<std::string>().substr(0, 64);
        t.model_version = head.at("version").get<int>();
        t.width = head.at("width").get<int>();
        t.height = head.at("height").get<int>();
        if (head.contains("vertical")) t.vertical = vertical_of(head["vertical"]);
        if (head.contains("focal_px")) t.focal_px = std::clamp(bounded(head["focal_px"]), 50.0, 50000.0);
        t.layers = layers_of(head.at("layers"));
    } catch (const std::exception&) {
        return fail(Code::unreadable, "track");
    }
    if (t.width < 0 || t.height < 0 || t.width > 16384 || t.height > 16384) return fail(Code::unreadable, "track");
    double last = -1e18;
    for (std::uint32_t i = 0; i < n; ++i) {
        double time = 0;
        std::uint8_t present = 0;
        if (!r.get(time) || !r.get(present) || !std::isfinite(time) || time <= last) return fail(Code::unreadable, "track");
        last = time;
        t.time_s.push_back(time);
        t.m.emplace_back();
        t.px.emplace_back();
        if (present == 0) continue;
        BodyPx b;
        for (auto& p : b) {
            std::array<float, 4> v{};
            for (float& x : v)
                if (!r.get(x) || !std::isfinite(x) || std::abs(x) > 1e7F) return fail(Code::unreadable, "track");
            p = {v[0], v[1], std::clamp(static_cast<double>(v[2]), 0.0, 1.0), std::max(0.0F, v[3]), 0, 0, 0};
        }
        t.px.back() = b;
    }
    std::string tag;
    if (r.left() == 0) return t;
    if (!r.text(tag, steady_tag.size()) || tag != steady_tag || r.left() != std::size_t{n} * (8 * sizeof(double) + sizeof(float)))
        return fail(Code::unreadable, "track");
    for (std::uint32_t i = 0; i < n; ++i) {
        Steady s;
        float sigma = 0;
        for (double& v : s.h)
            if (!r.get(v) || !std::isfinite(v) || std::abs(v) > 1e6) return fail(Code::unreadable, "track");
        if (!r.get(sigma) || !(sigma >= 0) || !(sigma < 1e5F)) return fail(Code::unreadable, "track");
        s.sigma = sigma;
        t.layers.steady.push_back(s);
    }
    return t;
}

} // namespace bevel
