#include "core/shelves/angled_screws.hpp"

#include "core/fixings/drilling.hpp"
#include "core/shelves/fix_place.hpp"
#include "core/shelves/screwed_board.hpp"
#include "core/shelves/shelf_checks.hpp"

#include <algorithm>
#include <numbers>

namespace yes_square {

Length angled_in_board(const Shelf& shelf) {
    return at_angle(shelf.thickness / 2);
}

Carrier angled_carrier(const Shelf& shelf, const WallSite& site) {
    Carrier carrier =
        screwed_through(shelf, site, "Angled screw", shelf.thickness, angled_in_board(shelf), {shelf.thickness / 2});
    // The lining is longer at an angle than square through it, and nothing bears in what it is longer by.
    const Length lining = site.wall.lining_thickness();
    carrier.through.packing = at_angle(lining) - lining;
    carrier.through.angled = true;
    return carrier;
}

std::vector<HoleDemand> demands_of_angled(const Reaction& reaction) {
    const double share = 1 / std::numbers::sqrt2;
    return {{reaction.sustained * share, reaction.sustained * share, duration_stored, stored_case},
            {reaction.greatest * share, reaction.greatest * share, duration_people, leaned_case}};
}

void check_angled(KindChecker& checker) {
    const Shelf& shelf = checker.shelf();
    const auto& places = checker.plan().brackets;
    bool angled = false;
    for (const BracketPlan& place : places) {
        if (!place.is(OtherKind::angled_screw))
            continue;
        angled = true;
        if (!carries(place.substrate) || checker.site().masonry())
            checker.add(checks::angled_in_no_wood,
                        {checker.site().masonry()
                             ? std::string_view{"The angled screw at {0} meets no wood: a plug at an angle breaks out "
                                                "of the wall"}
                             : "The angled screw at {0} meets no stud: in a lining it holds nothing",
                         {checker.site().along(place.x)}},
                        std::nullopt, place.x, shelf.underside());
    }
    const auto others = static_cast<std::size_t>(std::ranges::count_if(places, &BracketPlan::bears_board));
    if (angled && others < 2)
        checker.add(checks::angled_alone,
                    {"Besides angled screws {0} of its places carry this board, and two at least must: a screw at its "
                     "back edge keeps no board level",
                     {count(others)}},
                    std::nullopt, shelf.left, shelf.underside());
}

void cure_angled(const ShelfCurer& curer, Check& check) {
    if (check.code != checks::angled_in_no_wood && check.code != checks::angled_alone)
        return;
    const Shelf& shelf = curer.shelf();
    if (check.code == checks::angled_in_no_wood && check.x && curer.site().timber()) {
        std::vector<Length> studs;
        for (const Stud& stud : curer.site().survey.studs)
            if (stud.centre > shelf.left && stud.centre < shelf.right())
                studs.push_back(stud.centre);
        std::ranges::stable_sort(studs, {}, [&](Length centre) { return absolute(centre - *check.x); });
        for (const Length centre : studs)
            if (curer.change(check, {"Drive it into the stud at {0}", {curer.site().along(centre)}},
                             [&](Shelf& changed) {
                                 for (OtherSupport& other : changed.others)
                                     if (other.kind == OtherKind::angled_screw &&
                                         changed.left + changed.place_of(other) == *check.x)
                                         other.at = centre - changed.left;
                             }))
                break;
    }
    curer.change(check, {"Leave its angled screws out"}, [](Shelf& changed) {
        std::erase_if(changed.others, [](const OtherSupport& other) { return other.kind == OtherKind::angled_screw; });
    });
}

void say_angled(ShelfSteps& steps) {
    const auto& places = steps.plan().brackets;
    const Shelf& shelf = steps.shelf();
    for (std::size_t i = 0; i < places.size(); ++i)
        if (places[i].is(OtherKind::angled_screw) && places[i].fixing)
            steps.say({"Angled screw {0}: with the board lying level, start {1} out of the wall on its underside and "
                       "drill {2} upwards at 45 degrees, tape on the bit at {3}; then drive {4}, {5} long",
                       {count(i + 1), quantity(shelf.thickness / 2), stock(places[i].fixing->hole_diameter),
                        stock(places[i].fixing->drill_depth), std::string{places[i].fixing->name},
                        stock(places[i].fixing->screw_length)}});
}

} // namespace yes_square
