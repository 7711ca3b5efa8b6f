#include "store/library.h"
#include <algorithm>
#include <cmath>
#include <cstring>

namespace bevel {
namespace {
constexpr char magic[8] = {'b', 'e', 'v', 't', 'r', 'k', '0', '1'};
constexpr std::uint32_t most_frames = 500000;

template <class T> void put(std::string& out, T v) {
    out.append(reinterpret_cast<const char*>(&v), sizeof v);
}

class Reader {
public:
    explicit Reader(const std::string& b) : bytes_(b) {}
    template <class T> bool get(T& v) {
        if (at_ + sizeof v > bytes_.size()) return false;
        std::memcpy(&v, bytes_.data() + at_, sizeof v);
        at_ += sizeof v;
        return true;
    }
    std::size_t left() const { return bytes_.size() - at_; }

private:
    const std::string& bytes_;
    std::size_t at_ = 0;
};
} // namespace

std::string pack_track(const Track& t) {
    std::string out(magic, sizeof magic);
    put(out, static_cast<std::uint32_t>(t.frames()));
    put(out, static_cast<std::int32_t>(t.width));
    put(out, static_cast<std::int32_t>(t.height));
    const VerticalOnPicture v = t.vertical.value_or(VerticalOnPicture{});
    put(out, static_cast<std::uint8_t>(t.vertical.has_value()));
    put(out, static_cast<std::uint8_t>(v.from_room));
    for (const double d : {v.roll, v.slope, v.roll_sigma, v.slope_sigma}) put(out, d);
    for (std::size_t i = 0; i < t.frames(); ++i) {
        put(out, t.time_s[i]);
        put(out, static_cast<std::uint8_t>(t.px[i].has_value()));
        if (!t.px[i]) continue;
        for (const auto& p : *t.px[i]) {
            auto fix = [](double x) { return static_cast<std::int32_t>(std::clamp(std::lround(x * 16), -2000000L, 2000000L)); };
            put(out, static_cast<std::int16_t>(std::clamp(fix(p.x), -32768, 32767)));
            put(out, static_cast<std::int16_t>(std::clamp(fix(p.y), -32768, 32767)));
            put(out, static_cast<std::uint8_t>(std::clamp(std::lround(p.visibility * 255), 0L, 255L)));
            put(out, static_cast<std::uint8_t>(std::clamp(std::lround(p.sigma * 8), 0L, 255L)));
        }
    }
    return out;
}

Result<Track> unpack_track(const std::string& bytes) {
    if (bytes.size() < sizeof magic || std::memcmp(bytes.data(), magic, sizeof magic) != 0) return fail(Code::unreadable, "track");
    const std::string rest = bytes.substr(sizeof magic);
    Reader r(rest);
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
        if (present == 0) {
            t.px.emplace_back();
            continue;
        }
        BodyPx b;
        for (auto& p : b) {
            std::int16_t x = 0, y = 0;
            std::uint8_t vis = 0, sigma = 0;
            if (!r.get(x) || !r.get(y) || !r.get(vis) || !r.get(sigma)) return fail(Code::unreadable, "track");
            p = {x / 16.0, y / 16.0, vis / 255.0, sigma / 8.0};
        }
        t.px.emplace_back(b);
    }
    return t;
}

} // namespace bevel
