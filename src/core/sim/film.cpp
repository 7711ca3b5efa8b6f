#include "core/sim/film.h"
#include "core/sim/figure.h"
#include <algorithm>
#include <cmath>
#include <numbers>
#include <thread>

namespace bevel::sim {
namespace {

using Col = Eigen::Vector3f;
constexpr int scale = 2;   // supersampling of the figure
constexpr int margin = 24; // room for shake around the picture

/// The next whole number at or above, at or below.
int up(float v) {
    const int i = static_cast<int>(v);
    return i + (static_cast<float>(i) < v ? 1 : 0);
}
int down(float v) {
    const int i = static_cast<int>(v);
    return i - (static_cast<float>(i) > v ? 1 : 0);
}

double hash(int a, int b) {
    auto h = static_cast<std::uint32_t>(a) * 374761393U + static_cast<std::uint32_t>(b) * 668265263U;
    h = (h ^ (h >> 13U)) * 1274126177U;
    return ((h ^ (h >> 16U)) & 0xFFFFU) / 65535.0;
}

/// Edge that is soft over `w` to stay free of stair steps.
double band(double x, double lo, double hi, double w) {
    return std::clamp((x - lo) / w + 0.5, 0.0, 1.0) * std::clamp((hi - x) / w + 0.5, 0.0, 1.0);
}

Col mix(const Col& a, const Col& b, double u) {
    return a + static_cast<float>(u) * (b - a);
}

Col floor_colour(double x, double z, double w) {
    const int plank = static_cast<int>(std::floor(x / 0.16));
    const double in = x - plank * 0.16;
    const double tone = 0.94 + 0.12 * hash(plank, static_cast<int>(std::floor((z + hash(plank, 7) * 2) / 2.0)));
    const double gap = 1 - 0.22 * (1 - band(in, 0.004, 0.156, std::max(w, 0.004))) * std::min(1.0, 0.02 / std::max(w, 0.004));
    return Col(0.66F, 0.53F, 0.40F) * static_cast<float>(tone * gap);
}

Col wall_colour(double along, double y, double w) {
    const double post = 1.5;
    const double in = along - post * std::floor(along / post);
    Col c = mix(Col(0.80F, 0.77F, 0.70F), Col(0.88F, 0.85F, 0.79F), std::clamp(y / 2.6, 0.0, 1.0));
    c = mix(c, Col(0.93F, 0.94F, 0.93F), 0.7 * band(in, 0.35, 1.27, w) * band(y, 0.95, 2.15, w));
    c = mix(c, Col(0.46F, 0.35F, 0.27F), band(in, 0.0, 0.12, w));
    c = mix(c, Col(0.46F, 0.35F, 0.27F), band(in, 0.79, 0.83, w) * band(y, 0.95, 2.15, w));
    return mix(c, Col(0.42F, 0.33F, 0.26F), band(y, -0.1, 0.13, w));
}

} // namespace

std::string PhoneOptions::validate() const {
    if (width < 160 || width > 4096 || height < 160 || height > 4096) return "size";
    if (width % 2 != 0 || height % 2 != 0) return "size";
    if (!(fps >= 5 && fps <= 240)) return "fps";
    if (!(distance_m > 1 && distance_m < 20)) return "distance";
    if (!(focal > 0.3 && focal < 4)) return "focal";
    if (view == View::three_d) return "view";
    return {};
}

Vec2 Camera::project(const Vec3& p) const {
    const Vec3 c = r * (p - at);
    const Vec2 q(focal * c.x() / c.z(), focal * c.y() / c.z());
    const double bend = 1 + distortion * q.squaredNorm() / (cx * cx + cy * cy);
    return {cx + bend * q.x(), cy + bend * q.y()};
}

Camera Camera::of(const PhoneOptions& o) {
    double azimuth = 0; // from the student's front towards own left
    switch (o.view) {
    case View::left:
        azimuth = 90;
        break;
    case View::right:
        azimuth = -90;
        break;
    case View::back:
        azimuth = 180;
        break;
    case View::oblique:
        azimuth = 40;
        break;
    default:
        break;
    }
    azimuth += o.turn_deg;
    Camera c;
    c.distortion = o.distortion;
    const Vec3 out(std::sin(azimuth * deg), 0, std::cos(azimuth * deg));
    const Vec3 to_right = Vec3(0, 1, 0).cross(out); // of the picture, on the floor
    c.at = out * o.distance_m + Vec3(0, o.height_m, 0.15 * std::abs(out.x())) - o.beside_m * to_right;
    const Vec3 ahead = (-out * std::cos(o.tilt_deg * deg) - Vec3(0, std::sin(o.tilt_deg * deg), 0)).normalized();
    Vec3 right = ahead.cross(Vec3(0, 1, 0)).normalized();
    Vec3 down = ahead.cross(right);
    const double roll = o.roll_deg * deg;
    const Vec3 right2 = std::cos(roll) * right + std::sin(roll) * down;
    down = std::cos(roll) * down - std::sin(roll) * right;
    c.r.row(0) = right2;
    c.r.row(1) = down;
    c.r.row(2) = ahead;
    c.focal = o.focal * std::max(o.width, o.height);
    c.cx = o.width / 2.0;
    c.cy = o.height / 2.0;
    return c;
}

Vec2 shake_at(const std::array<double, 8>& phases, double amplitude_px, double t) {
    auto wave = [&](std::size_t k) {
        double v = 0;
        for (const double hz : {0.4, 1.1, 2.3, 3.7}) v += std::sin(2 * std::numbers::pi * hz * t + phases[k++]) / (1 + hz);
        return v;
    };
    return amplitude_px * Vec2(wave(0), wave(4));
}

struct Film::Impl {
    std::shared_ptr<const Figure> figure;
    PhoneOptions phone;
    Camera camera;
    int bw, bh; // background with margin
    std::vector<Col> background;
    std::vector<std::uint8_t> quiet;       // the same as bytes, without the margin; empty where noise or shake is wanted
    std::vector<Eigen::Vector2f> floor_at; // floor place of each background pixel; NaN off the floor
    std::array<double, 8> shake_phase{};

