// What goes with a correction: a picture for the mind, the drill that isolates it, and homework.
#pragma once
#include "core/judge/judge.h"
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
    /// Nothing to choose without a finding.
    void show_of(const Movement* movement, const Finding* finding, const WithCorrection& with);
    WithCorrection with() const;

signals:
    void changed();

private:
    const Session& session_;
    QLabel* of_ = nullptr;
    QComboBox *drill_ = nullptr, *image_ = nullptr, *movement_ = nullptr;
    QSpinBox *times_ = nullptr, *side_ = nullptr, *hold_ = nullptr;
    bool filling_ = false;
};

} // namespace bevel::ui
