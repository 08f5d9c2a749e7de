#pragma once

#include "core/statics/span_load.hpp"

#include <cstddef>
#include <vector>

/// A shelf as a continuous Euler-Bernoulli beam over its brackets, overhangs included. SI units throughout:
/// m, N, N/m, N m2; sag and loads positive downwards, reactions positive upwards, moments positive when they sag.
namespace yes_square {

/// A board of constant section on simple supports.
struct Beam {
    double length = 0;            ///< m, more than 0
    std::vector<double> supports; ///< m from the left end, rising, at least two, within the length
    double stiffness = 0;         ///< EI, N m2, more than 0
    /// Supports (by number) over which one board ends and the next begins: no moment passes there. Each board rests on
    /// two supports at least.
    std::vector<std::size_t> joints = {};
};

/// One load always on, and goods that may stand on any choice of spans and overhangs, since books move.
struct BeamLoad {
    double permanent = 0;  ///< self-weight, N/m
    double variable = 0;   ///< goods all along, N/m
    double accidental = 0; ///< one point load at its worst place along the beam, N; counts for reactions only
    SpanLoad goods = {};   ///< further goods on parts of the beam, or at a point
};

/// The sag of one stretch between supports, or of one overhang at its free end.
struct SpanSag {
    double length = 0; ///< m; of an overhang its own length, not doubled
    bool overhang = false;
    double place = 0;         ///< m from the left end, where the long-term sag is worst
    double instantaneous = 0; ///< m, at that place
    double long_term = 0;     ///< m
};

struct Reaction {
    double greatest = 0;    ///< N, worst choice of loaded spans, accidental load included
    double sustained = 0;   ///< N, the same without the accidental load
    double least = 0;       ///< N, accidental load included; negative: the shelf pulls up there
    double all_loaded = 0;  ///< N, everything loaded, no accidental load
    double self_weight = 0; ///< N, empty shelf
};

struct BeamResult {
    std::vector<Reaction> reactions; ///< one a support
    std::vector<SpanSag> sags;       ///< left overhang if any, spans, right overhang if any
    double greatest_moment = 0;      ///< N m, the larger of sagging and hogging, at supports and mid-spans
};

/// Creep: long-term sag = u_G (1 + kdef) + u_Q (1 + kdef), goods being stored for good (psi = 1, EN 1995-1-1 2.2.3).
///
/// Every on/off pattern of the variable load by span is covered: responses are linear, so the worst pattern for a
/// figure is the sum of the spans that worsen it. Throws std::invalid_argument for a beam outside its ranges.
BeamResult analyse(const Beam& beam, const BeamLoad& load, double kdef);

/// The beam at one place, under the pattern that is worst for each figure.
struct BeamPlace {
    double x = 0;               ///< m from the left end
    double load = 0;            ///< N/m, everything loaded
    double sag = 0;             ///< m, long-term
    double greatest_moment = 0; ///< N m, sagging positive
    double least_moment = 0;    ///< N m, hogging negative
};

/// What the diagrams of load, bending and sag are drawn from: every stretch in `steps` equal parts, both its ends
/// included. Ranges as analyse().
std::vector<BeamPlace> diagram(const Beam& beam, const BeamLoad& load, double kdef, int steps = 12);

/// A part of a section: its place is the height of its middle over any common level. SI units.
struct SectionPart {
    double modulus = 0; ///< Pa
    double breadth = 0; ///< m, on the flat
    double height = 0;  ///< m
    double middle = 0;  ///< m
};

/// EI of parts glued to one section, bent about its level axis: sum of E I + E A d2 about the centroid that E A weighs.
/// N m2. Statics of composite beams.
double section_stiffness(const std::vector<SectionPart>& parts);

/// EI of a round bar or tube. @param modulus Pa @param outside, inside diameters, m; inside 0: solid @return N m2
double round_stiffness(double modulus, double outside, double inside = 0);

/// EI of a plain rectangular board on the flat. @param modulus Pa @param depth, thickness m @return N m2
double board_stiffness(double modulus, double depth, double thickness);

} // namespace yes_square
