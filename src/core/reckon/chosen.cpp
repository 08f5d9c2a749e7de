#include "core/reckon/chosen.hpp"

#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>

namespace yes_square {

bool fixing_fails(const ThingPlan& thing) {
    return std::ranges::any_of(thing.checks, [](const Check& check) {
        return check.severity == Severity::error &&
               (check.code == checks::no_fixing || check.code == checks::fixing_overloaded);
    });
}

bool fixed_with(const ThingPlan& thing, const ChosenFixing& chosen, const Catalogue& catalogue) {
    const std::string name = name_of(chosen, catalogue);
    return std::ranges::any_of(thing.holes,
                               [&](const PlannedHole& hole) { return hole.fixing && hole.fixing->name == name; });
}

void add_chosen(ThingPlan& thing, const ChosenFixing& chosen, const Catalogue& catalogue, bool fails, bool other_does) {
    const std::string name = name_of(chosen, catalogue);
    std::vector<Check> said;
    if (!fails && !fixed_with(thing, chosen, catalogue)) {
        add_check(
            said, checks::fixing_by_hand,
            {"{0}: {1}, chosen by hand, is not used: it is fixed with its own, or with nothing", {thing.name, name}});
    } else if (!fails) {
        add_check(said, checks::fixing_by_hand, {"{0}: {1}, chosen by hand", {thing.name, name}});
    } else {
        Check& check = add_check(said, checks::fixing_by_hand_fails,
                                 {"{0}: {1}, chosen by hand, will not do here", {thing.name, name}});
        check.cures.push_back(other_does ? Cure{{"Let the program choose"}, ChooseFixing{thing.id, {}}}
                                         : Cure{{"What the program would take will not do either"}, {}});
    }
    thing.checks.insert(thing.checks.begin(), said.begin(), said.end());
}

} // namespace yes_square
