#pragma once

#include "core/fixings/weigh_fixing.hpp"

/// What holds in a lining alone, by its packet: light things, never what may tip or fall on somebody.
namespace yes_square {

/// What of a packet's figures may be used in this wall's lining. None: it does not say both pull and shear, or rates
/// the anchor for another lining or thickness.
std::optional<FixingStrength> by_packet(const LiningAnchor& anchor, const Wall& wall);

/// Of the anchors that their packets rate for this lining and whose screw passes the part's hole, the one that is used
/// least: T / Ta + V / Va in every load case, however long it lasts. None: no packet says anything of this lining.
std::optional<FixingChoice> choose_lining_anchor(const FixingGround& ground, const DrivenThrough& through,
                                                 const std::vector<HoleDemand>& demands);
/// One for parts that are alike, whatever is asked of each.
std::optional<FixingChoice> choose_lining_anchor(const FixingGround& ground, const std::vector<HeldPart>& parts);

} // namespace yes_square
