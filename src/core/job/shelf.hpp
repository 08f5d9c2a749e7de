#pragma once

#include "core/job/boards.hpp"
#include "core/job/chosen_fixing.hpp"
#include "core/job/materials.hpp"
#include "core/job/tape.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/physical.hpp"

#include <algorithm>
#include <optional>
#include <string>
#include <variant>
#include <vector>

/// What is hung on a wall by itself: a shelf of any kind, a desk, a rail, a pole, or another thing with fixing holes.
/// All share a place, a size and a load; how each holds on is its `Holding`.
namespace yes_square {

enum class LoadKind { books, kitchen, general, display, own, desk, clothes };

struct ShelfLoad {
    LoadKind kind = LoadKind::books;
    LineMass own = 0; ///< of LoadKind::own; of a desk where more than 0
    bool operator==(const ShelfLoad&) const = default;
};

/// In what order a fitter puts the merits of a layout. See docs/brackets.md.
enum class School { studs_first, even, mirrored };

/// Goods on a part of a shelf, or at a place of it where `to` is no more than `from`. From the shelf's left end.
struct Goods {
    std::string name;
    Length from;
    Length to;
    Mass mass = 0; ///< all of it
    UnknownMembers unknown = {};
    bool operator==(const Goods&) const = default;
};

/// A strip glued under or along the front edge, its top flush with the board's.
struct Lip {
    BoardMaterial material = BoardMaterial::red_oak;
    Length breadth; ///< front to back
    Length height;
    UnknownMembers unknown = {};
    bool operator==(const Lip&) const = default;
};

/// A hole of a plate, a fixture or a back: where a tape finds it, seen from the front.
struct PlateHole {
    Length across;     ///< from the plate's left end
    Length down;       ///< from its top edge
    bool must = false; ///< its maker says that this one is used
    UnknownMembers unknown = {};
    bool operator==(const PlateHole&) const = default;
};

/// What is screwed to the wall through given holes.
struct Plate {
    Length width;
    Length height;
    Length thickness = 3_mm; ///< at the holes
    Length hole_diameter = 5_mm;
    std::vector<PlateHole> holes;
    std::optional<Force> rating = {}; ///< the maker's greatest load on all of it; none: unknown
    bool marks_through = false;       ///< held to its place, it is pricked through at its own holes
    UnknownMembers unknown = {};
    bool operator==(const Plate&) const = default;
};

/// Boards on brackets in a line.
struct OnBrackets {
    bool leg_up = false; ///< the leg stands over the board instead of under it
    UnknownMembers unknown = {};
    bool operator==(const OnBrackets&) const = default;
};

/// Clip brackets in slotted uprights: every shelf of a stack hangs on the same uprights.
struct OnStandards {
    Length standard = 1000_mm; ///< length of an upright
    Length slot_pitch = 32_mm; ///< pitch of the slots
    Length first_slot = 20_mm; ///< below the upright's top
    Length top_over = 100_mm;  ///< top of the upright above the highest board's underside
    Length thickness = 2_mm;   ///< of the steel at the screws
    Length width = 25_mm;
    Length hole_diameter = 5_mm;
    Length hole_every = 250_mm; ///< down the upright
    Length first_hole = 25_mm;  ///< below its top
    UnknownMembers unknown = {};
    bool operator==(const OnStandards&) const = default;
};

/// A hollow shelf that slides over a bracket on the wall.
struct OnHiddenBracket {
    Plate plate;
    Length offset; ///< from the shelf's left end to the plate's
    Length down;   ///< from the shelf's top to the plate's top edge
    int retaining_screws = 2;
    UnknownMembers unknown = {};
    bool operator==(const OnHiddenBracket&) const = default;
};

/// A solid shelf on bars that stand out of the wall.
struct OnHiddenRods {
    Length diameter = 12_mm;
    Length in_wall = 80_mm;   ///< beyond the lining
    Length in_shelf = 150_mm; ///< out of the wall's face
    bool resin = false;       ///< set in resin
    Length tight;             ///< its hole is drilled this much thinner than it: driven into soft block
    Length off_centre;        ///< its bar in the shelf stands this far off the one in the wall: turned, it lifts an end
    UnknownMembers unknown = {};
    bool operator==(const OnHiddenRods&) const = default;
};

/// A shelf, box or frame whose back drops over screw heads.
struct OnKeyholes {
    Plate plate;                            ///< its top and left end are the shelf's
    Length lip = Length::inches(0, {1, 4}); ///< heads stand this proud of the wall
    Length slot = 1_in;                     ///< a shelf rises this much to come off
    UnknownMembers unknown = {};
    bool operator==(const OnKeyholes&) const = default;
};

/// Strips on the walls of an alcove.
struct OnCleats {
    bool left = true;
    bool back = true;
    bool right = true;
    Length breadth = 38_mm;   ///< up the wall
    Length thickness = 25_mm; ///< out of it
    Species wood = Species::unknown;
    int screws = 3;     ///< in a side cleat
    Length left_leans;  ///< the left wall's front end lies this far right of square over the shelf's depth
    Length right_leans; ///< the right wall's front end this far left of square
    UnknownMembers unknown = {};
    bool operator==(const OnCleats&) const = default;
};

/// What a shelf hangs by from the ceiling.
struct CeilingHanger {
    Length plate = 3_mm; ///< steel, at its screws
    Length hole = 6_mm;  ///< for a screw
    int screws = 1;      ///< of each, into the ceiling
    UnknownMembers unknown = {};
    bool operator==(const CeilingHanger&) const = default;
};

/// A board flat on the wall with hooks or pegs along it.
struct HookRail {
    Length board = 20_mm; ///< how thick
    int hooks = 5;
    Mass on_hook = Mass::kg(5);
    UnknownMembers unknown = {};
    bool operator==(const HookRail&) const = default;
};

enum class PoleStuff { wood, steel, aluminium };

/// A round rod for clothes or a curtain. The shelf's depth is its distance out of the wall.
struct Pole {
    PoleStuff stuff = PoleStuff::wood;
    Length wall;          ///< of a tube; 0: solid
    Length finial;        ///< of what stands beyond each end; 0: none
    bool returns = false; ///< its ends are bent back to the wall, so that no light comes in beside it
    Length plate = 70_mm; ///< height of a bracket's plate
    Length hole_diameter = 5_mm;
    std::optional<Force> rating = {};             ///< the maker's greatest load on one bracket; none: unknown
    FigureBasis basis = FigureBasis::recommended; ///< of that
    UnknownMembers unknown = {};
    bool operator==(const Pole&) const = default;
};

/// Anything with fixing holes of its own: a radiator, a mirror, a basin unit. The shelf's thickness is its height.
struct Fixture {
    Plate plate; ///< its top and left end are the fixture's
    Mass mass = 0;
    Mass contents_mass = 0; ///< water, goods
    Force leaned = 0;       ///< what somebody may put on its front edge
    UnknownMembers unknown = {};
    bool operator==(const Fixture&) const = default;
};

/// A shallow board for pictures, with a lip along its front, screwed to the wall through a strip behind it. Strip and
/// lip stand on the line of the board's underside.
struct PictureLedge {
    Length strip = 90_mm; ///< up the wall: high enough for somebody who leans on the lip
    Length strip_thickness = 18_mm;
    Length lip = 40_mm; ///< up
    Length lip_thickness = 12_mm;
    UnknownMembers unknown = {};
    bool operator==(const PictureLedge&) const = default;
};

/// What carries boards on brackets besides these, in one beam with them.
enum class OtherKind { leg, left_strip, right_strip, rod, angled_screw };
struct OtherSupport {
    OtherKind kind = OtherKind::leg;
    Length at = {};  ///< its middle from the shelf's left end; a strip's is its end's
    Length out = {}; ///< of a leg: its middle out of the wall
    UnknownMembers unknown = {};
    bool operator==(const OtherSupport&) const = default;
};

/// How large those are, alike for all of a shelf.
struct OtherSizes {
    Length leg = 60_mm;           ///< square, of wood
    Length strip_breadth = 38_mm; ///< up the side wall
    Length strip = 25_mm;         ///< out of it
    Species strip_wood = Species::unknown;
    int strip_screws = 3;
    OnHiddenRods rods = {};
    UnknownMembers unknown = {};
    bool operator==(const OtherSizes&) const = default;
};

using Holding = std::variant<OnBrackets, OnStandards, OnHiddenBracket, OnHiddenRods, OnKeyholes, OnCleats, HookRail,
                             Pole, Fixture, PictureLedge>;

struct Shelf {
    std::string id;
    std::string name;
    Length left;   ///< of its left end from the wall's left end
    Length height; ///< of its top above the datum
    Length length;
    Length depth;
    Length thickness;
    BoardMaterial material = BoardMaterial::mdf;
    ShelfLoad load;
    std::string bracket; ///< id of a bracket at hand; empty: the program chooses
    School school = School::studs_first;
    int extra_brackets = 0; ///< more than the fewest that will do
    Holding holding = OnBrackets{};
    std::vector<Length> joints = {};         ///< where one board ends and the next begins, from the left end
    std::vector<Length> hangers = {};        ///< where it hangs from a ceiling joist, from the left end: over a door
    CeilingHanger hanger = {};               ///< each of those
    std::optional<Force> hanger_rating = {}; ///< the maker's greatest load on one; none: unknown
    FigureBasis hanger_basis = FigureBasis::recommended; ///< of that
    Length hanger_spacer = {};     ///< a block between the ceiling and each: past a cornice, or for its height
    std::vector<Length> pins = {}; ///< where a bracket stands because the fitter says so, from the left end
    bool drilled = false;          ///< those are holes that the board has: brackets stand there and nowhere else
    std::vector<OtherSupport> others = {}; ///< of boards on brackets: legs, strips on side walls, rods
    OtherSizes other_sizes = {};
    std::optional<Lip> stretcher = {}; ///< a bar on edge under the board all along, that bends with it and is not glued
    int tiers = 1;                     ///< alike shelves one under another, the highest at `height`
    Length rise = {};                  ///< from one tier's top to the next's
    std::optional<Lip> lip = {};
    std::optional<HollowBoard> hollow = {}; ///< none: of one stuff all through
    std::vector<CutOut> cut_outs = {};
    Mass board_mass = 0;           ///< of one board as weighed, with its lip; 0: reckoned from what it is made of
    std::vector<Goods> goods = {}; ///< besides the even load
    bool loose =
        false;     ///< of a board on arms: dropped in between its neighbours, a little short, and screwed to nothing
    int coats = 0; ///< of paint or oil that the fitter gives its boards; 0: they come as they are
    bool out_of_reach =
        false; ///< the fitter says that nobody can lean on it: furniture stands before it, or it hangs high
    FixingChoices fixing = {};                 ///< by the fitter; none: the program chooses
    std::optional<TapeEnd> measured_from = {}; ///< its own reference end; none: as its wall is
    UnknownMembers unknown = {};
    bool operator==(const Shelf&) const = default;

    Length right() const { return left + length; }
    /// The board's own depth, its lip's taken off.
    Length board_depth() const { return lip ? std::max(Length{}, depth - lip->breadth) : depth; }
    /// Where one of `others` stands, from the left end.
    Length place_of(const OtherSupport& other) const {
        if (other.kind == OtherKind::left_strip)
            return other_sizes.strip / 2;
        return other.kind == OtherKind::right_strip ? length - other_sizes.strip / 2 : other.at;
    }
    Length underside() const { return height - thickness; }
    /// Top of a tier, counted from the highest as 0.
    Length top_of(int tier) const { return height - tier * rise; }
    Length lowest_underside() const { return top_of(tiers - 1) - thickness; }
};

} // namespace yes_square
