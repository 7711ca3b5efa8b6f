#include "media/container.h"

namespace bevel {

Result<OwnAv<AVFormatContext>> open_container(const std::filesystem::path& file, std::stop_token& stop) {
    av_log_set_level(AV_LOG_QUIET);
    std::error_code ec;
    if (!std::filesystem::is_regular_file(file, ec)) return fail(Code::cannot_open, file.string());
    if (std::filesystem::file_size(file, ec) == 0) return fail(Code::unreadable, "empty");
    const std::string url = "file:" + file.string();
    AVFormatContext* raw = avformat_alloc_context();
    if (!raw) return fail(Code::cannot_open, file.string());
    raw->interrupt_callback = {[](void* s) { return static_cast<std::stop_token*>(s)->stop_requested() ? 1 : 0; }, &stop};
    AVDictionary* opts = nullptr;
    // Playlists could lead to other files or hosts: only self-contained files are read.
    av_dict_set(&opts, "protocol_whitelist", "file", 0);
    av_dict_set(&opts, "format_whitelist", "mov,mp4,m4a,3gp,3g2,mj2,matroska,webm,avi,mpegts,mpeg,mjpeg,ogg,flv,asf", 0);
    const int rc = avformat_open_input(&raw, url.c_str(), nullptr, &opts);
    av_dict_free(&opts);
    OwnAv<AVFormatContext> format(rc >= 0 ? raw : nullptr);
    if (stop.stop_requested()) return fail(Code::cancelled, "");
    if (!format) return fail(Code::unreadable, "not a clip");
    format->max_analyze_duration = 10 * AV_TIME_BASE;
    if (avformat_find_stream_info(raw, nullptr) < 0) return fail(Code::unreadable, "no streams");
    return format;
}

} // namespace bevel
