#include "core/reckon/clashes.hpp"

#include "core/site/check_writer.hpp"
#include "core/site/site_checks.hpp"
#include "core/survey/floor.hpp"

#include <algorithm>

namespace yes_square {
namespace {

Length overlap(const Outline& a, const Outline& b) {
    return std::min(a.right, b.right) - std::max(a.left, b.left);
}

class ClashFinder {
public:
    ClashFinder(const WallThing& thing, const WallSite& site)
        : thing_{thing}
        , site_{site} {}

    std::vector<Check> find(const std::vector<WallThing>& others) {
        ends();
        for (const Opening& opening : site_.wall.openings)
            if (const Outline there = box_of(opening); thing_.box.overlaps(there))
                clash(checks::over_opening,
                      {opening.kind == OpeningKind::window ? std::string_view{"{0} covers the window over {1}"}
                                                           : "{0} covers the door over {1}",
                       {thing_.name, quantity(overlap(thing_.box, there))}},
                      there, {"Move it clear of the opening"});
        for (const Obstacle& obstacle : site_.wall.obstacles)
            if (const Outline there = box_of(obstacle); thing_.box.overlaps(there))
                clash(checks::over_obstacle,
                      {"{0} reaches {1} into {2} at {3}, its clearance included",
                       {thing_.name, quantity(overlap(thing_.box, there)), words(obstacle.kind),
                        site_.along(obstacle.left)}},
                      there, {"Move it, or notch it round that"});
        for (const ServicePoint& service : site_.wall.services)
            if (const Outline there = box_of(service); thing_.box.overlaps(there) && !service.far_side)
                clash(checks::over_service,
                      {"{0} covers the socket, switch or pipe at {1}, {2} up",
                       {thing_.name, site_.along(service.centre), quantity(service.height)}},
                      there, {"Leave room to reach it, or have it moved"}, Severity::warning);
        for (const CornerThing& corner : site_.survey.corner_things)
            if (const Outline there = box_of(corner, site_.wall);
                thing_.box.overlaps(there) && corner.off < thing_.depth)
                clash(checks::meets_neighbour,
                      {"In the corner {0} meets {1} of the next wall: they overlap {2} along this wall",
                       {thing_.name, corner.name, quantity(overlap(thing_.box, there))}},
                      there, {"Begin one of them in front of the other"});
        for (const WallThing& other : worst_of_each(others))
            clash(checks::over_thing,
                  {"{0} runs into {1} over {2}", {thing_.name, other.name, quantity(overlap(thing_.box, other.box))}},
                  other.box, {"Move one of them"});
        ceiling();
        return std::move(checks_);
    }

private:
    void clash(CheckCode code, Sentence message, const Outline& there, Sentence cure,
               std::optional<Severity> otherwise = std::nullopt) {
        add_check(checks_, code, otherwise.value_or(code.severity()), std::move(message),
                  quantity(overlap(thing_.box, there)), std::max(thing_.box.left, there.left),
                  std::min(thing_.box.top, there.top))
            .cures.push_back({std::move(cure), {}});
    }

    /// The others that are run into, each once: where it is deepest.
    std::vector<WallThing> worst_of_each(const std::vector<WallThing>& others) const {
        std::vector<WallThing> met;
        for (const WallThing& other : others) {
            if (other.id == thing_.id || !thing_.box.overlaps(other.box))
                continue;
            const auto known = std::ranges::find(met, other.id, &WallThing::id);
            if (known == met.end())
                met.push_back(other);
            else if (overlap(thing_.box, known->box) < overlap(thing_.box, other.box))
                *known = other;
        }
        return met;
    }

    void ends() {
        const Length early = -thing_.box.left;
        const Length late = thing_.box.right - site_.wall.length;
        if (const Length beyond = std::max(early, late); beyond > Length{})
            checks_.push_back({checks::leaves_wall,
                               Severity::error,
                               {"{0} reaches {1} beyond the wall's end", {thing_.name, quantity(beyond)}},
                               quantity(beyond),
                               {{{"Make it narrower, or move it"}, {}}},
                               std::clamp(thing_.box.left, Length{}, site_.wall.length),
                               thing_.box.top});
    }

    void ceiling() {
        const Length read =
            lowest_between(site_.survey.floor.ceiling, thing_.box.left, thing_.box.right).value_or(site_.wall.height);
        const Length highest = std::min(read, site_.wall.height) - site_.wall.cornice_height;
        if (const Length above = thing_.box.top - highest; above > Length{})
            checks_.push_back({checks::over_ceiling,
                               Severity::error,
                               {site_.wall.cornice_height > Length{}
                                    ? std::string_view{"{0} stands {1} above the cornice's lower edge, {2} up"}
                                    : "{0} stands {1} above the ceiling, {2} up there",
                                {thing_.name, quantity(above), quantity(highest)}},
                               quantity(above),
                               {{{"Make it {0} lower", {quantity(above)}}, {}}},
                               thing_.box.left,
                               highest});
        if (thing_.box.bottom < Length{})
            checks_.push_back({checks::leaves_floor,
                               Severity::error,
                               {"{0} reaches {1} under the floor", {thing_.name, quantity(-thing_.box.bottom)}},
                               quantity(-thing_.box.bottom),
                               {{{"Hang it higher"}, {}}},
                               thing_.box.left,
                               Length{}});
    }

    const WallThing& thing_;
    const WallSite& site_;
    std::vector<Check> checks_;
};

} // namespace

std::vector<Check> clashes_of(const WallThing& thing, const std::vector<WallThing>& others, const WallSite& site) {
    return ClashFinder{thing, site}.find(others);
}

std::vector<Check> holes_without_wall(const ThingPlan& thing) {
    std::vector<Check> checks;
    for (const PlannedHole& hole : thing.holes)
        if (!hole.no_wall.empty())
            add_check(checks, checks::hole_without_wall,
                      {"A hole of {0}, at {1} and {2} up, would be {3}: nothing holds there",
                       {thing.name, along(thing.tape, hole.x), quantity(hole.z), hole.no_wall}},
                      std::nullopt, hole.x, hole.z)
                .cures.push_back({{"Move it to where there is wall behind it"}, {}});
    return checks;
}

} // namespace yes_square
