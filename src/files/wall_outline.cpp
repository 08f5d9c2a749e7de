#include "files/wall_outline.hpp"

#include <algorithm>

namespace yes_square {

std::vector<OutlineMark> outline_of(const Wall& wall, const std::vector<Stud>& studs) {
    std::vector<OutlineMark> marks{{wall_layer, 0, wall.length.in_mm(), 0, wall.height.in_mm()}};
    const auto add = [&](std::string_view layer, Length left, Length right, Length bottom, Length top) {
        marks.push_back({layer, left.in_mm(), right.in_mm(), bottom.in_mm(), top.in_mm()});
    };
    for (const Opening& opening : wall.openings) {
        const auto* on = std::ranges::find(opening_layers, opening.kind, &OpeningLayer::kind);
        const Length right = opening.left + opening.width;
        const Length top = opening.bottom + opening.height;
        add(on->layer, opening.left, right, opening.bottom, top);
        if (opening.trim > Length{})
            add(on->trim, opening.left + opening.trim, right - opening.trim,
                opening.kind == OpeningKind::window ? opening.bottom + opening.trim : opening.bottom,
                top - opening.trim);
    }
    for (const ServicePoint& service : wall.services) {
        const auto* on = std::ranges::find(service_layers, service.kind, &ServiceLayer::kind);
        const double half = service.width.in_mm() / 2;
        marks.push_back({service.far_side ? on->far_side : on->layer, service.centre.in_mm() - half,
                         service.centre.in_mm() + half, service.height.in_mm() - half, service.height.in_mm() + half});
    }
    for (const Stud& stud : studs)
        add(std::ranges::find(stud_layers, stud.state, &StudLayer::state)->layer, stud.centre - stud.uncertainty,
            stud.centre + stud.uncertainty, {}, wall.height);
    for (const Obstacle& obstacle : wall.obstacles) {
        const Length right = obstacle.left + obstacle.width;
        const Length top = obstacle.bottom + obstacle.height;
        add(std::ranges::find(obstacle_layers, obstacle.kind, &ObstacleLayer::kind)->layer, obstacle.left, right,
            obstacle.bottom, top);
        if (const Length free = obstacle.clearance; free > Length{})
            add(clearance_layer, obstacle.left - free, right + free, obstacle.bottom - free, top + free);
    }
    return marks;
}

} // namespace yes_square
