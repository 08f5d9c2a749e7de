#pragma once

#include "core/job/job.hpp"

#include <string>
#include <string_view>
#include <tl/expected.hpp>

/// The readings of a wall as a CSV table, one reading a line, so that they can come from and go to a spreadsheet or
/// another device. See docs/survey-csv.md.
///
///     kind,x_mm,z_mm,width_mm,height_mm,reading_mm,error_mm
///     probe_hit,1043,,,,,
///     floor,0,,,,1032,
namespace yes_square {

/// Everything that was read or found on the wall, in walking order within each kind, along it as its tape reads.
std::string readings_csv(const Wall& wall);

/// Adds the readings of a table to a wall. A length may be written in any way the program reads one; a bare number is
/// mm. Columns are found by their names, in any order; a column that is not known is an error, as is a figure a kind
/// has no use for. On error the wall is as it was, and the text names line, column and cure.
tl::expected<std::size_t, std::string> add_readings_csv(std::string_view text, Wall& wall);

} // namespace yes_square
