#pragma once

#include "core/survey/find_studs.hpp"

#include <random>

/// A wall whose studs are known but not to the one who probes: for the trainer, and for measuring how good the advice
/// is.
namespace yes_square {

struct HiddenStud {
    Length centre;
    Length width;
};

struct HiddenWall {
    Wall wall; ///< what can be seen of it: size, ends, openings
    Length spacing;
    std::vector<HiddenStud> studs; ///< in order
    bool wood_at(Length x) const;
    /// The true stud nearest to x, within `reach`; none: nothing there.
    const HiddenStud* stud_near(Length x, Length reach) const;
};

/// How a hidden wall is made up.
struct HiddenWallMix {
    Length length = 3600_mm;
    double irregular = 0.15; ///< share of walls whose framing was moved or repaired: more missing and extra studs
    double opening = 0.4;    ///< share of walls with a window or door
};

/// Seeded: the same engine gives the same wall.
HiddenWall make_hidden_wall(std::mt19937_64& random, const HiddenWallMix& mix);

/// Traces seen before the first hole: a detector's middles, nail pops, lines of screws; most are studs', some are not.
std::vector<Observation> visible_traces(const HiddenWall& hidden, std::mt19937_64& random);

/// Where the work will go: the longest part clear of openings, at most 1.8 m of its middle.
Stretch where_work_goes(const HiddenWall& hidden);

/// A probe that reads wrong now and then.
bool probe(const HiddenWall& hidden, Length x, double wrong, std::mt19937_64& random);

/// What probing a stretch came to.
struct ProbeSession {
    std::size_t holes = 0;
    std::vector<Stud> proved;
    std::vector<FoundStud> found; ///< all that was thought at the end
    std::vector<Observation> readings;
};

/// Follows the advice until every stud under the stretch is proved.
ProbeSession probe_by_advice(const HiddenWall& hidden, Stretch stretch, double wrong, std::mt19937_64& random,
                             std::vector<Observation> known = {});

/// Steps along the stretch every `step`, then closes both edges of all wood met by halving.
ProbeSession probe_by_stepping(const HiddenWall& hidden, Stretch stretch, Length step, double wrong,
                               std::mt19937_64& random);

/// How probing a hidden wall went, beside how the advice would have gone.
struct PracticeResult {
    std::size_t holes = 0;
    std::size_t studs = 0;  ///< really there, under the stretch
    std::size_t proved = 0; ///< of those
    std::size_t wrong = 0;  ///< proved where none is
    std::size_t advice_holes = 0;
};
PracticeResult judge_practice(const HiddenWall& hidden, Stretch stretch, const std::vector<Observation>& readings,
                              std::mt19937_64& random);

} // namespace yes_square
