// A list that is replaced whole on the interface thread and read on any: who reads holds the list as it was when they asked, for as long as
// they need it.
#pragma once
#include <atomic>
#include <memory>
#include <vector>

namespace bevel::ui {

template <class T> class Versions {
public:
    using Snapshot = std::shared_ptr<const std::vector<T>>;
    /// One list to walk through, the same from beginning to end.
    class All {
    public:
        explicit All(Snapshot of) : of_(std::move(of)) {}
        auto begin() const { return of_->begin(); }
        auto end() const { return of_->end(); }

    private:
        Snapshot of_;
    };
    Versions() : now_(std::make_shared<const std::vector<T>>()) {}
    Versions& operator=(std::vector<T> next) {
        now_.store(std::make_shared<const std::vector<T>>(std::move(next)));
        return *this;
    }
    Snapshot now() const { return now_.load(); }
    All all() const { return All(now()); }
    std::size_t size() const { return now()->size(); }
    bool empty() const { return size() == 0; }
    /// The first for which `fits` holds, kept alive by whoever holds it; null without one.
    template <class F> std::shared_ptr<const T> find(F fits) const {
        const Snapshot in = now();
        for (const auto& x : *in)
            if (fits(x)) return {in, &x};
        return nullptr;
    }

private:
    std::atomic<Snapshot> now_;
};

} // namespace bevel::ui
