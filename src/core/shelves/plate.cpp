#include "core/shelves/plate.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/verdicts.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>
#include <set>

namespace yes_square {
namespace {

constexpr Length least_pivot = 5_mm;
constexpr Length thin_plate = 4_mm; ///< pressed steel under this hangs on its top row alone

/// What the thing puts on its plate.
struct Body {
    Force empty_weight = 0;
    Force goods = 0;
    Force leaning = 0;
    double at_m = 0; ///< of weight, out of the wall
    double edge_m = 0;
};

Body body_of(const Shelf& shelf, const HouseRules& rules) {
    const double depth = shelf.depth.in_metres();
    if (const auto whole = way_of(shelf).whole(shelf))
        return {weight_of(whole->mass), weight_of(whole->contents_mass), whole->leaned, depth / 2, depth};
    const ShelfLoads loads = loads_of(shelf, rules);
    const Force empty = loads.self_load * shelf.length;
    return {empty, loads.total(shelf.length) - empty, loads.accidental, depth / 2, depth};
}

Substrate hold_of_hole(Length x, const WallSite& site, double diameter_in, std::optional<std::size_t>& stud) {
    if (site.masonry())
        return Substrate::masonry;
    const Framing* framing = site.timber();
    if (!framing)
        return Substrate::lining;
    Substrate best = Substrate::lining;
    bool beside_a_stud = false;
    for (std::size_t i = 0; i < site.survey.studs.size(); ++i) {
        const Stud& at = site.survey.studs[i];
        const Length off = absolute(at.centre - x);
        beside_a_stud |= off < blocked_half_width(*framing, site.rules);
        if (off > usable_half_width(*framing, at.uncertainty, diameter_in, site.rules))
            continue;
        stud = i;
        best = std::min(best, substrate_of(at.state));
    }
    return best == Substrate::lining && site.open_framing() && !beside_a_stud ? Substrate::nogging : best;
}

/// The lower edge presses on the wall with the sum of the pulls; what is pressed rises with them, and the plate turns
/// about its middle, 5 mm up at least: as the leg of a bracket does. Empty: it turns off the wall.
std::vector<HoleForce> over_pressed_edge(const std::vector<HolePlace>& holes, const GroupLoad& load, Length width,
                                         Pressure pressure) {
    const auto pull_over = [&](double pivot) {
        Force pull = 0;
        for (const HoleForce& force : hole_group_forces(holes, load, pivot))
            pull += force.tension;
        return pull;
    };
    const auto pivot = pressed_pivot(least_pivot.in_metres(), width.in_metres(), pressure, pull_over);
    return pivot ? hole_group_forces(holes, load, *pivot) : std::vector<HoleForce>{};
}

/// One thing on its plate, worked out in order.
class OnPlate {
public:
    OnPlate(const Shelf& shelf, const WallSite& site, ShelfPlan& plan)
        : shelf_{shelf}
        , site_{site}
        , plan_{plan}
        , hung_{plate_of(shelf)}
        , plate_{*hung_.plate}
        , body_{body_of(shelf, site.rules)} {}

    void hang() {
        meet_the_wall();
        weigh_every_case();
        if (plan_.plate_turns)
            return;
        fix();
        plan_.plate_utilisation = Utilisation::of(body_.empty_weight + body_.goods + body_.leaning, plate_.rating);
        if (way_of(shelf_).bends_over_holes())
            bend();
    }

private:
    /// Every hole, and what is behind it.
    void meet_the_wall() {
        const TimberSchool school = site_.rules.timber;
        const WoodScrew* screw = screw_for(site_.catalogue, school, plate_.hole_diameter);
        double diameter = screw ? properties(screw->gauge).diameter_in : plate_.hole_diameter.in_inches();
        // By EN the widest may have no room in a stud at all; then a thinner one is taken.
        if (school == TimberSchool::en)
            diameter = std::min(diameter, thinnest_screw(school).diameter_in);
        std::set<Length> rows;
        for (const PlateHole& hole : plate_.holes)
            rows.insert(hole.down);
        const Length top_row = rows.empty() ? Length{} : *rows.begin();
        for (std::size_t i = 0; i < plate_.holes.size(); ++i) {
            const PlateHole& hole = plate_.holes[i];
            BracketPlan place;
            place.x = hung_.left + hole.across;
            place.substrate = hold_of_hole(place.x, site_, diameter, place.stud);
            PlannedHole& drilled = plan_.holes.emplace_back();
            drilled.place = i;
            drilled.spot = {
                {}, static_cast<int>(i) + 1, static_cast<int>(std::distance(rows.begin(), rows.find(hole.down))) + 1};
            drilled.x = place.x;
            drilled.z = hung_.top - hole.down;
            if (carries(place.substrate)) {
                places_.push_back({hole.across.in_metres(), (hung_.height - hole.down).in_metres(),
                                   plate_.thickness >= thin_plate || hole.down == top_row});
                carrying_.push_back(i);
            }
            plan_.brackets.push_back(std::move(place));
        }
        plan_.plate_edge = hung_.top - hung_.height;
    }

    void weigh_every_case() {
        plan_.plate_turns = places_.empty();
        const double length = shelf_.length.in_metres();
        weigh("goods all over", {body_.goods, length / 2}, {}, duration_stored);
        weigh("goods on the left half", {body_.goods / 2, length / 4}, {}, duration_stored);
        weigh("goods on the right half", {body_.goods / 2, length * 3 / 4}, {}, duration_stored);
        if (body_.leaning <= 0)
            return;
        const Lying everywhere{body_.goods, length / 2};
        weigh("somebody leans on its left end", everywhere, {body_.leaning, 0}, duration_people);
        weigh("somebody leans on its right end", everywhere, {body_.leaning, length}, duration_people);
    }

