#pragma once

#include "core/job/boxes.hpp"
#include "core/job/house_rules.hpp"
#include "core/plan/box_plan.hpp"

/// What a box is cut from, and whether it stands square.
namespace yes_square {

/// Parts from the outer sizes and the joints. Sides run through from top to bottom, or top and bottom lie over them and
/// they are two thicknesses shorter, or all four are mitred. A housing lengthens what enters it, less its clearance:
/// width - 2 sides + 2 housings - 2 clearances. A back in a rebate or in grooves shortens the depth of the shelves
/// between top and bottom; it is let in by half the thickness of the boards. Common practice.
std::vector<BoxPart> box_parts(const WallBox& box);

/// How deep the shelves between top and bottom are, front to back.
Length shelf_depth(const WallBox& box);

/// Upper faces of the shelves above the datum, evenly spaced, from the highest.
std::vector<Length> shelf_tops(const WallBox& box);

/// From two measured diagonals of a frame, its bottom level: the top stands (d1^2 - d2^2) / 4 W aside, asin of that
/// over the height out of square. Geometry.
Squareness squareness(Length width, Length height, Length rising, Length falling, const BoxRules& rules);

/// Screws round a back.
std::size_t back_screws(const WallBox& box, const BoxRules& rules);

/// How far the top of a frame stands aside by its diagonals: (rising^2 - falling^2) / (4 width); to the right if more
/// than 0.
Length shear_of_top(Length rising, Length falling, Length width);

} // namespace yes_square
