#include "core/shelves/cleats.hpp"

#include "core/site/evenly.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/verdicts.hpp"
#include "core/shelves/way.hpp"
#include "core/statics/back_held.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yes_square {
namespace {

/// How far the wall at an end leans over a depth, more than 0 where it narrows the front.
Length lean_of(const std::optional<Neighbour>& neighbour, bool at_corner, Length entered, Length depth) {
    if (entered != Length{} || !neighbour || !neighbour->measured || !at_corner)
        return entered;
    return -Length::nearest_to_metres(depth.in_metres() * std::tan(neighbour->angle.off));
}

HoleDemand demand_of(Force load, Force leaning, Length breadth, Length thickness, const WallSite& site,
                     double duration) {
    HoleDemand demand = cleat_screw_demand(load + leaning, breadth, thickness, site.rules.strips.pivot, duration);
    demand.when = leaning > 0 ? "somebody leans on it" : "goods";
    return demand;
}

/// What the fitter chose for a strip on another wall: for it, or for all of its shelf, if that goes into that wall.
const ChosenFixing* chosen_for_strip(const FixingSpot& spot, const Wall& ground, const WallSite& site) {
    const ChosenFixing* chosen = site.chosen ? site.chosen->of(spot) : nullptr;
    const bool for_it = chosen && site.chosen->exactly(spot);
    return for_it || (chosen && goes_into(*chosen, ground, site.catalogue)) ? chosen : nullptr;
}

/// The screws of a strip at the side, on a wall like `wall`.
void fix_strip(CleatPlan& cleat, Length thickness, Species wood, const Wall& wall, Substrate substrate,
               const std::vector<HoleDemand>& demands, const WallSite& site) {
    DrivenThrough through = DrivenThrough::strip(thickness, wood);
    through.together = cleat.screws;
    PlannedHole worst;
    worst.spot.unit = cleat.wall;
    worst.substrate = substrate;
    worst.demands = demands;
    const auto choice = choose_fixing({site.catalogue, site.rules, wall, chosen_for_strip(worst.spot, wall, site)},
                                      substrate, through, demands);
    cleat.loads = demands;
    if (choice) {
        worst.fixing = choice->fixing;
        worst.utilisation = choice->utilisation;
    }
    cleat.beside = StripBeside{std::move(worst), wall};
    if (!choice)
        return;
    cleat.substrate = substrate;
    cleat.demand = choice->governing;
    cleat.fixing = choice->fixing;
    cleat.utilisation = choice->utilisation;
}

class Alcove {
public:
    Alcove(const Shelf& shelf, const WallSite& site, ShelfPlan& plan)
        : shelf_{shelf}
        , how_{std::get<OnCleats>(shelf.holding)}
        , site_{site}
        , plan_{plan}
        , loads_{loads_of(shelf, site.rules)} {}

    void hang() {
        plan_.cleat_breadth = how_.breadth;
        cut();
        span();
        if (how_.left)
            side(true);
        if (how_.right)
            side(false);
        if (how_.back)
            back();
    }

private:
    bool at_left() const { return in_left_corner(shelf_, site_); }
    bool at_right() const { return in_right_corner(shelf_, site_); }

    void cut() {
        const Length play = site_.rules.shelves.cleat_play;
        const Length leans = lean_of(site_.survey.left, at_left(), how_.left_leans, shelf_.depth) +
                             lean_of(site_.survey.right, at_right(), how_.right_leans, shelf_.depth);
        plan_.pieces = {{shelf_.left + play / 2, shelf_.length - play, shelf_.length - play - leans}};
    }

    void span() {
        if (!how_.left || !how_.right)
            return;
        const Length inset = std::min(how_.thickness / 2, shelf_.length / 4);
        const BeamResult beam = analyse(beam_of(shelf_, {inset, shelf_.length - inset}), loads_.on_beam(),
                                        creep_factor(shelf_, site_.service_class));
        plan_.sag = worst_sag(beam, divisor(site_.rules.sag_limit));
        if (plan_.sag && how_.back) {
            // How a hollow board twists depends on what joins its skins: it is taken not to resist (safe side).
            plan_.back_held =
                back_held_share(shelf_.length, shelf_.depth, shelf_.hollow ? 0.0 : shear_share(shelf_.material));
            plan_.sag = plan_.sag->times(*plan_.back_held);
        }
        plan_.board_utilisation = board_utilisation(shelf_, beam, loads_.accidental, site_.rules, plan_.back_held);
        sides_ = {beam.reactions.front(), beam.reactions.back()};
    }

