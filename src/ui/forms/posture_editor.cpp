#include "ui/forms/posture_editor.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QLabel>
#include <QStackedWidget>

namespace bevel::ui {

namespace {
void add_row(QGridLayout* form, const QString& label, QWidget* field) {
    auto* words = new QLabel(label);
    words->setWordWrap(true);
    words->setBuddy(field);
    const int row = form->rowCount();
    form->addWidget(words, row, 0);
    form->addWidget(field, row, 1);
}
} // namespace

PostureEditor::PostureEditor(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    part_ = new QComboBox;
    part_->setObjectName(QStringLiteral("posturePart"));
    part_->setAccessibleName(tr("Part of the posture"));
    pages_ = new QStackedWidget;
    connect(part_, &QComboBox::currentIndexChanged, pages_, &QStackedWidget::setCurrentIndex);
    const auto page = [&](const QString& name) {
        auto* w = new QWidget;
        auto* form = new QGridLayout(w);
        form->setContentsMargins(0, 0, 0, 0);
        form->setVerticalSpacing(2);
        form->setColumnStretch(0, 1);
        part_->addItem(name);
        pages_->addWidget(w);
        return form;
    };
    const QString degrees = tr("°"), widths = tr(" SW");
    auto* trunk = page(tr("Trunk and weight"));
    const auto of_trunk = [&](const char* key, const QString& label, const QString& unit, double low, double high, double step,
                              double Posture::*of) {
        number(trunk, "", key, label, unit, low, high, step, [of](const Posture& p) { return p.*of; });
    };
    of_trunk("weight_left", tr("Weight on the left foot"), QString(), 0, 1, 0.05, &Posture::weight_left);
    of_trunk("depth", tr("Height of the hips, of standing"), QString(), 0.4, 1.1, 0.01, &Posture::depth);
    of_trunk("forward", tr("Body ahead of the feet, foot lengths"), QString(), -0.35, 0.45, 0.02, &Posture::forward);
    of_trunk("pelvis_turn", tr("Hips turned left"), degrees, -90, 90, 2, &Posture::pelvis_turn);
    of_trunk("shoulder_turn", tr("Shoulders turned left"), degrees, -120, 120, 2, &Posture::shoulder_turn);
    of_trunk("gaze_turn", tr("Gaze turned left of that"), degrees, -80, 80, 2, &Posture::gaze_turn);
    of_trunk("gaze_pitch", tr("Gaze up"), degrees, -60, 60, 2, &Posture::gaze_pitch);
    of_trunk("lean", tr("Trunk leaning forward"), degrees, -30, 90, 1, &Posture::lean);
    of_trunk("side", tr("Trunk leaning left"), degrees, -45, 45, 1, &Posture::side);
    of_trunk("low_back", tr("Low back rounded"), degrees, -30, 60, 2, &Posture::low_back);
    of_trunk("upper_back", tr("Upper back rounded"), degrees, -30, 60, 2, &Posture::upper_back);
    of_trunk("neck", tr("Neck bent forward"), degrees, -45, 60, 2, &Posture::neck);
    of_trunk("seat", tr("Sitting (1), standing (0)"), QString(), 0, 1, 1, &Posture::seat);
    const std::array<QString, 2> hands{tr("Left hand"), tr("Right hand")}, feet{tr("Left foot"), tr("Right foot")};
    for (int s = 0; s < 2; ++s) {
        const std::string part = s == 0 ? "left_hand" : "right_hand";
        auto* form = page(hands[static_cast<std::size_t>(s)]);
        const auto hand = [s](const Posture& p) -> const HandTarget& { return s == 0 ? p.left_hand : p.right_hand; };
        choice(form, part, "level", tr("From the height of"), {{tr("belly"), "belly"}, {tr("heart"), "heart"}, {tr("brow"), "brow"}},
               [hand](const Posture& p) { return static_cast<int>(hand(p).level); });
        const auto add = [&](const char* key, const QString& label, const QString& unit, double low, double high, double step,
                             double HandTarget::*of) {
            number(form, part, key, label, unit, low, high, step, [hand, of](const Posture& p) { return hand(p).*of; });
        };
        add("y", tr("Above that height"), widths, -3, 3, 0.05, &HandTarget::y);
        add("x", tr("Left of the middle"), widths, -3, 3, 0.05, &HandTarget::x);
        add("z", tr("Ahead of the chest"), widths, -3, 3, 0.05, &HandTarget::z);
        add("elbow_out", tr("Elbow away from hanging"), degrees, -20, 120, 2, &HandTarget::elbow_out);
        add("palm", tr("Palm turned, thumb outward"), degrees, -180, 180, 5, &HandTarget::palm);
        add("fist", tr("Fist (1), open (0)"), QString(), 0, 1, 0.1, &HandTarget::fist);
        add("drop", tr("Hanging below that"), widths, 0, 2, 0.05, &HandTarget::drop);
        add("support", tr("On a chair beside (1)"), QString(), 0, 1, 1, &HandTarget::support);
    }
    for (int s = 0; s < 2; ++s) {
        const std::string part = s == 0 ? "left_foot" : "right_foot";
        auto* form = page(feet[static_cast<std::size_t>(s)]);
        const auto foot = [s](const Posture& p) -> const FootTarget& { return s == 0 ? p.left_foot : p.right_foot; };
        choice(form, part, "contact", tr("On the floor with"),
               {{tr("the sole"), "flat"}, {tr("the heel"), "heel"}, {tr("the toes"), "toe"}, {tr("nothing"), "off"}},
               [foot](const Posture& p) { return static_cast<int>(foot(p).contact); });
        const auto add = [&](const char* key, const QString& label, const QString& unit, double low, double high, double step,
                             double FootTarget::*of) {
            number(form, part, key, label, unit, low, high, step, [foot, of](const Posture& p) { return foot(p).*of; });
        };
        add("x", tr("Left of the middle"), widths, -4, 4, 0.05, &FootTarget::x);
        add("z", tr("Ahead"), widths, -6, 6, 0.05, &FootTarget::z);
        add("toe_out", tr("Toes outward"), degrees, -30, 70, 1, &FootTarget::toe_out);
        add("lift", tr("Height while off, of stature"), QString(), FootTarget::sliding, 0.5, 0.005, &FootTarget::lift);
        add("heel_turn", tr("Turned on the heel"), degrees, -100, 100, 2, &FootTarget::heel_turn);
        add("ball_turn", tr("Turned on the ball"), degrees, -100, 100, 2, &FootTarget::ball_turn);
    }
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(part_);
    box->addWidget(pages_);
    setToolTip(tr("SW: widths of the shoulders. What is set runs on into the phases after it that say nothing else."));
}

void PostureEditor::number(QGridLayout* form, const std::string& part, const std::string& key, const QString& label, const QString& suffix,
                           double low, double high, double step, std::function<double(const Posture&)> of) {
    auto* b = new QDoubleSpinBox;
    b->setObjectName(QString::fromStdString("posture_" + (part.empty() ? key : part + "_" + key)));
    b->setAccessibleName(label);
    b->setRange(low, high);
    b->setDecimals(step >= 1 ? 0 : step >= 0.05 ? 2 : 3);
    b->setSingleStep(step);
    b->setSuffix(suffix);
    b->setKeyboardTracking(false);
    b->setMinimumWidth(session_.theme.wide(96));
    b->setMaximumWidth(session_.theme.wide(110));
    add_row(form, label, b);
    connect(b, &QDoubleSpinBox::valueChanged, this, [this, part, key, label](double v) {
        if (!filling_) emit set(label, part, key, v);
    });
    numbers_.push_back({part, key, b, std::move(of)});
}

void PostureEditor::choice(QGridLayout* form, const std::string& part, const std::string& key, const QString& label,
                           const std::vector<std::pair<QString, std::string>>& all, std::function<int(const Posture&)> of) {
    auto* b = new QComboBox;
    b->setObjectName(QString::fromStdString("posture_" + part + "_" + key));
    b->setAccessibleName(label);
    for (const auto& [name, id] : all) b->addItem(name, QString::fromStdString(id));
    b->setMaximumWidth(session_.theme.wide(110));
    add_row(form, label, b);
    connect(b, &QComboBox::activated, this, [this, part, key, label, b] {
        if (!filling_) emit set(label, part, key, b->currentData().toString().toStdString());
    });
    choices_.push_back({part, key, b, std::move(of)});
}

void PostureEditor::show_posture(const Posture& posture) {
    filling_ = true;
    for (const auto& n : numbers_) n.box->setValue(n.of(posture));
    for (const auto& c : choices_) c.box->setCurrentIndex(c.of(posture));
    filling_ = false;
}

} // namespace bevel::ui
