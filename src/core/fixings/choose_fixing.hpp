#pragma once

#include "core/fixings/allowable.hpp"
#include "core/fixings/stud_edge.hpp"
#include "core/fixings/weigh_fixing.hpp"

/// What a thing is fixed with, of what is at hand.
namespace yes_square {

/// What a chosen fixing is called; its id where the catalogue has it no more.
std::string name_of(const ChosenFixing& chosen, const Catalogue& catalogue);

/// Whether it is for walls like this one at all: a screw for studs, an anchor for its kind of masonry.
bool goes_into(const ChosenFixing& fixing, const Wall& wall, const Catalogue& catalogue);

/// The largest gauge of wood screws of a school in the catalogue whose shank passes a hole; none where none does.
const WoodScrew* screw_for(const Catalogue& catalogue, TimberSchool school, Length hole);

/// What the fitter chose, whatever it bears and however hard it is to set, or else what the program takes, of screws
/// those of the job's own school: through a metal part the largest gauge of wood screw that passes its hole and keeps
/// off the stud's edge, or where that does not bear the demands a coach screw that passes it; else the smallest gauge
/// that bears them. Of anchors within the skill at hand the easiest to set that bears them. Where none does, the one
/// that comes nearest. None: nothing suits the hole and the wall, or it is lining alone.
std::optional<FixingChoice> choose_fixing(const FixingGround& ground, Substrate substrate, const DrivenThrough& through,
                                          const std::vector<HoleDemand>& demands);
/// One fixing for parts of unlike thickness or packing, judged at each.
std::optional<FixingChoice> choose_fixing(const FixingGround& ground, Substrate substrate,
                                          const std::vector<HeldPart>& parts);

/// A screw as it came with a packet, or as it was found, in a timber stud: whatever reaches the wood, however little.
/// None: it does not reach it, comes out behind it, or there is no wood.
std::optional<FixingChoice> weigh_given(ScrewGauge gauge, Length length, const FixingGround& ground,
                                        const DrivenThrough& through, const std::vector<HoleDemand>& demands);
std::optional<FixingChoice> weigh_given(ScrewGauge gauge, Length length, const FixingGround& ground,
                                        const std::vector<HeldPart>& parts);

/// Largest stock length for a screw up into the shelf: at most board + bracket - margin. None: the board is too thin.
std::optional<Length> shelf_screw_length(const Catalogue& catalogue, const HouseRules& rules, Length board,
                                         Length bracket);

} // namespace yes_square
