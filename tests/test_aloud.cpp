// The whole program without a picture: every place, tab and dialog read from its accessible tree, and gone through with Tab alone.
#include "support/window_bench.h"
#include <QAbstractItemView>
#include <QAbstractSpinBox>
#include <QAccessible>
#include <QDialog>
#include <QFileDialog>
#include <QLineEdit>
#include <QMessageBox>
#include <QPointer>
#include <QScrollBar>
#include <QSignalSpy>
#include <QTabBar>
#include <QTabWidget>
#include <QTimer>
#include <set>

using namespace bevel;
using test::Bench;

namespace {

/// A part of a larger control, which speaks for it.
bool within_another(const QWidget* w) {
    const QWidget* up = w->parentWidget();
    return up && (qobject_cast<const QAbstractSpinBox*>(up) || qobject_cast<const QComboBox*>(up) || qobject_cast<const QScrollBar*>(w) ||
                  w->inherits("QHeaderView") || w->inherits("QTabBar"));
}

bool takes_tab(const QWidget* w) {
    return w->isVisible() && w->isEnabled() && (w->focusPolicy() & Qt::TabFocus) && !w->focusProxy() && !within_another(w);
}

QString told(const QWidget* w) {
    const auto* text = w->property("text").isValid() ? qPrintable(w->property("text").toString()) : "";
    return QStringLiteral("%1 \"%2\" %3 in %4")
        .arg(QLatin1String(w->metaObject()->className()), w->objectName(), QLatin1String(text),
             w->parentWidget() ? QLatin1String(w->parentWidget()->metaObject()->className()) : QLatin1String("nothing"));
}

/// What can be reached by the keys and does not say what it is.
QStringList unnamed(const QWidget& window, const QString& where) {
    QStringList out;
    for (auto* w : window.findChildren<QWidget*>()) {
        if (!takes_tab(w)) continue;
        auto* spoken = QAccessible::queryAccessibleInterface(w);
        if (!spoken) {
            out << where + QStringLiteral(": not in the tree: ") + told(w);
            continue;
        }
        if (spoken->text(QAccessible::Name).trimmed().isEmpty()) out << where + QStringLiteral(": no name: ") + told(w);
        // Lists and tables: every row that is there says something.
        if (const auto* view = qobject_cast<QAbstractItemView*>(w); view && view->model())
            for (int r = 0; r < std::min(view->model()->rowCount(), 40); ++r) {
                bool any = false;
                for (int c = 0; c < view->model()->columnCount(); ++c) {
                    const auto index = view->model()->index(r, c);
                    any = any || !index.data(Qt::AccessibleTextRole).toString().trimmed().isEmpty() ||
                          !index.data(Qt::DisplayRole).toString().trimmed().isEmpty() || view->indexWidget(index);
                }
                if (!any) out << where + QStringLiteral(": row %1 says nothing: ").arg(r) + told(w);
            }
        // What is painted and shows values says them: it has parts or a value, each part with words.
        for (int i = 0; i < spoken->childCount() && !qobject_cast<QAbstractItemView*>(w) && !w->layout(); ++i)
            if (auto* part = spoken->child(i); part && part->isValid() && !part->object())
                if ((part->text(QAccessible::Name) + part->text(QAccessible::Value)).trimmed().isEmpty())
                    out << where + QStringLiteral(": part %1 says nothing: ").arg(i) + told(w);
    }
    return out;
}

/// What Tab does not come to, going once round.
QStringList unreached(QWidget& window, const QString& where) {
    std::set<const QWidget*> wanted, met;
    QWidget* first = nullptr;
    for (auto* w : window.findChildren<QWidget*>())
        if (takes_tab(w) && w->window() == &window) {
            wanted.insert(w);
            if (!first) first = w;
        }
    if (!first) return {};
    // Of buttons that exclude each other one takes Tab; the arrows go on from it.
    for (auto* w : window.findChildren<QAbstractButton*>())
        if (w->autoExclusive() && w->isCheckable()) wanted.erase(w);
    first->setFocus(Qt::TabFocusReason);
    int stays = 0, again = 0; // Tab goes on round a ring: once the ring is known nothing new comes
    QWidget* before = nullptr;
    for (std::size_t step = 0; step < 3 * wanted.size() + 20 && again < 2; ++step) {
        QWidget* at = window.focusWidget();
        if (!at) break;
        stays = at == before ? stays + 1 : 0;
        if (stays > 3) return {where + QStringLiteral(": Tab stays in ") + told(at)}; // a day has three parts of its own
        before = at;
        if (at == first && !met.empty()) ++again;
        met.insert(at);
        for (const QWidget* up = at; up; up = up->parentWidget()) // a control is reached in one of its parts
            if (wanted.count(up)) met.insert(up);
        QTest::keyClick(at, Qt::Key_Tab);
    }
    QStringList out;
    for (const auto* w : wanted)
        if (!met.count(w) && w->isVisible() && w->isEnabled()) out << where + QStringLiteral(": not reached by Tab: ") + told(w);
    return out;
}

QStringList wrong_in(QWidget& window, const QString& where) {
    return unnamed(window, where) + unreached(window, where);
}

} // namespace

class TestAloud : public QObject {
    Q_OBJECT
    test::Copy copy_;

    static void report(QStringList wrong) {
        wrong.removeDuplicates();
        for (const auto& w : wrong) qWarning("%s", qPrintable(w)); // a message of a test is short
        QVERIFY2(wrong.isEmpty(), qPrintable(QStringLiteral("%1 things").arg(wrong.size())));
    }
    static void open_clip(Bench& b, qint64 clip) {
        QSignalSpy opened(b.window->review(), &ui::ReviewPage::opened);
        b.window->open_review(clip);
        QTRY_COMPARE_WITH_TIMEOUT(opened.count(), 1, 30000);
        QTRY_VERIFY_WITH_TIMEOUT(b.window->review()->shows_current(), 30000);
    }

private slots:
    void initTestCase() { QVERIFY(copy_.make()); }

