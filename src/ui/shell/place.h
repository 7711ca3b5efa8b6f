// A place of the window: what the shell knows of it. The table of places in main_window.cpp is the only list of them.
#pragma once
#include "ui/shell/actions.h"
#include "ui/shell/session.h"
#include "ui/shell/workspace.h"
#include <QUndoStack>
#include <QWidget>

namespace bevel::ui {

class Place : public QWidget {
    Q_OBJECT
public:
    /// `id` names it to the workspace.
    Place(Session& session, const char* id, QWidget* parent = nullptr) : QWidget(parent), session_(session) {
        setObjectName(QLatin1String(id));
    }
    QString id() const { return objectName(); }
    virtual QString title() const = 0;
    /// It comes to the front, to show what is asked for.
    virtual void open(Ref) {}
    /// Another place comes to the front.
    virtual void leave() {}
    virtual void add_actions(Actions&) {}
    /// Colours that are set by hand.
    virtual void new_theme() {}
    QUndoStack& undo() { return undo_; }

protected:
    Session& session_;

private:
    QUndoStack undo_;
};

} // namespace bevel::ui
