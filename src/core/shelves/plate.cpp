#include "core/shelves/plate.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/verdicts.hpp"

#include <algorithm>
#include <limits>
#include <set>

namespace yes_square {
namespace {

constexpr Length least_pivot = 5_mm;
constexpr Length thin_plate = 4_mm; ///< pressed steel under this hangs on its top row alone
constexpr double infinite = std::numeric_limits<double>::infinity();

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
/// about its middle, 5 mm up at least: as the leg of a bracket does.
std::vector<HoleForce> over_pressed_edge(const std::vector<HolePlace>& holes, const GroupLoad& load, Length width,
                                         double pressure) {
    constexpr int turns = 20;
    Length pivot = least_pivot;
    std::vector<HoleForce> forces;
    for (int turn = 0; turn < turns; ++turn) {
        std::vector<HolePlace> over = holes;
        for (HolePlace& hole : over)
            hole.z = std::max(0.0, hole.z - pivot.in_metres());
        forces = hole_group_forces(over, load);
        double pull = 0;
        for (const HoleForce& force : forces)
            pull += force.tension_n;
        const Length next = std::max(least_pivot, Length::nearest_to_metres(pull / (width.in_mm() * pressure) / 2000));
        if (forces.empty() || next == pivot)
            break;
        pivot = next;
    }
    return forces;
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
        plan.holes.push_back({i, 0, place.x, z, site.survey.floor.above_floor_now(place.x, z)});
        if (carries(place.hold)) {
            const bool pulls = plate.thickness >= thin_plate || hole.down == top_row;
            places.push_back({hole.across.in_metres(), pulls ? (hung.height - hole.down).in_metres() : 0.0});
            carrying.push_back(i);
        }
        plan.brackets.push_back(std::move(place));
    }

    const Body body = body_of(shelf, site.rules);
    const double left = (shelf.left - hung.left).in_metres();
    const double length = shelf.length.in_metres();
    std::vector<std::vector<HoleDemand>> demands(places.size());
    bool refused = places.empty();
    const auto weigh = [&](double goods, double goods_at, double leaning, double leaning_at, double duration) {
        GroupLoad load;
        load.down_n = body.empty_n + goods + leaning;
        if (load.down_n <= 0)
            return;
        load.at_x = left + (body.empty_n * length / 2 + goods * goods_at + leaning * leaning_at) / load.down_n;
        load.moment_nm = (body.empty_n + goods) * body.at_m + leaning * body.edge_m;
        const std::vector<HoleForce> forces =
            over_pressed_edge(places, load, hung.width, site.rules.lining_pressure_n_per_mm2);
        refused |= forces.empty();
        for (std::size_t i = 0; i < forces.size(); ++i)
            demands[i].push_back({forces[i].tension_n, forces[i].shear_n, duration});
    };
    for (const double side : {0.5, 0.25, 0.75})
        weigh(side == 0.5 ? body.goods_n : body.goods_n / 2, side * length, 0, 0, duration_stored);
    for (const double end : {0.0, 1.0})
        if (body.leaning_n > 0)
            weigh(body.goods_n, length / 2, body.leaning_n, end * length, duration_people);
    plan.plate_turns = refused;
    if (refused)
        return;

    DrivenThrough through{plate.thickness, steel_sheet_bearing_psi, plate.hole_diameter};
    through.packing = hung.proud;
    // All alike: one kind for the worst of them.
    std::vector<HoleDemand> all;
    for (const auto& of_hole : demands)
        all.insert(all.end(), of_hole.begin(), of_hole.end());
    for (std::size_t i = 0; i < carrying.size(); ++i) {
        BracketPlan& place = plan.brackets[carrying[i]];
        const auto choice = choose_fixing(site.catalogue, site.rules, site.wall, place.hold, through, all);
        for (const HoleDemand& demand : demands[i]) {
            place.tension_n = std::max(place.tension_n, demand.tension_n);
            place.shear_n = std::max(place.shear_n, demand.shear_n);
        }
        place.reaction.sustained = demands[i].front().shear_n;
        place.reaction.greatest = place.carries_n = place.shear_n;
        if (!choice)
            continue;
        place.fixing = choice->fixing;
        place.fixing_utilisation = choice->utilisation;
    }
    if (plate.rating_n)
        plan.plate_utilisation = (body.empty_n + body.goods_n + body.leaning_n) / *plate.rating_n;

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
