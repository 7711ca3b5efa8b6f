#include "ui/letter/letter_page.h"
#include "ui/letter/sent_dialog.h"
#include "ui/shell/empty_state.h"
#include <QCheckBox>
#include <QComboBox>
#include <QCoreApplication>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPrinter>
#include <QPrintPreviewDialog>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedLayout>
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
    return QString::fromStdString(finding_key(f));
}

} // namespace

LetterPage::LetterPage(Session& session, QWidget* parent) : Place(session, "letter", parent) {
    build();
    delay_.setSingleShot(true);
    delay_.setInterval(350);
    connect(&delay_, &QTimer::timeout, this, &LetterPage::render);
}

void LetterPage::build() {
    title_ = new QLabel(tr("Letter"));
    title_->setObjectName(QStringLiteral("title"));
    auto heading = [](const QString& s) {
        auto* l = new QLabel(s);
        l->setObjectName(QStringLiteral("heading"));
        return l;
    };
    praise_ = new QComboBox;
    praise_->setObjectName(QStringLiteral("praise"));
    praise_->setAccessibleName(tr("What went well"));
    corrections_ = new QListWidget;
    corrections_->setObjectName(QStringLiteral("corrections"));
    corrections_->setAccessibleName(tr("Corrections, at most three"));
    corrections_->setWordWrap(true);
    corrections_->setSpacing(4);
    count_ = new QLabel;
    count_->setObjectName(QStringLiteral("faint"));
    opening_ = new QPlainTextEdit;
    opening_->setAccessibleName(tr("Opening words"));
    opening_->setObjectName(QStringLiteral("opening"));
    closing_ = new QPlainTextEdit;
    closing_->setAccessibleName(tr("Closing words"));
    for (auto* e : {opening_, closing_}) {
        e->setFixedHeight(64);
        e->setTabChangesFocus(true);
    }
    signed_ = new QLineEdit;
    signed_->setAccessibleName(tr("Signed by"));
    signed_->setPlaceholderText(tr("Your name"));
    place_ = new QLineEdit;
    place_->setAccessibleName(tr("Place"));
    place_->setPlaceholderText(tr("Your school or hall"));
    auto* sender = new QHBoxLayout;
    sender->addWidget(signed_);
    sender->addWidget(place_);
    hide_ = new QCheckBox(tr("Hide who it is: name, face, surroundings"));
    hide_->setObjectName(QStringLiteral("hide"));
    pdf_ = new QPushButton(tr("Save as PDF …"));
    pdf_->setObjectName(QStringLiteral("primary"));
    html_ = new QPushButton(tr("HTML …"));
    html_->setToolTip(tr("Save as one HTML file with its pictures inside"));
    print_ = new QPushButton(tr("Print …"));
    clip_ = new QPushButton(tr("Slow motion …"));
    clip_->setToolTip(tr("Save the moment of the chosen correction as a clip three times as slow"));
    clip_->setObjectName(QStringLiteral("slowMotion"));
    sent_ = new QPushButton(tr("Sent before …"));
    sent_->setObjectName(QStringLiteral("sentBefore"));
    hide_date_ = new QCheckBox(tr("and the day"));
    hide_date_->setObjectName(QStringLiteral("hideDate"));
    message_ = new Notice;
    auto* form = new QVBoxLayout;
    form->addWidget(title_);
    form->addWidget(heading(tr("What went well")));
    form->addWidget(praise_);
    form->addWidget(heading(tr("Corrections, at most three")));
    form->addWidget(corrections_, 1);
    form->addWidget(count_);
    form->addWidget(heading(tr("Opening")));
    form->addWidget(opening_);
    form->addWidget(heading(tr("Closing")));
    form->addWidget(closing_);
    form->addWidget(heading(tr("Signed")));
    form->addLayout(sender);
    auto* hiding = new QHBoxLayout;
    hiding->addWidget(hide_);
    hiding->addWidget(hide_date_);
    hiding->addStretch(1);
    form->addLayout(hiding);
    auto* row = new QHBoxLayout;
    for (auto* b : {pdf_, html_, print_}) row->addWidget(b);
    row->addStretch(1);
    form->addLayout(row);
    auto* second = new QHBoxLayout;
    for (auto* b : {clip_, sent_}) second->addWidget(b);
    second->addStretch(1);
    form->addLayout(second);
    form->addWidget(message_);
    auto* left = new QWidget;
    left->setLayout(form);
    left->setFixedWidth(session_.theme.wide(430));
    form->setContentsMargins(0, 0, 0, 0);
    preview_ = new QLabel(tr("Open a review and keep what should be said; the letter appears here."));
    preview_->setObjectName(QStringLiteral("preview"));
    preview_->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    preview_->setMargin(12);
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("Page preview"));
    scroll->setWidgetResizable(true);
    scroll->setWidget(preview_);
    auto* content = new QWidget;
    auto* all = new QHBoxLayout(content);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addWidget(left);
    all->addWidget(scroll, 1);
    empty_ = new EmptyState(tr("No letter yet"), tr("Open a review and keep what should be said; the letter is written here."),
                            tr("Go to Review"));
    connect(empty_->button(), &QPushButton::clicked, this, [this] { session_.workspace->go(QStringLiteral("review")); });
    either_ = new QStackedLayout(this);
    either_->addWidget(empty_);
    either_->addWidget(content);
    connect(corrections_, &QListWidget::itemChanged, this, &LetterPage::choices_changed);
    connect(praise_, &QComboBox::currentIndexChanged, this, &LetterPage::choices_changed);
    connect(opening_, &QPlainTextEdit::textChanged, this, &LetterPage::choices_changed);
    connect(closing_, &QPlainTextEdit::textChanged, this, &LetterPage::choices_changed);
    connect(signed_, &QLineEdit::textChanged, this, &LetterPage::choices_changed);
    connect(place_, &QLineEdit::textChanged, this, &LetterPage::choices_changed);
    connect(hide_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(hide_, &QCheckBox::toggled, hide_date_, &QCheckBox::setEnabled);
    hide_date_->setEnabled(false);
    connect(hide_date_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(print_, &QPushButton::clicked, this, &LetterPage::print);
    connect(clip_, &QPushButton::clicked, this, &LetterPage::ask_and_save_clip);
    connect(sent_, &QPushButton::clicked, this, &LetterPage::show_sent);
    connect(corrections_, &QListWidget::currentRowChanged, this, &LetterPage::settle);
    connect(pdf_, &QPushButton::clicked, this, [this] { ask_and_export(QStringLiteral("pdf")); });
    connect(html_, &QPushButton::clicked, this, [this] { ask_and_export(QStringLiteral("html")); });
    settle();
}

void LetterPage::settle() {
    const bool open = open_ != nullptr;
    for (auto* b : {pdf_, html_, print_, sent_}) b->setEnabled(open && !busy_);
    clip_->setEnabled(open && !busy_ && open_->has_file && !chosen().isEmpty());
    clip_->setToolTip(open && !open_->has_file ? tr("The clip's file is not where it was: point to it in the review")
                                               : tr("Save the moment of the chosen correction as a clip three times as slow"));
}

/// Key of the correction under the cursor, else of the first that goes out.
QString LetterPage::chosen() const {
    if (const auto* it = corrections_->currentItem()) return it->data(Qt::UserRole).toString();
    for (int i = 0; i < corrections_->count(); ++i)
        if (corrections_->item(i)->checkState() == Qt::Checked) return corrections_->item(i)->data(Qt::UserRole).toString();
    return {};
}

void LetterPage::open(Ref ref) {
    if (const qint64 clip = ref.clip != 0 ? ref.clip : session_.workspace->clip(); clip != 0) open_clip(clip);
}

void LetterPage::open_clip(qint64 id) {
    struct Loaded {
        Result<std::shared_ptr<const OpenReview>> open;
        std::vector<LetterRecord> letters;
        std::string signed_by, place;
    };
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
        [lib = session_.library, session = &session_, id](std::stop_token) {
            Loaded l{load_review(*lib, *session, id), {}, lib->setting("signed_by"), lib->setting("place")};
            if (auto letters = lib->letters(id)) l.letters = std::move(*letters);
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
            sender_ = {QString::fromStdString(l.signed_by), QString::fromStdString(l.place)};
            show_choices();
            settle();
        });
}

