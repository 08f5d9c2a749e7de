#pragma once

#include "core/runs/run_site.hpp"
#include "core/site/check_writer.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode run_overruns{"run_overruns", Severity::error};
inline constexpr CheckCode run_end_unknown{"run_end_unknown", Severity::error};
inline constexpr CheckCode unit_top_only{"unit_top_only", Severity::error};
inline constexpr CheckCode unit_hardware_unrated{"unit_hardware_unrated", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode unit_cannot_tilt{"unit_cannot_tilt", Severity::error, Bears::elsewhere};
inline constexpr CheckCode hood_near_hob{"hood_near_hob", Severity::error, Bears::elsewhere};
inline constexpr CheckCode lift_over_limit{"lift_over_limit", Severity::warning};
inline constexpr CheckCode legs_run_out{"legs_run_out", Severity::error};
inline constexpr CheckCode opening_not_parallel{"opening_not_parallel", Severity::warning};
inline constexpr CheckCode joint_at_cut_out{"joint_at_cut_out", Severity::warning};
inline constexpr CheckCode filler_out_of_range{"filler_out_of_range", Severity::warning};
inline constexpr CheckCode joint_screw_none{"joint_screw_none", Severity::warning};
inline constexpr CheckCode screw_pin_off{"screw_pin_off", Severity::error};
inline constexpr CheckCode screw_pins_close{"screw_pins_close", Severity::error};
inline constexpr CheckCode screw_pin_misses{"screw_pin_misses", Severity::error};
inline constexpr CheckCode panel_cut_off{"panel_cut_off", Severity::error, Bears::elsewhere};
inline constexpr CheckCode panel_cut_rail{"panel_cut_rail", Severity::error};
inline constexpr CheckCode hook_plate_loose{"hook_plate_loose", Severity::error};
inline constexpr CheckCode hook_plate_off{"hook_plate_off", Severity::error};
inline constexpr CheckCode island_no_wall{"island_no_wall", Severity::error};
inline constexpr CheckCode island_lifts{"island_lifts", Severity::error};
inline constexpr CheckCode island_floor_unknown{"island_floor_unknown", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode island_floor_untold{"island_floor_untold", Severity::note, Bears::elsewhere};
inline constexpr CheckCode island_backs_apart{"island_backs_apart", Severity::warning, Bears::elsewhere};
inline constexpr CheckCode rails_unknown{"rails_unknown", Severity::error, Bears::on_what_is_known};
} // namespace checks

/// A run being reckoned, with its units where they stand.
struct DraftRun {
    const Run& run;
    const std::vector<StandingUnit>& units;
    const RunSite& site;
};

/// What the checkers of a run share.
class RunChecker : protected CheckWriter {
protected:
    RunChecker(const DraftRun& draft, RunPlan& plan)
        : CheckWriter{plan.checks}
        , draft_{draft}
        , site_{draft.site}
        , plan_{plan} {}

    const DraftRun& draft_;
    const RunSite& site_;
    RunPlan& plan_;
};

/// Ends, overrun and gaps, openings, obstacles, other runs, shelves, the next wall, ceiling and floor.
void check_places(const DraftRun& draft, RunPlan& plan);

/// Studs, rails, backs, strips, loads, lifts, hooks, joining screws.
void check_hold(const DraftRun& draft, RunPlan& plan);

/// What is no island, what holds one to the floor, and how its sides meet.
void check_island(const DraftRun& draft, RunPlan& plan);

/// Legs, parallel openings, scribes, hoods, doors, and tall units that must be tilted upright.
void check_fit(const DraftRun& draft, RunPlan& plan);

} // namespace yes_square
