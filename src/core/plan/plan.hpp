#pragma once

#include "core/measure/physical.hpp"
#include "core/plan/batten_plan.hpp"
#include "core/plan/box_plan.hpp"
#include "core/plan/bracket_layout.hpp"
#include "core/plan/day_plan.hpp"
#include "core/plan/drill_pass.hpp"
#include "core/plan/piece_plan.hpp"
#include "core/plan/run_plan.hpp"
#include "core/plan/system_plan.hpp"
#include "core/plan/thing_plan.hpp"
#include "core/statics/beam.hpp"
#include "core/survey/face.hpp"
#include "core/survey/find_studs.hpp"
#include "core/survey/floor.hpp"
#include "core/survey/room_plan.hpp"
#include "core/survey/strips.hpp"
#include "core/survey/trial_hole.hpp"

#include <memory>
#include <optional>

/// Everything that follows from a job. A plan is never saved or edited: it is reckoned again.
namespace yes_square {

struct BracketPlan {
    Length x; ///< centre, from the wall's left end
    Substrate substrate = Substrate::lining;
    std::optional<std::size_t> stud; ///< index in WallSurvey::studs
    Reaction reaction;               ///< of one board
    std::vector<LoadCase> loads;     ///< on all its holes together
    std::vector<std::vector<HoleDemand>>
        row_demands;                        ///< of its holes, from the top, in each case; more cases of one hole
    bool turns = false;                     ///< in one of them nothing keeps it from turning off the wall
    Force carries = 0;                      ///< at worst, all boards on it and somebody leaning on one
    Force tension = 0;                      ///< on the worst hole, governing case
    Force shear = 0;                        ///< per hole, governing case
    std::optional<Fixing> fixing;           ///< where its holes have unlike ones, that which is used most
    std::vector<Fixing> row_fixings = {};   ///< of its holes, from the top, where they have unlike ones; else empty
    Utilisation fixing_utilisation;         ///< unknown: nothing to hold it, or nothing known
    Utilisation bracket_utilisation;        ///< unknown without the maker's rating
    bool hanger = false;                    ///< from the ceiling
    std::optional<OtherSupport> other = {}; ///< a leg, a strip, a rod or an angled screw is there
    std::optional<Bracket> let_in = {};     ///< that rod or screw, as what is let into the wall
    Length let_in_over = {};                ///< its top above the board's underside
    bool is(OtherKind kind) const { return other && other->kind == kind; }
    /// Whether a board may be reckoned to lie on it: it carries, and is more than a screw at the board's back edge.
    bool bears_board() const { return yes_square::carries(substrate) && !is(OtherKind::angled_screw); }
    bool is_bracket() const { return !hanger && !other; }
    /// Of one of its holes, from the top.
    std::optional<Fixing> fixing_of(std::size_t row) const {
        return row < row_fixings.size() ? std::optional{row_fixings[row]} : fixing;
    }
    bool pinned = false; ///< here because the fitter says so
    double rod_sink = 0; ///< m, of the shelf's front by the bending of a hidden rod
};

/// A layout by one school, with what it comes to.
struct Alternative {
    BracketLayout layout;
    int extra_brackets = 0;
    double sag_share = 0;                          ///< worst long-term sag divided by its limit
    Utilisation utilisation = Utilisation::none(); ///< worst of fixings and rated brackets; refused where nothing holds
    bool keeps_limits = false;                     ///< sag, utilisation and hold
    std::vector<Sentence> gives_up;
};

/// A board to cut for a shelf. Where walls beside it lean, its front edge is another length than its back.
struct BoardPiece {
    Length left; ///< of its back edge, from the wall's left end
    Length back; ///< length along the wall
    Length front;
};

/// What comes off a board's back edge where the wall stands out, so that it lies against the wall and its front is
/// straight.
struct BackCut {
    Length at;  ///< from the shelf's left end
    Length off; ///< of the edge left broad
};

/// A strip on a wall of an alcove that carries a shelf.
struct CleatPlan {
    std::string_view wall;     ///< "left", "back", "right"
    bool on_this_wall = false; ///< its screws are among the shelf's holes
    Length length;
    Force load = 0; ///< on all of it
    std::size_t screws = 0;
    bool few_studs = false; ///< of a framed wall: too few of its studs are found behind the strip
    Substrate substrate = Substrate::lining;
    HoleDemand demand;             ///< on its worst screw
    std::vector<HoleDemand> loads; ///< of a screw, in every case
    bool wall_known = false;       ///< what it is screwed to was surveyed; else taken to be built like the shelf's wall
    std::optional<Fixing> fixing;
    Utilisation utilisation;                ///< of its worst screw; unknown: nothing known holds it
    std::optional<StripBeside> beside = {}; ///< of one on a side wall: to choose a fixing for it alone
};

/// Wood between two studs of open framing, for fixings that miss them.
struct Nogging {
    struct For {
        std::string shelf; ///< its name
        Length x;
        Length z;
        std::string item = {};             ///< its id
        std::vector<HoleDemand> demands{}; ///< of that fixing, in every case
    };
    /// How one of its ends is held to the wood beside it.
    enum class End {
        through, ///< by screws through the stud, from the bay beyond
        pocket,  ///< by pocket screws from its own face: no driver comes to the stud's other side
        unknown, ///< no stud is entered there
    };
    Length left; ///< face of the stud on its left, from the wall's left end
    Length right;
    Length z; ///< of its middle, above the datum
    std::vector<For> holds;
    End left_end = End::through;
    End right_end = End::through;
    std::size_t screws = 2; ///< in each end
    Force end_load = 0;     ///< on its worse end, in the worst case
    Utilisation ends;       ///< of a screw there
    Length length() const { return right - left; }
};

struct ShelfPlan : ThingPlan {
    Length arm_least;
    Length arm_most;
    std::optional<Bracket> bracket;        ///< what stands at each place; none: it hangs on a plate or on cleats
    Length leg_over;                       ///< its top above the highest board's underside
    bool one_leg = false;                  ///< carries all tiers
    Length spacing_most;                   ///< furthest apart, of what stands at places
    std::vector<Alternative> alternatives; ///< the chosen school's first
    std::size_t chosen = 0;
    std::vector<BracketPlan> brackets;
    std::optional<SagVerdict> sag;
    std::optional<double> back_held = {}; ///< its back lies on a strip: it sags so many times what it would without
    LineLoad self_weight = 0;
    LineLoad goods_load = 0;
    Mass mass = 0;                                       ///< board alone; of a fixture all of it, empty
    Utilisation board_utilisation = Utilisation::none(); ///< bending stress in the board
    std::vector<BoardPiece> pieces;                      ///< boards to cut, as they lie from the left, for one tier
    std::vector<BackCut> back_cuts;    ///< where the wall behind it bows; empty: it is straight enough
    std::vector<CleatPlan> cleats;     ///< of an alcove shelf
    bool plate_turns = false;          ///< too few of a plate's holes carry to hold it
    std::vector<LoadCase> plate_loads; ///< on all holes of a plate together
    Length plate_edge;                 ///< its lower edge
    Length cleat_breadth;              ///< of an alcove shelf's strips
    Utilisation plate_utilisation;     ///< of its maker's rating; unknown without it
    std::optional<Length> shelf_screw; ///< up into the board
    Length left_overhang;
    Length right_overhang;
};

/// Something on the next wall that stands in the corner: at an inside corner depths meet.
struct CornerThing {
    bool at_right_end = false; ///< of this wall
    Length along;              ///< how far it reaches along this wall from the corner
    Length off;                ///< how far out of this wall it begins
    Length bottom;
    Length top;
    std::string name;
    bool operator==(const CornerThing&) const = default;
};

/// A unit of an island's other side that stands behind a line on the open floor.
struct StandsBehind {
    std::string name;
    Length left; ///< along this line, from its left end
    Length right;
    Length gap;    ///< between the backs
    Length depth;  ///< of its carcass
    Mass mass = 0; ///< empty
    bool operator==(const StandsBehind&) const = default;
};

/// What a line on the open floor is set out from.
struct SetOutFrom {
    std::string name;
    bool other_side = false; ///< of the island; else a wall
    bool operator==(const SetOutFrom&) const = default;
};

/// What the survey of a wall comes to.
struct WallSurvey {
    std::vector<Stud> studs;              ///< what fixings use: found from evidence, or as told where there is none
    std::optional<StudFindings> findings; ///< timber framing with evidence
    std::vector<Strip> strips;
    FloorProfile floor;
    FaceProfile face;
    std::optional<WidthProfile> widths;
    std::optional<CornerAngle> corner; ///< at the right end, as measured
    std::optional<Neighbour> left;
    std::optional<Neighbour> right;
    std::vector<CornerThing> corner_things;
    std::vector<StandsBehind> behind;       ///< of a line on the open floor
    std::optional<SetOutFrom> set_out_from; ///< of such a line; none: from no wall that is there
    std::vector<WallBuildUp> build_ups;     ///< as the wall's trial holes
    std::vector<Working> workings;
    std::vector<Check> checks;
};

struct WallPlan : KeptPlansOf<ListedKinds> {
    std::string wall_id;
    std::string wall_name;
    Tape tape; ///< how places along it are said
    WallSurvey survey;
    std::vector<ShelfPlan> shelves; ///< as in the wall
    std::vector<RunPlan> runs;      ///< as in the wall
    std::vector<SystemPlan> systems;
    std::vector<PiecePlan> pieces;
    std::vector<BoxPlan> boxes;
    std::vector<HungPlan> hung;
    std::vector<Nogging> noggings; ///< of open framing
    std::vector<FeedPlan> feeds;
    std::vector<ReadingPlan> readings; ///< of work on it, as in the wall
    std::vector<Check> checks;         ///< of what was made and is not wanted any more
};

/// Where a wall's plan keeps what follows from its parts of a kind, as they are in the wall.
template <class Part>
inline constexpr std::vector<typename PlanOf<Part>::type> WallPlan::*plans_of = &KeptPlans<Part>::plans;
template <>
inline constexpr auto plans_of<Shelf> = &WallPlan::shelves;
template <>
inline constexpr auto plans_of<Run> = &WallPlan::runs;
template <>
inline constexpr auto plans_of<StorageSystem> = &WallPlan::systems;
template <>
inline constexpr auto plans_of<Piece> = &WallPlan::pieces;
template <>
inline constexpr auto plans_of<WallBox> = &WallPlan::boxes;
template <>
inline constexpr auto plans_of<HungCabinet> = &WallPlan::hung;
template <>
inline constexpr auto plans_of<LightFeed> = &WallPlan::feeds;

/// Calls `look(plan)` for the plan of everything on a wall, kind after kind; each is a ThingPlan.
template <class Of>
requires std::same_as<std::remove_const_t<Of>, WallPlan>
void for_each_thing(Of& wall, auto&& look) {
    for_each_kind(Things{}, [&]<class Kind>() {
        for (auto& plan : wall.*plans_of<Kind>)
            look(plan);
    });
}

/// Calls `look(part, plan)` for each part of a kind on a wall, with what follows from it.
template <class Kind>
void each_of(const Wall& wall, const WallPlan& plan, auto&& look) {
    const auto& parts = wall.*parts_of<Kind>;
    const auto& plans = plan.*plans_of<Kind>;
    for (std::size_t i = 0; i < parts.size() && i < plans.size(); ++i)
        look(parts[i], plans[i]);
}

/// All that takes room on a wall, kind after kind.
std::vector<WallThing> things_on(const WallPlan& wall);
/// All the room that a thing, or a unit of a run, takes of its wall; none: it takes none, or is not there.
std::optional<Outline> whole_room(const WallPlan& wall, const std::string& id);

/// One of a room's level lines, solved.
struct LinePlan {
    std::string id;
    std::string name;
    Length z;
    Length least;
    std::optional<Length> most; ///< none: nothing holds it down
    std::string set_by;         ///< name of the unit or appliance that decides it; empty: the room's own relations
};

struct RoomLines {
    std::vector<LinePlan> lines; ///< the room's own first, then those its units need
    std::vector<Working> workings;
    std::vector<Check> checks;

