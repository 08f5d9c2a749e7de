#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

/// Anything with fixing holes of its own: a radiator, a mirror, a basin unit.
namespace yes_square {
namespace {

class FixtureWay final : public WayOf<Fixture> {
public:
    bool is_board() const override { return false; }
    std::vector<ShelfPreset> presets() const override {
        return {{"fixture", "Fixture's own holes", 600_mm, 1100_mm, 100_mm, 500_mm, BoardMaterial::birch_plywood,
                 LoadKind::display}};
    }
    Holding usual(const Shelf& shelf) const override {
        Fixture how;
        how.plate = corner_holes(shelf.length, shelf.thickness, 6_mm, true);
        how.mass = 20_kg;
        return how;
    }
    bool own_thickness() const override { return true; }
    bool carries_goods() const override { return false; }
    std::optional<WholeThing> whole(const Shelf& shelf) const override {
        const Fixture& how = of(shelf);
        return WholeThing{how.mass, how.contents_mass, how.leaned};
    }
    void load(Shelf& shelf, LineMass per_metre) const override {
        std::get<Fixture>(shelf.holding).contents_mass = per_metre * shelf.length;
    }

    bool at_places() const override { return false; }
    HungPlate plate(const Shelf& shelf) const override {
        return {&of(shelf).plate, shelf.left, shelf.height, shelf.length, shelf.thickness, {}, true};
    }
    Plate* plate_in(Shelf& shelf) const override { return &std::get<Fixture>(shelf.holding).plate; }

    std::vector<CutPart> cut(const Shelf&, const WallSite&, const ShelfPlan&) const override { return {}; }
    void check(KindChecker& checker) const override { checker.plate(); }

    void say_steps(ShelfSteps& steps) const override {
        const Mass mass = of(steps.shelf()).mass;
        steps.lift({"Lift it to its mark, {0} before anything is in it, and hold it until two screws are in",
                    {quantity(mass)}});
        steps.say({"Screws at the top first, loosely; level it; then the others"});
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
