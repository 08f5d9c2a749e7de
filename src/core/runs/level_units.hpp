#pragma once

#include "core/runs/hang_unit.hpp"

/// Making a run level and straight: legs, shims, packer strips, scribes.
namespace yes_square {

/// Feet of a unit that stands on the floor, front and back at its left and right. The height is what is between the
/// floor it stands on and its bottom; where a leg (or, standing on the floor itself, a shim) cannot make that up, the
/// rest is the packer strip under it. Units on the wall have none.
std::vector<Foot> feet_of(const StandingUnit& standing, const WallSite& site);

/// Cutting tables for fillers at the run's ends and for end panels, from the readings: a filler's side follows the wall
/// at its end as the widths between the ends tell it (the reference end is the plumb line they were read from), a
/// panel's back edge follows this wall's face. Empty where nothing was read.
std::vector<Scribe> scribes_of(const std::vector<StandingUnit>& units, const RunLayout& layout, bool at_wall_end,
                               const WallSite& site);

} // namespace yes_square
