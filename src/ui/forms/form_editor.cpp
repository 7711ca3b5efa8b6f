#include "ui/forms/form_editor.h"
#include "ui/forms/editor_parts.h"
#include "ui/forms/posture_editor.h"
#include "ui/text/data_words.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace bevel::ui {
namespace {
using nlohmann::json;

std::string base(const std::string& check) {
    return check.substr(0, check.find('@'));
}
} // namespace

FormEditor::FormEditor(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    build();
}

void FormEditor::build() {
    auto* inner = new QWidget;
    inner->setObjectName(QStringLiteral("inCard"));
    auto* form = new QFormLayout(inner);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setContentsMargins(2, 4, 10, 4);
    whose_ = new QLabel;
    whose_->setWordWrap(true);
    whose_->setObjectName(QStringLiteral("faint"));
    form->addRow(whose_);
    build_buttons(form);
    build_words(form);
    build_phase(form);
    build_roles(form);
    build_posture(form);
    build_bands(form);
    problem_ = new QLabel;
    problem_->setObjectName(QStringLiteral("formProblem"));
    problem_->setWordWrap(true);
    problem_->hide();
    form->addRow(problem_);
    put_scrolled(this, inner, tr("Change the movement"));
}

void FormEditor::build_buttons(QFormLayout* form) {
    const auto [copy, reset, write, read] =
        add_buttons(form, {{{"copyForm", tr("Make a copy"), tr("A movement of your own that begins as this one")},
                            {"resetForm", tr("As shipped"), tr("Takes back all of your own changes to this movement")},
                            {"exportForm", tr("Export …"), tr("Writes the movement to a file, for another instructor")},
                            {"importForm", tr("Import …"), tr("Reads a movement from a file")}}});
    reset_ = reset;
    connect(copy, &QPushButton::clicked, this, &FormEditor::copy_asked);
    connect(reset, &QPushButton::clicked, this, &FormEditor::reset_asked);
    connect(write, &QPushButton::clicked, this, &FormEditor::export_asked);
    connect(read, &QPushButton::clicked, this, &FormEditor::import_asked);
}

/// Name, what is done, points of attention.
void FormEditor::build_words(QFormLayout* form) {
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("formName"));
    name_->setAccessibleName(tr("Name"));
    connect(name_, &QLineEdit::editingFinished, this, [this] {
        if (movement_ && name_->text().trimmed() != said(movement_->name))
            change(tr("the name"), [this](json& j) { j["name"] = name_->text().trimmed().toStdString(); });
    });
    form->addRow(tr("Name"), name_);
    auto words = [&](const char* name, const QString& label, int lines) {
        auto* e = new LeftEdit;
        e->setObjectName(QLatin1String(name));
        e->setAccessibleName(label);
        e->setTabChangesFocus(true);
        e->setStyleSheet(QStringLiteral("min-height: %1px;").arg(session_.theme.wide(20 * lines))); // the theme's own is one line
        e->setMaximumHeight(session_.theme.wide(20 * lines + 14));
        form->addRow(label, e);
        return e;
    };
    about_ = words("formAbout", tr("What is done"), 3);
    connect(about_, &LeftEdit::left, this, [this] {
        if (movement_ && about_->toPlainText().trimmed() != said(movement_->about))
            change(tr("what is done"), [this](json& j) { j["about"] = about_->toPlainText().trimmed().toStdString(); });
    });
    attention_ = words("formAttention", tr("Points of attention, a line each"), 3);
    connect(attention_, &LeftEdit::left, this, [this] {
        json lines = json::array();
        QStringList now, before;
        for (const QString& l : attention_->toPlainText().split(QLatin1Char('\n'), Qt::SkipEmptyParts))
            if (!l.trimmed().isEmpty()) now << l.trimmed(), lines.push_back(now.back().toStdString());
        if (!movement_) return;
        for (const auto& a : movement_->attention) before << said(a);
        if (now != before) change(tr("the points of attention"), [&lines](json& j) { j["attention"] = lines; });
    });
}

