#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// Which readings are drawn over the wall.
enum class SurveyLayer { none, studs, level, face };

/// How the elevation stands in its frame of paper.
struct ElevationFrame {
    double width = 250; ///< mm
    double height = 150;
    double text = 3;  ///< mm, size of figures
    double zoom = 1;  ///< 1: the whole wall
    double pan_x = 0; ///< mm of paper, added to the wall's place
    double pan_y = 0;
    std::string selected_shelf; ///< its heights and holes stand on the height rod; empty: all shelves'
    std::string selected_run;   ///< drawn with its holes and its figures on the run rod
    std::string selected_unit;
    std::string selected_thing; ///< wardrobe, piece, box or cabinet that hangs already, with its figures on the rods
    std::string selected_bay;
    std::vector<LinePlan> lines; ///< of the room, to be drawn
    bool line_names = false;     ///< every line with its name, as while lines are set; else those that units hang on
    bool rods = true;
    bool found = false; ///< what was found on the wall drops its ticks on the rods too
    SurveyLayer survey = SurveyLayer::none;
    std::optional<ProbeAdvice> advice = {}; ///< where to probe next, drawn with the studs
    std::optional<Tape> tape = {};          ///< that its rods read from; none: the wall's
};

/// From places on the wall to places on paper and back.
struct ElevationScale {
    double left = 0;      ///< mm of paper at the left end
    double floor = 0;     ///< mm of paper at the datum
    double per_metre = 1; ///< mm of paper

    double x(Length on_wall) const { return left + on_wall.in_metres() * per_metre; }
    double y(Length on_wall) const { return floor - on_wall.in_metres() * per_metre; }
    Length wall_x(double paper) const { return Length::nearest_to_metres((paper - left) / per_metre); }
    Length wall_z(double paper) const { return Length::nearest_to_metres((floor - paper) / per_metre); }
};

struct Elevation {
    Drawing drawing;
    ElevationScale scale;
};

/// The wall seen square on, with what is on it, the run rod under it and the height rod at its left.
/// Rod figures are running dimensions in the voice's unit; those that would overlap step aside.
Elevation draw_elevation(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice);

/// The same wall very small, with one shelf's brackets at the places of an alternative.
Drawing draw_alternative(const std::vector<Stud>& studs, const Shelf& shelf, const std::optional<Bracket>& bracket,
                         const Alternative& alternative, double width, double height);

} // namespace yes_square
