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
    return QString::fromStdString(finding_key(f));
}

} // namespace

LetterPage::LetterPage(Session& session, QWidget* parent) : Place(session, "letter", parent) {
    build();
    delay_.setSingleShot(true);
    delay_.setInterval(350);
    connect(&delay_, &QTimer::timeout, this, &LetterPage::render);
}

namespace {
QLabel* heading(const QString& s) {
    auto* l = new QLabel(s);
    l->setObjectName(QStringLiteral("heading"));
    return l;
}
} // namespace

QWidget* LetterPage::build_corrections() {
    praise_ = new QComboBox;
    praise_->setObjectName(QStringLiteral("praise"));
    praise_->setAccessibleName(tr("What went well"));
    praise_->setMinimumContentsLength(20);
    praise_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    corrections_ = new QListWidget;
    corrections_->setObjectName(QStringLiteral("corrections"));
    corrections_->setAccessibleName(tr("Corrections, at most three"));
    corrections_->setWordWrap(true);
    corrections_->setSpacing(4);
    corrections_->setMinimumHeight(110);
    count_ = new QLabel;
    count_->setObjectName(QStringLiteral("faint"));
    with_box_ = new WithBox(session_);
    auto* w = new QWidget;
    auto* form = new QVBoxLayout(w);
    form->setContentsMargins(6, 8, 6, 4);
    form->addWidget(heading(tr("What went well")));
    form->addWidget(praise_);
    form->addWidget(heading(tr("Corrections, at most three")));
    form->addWidget(corrections_, 1);
    form->addWidget(count_);
    form->addWidget(with_box_);
    connect(with_box_, &WithBox::changed, this, &LetterPage::with_changed);
    return w;
}

