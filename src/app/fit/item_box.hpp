#pragma once

#include "core/plan/plan.hpp"

#include <algorithm>
#include <optional>

namespace yes_square::app {

/// Where a thing is on its wall, a run as all of its units; none: nothing there has this id.
inline std::optional<Outline> box_of_item(const WallPlan& wall, const std::string& id) {
    std::optional<Outline> whole;
    for_each_thing(wall, [&](const ThingPlan& thing) {
        for (const WallThing& room : thing.room) {
            if (room.id != id && thing.id != id)
                continue;
            if (!whole)
                whole = room.box;
            whole = Outline{std::min(whole->left, room.box.left), std::max(whole->right, room.box.right),
                            std::min(whole->bottom, room.box.bottom), std::max(whole->top, room.box.top)};
        }
    });
    return whole;
}

} // namespace yes_square::app
