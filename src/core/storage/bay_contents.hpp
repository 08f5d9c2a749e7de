#pragma once

#include "core/plan/system_plan.hpp"
#include "core/site/wall_site.hpp"

/// What stands in a bay: its shelves, rods and drawers, and what goes on and into them.
namespace yes_square {

/// Heights of a bay's fixed shelves and rods above its panels' foot.
struct BayHeights {
    struct Fixed {
        Length top;
        bool cleated = true;
    };
    std::vector<Fixed> shelves;  ///< from the top
    std::vector<Length> rods;    ///< middles, from the top
    std::vector<Length> drawers; ///< upper edges, from the top
};

/// The rules of practice: a cleated shelf at the top of every bay; double hanging another at mid height; shelf and shoe
/// bays three, spread evenly from top to bottom over a plain one at the base; a fixed shelf directly over every rod,
/// and over drawers. Rods stand at their usual heights where the panels are tall enough, else as high as they go.
BayHeights bay_heights(const StorageSystem& system, const Bay& bay, const StorageRules& rules);

/// Fills in shelves, rods, drawers and what fits. Loose shelves share the openings between fixed ones evenly, each on
/// the nearest pin hole of the 32 mm pitch. A shelf spans from panel to panel as if nothing held its back: the safe
/// side. Shelves and rods are reckoned as beams on two supports, sag in time by EN 1995-1-1's creep factors.
/// @param plan  with its left and width; its sides are filled in too
void fill_bay(const StorageSystem& system, const Bay& bay, const WallSite& site, BayPlan& plan);

} // namespace yes_square
