#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

/// Anything with fixing holes of its own: a radiator, a mirror, a basin unit.
namespace yes_square {
namespace {

class FixtureWay final : public WayOf<Fixture> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {{"fixture", "Fixture's own holes", 600_mm, 1100_mm, 100_mm, 500_mm, BoardMaterial::birch_plywood,
                 LoadKind::display}};
    }
    Holding usual(const Shelf& shelf) const override {
        Fixture how;
        how.plate = corner_holes(shelf.length, shelf.thickness, 6_mm, true);
        how.mass_kg = 20;
        return how;
    }
    bool own_thickness() const override { return true; }
    bool carries_goods() const override { return false; }
    std::optional<WholeThing> whole(const Shelf& shelf) const override {
        const Fixture& how = of(shelf);
        return WholeThing{how.mass_kg, how.contents_kg, how.leaned_n};
    }
    void load(Shelf& shelf, double kg_per_m) const override {
        std::get<Fixture>(shelf.holding).contents_kg = kg_per_m * shelf.length.in_metres();
    }

    bool at_places() const override { return false; }
    HungPlate plate(const Shelf& shelf) const override {
        return {&of(shelf).plate, shelf.left, shelf.height, shelf.length, shelf.thickness, {}, true};
    }
    Plate* plate_in(Shelf& shelf) const override { return &std::get<Fixture>(shelf.holding).plate; }

    std::vector<CutPart> cut(const Shelf&, const WallSite&, const ShelfPlan&) const override { return {}; }
    void check(KindChecker& checker) const override { checker.plate(); }

    void say_steps(ShelfSteps& steps) const override {
        const double mass_kg = of(steps.shelf()).mass_kg;
        steps.say({"Screws at the top first, loosely; level it; then the others"});
        if (mass_kg > steps.site().rules.runs.lift_alone_kg)
            steps.say({"Two people: it weighs {0} before anything is in it", {Quantity{Kind::mass, mass_kg}}}, 2);
        steps.say({"Water, gas and mains connections belong to the licensed trade"});
        steps.hold(Phase::prove, {"Lean on it by degrees: nothing may move"});
    }
};

} // namespace

const Way& way(const Fixture&) {
    static const FixtureWay all;
    return all;
}

} // namespace yes_square
