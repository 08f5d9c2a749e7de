#include "core/stability/tipping.hpp"

#include "core/measure/conversions.hpp"

#include <algorithm>
#include <cassert>
#include <cmath>

namespace yes_square {

TipBalance tip_balance(const std::vector<TipWeight>& weights, const std::optional<TipPull>& pull, double lean) {
    TipBalance balance;
    // The moment at a lean a is upright_nm cos a - level_nm sin a.
    double upright_nm = 0;
    double level_nm = 0;
    for (const TipWeight& weight : weights) {
        const double n = weight.kg * standard_gravity;
        const double moment = n * (weight.back * std::cos(lean) - weight.up * std::sin(lean));
        if (moment < 0)
            balance.over_nm -= moment;
        else if (!weight.may_go)
            balance.righting_nm += moment;
        else
            continue;
        upright_nm += n * weight.back;
        level_nm += n * weight.up;
    }
    if (pull) {
        balance.over_nm += pull->n * std::max(0.0, pull->up * std::cos(lean) + pull->back * std::sin(lean));
        upright_nm -= pull->n * pull->up;
        level_nm += pull->n * pull->back;
    }
    balance.goes_at = std::atan2(upright_nm, level_nm);
    return balance;
}

double restraint_force_n(const TipBalance& balance, double height, const TippingRules& rules) {
    return std::max(0.0, rules.over_factor * balance.over_nm - rules.righting_factor * balance.righting_nm) / height;
}

double each_restraint_n(double force_n, std::size_t number, double slope_cosine, const TippingRules& rules) {
    assert(slope_cosine > 0);
    const double share = number > 1 ? rules.pair_share : 1.0;
    return std::max(rules.restraint_least_n, share * force_n) / slope_cosine;
}

} // namespace yes_square
