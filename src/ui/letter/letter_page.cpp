#include "ui/letter/letter_page.h"
#include "core/files.h"
#include "store/reminder.h"
#include "ui/letter/field_edit.h"
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

QString key_of(const Finding& f) {
    return QString::fromStdString(FindingKey::of(f).text());
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
    for (auto* b : {pdf_, html_, print_, sent_, text_, cards_, mail_, mark_, answered_}) b->setEnabled(open && !busy_);
    reminder_->setEnabled(open && look_again_->isChecked());
    consent_->setVisible(open && facts_.consent.empty() && !hide_->isChecked());
    clip_->setEnabled(open && !busy_ && open_->has_file && !chosen().isEmpty());
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

/// Key of the correction under the cursor, else of the first that goes out.
QString LetterPage::chosen() const {
    if (const auto* it = corrections_->currentItem()) return it->data(Qt::UserRole).toString();
    for (int i = 0; i < corrections_->count(); ++i)
        if (corrections_->item(i)->checkState() == Qt::Checked) return corrections_->item(i)->data(Qt::UserRole).toString();
    return {};
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
        HomeGate gate;
    };
    leave();
    const int run = ++opening_run_;
    // From now on nothing of the former letter can go out.
    open_.reset();
    empty_->say(tr("Opening …"));
    ++run_;
    delay_.stop();
    title_->setText(tr("Letter"));
    preview_->setText(tr("Opening …"));
    settle();
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, forms = session_.forms(), tongue = spoken_language().toStdString(), id](std::stop_token) {
            Loaded l{load_review(*lib, forms, id, tongue), {}, lib->settings().get("signed_by"), lib->settings().get("place"), {}, {}, {}, true, {}};
            if (auto letters = lib->letters().of(id)) l.letters = std::move(*letters);
            l.figures = lib->settings().get("letter_figures") != "no";
            if (auto own = lib->forms().all(Own::letter)) l.templates = std::move(*own);
            if (!l.open) return l;
            if (auto facts = lib->people().facts((*l.open)->person.id)) l.facts = std::move(*facts);
            l.gate = home_gate(**l.open, *lib, forms, QDate::currentDate().toString(Qt::ISODate).toStdString());
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
            gate_ = std::move(l.gate);
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

void LetterPage::show_choices() {
    filling_ = true;
    title_->setText(tr("Letter to %1").arg(QString::fromStdString(open_->person.name)));
    const LetterRecord* saved = saved_.empty() ? nullptr : &saved_.front();
    status_of_ = saved ? *saved : LetterRecord{};
    with_ = saved ? saved->with : std::map<std::string, WithCorrection>{};
    const QString language = saved && !saved->language.empty()                               ? QString::fromStdString(saved->language)
                             : languages().contains(QString::fromStdString(facts_.language)) ? QString::fromStdString(facts_.language)
                                                                                             : spoken_language();
    language_->setCurrentIndex(std::max(0, language_->findData(language)));
    corrections_->clear();
    praise_->clear();
    praise_->addItem(tr("nothing chosen"), QString());
    const Units units = units_of_letter();
    // What has become better beyond its errors comes first: that is what somebody worked for.
    for (const auto& [key, change] : better_)
        praise_->addItem(better_words(key, change, session_.catalogue, units), QString::fromStdString(Praise{true, key}.text()));
    int chosen = 0;
    // What holds in every part; where nothing does, what holds in one.
    for (const bool everywhere : {true, false}) {
        if (!everywhere && praise_->count() > 1) break;
        for (const auto& f : open_->review->findings)
            if (const QString words = text::praise(f, open_->review->movement); !words.isEmpty() && f.sure == everywhere)
                praise_->addItem(words, key_of(f));
    }
    for (const auto& f : open_->review->findings) {
        const QString key = key_of(f);
        const Decision d = decision_of(open_->decisions, f);
        const QString cue = d.wording.empty() ? said(f.cue) : QString::fromStdString(d.wording);
        if (d.choice != Choice::kept || (f.verdict != Verdict::outside && f.verdict != Verdict::edge)) continue;
        const auto remark = remark_of(f, open_->review->findings);
        if (remark.front() != &f) continue; // one correction, whatever sides it shows on
        auto* item = new QListWidgetItem(text::fault(f, session_.catalogue) + QLatin1Char('\n') + cue, corrections_);
        item->setData(Qt::UserRole, key);
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        const bool on = saved ? std::any_of(saved->checks.begin(), saved->checks.end(),
                                            [&](const std::string& k) { return means_one_of(FindingKey::read(k), remark); })
                              : chosen < 3;
        item->setCheckState(on && chosen < 3 ? Qt::Checked : Qt::Unchecked);
        if (!saved && item->checkState() == Qt::Checked)
            if (const WithCorrection w = proposed_with(open_->review->movement, f, chosen == 0, gate_.itself); !w.empty())
                with_[key.toStdString()] = w;
        chosen += item->checkState() == Qt::Checked ? 1 : 0;
    }
    praise_->setCurrentIndex(saved ? std::max(0, praise_->findData(QString::fromStdString(saved->praise)))
                                   : std::min(1, praise_->count() - 1));
    fill_templates();
    signed_->setText(sender_.first);
    place_->setText(sender_.second);
    const LetterTemplate& first = templates_.front();
    opening_->set_words(saved ? QString::fromStdString(saved->opening) : first.opening);
    closing_->set_words(saved ? QString::fromStdString(saved->closing) : first.closing);
    short_->setChecked(saved && saved->short_form);
    large_->setChecked(saved && saved->large);
    const QDate next = saved ? QDate::fromString(QString::fromStdString(saved->review_on), Qt::ISODate) : QDate();
    look_again_->setChecked(next.isValid());
    next_->setDate(next.isValid() ? next : QDate::currentDate().addDays(10));
    hide_->setChecked(saved && saved->hide_identity);
    hide_date_->setChecked(saved && saved->hide_date);
    preview_->setText(tr("Composing the page …")); // nothing of another letter stays
    if (corrections_->count() == 0)
        message_->problem(tr("Nothing is kept yet: keep findings in the review first."), tr("Go to Review"),
                          [this] { session_.workspace->go(QStringLiteral("review")); });
    else
        message_->say({});
    corrections_->setCurrentRow(corrections_->count() > 0 ? 0 : -1);
    filling_ = false;
    undo().clear();
    shown_ = record();
    show_with();
    say_status();
    choices_changed();
    emit filled_in();
}

const Finding* LetterPage::finding(const QString& key) const {
    if (open_)
        for (const auto& f : open_->review->findings)
            if (key_of(f) == key) return &f;
    return nullptr;
}

void LetterPage::show_with() {
    const QString key = chosen();
    const Finding* f = finding(key);
    const auto it = with_.find(key.toStdString());
    with_box_->show_of(open_ ? &open_->review->movement : nullptr, f, it == with_.end() ? WithCorrection{} : it->second, gate_);
}

void LetterPage::with_changed() {
    if (filling_ || !open_ || chosen().isEmpty()) return;
    const WithCorrection w = with_box_->with();
    if (w.empty())
        with_.erase(chosen().toStdString());
    else
        with_[chosen().toStdString()] = w;
    choices_changed();
}

namespace {
bool same_choices(const LetterRecord& a, const LetterRecord& b) {
    return a.checks == b.checks && a.praise == b.praise && a.hide_identity == b.hide_identity && a.hide_date == b.hide_date &&
           a.language == b.language && a.review_on == b.review_on && a.short_form == b.short_form && a.large == b.large && a.with == b.with;
}

/// What is chosen for a letter, to be done and undone. Words have an undo of their own where they are typed.
class ChoiceStep : public QUndoCommand {
public:
    ChoiceStep(std::function<void(const LetterRecord&)> choose, LetterRecord before, LetterRecord after)
        : choose_(std::move(choose)), before_(std::move(before)), after_(std::move(after)) {
        setText(LetterPage::tr("a choice for the letter"));
    }
    void redo() override {
        if (std::exchange(done_, true)) choose_(after_);
    }
    void undo() override { choose_(before_); }

private:
    std::function<void(const LetterRecord&)> choose_;
    LetterRecord before_, after_;
    bool done_ = false;
};
} // namespace

void LetterPage::keep_step() {
    LetterRecord now = record();
    if (!same_choices(shown_, now)) undo().push(new ChoiceStep([this](const LetterRecord& r) { choose(r); }, shown_, now));
    shown_ = std::move(now);
}

void LetterPage::choose(const LetterRecord& r) {
    filling_ = true;
    for (int i = 0; i < corrections_->count(); ++i) {
        auto* it = corrections_->item(i);
        const std::string key = it->data(Qt::UserRole).toString().toStdString();
        it->setCheckState(std::find(r.checks.begin(), r.checks.end(), key) != r.checks.end() ? Qt::Checked : Qt::Unchecked);
    }
    praise_->setCurrentIndex(std::max(0, praise_->findData(QString::fromStdString(r.praise))));
    hide_->setChecked(r.hide_identity);
    hide_date_->setChecked(r.hide_date);
    language_->setCurrentIndex(std::max(0, language_->findData(QString::fromStdString(r.language))));
    short_->setChecked(r.short_form);
    large_->setChecked(r.large);
    const QDate next = QDate::fromString(QString::fromStdString(r.review_on), Qt::ISODate);
    look_again_->setChecked(next.isValid());
    if (next.isValid()) next_->setDate(next);
    with_ = r.with;
    filling_ = false;
    shown_ = record();
    show_with();
    choices_changed();
}

LetterRecord LetterPage::record() const {
    LetterRecord r;
    r.clip = open_ ? open_->clip.id : 0;
    r.praise = praise_->currentData().toString().toStdString();
    for (int i = 0; i < corrections_->count(); ++i)
        if (corrections_->item(i)->checkState() == Qt::Checked)
            r.checks.push_back(corrections_->item(i)->data(Qt::UserRole).toString().toStdString());
    r.opening = opening_->words().toStdString();
    r.closing = closing_->words().toStdString();
    r.language = language_->currentData().toString().toStdString();
    r.review_on = look_again_->isChecked() ? next_->date().toString(Qt::ISODate).toStdString() : std::string();
    r.short_form = short_->isChecked();
    r.large = large_->isChecked();
    r.with = with_;
    r.hide_identity = hide_->isChecked();
    r.hide_date = hide_->isChecked() && hide_date_->isChecked();
    r.signed_by = signed_->text().toStdString();
    r.place = place_->text().toStdString();
    return r;
}

void LetterPage::choices_changed() {
    if (filling_ || !open_) return;
    keep_step();
    int on = 0;
    for (int i = 0; i < corrections_->count(); ++i) on += corrections_->item(i)->checkState() == Qt::Checked ? 1 : 0;
    filling_ = true; // with three chosen the others rest
    for (int i = 0; i < corrections_->count(); ++i) {
        auto* it = corrections_->item(i);
        it->setFlags(on >= 3 && it->checkState() != Qt::Checked ? Qt::ItemIsSelectable
                                                                : Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
    }
    filling_ = false;
    count_->setText(tr("%1 of at most 3 chosen").arg(on));
    const FieldSource fields = field_source(order(), session_.catalogue, better_);
    const QSignalBlocker quiet_a(opening_), quiet_b(closing_);
    opening_->set_source(fields);
    closing_->set_source(fields);
    const QStringList typed = typed_figures(opening_->words()) + typed_figures(closing_->words());
    typed_->setVisible(!typed.isEmpty());
    typed_->setText(
        tr("Typed by hand: %1. A figure should be a field, so that it is the one of this clip.").arg(typed.join(QStringLiteral(", "))));
    settle();
    delay_.start();
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
                return show_page(*content);
            }
            preview_->setText(text::error(content.error()));
            failing_ = true;
            failed(content.error(), {});
        });
}

LetterOrder LetterPage::order() const {
    return {open_, record(), units_of_letter(), session_.movements.now(), facts_.alias};
}

void LetterPage::show_page(const LetterContent& content) {
    const double zoom = 1.08;
    const int pages = letter_pages(content);
    QImage im(static_cast<int>(595 * zoom), static_cast<int>((842 * pages + 12 * (pages - 1)) * zoom), QImage::Format_RGB32);
    im.fill(session_.theme.palette.paper);
    QPainter p(&im);
    p.scale(zoom, zoom);
    for (int i = 0; i < pages; ++i) {
        p.save();
        p.translate(0, i * 854.0);
        p.fillRect(QRectF(0, 0, 595, 842), Qt::white);
        paint_letter_page(p, content, i, Theme());
        p.restore();
    }
    p.end();
    preview_->setPixmap(QPixmap::fromImage(im));
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
    if (!open_ || chosen().isEmpty()) return;
    working(tr("Making the clip …"));
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, order = order(), finding = chosen().toStdString(),
         path = file.toStdString()](const std::stop_token& stop) { return send_clip(order, finding, path, *lib, stop, {}); },
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
