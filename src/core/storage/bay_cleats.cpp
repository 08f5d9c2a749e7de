#include "core/storage/bay_cleats.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/fixings/hole_spacing.hpp"
#include "core/runs/unit_loads.hpp"
#include "core/shelves/cleats.hpp"
#include "core/site/plan_hole.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/stability/tipping.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace yes_square {
namespace {

constexpr Length boundless = 1'000'000_mm;

class CleatSetter {
public:
    /// @param rows  of screws in each cleat, one above another
    CleatSetter(const StorageSystem& system, const WallSite& site, std::size_t rows, SystemPlan& plan)
        : system_{system}
        , site_{site}
        , rows_{rows}
        , plan_{plan} {}

    /// Whether a second row would help and has room.
    bool wants_another_row() const {
        return rows_ == 1 && site_.timber() && plan_.fixing && apart() >= least_apart(*plan_.fixing, false) &&
               std::ranges::any_of(plan_.bays, [](const BayPlan& bay) {
                   return std::ranges::any_of(bay.cleats,
                                              [](const BayCleat& cleat) { return cleat.utilisation.over(); });
               });
    }

    void set() {
        for (std::size_t i = 0; i < plan_.bays.size(); ++i) {
            BayPlan& bay = plan_.bays[i];
            place(bay);
            if (bay.sides.hung)
                hang(bay);
            else
                stand(bay, system_.bays[i].door);
        }
        choose();
    }

    void plan_holes() {
        for (BayPlan& bay : plan_.bays)
            for (BayCleat& cleat : bay.cleats) {
                for (PlannedHole& screw : cleat.screws) {
                    screw.z = height_of(cleat, screw);
                    screw.what = {rows_ == 1       ? std::string_view{"{0}: cleat of shelf {1}, screw {2}"}
                                  : screw.row == 0 ? "{0}: cleat of shelf {1}, upper screw {2}"
                                                   : "{0}: cleat of shelf {1}, lower screw {2}",
                                  {system_.name, cleat.shelf, count(screw.place + 1)}};
                    screw.demands = cleat.demands;
                    plan_hole(site_, screw);
                }
                add_holes(plan_, cleat.screws);
            }
    }

private:
    Length apart() const { return system_.cleat_breadth / 2; }

    /// Screws behind a bay, alike for all its cleats.
    std::vector<PlannedHole> columns(const BayPlan& bay) const {
        std::vector<PlannedHole> columns;
        const auto add = [&](Length x, Substrate substrate, std::optional<std::size_t> stud) {
            const std::size_t place = columns.size() / rows_;
            for (std::size_t row = 0; row < rows_; ++row) {
                PlannedHole& screw = columns.emplace_back();
                screw.item = system_.id;
                screw.place = place;
                screw.row = row;
                screw.x = x;
                screw.substrate = substrate;
                screw.stud = stud;
                screw.drilled = usual_hole;
            }
        };
        const Length inset = site_.rules.runs.driver_room;
        if (site_.masonry()) {
            add(bay.left + std::min(site_.rules.runs.side_grip, bay.width / 2), Substrate::masonry, {});
            if (bay.width > 2 * site_.rules.runs.side_grip)
                add(bay.right() - site_.rules.runs.side_grip, Substrate::masonry, {});
        } else if (const Framing* framing = site_.timber()) {
            for (std::size_t i = 0; i < site_.survey.studs.size(); ++i)
                if (const Stud& stud = site_.survey.studs[i];
                    stud.state == StudState::proved && stud.centre >= bay.left + inset &&
                    stud.centre <= bay.right() - inset && holds_usual_screw(*framing, stud, site_.rules))
                    add(site_.screw_place(system_.id, stud), Substrate::proved_stud, i);
        }
        return columns;
    }

    void place(BayPlan& bay) const {
        const std::vector<PlannedHole> places = columns(bay);
        for (const BayShelf& shelf : bay.shelves) {
            if (shelf.what != ShelfOfBay::cleated)
                continue;
            BayCleat cleat{shelf.label, bay.left, bay.width, shelf.top - system_.panel - system_.cleat_breadth / 2,
                           0,           places,   {},        {}};
            cleat.load = (shelf.load + weight_of(shelf.mass)) / 2;
            bay.cleats.push_back(std::move(cleat));
        }
    }

    /// The greatest share of a bay's load on one of its screws: loaded all along, or half of it on one side.
    static double share_of(const BayPlan& bay) {
        std::vector<double> places;
        for (const PlannedHole& screw : bay.cleats.front().screws)
            places.push_back((screw.x - bay.left).in_metres());
        const double width = bay.width.in_metres();
        return std::max({greatest_share(places, width / 2), greatest_share(places, width / 4) / 2,
                         greatest_share(places, width * 3 / 4) / 2});
    }

