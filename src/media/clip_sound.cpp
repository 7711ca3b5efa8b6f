#include "media/clip_sound.h"
#include "media/container.h"
#include <algorithm>
#include <cmath>
#include <limits>
extern "C" {
#include <libavutil/opt.h>
}

namespace bevel {
namespace {

constexpr auto most_samples = static_cast<std::size_t>(most_sound_s * sound_trace_rate);

/// Decodes one stream of sound to one channel at the trace's rate, each piece at its own time.
class Listener {
public:
    explicit Listener(std::stop_token stop) : stop_(std::move(stop)) {}

    Result<SoundTrace> listen(const std::filesystem::path& file) {
        auto opened = open_container(file, stop_);
        if (!opened) return tl::unexpected(opened.error());
        format_ = std::move(*opened);
        const AVCodec* decoder = nullptr;
        const int sound = av_find_best_stream(format_.get(), AVMEDIA_TYPE_AUDIO, -1, -1, &decoder, 0);
        if (sound < 0 || !decoder) return fail(Code::not_found, "sound");
        const int pictures = av_find_best_stream(format_.get(), AVMEDIA_TYPE_VIDEO, -1, -1, nullptr, 0);
        if (pictures < 0) return fail(Code::unreadable, "no video");
        stream_ = format_->streams[sound];
        for (unsigned i = 0; i < format_->nb_streams; ++i)
            if (static_cast<int>(i) != sound && static_cast<int>(i) != pictures) format_->streams[i]->discard = AVDISCARD_ALL;
        codec_.reset(avcodec_alloc_context3(decoder));
        if (!codec_ || avcodec_parameters_to_context(codec_.get(), stream_->codecpar) < 0) return fail(Code::unreadable, "sound");
        codec_->thread_count = 1;
        codec_->pkt_timebase = stream_->time_base;
        if (avcodec_open2(codec_.get(), decoder, nullptr) < 0) return fail(Code::unreadable, "sound");
        std::int64_t first = std::numeric_limits<std::int64_t>::max(); // picture
        int seen = 0;                                                  // pictures
        constexpr int enough = 64; // the first one shown is among them; of the others nothing is read where the container lets that be
        while (!stop_.stop_requested() && samples_.size() < most_samples && av_read_frame(format_.get(), packet_.get()) >= 0) {
            const auto when = packet_->pts == AV_NOPTS_VALUE ? packet_->dts : packet_->pts;
            if (packet_->stream_index == pictures && (packet_->flags & AV_PKT_FLAG_DISCARD) == 0 && when != AV_NOPTS_VALUE) {
                first = std::min(first, when);
                if (++seen == enough) format_->streams[pictures]->discard = AVDISCARD_ALL;
            }
            if (packet_->stream_index == sound && avcodec_send_packet(codec_.get(), packet_.get()) >= 0) take();
            av_packet_unref(packet_.get());
        }
        if (stop_.stop_requested()) return fail(Code::cancelled, "");
        avcodec_send_packet(codec_.get(), nullptr);
        take();
        if (first == std::numeric_limits<std::int64_t>::max() || !began_) return fail(Code::not_found, "sound");
        const double pictures_from = static_cast<double>(first) * av_q2d(format_->streams[pictures]->time_base);
        return trace_of(samples_, *began_ - pictures_from);
    }

private:
    void take() {
        while (avcodec_receive_frame(codec_.get(), frame_.get()) == 0) {
            if (samples_.size() < most_samples) put();
            av_frame_unref(frame_.get());
        }
    }

    void put() {
        if (frame_->sample_rate < 4000 || frame_->sample_rate > 768000 || frame_->nb_samples <= 0 || !same_kind()) return;
        const auto when = frame_->best_effort_timestamp;
        if (when != AV_NOPTS_VALUE) {
            const double t = static_cast<double>(when) * av_q2d(stream_->time_base);
            if (!began_) began_ = t;
            // What is missing between two pieces is silence; stamps that go back say nothing.
            constexpr double gap_s = 0.03;
            const double late = t - *began_ - static_cast<double>(samples_.size()) / sound_trace_rate;
            if (std::isfinite(late) && late > gap_s)
                samples_.resize(
                    std::min(most_samples, samples_.size() + static_cast<std::size_t>(std::min(late, most_sound_s) * sound_trace_rate)),
                    0.0F);
        }
        if (!began_) began_ = 0;
        const int room = swr_get_out_samples(resampler_.get(), frame_->nb_samples);
        if (room <= 0) return;
        const auto at = samples_.size();
        samples_.resize(at + static_cast<std::size_t>(room));
        auto* out = reinterpret_cast<std::uint8_t*>(samples_.data() + at);
        const int got =
            swr_convert(resampler_.get(), &out, room, const_cast<const std::uint8_t**>(frame_->extended_data), frame_->nb_samples);
        samples_.resize(at + static_cast<std::size_t>(std::max(0, got)));
    }

    /// A resampler for pieces of this kind; a stream may change its kind midway.
    bool same_kind() {
        if (resampler_ && rate_ == frame_->sample_rate && layout_ == frame_->ch_layout.nb_channels && kind_ == frame_->format) return true;
        SwrContext* made = nullptr;
        AVChannelLayout mono = AV_CHANNEL_LAYOUT_MONO;
        AVChannelLayout in{};
        if (frame_->ch_layout.order == AV_CHANNEL_ORDER_UNSPEC)
            av_channel_layout_default(&in, frame_->ch_layout.nb_channels);
        else if (av_channel_layout_copy(&in, &frame_->ch_layout) < 0)
            return false;
        const int rc = swr_alloc_set_opts2(&made, &mono, AV_SAMPLE_FMT_FLT, static_cast<int>(sound_trace_rate), &in,
                                           static_cast<AVSampleFormat>(frame_->format), frame_->sample_rate, 0, nullptr);
        av_channel_layout_uninit(&in);
        resampler_.reset(made);
        if (rc < 0 || swr_init(made) < 0) {
            resampler_.reset();
            return false;
        }
        rate_ = frame_->sample_rate, layout_ = frame_->ch_layout.nb_channels, kind_ = frame_->format;
        return true;
    }

    std::stop_token stop_;
    OwnAv<AVFormatContext> format_;
    OwnAv<AVCodecContext> codec_;
    OwnAv<SwrContext> resampler_;
    OwnAv<AVFrame> frame_{av_frame_alloc()};
    OwnAv<AVPacket> packet_{av_packet_alloc()};
    AVStream* stream_ = nullptr;
    int rate_ = 0, layout_ = 0, kind_ = -1;
    std::optional<double> began_;
    std::vector<float> samples_;
};

} // namespace

Result<SoundTrace> sound_of_clip(const std::filesystem::path& file, std::stop_token stop) {
    return Listener(std::move(stop)).listen(file);
}

} // namespace bevel