QWidget* LetterPage::build_words() {
    auto words = [&](const char* name, const QString& label) {
        auto* e = new FieldEdit(session_.theme);
        e->setObjectName(QLatin1String(name));
        e->setAccessibleName(label);
        e->setMinimumHeight(56);
        connect(e, &QTextEdit::textChanged, this, &LetterPage::choices_changed);
        connect(e, &FieldEdit::cursorPositionChanged, this, [this, e] {
            if (e->hasFocus()) last_words_ = e;
        });
        return e;
    };
    opening_ = words("opening", tr("Opening words"));
    closing_ = words("closing", tr("Closing words"));
    last_words_ = opening_;
    template_ = new QComboBox;
    template_->setObjectName(QStringLiteral("template"));
    template_->setAccessibleName(tr("Template"));
    auto* keep = new QPushButton(tr("Keep as …"));
    keep->setObjectName(QStringLiteral("keepTemplate"));
    keep->setToolTip(tr("Keeps opening, closing and form as a template of your own"));
    drop_template_ = new QPushButton(tr("Remove"));
    drop_template_->setObjectName(QStringLiteral("dropTemplate"));
    auto* top = new QHBoxLayout;
    top->addWidget(template_, 1);
    top->addWidget(keep);
    top->addWidget(drop_template_);
    language_ = new QComboBox;
    language_->setObjectName(QStringLiteral("letterLanguage"));
    language_->setAccessibleName(tr("Language of the letter"));
    language_->setToolTip(tr("In People each person has a language of their own"));
    for (const auto& code : languages()) language_->addItem(language_name(code), code);
    auto* field = new QPushButton(tr("Put in a field"));
    field->setObjectName(QStringLiteral("putField"));
    field->setToolTip(tr("A name, a day or a figure that is looked up when the letter goes out"));
    fields_ = new QMenu(field);
    fields_->setObjectName(QStringLiteral("fields"));
    field->setMenu(fields_);
    connect(fields_, &QMenu::aboutToShow, this, &LetterPage::fill_fields);
    auto* second = new QHBoxLayout;
    second->addWidget(language_);
    second->addWidget(field);
    second->addStretch(1);
    typed_ = new QLabel;
    typed_->setObjectName(QStringLiteral("problem"));
    typed_->setWordWrap(true);
    typed_->hide();
    signed_ = new QLineEdit;
    signed_->setAccessibleName(tr("Signed by"));
    signed_->setPlaceholderText(tr("Your name"));
    place_ = new QLineEdit;
    place_->setAccessibleName(tr("Place"));
    place_->setPlaceholderText(tr("Your school or hall"));
    auto* sender = new QHBoxLayout;
    sender->addWidget(signed_);
    sender->addWidget(place_);
    short_ = new QCheckBox(tr("Words alone, without pictures"));
    short_->setObjectName(QStringLiteral("shortForm"));
    large_ = new QCheckBox(tr("Large type"));
    large_->setObjectName(QStringLiteral("largeType"));
    auto* book = new QPushButton(tr("Own words …"));
    book->setObjectName(QStringLiteral("phraseBook"));
    book->setToolTip(tr("What you said in place of Bevel's cues, by rule and direction"));
    auto* last = new QHBoxLayout;
    last->addWidget(short_);
    last->addWidget(large_);
    last->addStretch(1);
    auto* w = new QWidget;
    auto* form = new QVBoxLayout(w);
    form->setContentsMargins(6, 8, 6, 4);
    form->addLayout(top);
    form->addLayout(second);
    form->addWidget(heading(tr("Opening")));
    form->addWidget(opening_, 2);
    form->addWidget(heading(tr("Closing")));
    form->addWidget(closing_, 1);
    form->addWidget(typed_);
    form->addWidget(heading(tr("Signed")));
    form->addLayout(sender);
    form->addLayout(last);
    form->addWidget(book, 0, Qt::AlignLeft);
    connect(template_, &QComboBox::activated, this, &LetterPage::take_template);
    connect(keep, &QPushButton::clicked, this, &LetterPage::save_template);
    connect(drop_template_, &QPushButton::clicked, this, &LetterPage::drop_template);
    connect(book, &QPushButton::clicked, this, &LetterPage::phrase_book);
    connect(language_, &QComboBox::activated, this, &LetterPage::touched_language);
    for (auto* e : {signed_, place_}) connect(e, &QLineEdit::textChanged, this, &LetterPage::choices_changed);
    for (auto* b : {short_, large_}) connect(b, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    return w;
}

QWidget* LetterPage::build_sending() {
    auto button = [&](const char* name, const QString& label, const QString& tip, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        b->setToolTip(tip);
        connect(b, &QPushButton::clicked, this, go);
        return b;
    };
    look_again_ = new QCheckBox(tr("Look again on"));
    look_again_->setObjectName(QStringLiteral("lookAgain"));
    next_ = new QDateEdit;
    next_->setObjectName(QStringLiteral("nextLook"));
    next_->setAccessibleName(tr("Day of the next look"));
    next_->setCalendarPopup(true);
    next_->setToolTip(tr("One to two weeks on is usual"));
    auto* look = new QHBoxLayout;
    look->addWidget(look_again_);
    look->addWidget(next_);
    look->addStretch(1);
    reminder_ = button("reminder", tr("Reminder for your calendar …"), tr("A calendar file with the day of the next look"),
                       [this] { save_reminder(); });
    mail_ = button("openMail", tr("Open in the mail program"), tr("Saves the letter and hands it over; Bevel itself sends nothing"),
                   [this] { open_mail(); });
    text_ = button("copyText", tr("Copy as text"), tr("For a message: the words without pictures"), [this] { copy_text(); });
    clip_ = button("slowMotion", tr("Slow motion …"), QString(), [this] { ask_and_save_clip(); });
    sent_ = button("sentBefore", tr("Sent before …"), QString(), [this] { show_sent(); });
    status_ = new QLabel;
    status_->setObjectName(QStringLiteral("letterStatus"));
    status_->setWordWrap(true);
    mark_ = new QPushButton(tr("It was sent"));
    mark_->setObjectName(QStringLiteral("markSent"));
    auto* how = new QMenu(mark_);
    how->setObjectName(QStringLiteral("howSent"));
    for (const auto& [key, label] : {std::pair{"mail", tr("by mail")},
                                     {"message", tr("as a message")},
                                     {"hand", tr("by hand")},
                                     {"", tr("not yet")},
                                     {"none", tr("no letter is needed")}})
        connect(how->addAction(label), &QAction::triggered, this, [this, k = QString::fromLatin1(key)] { mark_sent(k); });
    mark_->setMenu(how);
    answered_ = button("answered", tr("It was answered …"), QString(), [this] { mark_answered(); });
    auto* w = new QWidget;
    auto* form = new QVBoxLayout(w);
    form->setContentsMargins(6, 8, 6, 4);
    form->addWidget(heading(tr("Next look")));
    form->addLayout(look);
    form->addWidget(reminder_, 0, Qt::AlignLeft);
    form->addSpacing(8);
    form->addWidget(heading(tr("Hand it over")));
    auto* first = new QHBoxLayout;
    first->addWidget(mail_);
    first->addWidget(text_);
    first->addStretch(1);
    form->addLayout(first);
    auto* second = new QHBoxLayout;
    second->addWidget(clip_);
    second->addWidget(sent_);
    second->addStretch(1);
    form->addLayout(second);
    form->addSpacing(8);
    form->addWidget(heading(tr("What became of it")));
    form->addWidget(status_);
    auto* third = new QHBoxLayout;
    third->addWidget(mark_);
    third->addWidget(answered_);
    third->addStretch(1);
    form->addLayout(third);
    form->addStretch(1);
    connect(look_again_, &QCheckBox::toggled, next_, &QWidget::setEnabled);
    connect(look_again_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(next_, &QDateEdit::dateChanged, this, &LetterPage::choices_changed);
    next_->setEnabled(false);
    return w;
}

void LetterPage::build() {
    title_ = new QLabel(tr("Letter"));
    title_->setObjectName(QStringLiteral("title"));
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("letterTabs"));
    tabs_->setAccessibleName(tr("Parts of the letter"));
    tabs_->addTab(build_corrections(), tr("Corrections"));
    tabs_->addTab(build_words(), tr("Words"));
    tabs_->addTab(build_sending(), tr("Sending"));
    hide_ = new QCheckBox(tr("Hide who it is: name, face, surroundings"));
    hide_->setObjectName(QStringLiteral("hide"));
    hide_date_ = new QCheckBox(tr("and the day"));
    hide_date_->setObjectName(QStringLiteral("hideDate"));
    pdf_ = new QPushButton(tr("Save as PDF …"));
    pdf_->setObjectName(QStringLiteral("primary"));
    html_ = new QPushButton(tr("HTML …"));
    html_->setToolTip(tr("Save as one HTML file with its pictures inside"));
    print_ = new QPushButton(tr("Print …"));
    message_ = new Notice;
    auto* form = new QVBoxLayout;
    form->addWidget(title_);
    form->addWidget(tabs_, 1);
    auto* hiding = new QHBoxLayout;
    hiding->addWidget(hide_);
    hiding->addWidget(hide_date_);
    hiding->addStretch(1);
    form->addLayout(hiding);
    auto* row = new QHBoxLayout;
    for (auto* b : {pdf_, html_, print_}) row->addWidget(b);
    row->addStretch(1);
    form->addLayout(row);
    form->addWidget(message_);
    auto* left = new QWidget;
    left->setLayout(form);
    left->setFixedWidth(session_.theme.wide(430));
    form->setContentsMargins(0, 0, 0, 0);
    preview_ = new QLabel(tr("Open a review and keep what should be said; the letter appears here."));
    preview_->setObjectName(QStringLiteral("preview"));
    preview_->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    preview_->setMargin(12);
    preview_->setWordWrap(true);
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
    connect(hide_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(hide_, &QCheckBox::toggled, hide_date_, &QCheckBox::setEnabled);
    hide_date_->setEnabled(false);
    connect(hide_date_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(print_, &QPushButton::clicked, this, &LetterPage::print);
    connect(corrections_, &QListWidget::currentRowChanged, this, [this] {
        settle();
        show_with();
    });
    connect(pdf_, &QPushButton::clicked, this, [this] { ask_and_export(QStringLiteral("pdf")); });
    connect(html_, &QPushButton::clicked, this, [this] { ask_and_export(QStringLiteral("html")); });
    settle();
}

void LetterPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(
        this, M::clip, "saveLetter", tr("Save the letter"), {QKeySequence::Save}, [this] { save_at_once(); },
        tr("As PDF beside the last one, under a name of its own"));
    for (int i = 0; i < 3; ++i)
        actions.add(this, M::view, "letterTab", tabs_->tabText(i), {QKeySequence(Qt::ALT | static_cast<Qt::Key>(Qt::Key_1 + i))},
                    [this, i] { tabs_->setCurrentIndex(i); });
}

void LetterPage::settle() {
    const bool open = open_ != nullptr;
    for (auto* b : {pdf_, html_, print_, sent_, text_, mail_, mark_, answered_}) b->setEnabled(open && !busy_);
    reminder_->setEnabled(open && look_again_->isChecked());
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
        std::map<std::string, ShownChange> better;
        std::vector<OwnForm> templates;
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
        [lib = session_.library, session = &session_, id](std::stop_token) {
            Loaded l{load_review(*lib, *session, id), {}, lib->setting("signed_by"), lib->setting("place"), {}, {}, {}};
            if (auto letters = lib->letters(id)) l.letters = std::move(*letters);
            if (auto own = lib->own_forms(Own::letter)) l.templates = std::move(*own);
            if (!l.open) return l;
            if (auto facts = lib->facts((*l.open)->person.id)) l.facts = std::move(*facts);
            if (auto better = better_in(**l.open, *lib)) l.better = std::move(*better);
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
            own_ = std::move(l.templates);
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
    const Units units = session_.settings.units(open_->review->motion, open_->person);
    // What has become better beyond its errors comes first: that is what somebody worked for.
    for (const auto& [key, change] : better_)
        praise_->addItem(better_words(key, change, session_.catalogue, units), QString::fromStdString("better:" + key));
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
        auto* item = new QListWidgetItem(text::headline(f, session_.catalogue, units) + QLatin1Char('\n') + cue, corrections_);
        item->setData(Qt::UserRole, key);
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        const bool on =
            saved ? std::any_of(saved->checks.begin(), saved->checks.end(), [&](const std::string& k) { return is_of(k, f); }) : chosen < 3;
        item->setCheckState(on && chosen < 3 ? Qt::Checked : Qt::Unchecked);
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
    with_box_->show_of(open_ ? &open_->review->movement : nullptr, f, it == with_.end() ? WithCorrection{} : it->second);
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
        [lib = session_.library, session = &session_, order = order()](std::stop_token) -> Result<LetterContent> {
            if (auto saved = lib->save_letter(order.record); !saved) return tl::unexpected(saved.error());
            (void)lib->set_setting("signed_by", order.record.signed_by);
            (void)lib->set_setting("place", order.record.place);
            return compose(order, *lib, session->catalogue);
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
    return {open_, record(), session_.settings.units(open_->review->motion, open_->person), &session_.movements.now(), facts_.alias};
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
    else if (e.code == Code::bad_value && e.context.starts_with("changed: "))
        message_->problem(text::error(e), tr("Look at it"),
                          [this] { session_.workspace->go(QStringLiteral("review"), {open_ ? open_->clip.id : 0}); });
    else if (e.code == Code::bad_value)
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

void LetterPage::fill_templates() {
    const QString language = language_->currentData().toString();
    templates_ = shipped_templates(language);
    for (const auto& form : own_)
        if (auto t = parse_template(form)) templates_.push_back(std::move(*t));
    template_->clear();
    for (const auto& t : templates_)
        template_->addItem(t.own && t.language != language ? tr("%1 (%2)").arg(t.name, language_name(t.language)) : t.name);
    drop_template_->setEnabled(false);
}

/// Opening, closing and form as the template has them; what stood there can be had back with undo where it was typed.
void LetterPage::take_template(int at) {
    if (at < 0 || at >= static_cast<int>(templates_.size()) || !open_) return;
    const LetterTemplate t = templates_[static_cast<std::size_t>(at)];
    auto put = [](FieldEdit* e, const QString& words) {
        QTextCursor all(e->document());
        all.select(QTextCursor::Document);
        e->setTextCursor(all);
        e->insert_text(words);
    };
    filling_ = true;
    put(opening_, t.opening);
    put(closing_, t.closing);
    short_->setChecked(t.short_form);
    large_->setChecked(t.large);
    filling_ = false;
    drop_template_->setEnabled(t.own);
    choices_changed();
}

void LetterPage::save_template() {
    bool ok = false;
    const QString name =
        QInputDialog::getText(this, tr("Keep as a template"), tr("Name of the template"), QLineEdit::Normal, QString(), &ok).trimmed();
    if (!ok || name.isEmpty()) return;
    LetterTemplate t;
    t.name = name;
    t.id = QStringLiteral("own-") + name.toLower();
    t.language = language_->currentData().toString();
    t.opening = opening_->words();
    t.closing = closing_->words();
    t.short_form = short_->isChecked();
    t.large = large_->isChecked();
    // A figure belongs to one clip and has no place in what is used for all of them.
    if ((t.opening + t.closing).contains(QLatin1String("{figure ")) || (t.opening + t.closing).contains(QLatin1String("{change ")))
        return message_->problem(tr("A figure belongs to this clip alone. Take it out before the words are kept as a template."));
    const OwnForm form = template_text(t);
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, form](std::stop_token) { return lib->keep_form(form, Own::letter); },
        [this, form, name](const Result<bool>& kept) {
            if (!kept) return message_->problem(text::error(kept.error()));
            std::erase_if(own_, [&](const OwnForm& f) { return f.id == form.id; });
            own_.push_back(form);
            fill_templates();
            template_->setCurrentIndex(template_->findText(name));
            drop_template_->setEnabled(true);
            message_->say(tr("Kept as “%1”.").arg(name));
        });
}

void LetterPage::drop_template() {
    const int at = template_->currentIndex();
    if (at < 0 || !templates_[static_cast<std::size_t>(at)].own) return;
    const std::string gone = templates_[static_cast<std::size_t>(at)].id.toStdString();
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, gone](std::stop_token) { return lib->drop_form(gone, Own::letter); },
        [this, gone](const Result<bool>& ok) {
            if (!ok) return message_->problem(text::error(ok.error()));
            std::erase_if(own_, [&](const OwnForm& f) { return f.id == gone; });
            fill_templates();
        });
}

/// Words that are still a template's own are those of the other language's template.
void LetterPage::touched_language() {
    if (filling_ || !open_) return;
    const std::vector<LetterTemplate> before = templates_;
    fill_templates();
    for (std::size_t i = 0; i < before.size() && i < templates_.size(); ++i)
        if (!before[i].own && opening_->words() == before[i].opening && closing_->words() == before[i].closing) {
            template_->setCurrentIndex(static_cast<int>(i));
            return take_template(static_cast<int>(i));
        }
    choices_changed();
}

void LetterPage::fill_fields() {
    fields_->clear();
    if (!open_) return;
    const FieldSource source = field_source(order(), session_.catalogue, better_);
    auto add = [&](const Field& f) {
        const auto value = filled(f, source);
        auto* a = fields_->addAction(value ? QStringLiteral("%1: %2").arg(field_name(f, source), *value) : field_name(f, source));
        a->setEnabled(value.has_value());
        connect(a, &QAction::triggered, this, [this, f] { last_words_->insert_field(f); });
    };
    for (const char* plain : {"name", "movement", "day", "next", "me", "place"}) add({QString::fromLatin1(plain), 0, {}});
    fields_->addSeparator();
    const qint64 clip = open_->clip.id;
    for (const auto& [key, change] : better_) add({QStringLiteral("change"), clip, key});
    for (int i = 0; i < corrections_->count(); ++i)
        if (const Finding* f = finding(corrections_->item(i)->data(Qt::UserRole).toString()); f && !f->by_hand)
            add({QStringLiteral("figure"), clip, finding_key(*f)});
}

void LetterPage::say_status() {
    auto day = [](const std::string& iso) {
        return QLocale().toString(QDate::fromString(QString::fromStdString(iso), Qt::ISODate), QLocale::ShortFormat);
    };
    const auto& s = status_of_;
    QString words = s.sent_on.empty()    ? tr("Draft: nothing was saved or sent yet.")
                    : s.how == "none"    ? tr("Done on %1 without a letter.").arg(day(s.sent_on))
                    : s.how.empty()      ? tr("Saved on %1. Whether it was sent is not said yet.").arg(day(s.sent_on))
                    : s.how == "mail"    ? tr("Sent by mail on %1.").arg(day(s.sent_on))
                    : s.how == "message" ? tr("Sent as a message on %1.").arg(day(s.sent_on))
                                         : tr("Given by hand on %1.").arg(day(s.sent_on));
    if (!s.answered_on.empty())
        words +=
            QLatin1Char(' ') + (s.answer.empty() ? tr("Answered on %1.").arg(day(s.answered_on))
                                                 : tr("Answered on %1: “%2”").arg(day(s.answered_on), QString::fromStdString(s.answer)));
    status_->setText(words);
}

void LetterPage::mark_sent(const QString& how) {
    if (!open_) return;
    const std::string day = how.isEmpty() ? std::string() : QDate::currentDate().toString(Qt::ISODate).toStdString();
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, r = record(), day, how = how.toStdString()](std::stop_token) -> Result<bool> {
            return lib->together([&]() -> Result<bool> {
                if (auto ok = lib->save_letter(r); !ok) return tl::unexpected(ok.error());
                return lib->set_sent(r.clip, day, how);
            });
        },
        [this, day, how](const Result<bool>& ok) {
            if (!ok) return message_->problem(text::error(ok.error()));
            status_of_.how = how.toStdString();
            if (!day.empty()) status_of_.sent_on = day;
            say_status();
            if (open_) session_.workspace->touched(open_->clip.id);
        });
}

