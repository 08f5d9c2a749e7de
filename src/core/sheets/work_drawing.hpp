#pragma once

#include "core/measure/sentence.hpp"
#include "core/plan/part.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// The worked face of a part to scale, the end and the edge that all is measured from at the left and at the top, every
/// cut hatched, each distance from the end under it and from the edge beside it.
/// @param width, most_height  mm of paper; the drawing is as high as it needs
Drawing draw_work(const PartWork& work, double width, double most_height, double text, const Voice& voice);

} // namespace yes_square
