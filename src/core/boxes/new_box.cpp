#include "core/boxes/new_box.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length clear_of_ceiling = 100_mm;

} // namespace

WallBox new_box(const Wall& wall) {
    WallBox box;
    box.width = 800_mm;
    box.height = 900_mm;
    box.depth = 240_mm;
    box.left = std::max(Length{}, (wall.length - box.width) / 2);
    box.top = std::min(1900_mm, wall.height - wall.cornice_height - clear_of_ceiling);
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
    hung.unit.rails = {{60_mm, 80_mm, 16_mm}};
    hung.left = std::max(Length{}, (wall.length - hung.unit.width) / 2);
    hung.top = std::min(2100_mm, wall.height - wall.cornice_height - clear_of_ceiling);
    return hung;
}

} // namespace yes_square
