#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <optional>
#include <string>
#include <vector>

namespace yes_square {

/// What a list is of: a wall, a room, or with both empty the job.
struct Scope {
    std::string wall; ///< id
    std::string room; ///< id
    bool takes(const Wall& in) const { return wall.empty() ? room.empty() || in.room == room : in.id == wall; }
};

/// A part of the job's list; its label is the thing's, or its number in the job.
struct CutPiece : CutPart {
    std::string wall; ///< id
};

/// Every part of a job to be cut, in the order of its walls: noggings first, then what each thing wants. Labels stay
/// the same whatever is asked for.
std::vector<CutPiece> cut_list(const Job& job, const Plan& plan, const Scope& scope = {});

} // namespace yes_square
