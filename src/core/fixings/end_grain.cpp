#include "core/fixings/end_grain.hpp"

#include "core/fixings/en_screw.hpp"
#include "core/fixings/wood_screw.hpp"

namespace yes_square {

Force end_screw_bears(const EndScrew& screw, TimberSchool school) {
    const ScrewProperties& gauge = properties(screw.gauge);
    if (school == TimberSchool::en) {
        const Density wood = characteristic_density(screw.gravity);
        return en_lateral(gauge, wood, true, {screw.side, wood}, screw.in_end) * (en_stored / 3);
    }
    return lateral_strength(gauge, {screw.gravity, false, true}, {screw.side.in_inches(), wood_bearing(screw.gravity)},
                            screw.in_end.in_inches()) *
           duration_stored;
}

ScrewGauge nogging_gauge(TimberSchool school) {
    return school == TimberSchool::en ? ScrewGauge::metric_5 : ScrewGauge::number_10;
}

double people_share(TimberSchool school) {
    return school == TimberSchool::en ? en_people / en_stored : duration_people / duration_stored;
}

} // namespace yes_square
