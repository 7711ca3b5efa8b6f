// What goes with a correction: a picture for the mind, the drill that isolates it, and homework.
#pragma once
#include "desk/letter.h"
#include "ui/shell/session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QSpinBox;

namespace bevel::ui {

class WithBox : public QWidget {
    Q_OBJECT
public:
    explicit WithBox(const Session& session, QWidget* parent = nullptr);
    /// Nothing to choose without a finding. What the gate bars is there to be chosen, after the rest, and it is said what stands against
    /// it.
    void show_of(const Movement* movement, const Finding* finding, const WithCorrection& with, const HomeGate& gate);
    WithCorrection with() const;

signals:
    void changed();

private:
    void say_bar();
    const Session& session_;
    QLabel *of_ = nullptr, *bar_ = nullptr;
    std::string shown_; // the movement of the clip
    HomeGate gate_;
    QComboBox *drill_ = nullptr, *image_ = nullptr, *movement_ = nullptr;
    QSpinBox *times_ = nullptr, *side_ = nullptr, *hold_ = nullptr;
    bool filling_ = false;
};

} // namespace bevel::ui
