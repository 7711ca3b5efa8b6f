// All keys on one sheet, searchable.
#pragma once
#include "ui/shell/actions.h"
#include <QDialog>

namespace bevel::ui {

class ShortcutSheet : public QDialog {
    Q_OBJECT
public:
    explicit ShortcutSheet(const Actions& actions, QWidget* parent = nullptr);
};

} // namespace bevel::ui