    Impl(std::shared_ptr<const Figure> who, const PhoneOptions& p)
        : figure(std::move(who)), phone(p), camera(Camera::of(p)), bw(p.width + 2 * margin), bh(p.height + 2 * margin) {
        Rng rng(p.seed * 977 + 3);
        for (double& s : shake_phase) s = rng.uniform(0, 2 * std::numbers::pi);
        draw_room();
        keep_quiet();
    }

    void draw_room() {
        background.resize(static_cast<std::size_t>(bw) * bh);
        floor_at.assign(background.size(), Eigen::Vector2f(NAN, NAN));
        const double half = 4.9;
        for (int y = 0; y < bh; ++y)
            for (int x = 0; x < bw; ++x) {
                const Vec3 ray = camera.r.transpose() *
                                 Vec3((x - margin + 0.5 - camera.cx) / camera.focal, (y - margin + 0.5 - camera.cy) / camera.focal, 1);
                double best = 1e9;
                int hit = 3;
                auto plane = [&](double at, double o, double d, int which) {
                    const double k = (at - o) / d;
                    if (k > 1e-6 && k < best) {
                        best = k;
                        hit = which;
                    }
                };
                plane(ray.x() > 0 ? half : -half, camera.at.x(), ray.x(), 0);
                plane(ray.z() > 0 ? half : -half, camera.at.z(), ray.z(), 1);
                plane(0, camera.at.y(), ray.y(), 2);
                plane(3.1, camera.at.y(), ray.y(), 4);
                const Vec3 p = camera.at + best * ray;
                const double w = best / camera.focal * 1.3;
                Col c(0.9F, 0.89F, 0.86F);
                if (hit <= 1 && phone.bare) c = Col(0.84F, 0.82F, 0.77F) * static_cast<float>(0.97 + 0.03 * p.y() / 3);
                if (hit == 0 && !phone.bare) c = wall_colour(p.z() + 20.4, p.y(), w);
                if (hit == 1 && !phone.bare) c = wall_colour(p.x() + 20.7, p.y(), w) * 0.97F;
                if (hit == 2) {
                    c = floor_colour(p.x(), p.z(), w);
                    floor_at[static_cast<std::size_t>(y) * bw + x] = Eigen::Vector2f(static_cast<float>(p.x()), static_cast<float>(p.z()));
                }
                if (phone.paper) { // no corner anywhere: the floor fades into what is behind
                    const double away = hit == 2 ? std::clamp((std::hypot(p.x(), p.z()) - 1.0) / 3.2, 0.0, 1.0) : 1.0;
                    c = mix(Col(0.925F, 0.900F, 0.850F), Col(0.955F, 0.935F, 0.895F), away * away * (3 - 2 * away));
                }
                background[static_cast<std::size_t>(y) * bw + x] = c;
            }
    }

