#pragma once

#include "core/plan/thing_plan.hpp"
#include "core/site/wall_site.hpp"

/// What hidden services say of the holes of a thing.
namespace yes_square {

/// What it may find.
namespace checks {
/// In what a detector found, or where the fitter drills nothing.
inline constexpr CheckCode in_service_strip{"in_service_strip", Severity::error};
/// Where a service is only likely, by what shows: nobody drills there, and nothing hangs on it, before a detector has
/// read clear. Its word settles it.
inline constexpr CheckCode detect_first{"detect_first", Severity::warning, Bears::on_what_is_known};
} // namespace checks

/// One check for each strip that any of some holes lies in, with what to do about it.
/// @param of     whose holes they are, where a thing has several: a unit of a run, its rail; else empty
std::vector<Check> strip_checks(const std::string& of, const std::vector<PlannedHole>& holes, const WallSite& site);

/// The pilot hole that is the only proof of a stud, as long as nobody but a detector found it: before any other hole
/// in it.
void say_pilot_first(ThingPlan& thing, const WallSite& site);

/// What is to be gone over with a detector before which of its holes is drilled: said among the thing's steps, after
/// the detector's.
void say_detect_first(ThingPlan& thing, const WallSite& site);

} // namespace yes_square
