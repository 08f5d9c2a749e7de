#pragma once

#include "core/job/runs.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/check.hpp"
#include "core/plan/substrate.hpp"
#include "core/plan/thing_plan.hpp"

#include <algorithm>
#include <optional>
#include <string>
#include <vector>

/// What follows from a run of cabinets: where each unit stands, how it is fixed and levelled, in what order.
namespace yes_square {

struct PlacedUnit {
    Length left; ///< from the wall's left end
    Length width;
    Length right() const { return left + width; }
    bool operator==(const PlacedUnit&) const = default;
};

/// Where a run's units stand along the wall.
struct RunLayout {
    Length from;                   ///< where the run may begin
    std::optional<Length> to;      ///< where it must end; none: open
    std::vector<PlacedUnit> units; ///< as in the run
    Length slack;                  ///< room its units leave, fillers at their widths; less than 0: they overrun
    bool ends_known = true;        ///< what it begins and ends at exists

    Length left() const { return units.empty() ? from : units.front().left; }
    Length right() const { return units.empty() ? from : units.back().right(); }
    bool operator==(const RunLayout&) const = default;
};

/// How far a chain of units, rigid between two fillers, may be slid, and what each place loses.
struct SlideBand {
    Length from; ///< places of the chain's left end
    Length to;
    std::vector<std::size_t> lost; ///< units, by number in the run, that miss studs there; empty: all hold
};

struct SlideChain {
    std::size_t first = 0; ///< units of the run
    std::size_t last = 0;
    Length now;                   ///< where its left end is
    Length least;                 ///< how far left it may go
    Length most;                  ///< and how far right
    std::vector<SlideBand> bands; ///< in order, from least to most
};

/// Whether a run can be slid so that every unit that hangs by screws has them in proved studs.
struct StudSlide {
    std::vector<SlideChain> chains;
    bool needed = false;            ///< some unit hangs by screws in studs
    std::vector<std::size_t> lost;  ///< units, by number, that miss studs where they are
    bool possible = false;          ///< all would, somewhere within the slack
    std::vector<Length> places;     ///< of the chains' left ends where all hold, moved least in total
    Length moved;                   ///< the total of the moves
    std::vector<std::size_t> never; ///< units, by number, that hold nowhere within the slack
    bool holds_now() const { return lost.empty(); }
};

struct Foot {
    Length x;
    bool front = true;
    Length height; ///< of leg or shim, over what the unit stands on
    Length packer; ///< of that, a strip the legs cannot make up
};

/// A screw through two sides.
struct JoinScrew {
    std::size_t left_unit = 0; ///< joined to the next
    Length passes;             ///< both sides or stiles together
    std::optional<Length> length;
};

struct UnitPlan {
    std::string unit_id;
    std::string name;
    PlacedUnit place;
    Length bottom;
    Length top;
    Mass empty_mass = 0;
    bool empty_known = true; ///< false: reckoned from its panels
    Mass loaded_mass = 0;
    Mass lift_mass = 0;             ///< doors and loose shelves off
    Length side;                    ///< how thick its sides are
    std::vector<PlannedHole> holes; ///< through its rails: a row each; or of its hook plates
    bool on_plates = false;         ///< they are its hook plates', and nothing goes through its back
    std::optional<Fixing> fixing;
    std::vector<LoadCase> loads; ///< on all its holes together
    bool turns = false;          ///< in one of them nothing keeps it from turning off the wall
    Force tension = 0;           ///< on the hole that is used most, in the case that governs
    Force shear = 0;
    std::string_view governing; ///< that case
    Utilisation utilisation;
    bool rails_unknown = false;       ///< nobody entered what its screws go through
    std::vector<Length> out_of_reach; ///< proved studs behind it, too near its sides for a driver inside
    Force tip_needs = 0;              ///< of a tall unit: what all that keeps it from tipping must hold
    std::optional<Force> hook_load;
    Utilisation hook_utilisation;
    std::vector<Foot> feet;

