#include "core/shelves/shelf_steps.hpp"

#include <algorithm>
#include <set>

namespace yes_square {
namespace {

constexpr Length helper_from = 1800_mm; ///< a board this long wants two pairs of hands (house rule)

/// The least cover that NEC 300.4 (from memory) gives a cable bored through a stud.
constexpr Length cable_cover = Length::inches(1, {1, 4});

} // namespace

std::vector<Step> steps_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    std::vector<Step> steps;
    const auto& brackets = plan.brackets;
    const bool masonry = site.masonry();
    const auto tiled = std::ranges::find(site.wall.lining, LiningMaterial::tile, &LiningLayer::material);
    const bool tile = tiled != site.wall.lining.end();

    steps.push_back(
        {{"Go over the marks with a detector, services switched off. Do not drill where it answers"}, true});
    if (std::ranges::any_of(plan.checks, [](const Check& c) { return c.severity == Severity::error; }))
        steps.push_back({{"Clear the errors on this sheet first: as it stands the shelf is not fit to hang"}, true});
    if (tile)
        steps.push_back({{"Tile: put masking tape over each mark and draw the marks on it"}});
    steps.push_back({{"Strike a level line at {0} above the datum, from {1} to {2}",
                      {quantity(shelf.underside()), quantity(shelf.left), quantity(shelf.right())}}});
    if (const FloorProfile& floor = site.survey.floor; floor.measured() || floor.build_up > Length{})
        steps.push_back(
            {{"From the floor as it is now that line is {0} up at the shelf's left end and {1} at its right "
              "end: for a look only, measure from the datum",
              {quantity(floor.above_floor_now(shelf.left, shelf.underside())),
               quantity(floor.above_floor_now(shelf.right(), shelf.underside()))}}});
    for (std::size_t i = 0; i < brackets.size(); ++i)
        steps.push_back(
            {{"Bracket {0}: mark its centre on the line at {1} from the reference end, and plumb down from it",
              {count(i + 1), quantity(brackets[i].x)}}});
    steps.push_back({{"Check the marks once more from the reference end, each by itself"}, true});

    std::set<std::string> told;
    for (const BracketPlan& place : brackets) {
        if (!place.fixing || !told.insert(place.fixing->name).second)
            continue;
        const Fixing& fixing = *place.fixing;
        if (!masonry && fixing.penetration > cable_cover)
            steps.push_back({{"These screws go {0} into the stud, and a cable bored through it may lie {1} behind its "
                              "face: isolate where one is likely",
                              {stock(fixing.penetration), stock(cable_cover)}}});
        if (masonry)
            steps.push_back(
                {{tile ? std::string_view{"Drill {0}, hammer off until through the tile; tape on the bit at "
                                          "{1}. Blow out the dust. Plug: {2}, screw {3}"}
                       : std::string_view{"Drill {0} for the plugs, tape on the bit at {1}. Blow out the "
                                          "dust. Plug: {2}, screw {3}"},
                  {stock(fixing.hole_diameter), stock(fixing.drill_depth), fixing.name, stock(fixing.screw_length)}}});
        else
            steps.push_back({{"Drill pilots of {0}, tape on the bit at {1}, for screws {2}: {3} long, {4} in the stud",
                              {stock(fixing.hole_diameter), stock(fixing.drill_depth), fixing.name,
                               stock(fixing.screw_length), stock(fixing.penetration)}}});
        if (!masonry)
            steps.push_back(
                {{"No wood on the bit, or it goes light: stop, find the stud, do not hang on the lining"}, true});
    }
    if (std::ranges::any_of(brackets, [](const BracketPlan& p) { return p.hold == Hold::lining; }))
        steps.push_back({{"Brackets off the studs: lining anchors as their packet says. They steady the shelf only"}});
    steps.push_back({{"Bracket 1: top screw first, plumb the leg, other screws in loosely"}});
    if (brackets.size() >= 2)
        steps.push_back({{"Bracket {0}: screw its top in loosely and bring it up by a level laid across from bracket 1",
                          {count(brackets.size())}}});
    if (brackets.size() > 2)
        steps.push_back({{"Those between: bring each up to a straightedge laid over the outer two"}});
    steps.push_back({{"Check plumb and level again, then tighten all, top screws first"}, true});
    if (shelf.length >= helper_from)
        steps.push_back({{"With a helper: lay the board on, {0} of {1}",
                          {Quantity{Kind::mass, plan.mass_kg}, quantity(shelf.length)}}});
    else
        steps.push_back({{"Lay the board on, {0}", {Quantity{Kind::mass, plan.mass_kg}}}});
    steps.push_back({{"Set the overhang: {0} at the left, {1} at the right",
                      {quantity(plan.left_overhang), quantity(plan.right_overhang)}}});
    if (plan.shelf_screw)
        steps.push_back({{"Screw up through the arms into the board with screws of {0}: no longer, or the points show",
                          {stock(*plan.shelf_screw)}}});
    steps.push_back({{"Lean on the front edge over each bracket: nothing may move"}, true});
    return steps;
}

std::vector<Sentence> general_cautions() {
    return {
        {"Cables run straight up, down and sideways from sockets and switches, and pipes near taps and radiators: find "
         "them with a detector and switch off before drilling"},
        {"Old paint and linings may hold lead or asbestos: have them tested before you drill or sand"},
        {"Glasses on; a mask for masonry dust; ear protection with the hammer drill"},
        {"Stand on steps or a platform, not on a chair or a worktop"},
        {"Electrical, gas and structural work belongs to licensed trades; local code has the last word"},
        {"Figures marked from memory are cautious but unchecked: where a maker's packet says less, take the packet's"},
    };
}

} // namespace yes_square
