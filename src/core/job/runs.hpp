#pragma once

#include "core/job/boards.hpp"
#include "core/job/chosen_fixing.hpp"
#include "core/job/lines.hpp"
#include "core/job/materials.hpp"
#include "core/job/tape.hpp"
#include "core/measure/physical.hpp"

#include <optional>
#include <string>
#include <vector>

/// Cabinets side by side along a wall, as they were chosen and ordered.
namespace yes_square {

/// Whether a unit hangs on the wall or stands on the floor follows from its run.
enum class UnitKind {
    wall,
    base,
    tall,
    open_shelf,        ///< a unit without doors
    corner_blind,      ///< runs into the corner; the next wall's run hides part of its front
    corner_l,          ///< reaches round the corner, `return_width` along the next wall
    corner_diagonal,   ///< the same with its front across the corner
    appliance_housing, ///< a tall unit built round an appliance
    appliance_gap,     ///< room left for an appliance that stands there
    filler,            ///< closes a gap; its width may lie between `least` and `most`
    corner_post,    ///< two strips in an inside corner before the fronts, the other `return_width` along the next wall
    handle_channel, ///< an upright profile between two fronts that have no handles
    end_panel,      ///< finished board on an end
};

enum class Construction { frameless, face_frame };

enum class Hanging { screws, hook_brackets, suspension_rail };

enum class DoorHinge { none, left, right, both, drawers };

enum class ApplianceKind { undercounter, cooling, hob, hood, microwave, oven, sink };

/// What a unit holds or leaves room for. Where a maker's sheet gives a figure, it is the maker's.
struct Appliance {
    ApplianceKind kind = ApplianceKind::undercounter;
    Length height;    ///< 0: it sets no line
    Length clearance; ///< to be kept above it; of a hood: below it, to the hob
    UnknownMembers unknown = {};
    bool operator==(const Appliance&) const = default;
};

/// A thick strip across a unit's back that screws go through.
struct HangingRail {
    Length down; ///< of its middle below the unit's top
    Length breadth = 80_mm;
    Length thickness = 16_mm;
    UnknownMembers unknown = {};
    bool operator==(const HangingRail&) const = default;
};

/// Of a unit, that a hole may be cut in before it goes up.
enum class UnitPanel { back, left_side, right_side };

/// A hole in a unit's back or side, for a duct, a pipe, a socket. Measured from the unit's edges: of the back as one
/// stands in front of it, of a side from its back edge.
struct PanelCutOut {
    std::string name;
    UnitPanel panel = UnitPanel::back;
    Length across; ///< of its nearer edge, from the left side; of a side: from the back edge
    Length down;   ///< of its top edge, below the unit's top
    Length width;
    Length height;
    UnknownMembers unknown = {};
    bool operator==(const PanelCutOut&) const = default;

