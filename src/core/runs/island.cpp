#include "core/runs/island.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/practice.hpp"
#include "core/runs/unit_loads.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/stability/tipping.hpp"

#include <algorithm>

namespace yes_square {
namespace {

using What = IslandJoint::What;

constexpr std::size_t most_screws = 4;
constexpr double prying = 2; ///< of a cleat lifted at its edge: the screw in its middle, the other edge pressed

/// Timber of some section that is screwed into, with nothing over it.
Wall timber(Length across, Length depth) {
    Framing framing;
    framing.stud_width = across;
    framing.stud_depth = depth;
    Wall wall;
    wall.structure = framing;
    return wall;
}

/// None: nobody knows what it is, or nobody drills it.
std::optional<Wall> floor_as_wall(const OpenFloor& floor) {
    switch (floor.floor) {
    case FloorBuilt::boards:
        return timber(1000_mm, floor.boards);
    case FloorBuilt::joists: {
        Wall wall = timber(joist_width, joist_depth);
        wall.lining = {{LiningMaterial::wood_panel, floor.boards, {}}};
        return wall;
    }
    case FloorBuilt::concrete: {
        Wall wall;
        wall.structure = Masonry{MasonryKind::concrete};
        return wall;
    }
    case FloorBuilt::not_known:
    case FloorBuilt::heated:
        break;
    }
    return std::nullopt;
}

class Holder {
public:
    Holder(const std::vector<StandingUnit>& units, const std::vector<UnitPlan>& plans, const RunSite& site)
        : units_{units}
        , plans_{plans}
        , site_{site}
        , rules_{site.wall.rules} {}

    std::vector<IslandHold> hold() {
        std::vector<IslandHold> all;
        for (std::size_t first = 0; first < units_.size(); ++first) {
            if (!stands(first))
                continue;
            std::size_t last = first;
            while (last + 1 < units_.size() && stands(last + 1) && units_[last + 1].bottom == units_[first].bottom)
                ++last;
            all.push_back(section(first, last));
            first = last;
        }
        return all;
    }

private:
    bool stands(std::size_t i) const {
        const StandingUnit& standing = units_[i];
        return is_cabinet(standing.unit) && standing.level == RunLevel::floor && !standing.tall();
    }

    IslandHold section(std::size_t first, std::size_t last) const {
        IslandHold hold;
        hold.first = first;
        hold.last = last;
        hold.from = units_[first].place.left;
        hold.to = units_[last].place.right();
        hold.frame_height = units_[first].bottom;
        hold.frame_depth = units_[first].unit.depth - foot_line(units_[first], rules_.runs);
        for (std::size_t i = first; i <= last; ++i) // one frame under all of them: as deep as the shallowest allows
            hold.frame_depth = std::min(hold.frame_depth, units_[i].unit.depth - foot_line(units_[i], rules_.runs));
        hold.worst = first;
        for (std::size_t i = first; i <= last; ++i)
            turn(i, hold);
        for (hold.screws = 2;; hold.screws += 2) {
            join(hold);
            if (hold.screws == most_screws || hold.used().within() || !hold.used().known())
                break;
        }
        return hold;
    }

    /// What stands behind a unit, screwed to it: its share, by how much of the breadth is shared; and its moment about
    /// that unit's foot line.
    struct Behind {
        Mass mass = 0;
        Moment righting = 0;
    };
    Behind behind(const StandingUnit& standing, Length foot) const {
        Behind all;
        if (rails_of(standing.unit, rules_.runs).empty())
            return all; // a thin back is screwed to nothing
        for (const StandsBehind& other : site_.wall.survey.behind) {
            const Length shared =
                std::min(other.right, standing.place.right()) - std::max(other.left, standing.place.left);
            if (shared <= Length{} || other.gap > rules_.runs.backs_apart_most)
                continue;
            const Mass mass = other.mass * (shared.in_metres() / (other.right - other.left).in_metres());
            all.mass += mass;
            all.righting += weight_of(mass) * (standing.unit.depth - foot + other.gap + other.depth / 2);
        }
        return all;
    }