    void side(bool left) {
        const Length length = how_.back ? shelf_.depth - how_.thickness : shelf_.depth;
        const Force load = sides_.empty() ? loads_.total(shelf_.length) / 2 : sides_[left ? 0 : 1].sustained;
        plan_.cleats.push_back(strip_on_side({left, length, how_.breadth, how_.thickness, how_.wood, how_.screws}, load,
                                             loads_.accidental, shelf_, site_));
    }

    void back() {
        CleatPlan cleat;
        cleat.wall = "back";
        cleat.on_this_wall = true;
        cleat.length = shelf_.length;
        cleat.load = loads_.total(shelf_.length) / 2;
        cleat.wall_known = true;
        const std::vector<Length> xs = places_of_back();
        cleat.screws = xs.size();
        const LineLoad line = cleat.load / shelf_.length;
        for (std::size_t i = 0; i < xs.size(); ++i) {
            const Length from = i == 0 ? shelf_.left : (xs[i - 1] + xs[i]) / 2;
            const Length to = i + 1 == xs.size() ? shelf_.right() : (xs[i] + xs[i + 1]) / 2;
            screw_back(xs[i], line * (to - from));
        }
        if (!xs.empty())
            fix_back(cleat);
        plan_.cleats.push_back(std::move(cleat));
    }

    /// Into every stud that a screw is sure of, or as often as strips are screwed to masonry.
    std::vector<Length> places_of_back() const {
        const Length inset = site_.rules.strips.end_inset;
        if (site_.masonry() || site_.open_framing())
            return shelf_.length > 2 * inset
                       ? evenly(shelf_.left + inset, shelf_.right() - inset, site_.rules.strips.masonry_every)
                       : std::vector<Length>{};
        std::vector<Length> xs;
        if (const Framing* framing = site_.timber())
            for (const Stud& stud : site_.survey.studs)
                if (stud.centre >= shelf_.left + inset && stud.centre <= shelf_.right() - inset &&
                    holds_usual_screw(*framing, stud, site_.rules))
                    xs.push_back(stud.centre);
        return xs;
    }

    /// A screw of the strip at the back, and what lies on it.
    void screw_back(Length x, Force load) {
        PlannedHole hole;
        hole.place = plan_.brackets.size();
        hole.x = x;
        hole.z = shelf_.underside() - how_.breadth / 2;
        hole.demands = {demand_of(load, 0, how_.breadth, how_.thickness, site_, duration_stored)};
        if (loads_.accidental > 0)
            hole.demands.push_back(
                demand_of(load, loads_.accidental, how_.breadth, how_.thickness, site_, duration_people));

        BracketPlan place;
        place.x = x;
        place.substrate = site_.masonry() ? Substrate::masonry : Substrate::nogging;
        if (!site_.masonry() && !site_.open_framing()) {
            const auto stud = std::ranges::find(site_.survey.studs, x, &Stud::centre);
            place.stud = static_cast<std::size_t>(stud - site_.survey.studs.begin());
            place.substrate = substrate_of(stud->state);
        }
        place.reaction.sustained = load;
        place.reaction.greatest = place.carries = load + loads_.accidental;
        place.tension = hole.demands.back().tension;
        place.shear = hole.demands.back().shear();
        for (const HoleDemand& each : hole.demands)
            place.loads.push_back(
                {each.when, each.down, x.in_metres(), each.down * (how_.thickness / 2), each.duration});
        plan_.brackets.push_back(std::move(place));
        plan_.holes.push_back(std::move(hole));
    }

