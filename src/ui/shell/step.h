// A value as it was and as it is, for undo: what a place keeps of every change that is one value for another.
#pragma once
#include <functional>
#include <QUndoCommand>

namespace bevel::ui {

template <class Value> class Step : public QUndoCommand {
public:
    using Apply = std::function<void(const Value&)>;
    Step(const QString& what, Apply apply, Value before, Value after)
        : apply_(std::move(apply)), before_(std::move(before)), after_(std::move(after)) {
        setText(what);
    }
    void redo() override { apply_(after_); }
    void undo() override { apply_(before_); }

private:
    Apply apply_;
    Value before_, after_;
};

} // namespace bevel::ui
