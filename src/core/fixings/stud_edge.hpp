#pragma once

#include "core/job/job.hpp"

/// Where in a stud a fixing may go.
namespace yes_square {

/// The wood screw that a stud has to have room for.
const ScrewProperties& usual_screw(TimberSchool school);
/// The thinnest that is taken where the usual one has no room.
const ScrewProperties& thinnest_screw(TimberSchool school);

/// What is driven or bored into a stud, and how near its edge that may come.
enum class Driven { screw, rod };

/// How far off a stud's centre a fixing may go: half the stud - edge - 2 s - wander, where edge = max(10 mm, n D), n of
/// screws 2.5 by NDS (common practice) and 3 by EN 1995-1-1 (table 8.2, piloted), of rods and of coach screws by NDS,
/// piloted, 1.5; s is the standard uncertainty of the centre. Zero or less: refuse, or prove the stud better.
Length usable_half_width(const Framing& framing, Length uncertainty, double screw_diameter_in, const HouseRules& rules,
                         Driven driven = Driven::screw);

/// How far inside a stud's edge a hole at x is sure to be, the stud's centre known to its uncertainty.
Length to_edge_of(const Framing& framing, const Stud& stud, Length x, const HouseRules& rules);

/// How near a stud's centre a fixing in a nogging beside it may not come: the stud, the edge distance from the
/// nogging's end, and the drill's wander.
Length blocked_half_width(const Framing& framing, const HouseRules& rules);

/// Whether a usual screw aimed at a stud's centre is sure to be in it, as well as its place is known.
bool holds_usual_screw(const Framing& framing, const Stud& stud, const HouseRules& rules);

/// How far a screw keeps from the edge of the wood it is in: see usable_half_width().
Length edge_distance(const ScrewProperties& screw, TimberSchool school);
/// How far it wants to either edge from the middle of its stud: by EN 4 D (table 8.6), by NDS no more than that.
Length middle_distance(const ScrewProperties& screw, TimberSchool school);

} // namespace yes_square
