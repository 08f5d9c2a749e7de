#pragma once

#include "core/measure/physical.hpp"
#include "core/plan/run_plan.hpp"

/// What follows from a box made for a wall, and from a cabinet that hangs there already.
namespace yes_square {

struct BoxPart {
    std::string_view what;
    std::size_t number = 1;
    Length length;
    Length breadth;
    Length thickness;
    std::string_view mind; ///< how it is let in; empty: nothing to mind
    PartWork work = {};
    bool operator==(const BoxPart&) const = default;
};

/// How far the measured diagonals are from equal, and what puts it right.
struct Squareness {
    Length top_moves; ///< for the box to be square, along its top
    bool to_right = false;
    double angle = 0; ///< rad, out of square
    bool within = false;
};

struct BoxPlan : ThingPlan {
    std::vector<BoxPart> pieces; ///< alike ones counted
    Length diagonal;             ///< of the outer frame, when square
    std::optional<Squareness> square;
    std::vector<Length> shelf_tops; ///< above the datum, from the highest
    SagVerdict sag;                 ///< of a shelf
    Utilisation board_utilisation = Utilisation::none();
    Mass mass = 0;
    Mass loaded_mass = 0;
    std::size_t back_screws = 0;  ///< that hold the back to the box
    std::size_t joint_screws = 0; ///< that hold its boards to one another
    Utilisation joint;            ///< of the worst of those, where a shelf stands between the sides on screws alone
    Utilisation strips = Utilisation::none(); ///< of those in the ends of the strips that it hangs by
    std::optional<Mass> holds;                ///< on one stud: what may lie in it, spread out; none: two, or nothing
    UnitPlan hang;                            ///< its fixings to the wall
};

enum class HungVerdict { sound, add, unload };

std::string_view words(HungVerdict verdict);

/// What a screw that was found comes to.
struct FoundVerdict {
    bool counts = false;
    Length x; ///< on the wall
    Length z;
    Sentence why; ///< it does not; or what it is in
};

struct HungPlan : ThingPlan {
    HungVerdict verdict = HungVerdict::unload;
    Mass loaded_mass = 0;
    Utilisation utilisation; ///< of the worst screw that counts, as found; unknown: nothing counts
    std::size_t counts = 0;  ///< screws that count
    UnitPlan wanted;         ///< how it would be fixed afresh
    std::size_t add_top = 0;
    std::size_t add_bottom = 0;
    std::vector<FoundVerdict> found; ///< as in the cabinet
};

} // namespace yes_square
