#pragma once

#include "core/job/survey.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// What a kind of evidence looks like on the wall: a stretch of it from the front, or cut level where that shows more.
/// @param width, height  mm of paper
Drawing draw_evidence(EvidenceKind kind, double width, double height);

} // namespace yes_square
