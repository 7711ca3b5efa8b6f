#include "core/files.h"
#include "media/clip.h"
#include <algorithm>
#include <cmath>
extern "C" {
#include <libavcodec/avcodec.h>
#include <libavformat/avformat.h>
#include <libavutil/display.h>
#include <libavutil/opt.h>
#include <libswscale/swscale.h>
}

namespace bevel {

struct ClipWriter::Impl {
    AVFormatContext* format = nullptr;
    AVCodecContext* codec = nullptr;
    SwsContext* scaler = nullptr;
    AVFrame* frame = nullptr;
    AVPacket* packet = nullptr;
    AVStream* stream = nullptr;
    AVCodecContext* voice = nullptr; // of the sound
    AVStream* sound = nullptr;
    AVFrame* heard = nullptr;
    std::vector<float> waiting; // less than a frame of it
    std::int64_t sounded = 0;
    std::int64_t last = -1;
    std::int64_t usual = 0; // duration of a frame, in the stream's time base
    bool header = false;
    std::optional<PendingFile> file; // removed again unless it is finished

    ~Impl() {
        if (format && format->pb) avio_closep(&format->pb);
        avcodec_free_context(&codec);
        avcodec_free_context(&voice);
        av_frame_free(&heard);
        av_frame_free(&frame);
        av_packet_free(&packet);
        sws_freeContext(scaler);
        avformat_free_context(format);
    }

    Result<bool> open(const std::filesystem::path& target, int w, int h, double fps, int quality, const std::string& name, int rotation,
                      int sound_rate) {
        av_log_set_level(AV_LOG_QUIET);
        file.emplace(target);
        const std::string path = file->path().string();
        if (avformat_alloc_output_context2(&format, nullptr, nullptr, path.c_str()) < 0)
            avformat_alloc_output_context2(&format, nullptr, "mp4", path.c_str());
        if (format) format->flags |= AVFMT_FLAG_BITEXACT; // no name of a program, no time of writing
        const AVCodec* encoder = avcodec_find_encoder_by_name(name.c_str());
        if (!format || !encoder) return fail(Code::write_failed, "no encoder " + name);
        codec = avcodec_alloc_context3(encoder);
        codec->width = w;
        codec->height = h;
        codec->pix_fmt = name == "mjpeg" ? AV_PIX_FMT_YUVJ420P : AV_PIX_FMT_YUV420P;
        codec->time_base = {1, name == "mpeg4" || name == "mjpeg" ? static_cast<int>(std::lround(fps)) : 90000};
        codec->framerate = av_d2q(fps, 100000);
        codec->gop_size = static_cast<int>(std::lround(fps * 2));
        codec->thread_count = 2;
        codec->color_range = name == "mjpeg" ? AVCOL_RANGE_JPEG : AVCOL_RANGE_MPEG;
        codec->colorspace = AVCOL_SPC_SMPTE170M; // the matrix of the scaler below
        if (name == "libx264" || name == "libx265") {
            av_opt_set(codec->priv_data, "preset", "veryfast", 0);
            av_opt_set_int(codec->priv_data, "crf", quality, 0);
        } else if (name == "libvpx-vp9") {
            av_opt_set(codec->priv_data, "deadline", "realtime", 0);
            av_opt_set_int(codec->priv_data, "cpu-used", 8, 0);
            av_opt_set_int(codec->priv_data, "crf", quality + 8, 0);
        } else {
            codec->flags |= AV_CODEC_FLAG_QSCALE;
            codec->global_quality = 4 * FF_QP2LAMBDA;
        }
        codec->flags |= AV_CODEC_FLAG_BITEXACT;
        if ((format->oformat->flags & AVFMT_GLOBALHEADER) != 0) codec->flags |= AV_CODEC_FLAG_GLOBAL_HEADER;
        if (avcodec_open2(codec, encoder, nullptr) < 0) return fail(Code::write_failed, "encoder " + name);
        stream = avformat_new_stream(format, nullptr);
        stream->time_base = codec->time_base;
        avcodec_parameters_from_context(stream->codecpar, codec);
        if (rotation != 0) {
            auto* m = reinterpret_cast<std::int32_t*>(av_stream_new_side_data(stream, AV_PKT_DATA_DISPLAYMATRIX, 36));
            if (m) av_display_rotation_set(m, rotation);
        }
        if (sound_rate > 0) {
            const AVCodec* aac = avcodec_find_encoder_by_name("aac");
            if (!aac) return fail(Code::write_failed, "no encoder aac");
            voice = avcodec_alloc_context3(aac);
            voice->sample_rate = sound_rate;
            voice->sample_fmt = AV_SAMPLE_FMT_FLTP;
            voice->ch_layout = AV_CHANNEL_LAYOUT_MONO;
            voice->bit_rate = 96000;
            voice->time_base = {1, sound_rate};
            voice->flags |= AV_CODEC_FLAG_BITEXACT;
            if ((format->oformat->flags & AVFMT_GLOBALHEADER) != 0) voice->flags |= AV_CODEC_FLAG_GLOBAL_HEADER;
            if (avcodec_open2(voice, aac, nullptr) < 0) return fail(Code::write_failed, "encoder aac");
            sound = avformat_new_stream(format, nullptr);
            sound->time_base = voice->time_base;
            avcodec_parameters_from_context(sound->codecpar, voice);
            heard = av_frame_alloc();
            heard->format = voice->sample_fmt;
            heard->ch_layout = AV_CHANNEL_LAYOUT_MONO;
            heard->sample_rate = sound_rate;
            heard->nb_samples = voice->frame_size;
            if (av_frame_get_buffer(heard, 0) < 0) return fail(Code::write_failed, "memory");
        }
        if (avio_open(&format->pb, path.c_str(), AVIO_FLAG_WRITE) < 0) return fail(Code::write_failed, target.string());
        AVDictionary* opts = nullptr;
        av_dict_set(&opts, "movflags", "+faststart", 0);
        const int rc = avformat_write_header(format, &opts);
        av_dict_free(&opts);
        if (rc < 0) return fail(Code::write_failed, target.string());
        header = true;
        usual = std::llround(1 / fps / av_q2d(stream->time_base));
        frame = av_frame_alloc();
        frame->format = codec->pix_fmt;
        frame->width = w;
        frame->height = h;
        frame->color_range = codec->color_range;
        packet = av_packet_alloc();
        if (av_frame_get_buffer(frame, 0) < 0) return fail(Code::write_failed, "memory");
        scaler = sws_getContext(w, h, AV_PIX_FMT_RGB24, w, h, codec->pix_fmt, SWS_BILINEAR | SWS_ACCURATE_RND, nullptr, nullptr, nullptr);
        return scaler ? Result<bool>(true) : fail(Code::write_failed, "scaler");
    }

