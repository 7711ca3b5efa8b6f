// What of the review has to do with other movements that the clip may show.
#include "desk/intake.h"
#include "ui/jobs/jobs.h"
#include "ui/review/review_page.h"
#include "ui/shell/step.h"

namespace bevel::ui {

/// A person's word for what the clip shows stands above what it looks like.
void ReviewPage::be_as_named() {
    if (!state_.open || state_.open->elsewhere.empty() || session_.library->read_only()) return;
    undo().push(new Step<std::string>(
        tr("what the clip shows"),
        [this, clip = state_.open->clip.id](const std::string& movement) {
            session_.background->run<Result<bool>>(
                this, [lib = session_.library, clip, movement](std::stop_token) { return lib->clips().set_as_named(clip, movement); },
                [this, clip](const Result<bool>& ok) {
                    if (!ok) return problem(ok.error());
                    session_.workspace->touched(clip);
                    if (state_.open && state_.open->clip.id == clip) reload();
                });
        },
        state_.open->clip.as_named, state_.open->clip.movement));
}

/// Judged as the other movement, which is a person's word from then on; decisions about the one it was named stay in the record, and count
/// for nothing here. Taken back, it has its name, its version and its question again.
void ReviewPage::be_another(const std::string& movement) {
    if (!state_.open || session_.library->read_only() || !session_.movement(movement)) return;
    Clip before = state_.open->clip, after = before;
    after.movement = after.as_named = movement;
    after.version.reset();
    undo().push(new Step<Clip>(
        tr("what the clip shows"),
        [this](const Clip& now) {
            session_.background->run<Result<Looked>>(
                this,
                [lib = session_.library, forms = session_.forms(), now](std::stop_token) -> Result<Looked> {
                    if (auto ok = lib->clips().set_as_named(now.id, now.as_named); !ok) return tl::unexpected(ok.error());
                    auto clip = lib->clips().get(now.id);
                    if (!clip) return tl::unexpected(clip.error());
                    const auto people = lib->people().all();
                    if (!people) return tl::unexpected(people.error());
                    Person person;
                    for (const auto& p : *people)
                        if (p.id == clip->person) person = p;
                    clip->movement = now.movement;
                    clip->version = now.version;
                    return judge_clip(*lib, forms, person, *clip);
                },
                [this, id = now.id](const Result<Looked>& said) {
                    if (!said) return problem(said.error());
                    session_.workspace->touched(id);
                    if (state_.open && state_.open->clip.id == id) reload();
                });
        },
        before, after));
}

/// Clips of before the others competed: they do so now, while the review is there already.
void ReviewPage::let_compete() {
    const auto open = state_.open;
    if (!open || open->whole || session_.library->read_only() || open->clip.movement.empty() || open->clip.as_named == open->clip.movement)
        return;
    if (const auto which = parse_which(open->clip.which); which && which->movement == open->clip.movement) return;
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, forms = session_.forms(), open](const std::stop_token& stop) -> Result<bool> {
            const auto better = elsewhere(*open->review, *forms.movements, stop);
            if (stop.stop_requested()) return false;
            if (auto ok = lib->clips().set_which(open->clip.id, which_json({open->clip.movement, better})); !ok) return ok;
            return !better.empty();
        },
        [this, open](const Result<bool>& found) {
            if (!found) return problem(found.error());
            if (*found && state_.open && state_.open->clip.id == open->clip.id) reload();
        });
}

/// Whether the two clips of a pair were filmed at once is found out once, beside whatever else is done; then they are one review. So is the
/// body of a clip that was filmed obliquely.
void ReviewPage::put_at_once() {
    const auto open = state_.open;
    if (!open || open->whole || session_.library->read_only()) return;
    const bool both = open->partner && to_be_tried(open->clip, open->at_once);
    if (!both && (!open->from_fit.wanted || open->from_fit.tried)) return;
    if (std::exchange(putting_, open->clip.id) == open->clip.id) return;
    const auto stop = std::make_shared<std::stop_source>();
    const int job = session_.jobs->begin(both ? JobKind::joining : JobKind::fitting, QString::fromStdString(open->person.name),
                                         [stop] { stop->request_stop(); });
    session_.finder->run<Result<bool>>(
        this,
        [lib = session_.library, forms = session_.forms(), id = open->clip.id, both, stop](const std::stop_token& quit) -> Result<bool> {
            const std::stop_callback forward(quit, [&] { stop->request_stop(); });
            return both ? put_pair_together(*lib, forms, id, stop->get_token()) : fit_clip(*lib, forms, id, stop->get_token());
        },
        [this, id = open->clip.id, both, job, stop](const Result<bool>& found) {
            putting_ = 0;
            const bool cancelled = stop->stop_requested() || (!found && found.error().code == Code::cancelled);
            session_.jobs->end(job,
                               cancelled ? JobOutcome::cancelled
                               : found   ? JobOutcome::done
                                         : JobOutcome::failed,
                               cancelled || found ? QString() : text::error(found.error()));
            // Another clip may have been asked for meanwhile.
            if (!found || !state_.open || state_.open->clip.id != id || wanted_ != id) return;
            if (*found) return reload();
            if (!both) return where_->setToolTip(text::from_fit({true, true, false}));
            AtOnce apart;
            apart.tried = true;
            where_->setToolTip(text::at_once(apart));
        });
}

} // namespace bevel::ui
