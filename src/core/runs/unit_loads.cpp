#include "core/runs/unit_loads.hpp"

#include "core/fixings/wood_screw.hpp"
#include "core/measure/conversions.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr double board_kg_per_m3 = 700;
constexpr double board_m = 0.018;
constexpr double least_pivot_m = 0.005;

} // namespace

double empty_mass_kg(const CabinetUnit& unit) {
    if (unit.mass_kg > 0)
        return unit.mass_kg;
    const double w = unit.width.in_metres();
    const double h = unit.height.in_metres();
    const double d = unit.depth.in_metres();
    const double front = unit.hinge == DoorHinge::none ? 0 : w * h;
    const double back = w * h * unit.back.in_metres() / board_m;
    return (2 * h * d + 3 * w * d + front + back) * board_m * board_kg_per_m3; // sides; top, bottom, a shelf
}

double loaded_mass_kg(const CabinetUnit& unit, const RunRules& rules) {
    if (unit.loaded_kg)
        return std::max(*unit.loaded_kg, empty_mass_kg(unit));
    const double shelves = std::max(1.0, std::floor(unit.height.in_metres() / rules.shelf_every.in_metres()));
    return empty_mass_kg(unit) + shelves * unit.width.in_metres() * unit.depth.in_metres() * rules.contents_kg_per_m2;
}

double lift_mass_kg(const CabinetUnit& unit) {
    return std::max(0.0, empty_mass_kg(unit) - unit.doors_kg);
}

ScrewPattern screw_grid(const std::vector<double>& columns, const std::vector<double>& rows) {
    ScrewPattern pattern;
    for (const double row : rows)
        for (const double column : columns)
            pattern.holes.push_back({column, row});
    return pattern;
}

HoleForce UnitForces::worst() const {
    HoleForce worst;
    for (const UnitCase& one : cases)
        for (const HoleForce& force : one.holes) {
            worst.tension_n = std::max(worst.tension_n, force.tension_n);
            worst.down_n = std::max(worst.down_n, force.shear_n());
        }
    return worst;
}

UnitForces unit_forces(const CabinetUnit& unit, double empty_kg, double loaded_kg, const ScrewPattern& pattern,
                       double pressure) {
    UnitForces forces;
    if (pattern.holes.empty()) {
        forces.refused = true;
        return forces;
    }
    const double width = unit.width.in_metres();
    const double depth = unit.depth.in_metres();
    const double contents = std::max(0.0, loaded_kg - empty_kg);
    const double doors = std::min(unit.doors_kg, empty_kg);
    const double door_width = unit.hinge == DoorHinge::both ? width / 2 : width;
    // Open doors hang out beside their hinge; drawers, open, come out as far as they are deep.
    const double hinge_at = unit.hinge == DoorHinge::left ? 0 : (unit.hinge == DoorHinge::right ? width : width / 2);
    const double swing = unit.hinge == DoorHinge::drawers ? depth / 2 : door_width / 2;
    const double lowest = std::ranges::min(pattern.holes, {}, &HolePlace::z).z;
    struct Contents {
        std::string_view when;
        double side;
        double share;
    };
    for (const auto& [when, side, part] :
         {Contents{"goods all over", 0.5, 1.0}, Contents{"goods on the left half", 0.25, 0.5},
          Contents{"goods on the right half", 0.75, 0.5}}) {
        const double goods = contents * part;
        const double kg = empty_kg + goods;
        if (kg <= 0)
            continue;
        const double moment_x = (empty_kg - doors) * width / 2 + doors * hinge_at + goods * side * width;
        const double moment_y = (empty_kg - doors + goods) * depth / 2 + doors * (depth + swing);
        const GroupLoad load{kg * standard_gravity, moment_x / kg, moment_y * standard_gravity};
        const auto pull_over = [&](double pivot) {
            double sum = 0;
            for (const HoleForce& force : hole_group_forces(pattern.holes, load, pivot, ShearBy::levers))
                sum += force.tension_n;
            return sum;
        };
        const std::optional<double> pivot =
            pattern.packed_at_bottom ? lowest : pressed_pivot(least_pivot_m, width, pressure, pull_over);
        std::vector<HoleForce> holes =
            pivot ? hole_group_forces(pattern.holes, load, *pivot, ShearBy::levers) : std::vector<HoleForce>{};
        if (holes.empty()) {
            forces.refused = true;
            return forces;
        }
        forces.cases.push_back(
            {{when, load.down_n, load.at_x, load.moment_nm, duration_stored}, *pivot, std::move(holes)});
    }
    return forces;
}

} // namespace yes_square
