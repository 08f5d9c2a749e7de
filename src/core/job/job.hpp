#pragma once

#include "core/job/house_rules.hpp"
#include "core/job/materials.hpp"
#include "core/job/runs.hpp"
#include "core/job/survey.hpp"
#include "core/measure/length.hpp"
#include "core/measure/unit.hpp"

#include <optional>
#include <string>
#include <variant>
#include <vector>

/// What was measured and what was chosen: a plain value, with no derived number in it.
///
/// Coordinates on a wall: x from the reference end (its left end) to the right, z up from the datum, the finished
/// floor at its highest point. All lengths are exact; masses are kg, forces N.
namespace yes_square {

enum class StudState { proved, indicated, assumed };

struct Stud {
    Length centre;
    StudState state = StudState::assumed;
    /// Standard uncertainty of the centre; 0.6 mm after closing both edges with a probe to 3 mm.
    Length uncertainty = Length::micrometres(600);
    UnknownMembers unknown = {};
    bool operator==(const Stud&) const = default;
};

/// `hollow` is no layer but room behind one: adhesive dabs, battens.
enum class LiningMaterial { plasterboard, plaster, fibre_cement, tile, wood_panel, hollow };

struct LiningLayer {
    LiningMaterial material = LiningMaterial::plasterboard;
    Length thickness;
    UnknownMembers unknown = {};
    bool operator==(const LiningLayer&) const = default;
};

enum class StudMaterial { timber, steel };

/// Studs with a lining over them. Nominal sizes: a 2 x 4 is 38 x 89 mm (PS 20).
struct Framing {
    Length stud_width = 38_mm;
    Length stud_depth = 89_mm;
    Length spacing = 400_mm;
    Species species = Species::unknown;
    StudMaterial material = StudMaterial::timber;
    bool operator==(const Framing&) const = default;
};

enum class MasonryKind { brick, dense_block, aerated_block, concrete };

struct Masonry {
    MasonryKind kind = MasonryKind::brick;
    bool operator==(const Masonry&) const = default;
};

/// A panel with nothing behind its lining that a fixing could reach: a cored or laminated partition, a lining far from
/// its wall.
struct LiningOnly {
    bool operator==(const LiningOnly&) const = default;
};

using Structure = std::variant<Framing, Masonry, LiningOnly>;

enum class OpeningKind { window, door };

/// A hole in the wall, trim included.
struct Opening {
    OpeningKind kind = OpeningKind::window;
    Length left;
    Length bottom;
    Length width;
    Length height;
    Length trim; ///< breadth of the trim, within width and height
    UnknownMembers unknown = {};
    bool operator==(const Opening&) const = default;
};

enum class ServiceKind { socket, switch_, pipe, fixed_appliance };

/// A visible end of a hidden service. A pipe is a tap, valve, waste or gas point, or where a pipe enters the wall; a
/// fixed appliance has a cable but no socket: a wired lamp, hood or heater.
struct ServicePoint {
    ServiceKind kind = ServiceKind::socket;
    Length centre;
    Length height; ///< of its middle above the datum
    Length width = 86_mm;
    bool far_side = false; ///< on the other face of this wall
    UnknownMembers unknown = {};
    bool operator==(const ServicePoint&) const = default;
};

/// How a wall ends: where another wall meets it in front (a corner of the room), at an outside corner, or free.
enum class WallEnd { corner, outside_corner, open };

enum class LoadKind { books, kitchen, general, display, own };

struct ShelfLoad {
    LoadKind kind = LoadKind::books;
    double own_kg_per_m = 0; ///< used by LoadKind::own only
    bool operator==(const ShelfLoad&) const = default;
};

/// In what order a fitter puts the merits of a bracket layout. See docs/brackets.md.
enum class School { studs_first, even, mirrored };

/// A board on brackets.
struct Shelf {
    std::string id;
    std::string name;
    Length left;   ///< of the board's left end from the reference end
    Length height; ///< of the board's top above the datum
    Length length;
    Length depth;
    Length thickness;
    BoardMaterial material = BoardMaterial::mdf;
    ShelfLoad load;
    std::string bracket; ///< id of a bracket at hand; empty: the program chooses
    School school = School::studs_first;
    int extra_brackets = 0; ///< more than the fewest that will do
    UnknownMembers unknown = {};
    bool operator==(const Shelf&) const = default;

