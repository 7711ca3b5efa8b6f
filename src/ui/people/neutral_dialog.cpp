#include "ui/people/neutral_dialog.h"
#include "ui/text/own_words.h"
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

NeutralDialog::NeutralDialog(const Session& session, const Person& person, const std::function<QString(std::int64_t)>& day_of,
                             QWidget* parent)
    : QDialog(parent), now_(person.neutral), stature_m_(person.stature_m) {
    setObjectName(QStringLiteral("neutralDialog"));
    setWindowTitle(tr("What is right for %1").arg(QString::fromStdString(person.name)));
    const Units units = session.settings.units(Motion{});
    auto* about =
        new QLabel(tr("Head, shoulders and back are held against what is right for this person instead of the quiet stand of each "
                      "clip, so that a habit shows, and shows when it goes. Mark such moments in Review; nothing is learned by itself."));
    about->setObjectName(QStringLiteral("faint"));
    about->setWordWrap(true);
    moments_ = new QListWidget;
    moments_->setObjectName(QStringLiteral("rightMoments"));
    moments_->setAccessibleName(tr("Moments that are right"));
    moments_->setWordWrap(true);
    for (const auto& m : now_.moments) {
        const QString day = m.clip != 0 ? day_of(m.clip) : QString();
        moments_->addItem(tr("%1, at %2, %3: %4")
                              .arg(day.isEmpty() ? tr("a clip that is gone") : day, text::time(m.time_s), text::view(m.view),
                                   text::own_figures(m.figures, stature_m_, units).join(QStringLiteral(", "))));
    }
    if (now_.moments.empty()) {
        auto* none = new QListWidgetItem(tr("No moment is marked yet: in Review, “This moment is right for the student” (R)."), moments_);
        none->setFlags(Qt::NoItemFlags);
    }
    remove_ = new QPushButton(tr("No longer right"));
    remove_->setObjectName(QStringLiteral("removeMoment"));
    open_ = new QPushButton(tr("Look at it"));
    open_->setObjectName(QStringLiteral("openMoment"));
    auto choose = [this](int at) {
        const bool is = at >= 0 && at < std::ssize(now_.moments);
        remove_->setEnabled(is);
        open_->setEnabled(is && now_.moments[static_cast<std::size_t>(at)].clip != 0);
    };
    connect(moments_, &QListWidget::currentRowChanged, this, choose);
    connect(remove_, &QPushButton::clicked, this, &NeutralDialog::remove);
    connect(open_, &QPushButton::clicked, this, [this] {
        emit wanted(now_.moments[static_cast<std::size_t>(moments_->currentRow())].clip);
        reject();
    });
    choose(-1);
    auto* buttons_of_list = new QHBoxLayout;
    buttons_of_list->addWidget(remove_);
    buttons_of_list->addWidget(open_);
    buttons_of_list->addStretch(1);

    const double length = units.inches ? 1 / 2.54 : 1;
    const QString length_suffix = units.inches ? tr(" in") : tr(" cm");
    auto field = [&](QFormLayout* form, const char* name, const QString& label, OwnBounds bounds, double factor, int decimals,
                     const QString& suffix, std::optional<double> value, auto set) {
        auto* box = new QDoubleSpinBox;
        box->setObjectName(QLatin1String(name));
        box->setAccessibleName(label);
        box->setDecimals(decimals);
        const double step = std::pow(10.0, -decimals);
        // One step below what can be is "not set".
        box->setRange(std::ceil(bounds.least * factor / step) * step - step, std::floor(bounds.most * factor / step) * step);
        box->setSingleStep(decimals > 0 ? 0.5 : 1);
        box->setSuffix(suffix);
        box->setSpecialValueText(tr("not set"));
        box->setValue(value ? *value * factor : box->minimum());
        form->addRow(label, box);
        fields_.push_back({box, box->value(), [set, factor](PersonNeutral& n, std::optional<double> v) {
                               set(n, v ? std::optional(*v / factor) : std::nullopt);
                           }});
    };
    auto column = [&](const QString& title) {
        auto* of = new QVBoxLayout;
        auto* head = new QLabel(title);
        head->setObjectName(QStringLiteral("heading"));
        of->addWidget(head);
        auto* in = new QFormLayout;
        of->addLayout(in);
        of->addStretch(1);
        return std::pair(of, in);
    };
    const auto [by_hand, hand_form] = column(tr("Set by hand"));
    auto* form = hand_form;
    auto own = [&](const char* name, const QString& label, OwnPart part, double factor, int decimals, const QString& suffix) {
        const auto& f = now_.by_hand.of(part);
        field(form, name, label, bounds_of(part), factor, decimals, suffix, f ? std::optional(f->value) : std::nullopt,
              [part](PersonNeutral& n, std::optional<double> v) {
                  n.by_hand.of(part) = v ? std::optional(OwnFigure{*v, 0, true}) : std::nullopt;
              });
    };
    const double cm = 100 * stature_m_ * length;
    own("ownHead", tr("Ears ahead of the shoulders"), OwnPart::head, cm, 1, length_suffix);
    own("ownGapLeft", tr("Left shoulder below the ear"), OwnPart::gap_left, cm, 1, length_suffix);
    own("ownGapRight", tr("Right shoulder below the ear"), OwnPart::gap_right, cm, 1, length_suffix);
    own("ownGaze", tr("Nose over the ears"), OwnPart::gaze, 1, 0, tr("°"));
    own("ownUpper", tr("Rounding of the upper back"), OwnPart::back_upper, 1, 0, tr("°"));
    own("ownLower", tr("Hollow of the low back"), OwnPart::back_lower, 1, 0, tr("°"));
    own("ownStoop", tr("A back known to be stooped leans by"), OwnPart::stoop, 1, 0, tr("°"));
    const auto [range, ease_form] = column(tr("How far with ease"));
    auto* range_form = ease_form;
    auto ease = [&](const char* name, const QString& label, std::optional<Comfort> PersonNeutral::*which, OwnBounds bounds, double factor,
                    const QString& suffix) {
        const auto& c = now_.*which;
        QString from = label;
        if (c && c->clip != 0)
            if (const QString day = day_of(c->clip); !day.isEmpty()) from = tr("%1 (clip of %2)").arg(label, day);
        field(range_form, name, from, bounds, factor, 0, suffix, c ? std::optional(c->value) : std::nullopt,
              [which](PersonNeutral& n, std::optional<double> v) {
                  n.*which = v ? std::optional(Comfort{*v, 0}) : std::nullopt;
              });
    };
    ease("easeDepth", tr("The hips sink, of their height"), &PersonNeutral::depth, depth_bounds, 100, tr(" %"));
    ease("easeTwist", tr("Shoulders turn against the hips"), &PersonNeutral::twist, twist_bounds, 1, tr("°"));
    ease("easeBend", tr("The trunk bends sideways"), &PersonNeutral::bend, bend_bounds, 1, tr("°"));
    auto* safe =
        new QLabel(tr("From a gentle test or as the person says, never to the limit, never in pain or when dizzy. Practice is asked to "
                      "stay at about seven tenths of it."));
    safe->setObjectName(QStringLiteral("faint"));
    safe->setWordWrap(true);
    range_form->addRow(safe);
    auto* both = new QHBoxLayout;
    both->addLayout(by_hand, 1);
    both->addSpacing(24);
    both->addLayout(range, 1);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    buttons->button(QDialogButtonBox::Ok)->setText(tr("Keep"));
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, this, &NeutralDialog::keep);
    auto* all = new QVBoxLayout(this);
    all->addWidget(about);
    all->addWidget(moments_, 1);
    all->addLayout(buttons_of_list);
    all->addLayout(both);
    all->addWidget(buttons);
    resize(session.theme.wide(720), session.theme.wide(560));
}

void NeutralDialog::remove() {
    const int at = moments_->currentRow();
    if (at < 0 || at >= std::ssize(now_.moments)) return;
    now_.moments.erase(now_.moments.begin() + at);
    delete moments_->takeItem(at);
}

void NeutralDialog::keep() {
    for (const auto& f : fields_) {
        f.box->interpretText();
        if (std::abs(f.box->value() - f.shown) < 1e-9) continue;
        f.set(now_, f.box->value() <= f.box->minimum() + 1e-9 ? std::nullopt : std::optional(f.box->value()));
    }
    emit kept(now_);
    accept();
}

} // namespace bevel::ui
