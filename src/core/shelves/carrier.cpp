#include "core/shelves/carrier.hpp"

#include "core/shelves/way.hpp"

namespace yes_square {

ArmRange arm_range(Length depth, const HouseRules& rules) {
    return {Length::nearest_to_metres(depth.in_metres() * rules.arm_least_share),
            depth - std::min(rules.arm_set_back, Length::nearest_to_metres(depth.in_metres() * rules.arm_back_share))};
}

Carrier even_carrier(const Bracket& bracket, const Shelf& shelf, const WallSite& site) {
    Carrier carrier;
    carrier.bracket = bracket;
    carrier.through = DrivenThrough::leg_of(bracket);
    carrier.most = site.rules.spacing_most;
    carrier.load_at = shelf.depth.in_metres() / 2;
    carrier.edge_at = shelf.depth.in_metres();
    return carrier;
}

std::optional<Carrier> carrier_of(const Shelf& shelf, const WallSite& site) {
    return way_of(shelf).carrier(shelf, site);
}

} // namespace yes_square
