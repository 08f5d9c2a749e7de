#pragma once

#include "core/plan/plan.hpp"

/// What a fitter begins with, before anything is changed: sizes of common practice, sensible for the wall.
namespace yes_square {

/// A wardrobe along a wall, from its left end and no wider than the wall: double hanging, shelves, long hanging.
/// Its bays have ids of their own.
StorageSystem new_system(const Job& job, const Wall& wall);
/// The same from one end of the wall to the other, at its least width, as far as what stands in its corners lets it.
StorageSystem filling(StorageSystem system, const Wall& wall, const WallSurvey& survey);

/// Another bay like the common one of its kind.
Bay new_bay(const Job& job, BayKind kind);

} // namespace yes_square
