#pragma once

#include "core/job/job.hpp"

#include <vector>

namespace yes_square {

/// What the probe readings at one place come to. Readings nearer than 1 mm are of one place; there the majority says.
struct ProbedPlace {
    Length x;
    int hits = 0;
    int misses = 0;
    bool settled() const { return hits != misses; }
    bool wood() const { return hits > misses; }
    bool disputed() const { return hits > 0 && misses > 0; }
};

/// Probe readings in order along the wall; a probed edge counts as the miss and the hit that closed it.
std::vector<ProbedPlace> probed_places(const std::vector<Observation>& observations, const StudRules& rules);

/// Wood between two edges, each closed to a miss and a hit no farther apart than the edge gap.
struct ProvedWood {
    enum class Verdict { stud, doubled_stud, not_a_plain_stud };
    Length left; ///< edge, the middle between its miss and its hit
    Length right;
    Length uncertainty = {}; ///< standard uncertainty of the centre: each edge is anywhere in its gap
    Verdict verdict = Verdict::stud;
    Length centre() const { return (left + right) / 2; }
    Length width() const { return right - left; }
};

/// Every piece of wood with both edges closed. A stud is 38 mm wide, 35 to 41 counting a probe's wander; two side by
/// side 72 to 80. Another width is a nogging, a pipe, a corner pack: not a plain stud. Common practice.
std::vector<ProvedWood> proved_wood(const std::vector<ProbedPlace>& places, Length stud_width, const StudRules& rules);

} // namespace yes_square
