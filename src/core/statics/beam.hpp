#pragma once

#include "core/measure/physical.hpp"
#include "core/statics/span_load.hpp"

#include <cstddef>
#include <vector>

/// A shelf as a continuous Euler-Bernoulli beam over its brackets, overhangs included. Lengths in m; sag and loads
/// positive downwards, reactions positive upwards, moments positive when they sag.
namespace yes_square {

/// A board of constant section on simple supports.
struct Beam {
    double length = 0;            ///< m, more than 0
    std::vector<double> supports; ///< m from the left end, rising, at least two, within the length
    Stiffness stiffness = 0;      ///< EI, more than 0
    /// Supports (by number) over which one board ends and the next begins: no moment passes there. Each board rests on
    /// two supports at least.
    std::vector<std::size_t> joints = {};
};

/// One load always on, and goods that may stand on any choice of spans and overhangs, since books move.
struct BeamLoad {
    LineLoad permanent = 0; ///< self-weight
    LineLoad variable = 0;  ///< goods all along
    Force accidental = 0;   ///< one point load at its worst place along the beam; counts for reactions only
    SpanLoad goods = {};    ///< further goods on parts of the beam, or at a point
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
    Force greatest = 0;    ///< worst choice of loaded spans, accidental load included
    Force sustained = 0;   ///< the same without the accidental load
    Force least = 0;       ///< accidental load included; negative: the shelf pulls up there
    Force all_loaded = 0;  ///< everything loaded, no accidental load
    Force self_weight = 0; ///< empty shelf
};

struct BeamResult {
    std::vector<Reaction> reactions; ///< one a support
    std::vector<SpanSag> sags;       ///< left overhang if any, spans, right overhang if any
    Moment greatest_moment = 0;      ///< the larger of sagging and hogging, at supports and mid-spans
};

/// Creep: long-term sag = u_G (1 + kdef) + u_Q (1 + kdef), goods being stored for good (psi = 1, EN 1995-1-1 2.2.3).
///
/// Every on/off pattern of the variable load by span is covered: responses are linear, so the worst pattern for a
/// figure is the sum of the spans that worsen it. Throws std::invalid_argument for a beam outside its ranges.
BeamResult analyse(const Beam& beam, const BeamLoad& load, double kdef);

/// The beam at one place, under the pattern that is worst for each figure.
struct BeamPlace {
    double x = 0;               ///< m from the left end
    LineLoad load = 0;          ///< everything loaded
    double sag = 0;             ///< m, long-term
    Moment greatest_moment = 0; ///< sagging positive
    Moment least_moment = 0;    ///< hogging negative
};

/// What the diagrams of load, bending and sag are drawn from: every stretch in `steps` equal parts, both its ends
/// included. Ranges as analyse().
std::vector<BeamPlace> diagram(const Beam& beam, const BeamLoad& load, double kdef, int steps = 12);

/// A part of a section: its place is the height of its middle over any common level. Lengths in m.
struct SectionPart {
    Pressure modulus = 0;
    double breadth = 0; ///< m, on the flat
    double height = 0;  ///< m
    double middle = 0;  ///< m
};

/// EI of parts glued to one section, bent about its level axis: sum of E I + E A d2 about the centroid that E A weighs.
/// Statics of composite beams.
Stiffness section_stiffness(const std::vector<SectionPart>& parts);

/// EI of a round bar or tube. @param outside, inside diameters, m; inside 0: solid
Stiffness round_stiffness(Pressure modulus, double outside, double inside = 0);

/// EI of a plain rectangular board on the flat. @param depth, thickness m
Stiffness board_stiffness(Pressure modulus, double depth, double thickness);

} // namespace yes_square
