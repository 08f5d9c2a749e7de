#pragma once

#include "core/job/storage.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/piece_plan.hpp"
#include "core/plan/run_plan.hpp"

#include <algorithm>

/// What follows from a storage system: its panels and bays, what is in them, what holds them, in what order it goes up.
namespace yes_square {

/// A panel that was found out of plumb, and what puts it right: it is held at its top, so its foot moves.
struct PanelCorrection {
    int panel = 1;
    double slope = 0; ///< m per m
    Length foot_moves;
    bool to_right = false;
    Length error;        ///< of the reading, at the foot
    bool within = false; ///< it may stay
};

struct PanelPlan {
    std::string label; ///< "P1"
    Length left;
    Mass mass = 0;
    Length foot = {}; ///< as low as the bays beside it, and as high
    Length head = {};
    Length height() const { return head - foot; }
};

enum class ShelfOfBay { plain, cleated, loose };

std::string_view words(ShelfOfBay what);

struct BayShelf {
    std::string label; ///< "2B": of bay 2, counted from the top
    ShelfOfBay what = ShelfOfBay::cleated;
    Length top;                          ///< its upper face above the datum
    std::optional<std::size_t> pin_hole; ///< of a loose one, counted from the lowest
    Mass mass = 0;
    Force load = 0; ///< of goods on it, besides itself
    SagVerdict sag;
    Utilisation board_utilisation = Utilisation::none();
};

struct BayCleat {
    std::string shelf; ///< its label
    Length left;
    Length length;
    Length z; ///< of its screws above the datum; the middle of two above one another
    Force load = 0;
    std::vector<PlannedHole> screws; ///< from the left; the upper of two before the lower
    std::vector<HoleDemand> demands;
    Utilisation utilisation; ///< of its worst screw; unknown: nothing holds it
    /// Along it, with a screw or two each.
    std::size_t places() const {
        return static_cast<std::size_t>(std::ranges::count(screws, std::size_t{0}, &PlannedHole::row));
    }
};

struct BayRod {
    std::string label; ///< "2R1"
    Length z;          ///< of its middle above the datum
    Length cut;
    Length under; ///< clear below its middle
    Force load = 0;
    SagVerdict sag;
    Utilisation utilisation = Utilisation::none(); ///< of its bending strength
    std::size_t holds = 0;                         ///< garments of the bay's kind
};

enum class GoodsKind { garments, piles, boxes, shoes, drawers };

/// What goes into a bay, as figures.
struct Fits {
    GoodsKind what = GoodsKind::garments;
    std::size_t number = 0;
    std::size_t each = 0; ///< pieces in a pile
    Length clear;         ///< height that it has
};

struct BayPlan {
    std::size_t number = 1;
    Length left; ///< of the clear opening
    Length width;
    BaySides sides = {};
    std::vector<BayShelf> shelves; ///< from the top
    std::vector<BayCleat> cleats;
    std::vector<BayRod> rods;    ///< from the top
    std::vector<Length> drawers; ///< upper edges above the datum, from the top
    std::vector<Fits> fits;
    Length hidden;        ///< of its width, behind what stands on the next wall
    Mass mass = 0;        ///< its shelves, drawers and the panel on its left
    Mass drawer_mass = 0; ///< of that, one drawer
    Mass loaded_mass = 0;
    Force needs = 0;                  ///< of what keeps it from tipping
    std::vector<LoadCase> loads = {}; ///< of one that hangs, on all its screws together
    bool turns = false;               ///< nothing keeps it from turning off the wall
    Length right() const { return left + width; }
};

struct SystemPlan : ThingPlan {
    Length foot; ///< of its lowest bay
    Length head; ///< of its highest
    std::vector<PanelPlan> panels;
    std::vector<BayPlan> bays;
    std::vector<PanelCorrection> corrections;
    Length left_over;             ///< of the width, that no bay takes; less than 0: bays need more
    StudSlide slide;              ///< of the bays over the studs
    Length slide_moves;           ///< the system's left end, to where the slide puts it; 0: it stays
    std::optional<Fixing> fixing; ///< one screw for all cleats
};

} // namespace yes_square
