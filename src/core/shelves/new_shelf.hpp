#pragma once

#include "core/shelves/way.hpp"

#include <string>
#include <utility>
#include <vector>

namespace yes_square {

/// A shelf to begin with, in the middle of a wall, with usual sizes; no id yet.
Shelf new_shelf(const ShelfPreset& preset, const Wall& wall);

/// Makes a shelf hang another way, keeping its place, its size and what it carries where that makes sense.
void hang_as(const ShelfPreset& preset, Shelf& shelf, const Wall& wall);

/// Shelves of one kind along every wall of a room, at one height, corner to corner: the first wall's runs through into
/// both its corners, the next begins before its board. Boards longer than can be had are joined over the found stud
/// nearest their middle; over doors and windows that leave no wall under it the shelf hangs from the ceiling at its
/// joists, or at usual spacing where nobody knows them yet. Pairs of wall id and shelf; ids of shelves are left empty.
/// @param like  height, depth, thickness, material, load and bracket are taken from it
std::vector<std::pair<std::string, Shelf>> shelves_round_room(const Job& job, const std::string& room,
                                                              const Shelf& like);

} // namespace yes_square
