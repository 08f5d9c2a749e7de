#pragma once

#include "core/job/job.hpp"

#include <string_view>
#include <vector>

namespace yes_square {

/// A part of the wall where a hidden cable or pipe is likely.
struct Strip {
    Length left;
    Length right;
    Length bottom;
    Length top;
    std::string_view what; ///< "a cable to the socket", "a pipe", "a cable along the ceiling"
    bool operator==(const Strip&) const = default;
};

/// Strips from each socket and switch: as wide as the accessory, the wall's full height and both ways along it; beside
/// wall corners and along the ceiling. A pipe point has its vertical strip. After BS 7671 522.6 (from memory); where no
/// zones are prescribed, the same strips are the usual caution. Local code decides.
std::vector<Strip> service_strips(const Wall& wall, const HouseRules& rules);

} // namespace yes_square
