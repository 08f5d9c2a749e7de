#pragma once

#include "core/job/chosen_fixing.hpp"
#include "core/job/runs.hpp"
#include "core/job/shelf.hpp"

/// Storage systems: side panels along a wall with bays between them, as they were chosen.
namespace yes_square {

enum class BayKind { double_hanging, long_hanging, shelves, drawers, shoes, open };

/// What hangs on a rod: how long it hangs and how much rod it takes is in the house rules.
enum class Garment { shirts, trousers, jackets, dresses, coats };

/// How the wall's width is shared among the bays.
enum class BayWidths {
    equal,       ///< all alike
    fixed,       ///< bays keep the widths given; those without share what is left
    by_garments, ///< hanging bays share what is left by what has to hang in them
};

/// Whether a bay's own sides stand or hang: in one wardrobe some may do otherwise than the rest.
enum class BayStands { as_the_rest, on_floor, hung };

struct Bay {
    std::string id;
    BayKind kind = BayKind::shelves;
    Length width; ///< between its panels; 0: by the system's policy
    Garment garment = Garment::shirts;
    int garments = 0; ///< to hang in it
    int loose = 0;    ///< shelves on pins; of a drawer bay: drawers
    ShelfLoad load = {LoadKind::general, 0};
    Length rod;                    ///< of the rod's middle above the panels' foot; the upper of two; 0: usual
    Length low_rod;                ///< of the lower rod; 0: usual
    Length drawer_height = 200_mm; ///< of one drawer's front
    Length height;                 ///< of its sides; 0: as the wardrobe's
    BayStands stands = BayStands::as_the_rest;
    DoorHinge door = DoorHinge::none; ///< not drawers: those are the bay's kind
    UnknownMembers unknown = {};
    bool operator==(const Bay&) const = default;
};

/// A bay from where its sides begin to where they end, above the datum.
struct BaySides {
    Length foot;
    Length head;
    bool hung = false;
    Length height() const { return head - foot; }
    bool operator==(const BaySides&) const = default;
};

/// A reading of a level held against a standing panel.
struct PanelReading {
    int panel = 1;             ///< counted from the left, from 1
    Length off;                ///< under or behind one end of the level
    Length over = 1200_mm;     ///< length of the level
    bool top_to_right = false; ///< the panel's top leans to the right of its foot
    UnknownMembers unknown = {};
    bool operator==(const PanelReading&) const = default;
};

/// Panels and bays, numbered from the left. Panels that stand rest on the floor; those that hang begin at `top`.
struct StorageSystem {
    std::string id;
    std::string name;
    Length left;  ///< outer face of the first panel, from the wall's left end
    Length width; ///< over all
    Length depth = 400_mm;
    Length panel_height = 2100_mm; ///< of bays that have no height of their own
    Length panel = 18_mm;          ///< thickness of panels and shelves
    BoardMaterial material = BoardMaterial::particleboard_p2;
    bool hung = false;
    Length top; ///< of the panels of a hung system above the datum
    BayWidths widths = BayWidths::equal;
    Length cleat_breadth = 60_mm; ///< up the wall
    Length cleat_thickness = 18_mm;
    Species cleat_wood = Species::unknown;
    PoleStuff rod_stuff = PoleStuff::steel;
    Length rod_diameter = 25_mm;
    Length rod_wall = Length::micrometres(1200); ///< of a tube; 0: solid
    Length end_cup = 5_mm;                       ///< a rod is this much shorter than its bay at either end
    Length first_hole = 96_mm;                   ///< for shelf pins, above the panel's foot
    int crew = 1;                                ///< persons
    bool children = true;                        ///< about
    std::vector<Bay> bays = {};
    std::vector<PanelReading> readings = {};
    FixingChoices fixing = {};                 ///< by the fitter; none: the program chooses
    std::optional<TapeEnd> measured_from = {}; ///< its own reference end; none: as its wall is
    UnknownMembers unknown = {};
    bool operator==(const StorageSystem&) const = default;

    Length right() const { return left + width; }
    /// Above the datum, where every bay that hangs begins, and every one that stands and has no height of its own ends.
    Length head() const { return hung ? top : panel_height; }
    BaySides sides_of(const Bay& bay) const {
        const bool hangs = bay.stands == BayStands::as_the_rest ? hung : bay.stands == BayStands::hung;
        const Length own = bay.height > Length{} ? bay.height : panel_height;
        if (hangs)
            return {head() - own, head(), true};
        return {Length{}, bay.height > Length{} ? bay.height : head(), false};
    }
};

} // namespace yes_square
