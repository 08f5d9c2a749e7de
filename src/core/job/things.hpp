#pragma once

#include "core/job/job.hpp"

/// What stands or hangs on a wall: one list of kinds. Whoever goes through all things goes through it here, and a kind
/// that lacks what a list needs does not compile.
namespace yes_square {

template <class Named, class Listed>
struct BothLists;
template <class... Named, class... Listed>
struct BothLists<KindList<Named...>, KindList<Listed...>> {
    using type = KindList<Named..., Listed...>;
};
using Things =
    BothLists<KindList<Shelf, Run, StorageSystem, Piece, WallBox, HungCabinet, LightFeed>, ListedKinds>::type;

/// Where a wall keeps its parts of a kind.
template <class Part>
inline constexpr std::vector<Part> Wall::*parts_of = &Kept<Part>::kept;
template <>
inline constexpr std::vector<Shelf> Wall::*parts_of<Shelf> = &Wall::shelves;
template <>
inline constexpr std::vector<Run> Wall::*parts_of<Run> = &Wall::runs;
template <>
inline constexpr std::vector<StorageSystem> Wall::*parts_of<StorageSystem> = &Wall::systems;
template <>
inline constexpr std::vector<Piece> Wall::*parts_of<Piece> = &Wall::pieces;
template <>
inline constexpr std::vector<WallBox> Wall::*parts_of<WallBox> = &Wall::boxes;
template <>
inline constexpr std::vector<HungCabinet> Wall::*parts_of<HungCabinet> = &Wall::hung;
template <>
inline constexpr std::vector<LightFeed> Wall::*parts_of<LightFeed> = &Wall::feeds;
template <>
inline constexpr std::vector<WorkReading> Wall::*parts_of<WorkReading> = &Wall::work_readings;

/// What a job file calls the list of a kind.
template <class Part>
inline constexpr std::string_view list_name = Part::list_name;
template <>
inline constexpr std::string_view list_name<Shelf> = "shelves";
template <>
inline constexpr std::string_view list_name<Run> = "runs";
template <>
inline constexpr std::string_view list_name<StorageSystem> = "systems";
template <>
inline constexpr std::string_view list_name<Piece> = "pieces";
template <>
inline constexpr std::string_view list_name<WallBox> = "boxes";
template <>
inline constexpr std::string_view list_name<HungCabinet> = "hung";
template <>
inline constexpr std::string_view list_name<LightFeed> = "feeds";

/// Whether a kind stands or hangs by itself. Shelves and runs have lists, sheets and drawings of their own, and a light
/// takes no room.
template <class Kind>
inline constexpr bool by_itself =
    !std::is_same_v<Kind, Shelf> && !std::is_same_v<Kind, Run> && !std::is_same_v<Kind, LightFeed>;

/// What a thing is called.
template <class Thing>
const std::string& name_of(const Thing& thing) {
    return thing.name;
}
inline const std::string& name_of(const HungCabinet& hung) {
    return hung.unit.name;
}
/// Where a thing keeps its name.
template <class Thing>
std::string& name_in(Thing& thing) {
    return thing.name;
}
inline std::string& name_in(HungCabinet& hung) {
    return hung.unit.name;
}

/// Calls `look(parts)` with the list of each kind that a wall has.
void for_each_list(auto& wall, auto&& look) {
    for_each_kind(Things{}, [&]<class Kind>() { look(wall.*parts_of<Kind>); });
}

/// Calls `look(thing)` for everything on a wall, kind after kind.
void for_each_thing(auto& wall, auto&& look) requires requires {
    wall.shelves.front().left;
}
{
    for_each_list(wall, [&](auto& parts) {
        for (auto& part : parts)
            look(part);
    });
}

} // namespace yes_square
