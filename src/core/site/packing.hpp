#pragma once

#include "core/job/along.hpp"
#include "core/plan/check.hpp"
#include "core/survey/face.hpp"

namespace yes_square {

/// The sum behind the packing at a place: the gap read there, less that at the proudest place, along the line fitted to
/// all readings. `face` has readings.
Working packing_working(std::string subject, Sentence title, const FaceProfile& face,
                        const FaceProfile::Deepest& deepest, const Tape& tape);

} // namespace yes_square
