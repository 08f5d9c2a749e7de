#pragma once

#include "core/fixings/choose_fixing.hpp"
#include "core/job/job.hpp"
#include "core/plan/thing_plan.hpp"

/// What a fitter fixes a thing with, in place of what the program would take.
namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode fixing_by_hand{"fixing_by_hand", Severity::note, Bears::elsewhere};
inline constexpr CheckCode fixing_by_hand_fails{"fixing_by_hand_fails", Severity::error};
} // namespace checks

/// Nullptr: nobody chose, or it is a kind that is fixed with nothing of the catalogue.
template <class Thing>
const ChosenFixing* chosen_for(const Thing& thing) {
    if constexpr (requires { thing.fixing->gauge; })
        return thing.fixing ? &*thing.fixing : nullptr;
    else
        return nullptr;
}

/// Whether a check of a thing says that what fixes it will not do.
bool fixing_fails(const ThingPlan& thing);

/// Whether any hole of a thing is fixed with what was chosen: what comes with its own screws, or rods, is not.
bool fixed_with(const ThingPlan& thing, const ChosenFixing& chosen, const Catalogue& catalogue);

/// Says that its fixing was chosen by hand, `fails` where that will not do; with the cure of letting the program
/// choose, where that helps.
void add_chosen(ThingPlan& thing, const ChosenFixing& chosen, const Catalogue& catalogue, bool fails, bool other_does);

/// @param otherwise  reckons the thing with what the program takes
void say_chosen(ThingPlan& thing, const ChosenFixing& chosen, const Catalogue& catalogue, auto&& otherwise) {
    const bool fails = fixing_fails(thing);
    add_chosen(thing, chosen, catalogue, fails, fails && !fixing_fails(otherwise()));
}

} // namespace yes_square
