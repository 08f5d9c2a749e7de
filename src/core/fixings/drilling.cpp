#include "core/fixings/drilling.hpp"

#include <algorithm>

#include <tuple>

namespace yes_square {
namespace {

constexpr std::string_view look_behind_lining =
    "stop behind the lining and look: a cable or pipe is likely here; have it isolated or move";

/// Through what is screwed on, where that is wood.
std::vector<DrillPass> part_passes(const Fixing& fixing, Length through) {
    if (through <= Length{} || fixing.clearance <= Length{})
        return {};
    return {{DrillStage::part, "wood bit", fixing.clearance, through, false, false,
             "right through the part, so that it draws tight"}};
}

} // namespace

bool drilled_before(const DrillPass& a, const DrillPass& b) {
    const auto order = [](const DrillPass& pass) { return std::tuple{pass.stage, !pass.look}; };
    return order(a) < order(b);
}

std::vector<DrillPass> drill_passes(const Wall& wall, const Fixing& fixing, Length through, bool service_near) {
    std::vector<DrillPass> passes = part_passes(fixing, through);
    const auto tile = std::ranges::find(wall.lining, LiningMaterial::tile, &LiningLayer::material);
    const bool tiled = tile != wall.lining.end();
    const auto* masonry = std::get_if<Masonry>(&wall.structure);
    const Length lining = wall.lining_thickness();
    const Length behind_tile = tiled ? lining - tile->thickness : lining;
    const Length first_hole = masonry ? fixing.hole_diameter : std::max(fixing.hole_diameter, fixing.clearance);
    if (tiled) {
        const bool look = service_near && behind_tile <= Length{};
        passes.push_back(
            {DrillStage::tile, "carbide or diamond tile bit", first_hole, tile->thickness, false, look,
             look ? "masking tape on the tile, slow, cool the bit; stop behind the tile and look: a cable or pipe is "
                    "likely here; have it isolated or move"
                  : "masking tape on the tile, slow, cool the bit every few seconds"});
    }
    if (behind_tile > Length{} && (service_near || (!masonry && first_hole > fixing.hole_diameter)))
        passes.push_back({DrillStage::lining, masonry ? "masonry bit" : "wood bit", first_hole, lining, false,
                          service_near,
                          service_near ? look_behind_lining : "through the lining alone: clearance for the shank"});
    if (masonry) {
        const bool soft = masonry->kind == MasonryKind::aerated_block;
        passes.push_back({DrillStage::full, "masonry bit", fixing.hole_diameter, fixing.drill_depth, !soft && !tiled,
                          false,
                          soft    ? "hammer off, it crumbles; blow out the dust"
                          : tiled ? "hammer off until well behind the tile; blow out the dust"
                                  : "not in a mortar joint; blow out the dust"});
        return passes;
    }
    passes.push_back({DrillStage::full, "wood bit", fixing.hole_diameter, fixing.drill_depth, false, false,
                      fixing.by_packet
                          ? "square to the face; the nut is turned in flush with the wood, before the lining"
                          : "no wood on the bit: stop, find the stud"});
    return passes;
}

std::vector<DrillPass> lining_passes(const Fixing& fixing, Length through, bool service_near) {
    std::vector<DrillPass> passes = part_passes(fixing, through);
    passes.push_back({DrillStage::lining, "wood bit", fixing.hole_diameter, fixing.drill_depth, false, service_near,
                      service_near ? look_behind_lining
                                   : "through the lining alone, no further; the anchor goes in as its packet says"});
    return passes;
}

std::vector<DrillPass> angled_passes(const Fixing& fixing, bool service_near) {
    return {{DrillStage::full, "long wood bit", fixing.hole_diameter, fixing.drill_depth, false, service_near,
             service_near
                 ? "at 45 degrees upwards through the board as it lies; stop behind the lining and look: a cable "
                   "or pipe is likely here; have it isolated or move"
                 : "at 45 degrees upwards through the board as it lies; no wood behind the lining: stop, it "
                   "holds nothing"}};
}

std::vector<FixedAlike> fixed_alike(const std::vector<PlannedHole>& holes) {
    std::vector<FixedAlike> all;
    for (const PlannedHole& hole : holes) {
        if (!hole.fixing)
            continue;
        const auto same = std::ranges::find_if(all, [&](const FixedAlike& each) {
            return each.fixing().name == hole.fixing->name && each.fixing().screw_length == hole.fixing->screw_length;
        });
        (same == all.end() ? all.emplace_back() : *same).holes.push_back(&hole);
    }
    return all;
}

std::vector<DrillRow> drilling_of(const std::vector<PlannedHole>& holes) {
    std::vector<DrillRow> rows;
    for (const PlannedHole& hole : holes)
        for (const DrillPass& pass : hole.passes) {
            const auto same = std::ranges::find(rows, pass, &DrillRow::pass);
            if (same == rows.end())
                rows.push_back({pass, {hole.place}});
            else if (std::ranges::find(same->places, hole.place) == same->places.end())
                same->places.push_back(hole.place);
        }
    std::ranges::stable_sort(rows, drilled_before, &DrillRow::pass);
    return rows;
}

} // namespace yes_square
