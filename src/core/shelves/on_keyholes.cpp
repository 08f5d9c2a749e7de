#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/way.hpp"

/// A shelf, box or frame whose back drops over screw heads.
namespace yes_square {
namespace {

class KeyholesWay final : public WayOf<OnKeyholes> {
public:
    std::vector<ShelfPreset> presets() const override {
        return {{"keyholes", "Keyhole slots", 1000_mm, 1500_mm, 150_mm, 100_mm, BoardMaterial::birch_plywood,
                 LoadKind::display}};
    }
    Holding usual(const Shelf& shelf) const override {
        OnKeyholes how;
        how.plate = corner_holes(shelf.length, shelf.thickness, 5_mm, false);
        return how;
    }
    bool own_thickness() const override { return true; }

    bool at_places() const override { return false; }
    HungPlate plate(const Shelf& shelf) const override {
        const OnKeyholes& how = of(shelf);
        return {&how.plate, shelf.left, shelf.height, shelf.length, shelf.thickness, how.lip, true};
    }
    Plate* plate_in(Shelf& shelf) const override { return &std::get<OnKeyholes>(shelf.holding).plate; }
    bool bends_over_holes() const override { return true; }

    void check(KindChecker& checker) const override {
        const Shelf& shelf = checker.shelf();
        const OnKeyholes& how = of(shelf);
        checker.plate();
        const std::vector<BracketPlan>& places = checker.plan().brackets;
        for (std::size_t i = 0; i < places.size(); ++i)
            if (places[i].reaction.least < 0)
                checker.add(
                    checks::keyhole_lifts,
                    {"With the goods on one end the shelf lifts off screw {0} by {1}: nothing holds it down there",
                     {count(i + 1), quantity(-places[i].reaction.least)}},
                    quantity(-places[i].reaction.least), places[i].x, shelf.height);
        const Length room = how.slot + checker.rules().lift_off_room;
        const Wall& wall = checker.site().wall;
        const Outline above{shelf.left, shelf.right(), shelf.height, shelf.height + room};
        each_other_board(checker.site(), shelf, above, [&](const Shelf& other, const Outline& box) {
            if (box.left < shelf.right() && box.right > shelf.left && box.bottom >= shelf.height &&
                box.bottom - shelf.height < room)
                checker.add(checks::keyhole_no_room,
                            {"{0} above leaves {1}: the shelf must rise {2} to go on and come off",
                             {other.name, quantity(box.bottom - shelf.height), quantity(room)}},
                            quantity(room - (box.bottom - shelf.height)), shelf.left, shelf.height);
        });
        if (wall.height - shelf.height < room)
            checker.add(checks::keyhole_no_room,
                        {"The ceiling leaves {0}: the shelf must rise {1} to go on and come off",
                         {quantity(wall.height - shelf.height), quantity(room)}},
                        quantity(room - (wall.height - shelf.height)), shelf.left, shelf.height);
    }
    void cure(const ShelfCurer& curer, Check& check) const override {
        if (check.code == checks::keyhole_lifts)
            ShelfCurer::say(
                check, {"Put the outer screws further apart, or a third between them; or fix the shelf from below"});
        if (check.code == checks::keyhole_no_room && check.amount)
            curer.raise(check, -Length::nearest_to_metres(check.amount->si));
    }

    void say_steps(ShelfSteps& steps) const override {
        const OnKeyholes& how = of(steps.shelf());
        steps.say(
            {"Drive the screws until {0} stands proud of the wall, all alike: the slot's lip goes behind the head",
             {stock(how.lip)}});
        steps.say({"Lift the shelf on, {0}: it must drop the whole slot, {1}, on every screw",
                   {steps.mass(), quantity(how.slot)}});
        steps.hold(Phase::prove, {"Push up on each end: neither may lift. If one does, drive its screw a quarter turn "
                                  "in and try again"});
    }
};

} // namespace

const Way& way(const OnKeyholes&) {
    static const KeyholesWay all;
    return all;
}

} // namespace yes_square