    Vec2 shake(double t) const { return shake_at(shake_phase, phone.shake_px, t); }

    /// Darkness of the floor under the figure: the mesh dropped along the light on a 2 cm grid, blurred.
    struct Shadow {
        static constexpr int n = 160;
        static constexpr double cell = 0.02;
        double x0, z0;
        std::vector<float> dark = std::vector<float>(n * n, 0.0F);
        float at(float x, float z) const {
            const double u = (x - x0) / cell, v = (z - z0) / cell;
            if (u < 0 || v < 0 || u >= n - 1 || v >= n - 1) return 0;
            const int i = static_cast<int>(u), j = static_cast<int>(v);
            const auto a = static_cast<float>(u - i), b = static_cast<float>(v - j);
            auto d = [&](int p, int q) { return dark[static_cast<std::size_t>(q) * n + p]; };
            return (d(i, j) * (1 - a) + d(i + 1, j) * a) * (1 - b) + (d(i, j + 1) * (1 - a) + d(i + 1, j + 1) * a) * b;
        }
    };

    static Shadow cast_shadow(const std::vector<Eigen::Vector3f>& at) {
        Shadow s;
        Eigen::Vector3f mid = Eigen::Vector3f::Zero();
        for (const auto& p : at) mid += p;
        mid /= static_cast<float>(at.size());
        s.x0 = mid.x() - Shadow::n * Shadow::cell / 2;
        s.z0 = mid.z() - Shadow::n * Shadow::cell / 2;
        for (const auto& p : at) {
            const int i = static_cast<int>((p.x() - 0.35F * p.y() - s.x0) / Shadow::cell),
                      j = static_cast<int>((p.z() - 0.25F * p.y() - s.z0) / Shadow::cell);
            if (i < 0 || j < 0 || i >= Shadow::n || j >= Shadow::n) continue;
            auto& d = s.dark[static_cast<std::size_t>(j) * Shadow::n + i];
            d = std::max(d, 1.0F / (1.0F + 1.2F * p.y()));
        }
        std::vector<float> tmp(s.dark.size());
        for (int pass = 0; pass < 4; ++pass) {
            const int step = pass % 2 == 0 ? 1 : Shadow::n;
            for (int i = 0; i < Shadow::n * Shadow::n; ++i) {
                float sum = 0;
                for (int k = -2; k <= 2; ++k) {
                    const int q = i + k * step;
                    if (q >= 0 && q < Shadow::n * Shadow::n) sum += s.dark[static_cast<std::size_t>(q)];
                }
                tmp[static_cast<std::size_t>(i)] = sum / 5;
            }
            s.dark.swap(tmp);
        }
        return s;
    }

    struct Layer {
        int x0 = 0, y0 = 0, w = 0, h = 0; // in supersampled pixels
        std::vector<float> depth;
        std::vector<Col> colour;
        struct Hit {
            std::uint32_t triangle = 0;
            float u = 0, v = 0;
        };
        std::vector<Hit> hit; // what is nearest there
    };

    Col shade(const Col& base, const Eigen::Vector3f& normal, const Eigen::Vector3f& to_eye) const {
        static const Eigen::Vector3f light = Eigen::Vector3f(0.35F, 0.85F, 0.25F).normalized();
        const float key = std::max(0.0F, normal.dot(light)), fill = std::max(0.0F, normal.dot(to_eye));
        const float sky = 0.5F + 0.5F * normal.y();
        return base * (0.30F + 0.42F * key + 0.22F * fill + 0.14F * sky);
    }