    /// The check itself finds what it looks for.
    void what_has_no_name_and_what_tab_passes_by_is_found() {
        QWidget window;
        auto* plain = new QLineEdit(&window);
        auto* named = new QLineEdit(&window);
        named->setAccessibleName(QStringLiteral("Name"));
        auto* trap = new QWidget(&window);
        trap->setFocusPolicy(Qt::StrongFocus);
        trap->setAccessibleName(QStringLiteral("Trap"));
        window.show();
        QVERIFY(QTest::qWaitForWindowExposed(&window));
        window.activateWindow();
        (void)QTest::qWaitForWindowActive(&window);
        QCOMPARE(unnamed(window, QStringLiteral("x")).size(), 1);
        plain->setPlaceholderText(QStringLiteral("Search"));
        plain->setAccessibleName(QStringLiteral("Search"));
        QCOMPARE(unnamed(window, QStringLiteral("x")), QStringList());
        QCOMPARE(unreached(window, QStringLiteral("x")), QStringList());
        // Who keeps Tab is found out.
        struct Keeps : QObject {
            bool eventFilter(QObject*, QEvent* e) override {
                return e->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(e)->key() == Qt::Key_Tab;
            }
        } keeps;
        named->installEventFilter(&keeps);
        QVERIFY(!unreached(window, QStringLiteral("x")).isEmpty());
    }

    void every_place_and_tab() {
        Bench b(copy_.demo);
        QStringList wrong;
        const auto places = b.window->findChildren<ui::Place*>();
        for (const bool open : {false, true}) {
            if (open) open_clip(b, 2);
            for (int place = 0; place < places.size(); ++place) {
                b.window->show_place(place);
                QTest::qWait(open ? 400 : 100); // for what is read in the background
                ui::Place* shown = nullptr;
                for (auto* p : places)
                    if (p->isVisible()) shown = p;
                QVERIFY(shown);
                wrong << wrong_in(*b.window, shown->id());
                for (auto* t : shown->findChildren<QTabWidget*>())
                    for (int i = 1; i < t->count() && t->isVisible(); ++i) {
                        t->setCurrentIndex(i);
                        QCoreApplication::processEvents();
                        wrong << wrong_in(*b.window, QStringLiteral("%1 tab %2").arg(shown->id(), t->tabText(i)));
                    }
            }
        }
        report(wrong);
    }

    /// Whatever an action or a button opens that asks for more ("…").
    void every_dialog() {
        Bench b(copy_.demo);
        open_clip(b, 2);
        QStringList wrong, met;
        const auto opens = [&](const QString& what, const std::function<void()>& go) {
            int asked = 0;
            QTimer watch;
            connect(&watch, &QTimer::timeout, b.window.get(), [&] {
                if (auto* menu = QApplication::activePopupWidget()) menu->close();
                auto* dialog = qobject_cast<QDialog*>(QApplication::activeModalWidget());
                if (!dialog) return;
                // What Qt draws itself is not ours to name.
                const bool qts = qobject_cast<QFileDialog*>(dialog) || qobject_cast<QMessageBox*>(dialog) ||
                                 dialog->inherits("QPrintPreviewDialog") || dialog->inherits("QInputDialog");
                if (!qts && ++asked < 2) {
                    met << QLatin1String(dialog->metaObject()->className());
                    wrong << wrong_in(*dialog, what);
                }
                dialog->reject();
            });
            watch.start(40);
            go();
            QTest::qWait(90);
            watch.stop();
            for (auto* d : b.window->findChildren<QDialog*>())
                if (d->isVisible()) {
                    met << QLatin1String(d->metaObject()->className());
                    wrong << wrong_in(*d, what);
                    d->close();
                }
        };
        const auto asks = [](const QString& text) { return text.endsWith(QChar(0x2026)); };
        std::set<const QObject*> tried;
        const auto press = [&](QWidget& in) {
            for (const QPointer<QAbstractButton> button : in.findChildren<QAbstractButton*>())
                if (button && button->isVisible() && button->isEnabled() && asks(button->text()) && tried.insert(button).second)
                    opens(button->text(), [&] { button->click(); });
        };
        const auto places = b.window->findChildren<ui::Place*>();
        for (int place = 0; place < places.size(); ++place) {
            b.window->show_place(place);
            QTest::qWait(400);
            for (const auto& row : b.window->actions_table().rows())
                if (row.action->isEnabled() && asks(row.action->text()) && tried.insert(row.action).second)
                    opens(row.action->text(), [&] { row.action->trigger(); });
            for (auto* p : places) {
                if (!p->isVisible()) continue;
                press(*p);
                for (auto* t : p->findChildren<QTabWidget*>())
                    for (int i = 1; i < t->count() && t->isVisible(); ++i) {
                        t->setCurrentIndex(i);
                        QCoreApplication::processEvents();
                        press(*p);
                    }
            }
        }
        for (const char* id : {"keys", "help"}) {
            b.window->show_place(0);
            if (auto* action = b.window->actions_table().find(id)) opens(action->text(), [&] { action->trigger(); });
        }
        met.removeDuplicates();
        met.sort();
        qInfo("%s", qPrintable(met.join(QLatin1Char(' '))));
        QVERIFY2(met.size() >= 12, qPrintable(met.join(QLatin1Char(' '))));
        report(wrong);
    }
};

QTEST_MAIN(TestAloud)
#include "test_aloud.moc"
