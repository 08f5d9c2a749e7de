#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"

/// What a wall is made of, from what a drill met on its way in.
namespace yes_square {

/// "white, soft dust": how it looks and feels, as the aid asks for it.
std::string_view words(DrillMet met);

struct WallBuildUp {
    std::vector<LiningLayer> lining;
    Length behind_lining; ///< depth at which the lining ends
    Length hollow;        ///< void between lining and structure: dabs, battens, or the cavity between studs
    std::optional<Structure> structure; ///< none: the hole ended too soon to tell
    Sentence words;                     ///< "plasterboard 12.5 mm on timber studs"
    std::vector<Sentence> doubts;       ///< what to look into before trusting it
};

/// Layers are taken in the order of their depth. Framing keeps the figures of `known` where the wall was framed
/// already.
WallBuildUp build_up_of(const TrialHole& hole, const Structure& known);

} // namespace yes_square
