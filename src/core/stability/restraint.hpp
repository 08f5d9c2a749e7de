#pragma once

#include "core/measure/physical.hpp"
#include "core/plan/piece_plan.hpp"
#include "core/site/wall_site.hpp"

/// What holds a piece to its wall.
namespace yes_square {

/// Where on the piece a restraint takes hold, above the floor.
Length restraint_height(const Piece& piece);

/// And where its fixings go into the wall, above the floor.
Length fixing_height(const Piece& piece, const TippingRules& rules);

/// How far the piece's back stands off the wall: as entered, else as thick as the skirting.
Length gap_behind(const Piece& piece, const Wall& wall);

/// A strap pulls at a slope: the cosine of it; 1 of anything else.
double slope_cosine(const Restraint& restraint);

/// Whether steel of a maker's bears the load, whose figure is asked for.
bool has_hardware(RestraintKind kind);

/// The places, screws and what they bear, put into the plan: as many places as are wanted, in proved studs or masonry
/// alone, farthest apart, none where a hidden service is likely. Nothing is chosen where the restraint is refused:
/// anchors in the lining, a back of 1/4 in or less.
/// @param plan  with its cases reckoned
void hold_piece(const Piece& piece, const WallSite& site, PiecePlan& plan);

/// What one #8 screw through the piece's frame holds in a cleat, N: its thread in the cleat's thickness, the point
/// taken off (NDS-2018 12.2, from memory).
Force hold_in_cleat(const Restraint& restraint);

/// Why a restraint is refused whatever it bears; nothing: it is not.
std::optional<Sentence> refusal(const Piece& piece, const HouseRules& rules);

} // namespace yes_square
