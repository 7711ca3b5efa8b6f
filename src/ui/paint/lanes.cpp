#include "ui/paint/lanes.h"
#include "core/measure/holds.h"
#include "core/signal/signal.h"
#include "ui/text/text.h"
#include <cmath>
#include <functional>
#include <QPainterPath>

namespace bevel::ui {
namespace {

struct LaneWords {
    Q_DECLARE_TR_FUNCTIONS(lanes)
};

struct Column {
    double lo = 1e18, hi = -1e18, sigma = 0;
    bool any = false;
};

std::vector<Column> columns(const MeasureSeries& s, const std::vector<double>& t, const TimeMapper& map, const QRectF& r) {
    std::vector<Column> out(static_cast<std::size_t>(std::max(1.0, r.width())));
    for (std::size_t i = 0; i < t.size() && i < s.samples.size(); ++i) {
        if (!s.samples[i].present()) continue;
        const double x0 = map.share(t[i]) * r.width(), x1 = i + 1 < t.size() ? map.share(t[i + 1]) * r.width() : x0 + 1;
        if (x1 < 0 || x0 > r.width()) continue;
        for (auto c = static_cast<std::size_t>(std::max(0.0, x0)); c <= static_cast<std::size_t>(std::max(x0, x1 - 1)) && c < out.size();
             ++c) {
            out[c].lo = std::min(out[c].lo, s.samples[i].value);
            out[c].hi = std::max(out[c].hi, s.samples[i].value);
            out[c].sigma = std::max(out[c].sigma, s.samples[i].sigma);
            out[c].any = true;
        }
    }
    return out;
}

void hatch(QPainter& p, const QRectF& r, const QColor& c) {
    p.fillRect(r, QBrush(c, Qt::BDiagPattern));
}

QColor side_colour(const Theme& theme, const Repetition& rep) {
    return rep.side ? theme.side(*rep.side) : theme.palette.ink;
}

QString repetition_name(int number, const Repetition& rep) {
    const QString name = rep.side ? LaneWords::tr("%1 · %2").arg(number).arg(text::side(*rep.side)) : QString::number(number);
    return rep.cut ? LaneWords::tr("%1 (cut)").arg(name) : name;
}

/// Stretches of a repetition in which a check applies.
std::vector<std::pair<double, double>> spans(const Check& c, const Repetition& rep) {
    std::vector<std::pair<double, double>> out;
    if (c.phases.empty()) return {{rep.start_s, rep.end_s}};
    for (const auto& ph : rep.phases)
        if (std::find(c.phases.begin(), c.phases.end(), ph.id) != c.phases.end()) out.emplace_back(ph.start_s, ph.end_s);
    return out;
}

/// What a check asks of a long hold: the level it began with, with the way that is let from it, and the median of each of its windows.
void draw_hold(QPainter& p, const Check& check, const Lane& lane, const Review& review, const std::function<double(double)>& y,
               const TimeMapper& map, const QRectF& rect, const Palette& c) {
    const auto& t = review.measures.time_s;
    for (const auto& rep : review.alignment.repetitions)
        for (const auto& [from, to] : spans(check, rep)) {
            if (to - from < check.least_s) continue;
            std::vector<double> at, x, own, first;
            for (std::size_t i = 0; i < t.size(); ++i) {
                const Sample& s = lane.series->samples[i];
                if (t[i] < from || t[i] >= to || !s.present()) continue;
                at.push_back(t[i]), x.push_back(s.value), own.push_back(static_cast<double>(s.own));
                if (t[i] - at.front() < check.first_s) first.push_back(s.value);
            }
            if (first.empty()) continue;
            const double began = signal::median(first);
            p.setPen(QPen(c.faint, 1, Qt::DashLine));
            for (const double by : {-check.high.value_or(0), check.high.value_or(0)}) {
                const double line = y(began + by);
                if (line <= rect.top() + 0.5 || line >= rect.bottom() - 0.5) continue; // beyond what the lane shows
                p.drawLine(QPointF(map.x(from, rect), line), QPointF(map.x(to, rect), line));
            }
            for (const auto& w : hold_windows(at, x, own)) {
                const bool out = check.high && std::abs(w.value - began) > *check.high;
                p.setPen(QPen(out ? c.outside : c.ink, 2));
                p.drawLine(QPointF(map.x(w.from_s, rect) + 1, y(w.value)), QPointF(map.x(w.to_s, rect) - 1, y(w.value)));
            }
        }
}

} // namespace

TimeMapper TimeMapper::clock(double from_s, double to_s) {
    TimeMapper m;
    m.time_ = {from_s, std::max(to_s, from_s + 1e-6)};
    return m;
}

TimeMapper TimeMapper::movement(const Review& review) {
    TimeMapper m;
    const auto& t = review.measures.time_s;
    std::vector<double> time{t.front()}, at{0};
    auto go = [&](double until, double width) {
        if (until <= time.back() + 1e-6) return;
        time.push_back(until);
        at.push_back(at.back() + width);
    };
    for (const auto& rep : review.alignment.repetitions) {
        go(rep.start_s, rep.start_s - time.back());
        if (!rep.phases.empty()) go(rep.phases.front().start_s, rep.phases.front().start_s - time.back());
        for (std::size_t i = 0; i < rep.phases.size(); ++i) go(rep.phases[i].end_s, review.movement.phases[rep.phases[i].index].duration_s);
    }
    go(t.back(), t.back() - time.back());
    for (double& a : at) a /= at.back();
    m.time_ = time;
    m.share_ = at;
    return m;
}

double TimeMapper::share(double t) const {
    return signal::resample(time_, share_, std::vector<double>{t}).front();
}
double TimeMapper::time(double s) const {
    return signal::resample(share_, time_, std::vector<double>{s}).front();
}

TimeMapper TimeMapper::zoomed(double from_s, double to_s) const {
    TimeMapper m = *this;
    const double a = share(from_s), b = share(to_s);
    if (b - a < 1e-9) return m;
    for (double& s : m.share_) s = (s - a) / (b - a);
    return m;
}

std::optional<Band> band_of(const Check& c, const Repetition& rep, const MeasureSeries& s) {
    if ((c.form != CheckForm::value && c.form != CheckForm::during) || c.size) return std::nullopt;
    if (c.measure == "weight.lead" && s.id == "weight.left") {
        if (rep.reference_side() == Side::left) return Band{c.low, c.high, c.reference};
        auto rest = [&](const std::optional<double>& v) { return v ? std::optional((c.reference ? 0 : 1) - *v) : std::nullopt; };
        return Band{rest(c.high), rest(c.low), c.reference};
    }
    if (c.measure == "weight.lead" && s.id == "weight.front") return Band{c.low, c.high, c.reference};
    if (c.measure != s.id) return std::nullopt;
    if (s.side && ((c.side == "lead" && rep.side != *s.side) || (c.side == "rear" && rep.side == *s.side))) return std::nullopt;
    return Band{c.low, c.high, c.reference};
}

std::vector<double> reference_times(const Review& review) {
    std::vector<double> out;
    for (const double t : review.measures.time_s) {
        const auto* rep = review.alignment.at(t);
        out.push_back(rep ? rep->to_reference(t) : NAN);
    }
    return out;
}

namespace {

/// One lane, layer by layer.
class LaneDrawing {
public:
    LaneDrawing(QPainter& p, const QRectF& rect, const Lane& lane, const Review& review, const std::vector<double>& ref_s,
                const TimeMapper& map, const Theme& theme)
        : p_(p), rect_(rect), lane_(lane), review_(review), ref_s_(ref_s), map_(map), theme_(theme), c_(theme.palette),
          t_(review.measures.time_s) {}

