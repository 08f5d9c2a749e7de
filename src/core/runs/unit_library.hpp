#pragma once

#include "core/job/job.hpp"

#include <tl/expected.hpp>

/// Units to lay out: neutral sizes to begin with, and lists that came with a kitchen.
namespace yes_square {

/// A small set of usual sizes. Metric widths are multiples of 100 and 50 mm within the coordinating sizes of EN 1116
/// (from memory), heights 720 mm and tall; inch widths are multiples of 3 in (common practice). Fillers and panels
/// too. They have no ids; names are in English.
std::vector<CabinetUnit> standard_units(Unit unit);

/// A unit of a kind with what usually goes with it: rails, legs' room, hinge, filler limits.
CabinetUnit usual_unit(UnitKind kind, Length width, Length height, Length depth);

/// Reads a list of units: columns code, kind, w, h, d, mass, qty, in any order; kinds as in the job file. A length may
/// be written in any way the program reads one, a bare number is in `unit`; mass is kg. kind, w, h and d are needed.
/// On error the text names line, column and cure, and nothing is taken.
tl::expected<std::vector<ListedUnit>, std::string> units_from_csv(std::string_view table, Unit unit);

/// How many of a listed unit stand in the job's runs already: those with its code, or where it has none its name.
std::size_t placed_of(const ListedUnit& listed, const Job& job);

/// The level of the run a unit belongs to: what is as shallow as a wall unit hangs.
RunLevel level_of(const CabinetUnit& unit);

/// Puts a unit into a run of its level on a wall, where a place along the wall falls among the units: into the run
/// named, if that is of its level, else the first that is, else a new one. Gives the unit its id.
std::string put_unit(Job& job, std::size_t wall, CabinetUnit unit, const std::string& run, Length at);
/// Several, each beside the one before it where both go into one run. @return the last one's id
std::string put_units(Job& job, std::size_t wall, const std::vector<CabinetUnit>& units, const std::string& run,
                      Length at);

} // namespace yes_square
