// Somebody who presses everything: random keys, clicks, drags, wheels, sizes, languages and drops in the real window over a copy of the
// demo.
//   bevel-monkey SECONDS [SEED]      (offscreen or under Xvfb)
// It must live, answer, not grow, and leave the library whole. Prints how long the window took to answer and what it holds; ends with 1
// where the library is not whole afterwards.
#include "app/main_window.h"
#include "store/forms.h"
#include "ui/shell/plain_labels.h"
#include <algorithm>
#include <cstdio>
#include <malloc.h>
#include <QAbstractButton>
#include <QApplication>
#include <QComboBox>
#include <QDialog>
#include <QElapsedTimer>
#include <QFile>
#include <QFileDialog>
#include <QMenu>
#include <QMenuBar>
#include <QMouseEvent>
#include <QRandomGenerator>
#include <QTabWidget>
#include <QTemporaryDir>
#include <QTimer>
#include <QWheelEvent>
#include <unistd.h>

using namespace bevel;

namespace {

double resident_mb() {
    QFile f(QStringLiteral("/proc/self/statm"));
    if (!f.open(QIODevice::ReadOnly)) return 0;
    return f.readAll().split(' ').value(1).toDouble() * static_cast<double>(::sysconf(_SC_PAGESIZE)) / (1 << 20);
}

class Monkey : public QObject {
public:
    Monkey(ui::MainWindow& window, quint32 seed) : window_(window), random_(seed) {}

    static constexpr int every_ms = 15;
    int acts() const { return acts_; }
    /// One thing that a person might do, to whatever takes input now.
    void act() {
        // What the window was busy with since the last act is how long somebody would have waited.
        if (since_.isValid()) took_.push_back(std::max(0.0, static_cast<double>(since_.nsecsElapsed()) / 1e6 - every_ms));
        since_.start();
        QWidget* in = QApplication::activePopupWidget();
        if (!in) in = QApplication::activeModalWidget();
        if (!in) {
            if (!window_.isVisible()) window_.show();
            in = &window_;
        }
        // Files of the machine are not to be touched: such a dialog is left again.
        if (auto* files = qobject_cast<QFileDialog*>(in)) return files->reject();
        const int what = pick(100);
        ++acts_;
        if (in != &window_ && what < 12) {
            key(in, Qt::Key_Escape);
        } else if (what < 45) {
            click(*in);
        } else if (what < 75) {
            static const std::vector<int> keys = [] {
                std::vector<int> k{Qt::Key_Space,  Qt::Key_Left,   Qt::Key_Right,  Qt::Key_Up,       Qt::Key_Down, Qt::Key_Return,
                                   Qt::Key_Tab,    Qt::Key_Escape, Qt::Key_PageUp, Qt::Key_PageDown, Qt::Key_Home, Qt::Key_End,
                                   Qt::Key_Delete, Qt::Key_Period, Qt::Key_Comma,  Qt::Key_F1};
                for (int c = Qt::Key_A; c <= Qt::Key_Z; ++c) k.push_back(c);
                for (int c = Qt::Key_0; c <= Qt::Key_9; ++c) k.push_back(c);
                return k;
            }();
            static const std::vector<Qt::KeyboardModifiers> with{Qt::NoModifier,    Qt::NoModifier,
                                                                 Qt::NoModifier,    Qt::ControlModifier,
                                                                 Qt::ShiftModifier, Qt::ControlModifier | Qt::ShiftModifier,
                                                                 Qt::AltModifier};
            const int k = keys[static_cast<std::size_t>(pick(static_cast<int>(keys.size())))];
            const auto m = with[static_cast<std::size_t>(pick(static_cast<int>(with.size())))];
            if (!(k == Qt::Key_Q && (m & Qt::ControlModifier))) key(focus(in), k, m); // it is not to go home
        } else if (what < 82) {
            drag(*in);
        } else if (what < 88) {
            wheel(*in);
        } else if (what < 94) {
            window_.show_place(pick(7));
        } else if (what < 97) {
            window_.resize(700 + pick(900), 500 + pick(600));
        } else {
            if (auto* box = some<QComboBox>(*in); box && box->count() > 0) box->setCurrentIndex(pick(box->count()));
        }
    }

