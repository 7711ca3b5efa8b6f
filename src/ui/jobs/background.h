// Work off the interface thread. One serial thread owns the library and files; each start has exactly one end, and results come back
// as calls on the interface thread. Whoever is gone by then is not called.
#pragma once
#include "core/result.h"
#include "ui/jobs/mailbox.h"
#include <chrono>
#include <condition_variable>
#include <deque>
#include <exception>
#include <functional>
#include <mutex>
#include <new>
#include <QObject>
#include <QPointer>
#include <thread>

namespace bevel::ui {

class Background : public QObject {
    Q_OBJECT
public:
    explicit Background(QObject* parent = nullptr);
    ~Background() override;

    /// Runs `work` on the thread; what it returns is run on the interface thread while `owner` lives.
    using After = std::function<void()>;
    void post(QObject* owner, std::function<After(std::stop_token)> work);
    /// The same by values: `work` gets and gives values and knows nothing of its owner; `then` gets what it made, on the interface thread.
    /// What a library throws on a bad day (no memory) comes as an error of the Result; a job without one ends without its `then`.
    template <class T> void run(QObject* owner, std::function<T(std::stop_token)> work, std::function<void(T)> then) {
        post(owner, [work = std::move(work), then = std::move(then)](std::stop_token stop) -> After {
            auto made = std::make_shared<T>(caught<T>(work, std::move(stop)));
            return [made, then] { then(std::move(*made)); };
        });
    }
    /// From any thread: runs `what` on the interface thread while `owner` lives. For progress of work under way.
    void report(QPointer<QObject> owner, After what);
    bool idle() const;

private:
    template <class T> static T caught(const std::function<T(std::stop_token)>& work, std::stop_token stop) {
        if constexpr (std::is_constructible_v<T, tl::unexpected<Error>>) {
            try {
                return work(std::move(stop));
            } catch (const std::bad_alloc&) {
                return fail(Code::too_large, "memory");
            } catch (const std::exception& e) {
                return fail(Code::unreadable, e.what());
            }
        } else {
            return work(std::move(stop));
        }
    }
    void loop(const std::stop_token& stop);
    void give_back();
    bool idle_soon() const;
    struct Job {
        QPointer<QObject> owner;
        std::function<After(std::stop_token)> work;
    };
    Mailbox mail_;
    mutable std::mutex mutex_;
    std::condition_variable_any changed_;
    std::deque<Job> queue_;
    bool busy_ = false;
    std::chrono::steady_clock::time_point given_back_{}; // of its own thread
    std::jthread thread_;
};

} // namespace bevel::ui
