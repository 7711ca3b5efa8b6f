// Filters, interpolation and shape of one-dimensional signals. Absent samples are NaN here and only here: a series in the measures
// carries its own validity.
#pragma once
#include <cstddef>
#include <span>
#include <utility>
#include <vector>

namespace bevel::signal {

using Series = std::vector<double>;

/// 2nd-order Butterworth run forward and backward, -3 dB at `cutoff_hz` over both runs. Uniform samples at `rate_hz`. Ends are
/// extended by odd reflection. A cutoff at or above 0.45 of the rate returns the input.
Series butterworth_zero_phase(std::span<const double> x, double rate_hz, double cutoff_hz);

/// Smoothing in place of two series on the same increasing times that trusts each sample by its weight (>= 0; 0 = absent): minimises
/// sum w (x-y)^2 + k sum (third divided difference of y)^2, with k set from the local spacing so that at weight 1 the -3 dB point is
/// `cutoff_hz` (Whittaker 1923; Eilers 2003). Zero phase; bridges absent samples; samples too far apart for the cutoff stay as they are.
void smooth_weighted(std::span<const double> t, std::span<const double> w, double cutoff_hz, std::span<double> x, std::span<double> y);

/// Slopes for monotone cubic interpolation (Fritsch and Butland 1984); knots strictly increasing, at least one.
Series monotone_slopes(std::span<const double> t, std::span<const double> y);

/// Quintic Hermite through value and slope with zero second derivative at both ends, u in [0,1], span length h.
double quintic(double y0, double m0, double y1, double m1, double h, double u);

/// Values at `at` by linear interpolation in increasing `t`; outside, the end value. NaN neighbours give NaN.
Series resample(std::span<const double> t, std::span<const double> y, std::span<const double> at);

/// Uniform grid from the first to the last time at the given rate, the last sample included as far as it fits.
Series uniform_grid(std::span<const double> t, double rate_hz);

/// Median sample rate of a time table; 0 with fewer than two samples.
double median_rate(std::span<const double> t);

/// Fills runs of NaN no longer than `max_gap_s` by a cubic through their neighbours (linear at ends that lack them); longer runs stay.
Series fill_gaps(std::span<const double> t, std::span<const double> y, double max_gap_s);

/// Central difference derivative on arbitrary increasing times.
Series derivative(std::span<const double> t, std::span<const double> y);

/// Low-pass of a possibly gappy series on its own times: each unbroken stretch is resampled to a uniform grid, filtered, and read back.
Series low_pass(std::span<const double> t, std::span<const double> y, double cutoff_hz);

/// Value at quantile q in [0,1] of the finite samples; NaN when there are none.
double quantile(std::span<const double> y, double q);
inline double median(std::span<const double> y) {
    return quantile(y, 0.5);
}

/// Half-open index ranges of unbroken finite samples.
std::vector<std::pair<std::size_t, std::size_t>> finite_runs(std::span<const double> y);

/// Indices of local maxima whose prominence is at least `prominence`.
std::vector<std::size_t> prominent_peaks(std::span<const double> y, double prominence);

/// Time in [t[i], t[i+1]] at which y crosses `level`, linear between the samples.
double crossing(std::span<const double> t, std::span<const double> y, std::size_t i, double level);

} // namespace bevel::signal
