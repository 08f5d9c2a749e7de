#include "core/fixings/stud_edge.hpp"

#include "core/fixings/en_screw.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length least_edge = 10_mm;
constexpr double edge_driven = 2.5;
constexpr double edge_piloted = 1.5;

Length at_least(double diameters, double diameter_in) {
    return std::max(least_edge, Length::nearest_to_inches(diameters * diameter_in));
}

} // namespace

const ScrewProperties& usual_screw(TimberSchool school) {
    return properties(school == TimberSchool::en ? ScrewGauge::metric_4 : ScrewGauge::number_10);
}

const ScrewProperties& thinnest_screw(TimberSchool school) {
    return properties(school == TimberSchool::en ? ScrewGauge::metric_4 : ScrewGauge::number_8);
}

Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in, const HouseRules& rules,
                         Driven driven) {
    const double by_school = rules.timber == TimberSchool::en ? en_edge : edge_driven;
    const double diameters = driven == Driven::rod ? edge_piloted : by_school;
    return framing.stud_width / 2 - at_least(diameters, screw_diameter_in) - 2 * uncertainty - rules.stud_wander;
}

Length to_edge_of(const Framing& framing, const Stud& stud, Length x, const HouseRules& rules) {
    return framing.stud_width / 2 - absolute(x - stud.centre) - 2 * stud.uncertainty - rules.stud_wander;
}

Length edge_distance(const ScrewProperties& screw, TimberSchool school) {
    const double diameters = school == TimberSchool::en ? en_edge : screw.coach ? edge_piloted : edge_driven;
    return at_least(diameters, screw.diameter_in);
}

Length middle_distance(const ScrewProperties& screw, TimberSchool school) {
    return school == TimberSchool::en ? at_least(en_middle, screw.diameter_in) : edge_distance(screw, school);
}

Length blocked_half_width(const Framing& framing, const HouseRules& rules) {
    return framing.stud_width / 2 + least_edge + rules.stud_wander;
}

bool holds_usual_screw(const Framing& framing, const Stud& stud, const HouseRules& rules) {
    return stud.state != StudState::assumed &&
           usable_half_width(framing, stud.uncertainty, usual_screw(rules.timber).diameter_in, rules) > Length{};
}

} // namespace yes_square
