// What a class is: when, where, what is at hand there, and who belongs to it.
#pragma once
#include "store/classes.h"
#include "store/records.h"
#include "ui/shell/session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QSpinBox;
class QTimeEdit;

namespace bevel::ui {

/// How a class is handed over to a colleague.
enum class HandOver { with_names, without_names, page };

class ClassFacts : public QWidget {
    Q_OBJECT
public:
    explicit ClassFacts(const Session& session, QWidget* parent = nullptr);
    void show_class(const ClassGroup& group, const std::vector<Person>& people);
    /// As it stands in the fields.
    ClassGroup group() const;

signals:
    /// Changed by hand: how it was, how it is.
    void changed(const bevel::ClassGroup& before, const bevel::ClassGroup& after);
    void remove_asked();
    void hand_over_asked(bevel::ui::HandOver how);

private:
    void touched();
    bool filling_ = false;
    ClassGroup group_;
    QLineEdit *name_ = nullptr, *hall_ = nullptr, *floor_ = nullptr, *at_ = nullptr, *level_ = nullptr, *taught_ = nullptr;
    QComboBox* weekday_ = nullptr;
    QSpinBox* minutes_ = nullptr;
    QCheckBox *chair_ = nullptr, *wall_ = nullptr, *stick_ = nullptr;
    QPlainTextEdit* notes_ = nullptr;
    QListWidget* members_ = nullptr;
    bool writes_ = true;
};

} // namespace bevel::ui
