// What is right for one person, and how far they go with ease: moments that were marked, and what is set by hand.
#pragma once
#include "ui/shell/session.h"
#include <functional>
#include <QDialog>

class QDoubleSpinBox;
class QLabel;
class QListWidget;
class QPushButton;

namespace bevel::ui {

class NeutralDialog : public QDialog {
    Q_OBJECT
public:
    /// `day_of`: of a clip of the library, as people write it; empty for one that is gone.
    NeutralDialog(const Session& session, const Person& person, const std::function<QString(std::int64_t)>& day_of,
                  QWidget* parent = nullptr);

signals:
    void kept(const bevel::PersonNeutral& neutral);
    void wanted(qint64 clip); // to be looked at

private:
    void keep();
    void remove();
    PersonNeutral now_;
    double stature_m_;
    QListWidget* moments_ = nullptr;
    QPushButton *remove_ = nullptr, *open_ = nullptr;
    /// A field with what it sets; what was not touched stays as it is known, however it is rounded.
    struct Field {
        QDoubleSpinBox* box;
        double shown; // value when the dialog opened
        std::function<void(PersonNeutral&, std::optional<double>)> set;
    };
    std::vector<Field> fields_;
};

} // namespace bevel::ui
