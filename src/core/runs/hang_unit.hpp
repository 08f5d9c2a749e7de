#pragma once

#include "core/fixings/choose_fixing.hpp"
#include "core/runs/unit_loads.hpp"
#include "core/site/wall_site.hpp"

/// How one unit of a run is fixed to the wall.
namespace yes_square {

/// A unit where it stands, with its height from the room's lines.
struct StandingUnit {
    const CabinetUnit& unit;
    RunLevel level;
    PlacedUnit place;
    Length bottom;
    bool coach = false;   ///< coach screws are wanted: a box full of books
    Length hooks_at = {}; ///< height of its hook plates' upper screws

    Length top() const { return bottom + unit.height; }
    Outline box() const { return {place.left, place.right(), bottom, top()}; }
    bool tall() const { return unit.kind == UnitKind::tall || unit.kind == UnitKind::appliance_housing; }
    /// Its back hangs on a rail: a wall unit, or one that stands on its front feet. A tall one is screwed.
    bool on_rail() const { return is_cabinet(unit) && !tall() && unit.hanging == Hanging::suspension_rail; }
    /// Each of its hooks has a plate of its own on the wall.
    bool on_plates() const {
        return is_cabinet(unit) && level == RunLevel::wall && unit.hanging == Hanging::hook_brackets;
    }
};

/// The strips a unit's screws go through: its hanging rails as entered, or a back as thick as a rail. Empty: nobody
/// entered any, and a thinner back does not stand for them.
std::vector<HangingRail> rails_of(const CabinetUnit& unit, const RunRules& rules);

/// How a screw goes through one of its rails, under a broad head.
DrivenThrough driven_through_rail(const CabinetUnit& unit, const HangingRail& rail, const RunRules& rules);

/// What was found of a wall, to one that trusts proved studs alone: all others as if only assumed.
WallSurvey proved_only(WallSurvey survey);

/// Masses, holes in studs or masonry, loads and screws. Columns stand in every stud a screw may enter with the driver
/// inside the carcass; one stud alone, or studs where one screw does not bear the load, take two above
/// one another in each rail. Nothing is counted on in lining or assumed studs. A unit on hook plates has their screws,
/// where they come to lie, and like one on a suspension rail, which has no holes of its own, a load on each hook. One
/// that stands on its front feet as well is reckoned as if it hung.
UnitPlan hang_unit(const StandingUnit& standing, const WallSite& site);

} // namespace yes_square
