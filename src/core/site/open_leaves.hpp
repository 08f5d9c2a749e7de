#pragma once

#include "core/plan/plan.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// What stands out of a thing when it is open, in its wall's own places: a door on its hinge, or a drawer.
struct OpenLeaf {
    std::string item; ///< id of the unit, the wardrobe or the piece
    bool drawer = false;
    bool either_hinge = false; ///< a door whose hinge is not told: it may turn about either end
    Length hinge;              ///< of a door: where it turns, from the wall's left end
    Length free_end;           ///< where it closes; of a drawer hinge and free end are its two sides
    Length front;              ///< of the closed leaf, out of the wall
    Length out;                ///< how far it stands before that when it is open
    Length bottom;
    Length top;
};

/// Doors of units, bays and furniture, drawers. A drawer of which the job gives no reach comes out as far as its thing
/// is deep.
std::vector<OpenLeaf> open_leaves(const Wall& wall, const WallPlan& plan);

/// The arms of corner units, which stand out along the next wall: as broad as the unit is deep, as deep as it returns.
std::vector<WallThing> corner_arms(const Wall& wall, const WallPlan& plan);

} // namespace yes_square
