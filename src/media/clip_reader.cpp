#include "core/clip_length.h"
#include "media/clip.h"
#include "media/container.h"
#include <algorithm>
#include <cmath>
#include <deque>
#include <mutex>
#include <optional>
#include <set>
extern "C" {
#include <libavutil/display.h>
#include <libavutil/imgutils.h>
}

namespace bevel {
namespace {
constexpr std::size_t most_frames = 500000, cache_bytes = 32U << 20U;
constexpr int most_side = 8192;

/// How the stream asks to be shown: turned clockwise by quarters, after being mirrored left to right where that is asked.
struct Display {
    int rotation = 0;
    bool mirrored = false;
};

Display display_of(const AVStream* stream) {
    const auto* m = av_stream_get_side_data(stream, AV_PKT_DATA_DISPLAYMATRIX, nullptr);
    if (!m) return {};
    std::array<std::int32_t, 9> matrix{};
    std::copy_n(m, sizeof matrix, reinterpret_cast<std::uint8_t*>(matrix.data()));
    Display d;
    const double a = matrix[0], b = matrix[1], c = matrix[3], e = matrix[4];
    if (a * e - b * c < 0) { // a reflection: taken out, then what is left is a turn
        d.mirrored = true;
        av_display_matrix_flip(matrix.data(), 1, 0);
    }
    const double angle = av_display_rotation_get(matrix.data());
    if (!std::isfinite(angle)) return d;
    d.rotation = ((static_cast<int>(std::lround(-angle / 90.0)) % 4 + 4) % 4) * 90;
    return d;
}

void mirror(sim::Image& im) {
    for (int y = 0; y < im.height; ++y)
        for (int x = 0; x < im.width / 2; ++x)
            std::swap_ranges(im.rgb.data() + (static_cast<std::size_t>(y) * im.width + x) * 3,
                             im.rgb.data() + (static_cast<std::size_t>(y) * im.width + x) * 3 + 3,
                             im.rgb.data() + (static_cast<std::size_t>(y) * im.width + im.width - 1 - x) * 3);
}

/// Steps of high dynamic range as a plain display shows them: light of the PQ curve (SMPTE ST 2084) or of HLG (ARIB STD-B67) against
/// diffuse white at 203 cd/m2 (ITU-R BT.2408), bright parts rolled off, then the usual gamma.
std::array<std::uint8_t, 256> tone_curve(AVColorTransferCharacteristic transfer) {
    std::array<std::uint8_t, 256> out{};
    for (std::size_t k = 0; k < out.size(); ++k) {
        const double v = static_cast<double>(k) / 255;
        double light = 0; // 1 is diffuse white
        if (transfer == AVCOL_TRC_SMPTE2084) {
            const double p = std::pow(v, 1 / 78.84375);
            light = 10000 * std::pow(std::max(0.0, p - 0.8359375) / (18.8515625 - 18.6875 * p), 1 / 0.1593017578125) / 203;
        } else {
            const double scene = v <= 0.5 ? v * v / 3 : (std::exp((v - 0.55991073) / 0.17883277) + 0.28466892) / 12;
            light = 1000 * std::pow(scene, 1.2) / 203;
        }
        // Diffuse white at three quarters of the display's light, what is brighter rolled off towards the rest of it.
        const double shown = 1.5 * light / (1 + light);
        out[k] = static_cast<std::uint8_t>(std::lround(255 * std::pow(std::clamp(shown, 0.0, 1.0), 1 / 2.2)));
    }
    return out;
}

/// Buffers of pictures that nobody looks at any more, for the next ones: fresh memory for each costs more than decoding it, and two readers
/// at once would stand in each other's way for it.
class Buffers {
public:
    std::vector<std::uint8_t> get(std::size_t bytes) {
        std::vector<std::uint8_t> b;
        {
            const std::lock_guard lock(mutex_);
            if (!free_.empty()) {
                b = std::move(free_.back());
                free_.pop_back();
            }
        }
        b.resize(bytes);
        return b;
    }
    void give_back(std::vector<std::uint8_t> b) {
        const std::lock_guard lock(mutex_);
        if (free_.size() < (b.size() > cache_bytes / 2 ? 1U : 3U)) free_.push_back(std::move(b));
    }

private:
    std::mutex mutex_;
    std::vector<std::vector<std::uint8_t>> free_;
};

sim::Image turned(sim::Image in, int rotation, Buffers& buffers) {
    if (rotation == 0) return in;
    sim::Image out;
    const bool swap = rotation != 180;
    out.width = swap ? in.height : in.width;
    out.height = swap ? in.width : in.height;
    out.rgb = buffers.get(in.rgb.size());
    for (int y = 0; y < in.height; ++y)
        for (int x = 0; x < in.width; ++x) {
            const int u = rotation == 90 ? in.height - 1 - y : rotation == 180 ? in.width - 1 - x : y;
            const int v = rotation == 90 ? x : rotation == 180 ? in.height - 1 - y : in.width - 1 - x;
            std::copy_n(in.rgb.data() + (static_cast<std::size_t>(y) * in.width + x) * 3, 3,
                        out.rgb.data() + (static_cast<std::size_t>(v) * out.width + u) * 3);
        }
    buffers.give_back(std::move(in.rgb));
    return out;
}
} // namespace

struct ClipReader::Impl {
    std::stop_token stop;
    std::shared_ptr<Buffers> buffers = std::make_shared<Buffers>(); // outlives the reader while one of its pictures is looked at
    OwnAv<AVFormatContext> format;
    OwnAv<AVCodecContext> codec;
    OwnAv<SwsContext> scaler;
    OwnAv<AVFrame> frame{av_frame_alloc()};
    OwnAv<AVPacket> packet{av_packet_alloc()};
    AVStream* stream = nullptr;
    ClipInfo info;
    std::vector<std::int64_t> pts; // sorted
    std::ptrdiff_t next = 0;       // index of the frame that decoding reaches next; -1 when unknown
    bool draining = false;
    bool whole = true;   // after a jump, the pictures shown before the first key frame lean on ones that were not read
    bool stamped = true; // packets carry time stamps; else frames are counted
    Display display;
    double aspect = 1;            // width of a pixel over its height
    std::set<std::size_t> absent; // frames that the decoder passes over
    std::optional<std::pair<AVColorTransferCharacteristic, std::array<std::uint8_t, 256>>> tones;
    int shown_width(int stored) const { return std::clamp(static_cast<int>(std::lround(stored * aspect)), 1, most_side); }
    std::deque<std::pair<std::size_t, std::shared_ptr<const sim::Image>>> cache;

