#pragma once

#include "core/job/chosen_fixing.hpp"
#include "core/job/runs.hpp"
#include "core/job/shelf.hpp"

/// Boxes made for a wall, and cabinets that hang on one already.
namespace yes_square {

enum class BoxJoint {
    housing, ///< tops and shelves enter grooves in the sides
    butt,    ///< they stand between the sides, screwed
};

/// How top and bottom meet the sides.
enum class BoxCorner {
    sides_through, ///< the sides run through; top and bottom are let in as the shelves are
    over_sides,    ///< top and bottom lie over the sides, screwed down into their ends
    mitred,        ///< all four are cut at 45 degrees
};

enum class BoxBack {
    rebated, ///< lies in a rebate round the sides, top and bottom
    planted, ///< lies on the back edges of all of them
    grooved, ///< stands in grooves in all of them, with room behind it
};

/// An open bookcase or box: its outer sizes and its joints give its parts.
struct WallBox {
    std::string id;
    std::string name;
    Length left;
    Length top; ///< above the datum
    Length width;
    Length height;
    Length depth;
    Length side = 19_mm; ///< thickness of sides, top, bottom and shelves
    BoardMaterial material = BoardMaterial::eastern_white_pine;
    int shelves = 2; ///< between top and bottom
    BoxCorner corner = BoxCorner::sides_through;
    BoxJoint joint = BoxJoint::housing; ///< of shelves, and of top and bottom where the sides run through
    Length housing = 10_mm;
    Length stop = {}; ///< housings end this far behind the front edge, where they are not seen; 0: they run through
    Length clearance = 1_mm; ///< at each end of a part in its housing
    BoxBack back = BoxBack::rebated;
    Length back_thickness = 8_mm;
    Length rebate = 8_mm;     ///< how much of a side's depth it takes
    Length groove_in = 18_mm; ///< room between the wall and a back in grooves
    BoardMaterial back_material = BoardMaterial::plywood;
    bool back_screwed = true;   ///< to the box, all round; not only pinned
    Length rail_thickness = {}; ///< of a strip under top and bottom: before the back, or behind one in grooves; 0: none
    ShelfLoad load = {LoadKind::books, 0};
    std::optional<Length> diagonal_rising = {};  ///< as measured: bottom left to top right
    std::optional<Length> diagonal_falling = {}; ///< top left to bottom right
    FixingChoices fixing = {};                   ///< by the fitter; none: the program chooses
    std::optional<TapeEnd> measured_from = {};   ///< its own reference end; none: as its wall is
    UnknownMembers unknown = {};
    bool operator==(const WallBox&) const = default;

    Length right() const { return left + width; }
    Length bottom() const { return top - height; }
};

/// What a screw that was found goes through, and what it is in.
enum class FoundThrough { rail, back, stile, ledger };
enum class FoundIn { not_known, wood, lining };

/// A screw that was found, where it is on the cabinet, seen from its front.
struct FoundScrew {
    FoundThrough through = FoundThrough::rail;
    FoundIn in = FoundIn::not_known;
    Length across;                        ///< from the cabinet's left side, outside
    Length down;                          ///< below its top
    std::optional<ScrewGauge> gauge = {}; ///< none: a lining screw, or not known
    Length length;                        ///< 0: not known
    bool broad_head = false;              ///< or a washer
    bool moved = false;                   ///< when it was pulled
    UnknownMembers unknown = {};
    bool operator==(const FoundScrew&) const = default;
};

/// A cabinet that hangs already, and what was found to hold it.
struct HungCabinet {
    std::string id;
    CabinetUnit unit; ///< its rails are those that were found
    Length left;
    Length top;               ///< above the datum
    int top_screws = 0;       ///< through the top rail, in studs or masonry
    int bottom_screws = 0;    ///< through the bottom rail, in studs or masonry
    int back_screws = 0;      ///< through the back alone
    int stray_screws = 0;     ///< through a rail, in nothing but lining
    int studs = 0;            ///< different studs that its rail screws are in
    bool joined_left = false; ///< screwed to a neighbour through the stiles
    bool joined_right = false;
    std::optional<ScrewGauge> gauge = {}; ///< of the screws; none: lining screws, or not known
    Length screw_length;                  ///< 0: not known
    bool broad_heads = false;             ///< or washers
    std::vector<FoundScrew> found = {};   ///< each where it is; any: they count, and not the numbers above
    UnknownMembers unknown = {};
    bool operator==(const HungCabinet&) const = default;

    Length right() const { return left + unit.width; }
};

} // namespace yes_square
