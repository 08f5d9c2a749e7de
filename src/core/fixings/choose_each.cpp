#include "core/fixings/choose_each.hpp"

#include <algorithm>

namespace yes_square {

bool FixedGroup::unlike() const {
    return std::ranges::any_of(parts, [&](const std::optional<FixedPart>& part) {
        const std::optional<FixedPart>& first = parts.front();
        return part && first &&
               (part->fixing.name != first->fixing.name || part->fixing.screw_length != first->fixing.screw_length);
    });
}

FixedGroup choose_each(const std::vector<SpottedPart>& parts, const FixingChoices* by_hand, const Choosing& choose) {
    FixedGroup fixed;
    fixed.parts.resize(parts.size());
    std::vector<const ChosenFixing*> chosen;
    for (const SpottedPart& each : parts)
        chosen.push_back(by_hand ? by_hand->of(each.spot) : nullptr);
    std::vector<const ChosenFixing*> kinds; // in the order of the parts, so that a plan made anew is the same
    for (const ChosenFixing* each : chosen)
        if (std::ranges::find(kinds, each) == kinds.end())
            kinds.push_back(each);
    for (const ChosenFixing* kind : kinds) {
        std::vector<std::size_t> members;
        std::vector<HeldPart> held;
        for (std::size_t i = 0; i < parts.size(); ++i)
            if (chosen[i] == kind) {
                members.push_back(i);
                held.push_back(parts[i].part);
                const auto together = std::ranges::count(parts, parts[i].group, &SpottedPart::group);
                held.back().through.together =
                    std::max(held.back().through.together, static_cast<std::size_t>(together));
            }
        const auto choice = choose(kind, held);
        if (!choice)
            continue;
        for (std::size_t n = 0; n < members.size(); ++n)
            fixed.parts[members[n]] = FixedPart{choice->fixing, choice->at[n]};
        if (!fixed.worst || choice->utilisation > fixed.worst->utilisation)
            fixed.worst = choice;
    }
    if (!std::ranges::all_of(fixed.parts, [](const auto& part) { return part.has_value(); }))
        fixed.worst.reset();
    return fixed;
}

FixedGroup choose_each(const FixingGround& ground, const FixingChoices* by_hand, Substrate substrate,
                       const std::vector<SpottedPart>& parts) {
    return choose_each(parts, by_hand, [&](const ChosenFixing* chosen, const std::vector<HeldPart>& held) {
        return choose_fixing({ground.catalogue, ground.rules, ground.wall, chosen}, substrate, held);
    });
}

} // namespace yes_square