    Result<bool> open(const std::filesystem::path& file) {
        auto opened = open_container(file, stop);
        if (!opened) return tl::unexpected(opened.error());
        format = std::move(*opened);
        AVFormatContext* raw = format.get();
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
        codec->flags |= AV_CODEC_FLAG_OUTPUT_CORRUPT; // a picture after a lost one is better than none
        codec->max_pixels = static_cast<std::int64_t>(most_side) * most_side;
        if (avcodec_open2(codec.get(), decoder, nullptr) < 0) return fail(Code::unreadable, "codec");
        info.codec = decoder->name;
        if (const auto* made = av_dict_get(raw->metadata, "creation_time", nullptr, 0)) {
            const std::string when = made->value; // 2026-11-25T18:03:11.000000Z
            const bool date = when.size() >= 10 && when[4] == '-' && when[7] == '-' && when.substr(0, 4) > "1990" &&
                              when.find_first_not_of("0123456789-") >= 10;
            if (date) info.made_on = when.substr(0, 10);
        }
        info.container = raw->iformat->name;
        display = display_of(stream);
        info.rotation = display.rotation;
        info.mirrored_by_stream = display.mirrored;
        const AVRational pixel = av_guess_sample_aspect_ratio(format.get(), stream, nullptr);
        if (pixel.num > 0 && pixel.den > 0) aspect = std::clamp(av_q2d(pixel), 0.25, 4.0);
        if (auto t = read_table(); !t) return t;
        const bool swap = info.rotation % 180 != 0;
        const int wide = shown_width(stream->codecpar->width);
        info.width = swap ? stream->codecpar->height : wide;
        info.height = swap ? wide : stream->codecpar->height;
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
            if (stop.stop_requested()) return fail(Code::cancelled, "");
            if (pts.size() > most_frames) return fail(Code::too_large, "frames");
        }
        if (stop.stop_requested()) return fail(Code::cancelled, "");
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
        for (const auto p : pts) info.time_s.push_back((static_cast<double>(p) - static_cast<double>(pts.front())) * unit);
        // A broken stamp may say that the last frame is years away.
        if (!(info.time_s.back() <= longest_film_s)) return fail(Code::too_large, "time stamps");
        rewind();
        return true;
    }

