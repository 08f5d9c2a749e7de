#pragma once

#include "core/job/house_rules.hpp"

#include <cstddef>
#include <optional>
#include <string_view>
#include <vector>

/// Moments about the line of the front feet. SI units: kg, m, N, N m, rad.
///
///     const TipBalance balance = tip_balance({{"body", 30, 0.22, 0.5}, {"child", 27.2, -0.38, 0.6}}, std::nullopt, 0);
///     if (balance.tips()) ...
namespace yes_square {

/// A weight where it stands on a level floor.
struct TipWeight {
    std::string_view what;
    double kg = 0;
    double back = 0;     ///< m behind the front foot line; less than 0: before it
    double up = 0;       ///< m above the floor
    bool may_go = false; ///< goods, which somebody may take out: never counted on to hold the piece down
};

/// A level pull towards the room.
struct TipPull {
    double n = 0;
    double back = 0; ///< where it takes hold, as of a weight
    double up = 0;
};

struct TipBalance {
    double over_nm = 0;     ///< what turns it over
    double righting_nm = 0; ///< what holds it back
    double goes_at = 0;     ///< rad: leaned so far forward from a level floor it goes by itself; less than 0: has gone
    double margin_nm() const { return righting_nm - over_nm; }
    bool tips() const { return over_nm >= righting_nm; }
};

/// Each weight's lever is what it stands behind the foot line once the piece leans forward by `lean`: back cos - up
/// sin. What is behind rights, what is before overturns; goods that may go count only where they overturn. Statics.
TipBalance tip_balance(const std::vector<TipWeight>& weights, const std::optional<TipPull>& pull, double lean);

/// What a restraint at a height must hold: max(0, 1.5 M_over - 0.9 M_right) / h, both factors from the rules.
/// @param height  m above the floor, more than 0
double restraint_force_n(const TipBalance& balance, double height, const TippingRules& rules);

/// What each of so many restraints must hold: the least strength of the rules, or all of the force on one, or its share
/// on each of two or more, divided by the cosine of a strap's slope.
/// @param number  1 or more   @param slope_cosine  more than 0
double each_restraint_n(double force_n, std::size_t number, double slope_cosine, const TippingRules& rules);

} // namespace yes_square
