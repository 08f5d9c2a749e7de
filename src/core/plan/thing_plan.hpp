#pragma once

#include "core/job/job.hpp"
#include "core/job/listed.hpp"
#include "core/plan/check.hpp"
#include "core/plan/outline.hpp"
#include "core/plan/part.hpp"
#include "core/plan/planned_hole.hpp"
#include "core/plan/supply.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// Room that something takes on a wall.
struct WallThing {
    std::string id;
    std::string name;
    Outline box;
    Length depth; ///< out of the wall
};

/// A strip of a thing on the wall beside its end, whose screws are in no plan of its own wall.
struct StripBeside {
    PlannedHole worst; ///< of its screws the one that is used most; where it is, is not told
    Wall ground;       ///< how that wall is built
};

/// What every thing's plan has, whatever its kind. All lists, tables, drawings of the day read this and know no kind.
struct ThingPlan {
    std::string id;
    std::string name;
    std::vector<WallThing> room; ///< it takes: a shelf once for each tier and strip, a run its units, a light none
    std::vector<PlannedLine> lines;
    std::vector<PlannedHole> holes; ///< in its wall
    std::vector<StripBeside> beside;
    std::vector<CutPart> parts;
    std::vector<Supply> supplies;
    std::vector<Step> steps;
    std::vector<Working> workings;
    std::vector<Check> checks;
    Tape tape = {}; ///< as its places are said
};

/// Whether a thing stays up, by its holes and its checks: what label, inventory, screen and JSON promise of it.
enum class Holds { yes, light, unknown, no };
std::string_view name(Holds holds);
/// As it is meant: fully, or for light use.
constexpr bool stays_up(Holds holds) {
    return holds == Holds::yes || holds == Holds::light;
}

/// No: an error that bears on it stands, or a hole that carries is used beyond what it bears. Unknown: what a hole
/// bears is not known, none of its holes carries, or a check says that something is not known. Light: it hangs on the
/// lining, by figures of a packet. A thing without holes and without such checks stands by itself: yes.
Holds holds(const ThingPlan& plan);

/// Adds the holes of a part of a thing; their places are counted on from those it has.
void add_holes(ThingPlan& plan, const std::vector<PlannedHole>& holes);

/// A listed kind's own plan: `using type`, a ThingPlan.
template <class Kind>
struct PlanOf;

/// Plans of one listed kind, and of each of them, as a wall keeps them.
template <class Kind>
struct KeptPlans {
    std::vector<typename PlanOf<Kind>::type> plans;
};
template <class List>
struct KeptPlansOf;
template <class... Kinds>
struct KeptPlansOf<KindList<Kinds...>> : KeptPlans<Kinds>... {};

} // namespace yes_square
