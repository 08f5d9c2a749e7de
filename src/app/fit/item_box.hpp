#pragma once

#include "core/reckon/clashes.hpp"

#include <algorithm>
#include <optional>

namespace yes_square::app {

/// Where a thing is on its wall, a run as all of its units; none: nothing there has this id.
inline std::optional<Box> box_of_item(const Wall& wall, const WallPlan& plan, const std::string& id) {
    std::optional<Box> whole;
    const auto run = std::ranges::find(wall.runs, id, &Run::id);
    for (const WallThing& thing : things_on(wall, plan.runs)) {
        const bool of_run =
            run != wall.runs.end() && std::ranges::find(run->units, thing.id, &CabinetUnit::id) != run->units.end();
        if (thing.id != id && !of_run)
            continue;
        if (!whole)
            whole = thing.box;
        whole = Box{std::min(whole->left, thing.box.left), std::max(whole->right, thing.box.right),
                    std::min(whole->bottom, thing.box.bottom), std::max(whole->top, thing.box.top)};
    }
    return whole;
}

} // namespace yes_square::app
