#pragma once

#include "app/survey/readings_editor.hpp"

/// What each editor of the survey takes, in what words, and where it goes in the wall.
namespace yes_square::app {

ReadingsSpec walk_readings();    ///< what is on and in the wall, met on the way along it
ReadingsSpec stud_evidence();    ///< traces of studs behind the lining
ReadingsSpec floor_readings();   ///< down from the level line
ReadingsSpec ceiling_readings(); ///< up from it
ReadingsSpec face_readings();    ///< behind a string or straightedge
ReadingsSpec width_readings();   ///< between the wall's ends
ReadingsSpec scanned_areas();    ///< what a services detector said, and what is kept free

} // namespace yes_square::app
