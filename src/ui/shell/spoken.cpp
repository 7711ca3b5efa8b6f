#include "ui/shell/spoken.h"
#include <map>
#include <QAccessible>
#include <QAccessibleWidget>
#include <QPointer>
#include <QWidget>

namespace bevel::ui {
namespace {

/// One part of a view. It lives as long as its view's interface.
class PartInterface : public QAccessibleInterface {
public:
    PartInterface(QWidget* view, int index) : view_(view), index_(index) {}
    bool isValid() const override { return view_ && index_ < parts().size(); }
    QObject* object() const override { return nullptr; }
    QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    QAccessibleInterface* parent() const override { return QAccessible::queryAccessibleInterface(view_); }
    QAccessibleInterface* child(int) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    QString text(QAccessible::Text t) const override {
        if (!isValid()) return {};
        const SpokenPart p = parts()[index_];
        return t == QAccessible::Name ? p.name : t == QAccessible::Value ? p.value : QString();
    }
    void setText(QAccessible::Text, const QString&) override {}
    QRect rect() const override {
        if (!isValid()) return {};
        const QRect r = parts()[index_].at;
        return {view_->mapToGlobal(r.topLeft()), r.size()};
    }
    QAccessible::Role role() const override { return QAccessible::StaticText; }
    QAccessible::State state() const override {
        QAccessible::State s;
        s.readOnly = true;
        s.invisible = !view_ || !view_->isVisible();
        return s;
    }

private:
    QList<SpokenPart> parts() const {
        const auto* s = dynamic_cast<const Spoken*>(view_.data());
        return s ? s->spoken() : QList<SpokenPart>();
    }
    QPointer<QWidget> view_;
    int index_;
};

class ViewInterface : public QAccessibleWidget {
public:
    explicit ViewInterface(QWidget* view) : QAccessibleWidget(view, QAccessible::Grouping) {}
    ~ViewInterface() override {
        for (const auto& [index, id] : ids_) QAccessible::deleteAccessibleInterface(id);
    }
    int childCount() const override { return static_cast<int>(spoken().size()); }
    QAccessibleInterface* child(int i) const override {
        if (i < 0 || i >= childCount()) return nullptr;
        const auto it = ids_.find(i);
        if (it != ids_.end()) return QAccessible::accessibleInterface(it->second);
        auto* part = new PartInterface(widget(), i);
        ids_[i] = QAccessible::registerAccessibleInterface(part);
        return part;
    }
    int indexOfChild(const QAccessibleInterface* c) const override {
        for (const auto& [index, id] : ids_)
            if (QAccessible::accessibleInterface(id) == c) return index;
        return -1;
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        const auto all = spoken();
        for (int i = 0; i < all.size(); ++i)
            if (all[i].at.contains(widget()->mapFromGlobal(QPoint(x, y)))) return child(i);
        return nullptr;
    }
    QString text(QAccessible::Text t) const override {
        if (t != QAccessible::Value) return QAccessibleWidget::text(t);
        QStringList all;
        for (const auto& p : spoken()) all << p.name + QStringLiteral(": ") + p.value;
        return all.join(QStringLiteral("; "));
    }

private:
    QList<SpokenPart> spoken() const { return dynamic_cast<const Spoken*>(widget())->spoken(); }
    mutable std::map<int, QAccessible::Id> ids_;
};

QAccessibleInterface* make(const QString&, QObject* object) {
    auto* w = qobject_cast<QWidget*>(object);
    return w && dynamic_cast<Spoken*>(w) ? new ViewInterface(w) : nullptr;
}

} // namespace

void install_spoken() {
    QAccessible::installFactory(make); // the same one twice is no harm
}

void announce(QWidget* view) {
    if (!QAccessible::isActive()) return;
    QAccessibleValueChangeEvent e(view, QVariant());
    QAccessible::updateAccessibility(&e);
}

} // namespace bevel::ui
