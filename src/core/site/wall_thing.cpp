#include "core/site/wall_thing.hpp"

namespace yes_square {

std::vector<WallThing> room_of(const Run&) {
    return {};
}

std::vector<WallThing> room_of(const StorageSystem& system) {
    Outline whole{system.left, system.right(), Length{}, system.head()};
    for (std::size_t i = 0; i < system.bays.size(); ++i) {
        const BaySides sides = system.sides_of(system.bays[i]);
        whole.bottom = i == 0 ? sides.foot : std::min(whole.bottom, sides.foot);
        whole.top = i == 0 ? sides.head : std::max(whole.top, sides.head);
    }
    return {{system.id, system.name, whole, system.depth}};
}

std::vector<WallThing> room_of(const Piece& piece) {
    return {{piece.id, piece.name, {piece.left, piece.right(), Length{}, piece.height}, piece.depth}};
}

std::vector<WallThing> room_of(const WallBox& box) {
    return {{box.id, box.name, {box.left, box.right(), box.bottom(), box.top}, box.depth}};
}

std::vector<WallThing> room_of(const HungCabinet& hung) {
    const CabinetUnit& unit = hung.unit;
    return {{hung.id, unit.name, {hung.left, hung.left + unit.width, hung.top - unit.height, hung.top}, unit.depth}};
}

std::vector<WallThing> room_of(const LightFeed&) {
    return {};
}

} // namespace yes_square
