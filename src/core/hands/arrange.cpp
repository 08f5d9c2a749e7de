#include "core/hands/arrange.hpp"

#include "core/runs/slide.hpp"

#include <algorithm>

namespace yes_square {
namespace {

struct Placed {
    std::string id;
    Outline box;
    Length middle_x() const { return (box.left + box.right) / 2; }
    Length middle_z() const { return (box.bottom + box.top) / 2; }
};

std::vector<Placed> placed(const WallPlan& plan, const std::vector<std::string>& ids) {
    std::vector<Placed> all;
    for (const std::string& id : ids)
        if (const auto box = whole_room(plan, id))
            all.push_back({id, *box});
    return all;
}

/// Pushed along, a run keeps its fillers within their limits.
std::optional<Edit> moved(const Wall& wall, const WallPlan& plan, const std::string& id, Length dx, Length dz) {
    if (dx == Length{} && dz == Length{})
        return {};
    const auto run = std::ranges::find(wall.runs, id, &Run::id);
    if (run == wall.runs.end())
        return MoveThing{id, dx, dz};
    if (dx == Length{})
        return {};
    return push_run(*run, plan.runs[static_cast<std::size_t>(run - wall.runs.begin())].layout, dx);
}

/// Along one way: from `low` to `high` of each.
template <class Low, class High>
std::vector<Length> evenly(std::vector<Placed>& things, Low low, High high) {
    std::ranges::stable_sort(things, {}, low);
    Length space = low(things.back()) - high(things.front());
    for (std::size_t i = 1; i + 1 < things.size(); ++i)
        space -= high(things[i]) - low(things[i]);
    const Length each = space / static_cast<int>(things.size() - 1);
    std::vector<Length> by(things.size());
    Length at = high(things.front()) + each;
    for (std::size_t i = 1; i + 1 < things.size(); ++i) {
        by[i] = at - low(things[i]);
        at += high(things[i]) - low(things[i]) + each;
    }
    return by;
}

} // namespace

std::vector<Edit> arrange(const Wall& wall, const WallPlan& plan, const std::vector<std::string>& ids,
                          Arrangement arrangement) {
    std::vector<Placed> things = placed(plan, ids);
    std::vector<Edit> edits;
    if (things.size() < 2)
        return edits;
    const auto add = [&](const std::string& id, Length dx, Length dz) {
        if (auto edit = moved(wall, plan, id, dx, dz))
            edits.push_back(std::move(*edit));
    };
    if (arrangement == Arrangement::spaced_evenly) {
        const auto [lowest, highest] = std::ranges::minmax(things, {}, &Placed::middle_z);
        const auto [first, last] = std::ranges::minmax(things, {}, &Placed::middle_x);
        const bool up = highest.middle_z() - lowest.middle_z() > last.middle_x() - first.middle_x();
        const auto by = up ? evenly(
                                 things, [](const Placed& each) { return each.box.bottom; },
                                 [](const Placed& each) { return each.box.top; })
                           : evenly(
                                 things, [](const Placed& each) { return each.box.left; },
                                 [](const Placed& each) { return each.box.right; });
        for (std::size_t i = 0; i < things.size(); ++i)
            add(things[i].id, up ? Length{} : by[i], up ? by[i] : Length{});
        return edits;
    }
    const Outline& to = things.front().box;
    for (const Placed& each : things)
        switch (arrangement) {
        case Arrangement::tops_level:
            add(each.id, {}, to.top - each.box.top);
            break;
        case Arrangement::undersides_level:
            add(each.id, {}, to.bottom - each.box.bottom);
            break;
        case Arrangement::left_ends_in_line:
            add(each.id, to.left - each.box.left, {});
            break;
        case Arrangement::right_ends_in_line:
            add(each.id, to.right - each.box.right, {});
            break;
        case Arrangement::spaced_evenly:
            break;
        }
    return edits;
}

std::vector<Edit> moved_by(const Wall& wall, const WallPlan& plan, const std::vector<std::string>& ids, Length dx,
                           Length dz) {
    std::vector<Edit> edits;
    for (const std::string& id : ids)
        if (auto edit = moved(wall, plan, id, dx, dz))
            edits.push_back(std::move(*edit));
    return edits;
}

std::vector<Edit> tops_to(const Wall& wall, const WallPlan& plan, const std::vector<std::string>& ids, Length z) {
    std::vector<Edit> edits;
    for (const Placed& each : placed(plan, ids))
        if (auto edit = moved(wall, plan, each.id, {}, z - each.box.top))
            edits.push_back(std::move(*edit));
    return edits;
}

} // namespace yes_square
