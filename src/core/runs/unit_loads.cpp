#include "core/runs/unit_loads.hpp"

#include "core/fixings/wood_screw.hpp"
#include "core/measure/conversions.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr Density board = 700_kg_m3;
constexpr Length board_thickness = 18_mm;
constexpr double least_pivot_m = 0.005;

} // namespace

Mass empty_mass_of(const CabinetUnit& unit) {
    if (unit.mass > 0)
        return unit.mass;
    const double w = unit.width.in_metres();
    const double h = unit.height.in_metres();
    const double d = unit.depth.in_metres();
    const double front = unit.hinge == DoorHinge::none ? 0 : w * h;
    const double back = w * h * (distance(unit.back) / distance(board_thickness));
    const double area = 2 * h * d + 3 * w * d + front + back; // sides; top, bottom, a shelf
    return area * (board * metres(1) * metres(1) * board_thickness);
}

Mass loaded_mass_of(const CabinetUnit& unit, const RunRules& rules) {
    if (unit.loaded_mass)
        return std::max(*unit.loaded_mass, empty_mass_of(unit));
    const double shelves = std::max(1.0, std::floor(unit.height.in_metres() / rules.shelf_every.in_metres()));
    return empty_mass_of(unit) + shelves * (rules.contents_per_area * unit.width * unit.depth);
}

Mass lift_mass_of(const CabinetUnit& unit) {
    return std::max<Mass>(0, empty_mass_of(unit) - unit.doors_mass);
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
            worst.tension = std::max(worst.tension, force.tension);
            worst.down = std::max(worst.down, force.shear());
        }
    return worst;
}

UnitForces unit_forces(const CabinetUnit& unit, Mass empty_mass, Mass loaded_mass, const ScrewPattern& pattern,
                       Pressure pressure) {
    UnitForces forces;
    if (pattern.holes.empty()) {
        forces.refused = true;
        return forces;
    }
    const double width = unit.width.in_metres();
    const double depth = unit.depth.in_metres();
    const Mass contents = std::max<Mass>(0, loaded_mass - empty_mass);
    const Mass doors = std::min(unit.doors_mass, empty_mass);
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
        const Mass goods = contents * part;
        const Mass mass = empty_mass + goods;
        if (mass <= 0)
            continue;
        const auto along =
            (empty_mass - doors) * metres(width / 2) + doors * metres(hinge_at) + goods * metres(side * width);
        const auto out = (empty_mass - doors + goods) * metres(depth / 2) + doors * metres(depth + swing);
        const GroupLoad load{weight_of(mass), (along / mass).in_metres(), weight_of(out)};
        const auto pull_over = [&](double pivot) {
            Force sum = 0;
            for (const HoleForce& force : hole_group_forces(pattern.holes, load, pivot, ShearBy::levers))
                sum += force.tension;
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
        forces.cases.push_back({{when, load.down, load.at_x, load.moment, duration_stored}, *pivot, std::move(holes)});
    }
    return forces;
}

} // namespace yes_square
