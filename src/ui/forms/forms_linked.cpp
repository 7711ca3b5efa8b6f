// Linked forms in the place of forms: shown, made, changed, written, read.
#include "core/files.h"
#include "core/form/from_clip.h"
#include "desk/open_review.h"
#include "store/forms.h"
#include "ui/forms/course_view.h"
#include "ui/forms/floor_path_view.h"
#include "ui/forms/form_editor.h"
#include "ui/forms/forms_page.h"
#include "ui/forms/linked_editor.h"
#include "ui/shell/step.h"
#include "ui/shell/workspace.h"
#include "ui/text/data_words.h"
#include <cmath>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QStackedWidget>
#include <QTableWidget>
#include <QTabWidget>
#include <QTextBrowser>

namespace bevel::ui {
namespace {

using FormStep = Step<std::optional<std::string>>; // a text of one's own; none: as shipped

QString minutes_words(double seconds) {
    const auto s = static_cast<int>(std::lround(seconds));
    return QStringLiteral("%1:%2").arg(s / 60).arg(s % 60, 2, 10, QLatin1Char('0'));
}

} // namespace

std::shared_ptr<const LinkedForm> FormsPage::linked() const {
    return session_.forms().form(shown().toStdString());
}

/// Everything of the page that is of a movement alone makes room for what is of a form, or the other way round.
void FormsPage::turn_to(bool form) {
    stage_->setCurrentWidget(form ? static_cast<QWidget*>(floor_) : course_);
    change_->setCurrentWidget(form ? static_cast<QWidget*>(linked_editor_) : editor_);
    way_box_->setVisible(!form);
    lane_box_->setVisible(!form);
    school_->setEnabled(!form);
    tabs_->setTabText(tabs_->indexOf(phases_->parentWidget()), form ? tr("Parts") : tr("Phases"));
    phases_->setAccessibleName(form ? tr("Parts") : tr("Phases"));
    phases_->setHorizontalHeaderLabels(form ? QStringList{tr("Part"), tr("leads"), tr("taught with"), tr("s")}
                                            : QStringList{tr("Phase"), tr("Role"), tr("Breath"), tr("s")});
}

/// Laid out and performed off the thread: a form of twenty movements takes its time.
void FormsPage::show_linked() {
    const auto f = linked();
    if (!f) return;
    turn_to(true);
    figure_->play(false);
    shown_form_.reset();
    floor_->show_form(nullptr);
    recorded_->hide();
    const bool shipped =
        std::any_of(session_.shipped_linked.begin(), session_.shipped_linked.end(), [&](const LinkedForm& s) { return s.id == f->id; });
    linked_editor_->show_form(*f, shipped);
    fill_faults();
    fill_linked_words();
    const int run = ++form_run_;
    form_work_.run<Result<std::shared_ptr<const ShownForm>>>(
        this, [form = *f, movements = session_.movements.now()](std::stop_token) { return shown_form(form, *movements); },
        [this, run](const Result<std::shared_ptr<const ShownForm>>& made) {
            if (run != form_run_ || !linked()) return;
            if (!made)
                return linked_editor_->problem(tr("That cannot be done in one: %1").arg(QString::fromStdString(made.error().context)));
            shown_form_ = *made;
            figure_->show_course(shown_form_->course.whole, shown_form_->figure);
            floor_->show_form(shown_form_);
            fill_linked_words();
            if (tabs_->currentWidget() == change_) go_to_entry(linked_editor_->entry()); // what was changed is looked at
        });
}

void FormsPage::fill_linked_words() {
    const auto f = linked();
    const auto face = movement();
    if (!f || !face) return;
    QString h = QStringLiteral("<h3>%1</h3>").arg(said(f->name).toHtmlEscaped());
    if (!f->pinyin.empty()) h += QStringLiteral("<p><i>%1</i></p>").arg(QString::fromStdString(f->pinyin).toHtmlEscaped());
    h += QStringLiteral("<p>%1</p>").arg(said(f->about).toHtmlEscaped());
    if (shown_form_) {
        h += QStringLiteral("<p>%1<br>%2</p>")
                 .arg(tr("%n part(s), %1 minutes", nullptr, static_cast<int>(shown_form_->course.parts.size()))
                          .arg(minutes_words(shown_form_->seconds()))
                          .toHtmlEscaped(),
                      FloorPathView::room_words(*shown_form_).toHtmlEscaped());
        const double off = shown_form_->path.ends_off_m();
        h += QStringLiteral("<p>%1</p>")
                 .arg((off < 0.25 ? tr("It ends where it began.")
                                  : tr("It ends %1 m from where it began.").arg(QLocale().toString(off, 'f', 1)))
                          .toHtmlEscaped());
    }
    const std::array<QString, 4> much{tr("nothing"), tr("a little"), tr("some"), tr("much")};
    h += QStringLiteral("<p>%1</p>")
             .arg(tr("Asks of the knees: %1; of the balance: %2.")
                      .arg(much[static_cast<std::size_t>(face->asks.knees)], much[static_cast<std::size_t>(face->asks.balance)])
                      .toHtmlEscaped());
    h += QStringLiteral("<h4>%1</h4><p>").arg(tr("Parts").toHtmlEscaped());
    int number = 1;
    for (const auto& p : f->parts) {
        const auto m = session_.movement(p.movement);
        const QString name = p.name ? said(*p.name) : m ? said(m->name) : QString::fromStdString(p.movement);
        h += QStringLiteral("%1. %2%3<br>")
                 .arg(p.repeats > 1 ? QStringLiteral("%1–%2").arg(number).arg(number + p.repeats - 1) : QString::number(number))
                 .arg(name.toHtmlEscaped(),
                      p.group.empty() ? QString() : QStringLiteral(" <small>(%1)</small>").arg(said(p.group).toHtmlEscaped()));
        number += p.repeats;
    }
    h += QStringLiteral("</p>");
    const auto cautions = text::cautions_for({}, face.get());
    if (!cautions.isEmpty()) h += QStringLiteral("<h4>%1</h4>").arg(tr("Take care").toHtmlEscaped());
    for (const auto& c : cautions) h += QStringLiteral("<p>%1</p>").arg(c.toHtmlEscaped());
    about_->setHtml(h);
    rules_->setHtml(QStringLiteral("<p>%1</p>")
                        .arg(tr("Each part is judged by the rules of its own movement, which stand there. Between the parts the steps, the "
                                "weight, the knees and the balance are looked at, and over the whole what is one fault in several parts.")
                                 .toHtmlEscaped()));
    const QSignalBlocker quiet(phases_);
    phases_->setRowCount(shown_form_ ? static_cast<int>(shown_form_->course.parts.size()) : 0);
    for (std::size_t k = 0; shown_form_ && k < shown_form_->course.parts.size(); ++k) {
        const auto& part = shown_form_->course.parts[k];
        const auto& entry = f->parts[part.entry];
        const QString name = said(shown_form_->course.whole.part_names[k]);
        const std::array<QString, 4> cells{QStringLiteral("%1. %2").arg(k + 1).arg(name),
                                           part.movement->symmetric() ? QString() : text::side(part.side), said(entry.group),
                                           QLocale().toString(part.duration_s(), 'f', 0)};
        for (int c = 0; c < 4; ++c) phases_->setItem(static_cast<int>(k), c, new QTableWidgetItem(cells[static_cast<std::size_t>(c)]));
    }
}

/// Where a part begins; -1 or one that is not there: nowhere.
void FormsPage::go_to_part(int part) {
    if (!shown_form_ || part < 0 || part >= static_cast<int>(shown_form_->course.parts.size())) return;
    figure_->play(false);
    figure_->set_time(shown_form_->begins_s(static_cast<std::size_t>(part)) + 0.02);
}

void FormsPage::go_to_entry(int entry) {
    if (!shown_form_ || entry < 0) return;
    const auto& parts = shown_form_->course.parts;
    const auto it =
        std::find_if(parts.begin(), parts.end(), [&](const LinkedPart& p) { return p.entry == static_cast<std::size_t>(entry); });
    if (it != parts.end()) go_to_part(static_cast<int>(it - parts.begin()));
}

/// A form's own text, or none: the shipped one stands again. What cannot be read or linked changes nothing.
void FormsPage::edit_linked(const QString& what, const std::string& id, const std::optional<std::string>& text) {
    if (session_.library->read_only()) return linked_editor_->problem(text::error({Code::write_failed, "read_only"}));
    if (text) {
        const auto f = parse_form(*text);
        if (!f || f->id != id)
            return linked_editor_->problem(f ? tr("The form's id cannot change.")
                                             : tr("That cannot be: %1").arg(QString::fromStdString(f.error().context)));
        if (const auto course = link(*f, *session_.movements.now()); !course)
            return linked_editor_->problem(tr("That cannot be done in one: %1").arg(QString::fromStdString(course.error().context)));
    }
    const auto it = own_linked_.find(id);
    const auto before = it == own_linked_.end() ? std::optional<std::string>() : std::optional(it->second);
    if (before == text) return;
    undo().push(new FormStep(
        what, [this, id](const std::optional<std::string>& t) { apply_linked(id, t); }, before, text));
}

void FormsPage::apply_linked(const std::string& id, const std::optional<std::string>& text) {
    if (text)
        own_linked_[id] = *text;
    else
        own_linked_.erase(id);
    std::vector<OwnForm> all;
    for (const auto& [key, body] : own_linked_) all.push_back({key, body});
    session_.set_linked(with_own(session_.shipped_linked, all));
    session_.workspace->rules_changed();
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id, text](std::stop_token) {
            return text ? lib->forms().keep({id, *text}, Own::linked) : lib->forms().drop(id, Own::linked);
        },
        [this](const Result<bool>& ok) {
            if (!ok) linked_editor_->problem(text::error(ok.error()));
        });
    const QString shown_id = QString::fromStdString(std::string(form_prefix) + id);
    fill_list();
    if (shown() != shown_id && session_.forms().form(shown_id.toStdString()))
        show_movement(shown_id);
    else if (linked())
        show_linked();
}

