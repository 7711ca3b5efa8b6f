#include "core/files.h"
#include "store/forms.h"
#include "ui/forms/form_editor.h"
#include "ui/forms/forms_page.h"
#include "ui/forms/learn_dialog.h"
#include "ui/forms/linked_editor.h"
#include "ui/forms/schools_dialog.h"
#include "ui/paint/card.h"
#include "ui/shell/step.h"
#include "ui/shell/workspace.h"
#include "ui/text/data_words.h"
#include <nlohmann/json.hpp>
#include <QComboBox>
#include <QFileDialog>
#include <QLabel>
#include <QStackedWidget>
#include <QTabWidget>
#include <QTextBrowser>

namespace bevel::ui {
namespace {

using FormStep = Step<std::optional<std::string>>; // a text of one's own; none: as shipped

} // namespace

/// A movement's own text, or none: the shipped one stands again. What cannot be read changes nothing.
void FormsPage::edit(const QString& what, const std::string& id, const std::optional<std::string>& text) {
    if (session_.library->read_only()) return editor_->problem(text::error({Code::write_failed, "read_only"}));
    if (text)
        if (const auto m = parse_movement(*text); !m || m->id != id)
            return editor_->problem(m ? tr("The movement's id cannot change.")
                                      : tr("That cannot be: %1").arg(QString::fromStdString(m.error().context)));
    const auto it = own_.find(id);
    const auto before = it == own_.end() ? std::optional<std::string>() : std::optional(it->second);
    if (before == text) return;
    undo().push(new FormStep(
        what, [this, id](const std::optional<std::string>& t) { apply(id, t); }, before, text));
}

void FormsPage::apply(const std::string& id, const std::optional<std::string>& text) {
    if (text)
        own_[id] = *text;
    else
        own_.erase(id);
    std::vector<OwnForm> all;
    for (const auto& [key, body] : own_) all.push_back({key, body});
    session_.movements = with_own(session_.shipped, all);
    session_.set_linked(*session_.linked.now());
    session_.workspace->rules_changed();
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id, text](std::stop_token) {
            return text ? lib->forms().keep({id, *text}) : lib->forms().drop(id);
        },
        [this](const Result<bool>& ok) {
            if (!ok) editor_->problem(text::error(ok.error()));
        });
    fill_list();
    if (session_.movement(id) && shown().toStdString() != id) show_movement(QString::fromStdString(id));
    if (movement()) {
        const int phase = editor_->phase();
        fill_ways();
        show_way();
        if (tabs_->currentWidget() == change_) go_to_phase(phase); // what was changed is looked at
    }
}

void FormsPage::learn_from(qint64 clip) {
    auto* dialog = new LearnDialog(session_, clip, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &LearnDialog::learned, this, [this](const QString& name, const std::string& id, const std::string& text, qint64 model) {
        edit(tr("learned: %1").arg(name), id, text);
        show_movement(QString::fromStdString(id));
        // The clip it was laid out on shows it beside students' clips.
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id, model](std::stop_token) { return lib->forms().set_model(id, model); },
            [this](const Result<bool>& ok) {
                if (!ok) editor_->problem(text::error(ok.error()));
            });
    });
    dialog->open();
}

/// Its own id and name; everything else begins as the one that is shown.
void FormsPage::copy_shown() {
    const auto m = movement();
    if (!m || !m->source) return;
    auto j = nlohmann::json::parse(*m->source, nullptr, false);
    if (!j.is_object()) return;
    std::string id = m->id + "_own";
    for (int n = 2; session_.movement(id); ++n) id = m->id + "_own_" + std::to_string(n);
    j["id"] = id;
    j["name"] = tr("%1, my way").arg(said(m->name)).toStdString();
    edit(tr("a copy"), id, j.dump(2));
}

void FormsPage::export_shown() {
    const auto m = movement();
    if (!m) return;
    const auto form = linked();
    const QString& folder = session_.settings.export_folder;
    const QString name = QString::fromStdString(form ? form->id : m->id) + QStringLiteral(".json");
    const QString file = QFileDialog::getSaveFileName(this, form ? tr("Export the form") : tr("Export the movement"),
                                                      folder.isEmpty() ? name : folder + QLatin1Char('/') + name,
                                                      form ? tr("Forms (*.json)") : tr("Movements (*.json)"));
    if (!file.isEmpty()) write_form(file);
}

void FormsPage::write_form(const QString& file) {
    const auto form = linked();
    const auto m = movement();
    const auto source = form ? form->source : m ? m->source : nullptr;
    if (!source) return;
    session_.files().run<Result<bool>>(
        this, [text = *source, path = file.toStdString()](std::stop_token) { return write_whole(path, text); },
        [this, file](const Result<bool>& ok) { tell(ok ? tr("Saved: %1").arg(file) : text::error(ok.error()), !ok); });
}

