#include "media/clip.h"
#include <algorithm>
#include <cmath>
#include <deque>
extern "C" {
#include <libavcodec/avcodec.h>
#include <libavformat/avformat.h>
#include <libavutil/display.h>
#include <libavutil/imgutils.h>
#include <libswscale/swscale.h>
}

namespace bevel {
namespace {
constexpr std::size_t most_frames = 500000, cache_bytes = 48U << 20U;
constexpr int most_side = 8192;

struct Free {
    void operator()(AVFormatContext* c) const { avformat_close_input(&c); }
    void operator()(AVCodecContext* c) const { avcodec_free_context(&c); }
    void operator()(AVFrame* f) const { av_frame_free(&f); }
    void operator()(AVPacket* p) const { av_packet_free(&p); }
    void operator()(SwsContext* s) const { sws_freeContext(s); }
};
template <class T> using Own = std::unique_ptr<T, Free>;

int rotation_of(const AVStream* stream) {
    const auto* m = av_stream_get_side_data(stream, AV_PKT_DATA_DISPLAYMATRIX, nullptr);
    if (!m) return 0;
    std::array<std::int32_t, 9> matrix{};
    std::copy_n(m, sizeof matrix, reinterpret_cast<std::uint8_t*>(matrix.data()));
    const double angle = av_display_rotation_get(matrix.data());
    if (!std::isfinite(angle)) return 0;
    return ((static_cast<int>(std::lround(-angle / 90.0)) % 4 + 4) % 4) * 90;
}

sim::Image turned(sim::Image in, int rotation) {
    if (rotation == 0) return in;
    sim::Image out;
    const bool swap = rotation != 180;
    out.width = swap ? in.height : in.width;
    out.height = swap ? in.width : in.height;
    out.rgb.resize(in.rgb.size());
    for (int y = 0; y < in.height; ++y)
        for (int x = 0; x < in.width; ++x) {
            const int u = rotation == 90 ? in.height - 1 - y : rotation == 180 ? in.width - 1 - x : y;
            const int v = rotation == 90 ? x : rotation == 180 ? in.height - 1 - y : in.width - 1 - x;
            std::copy_n(in.rgb.data() + (static_cast<std::size_t>(y) * in.width + x) * 3, 3,
                        out.rgb.data() + (static_cast<std::size_t>(v) * out.width + u) * 3);
        }
    return out;
}
} // namespace

struct ClipReader::Impl {
    Own<AVFormatContext> format;
    Own<AVCodecContext> codec;
    Own<SwsContext> scaler;
    Own<AVFrame> frame{av_frame_alloc()};
    Own<AVPacket> packet{av_packet_alloc()};
    AVStream* stream = nullptr;
    ClipInfo info;
    std::vector<std::int64_t> pts; // sorted
    std::ptrdiff_t next = 0;       // index of the frame that decoding reaches next; -1 when unknown
    bool draining = false;
    bool stamped = true; // packets carry time stamps; else frames are counted
    std::deque<std::pair<std::size_t, std::shared_ptr<const sim::Image>>> cache;