/// A phase: how long, which breath.
void FormEditor::build_phase(QFormLayout* form) {
    phase_ = new QComboBox;
    phase_->setObjectName(QStringLiteral("formPhase"));
    phase_->setAccessibleName(tr("Phase"));
    phase_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    phase_->setMinimumContentsLength(14);
    seconds_ = new QDoubleSpinBox;
    seconds_->setObjectName(QStringLiteral("formSeconds"));
    seconds_->setAccessibleName(tr("Duration of the phase"));
    seconds_->setRange(0.1, 120);
    seconds_->setDecimals(1);
    seconds_->setSingleStep(0.1);
    seconds_->setSuffix(tr(" s"));
    seconds_->setKeyboardTracking(false);
    breath_ = new QComboBox;
    breath_->setObjectName(QStringLiteral("formBreath"));
    breath_->setAccessibleName(tr("Breath in the phase"));
    for (const Breath b : {Breath::in, Breath::out, Breath::free}) breath_->addItem(text::breath(b), static_cast<int>(b));
    auto* line = new QHBoxLayout;
    line->addWidget(seconds_);
    line->addWidget(breath_, 1);
    form->addRow(tr("A phase: how long, which breath"), phase_);
    form->addRow(line);
    connect(phase_, &QComboBox::currentIndexChanged, this, &FormEditor::show_phase);
    connect(phase_, &QComboBox::activated, this, &FormEditor::phase_chosen);
    connect(seconds_, &QDoubleSpinBox::valueChanged, this, [this](double v) {
        change(tr("the time of a phase"),
               [this, v](json& j) { j["phases"][static_cast<std::size_t>(phase_->currentIndex())]["duration_s"] = v; });
    });
    connect(breath_, &QComboBox::activated, this, [this] {
        static const std::array<const char*, 3> names{"in", "out", "free"};
        change(tr("the breath of a phase"), [this](json& j) {
            j["phases"][static_cast<std::size_t>(phase_->currentIndex())]["breath"] =
                names[static_cast<std::size_t>(breath_->currentIndex())];
        });
    });
}

void FormEditor::build_roles(QFormLayout* form) {
    for (const auto& [box, name, label, key] :
         {std::tuple{&role_, "formRole", tr("Role of the phase"), "role"}, {&stance_, "formStance", tr("Stance of the phase"), "stance"}}) {
        *box = new QComboBox;
        (*box)->setObjectName(QLatin1String(name));
        (*box)->setAccessibleName(label);
        (*box)->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        (*box)->setMinimumContentsLength(8);
        (*box)->addItem(tr("none"), QString());
        const bool role = std::string_view(key) == "role";
        for (const auto& s : role ? role_names() : stance_names())
            (*box)->addItem(role ? text::role(s) : text::stance(s), QString::fromStdString(s));
        form->addRow(label, *box);
        connect(*box, &QComboBox::activated, this, [this, b = *box, k = key, what = label] {
            change(what, [this, b, k](json& j) {
                auto& phase = j["phases"][static_cast<std::size_t>(phase_->currentIndex())];
                const std::string now = b->currentData().toString().toStdString();
                if (now.empty() && std::string_view(k) == "role")
                    phase.erase(k);
                else
                    phase[k] = now;
            });
        });
    }
}

void FormEditor::build_posture(QFormLayout* form) {
    posture_ = new PostureEditor(session_);
    posture_->setObjectName(QStringLiteral("formPosture"));
    form->addRow(tr("The posture at its end"), posture_);
    connect(posture_, &PostureEditor::set, this,
            [this](const QString& what, const std::string& part, const std::string& key, const json& value) {
                const auto i = static_cast<std::size_t>(phase());
                change(tr("posture: %1").arg(what), [&](json& j) {
                    json& at = i < movement_->phases.size() ? j["phases"][i]["posture"] : j["home"];
                    (part.empty() ? at : at[part])[key] = value;
                });
            });
}

