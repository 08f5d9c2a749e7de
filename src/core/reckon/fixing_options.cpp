#include "core/reckon/fixing_options.hpp"

#include "core/fixings/lining_anchor.hpp"
#include "core/reckon/chosen.hpp"
#include "core/reckon/reckon.hpp"

#include <algorithm>
#include <tuple>

namespace yes_square {
namespace {

/// Where a thing hangs; nullptr: nowhere, or it is a kind that is fixed with nothing of the catalogue.
const Wall* wall_with(const Job& job, const std::string& thing) {
    for (const Wall& wall : job.walls) {
        bool there = false;
        for_each_thing(wall, [&](const auto& part) {
            if constexpr (requires { part.fixing.at; })
                there |= part.id == thing;
        });
        if (there)
            return &wall;
    }
    return nullptr;
}

std::vector<ChosenFixing> candidates(const Catalogue& catalogue, const Wall& wall) {
    std::vector<ChosenFixing> all;
    for (const WoodScrew& screw : catalogue.wood_screws)
        if (!screw.lengths.empty())
            all.push_back({screw.gauge});
    for (const MasonryAnchor& anchor : catalogue.plugs)
        all.push_back({std::nullopt, anchor.id});
    for (const LiningAnchor& anchor : catalogue.lining_anchors)
        all.push_back({std::nullopt, anchor.id});
    std::erase_if(all, [&](const ChosenFixing& each) { return !goes_into(each, wall, catalogue); });
    return all;
}

/// What came of it.
FixingOption judge(const ThingPlan& thing, const FixingSpot& where, const ChosenFixing& chosen,
                   const Catalogue& catalogue) {
    FixingOption option;
    option.as = chosen;
    const std::string name = name_of(chosen, catalogue);
    option.choice.fixing.name = name;
    option.choice.utilisation = Utilisation::none();
    for (const PlannedHole& hole : thing.holes)
        if (hole.fixing && hole.fixing->name == name && where.covers(hole.spot) &&
            hole.utilisation >= option.choice.utilisation) {
            option.choice.fixing = *hole.fixing;
            option.choice.utilisation = hole.utilisation;
        }
    if (fixing_fails(thing, where))
        for (const Check& check : thing.checks)
            if (check.severity == Severity::error && check.code != checks::fixing_by_hand_fails &&
                check.code.bears() == Bears::on_hold) {
                option.refused.push_back(check.message);
                break;
            }
    if (option.refused.empty() && option.choice.utilisation.over())
        option.refused.push_back({"Loaded to {0} of what it bears here", {ratio(option.choice.utilisation)}});
    return option;
}

/// A thing tried whole with each that its wall takes.
std::vector<FixingOption> tried(const Job& job, const Wall& wall, const std::string& thing, const FixingSpot& where) {
    // Its neighbours may take room of its wall.
    Job room = job;
    std::erase_if(room.walls, [&](const Wall& other) { return other.room != wall.room; });
    std::vector<FixingOption> options;
    for (const ChosenFixing& chosen : candidates(job.catalogue, wall)) {
        const Plan plan = reckon(apply(ChooseFixing{thing, chosen, where}, room));
        for (const auto& planned_wall : plan.walls)
            for_each_thing(*planned_wall, [&](const ThingPlan& planned) {
                if (planned.id == thing &&
                    (fixing_fails(planned, where) || fixed_with(planned, where, chosen, job.catalogue)))
                    options.push_back(judge(planned, where, chosen, job.catalogue));
            });
    }
    return options;
}

/// Says of a shelf's what speaks for and against each at the place that is loaded most, and why those will not do that
/// no wall like this takes.
void add_reasons(std::vector<FixingOption>& options, std::vector<FixingOption> at_worst) {
    for (FixingOption& here : at_worst) {
        const auto whole =
            std::ranges::find_if(options, [&](const FixingOption& each) { return each.as.like(here.as); });
        if (whole == options.end()) {
            if (!here.refused.empty())
                options.push_back(std::move(here));
            continue;
        }
        whole->why = std::move(here.why);
        if (!whole->refused.empty() && !here.refused.empty())
            whole->refused = std::move(here.refused);
    }
}

} // namespace

bool goes_into(const ChosenFixing& fixing, const Wall& wall, const Catalogue& catalogue) {
    if (fixing.gauge)
        return std::holds_alternative<Framing>(wall.structure);
    const auto lining = std::ranges::find(catalogue.lining_anchors, fixing.anchor, &LiningAnchor::id);
    if (lining != catalogue.lining_anchors.end())
        return by_packet(*lining, wall).has_value();
    const auto* masonry = std::get_if<Masonry>(&wall.structure);
    const auto anchor = std::ranges::find(catalogue.plugs, fixing.anchor, &MasonryAnchor::id);
    return masonry && anchor != catalogue.plugs.end() && anchor->substrate == masonry->kind;
}

std::vector<FixingOption> fixing_options(const Job& job, const Plan& plan, const std::string& thing,
                                         const FixingSpot& where) {
    const Wall* wall = wall_with(job, thing);
    if (!wall)
        return {};
    auto shelf = study(job, plan, thing);
    if (shelf && shelf->fixings.empty())
        return {}; // rods and hangers are set as they are drilled
    std::vector<FixingOption> options = tried(job, *wall, thing, where);
    if (shelf && where.everywhere()) // what its place that is loaded most would say is not said of another hole
        add_reasons(options, std::move(shelf->fixings));
    const bool metric = job.rules.timber == TimberSchool::en;
    std::ranges::stable_sort(options, {}, [&](const FixingOption& option) {
        const bool foreign = option.as.gauge && (properties(*option.as.gauge).school == TimberSchool::en) != metric;
        return std::tuple{!option.refused.empty(), foreign, option.choice.utilisation};
    });
    return options;
}

} // namespace yes_square
