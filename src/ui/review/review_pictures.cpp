// What is done with the pictures of a review: the reference laid over, a part played over and over, a still.
#include "core/files.h"
#include "ui/paint/hidden.h"
#include "ui/review/review_page.h"
#include <QBuffer>
#include <QCheckBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>

namespace bevel::ui {

/// The part of the movement at the cursor; between repetitions the whole of the one before.
std::optional<std::pair<double, double>> ReviewPage::part_at_cursor() const {
    const auto* rep = state_.open ? state_.repetition_of(state_.frame) : nullptr;
    if (!rep && state_.repetition() >= 0) rep = &state_.open->review->alignment.repetitions[static_cast<std::size_t>(state_.repetition())];
    if (!rep) return std::nullopt;
    for (const auto& p : rep->phases)
        if (state_.time() >= p.start_s - 1e-6 && state_.time() < p.end_s) return std::pair(p.start_s, p.end_s);
    return std::pair(rep->start_s, rep->end_s);
}

/// Plays the part at the cursor over and over, until it is switched off or something else is chosen.
void ReviewPage::loop_part(bool on) {
    looped_ = on ? part_at_cursor() : std::nullopt;
    if (loop_->isChecked() != looped_.has_value()) loop_->setChecked(looped_.has_value());
    if (on && !looped_) return notice_->say(tr("No repetition was found here to play over and over."));
    if (looped_) state_.set_time(looped_->first);
    play(on);
}

/// Where the clip goes on from `clock`: back to the beginning of the part that is played over and over.
double ReviewPage::looped(double clock) {
    if (!looped_) return clock;
    const double one_frame = 1 / std::max(1.0, state_.open->review->motion.rate);
    // Who moves the cursor away has another part in mind.
    if (clock < looped_->first - one_frame || clock > looped_->second + 0.5) {
        looped_.reset();
        loop_->setChecked(false);
        return clock;
    }
    return clock < looped_->second ? clock : looped_->first;
}

void ReviewPage::ask_still() {
    if (!state_.open) return;
    if (!student_->is_current()) return notice_->say(tr("The picture is still being made: try again in a moment."));
    auto* dialog = new QDialog(this);
    dialog->setObjectName(QStringLiteral("stillDialog"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(tr("The picture of now"));
    auto* box = new QVBoxLayout(dialog);
    auto* words =
        new QLabel(tr("The student's picture at %1, with the lines that are drawn on it now.").arg(text::time(state_.shown_time())));
    words->setWordWrap(true);
    box->addWidget(words);
    auto* hide = new QCheckBox(tr("Hide who it is"));
    hide->setObjectName(QStringLiteral("hideStill"));
    hide->setToolTip(tr("The head and everything around the body are covered"));
    hide->setChecked(true); // what leaves shows no face unless that is wanted
    box->addWidget(hide);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Save | QDialogButtonBox::Cancel);
    connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, this, [this, dialog, hide] {
        const bool hidden = hide->isChecked();
        dialog->accept();
        const QString& folder = session_.settings.export_folder;
        const QString name = QStringLiteral("moment.png");
        const QString file = QFileDialog::getSaveFileName(this, tr("Save the picture"),
                                                          folder.isEmpty() ? name : folder + QLatin1Char('/') + name, tr("PNG (*.png)"));
        if (!file.isEmpty()) save_still(file, hidden);
    });
    box->addWidget(buttons);
    dialog->open();
}

void ReviewPage::save_still(const QString& file, bool hide) {
    if (!state_.open) return;
    // A file name goes out too.
    if (hide && tells(QFileInfo(file).completeBaseName(), {QString::fromStdString(state_.open->person.name)}))
        return notice_->problem(tr("The name of the file tells who it is."), tr("Save elsewhere …"), [this] { ask_still(); });
    const QImage picture = student_->still(hide, 1200);
    if (picture.isNull())
        return notice_->problem(hide ? tr("The body is not found surely enough here to hide who it is. Choose another moment.")
                                     : tr("There is no picture of this moment."));
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    picture.save(&buffer, "PNG");
    session_.files().run<Result<bool>>(
        this,
        [bytes, path = file.toStdString()](std::stop_token) {
            return write_whole(path, std::string_view(bytes.constData(), static_cast<std::size_t>(bytes.size())));
        },
        [this, file](const Result<bool>& ok) {
            if (!ok) return notice_->problem(text::error(ok.error()), tr("Save elsewhere …"), [this] { ask_still(); });
            session_.settings.export_folder = QFileInfo(file).absolutePath();
            notice_->say(tr("Saved: %1").arg(file));
        });
}

} // namespace bevel::ui
