// Somebody new: a name, and how tall they are where that is known.
#pragma once
#include "store/records.h"
#include "ui/shell/session.h"
#include <QDialog>

class QDoubleSpinBox;
class QLineEdit;

namespace bevel::ui {

class NewPersonDialog : public QDialog {
    Q_OBJECT
public:
    explicit NewPersonDialog(const Session& session, QWidget* parent = nullptr);

signals:
    void made(const bevel::Person& person);

private:
    QLineEdit* name_ = nullptr;
    QDoubleSpinBox* height_ = nullptr;
};

} // namespace bevel::ui
