#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

/// The level lines of a room, from what the fitter set and what the room's units need.
namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode lines_missing{"lines_missing", Severity::error};
inline constexpr CheckCode lines_conflict{"lines_conflict", Severity::error};
inline constexpr CheckCode line_not_as_wanted{"line_not_as_wanted", Severity::note};
} // namespace checks

/// A relation and where it comes from. Units' own come first, since a carcass does not give way to a wish.
struct SourcedRelation {
    LineRelation relation;
    std::optional<std::size_t> of_room; ///< its number among the room's relations; none: a unit's need
    std::string unit;                   ///< name of the unit that needs it
    Provenance provenance = Provenance::measured;
};

/// What the units of a room need of its lines, then the room's own relations:
/// the worktop over an undercounter appliance, the unit over a cooling appliance, a hood over its hob, a microwave
/// under a wall unit, carcasses and tall units on the plinth, wall units clear of the worktop.
/// A hood without a maker's figure keeps RunRules::hood_over_hob.
std::vector<SourcedRelation> relations_of(const Job& job, const Room& room);

/// Solves them. Lines that a unit hangs on and nobody named are added. Never throws for a strange room.
RoomLines reckon_lines(const Job& job, const Room& room);

/// A usual set of lines to begin with, in whole mm or inches (common practice): plinth, carcass, worktop, splash gap,
/// wall and tall units with their tops in one line, hook brackets, suspension rail.
struct HouseLines {
    std::vector<LevelLine> lines;
    std::vector<LineRelation> relations;
};
HouseLines house_lines(Unit unit, const RunRules& rules);

} // namespace yes_square