void FormsPage::print_card() {
    const auto m = movement();
    if (!m) return;
    const QString& folder = session_.settings.export_folder;
    const auto form = linked();
    const QString name = QStringLiteral("card-%1.pdf").arg(QString::fromStdString(form ? form->id : m->id));
    const QString file =
        QFileDialog::getSaveFileName(this, tr("Card of %1").arg(said(m->name)), folder.isEmpty() ? name : folder + QLatin1Char('/') + name,
                                     tr("PDF (*.pdf);;HTML (*.html)"));
    if (!file.isEmpty()) write_card(file);
}

void FormsPage::write_card(const QString& file) {
    const auto m = way();
    if (!m) return;
    session_.files().run<Result<bool>>(
        this,
        [movement = *m, form = linked(), all = session_.movements.now(), path = file.toStdString()](std::stop_token) -> Result<bool> {
            const bool html = path.ends_with(".html");
            const auto bytes = form   ? form_card(*form, *all, html)
                               : html ? Result<QByteArray>(card_html(movement).toUtf8())
                                      : card_pdf(movement);
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, std::string_view(bytes->constData(), static_cast<std::size_t>(bytes->size())));
        },
        [this, file](const Result<bool>& ok) {
            count_->setText(ok ? tr("Saved: %1").arg(file) : text::error(ok.error()));
            count_->setToolTip(count_->text());
        });
}

/// At the editor that is shown.
void FormsPage::tell(const QString& words, bool wrong) {
    if (linked())
        wrong ? linked_editor_->problem(words) : linked_editor_->say(words);
    else
        wrong ? editor_->problem(words) : editor_->say(words);
}

void FormsPage::practise_shown() {
    Ref ref;
    ref.practise = shown();
    if (!ref.practise.isEmpty()) session_.workspace->go(QStringLiteral("practice"), ref);
}

void FormsPage::import_form() {
    const QString file = QFileDialog::getOpenFileName(this, tr("Import a movement or a form"), QString(), tr("Movements, forms (*.json)"));
    if (!file.isEmpty()) read_form(file);
}

void FormsPage::read_form(const QString& file) {
    session_.files().run<Result<std::string>>(
        this, [path = file.toStdString()](std::stop_token) { return read_text(path, 1 << 20); },
        [this](const Result<std::string>& text) {
            if (!text) return tell(text::error(text.error()), true);
            const auto form = parse_form(*text);
            if (form) return edit_linked(tr("an imported form"), form->id, *text);
            const auto m = parse_movement(*text);
            if (m) return edit(tr("an imported movement"), m->id, *text);
            // Which of the two it was meant to be shows in what it holds.
            const bool parts = text->find("\"parts\"") != std::string::npos;
            const QString why = QString::fromStdString((parts ? form.error() : m.error()).context);
            tell(parts ? tr("That is no form Bevel can read: %1").arg(why) : tr("That is no movement Bevel can read: %1").arg(why), true);
        });
}

void FormsPage::fill_schools() {
    const QSignalBlocker quiet(school_);
    const QVariant had = school_->currentData();
    school_->clear();
    school_->addItem(tr("the movement's own bands"), QString());
    for (const auto& s : session_.schools.all()) school_->addItem(said(s.name), QString::fromStdString(s.id));
    school_->setCurrentIndex(std::max(0, school_->findData(had)));
}

void FormsPage::show_schools() {
    auto* dialog = new SchoolsDialog(session_, school_->currentData().toString().toStdString(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &SchoolsDialog::edited, this, &FormsPage::edit_school);
    dialog->open();
}

void FormsPage::edit_school(const QString& what, const std::string& id, const std::optional<std::string>& text) {
    const auto it = own_schools_.find(id);
    const auto before = it == own_schools_.end() ? std::optional<std::string>() : std::optional(it->second);
    if (before == text || session_.library->read_only()) return;
    undo().push(new FormStep(
        what, [this, id](const std::optional<std::string>& t) { apply_school(id, t); }, before, text));
}

void FormsPage::apply_school(const std::string& id, const std::optional<std::string>& text) {
    if (text)
        own_schools_[id] = *text;
    else
        own_schools_.erase(id);
    std::vector<OwnForm> all;
    for (const auto& [key, body] : own_schools_) all.push_back({key, body});
    session_.schools = with_own(session_.shipped_schools, all);
    session_.workspace->rules_changed();
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id, text](std::stop_token) {
            return text ? lib->forms().keep({id, *text}, Own::school) : lib->forms().drop(id, Own::school);
        },
        [this](const Result<bool>& ok) {
            if (!ok) editor_->problem(text::error(ok.error()));
        });
    fill_schools();
    if (const auto m = way(); m && !linked()) rules_->setHtml(rules_html(*m));
    for (auto* d : findChildren<SchoolsDialog*>()) d->fill();
}

} // namespace bevel::ui
