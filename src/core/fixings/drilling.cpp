#include "core/fixings/drilling.hpp"

#include <algorithm>

namespace yes_square {

std::vector<DrillPass> drill_passes(const Wall& wall, const Fixing& fixing, Length through) {
    std::vector<DrillPass> passes;
    const auto tile = std::ranges::find(wall.lining, LiningMaterial::tile, &LiningLayer::material);
    const bool tiled = tile != wall.lining.end();
    const auto* masonry = std::get_if<Masonry>(&wall.structure);
    const Length first_hole = masonry ? fixing.hole_diameter : std::max(fixing.hole_diameter, fixing.clearance);
    if (through > Length{} && fixing.clearance > Length{})
        passes.push_back(
            {"wood bit", fixing.clearance, through, false, "right through the part, so that it draws tight"});
    if (tiled)
        passes.push_back({"carbide or diamond tile bit", first_hole, tile->thickness, false,
                          "masking tape on the tile, slow, cool the bit every few seconds"});
    if (masonry) {
        const bool soft = masonry->kind == MasonryKind::aerated_block;
        passes.push_back({"masonry bit", fixing.hole_diameter, fixing.drill_depth, !soft && !tiled,
                          soft    ? "hammer off, it crumbles; blow out the dust"
                          : tiled ? "hammer off until well behind the tile; blow out the dust"
                                  : "not in a mortar joint; blow out the dust"});
        return passes;
    }
    if (fixing.coach)
        passes.push_back({"wood bit", fixing.clearance, wall.lining_thickness(), false, "clearance for the shank"});
    passes.push_back(
        {"wood bit", fixing.hole_diameter, fixing.drill_depth, false, "no wood on the bit: stop, find the stud"});
    return passes;
}

} // namespace yes_square
