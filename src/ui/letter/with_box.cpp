#include "ui/letter/with_box.h"
#include "ui/text/practice_words.h"
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QSpinBox>

namespace bevel::ui {

WithBox::WithBox(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    of_ = new QLabel;
    of_->setObjectName(QStringLiteral("faint"));
    of_->setWordWrap(true);
    auto combo = [&](const char* name, const QString& label) {
        auto* c = new QComboBox;
        c->setObjectName(QLatin1String(name));
        c->setAccessibleName(label);
        c->setMinimumContentsLength(8);
        c->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        connect(c, &QComboBox::currentIndexChanged, this, [this] {
            if (filling_) return;
            say_bar();
            emit changed();
        });
        return c;
    };
    auto number = [&](const char* name, const QString& label, const QString& none, const QString& suffix, int most) {
        auto* s = new QSpinBox;
        s->setObjectName(QLatin1String(name));
        s->setAccessibleName(label);
        s->setToolTip(label);
        s->setRange(0, most);
        s->setSpecialValueText(none);
        s->setSuffix(suffix);
        connect(s, &QSpinBox::valueChanged, this, [this] {
            if (!filling_) emit changed();
        });
        return s;
    };
    image_ = combo("withImage", tr("Picture for the mind"));
    drill_ = combo("withDrill", tr("Drill that isolates it"));
    movement_ = combo("homeworkMovement", tr("What to practise at home"));
    times_ = number("homeworkTimes", tr("How often a day"), tr("times a day"), tr("× a day"), 9);
    side_ = number("homeworkSide", tr("Repeats a side"), tr("a side"), tr(" a side"), 30);
    hold_ = number("homeworkHold", tr("Hold, seconds"), tr("hold"), tr(" s hold"), 600);
    hold_->setSingleStep(10);
    auto* how = new QHBoxLayout;
    how->setSpacing(4);
    for (auto* s : {times_, side_, hold_}) how->addWidget(s, 1);
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setVerticalSpacing(3);
    form->addRow(of_);
    form->addRow(tr("Image"), image_);
    form->addRow(tr("Drill"), drill_);
    form->addRow(tr("At home"), movement_);
    form->addRow(QString(), how);
    bar_ = new QLabel;
    bar_->setObjectName(QStringLiteral("homeBar"));
    bar_->setWordWrap(true);
    bar_->hide();
    form->addRow(bar_);
}

void WithBox::show_of(const Movement* m, const Finding* f, const WithCorrection& with, const HomeGate& gate) {
    filling_ = true;
    gate_ = gate;
    shown_ = m ? m->id : std::string();
    setEnabled(m && f);
    of_->setText(m && f ? tr("With “%1”").arg(text::check_name(f->check, session_.catalogue))
                        : tr("Choose a correction: what goes with it stands here."));
    for (auto* c : {image_, drill_, movement_}) {
        c->clear();
        c->addItem(tr("none"), QString());
    }
    if (m && f) {
        for (const auto& i : m->images) image_->addItem(said(i), QString::fromStdString(i));
        // Those that help with this rule first.
        for (const bool helps : {true, false})
            for (const auto& d : m->drills)
                if ((std::find(d.rules.begin(), d.rules.end(), f->rule) != d.rules.end()) == helps)
                    drill_->addItem(helps ? said(d.name) : tr("%1 (for another rule)").arg(said(d.name)), QString::fromStdString(d.name));
        movement_->addItem(said(m->name), QString::fromStdString(m->id));
        for (const auto& d : m->drills) movement_->addItem(tr("Drill: %1").arg(said(d.name)), said(d.name));
        for (const bool last : {false, true})
            for (const auto& other : session_.movements.all())
                if (other.id != m->id && gate_.barred.contains(other.id) == last)
                    movement_->addItem(last ? tr("%1 (not now)").arg(said(other.name)) : said(other.name),
                                       QString::fromStdString(other.id));
    }
    auto choose = [](QComboBox* c, const std::string& key) {
        const QString k = QString::fromStdString(key);
        int at = c->findData(k);
        if (at < 0 && !k.isEmpty()) { // of an older movement file, or own words
            c->addItem(k, k);
            at = c->count() - 1;
        }
        c->setCurrentIndex(std::max(0, at));
    };
    choose(image_, with.image);
    choose(drill_, with.drill);
    choose(movement_, with.homework.movement);
    times_->setValue(with.homework.times_a_day);
    side_->setValue(with.homework.a_side);
    hold_->setValue(static_cast<int>(with.homework.hold_s));
    filling_ = false;
    say_bar();
}

// What somebody chose against the gate is theirs to choose; that it is against it is said.
void WithBox::say_bar() {
    const std::string home = movement_->currentData().toString().toStdString();
    const auto forms = session_.forms();
    const auto& all = *forms.movements;
    std::vector<std::string> asked; // of which movements something is asked
    if (!home.empty()) asked.push_back(movement_named(all, home) ? home : shown_);
    if (!drill_->currentData().toString().isEmpty() && (asked.empty() || asked.front() != shown_)) asked.push_back(shown_);
    QStringList words;
    for (const auto& id : asked)
        if (const auto why = gate_.barred.find(id); why != gate_.barred.end())
            words << text::left_out({id, why->second}, all);
        else if (gate_.hurt && id == shown_)
            words << tr("Something hurt on the day of this clip: ask before it is practised at home.");
    bar_->setText(words.join(QLatin1Char('\n')));
    bar_->setVisible(!words.isEmpty());
}

WithCorrection WithBox::with() const {
    return {drill_->currentData().toString().toStdString(),
            image_->currentData().toString().toStdString(),
            {movement_->currentData().toString().toStdString(), times_->value(), side_->value(), static_cast<double>(hold_->value())}};
}

} // namespace bevel::ui
