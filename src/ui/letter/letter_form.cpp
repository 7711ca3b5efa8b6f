// The letter page's parts, as they are made.
#include "core/files.h"
#include "store/reminder.h"
#include "ui/letter/field_edit.h"
#include "ui/letter/letter_page.h"
#include "ui/letter/letter_view.h"
#include "ui/letter/mail.h"
#include "ui/letter/phrase_dialog.h"
#include "ui/letter/sent_dialog.h"
#include "ui/letter/with_box.h"
#include "ui/shell/day_edit.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/flow_layout.h"
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
#include <QStackedLayout>
#include <QStandardPaths>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bevel::ui {

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

/// Opening and closing, where fields may stand.
void LetterPage::build_free_words() {
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
    typed_ = new QLabel;
    typed_->setObjectName(QStringLiteral("problem"));
    typed_->setWordWrap(true);
    typed_->hide();
}

QLayout* LetterPage::templates_row() {
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
    connect(template_, &QComboBox::activated, this, &LetterPage::take_template);
    connect(keep, &QPushButton::clicked, this, &LetterPage::save_template);
    connect(drop_template_, &QPushButton::clicked, this, &LetterPage::drop_template);
    return top;
}

QLayout* LetterPage::language_row() {
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
    auto* second = new FlowLayout;
    second->setSpacing(6);
    second->addWidget(language_);
    second->addWidget(field);
    connect(language_, &QComboBox::activated, this, &LetterPage::touched_language);
    return second;
}

QLayout* LetterPage::sender_row() {
    signed_ = new QLineEdit;
    signed_->setAccessibleName(tr("Signed by"));
    signed_->setPlaceholderText(tr("Your name"));
    place_ = new QLineEdit;
    place_->setAccessibleName(tr("Place"));
    place_->setPlaceholderText(tr("Your school or hall"));
    auto* sender = new QHBoxLayout;
    sender->addWidget(signed_);
    sender->addWidget(place_);
    for (auto* e : {signed_, place_}) connect(e, &QLineEdit::textChanged, this, &LetterPage::choices_changed);
    return sender;
}

/// How the letter looks, and the instructor's own words.
QLayout* LetterPage::looks_rows() {
    short_ = new QCheckBox(tr("Words alone, without pictures"));
    short_->setObjectName(QStringLiteral("shortForm"));
    large_ = new QCheckBox(tr("Large type"));
    large_->setObjectName(QStringLiteral("largeType"));
    figures_ = new QCheckBox(tr("Figures in small print"));
    figures_->setObjectName(QStringLiteral("letterFigures"));
    figures_->setToolTip(tr("For this and the letters after it"));
    figures_->setChecked(true);
    auto* book = new QPushButton(tr("Own words …"));
    book->setObjectName(QStringLiteral("phraseBook"));
    book->setToolTip(tr("What you said in place of Bevel's cues, by rule and direction"));
    auto* last = new QHBoxLayout;
    last->addWidget(short_);
    last->addWidget(large_);
    last->addStretch(1);
    auto* below = new QHBoxLayout;
    below->addWidget(figures_);
    below->addStretch(1);
    below->addWidget(book);
    connect(book, &QPushButton::clicked, this, &LetterPage::phrase_book);
    for (auto* b : {short_, large_}) connect(b, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(figures_, &QCheckBox::toggled, this, [this](bool on) {
        if (filling_) return;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, on](std::stop_token) { return lib->settings().set("letter_figures", on ? "" : "no"); },
            [this](const Result<bool>&) { choices_changed(); });
    });
    auto* both = new QVBoxLayout;
    both->addLayout(last);
    both->addLayout(below);
    return both;
}

QWidget* LetterPage::build_words() {
    build_free_words();
    auto* w = new QWidget;
    auto* form = new QVBoxLayout(w);
    form->setContentsMargins(6, 8, 6, 4);
    form->addLayout(templates_row());
    form->addLayout(language_row());
    form->addWidget(heading(tr("Opening")));
    form->addWidget(opening_, 2);
    form->addWidget(heading(tr("Closing")));
    form->addWidget(closing_, 1);
    form->addWidget(typed_);
    form->addWidget(heading(tr("Signed")));
    form->addLayout(sender_row());
    form->addLayout(looks_rows());
    return w;
}

/// A button of the page that does what its words say.
template <class Go> QPushButton* LetterPage::said_button(const char* name, const QString& label, const QString& tip, Go go) {
    auto* b = new QPushButton(label);
    b->setObjectName(QLatin1String(name));
    b->setToolTip(tip);
    connect(b, &QPushButton::clicked, this, go);
    return b;
}

