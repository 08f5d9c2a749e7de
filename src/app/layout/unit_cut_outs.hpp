#pragma once

#include "app/survey/readings_editor.hpp"

namespace yes_square::app {

/// Holes in the selected unit's back and sides, typed one after another from its edges.
ReadingsEditor* unit_cut_outs(Workbench& bench, QWidget* parent);

} // namespace yes_square::app
