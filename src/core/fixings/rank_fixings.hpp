#pragma once

#include "core/fixings/weigh_fixing.hpp"

/// What is at hand, weighed for a place, with what speaks for and against each.
namespace yes_square {

/// One fixing at hand, weighed for a place, with what speaks for and against it.
struct FixingOption {
    ChosenFixing as;               ///< what the fitter chooses with it; nothing: it never carries
    FixingChoice choice;           ///< meaningless where nothing of it fits
    std::vector<Sentence> why;     ///< what it is good for, best first
    std::vector<Sentence> refused; ///< why it will not do; empty: it will
};

/// All fixings at hand for a place, those that will do first, the easiest to set well before harder ones, screws of the
/// job's own school before those of the other; of wood screws the smallest gauge first, or through a metal part the
/// largest that passes its hole; of anchors the one loaded least. `hold` says what the point is in; nothing in the
/// lining alone is ever a carrier. Wood screws reach the wanted penetration and never through the stud; of each gauge
/// the shortest stock length that bears the demands, else the one that bears most. Anchors: T/Ta + V/Va, embedded in
/// the masonry only, the hole 6 mm deeper. Behind a lining that is not plaster or tile on the masonry itself, and
/// behind packing, an anchor's screw bends: its shear is cut down. What is fixed bears around the screw and under its
/// head as in studs.
std::vector<FixingOption> rank_fixings(const FixingGround& ground, Substrate substrate, const DrivenThrough& through,
                                       const std::vector<HoleDemand>& demands);

} // namespace yes_square
