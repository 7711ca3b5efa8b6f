// What is chosen for a letter: corrections of its clip and of those it answers too, what went well, what goes with each; done and undone.
#include "ui/letter/field_edit.h"
#include "ui/letter/letter_page.h"
#include "ui/letter/letter_view.h"
#include "ui/letter/with_box.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDateEdit>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>

namespace bevel::ui {

namespace {
QString key_of(const Finding& f) {
    return QString::fromStdString(FindingKey::of(f).text());
}
} // namespace

void LetterPage::show_choices() {
    filling_ = true;
    title_->setText(tr("Letter to %1").arg(QString::fromStdString(open_->person.name)));
    const LetterRecord* saved = saved_.empty() ? nullptr : &saved_.front();
    status_of_ = saved ? *saved : LetterRecord{};
    with_.clear();
    if (saved) {
        for (const auto& [key, w] : saved->with) with_[{open_->clip.id, key}] = w;
        for (const auto& part : saved->also)
            for (const auto& [key, w] : part.with) with_[{part.clip, key}] = w;
    }
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
    int chosen = 0; // so far
    // What holds in every part; where nothing does, what holds in one.
    for (const bool everywhere : {true, false}) {
        if (!everywhere && praise_->count() > 1) break;
        for (const auto& f : open_->review->findings)
            if (const QString words = text::praise(f, open_->review->movement); !words.isEmpty() && f.sure == everywhere)
                praise_->addItem(words, key_of(f));
    }
    add_corrections(*open_, saved, chosen);
    for (const auto& other : beside_) add_beside(*other, saved, chosen);
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
    preview_->say(tr("Composing the page …")); // nothing of another letter stays
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

namespace {
constexpr int key_role = Qt::UserRole, clip_role = Qt::UserRole + 1;

const LetterPart* part_of(const LetterRecord* record, qint64 clip) {
    if (record)
        for (const auto& p : record->also)
            if (p.clip == clip) return &p;
    return nullptr;
}
} // namespace

/// What was kept in a clip, each remark once; of a letter that was saved what was chosen there, else as many as a letter takes.
void LetterPage::add_corrections(const OpenReview& open, const LetterRecord* saved, int& chosen) {
    const qint64 clip = open.clip.id;
    const LetterPart* part = part_of(saved, clip);
    const std::vector<std::string>* checks = clip == open_->clip.id ? (saved ? &saved->checks : nullptr) : part ? &part->checks : nullptr;
    for (const auto& f : open.review->findings) {
        const QString key = key_of(f);
        const Decision d = decision_of(open.decisions, f);
        const QString cue = d.wording.empty() ? said(f.cue) : QString::fromStdString(d.wording);
        if (d.choice != Choice::kept || (f.verdict != Verdict::outside && f.verdict != Verdict::edge)) continue;
        const auto remark = remark_of(f, open.review->findings);
        if (remark.front() != &f) continue; // one correction, whatever sides it shows on
        auto* item = new QListWidgetItem(text::fault(f, session_.catalogue) + QLatin1Char('\n') + cue, corrections_);
        item->setData(key_role, key);
        item->setData(clip_role, clip);
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        const bool on = checks ? std::any_of(checks->begin(), checks->end(),
                                             [&](const std::string& k) { return means_one_of(FindingKey::read(k), remark); })
                               : chosen < 3;
        item->setCheckState(on && chosen < 3 ? Qt::Checked : Qt::Unchecked);
        if (!checks && item->checkState() == Qt::Checked)
            if (const WithCorrection w = proposed_with(open.review->movement, f, chosen == 0, gates_[clip].itself); !w.empty())
                with_[{clip, key.toStdString()}] = w;
        chosen += item->checkState() == Qt::Checked ? 1 : 0;
    }
}

/// Another clip of the visit: a line to tick with its name and day, what was kept in it under that.
void LetterPage::add_beside(const OpenReview& open, const LetterRecord* saved, int& chosen) {
    const QString name = tr("%1, %2").arg(text::movement(open.review->movement), text::day(open.clip.filmed_on));
    auto* head = new QListWidgetItem(corrections_);
    head->setData(clip_role, static_cast<qint64>(open.clip.id));
    QFont f = head->font();
    f.setWeight(QFont::DemiBold);
    head->setFont(f);
    const int before = corrections_->count();
    const bool with = !saved || std::find(saved->apart.begin(), saved->apart.end(), open.clip.id) == saved->apart.end();
    int none = 3;
    add_corrections(open, saved, with ? chosen : none);
    if (corrections_->count() == before) {
        head->setText(tr("%1 waits too: nothing was kept in it yet").arg(name));
        head->setFlags(Qt::ItemIsSelectable | Qt::ItemIsEnabled);
        return;
    }
    head->setText(tr("Answers %1 too").arg(name));
    head->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
    head->setCheckState(with ? Qt::Checked : Qt::Unchecked);
}

const OpenReview* LetterPage::opened(qint64 clip) const {
    if (open_ && open_->clip.id == clip) return open_.get();
    for (const auto& other : beside_)
        if (other->clip.id == clip) return other.get();
    return nullptr;
}

const Finding* LetterPage::finding(const Chosen& of) const {
    if (const OpenReview* open = opened(of.clip))
        for (const auto& f : open->review->findings)
            if (key_of(f) == of.key) return &f;
    return nullptr;
}

LetterPage::Chosen LetterPage::of_item(const QListWidgetItem* item) {
    return {item->data(clip_role).toLongLong(), item->data(key_role).toString()};
}

/// The correction under the cursor, else the first that goes out.
LetterPage::Chosen LetterPage::chosen() const {
    if (const auto* it = corrections_->currentItem()) return of_item(it);
    for (int i = 0; i < corrections_->count(); ++i)
        if (const auto* it = corrections_->item(i); it->checkState() == Qt::Checked && !of_item(it).key.isEmpty()) return of_item(it);
    return {};
}

void LetterPage::show_with() {
    const Chosen of = chosen();
    const Finding* f = finding(of);
    const OpenReview* open = opened(of.clip);
    const auto it = with_.find({of.clip, of.key.toStdString()});
    const auto gate = gates_.find(of.clip);
    with_box_->show_of(f && open ? &open->review->movement : nullptr, f, it == with_.end() ? WithCorrection{} : it->second,
                       gate == gates_.end() ? HomeGate{} : gate->second);
}

void LetterPage::with_changed() {
    const Chosen of = chosen();
    if (filling_ || !open_ || of.key.isEmpty()) return;
    const WithCorrection w = with_box_->with();
    if (w.empty())
        with_.erase({of.clip, of.key.toStdString()});
    else
        with_[{of.clip, of.key.toStdString()}] = w;
    choices_changed();
}

namespace {
bool same_choices(const LetterRecord& a, const LetterRecord& b) {
    return a.checks == b.checks && a.praise == b.praise && a.hide_identity == b.hide_identity && a.hide_date == b.hide_date &&
           a.language == b.language && a.review_on == b.review_on && a.short_form == b.short_form && a.large == b.large &&
           a.with == b.with && a.also == b.also && a.apart == b.apart;
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
        const Chosen of = of_item(it);
        const LetterPart* part = part_of(&r, of.clip);
        if (of.key.isEmpty()) {
            if (it->flags() & Qt::ItemIsUserCheckable) it->setCheckState(part ? Qt::Checked : Qt::Unchecked);
            continue;
        }
        const std::vector<std::string> none, &checks = of.clip == r.clip ? r.checks : part ? part->checks : none;
        it->setCheckState(std::find(checks.begin(), checks.end(), of.key.toStdString()) != checks.end() ? Qt::Checked : Qt::Unchecked);
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
    with_.clear();
    for (const auto& [key, w] : r.with) with_[{r.clip, key}] = w;
    for (const auto& part : r.also)
        for (const auto& [key, w] : part.with) with_[{part.clip, key}] = w;
    filling_ = false;
    shown_ = record();
    show_with();
    choices_changed();
}

LetterRecord LetterPage::record() const {
    LetterRecord r;
    r.clip = open_ ? open_->clip.id : 0;
    r.praise = praise_->currentData().toString().toStdString();
    for (int i = 0; i < corrections_->count(); ++i) {
        const auto* it = corrections_->item(i);
        const Chosen of = of_item(it);
        if (of.key.isEmpty() && (it->flags() & Qt::ItemIsUserCheckable) && it->checkState() != Qt::Checked) r.apart.push_back(of.clip);
        if (it->checkState() != Qt::Checked) continue;
        if (of.key.isEmpty())
            r.also.push_back({of.clip, {}, {}}); // its corrections come after it
        else if (of.clip == r.clip)
            r.checks.push_back(of.key.toStdString());
        else if (!r.also.empty() && r.also.back().clip == of.clip)
            r.also.back().checks.push_back(of.key.toStdString());
    }
    r.opening = opening_->words().toStdString();
    r.closing = closing_->words().toStdString();
    r.language = language_->currentData().toString().toStdString();
    r.review_on = look_again_->isChecked() ? next_->date().toString(Qt::ISODate).toStdString() : std::string();
    r.short_form = short_->isChecked();
    r.large = large_->isChecked();
    for (const auto& [of, w] : with_)
        if (of.first == r.clip)
            r.with[of.second] = w;
        else
            for (auto& part : r.also)
                if (part.clip == of.first) part.with[of.second] = w;
    r.hide_identity = hide_->isChecked();
    r.hide_date = hide_->isChecked() && hide_date_->isChecked();
    r.signed_by = signed_->text().toStdString();
    r.place = place_->text().toStdString();
    return r;
}

void LetterPage::choices_changed() {
    if (filling_ || !open_) return;
    filling_ = true;
    // Of a clip that is answered by itself nothing is said here.
    bool here = true;
    int on = 0;
    for (int i = 0; i < corrections_->count(); ++i) {
        auto* it = corrections_->item(i);
        if (of_item(it).key.isEmpty())
            here = it->checkState() == Qt::Checked;
        else if (!here)
            it->setCheckState(Qt::Unchecked);
        else
            on += it->checkState() == Qt::Checked ? 1 : 0;
    }
    for (int i = 0; i < corrections_->count(); ++i) { // with three chosen the others rest
        auto* it = corrections_->item(i);
        if (of_item(it).key.isEmpty()) {
            here = it->checkState() == Qt::Checked;
            continue;
        }
        const bool of_this = of_item(it).clip == open_->clip.id || here;
        it->setFlags(!of_this || (on >= 3 && it->checkState() != Qt::Checked)
                         ? Qt::ItemIsSelectable
                         : Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
    }
    filling_ = false;
    keep_step();
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

} // namespace bevel::ui
