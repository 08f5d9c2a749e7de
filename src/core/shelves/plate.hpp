#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// Fills in what hangs a thing that has its holes already: a hidden bracket, a keyhole back, a fixture. Every hole with
/// something behind it is used; the load is taken whole, with the goods on either half alone, and with somebody leaning
/// on each end of the front edge.
void hang_on_plate(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);

/// The plate of a shelf that hangs on one, with its size, and where its top left corner is on the wall; nullptr: none.
struct HungPlate {
    const Plate* plate = nullptr;
    Length left;
    Length top;
    Length width;
    Length height;
    Length proud;       ///< its screw heads stand this far off the wall
    bool whole = false; ///< it is the thing's own back
};
HungPlate plate_of(const Shelf& shelf);
/// The same plate, to be changed.
Plate* plate_in(Shelf& shelf);

/// A back with holes near the ends of its upper edge, or of both edges.
Plate corner_holes(Length width, Length height, Length hole, bool two_rows);

} // namespace yes_square
