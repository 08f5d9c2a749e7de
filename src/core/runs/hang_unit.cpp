#include "core/runs/hang_unit.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/stability/tip_cases.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double stack_diameters = 10;   ///< between two screws along a stud's grain (common practice)
constexpr double usual_screw_in = 0.190; ///< #10, for that distance before the screw is chosen
constexpr Length solid_back_inset = 60_mm;
constexpr Length wide_unit = 900_mm; ///< masonry: a third pair of plugs in the middle (house rule)

struct Column {
    Length x;
    Hold hold = Hold::masonry;
    std::optional<std::size_t> stud;
};

class Hanger {
public:
    Hanger(const StandingUnit& standing, const WallSite& site)
        : standing_{standing}
        , unit_{standing.unit}
        , site_{site} {}

    UnitPlan hang() {
        plan_.unit_id = unit_.id;
        plan_.name = unit_.name;
        plan_.place = standing_.place;
        plan_.bottom = standing_.bottom;
        plan_.top = standing_.top();
        if (!is_cabinet(unit_))
            return std::move(plan_);
        plan_.empty_known = unit_.mass_kg > 0;
        plan_.empty_kg = empty_mass_kg(unit_);
        plan_.loaded_kg = loaded_mass_kg(unit_, site_.rules.runs);
        plan_.lift_kg = lift_mass_kg(unit_);
        if (unit_.hanging != Hanging::screws && standing_.level == RunLevel::wall)
            hook_load();
        else
            screws();
        return std::move(plan_);
    }

private:
    void hook_load() {
        // Two hooks; half the contents on one side load that hook by three quarters of them.
        const double contents = plan_.loaded_kg - plan_.empty_kg;
        const double kg = std::max(plan_.loaded_kg / 2, plan_.empty_kg / 2 + 0.75 * contents / 2);
        plan_.hook_load_n = kg * standard_gravity;
        if (unit_.hook_rating_n)
            plan_.hook_utilisation = *plan_.hook_load_n / *unit_.hook_rating_n;
    }

    std::vector<Column> columns() const {
        const RunRules& rules = site_.rules.runs;
        std::vector<Column> columns;
        if (site_.masonry()) {
            const Length inset = std::min(unit_.side + rules.side_grip, unit_.width / 2);
            columns.push_back({standing_.place.left + inset, Hold::masonry, {}});
            if (unit_.width >= wide_unit)
                columns.push_back({standing_.place.left + unit_.width / 2, Hold::masonry, {}});
            if (inset < unit_.width / 2)
                columns.push_back({standing_.place.right() - inset, Hold::masonry, {}});
            return columns;
        }
        if (!site_.timber())
            return columns;
        const Length inset = unit_.side + rules.driver_room;
        for (std::size_t i = 0; i < site_.survey.studs.size(); ++i) {
            const Stud& stud = site_.survey.studs[i];
            if (stud.centre < standing_.place.left + inset || stud.centre > standing_.place.right() - inset)
                continue;
            // A stud known too loosely for a screw is as good as none.
            const Hold hold = !holds_usual_screw(*site_.timber(), stud, site_.rules) ? Hold::assumed_stud
                              : stud.state == StudState::proved                      ? Hold::proved_stud
                                                                                     : Hold::indicated_stud;
            columns.push_back({site_.screw_place(unit_.id, stud), hold, i});
        }
        return columns;
    }

    void screws() {
        const std::vector<HangingRail> rails = rails_of(unit_, site_.rules.runs);
        const std::vector<Column> places = columns();
        const auto carrying = static_cast<std::size_t>(std::ranges::count_if(places, carries));
        drill(rails, places, carrying == 1);
        const bool room =
            std::ranges::all_of(rails, [](const HangingRail& rail) { return rail.breadth >= stacked() * 3 / 2; });
        if (carrying > 1 && room && site_.timber() && plan_.utilisation && *plan_.utilisation > 1)
            drill(rails, places, true); // one in each stud does not bear it: two, one above the other
    }

    static bool carries(const Column& column) { return column.hold != Hold::assumed_stud; }

    /// Between two screws above one another.
    static Length stacked() { return Length::nearest_to_metres(stack_diameters * usual_screw_in * 0.0254); }

