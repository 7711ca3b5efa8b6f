// A list that is read on any thread while another takes its place: the last versions stay, so that whoever looks at an older
// one (a second or two of work in the background; a version is made by a person's hand) finds it whole.
#pragma once
#include <atomic>
#include <deque>
#include <memory>
#include <mutex>
#include <span>
#include <vector>

namespace bevel::ui {

template <class T> class Versions {
public:
    Versions() { *this = std::vector<T>(); }
    Versions& operator=(std::vector<T> next) {
        const std::lock_guard lock(mutex_);
        all_.push_back(std::make_unique<const std::vector<T>>(std::move(next)));
        now_ = all_.back().get();
        if (all_.size() > kept) all_.pop_front();
        return *this;
    }
    const std::vector<T>& now() const { return *now_; }
    operator const std::vector<T>&() const { return now(); }
    operator std::span<const T>() const { return now(); }
    auto begin() const { return now().begin(); }
    auto end() const { return now().end(); }
    std::size_t size() const { return now().size(); }
    bool empty() const { return now().empty(); }
    const T& front() const { return now().front(); }

private:
    static constexpr std::size_t kept = 8;
    std::mutex mutex_;
    std::deque<std::unique_ptr<const std::vector<T>>> all_;
    std::atomic<const std::vector<T>*> now_{nullptr};
};

} // namespace bevel::ui
