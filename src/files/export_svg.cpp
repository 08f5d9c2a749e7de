#include "core/cutting/cutting_plan.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/svg.hpp"
#include "files/exported_walls.hpp"

#include <fmt/format.h>

namespace yes_square {
namespace {

void write_svg(const Exported& what, ExportFolder& to) {
    for_each_elevation(what, [&](const Wall& wall, const WallPlan&, const Elevation& elevation) {
        to.put(wall.id + ".svg", svg(elevation.drawing, wall.name));
    });
    std::size_t number = 0;
    for (const StuffPlan& stuff : cutting_plan(what.job, what.plan).stuffs)
        to.put(fmt::format("cutting-{}.svg", ++number),
               svg(draw_cutting(stuff, what.job.rules.cutting.kerf, 260, 3, what.voice), stuff.stuff.words));
}

} // namespace

ExportFormat svg_format() {
    return {"svg", "drawings of walls and of cutting plans", write_svg};
}

} // namespace yes_square
