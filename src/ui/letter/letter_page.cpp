#include "ui/letter/letter_page.h"
#include "core/days.h"
#include "core/files.h"
#include "store/reminder.h"
#include "ui/letter/field_edit.h"
#include "ui/letter/letter_view.h"
#include "ui/letter/mail.h"
#include "ui/letter/phrase_dialog.h"
#include "ui/letter/sent_dialog.h"
#include "ui/letter/with_box.h"
#include "ui/shell/empty_state.h"
#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QCoreApplication>
#include <QDateEdit>
#include <QDir>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QGuiApplication>
#include <QInputDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPrinter>
#include <QPrintPreviewDialog>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedLayout>
#include <QStandardPaths>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {
void print_letter(QPrinter& printer, const LetterContent& c) {
    printer.setPageSize(QPageSize(QPageSize::A4));
    printer.setFullPage(true);
    QPainter p(&printer);
    const QRectF page = printer.pageLayout().fullRectPixels(printer.resolution());
    const int pages = letter_pages(c);
    for (int i = 0; i < pages; ++i) {
        if (i > 0) printer.newPage();
        p.save();
        p.scale(page.width() / 595, page.width() / 595);
        paint_letter_page(p, c, i, Theme());
        p.restore();
    }
}

} // namespace

LetterPage::LetterPage(Session& session, QWidget* parent) : Place(session, "letter", parent) {
    build();
    delay_.setSingleShot(true);
    delay_.setInterval(350);
    connect(&delay_, &QTimer::timeout, this, &LetterPage::render);
}

void LetterPage::settle() {
    const bool open = open_ != nullptr;
    for (auto* b : {pdf_, html_, print_, sent_, text_, cards_, spoken_, mail_, mark_, answered_}) b->setEnabled(open && !busy_);
    reminder_->setEnabled(open && look_again_->isChecked());
    consent_->setVisible(open && !agrees(facts_, Purpose::shown, bevel::today()) && !hide_->isChecked());
    clip_->setEnabled(open && !busy_ && open_->has_file && !chosen().key.isEmpty());
    clip_->setToolTip(open && open_->clip.film_dropped ? tr("The film was deleted when its time had come")
                      : open && !open_->has_file       ? tr("The clip's file is not where it was: point to it in the review")
                                                       : tr("Save the moment of the chosen correction as a clip three times as slow"));
}

/// Lengths as the reader is used to them.
Units LetterPage::units_of_letter() const {
    Units u = session_.settings.units(open_->review->motion, open_->person);
    if (!facts_.lengths.empty()) u.inches = facts_.lengths == "in";
    return u;
}

void LetterPage::leave() {
    if (!delay_.isActive()) return;
    delay_.stop();
    render();
}

void LetterPage::open(Ref ref) {
    if (const qint64 clip = ref.clip != 0 ? ref.clip : session_.workspace->clip(); clip != 0) open_clip(clip);
}

