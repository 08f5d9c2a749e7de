#pragma once

#include "app/survey/readings_editor.hpp"

namespace yes_square::app {

/// The screws that were found in the selected cabinet, one by one: through what, into what, where, and whether each
/// counts. What is typed is of the kind of screw that the panel names.
ReadingsEditor* found_screws(Workbench& bench, QWidget* parent);

} // namespace yes_square::app