void LetterPage::mark_answered() {
    if (!open_) return;
    bool ok = false;
    const QString words = QInputDialog::getMultiLineText(this, tr("It was answered"), tr("What was answered (may stay empty)"),
                                                         QString::fromStdString(status_of_.answer), &ok)
                              .trimmed();
    if (!ok) return;
    const std::string day = QDate::currentDate().toString(Qt::ISODate).toStdString();
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, clip = open_->clip.id, day, words = words.toStdString()](std::stop_token) {
            return lib->set_answered(clip, day, words);
        },
        [this, day, words](const Result<bool>& kept) {
            if (!kept) return message_->problem(text::error(kept.error()));
            status_of_.answered_on = day;
            status_of_.answer = words.toStdString();
            say_status();
        });
}

void LetterPage::copy_text() {
    if (!open_) return;
    working(tr("Composing the words …"));
    session_.background->run<Result<QString>>(
        this,
        [lib = session_.library, session = &session_, o = order()](std::stop_token) -> Result<QString> {
            LetterOrder words = o;
            words.record.short_form = true;
            auto c = compose(words, *lib, session->catalogue);
            if (!c) return tl::unexpected(c.error());
            return letter_text(*c);
        },
        [this](const Result<QString>& words) {
            working({});
            if (!words) return failed(words.error(), [this] { copy_text(); });
            QGuiApplication::clipboard()->setText(*words);
            message_->say(tr("Copied. Paste it into your message, then say here that it was sent."));
        });
}

