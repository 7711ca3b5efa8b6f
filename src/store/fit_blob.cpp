// Fit format 1: "bevfit01", numbers of moments, factors and cameras (uint32); offset, its sigma, height, its sigma, misfit (float64),
// rounds (uint32); a camera each: focal length, distortion, pitch, roll, cx, cy, place, yaw (float64); whether a factor is the person's
// (uint8); then a moment each: time (float64), and of every point: place (float32 x 3), own covariance (its upper triangle, float32 x 6),
// and on every third moment and the last how each factor moves it (float32 x 3): errors that all moments share change slowly. Little
// endian.
#include "store/fit_blob.h"
#include <cmath>
#include <cstring>
#include <type_traits>

namespace bevel {
namespace {

constexpr std::string_view fit_magic = "bevfit01";
constexpr std::uint32_t most_fit_moments = 100000, most_fit_factors = 64, most_fit_cameras = 8;

bool has_factors(std::size_t k, std::size_t moments) {
    return k % 3 == 0 || k + 1 == moments;
}

class FitWriter {
public:
    template <class T> void put(T v) { out.append(reinterpret_cast<const char*>(&v), sizeof v); }
    void put(const Vec3& v) {
        for (int a = 0; a < 3; ++a) put(static_cast<float>(v[a]));
    }
    std::string out;
};

class FitReader {
public:
    explicit FitReader(const std::string& b) : bytes_(b) {}
    template <class T> T get() {
        T v{};
        if (at_ + sizeof v > bytes_.size()) {
            ok = false;
            return v;
        }
        std::memcpy(&v, bytes_.data() + at_, sizeof v);
        at_ += sizeof v;
        if constexpr (std::is_floating_point_v<T>) ok = ok && std::isfinite(v) && std::abs(v) < T(1e9);
        return v;
    }
    Vec3 place() {
        const double x = static_cast<double>(get<float>()), y = static_cast<double>(get<float>()), z = static_cast<double>(get<float>());
        return {x, y, z};
    }
    std::size_t left() const { return bytes_.size() - at_; }
    bool ok = true;

private:
    const std::string& bytes_;
    std::size_t at_ = 0;
};

PlacedCamera read_camera(FitReader& in) {
    PlacedCamera c;
    for (double* v : {&c.camera.focal.value, &c.camera.distortion.value, &c.camera.pitch.value, &c.camera.roll.value, &c.camera.cx,
                      &c.camera.cy, &c.at.x(), &c.at.y(), &c.at.z(), &c.yaw})
        *v = in.get<double>();
    c.camera.height.value = c.at.y();
    c.camera.settle();
    return c;
}

/// Of moments without factors: between their neighbours.
void between_factors(FittedBody& b) {
    const auto n = b.time_s.size();
    for (std::size_t k = 0; k < n; ++k) {
        if (has_factors(k, n)) continue;
        const std::size_t before = k - k % 3, after = std::min(before + 3, n - 1);
        const double u = (b.time_s[k] - b.time_s[before]) / (b.time_s[after] - b.time_s[before]);
        for (auto& f : b.factors)
            for (std::size_t p = 0; p < point_count; ++p) f.moved[k][p] = f.moved[before][p] + u * (f.moved[after][p] - f.moved[before][p]);
    }
}

} // namespace

std::string pack_fit(const FittedBody& b) {
    FitWriter w;
    w.out = fit_magic;
    w.put(static_cast<std::uint32_t>(b.time_s.size())), w.put(static_cast<std::uint32_t>(b.factors.size()));
    w.put(static_cast<std::uint32_t>(b.cameras.size()));
    for (const double v : {b.offset_s, b.offset_sigma_s, b.stature_m, b.stature_sigma_m, b.misfit}) w.put(v);
    w.put(static_cast<std::uint32_t>(b.rounds));
    for (const auto& c : b.cameras)
        for (const double v : {c.camera.focal.value, c.camera.distortion.value, c.camera.pitch.value, c.camera.roll.value, c.camera.cx,
                               c.camera.cy, c.at.x(), c.at.y(), c.at.z(), c.yaw})
            w.put(v);
    for (const auto& f : b.factors) w.put(static_cast<std::uint8_t>(f.person));
    for (std::size_t k = 0; k < b.time_s.size(); ++k) {
        w.put(b.time_s[k]);
        for (std::size_t p = 0; p < point_count; ++p) {
            w.put(b.m[k][p]);
            for (Eigen::Index r = 0; r < 3; ++r)
                for (Eigen::Index c = r; c < 3; ++c) w.put(b.own[k][p](r, c));
            if (has_factors(k, b.time_s.size()))
                for (const auto& f : b.factors) w.put(f.moved[k][p]);
        }
    }
    return std::move(w.out);
}

Result<FittedBody> unpack_fit(const std::string& bytes) {
    const auto bad = [] { return fail(Code::unreadable, "fit"); };
    if (bytes.size() < fit_magic.size() || std::string_view(bytes).substr(0, fit_magic.size()) != fit_magic) return bad();
    FitReader in(bytes);
    for (std::size_t i = 0; i < fit_magic.size(); ++i) (void)in.get<char>();
    const auto moments = in.get<std::uint32_t>(), factors = in.get<std::uint32_t>(), cameras = in.get<std::uint32_t>();
    if (!in.ok || moments < 2 || moments > most_fit_moments || factors > most_fit_factors || cameras < 1 || cameras > most_fit_cameras)
        return bad();
    FittedBody b;
    for (double* v : {&b.offset_s, &b.offset_sigma_s, &b.stature_m, &b.stature_sigma_m, &b.misfit}) *v = in.get<double>();
    b.rounds = static_cast<int>(in.get<std::uint32_t>() & 0xffffU);
    for (std::uint32_t c = 0; c < cameras; ++c) b.cameras.push_back(read_camera(in));
    b.factors.resize(factors);
    for (auto& f : b.factors) f.person = in.get<std::uint8_t>() != 0;
    const std::size_t each = sizeof(double) + point_count * sizeof(float) * 9, of_factors = point_count * sizeof(float) * 3 * factors;
    const std::size_t with_factors = (moments + 2) / 3 + (has_factors(moments - 1, 0) ? 0 : 1);
    if (!in.ok || in.left() != each * moments + of_factors * with_factors) return bad();
    b.m.resize(moments), b.own.resize(moments);
    for (auto& f : b.factors) f.moved.resize(moments);
    for (std::size_t k = 0; k < moments; ++k) {
        b.time_s.push_back(in.get<double>());
        if (k > 0 && !(b.time_s[k] > b.time_s[k - 1])) return bad();
        for (std::size_t p = 0; p < point_count; ++p) {
            b.m[k][p] = in.place();
            auto& v = b.own[k][p];
            for (Eigen::Index r = 0; r < 3; ++r)
                for (Eigen::Index c = r; c < 3; ++c) v(r, c) = v(c, r) = in.get<float>();
            if (!(v(0, 0) >= 0 && v(1, 1) >= 0 && v(2, 2) >= 0)) return bad();
            if (has_factors(k, moments))
                for (auto& f : b.factors) f.moved[k][p] = in.place();
        }
    }
    if (!in.ok) return bad();
    between_factors(b);
    return b;
}

} // namespace bevel