    /// A weight, and where along the thing, m from its left end.
    struct Lying {
        Force force = 0;
        double at = 0;
    };

    void weigh(std::string_view when, Lying goods, Lying leaning, double duration) {
        GroupLoad load;
        load.down = body_.empty_weight + goods.force + leaning.force;
        if (load.down <= 0)
            return;
        const double middle = shelf_.length.in_metres() / 2;
        const Moment about_left =
            body_.empty_weight * metres(middle) + goods.force * metres(goods.at) + leaning.force * metres(leaning.at);
        load.at_x = (shelf_.left - hung_.left).in_metres() + (about_left / load.down).in_metres();
        load.moment = (body_.empty_weight + goods.force) * metres(body_.at_m) + leaning.force * metres(body_.edge_m);
        plan_.plate_loads.push_back({when, load.down, hung_.left.in_metres() + load.at_x, load.moment, duration});
        const std::vector<HoleForce> forces =
            over_pressed_edge(places_, load, hung_.width, site_.rules.lining_pressure);
        plan_.plate_turns |= forces.empty();
        for (std::size_t i = 0; i < forces.size(); ++i)
            plan_.holes[carrying_[i]].demands.push_back(
                {forces[i].tension, forces[i].down, duration, when, forces[i].across});
    }

    /// One kind for the worst of them, at the hole nearest to a stud's edge, where the fitter does not say otherwise.
    void fix() {
        std::vector<SpottedPart> parts;
        for (const std::size_t i : carrying_)
            parts.push_back({part_at(i), plan_.holes[i].spot});
        const FixedGroup fixed = choose_each(site_.fixings(), site_.chosen, weakest(), parts);
        for (std::size_t n = 0; n < carrying_.size(); ++n) {
            BracketPlan& place = plan_.brackets[carrying_[n]];
            PlannedHole& hole = plan_.holes[carrying_[n]];
            for (const HoleDemand& demand : hole.demands) {
                place.tension = std::max(place.tension, demand.tension);
                place.shear = std::max(place.shear, demand.shear());
            }
            place.reaction.sustained = hole.demands.empty() ? 0 : hole.demands.front().shear();
            place.reaction.greatest = place.carries = place.shear;
            if (!fixed.parts[n])
                continue;
            place.fixing = fixed.parts[n]->fixing;
            hole.strength = fixed.parts[n]->strength;
            hole.utilisation = utilisation_of(hole.strength, place.substrate, hole.demands);
            place.fixing_utilisation = hole.utilisation;
        }
    }

    HeldPart part_at(std::size_t hole) const {
        HeldPart part{{plate_.thickness, steel_sheet_bearing, plate_.hole_diameter}, plan_.holes[hole].demands};
        part.through.packing = hung_.proud;
        const BracketPlan& place = plan_.brackets[hole];
        if (const Framing* framing = site_.timber(); framing && place.stud)
            part.through.to_edge = to_edge_of(*framing, site_.survey.studs[*place.stud], place.x, site_.rules);
        return part;
    }

    /// Wood across its grain, in a nogging, bears less: one of them makes all weighed so.
    Substrate weakest() const {
        for (const std::size_t i : carrying_)
            if (plan_.brackets[i].substrate == Substrate::nogging)
                return Substrate::nogging;
        return plan_.brackets[carrying_.front()].substrate;
    }

    /// A keyhole shelf bends over its screws, and nothing holds it down on them.
    void bend() {
        std::set<Length> xs;
        for (const std::size_t i : carrying_)
            xs.insert(std::clamp(plan_.brackets[i].x - shelf_.left, Length{}, shelf_.length));
        if (xs.size() < 2)
            return;
        const ShelfLoads loads = loads_of(shelf_, site_.rules);
        const std::vector<Length> along{xs.begin(), xs.end()};
        const BeamResult beam =
            analyse(beam_of(shelf_, along), loads.on_beam(), creep_factor(shelf_, site_.service_class));
        plan_.sag = worst_sag(beam, divisor(site_.rules.sag_limit));
        plan_.board_utilisation = board_utilisation(shelf_, beam, loads.accidental, site_.rules);
        for (const std::size_t i : carrying_)
            for (std::size_t k = 0; k < along.size(); ++k)
                if (plan_.brackets[i].x - shelf_.left == along[k])
                    plan_.brackets[i].reaction.least = beam.reactions[k].least;
    }

    const Shelf& shelf_;
    const WallSite& site_;
    ShelfPlan& plan_;
    HungPlate hung_;
    const Plate& plate_;
    Body body_;
    std::vector<HolePlace> places_; ///< of the holes that carry
    std::vector<std::size_t> carrying_;
};

} // namespace

Plate corner_holes(Length width, Length height, Length hole, bool two_rows) {
    constexpr Length from_end = 50_mm;
    constexpr Length from_edge = 30_mm;
    Plate plate;
    plate.width = width;
    plate.height = height;
    plate.thickness = 4_mm;
    plate.hole_diameter = hole;
    plate.holes = {{from_end, from_edge}, {width - from_end, from_edge}};
    if (two_rows) {
        plate.holes.push_back({from_end, height - from_edge});
        plate.holes.push_back({width - from_end, height - from_edge});
    }
    return plate;
}

HungPlate plate_of(const Shelf& shelf) {
    return way_of(shelf).plate(shelf);
}

Plate* plate_in(Shelf& shelf) {
    return way_of(shelf).plate_in(shelf);
}

void hang_on_plate(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    OnPlate{shelf, site, plan}.hang();
}

} // namespace yes_square