    /// Holes through every rail at every column, one or two in each, and the screw for them.
    void drill(const std::vector<HangingRail>& rails, const std::vector<Column>& places, bool two) {
        plan_.holes.clear();
        Length most_shim;
        ScrewPattern pattern;
        pattern.screws_in_row = two ? 2 : 1;
        pattern.stacked_m = two ? stacked().in_metres() : 0;
        for (std::size_t r = 0; r < rails.size(); ++r) {
            const Length z = standing_.top() - rails[r].down;
            pattern.rows.push_back((z - standing_.bottom).in_metres());
            for (const Column& column : places)
                for (const Length at : two ? std::vector{z + stacked() / 2, z - stacked() / 2} : std::vector{z}) {
                    const Length shim = site_.survey.face.shim_at(column.x, at).value_or(Length{});
                    const Length outside = column.x - standing_.place.left;
                    plan_.holes.push_back({r, column.x, at, site_.survey.floor.above_floor_now(column.x, at), outside,
                                           outside - unit_.side, standing_.place.right() - unit_.side - column.x,
                                           column.hold, column.stud, shim});
                    if (carries(column))
                        most_shim = std::max(most_shim, shim);
                    if (r + 1 == rails.size() && shim > Length{})
                        pattern.packed_at_bottom = true;
                }
        }
        for (const Column& column : places)
            if (carries(column))
                pattern.columns.push_back((column.x - standing_.place.left).in_metres());
        if (!pattern.columns.empty() && !pattern.rows.empty())
            choose(rails, pattern, most_shim);
    }

    /// What each top screw of a tall unit holds back, by the stability sum.
    double tall_restraint(const ScrewPattern& pattern) {
        const TippingRules& rules = site_.rules.tipping;
        const Piece piece = piece_of(unit_, plan_.empty_kg, plan_.loaded_kg);
        for (const TipCase& tip : tip_cases(piece, rules, pattern.rows.front()))
            plan_.tip_needs_n = std::max(plan_.tip_needs_n, tip.needs_n);
        return each_restraint_n(plan_.tip_needs_n, pattern.columns.size(), 1, rules) / pattern.screws_in_row;
    }

    void choose(const std::vector<HangingRail>& rails, const ScrewPattern& pattern, Length shim) {
        HoleDemand demand;
        if (standing_.level == RunLevel::wall) {
            const UnitForces forces = unit_forces(unit_, plan_.empty_kg, plan_.loaded_kg, pattern);
            if (forces.refused)
                return;
            demand = {forces.tension_n, forces.shear_n, duration_stored};
        } else if (standing_.tall()) {
            demand = {tall_restraint(pattern), 0, duration_people};
        } else {
            demand = {0, 0, duration_people}; // stands by itself; its screws only keep it there
        }
        plan_.tension_n = demand.tension_n;
        plan_.shear_n = demand.shear_n;
        DrivenThrough through = driven_through_rails(unit_, rails, site_.rules.runs);
        const auto thinnest = std::ranges::min_element(rails, {}, &HangingRail::thickness);
        through.packing = shim;
        through.coach = standing_.coach;
        const std::vector<HoleDemand> demands{demand};
        const auto choose_through = [&](const DrivenThrough& rail) {
            return choose_fixing(site_.catalogue, site_.rules, site_.wall,
                                 site_.masonry() ? Hold::masonry : Hold::proved_stud, rail, demands);
        };
        auto choice = choose_through(through);
        if (choice && thinnest->thickness < through.thickness) {
            // One length for all: judged where its head has the least wood under it.
            through.thickness = thinnest->thickness;
            const auto thin = choose_through(through);
            if (!thin)
                choice.reset();
            else
                choice->utilisation = std::max(choice->utilisation, thin->utilisation);
        }
        if (!choice)
            return;
        plan_.fixing = choice->fixing;
        plan_.utilisation = choice->utilisation;
    }

    const StandingUnit& standing_;
    const CabinetUnit& unit_;
    const WallSite& site_;
    UnitPlan plan_;
};

} // namespace

std::vector<HangingRail> rails_of(const CabinetUnit& unit, const RunRules& rules) {
    if (!unit.rails.empty() || unit.back <= rules.thin_back)
        return unit.rails;
    const Length inset = std::min(solid_back_inset, unit.height / 2);
    std::vector<HangingRail> rails{{inset, 2 * inset, unit.back}};
    if (unit.height > 2 * inset)
        rails.push_back({unit.height - inset, 2 * inset, unit.back});
    return rails;
}

DrivenThrough driven_through_rails(const CabinetUnit& unit, const std::vector<HangingRail>& rails,
                                   const RunRules& rules) {
    DrivenThrough through;
    through.thickness = std::ranges::max(rails, {}, &HangingRail::thickness).thickness;
    through.gravity = specific_gravity(unit.rail_wood);
    through.bearing_psi = wood_bearing_psi(*through.gravity);
    through.head = rules.screw_head;
    return through;
}

WallSurvey proved_only(WallSurvey survey) {
    for (Stud& stud : survey.studs)
        if (stud.state != StudState::proved)
            stud.state = StudState::assumed;
    return survey;
}

UnitPlan hang_unit(const StandingUnit& standing, const WallSite& site) {
    return Hanger{standing, site}.hang();
}

} // namespace yes_square
