#include "core/survey/strips.hpp"

namespace yes_square {

std::vector<Strip> service_strips(const Wall& wall, const HouseRules& rules) {
    std::vector<Strip> strips;
    for (const ServicePoint& service : wall.services) {
        const Length half = service.width / 2;
        if (service.kind == ServiceKind::pipe) {
            strips.push_back({service.centre - half, service.centre + half, {}, wall.height, "a pipe"});
            continue;
        }
        const std::string_view what =
            service.kind == ServiceKind::socket ? "a cable to the socket" : "a cable to the switch";
        strips.push_back({service.centre - half, service.centre + half, {}, wall.height, what});
        strips.push_back({{}, wall.length, service.height - half, service.height + half, what});
    }
    const Length corner = rules.strip_corner;
    if (corner > Length{}) {
        if (wall.left_end == WallEnd::corner)
            strips.push_back({{}, corner, {}, wall.height, "a cable beside the corner"});
        if (wall.right_end == WallEnd::corner)
            strips.push_back({wall.length - corner, wall.length, {}, wall.height, "a cable beside the corner"});
        strips.push_back({{}, wall.length, wall.height - corner, wall.height, "a cable along the ceiling"});
    }
    return strips;
}

} // namespace yes_square