    /// What is nearest at each place of the rows, then its colour, so that what is hidden is never coloured.
    void rasterise(Layer& layer, const std::vector<Eigen::Vector3f>& screen, const std::vector<Eigen::Vector3f>& normal, int from, int to,
                   const Eigen::Vector3f& to_eye) const {
        const auto& mesh = figure->mesh();
        for (std::uint32_t which = 0; which < mesh.triangles.size(); ++which) {
            const auto& t = mesh.triangles[which];
            const auto &a = screen[t[0]], &b = screen[t[1]], &c = screen[t[2]];
            const int ylo = std::max(from, up(std::min({a.y(), b.y(), c.y()}) - 0.5F));
            const int yhi = std::min(to - 1, down(std::max({a.y(), b.y(), c.y()}) - 0.5F));
            if (ylo > yhi) continue;
            const float area = (b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x());
            if (std::abs(area) < 1e-9F || (area > 0 && is_closed(mesh.vertices[t[0]].stuff))) continue;
            const float way = area < 0 ? -1.0F : 1.0F;
            const int xlo = std::max(layer.x0, up(std::min({a.x(), b.x(), c.x()}) - 0.5F));
            const int xhi = std::min(layer.x0 + layer.w - 1, down(std::max({a.x(), b.x(), c.x()}) - 0.5F));
            for (int y = ylo; y <= yhi; ++y)
                for (int x = xlo; x <= xhi; ++x) {
                    const float px = static_cast<float>(x) + 0.5F, py = static_cast<float>(y) + 0.5F;
                    const float pu = (b.x() - px) * (c.y() - py) - (b.y() - py) * (c.x() - px);
                    const float pv = (c.x() - px) * (a.y() - py) - (c.y() - py) * (a.x() - px);
                    if (pu * way < 0 || pv * way < 0) continue; // most are outside: told before anything is divided
                    const float u = pu / area, v = pv / area, w = 1 - u - v;
                    if (w < 0) continue;
                    const float z = u * a.z() + v * b.z() + w * c.z();
                    const auto i = static_cast<std::size_t>(y - layer.y0) * layer.w + (x - layer.x0);
                    if (z >= layer.depth[i]) continue;
                    layer.depth[i] = z;
                    layer.hit[i] = {which, u, v};
                }
        }
        const auto last = static_cast<std::size_t>(to - layer.y0) * layer.w;
        for (auto i = static_cast<std::size_t>(from - layer.y0) * layer.w; i < last; ++i) {
            if (layer.depth[i] > 1e8F) continue;
            const auto& [which, u, v] = layer.hit[i];
            const auto& t = mesh.triangles[which];
            const float w = 1 - u - v;
            const Eigen::Vector3f rest = u * mesh.vertices[t[0]].rest + v * mesh.vertices[t[1]].rest + w * mesh.vertices[t[2]].rest;
            const Eigen::Vector3f n = (u * normal[t[0]] + v * normal[t[1]] + w * normal[t[2]]).normalized();
            const auto& paint = figure->paint();
            const Col plain =
                paint.empty() ? figure->colour(rest, mesh.vertices[t[0]].stuff) : Col(u * paint[t[0]] + v * paint[t[1]] + w * paint[t[2]]);
            layer.colour[i] = shade(plain, n, to_eye);
        }
    }

    /// A round stick as balls side by side along it, light along its top.
    void draw_rod(Layer& layer, const Rod& rod, const Vec2& move) const {
        const Vec3 wood(0.62, 0.45, 0.26);
        const double radius = rod.radius;
        const int balls = static_cast<int>((rod.to - rod.from).norm() / (0.4 * radius)) + 1;
        for (int k = 0; k <= balls; ++k) {
            const Vec3 at = rod.from + (rod.to - rod.from) * (static_cast<double>(k) / balls);
            const double depth = (camera.r * (at - camera.at)).z();
            if (depth < 0.1) continue;
            const Vec2 p = (camera.project(at) + move) * scale;
            const double r = camera.focal * radius / depth * scale;
            for (int y = static_cast<int>(std::floor(p.y() - r)); y <= static_cast<int>(std::ceil(p.y() + r)); ++y)
                for (int x = static_cast<int>(std::floor(p.x() - r)); x <= static_cast<int>(std::ceil(p.x() + r)); ++x) {
                    const double dx = (x + 0.5 - p.x()) / r, dy = (y + 0.5 - p.y()) / r, out = dx * dx + dy * dy;
                    if (out > 1 || x < layer.x0 || y < layer.y0 || x >= layer.x0 + layer.w || y >= layer.y0 + layer.h) continue;
                    const auto z = static_cast<float>(depth - radius * std::sqrt(1 - out));
                    const auto i = static_cast<std::size_t>(y - layer.y0) * layer.w + (x - layer.x0);
                    if (z >= layer.depth[i]) continue;
                    layer.depth[i] = z;
                    layer.colour[i] = (wood * (0.75 - 0.35 * dy)).cast<float>();
                }
        }
    }

