// A limit or an adaptation agreed with a person: what is judged otherwise, why, from when until when.
#pragma once
#include "ui/shell/session.h"
#include <QDialog>

class QCheckBox;
class QComboBox;
class QDateEdit;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;

namespace bevel::ui {

class LimitDialog : public QDialog {
    Q_OBJECT
public:
    /// `now`: one that is changed, or a new one (id 0) of a person.
    LimitDialog(const Session& session, const Agreement& now, QWidget* parent = nullptr);

signals:
    void agreed(const bevel::Agreement& a);

private:
    void show_usual();
    void keep();
    const Session& session_;
    Agreement now_;
    QComboBox* check_ = nullptr;
    QCheckBox *off_ = nullptr, *until_on_ = nullptr;
    QDoubleSpinBox *low_ = nullptr, *high_ = nullptr;
    QLineEdit* reason_ = nullptr;
    QDateEdit *from_ = nullptr, *until_ = nullptr;
    QLabel *usual_ = nullptr, *problem_ = nullptr;
};

} // namespace bevel::ui