    void rewind() {
        const std::int64_t start = pts.empty() ? 0 : pts.front();
        if (av_seek_frame(format.get(), stream->index, std::min<std::int64_t>(start, 0), AVSEEK_FLAG_BACKWARD) < 0)
            avformat_seek_file(format.get(), -1, INT64_MIN, 0, INT64_MAX, AVSEEK_FLAG_BYTE);
        avcodec_flush_buffers(codec.get());
        draining = false;
        whole = true;
        next = 0;
    }

    /// The next decoded frame into `frame`; false at the end.
    bool decode() {
        for (int guard = 0; guard < 4000 && !stop.stop_requested(); ++guard) {
            const int rc = avcodec_receive_frame(codec.get(), frame.get());
            if (rc == 0) {
                whole = whole || frame->key_frame != 0;
                if (!whole) return true;
                if (frame->decode_error_flags != 0 || (frame->flags & AV_FRAME_FLAG_CORRUPT) != 0) info.damaged = true;
                return true;
            }
            if (rc == AVERROR_EOF) return false;
            if (rc != AVERROR(EAGAIN) && whole) info.damaged = true;
            if (draining) return false;
            const int got = av_read_frame(format.get(), packet.get());
            if (got < 0) {
                draining = true;
                avcodec_send_packet(codec.get(), nullptr);
                continue;
            }
            if (packet->stream_index == stream->index && avcodec_send_packet(codec.get(), packet.get()) < 0 && whole) info.damaged = true;
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
        if (frame->width > most_side || frame->height > most_side) return nullptr;
        const int wide = shown_width(frame->width);
        scaler.reset(sws_getCachedContext(scaler.release(), frame->width, frame->height, format_in, wide, frame->height, AV_PIX_FMT_RGB24,
                                          wide == frame->width ? SWS_POINT : SWS_BILINEAR, nullptr, nullptr, nullptr));
        if (!scaler) return nullptr;
        // Matrix and range as the stream says; where it does not, by its height as is usual.
        const int matrix = frame->colorspace == AVCOL_SPC_BT709                                                    ? SWS_CS_ITU709
                           : frame->colorspace == AVCOL_SPC_BT2020_NCL || frame->colorspace == AVCOL_SPC_BT2020_CL ? SWS_CS_BT2020
                           : frame->colorspace == AVCOL_SPC_UNSPECIFIED && frame->height >= 720                    ? SWS_CS_ITU709
                                                                                                                   : SWS_CS_ITU601;
        const bool full = frame->color_range == AVCOL_RANGE_JPEG || format_in == AV_PIX_FMT_YUVJ420P || format_in == AV_PIX_FMT_YUVJ422P ||
                          format_in == AV_PIX_FMT_YUVJ444P;
        sws_setColorspaceDetails(scaler.get(), sws_getCoefficients(matrix), full ? 1 : 0, sws_getCoefficients(SWS_CS_DEFAULT), 1, 0,
                                 1 << 16, 1 << 16);
        sim::Image im;
        im.width = wide;
        im.height = frame->height;
        im.rgb = buffers->get(static_cast<std::size_t>(im.width) * im.height * 3 + 64);
        std::array<std::uint8_t*, 4> data{im.rgb.data()};
        std::array<int, 4> stride{im.width * 3};
        if (sws_scale(scaler.get(), frame->data, frame->linesize, 0, frame->height, data.data(), stride.data()) != im.height)
            return nullptr;
        im.rgb.resize(static_cast<std::size_t>(im.width) * im.height * 3);
        if (frame->color_trc == AVCOL_TRC_SMPTE2084 || frame->color_trc == AVCOL_TRC_ARIB_STD_B67) {
            if (!tones || tones->first != frame->color_trc) tones = {frame->color_trc, tone_curve(frame->color_trc)};
            for (auto& v : im.rgb) v = tones->second[v];
        }
        if (display.mirrored) mirror(im);
        return {new sim::Image(turned(std::move(im), info.rotation, *buffers)), [b = buffers](sim::Image* done) {
                    b->give_back(std::move(done->rgb));
                    delete done;
                }};
    }

    void remember(std::size_t i, std::shared_ptr<const sim::Image> im) {
        cache.emplace_back(i, std::move(im));
        while (cache.size() > 1 && cache.size() * cache.front().second->rgb.size() > cache_bytes) cache.pop_front();
    }

    Result<std::shared_ptr<const sim::Image>> get(std::size_t i) {
        if (i >= pts.size()) return fail(Code::not_found, "frame");
        for (const auto& c : cache)
            if (c.first == i) return c.second;
        if (absent.contains(i)) return fail(Code::unreadable, "frame " + std::to_string(i));
        const auto want = static_cast<std::ptrdiff_t>(i);
        // Farther back each time: at the key frame before it, three seconds before that, from the beginning.
        const double unit = av_q2d(stream->time_base);
        const std::array<double, 3> back{0, 3, -1};
        for (std::size_t attempt = 0; attempt < back.size(); ++attempt) {
            bool before = next >= 0 && next <= want && attempt == 0; // decoding runs on from a frame before it
            const bool at_once = before && want <= next + 2;         // a picture passed on the way is not asked for later
            if (!before || want > next + 90) {
                rewind();
                before = true;
                if (stamped && back[attempt] >= 0) {
                    const auto target = pts[i] - std::llround(back[attempt] / unit);
                    if (av_seek_frame(format.get(), stream->index, std::max<std::int64_t>(target, pts.front()), AVSEEK_FLAG_BACKWARD) < 0)
                        rewind();
                    avcodec_flush_buffers(codec.get());
                    next = -1;
                    before = false;
                    whole = false;
                }
            }
            while (decode()) {
                const auto at = index_of_frame();
                if (at < 0) continue;
                next = at + 1;
                if (!whole) continue;
                if (at > want) {
                    if (auto im = convert()) remember(static_cast<std::size_t>(at), im);
                    break; // the seek landed too late, or the frame is not there
                }
                before = true;
                if (at + 8 < want || (at_once && at < want)) continue;
                if (auto im = convert()) {
                    remember(static_cast<std::size_t>(at), im);
                    if (at == want) return im;
                }
            }
            if (stop.stop_requested()) return fail(Code::cancelled, "");
            // What the decoder passed over between a frame before and one after is not there: looking again farther back finds no more.
            if (before && next > want) {
                absent.insert(i);
                break;
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

Result<ClipReader> ClipReader::open(const std::filesystem::path& file, std::stop_token stop) {
    auto impl = std::make_unique<Impl>();
    impl->stop = std::move(stop);
    if (auto ok = impl->open(file); !ok) return tl::unexpected(ok.error());
    return ClipReader(std::move(impl));
}

} // namespace bevel
