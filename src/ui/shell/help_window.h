// The definitions of all measures and rules, the marks, the cautions and what Bevel is made of; searched as one types.
#pragma once
#include "ui/shell/session.h"
#include <QDialog>

class QLineEdit;
class QListWidget;
class QTextBrowser;

namespace bevel::ui {

class HelpWindow : public QDialog {
    Q_OBJECT
public:
    explicit HelpWindow(const Session& session, QWidget* parent = nullptr);
    void show_topic(const QString& id);

private:
    void fill(const QString& words);
    void draw_pictures();
    const Session& session_;
    QLineEdit* search_ = nullptr;
    QListWidget* topics_ = nullptr;
    QTextBrowser* page_ = nullptr;
};

} // namespace bevel::ui