    Length right() const { return left + length; }
    Length underside() const { return height - thickness; }
};

struct Wall {
    std::string id;
    std::string name;
    std::string room; ///< id of its room
    Length length;
    Length height;
    WallEnd left_end = WallEnd::corner;
    WallEnd right_end = WallEnd::corner;
    Structure structure = Framing{};
    std::vector<LiningLayer> lining;
    std::optional<Length> thickness = {}; ///< of the whole wall, where a door or window shows it
    std::vector<Stud> studs;              ///< as told, without the evidence
    std::vector<Observation> observations;
    std::vector<FloorReading> floor;
    std::vector<CeilingReading> ceiling;
    std::vector<FaceReading> face;
    std::vector<WidthReading> widths;
    std::optional<CornerReading> corner = {}; ///< at the right end
    Length skirting_height;
    Length skirting_depth;
    Length cornice_height;
    Length cornice_depth;
    std::vector<Length> joists; ///< centres of ceiling joists that meet this wall
    std::vector<Opening> openings;
    std::vector<Obstacle> obstacles;
    std::vector<ServicePoint> services;
    std::vector<ScannedArea> scans;
    std::vector<TrialHole> trial_holes;
    std::vector<Shelf> shelves;
    std::vector<Run> runs = {};
    UnknownMembers unknown = {};
    bool operator==(const Wall&) const = default;

    Length lining_thickness() const;
};

/// EN 1995-1-1 service classes: a dry room, or one that is damp at times (kitchen, bath, garage).
enum class ServiceClass { dry, damp };

struct Room {
    std::string id;
    std::string name;
    ServiceClass service_class = ServiceClass::dry;
    std::vector<FloorLayer> floor_layers; ///< still to be laid
    bool floor_under_units = true;        ///< laid before the base units stand, not around them
    std::vector<LevelLine> lines = {};
    std::vector<LineRelation> line_relations = {};
    UnknownMembers unknown = {};
    bool operator==(const Room&) const = default;

    Length floor_build_up() const;
};

/// A bracket that can be had. Geometry as it stands on the wall, arm on top.
struct Bracket {
    std::string id;
    std::string name;
    Length arm;                     ///< along the shelf's underside, from the wall
    Length leg;                     ///< down the wall, from the arm's upper face
    Length width;                   ///< along the wall
    Length thickness;               ///< of the leg at its holes
    std::vector<Length> hole_drops; ///< from the arm's upper face down to each wall hole, top first
    Length hole_diameter;
    bool stiffened = false; ///< the leg is braced or ribbed below its lowest hole
    double mass_kg = 0;
    std::optional<double> rating_n; ///< the maker's greatest load on the arm; none: unknown
    bool rated_per_pair = false;
    UnknownMembers unknown = {};
    bool operator==(const Bracket&) const = default;
};

/// A wood screw at hand, in its stock lengths (head seat to point).
struct WoodScrew {
    ScrewGauge gauge = ScrewGauge::number_8;
    std::vector<Length> lengths;
    UnknownMembers unknown = {};
    bool operator==(const WoodScrew&) const = default;
};

/// A plug and its screw for one kind of masonry. Capacities are for the pair, recommended loads in N.
struct MasonryPlug {
    std::string id;
    std::string name;
    MasonryKind substrate = MasonryKind::brick;
    Length hole_diameter;
    Length embedment;
    Length screw_diameter;
    std::vector<Length> screw_lengths;
    double tension_n = 0;
    double shear_n = 0;
    UnknownMembers unknown = {};
    bool operator==(const MasonryPlug&) const = default;
};

/// An anchor that grips the lining alone.
struct LiningAnchor {
    std::string id;
    std::string name;
    Length hole_diameter;
    UnknownMembers unknown = {};
    bool operator==(const LiningAnchor&) const = default;
};

/// A unit on the list that came with the kitchen, and how many of it.
struct ListedUnit {
    CabinetUnit unit; ///< its id is its place in the list
    int quantity = 1;
    UnknownMembers unknown = {};
    bool operator==(const ListedUnit&) const = default;
};

/// What the fitter has or can buy.
struct Catalogue {
    std::vector<Bracket> brackets;
    std::vector<WoodScrew> wood_screws;
    std::vector<Length> shelf_screws; ///< lengths of the screws up into a shelf
    std::vector<MasonryPlug> plugs;
    std::vector<LiningAnchor> lining_anchors;
    std::vector<ListedUnit> units = {};
    UnknownMembers unknown = {};
    bool operator==(const Catalogue&) const = default;
};

struct Job {
    std::string title;
    std::string client;
    std::string place;
    Unit unit = Unit::mm;
    Instrument instrument = Instrument::tape_class_2;
    HouseRules rules;
    std::vector<Room> rooms;
    std::vector<Wall> walls;
    Catalogue catalogue;
    UnknownMembers unknown = {};
    bool operator==(const Job&) const = default;
};

const Room* room_of(const Job& job, const Wall& wall);

/// The catalogue that ships with the program.
const Catalogue& shipped_catalogue();

/// A new job with the shipped catalogue and no walls.
Job new_job();

} // namespace yes_square
