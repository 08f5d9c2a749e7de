#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// What a fixing holds in, best first.
enum class Substrate {
    masonry,
    proved_stud,
    joist,
    floor,
    side_wall,
    nogging,
    detected_stud,
    indicated_stud,
    assumed_stud,
    lining
};

/// What a stud is to a fixing.
inline Substrate substrate_of(StudState state) {
    switch (state) {
    case StudState::proved:
        return Substrate::proved_stud;
    case StudState::detected:
        return Substrate::detected_stud;
    case StudState::indicated:
        return Substrate::indicated_stud;
    case StudState::assumed:
        break;
    }
    return Substrate::assumed_stud;
}

/// Whether a fixing there may carry.
inline bool carries(Substrate substrate) {
    return substrate != Substrate::lining;
}

} // namespace yes_square