    void run() {
        p_.save();
        p_.setRenderHint(QPainter::Antialiasing);
        p_.fillRect(rect_, c_.sheet);
        if (const auto why = lane_.series->absent_throughout()) {
            say_absent(*why);
        } else {
            p_.setClipRect(rect_.adjusted(-1, -1, 1, 1));
            cols_ = columns(*lane_.series, t_, map_, rect_);
            if (lane_.reference) warp();
            find_range();
            bands();
            gaps();
            course();
        }
        p_.setPen(c_.line);
        p_.drawRect(rect_);
        p_.restore();
    }

private:
    double y(double v) const { return rect_.bottom() - (std::clamp(v, lo_, hi_) - lo_) / (hi_ - lo_) * rect_.height(); }

    void say_absent(Absent why) {
        hatch(p_, rect_, c_.line);
        p_.setPen(c_.faint);
        p_.setFont(theme_.font(10.5));
        const QString word = text::absent(why);
        const QRectF room = p_.boundingRect(rect_, Qt::AlignCenter, word).adjusted(-6, -1, 6, 1);
        p_.fillRect(room, c_.sheet);
        p_.drawText(rect_, Qt::AlignCenter, word);
    }

    /// The reference as it goes at the student's own time.
    void warp() {
        const double rate = review_.reference->rate();
        for (const double r : ref_s_) {
            Sample s{0, 0, Absent::no_event};
            const auto i = static_cast<std::size_t>(std::max(0.0, r * rate));
            if (std::isfinite(r) && i < lane_.reference->samples.size()) s = lane_.reference->samples[i];
            warped_.samples.push_back(s);
        }
    }

