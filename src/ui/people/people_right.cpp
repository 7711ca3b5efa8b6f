// What is right for the person who is shown, and how far they go with ease.
#include "ui/people/neutral_dialog.h"
#include "ui/people/people_page.h"
#include "ui/shell/step.h"
#include "ui/text/own_words.h"
#include <QDate>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

QWidget* PeoplePage::build_right() {
    auto* w = new QWidget;
    w->setObjectName(QStringLiteral("inCard"));
    right_ = new QLabel;
    right_->setObjectName(QStringLiteral("rightWords"));
    right_->setWordWrap(true);
    right_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    auto* change = new QPushButton(tr("What is right, how far with ease …"));
    change->setObjectName(QStringLiteral("changeRight"));
    connect(change, &QPushButton::clicked, this, &PeoplePage::change_right);
    auto* box = new QVBoxLayout(w);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(right_);
    box->addWidget(change, 0, Qt::AlignLeft);
    return w;
}

void PeoplePage::fill_right() {
    const auto& n = sheet_->person.neutral;
    const Units units = session_.settings.units(Motion{});
    QStringList lines;
    if (!n.moments.empty()) lines << tr("%n moment(s) marked as right.", nullptr, static_cast<int>(n.moments.size()));
    if (const auto own = text::own_figures(n.by_hand, sheet_->person.stature_m, units); !own.isEmpty())
        lines << tr("Set by hand: %1.").arg(own.join(QStringLiteral(", ")));
    if (const auto ease = text::ease(n); !ease.isEmpty()) lines << tr("With ease %1.").arg(ease.join(QStringLiteral(", ")));
    if (lines.isEmpty())
        lines << tr(
            "Nothing is marked as right: head, shoulders and back are held against the quiet stand of each clip, so that a habit that "
            "is there all the time does not show.");
    right_->setText(lines.join(QLatin1Char('\n')));
}

/// What is known now, not what was when the sheet was filled: another place may have marked a moment meanwhile.
void PeoplePage::change_right() {
    if (!here() || session_.library->read_only()) return;
    session_.background->run<Result<PersonNeutral>>(
        this, [lib = session_.library, id = sheet_->person.id](std::stop_token) { return lib->people().neutral(id); },
        [this, id = sheet_->person.id](const Result<PersonNeutral>& now) {
            if (!here() || sheet_->person.id != id) return;
            // One that cannot be read is set anew.
            sheet_->person.neutral = now ? *now : PersonNeutral{};
            open_right();
        });
}

void PeoplePage::open_right() {
    auto day_of = [record = sheet_->record](std::int64_t clip) {
        for (const auto& l : record)
            if (l.clip == clip && l.what == RecordLine::What::clip)
                return QLocale().toString(QDate::fromString(QString::fromStdString(l.day), Qt::ISODate), QLocale::LongFormat);
        return QString();
    };
    auto* d = new NeutralDialog(session_, sheet_->person, day_of, this);
    d->setAttribute(Qt::WA_DeleteOnClose);
    connect(d, &NeutralDialog::kept, this, [this, person = sheet_->person.id, before = sheet_->person.neutral](const PersonNeutral& after) {
        keep_right(person, before, after);
    });
    connect(d, &NeutralDialog::wanted, this, [this](qint64 clip) { session_.workspace->go(QStringLiteral("review"), {clip}); });
    d->open();
}

void PeoplePage::keep_right(qint64 person, const PersonNeutral& before, const PersonNeutral& after) {
    if (neutral_text(before) == neutral_text(after)) return;
    undo().push(new Step<PersonNeutral>(
        tr("what is right"),
        [this, person](const PersonNeutral& n) {
            session_.background->run<Result<bool>>(
                this, [lib = session_.library, person, n](std::stop_token) { return lib->people().set_neutral(person, n); },
                [this, person](const Result<bool>& ok) {
                    if (!ok) return problem(ok.error());
                    session_.workspace->remeasured_person(person);
                    load_sheet();
                });
        },
        before, after));
}

} // namespace bevel::ui