    Length far() const { return across + width; }
    Length bottom() const { return down + height; }
};

/// The wall plate that a unit's hook bracket hangs on; a unit has two, alike from either side.
struct HookPlate {
    Length in = 40_mm;       ///< of its middle from the unit's side
    Length down = {};        ///< of its upper screw below the unit's top; 0: as the house hangs them
    Length thickness = 2_mm; ///< steel
    Length hole = 7_mm;      ///< for a screw
    int screws = 1;          ///< one above another
    Length apart = 25_mm;    ///< where there are more
    UnknownMembers unknown = {};
    bool operator==(const HookPlate&) const = default;
};

/// A rail that units hang on by their hooks, as its maker has it. 0: as the house has it.
struct SuspensionRail {
    Length stock = {};       ///< it is cut from this
    Length drop = {};        ///< of its lower edge below the units' tops
    Length thickness = 2_mm; ///< steel
    Length hole = 7_mm;      ///< for a screw
    UnknownMembers unknown = {};
    bool operator==(const SuspensionRail&) const = default;
};

struct CabinetUnit {
    std::string id;
    std::string name;
    std::string code; ///< as on the packing list
    UnitKind kind = UnitKind::wall;
    Construction construction = Construction::frameless;
    Length width;
    Length height;
    Length depth; ///< of the carcass, doors not counted
    Length return_width = {};
    Mass mass = 0; ///< empty, with doors
    Mass doors_mass = 0;
    std::optional<Mass> loaded_mass = {}; ///< with everything in it; none: reckoned from its shelves
    Length side = 18_mm;
    Length back = 8_mm;
    Length stile = {}; ///< of a face frame: what a joining screw passes through of one
    Hanging hanging = Hanging::screws;
    std::vector<HangingRail> rails = {}; ///< top first
    Species rail_wood = Species::unknown;
    std::optional<Force> hook_rating = {};             ///< the maker's, for one hook; none: unknown
    FigureBasis hook_basis = FigureBasis::recommended; ///< of that
    HookPlate hook_plate = {};                         ///< where it hangs on hook brackets
    DoorHinge hinge = DoorHinge::none;
    std::optional<Appliance> appliance = {};
    Length least = {};
    Length most = {};
    Length scribe = {};                   ///< stock left on a filler or panel to be shaped to the wall
    std::string line = {};                ///< id of the line its bottom stands on, where that is not its run's own
    std::optional<Length> gap_front = {}; ///< as found: the opening's width at its front and at its back
    std::optional<Length> gap_back = {};
    std::vector<Length> pins = {}; ///< where its screws go because the fitter says so, from its left side
    std::vector<PanelCutOut> cut_outs = {};
    UnknownMembers unknown = {};
    bool operator==(const CabinetUnit&) const = default;
};

enum class RunLevel { floor, wall };

/// What a run begins or ends at.
enum class EndKind { wall_end, opening, run, place };

struct RunEnd {
    EndKind at = EndKind::wall_end;
    int opening = 1;      ///< which of the wall's openings, counted from 1
    std::string run = {}; ///< of this wall: begins where that run ends; of the next wall: in front of its units
    Length place = {};    ///< of EndKind::place, from the wall's left end
    Length clear = {};    ///< kept free besides
    UnknownMembers unknown = {};
    bool operator==(const RunEnd&) const = default;
};

/// What is done with the room that a run does not fill.
enum class Slack {
    right_end,  ///< all of it left at the right
    left_end,   ///< all of it left at the left
    both_ends,  ///< half at either end
    on_opening, ///< the run, or one unit of it, centred on the nearest window or door
    on_hob,     ///< one unit of a wall run, its hood, centred over the hob
    fillers,    ///< shared among the fillers, each between its least and most width
    by_hand,    ///< the run begins at `left`
};

struct Run {
    std::string id;
    std::string name;
    RunLevel level = RunLevel::wall;
    RunEnd start = {};
    RunEnd end = {};
    bool open_end = false; ///< it may run on to the right as long as it is: it has no end to meet
    Slack slack = Slack::right_end;
    std::string centre_unit = {}; ///< id of the unit that is centred; empty: the whole run
    Length left = {};             ///< of Slack::by_hand
    std::vector<CabinetUnit> units = {};
    std::vector<CutOut> cut_outs = {};  ///< in its worktops, from the run's left end
    SuspensionRail rail = {};           ///< that its units hang on, where they do
    Length channel = {};                ///< height of a handle channel along its units' tops; 0: none
    std::vector<Length> rail_pins = {}; ///< where its rail is fixed because the fitter says so, from its left end
    FixingChoices fixing = {};          ///< by the fitter; none: the program chooses
    std::optional<TapeEnd> measured_from = {}; ///< its own reference end; none: as its wall is
    UnknownMembers unknown = {};
    bool operator==(const Run&) const = default;
};

/// Whether it is a box that is joined to its neighbours and fixed to the wall.
bool is_cabinet(const CabinetUnit& unit);

/// Id of the line a unit's bottom stands on, or its top hangs from, and which.
struct StandsOn {
    std::string line;
    bool by_top = false;
};
StandsOn stands_on(const CabinetUnit& unit, RunLevel level);

} // namespace yes_square
