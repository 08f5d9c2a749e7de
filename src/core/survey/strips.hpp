#pragma once

#include "core/job/job.hpp"

#include <string_view>
#include <vector>

namespace yes_square {

/// A part of the wall where a hidden cable or pipe is likely, or was found.
struct Strip {
    Length left;
    Length right;
    Length bottom;
    Length top;
    std::string_view what; ///< "a cable to the socket", "a pipe", "a cable along the ceiling"
    /// Inferred from what shows, found by a detector, or kept free by the fitter's own word.
    enum class Basis { inferred, detected, own } basis = Basis::inferred;
    /// Whether any of a hole's circle lies in it.
    bool meets(Length x, Length z, Length radius) const {
        return x + radius > left && x - radius < right && z + radius > bottom && z - radius < top;
    }
    bool operator==(const Strip&) const = default;
};

/// The strips that any of a hole's circle lies in, by their numbers, those found by a detector before the likely ones.
std::vector<std::size_t> strips_at(const std::vector<Strip>& strips, Length x, Length z, Length radius);

/// Strips from each socket, switch and fixed appliance: as wide as the accessory, the wall's full height and both ways
/// along it; beside wall corners and along the ceiling; the same from accessories on the far side of a thin wall, or of
/// one whose thickness nobody gave. A pipe point, the ends of a radiator and a boiler have their vertical strips. After
/// BS 7671 522.6 (from memory); where no zones are prescribed, the same strips are the usual caution. Local code
/// decides.
///
/// What a detector said edits them: where it read clear no strip is inferred; a cable or pipe it found stands with a
/// margin all round, and nothing clears it; what the fitter wants kept free stands as drawn.
std::vector<Strip> service_strips(const Wall& wall, const HouseRules& rules);

} // namespace yes_square
