#pragma once

#include "core/job/things.hpp"

#include <variant>

/// Changes to a job that the program can make by itself: what a cure's button does. Each names its shelf or wall by id;
/// an edit whose shelf or wall is gone leaves the job as it is.
namespace yes_square {

struct MoveShelf {
    std::string shelf;
    Length left;
    Length height;
    bool operator==(const MoveShelf&) const = default;
};
struct ResizeShelf {
    std::string shelf;
    Length left;
    Length length;
    bool operator==(const ResizeShelf&) const = default;
};
struct ChooseBracket {
    std::string shelf;
    std::string bracket;
    bool operator==(const ChooseBracket&) const = default;
};
struct ChooseLayout {
    std::string shelf;
    School school = School::studs_first;
    int extra_brackets = 0;
    bool operator==(const ChooseLayout&) const = default;
};
/// Pins a bracket to a place, or lets go of it: from the shelf's left end.
struct PinPlace {
    std::string shelf;
    std::optional<Length> from; ///< a pin that is there goes
    std::optional<Length> to;   ///< and one comes here
    bool operator==(const PinPlace&) const = default;
};
struct ChooseBoard {
    std::string shelf;
    BoardMaterial material = BoardMaterial::mdf;
    Length thickness;
    bool operator==(const ChooseBoard&) const = default;
};

/// A part of a wall as it would be after a larger change: a shelf hung in another way, a dresser held to its studs.
template <class Part>
struct Change {
    Part to; ///< by its id
    bool operator==(const Change&) const = default;
};
using ChangeShelf = Change<Shelf>;

/// Who does the work: with practised hands expanding and resin-set anchors may be used.
struct SetSkill {
    Skill skill = Skill::everyday;
    bool operator==(const SetSkill&) const = default;
};

/// By which standard joints in timber are reckoned. Screws of its shops that the job does not have yet come with it.
struct SetTimberSchool {
    TimberSchool school = TimberSchool::nds;
    bool operator==(const SetTimberSchool&) const = default;
};
struct SetWallHeight {
    std::string wall;
    Length height;
    bool operator==(const SetWallHeight&) const = default;
};
/// Takes what a trial hole met as what the wall is made of.
struct TakeBuildUp {
    std::string wall;
    Structure structure;
    std::vector<LiningLayer> lining;
    bool operator==(const TakeBuildUp&) const = default;
};
/// Takes every reading off a wall that lies beyond its ends, floor or top.
struct DropReadingsOffWall {
    std::string wall;
    bool operator==(const DropReadingsOffWall&) const = default;
};

/// Pulls a line of a room to a height, or lets it fall to where its relations put it.
struct SetLine {
    std::string room;
    std::string line;
    std::optional<Length> wanted;
    bool operator==(const SetLine&) const = default;
};
/// Takes a whole set of lines for a room, as to begin with.
struct TakeLines {
    std::string room;
    std::vector<LevelLine> lines;
    std::vector<LineRelation> relations;
    bool operator==(const TakeLines&) const = default;
};
/// Gives one of a room's relations, as counted there, another amount.
struct SetRelation {
    std::string room;
    std::size_t relation = 0;
    Length by;
    bool operator==(const SetRelation&) const = default;
};
/// Puts a run where it is wanted; its fillers take these widths, in order.
struct PlaceRun {
    std::string run;
    Length left;
    std::vector<Length> fillers;
    bool operator==(const PlaceRun&) const = default;
};
struct SetSlack {
    std::string run;
    Slack slack = Slack::right_end;
    bool operator==(const SetSlack&) const = default;
};
/// How all cabinets of a run hang.
struct SetHanging {
    std::string run;
    Hanging hanging = Hanging::screws;
    bool operator==(const SetHanging&) const = default;
};
struct ResizeUnit {
    std::string unit;
    Length width;
    bool operator==(const ResizeUnit&) const = default;
};
/// Takes a unit out of its run and puts it back as the one of this number, counted from 0.
struct ReorderUnit {
    std::string unit;
    std::size_t to = 0;
    bool operator==(const ReorderUnit&) const = default;
};
/// Which way a unit's door opens.
struct SetHinge {
    std::string unit;
    DoorHinge hinge = DoorHinge::none;
    bool operator==(const SetHinge&) const = default;
};
struct RemoveUnit {
    std::string unit;
    bool operator==(const RemoveUnit&) const = default;
};

/// Pins a screw of a unit, from the unit's left side, or one of a run's rail, from the run's left end.
struct PinScrew {
    std::string id;             ///< of the unit, or of the run
    std::optional<Length> from; ///< a pin that is there goes
    std::optional<Length> to;   ///< and one comes here
    bool operator==(const PinScrew&) const = default;
};

/// Pushes a thing along its wall, and what hangs up or down too. A run goes only where its place is set by hand, a
/// light only where it is along nothing.
struct MoveThing {
    std::string id;
    Length dx;
    Length dz;
    bool operator==(const MoveThing&) const = default;
};
/// With what a thing, or some of its holes, is fixed; none: what the program takes, or what is chosen for more of it.
struct ChooseFixing {
    std::string id;
    std::optional<ChosenFixing> fixing;
    FixingSpot where = {};
    bool operator==(const ChooseFixing&) const = default;
};
/// Takes it off its wall.
struct RemoveThing {
    std::string id;
    bool operator==(const RemoveThing&) const = default;
};

/// A hole of a wall is filled, or was never made.
struct ForgetHole {
    std::string wall;
    Length x;
    Length z;
    bool operator==(const ForgetHole&) const = default;
};

using Edit =
    std::variant<MoveShelf, ResizeShelf, ChooseBracket, ChooseLayout, PinPlace, ChooseBoard, ChangeShelf, SetSkill,
                 SetTimberSchool, SetWallHeight, TakeBuildUp, DropReadingsOffWall, SetLine, TakeLines, SetRelation,
                 PlaceRun, SetSlack, SetHanging, ResizeUnit, ReorderUnit, SetHinge, RemoveUnit, PinScrew,
                 Change<StorageSystem>, Change<Piece>, Change<WallBox>, Change<HungCabinet>, Change<LightFeed>,
                 Change<Run>, MoveThing, ChooseFixing, RemoveThing, ForgetHole>;

/// The part of a kind with this id, and its wall; nullptr: none.
template <class Part, class SomeJob>
auto find_part(SomeJob& job, const std::string& id) {
    using Found = std::conditional_t<std::is_const_v<SomeJob>, const Part, Part>;
    using Holder = std::conditional_t<std::is_const_v<SomeJob>, const Wall, Wall>;
    struct PartOnWall {
        Holder* wall = nullptr;
        Found* part = nullptr;
    };
    for (auto& wall : job.walls)
        for (auto& part : wall.*parts_of<Part>)
            if (part.id == id)
                return PartOnWall{&wall, &part};
    return PartOnWall{};
}

/// The shelf with this id, wherever it hangs; nullptr if none.
const Shelf* find_shelf(const Job& job, const std::string& id);
Shelf* find_shelf(Job& job, const std::string& id);
/// The wall a shelf hangs on.
const Wall* wall_of(const Job& job, const std::string& shelf);
Wall* wall_of(Job& job, const std::string& shelf);

/// A run and the wall it stands along; both nullptr: none has this id.
struct RunOnWall {
    Wall* wall = nullptr;
    Run* run = nullptr;
};
RunOnWall find_run(Job& job, const std::string& id);
const Run* find_run(const Job& job, const std::string& id);
/// The run that holds a unit, and the unit's number in it; nullptr: none.
struct UnitInRun {
    Wall* wall = nullptr;
    Run* run = nullptr;
    std::size_t index = 0;
    CabinetUnit& unit() const { return run->units[index]; }
};
UnitInRun find_unit(Job& job, const std::string& id);

/// Edits of walls leave a shelf as it is.
void apply(const Edit& edit, Shelf& shelf);
void apply(const Edit& edit, Wall& wall);
Job apply(const Edit& edit, Job job);

/// An id for a new part that no part of the job has: "shelf-4".
std::string fresh_id(const Job& job, std::string_view stem);

} // namespace yes_square
