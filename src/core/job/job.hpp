#pragma once

#include "core/job/boxes.hpp"
#include "core/job/days.hpp"
#include "core/job/feed.hpp"
#include "core/job/fitting.hpp"
#include "core/job/house_rules.hpp"
#include "core/job/listed.hpp"
#include "core/job/materials.hpp"
#include "core/job/pieces.hpp"
#include "core/job/runs.hpp"
#include "core/job/shelf.hpp"
#include "core/job/stock.hpp"
#include "core/job/storage.hpp"
#include "core/job/survey.hpp"
#include "core/job/tape.hpp"
#include "core/measure/physical.hpp"
#include "core/measure/unit.hpp"

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// What was measured and what was chosen: a plain value, with no derived number in it.
///
/// Coordinates on a wall: x from its left end to the right, z up from the datum, the finished floor at its highest
/// point. What is said and typed is measured from the wall's reference end: see Tape. All lengths are exact; masses are
/// kg, forces N.
namespace yes_square {

/// How a stud is known, best first. `detected`: a detector gave both its edges, a stud's width apart; nobody has met
/// its wood.
enum class StudState { proved, detected, indicated, assumed };

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
    bool open = false;                    ///< nothing on it yet: noggings can be set wherever they are wanted
    bool told = false;                    ///< somebody who should know said the spacing; else it is what is usual here
    std::optional<Length> told_stud = {}; ///< and where a stud's centre is, in so many words: first or any other
    bool operator==(const Framing&) const = default;
};

enum class MasonryKind { brick, dense_block, aerated_block, concrete };

std::string_view words(MasonryKind kind);

struct Masonry {
    MasonryKind kind = MasonryKind::brick;
    bool operator==(const Masonry&) const = default;
};

/// A panel with nothing behind its lining that a fixing could reach: a cored or laminated partition, a lining far from
/// its wall.
struct LiningOnly {
    bool operator==(const LiningOnly&) const = default;
};

/// What the floor is that an island is screwed to.
enum class FloorBuilt {
    not_known,
    boards,   ///< boards or panels: a screw holds in their thickness alone
    joists,   ///< the same, and its screws are put where joists are
    concrete, ///< or screed on it, as deep as a plug
    heated,   ///< nobody drills it
};

/// No wall at all: a line across the open floor, along which the backs of an island's units stand. Along it one looks
/// at their fronts, from left to right as along any wall.
struct OpenFloor {
    /// Id of the wall that it is set out from, or of the island's other side, with which it stands back to back.
    std::string from = {};
    Length along = {};       ///< of its nearer end, from that wall's left end; of another side, from its right end
    Length out = {};         ///< of the line, out of that wall's face; of another side, the gap between the backs
    bool faces_wall = false; ///< its fronts look at that wall; else away from it
    FloorBuilt floor = FloorBuilt::not_known;
    Length boards = 22_mm; ///< how thick they are
    bool operator==(const OpenFloor&) const = default;
};

using Structure = std::variant<Framing, Masonry, LiningOnly, OpenFloor>;

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

/// What a ceiling can be hung from.
enum class CeilingBuilt { joists, concrete };

/// How a wall ends: where another wall meets it in front (a corner of the room), at an outside corner, or free.
enum class WallEnd { corner, outside_corner, open };

struct Wall : KeptOf<ListedKinds> {
    std::string id;
    std::string name;
    std::string room; ///< id of its room
    Length length;
    Length height;
    WallEnd left_end = WallEnd::corner;
    WallEnd right_end = WallEnd::corner;
    TapeEnd measured_from = TapeEnd::left;
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
    CeilingBuilt ceiling_built = CeilingBuilt::joists;
    std::vector<Length> joists; ///< centres of ceiling joists that meet this wall
    std::vector<Opening> openings;
    std::vector<Obstacle> obstacles;
    std::vector<ServicePoint> services;
    std::vector<ScannedArea> scans;
    std::vector<TrialHole> trial_holes;
    std::vector<Shelf> shelves;
    std::vector<Run> runs = {};
    std::vector<StorageSystem> systems = {};
    std::vector<Piece> pieces = {};
    std::vector<WallBox> boxes = {};
    std::vector<HungCabinet> hung = {};
    std::vector<LightFeed> feeds = {};
    std::vector<MadeHole> made = {};
    std::vector<WorkReading> work_readings = {};
    UnknownMembers unknown = {};
    bool operator==(const Wall&) const = default;

