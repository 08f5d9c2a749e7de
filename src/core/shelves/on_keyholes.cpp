#include "core/fixings/choose_fixing.hpp"
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

    /// Each screw's head enters by the bore and rises in the slot as the shelf drops.
    PartWork work(const Shelf& shelf, const WallSite& site, const ShelfPlan&) const override {
        const OnKeyholes& how = of(shelf);
        const Length bore = site.rules.boxes.keyhole_bore;
        PartWork work{"back", "left end, as it hangs", "top edge", shelf.length, shelf.thickness, {}};
        for (std::size_t i = 0; i < how.plate.holes.size(); ++i) {
            const PlateHole& hole = how.plate.holes[i];
            work.cuts.push_back({Machining::bore,
                                 hole.across,
                                 hole.down + how.slot,
                                 bore,
                                 bore,
                                 how.lip + site.rules.boxes.keyhole_head,
                                 1,
                                 {"of slot {0}: the screw's head enters here", {count(i + 1)}}});
            work.cuts.push_back({Machining::slot,
                                 hole.across,
                                 hole.down,
                                 how.plate.hole_diameter,
                                 how.slot,
                                 how.lip + site.rules.boxes.keyhole_head,
                                 1,
                                 {"slot {0}, up from its bore: so broad for the shank, under a lip of {1}",
                                  {count(i + 1), stock(how.lip)}}});
        }
        return work;
    }

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
        for (std::size_t i = 0; i < how.plate.holes.size(); ++i)
            if (const Length over = lowest_of_bore(how, i, checker.site().rules) - shelf.thickness; over > Length{})
                checker.add(checks::keyhole_breaks_out,
                            {"The bore of slot {0} breaks out of the lower edge: it reaches {1} too far down",
                             {count(i + 1), quantity(over)}},
                            quantity(over), shelf.left + how.plate.holes[i].across, shelf.height - shelf.thickness);
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
        if (check.code == checks::keyhole_breaks_out && check.amount) {
            const Length slot = of(curer.shelf()).slot - Length::nearest_to_metres(check.amount->si);
            if (slot >= curer.site().rules.boxes.keyhole_bore)
                curer.change(check, {"Slots {0} long", {quantity(slot)}},
                             [&](Shelf& shelf) { std::get<OnKeyholes>(shelf.holding).slot = slot; });
            ShelfCurer::say(check, {"Screws nearer to its top edge, or a deeper back"});
        }
        if (check.code == checks::plate_few_holes || check.code == checks::hole_must_hold ||
            check.code == checks::keyhole_lifts)
            slots_on_studs(curer, check);
        if (check.code == checks::keyhole_lifts)
            ShelfCurer::say(
                check, {"Put the outer screws further apart, or a third between them; or fix the shelf from below"});
        if (check.code == checks::keyhole_no_room && check.amount)
            curer.raise(check, -Length::nearest_to_metres(check.amount->si));
    }

    void say_steps(ShelfSteps& steps) const override {
        const OnKeyholes& how = of(steps.shelf());
        steps.say({"Drive one screw first and hang the shelf's slot on it: it must go on with a push and not rattle. "
                   "Set the others as that one stands"});
        steps.say(
            {"Drive the screws until {0} stands proud of the wall, all alike: the slot's lip goes behind the head",
             {stock(how.lip)}});
        steps.lift({"Lift the shelf on, {0}: it must drop the whole slot, {1}, on every screw",
                    {steps.mass(), quantity(how.slot)}});
        steps.hold(Phase::prove, {"Push up on each end: neither may lift. If one does, drive its screw a quarter turn "
                                  "in and try again"});
    }

private:
    static Length lowest_of_bore(const OnKeyholes& how, std::size_t hole, const HouseRules& rules) {
        return how.plate.holes[hole].down + how.slot + rules.boxes.keyhole_bore / 2 + rules.boxes.keyhole_wood;
    }

    /// The slots follow the studs: the outermost two behind it, and those between where they are far apart.
    static void slots_on_studs(const ShelfCurer& curer, Check& check) {
        const Shelf& shelf = curer.shelf();
        const WallSite& site = curer.site();
        const Framing* framing = site.timber();
        const Plate& plate = of(shelf).plate;
        if (!framing || plate.holes.empty())
            return;
        std::vector<Length> behind;
        for (const Stud& stud : site.survey.studs)
            if (stud.state <= StudState::detected && holds_usual_screw(*framing, stud, site.rules) &&
                stud.centre >= shelf.left + site.rules.boxes.keyhole_in &&
                stud.centre <= shelf.right() - site.rules.boxes.keyhole_in)
                behind.push_back(stud.centre - shelf.left);
        std::ranges::sort(behind);
        if (behind.size() < 2)
            return;
        std::vector<Length> slots{behind.front()};
        for (std::size_t i = 1; i < behind.size(); ++i)
            if (i + 1 == behind.size() || behind[i + 1] - slots.back() > site.rules.spacing_most)
                slots.push_back(behind[i]);
        curer.change(check,
                     {"Put {0} slots where the studs are, the first {1} from its left end",
                      {count(slots.size()), quantity(slots.front())}},
                     [&](Shelf& changed) {
                         Plate& back = std::get<OnKeyholes>(changed.holding).plate;
                         const PlateHole like = back.holes.front();
                         back.holes.clear();
                         for (const Length across : slots)
                             back.holes.push_back({across, like.down, like.must});
                     });
    }
};

} // namespace

const Way& way(const OnKeyholes&) {
    static const KeyholesWay all;
    return all;
}

} // namespace yes_square
