#include "core/shelves/shelf_parts.hpp"

#include "core/fixings/fixing_supplies.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr Length in_corner = 10_mm; ///< a shelf's end this near the wall's is cut to what is measured there

/// Places in the lining alone steady a shelf: they want an anchor that grips it.
Supply steadying_anchors(const WallSite& site, std::size_t number) {
    const auto& anchors = site.catalogue.lining_anchors;
    return {KitGroup::fixings,
            anchors.empty() ? std::string{"lining anchor"} : anchors.front().id,
            {"{0}: it steadies, never carries",
             {anchors.empty() ? std::string{"Anchor for the lining"} : anchors.front().name}},
            number};
}

} // namespace

std::vector<CutPart> cut_for(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    if (const Pole* pole = shelf.held<Pole>())
        return {strip_part(shelf.id, {"pole of {0}", {shelf.name}}, shelf.length, shelf.thickness, shelf.thickness,
                           StuffKind::rod, pole->stuff == PoleStuff::wood ? "wooden rod" : "metal tube")};
    std::vector<CutPart> parts;
    const bool to_walls = shelf.left <= in_corner && site.wall.length - shelf.right() <= in_corner;
    const auto* rail = shelf.held<HookRail>();
    for (int tier = 0; tier < shelf.tiers; ++tier)
        for (const BoardPiece& each : plan.pieces) {
            const Length length = std::max(each.back, each.front);
            CutPart& board =
                parts.emplace_back(rail ? board_part(shelf.id, {"rail of {0}", {shelf.name}}, shelf.material, length,
                                                     shelf.thickness, rail->board)
                                        : board_part(shelf.id, {"board of {0}", {shelf.name}}, shelf.material, length,
                                                     shelf.depth, shelf.thickness));
            if (each.back != each.front)
                board.mind = "its ends follow the walls: back and front differ, see the sheet";
            if (shelf.held<OnCleats>() || to_walls)
                leave_long(board, site.rules.cutting.scribe_allowance);
            if (shelf.lip)
                parts.push_back(board_part(shelf.id, {"lip of {0}", {shelf.name}}, shelf.lip->material, length,
                                           shelf.lip->height, shelf.lip->breadth));
        }
    if (const OnCleats* how = shelf.held<OnCleats>())
        for (const CleatPlan& cleat : plan.cleats)
            parts.push_back(strip_part(shelf.id, {"{0} cleat of {1}", {cleat.wall, shelf.name}}, cleat.length,
                                       how->breadth, how->thickness));
    return parts;
}

std::vector<Supply> bought_for(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    std::vector<Supply> supplies;
    const auto add = [&](KitGroup group, std::string item, Sentence name, std::size_t number) {
        if (number > 0)
            supplies.push_back({group, std::move(item), std::move(name), number});
    };
    const auto add_fixing = [&](const Fixing& fixing, std::size_t number) {
        std::ranges::move(supplies_of(fixing, number), std::back_inserter(supplies));
    };
    const std::size_t places = plan.brackets.size();
    const auto tiers = static_cast<std::size_t>(shelf.tiers);
    if (plan.bracket && !plan.bracket->id.empty() && !shelf.held<OnHiddenRods>())
        add(KitGroup::hardware, plan.bracket->id, {"Bracket: {0}", {plan.bracket->name}},
            places * (plan.one_leg ? 1 : tiers));
    if (const auto* rods = shelf.held<OnHiddenRods>()) {
        add(KitGroup::hardware, fmt::format("rod {:.4g} mm", rods->diameter.in_mm()),
            {"Steel rod {0} thick, {1} long", {stock(rods->diameter), stock(rods->in_wall + rods->in_shelf)}}, places);
        if (rods->resin)
            supplies.push_back({KitGroup::consumables, "resin", {"Resin, its gun and nozzles"}});
    }
    if (const auto* standards = shelf.held<OnStandards>())
        add(KitGroup::hardware, fmt::format("upright {:.4g} mm", standards->standard.in_mm()),
            {"Slotted upright, {0} long", {stock(standards->standard)}}, places);
    if (const auto* rail = shelf.held<HookRail>())
        add(KitGroup::hardware, "hook", {"Hook"}, static_cast<std::size_t>(rail->hooks));
    if (plan.shelf_screw)
        supplies.push_back(screws_of(*plan.shelf_screw, "Screw up into a shelf", 2 * places * tiers));
    for (const CleatPlan& cleat : plan.cleats)
        if (cleat.fixing && !cleat.on_this_wall) // those of this wall are among its holes
            add_fixing(*cleat.fixing, cleat.screws);
    for (const BracketPlan& place : plan.brackets) {
        if (!place.hanger)
            continue;
        add(KitGroup::hardware, "hanger", {"Hanger from a ceiling joist"}, 1);
        if (place.fixing)
            add_fixing(*place.fixing, 1);
    }
    // A plate's hole with nothing behind it is left empty.
    const auto steadied = static_cast<std::size_t>(
        std::ranges::count_if(plan.holes, [](const PlannedHole& hole) { return !carries(hole.hold); }));
    if (steadied > 0 && plan.bracket)
        supplies.push_back(steadying_anchors(site, steadied));
    if (shelf.held<Pole>())
        add(KitGroup::hardware, "pole bracket", {"Pole bracket"}, places);
    return supplies;
}

} // namespace yes_square
