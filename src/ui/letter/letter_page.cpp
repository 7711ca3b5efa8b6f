#include "ui/letter/letter_page.h"
#include "core/review/points_csv.h"
#include <QCheckBox>
#include <QComboBox>
#include <QCoreApplication>
#include <QFileDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {
QString key_of(const Finding& f) {
    return QString::fromStdString(finding_key(f));
}

LetterContent compose(const OpenReview& open, const LetterRecord& record, const Catalogue& catalogue, const Theme& theme) {
    const auto& findings = open.review->findings;
    LetterSource source;
    source.clip = open.file;
    source.track = &open.track;
    source.review = open.review;
    source.hide_identity = record.hide_identity;
    for (const auto& d : open.decisions) source.wording[d.check + "/" + d.side] = QString::fromStdString(d.wording);
    for (const auto& f : findings) {
        const bool chosen = std::any_of(record.checks.begin(), record.checks.end(), [&](const std::string& k) { return is_of(k, f); });
        // What is no longer told or outside (another height, another school) is not sent, whatever was chosen before.
        if (chosen && (f.verdict == Verdict::outside || f.verdict == Verdict::edge)) source.corrections.push_back(f);
    }
    LetterContent c = compose_letter(source, catalogue, theme);
    c.student = record.hide_identity ? QCoreApplication::translate("letter", "a student") : QString::fromStdString(open.person.name);
    c.instructor = QString::fromStdString(record.signed_by);
    c.place = QString::fromStdString(record.place);
    c.date = QDate::fromString(QString::fromStdString(open.clip.filmed_on), Qt::ISODate);
    if (!c.date.isValid()) c.date = QDate::currentDate();
    c.opening = QString::fromStdString(record.opening);
    c.closing = QString::fromStdString(record.closing);
    for (const auto& f : findings)
        if (f.verdict == Verdict::inside && is_of(record.praise, f)) c.praise = QString::fromStdString(f.good);
    return c;
}
} // namespace

LetterPage::LetterPage(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
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
    hide_ = new QCheckBox(tr("Hide who it is (name and face)"));
    hide_->setObjectName(QStringLiteral("hide"));
    pdf_ = new QPushButton(tr("Save as PDF …"));
    pdf_->setObjectName(QStringLiteral("primary"));
    html_ = new QPushButton(tr("Save as HTML …"));
    message_ = new QLabel;
    message_->setObjectName(QStringLiteral("faint"));
    message_->setWordWrap(true);
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
    form->addWidget(hide_);
    auto* row = new QHBoxLayout;
    row->addWidget(pdf_);
    row->addWidget(html_);
    row->addStretch(1);
    form->addLayout(row);
    form->addWidget(message_);
    auto* left = new QWidget;
    left->setLayout(form);
    left->setFixedWidth(430);
    form->setContentsMargins(0, 0, 0, 0);
    preview_ = new QLabel(tr("Open a review and keep what should be said; the letter appears here."));
    preview_->setObjectName(QStringLiteral("preview"));
    preview_->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    preview_->setMargin(12);
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("Page preview"));
    scroll->setWidgetResizable(true);
    scroll->setWidget(preview_);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addWidget(left);
    all->addWidget(scroll, 1);
    connect(corrections_, &QListWidget::itemChanged, this, &LetterPage::choices_changed);
    connect(praise_, &QComboBox::currentIndexChanged, this, &LetterPage::choices_changed);
    connect(opening_, &QPlainTextEdit::textChanged, this, &LetterPage::choices_changed);
    connect(closing_, &QPlainTextEdit::textChanged, this, &LetterPage::choices_changed);
    connect(signed_, &QLineEdit::textChanged, this, &LetterPage::choices_changed);
    connect(place_, &QLineEdit::textChanged, this, &LetterPage::choices_changed);
    connect(hide_, &QCheckBox::toggled, this, &LetterPage::choices_changed);
    connect(pdf_, &QPushButton::clicked, this, [this] { ask_and_export(QStringLiteral("pdf")); });
    connect(html_, &QPushButton::clicked, this, [this] { ask_and_export(QStringLiteral("html")); });
    pdf_->setEnabled(false);
    html_->setEnabled(false);
}

