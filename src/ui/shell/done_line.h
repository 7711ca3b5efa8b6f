// What was just done, for a few seconds, with a way back. It stands under the doors to the places and takes no focus.
#pragma once
#include <QLabel>
#include <QPointer>
#include <QTimer>
#include <QToolButton>
#include <QUndoStack>
#include <QWidget>

namespace bevel::ui {

class DoneLine : public QWidget {
    Q_OBJECT
public:
    explicit DoneLine(QWidget* parent = nullptr);
    /// From now on what is done in `steps` is said, until something else happens there or some seconds have passed.
    void listen(QUndoStack& steps);
    static constexpr int stays_ms = 8000;

private:
    void say(QUndoStack& steps);
    QLabel* words_ = nullptr;
    QToolButton* undo_ = nullptr;
    QPointer<QUndoStack> of_;
    int at_ = 0; // the step that is said
    QTimer goes_{this};
};

} // namespace bevel::ui
