#pragma once

#include "core/plan/box_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode hung_unsound{"hung_unsound", Severity::error};
} // namespace checks

/// Whether what was found holds a cabinet that hangs already, and what to add.
///
/// Only screws through a rail, or a back thicker than 1/4 in, into proved studs count, and only of a known gauge and
/// length: lining screws snap. Their load is shared as in a cabinet hung afresh. At least two in the top rail and,
/// where there is one, two in the bottom rail are wanted (common practice). What to add makes it as it would be hung
/// afresh, with its screws.
HungPlan audit_cabinet(const HungCabinet& hung, const WallSite& site);

} // namespace yes_square
