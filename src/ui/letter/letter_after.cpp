// The letter's templates and fields, how it is handed over, and what became of it.
#include "core/files.h"
#include "store/reminder.h"
#include "ui/letter/field_edit.h"
#include "ui/letter/letter_page.h"
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

void LetterPage::ask_and_print_evening() {
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Letters of today"), place_for(QStringLiteral("letters.pdf")), tr("PDF (*.pdf)"));
    if (!file.isEmpty()) save_evening(file);
}

void LetterPage::save_evening(const QString& file) {
    working(tr("Composing the letters …"));
    using Printed = Result<EveningPrint>;
    session_.background->run<Printed>(
        this,
        [lib = session_.library, forms = session_.forms(), movements = session_.movements.now(), catalogue = session_.catalogue,
         settings = session_.settings, day = QDate::currentDate().toString(Qt::ISODate).toStdString(),
         path = file.toStdString()](const std::stop_token& stop) -> Printed {
            auto made = print_evening(
                day, path, forms, movements, [&](const OpenReview& open) { return settings.units(open.review->motion, open.person); }, *lib,
                catalogue, stop);
            if (!made || made->letters == 0) return made;
            if (auto ok = write_whole(path, {made->pdf.constData(), static_cast<std::size_t>(made->pdf.size())}); !ok)
                return tl::unexpected(ok.error());
            return made;
        },
        [this, file](const Printed& made) {
            working({});
            if (!made) return failed(made.error(), [this] { ask_and_print_evening(); });
            QString words = made->letters == 0 ? tr("No letter was saved today.")
                                               : tr("%n letter(s) saved for paper: %1", nullptr, made->letters).arg(file);
            if (!made->left_out.isEmpty())
                words += QLatin1Char(' ') + tr("Left out, look at them again: %1.").arg(made->left_out.join(QStringLiteral(", ")));
            message_->say(words);
        });
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
        this, [lib = session_.library, form](std::stop_token) { return lib->forms().keep(form, Own::letter); },
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
        this, [lib = session_.library, gone](std::stop_token) { return lib->forms().drop(gone, Own::letter); },
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
        if (const Chosen of = of_item(corrections_->item(i)); of.clip == clip)
            if (const Finding* f = finding(of); f && !f->by_hand) add({QStringLiteral("figure"), clip, FindingKey::of(*f)});
}

void LetterPage::say_status() {
    auto day = [](const std::string& iso) { return text::day(iso); };
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
                if (auto ok = lib->letters().save(r); !ok) return tl::unexpected(ok.error());
                return lib->letters().set_sent(r.clip, day, how);
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
            return lib->letters().set_answered(clip, day, words);
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
        [lib = session_.library, catalogue = session_.catalogue, o = order()](std::stop_token) -> Result<QString> {
            LetterOrder words = o;
            words.record.short_form = true;
            auto c = compose(words, *lib, catalogue);
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
    const QString file = mail_folder(*session_.library) + QLatin1Char('/') + file_name(QStringLiteral("pdf"));
    session_.background->run<Result<Outgoing>>(
        this,
        [lib = session_.library, catalogue = session_.catalogue, o = order(), path = file.toStdString()](std::stop_token) {
            return send_letter(o, path, *lib, catalogue);
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
            if (auto ok = open_in_mail_program(mail); !ok && ok.error().code == Code::bad_value)
                return message_->problem(text::error(ok.error()));
            else if (!ok)
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
    session_.files().run<Result<bool>>(
        this,
        [r, path = file.toStdString(),
         now = QDateTime::currentDateTimeUtc().toString(Qt::ISODate).toStdString()](std::stop_token) -> Result<bool> {
            const auto text = calendar_of(std::vector<Reminder>{r}, now);
            return text ? write_whole(path, *text) : Result<bool>(tl::unexpected(text.error()));
        },
        [this, file](const Result<bool>& ok) {
            if (!ok) return failed(ok.error(), [this] { save_reminder(); });
            message_->say(tr("Saved: %1").arg(file));
        });
}

void LetterPage::phrase_book() {
    auto* dialog = new PhraseDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
}

} // namespace bevel::ui
