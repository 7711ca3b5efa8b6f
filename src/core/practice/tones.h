// The sound of a practice: soft tones made here, each beginning at its own sample; spoken words beside them.
#pragma once
#include "core/practice/pacer.h"
#include <functional>
#include <memory>
#include <span>

namespace bevel {

using Samples = std::vector<float>; // one channel, -1 to 1

/// The sound of a tone at a rate (samples a second): partials that decay, with a soft beginning; never beyond 1.
Samples tone_samples(Tone tone, double rate);

/// Words that are spoken, ready made: by the index of their call in the timeline.
using SpokenWords = std::map<std::size_t, std::shared_ptr<const Samples>>;

/// Everything that sounds, as one stream. Immutable: any thread may read from it.
class SoundTrack {
public:
    SoundTrack(const Timeline& timeline, double rate, const SpokenWords& spoken = {}, double volume = 0.5);
    std::int64_t length() const { return length_; } // samples
    double rate() const { return rate_; }
    /// Sample at which a call begins: its moment, rounded to the nearest.
    std::int64_t sample_of(double at_s) const;
    /// Fills `out` with what sounds from sample `from` on; silence beyond the ends.
    void read(std::int64_t from, std::span<float> out) const;

private:
    struct Placed {
        std::int64_t at;
        std::shared_ptr<const Samples> samples;
        float volume;
    };
    double rate_;
    std::int64_t length_ = 0, longest_ = 0;
    std::vector<Placed> placed_; // by where they begin
};

/// Words wait this long after the tone of their call, s.
inline constexpr double word_after_tone_s = 0.35;

/// What is said, as WebVTT (W3C) with the words of each call. `words` gives an empty text for what is only sounded.
std::string captions_of(const Timeline& timeline, const std::function<std::string(const Call&)>& words);

} // namespace bevel