    void turn(std::size_t i, IslandHold& hold) const {
        const StandingUnit& standing = units_[i];
        const RunRules& rules = rules_.runs;
        // Of a unit that is deeper than the frame is for, more stands before it.
        const Length foot = standing.unit.depth - hold.frame_depth;
        const Length lever = standing.bottom > Length{} ? hold.frame_depth - rules.frame_timber / 2
                                                        : hold.frame_depth - rules.foot_inset;
        const Behind other = behind(standing, foot);
        Piece piece = piece_of(standing.unit, plans_[i].empty_mass, plans_[i].loaded_mass);
        piece.floor = FloorUnder::hard; // nothing it could sink into: it is screwed to it
        piece.feet_back = foot;
        piece.height = standing.top();
        for (Drawer& drawer : piece.drawers)
            drawer.top += standing.bottom;
        const auto weigh = [&](std::string_view when, Moment over, Moment righting) {
            const Moment lifts = rules_.tipping.over_factor * over - rules_.tipping.righting_factor * righting;
            const Force pull = lever > Length{}    ? std::max(Moment{0}, lifts) / lever
                               : lifts > Moment{0} ? Force::newtons(1e9)
                                                   : Force{0};
            const bool first = hold.when.empty();
            if (!first && pull < hold.pull)
                return;
            if (!first && pull == hold.pull && over * hold.righting <= hold.over * righting)
                return; // neither lifts: the one nearer to it is told
            hold.worst = i;
            hold.when = when;
            hold.over = over;
            hold.righting = righting;
            hold.lever = lever;
            hold.pull = pull;
            hold.behind = other.mass;
        };
        for (const TipCase& tip : tip_cases(piece, rules_.tipping, 1))
            weigh(words(tip.kind), tip.balance.over, tip.balance.righting + other.righting);
        weigh("somebody sits on the worktop's edge", rules_.shelves.desk_edge * (foot + rules.worktop_overhang),
              weight_of(plans_[i].empty_mass) * (standing.unit.depth / 2 - foot) + other.righting);
    }

    void join(IslandHold& hold) const {
        hold.joints.clear();
        const auto each = static_cast<double>(hold.screws);
        const Force up = hold.pull / each;
        const Force along = rules_.tipping.adult_pull / each;
        const auto demand = [&](Force tension, Force down, Force across) {
            HoleDemand asked{tension, down, duration_people, hold.when};
            asked.across = across;
            return asked;
        };
        const RunRules& rules = rules_.runs;
        Length side = units_[hold.worst].unit.side; // the thinnest lets a head through first
        for (std::size_t i = hold.first; i <= hold.last; ++i)
            side = std::min(side, units_[i].unit.side);
        if (hold.frame_height > Length{}) {
            add(hold, What::unit_to_frame, timber(rules.frame_timber, hold.frame_height), side, demand(up, 0, along));
            add(hold, What::frame_to_cleat, timber(rules.frame_timber, rules.cleat_breadth), rules.frame_timber,
                demand(0, up, along));
        } else {
            add(hold, What::side_to_cleat, timber(rules.frame_timber, rules.cleat_breadth), side, demand(0, up, along));
        }
        if (const auto floor = floor_as_wall(*site_.wall.open_floor()))
            add(hold, What::cleat_to_floor, *floor, rules.frame_timber, demand(up * prying, 0, along));
        else
            hold.joints.push_back({What::cleat_to_floor,
                                   demand(up * prying, 0, along),
                                   {},
                                   hold.pull > 0 ? Utilisation{} : Utilisation::none()});
    }

    void add(IslandHold& hold, What what, const Wall& into, Length through, const HoleDemand& asked) const {
        IslandJoint& joint = hold.joints.emplace_back();
        joint.what = what;
        joint.demand = asked;
        const bool masonry = std::holds_alternative<Masonry>(into.structure);
        DrivenThrough strip = DrivenThrough::strip(through, Species::unknown);
        strip.together = hold.screws;
        const auto choice = choose_fixing({site_.wall.catalogue, rules_, into},
                                          masonry ? Substrate::masonry : Substrate::proved_stud, strip, {asked});
        if (choice) {
            joint.fixing = choice->fixing;
            joint.used = choice->utilisation;
        } else {
            joint.used = Utilisation::refused();
        }
    }

    const std::vector<StandingUnit>& units_;
    const std::vector<UnitPlan>& plans_;
    const RunSite& site_;
    const HouseRules& rules_;
};

} // namespace

Length foot_line(const StandingUnit& standing, const RunRules& rules) {
    const bool on_frame = standing.bottom > Length{};
    return std::min(rules.plinth_set_back + (on_frame ? rules.plinth_thickness : Length{}), standing.unit.depth / 2);
}

std::vector<IslandHold> hold_island(const std::vector<StandingUnit>& units, const std::vector<UnitPlan>& plans,
                                    const RunSite& site) {
    return site.wall.open_floor() ? Holder{units, plans, site}.hold() : std::vector<IslandHold>{};
}

} // namespace yes_square
