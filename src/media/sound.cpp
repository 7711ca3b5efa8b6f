#include "media/sound.h"
#include "core/files.h"
#include <algorithm>
#include <cmath>
#include <espeak-ng/speak_lib.h>
#include <functional>
#include <mutex>
#include <sndfile.h>

namespace bevel {
namespace {

using File = std::unique_ptr<SNDFILE, decltype([](SNDFILE* f) { sf_close(f); })>;

/// At another rate, by straight lines between samples: speech and soft tones lose nothing that is heard.
Samples at_rate(const Samples& in, double from, double to) {
    if (in.empty() || from == to) return in;
    Samples out(static_cast<std::size_t>(std::floor(static_cast<double>(in.size() - 1) * to / from)) + 1);
    for (std::size_t i = 0; i < out.size(); ++i) {
        const double at = static_cast<double>(i) * from / to;
        const auto k = std::min(static_cast<std::size_t>(at), in.size() - 1);
        const auto f = static_cast<float>(at - static_cast<double>(k));
        out[i] = in[k] + f * (in[std::min(k + 1, in.size() - 1)] - in[k]);
    }
    return out;
}

Samples* heard = nullptr; // of the words that are spoken now

int take(short* wav, int n, espeak_EVENT*) {
    if (wav && heard)
        for (int i = 0; i < n; ++i) heard->push_back(static_cast<float>(wav[i]) / 32768.0F);
    return 0;
}

} // namespace

namespace {
/// `read` fills a piece that begins at a sample.
Result<bool> write_pieces(const std::filesystem::path& file, double rate, std::int64_t length,
                          const std::function<void(std::int64_t, std::span<float>)>& read, const std::stop_token& stop) {
    const std::string ending = file.extension().string();
    SF_INFO info{};
    info.samplerate = static_cast<int>(rate);
    info.channels = 1;
    info.format = ending == ".flac"                      ? SF_FORMAT_FLAC | SF_FORMAT_PCM_16
                  : ending == ".ogg" || ending == ".oga" ? SF_FORMAT_OGG | SF_FORMAT_VORBIS
                  : ending == ".wav"                     ? SF_FORMAT_WAV | SF_FORMAT_PCM_16
                                                         : 0;
    if (info.format == 0) return fail(Code::bad_value, "ending");
    PendingFile out(file);
    {
        const File f(sf_open(out.path().string().c_str(), SFM_WRITE, &info));
        if (!f) return fail(Code::write_failed, file.string());
        Samples piece(1 << 14);
        for (std::int64_t at = 0; at < length; at += static_cast<std::int64_t>(piece.size())) {
            if (stop.stop_requested()) return fail(Code::cancelled, "");
            const auto n = std::min<std::int64_t>(static_cast<std::int64_t>(piece.size()), length - at);
            read(at, {piece.data(), static_cast<std::size_t>(n)});
            if (sf_writef_float(f.get(), piece.data(), n) != n)
                return fail(Code::write_failed, file.string() + ": " + sf_strerror(f.get()));
        }
    }
    return out.commit();
}
} // namespace

Result<bool> write_sound(const std::filesystem::path& file, const SoundTrack& track, const std::stop_token& stop) {
    return write_pieces(
        file, track.rate(), track.length(), [&](std::int64_t at, std::span<float> out) { track.read(at, out); }, stop);
}

Result<bool> write_sound(const std::filesystem::path& file, const Samples& samples, const std::stop_token& stop) {
    return write_pieces(
        file, sound_rate, static_cast<std::int64_t>(samples.size()),
        [&](std::int64_t at, std::span<float> out) { std::copy_n(samples.begin() + at, out.size(), out.begin()); }, stop);
}

Result<Samples> read_sound(const std::filesystem::path& file) {
    SF_INFO info{};
    const File f(sf_open(file.string().c_str(), SFM_READ, &info));
    if (!f) return fail(std::filesystem::exists(file) ? Code::unreadable : Code::cannot_open, file.string());
    if (info.samplerate < 4000 || info.samplerate > 192000 || info.channels < 1 || info.channels > 8)
        return fail(Code::unreadable, file.string());
    if (info.frames > 60LL * info.samplerate) return fail(Code::too_large, file.string());
    std::vector<float> all(static_cast<std::size_t>(info.frames * info.channels));
    const auto n = sf_readf_float(f.get(), all.data(), info.frames);
    if (n <= 0) return fail(Code::unreadable, file.string());
    Samples mono(static_cast<std::size_t>(n));
    for (std::size_t i = 0; i < mono.size(); ++i) {
        float sum = 0;
        for (int c = 0; c < info.channels; ++c) sum += all[i * static_cast<std::size_t>(info.channels) + static_cast<std::size_t>(c)];
        mono[i] = std::isfinite(sum) ? sum / static_cast<float>(info.channels) : 0;
    }
    return at_rate(mono, info.samplerate, sound_rate);
}

Result<Samples> speak_words(const std::string& words, const std::string& language) {
    static std::mutex one;
    const std::lock_guard lock(one);
    static const int rate = espeak_Initialize(AUDIO_OUTPUT_SYNCHRONOUS, 0, nullptr, espeakINITIALIZE_DONT_EXIT);
    if (rate <= 0) return fail(Code::not_found, "voice");
    espeak_SetSynthCallback(take);
    Samples out;
    heard = &out;
    const auto say = [&](const std::string& part, const char* voice) {
        if (part.find_first_not_of(" \t\n") == std::string::npos) return true;
        if (espeak_SetVoiceByName(voice) != EE_OK) return false;
        espeak_SetParameter(espeakRATE, 135, 0);
        espeak_SetParameter(espeakPITCH, 42, 0);
        return espeak_Synth(part.c_str(), part.size() + 1, 0, POS_CHARACTER, 0, espeakCHARS_UTF8, nullptr, nullptr) == EE_OK;
    };
    const std::string named = language.substr(0, language.find('_'));
    // One of the voices there are, else the English one.
    const char* voice = !named.empty() && espeak_SetVoiceByName(named.c_str()) == EE_OK ? named.c_str() : "en";
    bool ok = true;
    for (std::size_t at = 0; at < words.size() && ok;) {
        const auto open = words.find("«", at);
        ok = say(words.substr(at, open == std::string::npos ? open : open - at), voice);
        if (open == std::string::npos) break;
        const auto close = words.find("»", open);
        const auto end = close == std::string::npos ? words.size() : close;
        ok = ok && say(words.substr(open + 2, end - open - 2), "cmn-latn-pinyin");
        at = close == std::string::npos ? words.size() : close + 2;
    }
    heard = nullptr;
    if (!ok) return fail(Code::not_found, "voice " + language);
    return at_rate(out, rate, sound_rate);
}

} // namespace bevel
