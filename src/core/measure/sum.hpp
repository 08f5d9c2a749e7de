#pragma once

#include "core/measure/sentence.hpp"

#include <optional>
#include <span>

namespace yes_square {

/// What a sum over numbered terms comes to: "({0} - 2 x {1}) / {2}". Knows + - x / and brackets, sqrt(a), arccos(a),
/// max(a, b) and min(a, b). None: it is no sum of ours, or a term is missing.
std::optional<double> redo(std::string_view sum, std::span<const double> terms);

/// A quantity as it is printed, and the figure that a reader takes from the paper.
struct Printed {
    std::string text;
    double si = 0;
};
/// @param digits  more than are usual for its kind, so that a sum of several still adds up: 0, 1, 2 ...
Printed printed(const Quantity& quantity, const Voice& voice, int digits = 0);

} // namespace yes_square
