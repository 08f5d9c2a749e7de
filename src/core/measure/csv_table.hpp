#pragma once

#include <string>
#include <string_view>
#include <tl/expected.hpp>
#include <vector>

namespace yes_square {

/// A line of a table that holds something.
struct CsvLine {
    std::size_t number = 0; ///< in the text, from 1
    std::vector<std::string> cells;
};

/// Reads a table of commas, semicolons or tabs, whichever its first line has, cells in quotes where they need it.
/// Empty lines are left out. The error says what stopped it.
tl::expected<std::vector<CsvLine>, std::string> read_csv(std::string_view table);

/// How a spreadsheet of a country takes figures: with a point, cells parted by commas (RFC 4180); or with a comma,
/// cells parted by semicolons.
enum class CsvFigures { with_points, with_commas };

/// A line of a table: quotes where they are needed, CR LF at its end. What a spreadsheet would take for a formula is
/// marked as text.
/// @param cells  figures with a point
std::string csv_line(const std::vector<std::string>& cells, CsvFigures figures = CsvFigures::with_points);

} // namespace yes_square