    /// A hole from the unit's outer left edge, seen from the front; from its left side's inner face; from its right's.
    Length from_left(const PlannedHole& hole) const { return hole.x - place.left; }
    Length inside_left(const PlannedHole& hole) const { return from_left(hole) - side; }
    Length inside_right(const PlannedHole& hole) const { return place.right() - side - hole.x; }
};

/// How a suspension rail is fixed for what hangs on it.
struct RailHold {
    std::vector<PlannedHole> places; ///< as its fixings; what one screw bears there
    std::vector<LoadCase> loads;     ///< its hooks: a weight each, and its pull off the wall as a moment about no lever
    std::optional<Fixing> fixing;
    Utilisation utilisation; ///< unknown: it has fewer than two fixings, or nothing hangs on it
    std::size_t screws = 1;  ///< at each place: a second one where one does not bear it
};

/// A strip cut for the run: rail, worktop, plinth, ledger, packer.
struct RunPiece {
    enum class What { worktop, plinth, suspension_rail, ledger, channel };
    What what = What::plinth;
    Length from; ///< along the wall
    Length to;
    Length z;       ///< of the edge it is set by: a rail's and a ledger's lower, a worktop's and a channel's top
    Length breadth; ///< worktop: front to back; plinth, channel: height
    std::vector<Length> cuts;          ///< its lengths, left to right
    std::vector<Length> fixings;       ///< places of its screws along the wall
    RailHold hold = {};                ///< of a suspension rail
    std::size_t screws = 0;            ///< up into a worktop, out of the units under it
    std::vector<CutOut> cut_outs = {}; ///< of a worktop, from its own left end
    Mass mass = 0;                     ///< of a worktop, all its lengths
    std::vector<Length> joints =
        {}; ///< of a worktop, along the wall: between its lengths, and in corners with another's
};

/// "Worktop", "Handle channel".
std::string_view words(RunPiece::What what);

/// One kind of joint of what holds an island's units to the floor.
struct IslandJoint {
    enum class What { unit_to_frame, frame_to_cleat, side_to_cleat, cleat_to_floor };
    What what = What::cleat_to_floor;
    HoleDemand demand; ///< on one of its screws, of the unit that asks most
    std::optional<Fixing> fixing;
    Utilisation used; ///< unknown: nobody knows what it goes into
};

/// "down through the units' bottoms into the frame".
std::string_view words(IslandJoint::What what);

/// How units side by side on the open floor are held to it: on a frame as high as their plinth, or by their sides, with
/// cleats on the floor within either.
struct IslandHold {
    std::size_t first = 0; ///< units, by number in the run
    std::size_t last = 0;
    Length from; ///< along the line
    Length to;
    Length frame_height;    ///< 0: their sides stand on the floor
    Length frame_depth;     ///< from their backs' line
    std::size_t screws = 2; ///< of each kind, for each unit
    std::size_t worst = 0;  ///< the unit that asks most
    std::string_view when;  ///< it does
    Moment over = 0;        ///< what turns it over its front foot line then
    Moment righting = 0;    ///< what keeps it, what stands behind it counted
    Length lever;           ///< of its screws at the back, from that line
    Force pull = 0;         ///< on all of them; 0: it stands by itself, by the factors of the house
    Mass behind = 0;        ///< share of what stands behind that unit, screwed to it
    std::vector<IslandJoint> joints;
    /// Of its joints the worst; nothing that is not asked for.
    Utilisation used() const {
        Utilisation worst_used = Utilisation::none();
        for (const IslandJoint& joint : joints)
            worst_used = std::max(worst_used, joint.used);
        return worst_used;
    }
};

/// A board's edge shaped to the wall, as a table of widths.
struct ScribeCut {
    Length at;    ///< height above the datum
    Length width; ///< left on the board there
};
struct Scribe {
    std::size_t number = 0; ///< of its unit in the run
    std::string unit;       ///< its name
    bool to_face = false;   ///< its back edge to this wall's face; false: its side to the wall at the run's end
    Length nominal;
    std::vector<ScribeCut> cuts;
    Length least() const;
    Length most() const;
};

struct RunPlan : ThingPlan {
    RunLevel level = RunLevel::wall;
    RunLayout layout;
    StudSlide slide;
    std::vector<UnitPlan> units; ///< as in the run
    std::vector<JoinScrew> joins;
    std::vector<RunPiece> pieces;
    std::vector<Scribe> scribes;
    std::vector<IslandHold> islands; ///< where it stands on the open floor: units side by side that stand alike
};

} // namespace yes_square