std::string FormsPage::free_linked_id(const std::string& wish) const {
    std::string id = wish;
    for (int n = 2; session_.forms().form(std::string(form_prefix) + id); ++n) id = wish + "_" + std::to_string(n);
    return id;
}

/// A form of one's own; it begins with the movement that is shown.
void FormsPage::new_linked() {
    LinkedForm f;
    f.id = free_linked_id("own_form");
    f.name = tr("My form").toStdString();
    f.own = true;
    FormPart part;
    if (const auto m = movement(); m && !linked())
        part.movement = m->id;
    else
        part.movement = session_.shipped.empty() ? std::string() : session_.shipped.front().id;
    if (const auto m = session_.movement(part.movement)) f.kind = m->kind;
    f.parts.push_back(part);
    search_->clear();
    for (auto* b : {kind_, trains_, asks_}) b->setCurrentIndex(0);
    tabs_->setCurrentWidget(change_);
    edit_linked(tr("a new form"), f.id, form_json(f));
}

/// A form of one's own from a clip of it: the movements that are known in it, in their order.
void FormsPage::learn_form(qint64 clip) {
    struct Learned {
        std::vector<FormPart> parts;
        std::string name;
    };
    tabs_->setCurrentWidget(change_);
    count_->setText(tr("Looking for the movements in the clip …"));
    session_.files().run<Result<Learned>>(
        this,
        [lib = session_.library, forms = session_.forms(), clip](std::stop_token) -> Result<Learned> {
            const auto c = lib->clips().get(clip);
            if (!c) return tl::unexpected(c.error());
            const auto track = lib->tracks().load(clip);
            if (!track) return tl::unexpected(track.error());
            Person person;
            const auto people = lib->people().all();
            if (!people) return tl::unexpected(people.error());
            for (const auto& p : *people)
                if (p.id == c->person) person = p;
            Learned l;
            l.parts = parts_from(*track, *forms.movements, review_options(forms, *c, person));
            l.name = c->filmed_on;
            return l;
        },
        [this](const Result<Learned>& l) {
            fill_list();
            if (!l) return linked_editor_->problem(text::error(l.error()));
            if (l->parts.size() < 2)
                return tell(tr("Fewer than two of the known movements follow one on the other in this clip. Learn them one by one first."),
                            true);
            LinkedForm f;
            f.id = free_linked_id("own_form");
            f.name = tr("Form of %1").arg(text::day(l->name, true)).toStdString();
            f.own = true;
            f.parts = l->parts;
            if (const auto m = session_.movement(f.parts.front().movement)) f.kind = m->kind;
            edit_linked(tr("a form from a clip"), f.id, form_json(f));
            linked_editor_->say(tr("%n part(s) found. Turns between them cannot be seen by one camera: set them where there are any.",
                                   nullptr, static_cast<int>(f.parts.size())));
        });
}

void FormsPage::copy_linked() {
    const auto f = linked();
    if (!f) return;
    LinkedForm copy = *f;
    copy.id = free_linked_id(f->id + "_own");
    copy.name = tr("%1, my way").arg(said(f->name)).toStdString();
    edit_linked(tr("a copy"), copy.id, form_json(copy));
}

} // namespace bevel::ui
