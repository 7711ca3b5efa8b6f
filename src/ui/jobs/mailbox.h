// What other threads have to say, said on the thread it lives on. It crosses under our own lock; the toolkit's queue only rings the bell.
#pragma once
#include <functional>
#include <mutex>
#include <QObject>
#include <QPointer>
#include <vector>

namespace bevel::ui {

class Mailbox : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    /// From any thread, in order.
    void post(std::function<void()> what) {
        {
            const std::lock_guard lock(mutex_);
            mail_.push_back(std::move(what));
            if (mail_.size() > 1) return; // the bell has been rung
        }
        QMetaObject::invokeMethod(this, &Mailbox::deliver, Qt::QueuedConnection);
    }

private:
    void deliver() {
        std::vector<std::function<void()>> mail;
        {
            const std::lock_guard lock(mutex_);
            mail.swap(mail_);
        }
        const QPointer<Mailbox> here(this);
        for (auto& what : mail)
            if (here) what(); // what is said may be the end of whom it is said to
    }
    std::mutex mutex_;
    std::vector<std::function<void()>> mail_;
};

} // namespace bevel::ui
