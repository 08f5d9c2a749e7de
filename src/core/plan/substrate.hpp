#pragma once

namespace yes_square {

/// What a fixing holds in, best first.
enum class Substrate { masonry, proved_stud, joist, nogging, indicated_stud, assumed_stud, lining };

/// Whether a fixing there may carry.
inline bool carries(Substrate substrate) {
    return substrate != Substrate::lining;
}

} // namespace yes_square
