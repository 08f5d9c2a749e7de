#pragma once

#include "core/job/chosen_fixing.hpp"
#include "core/job/materials.hpp"
#include "core/job/tape.hpp"
#include "core/job/unknown_members.hpp"
#include "core/measure/physical.hpp"

#include <optional>
#include <string>
#include <vector>

/// Free-standing and tall furniture, and what keeps it from tipping, as found or chosen.
namespace yes_square {

enum class PieceKind { dresser, bookcase, larder, side_panel, appliance_housing, workshop_cabinet, other };

enum class FloorUnder { hard, carpet, unknown };

/// A drawer, or a pull-out, with what is in it.
struct Drawer {
    Length top;   ///< upper edge of its front above the floor
    Length reach; ///< its front stands this far before the piece's front when it is open
    Length height = 200_mm;
    Mass mass = 0;                 ///< empty
    std::optional<Mass> load = {}; ///< in it; none: by its size
    UnknownMembers unknown = {};
    bool operator==(const Drawer&) const = default;
};

enum class RestraintKind {
    none,
    through_frame, ///< screws through the solid wood of its back
    top_brackets,  ///< steel angles on its top, out of sight
    straps,        ///< from its back to the wall
    cleat,         ///< a strip on the wall that its frame is screwed to
};

struct Restraint {
    RestraintKind kind = RestraintKind::none;
    int number = 2;         ///< of places it is held at
    Length down = 50_mm;    ///< of its fixings in the wall below the piece's top; of top brackets: above it
    Length through = 20_mm; ///< wood its screws pass through: the frame, the cleat
    Species wood = Species::unknown;
    bool in_lining = false;               ///< anchors in the lining, as packets bring them
    std::optional<ScrewGauge> gauge = {}; ///< the screw that came with it; none: the program chooses
    Length screw_length;                  ///< of that screw
    std::optional<Force> rating = {};     ///< the maker's, of one bracket or strap; none: unknown
    Length strap_out = 60_mm;             ///< a strap's two ends: this far apart out of the wall
    Length strap_rise;                    ///< and this far up or down it
    UnknownMembers unknown = {};
    bool operator==(const Restraint&) const = default;
};

struct Piece {
    std::string id;
    std::string name;
    PieceKind kind = PieceKind::dresser;
    Length left; ///< from the wall's left end
    Length width;
    Length height;
    Length depth;
    Mass mass = 0;                          ///< all of it, empty, drawers and doors in
    std::optional<Length> centre_up = {};   ///< centre of gravity above the floor; none: half its height
    std::optional<Length> centre_back = {}; ///< and behind its front; none: half its depth
    Length feet_back;                       ///< its front feet stand this far behind its front
    std::vector<Drawer> drawers = {};
    bool one_at_a_time = false; ///< a lock lets one drawer open only
    int doors = 0;
    Mass door_mass = 0;     ///< of one
    Mass top_load = 0;      ///< on its top
    Mass contents_mass = 0; ///< on its shelves
    FloorUnder floor = FloorUnder::unknown;
    Length floor_falls;   ///< towards the room, over its depth
    Length gap;           ///< between its back and the wall; 0: a skirting keeps it off
    bool children = true; ///< about
    Restraint restraint = {};
    FixingChoices fixing = {};                 ///< by the fitter; none: the program chooses
    std::optional<TapeEnd> measured_from = {}; ///< its own reference end; none: as its wall is
    UnknownMembers unknown = {};
    bool operator==(const Piece&) const = default;

    Length right() const { return left + width; }
};

} // namespace yes_square
