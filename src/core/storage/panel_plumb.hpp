#pragma once

#include "core/job/house_rules.hpp"
#include "core/job/storage.hpp"
#include "core/plan/system_plan.hpp"

namespace yes_square {

/// A panel is held at its top by its cleated shelf, so it is put right at its foot: a reading of r over a level of
/// length l is a slope r/l, and over the panel's height h its foot moves r h / l to the side its top leans to. The
/// level's own error is taken over the same height. Geometry.
PanelCorrection plumb_correction(const PanelReading& reading, Length panel_height, const StorageRules& rules);

/// How tall a panel is, by its number from 1; one that is not there is as tall as the rest.
Length panel_height(const StorageSystem& system, const SystemPlan& plan, int panel);

} // namespace yes_square