    Result<bool> open(const std::filesystem::path& file) {
        av_log_set_level(AV_LOG_QUIET);
        AVFormatContext* raw = nullptr;
        std::error_code ec;
        if (!std::filesystem::is_regular_file(file, ec)) return fail(Code::cannot_open, file.string());
        if (std::filesystem::file_size(file, ec) == 0) return fail(Code::unreadable, "empty");
        const std::string url = "file:" + file.string();
        AVDictionary* opts = nullptr;
        // Playlists could lead to other files or hosts: only self-contained files are read.
        av_dict_set(&opts, "protocol_whitelist", "file", 0);
        av_dict_set(&opts, "format_whitelist", "mov,mp4,m4a,3gp,3g2,mj2,matroska,webm,avi,mpegts,mpeg,mjpeg,ogg,flv,asf", 0);
        const int rc = avformat_open_input(&raw, url.c_str(), nullptr, &opts);
        av_dict_free(&opts);
        if (rc < 0) return fail(Code::unreadable, "not a clip");
        format.reset(raw);
        format->max_analyze_duration = 10 * AV_TIME_BASE;
        if (avformat_find_stream_info(raw, nullptr) < 0) return fail(Code::unreadable, "no streams");
        const AVCodec* decoder = nullptr;
        const int index = av_find_best_stream(raw, AVMEDIA_TYPE_VIDEO, -1, -1, &decoder, 0);
        if (index < 0 || !decoder) return fail(Code::unreadable, "no video");
        stream = raw->streams[index];
        for (unsigned i = 0; i < raw->nb_streams; ++i)
            if (static_cast<int>(i) != index) raw->streams[i]->discard = AVDISCARD_ALL;
        if (stream->codecpar->width > most_side || stream->codecpar->height > most_side) return fail(Code::too_large, "picture");
        codec.reset(avcodec_alloc_context3(decoder));
        if (avcodec_parameters_to_context(codec.get(), stream->codecpar) < 0) return fail(Code::unreadable, "codec");
        codec->thread_count = 1;
        codec->max_pixels = static_cast<std::int64_t>(most_side) * most_side;
        if (avcodec_open2(codec.get(), decoder, nullptr) < 0) return fail(Code::unreadable, "codec");
        info.codec = decoder->name;
        info.container = raw->iformat->name;
        info.rotation = rotation_of(stream);
        if (auto t = read_table(); !t) return t;
        const bool swap = info.rotation % 180 != 0;
        info.width = swap ? stream->codecpar->height : stream->codecpar->width;
        info.height = swap ? stream->codecpar->width : stream->codecpar->height;
        if (info.width < 16 || info.height < 16) return fail(Code::unreadable, "no picture size");
        return true;
    }

    Result<bool> read_table() {
        bool missing = false;
        int rc = 0;
        while ((rc = av_read_frame(format.get(), packet.get())) >= 0) {
            if (packet->stream_index == stream->index && (packet->flags & AV_PKT_FLAG_DISCARD) == 0) {
                if ((packet->flags & AV_PKT_FLAG_CORRUPT) != 0) info.damaged = true;
                if (packet->pts == AV_NOPTS_VALUE) missing = true;
                pts.push_back(packet->pts == AV_NOPTS_VALUE ? packet->dts : packet->pts);
            }
            av_packet_unref(packet.get());
            if (pts.size() > most_frames) return fail(Code::too_large, "frames");
        }
        if (rc != AVERROR_EOF) info.damaged = true;
        if (missing) {
            // Older containers carry no display times: decode once and take what the decoder says.
            stamped = false;
            pts.clear();
            rewind();
            while (decode()) pts.push_back(frame->best_effort_timestamp);
            const bool usable = std::is_sorted(pts.begin(), pts.end()) && std::adjacent_find(pts.begin(), pts.end()) == pts.end() &&
                                std::none_of(pts.begin(), pts.end(), [](auto v) { return v == AV_NOPTS_VALUE; });
            if (!usable) {
                const AVRational r = av_guess_frame_rate(format.get(), stream, nullptr);
                const double step = r.num > 0 ? av_q2d(av_inv_q(r)) / av_q2d(stream->time_base) : 1;
                for (std::size_t i = 0; i < pts.size(); ++i) pts[i] = std::llround(static_cast<double>(i) * step);
            }
        }
        std::sort(pts.begin(), pts.end());
        pts.erase(std::unique(pts.begin(), pts.end()), pts.end());
        if (pts.empty()) return fail(Code::unreadable, "no frames");
        const double unit = av_q2d(stream->time_base);
        for (const auto p : pts) info.time_s.push_back(static_cast<double>(p - pts.front()) * unit);
        rewind();
        return true;
    }

    void rewind() {
        const std::int64_t start = pts.empty() ? 0 : pts.front();
        if (av_seek_frame(format.get(), stream->index, std::min<std::int64_t>(start, 0), AVSEEK_FLAG_BACKWARD) < 0)
            avformat_seek_file(format.get(), -1, INT64_MIN, 0, INT64_MAX, AVSEEK_FLAG_BYTE);
        avcodec_flush_buffers(codec.get());
        draining = false;
        next = 0;
    }

