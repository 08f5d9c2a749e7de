#include "core/plan/plan.hpp"

#include <algorithm>
#include <array>
#include <cstdlib>

namespace yes_square {

void add_holes(ThingPlan& plan, const std::vector<PlannedHole>& holes) {
    const std::size_t from = plan.holes.empty() ? 0 : std::ranges::max(plan.holes, {}, &PlannedHole::place).place + 1;
    for (const PlannedHole& hole : holes)
        plan.holes.emplace_back(hole).place += from;
}

std::string_view sum_of(std::size_t terms) {
    static const auto patterns = [] {
        std::array<std::string, 300> all; // more than anything has terms (job/ranges.hpp)
        for (std::size_t i = 1; i < all.size(); ++i)
            all[i] = all[i - 1] + (i > 1 ? " + " : "") + "{" + std::to_string(i - 1) + "}";
        return all;
    }();
    return terms < patterns.size() ? std::string_view{patterns[terms]} : std::string_view{};
}

Step detector_step() {
    Step step{{"Go over the marks with a detector, services switched off. Do not drill where it answers"}, true};
    step.of_wall = true;
    return step;
}

std::string_view words(Phase phase) {
    switch (phase) {
    case Phase::ready:
        return "make ready";
    case Phase::mark:
        return "mark";
    case Phase::drill:
        return "drill";
    case Phase::assemble:
        return "put together";
    case Phase::hang:
        return "hang";
    case Phase::cure:
        return "wait";
    case Phase::adjust:
        return "set true and tighten";
    case Phase::prove:
        return "prove";
    }
    return {};
}

std::string_view words(Verdict verdict) {
    switch (verdict) {
    case Verdict::within:
        return "may stay";
    case Verdict::unsure:
        return "too close to tell";
    case Verdict::out:
        return "to be put right";
    }
    return {};
}

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
    case CheckCode::shelf_over_obstacle:
        return "shelf_over_obstacle";
    case CheckCode::shelf_meets_neighbour:
        return "shelf_meets_neighbour";
    case CheckCode::shelf_over_ceiling:
        return "shelf_over_ceiling";
    case CheckCode::reading_off_wall:
        return "reading_off_wall";
    case CheckCode::evidence_doubtful:
        return "evidence_doubtful";
    case CheckCode::no_wood_behind:
        return "no_wood_behind";
    case CheckCode::ceiling_differs:
        return "ceiling_differs";
    case CheckCode::floor_falls:
        return "floor_falls";
    case CheckCode::ceiling_without_floor:
        return "ceiling_without_floor";
    case CheckCode::ends_not_parallel:
        return "ends_not_parallel";
    case CheckCode::face_not_straight:
        return "face_not_straight";
    case CheckCode::corner_not_square:
        return "corner_not_square";
    case CheckCode::corner_impossible:
        return "corner_impossible";
    case CheckCode::build_up_differs:
        return "build_up_differs";
    case CheckCode::room_does_not_close:
        return "room_does_not_close";
    case CheckCode::lines_missing:
        return "lines_missing";
    case CheckCode::lines_conflict:
        return "lines_conflict";
    case CheckCode::line_not_as_wanted:
        return "line_not_as_wanted";
    case CheckCode::run_overruns:
        return "run_overruns";
    case CheckCode::run_gap:
        return "run_gap";
    case CheckCode::run_end_unknown:
        return "run_end_unknown";
    case CheckCode::run_over_opening:
        return "run_over_opening";
    case CheckCode::run_over_obstacle:
        return "run_over_obstacle";
    case CheckCode::run_over_unit:
        return "run_over_unit";
    case CheckCode::run_meets_neighbour:
        return "run_meets_neighbour";
    case CheckCode::unit_few_studs:
        return "unit_few_studs";
    case CheckCode::unit_top_only:
        return "unit_top_only";
    case CheckCode::unit_hardware_unrated:
        return "unit_hardware_unrated";
    case CheckCode::unit_over_ceiling:
        return "unit_over_ceiling";
    case CheckCode::unit_cannot_tilt:
        return "unit_cannot_tilt";
    case CheckCode::unit_leaves_floor:
        return "unit_leaves_floor";
    case CheckCode::hood_near_hob:
        return "hood_near_hob";
    case CheckCode::door_meets_wall:
        return "door_meets_wall";
    case CheckCode::lift_over_limit:
        return "lift_over_limit";
    case CheckCode::legs_run_out:
        return "legs_run_out";
    case CheckCode::opening_not_parallel:
        return "opening_not_parallel";
    case CheckCode::filler_out_of_range:
        return "filler_out_of_range";
    case CheckCode::joint_screw_none:
        return "joint_screw_none";
    case CheckCode::face_unread:
        return "face_unread";
    case CheckCode::joint_unsupported:
        return "joint_unsupported";
    case CheckCode::board_too_long:
        return "board_too_long";
    case CheckCode::board_overloaded:
        return "board_overloaded";
    case CheckCode::tiers_too_close:
        return "tiers_too_close";
    case CheckCode::slots_missed:
        return "slots_missed";
    case CheckCode::upright_too_short:
        return "upright_too_short";
    case CheckCode::hole_must_hold:
        return "hole_must_hold";
    case CheckCode::plate_few_holes:
        return "plate_few_holes";
    case CheckCode::keyhole_lifts:
        return "keyhole_lifts";
    case CheckCode::keyhole_no_room:
        return "keyhole_no_room";
    case CheckCode::rod_too_thick:
        return "rod_too_thick";
    case CheckCode::rod_edge_unknown:
        return "rod_edge_unknown";
    case CheckCode::rod_sinks:
        return "rod_sinks";
    case CheckCode::rod_through_stud:
        return "rod_through_stud";
    case CheckCode::cleat_sides_missing:
        return "cleat_sides_missing";
    case CheckCode::cleat_wall_unknown:
        return "cleat_wall_unknown";
    case CheckCode::goods_off_shelf:
        return "goods_off_shelf";
    case CheckCode::nogging_needed:
        return "nogging_needed";
    case CheckCode::hanger_misses_joist:
        return "hanger_misses_joist";
    case CheckCode::desk_height:
        return "desk_height";
    case CheckCode::piece_tips:
        return "piece_tips";
    case CheckCode::restraint_advised:
        return "restraint_advised";
    case CheckCode::restraint_refused:
        return "restraint_refused";
    case CheckCode::restraint_short:
        return "restraint_short";
    case CheckCode::restraint_few:
        return "restraint_few";
    case CheckCode::restraint_unrated:
        return "restraint_unrated";
    case CheckCode::bays_overrun:
        return "bays_overrun";
    case CheckCode::bay_width:
        return "bay_width";
    case CheckCode::bay_narrow:
        return "bay_narrow";
    case CheckCode::bay_hidden:
        return "bay_hidden";
    case CheckCode::rod_sags:
        return "rod_sags";
    case CheckCode::rod_overloaded:
        return "rod_overloaded";
    case CheckCode::clothes_too_long:
        return "clothes_too_long";
    case CheckCode::goods_do_not_fit:
        return "goods_do_not_fit";
    case CheckCode::panel_out_of_plumb:
        return "panel_out_of_plumb";
    case CheckCode::panel_cannot_tilt:
        return "panel_cannot_tilt";
    case CheckCode::panel_lift:
        return "panel_lift";
    case CheckCode::cleat_misses_studs:
        return "cleat_misses_studs";
    case CheckCode::systems_collide:
        return "systems_collide";
    case CheckCode::box_back_pinned:
        return "box_back_pinned";
    case CheckCode::box_back_thin:
        return "box_back_thin";
    case CheckCode::box_not_square:
        return "box_not_square";
    case CheckCode::box_cannot_be_made:
        return "box_cannot_be_made";
    case CheckCode::hung_unsound:
        return "hung_unsound";
    case CheckCode::hole_left_over:
        return "hole_left_over";
    case CheckCode::feed_drops:
        return "feed_drops";
    case CheckCode::feed_overloaded:
        return "feed_overloaded";
    case CheckCode::feed_along_nothing:
        return "feed_along_nothing";
    case CheckCode::stock_too_short:
        return "stock_too_short";
    case CheckCode::hole_outside:
        return "hole_outside";
    case CheckCode::rails_unknown:
        return "rails_unknown";
    case CheckCode::not_reckoned:
        return "not_reckoned";
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

std::vector<OwnedCheck> checks_of(const WallPlan& wall) {
    std::vector<OwnedCheck> checks;
    const auto add = [&](std::string_view owner, const std::vector<Check>& of) {
        for (const Check& check : of)
            checks.push_back({wall.wall_name, owner, &check});
    };
    add(wall.wall_name, wall.survey.checks);
    add(wall.wall_name, wall.checks);
    for_each_thing(wall, [&](const ThingPlan& thing) { add(thing.name, thing.checks); });
    return checks;
}

std::vector<OwnedCheck> all_checks(const Plan& plan, const Job& job) {
    std::vector<OwnedCheck> checks;
    for (std::size_t i = 0; i < plan.rooms.size(); ++i)
        for (const auto* of_room : {&plan.rooms[i].checks, &plan.rooms[i].lines.checks})
            for (const Check& check : *of_room)
                checks.push_back({{}, job.rooms[i].name, &check});
    for (const auto& wall : plan.walls)
        std::ranges::copy(checks_of(*wall), std::back_inserter(checks));
    return checks;
}

std::size_t count_checks(const Plan& plan, Severity severity) {
    const auto in = [&](const std::vector<Check>& checks) {
        return static_cast<std::size_t>(std::ranges::count(checks, severity, &Check::severity));
    };
    std::size_t total = 0;
    for (const RoomSurvey& room : plan.rooms)
        total += in(room.checks) + in(room.lines.checks);
    for (const auto& wall : plan.walls)
        for (const OwnedCheck& owned : checks_of(*wall))
            total += owned.check->severity == severity;
    return total;
}

} // namespace yes_square
