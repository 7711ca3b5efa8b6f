// The line of the clips that wait: moved by keys and mouse; clips dropped on it; the filming guide.
#include "core/files.h"
#include "ui/arrivals/arrivals_page.h"
#include "ui/arrivals/evening_view.h"
#include "ui/arrivals/finding_queue.h"
#include "ui/arrivals/inbox.h"
#include "ui/arrivals/keeping_dialog.h"
#include "ui/arrivals/limit_strip.h"
#include "ui/arrivals/meant_dialog.h"
#include "ui/arrivals/parts_dialog.h"
#include "ui/arrivals/welcome.h"
#include "ui/paint/guide.h"
#include "ui/shell/flow_layout.h"
#include <QDragEnterEvent>
#include <QFileDialog>

namespace bevel::ui {

void ArrivalsPage::move_turn(int by) {
    const auto* r = chosen();
    if (!r || r->clip.state != ClipState::waiting) return;
    std::vector<const Clip*> line;
    for (const auto& row : rows())
        if (row.clip.state == ClipState::waiting) line.push_back(&row.clip);
    std::stable_sort(line.begin(), line.end(), [](const Clip* a, const Clip* b) { return a->turn < b->turn; });
    const auto at = std::find_if(line.begin(), line.end(), [&](const Clip* c) { return c->id == r->clip.id; }) - line.begin();
    const auto to = std::clamp<std::ptrdiff_t>(at + by, 0, static_cast<std::ptrdiff_t>(line.size()) - 1);
    if (to == at) return;
    std::swap(line[static_cast<std::size_t>(at)], line[static_cast<std::size_t>(to)]);
    std::vector<std::int64_t> ids;
    for (const auto* c : line) ids.push_back(c->id);
    set_line(ids);
}

void ArrivalsPage::put_before(int row, int other) {
    const ClipRow* from = row_at(row);
    if (!from || row == other) return;
    const Clip& moved = from->clip;
    if (moved.state != ClipState::waiting) return form_->notice().say(tr("Only clips that wait for their turn have an order."));
    std::vector<const Clip*> line;
    for (const auto& r : rows())
        if (r.clip.state == ClipState::waiting && r.clip.id != moved.id) line.push_back(&r.clip);
    std::stable_sort(line.begin(), line.end(), [](const Clip* a, const Clip* b) { return a->turn < b->turn; });
    auto at = line.end();
    if (const ClipRow* before = row_at(other))
        at = std::find_if(line.begin(), line.end(), [&](const Clip* c) { return c->id == before->clip.id; });
    line.insert(at, &moved);
    std::vector<std::int64_t> ids;
    for (const auto* c : line) ids.push_back(c->id);
    set_line(ids);
}

bool ArrivalsPage::eventFilter(QObject* of, QEvent* e) {
    if (of != table_->viewport()) return Place::eventFilter(of, e);
    if (e->type() == QEvent::DragEnter || e->type() == QEvent::DragMove || e->type() == QEvent::Drop) {
        auto* d = static_cast<QDropEvent*>(e);
        if (d->source() != table_) { // files from outside: the page takes them
            if (e->type() == QEvent::Drop)
                dropEvent(d);
            else if (d->mimeData()->hasUrls())
                d->acceptProposedAction();
            else
                d->ignore();
            return true;
        }
        if (e->type() == QEvent::Drop) { // the table's own rows are made anew from the record
            const auto index = table_->indexAt(d->position().toPoint());
            put_before(table_->currentIndex().row(), index.isValid() ? index.row() : -1);
            d->setDropAction(Qt::IgnoreAction);
            d->accept();
            return true;
        }
    }
    return Place::eventFilter(of, e);
}

void ArrivalsPage::set_line(const std::vector<std::int64_t>& ids) {
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, ids](std::stop_token) { return lib->clips().set_turns(ids); },
        [this](const Result<bool>& ok) {
            if (!ok) form_->notice().problem(text::error(ok.error()));
            session_.workspace->touched(0);
        });
}

void ArrivalsPage::save_guide() {
    const auto* r = chosen();
    auto movement = r ? session_.movement(r->clip.movement) : nullptr;
    if (!movement) movement = session_.movements.find([](const Movement&) { return true; });
    if (!movement) return;
    const QString& folder = session_.settings.export_folder;
    const QString name = QStringLiteral("filming-%1.html").arg(QString::fromStdString(movement->id));
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Filming guide for %1").arg(said(movement->name)),
                                     folder.isEmpty() ? name : folder + QLatin1Char('/') + name, tr("HTML (*.html);;PDF (*.pdf)"));
    if (file.isEmpty()) return;
    write_guide(*movement, file);
}

void ArrivalsPage::write_guide(const Movement& movement, const QString& file) {
    session_.files().run<Result<bool>>(
        this,
        [movement, path = file.toStdString()](std::stop_token) -> Result<bool> {
            const auto bytes = path.ends_with(".pdf") ? guide_pdf(movement) : Result<QByteArray>(guide_html(movement).toUtf8());
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, std::string_view(bytes->constData(), static_cast<std::size_t>(bytes->size())));
        },
        [this, file](const Result<bool>& ok) {
            if (ok)
                form_->notice().say(tr("Saved: %1").arg(file));
            else
                form_->notice().problem(text::error(ok.error()), tr("Save elsewhere …"), [this] { save_guide(); });
        });
}

void ArrivalsPage::dragEnterEvent(QDragEnterEvent* e) {
    if (e->mimeData()->hasUrls()) e->acceptProposedAction();
}

void ArrivalsPage::dropEvent(QDropEvent* e) {
    QStringList paths;
    for (const QUrl& url : e->mimeData()->urls())
        if (url.isLocalFile()) paths << url.toLocalFile();
    if (paths.isEmpty()) return;
    e->acceptProposedAction();
    tabs_->setCurrentIndex(1);
    session_.inbox->take(paths);
}

} // namespace bevel::ui
