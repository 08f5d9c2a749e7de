#include "files/dxf_out.hpp"
#include "files/exported_walls.hpp"

namespace yes_square {
namespace {

void write_walls(const Exported& what, ExportFolder& to) {
    for_each_elevation(what, [&](const Wall& wall, const WallPlan& plan, const Elevation& elevation) {
        const std::string name = wall.id + ".dxf";
        if (const auto text = dxf_text(elevation.drawing, elevation.scale, outline_of(wall, plan.survey.studs)))
            to.put(name, *text);
        else
            to.report(to.path(name) + ": " + text.error());
    });
}

} // namespace

ExportFormat dxf_format() {
    return {"dxf", "drawings of walls at full size, on layers", write_walls};
}

} // namespace yes_square