void FormEditor::build_bands(QFormLayout* form) {
    check_ = new QComboBox;
    check_->setObjectName(QStringLiteral("formCheck"));
    check_->setAccessibleName(tr("What is judged"));
    check_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    was_ = new QLabel;
    was_->setWordWrap(true);
    was_->setObjectName(QStringLiteral("faint"));
    auto* line = new QHBoxLayout;
    for (const auto& [box, name, label] : {std::tuple{&low_, "formLow", tr("At least")}, {&high_, "formHigh", tr("At most")}}) {
        *box = new QDoubleSpinBox;
        (*box)->setObjectName(QLatin1String(name));
        (*box)->setAccessibleName(label);
        (*box)->setToolTip(label);
        (*box)->setRange(-1000, 1000);
        line->addWidget(*box);
    }
    reason_ = new QLineEdit;
    reason_->setObjectName(QStringLiteral("formReason"));
    reason_->setAccessibleName(tr("Reason"));
    reason_->setPlaceholderText(tr("Why: the reader of a review sees it"));
    set_ = new QPushButton(tr("Set the band"));
    set_->setObjectName(QStringLiteral("formSetBand"));
    back_ = new QPushButton(tr("Take it back"));
    back_->setObjectName(QStringLiteral("formDropBand"));
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(set_);
    buttons->addWidget(back_);
    buttons->addStretch(1);
    form->addRow(tr("A band: from, to, why"), check_);
    form->addRow(was_);
    form->addRow(line);
    form->addRow(reason_);
    form->addRow(buttons);
    connect(check_, &QComboBox::currentIndexChanged, this, &FormEditor::show_check);
    connect(set_, &QPushButton::clicked, this, [this] { set_band(false); });
    connect(back_, &QPushButton::clicked, this, [this] { set_band(true); });
}

void FormEditor::show_movement(const Movement& m, bool has_shipped) {
    const bool same = movement_ && movement_->id == m.id;
    const int phase = phase_->currentIndex();
    const QString check_was = check_->currentData().toString();
    movement_ = m;
    text_ = m.source ? *m.source : std::string();
    problem_->hide();
    whose_->setText(!m.own        ? tr("As it came with Bevel. Any change makes it your own; it can be taken back.")
                    : has_shipped ? tr("Your own version; the shipped one is kept.")
                                  : tr("A movement of your own."));
    reset_->setText(m.own && !has_shipped ? tr("Delete it") : tr("As shipped"));
    reset_->setEnabled(m.own);
    name_->setText(said(m.name));
    about_->setPlainText(said(m.about));
    QStringList lines;
    for (const auto& a : m.attention) lines << said(a);
    attention_->setPlainText(lines.join(QLatin1Char('\n')));
    {
        const QSignalBlocker quiet(phase_);
        phase_->clear();
        for (const auto& p : m.phases) phase_->addItem(said(p.name));
        phase_->addItem(tr("before and after: where it begins and ends"));
        phase_->setCurrentIndex(same ? std::clamp(phase, 0, phase_->count() - 1) : 0);
    }
    show_phase();
    {
        const QSignalBlocker quiet(check_);
        check_->clear();
        for (const auto& c : m.checks) {
            const QString id = QString::fromStdString(base(c.id));
            if (check_->findData(id) < 0) check_->addItem(text::check_name(id.toStdString(), session_.catalogue), id);
        }
        check_->setCurrentIndex(std::max(0, check_->findData(check_was)));
    }
    show_check();
}

void FormEditor::problem(const QString& words) {
    problem_->setStyleSheet(QStringLiteral("color: %1;").arg(session_.theme.palette.outside.name()));
    problem_->setText(words);
    problem_->setVisible(!words.isEmpty());
}

void FormEditor::say(const QString& words) {
    problem_->setStyleSheet({});
    problem_->setText(words);
    problem_->setVisible(!words.isEmpty());
}

