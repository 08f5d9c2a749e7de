#pragma once

#include <vector>

/// A shelf as a continuous Euler-Bernoulli beam over its brackets, overhangs included. SI units throughout:
/// m, N, N/m, N m2; sag and loads positive downwards, reactions positive upwards, moments positive when they sag.
namespace yes_square {

/// A board of constant section on simple supports.
struct Beam {
    double length = 0;            ///< m, more than 0
    std::vector<double> supports; ///< m from the left end, rising, at least two, within the length
    double stiffness = 0;         ///< EI, N m2, more than 0
};

/// Uniform loads: one always on, one that may stand on any choice of spans and overhangs, since books move.
struct BeamLoad {
    double permanent = 0;  ///< self-weight, N/m
    double variable = 0;   ///< goods, N/m
    double accidental = 0; ///< one point load at its worst place, N; counts for reactions only
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
    double least = 0;       ///< N; negative: the shelf pulls up there
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

/// EI of a plain rectangular board on the flat. @param modulus Pa @param depth, thickness m @return N m2
double board_stiffness(double modulus, double depth, double thickness);

} // namespace yes_square