/// Of the person (or the alias, where that is hidden), movement and day; nothing of them with the day hidden.
QString LetterPage::file_name(const QString& ending) const {
    const bool hidden = hide_->isChecked();
    QStringList parts;
    if (!hidden) parts << QString::fromStdString(open_->person.name).section(QLatin1Char(' '), 0, 0);
    if (hidden && !facts_.alias.empty()) parts << QString::fromStdString(facts_.alias);
    parts << said(open_->review->movement.name);
    if (!hidden || !hide_date_->isChecked()) parts << QString::fromStdString(open_->clip.filmed_on);
    QString name = parts.join(QLatin1Char(' '));
    for (QChar& c : name)
        if (QStringLiteral("/\\:*?\"<>|").contains(c)) c = QLatin1Char('-');
    return name.trimmed() + QLatin1Char('.') + ending;
}

void LetterPage::save_at_once() {
    if (!open_ || busy_) return;
    QString folder = session_.settings.export_folder;
    if (folder.isEmpty() || !QFileInfo(folder).isWritable()) folder = QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation);
    QDir().mkpath(folder);
    const QString ending = short_->isChecked() ? QStringLiteral("txt") : QStringLiteral("pdf");
    const QString name = file_name(ending);
    QString file = QDir(folder).filePath(name);
    for (int n = 2; QFileInfo::exists(file); ++n)
        file = QDir(folder).filePath(QStringLiteral("%1 %2.%3").arg(name.chopped(ending.size() + 1)).arg(n).arg(ending));
    export_to(file);
}

