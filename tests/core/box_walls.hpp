#pragma once

#include "piece_walls.hpp"

/// Boxes that their tests start from.
namespace yes_square {

/// The box of the check values: outer 700 x 540, 20 mm boards, top and bottom over the sides, one shelf between them in
/// housings of 10 mm, no clearance; a plain back on its back edges.
inline WallBox small_box() {
    WallBox box;
    box.id = "box";
    box.name = "Small box";
    box.left = 1500_mm;
    box.top = 1900_mm;
    box.width = 700_mm;
    box.height = 540_mm;
    box.depth = 200_mm;
    box.side = 20_mm;
    box.shelves = 1;
    box.corner = BoxCorner::over_sides;
    box.housing = 10_mm;
    box.clearance = {};
    box.back = BoxBack::planted;
    box.back_thickness = 12_mm;
    box.load = {LoadKind::display, 0};
    return box;
}

inline Job job_of(const WallBox& box, TimberSchool school = TimberSchool::nds) {
    Job job = bare_job();
    job.rules.timber = school;
    job.walls.front().boxes = {box};
    return job;
}
inline BoxPlan plan_of(const Job& job) {
    return reckon(job).walls.front()->boxes.front();
}

/// A thin back, strips of 18 mm under the top and over the bottom.
inline WallBox on_strips() {
    WallBox box = small_box();
    box.corner = BoxCorner::sides_through;
    box.back_thickness = 6_mm;
    box.rail_thickness = 18_mm;
    box.load = {LoadKind::books, 0};
    return box;
}

} // namespace yes_square