    /// @param load  on one screw
    HoleDemand demand(Force load, double duration) const {
        const auto single = cleat_screw_demand(load, system_.cleat_breadth, system_.cleat_thickness,
                                               site_.rules.strips.pivot, duration);
        const double lever = (system_.cleat_breadth / 2 - site_.rules.strips.pivot).in_metres();
        if (rows_ == 1 || lever <= 0)
            return single;
        // The cleat turns about its pressed lower edge; of two above one another the upper pulls more.
        const double half = apart().in_metres() / 2;
        const double upper = lever + half;
        const double lower = std::max(0.0, lever - half);
        HoleDemand pair = single;
        pair.tension = single.tension * (2 * lever * upper / (upper * upper + lower * lower));
        return pair;
    }

    void stand(BayPlan& bay, DoorHinge door) const {
        const double height = bay.cleats.empty() ? 0 : (bay.cleats.front().z - bay.sides.foot).in_metres();
        if (height <= 0)
            return;
        const std::vector<TipCase> cases = tip_cases(piece_of(system_, bay, door), site_.rules.tipping, height);
        for (const TipCase& tip : cases)
            bay.needs = std::max(bay.needs, tip.needs);
        if (bay.cleats.front().screws.empty())
            return;
        const double share = share_of(bay);
        for (std::size_t i = 0; i < bay.cleats.size(); ++i) {
            BayCleat& cleat = bay.cleats[i];
            // Somebody leans on its front edge, which the panels carry; half of that is taken for the cleat.
            const Force leaned = cleat.z < site_.rules.accidental_below
                                     ? site_.rules.accidental / (2 * static_cast<double>(rows_))
                                     : Force{};
            cleat.demands = {demand(cleat.load * share, duration_stored),
                             demand(cleat.load * share + leaned, duration_people)};
            cleat.demands.front().when = "goods";
            cleat.demands.back().when = "somebody leans on it, it begins to tip";
            if (i == 0)
                cleat.demands.back().tension +=
                    each_restraint(bay.needs, cleat.places(), 1, site_.rules.tipping) / static_cast<double>(rows_);
        }
    }

    void hang(BayPlan& bay) const {
        if (bay.cleats.empty() || bay.cleats.front().screws.empty())
            return;
        CabinetUnit unit;
        unit.width = bay.width;
        unit.height = bay.sides.height();
        unit.depth = system_.depth;
        std::vector<double> columns;
        std::vector<double> rows;
        for (const PlannedHole& screw : bay.cleats.front().screws)
            if (screw.row == 0)
                columns.push_back((screw.x - bay.left).in_metres());
        for (const BayCleat& cleat : bay.cleats)
            for (std::size_t row = 0; row < rows_; ++row)
                rows.push_back((cleat.z - bay.sides.foot +
                                (rows_ == 1 ? Length{}
                                 : row == 0 ? apart() / 2
                                            : -apart() / 2))
                                   .in_metres());
        const UnitForces forces =
            unit_forces(unit, bay.mass, bay.loaded_mass, screw_grid(columns, rows), site_.rules.lining_pressure);
        bay.turns = forces.refused;
        if (forces.refused)
            return;
        for (const UnitCase& one : forces.cases) {
            bay.loads.push_back(one.load);
            bay.loads.back().at_x += bay.left.in_metres();
        }
        const HoleForce worst = forces.worst();
        const double share = share_of(bay);
        for (BayCleat& cleat : bay.cleats) {
            HoleDemand stored = demand(cleat.load * share, duration_stored);
            stored.when = "goods";
            stored.tension += worst.tension;
            stored.down = std::max(stored.down, worst.shear());
            HoleDemand leaned = stored;
            leaned.duration = duration_people;
            leaned.when = "somebody leans on it";
            // Somebody leaning on its front pulls at the top with the whole depth as lever.
            const double lever = (cleat.z - bay.sides.foot).in_metres();
            const Force somebody = site_.rules.accidental / static_cast<double>(rows_);
            leaned.tension += lever > 0 ? somebody * system_.depth.in_metres() / lever : 0;
            leaned.down += somebody;
            cleat.demands = {stored, leaned};
        }
    }

    /// Screws are told apart by their upright line, counted along the wardrobe, and by their height, from the top.
    void name_spots() {
        std::set<Length> lines;
        std::set<Length, std::greater<>> heights;
        for_each_screw([&](const BayCleat& cleat, const PlannedHole& screw) {
            lines.insert(screw.x);
            heights.insert(height_of(cleat, screw));
        });
        const auto number = [](const auto& all, Length one) {
            return static_cast<int>(std::distance(all.begin(), all.find(one))) + 1;
        };
        for_each_screw([&](const BayCleat& cleat, PlannedHole& screw) {
            screw.spot = {{}, number(lines, screw.x), number(heights, height_of(cleat, screw))};
        });
    }

