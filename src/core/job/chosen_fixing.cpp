#include "core/job/chosen_fixing.hpp"

namespace yes_square {

const ChosenFixing* FixingChoices::of(const FixingSpot& hole) const {
    const ChosenFixing* closest = all ? &*all : nullptr;
    int close = 0;
    for (const FixingAt& each : at)
        if (each.where.covers(hole) && each.where.closeness() >= close) {
            closest = &each.fixing;
            close = each.where.closeness();
        }
    return closest;
}

const ChosenFixing* FixingChoices::exactly(const FixingSpot& where) const {
    if (where.everywhere())
        return all ? &*all : nullptr;
    const ChosenFixing* last = nullptr;
    for (const FixingAt& each : at)
        if (each.where == where)
            last = &each.fixing;
    return last;
}

void FixingChoices::choose(const FixingSpot& where, std::optional<ChosenFixing> fixing) {
    if (where.everywhere()) {
        all = std::move(fixing);
        return;
    }
    std::erase_if(at, [&](const FixingAt& each) { return each.where == where; });
    if (fixing)
        at.push_back({where, *std::move(fixing)});
}

} // namespace yes_square