    /// The line of an island; nullptr: a wall stands there.
    const OpenFloor* open_floor() const { return std::get_if<OpenFloor>(&structure); }

    Tape tape() const { return {measured_from, length}; }
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

/// The fitter's own picture of a thing in the hand: a small PNG in base64 (RFC 4648); empty: none.
using Picture = std::string;

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
    Mass mass = 0;
    std::optional<Force> rating; ///< the maker's load on the arm; none: unknown. See allowed_on() for what is taken
    bool rated_per_pair = false;
    FigureBasis basis = FigureBasis::recommended; ///< of the rating
    bool marks_through = false;                   ///< held to its mark, it is pricked through at its own holes
    bool own = false;                             ///< the fitter's own entry
    bool at_hand = true;                          ///< in the van; else the program does not choose it
    std::vector<Length> hole_across = {};         ///< of each hole, right of the leg's middle; those not said are in it
    Picture picture = {};
    UnknownMembers unknown = {};
    bool operator==(const Bracket&) const = default;

    Length across(std::size_t hole) const { return hole < hole_across.size() ? hole_across[hole] : Length{}; }
    /// How far its holes lie beside its middle at most.
    Length off_middle() const {
        Length most;
        for (std::size_t hole = 0; hole < hole_drops.size(); ++hole)
            most = std::max(most, absolute(across(hole)));
        return most;
    }
};

/// What the packet of a screw says of it, where that is not what such screws usually are. 0: the packet does not say.
struct ScrewPacket {
    std::string name;
    Length thread;             ///< along it, point included
    Length root;               ///< diameter under the thread
    Length tip;                ///< of the point, which holds nothing
    Length head;               ///< diameter
    Pressure withdrawal = 0;   ///< f_ax, characteristic, in timber of 350 kg/m3 (EN 14592)
    Pressure pull_through = 0; ///< f_head
    Force tensile = 0;         ///< f_tens
    UnknownMembers unknown = {};
    bool operator==(const ScrewPacket&) const = default;
};

/// What holds a shelf otherwise than a bracket, as the fitter has it in the hand: uprights with their clips, rods, a
/// hidden bracket, a keyhole plate, the brackets of a pole, strips. A shelf that is hung like it takes these figures.
struct Support {
    std::string id;
    std::string name;
    Holding holding = OnStandards{};
    bool own = true;
    bool at_hand = true; ///< in the van; else it is not offered
    Picture picture = {};
    UnknownMembers unknown = {};
    bool operator==(const Support&) const = default;
};

/// A wood screw or coach screw at hand, in its stock lengths (head seat to point).
struct WoodScrew {
    ScrewGauge gauge = ScrewGauge::number_8;
    std::vector<Length> lengths;
    std::optional<ScrewPacket> packet = {};
    UnknownMembers unknown = {};
    bool operator==(const WoodScrew&) const = default;
};

/// As its packet says, else as its gauge usually is.
ScrewProperties properties(const WoodScrew& screw);
/// What it is called: by its packet, else by its gauge.
std::string name_of(const WoodScrew& screw);

/// What an anchor is; each kind is drilled and set in its own way.
enum class AnchorKind {
    plug,
    frame_plug,
    sleeve_anchor,
    wedge_anchor,
    concrete_screw,
    resin_bar,
    insert_nut, ///< a threaded bush in bare timber, for a machine screw
    cavity_anchor,
    toggle,
    self_drilling,
};

/// An anchor and its screw or bar for one kind of masonry, or an insert nut and its machine screw for bare timber.
/// Figures are for the pair, in N.
struct MasonryAnchor {
    std::string id;
    std::string name;
    AnchorKind kind = AnchorKind::plug;
    MasonryKind substrate = MasonryKind::brick; ///< not of an insert nut
    Length hole_diameter;
    Length embedment;
    Length screw_diameter;
    std::vector<Length> screw_lengths;
    Force tension = 0;
    Force shear = 0;
    FigureBasis basis = FigureBasis::recommended;
    Length apart = {}; ///< the packet's least distance between two; 0: it does not say
    Length edge = {};  ///< and to an edge of the masonry
    bool own = false;  ///< the fitter's own entry, from its packet; else the shipped figure, from memory
    bool at_hand = true;
    UnknownMembers unknown = {};
    bool operator==(const MasonryAnchor&) const = default;

