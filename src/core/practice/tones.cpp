#include "core/practice/tones.h"
#include <algorithm>
#include <cmath>
#include <cstdio>

namespace bevel {
namespace {

struct Partial {
    double hertz, loud, decay_s;
};

Samples sounded(const std::vector<Partial>& partials, double length_s, double begin_s, double rate) {
    Samples out(static_cast<std::size_t>(std::lround(length_s * rate)));
    for (std::size_t i = 0; i < out.size(); ++i) {
        const double t = static_cast<double>(i) / rate;
        double v = 0;
        for (const auto& p : partials) v += p.loud * std::exp(-t / p.decay_s) * std::sin(2 * M_PI * p.hertz * t);
        const double left = length_s - t, soft = std::min({1.0, t / begin_s, left / 0.03});
        out[i] = static_cast<float>(v * soft);
    }
    return out;
}

/// Two sounds one after the other.
Samples after(Samples a, const Samples& b, double gap_s, double rate) {
    const auto at = static_cast<std::size_t>(std::lround(gap_s * rate));
    a.resize(std::max(a.size(), at + b.size()));
    for (std::size_t i = 0; i < b.size(); ++i) a[at + i] += b[i];
    return a;
}

/// A struck bowl: partials a little apart, so that it lives.
std::vector<Partial> bowl(double hertz, double loud, double decay_s) {
    return {{hertz, 0.62 * loud, decay_s},
            {hertz * 1.003, 0.12 * loud, decay_s},
            {hertz * 2.71, 0.18 * loud, decay_s * 0.5},
            {hertz * 5.2, 0.06 * loud, decay_s * 0.25}};
}

} // namespace

Samples tone_samples(Tone tone, double rate) {
    switch (tone) {
    case Tone::none:
        return {};
    case Tone::begin:
        return sounded(bowl(196, 0.9, 1.4), 4, 0.012, rate);
    case Tone::in:
        return sounded({{392, 0.30, 0.7}, {784, 0.05, 0.4}}, 1.4, 0.12, rate);
    case Tone::out:
        return sounded({{261.63, 0.34, 0.8}, {523.25, 0.05, 0.4}}, 1.6, 0.12, rate);
    case Tone::count:
        return sounded({{660, 0.22, 0.05}, {1320, 0.05, 0.03}}, 0.18, 0.004, rate);
    case Tone::halfway:
        return after(sounded(bowl(293.66, 0.5, 0.7), 1.6, 0.01, rate), sounded(bowl(369.99, 0.45, 0.8), 1.8, 0.01, rate), 0.28, rate);
    case Tone::last_ten:
        return sounded({{523.25, 0.26, 0.08}, {1046.5, 0.05, 0.04}}, 0.25, 0.005, rate);
    case Tone::side:
        return after(sounded(bowl(329.63, 0.45, 0.4), 0.9, 0.01, rate), sounded(bowl(246.94, 0.45, 0.6), 1.4, 0.01, rate), 0.22, rate);
    case Tone::end:
        return after(sounded(bowl(196, 0.8, 1.6), 5, 0.012, rate), sounded(bowl(147, 0.8, 2.0), 5, 0.012, rate), 0.9, rate);
    }
    return {};
}

SoundTrack::SoundTrack(const Timeline& timeline, double rate, const SpokenWords& spoken, double volume) : rate_(rate) {
    std::map<Tone, std::shared_ptr<const Samples>> tones;
    for (std::size_t i = 0; i < timeline.calls.size(); ++i) {
        const Call& c = timeline.calls[i];
        if (c.tone != Tone::none) {
            auto& t = tones[c.tone];
            if (!t) t = std::make_shared<const Samples>(tone_samples(c.tone, rate));
            placed_.push_back({sample_of(c.at_s), t, static_cast<float>(volume)});
        }
        if (const auto it = spoken.find(i); it != spoken.end() && it->second)
            placed_.push_back({sample_of(c.at_s + (c.tone == Tone::none ? 0 : word_after_tone_s)), it->second, static_cast<float>(volume)});
    }
    std::stable_sort(placed_.begin(), placed_.end(), [](const Placed& a, const Placed& b) { return a.at < b.at; });
    length_ = sample_of(timeline.length_s);
    for (const auto& p : placed_) {
        longest_ = std::max(longest_, static_cast<std::int64_t>(p.samples->size()));
        length_ = std::max(length_, p.at + static_cast<std::int64_t>(p.samples->size()));
    }
}

std::int64_t SoundTrack::sample_of(double at_s) const {
    return std::llround(at_s * rate_);
}

void SoundTrack::read(std::int64_t from, std::span<float> out) const {
    std::fill(out.begin(), out.end(), 0.0F);
    const auto n = static_cast<std::int64_t>(out.size());
    auto it = std::lower_bound(placed_.begin(), placed_.end(), from - longest_, [](const Placed& p, std::int64_t at) { return p.at < at; });
    for (; it != placed_.end() && it->at < from + n; ++it) {
        const auto& s = *it->samples;
        const std::int64_t a = std::max(from, it->at), b = std::min(from + n, it->at + static_cast<std::int64_t>(s.size()));
        for (std::int64_t k = a; k < b; ++k)
            out[static_cast<std::size_t>(k - from)] += it->volume * s[static_cast<std::size_t>(k - it->at)];
    }
    // Several at once stay below 1 without a click: a soft knee.
    for (float& v : out)
        if (std::abs(v) > 0.8F) v = std::copysign(0.8F + 0.2F * std::tanh((std::abs(v) - 0.8F) / 0.2F), v);
}

std::string captions_of(const Timeline& timeline, const std::function<std::string(const Call&)>& words) {
    const auto clock = [](double s) {
        const auto ms = std::llround(s * 1000);
        std::array<char, 32> b{};
        std::snprintf(b.data(), b.size(), "%02lld:%02lld:%02lld.%03lld", ms / 3600000, ms / 60000 % 60, ms / 1000 % 60, ms % 1000);
        return std::string(b.data());
    };
    std::string out = "WEBVTT\n";
    std::vector<std::pair<double, std::string>> lines;
    for (const auto& c : timeline.calls) {
        std::string w = words(c);
        std::erase(w, '\r');
        for (std::size_t at; (at = w.find("-->")) != std::string::npos;) w.erase(at, 1); // would end the line's head
        if (!w.empty()) lines.emplace_back(c.at_s, w);
    }
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const double next = i + 1 < lines.size() ? lines[i + 1].first : timeline.length_s + 3;
        const double to = std::min(lines[i].first + std::max(1.5, 0.07 * static_cast<double>(lines[i].second.size())),
                                   std::max(next, lines[i].first + 0.3));
        const std::string begin = clock(lines[i].first);
        for (const std::string_view part : {std::string_view("\n"), std::string_view(begin), std::string_view(" --> ")}) out.append(part);
        out.append(clock(to)).append("\n").append(lines[i].second).append("\n");
    }
    return out;
}

} // namespace bevel
