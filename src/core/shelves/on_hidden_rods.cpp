#include "core/shelves/hidden_rods.hpp"
#include "core/shelves/way.hpp"

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
        return rod_carrier(of(shelf), shelf, site);
    }
    bool maker_rates_it() const override { return false; }
    bool plumbed() const override { return false; }
    Length screwed_on(const Shelf&, const ShelfPlan&) const override { return {}; }

    /// The rods are among the fixings of its holes, by their cut length.
    std::vector<Supply> bought(const Shelf& shelf, const ShelfPlan&) const override {
        if (of(shelf).resin)
            return {{KitGroup::consumables, "resin", {"Resin, its gun and nozzles"}}};
        return {};
    }

    PartWork work(const Shelf& shelf, const WallSite&, const ShelfPlan& plan) const override {
        const OnHiddenRods& how = of(shelf);
        PartWork work{"back edge", "left end", word("underside"), shelf.length, shelf.thickness, {}};
        for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
            const bool outermost = i == 0 || i + 1 == plan.brackets.size();
            work.cuts.push_back({Machining::bore,
                                 plan.brackets[i].x - shelf.left,
                                 shelf.thickness / 2,
                                 how.diameter,
                                 how.diameter,
                                 rod_bore(how),
                                 1,
                                 {outermost ? std::string_view{"for rod {0}"}
                                            : "for rod {0}: marked through the shelf, on its outermost rods",
                                  {count(i + 1)}}});
        }
        return work;
    }

    bool fix(BracketPlan& place, const Shelf& shelf, const WallSite& site, const Carrier& carrier) const override {
        set_rod(place, of(shelf), shelf, site, carrier);
        return true;
    }
    void check(KindChecker& checker) const override { check_rods(of(checker.shelf()), checker); }
    void cure(const ShelfCurer& curer, Check& check) const override { cure_rods(curer, check); }

    void say_steps(ShelfSteps& steps) const override {
        const OnHiddenRods& how = of(steps.shelf());
        const Shelf& shelf = steps.shelf();
        steps.say({"The holes' centres stand {0} over the line, which is the board's underside: half its thickness",
                   {quantity(shelf.thickness / 2)}});
        steps.say({"Drill square to the wall, outermost holes first, {0} deep from its face: a block drilled on the "
                   "bench guides the bit",
                   {stock(steps.site().wall.lining_thickness() + how.in_wall)}});
        say_rods_set(steps, how);
        steps.go_to(Phase::adjust);
        steps.say(drill_board_step(how, shelf));
        steps.say({"Slide the shelf on these, mark the rods between through it, take it off, drill them"});
        if (how.off_centre > Length{})
            steps.lift(
                {"Slide it home, {0}. Level it by turning the rods: a quarter turn lifts or lowers that place by "
                 "{1}, which is all there is in them",
                 {steps.mass(), fine(how.off_centre.in_metres())}});
        else
            steps.lift({"Slide it home, {0}", {steps.mass()}});
        steps.hold(Phase::prove, {"Lean on the front edge over each rod: nothing may move"});
    }
};

} // namespace

const Way& way(const OnHiddenRods&) {
    static const HiddenRodsWay all;
    return all;
}

} // namespace yes_square