void LetterPage::open_clip(qint64 id) {
    struct Loaded {
        Result<std::shared_ptr<const OpenReview>> open;
        std::vector<LetterRecord> letters;
        std::string signed_by, place;
        PersonFacts facts;
        Better better;
        std::vector<OwnForm> templates;
        bool figures = true;
        std::map<qint64, HomeGate> gates;
        std::vector<std::shared_ptr<const OpenReview>> beside;
    };
    leave();
    const int run = ++opening_run_;
    // From now on nothing of the former letter can go out.
    open_.reset();
    empty_->say(tr("Opening …"));
    ++run_;
    delay_.stop();
    title_->setText(tr("Letter"));
    preview_->say(tr("Opening …"));
    settle();
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, forms = session_.forms(), tongue = spoken_language().toStdString(), id](std::stop_token) {
            Loaded l{load_review(*lib, forms, id, tongue),
                     {},
                     lib->settings().get("signed_by"),
                     lib->settings().get("place"),
                     {},
                     {},
                     {},
                     true,
                     {},
                     {}};
            if (auto letters = lib->letters().of(id)) l.letters = std::move(*letters);
            // What goes with the letter of another clip is written there.
            if (!l.letters.empty() && answered_elsewhere(*lib, l.letters.front()))
                if (auto first = load_review(*lib, forms, l.letters.front().goes_with, tongue)) {
                    l.open = std::move(first);
                    l.letters.clear();
                    if (auto letters = lib->letters().of((*l.open)->clip.id)) l.letters = std::move(*letters);
                }
            l.figures = lib->settings().get("letter_figures") != "no";
            if (auto own = lib->forms().all(Own::letter)) l.templates = std::move(*own);
            if (!l.open) return l;
            if (auto facts = lib->people().facts((*l.open)->person.id)) l.facts = std::move(*facts);
            const OpenReview& shown = **l.open;
            std::vector<std::int64_t> others;
            if (!l.letters.empty())
                for (const auto& part : l.letters.front().also) others.push_back(part.clip);
            if (l.letters.empty() || l.letters.front().sent_on.empty())
                for (const auto other : visit_beside(*lib, shown.clip))
                    if (std::find(others.begin(), others.end(), other) == others.end()) others.push_back(other);
            for (const auto other : others)
                if (auto open = load_review(*lib, forms, other, tongue); open && (*open)->person.id == shown.person.id)
                    l.beside.push_back(std::move(*open));
            const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
            l.gates[shown.clip.id] = home_gate(shown, *lib, forms, today);
            for (const auto& open : l.beside) l.gates[open->clip.id] = home_gate(*open, *lib, forms, today);
            if (auto better = better_in(*lib, (*l.open)->clip, *(*l.open)->review)) l.better = std::move(*better);
            return l;
        },
        [this, run](Loaded l) {
            if (run != opening_run_) return; // another was asked for meanwhile
            if (!l.open) {
                message_->problem(text::error(l.open.error()));
                empty_->say(text::error(l.open.error()));
                return;
            }
            either_->setCurrentIndex(1);
            open_ = *l.open;
            saved_ = std::move(l.letters);
            facts_ = std::move(l.facts);
            better_ = std::move(l.better);
            gates_ = std::move(l.gates);
            beside_ = std::move(l.beside);
            own_ = std::move(l.templates);
            {
                const QSignalBlocker quiet(figures_);
                figures_->setChecked(l.figures);
            }
            sender_ = {QString::fromStdString(l.signed_by), QString::fromStdString(l.place)};
            show_choices();
            settle();
        });
}

void LetterPage::render() {
    if (!open_) return;
    const int run = ++run_;
    session_.background->run<Result<LetterContent>>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, order = order()](std::stop_token) -> Result<LetterContent> {
            if (auto saved = lib->letters().save(order.record); !saved) return tl::unexpected(saved.error());
            (void)lib->settings().set("signed_by", order.record.signed_by);
            (void)lib->settings().set("place", order.record.place);
            return compose(order, *lib, catalogue);
        },
        [this, run](Result<LetterContent> content) {
            if (run != run_) return; // an older one is dropped
            if (content) {
                if (std::exchange(failing_, false)) message_->say({});
                const Chosen of = chosen();
                preview_->choose(of.clip, of.key);
                return preview_->show_letter(*content);
            }
            preview_->say(text::error(content.error()));
            failing_ = true;
            failed(content.error(), {});
        });
}

LetterOrder LetterPage::order() const {
    LetterOrder o{open_, record(), units_of_letter(), session_.movements.now(), facts_.alias, {}};
    for (const auto& part : o.record.also)
        for (const auto& other : beside_)
            if (other->clip.id == part.clip) o.also.push_back(other);
    return o;
}

void LetterPage::ask_and_export(const QString& ending) {
    const QString file = QFileDialog::getSaveFileName(this, tr("Save the letter"), place_for(QStringLiteral("letter.") + ending),
                                                      ending == QLatin1String("pdf") ? tr("PDF (*.pdf)") : tr("HTML (*.html)"));
    if (!file.isEmpty()) export_to(file);
}

/// The next dialog begins where this one ended.
void LetterPage::saved(const QString& file) {
    message_->say(tr("Saved: %1").arg(file));
    session_.settings.export_folder = QFileInfo(file).absolutePath();
    if (status_of_.sent_on.empty()) status_of_.sent_on = QDate::currentDate().toString(Qt::ISODate).toStdString();
    say_status();
    if (open_) session_.workspace->touched(open_->clip.id);
    emit exported(file);
}

/// Where something could not be written, another place may do; what may tell who it is has to be changed first.
void LetterPage::failed(const Error& e, std::function<void()> again) {
    if (e.code == Code::write_failed)
        message_->problem(text::error(e), tr("Save elsewhere …"), std::move(again));
    else if (e.code == Code::no_longer_so)
        message_->problem(text::error(e), tr("Look at it"),
                          [this] { session_.workspace->go(QStringLiteral("review"), {open_ ? open_->clip.id : 0}); });
    else if (e.code == Code::tells || e.code == Code::no_field || e.code == Code::bad_value)
        message_->problem(text::error(e), tr("Change the words"), [this] {
            tabs_->setCurrentIndex(1);
            opening_->setFocus();
        });
    else
        message_->problem(text::error(e));
}

