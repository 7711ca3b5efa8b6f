// What a finding rests on, as a small page: what is seen and what to do, the band with the figure on it, and the parts of the reasoning.
#pragma once
#include "desk/open_review.h"
#include "ui/shell/session.h"
#include <QDialog>

namespace bevel::ui {

class WhyDialog : public QDialog {
    Q_OBJECT
public:
    WhyDialog(const Session& session, std::shared_ptr<const OpenReview> open, const Finding& f, const Units& units, const QString& cue,
              QWidget* parent);

signals:
    void agree();
    void show_me(); // the fault beside the right one
};

} // namespace bevel::ui