void LetterPage::open_mail() {
    if (!open_ || busy_) return;
    working(tr("Writing the letter …"));
    const QString file = mail_folder() + QLatin1Char('/') + file_name(QStringLiteral("pdf"));
    session_.background->run<Result<Outgoing>>(
        this,
        [lib = session_.library, session = &session_, o = order(), path = file.toStdString()](std::stop_token) {
            return send_letter(o, path, *lib, session->catalogue);
        },
        [this, file](const Result<Outgoing>& out) {
            working({});
            if (!out) return failed(out.error(), [this] { open_mail(); });
            const LanguageScope speaks(out->content.language);
            Mail mail;
            mail.to = hide_->isChecked() ? QString() : QString::fromStdString(facts_.email);
            mail.subject = out->content.movement;
            mail.words = out->content.opening;
            mail.file = file;
            if (auto ok = open_in_mail_program(mail); !ok)
                return message_->problem(tr("No mail program could be opened. The letter was saved: %1").arg(file));
            message_->say(tr("The letter is in your mail program. Say here once it was sent."));
            if (status_of_.sent_on.empty()) status_of_.sent_on = QDate::currentDate().toString(Qt::ISODate).toStdString();
            say_status();
        });
}

void LetterPage::save_reminder() {
    if (!open_ || !look_again_->isChecked()) return;
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Save the reminder"), place_for(QStringLiteral("look-again.ics")), tr("Calendar (*.ics)"));
    if (file.isEmpty()) return;
    Reminder r;
    r.uid = "look-" + std::to_string(open_->clip.id) + "-" + record().review_on + "@bevel";
    r.day = record().review_on;
    // A calendar is often shared: the alias stands in it where there is one.
    const QString who = facts_.alias.empty() ? QString::fromStdString(open_->person.name).section(QLatin1Char(' '), 0, 0)
                                             : QString::fromStdString(facts_.alias);
    r.title = tr("New clip of %1: %2").arg(who, said(open_->review->movement.name)).toStdString();
    const auto text = calendar_of(std::vector<Reminder>{r}, QDateTime::currentDateTimeUtc().toString(Qt::ISODate).toStdString());
    const auto ok = text ? write_whole(file.toStdString(), *text) : Result<bool>(tl::unexpected(text.error()));
    if (!ok) return failed(ok.error(), [this] { save_reminder(); });
    message_->say(tr("Saved: %1").arg(file));
}

void LetterPage::phrase_book() {
    auto* dialog = new PhraseDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
}

} // namespace bevel::ui
