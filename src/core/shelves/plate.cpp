#include "core/shelves/plate.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/verdicts.hpp"

#include <algorithm>
#include <set>

namespace yes_square {
namespace {

constexpr Length least_pivot = 5_mm;
constexpr Length thin_plate = 4_mm; ///< pressed steel under this hangs on its top row alone

/// What the thing puts on its plate.
struct Body {
    double empty_n = 0;
    double goods_n = 0;
    double leaning_n = 0;
    double at_m = 0; ///< of weight, out of the wall
    double edge_m = 0;
};

Body body_of(const Shelf& shelf, const HouseRules& rules) {
    const double depth = shelf.depth.in_metres();
    if (const auto* fixture = shelf.held<Fixture>())
        return {fixture->mass_kg * standard_gravity, fixture->contents_kg * standard_gravity, fixture->leaned_n,
                depth / 2, depth};
    const ShelfLoads loads = loads_of(shelf, rules);
    const double empty = loads.self_n_per_m * shelf.length.in_metres();
    return {empty, loads.total_n(shelf.length) - empty, loads.accidental_n, depth / 2, depth};
}

Hold hold_of_hole(Length x, const WallSite& site, double diameter_in, std::optional<std::size_t>& stud) {
    if (site.masonry())
        return Hold::masonry;
    const Framing* framing = site.timber();
    if (!framing)
        return Hold::lining;
    Hold best = Hold::lining;
    bool beside_a_stud = false;
    for (std::size_t i = 0; i < site.survey.studs.size(); ++i) {
        const Stud& at = site.survey.studs[i];
        const Length off = absolute(at.centre - x);
        beside_a_stud |= off < blocked_half_width(*framing, site.rules);
        if (off > usable_half_width(*framing, at.uncertainty, diameter_in, site.rules))
            continue;
        stud = i;
        best = std::min(best, at.state == StudState::proved      ? Hold::proved_stud
                              : at.state == StudState::indicated ? Hold::indicated_stud
                                                                 : Hold::assumed_stud);
    }
    return best == Hold::lining && site.open_framing() && !beside_a_stud ? Hold::nogging : best;
}

/// The lower edge presses on the wall with the sum of the pulls; what is pressed rises with them, and the plate turns
/// about its middle, 5 mm up at least: as the leg of a bracket does. Empty: it turns off the wall.
std::vector<HoleForce> over_pressed_edge(const std::vector<HolePlace>& holes, const GroupLoad& load, Length width,
                                         double pressure) {
    const auto pull_over = [&](double pivot) {
        double pull = 0;
        for (const HoleForce& force : hole_group_forces(holes, load, pivot))
            pull += force.tension_n;
        return pull;
    };
    const auto pivot = pressed_pivot(least_pivot.in_metres(), width.in_metres(), pressure * 1e6, pull_over);
    return pivot ? hole_group_forces(holes, load, *pivot) : std::vector<HoleForce>{};
}

} // namespace

HungPlate plate_of(const Shelf& shelf) {
    if (const auto* hidden = shelf.held<OnHiddenBracket>())
        return {&hidden->plate,      shelf.left + hidden->offset, shelf.height - hidden->down,
                hidden->plate.width, hidden->plate.height,        {}};
    if (const auto* keyholes = shelf.held<OnKeyholes>())
        return {&keyholes->plate, shelf.left, shelf.height, shelf.length, shelf.thickness, keyholes->lip};
    if (const auto* fixture = shelf.held<Fixture>())
        return {&fixture->plate, shelf.left, shelf.height, shelf.length, shelf.thickness, {}};
    return {};
}

Plate* plate_in(Shelf& shelf) {
    if (auto* hidden = std::get_if<OnHiddenBracket>(&shelf.holding))
        return &hidden->plate;
    if (auto* keyholes = std::get_if<OnKeyholes>(&shelf.holding))
        return &keyholes->plate;
    auto* fixture = std::get_if<Fixture>(&shelf.holding);
    return fixture ? &fixture->plate : nullptr;
}

void hang_on_plate(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const HungPlate hung = plate_of(shelf);
    const Plate& plate = *hung.plate;
    const WoodScrew* screw = screw_for(site.catalogue, plate.hole_diameter);
    const double diameter = screw ? properties(screw->gauge).diameter_in : plate.hole_diameter.in_inches();

    std::vector<HolePlace> places; // of those that carry
    std::vector<std::size_t> carrying;
    const Length top_row = plate.holes.empty() ? Length{} : std::ranges::min(plate.holes, {}, &PlateHole::down).down;
    for (std::size_t i = 0; i < plate.holes.size(); ++i) {
        const PlateHole& hole = plate.holes[i];
        BracketPlan place;
        place.x = hung.left + hole.across;
        place.hold = hold_of_hole(place.x, site, diameter, place.stud);
        const Length z = hung.top - hole.down;
        PlannedHole& drilled = plan.holes.emplace_back();
        drilled.place = i;
        drilled.x = place.x;
        drilled.z = z;
        if (carries(place.hold)) {
            places.push_back({hole.across.in_metres(), (hung.height - hole.down).in_metres(),
                              plate.thickness >= thin_plate || hole.down == top_row});
            carrying.push_back(i);
        }
        plan.brackets.push_back(std::move(place));
    }

    plan.plate_edge = hung.top - hung.height;
    const Body body = body_of(shelf, site.rules);
    const double left = (shelf.left - hung.left).in_metres();
    const double length = shelf.length.in_metres();
    bool refused = places.empty();
    const auto weigh = [&](std::string_view when, double goods, double goods_at, double leaning, double leaning_at,
                           double duration) {
        GroupLoad load;
        load.down_n = body.empty_n + goods + leaning;
        if (load.down_n <= 0)
            return;
        load.at_x = left + (body.empty_n * length / 2 + goods * goods_at + leaning * leaning_at) / load.down_n;
        load.moment_nm = (body.empty_n + goods) * body.at_m + leaning * body.edge_m;
        plan.plate_loads.push_back({when, load.down_n, hung.left.in_metres() + load.at_x, load.moment_nm, duration});
        const std::vector<HoleForce> forces =
            over_pressed_edge(places, load, hung.width, site.rules.lining_pressure_n_per_mm2);
        refused |= forces.empty();
        for (std::size_t i = 0; i < forces.size(); ++i)
            plan.holes[carrying[i]].demands.push_back(
                {forces[i].tension_n, forces[i].down_n, duration, when, forces[i].across_n});
    };
    weigh("goods all over", body.goods_n, length / 2, 0, 0, duration_stored);
    weigh("goods on the left half", body.goods_n / 2, length / 4, 0, 0, duration_stored);
    weigh("goods on the right half", body.goods_n / 2, length * 3 / 4, 0, 0, duration_stored);
    if (body.leaning_n > 0) {
        weigh("somebody leans on its left end", body.goods_n, length / 2, body.leaning_n, 0, duration_people);
        weigh("somebody leans on its right end", body.goods_n, length / 2, body.leaning_n, length, duration_people);
    }
    plan.plate_turns = refused;
    if (refused)
        return;

    // All alike: one kind for the worst of them, at the hole nearest to a stud's edge.
    std::vector<HeldPart> parts;
    for (const std::size_t i : carrying) {
        HeldPart part{{plate.thickness, steel_sheet_bearing_psi, plate.hole_diameter}, plan.holes[i].demands};
        part.through.packing = hung.proud;
        if (const Framing* framing = site.timber(); framing && plan.brackets[i].stud)
            part.through.to_edge =
                to_edge_of(*framing, site.survey.studs[*plan.brackets[i].stud], plan.brackets[i].x, site.rules);
        parts.push_back(std::move(part));
    }
    // Wood across its grain, in a nogging, bears less: one of them makes all weighed so.
    Hold weakest = plan.brackets[carrying.front()].hold;
    for (const std::size_t i : carrying)
        if (plan.brackets[i].hold == Hold::nogging)
            weakest = Hold::nogging;
    const auto choice = choose_fixing(site.catalogue, site.rules, site.wall, weakest, parts);
    for (std::size_t n = 0; n < carrying.size(); ++n) {
        BracketPlan& place = plan.brackets[carrying[n]];
        PlannedHole& hole = plan.holes[carrying[n]];
        for (const HoleDemand& demand : hole.demands) {
            place.tension_n = std::max(place.tension_n, demand.tension_n);
            place.shear_n = std::max(place.shear_n, demand.shear_n());
        }
        place.reaction.sustained = hole.demands.empty() ? 0 : hole.demands.front().shear_n();
        place.reaction.greatest = place.carries_n = place.shear_n;
        if (!choice)
            continue;
        place.fixing = choice->fixing;
        hole.strength = choice->at[n];
        hole.utilisation = utilisation_of(hole.strength, place.hold, hole.demands);
        place.fixing_utilisation = hole.utilisation;
    }
    plan.plate_utilisation = Utilisation::of(body.empty_n + body.goods_n + body.leaning_n, plate.rating_n);

    if (!shelf.held<OnKeyholes>())
        return;
    // A keyhole shelf bends over its screws, and nothing holds it down on them.
    std::set<Length> xs;
    for (const std::size_t i : carrying)
        xs.insert(std::clamp(plan.brackets[i].x - shelf.left, Length{}, shelf.length));
    if (xs.size() < 2)
        return;
    const ShelfLoads loads = loads_of(shelf, site.rules);
    const std::vector<Length> along{xs.begin(), xs.end()};
    const BeamResult beam = analyse(beam_of(shelf, along), loads.on_beam(), creep_factor(shelf, site.service_class));
    plan.sag = worst_sag(beam, divisor(site.rules.sag_limit));
    plan.board_utilisation = board_utilisation(shelf, beam, loads.accidental_n, site.rules);
    for (const std::size_t i : carrying)
        for (std::size_t k = 0; k < along.size(); ++k)
            if (plan.brackets[i].x - shelf.left == along[k])
                plan.brackets[i].reaction.least = beam.reactions[k].least;
}

} // namespace yes_square
