#pragma once

#include "core/fixings/rank_fixings.hpp"
#include "core/plan/plan.hpp"

namespace yes_square {

/// What a thing could be fixed with: each screw, or each anchor for its wall's kind of masonry, tried on it whole;
/// those that will do first, of the job's own school before the other, least used first, then those that will not, with
/// why. Of a shelf, what speaks for and against each where it is loaded most, and what no such wall takes, last.
/// Reckons the thing's room once for each: for the thing in hand, not for all. Empty: there is no such thing, its kind
/// is fixed with none of them, it comes with its own, or its wall takes none.
/// @param where  of its holes, the others fixed as they are
std::vector<FixingOption> fixing_options(const Job& job, const Plan& plan, const std::string& thing,
                                         const FixingSpot& where = {});

} // namespace yes_square
