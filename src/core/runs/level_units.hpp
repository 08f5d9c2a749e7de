#pragma once

#include "core/runs/run_site.hpp"

/// Making a run level and straight: legs, shims, packer strips, scribes.
namespace yes_square {

/// Feet of a unit that stands on the floor, front and back at its left and right. The height is what is between the
/// floor it stands on and its bottom; where a leg (or, standing on the floor itself, a shim) cannot make that up, the
/// rest is the packer strip under it. Units on the wall have none.
std::vector<Foot> feet_of(const StandingUnit& standing, const WallSite& site);

/// Cutting tables for fillers at the run's ends and for end panels, from the readings. A filler's side follows the wall
/// at its end as that wall's own strings tell it; at the right, where there are none, as the widths between the ends do
/// (the reference end is the plumb line they were read from). A panel's back edge follows this wall's face. None where
/// nothing was read.
std::vector<Scribe> scribes_of(const Run& run, const std::vector<StandingUnit>& units, const RunSite& site);

} // namespace yes_square
