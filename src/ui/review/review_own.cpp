// What the instructor adds to a review: breath marks, remarks at a moment, a clip that shows how it is meant; holds looked up.
#include "core/days.h"
#include "core/measure/breath_trace.h"
#include "ui/review/holds_dialog.h"
#include "ui/review/review_page.h"
#include "ui/review/seen_dialog.h"
#include "ui/shell/step.h"
#include <QDate>
#include <QFileDialog>

namespace bevel::ui {
namespace {

using Loaded = Result<std::shared_ptr<const OpenReview>>;

using BreathStep = Step<std::vector<BreathMark>>;

} // namespace

void ReviewPage::want_model(bool on) {
    model_wanted_ = on;
    if (!state_.open) return;
    if (on) return show_model();
    if (state_.shows_model()) set_beside(state_.open->partner), frame_changed();
}

/// The clip that shows the movement. Of somebody else than the instructor or the student face and name are hidden, as long as they have
/// not agreed to be shown: the student may look on.
void ReviewPage::show_model() {
    struct Model {
        Loaded open;
        bool hidden = false;
    };
    session_.background->run<Model>(
        this,
        [lib = session_.library, forms = session_.forms(), tongue = spoken_language().toStdString(), id = state_.open->clip.id,
         person = state_.open->person.id, movement = state_.open->review->movement.id](std::stop_token) -> Model {
            const auto model = lib->forms().model_of(movement);
            if (model == 0 || model == id) return {std::shared_ptr<const OpenReview>(), false};
            Model m{load_review(*lib, forms, model, tongue), true};
            if (!m.open) return m;
            const Person& who = (*m.open)->person;
            const auto facts = lib->people().facts(who.id);
            m.hidden =
                who.id != person && who.name != lib->settings().get("signed_by") && !(facts && agrees(*facts, Purpose::shown, today()));
            return m;
        },
        [this, of = state_.open](Model shown) {
            if (of != state_.open || !model_wanted_) return; // another clip was opened, or it is no longer wanted
            Loaded& model = shown.open;
            if (!model) return problem(model.error());
            if (!*model)
                return notice_->say(
                    tr("No clip was chosen to show this movement. Open yours, then “Show this clip beside students' clips”."));
            set_beside(std::move(*model), shown.hidden);
            frame_changed();
            if (shown.hidden) notice_->say(tr("Who shows it is hidden: in People nothing says that they agree to be shown."));
        });
}

void ReviewPage::show_before() {
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, forms = session_.forms(), tongue = spoken_language().toStdString(),
         id = std::exchange(before_wanted_, 0)](std::stop_token) -> Loaded { return load_review(*lib, forms, id, tongue); },
        [this, of = state_.open](Loaded before) {
            if (of != state_.open) return;
            if (!before) return problem(before.error());
            const QString day =
                QLocale().toString(QDate::fromString(QString::fromStdString((*before)->clip.filmed_on), Qt::ISODate), QLocale::LongFormat);
            set_beside(std::move(*before));
            frame_changed();
            notice_->say(tr("On the right the clip of %1, at the same moment of the movement.").arg(day));
        });
}

/// This clip is the one that shows the movement, or no longer.
void ReviewPage::be_model() {
    if (!state_.open) return;
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, id = state_.open->clip.id, movement = state_.open->review->movement.id](std::stop_token) -> Result<bool> {
            const bool is = lib->forms().model_of(movement) == id;
            if (auto ok = lib->forms().set_model(movement, is ? 0 : id); !ok) return ok;
            return !is;
        },
        [this, name = said(state_.open->review->movement.name)](const Result<bool>& now) {
            if (!now) return problem(now.error());
            notice_->say(*now ? tr("This clip now shows “%1” beside students' clips (I).").arg(name)
                              : tr("This clip no longer shows “%1”.").arg(name));
        });
}

