#pragma once

#include "core/plan/plan.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// Things of one wall as a job that has nothing but them, their bare wall and its room: what is copied, and a document
/// like any other when it is written. Without walls where none of the ids is a thing.
Job copies_of(const Job& job, const Plan& plan, const std::vector<std::string>& ids);

/// Hangs all things of such a job on a wall, where they were if there is room, else at the nearest place along the wall
/// that is free of things, openings and the wall's ends, else over or under it; else where they were, a little aside.
/// Each gets an id and a name that nothing in the job has.
/// @return ids of what was hung, in order
std::vector<std::string> hang_copies(Job& job, const Plan& plan, std::size_t wall, const Job& copies);

/// Puts a further unit like this one beside it in its run. Its id; empty: no run has the unit.
std::string duplicate_unit(Job& job, const std::string& unit);

} // namespace yes_square