    bool in_timber() const { return kind == AnchorKind::insert_nut; }
    bool is_for(MasonryKind masonry) const { return !in_timber() && substrate == masonry; }
};

/// An anchor that grips the lining alone. Its figures are its packet's, for one lining of so much thickness; an anchor
/// with both, and with that said, may hold light things.
struct LiningAnchor {
    std::string id;
    std::string name;
    AnchorKind kind = AnchorKind::cavity_anchor;
    Length hole_diameter;
    Length screw_diameter = 5_mm;
    std::optional<Force> tension = {};
    std::optional<Force> shear = {};
    FigureBasis basis = FigureBasis::not_stated;
    LiningMaterial lining = LiningMaterial::plasterboard; ///< that the packet rates it for
    Length lining_least = {};                             ///< thickness of that, all layers
    Length lining_most = {};                              ///< 0: the packet does not say
    bool own = false;
    UnknownMembers unknown = {};
    bool operator==(const LiningAnchor&) const = default;
};

/// What things hang on, as the fitter has it in the hand: hook plates or a rail for units, hangers for a shelf.
using Gear = std::variant<HookPlate, SuspensionRail, CeilingHanger>;
struct HangingGear {
    std::string id;
    std::string name;
    Gear gear;
    std::optional<Force> rating = {};             ///< the maker's, for one of them; none: unknown
    FigureBasis basis = FigureBasis::recommended; ///< of that
    bool own = true;
    bool at_hand = true;
    Picture picture = {};
    UnknownMembers unknown = {};
    bool operator==(const HangingGear&) const = default;
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
    std::vector<MasonryAnchor> plugs;
    std::vector<LiningAnchor> lining_anchors;
    std::vector<Support> supports = {};
    std::vector<HangingGear> hanging_gear = {};
    std::vector<ListedUnit> units = {};
    std::vector<Stock> stock = {};
    std::vector<KitSupply> supplies = {};
    UnknownMembers unknown = {};
    bool operator==(const Catalogue&) const = default;
};

/// What labels are printed on: plain paper, to be cut out, or sheets of stickers, so many across and down.
enum class LabelSheet { cut_out, a4_3x8, a4_3x7, a4_2x7, letter_3x10, letter_2x5 };

/// The language that sheets are printed in: the client may read another than the fitter.
enum class SheetLanguage { as_window, english, german };

/// Whose sheets they are: at the head of every page that is printed; and what labels are printed on there.
struct SheetHead {
    std::string firm;
    std::string address;
    Picture logo = {};
    LabelSheet labels = LabelSheet::cut_out;
    SheetLanguage language = SheetLanguage::as_window;
    UnknownMembers unknown = {};
    bool operator==(const SheetHead&) const = default;
};

/// One who works on jobs.
struct Fitter {
    std::string name;
    UnknownMembers unknown = {};
    bool operator==(const Fitter&) const = default;
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
    int crew = 1;                     ///< persons on the job
    std::string fitter;               ///< who ticks and records
    std::vector<Fitter> fitters = {}; ///< by name, in the order that a day plan calls its persons
    SheetHead head = {};
    std::string currency; ///< of its prices, as they are written: "EUR"
    WorkDays days = {};
    std::vector<DeliveryLine> delivery = {};
    std::vector<Tick> ticks = {};
    std::vector<LogEntry> log = {};
    UnknownMembers unknown = {};
    bool operator==(const Job&) const = default;
};

const Room* room_of(const Job& job, const Wall& wall);

/// The catalogue that ships with the program.
const Catalogue& shipped_catalogue();

/// A new job with the shipped catalogue and no walls.
Job new_job();

/// How a place measures and what its shops have.
enum class Region { metric, inch };
/// A new job as one begins it there: in mm with joints by EN 1995-1-1 and metric screws, or in sixteenths of an inch by
/// NDS-2018.
Job new_job(Region region);

} // namespace yes_square
