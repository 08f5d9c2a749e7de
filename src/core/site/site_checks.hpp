#pragma once

#include "core/plan/check.hpp"

/// What may be found of things of several kinds.
namespace yes_square::checks {

inline constexpr CheckCode stud_assumed{"stud_assumed", Severity::error};
inline constexpr CheckCode stud_indicated{"stud_indicated", Severity::error};
/// Its first pilot hole is the proof.
inline constexpr CheckCode stud_detected{"stud_detected", Severity::note, Bears::elsewhere};
/// What may bring somebody down hangs on no stud that nobody has met.
inline constexpr CheckCode pilot_first{"pilot_first", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode no_stud{"no_stud", Severity::error};
inline constexpr CheckCode one_stud{"one_stud", Severity::error};
inline constexpr CheckCode hole_without_wall{"hole_without_wall", Severity::error};
inline constexpr CheckCode spacing_over_limit{"spacing_over_limit", Severity::error};
inline constexpr CheckCode sag_over_limit{"sag_over_limit", Severity::error, Bears::elsewhere};
inline constexpr CheckCode board_not_for_damp{"board_not_for_damp", Severity::error, Bears::elsewhere};
inline constexpr CheckCode bracket_turns{"bracket_turns", Severity::error};
inline constexpr CheckCode fixing_overloaded{"fixing_overloaded", Severity::error};
inline constexpr CheckCode no_fixing{"no_fixing", Severity::error};
inline constexpr CheckCode over_opening{"over_opening", Severity::error, Bears::elsewhere};
inline constexpr CheckCode over_service{"over_service", Severity::error, Bears::elsewhere};
inline constexpr CheckCode over_thing{"over_thing", Severity::error, Bears::elsewhere};
inline constexpr CheckCode leaves_wall{"leaves_wall", Severity::error, Bears::elsewhere};
inline constexpr CheckCode over_obstacle{"over_obstacle", Severity::error, Bears::elsewhere};
inline constexpr CheckCode meets_neighbour{"meets_neighbour", Severity::error, Bears::elsewhere};
inline constexpr CheckCode over_ceiling{"over_ceiling", Severity::error, Bears::elsewhere};
inline constexpr CheckCode gap_beside{"gap_beside", Severity::note, Bears::elsewhere};
inline constexpr CheckCode few_studs{"few_studs", Severity::error};
inline constexpr CheckCode leaves_floor{"leaves_floor", Severity::error, Bears::elsewhere};
inline constexpr CheckCode door_meets_wall{"door_meets_wall", Severity::warning, Bears::elsewhere};
inline constexpr CheckCode board_overloaded{"board_overloaded", Severity::error, Bears::elsewhere};
inline constexpr CheckCode thread_short{"thread_short", Severity::error};

} // namespace yes_square::checks