    /// From what is drawn, with room; never finer than the error.
    void find_range() {
        double sigma = 0;
        auto widen = [&](double v) { lo_ = std::min(lo_, v), hi_ = std::max(hi_, v); };
        // A peak of one frame is drawn at its full height.
        for (const auto& s : lane_.series->samples)
            if (s.present()) widen(s.value), sigma = std::max(sigma, s.sigma);
        for (const auto& s : warped_.samples)
            if (s.present()) widen(s.value);
        const double data_span = std::max(hi_ - lo_, 1e-6);
        for (const auto* k : lane_.checks)
            for (const auto& rep : review_.alignment.repetitions)
                if (const auto band = band_of(*k, rep, *lane_.series); band && !band->relative)
                    for (const auto& b : {band->low, band->high})
                        if (b && *b > lo_ - 1.2 * data_span && *b < hi_ + 1.2 * data_span) widen(*b);
        if (lo_ > hi_) lo_ = 0, hi_ = 1;
        room_ = std::max(0.1 * (hi_ - lo_), 0.5 * sigma + 1e-6);
        lo_ -= room_;
        hi_ += room_;
    }

    void bands() {
        for (const auto* k : lane_.checks)
            for (const auto& rep : review_.alignment.repetitions)
                for (const auto& [from, to] : spans(*k, rep)) {
                    const auto band = band_of(*k, rep, *lane_.series);
                    if (!band) continue;
                    if (band->relative) { // along the reference, moment by moment
                        for (std::size_t i = 0; i + 1 < warped_.samples.size(); ++i) {
                            if (t_[i] < from || t_[i] >= to || !warped_.samples[i].present()) continue;
                            const double ref = warped_.samples[i].value, top = y(band->high ? ref + *band->high : hi_),
                                         bottom = y(band->low ? ref + *band->low : lo_);
                            p_.fillRect(QRectF(QPointF(map_.x(t_[i], rect_), top), QPointF(map_.x(t_[i + 1], rect_), bottom)), c_.band);
                        }
                        continue;
                    }
                    const double top = y(band->high.value_or(hi_)), bottom = y(band->low.value_or(lo_));
                    p_.fillRect(QRectF(QPointF(map_.x(from, rect_), top), QPointF(map_.x(to, rect_), bottom)), c_.band);
                }
    }

    void gaps() {
        for (std::size_t i = 0; i < cols_.size();) {
            std::size_t j = i;
            while (j < cols_.size() && cols_[j].any == cols_[i].any) ++j;
            if (!cols_[i].any)
                hatch(p_, QRectF(rect_.left() + static_cast<double>(i), rect_.top(), static_cast<double>(j - i), rect_.height()), c_.line);
            i = j;
        }
    }

