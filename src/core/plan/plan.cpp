#include "core/plan/plan.hpp"

#include <algorithm>
#include <cstdlib>

namespace yes_square {

std::string_view name(CheckCode code) {
    switch (code) {
    case CheckCode::stud_assumed:
        return "stud_assumed";
    case CheckCode::stud_indicated:
        return "stud_indicated";
    case CheckCode::no_stud:
        return "no_stud";
    case CheckCode::one_stud:
        return "one_stud";
    case CheckCode::on_lining:
        return "on_lining";
    case CheckCode::in_service_strip:
        return "in_service_strip";
    case CheckCode::spacing_over_limit:
        return "spacing_over_limit";
    case CheckCode::spacing_over_good:
        return "spacing_over_good";
    case CheckCode::sag_over_limit:
        return "sag_over_limit";
    case CheckCode::board_not_for_damp:
        return "board_not_for_damp";
    case CheckCode::arm_too_long:
        return "arm_too_long";
    case CheckCode::arm_too_short:
        return "arm_too_short";
    case CheckCode::no_bracket_fits:
        return "no_bracket_fits";
    case CheckCode::bracket_unrated:
        return "bracket_unrated";
    case CheckCode::bracket_overloaded:
        return "bracket_overloaded";
    case CheckCode::bracket_turns:
        return "bracket_turns";
    case CheckCode::fixing_overloaded:
        return "fixing_overloaded";
    case CheckCode::no_fixing:
        return "no_fixing";
    case CheckCode::holes_close:
        return "holes_close";
    case CheckCode::leg_fouls_shelf:
        return "leg_fouls_shelf";
    case CheckCode::leg_fouls_service:
        return "leg_fouls_service";
    case CheckCode::shelf_over_opening:
        return "shelf_over_opening";
    case CheckCode::shelf_over_service:
        return "shelf_over_service";
    case CheckCode::shelf_over_shelf:
        return "shelf_over_shelf";
    case CheckCode::leaves_wall:
        return "leaves_wall";
    case CheckCode::pulls_up:
        return "pulls_up";
    case CheckCode::overhang_unequal:
        return "overhang_unequal";
    case CheckCode::too_short:
        return "too_short";
    case CheckCode::shelf_screw_none:
        return "shelf_screw_none";
    case CheckCode::load_missing:
        return "load_missing";
    case CheckCode::school_not_kept:
        return "school_not_kept";
    }
    std::abort();
}

std::string_view name(Severity severity) {
    switch (severity) {
    case Severity::note:
        return "note";
    case Severity::warning:
        return "warning";
    case Severity::error:
        return "error";
    }
    std::abort();
}

std::size_t count_checks(const Plan& plan, Severity severity) {
    std::size_t total = 0;
    for (const auto& wall : plan.walls)
        for (const ShelfPlan& shelf : wall->shelves)
            total += static_cast<std::size_t>(std::ranges::count(shelf.checks, severity, &Check::severity));
    return total;
}

} // namespace yes_square