    Image shoot(const Pose& pose, double t) const {
        std::vector<Eigen::Vector3f> at, normal;
        figure->skin(pose, at, normal);
        const Vec2 move = shake(t);
        std::vector<Eigen::Vector3f> screen(at.size());
        float x0 = 1e9F, y0 = 1e9F, x1 = -1e9F, y1 = -1e9F;
        for (std::size_t i = 0; i < at.size(); ++i) {
            const Vec3 c = camera.r * (at[i].cast<double>() - camera.at);
            const Vec2 p = camera.project(at[i].cast<double>()) + move;
            screen[i] = Eigen::Vector3f(static_cast<float>(p.x() * scale), static_cast<float>(p.y() * scale), static_cast<float>(c.z()));
            x0 = std::min(x0, screen[i].x());
            x1 = std::max(x1, screen[i].x());
            y0 = std::min(y0, screen[i].y());
            y1 = std::max(y1, screen[i].y());
        }
        std::vector<Rod> rods = pose.chair;
        if (pose.tool) rods.push_back({pose.tool->second, pose.tool->first, 0.013});
        for (const Rod& rod : rods)
            for (const Vec3& end : {rod.from, rod.to}) {
                const Vec2 p = (camera.project(end) + move) * scale;
                const auto x = static_cast<float>(p.x()), y = static_cast<float>(p.y()), room = static_cast<float>(12 * scale);
                x0 = std::min(x0, x - room), x1 = std::max(x1, x + room), y0 = std::min(y0, y - room), y1 = std::max(y1, y + room);
            }
        Layer layer;
        auto even = [](float v) { return static_cast<int>(std::floor(v / scale)) * scale; };
        layer.x0 = std::clamp(even(x0), 0, phone.width * scale);
        layer.y0 = std::clamp(even(y0), 0, phone.height * scale);
        layer.w = std::max(0, std::min(even(x1) + scale, phone.width * scale) - layer.x0);
        layer.h = std::max(0, std::min(even(y1) + scale, phone.height * scale) - layer.y0);
        layer.depth.assign(static_cast<std::size_t>(layer.w) * layer.h, 1e9F);
        layer.colour.resize(layer.depth.size());
        layer.hit.resize(layer.depth.size());
        const Eigen::Vector3f eye = (camera.at - pose.bones[bone_chest].o).normalized().cast<float>();
        const int half = layer.y0 + (layer.h / 2 / scale) * scale;
        Image out;
        out.width = phone.width;
        out.height = phone.height;
        out.rgb.resize(static_cast<std::size_t>(out.width) * out.height * 3);
        const Shadow shadow = cast_shadow(at);
        {
            std::jthread top([&] { rasterise(layer, screen, normal, layer.y0, half, eye); });
            rasterise(layer, screen, normal, half, layer.y0 + layer.h, eye);
        }
        for (const Rod& rod : rods) draw_rod(layer, rod, move);
        auto seed = static_cast<std::uint32_t>(std::llround(t * 1000) * 2654435761LL + static_cast<long long>(phone.seed));
        std::jthread upper([&] { compose(out, layer, shadow, move, 0, out.height / 2, seed); });
        compose(out, layer, shadow, move, out.height / 2, out.height, seed + 77U);
        upper.join();
        return out;
    }

