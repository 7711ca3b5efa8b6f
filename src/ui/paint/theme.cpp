#include "ui/paint/theme.h"
#include <cmath>
#include <QFontDatabase>
#include <QPainterPath>
#include <QRegularExpression>

namespace bevel::ui {

Palette Palette::light() {
    return {QColor(0xF5, 0xF0, 0xE6), QColor(0xFD, 0xFA, 0xF3), QColor(0x2B, 0x26, 0x22), QColor(0x62, 0x5A, 0x50),
            QColor(0xD9, 0xCF, 0xBE), QColor(0x1F, 0x5F, 0x62), QColor(0x1F, 0x5F, 0x94), QColor(0xA0, 0x46, 0x1C),
            QColor(0x9C, 0x24, 0x2B), QColor(0x7A, 0x5A, 0x0C), QColor(0x3B, 0x66, 0x36), QColor(0x62, 0x5A, 0x50),
            QColor(0xE3, 0xE6, 0xD2), QColor(0xC2, 0x7A, 0x12)};
}

Palette Palette::dark() {
    return {QColor(0x22, 0x1F, 0x1C), QColor(0x2C, 0x28, 0x24), QColor(0xEF, 0xE8, 0xDC), QColor(0xB5, 0xAB, 0x9C),
            QColor(0x4A, 0x44, 0x3D), QColor(0x7F, 0xC4, 0xC2), QColor(0x7F, 0xB8, 0xE6), QColor(0xEE, 0x9A, 0x6E),
            QColor(0xF2, 0x8B, 0x8B), QColor(0xE0, 0xB8, 0x5A), QColor(0x9C, 0xCB, 0x90), QColor(0xB5, 0xAB, 0x9C),
            QColor(0x3A, 0x40, 0x30), QColor(0xF0, 0xB0, 0x50)};
}

QFont Theme::font(double points, QFont::Weight weight) const {
    QFont f(QStringLiteral("Open Sans"));
    f.setPointSizeF(points * scale_);
    f.setWeight(weight);
    return f;
}

QColor Theme::verdict(Verdict v) const {
    switch (v) {
    case Verdict::inside:
        return palette.inside;
    case Verdict::edge:
        return palette.edge;
    case Verdict::outside:
        return palette.outside;
    case Verdict::cannot_tell:
        break;
    }
    return palette.cannot;
}

void Theme::load_fonts(const std::filesystem::path& data_dir) {
    for (const char* name : {"OpenSans-Regular.ttf", "OpenSans-Semibold.ttf", "OpenSans-Bold.ttf", "OpenSans-Italic.ttf"})
        QFontDatabase::addApplicationFont(QString::fromStdString((data_dir / "fonts" / name).string()));
}

QString Theme::style_sheet() const {
    const auto c = [](const QColor& q) { return q.name(); };
    QString s = QStringLiteral(
        "QWidget { background: %paper; color: %ink; font-family: 'Open Sans'; font-size: 10.5pt; }"
        "QFrame#card, QFrame#sheet { background: %sheet; border: 1px solid %line; border-radius: 6px; }"
        "QFrame#card[current=\"true\"] { border: 2px solid %accent; }"
        "QFrame#card QLabel, QFrame#card QToolButton { background: transparent; border: none; }"
        "QWidget#inCard { background: transparent; }"
        "QFrame#card QCheckBox { background: %sheet; } QCheckBox::indicator, QListView::indicator { width: 14px; height: 14px; border: 1px "
        "solid %faint; "
        "border-radius: 3px; "
        "background: %sheet; } QCheckBox::indicator:checked, QListView::indicator:checked { background: %accent; border-color: %accent; "
        "image: "
        "url(:/icons/tick-%shade.png); } QCheckBox:focus { color: "
        "%accent; }"
        "QPushButton, QToolButton { background: %sheet; border: 1px solid %line; border-radius: 5px; padding: 4px 10px; min-height: 20px; }"
        "QToolButton { padding: 3px 6px; }"
        "QPushButton:hover, QToolButton:hover { border-color: %accent; }"
        "QPushButton:focus, QToolButton:focus, QComboBox:focus, QLineEdit:focus, QPlainTextEdit:focus, QListView:focus, QTableView:focus, "
        "QTreeView:focus, "
        "QTextEdit:focus, QSpinBox:focus, QDateEdit:focus, QDoubleSpinBox:focus, QSlider:focus { border: 2px solid %focus; }"
        "QPushButton:checked, QToolButton:checked { background: %accent; color: %paper; border-color: %accent; }"
        "QFrame#card QToolButton[small=\"true\"] { border: 1px solid %line; padding: 1px 5px; }"
        "QFrame#card QToolButton[small=\"true\"]:checked { background: %accent; color: %sheet; }"
        "QFrame#card QToolButton[small=\"true\"]:focus { border: 2px solid %focus; }"
        "QCheckBox:disabled { color: %faint; }"
        "QPushButton:disabled, QToolButton:disabled { color: %faint; background: %paper; }"
        "QPushButton#primary { background: %accent; color: %sheet; border-color: %accent; font-weight: 600; }"
        "QPushButton#primary:disabled { background: %line; color: %faint; border-color: %line; }"
        "QToolButton#place { border: none; background: transparent; border-radius: 0; padding: 10px 2px; color: %faint; "
        "font-weight: 600; }"
        "QToolButton#place:checked { color: %accent; background: %sheet; border-left: 3px solid %accent; }"
        "QToolButton#place:focus { border: 2px solid %focus; }"
        "QComboBox, QLineEdit, QPlainTextEdit, QTextEdit, QDoubleSpinBox, QSpinBox, QDateEdit { background: %sheet; border: 1px solid "
        "%line; border-radius: 4px; padding: "
        "3px 6px; min-height: 20px; selection-background-color: %accent; selection-color: %sheet; }"
        "QComboBox::drop-down { border: none; width: 24px; }"
        "QDateEdit::drop-down { border: none; width: 24px; }"
        "QComboBox::down-arrow, QDateEdit::down-arrow, QSpinBox::down-arrow, QDoubleSpinBox::down-arrow { image: "
        "url(:/icons/chevron-down-%shade.png); width: 12px; height: 8px; }"
        "QSpinBox::up-arrow, QDoubleSpinBox::up-arrow { image: url(:/icons/chevron-up-%shade.png); width: 12px; height: 8px; }"
        "QSpinBox::up-button, QSpinBox::down-button, QDoubleSpinBox::up-button, QDoubleSpinBox::down-button { border: none; background: "
        "transparent; width: 24px; subcontrol-origin: "
        "border; }"
        "QSpinBox::up-button, QDoubleSpinBox::up-button { subcontrol-position: top right; } QSpinBox::down-button, "
        "QDoubleSpinBox::down-button "
        "{ subcontrol-position: bottom right; }"
        "QPushButton#goto { border: none; background: transparent; text-align: left; padding: 0; font-weight: 600; } "
        "QPushButton#goto:hover { color: %accent; }"
        "QPushButton#goto:focus { border: 2px solid %focus; }"
        "QComboBox QAbstractItemView { background: %sheet; selection-background-color: %accent; selection-color: %sheet; }"
        "QTextBrowser { background: %sheet; border: none; } QListView, QTableView, QTreeView, QScrollArea { background: %sheet; border: "
        "1px solid "
        "%line; border-radius: 4px; }"
        "QListView::item:selected, QTableView::item:selected, QTreeView::item:selected, QTreeView::branch:selected { background: %accent; "
        "color: %sheet; }"
        "QHeaderView::section { background: %paper; border: none; border-bottom: 1px solid %line; padding: 4px 6px; color: %faint; "
        "font-weight: 600; }"
        "QProgressBar { background: %paper; border: 1px solid %line; border-radius: 4px; text-align: center; min-height: 16px; }"
        "QProgressBar::chunk { background: %band; }"
        "QLabel#faint { color: %faint; } QLabel#title { font-size: 15pt; font-weight: 600; } QLabel#heading { font-size: 11.5pt; "
        "font-weight: 600; }"
        "QTableView#whatIsThere::item { border-bottom: 1px solid %line; }"
        "QLabel#problem { color: %outside; }"
        "QTabWidget::pane { background: %sheet; border: 1px solid %line; border-radius: 6px; top: -1px; } QTabWidget > QStackedWidget > "
        "QWidget { background: %sheet; } QTabWidget QLabel, QTabWidget QCheckBox { background: transparent; }"
        "QTabBar::tab { background: %paper; color: %faint; border: 1px solid %line; border-top-left-radius: 5px; border-top-right-radius: "
        "5px; padding: 5px 14px; font-weight: 600; } QTabBar::tab:selected { background: %sheet; color: %accent; border-bottom-color: "
        "%sheet; } QTabBar::tab:focus { border: 2px solid %focus; }"
        "QScrollArea#plain { border: none; background: transparent; }"
        "QToolTip { background: %ink; color: %paper; border: none; padding: 5px; }"
        "QScrollBar:vertical { background: %paper; width: 12px; } QScrollBar::handle:vertical { background: %line; border-radius: 5px; "
        "min-height: 30px; margin: 1px; }"
        "QScrollBar:horizontal { background: %paper; height: 12px; } QScrollBar::handle:horizontal { background: %line; border-radius: "
        "5px; min-width: 30px; margin: 1px; }"
        "QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }"
        "QSlider::groove:horizontal { background: %line; height: 4px; border-radius: 2px; }"
        "QSlider::sub-page:horizontal { background: %accent; height: 4px; border-radius: 2px; }"
        "QSlider::handle:horizontal { background: %sheet; border: 1px solid %accent; width: 14px; margin: -6px 0; border-radius: 7px; }"
        "QSplitter::handle { background: %paper; }");
    const std::array<std::pair<const char*, QColor>, 9> names{{{"%paper", palette.paper},
                                                               {"%sheet", palette.sheet},
                                                               {"%ink", palette.ink},
                                                               {"%faint", palette.faint},
                                                               {"%line", palette.line},
                                                               {"%accent", palette.accent},
                                                               {"%focus", palette.focus},
                                                               {"%band", palette.band},
                                                               {"%outside", palette.outside}}};
    for (const auto& [name, colour] : names) s.replace(QLatin1String(name), c(colour));
    static const QRegularExpression points(QStringLiteral("([0-9.]+)pt"));
    for (qsizetype from = 0;;) {
        const auto m = points.match(s, from);
        if (!m.hasMatch()) break;
        const QString size = QString::number(m.captured(1).toDouble() * scale_);
        from = m.capturedStart() + size.size();
        s.replace(m.capturedStart(1), m.capturedLength(1), size);
    }
    s.replace(QLatin1String("%shade"), palette.paper.lightnessF() > 0.5F ? QLatin1String("dark") : QLatin1String("light"));
    return s;
}

void draw_mark(QPainter& p, const QRectF& r, Verdict v, const Theme& theme, double size, int towards) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const QColor c = theme.verdict(v);
    const double w = std::max(1.6, r.width() / 9);
    const QRectF ring = r.adjusted(w, w, -w, -w);
    p.setBrush(Qt::NoBrush);
    switch (v) {
    case Verdict::inside:
        p.setPen(QPen(c, w));
        p.drawEllipse(ring);
        break;
    case Verdict::edge:
        p.setPen(QPen(c, w, Qt::SolidLine, Qt::FlatCap));
        p.drawArc(ring, 90 * 16, 180 * 16);
        break;
    case Verdict::cannot_tell: {
        QPen pen(c, w, Qt::CustomDashLine, Qt::FlatCap);
        pen.setDashPattern({1.6, 1.5});
        p.setPen(pen);
        p.drawEllipse(ring);
        break;
    }
    case Verdict::outside: {
        // Thin end towards where it should go; the thick end's height grows with how far it is off.
        const double h = r.height() * std::clamp(0.35 + 0.22 * size, 0.35, 1.0) / 2;
        const double thin = towards > 0 ? r.right() : r.left(), thick = towards > 0 ? r.left() : r.right();
        QPainterPath path;
        path.moveTo(thin, r.center().y());
        path.lineTo(thick, r.center().y() - h);
        path.lineTo(thick, r.center().y() + h);
        path.closeSubpath();
        p.fillPath(path, c);
        break;
    }
    }
    p.restore();
}

double contrast(const QColor& a, const QColor& b) {
    auto luminance = [](const QColor& q) {
        auto channel = [](double v) { return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
        return 0.2126 * channel(q.redF()) + 0.7152 * channel(q.greenF()) + 0.0722 * channel(q.blueF());
    };
    const double l = luminance(a), m = luminance(b);
    return (std::max(l, m) + 0.05) / (std::min(l, m) + 0.05);
}

} // namespace bevel::ui