void LetterPage::show_choices() {
    filling_ = true;
    title_->setText(tr("Letter to %1").arg(QString::fromStdString(open_->person.name)));
    const LetterRecord* saved = saved_.empty() ? nullptr : &saved_.front();
    corrections_->clear();
    praise_->clear();
    praise_->addItem(tr("nothing chosen"), QString());
    int chosen = 0;
    for (const auto& f : open_->review->findings) {
        const QString key = key_of(f);
        if (f.verdict == Verdict::inside && f.sure && !f.good.empty()) praise_->addItem(said(f.good), key);
        Choice choice = Choice::open;
        QString cue = said(f.cue);
        for (const auto& d : open_->decisions)
            if (is_of(d.check + "/" + d.side, f)) {
                choice = d.choice;
                if (!d.wording.empty()) cue = QString::fromStdString(d.wording);
            }
        if (choice != Choice::kept || (f.verdict != Verdict::outside && f.verdict != Verdict::edge)) continue;
        auto* item = new QListWidgetItem(
            text::headline(f, session_.catalogue, session_.settings.units(open_->review->motion, open_->person)) + QLatin1Char('\n') + cue,
            corrections_);
        item->setData(Qt::UserRole, key);
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        const bool on =
            saved ? std::any_of(saved->checks.begin(), saved->checks.end(), [&](const std::string& k) { return is_of(k, f); }) : chosen < 3;
        item->setCheckState(on && chosen < 3 ? Qt::Checked : Qt::Unchecked);
        chosen += item->checkState() == Qt::Checked ? 1 : 0;
    }
    praise_->setCurrentIndex(saved ? std::max(0, praise_->findData(QString::fromStdString(saved->praise)))
                                   : std::min(1, praise_->count() - 1));
    const QString first = QString::fromStdString(open_->person.name).section(QLatin1Char(' '), 0, 0);
    opening_->setPlainText(saved ? QString::fromStdString(saved->opening) : tr("Dear %1, thank you for your clip.").arg(first));
    closing_->setPlainText(saved ? QString::fromStdString(saved->closing) : tr("Take one of these at a time. Warm wishes,"));
    signed_->setText(sender_.first);
    place_->setText(sender_.second);
    hide_->setChecked(saved && saved->hide_identity);
    hide_date_->setChecked(saved && saved->hide_date);
    preview_->setText(tr("Composing the page …")); // nothing of another letter stays
    if (corrections_->count() == 0)
        message_->problem(tr("Nothing is kept yet: keep findings in the review first."), tr("Go to Review"),
                          [this] { session_.workspace->go(QStringLiteral("review")); });
    else
        message_->say({});
    filling_ = false;
    undo().clear();
    shown_ = record();
    choices_changed();
}

