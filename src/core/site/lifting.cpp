#include "core/site/lifting.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Of what one lifts close at knuckle height, or above the shoulder.
struct Band {
    double close;
    double far;
};

} // namespace

Lift lift_of(Mass mass, Length to, Length work_up, bool at_arms_length, const RunRules& rules) {
    Lift lift{mass, to, std::max(to, work_up), at_arms_length, 0, 0, Lift::From::floor};
    const bool above_shoulder = to > rules.shoulder;
    // From a step one lifts at another height: taken as if from the floor, which is the worse.
    const Band band = above_shoulder     ? Band{1, 3.0 / 7}           // 7 and 3 kg; 10 and 5
                      : to > rules.elbow ? Band{20.0 / 25, 10.0 / 25} // 13 and 7 of 16; 20 and 10 of 25
                                         : Band{1, 15.0 / 25};        // 16 and 10; 25 and 15
    const Mass most = above_shoulder ? rules.lift_alone : rules.lift_floor_alone;
    lift.alone = most * (at_arms_length ? band.far : band.close);
    lift.by_two = lift.alone * (2 * 2.0 / 3);
    lift.from = lift.work_up > rules.tower_from ? Lift::From::tower
                : lift.work_up > rules.reach_up ? Lift::From::step
                                                : Lift::From::floor;
    return lift;
}

} // namespace yes_square
