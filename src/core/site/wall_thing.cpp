#include "core/site/wall_thing.hpp"

namespace yes_square {

std::vector<WallThing> room_of(const Run&) {
    return {};
}

std::vector<WallThing> room_of(const StorageSystem& system) {
    return {{system.id, system.name, {system.left, system.right(), system.foot(), system.head()}, system.depth}};
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
