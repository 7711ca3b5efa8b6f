#include "ui/arrivals/evening.h"
#include "desk/letter.h"
#include "ui/shell/workspace.h"
#include <algorithm>
#include <nlohmann/json.hpp>
#include <QDate>

namespace bevel::ui {

void Evening::watch() {
    connect(session_.workspace, &Workspace::changed, this, &Evening::refresh);
    refresh();
}

void Evening::refresh() {
    struct Loaded {
        Result<std::vector<Waiting>> all;
        Result<std::vector<LetterLine>> due;
        std::string minutes;
    };
    const int run = ++run_;
    const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, today](std::stop_token) {
            return Loaded{lib->letters().waiting(), lib->letters().due(today), lib->settings().get("minutes_a_letter")};
        },
        [this, run](Loaded l) {
            if (run != run_) return; // a newer one is under way
            all_ = l.all ? by_visit(*l.all) : std::vector<Waiting>{};
            due_ = l.due ? std::move(*l.due) : std::vector<LetterLine>{};
            minutes_.clear();
            if (const auto j = nlohmann::json::parse(l.minutes, nullptr, false); j.is_array())
                for (const auto& m : j)
                    if (m.is_number()) minutes_.push_back(m.get<double>());
            emit changed();
        });
}

void Evening::next() {
    const qint64 open = session_.workspace->clip();
    if (open != 0 && std::find(passed_.begin(), passed_.end(), open) == passed_.end()) passed_.push_back(open);
    const auto passed = [&](const Waiting& w) { return std::find(passed_.begin(), passed_.end(), w.clip) != passed_.end(); };
    auto it = std::find_if(all_.begin(), all_.end(), [&](const Waiting& w) { return !passed(w); });
    if (it == all_.end()) { // those left for later come round again
        passed_.assign(1, open);
        it = std::find_if(all_.begin(), all_.end(), [&](const Waiting& w) { return w.clip != open; });
    }
    if (it == all_.end()) return emit nobody_waits();
    if (it->unnamed) {
        passed_.push_back(it->clip);
        return session_.workspace->go(QStringLiteral("arrivals"), {it->clip});
    }
    begun(it->clip);
    session_.workspace->go(QStringLiteral("review"), {it->clip});
}

void Evening::begun(qint64 clip) {
    if (std::exchange(clip_, clip) != clip || !since_.isValid()) since_.start();
}

void Evening::letter_saved(qint64 clip) {
    if (clip != clip_ || !since_.isValid()) return;
    minutes_.push_back(static_cast<double>(since_.elapsed()) / 60000);
    since_.invalidate();
    if (minutes_.size() > kept) minutes_.erase(minutes_.begin());
    const std::string text = nlohmann::json(minutes_).dump();
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, text](std::stop_token) { return lib->settings().set("minutes_a_letter", text); },
        [](const Result<bool>&) {});
}

double Evening::minutes_each() const {
    if (minutes_.empty()) return usual_minutes;
    std::vector<double> m = minutes_;
    std::nth_element(m.begin(), m.begin() + static_cast<std::ptrdiff_t>(m.size() / 2), m.end());
    return m[m.size() / 2];
}

} // namespace bevel::ui
