#pragma once

#include "core/job/job.hpp"

#include <QString>

namespace yes_square::app {

/// Six letters and digits that change whenever something measured or chosen does, so that two sheets, or a sheet and
/// the window, can be told to be of one state. What was ticked off or noted changes no sheet's figures and not this.
QString revision_of(Job job);

} // namespace yes_square::app