    /// What holds each screw; those of a cleat are pulled together.
    void choose() {
        name_spots();
        const Substrate substrate = site_.masonry() ? Substrate::masonry : Substrate::proved_stud;
        std::vector<SpottedPart> parts;
        std::vector<std::pair<BayCleat*, PlannedHole*>> of;
        std::map<const BayCleat*, std::size_t> groups;
        for_each_screw([&](BayCleat& cleat, PlannedHole& screw) {
            if (cleat.demands.empty())
                return;
            HeldPart part{DrivenThrough::strip(system_.cleat_thickness, system_.cleat_wood), cleat.demands};
            if (const Framing* framing = site_.timber(); framing && screw.stud)
                part.through.to_edge = to_edge_of(*framing, site_.survey.studs[*screw.stud], screw.x, site_.rules);
            parts.push_back({std::move(part), screw.spot, groups.try_emplace(&cleat, groups.size()).first->second});
            of.emplace_back(&cleat, &screw);
        });
        if (parts.empty())
            return;
        const FixedGroup fixed = choose_each(site_.fixings(), site_.chosen, substrate, parts);
        if (!fixed.worst)
            return;
        plan_.fixing = fixed.worst->fixing;
        for (std::size_t i = 0; i < of.size(); ++i) {
            auto& [cleat, screw] = of[i];
            screw->fixing = fixed.parts[i]->fixing;
            screw->strength = fixed.parts[i]->strength;
            screw->utilisation = utilisation_of(screw->strength, substrate, cleat->demands);
            cleat->utilisation =
                cleat->utilisation.known() ? std::max(cleat->utilisation, screw->utilisation) : screw->utilisation;
        }
    }

    /// Above the floor.
    Length height_of(const BayCleat& cleat, const PlannedHole& screw) const {
        return rows_ == 1 ? cleat.z : cleat.z + (screw.row == 0 ? apart() / 2 : -apart() / 2);
    }
    void for_each_screw(auto&& look) {
        for (BayPlan& bay : plan_.bays)
            for (BayCleat& cleat : bay.cleats)
                for (PlannedHole& screw : cleat.screws)
                    look(cleat, screw);
    }

    const StorageSystem& system_;
    const WallSite& site_;
    const std::size_t rows_;
    SystemPlan& plan_;
};

} // namespace

Piece piece_of(const StorageSystem& system, const BayPlan& bay, DoorHinge door) {
    Piece piece;
    piece.kind = PieceKind::side_panel;
    piece.left = bay.left;
    piece.width = bay.width;
    piece.height = bay.sides.height();
    piece.depth = system.depth;
    piece.mass = bay.mass;
    piece.children = system.children;
    for (const Length top : bay.drawers) {
        Drawer drawer;
        drawer.top = top - bay.sides.foot;
        drawer.reach = system.depth;
        drawer.mass = bay.drawer_mass;
        drawer.height = bay.drawers.size() > 1 ? bay.drawers[0] - bay.drawers[1] : drawer.height;
        piece.drawers.push_back(std::move(drawer));
    }
    piece.doors = door == DoorHinge::none || door == DoorHinge::drawers ? 0 : (door == DoorHinge::both ? 2 : 1);
    if (piece.doors > 0)
        piece.door_mass =
            properties(system.material).density * bay.width * bay.sides.height() * system.panel / piece.doors;
    piece.mass += piece.doors * piece.door_mass;
    piece.contents_mass = std::max<Mass>(0, bay.loaded_mass - bay.mass);
    return piece;
}

void hold_bays(const StorageSystem& system, const WallSite& site, SystemPlan& plan) {
    SystemPlan one = plan;
    CleatSetter with_one{system, site, 1, one};
    with_one.set();
    const bool another = with_one.wants_another_row();
    if (!another)
        plan = std::move(one);
    CleatSetter setter{system, site, another ? std::size_t{2} : 1, plan};
    if (another)
        setter.set();
    setter.plan_holes();
}

SlideQuestion slide_question(const StorageSystem& system, const SystemPlan& plan, const WallSite& site) {
    SlideQuestion ask;
    const Framing* framing = site.timber();
    const Length half = system.panel / 2;
    const Length inset = half + site.rules.runs.driver_room;
    for (const BayPlan& bay : plan.bays) {
        const Length width = bay.width + system.panel;
        ask.widths.push_back(width);
        ask.hung.push_back({framing != nullptr, framing && width - 2 * inset < framing->spacing, inset,
                            bay.sides.hung ? std::size_t{2} : std::size_t{1}});
    }
    if (plan.bays.empty())
        return ask;
    ask.chains = {{0, plan.bays.size() - 1}};
    ask.now = {system.left + half};
    Length from;
    Length to = site.wall.length;
    for (const CornerThing& thing : site.survey.corner_things)
        if (thing.bottom < plan.head && thing.top > plan.foot && thing.off < system.depth)
            thing.at_right_end ? to = std::min(to, site.wall.length - thing.along) : from = std::max(from, thing.along);
    ask.from = from + half;
    ask.to = to - half;
    ask.room_least = {Length{}, Length{}};
    ask.room_most = {boundless, boundless};
    ask.apart_least = site.rules.spacing_least;
    if (framing)
        for (const Stud& stud : site.survey.studs)
            if (stud.state == StudState::proved && holds_usual_screw(*framing, stud, site.rules))
                ask.studs.push_back(stud.centre);
    std::ranges::sort(ask.studs);
    return ask;
}

} // namespace yes_square
