#include "core/reckon/crowding.hpp"

#include "core/fixings/hole_spacing.hpp"
#include "core/site/check_writer.hpp"
#include "core/site/wall_site.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>

namespace yes_square {
namespace {

double mm_between(const PlannedHole& one, const PlannedHole& other) {
    return std::hypot((one.x - other.x).in_mm(), (one.z - other.z).in_mm());
}

/// From a hole to the nearest edge of the masonry round it.
double mm_to_edge(const PlannedHole& hole, const Wall& wall) {
    double nearest = std::numeric_limits<double>::infinity();
    if (wall.left_end != WallEnd::corner)
        nearest = std::min(nearest, hole.x.in_mm());
    if (wall.right_end != WallEnd::corner)
        nearest = std::min(nearest, (wall.length - hole.x).in_mm());
    for (const Opening& opening : wall.openings) {
        const Outline box = box_of(opening);
        const Length beside = std::max({box.left - hole.x, hole.x - box.right, Length{}});
        const Length above = std::max({box.bottom - hole.z, hole.z - box.top, Length{}});
        nearest = std::min(nearest, std::hypot(beside.in_mm(), above.in_mm()));
    }
    return nearest;
}

Quantity of_mm(double value) {
    return quantity(Length::nearest_to_metres(value / 1000));
}

/// Whether a packet says how near another may stand.
bool by_packet(const PlannedHole& hole) {
    return hole.fixing && hole.substrate == Substrate::masonry;
}

Length packet_distance(const PlannedHole& one, const PlannedHole& other) {
    return std::max(one.fixing->apart, other.fixing->apart);
}

constexpr double rounding = 1e-6; ///< mm, of distances across

/// A hole that will be drilled, and whose.
struct Drilled {
    ThingPlan* thing;
    const PlannedHole* hole;
};

/// How two holes of unlike things stand to one another, the gravest first.
struct Crowd {
    CheckCode code;
    double off = 0; ///< mm
    Length wanted = {};
    const PlannedHole* at = nullptr;

