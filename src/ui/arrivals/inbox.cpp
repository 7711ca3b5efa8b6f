#include "ui/arrivals/inbox.h"
#include "ui/shell/session.h"
#include <QDir>
#include <QFileInfo>

namespace bevel::ui {
namespace {

/// Clips among files and in folders. Not on the interface thread: a folder may be on a slow disk.
QStringList clips_in(const QStringList& paths) {
    QStringList files;
    for (const QString& p : paths) {
        const QFileInfo info(p);
        if (info.isFile()) files << info.absoluteFilePath();
        if (!info.isDir()) continue;
        for (const auto& inside : QDir(p).entryInfoList(Inbox::endings(), QDir::Files, QDir::Name)) files << inside.absoluteFilePath();
    }
    return files;
}

} // namespace

QStringList Inbox::endings() {
    return {QStringLiteral("*.mp4"), QStringLiteral("*.mov"), QStringLiteral("*.webm"),
            QStringLiteral("*.mkv"), QStringLiteral("*.avi"), QStringLiteral("*.m4v")};
}

Inbox::Inbox(Session& session, QObject* parent) : QObject(parent), session_(session) {
    later_.setInterval(1500);
    later_.setSingleShot(true);
    connect(&watcher_, &QFileSystemWatcher::directoryChanged, &later_, qOverload<>(&QTimer::start));
    connect(&later_, &QTimer::timeout, this, &Inbox::look);
}

void Inbox::take(const QStringList& paths, bool even_if_same) {
    session_.files().run<QStringList>(
        this, [paths](std::stop_token) { return clips_in(paths); },
        [this, even_if_same](const QStringList& files) {
            if (files.isEmpty()) return emit no_clip();
            line_ << files;
            if (even_if_same)
                for (const QString& f : files) again_ << f;
            if (!busy_) next();
        });
}

void Inbox::next() {
    busy_ = !line_.isEmpty();
    if (!busy_) {
        const Batch b = std::exchange(batch_, {});
        if (b.taken > 0 || !b.there.isEmpty() || !b.problems.isEmpty()) emit ended(b.taken, b.there, b.problems);
        return;
    }
    const QString file = line_.takeFirst();
    const QString name = QFileInfo(file).fileName();
    auto stop = std::make_shared<std::stop_source>();
    const int job = session_.jobs->begin(
        JobKind::copying, line_.isEmpty() ? name : tr("%1 (%n more after it)", nullptr, static_cast<int>(line_.size())).arg(name),
        [stop] { stop->request_stop(); });
    auto progress = [jobs = QPointer<Jobs>(session_.jobs), lane = &session_.files(), job](double share) {
        lane->report(jobs.data(), [jobs, job, share] { jobs->progress(job, share); });
    };
    session_.files().run<Result<Taken>>(
        this,
        [lib = session_.library, file = file.toStdString(), mirrored = session_.settings.mirrored, even = again_.remove(file), stop,
         progress](const std::stop_token& quit) {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            return bevel::take_in(*lib, file, even, mirrored, stop->get_token(), progress);
        },
        [this, job, file, name](const Result<Taken>& taken) {
            const bool cancelled = !taken && taken.error().code == Code::cancelled;
            session_.jobs->end(job,
                               taken       ? JobOutcome::done
                               : cancelled ? JobOutcome::cancelled
                                           : JobOutcome::failed,
                               taken || cancelled ? QString() : text::error(taken.error()));
            if (taken && taken->same) batch_.there << file;
            if (taken && !taken->same) ++batch_.taken;
            if (cancelled) line_.clear(); // the rest of the batch too
            if (!taken && !cancelled) batch_.problems << tr("%1: %2").arg(name, text::error(taken.error()));
            if (taken && !taken->same) session_.workspace->touched(0);
            next();
        });
}

void Inbox::watch(const QString& folder) {
    if (!watcher_.directories().isEmpty()) watcher_.removePaths(watcher_.directories());
    folder_ = folder;
    seen_.clear();
    size_.clear();
    if (folder.isEmpty() || !QFileInfo(folder).isDir()) return;
    watcher_.addPath(folder);
    later_.start();
}

/// A file is taken once two looks have found it of the same size.
void Inbox::look() {
    if (folder_.isEmpty()) return;
    bool growing = false;
    QStringList whole;
    for (const auto& info : QDir(folder_).entryInfoList(endings(), QDir::Files, QDir::Name)) {
        const QString path = info.absoluteFilePath();
        if (seen_.contains(path)) continue;
        const auto before = size_.value(path, -1);
        size_[path] = info.size();
        if (before == info.size() && info.size() > 0) {
            seen_ << path;
            whole << path;
        } else {
            growing = true;
        }
    }
    if (!whole.isEmpty()) take(whole);
    if (growing) later_.start();
}

} // namespace bevel::ui
