#pragma once

#include "core/measure/length.hpp"

#include <optional>
#include <vector>

/// Heights that hang on one another, solved together.
///
/// Each bound says that one height lies at least so much above another; "at most" and "exactly" are bounds the other
/// way and both ways. Nodes are numbered; node 0 is the floor, at 0.
namespace yes_square {

/// z[upper] - z[lower] >= by.
struct HeightBound {
    std::size_t upper = 0;
    std::size_t lower = 0;
    Length by;
    std::size_t relation = 0; ///< whose it is, for the caller; `no_relation`: the program's own

    static constexpr std::size_t no_relation = static_cast<std::size_t>(-1);
};

/// Bounds that cannot all hold: going round them ends this much too high.
struct HeightConflict {
    std::vector<std::size_t> relations; ///< in the order they follow one another, each once
    Length amount;
    std::size_t dropped = 0; ///< the relation that was left out so that the rest could be solved
};

struct SolvedHeights {
    std::vector<Length> z;
    std::vector<Length> least;               ///< as low as each could lie, by itself
    std::vector<std::optional<Length>> most; ///< as high; none: nothing holds it down
    /// The bounds that carry each height up from the floor, floor first. A wish is one of the program's own.
    std::vector<std::vector<HeightBound>> up;
    std::vector<HeightConflict> conflicts;
};

/// Every height as low as the bounds let it lie, but those wanted somewhere as near as they can come, in order: the
/// first wish is met before the second is looked at. Bounds that contradict one another are reported and the last of
/// them, as counted by relation, is left out. No height lies below the floor unless a bound puts it there.
/// Exact: integer longest paths (Bellman and Ford).
/// @param wanted  one for each node; the floor's is ignored
SolvedHeights solve_heights(std::size_t nodes, const std::vector<HeightBound>& bounds,
                            const std::vector<std::optional<Length>>& wanted);

} // namespace yes_square
