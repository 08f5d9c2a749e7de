#pragma once

#include "core/plan/system_plan.hpp"
#include "core/runs/slide.hpp"
#include "core/site/wall_site.hpp"

/// What holds the bays to the wall.
namespace yes_square {

/// A bay as a piece of furniture that may tip, with its drawers and doors. Half of a panel between two bays is its own.
Piece piece_of(const StorageSystem& system, const BayPlan& bay, DoorHinge door);

/// Cleats of every bay, a screw in each proved stud behind it (in masonry at either end), what each bears, and the one
/// screw that does for all. Where one in a stud is too little, two, one above another.
///
/// A cleat takes half of what lies on its shelf, the panels' front the rest. Of a system that stands, the top cleat
/// also keeps its bay from tipping. One that hangs has all its weight and its moment on its cleats, as a cabinet on its
/// rails.
/// @param plan  its bays filled
void hold_bays(const StorageSystem& system, const WallSite& site, SystemPlan& plan);

/// Whether the system could be slid along its wall so that every bay has its studs: one each where it stands on the
/// floor, two where it hangs.
SlideQuestion slide_question(const StorageSystem& system, const SystemPlan& plan, const WallSite& site);

} // namespace yes_square