    /// The height of a line; 0 for the floor and for a line that nobody knows.
    Length height_of(std::string_view id) const {
        for (const LinePlan& line : lines)
            if (line.id == id)
                return line.z;
        return {};
    }
};

struct RoomSurvey {
    RoomPlan plan;
    RoomLines lines;
    std::vector<Check> checks;
};

struct Plan {
    std::vector<std::shared_ptr<const WallPlan>> walls; ///< as in the job; shared while a wall does not change
    std::vector<RoomSurvey> rooms;                      ///< as in the job
};

/// A check and whose it is.
struct OwnedCheck {
    std::string_view place; ///< name of the wall, or empty for a room's
    std::string_view owner; ///< name of the shelf, the wall or the room
    const Check* check = nullptr;
    std::string_view wall = {};  ///< its id; empty: a room's
    std::string_view thing = {}; ///< its id; empty: the wall's or the room's
};

/// Every check of a wall, its own first.
std::vector<OwnedCheck> checks_of(const WallPlan& wall);
/// Every check of a plan: rooms, then walls. Refers to the plan.
std::vector<OwnedCheck> all_checks(const Plan& plan, const Job& job);

/// How many checks of a severity a plan holds.
std::size_t count_checks(const Plan& plan, Severity severity);

} // namespace yes_square
