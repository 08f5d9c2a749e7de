#pragma once

#include "core/fixings/choose_fixing.hpp"

namespace yes_square {

/// The sum behind a fixing's use, for the demand that uses it most: pull over pull, shear over shear, or both together
/// as they are reckoned in this ground. Its terms are those of that case, capacities for its duration.
Working used_working(std::string subject, Sentence title, const FixingStrength& strength, Substrate substrate,
                     const std::vector<HoleDemand>& demands, const Source& source);

} // namespace yes_square