    double lacking() const { return wanted.in_mm() - off; }
    bool worse_than(const Crowd& other) const {
        return std::pair{code.severity(), lacking()} > std::pair{other.code.severity(), other.lacking()};
    }
};

/// What keeps what they are in whole between them.
Length usual_distance(const PlannedHole& one, const PlannedHole& other) {
    const auto of = [](const PlannedHole& hole) {
        return usual_apart(*hole.fixing, hole.substrate == Substrate::masonry);
    };
    return std::max(of(one), of(other));
}

std::optional<Crowd> crowd_of(const PlannedHole& one, const PlannedHole& other) {
    const double off = mm_between(one, other) + rounding;
    if (const Length touching = one.radius + other.radius; off < touching.in_mm())
        return Crowd{checks::holes_meet, off, touching, &one};
    if (by_packet(one) && by_packet(other))
        if (const Length wanted = packet_distance(one, other); off < wanted.in_mm())
            return Crowd{checks::anchors_too_near, off, wanted, &one};
    const bool in_one_piece = one.substrate == Substrate::masonry ? other.substrate == Substrate::masonry
                                                                  : one.stud && one.stud == other.stud;
    if (const Length wanted = usual_distance(one, other); in_one_piece && off < wanted.in_mm())
        return Crowd{checks::holes_crowded, off, wanted, &one};
    return std::nullopt;
}

Sentence words(const Crowd& crowd, const ThingPlan& thing, const ThingPlan& other) {
    const Quantity at = along(thing.tape, crowd.at->x);
    const Quantity up = quantity(crowd.at->z);
    if (crowd.code == checks::holes_meet)
        return {"A hole of {0} and one of {1} run into one another at {2} and {3} up: neither fixing would hold",
                {thing.name, other.name, at, up}};
    if (crowd.code == checks::anchors_too_near)
        return {"An anchor of {0} and one of {1} stand {2} apart at {3} and {4} up, and their packet wants {5}: {6} "
                "too near",
                {thing.name, other.name, of_mm(crowd.off), at, up, quantity(crowd.wanted), of_mm(crowd.lacking())}};
    return {"A hole of {0} and one of {1} are {2} apart at {3} and {4} up; {5} keeps the wall from splitting or "
            "breaking between them",
            {thing.name, other.name, of_mm(crowd.off), at, up, quantity(crowd.wanted)}};
}

constexpr double old_hole_diameters = 2; ///< [hr] from an old hole's middle: nearer, the bit runs into it

/// Where a new hole of a thing lies in the way of one that is in the wall and is not its own: the nearest.
std::optional<Check> beside_an_old_hole(const ThingPlan& thing, const Wall& wall, const FitRules& rules) {
    const PlannedHole* nearest = nullptr;
    double off = std::numeric_limits<double>::infinity();
    for (const MadeHole& made : wall.made)
        for (const PlannedHole& hole : thing.holes) {
            const double away = std::hypot((made.x - hole.x).in_mm(), (made.z - hole.z).in_mm());
            const bool same =
                absolute(made.x - hole.x) <= rules.same_hole && absolute(made.z - hole.z) <= rules.same_hole;
            if (!hole.made && !hole.passes.empty() && !same && away < 2 * old_hole_diameters * hole.radius.in_mm() &&
                away < off) {
                off = away;
                nearest = &hole;
            }
        }
    if (!nearest)
        return std::nullopt;
    Check check{
        checks::holes_crowded,
        checks::holes_crowded.severity(),
        {"A new hole of {0}, at {1} and {2} up, lies {3} from one that is in the wall: the bit will run into it",
         {thing.name, along(thing.tape, nearest->x), quantity(nearest->z), of_mm(off)}},
        of_mm(off)};
    check.x = nearest->x;
    check.z = nearest->z;
    check.cures.push_back({{"Use the hole that is there, or move this one clear of it"}, {}});
    return check;
}

} // namespace

std::vector<Check> crowded_anchors(const ThingPlan& thing, const Wall& wall) {
    std::vector<Check> checks;
    const PlannedHole* crowded = nullptr;
    const PlannedHole* at_edge = nullptr;
    double lacking = 0;
    double lacking_at_edge = 0;
    Length apart;
    for (std::size_t i = 0; i < thing.holes.size(); ++i) {
        const PlannedHole& hole = thing.holes[i];
        if (!by_packet(hole))
            continue;
        if (const double lack = hole.fixing->edge.in_mm() - mm_to_edge(hole, wall); lack > lacking_at_edge) {
            lacking_at_edge = lack;
            at_edge = &hole;
        }
        for (std::size_t j = i + 1; j < thing.holes.size(); ++j) {
            const PlannedHole& other = thing.holes[j];
            if (!by_packet(other))
                continue;
            const Length wanted = packet_distance(hole, other);
            if (const double lack = wanted.in_mm() - mm_between(hole, other); lack > lacking) {
                lacking = lack;
                crowded = &hole;
                apart = wanted;
            }
        }
    }
    if (crowded) {
        Check& check =
            add_check(checks, checks::anchors_too_near,
                      {"{0}: two anchors stand {1} apart at {2} and {3} up, and their packet wants {4}: {5} too near",
                       {thing.name, of_mm(apart.in_mm() - lacking), along(thing.tape, crowded->x), quantity(crowded->z),
                        quantity(apart), of_mm(lacking)}},
                      of_mm(lacking), crowded->x, crowded->z);
        check.cures.push_back(
            {{"Choose an anchor that may stand so near, or a thing whose holes lie further apart"}, {}});
    }
    if (at_edge) {
        Check& check = add_check(
            checks, checks::anchor_near_edge,
            {"{0}: the anchor at {1} and {2} up is {3} from an edge of the masonry, and its packet wants {4}: move it "
             "by {5}, or the edge breaks out",
             {thing.name, along(thing.tape, at_edge->x), quantity(at_edge->z),
              of_mm(at_edge->fixing->edge.in_mm() - lacking_at_edge), quantity(at_edge->fixing->edge),
              of_mm(lacking_at_edge)}},
            of_mm(lacking_at_edge), at_edge->x, at_edge->z);
        check.cures.push_back({{"Move it, or choose an anchor that does not press the hole apart"}, {}});
    }
    return checks;
}

void say_crowding(const Wall& wall, const FitRules& rules, WallPlan& plan) {
    std::vector<Drilled> drilled;
    for_each_thing(plan, [&](ThingPlan& thing) {
        std::erase_if(thing.checks, [](const Check& check) { return check.between_things; });
        for (const PlannedHole& hole : thing.holes)
            if (hole.fixing && !hole.passes.empty())
                drilled.push_back({&thing, &hole});
    });
    std::ranges::stable_sort(drilled, {}, [](const Drilled& each) { return each.hole->x; });
    Length reach; // no two that are farther apart along the wall can be too near
    for (const Drilled& each : drilled)
        reach =
            std::max({reach, usual_distance(*each.hole, *each.hole), each.hole->fixing->apart, 2 * each.hole->radius});
    std::map<std::pair<std::string, std::string>, std::pair<Crowd, std::pair<ThingPlan*, ThingPlan*>>> worst;
    for (std::size_t i = 0; i < drilled.size(); ++i)
        for (std::size_t j = i + 1; j < drilled.size() && drilled[j].hole->x - drilled[i].hole->x < reach; ++j) {
            if (drilled[i].thing == drilled[j].thing)
                continue;
            const auto crowd = crowd_of(*drilled[i].hole, *drilled[j].hole);
            if (!crowd)
                continue;
            const auto things = std::minmax(drilled[i].thing->id, drilled[j].thing->id);
            const auto [at, added] =
                worst.try_emplace({things.first, things.second}, *crowd, std::pair{drilled[i].thing, drilled[j].thing});
            if (!added && crowd->worse_than(at->second.first))
                at->second.first = *crowd;
        }
    const auto say = [](ThingPlan& thing, Check check) {
        check.between_things = true;
        thing.checks.push_back(std::move(check));
    };
    for (const auto& [ids, found] : worst) {
        const auto& [crowd, things] = found;
        for (const auto& [thing, other] : {things, std::pair{things.second, things.first}}) {
            Check check{crowd.code, crowd.code.severity(), words(crowd, *thing, *other), of_mm(crowd.lacking())};
            check.x = crowd.at->x;
            check.z = crowd.at->z;
            check.cures.push_back({{"Move one of them by {0}", {of_mm(crowd.lacking())}}, {}});
            say(*thing, std::move(check));
        }
    }
    if (!wall.made.empty())
        for_each_thing(plan, [&](ThingPlan& thing) {
            if (auto old = beside_an_old_hole(thing, wall, rules))
                say(thing, *std::move(old));
        });
}

} // namespace yes_square