    void compose(Image& out, const Layer& layer, const Shadow& shadow, const Vec2& move, int from, int to, std::uint32_t noise) const {
        const double ox = margin - std::clamp(move.x(), -22.0, 22.0), oy = margin - std::clamp(move.y(), -22.0, 22.0);
        const int ix = static_cast<int>(std::floor(ox)), iy = static_cast<int>(std::floor(oy));
        const auto fx = static_cast<float>(ox - ix), fy = static_cast<float>(oy - iy);
        const bool still = !quiet.empty();
        // Where the figure is.
        const int first = layer.x0 / scale, last = (layer.x0 + layer.w) / scale, top = layer.y0 / scale,
                  bottom = (layer.y0 + layer.h) / scale;
        for (int y = from; y < to; ++y) {
            const auto row = static_cast<std::size_t>(y) * out.width * 3;
            if (still)
                std::copy_n(quiet.begin() + static_cast<std::ptrdiff_t>(row), out.width * 3,
                            out.rgb.begin() + static_cast<std::ptrdiff_t>(row));
            for (int x = 0; x < out.width; ++x) {
                const auto i = static_cast<std::size_t>(y + iy) * bw + (x + ix);
                const auto& fl = floor_at[i];
                const float dark = fl.x() == fl.x() ? 0.55F * shadow.at(fl.x(), fl.y()) : 0;
                if (still && dark == 0 && (x < first || x >= last || y < top || y >= bottom)) continue;
                Col c = fx == 0 && fy == 0 ? background[i]
                                           : Col((background[i] * (1 - fx) + background[i + 1] * fx) * (1 - fy) +
                                                 (background[i + bw] * (1 - fx) + background[i + bw + 1] * fx) * fy);
                if (dark > 0) c *= 1 - dark;
                const int sx = x * scale - layer.x0, sy = y * scale - layer.y0;
                if (sx >= 0 && sy >= 0 && sx < layer.w && sy < layer.h) {
                    Col sum = Col::Zero();
                    int hits = 0;
                    for (int v = 0; v < scale; ++v)
                        for (int u = 0; u < scale; ++u) {
                            const auto k = static_cast<std::size_t>(sy + v) * layer.w + (sx + u);
                            if (layer.depth[k] > 1e8F) continue;
                            sum += layer.colour[k];
                            ++hits;
                        }
                    const float cover = static_cast<float>(hits) / (scale * scale);
                    if (hits > 0) c = c * (1 - cover) + sum / static_cast<float>(scale * scale);
                }
                noise = noise * 1664525U + 1013904223U;
                const float n = (static_cast<float>(noise >> 16U) / 65536.0F - 0.5F) * 2.0F * static_cast<float>(phone.noise);
                const auto k = (static_cast<std::size_t>(y) * out.width + x) * 3;
                for (std::size_t ch = 0; ch < 3; ++ch)
                    out.rgb[k + ch] = static_cast<std::uint8_t>(
                        std::clamp(c[static_cast<Eigen::Index>(ch)] * 255.0F * static_cast<float>(phone.exposure) + n, 0.0F, 255.0F));
            }
        }
    }

    /// What is behind the figure, ready to be copied, where a picture has neither noise nor shake.
    void keep_quiet() {
        if (phone.noise != 0 || phone.shake_px != 0) return;
        std::vector<std::uint8_t> rows;
        for (int y = 0; y < phone.height; ++y)
            for (int x = 0; x < phone.width; ++x) {
                const Col& c = background[static_cast<std::size_t>(y + margin) * bw + (x + margin)];
                for (Eigen::Index ch = 0; ch < 3; ++ch)
                    rows.push_back(
                        static_cast<std::uint8_t>(std::clamp(c[ch] * 255.0F * static_cast<float>(phone.exposure), 0.0F, 255.0F)));
            }
        quiet = std::move(rows);
    }
};

std::shared_ptr<const Figure> dressed(const Solver& solver, const Looks& looks) {
    return std::make_shared<const Figure>(solver, looks);
}

Film::Film(const Solver& solver, const Looks& looks, const PhoneOptions& phone) : Film(dressed(solver, looks), phone) {}
Film::Film(std::shared_ptr<const Figure> figure, const PhoneOptions& phone) : impl_(std::make_unique<Impl>(std::move(figure), phone)) {}
Film::~Film() = default;
Image Film::shoot(const Pose& pose, double t) const {
    return impl_->shoot(pose, t);
}
Vec2 Film::shake(double t) const {
    return impl_->shake(t);
}
const Camera& Film::camera() const {
    return impl_->camera;
}

} // namespace bevel::sim
