#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

/// Floor and face seen along the wall, heights and depths drawn many times larger than lengths.
namespace yes_square {

/// The floor as it is now, the finished floor above it and the high point, with the figures of each reading.
Drawing draw_floor_profile(const Wall& wall, const FloorProfile& floor, double width, double height, double text,
                           const Voice& voice);

/// The wall from above at one height: its face, and the straight front with the packing between them.
Drawing draw_face_profile(const Wall& wall, const FaceProfile& face, std::size_t row, double width, double height,
                          double text, const Voice& voice);

} // namespace yes_square
