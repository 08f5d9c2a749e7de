#include "core/sheets/small_wall.hpp"

#include "core/job/things.hpp"
#include "core/sheets/elevation.hpp"

namespace yes_square {

std::optional<std::size_t> fullest_wall(const Job& job) {
    std::optional<std::size_t> fullest;
    std::size_t most = 0;
    for (std::size_t w = 0; w < job.walls.size(); ++w) {
        std::size_t things = 0;
        for_each_thing(job.walls[w], [&](const auto&) { ++things; });
        if (!fullest || things > most) {
            fullest = w;
            most = things;
        }
    }
    return fullest;
}

Drawing draw_small_wall(const Wall& wall, const WallPlan& plan, double width, double height) {
    ElevationFrame frame;
    frame.width = width;
    frame.height = height;
    frame.text = 1;
    frame.rods = false;
    Drawing drawn = draw_elevation(wall, plan, frame, {}).drawing;
    std::erase_if(drawn.shapes, [](const Shape& shape) {
        const auto* line = std::get_if<Line>(&shape.form);
        const bool leads_to_words = line && line->ink == Ink::figure && shape.reference.part == Reference::Part::none;
        return leads_to_words || std::holds_alternative<Text>(shape.form) ||
               std::holds_alternative<Triangle>(shape.form);
    });
    return drawn;
}

} // namespace yes_square
