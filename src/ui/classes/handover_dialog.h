// A class that comes from a colleague: who of its people is here already.
#pragma once
#include "desk/handover.h"
#include "ui/text/text.h"
#include <QDialog>

class QComboBox;
class QLabel;
class QPushButton;

namespace bevel::ui {

class HandoverDialog : public QDialog {
    Q_OBJECT
public:
    HandoverDialog(const Handover& handover, const std::vector<Person>& people, const WhoIsWho& guess, const Catalogue& catalogue,
                   QWidget* parent = nullptr);
    WhoIsWho who() const;

private:
    /// Nobody is two of them.
    void look();
    std::vector<QComboBox*> who_;
    QLabel* problem_ = nullptr;
    QPushButton* take_ = nullptr;
};

} // namespace bevel::ui
