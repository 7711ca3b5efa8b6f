// Colours, fonts and the marks of the verdicts: warm paper and ink. Shape carries the meaning, colour only helps.
#pragma once
#include "core/judge/judge.h"
#include <filesystem>
#include <QColor>
#include <QFont>
#include <QPainter>

namespace bevel::ui {

struct Palette {
    QColor paper, sheet, ink, faint, line, accent, left, right, outside, edge, inside, cannot, band, focus;
    static Palette light();
    static Palette dark();
};

class Theme {
public:
    /// `scale` of all text, 1 as designed.
    explicit Theme(bool dark = false, double scale = 1) : palette(dark ? Palette::dark() : Palette::light()), scale_(scale) {}
    Palette palette;
    double scale() const { return scale_; }
    /// A width that has to hold text.
    int wide(int pixels) const { return static_cast<int>(pixels * scale_); }
    QFont font(double points, QFont::Weight weight = QFont::Normal) const;
    QColor side(Side s) const { return s == Side::left ? palette.left : palette.right; }
    QColor verdict(Verdict v) const;
    QString style_sheet() const;
    /// Registers the shipped fonts; the system's are used when the folder is missing.
    static void load_fonts(const std::filesystem::path& data_dir);

private:
    double scale_ = 1;
};

/// The mark of a verdict in `rect`: ring inside, half ring edge, dashed ring cannot tell, wedge outside. A wedge's slope grows with `size`
/// (multiples of the allowed, 0 to 3) and its thin end points the way to correct: `towards` -1 down or left, +1 up or right.
void draw_mark(QPainter& p, const QRectF& rect, Verdict v, const Theme& theme, double size = 1, int towards = -1);

/// Ratio of contrast of two colours (WCAG 2.1).
double contrast(const QColor& a, const QColor& b);

} // namespace bevel::ui
