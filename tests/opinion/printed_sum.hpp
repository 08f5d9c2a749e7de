#pragma once

#include <optional>
#include <string_view>

namespace opinion {

/// How far a printed sum, "1665 mm - 22 mm = 1643 mm", is from its printed result, in halves of the result's last
/// place: up to 1 it adds up. Read as a person with a pocket calculator would: figures with their units, fractions of
/// an inch, + - x / and brackets, sqrt, arccos, max, min. None: it is no sum.
std::optional<double> halves_off(std::string_view printed);

} // namespace opinion
