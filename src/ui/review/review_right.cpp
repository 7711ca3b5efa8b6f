// What the open clip says of its student for good: a moment that is right, how far they go with ease.
#include "core/measure/own_moment.h"
#include "desk/right_moments.h"
#include "ui/review/review_page.h"
#include "ui/shell/step.h"
#include "ui/text/own_words.h"
#include <QMessageBox>

namespace bevel::ui {
namespace {

struct Known {
    PersonNeutral neutral;
    OwnFigures here;
};

} // namespace

void ReviewPage::mark_right() {
    if (!state_.open || session_.library->read_only()) return;
    if (state_.open->clip.person == 0) return notice_->problem(tr("Say first whose clip this is: what is right belongs to a person."));
    play(false);
    const double now = state_.time();
    session_.background->run<Result<Known>>(
        this,
        [lib = session_.library, open = state_.open, now](std::stop_token) -> Result<Known> {
            auto had = lib->people().neutral(open->clip.person);
            if (!had) return tl::unexpected(had.error());
            return Known{std::move(*had), figures_at(open->review->motion, now)};
        },
        [this, of = state_.open, now](const Result<Known>& known) {
            if (of != state_.open) return;
            if (!known) return problem(known.error());
            const View view = of->review->motion.view;
            if (known->here.empty() || view == View::oblique)
                return notice_->problem(tr("Neither head nor shoulders can be told here. Clips from the side tell the head, from the front "
                                           "and the side the shoulders; what you know can be set by hand under People."));
            RightMoment m;
            m.clip = of->clip.id;
            m.time_s = now;
            m.view = view;
            m.version = own_figures_version;
            m.figures = known->here;
            const QString figures = text::own_figures(m.figures, of->person.stature_m, state_.units).join(QStringLiteral(", "));
            keep_neutral(tr("a moment that is right"), of->clip.person, known->neutral, with_moment(known->neutral, m),
                         tr("Kept as right for %1: %2. Clips from this side are held against it from now on.")
                             .arg(QString::fromStdString(of->person.name), figures));
        });
}

void ReviewPage::take_range() {
    if (!state_.open || session_.library->read_only()) return;
    if (state_.open->clip.person == 0) return notice_->problem(tr("Say first whose clip this is: what is right belongs to a person."));
    play(false);
    session_.background->run<Result<PersonNeutral>>(
        this, [lib = session_.library, person = state_.open->clip.person](std::stop_token) { return lib->people().neutral(person); },
        [this, of = state_.open](const Result<PersonNeutral>& had) {
            if (of != state_.open) return;
            if (!had) return problem(had.error());
            const ShownRange shown = range_shown(of->review->measures);
            PersonNeutral here;
            if (shown.depth) here.depth = Comfort{*shown.depth, of->clip.id};
            if (shown.twist) here.twist = Comfort{*shown.twist, of->clip.id};
            if (shown.bend) here.bend = Comfort{*shown.bend, of->clip.id};
            if (here.empty()) return notice_->problem(tr("Nothing in this clip goes far enough, or is seen well enough, to be a range."));
            auto* ask = new QMessageBox(QMessageBox::Question, tr("How far with ease"),
                                        tr("In this clip %1.\n\nIs this how far %2 goes with ease, without strain, pain or a wobble? Other "
                                           "clips are asked to stay at about seven tenths of it. Never test to the limit.")
                                            .arg(text::ease(here).join(QStringLiteral(", ")), QString::fromStdString(of->person.name)),
                                        QMessageBox::NoButton, this);
            ask->setAttribute(Qt::WA_DeleteOnClose);
            ask->setObjectName(QStringLiteral("rangeBox"));
            auto* yes = ask->addButton(tr("Yes, keep it"), QMessageBox::AcceptRole);
            ask->addButton(QMessageBox::Cancel);
            connect(ask, &QMessageBox::buttonClicked, this, [this, of, had = *had, here, yes, ask](QAbstractButton* b) {
                if (b != yes) return;
                ask->close();
                PersonNeutral after = had;
                if (here.depth) after.depth = here.depth;
                if (here.twist) after.twist = here.twist;
                if (here.bend) after.bend = here.bend;
                keep_neutral(tr("how far with ease"), of->clip.person, had, after,
                             tr("Kept. Clips of %1 other than this one are held against it.").arg(QString::fromStdString(of->person.name)));
            });
            ask->open();
        });
}

void ReviewPage::keep_neutral(const QString& what, std::int64_t person, const PersonNeutral& before, const PersonNeutral& after,
                              const QString& said_then) {
    undo().push(new Step<PersonNeutral>(
        what,
        [this, person, said_then, after_text = neutral_text(after)](const PersonNeutral& n) {
            session_.background->run<Result<bool>>(
                this, [lib = session_.library, person, n](std::stop_token) { return lib->people().set_neutral(person, n); },
                [this, person, words = neutral_text(n) == after_text ? said_then : QString()](const Result<bool>& ok) {
                    if (!ok) return problem(ok.error());
                    if (!state_.open || state_.open->clip.person != person) return;
                    session_.workspace->touched(state_.open->clip.id);
                    reload(words);
                });
        },
        before, after));
}

/// Moments are worked out anew where their points, their marks or the way they are read are others now.
void ReviewPage::renew_neutral() {
    const auto& moments = state_.open->person.neutral.moments;
    const auto stale = [id = state_.open->clip.id](const RightMoment& m) { return m.clip == id || m.version != own_figures_version; };
    if (session_.library->read_only() || std::none_of(moments.begin(), moments.end(), stale)) return;
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, person = state_.open->clip.person, clip = state_.open->clip.id](std::stop_token) {
            return renew_moments(*lib, person, clip);
        },
        [this, of = state_.open](const Result<bool>& changed) {
            if (changed && *changed && of == state_.open) reload();
        });
}

} // namespace bevel::ui
