#pragma once

#include "core/job/runs.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/piece_plan.hpp"

namespace yes_square {

/// A tall cabinet of a run as a piece that may tip, with its doors, or as many drawers or pull-outs as it is tall by
/// 300 mm, up to 1.5 m. Cabinets stand on legs, on any floor; children are taken to be about.
Piece piece_of(const CabinetUnit& unit, Mass empty_mass, Mass loaded_mass);

/// What is in a drawer: as entered, else 136 kg/m3 of its inside, taken as the piece's width and depth.
Mass drawer_load(const Drawer& drawer, const Piece& piece, const TippingRules& rules);

/// How far it leans forward as it stands, rad: a sloping floor, and on carpet or an unknown floor its back raised by
/// 11 mm (after ASTM F2057-23, from memory).
double lean_of(const Piece& piece, const TippingRules& rules);

/// Every case of a piece, in the order they are told: closed; closed and pulled by an adult, 200 N; the worst one open;
/// everything open; that and pulled by a child, 44.5 N; that with 27.2 kg on the front edge of the open drawer or door
/// corner of greatest reach, of equal ones the highest at or below 1.42 m, and on its own front edge where nothing
/// opens. Pulls take hold of its top, or of 1.42 m. Drawers are loaded once they are open. Where a lock lets one open
/// only, the worst one stands for all.
/// After ASTM F2057-23 (from memory); the adult's pull is a house rule.
/// @param restraint_height  m above the floor: what each case asks of a restraint there
std::vector<TipCase> tip_cases(const Piece& piece, const TippingRules& rules, double restraint_height);

} // namespace yes_square
