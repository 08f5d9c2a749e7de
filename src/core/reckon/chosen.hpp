#pragma once

#include "core/fixings/choose_fixing.hpp"
#include "core/job/job.hpp"
#include "core/plan/thing_plan.hpp"

#include <functional>

/// What a fitter fixes a thing with, or some of its holes, in place of what the program would take.
namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode fixing_by_hand{"fixing_by_hand", Severity::note, Bears::elsewhere};
inline constexpr CheckCode fixing_by_hand_fails{"fixing_by_hand_fails", Severity::error};
} // namespace checks

/// Nullptr: nobody chose, or it is a kind that is fixed with nothing of the catalogue.
template <class Thing>
const FixingChoices* chosen_for(const Thing& thing) {
    if constexpr (requires { thing.fixing.at; })
        return thing.fixing.any() ? &thing.fixing : nullptr;
    else
        return nullptr;
}

/// Whether a check of a thing says that what fixes it will not do.
bool fixing_fails(const ThingPlan& thing);
/// Whether one of some of its holes has nothing that holds it, or more on it than that bears.
bool fixing_fails(const ThingPlan& thing, const FixingSpot& where);

/// Whether any of some holes of a thing is fixed with what was chosen: what comes with its own screws, or rods, is not.
bool fixed_with(const ThingPlan& thing, const FixingSpot& where, const ChosenFixing& chosen,
                const Catalogue& catalogue);

/// Which of its holes can be fixed unlike the others: rows, places, units, and each hole, those sets once that are the
/// same; not all of them together. The widest first.
std::vector<FixingSpot> fixing_spots(const ThingPlan& thing);
/// "row 1 from the top", "wall unit 60, screw 2".
Sentence words(const FixingSpot& where, const ThingPlan& thing);
/// The wall that those holes are in: a strip's may be the one beside it.
const Wall& ground_at(const FixingSpot& where, const ThingPlan& thing, const Wall& own);
/// The most that any case pulls at one of its holes.
Force pull_on(const FixingSpot& where, const ThingPlan& thing);

/// Says what of its fixing was chosen by hand, which of that is not used, and which will not do; with the cure of
/// letting the program choose, where that helps.
/// @param fails_with  whether the thing, fixed with these choices instead, fails
void say_chosen(ThingPlan& thing, const FixingChoices& chosen, const Catalogue& catalogue,
                const std::function<bool(const FixingChoices&)>& fails_with);

} // namespace yes_square
