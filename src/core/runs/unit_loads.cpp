#include "core/runs/unit_loads.hpp"

#include "core/fixings/hole_group.hpp"
#include "core/statics/gravity.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

namespace yes_square {
namespace {

constexpr double board_kg_per_m3 = 700;
constexpr double board_m = 0.018;
constexpr double least_pivot_m = 0.005;

/// Greatest sideways push on a screw of a unit that hangs on one stud, its load beside it. Infinite where a single
/// screw would have to hold it.
double turning_shear(const ScrewPattern& pattern, double weight, double at) {
    const double beside = std::abs(at - pattern.columns.front());
    if (pattern.columns.size() > 1 || beside == 0)
        return 0;
    std::vector<double> heights;
    for (const double row : pattern.rows) {
        heights.push_back(row + (pattern.screws_in_row > 1 ? pattern.stacked_m / 2 : 0));
        if (pattern.screws_in_row > 1)
            heights.push_back(row - pattern.stacked_m / 2);
    }
    const double middle = std::accumulate(heights.begin(), heights.end(), 0.0) / static_cast<double>(heights.size());
    double squares = 0;
    double farthest = 0;
    for (const double height : heights) {
        squares += (height - middle) * (height - middle);
        farthest = std::max(farthest, std::abs(height - middle));
    }
    return squares > 0 ? weight * beside * farthest / squares : std::numeric_limits<double>::infinity();
}

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

UnitForces unit_forces(const CabinetUnit& unit, double empty_kg, double loaded_kg, const ScrewPattern& pattern) {
    UnitForces forces;
    if (pattern.columns.empty() || pattern.rows.empty()) {
        forces.refused = true;
        return forces;
    }
    const double width = unit.width.in_metres();
    const double depth = unit.depth.in_metres();
    const double contents = std::max(0.0, loaded_kg - empty_kg);
    const double doors = std::min(unit.doors_kg, empty_kg);
    const double door_width = unit.hinge == DoorHinge::both ? width / 2 : width;
    const auto screws = [&](double share) { return share / pattern.screws_in_row; };

    struct Case {
        double kg;
        double at; ///< of its centre of gravity, from the left
        double out;
    };
    // Open doors hang out beside their hinge; drawers, open, come out as far as they are deep.
    const double hinge_at = unit.hinge == DoorHinge::left ? 0 : (unit.hinge == DoorHinge::right ? width : width / 2);
    const double swing = unit.hinge == DoorHinge::drawers ? depth / 2 : door_width / 2;
    std::vector<Case> cases;
    for (const double side : {0.5, 0.25, 0.75}) {
        const double goods = side == 0.5 ? contents : contents / 2;
        const double kg = empty_kg + goods;
        if (kg <= 0)
            continue;
        const double moment_x = (empty_kg - doors) * width / 2 + doors * hinge_at + goods * side * width;
        const double moment_y = (empty_kg - doors + goods) * depth / 2 + doors * (depth + swing);
        cases.push_back({kg, moment_x / kg, moment_y / kg});
    }
    for (const Case& load : cases) {
        const double weight = load.kg * standard_gravity;
        const double share = greatest_share(pattern.columns, load.at);
        const double sideways = turning_shear(pattern, weight, load.at);
        const double shear = std::hypot(weight * screws(share) / static_cast<double>(pattern.rows.size()), sideways);
        const double moment = weight * load.out;
        double pivot = pattern.packed_at_bottom ? pattern.rows.back() : least_pivot_m;
        double squares = 0;
        for (int turn = 0; turn < 20; ++turn) {
            squares = 0;
            double sum = 0;
            for (const double row : pattern.rows) {
                const double lever = std::max(0.0, row - pivot);
                squares += lever * lever;
                sum += lever;
            }
            if (squares <= 0)
                break;
            if (pattern.packed_at_bottom)
                break;
            const double pressed_mm = moment * sum / squares / (width * 1000); // 1 N/mm2 of lining over the width
            const double next = std::max(least_pivot_m, pressed_mm / 2000);
            if (std::abs(next - pivot) < 1e-6)
                break;
            pivot = next;
        }
        if (squares <= 0) {
            forces.refused = true;
            return forces;
        }
        const double tension = moment * screws(share) * std::max(0.0, pattern.rows.front() - pivot) / squares;
        forces.share = std::max(forces.share, share);
        forces.shear_n = std::max(forces.shear_n, shear);
        if (tension >= forces.tension_n) {
            forces.tension_n = tension;
            forces.moment_nm = moment;
            forces.pivot_m = pivot;
        }
    }
    return forces;
}

} // namespace yes_square