void FormEditor::show_phase() {
    const int i = phase_->currentIndex();
    if (!movement_ || i < 0) return;
    const bool home = i >= static_cast<int>(movement_->phases.size());
    for (QWidget* w : std::initializer_list<QWidget*>{seconds_, breath_, role_, stance_}) w->setEnabled(!home);
    posture_->show_posture(home ? movement_->home : movement_->phases[static_cast<std::size_t>(i)].posture);
    if (home) return;
    const auto& p = movement_->phases[static_cast<std::size_t>(i)];
    const QSignalBlocker quiet(seconds_);
    seconds_->setValue(p.duration_s);
    breath_->setCurrentIndex(breath_->findData(static_cast<int>(p.breath)));
    role_->setCurrentIndex(std::max(0, role_->findData(QString::fromStdString(p.role))));
    stance_->setCurrentIndex(std::max(0, stance_->findData(QString::fromStdString(p.stance))));
}

int FormEditor::phase() const {
    return std::max(0, phase_->currentIndex());
}

const Check* FormEditor::check() const {
    const std::string id = check_->currentData().toString().toStdString();
    if (movement_)
        for (const auto& c : movement_->checks)
            if (base(c.id) == id) return &c;
    return nullptr;
}

void FormEditor::show_check() {
    const Check* c = check();
    for (QWidget* w : std::initializer_list<QWidget*>{low_, high_, reason_, set_}) w->setEnabled(c != nullptr);
    back_->setEnabled(false);
    if (!c) return was_->clear();
    const QString unit = QString::fromStdString(c->unit.empty() ? unit_of_measure(rule_book(), c->measure).value_or("") : c->unit);
    const auto u = text::shown_unit(unit, session_.settings.units(Motion{}));
    was_->setText(tr("Now %1, by %2")
                      .arg(text::band(c->low, c->high, unit, session_.settings.units(Motion{})), text::band_owner(c->stack.back().level)));
    for (const auto& [box, value, cue] : {std::tuple{low_, c->low, &c->cue_low}, {high_, c->high, &c->cue_high}}) {
        box->setDecimals(u.decimals);
        box->setSingleStep(std::pow(10.0, -u.decimals) * (u.decimals == 2 ? 5 : 1));
        box->setSuffix(u.suffix);
        box->setValue(value ? *value * u.factor : 0);
        box->setEnabled(value.has_value() && !cue->empty()); // an end that the rule does not have has nothing to say
    }
    reason_->setText(c->stack.back().level == BandLevel::movement ? said(c->reason) : QString());
    if (movement_->own)
        for (const auto& b : movement_->bands)
            if (b.check == base(c->id)) back_->setEnabled(true);
}

void FormEditor::set_band(bool back) {
    const Check* c = check();
    if (!c) return;
    const std::string reason = reason_->text().trimmed().toStdString();
    if (!back && reason.empty()) return problem(tr("Say why: the reader of a review sees it beside the band."));
    if (!back && c->low && c->high && low_->value() > high_->value()) return problem(tr("The band is upside down."));
    const QString unit = QString::fromStdString(c->unit.empty() ? unit_of_measure(rule_book(), c->measure).value_or("") : c->unit);
    const double factor = text::shown_unit(unit, session_.settings.units(Motion{})).factor;
    change(back ? tr("a band taken back") : tr("a band"), [&](json& j) {
        json kept = json::array();
        if (j.contains("bands"))
            for (const auto& b : j["bands"])
                if (b.value("check", "") != base(c->id)) kept.push_back(b);
        if (!back) {
            json b{{"check", base(c->id)}, {"reason", reason}};
            if (low_->isEnabled()) b["low"] = low_->value() / factor;
            if (high_->isEnabled()) b["high"] = high_->value() / factor;
            kept.push_back(b);
        }
        j["bands"] = kept;
    });
}

void FormEditor::change(const QString& what, const std::function<void(json&)>& how) {
    auto j = json::parse(text_, nullptr, false);
    if (!j.is_object()) return;
    how(j);
    emit edited(what, j.dump(2));
}

} // namespace bevel::ui
