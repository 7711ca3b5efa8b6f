#include "ui/shell/actions.h"
#include <QMenu>
#include <QMenuBar>
#include <QWidget>

namespace bevel::ui {

QString Actions::title(Menu m) {
    switch (m) {
    case Menu::file:
        return tr("&File");
    case Menu::edit:
        return tr("&Edit");
    case Menu::view:
        return tr("&View");
    case Menu::go:
        return tr("&Go");
    case Menu::clip:
        return tr("&Clip");
    case Menu::help:
        break;
    }
    return tr("&Help");
}

QAction* Actions::add(QWidget* where, Menu menu, const char* id, const QString& text, const QList<QKeySequence>& keys,
                      std::function<void()> go, const QString& tip) {
    auto* a = new QAction(text, this);
    a->setObjectName(QLatin1String(id));
    if (!tip.isEmpty()) a->setToolTip(tip), a->setStatusTip(tip);
    connect(a, &QAction::triggered, this, [go = std::move(go)] { go(); });
    add(where, menu, a, keys);
    return a;
}

void Actions::add(QWidget* where, Menu menu, QAction* a, const QList<QKeySequence>& keys) {
    a->setShortcuts(keys);
    a->setShortcutContext(where->isWindow() ? Qt::WindowShortcut : Qt::WidgetWithChildrenShortcut);
    where->addAction(a);
    rows_.append({menu, a, std::exchange(separate_, false)});
}

QAction* Actions::find(const char* id) const {
    for (const auto& r : rows_)
        if (r.action->objectName() == QLatin1String(id)) return r.action;
    return nullptr;
}

void Actions::fill(QMenuBar& bar) const {
    for (const Menu m : {Menu::file, Menu::edit, Menu::view, Menu::go, Menu::clip, Menu::help}) {
        auto* menu = bar.addMenu(title(m));
        for (const auto& r : rows_) {
            if (r.menu != m) continue;
            if (r.separated) menu->addSeparator();
            menu->addAction(r.action);
        }
    }
}

} // namespace bevel::ui