namespace {
bool same_choices(const LetterRecord& a, const LetterRecord& b) {
    return a.checks == b.checks && a.praise == b.praise && a.hide_identity == b.hide_identity && a.hide_date == b.hide_date;
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
    filling_ = false;
    shown_ = record();
    choices_changed();
}

LetterRecord LetterPage::record() const {
    LetterRecord r;
    r.clip = open_ ? open_->clip.id : 0;
    r.praise = praise_->currentData().toString().toStdString();
    for (int i = 0; i < corrections_->count(); ++i)
        if (corrections_->item(i)->checkState() == Qt::Checked)
            r.checks.push_back(corrections_->item(i)->data(Qt::UserRole).toString().toStdString());
    r.opening = opening_->toPlainText().toStdString();
    r.closing = closing_->toPlainText().toStdString();
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
    delay_.start();
}

void LetterPage::render() {
    if (!open_) return;
    const int run = ++run_;
    session_.background->run<Result<LetterContent>>(
        this,
        [lib = session_.library, session = &session_, order = order()](std::stop_token) -> Result<LetterContent> {
            if (auto saved = lib->save_letter(order.record); !saved) return tl::unexpected(saved.error());
            (void)lib->set_setting("signed_by", order.record.signed_by);
            (void)lib->set_setting("place", order.record.place);
            return compose(order, *lib, session->catalogue);
        },
        [this, run](Result<LetterContent> content) {
            if (run != run_) return; // an older one is dropped
            if (content) return show_page(*content);
            preview_->setText(text::error(content.error()));
        });
}

LetterOrder LetterPage::order() const {
    return {open_, record(), session_.settings.units(open_->review->motion, open_->person)};
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
    emit exported(file);
}

/// Where something could not be written, another place may do; what may tell who it is has to be changed first.
void LetterPage::failed(const Error& e, std::function<void()> again) {
    if (e.code == Code::write_failed)
        message_->problem(text::error(e), tr("Save elsewhere …"), std::move(again));
    else if (e.code == Code::bad_value)
        message_->problem(text::error(e), tr("Change the words"), [this] { opening_->setFocus(); });
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
        [lib = session_.library, session = &session_, order = order(), path = file.toStdString()](std::stop_token) {
            return send_letter(order, path, *lib, session->catalogue);
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

void LetterPage::print() {
    if (!open_) return;
    working(tr("Composing the page …"));
    session_.background->run<Result<LetterContent>>(
        this,
        [lib = session_.library, session = &session_, order = order()](std::stop_token) {
            return compose(order, *lib, session->catalogue);
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
