#include "core/boxes/new_box.hpp"

#include "core/site/wall_site.hpp"

#include <algorithm>

namespace yes_square {
namespace {

const HangingRail usual_rail{60_mm, 80_mm, 16_mm, {}};

bool lies_in(const HungCabinet& hung, const HangingRail& rail, bool upper) {
    return (rail.down <= hung.unit.height / 2) == upper;
}

} // namespace

WallBox new_box(const Wall& wall) {
    WallBox box;
    box.width = 800_mm;
    box.height = 900_mm;
    box.depth = 240_mm;
    box.left = std::max(Length{}, (wall.length - box.width) / 2);
    box.top = std::min(1900_mm, highest_top(wall));
    return box;
}

HungCabinet new_hung(const Wall& wall) {
    HungCabinet hung;
    hung.unit.id = "found";
    hung.unit.kind = UnitKind::wall;
    hung.unit.width = 600_mm;
    hung.unit.height = 720_mm;
    hung.unit.depth = 320_mm;
    hung.unit.hinge = DoorHinge::both;
    hung.unit.rails = {usual_rail};
    hung.left = std::max(Length{}, (wall.length - hung.unit.width) / 2);
    hung.top = std::min(2100_mm, highest_top(wall));
    return hung;
}

bool has_rail(const HungCabinet& hung, bool upper) {
    return std::ranges::any_of(hung.unit.rails, [&](const HangingRail& rail) { return lies_in(hung, rail, upper); });
}

void tick_rail(HungCabinet& hung, bool upper, bool there) {
    std::erase_if(hung.unit.rails, [&](const HangingRail& rail) { return lies_in(hung, rail, upper); });
    if (!there)
        return;
    HangingRail rail = usual_rail;
    if (!upper)
        rail.down = hung.unit.height - usual_rail.down;
    hung.unit.rails.push_back(rail);
    std::ranges::sort(hung.unit.rails, {}, &HangingRail::down);
}

} // namespace yes_square
