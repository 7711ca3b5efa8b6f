// What can be chosen for the program itself.
#pragma once
#include "ui/shell/session.h"
#include <QDialog>

class QCheckBox;
class QComboBox;
class QLineEdit;

namespace bevel::ui {

class SettingsDialog : public QDialog {
    Q_OBJECT
public:
    explicit SettingsDialog(Session& session, QWidget* parent = nullptr);

signals:
    /// They are to hold from now on.
    void chosen(const Settings& settings);

private:
    void build();
    void read_sender();
    void keep();
    Settings settings() const;

    Session& session_;
    bool sender_read_ = false;
    QComboBox *language_ = nullptr, *theme_ = nullptr, *size_ = nullptr, *lengths_ = nullptr, *widths_ = nullptr, *model_ = nullptr;
    QCheckBox* mirrored_ = nullptr;
    QLineEdit *library_ = nullptr, *inbox_ = nullptr, *exports_ = nullptr, *signed_ = nullptr, *place_ = nullptr;
};

} // namespace bevel::ui
