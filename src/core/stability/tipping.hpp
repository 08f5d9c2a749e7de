#pragma once

#include "core/job/house_rules.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/tip_balance.hpp"

#include <cstddef>
#include <optional>
#include <string_view>
#include <vector>

/// Moments about the line of the front feet. SI units: kg, m, N, N m, rad.
///
///     const TipBalance balance = tip_balance({{"body", 30, 0.22, 0.5}, {"child", 27.2, -0.38, 0.6}}, std::nullopt, 0);
///     if (balance.tips()) ...
namespace yes_square {

/// Each weight's lever is what it stands behind the foot line once the piece leans forward by `lean`: back cos - up
/// sin. What is behind rights, what is before overturns; goods that may go count only where they overturn. Statics.
TipBalance tip_balance(const std::vector<TipWeight>& weights, const std::optional<TipPull>& pull, double lean);

/// What a restraint at a height must hold: max(0, 1.5 M_over - 0.9 M_right) / h, both factors from the rules.
/// @param height  m above the floor, more than 0
Force restraint_force(const TipBalance& balance, double height, const TippingRules& rules);

/// What each of so many restraints must hold: the least strength of the rules, or all of the force on one, or its share
/// on each of two or more, divided by the cosine of a strap's slope.
/// @param number  1 or more   @param slope_cosine  more than 0
Force each_restraint(Force force, std::size_t number, double slope_cosine, const TippingRules& rules);

} // namespace yes_square
