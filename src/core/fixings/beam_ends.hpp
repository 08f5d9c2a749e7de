#pragma once

#include "core/job/house_rules.hpp"
#include "core/plan/check.hpp"

#include <optional>
#include <span>

/// A piece that is held at its two ends and screwed to between them: a nogging, a strip that a box hangs by.
namespace yes_square {

struct OnBeam {
    double from_left = 0; ///< share of the way from its left end to its right
    std::span<const HoleDemand> demands;
};

/// On one of its ends: as it is, and as much of what lies there for good as would use the screws in it alike, since
/// wood bears a little more of what people do for a moment.
struct EndLoad {
    Force is = 0;
    Force counts = 0;

    EndLoad operator+(const EndLoad& other) const { return {is + other.is, counts + other.counts}; }
    bool operator<(const EndLoad& other) const { return counts < other.counts; }
};
struct BeamEnds {
    EndLoad left;
    EndLoad right;
};

/// What fixings of one thing put on both ends by the lever, down and out together, each in its worst case. Where all
/// have as many cases these come together one by one; else each fixing's worst come together. None: of one of them
/// nobody knows what it has to bear.
std::optional<BeamEnds> beam_ends(std::span<const OnBeam> loads, TimberSchool school);

} // namespace yes_square
