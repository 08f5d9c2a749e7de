#pragma once

#include "core/sheets/elevation.hpp"

/// What was read of a wall, drawn over its elevation.
namespace yes_square {

/// Under everything else: how likely wood is behind the lining, as a soft band from floor to ceiling.
void draw_wood_chance(const StudPosterior& posterior, const Wall& wall, const ElevationScale& scale, Drawing& drawing);

/// What stands at the wall's edges whatever is looked at: skirting, cornice, joists, trial holes, scanned areas.
void draw_edges(const Wall& wall, const ElevationScale& scale, const ElevationFrame& frame, const Voice& voice,
                Drawing& drawing);

/// Over everything else: the readings themselves, with what each comes to.
void draw_readings(const Wall& wall, const WallSurvey& survey, const ElevationScale& scale, const ElevationFrame& frame,
                   const Voice& voice, Drawing& drawing);

} // namespace yes_square
