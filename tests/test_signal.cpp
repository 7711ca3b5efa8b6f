#include "core/rng.h"
#include "core/signal/signal.h"
#include <cmath>
#include <numbers>
#include <QTest>

using namespace bevel;
using signal::Series;

class TestSignal : public QObject {
    Q_OBJECT

    static Series sine(double hz, double rate, std::size_t n) {
        Series y;
        for (std::size_t i = 0; i < n; ++i) y.push_back(std::sin(2 * std::numbers::pi * hz * static_cast<double>(i) / rate));
        return y;
    }
    static double amplitude(const Series& y) { // over the middle half
        double sum = 0;
        for (std::size_t i = y.size() / 4; i < 3 * y.size() / 4; ++i) sum += y[i] * y[i];
        return std::sqrt(2 * sum / (static_cast<double>(y.size()) / 2));
    }

private slots:
    void butterworth_is_3_db_down_at_its_cutoff_over_both_runs() {
        for (const double cutoff : {2.0, 6.0})
            QVERIFY(std::abs(amplitude(signal::butterworth_zero_phase(sine(cutoff, 60, 2400), 60, cutoff)) - 0.7071) < 0.004);
        QVERIFY(amplitude(signal::butterworth_zero_phase(sine(20, 60, 2400), 60, 6)) < 0.02);
        QVERIFY(std::abs(amplitude(signal::butterworth_zero_phase(sine(0.5, 60, 2400), 60, 6)) - 1) < 0.002);
    }
    void butterworth_does_not_shift_in_time_and_keeps_lines() {
        Series line;
        for (int i = 0; i < 100; ++i) line.push_back(3 + 0.2 * i);
        const Series out = signal::butterworth_zero_phase(line, 30, 6);
        for (std::size_t i = 0; i < line.size(); ++i) QVERIFY(std::abs(out[i] - line[i]) < 1e-6);
        const Series s = sine(1, 60, 600), f = signal::butterworth_zero_phase(s, 60, 6);
        const auto peak = [](const Series& y) { return std::max_element(y.begin() + 100, y.begin() + 160) - y.begin(); };
        QVERIFY(std::abs(peak(f) - peak(s)) <= 1);
    }
    void weighted_smoothing_has_its_cutoff_and_bridges_absent_samples() {
        const Series s = sine(6, 60, 1200), w(1200, 1.0);
        auto smoothed = [](Series x, const Series& weight, double rate, double cutoff) {
            Series t, y = x;
            for (std::size_t i = 0; i < x.size(); ++i) t.push_back(static_cast<double>(i) / rate);
            signal::smooth_weighted(t, weight, cutoff, x, y);
            return x;
        };
        QVERIFY(std::abs(amplitude(smoothed(s, w, 60, 6)) - 0.7071) < 0.01);
        Series slow = sine(0.3, 30, 300), ww(300, 1.0);
        const Series truth = slow;
        for (std::size_t i = 100; i < 106; ++i) slow[i] = 99, ww[i] = 0;
        const Series out = smoothed(slow, ww, 30, 6);
        for (std::size_t i = 95; i < 110; ++i) QVERIFY(std::abs(out[i] - truth[i]) < 0.01);
    }
    void weighted_smoothing_follows_the_times_of_its_samples() {
        // A parabola is kept whatever the spacing; a slow sine too, with a third of the samples missing.
        Rng rng(3);
        Series t, x, y, w, truth;
        for (int i = 0; i < 300; ++i) {
            if (rng.uniform() < 0.33) continue;
            const double at = i / 30.0;
            t.push_back(at);
            x.push_back(2 + 3 * at - 0.4 * at * at);
            y.push_back(std::sin(2 * 3.14159265358979 * 0.5 * at));
            w.push_back(1);
        }
        const Series parabola = x, sine_in = y;
        signal::smooth_weighted(t, w, 4, x, y);
        for (std::size_t i = 0; i < t.size(); ++i) QVERIFY(std::abs(x[i] - parabola[i]) < 1e-6);
        for (std::size_t i = 5; i + 5 < t.size(); ++i) QVERIFY(std::abs(y[i] - sine_in[i]) < 0.01);
    }
    void quintic_passes_through_values_and_slopes() {
        QCOMPARE(signal::quintic(1, 2, 5, -1, 0.5, 0), 1.0);
        QCOMPARE(signal::quintic(1, 2, 5, -1, 0.5, 1), 5.0);
        const double e = 1e-6;
        QVERIFY(std::abs((signal::quintic(1, 2, 5, -1, 0.5, e) - 1) / (e * 0.5) - 2) < 1e-3);
        QVERIFY(std::abs((5 - signal::quintic(1, 2, 5, -1, 0.5, 1 - e)) / (e * 0.5) + 1) < 1e-3);
    }
    void monotone_slopes_stop_at_turning_points() {
        const Series t{0, 1, 2, 3}, y{0, 1, 1, 4};
        const Series m = signal::monotone_slopes(t, y);
        QCOMPARE(m[1], 0.0);
        QCOMPARE(m[2], 0.0);
    }
    void short_gaps_are_filled_and_long_ones_stay() {
        Series t, y;
        for (int i = 0; i < 60; ++i) {
            t.push_back(i / 30.0);
            y.push_back(std::pow(i / 30.0, 2));
        }
        Series gappy = y;
        for (std::size_t i = 10; i < 15; ++i) gappy[i] = NAN;
        for (std::size_t i = 30; i < 45; ++i) gappy[i] = NAN;
        const Series out = signal::fill_gaps(t, gappy, 0.25);
        for (std::size_t i = 10; i < 15; ++i) QVERIFY(std::abs(out[i] - y[i]) < 0.01);
        QVERIFY(std::isnan(out[37]));
    }
    void median_and_quantile_pass_over_absent_samples() {
        const Series y{3, NAN, 1, 2};
        QCOMPARE(signal::median(y), 2.0);
        QVERIFY(std::isnan(signal::median(Series{NAN})));
        QCOMPARE(signal::quantile(y, 0), 1.0);
        QCOMPARE(signal::quantile(y, 1), 3.0);
    }
    void peaks_count_once_on_plateaus() {
        const Series y{0, 1, 1, 0, 0.2, 0, 2, 0};
        QCOMPARE(signal::prominent_peaks(y, 0.5), (std::vector<std::size_t>{1, 6}));
    }
};
QTEST_GUILESS_MAIN(TestSignal)
#include "test_signal.moc"