void LetterPage::working(const QString& what) {
    busy_ = !what.isEmpty();
    if (busy_) message_->say(what);
    settle();
}

QString LetterPage::place_for(const QString& name) const {
    const QString& folder = session_.settings.export_folder;
    return folder.isEmpty() ? name : folder + QLatin1Char('/') + name;
}

void LetterPage::export_to(const QString& file) {
    if (!open_) return;
    working(tr("Writing the letter …"));
    session_.background->run<Result<Outgoing>>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, order = order(), path = file.toStdString()](std::stop_token) {
            return send_letter(order, path, *lib, catalogue);
        },
        [this, file](const Result<Outgoing>& sent) {
            working({});
            if (!sent) return failed(sent.error(), [this, file] { ask_and_export(QFileInfo(file).suffix()); });
            saved(file);
        });
}

void LetterPage::ask_and_save_clip() {
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Save in slow motion"), place_for(QStringLiteral("slow-motion.mp4")), tr("MP4 (*.mp4)"));
    if (!file.isEmpty()) save_clip(file);
}

void LetterPage::save_clip(const QString& file) {
    if (!open_ || chosen().key.isEmpty()) return;
    working(tr("Making the clip …"));
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, order = order(), what = chosen(), path = file.toStdString(),
         most = static_cast<std::uintmax_t>(clip_most_->currentData().toInt()) * 1'000'000](const std::stop_token& stop) {
            return send_clip(order, what.clip, what.key.toStdString(), path, most, *lib, stop, {});
        },
        [this, file](const Result<bool>& ok) {
            working({});
            if (!ok) return failed(ok.error(), [this] { ask_and_save_clip(); });
            saved(file);
        });
}

void LetterPage::ask_and_save_cards() {
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Save as pictures"), place_for(QStringLiteral("correction.png")), tr("PNG (*.png)"));
    if (!file.isEmpty()) save_cards(file);
}

void LetterPage::save_cards(const QString& file) {
    if (!open_) return;
    working(tr("Drawing the cards …"));
    using Written = Result<std::vector<std::filesystem::path>>;
    session_.background->run<Written>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, order = order(), path = file.toStdString()](std::stop_token) {
            return send_cards(order, path, *lib, catalogue);
        },
        [this](const Written& files) {
            working({});
            if (!files) return failed(files.error(), [this] { ask_and_save_cards(); });
            if (files->empty()) return message_->say(tr("No correction is chosen: there is nothing to draw."));
            saved(QString::fromStdString(files->front().string()));
            message_->say(tr("%n picture(s) saved beside %1", nullptr, static_cast<int>(files->size()))
                              .arg(QString::fromStdString(files->front().string())));
        });
}

void LetterPage::ask_and_save_spoken() {
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Save it spoken"), place_for(QStringLiteral("letter.ogg")), tr("Sound (*.ogg)"));
    if (!file.isEmpty()) save_spoken(file);
}

void LetterPage::save_spoken(const QString& file) {
    if (!open_) return;
    working(tr("Speaking …"));
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, order = order(), path = file.toStdString()](const std::stop_token& stop) {
            return send_spoken(order, path, *lib, catalogue, stop);
        },
        [this, file](const Result<bool>& ok) {
            working({});
            if (!ok) return failed(ok.error(), [this] { ask_and_save_spoken(); });
            saved(file);
        });
}

void LetterPage::print() {
    if (!open_) return;
    working(tr("Composing the page …"));
    session_.background->run<Result<LetterContent>>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, order = order()](std::stop_token) {
            return compose(order, *lib, catalogue);
        },
        [this, order = order()](const Result<LetterContent>& content) {
            working({});
            if (!content) return message_->problem(text::error(content.error()), tr("Try again"), [this] { print(); });
            message_->say({});
            auto* dialog = new QPrintPreviewDialog(this);
            dialog->setObjectName(QStringLiteral("printPreview"));
            dialog->setAttribute(Qt::WA_DeleteOnClose);
            connect(dialog, &QPrintPreviewDialog::paintRequested, this, [c = *content](QPrinter* printer) { print_letter(*printer, c); });
            connect(dialog, &QDialog::accepted, this, [this, order, c = *content] {
                session_.background->run<Result<bool>>(
                    this, [lib = session_.library, order, c](std::stop_token) { return keep_printed(order, c, *lib); },
                    [this](const Result<bool>& ok) {
                        if (!ok) message_->problem(text::error(ok.error()));
                    });
            });
            dialog->open();
        });
}

void LetterPage::show_sent() {
    if (!open_) return;
    auto* dialog = new SentDialog(session_, open_->person, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
}

} // namespace bevel::ui
