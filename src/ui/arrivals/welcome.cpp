#include "ui/arrivals/welcome.h"
#include "ui/shell/workspace.h"
#include <QCoreApplication>
#include <QDir>
#include <QLabel>
#include <QProcess>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

Welcome::Welcome(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    auto* page = new QWidget;
    page->setFixedWidth(session_.theme.wide(620));
    auto* box = new QVBoxLayout(page);
    box->setSpacing(session_.theme.wide(6));
    auto* title = new QLabel(tr("Good to have you here. Begin with …"));
    title->setObjectName(QStringLiteral("heading"));
    box->addWidget(title);
    add_way(box, "firstClip", tr("A first clip …"),
            tr("A film of one student's practice, from a phone. It can be dropped anywhere in this window, too."),
            [this] { emit take_in(); });
    add_way(box, "watchFolder", tr("A folder that is watched …"),
            tr("Clips that your phone or messenger saves there are taken in by themselves, each once."),
            [this] { session_.workspace->settle(QStringLiteral("inboxFolder")); });
    add_way(box, "openDemo", tr("A look at Lantern Quay"),
            tr("A made-up hall with students, clips and letters, in a window of its own; your library stays as it is."),
            [] { QProcess::startDetached(QCoreApplication::applicationFilePath(), {QStringLiteral("--demo")}); });
    box->addSpacing(session_.theme.wide(14));
    auto say = [&](const QString& heading, const QString& words) {
        auto* head = new QLabel(heading);
        head->setObjectName(QStringLiteral("heading"));
        auto* label = new QLabel(words);
        label->setWordWrap(true);
        label->setTextInteractionFlags(Qt::TextSelectableByMouse);
        box->addWidget(head);
        box->addWidget(label);
    };
    say(tr("A good clip"), tr("The whole body with both feet, for the whole time, the phone upright on something firm at the height of the "
                              "hips. Straight from "
                              "the front or straight from a side. A quiet second of standing first, then three repetitions."));
    say(tr("Where things are kept"), tr("Everything stays on this computer, in %1. Nothing is sent anywhere unless you send it.")
                                         .arg(QDir::toNativeSeparators(QString::fromStdString(session_.library->folder().string()))));
    auto* across = new QHBoxLayout; // not aligned: wrapped labels get the height of one line else
    across->addStretch(1);
    across->addWidget(page);
    across->addStretch(1);
    auto* all = new QVBoxLayout(this);
    all->addStretch(2);
    all->addLayout(across);
    all->addStretch(3);
}

void Welcome::add_way(QVBoxLayout* box, const char* name, const QString& label, const QString& words, const std::function<void()>& go) {
    auto* button = new QPushButton(label);
    button->setObjectName(QLatin1String(name));
    button->setFixedWidth(session_.theme.wide(210));
    button->setToolTip(words);
    auto* about = new QLabel(words);
    about->setObjectName(QStringLiteral("faint"));
    about->setWordWrap(true);
    auto* row = new QHBoxLayout;
    row->setSpacing(session_.theme.wide(14));
    row->addWidget(button, 0, Qt::AlignTop);
    row->addWidget(about, 1);
    box->addLayout(row);
    QObject::connect(button, &QPushButton::clicked, this, go);
}

} // namespace bevel::ui
