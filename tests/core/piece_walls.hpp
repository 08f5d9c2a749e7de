#pragma once

#include "core/job/edits.hpp"
#include "core/reckon/reckon.hpp"
#include "core/stability/new_piece.hpp"
#include "core/storage/new_system.hpp"
#include "shelf_walls.hpp"
#include "survey_walls.hpp"

/// Furniture and wardrobes before a wall of proved studs. Sizes are made up.
namespace yes_square {

/// 0.9 x 0.8 x 0.5 m, 40 kg with three drawers of 4 kg, each 200 mm high, that come out 400 mm.
inline Piece dresser() {
    Piece chest;
    chest.id = "chest";
    chest.name = "Chest";
    chest.left = 1500_mm;
    chest.width = 900_mm;
    chest.height = 800_mm;
    chest.depth = 500_mm;
    chest.mass = 40_kg;
    for (const Length top : {600_mm, 400_mm, 200_mm})
        chest.drawers.push_back({top, 400_mm, 200_mm, 4_kg, {}, {}});
    return chest;
}

/// The stud wall with nothing on it.
inline Job bare_job(Wall wall = stud_wall()) {
    Job job = job_with(std::move(wall), Shelf{});
    job.walls.front().shelves.clear();
    return job;
}

/// 900 wide from 1550, 720 high from 2100: the studs at 1600, 2000 and 2400 lie 50, 450 and 850 from its left side;
/// rails of 16 mm 60 below its top and above its bottom. What holds it is for the test to say.
inline HungCabinet old_cabinet() {
    HungCabinet hung;
    hung.id = "found";
    hung.unit.name = "Old cabinet";
    hung.unit.width = 900_mm;
    hung.unit.height = 720_mm;
    hung.unit.depth = 320_mm;
    hung.unit.mass = 15_kg;
    hung.unit.loaded_mass = 40_kg;
    hung.unit.rails = {{60_mm, 80_mm, 16_mm}, {660_mm, 80_mm, 16_mm}};
    hung.left = 1550_mm;
    hung.top = 2100_mm;
    return hung;
}

inline Job piece_job(Piece piece, Wall wall = stud_wall()) {
    Job job = bare_job(std::move(wall));
    if (piece.id.empty())
        piece.id = piece.name = "piece";
    job.walls.front().pieces = {std::move(piece)};
    return job;
}

inline PiecePlan piece_plan(const Piece& piece) {
    return reckon(piece_job(piece)).walls.front()->pieces.front();
}

inline Job system_job(StorageSystem system, Wall wall = stud_wall()) {
    Job job = bare_job(std::move(wall));
    job.walls.front().systems = {std::move(system)};
    return job;
}

inline SystemPlan system_plan(const Job& job) {
    return reckon(job).walls.front()->systems.front();
}

inline Bay bay_of(BayKind kind, int number = 1) {
    Bay bay;
    bay.id = "bay-" + std::to_string(number);
    bay.kind = kind;
    return bay;
}

/// Bays of these kinds, 2.4 m over all, from 100 mm.
inline StorageSystem system_of(const std::vector<BayKind>& kinds) {
    StorageSystem system;
    system.id = "system";
    system.name = "Wardrobe";
    system.left = 100_mm;
    system.width = 2400_mm;
    for (const BayKind kind : kinds)
        system.bays.push_back(bay_of(kind, static_cast<int>(system.bays.size()) + 1));
    return system;
}

} // namespace yes_square