    void report(double mb_before) {
        std::sort(took_.begin(), took_.end());
        const auto at = [&](double share) {
            return took_.empty() ? 0 : took_[static_cast<std::size_t>(share * static_cast<double>(took_.size() - 1))];
        };
        std::printf("%d acts; the window took %.1f ms (median), %.0f ms (99 of 100), %.0f ms (longest); memory %.0f MB at first, %.0f MB "
                    "at the end\n",
                    acts_, at(0.5), at(0.99), at(1), mb_before, resident_mb());
    }

private:
    int pick(int n) { return static_cast<int>(random_.bounded(static_cast<quint32>(std::max(1, n)))); }
    static QWidget* focus(QWidget* in) { return in->focusWidget() ? in->focusWidget() : in; }
    QPoint spot(const QWidget& w) { return {pick(w.width()), pick(w.height())}; }
    template <class T> T* some(QWidget& in) {
        QList<T*> all;
        for (auto* w : in.findChildren<T*>())
            if (w->isVisible() && w->isEnabled()) all << w;
        return all.isEmpty() ? nullptr : all[pick(static_cast<int>(all.size()))];
    }
    void key(QWidget* to, int k, Qt::KeyboardModifiers m = Qt::NoModifier) {
        const QString text = k >= Qt::Key_Space && k <= Qt::Key_AsciiTilde && !(m & (Qt::ControlModifier | Qt::AltModifier))
                                 ? QString(QChar(k)).toLower()
                                 : QString();
        // Posted, as a keyboard does: a dialog that opens runs its own loop and does not hold the monkey up.
        QCoreApplication::postEvent(to, new QKeyEvent(QEvent::KeyPress, k, m, text));
        QCoreApplication::postEvent(to, new QKeyEvent(QEvent::KeyRelease, k, m, text));
    }
    void mouse(QWidget& in, QEvent::Type t, const QPoint& at, Qt::MouseButton b, Qt::MouseButtons down) {
        QWidget* to = in.childAt(at);
        if (!to) to = &in;
        const QPointF local = to->mapFrom(&in, at), global = in.mapToGlobal(at);
        QCoreApplication::postEvent(to, new QMouseEvent(t, local, global, b, down, Qt::NoModifier));
    }
    void click(QWidget& in) {
        // A button more often than empty room, as a person would.
        QPoint at = spot(in);
        if (pick(3) != 0)
            if (auto* b = some<QAbstractButton>(in)) at = b->mapTo(&in, b->rect().center());
        const auto button = pick(8) == 0 ? Qt::RightButton : Qt::LeftButton;
        mouse(in, QEvent::MouseButtonPress, at, button, button);
        mouse(in, QEvent::MouseButtonRelease, at, button, Qt::NoButton);
        if (pick(6) == 0)
            mouse(in, QEvent::MouseButtonDblClick, at, button, button), mouse(in, QEvent::MouseButtonRelease, at, button, Qt::NoButton);
    }
    void drag(QWidget& in) {
        const QPoint from = spot(in), to = spot(in);
        mouse(in, QEvent::MouseButtonPress, from, Qt::LeftButton, Qt::LeftButton);
        for (int k = 1; k <= 4; ++k) mouse(in, QEvent::MouseMove, from + (to - from) * k / 4, Qt::NoButton, Qt::LeftButton);
        mouse(in, QEvent::MouseButtonRelease, to, Qt::LeftButton, Qt::NoButton);
    }
    void wheel(QWidget& in) {
        const QPoint at = spot(in);
        QWidget* to = in.childAt(at);
        if (!to) to = &in;
        QCoreApplication::postEvent(to, new QWheelEvent(to->mapFrom(&in, at), in.mapToGlobal(at), {}, {0, pick(2) ? 120 : -120},
                                                        Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false));
    }

    ui::MainWindow& window_;
    QRandomGenerator random_;
    QElapsedTimer since_;
    int acts_ = 0;
    std::vector<double> took_;
};

} // namespace