/// When it is looked at again.
void LetterPage::build_next(QVBoxLayout* form) {
    look_again_ = new QCheckBox(tr("Look again on"));
    look_again_->setObjectName(QStringLiteral("lookAgain"));
    next_ = new DayEdit;
    next_->setObjectName(QStringLiteral("nextLook"));
    next_->setAccessibleName(tr("Day of the next look"));
    next_->setToolTip(tr("One to two weeks on is usual"));
    auto* look = new QHBoxLayout;
    look->addWidget(look_again_);
    look->addWidget(next_);
    look->addStretch(1);
    reminder_ = said_button("reminder", tr("Reminder for your calendar …"), tr("A calendar file with the day of the next look"),
                            [this] { save_reminder(); });
    connect(look_again_, &QCheckBox::toggled, next_, &QWidget::setEnabled);
    connect(look_again_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(next_, &QDateEdit::dateChanged, this, &LetterPage::choices_changed);
    next_->setEnabled(false);
    form->addWidget(heading(tr("Next look")));
    form->addLayout(look);
    form->addWidget(reminder_, 0, Qt::AlignLeft);
    form->addSpacing(8);
}

/// The ways out: mail, text, pictures, sound, a slow clip; what went out before.
void LetterPage::build_ways(QVBoxLayout* form) {
    mail_ = said_button("openMail", tr("Open in the mail program"), tr("Saves the letter and hands it over; Bevel itself sends nothing"),
                        [this] { open_mail(); });
    text_ = said_button("copyText", tr("Copy as text"), tr("For a message: the words without pictures"), [this] { copy_text(); });
    cards_ = said_button("saveCards", tr("As pictures …"), tr("For a messenger: each correction as one upright picture"),
                         [this] { ask_and_save_cards(); });
    clip_ = said_button("slowMotion", tr("Slow motion …"), QString(), [this] { ask_and_save_clip(); });
    clip_most_ = new QComboBox;
    clip_most_->setObjectName(QStringLiteral("clipMost"));
    clip_most_->setAccessibleName(tr("How large a clip may be"));
    clip_most_->setToolTip(tr("Many messengers take a clip only up to a size: it is written smaller and coarser until it fits"));
    clip_most_->addItem(tr("of any size"), 0);
    for (const int mb : {16, 8, 3}) clip_most_->addItem(tr("up to %1 MB").arg(mb), mb);
    spoken_ = said_button("saveSpoken", tr("Spoken …"), tr("For a messenger: the words said aloud by Bevel's voice"),
                          [this] { ask_and_save_spoken(); });
    sent_ = said_button("sentBefore", tr("Sent before …"), QString(), [this] { show_sent(); });
    consent_ = new QLabel(tr("Nothing says that they agree to be shown to others: ask before anybody else sees this, or hide who it is."));
    consent_->setObjectName(QStringLiteral("letterConsent"));
    consent_->setWordWrap(true);
    consent_->hide();
    form->addWidget(heading(tr("Hand it over")));
    form->addWidget(consent_);
    auto* first = new FlowLayout;
    first->setSpacing(6);
    first->addWidget(mail_);
    first->addWidget(text_);
    first->addWidget(cards_);
    first->addWidget(spoken_);
    form->addLayout(first);
    auto* second = new FlowLayout;
    second->setSpacing(6);
    second->addWidget(clip_);
    second->addWidget(clip_most_);
    second->addWidget(sent_);
    form->addLayout(second);
    form->addSpacing(8);
}

void LetterPage::build_became(QVBoxLayout* form) {
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
    answered_ = said_button("answered", tr("It was answered …"), QString(), [this] { mark_answered(); });
    form->addWidget(heading(tr("What became of it")));
    form->addWidget(status_);
    auto* third = new FlowLayout;
    third->setSpacing(6);
    third->addWidget(mark_);
    third->addWidget(answered_);
    form->addLayout(third);
}

QWidget* LetterPage::build_sending() {
    auto* w = new QWidget;
    auto* form = new QVBoxLayout(w);
    form->setContentsMargins(6, 8, 6, 4);
    build_next(form);
    build_ways(form);
    build_became(form);
    form->addStretch(1);
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
    connect(hide_, &QCheckBox::toggled, this, &LetterPage::settle);
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
    preview_ = new LetterView(session_);
    preview_->say(tr("Open a review and keep what should be said; the letter appears here."));
    connect(preview_, &LetterView::chose, this, [this](qint64 clip, const QString& key) {
        for (int i = 0; i < corrections_->count(); ++i)
            if (const auto of = of_item(corrections_->item(i)); of.clip == clip && of.key == key) corrections_->setCurrentRow(i);
    });
    auto* content = new QWidget;
    auto* all = new QHBoxLayout(content);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addWidget(left);
    all->addWidget(preview_, 1);
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
        const Chosen of = chosen();
        preview_->choose(of.clip, of.key);
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
    actions.add(
        this, M::file, "printEvening", tr("All letters of today for paper …"), {}, [this] { ask_and_print_evening(); },
        tr("One PDF: black and white, in large type, each letter on pages of its own"));
    actions.add(
        this, M::view, "readPages", tr("Read the pages of the letter, or all in one look"), {QKeySequence(Qt::CTRL | Qt::Key_L)},
        [this] { preview_->read_pages(!preview_->reads_pages()); }, tr("Beside all pages in one look stands the chosen correction, large"));
    for (int i = 0; i < 3; ++i)
        actions.add(this, M::view, "letterTab", tabs_->tabText(i), {QKeySequence(Qt::ALT | static_cast<Qt::Key>(Qt::Key_1 + i))},
                    [this, i] { tabs_->setCurrentIndex(i); });
}

} // namespace bevel::ui
