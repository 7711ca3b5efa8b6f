#include "ui/jobs/background.h"
#include <cstdio>
#include <malloc.h>

namespace bevel::ui {

Background::Background(QObject* parent) : QObject(parent), thread_([this](const std::stop_token& s) { loop(s); }) {}

Background::~Background() {
    thread_.request_stop();
    changed_.notify_all();
    thread_.join();
}

void Background::post(QObject* owner, std::function<After(std::stop_token)> work) {
    const std::lock_guard lock(mutex_);
    queue_.push_back({owner, std::move(work)});
    changed_.notify_all();
}

void Background::report(QPointer<QObject> owner, After what) {
    mail_.post([owner = std::move(owner), what = std::move(what)] {
        if (owner) what();
    });
}

bool Background::idle() const {
    const std::lock_guard lock(mutex_);
    return queue_.empty() && !busy_;
}

/// What a job held goes back to the system when there is nothing more to do, at most every few seconds: the allocator of a thread keeps it
/// else (a clip judged against all movements takes a hundred megabytes for a moment).
void Background::give_back() {
    const auto now = std::chrono::steady_clock::now();
    if (!idle_soon() || now - given_back_ < std::chrono::seconds(5)) return;
    given_back_ = now;
    ::malloc_trim(0);
}

bool Background::idle_soon() const {
    const std::lock_guard lock(mutex_);
    return queue_.empty();
}

void Background::loop(const std::stop_token& stop) {
    while (true) {
        Job job;
        {
            std::unique_lock lock(mutex_);
            busy_ = false;
            changed_.wait(lock, stop, [&] { return !queue_.empty(); });
            if (queue_.empty()) return; // asked to stop, and everything posted has been written
            job = std::move(queue_.front());
            queue_.pop_front();
            busy_ = true;
        }
        After after;
        try {
            after = job.work(stop);
        } catch (const std::exception& e) { // one job fails, and not the program with all that is open in it
            std::fprintf(stderr, "bevel: work in the background failed: %s\n", e.what());
        }
        if (after) report(job.owner, std::move(after));
        job = {};
        give_back();
    }
}

} // namespace bevel::ui
