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
    const auto weigh = [&](const PlannedHole& hole) {
        if (hole.fixing && hole.fixing->name == name && where.covers(hole.spot) &&
            hole.utilisation >= option.choice.utilisation) {
            option.choice.fixing = *hole.fixing;
            option.choice.utilisation = hole.utilisation;
        }
    };
    std::ranges::for_each(thing.holes, weigh);
    for (const StripBeside& strip : thing.beside)
        weigh(strip.worst);
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
std::vector<FixingOption> tried(const Job& job, const Wall& wall, const Wall& ground, const std::string& thing,
                                const FixingSpot& where) {
    // Its neighbours may take room of its wall.
    Job room = job;
    std::erase_if(room.walls, [&](const Wall& other) { return other.room != wall.room; });
    std::vector<FixingOption> options;
    for (const ChosenFixing& chosen : candidates(job.catalogue, ground)) {
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

std::vector<FixingOption> fixing_options(const Job& job, const Plan& plan, const std::string& thing,
                                         const FixingSpot& where) {
    const Wall* wall = wall_with(job, thing);
    if (!wall)
        return {};
    auto shelf = study(job, plan, thing);
    const auto chosen = std::ranges::find(wall->shelves, thing, &Shelf::id);
    const bool on_strips = chosen != wall->shelves.end() && std::holds_alternative<OnCleats>(chosen->holding);
    if (shelf && shelf->fixings.empty() && !on_strips)
        return {}; // rods and hangers are set as they are drilled
    const Wall* ground = wall;
    for (const auto& planned : plan.walls)
        for_each_thing(*planned, [&](const ThingPlan& each) {
            if (each.id == thing)
                ground = &ground_at(where, each, *wall);
        });
    std::vector<FixingOption> options = tried(job, *wall, *ground, thing, where);
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
