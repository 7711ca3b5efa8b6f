// A change to a person, to be done and undone.
#pragma once
#include <functional>
#include <QUndoCommand>

namespace bevel::ui {

class PersonStep : public QUndoCommand {
public:
    PersonStep(const QString& what, std::function<void(bool)> apply) : apply_(std::move(apply)) { setText(what); }
    void redo() override { apply_(true); }
    void undo() override { apply_(false); }

private:
    std::function<void(bool)> apply_;
};

} // namespace bevel::ui
