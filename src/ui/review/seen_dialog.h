// A remark of the instructor's own at a moment: of which part, on which side, what to do, and whether it can hurt.
#pragma once
#include "core/judge/judge.h"
#include "store/library.h"
#include <QDialog>

class QCheckBox;
class QComboBox;
class QPlainTextEdit;
class QPushButton;

namespace bevel::ui {

class SeenDialog : public QDialog {
    Q_OBJECT
public:
    SeenDialog(Family family, double time_s, QWidget* parent = nullptr);

signals:
    void seen(const bevel::Remark& s);

private:
    double time_s_;
    QComboBox *family_ = nullptr, *side_ = nullptr;
    QPlainTextEdit* words_ = nullptr;
    QCheckBox* safety_ = nullptr;
};

} // namespace bevel::ui
