#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>
#include <fmt/format.h>

/// A solid shelf on bars that stand out of the wall.
namespace yes_square {
namespace {

class HiddenRodsWay final : public WayOf<OnHiddenRods> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {
            {"hidden_rods", "Hidden rods", 900_mm, 1500_mm, 200_mm, 40_mm, BoardMaterial::red_oak, LoadKind::display}};
    }
    Holding usual(const Shelf&) const override {
        OnHiddenRods how;
        how.diameter = 10_mm;
        return how;
    }
    bool own_thickness() const override { return true; }
    std::string_view one_of_them() const override { return "Rod"; }
    std::string_view one_more() const override { return "One rod more"; }

    std::optional<Carrier> carrier(const Shelf& shelf, const WallSite& site) const override {
        const OnHiddenRods& how = of(shelf);
        Bracket rod;
        rod.name = "Hidden rod";
        rod.arm = how.in_shelf;
        rod.leg = rod.width = how.diameter;
        rod.thickness = how.diameter;
        rod.hole_drops = {how.diameter / 2};
        rod.hole_diameter = how.diameter + (how.resin ? site.rules.shelves.resin_room : Length{});
        rod.stiffened = true;
        Carrier carrier = even_carrier(rod, shelf, site);
        carrier.over = (shelf.thickness + how.diameter) / 2;
        carrier.most = std::min(carrier.most, site.rules.shelves.rods_most);
        carrier.rod = true;
        return carrier;
    }
    bool maker_rates_it() const override { return false; }
    bool plumbed() const override { return false; }
    Length screwed_on(const Shelf&, const ShelfPlan&) const override { return {}; }

    std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan& plan) const override {
        const OnHiddenRods& how = of(shelf);
        std::vector<Supply> supplies{
            {KitGroup::hardware,
             fmt::format("rod {:.4g} mm", how.diameter.in_mm()),
             {"Steel rod {0} thick, {1} long", {stock(how.diameter), stock(how.in_wall + how.in_shelf)}},
             plan.brackets.size()}};
        if (how.resin)
            supplies.push_back({KitGroup::consumables, "resin", {"Resin, its gun and nozzles"}});
        return supplies;
    }

    void check(KindChecker& checker) const override {
        const Shelf& shelf = checker.shelf();
        const OnHiddenRods& how = of(shelf);
        const auto add = [&](CheckCode code, Sentence words, std::optional<Quantity> amount) {
            checker.add(code, std::move(words), amount, shelf.left, shelf.underside());
        };
        const Length least = Length::nearest_to_metres(how.diameter.in_metres() * checker.rules().rod_cover);
        if (shelf.thickness < least)
            add(checks::rod_too_thick,
                {"A shelf of {0} is too thin for rods of {1}: {2} at least",
                 {quantity(shelf.thickness), quantity(how.diameter), quantity(least)}},
                quantity(least - shelf.thickness));
        if (how.in_shelf > shelf.depth - 20_mm)
            add(checks::rod_too_thick,
                {"Rods {0} long inside the shelf come within 20 mm of its front edge", {quantity(how.in_shelf)}},
                quantity(how.in_shelf - shelf.depth + 20_mm));
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

    void say_steps(ShelfSteps& steps) const override {
        const OnHiddenRods& how = of(steps.shelf());
        steps.say({"Drill square to the wall: a block drilled on the bench guides the bit"});
        if (how.resin) {
            steps.say({"Blow the holes out twice, fill from the bottom with resin, turn the bars in, prop them level"});
            steps.wait(
                {"Do not load or touch the bars until the resin has set, as its packet says for this temperature"},
                steps.site().rules.fitting.resin_min);
        } else {
            steps.say({"Drive the rods in, outermost first, and check each for level and square"});
        }
        steps.go_to(Phase::adjust);
        steps.say({"Carry the outermost hole centres onto the shelf's back edge, in the middle of its thickness. Drill "
                   "{0}, {1} deep",
                   {stock(how.diameter), stock(how.in_shelf + 5_mm)}});
        steps.say({"Slide the shelf on these, mark the rods between through it, take it off, drill them"});
        steps.say({"Slide it home, {0}. A rod set off centre in its hole can be turned to bring an end up a little",
                   {steps.mass()}});
        steps.hold(Phase::prove, {"Lean on the front edge over each rod: nothing may move"});
    }
};

} // namespace

const Way& way(const OnHiddenRods&) {
    static const HiddenRodsWay all;
    return all;
}

} // namespace yes_square
