// Agrees on another band with a student, for some time or for one clip; with the reason that the reader will see.
#pragma once
#include "ui/review/review_state.h"
#include <QDialog>

class QCheckBox;
class QComboBox;
class QDateEdit;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace bevel::ui {

class AgreementDialog : public QDialog {
    Q_OBJECT
public:
    /// `check`: id of a check of the open movement. An agreement about it that is in force is changed, else a new one is made.
    AgreementDialog(const Session& session, const OpenReview& open, const std::string& check, QWidget* parent = nullptr);

signals:
    void agreed(const bevel::Agreement& a);
    void ended(std::int64_t id); // the agreement is to be taken back

private:
    void build(const Session& session, const OpenReview& open);
    QDoubleSpinBox* end_box(const char* name, const QString& label, bool present, const std::optional<double>& value);
    void start_with(const OpenReview& open);
    void settle();
    Agreement agreement() const;

    Agreement before_;
    std::int64_t person_ = 0, clip_ = 0;
    QString unit_;
    Units units_;
    const Check* check_ = nullptr; // of the open movement; its stack says what is usual
    std::vector<Finding> findings_;
    QDoubleSpinBox *low_ = nullptr, *high_ = nullptr;
    QCheckBox *off_ = nullptr, *ends_ = nullptr;
    QComboBox* scope_ = nullptr;
    QDateEdit *from_ = nullptr, *until_ = nullptr;
    QLineEdit* reason_ = nullptr;
    QPushButton* ok_ = nullptr;
};

} // namespace bevel::ui
