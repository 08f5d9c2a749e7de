#include "core/hands/screw_pins.hpp"

#include <algorithm>

namespace yes_square {

std::optional<PinnableScrew> pinnable_screw(const Run& run, const RunPlan& plan, const std::string& item, Length x) {
    if (plan.units.empty())
        return std::nullopt;
    PinnableScrew screw{item, plan.units.front().place.left, {}, {}, {}, run.rail_pins};
    screw.most = plan.units.back().place.right() - screw.from;
    if (item != run.id) {
        const auto unit = std::ranges::find(run.units, item, &CabinetUnit::id);
        const auto placed = std::ranges::find(plan.units, item, &UnitPlan::unit_id);
        if (unit == run.units.end() || placed == plan.units.end())
            return std::nullopt;
        screw.from = placed->place.left;
        screw.most = placed->place.width;
        screw.pins = unit->pins;
    } else if (std::ranges::none_of(
                   plan.pieces, [](const RunPiece& piece) { return piece.what == RunPiece::What::suspension_rail; })) {
        return std::nullopt;
    }
    screw.at = x - screw.from;
    if (std::ranges::find(screw.pins, screw.at) != screw.pins.end())
        screw.pin = screw.at;
    return screw;
}

} // namespace yes_square
