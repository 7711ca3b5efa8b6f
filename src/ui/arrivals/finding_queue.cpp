#include "ui/arrivals/finding_queue.h"
#include <chrono>
#include <QLocale>

namespace bevel::ui {

FindingQueue::~FindingQueue() {
    stop();
}

void FindingQueue::stop() {
    if (stop_) stop_->request_stop();
}

void FindingQueue::go_on() {
    if (running_ != 0 || rests_) return;
    if (looking_) { // what is being read may be old
        again_ = true;
        return;
    }
    looking_ = true;
    again_ = false;
    session_.background->run<Result<Listed>>(
        this,
        [lib = session_.library](std::stop_token) -> Result<Listed> {
            ClipQuery line;
            line.states = {ClipState::waiting};
            line.most = 100000;
            auto all = list_clips(*lib, line);
            if (!all || lib->read_only()) return all;
            // One that ended the program twice in the middle is left alone until somebody asks for it.
            for (auto& r : all->rows)
                if (lib->tracks().attempts(r.clip.id) >= 2) {
                    if (auto ok = lib->clips().set_state(r.clip.id, ClipState::failed, "stops"); !ok) return tl::unexpected(ok.error());
                    if (auto ok = lib->tracks().end_attempt(r.clip.id); !ok) return tl::unexpected(ok.error());
                    r.clip.state = ClipState::failed;
                }
            return all;
        },
        [this](const Result<Listed>& all) {
            looking_ = false;
            if (again_) return go_on();
            if (!all || session_.library->read_only() || rests_) return;
            const ClipRow* first = nullptr;
            for (const auto& r : all->rows)
                if (r.clip.state == ClipState::waiting && (!first || r.clip.turn < first->clip.turn)) first = &r;
            if (first) start(*first);
        });
}

/// How many frames are still to come after the clip under way.
void FindingQueue::count_waiting() {
    session_.files().run<std::size_t>(
        this,
        [lib = session_.library, counted = counted_, running = running_](const std::stop_token& stop) {
            std::size_t all = 0;
            ClipQuery line;
            line.states = {ClipState::waiting};
            line.most = 100000;
            if (const auto clips = lib->clips().find(line))
                for (const auto& c : *clips) {
                    if (c.state != ClipState::waiting || c.id == running || stop.stop_requested()) continue;
                    auto it = counted->find(c.id);
                    if (it == counted->end()) {
                        const auto reader = ClipReader::open(lib->clips().path_of(c), stop);
                        it = counted->emplace(c.id, reader ? reader->info().time_s.size() : 0).first;
                    }
                    all += it->second;
                }
            return all;
        },
        [this](std::size_t frames) { waiting_frames_ = frames; });
}

void FindingQueue::rest(bool on) {
    rests_ = on;
    if (!on) go_on();
}

void FindingQueue::start(const ClipRow& row) {
    running_ = row.clip.id;
    stop_ = std::make_shared<std::stop_source>();
    const auto movement = session_.movement(row.clip.movement);
    const QString subject = row.clip.person == 0 ? QString::fromStdString(row.clip.named)
                            : movement           ? tr("%1, %2").arg(QString::fromStdString(row.person.name), said(movement->name))
                                                 : QString::fromStdString(row.person.name);
    job_ = session_.jobs->begin(JobKind::finding, subject, [this] { stop(); });
    FindOrder order{row.clip, row.person, movement ? std::optional(*movement) : std::nullopt, {}};
    order.options.model_dir = session_.model_dir;
    order.options.model = static_cast<Model>(session_.settings.model);
    if (row.clip.meant) order.options.person = Vec2(row.clip.meant->x, row.clip.meant->y);
    const auto began = std::chrono::steady_clock::now();
    order.options.progress = [queue = QPointer<FindingQueue>(this), finder = session_.finder, began,
                              first = std::make_shared<std::size_t>(0)](std::size_t done, std::size_t total,
                                                                        const std::optional<BodyPx>& body) {
        if (*first == 0) *first = done; // what was found in an earlier run took no time in this one
        if (done % 5 != 0 && done != total) return;
        const double s = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
        const double rate = s > 0 ? static_cast<double>(done - *first + 1) / s : 0;
        finder->report(queue.data(), [queue, done, total, rate, body] {
            if (queue->running_ == 0) return;
            const double left = rate > 0 ? static_cast<double>(total - done) / rate : 0;
            queue->left_s_ = rate > 0 ? std::optional(left + static_cast<double>(queue->waiting_frames_) / rate) : std::nullopt;
            QString words = tr("%1 frames/s · %2 s left").arg(QLocale().toString(rate, 'f', 0), QLocale().toString(left, 'f', 0));
            if (queue->left_s_ && queue->waiting_frames_ > 0)
                words += QStringLiteral(" · ") + (*queue->left_s_ < 90
                                                      ? tr("all of them: %1 s").arg(QLocale().toString(*queue->left_s_, 'f', 0))
                                                      : tr("all of them: %1 min").arg(QLocale().toString(*queue->left_s_ / 60, 'f', 0)));
            queue->session_.jobs->progress(queue->job_, static_cast<double>(done) / static_cast<double>(std::max<std::size_t>(1, total)),
                                           words);
            emit queue->frame({body});
        });
    };
    left_s_.reset();
    count_waiting();
    emit started(running_);
    session_.finder->run<QString>(
        this,
        [lib = session_.library, forms = session_.forms_now(), order, stop = stop_](const std::stop_token& quit) {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            if (quit.stop_requested()) return QString(); // it goes on at the next start
            (void)lib->tracks().begin_attempt(order.clip.id);
            QString problem;
            try {
                if (const auto why = find_body(*lib, forms, order, stop->get_token())) problem = text::error(*why);
            } catch (const std::exception& e) { // what a library throws on a bad clip or a bad day is this clip's own trouble
                const std::string why = std::string("unreadable: ") + e.what();
                (void)lib->clips().set_state(order.clip.id, ClipState::failed, why);
                problem = text::reason(QString::fromStdString(why));
            }
            (void)lib->tracks().end_attempt(order.clip.id);
            return problem;
        },
        [this](const QString& problem) {
            const qint64 clip = std::exchange(running_, 0);
            const bool cancelled = stop_ && stop_->stop_requested();
            session_.jobs->end(job_,
                               cancelled           ? JobOutcome::cancelled
                               : problem.isEmpty() ? JobOutcome::done
                                                   : JobOutcome::failed,
                               cancelled ? QString() : problem);
            emit finished(clip, problem);
            session_.workspace->touched(clip);
            go_on();
        });
}

} // namespace bevel::ui
