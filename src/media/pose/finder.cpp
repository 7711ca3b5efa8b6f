#include "media/pose/finder.h"
#include "core/folders.h"
#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <numbers>

namespace bevel {
namespace {

/// Network's landmark order -> our points.
constexpr std::array<int, point_count> landmark_of = {0, 2, 7,  11, 13, 15, 21, 19, 17, 23, 25, 27, 29, 31,
                                                      5, 8, 12, 14, 16, 22, 20, 18, 24, 26, 28, 30, 32};
constexpr int crop_size = 256, detect_size = 224, heat_size = 64, landmark_count = 39;

double sigmoid(double x) {
    return 1.0 / (1.0 + std::exp(-x));
}

/// Bilinear reading with pixel centres at +0.5 and replicated border.
struct Sampler {
    const sim::Image& im;
    void at(double x, double y, float* out) const { at(static_cast<float>(x), static_cast<float>(y), out); }
    void at(float x, float y, float* out) const {
        const float fx = std::clamp(x - 0.5F, 0.0F, static_cast<float>(im.width - 1));
        const float fy = std::clamp(y - 0.5F, 0.0F, static_cast<float>(im.height - 1));
        const int x0 = static_cast<int>(fx), y0 = static_cast<int>(fy);
        const float u = fx - static_cast<float>(x0), v = fy - static_cast<float>(y0);
        const std::uint8_t* a = im.rgb.data() + (static_cast<std::ptrdiff_t>(y0) * im.width + x0) * 3;
        const std::uint8_t* c = y0 + 1 < im.height ? a + static_cast<std::ptrdiff_t>(im.width) * 3 : a;
        const int right = x0 + 1 < im.width ? 3 : 0;
        const float p = (1 - u) * (1 - v), q = u * (1 - v), r = (1 - u) * v, s = u * v;
        for (int k = 0; k < 3; ++k) out[k] = p * a[k] + q * a[k + right] + r * c[k] + s * c[k + right];
    }
};

struct Anchor {
    double x, y;
};
const std::vector<Anchor>& anchors() {
    static const std::vector<Anchor> all = [] {
        std::vector<Anchor> a;
        const std::array<std::pair<int, int>, 3> layers{{{8, 2}, {16, 2}, {32, 6}}};
        for (const auto& [stride, per] : layers) {
            const int n = detect_size / stride;
            for (int y = 0; y < n; ++y)
                for (int x = 0; x < n; ++x)
                    for (int k = 0; k < per; ++k) a.push_back({(x + 0.5) / n, (y + 0.5) / n});
        }
        return a;
    }();
    return all;
}

struct Found {
    double score, x, y, w, h;  // box, share of the letterboxed square
    std::array<double, 4> key; // hip centre, circle point
};

double overlap(const Found& a, const Found& b) {
    const double w = std::min(a.x + a.w, b.x + b.w) - std::max(a.x, b.x), h = std::min(a.y + a.h, b.y + b.h) - std::max(a.y, b.y);
    if (w <= 0 || h <= 0) return 0;
    return w * h / (a.w * a.h + b.w * b.h - w * h);
}

/// Weighted non-maximum suppression.
std::vector<Found> suppress(std::vector<Found> all) {
    std::sort(all.begin(), all.end(), [](const Found& a, const Found& b) { return a.score > b.score; });
    std::vector<Found> out;
    while (!all.empty()) {
        const Found best = all.front();
        Found sum{best.score, 0, 0, 0, 0, {}};
        double weight = 0;
        std::vector<Found> rest;
        for (const auto& f : all) {
            if (overlap(best, f) <= 0.3) {
                rest.push_back(f);
                continue;
            }
            weight += f.score;
            sum.x += f.score * f.x;
            sum.y += f.score * f.y;
            sum.w += f.score * f.w;
            sum.h += f.score * f.h;
            for (std::size_t k = 0; k < 4; ++k) sum.key[k] += f.score * f.key[k];
        }
        if (weight <= 0 || rest.size() == all.size()) break;
        for (double* v : {&sum.x, &sum.y, &sum.w, &sum.h, &sum.key[0], &sum.key[1], &sum.key[2], &sum.key[3]}) *v /= weight;
        out.push_back(sum);
        all.swap(rest);
    }
    return out;
}

Region region_from(double cx, double cy, double px, double py) {
    // Rotated so that the line from the hip centre to the circle point stands upright; side 2 * distance * 1.25.
    const double dx = px - cx, dy = py - cy;
    return {cx, cy, 2.5 * std::hypot(dx, dy), std::numbers::pi / 2 - std::atan2(-dy, dx)};
}

} // namespace

std::optional<Model> model_from_name(std::string_view name) {
    if (name == "lite") return Model::lite;
    if (name == "full") return Model::full;
    if (name == "heavy") return Model::heavy;
    return std::nullopt;
}

std::string_view model_name(Model m) {
    return m == Model::lite ? "lite" : m == Model::full ? "full" : "heavy";
}

std::filesystem::path find_model_dir(const std::filesystem::path& program) {
    return shipped_folder(program, "models", "BEVEL_MODELS");
}

Result<BodyFinder> BodyFinder::load(const std::filesystem::path& dir, Model model) {
    auto detector = Network::load(dir / "pose_detector.tflite", {"Identity", "Identity_1"});
    if (!detector) return tl::unexpected(detector.error());
    auto landmark =
        Network::load(dir / ("pose_landmark_" + std::string(model_name(model)) + ".tflite"), {"Identity", "Identity_1", "Identity_3"});
    if (!landmark) return tl::unexpected(landmark.error());
    if (landmark->input().size() != crop_size * crop_size * 3 || detector->input().size() != detect_size * detect_size * 3 ||
        landmark->output("Identity").size() != landmark_count * 5 ||
        landmark->output("Identity_3").size() != heat_size * heat_size * landmark_count)
        return fail(Code::unreadable, "model shapes");
    return BodyFinder(std::move(*detector), std::move(*landmark));
}

std::vector<Region> BodyFinder::detect(const sim::Image& picture, double x0, double y0, double w, double h) {
    const double side = std::max(w, h), ox = x0 - (side - w) / 2, oy = y0 - (side - h) / 2;
    auto in = detector_.input();
    const Sampler s{picture};
    for (int y = 0; y < detect_size; ++y)
        for (int x = 0; x < detect_size; ++x) {
            float* o = in.data() + (static_cast<std::size_t>(y) * detect_size + x) * 3;
            const double px = ox + (x + 0.5) * side / detect_size, py = oy + (y + 0.5) * side / detect_size;
            if (px < x0 || py < y0 || px >= x0 + w || py >= y0 + h) {
                o[0] = o[1] = o[2] = 0;
                continue;
            }
            // Area reading by 2 x 2 points: the picture is much finer than the network's input.
            std::array<float, 3> sum{}, v{};
            for (const double dx : {-0.25, 0.25})
                for (const double dy : {-0.25, 0.25}) {
                    s.at(px + dx * side / detect_size, py + dy * side / detect_size, v.data());
                    for (std::size_t k = 0; k < 3; ++k) sum[k] += v[k];
                }
            for (std::size_t k = 0; k < 3; ++k) o[k] = sum[k] / 4.0F / 127.5F - 1.0F;
        }
    std::vector<Region> regions;
    if (!detector_.run()) return regions;
    const auto boxes = detector_.output("Identity"), scores = detector_.output("Identity_1");
    if (boxes.size() != anchors().size() * 12 || scores.size() != anchors().size()) return regions;
    std::vector<Found> all;
    for (std::size_t i = 0; i < anchors().size(); ++i) {
        const double score = sigmoid(std::clamp(static_cast<double>(scores[i]), -100.0, 100.0));
        if (score < 0.5) continue;
        const float* b = boxes.data() + i * 12;
        Found f{score, 0, 0, b[2] / double{detect_size}, b[3] / double{detect_size}, {}};
        f.x = b[0] / double{detect_size} + anchors()[i].x - f.w / 2;
        f.y = b[1] / double{detect_size} + anchors()[i].y - f.h / 2;
        for (std::size_t k = 0; k < 2; ++k) {
            f.key[2 * k] = b[4 + 2 * k] / double{detect_size} + anchors()[i].x;
            f.key[2 * k + 1] = b[5 + 2 * k] / double{detect_size} + anchors()[i].y;
        }
        all.push_back(f);
    }
    for (const auto& f : suppress(std::move(all)))
        regions.push_back(region_from(ox + f.key[0] * side, oy + f.key[1] * side, ox + f.key[2] * side, oy + f.key[3] * side));
    return regions;
}

std::vector<Region> BodyFinder::people(const sim::Image& picture) {
    // The detector likes the largest person best: the picture as a whole, then squares along its longer side, each seen by itself.
    auto regions = detect(picture, 0, 0, picture.width, picture.height);
    const double side = std::min(picture.width, picture.height), longer = std::max(picture.width, picture.height);
    const int parts = static_cast<int>(std::ceil((longer - side) / (0.4 * side)));
    for (int k = 0; k <= parts; ++k) {
        const double at = parts > 0 ? (longer - side) * k / parts : 0;
        for (const auto& r : picture.width >= picture.height ? detect(picture, at, 0, side, side) : detect(picture, 0, at, side, side)) {
            // Cut by the edge of the square it is seen badly; the next one shows it whole.
            const double x = picture.width >= picture.height ? r.cx - at : r.cx, y = picture.width >= picture.height ? r.cy : r.cy - at;
            if (parts > 0 && (x < 0.12 * side || x > 0.88 * side || y < 0.05 * side || y > 0.95 * side)) continue;
            const bool known = std::any_of(regions.begin(), regions.end(), [&](const Region& q) {
                return std::hypot(q.cx - r.cx, q.cy - r.cy) < 0.2 * std::max(q.side, r.side);
            });
            if (!known) regions.push_back(r);
        }
    }
    std::sort(regions.begin(), regions.end(), [](const Region& a, const Region& b) { return a.side > b.side; });
    if (!regions.empty()) std::erase_if(regions, [most = regions.front().side](const Region& r) { return r.side < most / 3; });
    return regions;
}

int BodyFinder::count_people(const sim::Image& picture) {
    const auto regions = people(picture);
    return static_cast<int>(
        std::count_if(regions.begin(), regions.end(), [&](const Region& r) { return r.side >= 0.5 * regions.front().side; }));
}

std::optional<Region> BodyFinder::find_person(const sim::Image& picture) {
    std::vector<Region> regions;
    if (hint_ && !last_) { // the part of the picture about the place pointed at: the detector likes the largest person best
        const double part = 0.8 * std::min(picture.width, picture.height);
        const double x = std::clamp(hint_->x() - part / 2, 0.0, picture.width - part),
                     y = std::clamp(hint_->y() - part / 2, 0.0, picture.height - part);
        regions = detect(picture, x, y, part, part);
    }
    if (regions.empty()) regions = detect(picture, 0, 0, picture.width, picture.height);
    if (regions.empty() && std::max(picture.width, picture.height) > 600) {
        // A small person in a large picture: look at overlapping parts.
        const double part = std::min(picture.width, picture.height) * 0.6;
        for (double y = 0; y + part * 0.5 < picture.height && regions.empty(); y += part * 0.6)
            for (double x = 0; x + part * 0.5 < picture.width; x += part * 0.6) {
                const double px = std::min(x, picture.width - part), py = std::min(y, picture.height - part);
                const auto more = detect(picture, px, py, part, part);
                regions.insert(regions.end(), more.begin(), more.end());
            }
    }
    if (regions.empty()) return std::nullopt;
    const Vec2 middle = last_ ? Vec2(last_->cx, last_->cy) : hint_ ? *hint_ : Vec2(picture.width / 2.0, picture.height / 2.0);
    auto rank = [&](const Region& r) {
        const double away = std::hypot(r.cx - middle.x(), r.cy - middle.y());
        return last_ || hint_ ? -away : r.side - away;
    };
    return *std::max_element(regions.begin(), regions.end(), [&](const Region& a, const Region& b) { return rank(a) < rank(b); });
}

std::optional<BodyPx> BodyFinder::landmarks(const sim::Image& picture, const Region& r, Region& next) {
    auto in = landmark_.input();
    const Sampler s{picture};
    const double c = std::cos(r.angle), n = std::sin(r.angle), k = r.side / crop_size;
    auto place = [&](double u, double v) {
        const double x = (u - crop_size / 2.0) * k, y = (v - crop_size / 2.0) * k;
        return Vec2(r.cx + c * x - n * y, r.cy + n * x + c * y);
    };
    const auto step_x = static_cast<float>(c * k), step_y = static_cast<float>(n * k);
    for (int y = 0; y < crop_size; ++y) {
        const Vec2 begin = place(0.5, y + 0.5);
        const auto row_x = static_cast<float>(begin.x()), row_y = static_cast<float>(begin.y());
        for (int x = 0; x < crop_size; ++x) {
            float* o = in.data() + (static_cast<std::size_t>(y) * crop_size + x) * 3;
            const auto along = static_cast<float>(x);
            s.at(row_x + along * step_x, row_y + along * step_y, o);
            for (int ch = 0; ch < 3; ++ch) o[ch] *= 1.0F / 255.0F;
        }
    }
    if (!landmark_.run() || landmark_.output("Identity_1")[0] < 0.5F) return std::nullopt;
    const auto raw = landmark_.output("Identity"), heat = landmark_.output("Identity_3");
    auto refined = [&](int i) {
        // Centre of mass of the heat map, 7 x 7 about the point, where it is sure of itself.
        const double x = raw[static_cast<std::size_t>(i) * 5], y = raw[static_cast<std::size_t>(i) * 5 + 1];
        const int hx = static_cast<int>(x / crop_size * heat_size), hy = static_cast<int>(y / crop_size * heat_size);
        if (hx < 0 || hy < 0 || hx >= heat_size || hy >= heat_size) return Vec2(x, y);
        double sum = 0, sx = 0, sy = 0, most = 0;
        for (int v = std::max(0, hy - 3); v <= std::min(heat_size - 1, hy + 3); ++v)
            for (int u = std::max(0, hx - 3); u <= std::min(heat_size - 1, hx + 3); ++u) {
                const double p = sigmoid(heat[(static_cast<std::size_t>(v) * heat_size + u) * landmark_count + i]);
                sum += p;
                most = std::max(most, p);
                sx += p * u;
                sy += p * v;
            }
        if (most < 0.5 || sum <= 0) return Vec2(x, y);
        return Vec2(sx / sum / heat_size * crop_size, sy / sum / heat_size * crop_size);
    };
    BodyPx body;
    for (std::size_t p = 0; p < body.size(); ++p) {
        const int i = landmark_of[p];
        const Vec2 at = refined(i);
        const Vec2 px = place(at.x(), at.y());
        const double seen = std::min(sigmoid(raw[static_cast<std::size_t>(i) * 5 + 3]), sigmoid(raw[static_cast<std::size_t>(i) * 5 + 4]));
        body[p] = {px.x(), px.y(), seen, r.side * 0.0035 * (1 + 3 * (1 - seen))};
    }
    const Vec2 a = refined(33), b = refined(34);
    const Vec2 pa = place(a.x(), a.y()), pb = place(b.x(), b.y());
    next = region_from(pa.x(), pa.y(), pb.x(), pb.y());
    return body;
}

std::optional<BodyPx> BodyFinder::next(const sim::Image& picture) {
    for (int attempt = 0; attempt < 2; ++attempt) {
        const bool tracking = region_.has_value();
        if (!region_) {
            if (misses_ > 0 && misses_ % 4 != 0) { // looking for a lost person on every frame is slow
                ++misses_;
                return std::nullopt;
            }
            region_ = find_person(picture);
        }
        if (!region_) {
            ++misses_;
            return std::nullopt;
        }
        Region next;
        auto body = landmarks(picture, *region_, next);
        if (body && !tracking) { // the detector's region is rough: look once more through the body's own
            if (auto again = landmarks(picture, next, next)) body = again;
            region_ = next;
        }
        if (body) {
            misses_ = 0;
            // The region itself makes points jitter: it stays until the body has moved by a few per cent.
            const double moved = std::hypot(next.cx - region_->cx, next.cy - region_->cy) / region_->side;
            const double grown = std::abs(next.side / region_->side - 1), turned = std::abs(next.angle - region_->angle);
            if (moved > 0.03 || grown > 0.06 || turned > 0.08) region_ = next;
            last_ = region_;
            return body;
        }
        region_.reset();
        if (!tracking) break;
    }
    ++misses_;
    return std::nullopt;
}

} // namespace bevel
