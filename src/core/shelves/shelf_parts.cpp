#include "core/shelves/shelf_parts.hpp"

#include "core/fixings/fixing_supplies.hpp"
#include "core/shelves/board_section.hpp"
#include "core/shelves/way.hpp"
#include "core/site/cut_outs.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Places in the lining alone steady a shelf: they want an anchor that grips it.
Supply steadying_anchors(const WallSite& site, std::size_t number) {
    const auto& anchors = site.catalogue.lining_anchors;
    return {KitGroup::fixings,
            anchors.empty() ? std::string{"lining anchor"} : anchors.front().id,
            {"{0}: it steadies, never carries",
             {anchors.empty() ? std::string{"Anchor for the lining"} : anchors.front().name}},
            number};
}

/// What of a shelf's work lies on one board of it, measured from that board's end.
PartWork work_between(PartWork work, Length from, Length to) {
    std::erase_if(work.cuts, [&](const PartCut& cut) { return cut.from < from || cut.from > to; });
    for (PartCut& cut : work.cuts)
        cut.from -= from;
    work.length = to - from;
    return work.cuts.empty() ? PartWork{} : work;
}

} // namespace

std::vector<CutPart> boards_cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan, bool between_walls) {
    return boards_cut(shelf, site, plan, between_walls, {"board of {0}", {shelf.name}}, shelf.depth, shelf.thickness);
}

std::vector<CutPart> boards_cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan, bool between_walls,
                                const Sentence& name, Length breadth, Length thickness) {
    std::vector<CutPart> parts;
    const bool to_walls =
        between_walls || is_loose(shelf) || (in_left_corner(shelf, site) && in_right_corner(shelf, site));
    const bool hollow = shelf.hollow && way_of(shelf).is_board();
    const PartWork work = hollow ? PartWork{} : way_of(shelf).work(shelf, site, plan);
    for (int tier = 0; tier < shelf.tiers; ++tier)
        for (const BoardPiece& each : plan.pieces) {
            const Length length = std::max(each.back, each.front);
            const Length from = each.left - shelf.left;
            const std::size_t first = parts.size();
            if (hollow)
                std::ranges::move(hollow_board_cut(shelf, length), std::back_inserter(parts));
            else
                parts.push_back(board_part(shelf.id, name, shelf.material, length, breadth, thickness));
            parts[first].work = work_between(work, from, from + each.back);
            for (std::size_t i = first; i < parts.size(); ++i) {
                if (parts[i].length != length)
                    continue; // a rib
                if (parts[i].breadth == breadth)
                    parts[i].mind = cut_outs_to_mind(cut_outs_between(shelf.cut_outs, from, from + length), from);
                if (each.back != each.front)
                    parts[i].mind = {"its ends follow the walls: back and front differ, see the sheet"};
                if (parts[i].breadth == breadth && !plan.back_cuts.empty()) {
                    const Sentence first_of_all = parts[i].mind;
                    leave_broad(parts[i], bow_of(plan.back_cuts));
                    if (!first_of_all.empty())
                        parts[i].mind = first_of_all;
                }
                if (to_walls)
                    leave_long(parts[i], site.rules.cutting.scribe_allowance);
            }
            if (shelf.lip)
                parts.push_back(board_part(shelf.id, {"lip of {0}", {shelf.name}}, shelf.lip->material, length,
                                           shelf.lip->height, shelf.lip->breadth));
        }
    return parts;
}

Length bow_of(const std::vector<BackCut>& cuts) {
    const auto most = std::ranges::max_element(cuts, {}, &BackCut::off);
    return most == cuts.end() ? Length{} : most->off;
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
    if (shelf.coats > 0 && way_of(shelf).is_board()) {
        add(KitGroup::consumables, "paint", {"Paint or oil for the boards"}, 1);
        add(KitGroup::tools, "brush", {"Brush or roller, fine paper between coats"}, 1);
    }
    const auto places = static_cast<std::size_t>(std::ranges::count_if(plan.brackets, &BracketPlan::is_bracket));
    const auto tiers = static_cast<std::size_t>(shelf.tiers);
    std::ranges::move(way_of(shelf).bought(shelf, plan), std::back_inserter(supplies));
    if (plan.shelf_screw && places > 0)
        supplies.push_back(screws_of(*plan.shelf_screw, "Screw up into a shelf", 2 * places * tiers));
    for (const CleatPlan& cleat : plan.cleats)
        if (cleat.fixing && !cleat.on_this_wall) // those of this wall are among its holes
            add_fixing(*cleat.fixing, cleat.screws);
    for (const BracketPlan& place : plan.brackets) {
        if (!place.hanger)
            continue;
        add(KitGroup::hardware, "hanger", {"Hanger from the ceiling"}, 1);
        if (shelf.hanger_spacer > Length{})
            add(KitGroup::hardware, "hanger-block", {"Block {0} thick, over a hanger", {stock(shelf.hanger_spacer)}},
                1);
        if (place.fixing)
            add_fixing(*place.fixing, static_cast<std::size_t>(shelf.hanger.screws));
    }
    // A plate's hole with nothing behind it is left empty.
    const auto steadied = static_cast<std::size_t>(std::ranges::count_if(
        plan.holes, [](const PlannedHole& hole) { return !carries(hole.substrate) && !hole.held_by_lining(); }));
    if (steadied > 0 && plan.bracket)
        supplies.push_back(steadying_anchors(site, steadied));
    return supplies;
}

} // namespace yes_square
