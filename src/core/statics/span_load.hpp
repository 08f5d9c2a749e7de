#pragma once

#include "core/measure/physical.hpp"

#include <vector>

/// Loads that do not lie all along a shelf, on one span or one overhang of it. Results are bare figures in SI, since
/// only the beam reads them, times EI where they are slopes or sags. Statics: the double integral of the bending
/// moment.
namespace yes_square {

/// A load on part of a shelf: a row of heavy books, an aquarium.
struct PartLoad {
    double from = 0; ///< m from the left end
    double to = 0;   ///< m, not left of `from`
    LineLoad load = 0;
    bool operator==(const PartLoad&) const = default;
};

/// A load at one place: a loudspeaker, a hook.
struct PointLoad {
    double x = 0; ///< m from the left end
    Force load = 0;
    bool operator==(const PointLoad&) const = default;
};

/// What stands on one stretch of a beam. Places are from the stretch's left end or, where it says so, from the support
/// outwards.
struct SpanLoad {
    std::vector<PartLoad> parts;
    std::vector<PointLoad> points;

    bool empty() const { return parts.empty() && points.empty(); }
    /// What of the loads lies on a stretch, measured from its left end.
    SpanLoad on(double from, double length) const;
    /// Seen from the other end.
    SpanLoad reversed(double length) const;

    double total() const; ///< N
    /// Moment of all of it about the left end, N m.
    double about_left() const;

    // On a simple span:
    double moment(double length, double x) const; ///< N m, sagging
    double sag(double length, double x) const;    ///< times EI
    double left_slope(double length) const;       ///< times EI, positive when the span hangs down from its left end

    // On a cantilever that starts at the left end:
    double cantilever_moment(double x) const; ///< hogging, N m: what lies beyond x, about x
    double cantilever_sag(double x) const;    ///< times EI, of a rigid root
};

} // namespace yes_square
