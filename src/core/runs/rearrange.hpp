#pragma once

#include "core/job/runs.hpp"

/// A run changed as a whole: one unit put in another's place, all of it turned round.
namespace yes_square {

/// A unit that takes the place of another: it has its id, its name at the wall and its line, and what was pinned or cut
/// in that and has room in this. Its code, sizes, rails and doors are its own.
CabinetUnit in_place_of(const CabinetUnit& before, CabinetUnit unit);

/// The same run as in a mirror: the last unit first, hinges and what is cut in sides on the other side, cut-outs and
/// pins from the other end, what is left over at the other end. What it lies between stays where it is; the room kept
/// free at the wall's ends and openings goes to the other side.
/// @param length  of the run as it is laid out now: what its cut-outs and pins are measured along
Run mirrored(Run run, Length length);

} // namespace yes_square
