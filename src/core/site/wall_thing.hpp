#pragma once

#include "core/site/wall_site.hpp"

#include <vector>

namespace yes_square {

/// What a thing takes of its wall: a shelf once for each tier and strip. Cabinets of a run stand where the run is
/// placed, not by themselves, and a light takes no room.
std::vector<WallThing> room_of(const Shelf& shelf); ///< by its way of being held
std::vector<WallThing> room_of(const Run& run);
/// As one, however its bays differ: their widths follow from the rules.
std::vector<WallThing> room_of(const StorageSystem& system);
std::vector<WallThing> room_of(const Piece& piece);
std::vector<WallThing> room_of(const WallBox& box);
std::vector<WallThing> room_of(const HungCabinet& hung);
std::vector<WallThing> room_of(const LightFeed& feed);

/// Of a listed kind, which says where it is and how far it stands out.
template <class Kind>
requires requires {
    Kind::list_name;
}
std::vector<WallThing> room_of(const Kind& thing) {
    return {{thing.id, name_of(thing), {thing.left, thing.right(), thing.bottom(), thing.top}, thing.depth()}};
}

} // namespace yes_square
