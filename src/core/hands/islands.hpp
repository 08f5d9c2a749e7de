#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// A line on the open floor before a wall, in its middle, its fronts towards that wall: as deep as base units are, with
/// room to work between. It has neither id nor name.
Wall new_island(const Wall& before, Unit unit);

/// The other side of an island, back to back with this one along all of it. It has neither id nor name.
Wall other_side_of(const Wall& island);

/// Walls and other islands' sides that an island may be set out from: those of its room, but what is set out from it,
/// and of islands those that stand before a wall themselves.
std::vector<const Wall*> bases_of(const Job& job, const Wall& island);

} // namespace yes_square
