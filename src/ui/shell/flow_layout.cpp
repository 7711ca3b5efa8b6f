#include "ui/shell/flow_layout.h"
#include <QStyle>
#include <QWidget>

namespace bevel::ui {

FlowLayout::FlowLayout(QWidget* parent) : QLayout(parent) {
    setContentsMargins(0, 0, 0, 0);
}

FlowLayout::~FlowLayout() {
    for (auto* item : items_) delete item;
}

void FlowLayout::addItem(QLayoutItem* item) {
    items_.push_back(item);
}

QLayoutItem* FlowLayout::itemAt(int index) const {
    return index >= 0 && index < count() ? items_[static_cast<std::size_t>(index)] : nullptr;
}

QLayoutItem* FlowLayout::takeAt(int index) {
    if (index < 0 || index >= count()) return nullptr;
    auto* item = items_[static_cast<std::size_t>(index)];
    items_.erase(items_.begin() + index);
    return item;
}

void FlowLayout::setGeometry(const QRect& r) {
    QLayout::setGeometry(r);
    arrange(r, true);
}

QSize FlowLayout::sizeHint() const {
    int width = 0, height = 0;
    for (auto* item : items_) {
        if (item->isEmpty()) continue;
        width += (width > 0 ? std::max(0, spacing()) : 0) + item->sizeHint().width();
        height = std::max(height, item->sizeHint().height());
    }
    const QMargins m = contentsMargins();
    return {width + m.left() + m.right(), height + m.top() + m.bottom()};
}

QSize FlowLayout::minimumSize() const {
    QSize least;
    for (auto* item : items_)
        if (!item->isEmpty()) least = least.expandedTo(item->minimumSize());
    const QMargins m = contentsMargins();
    return least + QSize(m.left() + m.right(), m.top() + m.bottom());
}

int FlowLayout::arrange(const QRect& r, bool put) const {
    const QMargins m = contentsMargins();
    const QRect room = r.marginsRemoved(m);
    const int gap = std::max(0, spacing());
    int x = room.x(), y = room.y(), high = 0;
    for (auto* item : items_) {
        if (item->isEmpty()) continue;
        const QSize size = item->sizeHint().expandedTo(item->minimumSize());
        if (x > room.x() && x + size.width() > room.x() + room.width()) {
            x = room.x();
            y += high + gap;
            high = 0;
        }
        const QRect at(x, y, std::min(size.width(), room.width()), size.height());
        if (put) item->setGeometry(QStyle::visualRect(parentWidget() ? parentWidget()->layoutDirection() : Qt::LeftToRight, room, at));
        x += size.width() + gap;
        high = std::max(high, size.height());
    }
    return y + high - r.y() + m.bottom();
}

} // namespace bevel::ui
