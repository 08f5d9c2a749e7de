#pragma once

#include "core/fixings/choose_fixing.hpp"
#include "core/measure/physical.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// What one screw at mid breadth of a strip bears when `load_n` comes on it out by half the strip's thickness: the
/// strip turns about its lower edge, 5 mm up.
HoleDemand cleat_screw_demand(Force load, Length breadth, Length thickness, Length pivot, double duration);

/// A strip on the wall beside a shelf's end.
struct SideStrip {
    bool left = true;
    Length length;
    Length breadth;   ///< up the wall
    Length thickness; ///< out of it
    Species wood = Species::unknown;
    int screws = 3; ///< in masonry; a framed wall has them where its studs are
};

/// What holds it: that wall as the room has it, else taken to be built like the shelf's, which is flagged.
/// @param load  on it for good, in the middle of the depth   @param leaning  besides, on its front end
CleatPlan strip_on_side(const SideStrip& strip, Force load, Force leaning, const Shelf& shelf, const WallSite& site);

/// Fills in a shelf that lies on strips in an alcove: its cut, its sag, the load on each strip and the screws for it.
///
/// The board spans from side to side; its front edge sags as if there were no strip at its back, and the side strips
/// are reckoned without it, while the back strip is reckoned with half of all: both on the safe side. Side walls are
/// taken as the room has them, else as built like this wall, which is flagged.
void hang_on_cleats(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);

} // namespace yes_square
