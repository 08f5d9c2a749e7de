#include "core/stability/tipping.hpp"

#include <algorithm>
#include <cassert>
#include <cmath>

namespace yes_square {

TipBalance tip_balance(const std::vector<TipWeight>& weights, const std::optional<TipPull>& pull, double lean) {
    TipBalance balance;
    // The moment at a lean a is upright cos a - level sin a.
    Moment upright = 0;
    Moment level = 0;
    for (const TipWeight& weight : weights) {
        const Force heavy = weight_of(weight.mass);
        const Moment moment = heavy * metres(weight.back * std::cos(lean) - weight.up * std::sin(lean));
        if (moment < 0)
            balance.over -= moment;
        else if (!weight.may_go)
            balance.righting += moment;
        else
            continue;
        upright += heavy * metres(weight.back);
        level += heavy * metres(weight.up);
    }
    if (pull) {
        balance.over += pull->force * metres(std::max(0.0, pull->up * std::cos(lean) + pull->back * std::sin(lean)));
        upright -= pull->force * metres(pull->up);
        level += pull->force * metres(pull->back);
    }
    balance.goes_at = std::atan2(upright.in_newton_metres(), level.in_newton_metres());
    return balance;
}

Force restraint_force(const TipBalance& balance, double height, const TippingRules& rules) {
    return std::max<Moment>(0, rules.over_factor * balance.over - rules.righting_factor * balance.righting) /
           metres(height);
}

Force each_restraint(Force force, std::size_t number, double slope_cosine, const TippingRules& rules) {
    assert(slope_cosine > 0);
    const double share = number > 1 ? rules.pair_share : 1.0;
    return std::max(rules.restraint_least, share * force) / slope_cosine;
}

} // namespace yes_square