void LetterPage::open_clip(qint64 id) {
    session_.background->post(this, [this, lib = session_.library, id](std::stop_token) -> Background::After {
        auto loaded = load_review(*lib, session_, id);
        if (!loaded) return [this, e = loaded.error()] { message_->setText(text::error(e)); };
        const auto open = *loaded;
        auto letters = lib->letters(id);
        const auto signed_by = lib->setting("signed_by"), place = lib->setting("place");
        return [this, open, signed_by, place, letters = letters ? *letters : std::vector<LetterRecord>{}] {
            open_ = open;
            saved_ = letters;
            sender_ = {QString::fromStdString(signed_by), QString::fromStdString(place)};
            show_choices();
        };
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
        if (f.verdict == Verdict::inside && f.sure && !f.good.empty()) praise_->addItem(QString::fromStdString(f.good), key);
        Choice choice = Choice::open;
        QString cue = QString::fromStdString(f.cue);
        for (const auto& d : open_->decisions)
            if (is_of(d.check + "/" + d.side, f)) {
                choice = d.choice;
                if (!d.wording.empty()) cue = QString::fromStdString(d.wording);
            }
        if (choice != Choice::kept || (f.verdict != Verdict::outside && f.verdict != Verdict::edge)) continue;
        auto* item = new QListWidgetItem(text::headline(f, session_.catalogue) + QLatin1Char('\n') + cue, corrections_);
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
    if (corrections_->count() == 0)
        message_->setText(tr("Nothing is kept yet: keep findings in the review first."));
    else
        message_->clear();
    filling_ = false;
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
    r.signed_by = signed_->text().toStdString();
    r.place = place_->text().toStdString();
    return r;
}

void LetterPage::choices_changed() {
    if (filling_ || !open_) return;
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
    session_.background->post(this,
                              [this, run, lib = session_.library, open = open_, record = record()](std::stop_token) -> Background::After {
                                  auto saved = lib->save_letter(record);
                                  if (!saved) return [this, e = saved.error()] { message_->setText(text::error(e)); };
                                  (void)lib->set_setting("signed_by", record.signed_by);
                                  (void)lib->set_setting("place", record.place);
                                  auto content = compose(*open, record, session_.catalogue, Theme()); // letters are printed on white
                                  return [this, run, content = std::move(content)]() mutable {
                                      if (run == run_) content_ready(std::move(content)); // an older one is dropped
                                  };
                              });
}

void LetterPage::content_ready(LetterContent content) {
    content_ = std::move(content);
    const double zoom = 1.08;
    const int pages = letter_pages(*content_);
    QImage im(static_cast<int>(595 * zoom), static_cast<int>((842 * pages + 12 * (pages - 1)) * zoom), QImage::Format_RGB32);
    im.fill(session_.theme.palette.paper);
    QPainter p(&im);
    p.scale(zoom, zoom);
    for (int i = 0; i < pages; ++i) {
        p.save();
        p.translate(0, i * 854.0);
        p.fillRect(QRectF(0, 0, 595, 842), Qt::white);
        paint_letter_page(p, *content_, i, Theme());
        p.restore();
    }
    p.end();
    preview_->setPixmap(QPixmap::fromImage(im));
    pdf_->setEnabled(true);
    html_->setEnabled(true);
}

void LetterPage::ask_and_export(const QString& ending) {
    const QString file = QFileDialog::getSaveFileName(this, tr("Save the letter"), QStringLiteral("letter.") + ending,
                                                      ending == QLatin1String("pdf") ? tr("PDF (*.pdf)") : tr("HTML (*.html)"));
    if (!file.isEmpty()) export_to(file);
}

void LetterPage::export_to(const QString& file) {
    if (!content_) return;
    session_.background->post(this, [this, file, content = *content_](std::stop_token) -> Background::After {
        auto ok = file.endsWith(QLatin1String(".html")) ? write_text(file.toStdString(), letter_html(content).toStdString())
                                                        : write_letter_pdf(file.toStdString(), content);
        return [this, file, ok] {
            message_->setText(ok ? tr("Saved: %1").arg(file) : text::error(ok.error()));
            if (ok) emit exported(file);
        };
    });
}

} // namespace bevel::ui
