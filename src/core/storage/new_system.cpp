#include "core/storage/new_system.hpp"

#include "core/site/wall_site.hpp"
#include "core/site/wall_thing.hpp"

#include "core/job/edits.hpp"

#include <algorithm>

namespace yes_square {

Bay new_bay(const Job& job, BayKind kind) {
    Bay bay;
    bay.id = fresh_id(job, "bay");
    bay.kind = kind;
    if (kind == BayKind::shelves)
        bay.loose = 2;
    if (kind == BayKind::drawers)
        bay.loose = 4;
    if (kind == BayKind::long_hanging)
        bay.garment = Garment::dresses;
    return bay;
}

StorageSystem filling(StorageSystem system, const Wall& wall, const WallSurvey& survey) {
    Length from;
    Length to = survey.widths ? survey.widths->least : wall.length;
    const Outline whole = room_of(system).front().box;
    for (const CornerThing& thing : survey.corner_things)
        if (thing.off < system.depth && thing.bottom < whole.top && thing.top > whole.bottom) {
            if (thing.at_right_end)
                to = std::min(to, wall.length - thing.along);
            else
                from = std::max(from, thing.along);
        }
    system.left = from;
    system.width = std::max(system.panel, to - from);
    return system;
}

StorageSystem new_system(const Job& job, const Wall& wall) {
    StorageSystem system;
    // Particleboard of 18 mm sags over its limit in usual bays, on pins or along a cleat.
    system.material = BoardMaterial::plywood;
    system.left = 20_mm;
    system.width = std::min(2400_mm, wall.length - 40_mm);
    system.panel_height = std::min(system.panel_height, highest_top(wall));
    system.top = system.panel_height;
    Job with = job;
    for (const BayKind kind : {BayKind::double_hanging, BayKind::shelves, BayKind::long_hanging}) {
        system.bays.push_back(new_bay(with, kind));
        with.walls.front().systems.push_back({});
        with.walls.front().systems.back().bays.push_back(system.bays.back());
    }
    return system;
}

} // namespace yes_square
