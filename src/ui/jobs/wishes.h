// A thread with the newest wish for it: an older one that was not begun is dropped.
#pragma once
#include <condition_variable>
#include <functional>
#include <mutex>
#include <optional>
#include <thread>
#include <utility>

namespace bevel::ui {

template <class Wish> class Wishes {
public:
    ~Wishes() { stop(); }
    void set(Wish w) {
        const std::lock_guard lock(mutex_);
        wish_ = std::move(w);
        changed_.notify_all();
    }
    /// Waits for a wish, on their own thread; nothing when it is to end.
    std::optional<Wish> next(const std::stop_token& stop) {
        std::unique_lock lock(mutex_);
        changed_.wait(lock, stop, [&] { return wish_.has_value(); });
        if (stop.stop_requested()) return std::nullopt;
        return std::exchange(wish_, std::nullopt);
    }
    void start(std::function<void(const std::stop_token&)> work) { thread_ = std::jthread(std::move(work)); }
    void stop() {
        thread_.request_stop();
        changed_.notify_all();
        if (thread_.joinable()) thread_.join();
    }

private:
    std::mutex mutex_;
    std::condition_variable_any changed_;
    std::optional<Wish> wish_;
    std::jthread thread_;
};

} // namespace bevel::ui
