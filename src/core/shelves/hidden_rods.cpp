#include "core/shelves/hidden_rods.hpp"

#include "core/fixings/hidden_rod.hpp"
#include "core/shelves/fix_place.hpp"
#include "core/shelves/shelf_checks.hpp"

#include <algorithm>
#include <numbers>

namespace yes_square {
namespace {

Pressure rod_in_masonry(MasonryKind kind, const ShelfRules& rules) {
    switch (kind) {
    case MasonryKind::brick:
        return rules.brick;
    case MasonryKind::dense_block:
        return rules.dense_block;
    case MasonryKind::aerated_block:
        return rules.aerated_block;
    case MasonryKind::concrete:
        return rules.concrete;
    }
    return 0;
}

/// Wood around a steel rod bears this share of its dowel bearing strength in use: Rd of mode I (NDS table 12.3.1B).
constexpr double rod_reduction = 4;
constexpr double rod_edge = 1.5; ///< diameters
constexpr Length rod_dust_room = 6_mm;
constexpr Length front_cover = 20_mm; ///< of the shelf, before a rod's end
constexpr Length shelf_room = 5_mm;   ///< of the hole in the shelf, beyond a rod's end

bool in_soft_block(const Wall& wall) {
    const auto* masonry = std::get_if<Masonry>(&wall.structure);
    return masonry && masonry->kind == MasonryKind::aerated_block;
}

/// A rod is driven into a hole thinner than itself in soft block alone: wood splits, brick and concrete do not give.
bool takes_tight(const OnHiddenRods& how, const Wall& wall) {
    return how.tight <= Length{} || (in_soft_block(wall) && !how.resin && how.tight < how.diameter);
}

/// What the ring round a bar takes, the bar set in it. m3
double resin_in(const OnHiddenRods& how, const ShelfRules& rules) {
    const double hole = (how.diameter + rules.resin_room).in_metres();
    const double bar = how.diameter.in_metres();
    return std::numbers::pi / 4 * (hole * hole - bar * bar) * how.in_wall.in_metres() * rules.resin_over;
}

/// From the bottom of its hole, so that a bar pushed in just presses it out of the mouth.
Length resin_fill(const OnHiddenRods& how, const ShelfRules& rules) {
    const double hole = (how.diameter + rules.resin_room).in_metres();
    const double bar = how.diameter.in_metres();
    return Length::nearest_to_metres(how.in_wall.in_metres() *
                                     std::min(1.0, (1 - bar * bar / hole / hole) * rules.resin_over));
}

} // namespace

OnHiddenRods& rods_of(Shelf& shelf) {
    auto* alone = std::get_if<OnHiddenRods>(&shelf.holding);
    return alone ? *alone : shelf.other_sizes.rods;
}

const OnHiddenRods& rods_of(const Shelf& shelf) {
    const auto* alone = std::get_if<OnHiddenRods>(&shelf.holding);
    return alone ? *alone : shelf.other_sizes.rods;
}

Length rod_length(const OnHiddenRods& how, const Wall& wall) {
    return wall.lining_thickness() + how.in_wall + how.in_shelf;
}

Carrier rod_carrier(const OnHiddenRods& how, const Shelf& shelf, const WallSite& site) {
    Bracket rod;
    rod.name = "Hidden rod";
    rod.arm = how.in_shelf;
    rod.leg = rod.width = how.diameter;
    rod.thickness = how.diameter;
    rod.hole_drops = {how.diameter / 2};
    rod.hole_diameter =
        std::max(1_mm, how.diameter + (how.resin ? site.rules.shelves.resin_room : Length{}) - how.tight);
    rod.stiffened = true;
    Carrier carrier = even_carrier(rod, shelf, site);
    carrier.over = (shelf.thickness + how.diameter) / 2;
    carrier.most = std::min(carrier.most, site.rules.shelves.rods_most);
    carrier.rod = true;
    return carrier;
}

void set_rod(BracketPlan& place, const OnHiddenRods& how, const Shelf& shelf, const WallSite& site,
             const Carrier& carrier) {
    const Length lining = site.wall.lining_thickness();
    const Framing* framing = site.timber();
    if (!carries(place.substrate) || (framing && how.in_wall > framing->stud_depth) || shelf.hollow ||
        !takes_tight(how, site.wall))
        return;
    const Length edge = std::max(10_mm, Length::nearest_to_metres(rod_edge * how.diameter.in_metres()));
    if (framing && place.stud && to_edge_of(*framing, site.survey.studs[*place.stud], place.x, site.rules) < edge)
        return;
    const HiddenRod rod{how.diameter.in_metres(), how.in_wall.in_metres(), lining.in_metres(),
                        std::min(how.in_shelf, shelf.depth).in_metres()};
    const double depth = shelf.depth.in_metres();
    RodStress stress = rod_stress(rod, place.reaction.sustained, carrier.load_at, depth);
    place.rod_sink = stress.sink_m;
    // Whoever leans on the front edge adds to it.
    const Force leaning = place.reaction.greatest - place.reaction.sustained;
    const RodStress leaned = rod_stress(rod, leaning, carrier.edge_at, depth);
    ScrewProperties bar{};
    bar.diameter_in = std::max(0.25, how.diameter.in_inches());
    const Pressure wall =
        framing ? wood_bearing(bar, {specific_gravity(framing->species), place.substrate == Substrate::nogging}) /
                      rod_reduction
                : rod_in_masonry(std::get<Masonry>(site.wall.structure).kind, site.rules.shelves);
    const double board_gravity = std::min(0.5, properties(shelf.material).density / 1000_kg_m3 * 0.9);
    const Pressure board = wood_bearing(bar, {board_gravity, true}) / rod_reduction;
    const Utilisation used{
        std::max({(stress.bending + leaned.bending) / site.rules.shelves.rod_steel,
                  (stress.on_wall + leaned.on_wall) / wall, (stress.on_shelf + leaned.on_shelf) / board})};
    const Length room = framing ? Length{} : rod_dust_room;
    Fixing bar_in_hole;
    bar_in_hole.name = how.resin              ? "Steel bar set in resin"
                       : how.tight > Length{} ? "Steel rod driven into soft block"
                                              : "Steel rod";
    bar_in_hole.screw_length = rod_length(how, site.wall);
    bar_in_hole.penetration = how.in_wall;
    bar_in_hole.hole_diameter = carrier.bracket.hole_diameter;
    bar_in_hole.drill_depth = lining + how.in_wall + room;
    bar_in_hole.shear = used.known() && used.number() > 0 ? place.reaction.greatest / used.number() : Force{};
    bar_in_hole.gap = lining;
    bar_in_hole.source = {Provenance::house_rule};
    place.fixing = std::move(bar_in_hole);
    place.fixing_utilisation = used;
    place.shear = place.reaction.greatest;
    place.tension = 0;
    const double x = place.x.in_metres();
    place.loads = {{stored_case, place.reaction.sustained, x, 0, duration_stored},
                   {leaned_case, place.reaction.greatest, x, 0, duration_stored}};
    place.row_demands = {{{0, place.reaction.sustained, duration_stored, stored_case},
                          {0, place.reaction.greatest, duration_stored, leaned_case}}};
}

void check_rods(const OnHiddenRods& how, KindChecker& checker) {
    const Shelf& shelf = checker.shelf();
    const auto add = [&](CheckCode code, Sentence words, std::optional<Quantity> amount) {
        checker.add(code, std::move(words), amount, shelf.left, shelf.underside());
    };
    const Length least = Length::nearest_to_metres(how.diameter.in_metres() * checker.rules().rod_cover);
    if (shelf.thickness < least)
        add(checks::rod_too_thick,
            {"A shelf of {0} is too thin for rods of {1}: {2} at least",
             {quantity(shelf.thickness), quantity(how.diameter), quantity(least)}},
            quantity(least - shelf.thickness));
    if (shelf.hollow)
        add(checks::rods_in_hollow,
            {"Rods find no wood inside a hollow board: a solid one, or a bracket made for a hollow board"},
            std::nullopt);
    if (how.tight > Length{} && !takes_tight(how, checker.site().wall))
        add(checks::rod_hole_tight,
            {how.resin ? std::string_view{"A hole for resin is wider than its bar, and this one is to be {0} "
                                          "thinner: one or the other"}
                       : "A rod goes into a hole {0} thinner than itself in soft block alone, and this is none: "
                         "drill for the rod, or for resin",
             {stock(how.tight)}},
            quantity(how.tight));
    else if (how.tight > checker.rules().tight_most)
        add(checks::rod_hole_tight,
            {"A hole {0} thinner than its rod splits the block: {1} at most",
             {stock(how.tight), stock(checker.rules().tight_most)}},
            quantity(how.tight - checker.rules().tight_most));
    if (2 * how.off_centre > how.diameter)
        add(checks::rod_off_centre,
            {"A rod of {0} cannot stand {1} off its own middle: half its thickness is the most",
             {stock(how.diameter), stock(how.off_centre)}},
            quantity(how.off_centre - how.diameter / 2));
    if (how.in_shelf > shelf.depth - front_cover)
        add(checks::rod_too_thick,
            {"Rods {0} long inside the shelf come within {1} of its front edge",
             {quantity(how.in_shelf), quantity(front_cover)}},
            quantity(how.in_shelf - shelf.depth + front_cover));
    if (const BoardProperties& board = properties(shelf.material); board.material <= BoardMaterial::osb3)
        checker.add(checks::rod_edge_unknown,
                    {"What the edge of {0} bears around a rod only its maker can say: the figure here is a guess",
                     {board.words}});
    const Framing* framing = checker.site().timber();
    if (framing && how.in_wall > framing->stud_depth)
        add(checks::rod_through_stud,
            {"Rods {0} deep would come out behind studs of {1}",
             {quantity(how.in_wall), quantity(framing->stud_depth)}},
            quantity(how.in_wall - framing->stud_depth));
    double sink = 0;
    for (const BracketPlan& place : checker.plan().brackets)
        sink = std::max(sink, place.rod_sink);
    const double most = checker.rules().rod_slope * shelf.depth.in_metres();
    if (sink > most)
        add(checks::rod_sinks,
            {"The rods bend so that the front edge sinks {0}; {1} would pass unseen: thicker rods, more of them",
             {fine(sink), fine(most)}},
            fine(sink - most));
}

namespace {

void other_rods(const ShelfCurer& curer, Check& check) {
    for (const Length diameter : {10_mm, 12_mm, 16_mm})
        if (diameter != rods_of(curer.shelf()).diameter &&
            curer.change(check, {"Rods of {0}", {quantity(diameter)}},
                         [&](Shelf& shelf) { rods_of(shelf).diameter = diameter; }))
            return;
    curer.change(check, {"Shorter rods"}, [&](Shelf& shelf) {
        auto& how = rods_of(shelf);
        how.in_shelf = std::min(how.in_shelf, shelf.depth - 30_mm);
        if (const Framing* framing = curer.site().timber())
            how.in_wall = std::min(how.in_wall, framing->stud_depth - 9_mm);
    });
}

} // namespace

void cure_rods(const ShelfCurer& curer, Check& check) {
    if (check.code == checks::rod_too_thick)
        curer.thicker_board(check);
    if (check.code == checks::rod_too_thick || check.code == checks::rod_sinks ||
        check.code == checks::rod_through_stud)
        other_rods(curer, check);
    if (check.code == checks::rod_sinks)
        curer.more_brackets(check);
    if (check.code == checks::rod_edge_unknown)
        curer.other_board(check);
    if (check.code == checks::rods_in_hollow)
        curer.change(check, {"A solid board"}, [](Shelf& shelf) { shelf.hollow.reset(); });
    if (check.code == checks::rod_hole_tight)
        curer.change(check, {"Drill for the rod"}, [](Shelf& shelf) { rods_of(shelf).tight = {}; });
    if (check.code == checks::rod_off_centre)
        curer.change(check, {"Straight rods"}, [](Shelf& shelf) { rods_of(shelf).off_centre = {}; });
}

Length rod_bore(const OnHiddenRods& how) {
    return how.in_shelf + shelf_room;
}

void say_rods_set(ShelfSteps& steps, const OnHiddenRods& how) {
    steps.say({"Cut the rods {0} long: {1} in the wall, {2} in the shelf",
               {stock(rod_length(how, steps.site().wall)), stock(steps.site().wall.lining_thickness() + how.in_wall),
                stock(how.in_shelf)}});
    if (how.resin) {
        steps.say(
            {"Blow the holes out twice. Fill each from the bottom with resin for {0} of its depth, {1} a hole, "
             "turn the bars in, prop them level",
             {stock(resin_fill(how, steps.site().rules.shelves)), volume(resin_in(how, steps.site().rules.shelves))}});
        steps.wait({"Do not load or touch the bars until the resin has set, as its packet says for this temperature"},
                   steps.site().rules.fitting.resin_min);
    } else if (how.tight > Length{}) {
        steps.say({"Soft block: the holes are {0} thinner than the rods. Blow them out, drive the rods in straight, "
                   "never back out: a rod that was drawn holds no more",
                   {stock(how.tight)}});
    } else {
        steps.say({"Drive the rods in, outermost first, and check each for level and square"});
    }
}

Sentence drill_board_step(const OnHiddenRods& how, const Shelf& shelf) {
    return {"Carry the outermost hole centres onto the shelf's back edge, in the middle of its thickness, {0} from its "
            "underside. Drill {1}, {2} deep",
            {quantity(shelf.thickness / 2), stock(how.diameter), stock(rod_bore(how))}};
}

} // namespace yes_square
