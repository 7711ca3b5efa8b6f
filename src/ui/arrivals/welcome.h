// The first minutes: what to begin with, where things are kept, what a good clip is.
#pragma once
#include "ui/shell/session.h"
#include <QWidget>

class QVBoxLayout;

namespace bevel::ui {

class Welcome : public QWidget {
    Q_OBJECT
public:
    explicit Welcome(Session& session, QWidget* parent = nullptr);

signals:
    void take_in(); // a first clip

private:
    void add_way(QVBoxLayout* box, const char* name, const QString& label, const QString& words, const std::function<void()>& go);
    Session& session_;
};

} // namespace bevel::ui
