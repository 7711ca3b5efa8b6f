// The real window on a copy of the demo, for the tests that drive it.
#pragma once
#include "app/main_window.h"
#include "store/forms.h"
#include "support/synthetic.h"
#include "ui/shell/elided_label.h"
#include "ui/text/languages.h"
#include <QAbstractButton>
#include <QComboBox>
#include <QLabel>
#include <QScrollArea>
#include <QTemporaryDir>
#include <QTest>

namespace bevel::test {

inline constexpr int demo_clips = 18; // of Lantern Quay

struct Bench {
    ui::Session session;
    ui::Background background, copies, finder;
    std::unique_ptr<ui::MainWindow> window;
    explicit Bench(const std::filesystem::path& folder) {
        session.catalogue = *ui::Catalogue::load(test::data_dir());
        session.library = std::make_shared<Library>(*Library::open(folder));
        session.shipped = load_movements(test::data_dir());
        session.movements = with_own(session.shipped, *session.library->forms().all());
        session.shipped_schools = load_schools(test::data_dir());
        session.schools = with_own(session.shipped_schools, *session.library->forms().all(Own::school));
        session.shipped_linked = load_forms(test::data_dir());
        session.set_linked(with_own(session.shipped_linked, *session.library->forms().all(Own::linked)));
        session.model_dir = std::filesystem::path(BEVEL_SOURCE_DIR) / "models";
        session.background = &background;
        session.copies = &copies;
        session.finder = &finder;
        window = std::make_unique<ui::MainWindow>(session);
        window->show();
        window->activateWindow(); // where no window manager does it
        (void)QTest::qWaitForWindowActive(window.get());
    }
    ~Bench() { window.reset(); }
};
/// Visible widgets whose text has less room than it needs.
inline QStringList clipped(const QWidget& window, const QString& where) {
    QStringList out;
    for (auto* w : window.findChildren<QWidget*>()) {
        if (!w->isVisible()) continue;
        QString text;
        bool fits = true;
        if (const auto* button = qobject_cast<QAbstractButton*>(w)) {
            text = button->text();
            // What gives way by itself says the whole of it when asked.
            const bool whole_in_tip = text.endsWith(QChar(0x2026)) && button->toolTip().startsWith(text.chopped(1).toHtmlEscaped());
            fits = whole_in_tip || button->width() + 1 >= button->sizeHint().width();
        } else if (const auto* label = qobject_cast<QLabel*>(w);
                   label && !label->text().isEmpty() && !dynamic_cast<const ui::ElidedLabel*>(label)) {
            text = label->text();
            fits = label->wordWrap() ? label->heightForWidth(label->width()) <= label->height() + 1
                                     : label->sizeHint().width() <= label->width() + 1;
        } else if (const auto* box = qobject_cast<QComboBox*>(w); box && !box->isEditable()) {
            text = box->currentText();
            fits = box->fontMetrics().horizontalAdvance(text) + 34 <= box->width();
        }
        // Nor does anything stand beyond the edge of the window, outside of what scrolls.
        bool scrolls = false;
        for (const auto* up = w->parentWidget(); up; up = up->parentWidget())
            scrolls |= qobject_cast<const QAbstractScrollArea*>(up) != nullptr;
        if (!text.isEmpty() && !scrolls && w->window() == &window)
            fits = fits && w->mapTo(&window, QPoint(w->width(), 0)).x() <= window.width() + 1;
        // Nor does anything stand beyond the edge of a list that cannot be scrolled sideways.
        for (auto* up = w->parentWidget(); up && fits; up = up->parentWidget())
            if (const auto* area = qobject_cast<QScrollArea*>(up);
                area && area->viewport()->isAncestorOf(w) && area->horizontalScrollBarPolicy() == Qt::ScrollBarAlwaysOff)
                fits = w->mapTo(area->viewport(), QPoint(w->width(), 0)).x() <= area->viewport()->width() + 1;
        if (!text.isEmpty() && !fits) out << where + QStringLiteral(": ") + text;
    }
    return out;
}
/// Whether some visible label says these words.
inline bool says(const QWidget& window, const QString& words) {
    for (const auto* l : window.findChildren<QLabel*>())
        if (l->isVisible() && l->text().contains(words)) return true;
    return false;
}

/// A copy of the demo in which nothing waits for its turn; the clip that waited is the one that is dropped.
struct Copy {
    QTemporaryDir dir;
    std::filesystem::path folder, demo, clip;
    bool make() {
        ui::speak(QStringLiteral("en"));
        ui::Theme::load_fonts(data_dir());
        folder = dir.filePath(QStringLiteral("library")).toStdString();
        demo = dir.filePath(QStringLiteral("demo")).toStdString();
        std::filesystem::copy(data_dir() / "demo", demo, std::filesystem::copy_options::recursive);
        clip = demo / "clips/noor-mane-left.mp4";
        auto lib = Library::open(demo);
        if (!lib) return false;
        const auto clips = lib->clips().all();
        if (!clips) return false;
        for (const auto& c : *clips)
            if (c.state == ClipState::waiting && !lib->clips().set_state(c.id, ClipState::failed, "cancelled")) return false;
        return true;
    }
};

} // namespace bevel::test
