// What the editors of a movement and of a whole form have alike: the row of buttons about one's own copy, and the page that scrolls.
#pragma once
#include <array>
#include <QFormLayout>
#include <QPushButton>
#include <QScrollArea>
#include <QWidget>

namespace bevel::ui {

struct EditorButton {
    const char* name;
    QString label, tip;
};
/// Two to a line, in their order.
inline std::array<QPushButton*, 4> add_buttons(QFormLayout* form, const std::array<EditorButton, 4>& all) {
    std::array<QPushButton*, 4> out{};
    for (std::size_t i = 0; i < all.size(); i += 2) {
        auto* line = new QHBoxLayout;
        for (std::size_t k = i; k < i + 2; ++k) {
            out[k] = new QPushButton(all[k].label);
            out[k]->setObjectName(QLatin1String(all[k].name));
            out[k]->setToolTip(all[k].tip);
            line->addWidget(out[k]);
        }
        line->addStretch(1);
        form->addRow(line);
    }
    return out;
}

/// `inner` fills `page` and scrolls up and down in it.
inline void put_scrolled(QWidget* page, QWidget* inner, const QString& name) {
    auto* scroll = new QScrollArea;
    scroll->setWidget(inner);
    scroll->setWidgetResizable(true);
    scroll->setObjectName(QStringLiteral("plain"));
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setAccessibleName(name);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* all = new QVBoxLayout(page);
    all->setContentsMargins(8, 8, 4, 8);
    all->addWidget(scroll);
}

} // namespace bevel::ui