    /// Its screws, each where it is in its stud, pulled together.
    void fix_back(CleatPlan& cleat) {
        const Substrate ground = plan_.brackets.front().substrate;
        std::vector<SpottedPart> parts;
        for (std::size_t i = 0; i < plan_.holes.size(); ++i) {
            PlannedHole& hole = plan_.holes[i];
            hole.spot.place = static_cast<int>(i) + 1;
            HeldPart part{DrivenThrough::strip(how_.thickness, how_.wood), hole.demands};
            if (const BracketPlan& place = plan_.brackets[i]; place.stud)
                part.through.to_edge =
                    to_edge_of(*site_.timber(), site_.survey.studs[*place.stud], place.x, site_.rules);
            cleat.loads.insert(cleat.loads.end(), hole.demands.begin(), hole.demands.end());
            parts.push_back({std::move(part), hole.spot});
        }
        const FixedGroup fixed = choose_each(site_.fixings(), site_.chosen, ground, parts);
        if (!fixed.worst)
            return;
        cleat.substrate = ground;
        cleat.demand = fixed.worst->governing;
        cleat.fixing = fixed.worst->fixing;
        cleat.utilisation = fixed.worst->utilisation;
        for (std::size_t i = 0; i < plan_.holes.size(); ++i) {
            BracketPlan& place = plan_.brackets[i];
            PlannedHole& hole = plan_.holes[i];
            place.fixing = hole.fixing = fixed.parts[i]->fixing;
            hole.strength = fixed.parts[i]->strength;
            hole.utilisation = utilisation_of(hole.strength, place.substrate, hole.demands);
            place.fixing_utilisation = hole.utilisation;
        }
    }

    const Shelf& shelf_;
    const OnCleats& how_;
    const WallSite& site_;
    ShelfPlan& plan_;
    ShelfLoads loads_;
    std::vector<Reaction> sides_;
};

} // namespace

HoleDemand cleat_screw_demand(Force load, Length breadth, Length thickness, Length pivot, double duration) {
    const Length lever = breadth / 2 - pivot;
    const Moment moment = load * thickness / 2;
    // One too low to have a lever over its edge is held by nothing.
    return {lever > Length{} ? moment / lever : Force::newtons(std::numeric_limits<double>::infinity()), load,
            duration};
}

CleatPlan strip_on_side(const SideStrip& strip, Force load, Force leaning, const Shelf& shelf, const WallSite& site) {
    const std::optional<Neighbour>& neighbour = strip.left ? site.survey.left : site.survey.right;
    const bool at_corner = strip.left ? in_left_corner(shelf, site) : in_right_corner(shelf, site);
    const Length inset = site.rules.strips.end_inset;
    CleatPlan cleat;
    cleat.wall = strip.left ? "left" : "right";
    cleat.length = strip.length;
    cleat.load = load;
    Wall wall;
    wall.structure = neighbour && at_corner ? neighbour->structure : site.wall.structure;
    wall.lining = neighbour && at_corner ? neighbour->lining : site.wall.lining;
    cleat.wall_known = neighbour && at_corner;
    const bool framed = !std::holds_alternative<Masonry>(wall.structure);
    std::vector<double> places;
    if (framed) {
        // Screws go where studs of that wall are, and nobody has found any on a wall that was not surveyed.
        for (const Length stud : cleat.wall_known ? neighbour->studs : std::vector<Length>{})
            if (stud >= inset / 2 && stud <= cleat.length - inset / 2)
                places.push_back(stud.in_metres());
        cleat.few_studs = places.size() < 2;
    } else {
        // Screws in one place hold no strip.
        const double reach = std::max(0.0, (cleat.length - 2 * inset).in_metres());
        for (int i = 0; i < strip.screws && reach > inset.in_metres(); ++i)
            places.push_back(inset.in_metres() + reach * (strip.screws > 1 ? i / (strip.screws - 1.0) : 0.5));
    }
    cleat.screws = places.size();
    if (places.empty() || cleat.few_studs)
        return cleat;
    const double share = greatest_share(places, cleat.length.in_metres());
    // Goods in the middle of the depth, somebody at the front edge.
    const double even = greatest_share(places, cleat.length.in_metres() / 2);
    std::vector<HoleDemand> demands{
        demand_of(cleat.load * even, 0, strip.breadth, strip.thickness, site, duration_stored)};
    if (leaning > 0)
        demands.push_back(
            demand_of(cleat.load * even, leaning * share, strip.breadth, strip.thickness, site, duration_people));
    fix_strip(cleat, strip.thickness, strip.wood, wall, framed ? Substrate::proved_stud : Substrate::masonry, demands,
              site);
    return cleat;
}

void hang_on_cleats(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    Alcove{shelf, site, plan}.hang();
}

} // namespace yes_square