void ReviewPage::add_seen() {
    if (!state_.open || session_.library->read_only()) return;
    play(false);
    auto* dialog = new SeenDialog(state_.family, state_.time(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &SeenDialog::seen, this, &ReviewPage::see);
    dialog->open();
}

void ReviewPage::see(const Remark& s) {
    if (!state_.open || s.words.empty()) return;
    Remark now = s;
    now.clip = state_.open->clip.id;
    // An id of its own from the start, so that it can be taken back and done again.
    session_.background->run<Result<std::int64_t>>(
        this,
        [lib = session_.library, now](std::stop_token) -> Result<std::int64_t> {
            std::int64_t id = 0;
            auto ok = lib->together([&]() -> Result<bool> {
                const auto made = lib->decisions().save_seen(now);
                if (!made) return tl::unexpected(made.error());
                id = *made;
                return lib->decisions().drop_seen(id);
            });
            if (!ok) return tl::unexpected(ok.error());
            return id;
        },
        [this, now](const Result<std::int64_t>& id) mutable {
            if (!id) return problem(id.error());
            now.id = *id;
            keep_seen(tr("something seen"), now, true);
        });
}

namespace {
/// Something seen that is there or not, to be done and undone.
class SeenStep : public QUndoCommand {
public:
    SeenStep(const QString& what, std::function<void(bool)> apply, bool there) : apply_(std::move(apply)), there_(there) { setText(what); }
    void redo() override { apply_(there_); }
    void undo() override { apply_(!there_); }

private:
    std::function<void(bool)> apply_;
    bool there_;
};
} // namespace

void ReviewPage::keep_seen(const QString& what, const Remark& s, bool there) {
    undo().push(new SeenStep(
        what,
        [this, s](bool on) {
            session_.background->run<Result<bool>>(
                this,
                [lib = session_.library, s, on](std::stop_token) {
                    return lib->together([&]() -> Result<bool> {
                        if (!on) return lib->decisions().drop_seen(s.id);
                        if (auto ok = lib->decisions().save_seen(s); !ok) return tl::unexpected(ok.error());
                        // What was written down is meant to be said.
                        return lib->decisions().decide(s.clip, {FindingKey::seen_check(s.id), s.side, Choice::kept});
                    });
                },
                [this, clip = s.clip](const Result<bool>& ok) {
                    if (!ok) return problem(ok.error());
                    session_.workspace->touched(clip);
                    if (state_.open && state_.open->clip.id == clip) reload();
                });
        },
        there));
}

/// A breath begins now, in and out in turn. While it plays the taps are gathered; with a pause they are kept.
void ReviewPage::tap_breath() {
    if (!state_.open || session_.library->read_only()) return;
    const double now = state_.time();
    const std::vector<BreathMark>& had = tapped_.empty() ? state_.open->track.layers.breaths : tapped_;
    const BreathMark* before = nullptr;
    for (const auto& b : had)
        if (b.time_s < now) before = &b;
    if (!tapped_.empty() && now - tapped_.back().time_s < 0.3) return; // a key that bounces, or a step back
    tapped_.push_back({now, !before || !before->in});
    notice_->say(tapped_.back().in ? tr("Breath in from %1. Tap again where it goes out.").arg(text::time(now))
                                   : tr("Breath out from %1. Tap again where it comes in.").arg(text::time(now)));
    if (!timer_.isActive()) keep_breaths();
}

void ReviewPage::keep_breaths() {
    if (tapped_.empty() || !state_.open) return;
    const auto fresh = std::exchange(tapped_, {});
    const auto before = state_.open->track.layers.breaths;
    // What was tapped over an earlier stretch stands in its place.
    std::vector<BreathMark> after;
    for (const auto& b : before)
        if (b.time_s < fresh.front().time_s - 0.3 || b.time_s > fresh.back().time_s + 0.3) after.push_back(b);
    after.insert(after.end(), fresh.begin(), fresh.end());
    std::sort(after.begin(), after.end(), [](const BreathMark& a, const BreathMark& b) { return a.time_s < b.time_s; });
    set_breaths(tr("the tapped breath"), after);
}

/// A trace becomes breath marks in place of those that were tapped.
void ReviewPage::read_breaths(const QString& file) {
    if (!state_.open) return;
    session_.files().run<Result<std::vector<BreathMark>>>(
        this,
        [path = file.toStdString()](std::stop_token) -> Result<std::vector<BreathMark>> {
            const auto words = read_text(path, 4 << 20);
            if (!words) return tl::unexpected(words.error());
            return breath_trace(*words);
        },
        [this, of = state_.open](const Result<std::vector<BreathMark>>& marks) {
            if (of != state_.open) return;
            if (marks) return set_breaths(tr("the breath from a file"), *marks);
            if (marks.error().context == "no_breath")
                return notice_->problem(tr("Nothing in this trace rises and falls as a breath does."));
            notice_->problem(marks.error().code == Code::bad_value
                                 ? tr("This is no breath trace Bevel can read: %1. Each line is a time in seconds and a value, or in/out.")
                                       .arg(QString::fromStdString(marks.error().context))
                                 : text::error(marks.error()));
        });
}

void ReviewPage::show_holds() {
    if (!state_.open) return;
    auto* dialog = new HoldsDialog(*state_.open, state_.units, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &HoldsDialog::wanted, &state_, &ReviewState::set_time);
    dialog->open();
}

void ReviewPage::set_breaths(const QString& what, const std::vector<BreathMark>& after) {
    undo().push(new BreathStep(
        what,
        [this, clip = state_.open->clip.id](const std::vector<BreathMark>& marks) {
            session_.background->run<Result<bool>>(
                this,
                [lib = session_.library, clip, marks](std::stop_token) {
                    return lib->together([&]() -> Result<bool> {
                        auto track = lib->tracks().load(clip);
                        if (!track) return tl::unexpected(track.error());
                        track->layers.breaths = marks;
                        return lib->tracks().save(clip, *track);
                    });
                },
                [this, clip, n = static_cast<int>(marks.size())](const Result<bool>& ok) {
                    if (!ok) return problem(ok.error());
                    notice_->say(n == 0 ? tr("No breath is marked.") : tr("%n breath mark(s) kept.", nullptr, n));
                    session_.workspace->remeasured(clip);
                });
        },
        state_.open->track.layers.breaths, after));
}

} // namespace bevel::ui