    void course() {
        const QColor line = lane_.side ? theme_.side(*lane_.side) : c_.accent;
        QColor veil = line;
        veil.setAlphaF(0.16F);
        QPainterPath course;
        bool open = false;
        for (std::size_t i = 0; i < cols_.size(); ++i) {
            const double x = rect_.left() + static_cast<double>(i) + 0.5;
            if (!cols_[i].any) {
                open = false;
                continue;
            }
            const double low = y(cols_[i].lo), high = y(cols_[i].hi);
            const double above = y(cols_[i].hi + cols_[i].sigma), below = y(cols_[i].lo - cols_[i].sigma);
            p_.fillRect(QRectF(x - 0.5, above, 1, below - above), veil);
            // From the nearer end of what lies in this column to the other.
            const bool from_low = open && std::abs(course.currentPosition().y() - low) < std::abs(course.currentPosition().y() - high);
            if (open)
                course.lineTo(x, from_low ? low : high);
            else
                course.moveTo(x, high);
            if (low - high > 0.5) course.lineTo(x, from_low ? high : low);
            open = true;
        }
        if (lane_.reference) reference();
        p_.setPen(QPen(line, 2));
        p_.drawPath(course);
        for (const auto* k : lane_.checks)
            if (k->form == CheckForm::drift && k->least_s >= hold_window_s)
                draw_hold(
                    p_, *k, lane_, review_, [this](double v) { return y(v); }, map_, rect_, c_);
        ends();
    }

    void reference() {
        QPainterPath ref;
        bool open = false;
        for (std::size_t i = 0; i < warped_.samples.size(); ++i) {
            if (!warped_.samples[i].present()) {
                open = false;
                continue;
            }
            const QPointF at(map_.x(t_[i], rect_), y(warped_.samples[i].value));
            if (open)
                ref.lineTo(at);
            else
                ref.moveTo(at);
            open = true;
        }
        p_.setPen(QPen(c_.faint, 1.1));
        p_.drawPath(ref);
    }

    void ends() {
        p_.setPen(c_.faint);
        p_.setFont(theme_.font(10.5));
        auto end = [&](double value, bool top) {
            const QString word = text::figure(value, lane_.unit, lane_.units);
            const double w = QFontMetricsF(p_.font()).horizontalAdvance(word) + 6, h2 = 17;
            const QRectF at(rect_.right() - w - 1, top ? rect_.top() + 1 : rect_.bottom() - h2 - 1, w, h2);
            QColor ground = c_.sheet;
            ground.setAlphaF(0.8F);
            p_.fillRect(at, ground);
            p_.drawText(at, Qt::AlignCenter, word);
        };
        end(hi_ - room_, true);
        if (rect_.height() > 42) end(lo_ + room_, false);
    }