int main(int argc, char** argv) {
    const int seconds = argc > 1 ? std::atoi(argv[1]) : 60;
    const auto seed = static_cast<quint32>(argc > 2 ? std::atoll(argv[2]) : QRandomGenerator::system()->generate());
    mallopt(M_MMAP_THRESHOLD, 1 << 19);
    QTemporaryDir home;
    qputenv("HOME", home.path().toUtf8());
    for (const char* v : {"XDG_DATA_HOME", "XDG_CONFIG_HOME", "XDG_CACHE_HOME"}) qputenv(v, home.path().toUtf8());
    qputenv("BEVEL_NO_VIEWER", "1");
    qputenv("BEVEL_MAIL", "true");
    const auto data = find_data_dir(argv[0]);
    const std::filesystem::path library = home.path().toStdString() + "/library";
    std::filesystem::copy(data / "demo", library, std::filesystem::copy_options::recursive);
    std::filesystem::current_path(home.path().toStdString());
    QApplication app(argc, argv);
    QApplication::setAttribute(Qt::AA_DontUseNativeDialogs);
    ui::keep_labels_plain();
    ui::Theme::load_fonts(data);
    std::printf("seed %u, %d s\n", seed, seconds);
    std::fflush(stdout);
    {
        ui::Session session;
        session.catalogue = *ui::Catalogue::load(data);
        session.library = std::make_shared<Library>(*Library::open(library));
        session.shipped = load_movements(data);
        session.movements = session.shipped;
        session.shipped_schools = load_schools(data);
        session.schools = session.shipped_schools;
        session.shipped_linked = load_forms(data);
        session.set_linked(session.shipped_linked);
        session.model_dir = find_model_dir(argv[0]);
        ui::Background background, copies, finder;
        session.background = &background, session.copies = &copies, session.finder = &finder;
        ui::MainWindow window(session);
        QApplication::setQuitOnLastWindowClosed(false);
        window.show();
        Monkey monkey(window, seed);
        double first_mb = 0;
        QTimer acts, end, warm;
        QObject::connect(&acts, &QTimer::timeout, &window, [&] { monkey.act(); });
        QObject::connect(&warm, &QTimer::timeout, &window, [&] { first_mb = resident_mb(); });
        QObject::connect(&end, &QTimer::timeout, &window, [&] {
            acts.stop();
            // What is open is left, from the inside out.
            while (QWidget* top =
                       QApplication::activePopupWidget() ? QApplication::activePopupWidget() : QApplication::activeModalWidget()) {
                if (auto* d = qobject_cast<QDialog*>(top))
                    d->reject();
                else
                    top->close();
                if (top == QApplication::activePopupWidget() || top == QApplication::activeModalWidget()) break;
            }
            // What it holds once everything has come to rest.
            auto* rest = new QTimer(&window);
            QObject::connect(rest, &QTimer::timeout, &window, [&, tries = 0]() mutable {
                if (++tries > 100 || (background.idle() && copies.idle() && finder.idle())) QApplication::quit();
            });
            window.show_place(0);
            rest->start(300);
        });
        acts.start(Monkey::every_ms);
        QTimer watch;
        QObject::connect(&watch, &QTimer::timeout, &window, [&] {
            const auto heap = ::mallinfo2();
            std::printf("  %d acts, %.0f MB, of which %.0f MB in use by the program, %lld widgets\n", monkey.acts(), resident_mb(),
                        static_cast<double>(heap.uordblks + heap.hblkhd) / (1 << 20),
                        static_cast<long long>(QApplication::allWidgets().size()));
            std::fflush(stdout);
        });
        watch.start(std::max(10, seconds / 12) * 1000);
        warm.setSingleShot(true), warm.start(std::min(10, seconds / 2) * 1000);
        end.start(seconds * 1000);
        QApplication::exec();
        ::malloc_trim(0);
        const auto heap = ::mallinfo2();
        std::printf("at rest: %.0f MB in use by the program\n", static_cast<double>(heap.uordblks + heap.hblkhd) / (1 << 20));
        monkey.report(first_mb);
    }
    const auto again = Library::open(library);
    if (!again || again->dangling() > 0 || !again->clips().all() || !again->people().all()) {
        std::printf("the library is not whole: %s\n", again ? "rows that point nowhere" : again.error().context.c_str());
        return 1;
    }
    return 0;
}