    Result<bool> drain_sound() {
        while (avcodec_receive_packet(voice, packet) == 0) {
            av_packet_rescale_ts(packet, voice->time_base, sound->time_base);
            packet->stream_index = sound->index;
            if (av_interleaved_write_frame(format, packet) < 0 || format->pb->error != 0)
                return fail(Code::write_failed, file->path().string());
        }
        return true;
    }

    Result<bool> send_sound(std::size_t from, int n) {
        if (av_frame_make_writable(heard) < 0) return fail(Code::write_failed, "memory");
        heard->nb_samples = n;
        std::copy_n(waiting.begin() + static_cast<std::ptrdiff_t>(from), n, reinterpret_cast<float*>(heard->data[0]));
        heard->pts = sounded;
        sounded += n;
        if (avcodec_send_frame(voice, heard) < 0) return fail(Code::write_failed, "encoder aac");
        return drain_sound();
    }

    Result<bool> drain() {
        while (avcodec_receive_packet(codec, packet) == 0) {
            av_packet_rescale_ts(packet, codec->time_base, stream->time_base);
            packet->stream_index = stream->index;
            packet->duration = usual; // without it the last frame lasts no time and players leave it out
            if (av_interleaved_write_frame(format, packet) < 0 || format->pb->error != 0)
                return fail(Code::write_failed, file->path().string());
        }
        return true;
    }
};

ClipWriter::ClipWriter(std::unique_ptr<Impl> impl) : impl_(std::move(impl)) {}
ClipWriter::ClipWriter(ClipWriter&&) noexcept = default;
ClipWriter& ClipWriter::operator=(ClipWriter&&) noexcept = default;
ClipWriter::~ClipWriter() = default;

Result<ClipWriter> ClipWriter::create(const std::filesystem::path& file, int width, int height, double fps, int quality,
                                      const std::string& codec, int rotation, int sound_rate) {
    auto impl = std::make_unique<Impl>();
    if (auto ok = impl->open(file, width, height, fps, quality, codec, rotation, sound_rate); !ok) return tl::unexpected(ok.error());
    return ClipWriter(std::move(impl));
}

Result<bool> ClipWriter::add(const sim::Image& picture, double time_s) {
    auto& i = *impl_;
    if (picture.width != i.codec->width || picture.height != i.codec->height) return fail(Code::bad_value, "picture size");
    if (av_frame_make_writable(i.frame) < 0) return fail(Code::write_failed, "memory");
    const std::array<const std::uint8_t*, 4> data{picture.rgb.data()};
    const std::array<int, 4> stride{picture.width * 3};
    sws_scale(i.scaler, data.data(), stride.data(), 0, picture.height, i.frame->data, i.frame->linesize);
    i.frame->pts = std::llround(time_s / av_q2d(i.codec->time_base));
    if (i.frame->pts <= i.last) return fail(Code::bad_value, "time");
    i.last = i.frame->pts;
    if (avcodec_send_frame(i.codec, i.frame) < 0) return fail(Code::write_failed, "encoder");
    return i.drain();
}

Result<bool> ClipWriter::add_sound(std::span<const float> samples) {
    auto& i = *impl_;
    if (!i.voice) return fail(Code::bad_value, "sound");
    i.waiting.insert(i.waiting.end(), samples.begin(), samples.end());
    const auto piece = static_cast<std::size_t>(i.voice->frame_size);
    std::size_t at = 0;
    for (; at + piece <= i.waiting.size(); at += piece)
        if (auto ok = i.send_sound(at, static_cast<int>(piece)); !ok) return ok;
    i.waiting.erase(i.waiting.begin(), i.waiting.begin() + static_cast<std::ptrdiff_t>(at));
    return true;
}

Result<bool> ClipWriter::finish() {
    auto& i = *impl_;
    if (i.voice) {
        if (!i.waiting.empty())
            if (auto ok = i.send_sound(0, static_cast<int>(i.waiting.size())); !ok) return ok;
        avcodec_send_frame(i.voice, nullptr);
        if (auto ok = i.drain_sound(); !ok) return ok;
    }
    avcodec_send_frame(i.codec, nullptr);
    auto ok = i.drain();
    if (!ok) return ok;
    if (av_write_trailer(i.format) < 0 || i.format->pb->error != 0 || avio_closep(&i.format->pb) < 0)
        return fail(Code::write_failed, i.file->path().string());
    return i.file->commit();
}

} // namespace bevel
