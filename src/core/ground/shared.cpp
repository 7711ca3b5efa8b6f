// Errors that all frames of a clip share.
#include "core/ground/grounding.h"
#include <algorithm>

namespace bevel::grounding {

void finish_shared(Motion& m) {
    const bool quiet = m.neutral.source == NeutralSource::quiet_second;
    std::size_t neutral_at = 0;
    for (std::size_t g = 0; g < m.grid.size(); ++g)
        if (m.time_s[m.grid[g]] <= 0.5 * (m.neutral.from_s + m.neutral.to_s)) neutral_at = g;
    auto turned = [](const Vec3& v, double facing) {
        const double c = std::cos(facing), s = std::sin(facing);
        return Vec3(v.x() * c - v.z() * s, v.y(), v.x() * s + v.z() * c);
    };
    for (auto& e : m.shared) {
        e.shoulder_width = m.neutral.shoulder_width;
        if (m.neutral.width_from == From::proportions) e.shoulder_width *= e.stature / m.stature;
        e.neutral = m.neutral.body;
        // Where the body stands over the feet changes with the posture: the quiet stand is not off alike.
        if (quiet && !e.moved.empty() && e.what != "depth") {
            for (std::size_t k = 0; k < point_count; ++k) e.neutral[k] += turned(e.moved[neutral_at][k], m.facing[m.grid[neutral_at]]);
            if (m.neutral.width_from == From::quiet_stand) e.shoulder_width = (e.neutral[left_shoulder] - e.neutral[right_shoulder]).norm();
        }
        for (std::size_t g = 0; g < e.moved.size(); ++g) {
            const auto i = m.grid[g];
            const Body3 base = m.own(i);
            for (std::size_t k = 0; k < point_count; ++k) e.moved[g][k] = base[k] + turned(e.moved[g][k], m.facing[i]);
        }
    }
    if (m.grid.empty()) // points in metres
        for (double s = m.time_s.front(); s <= m.time_s.back(); s += grid_step) {
            const auto i = static_cast<std::size_t>(std::lower_bound(m.time_s.begin(), m.time_s.end(), s) - m.time_s.begin());
            if (i < m.frames() && m.valid[i] && (m.grid.empty() || i > m.grid.back())) m.grid.push_back(i);
        }
    auto plain = [&](const char* what, bool person) {
        SharedError e;
        e.what = what;
        e.person = person;
        e.neutral = m.neutral.body;
        e.stature = m.stature;
        e.shoulder_width = m.neutral.shoulder_width;
        return e;
    };
    SharedError facing = plain("facing", false);
    for (const auto i : m.grid) {
        Body3 b = m.own(i);
        for (auto& p : b) p = turned(p, m.facing_sigma);
        facing.moved.push_back(b);
    }
    for (auto& p : facing.neutral) p = turned(p, m.facing_sigma);
    m.shared.push_back(std::move(facing));
    SharedError width = plain("width", true);
    width.shoulder_width += m.neutral.shoulder_width_sigma;
    m.shared.push_back(std::move(width));
    if (!m.from_pictures()) {
        SharedError floor = plain("floor", false), stature = plain("scale", true);
        for (const auto i : m.grid) {
            Body3 b = m.own(i);
            for (auto& p : b) p.y() += m.floor_y_sigma;
            floor.moved.push_back(b);
        }
        for (auto& p : floor.neutral) p.y() += m.floor_y_sigma;
        stature.stature += m.stature_sigma;
        m.shared.push_back(std::move(floor));
        m.shared.push_back(std::move(stature));
        for (const bool side : {true, false}) { // vertical
            SharedError tilt = plain(side ? "roll" : "pitch", false);
            const double a = m.vertical_sigma;
            auto lean = [&](Vec3 p) { return side ? Vec3(p.x() + a * p.y(), p.y(), p.z()) : Vec3(p.x(), p.y(), p.z() + a * p.y()); };
            for (const auto i : m.grid) {
                Body3 b = m.own(i);
                for (auto& p : b) p = lean(p);
                tilt.moved.push_back(b);
            }
            for (auto& p : tilt.neutral) p = lean(p);
            m.shared.push_back(std::move(tilt));
        }
    }
}

} // namespace bevel::grounding