    QPainter& p_;
    const QRectF& rect_;
    const Lane& lane_;
    const Review& review_;
    const std::vector<double>& ref_s_;
    const TimeMapper& map_;
    const Theme& theme_;
    const Palette& c_;
    const std::vector<double>& t_;
    std::vector<Column> cols_;
    MeasureSeries warped_;
    double lo_ = 1e18, hi_ = -1e18, room_ = 0;
};

} // namespace

void draw_lane(QPainter& p, const QRectF& rect, const Lane& lane, const Review& review, const std::vector<double>& ref_s,
               const TimeMapper& map, const Theme& theme) {
    LaneDrawing(p, rect, lane, review, ref_s, map, theme).run();
}

void draw_tide(QPainter& p, const QRectF& rect, const Review& review, const std::vector<double>& ref_s, const TimeMapper& map,
               const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const double rail = 9;
    p.setClipRect(rect.adjusted(-1, -1, 1, 1));
    const QRectF water = rect.adjusted(0, rail + 3, 0, -rail - 3);
    const bool sideways = review.motion.has_x;
    const auto* s = review.measures.find(sideways ? "weight.left" : "weight.along_raw");
    const auto& t = review.measures.time_s;
    p.fillRect(water, c.sheet);
    QColor left = theme.side(Side::left), right = theme.side(Side::right);
    left.setAlphaF(0.30F);
    right.setAlphaF(0.26F);
    const auto cols = columns(*s, t, map, water);
    QPainterPath edge;
    bool open = false;
    for (std::size_t i = 0; i < cols.size(); ++i) {
        const double x = water.left() + static_cast<double>(i);
        if (!cols[i].any) {
            hatch(p, QRectF(x, water.top(), 1, water.height()), c.line);
            open = false;
            continue;
        }
        const double v = std::clamp(0.5 * (cols[i].lo + cols[i].hi), 0.0, 1.0);
        const double y = water.top() + v * water.height(); // the left foot's share hangs from the top
        p.fillRect(QRectF(x, water.top(), 1, y - water.top()), left);
        p.fillRect(QRectF(x, y, 1, water.bottom() - y), right);
        if (open)
            edge.lineTo(x + 0.5, y);
        else
            edge.moveTo(x + 0.5, y);
        open = true;
    }
    const auto* reference = review.reference->measures().find("weight.left");
    QPainterPath ref;
    open = false;
    for (std::size_t i = 0; i < ref_s.size(); ++i) {
        const auto k = static_cast<std::size_t>(std::max(0.0, ref_s[i] * review.reference->rate()));
        if (!std::isfinite(ref_s[i]) || k >= reference->samples.size() || !reference->samples[k].present()) {
            open = false;
            continue;
        }
        const QPointF at(map.x(t[i], water), water.top() + reference->samples[k].value * water.height());
        if (open)
            ref.lineTo(at);
        else
            ref.moveTo(at);
        open = true;
    }
    p.setPen(QPen(c.ink, 1));
    p.drawPath(ref);
    p.setPen(QPen(c.ink, 2.2));
    p.drawPath(edge);
    // Rails: solid flat, dashed heel or toe only, nothing when off the floor.
    for (const Side side : {Side::left, Side::right}) {
        const double y = side == Side::left ? rect.top() + rail / 2 : rect.bottom() - rail / 2;
        const auto& contact = review.measures.contact[static_cast<std::size_t>(side)];
        for (std::size_t i = 0; i < contact.size();) {
            std::size_t j = i;
            while (j < contact.size() && contact[j] == contact[i]) ++j;
            if (contact[i] != Contact::off) {
                QPen pen(theme.side(side), 4, Qt::SolidLine, Qt::FlatCap);
                if (contact[i] != Contact::flat) pen.setDashPattern({1.0, 1.0});
                p.setPen(pen);
                p.drawLine(QPointF(map.x(t[i], rect), y), QPointF(map.x(t[std::min(j, t.size() - 1)], rect), y));
            }
            i = j;
        }
    }
    p.setPen(QPen(c.line, 1));
    p.drawRect(water);
    p.setFont(theme.font(10.5, QFont::DemiBold));
    auto foot = [&](Side side, const QString& word) {
        const double w = QFontMetricsF(p.font()).horizontalAdvance(word) + 8, h = 19;
        const QRectF at(water.left() + 2, side == Side::left ? water.top() + 1 : water.bottom() - h - 1, w, h);
        QColor veil = c.sheet;
        veil.setAlphaF(0.75F);
        p.fillRect(at, veil);
        p.setPen(theme.side(side));
        p.drawText(at, Qt::AlignCenter, word);
    };
    foot(Side::left, LaneWords::tr("left foot"));
    foot(Side::right, LaneWords::tr("right foot"));
    p.restore();
}

void draw_tempo(QPainter& p, const QRectF& rect, const Review& review, const TimeMapper& map, const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setClipRect(rect.adjusted(-1, -1, 1, 1));
    p.fillRect(rect, c.sheet);
    const double middle = rect.center().y(), full = 0.42 * rect.height(); // of twice or half as long
    for (const auto& rep : review.alignment.repetitions) {
        const double tempo = (rep.end_s - rep.start_s) / (rep.reference_s.back() - rep.reference_s.front());
        for (std::size_t i = 0; i < rep.phases.size(); ++i) {
            const auto& ph = rep.phases[i];
            const double ratio = (ph.end_s - ph.start_s) / (review.movement.phases[ph.index].duration_s * tempo);
            const double h = std::clamp(std::log2(std::max(ratio, 1e-3)), -1.1, 1.1) * full;
            const double x0 = map.x(ph.start_s, rect) + 1, x1 = map.x(ph.end_s, rect) - 1;
            QColor fill = side_colour(theme, rep);
            fill.setAlphaF(0.45F);
            p.fillRect(QRectF(QPointF(x0, std::min(middle, middle - h)), QPointF(x1, std::max(middle, middle - h))), fill);
            if (x1 - x0 > 34) {
                p.setPen(c.faint);
                p.setFont(theme.font(10.5));
                p.drawText(QRectF(x0, h > 0 ? middle + 1 : middle - 16, x1 - x0, 15), Qt::AlignCenter,
                           text::figure(ph.end_s - ph.start_s, QStringLiteral("s")));
            }
        }
        p.setPen(side_colour(theme, rep));
        p.setFont(theme.font(10.5, QFont::DemiBold));
        p.drawText(QRectF(QPointF(map.x(rep.start_s, rect) + 4, rect.top() + 2), QPointF(map.x(rep.end_s, rect), rect.top() + 18)),
                   Qt::AlignLeft | Qt::AlignVCenter, text::figure(rep.end_s - rep.start_s, QStringLiteral("s")));
    }
    p.setPen(QPen(c.faint, 1));
    p.drawLine(QPointF(rect.left(), middle), QPointF(rect.right(), middle));
    p.setPen(c.line);
    p.drawRect(rect);
    p.restore();
}

void draw_ruler(QPainter& p, const QRectF& rect, const Review& review, const TimeMapper& map, const Theme& theme) {
    const Palette& c = theme.palette;
    p.save();
    p.setClipRect(rect.adjusted(-1, -1, 1, 1));
    const double half = rect.height() / 2;
    for (const auto& left : review.alignment.left_out) { // found, and not judged
        const QRectF r(QPointF(map.x(left.from_s, rect), rect.top()), QPointF(map.x(left.to_s, rect), rect.top() + half));
        hatch(p, r, c.faint);
        p.setPen(c.faint);
        p.setFont(theme.font(10.5));
        const QString word = LaneWords::tr("not judged");
        const QFontMetricsF fm(p.font());
        if (r.width() > fm.horizontalAdvance(word) + 10) {
            const QRectF room(r.left() + 3, r.top() + 1, fm.horizontalAdvance(word) + 4, r.height() - 2);
            p.fillRect(room, c.paper);
            p.drawText(room, Qt::AlignCenter, word);
        }
    }
    int n = 0;
    for (const auto& rep : review.alignment.repetitions) {
        n = review.movement.part_names.empty() ? n + 1 : static_cast<int>(rep.entry) + 1; // parts of a form by their own number
        const QRectF r(QPointF(map.x(rep.start_s, rect), rect.top()), QPointF(map.x(rep.end_s, rect), rect.top() + half));
        p.setPen(side_colour(theme, rep));
        p.setFont(theme.font(10.5, QFont::DemiBold));
        p.drawText(r.adjusted(3, 0, 0, 0), Qt::AlignLeft | Qt::AlignVCenter,
                   QFontMetricsF(p.font()).elidedText(repetition_name(n, rep), Qt::ElideRight, r.width() - 4));
        p.setPen(QPen(c.faint, 1));
        p.drawLine(r.topLeft(), QPointF(r.left(), rect.bottom()));
        p.setFont(theme.font(10.5));
        for (std::size_t i = 0; i < rep.phases.size(); ++i) {
            const QRectF q(QPointF(map.x(rep.phases[i].start_s, rect), rect.top() + half),
                           QPointF(map.x(rep.phases[i].end_s, rect), rect.bottom()));
            p.setPen(QPen(c.line, 1));
            p.drawLine(q.topLeft(), q.bottomLeft());
            const QString name = said(review.movement.phases[rep.phases[i].index].name);
            const QFontMetricsF fm(p.font());
            p.setPen(c.faint);
            if (q.width() > 56)
                p.drawText(q.adjusted(3, 0, 0, 0), Qt::AlignLeft | Qt::AlignVCenter, fm.elidedText(name, Qt::ElideRight, q.width() - 4));
        }
        // Where nothing moves: a full bar where none is asked for, an empty one where a pause belongs.
        for (const auto& stop : rep.stops) {
            const QRectF bar(QPointF(map.x(stop.from_s, rect), rect.bottom() - 5), QPointF(map.x(stop.to_s, rect), rect.bottom() - 1));
            p.setPen(QPen(stop.asked ? c.faint : c.outside, 1));
            if (!stop.asked) p.fillRect(bar, c.outside);
            p.drawRect(bar);
        }
    }
    p.restore();
}

} // namespace bevel::ui
