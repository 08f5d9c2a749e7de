#include "core/site/footprint.hpp"

#include "core/site/open_leaves.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace yes_square {
namespace {

constexpr double touch = 0.001; // m

/// All the floor over which it passes.
std::vector<PlanPoint> swept(const PlanWall& placed, const OpenLeaf& leaf) {
    const double front = leaf.front.in_metres();
    const double out = leaf.out.in_metres();
    if (leaf.drawer || leaf.either_hinge)
        return {off(placed, leaf.hinge, front), off(placed, leaf.free_end, front),
                off(placed, leaf.free_end, front + out), off(placed, leaf.hinge, front + out)};
    std::vector<PlanPoint> sector{off(placed, leaf.hinge, front)};
    constexpr int steps = 8;
    const double broad = (leaf.free_end - leaf.hinge).in_metres();
    for (int i = 0; i <= steps; ++i) {
        const double open = i * std::numbers::pi / 2 / steps;
        sector.push_back(
            off(placed, leaf.hinge + Length::nearest_to_metres(broad * std::cos(open)), front + out * std::sin(open)));
    }
    return sector;
}

/// From a point to the stretch between two others.
double away(const PlanPoint& point, const PlanPoint& from, const PlanPoint& to) {
    const double dx = to.x - from.x;
    const double dy = to.y - from.y;
    const double square = dx * dx + dy * dy;
    const double share =
        square > 0 ? std::clamp(((point.x - from.x) * dx + (point.y - from.y) * dy) / square, 0.0, 1.0) : 0.0;
    return std::hypot(point.x - from.x - share * dx, point.y - from.y - share * dy);
}

} // namespace

std::vector<Footprint> footprints_of(const PlanWall& placed, const Wall& wall, const WallPlan& plan) {
    std::vector<Footprint> footprints;
    const auto stands = [&](const WallThing& thing) {
        const Outline& box = thing.box;
        const double depth = thing.depth.in_metres();
        footprints.push_back({thing.id,
                              thing.name,
                              placed.wall,
                              {off(placed, box.left, 0), off(placed, box.right, 0), off(placed, box.right, depth),
                               off(placed, box.left, depth)},
                              box.bottom,
                              box.top});
    };
    for (const WallThing& thing : things_on(plan))
        stands(thing);
    for (const WallThing& arm : corner_arms(wall, plan))
        stands(arm);
    for (const OpenLeaf& leaf : open_leaves(wall, plan))
        footprints.push_back({leaf.item, {}, placed.wall, swept(placed, leaf), leaf.bottom, leaf.top, true});
    return footprints;
}

bool overlap(const std::vector<PlanPoint>& a, const std::vector<PlanPoint>& b) {
    // Convex shapes overlap where no side of either parts them.
    const auto parted_by_a_side_of = [&](const std::vector<PlanPoint>& sides) {
        for (std::size_t i = 0; i < sides.size(); ++i) {
            const PlanPoint& from = sides[i];
            const PlanPoint& to = sides[(i + 1) % sides.size()];
            const double long_ = std::hypot(to.x - from.x, to.y - from.y);
            if (long_ < touch)
                continue;
            const double across_x = (to.y - from.y) / long_;
            const double across_y = (from.x - to.x) / long_;
            const auto reach = [&](const std::vector<PlanPoint>& shape) {
                double least = 1e9;
                double most = -1e9;
                for (const PlanPoint& corner : shape) {
                    const double away = corner.x * across_x + corner.y * across_y;
                    least = std::min(least, away);
                    most = std::max(most, away);
                }
                return std::pair{least, most};
            };
            const auto [least_a, most_a] = reach(a);
            const auto [least_b, most_b] = reach(b);
            if (most_a - touch < least_b || most_b - touch < least_a)
                return true;
        }
        return false;
    };
    return !parted_by_a_side_of(a) && !parted_by_a_side_of(b);
}

double apart(const std::vector<PlanPoint>& a, const std::vector<PlanPoint>& b) {
    if (overlap(a, b))
        return 0;
    // Of convex shapes that do not overlap a corner of one is nearest to the other.
    double least = std::numeric_limits<double>::infinity();
    for (const auto& [corners, sides] : {std::pair{&a, &b}, std::pair{&b, &a}})
        for (const PlanPoint& corner : *corners)
            for (std::size_t i = 0; i < sides->size(); ++i)
                least = std::min(least, away(corner, (*sides)[i], (*sides)[(i + 1) % sides->size()]));
    return least;
}

} // namespace yes_square
