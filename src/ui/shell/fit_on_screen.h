// A window with its frame is no larger than what the screen leaves free.
#pragma once
#include <QScreen>
#include <QWidget>

namespace bevel::ui {

/// Once it is shown. Left as it is where the screen is smaller than the least the window can be.
inline void fit_on_screen(QWidget* window) {
    if (!window->screen() || window->isFullScreen() || window->isMaximized()) return;
    const QRect free = window->screen()->availableGeometry(), frame = window->frameGeometry();
    const QSize edge = frame.size() - window->size();
    if (!QRect(QPoint(), free.size()).contains(QRect(QPoint(), window->minimumSize() + edge))) return;
    window->resize(window->size().boundedTo(free.size() - edge));
    const QRect now = window->frameGeometry();
    window->move(std::clamp(now.left(), free.left(), std::max(free.left(), free.right() + 1 - now.width())),
                 std::clamp(now.top(), free.top(), std::max(free.top(), free.bottom() + 1 - now.height())));
}

} // namespace bevel::ui
