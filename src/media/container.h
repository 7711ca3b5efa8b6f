// Opening a clip's container: what the reader of its pictures and the one of its sound share. Of this layer alone.
#pragma once
#include "core/result.h"
#include <filesystem>
#include <memory>
#include <stop_token>
extern "C" {
#include <libavcodec/avcodec.h>
#include <libavformat/avformat.h>
#include <libswresample/swresample.h>
#include <libswscale/swscale.h>
}

namespace bevel {

struct FreeAv {
    void operator()(AVFormatContext* c) const { avformat_close_input(&c); }
    void operator()(AVCodecContext* c) const { avcodec_free_context(&c); }
    void operator()(AVFrame* f) const { av_frame_free(&f); }
    void operator()(AVPacket* p) const { av_packet_free(&p); }
    void operator()(SwsContext* s) const { sws_freeContext(s); }
    void operator()(SwrContext* s) const { swr_free(&s); }
};
template <class T> using OwnAv = std::unique_ptr<T, FreeAv>;

/// Self-contained files of known kinds only. cannot_open, unreadable, cancelled. `stop` outlives what is given back: every read asks it.
Result<OwnAv<AVFormatContext>> open_container(const std::filesystem::path& file, std::stop_token& stop);

} // namespace bevel
