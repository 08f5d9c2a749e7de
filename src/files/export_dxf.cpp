#include "files/dxf_out.hpp"
#include "files/exported_walls.hpp"

namespace yes_square {
namespace {

void write_walls(const Exported& what, ExportFolder& to) {
    for_each_elevation(what, [&](const Wall& wall, const WallPlan& plan, const Elevation& elevation) {
        if (auto problem = write_dxf(to.path(wall.id + ".dxf"), elevation.drawing, elevation.scale,
                                     outline_of(wall, plan.survey.studs)))
            to.report(std::move(*problem));
        else
            to.wrote(to.path(wall.id + ".dxf"));
    });
}

} // namespace

ExportFormat dxf_format() {
    return {"dxf", "drawings of walls at full size, on layers", write_walls};
}

} // namespace yes_square
