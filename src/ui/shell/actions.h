// The one table of what can be done: menus, keys and the sheet of shortcuts are made from it.
#pragma once
#include <functional>
#include <QAction>
#include <QList>
#include <QObject>

class QMenuBar;

namespace bevel::ui {

class Actions : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    /// Menus in the order in which they stand in the bar.
    enum class Menu { file, edit, view, go, clip, help };
    static QString title(Menu m);

    struct Row {
        Menu menu;
        QAction* action;
        bool separated; // from what stands before it
    };
    /// Adds a row. Its keys work wherever the focus is within `where` (the window, or one place). `id` becomes the action's object name.
    QAction* add(QWidget* where, Menu menu, const char* id, const QString& text, const QList<QKeySequence>& keys, std::function<void()> go,
                 const QString& tip = {});
    /// An action made elsewhere, as undo and redo are.
    void add(QWidget* where, Menu menu, QAction* action, const QList<QKeySequence>& keys);
    void separate() { separate_ = true; } // before the next row
    const QList<Row>& rows() const { return rows_; }
    QAction* find(const char* id) const;
    void fill(QMenuBar& bar) const;

private:
    QList<Row> rows_;
    bool separate_ = false;
};

} // namespace bevel::ui