    /// The next decoded frame into `frame`; false at the end.
    bool decode() {
        for (int guard = 0; guard < 4000; ++guard) {
            const int rc = avcodec_receive_frame(codec.get(), frame.get());
            if (rc == 0) {
                if (frame->decode_error_flags != 0 || (frame->flags & AV_FRAME_FLAG_CORRUPT) != 0) info.damaged = true;
                return true;
            }
            if (rc == AVERROR_EOF) return false;
            if (rc != AVERROR(EAGAIN)) info.damaged = true;
            if (draining) return false;
            const int got = av_read_frame(format.get(), packet.get());
            if (got < 0) {
                draining = true;
                avcodec_send_packet(codec.get(), nullptr);
                continue;
            }
            if (packet->stream_index == stream->index && avcodec_send_packet(codec.get(), packet.get()) < 0) info.damaged = true;
            av_packet_unref(packet.get());
        }
        return false;
    }

    std::ptrdiff_t index_of_frame() {
        if (!stamped) return next;
        const auto t = frame->best_effort_timestamp != AV_NOPTS_VALUE ? frame->best_effort_timestamp : frame->pts;
        const auto it = std::lower_bound(pts.begin(), pts.end(), t);
        return it != pts.end() && *it == t ? it - pts.begin() : -1;
    }

    std::shared_ptr<const sim::Image> convert() {
        const auto format_in = static_cast<AVPixelFormat>(frame->format);
        scaler.reset(sws_getCachedContext(scaler.release(), frame->width, frame->height, format_in, frame->width, frame->height,
                                          AV_PIX_FMT_RGB24, SWS_POINT, nullptr, nullptr, nullptr));
        if (!scaler || frame->width > most_side || frame->height > most_side) return nullptr;
        sim::Image im;
        im.width = frame->width;
        im.height = frame->height;
        im.rgb.resize(static_cast<std::size_t>(im.width) * im.height * 3 + 64);
        std::array<std::uint8_t*, 4> data{im.rgb.data()};
        std::array<int, 4> stride{im.width * 3};
        if (sws_scale(scaler.get(), frame->data, frame->linesize, 0, frame->height, data.data(), stride.data()) != im.height)
            return nullptr;
        im.rgb.resize(static_cast<std::size_t>(im.width) * im.height * 3);
        return std::make_shared<const sim::Image>(turned(std::move(im), info.rotation));
    }

    void remember(std::size_t i, std::shared_ptr<const sim::Image> im) {
        cache.emplace_back(i, std::move(im));
        while (cache.size() > 2 && cache.size() * cache.front().second->rgb.size() > cache_bytes) cache.pop_front();
    }

    Result<std::shared_ptr<const sim::Image>> get(std::size_t i) {
        if (i >= pts.size()) return fail(Code::not_found, "frame");
        for (const auto& c : cache)
            if (c.first == i) return c.second;
        const auto want = static_cast<std::ptrdiff_t>(i);
        for (int attempt = 0; attempt < 2; ++attempt) {
            if (next < 0 || want < next || want > next + 90 || attempt > 0) {
                rewind();
                if (stamped && attempt == 0) {
                    if (av_seek_frame(format.get(), stream->index, pts[i], AVSEEK_FLAG_BACKWARD) < 0) rewind();
                    avcodec_flush_buffers(codec.get());
                    next = -1;
                }
            }
            while (decode()) {
                const auto at = index_of_frame();
                if (at < 0) continue;
                next = at + 1;
                if (at > want) break; // the seek landed too late, or the frame is damaged
                if (at + 8 < want) continue;
                if (auto im = convert()) {
                    remember(static_cast<std::size_t>(at), im);
                    if (at == want) return im;
                }
            }
            next = -1;
        }
        info.damaged = true;
        return fail(Code::unreadable, "frame " + std::to_string(i));
    }
};

ClipReader::ClipReader(std::unique_ptr<Impl> impl) : impl_(std::move(impl)) {}
ClipReader::ClipReader(ClipReader&&) noexcept = default;
ClipReader& ClipReader::operator=(ClipReader&&) noexcept = default;
ClipReader::~ClipReader() = default;
const ClipInfo& ClipReader::info() const {
    return impl_->info;
}
Result<std::shared_ptr<const sim::Image>> ClipReader::frame(std::size_t i) {
    return impl_->get(i);
}

Result<ClipReader> ClipReader::open(const std::filesystem::path& file) {
    auto impl = std::make_unique<Impl>();
    if (auto ok = impl->open(file); !ok) return tl::unexpected(ok.error());
    return ClipReader(std::move(impl));
}

} // namespace bevel
