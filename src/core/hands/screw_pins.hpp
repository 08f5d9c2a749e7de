#pragma once

#include "core/job/runs.hpp"
#include "core/plan/run_plan.hpp"

#include <optional>

/// Screws of cabinets and of their rails, which a fitter pulls to their places.
namespace yes_square {

/// A screw of a unit or of a run's rail, as it is pinned by a PinScrew edit.
struct PinnableScrew {
    std::string id;            ///< of the unit, or of the run
    Length from;               ///< what its place is measured from: the unit's left side, the run's left end
    Length at;                 ///< its place, from there
    Length most;               ///< the last place, from there
    std::optional<Length> pin; ///< it stands where it does because of this
    std::vector<Length> pins;  ///< all of the unit, or of the rail
};

/// @param item  id of the unit, or of the run for its rail
/// @param x     of the screw, from the wall's left end
/// None: there is no such unit, or no rail.
std::optional<PinnableScrew> pinnable_screw(const Run& run, const RunPlan& plan, const std::string& item, Length x);

} // namespace yes_square
