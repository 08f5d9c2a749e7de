#include "core/shelves/place_words.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <algorithm>

/// Whether a shelf and the legs under it have room where they are.
namespace yes_square {
namespace {

std::string_view word(OpeningKind kind) {
    return kind == OpeningKind::window ? "the window" : "the door";
}
std::string_view word(ServiceKind kind) {
    switch (kind) {
    case ServiceKind::socket:
        return "the socket";
    case ServiceKind::switch_:
        return "the switch";
    case ServiceKind::pipe:
        return "the pipe";
    case ServiceKind::fixed_appliance:
        return "the fixed appliance";
    }
    return {};
}

/// How far one box reaches into another along the wall.
Length overlap(const Outline& a, const Outline& b) {
    return std::min(a.right, b.right) - std::max(a.left, b.left);
}

/// What else is there: things of the next wall in the corner, sockets behind it, other shelves.
void check_neighbours(const Shelf& shelf, const WallSite& site, const Outline& board, ShelfPlan& plan) {
    const Wall& wall = site.wall;
    for (const CornerThing& thing : site.survey.corner_things)
        if (const Outline box = box_of(thing, wall); board.overlaps(box) && thing.off < shelf.depth)
            add_check(
                plan.checks, checks::meets_neighbour,
                {"In the corner the shelf meets {0} of the next wall: they overlap {1} along this wall and {2} in "
                 "depth",
                 {thing.name, quantity(overlap(board, box)), quantity(shelf.depth - thing.off)}},
                quantity(overlap(board, box)), std::max(board.left, box.left), shelf.height);
    for (const ServicePoint& service : wall.services)
        if (const Outline box = box_of(service); board.overlaps(box) && !service.far_side)
            add_check(plan.checks, checks::over_service, Severity::error,
                      {"The shelf's back edge covers {0} at {1}", {word(service.kind), site.along(service.centre)}},
                      std::nullopt, service.centre, service.height);
    each_other_board(site, shelf, board, [&](const Shelf& other, const Outline& box) {
        if (board.overlaps(box))
            add_check(plan.checks, checks::over_thing,
                      {"The shelf runs into {0} over {1}", {other.name, quantity(overlap(board, box))}},
                      quantity(overlap(board, box)), std::max(board.left, other.left), shelf.height);
    });
}

/// One of a shelf's boards, as a shelf by itself.
void check_board(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const Wall& wall = site.wall;
    const Outline board = board_box(shelf);
    const auto leaves = [&](Length by, std::string_view where) {
        if (by > Length{})
            add_check(plan.checks, checks::leaves_wall, {"The shelf passes {0} by {1}", {where, quantity(by)}},
                      quantity(by), shelf.left, shelf.height);
    };
    leaves(-board.left, "the left end of the wall");
    leaves(board.right - wall.length, "the right end of the wall");
    leaves(board.top - wall.height, "the top of the wall");
    leaves(-board.bottom, "the floor");
    for (const Opening& opening : wall.openings)
        if (const Outline box = box_of(opening); board.overlaps(box))
            add_check(plan.checks, checks::over_opening,
                      {"The shelf crosses {0} by {1}", {word(opening.kind), quantity(overlap(board, box))}},
                      quantity(overlap(board, box)), std::max(board.left, box.left), shelf.height);
    if (const auto& widths = site.survey.widths; widths && shelf.length > widths->least && board.right <= wall.length)
        add_check(plan.checks, checks::leaves_wall,
                  {"The shelf is {0} longer than the least width read between the ends, {1} at {2} up",
                   {quantity(shelf.length - widths->least), quantity(widths->least), quantity(widths->least_z)}},
                  quantity(shelf.length - widths->least), shelf.left, shelf.height);
    const auto into_edge = [&](Length by, std::string_view edge) {
        if (by > Length{})
            add_check(plan.checks, checks::over_obstacle, {"The shelf reaches {0} into {1}", {quantity(by), edge}},
                      quantity(by), shelf.left, shelf.height);
    };
    if (wall.skirting_height > Length{})
        into_edge(wall.skirting_height - board.bottom, "the skirting");
    if (wall.cornice_height > Length{} && board.top <= wall.height)
        into_edge(board.top - (wall.height - wall.cornice_height), "the cornice");
    for (const Obstacle& obstacle : wall.obstacles)
        if (const Outline box = box_of(obstacle); board.overlaps(box))
            add_check(plan.checks, checks::over_obstacle,
                      {"The shelf reaches {0} into {1} at {2}, its clearance included",
                       {quantity(overlap(board, box)), words(obstacle.kind), site.along(obstacle.left)}},
                      quantity(overlap(board, box)), std::max(board.left, box.left), shelf.height);
    if (const auto ceiling = lowest_between(site.survey.floor.ceiling, shelf.left, shelf.right());
        ceiling && shelf.height > *ceiling && shelf.height <= wall.height)
        add_check(plan.checks, checks::over_ceiling,
                  {"The shelf stands {0} above the ceiling as read over it", {quantity(shelf.height - *ceiling)}},
                  quantity(shelf.height - *ceiling), shelf.left, shelf.height);
    check_neighbours(shelf, site, board, plan);
}

} // namespace

void check_place(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    Shelf board = shelf;
    board.tiers = 1;
    for (int tier = 0; tier < shelf.tiers; ++tier) {
        board.height = shelf.top_of(tier);
        check_board(board, site, plan);
    }
    if (site.service_class == ServiceClass::damp && properties(shelf.material).kdef_damp == 0)
        add_check(plan.checks, checks::board_not_for_damp,
                  {"{0} is not made for a damp room", {properties(shelf.material).words}});
}

namespace {

void check_leg(const Outline& leg, std::size_t i, const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    each_other_board(site, shelf, leg, [&](const Shelf& other, const Outline& board) {
        if (!leg.overlaps(board))
            return;
        const Length into = std::min(board.top - leg.bottom, leg.top - board.bottom);
        add_check(plan.checks, checks::leg_fouls_shelf,
                  {leg.top > board.top ? std::string_view{"The leg of bracket {0} reaches {1} into {2} below"}
                                       : "The leg of bracket {0} reaches {1} into {2} above",
                   {place_number(i), quantity(into), other.name}},
                  quantity(into), plan.brackets[i].x, board.top);
    });
    for (const Obstacle& obstacle : site.wall.obstacles)
        if (leg.overlaps(box_of(obstacle)))
            add_check(plan.checks, checks::over_obstacle,
                      {"The leg of bracket {0} stands in {1} at {2}, its clearance included",
                       {place_number(i), words(obstacle.kind), site.along(obstacle.left)}},
                      std::nullopt, plan.brackets[i].x, leg.bottom);
    for (const ServicePoint& service : site.wall.services)
        if (leg.overlaps(box_of(service)) && !service.far_side)
            add_check(plan.checks, checks::leg_fouls_service,
                      {"The leg of bracket {0} covers {1} at {2}",
                       {place_number(i), word(service.kind), site.along(service.centre)}},
                      std::nullopt, service.centre, service.height);
    for (const Opening& opening : site.wall.openings)
        if (leg.overlaps(box_of(opening)))
            add_check(plan.checks, checks::over_opening,
                      {"The leg of bracket {0} stands in {1}", {place_number(i), word(opening.kind)}}, std::nullopt,
                      plan.brackets[i].x, leg.bottom);
    if (leg.bottom < site.wall.skirting_height && leg.bottom >= Length{})
        add_check(plan.checks, checks::over_obstacle,
                  {"The leg of bracket {0} reaches {1} down onto the skirting",
                   {place_number(i), quantity(site.wall.skirting_height - leg.bottom)}},
                  quantity(site.wall.skirting_height - leg.bottom), plan.brackets[i].x, leg.bottom);
    if (leg.bottom < Length{})
        add_check(plan.checks, checks::leaves_wall,
                  {"The leg of bracket {0} reaches {1} below the floor", {place_number(i), quantity(-leg.bottom)}},
                  quantity(-leg.bottom), plan.brackets[i].x, Length{});
}

} // namespace

void check_clearances(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    for (Check& check : strip_checks({}, plan.holes, site))
        plan.checks.push_back(std::move(check));
    for (std::size_t i = 0; i < plan.brackets.size(); ++i)
        for (const Outline& leg : leg_boxes(shelf, plan, plan.brackets[i]))
            check_leg(leg, i, shelf, site, plan);
    check_hole_spacing(shelf, site, plan);
}

} // namespace yes_square
