#include "core/runs/hang_unit.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/site/plan_hole.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/stability/tipping.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double usual_screw_in = 0.190; ///< #10, for that distance before the screw is chosen
constexpr Length solid_back_inset = 60_mm;

struct Column {
    Length x;
    Substrate substrate = Substrate::masonry;
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
        plan_.side = unit_.side;
        plan_.place = standing_.place;
        plan_.bottom = standing_.bottom;
        plan_.top = standing_.top();
        if (!is_cabinet(unit_))
            return std::move(plan_);
        plan_.empty_known = unit_.mass > 0;
        plan_.empty_mass = empty_mass_of(unit_);
        plan_.loaded_mass = loaded_mass_of(unit_, site_.rules.runs);
        plan_.lift_mass = lift_mass_of(unit_);
        if (site_.open_floor())
            return std::move(plan_); // there is nothing behind it to hang on: see hold_island()
        if (standing_.on_rail() || standing_.on_plates())
            hook_load();
        if (standing_.on_plates())
            plates();
        else if (!standing_.on_rail())
            screws();
        return std::move(plan_);
    }

private:
    void hook_load() {
        // Two hooks; half the contents on one side load that hook by three quarters of them.
        const Mass contents = plan_.loaded_mass - plan_.empty_mass;
        const Mass mass = std::max(plan_.loaded_mass / 2, plan_.empty_mass / 2 + 0.75 * contents / 2);
        plan_.hook_load = weight_of(mass);
        plan_.hook_utilisation = Utilisation::of(*plan_.hook_load, allowed_of(unit_.hook_rating, unit_.hook_basis));
    }

    /// A screw that must go right there: in the stud that is sure to be round it, else in nothing that holds.
    Column given(Length at) const {
        const Length x = standing_.place.left + at;
        if (site_.masonry())
            return {x, Substrate::masonry, {}};
        const auto stud = site_.stud_round(x);
        if (!stud)
            return {x, Substrate::lining, {}};
        return {x, substrate_of(site_.survey.studs[*stud].state), stud};
    }

    /// Where its screws go: where the fitter has pinned them, and round those where the program finds wood.
    std::vector<Column> columns() {
        std::vector<Column> columns;
        for (const Length pin : site_.apart(unit_.pins))
            columns.push_back(given(pin));
        const auto by_a_pin = [&](const Column& found) {
            return std::ranges::any_of(unit_.pins, [&](Length pin) {
                return absolute(standing_.place.left + pin - found.x) <= site_.pin_room();
            });
        };
        for (const Column& found : found_columns())
            if (!by_a_pin(found))
                columns.push_back(found);
        std::ranges::sort(columns, {}, &Column::x);
        return columns;
    }

    std::vector<Column> found_columns() {
        const RunRules& rules = site_.rules.runs;
        std::vector<Column> columns;
        if (site_.masonry()) {
            const Length inset = std::min(unit_.side + rules.side_grip, unit_.width / 2);
            columns.push_back({standing_.place.left + inset, Substrate::masonry, {}});
            if (unit_.width >= site_.rules.runs.wide_unit)
                columns.push_back({standing_.place.left + unit_.width / 2, Substrate::masonry, {}});
            if (inset < unit_.width / 2)
                columns.push_back({standing_.place.right() - inset, Substrate::masonry, {}});
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
            const Substrate substrate = holds_usual_screw(*site_.timber(), stud, site_.rules) ? substrate_of(stud.state)
                                                                                              : Substrate::assumed_stud;
            columns.push_back({site_.screw_place(unit_.id, stud), substrate, i});
        }
        return columns;
    }

    /// Proved studs that lie behind it and take no screw, since no driver inside comes to them: in a corner, mostly.
    void see_out_of_reach(const std::vector<Column>& places) {
        if (!site_.timber())
            return;
        for (std::size_t i = 0; i < site_.survey.studs.size(); ++i) {
            const Stud& stud = site_.survey.studs[i];
            if (stud.state == StudState::proved && stud.centre >= standing_.place.left &&
                stud.centre <= standing_.place.right() && std::ranges::find(places, i, &Column::stud) == places.end())
                plan_.out_of_reach.push_back(stud.centre);
        }
    }

    void screws() {
        const std::vector<HangingRail> rails = rails_of(unit_, site_.rules.runs);
        plan_.rails_unknown = rails.empty();
        const std::vector<Column> places = columns();
        see_out_of_reach(places);
        const auto carrying = static_cast<std::size_t>(std::ranges::count_if(places, carries));
        drill(rails, places, carrying == 1);
        const bool room =
            std::ranges::all_of(rails, [&](const HangingRail& rail) { return rail.breadth >= stacked() * 3 / 2; });
        if (carrying > 1 && room && site_.timber() && plan_.utilisation.over())
            drill(rails, places, true); // one in each stud does not bear it: two, one above the other
    }

    /// The screws of its two hook plates, where its hooks are.
    void plates() {
        const HookPlate& plate = unit_.hook_plate;
        plan_.on_plates = true;
        const Length in = std::min(plate.in, unit_.width / 2);
        for (const Length at : {in, unit_.width - in}) {
            const Column column = given(at);
            for (int row = 0; row < plate.screws; ++row)
                add_hole(column, standing_.hooks_at - plate.apart * row, at == in ? 0 : 1,
                         static_cast<std::size_t>(row));
        }
        const std::vector<PlannedHole*> holes = carrying_holes();
        // Half a unit on one plate is no answer.
        if (holes.size() == plan_.holes.size()) {
            hang(holes, false);
            if (!plan_.turns)
                choose(holes, [&](const PlannedHole&) {
                    return DrivenThrough{plate.thickness, steel_sheet_bearing, plate.hole};
                });
        }
        for (PlannedHole& hole : plan_.holes) {
            hole.what = {"{0}: hook plate {1} from the left, screw {2}",
                         {unit_.name, count(hole.place + 1), count(hole.row + 1)}};
            hole.drilled = plate.hole;
            plan_hole(site_, hole);
        }
    }

    static bool carries(const Column& column) { return counts(column.substrate); }
    /// Nothing hangs on a stud that nobody found, or on the lining.
    static bool counts(Substrate substrate) {
        return substrate != Substrate::assumed_stud && substrate != Substrate::lining;
    }

    /// Between two screws above one another.
    Length stacked() const { return Length::nearest_to_inches(site_.rules.runs.stack_diameters * usual_screw_in); }

    /// Holes through every rail at every column, one or two in each, and the screw for them.
    void drill(const std::vector<HangingRail>& rails, const std::vector<Column>& places, bool two) {
        plan_.holes.clear();
        for (std::size_t r = 0; r < rails.size(); ++r) {
            const Length z = standing_.top() - rails[r].down;
            for (const Column& column : places)
                for (const Length at : two ? std::vector{z + stacked() / 2, z - stacked() / 2} : std::vector{z})
                    add_hole(column, at, static_cast<std::size_t>(&column - places.data()), r);
        }
        weigh(rails);
        for (std::size_t i = 0; i < plan_.holes.size(); ++i) {
            PlannedHole& hole = plan_.holes[i];
            hole.what = {"{0}: screw {1}, rail {2} from the top", {unit_.name, count(i + 1), count(hole.row + 1)}};
            // What holds nothing, in a stud that nobody found, is drilled as the rest.
            if (!hole.fixing && yes_square::carries(hole.substrate))
                hole.fixing = plan_.fixing;
            plan_hole(site_, hole);
        }
    }

    void add_hole(const Column& column, Length z, std::size_t place, std::size_t row) {
        PlannedHole& hole = plan_.holes.emplace_back();
        hole.item = unit_.id;
        hole.place = place;
        hole.row = row;
        hole.spot = {unit_.id, static_cast<int>(place) + 1, static_cast<int>(row) + 1};
        hole.x = column.x;
        hole.z = z;
        hole.substrate = column.substrate;
        hole.stud = column.stud;
        hole.packing = site_.survey.face.shim_at(column.x, z).value_or(Length{});
    }

    /// The holes that something holds.
    std::vector<PlannedHole*> carrying_holes() {
        std::vector<PlannedHole*> holes;
        for (PlannedHole& hole : plan_.holes)
            if (counts(hole.substrate))
                holes.push_back(&hole);
        return holes;
    }

    void weigh(const std::vector<HangingRail>& rails) {
        plan_.loads.clear();
        plan_.turns = false;
        plan_.fixing.reset();
        plan_.utilisation = {};
        const std::vector<PlannedHole*> holes = carrying_holes();
        if (holes.empty())
            return;
        if (standing_.level == RunLevel::wall)
            hang(holes, std::ranges::any_of(holes, [&](const PlannedHole* hole) {
                     return hole->row + 1 == rails.size() && hole->packing > Length{};
                 }));
        else if (standing_.tall())
            hold_back(holes, rails.front());
        else // it stands by itself; its screws only keep it there
            for (PlannedHole* hole : holes)
                hole->demands = {{0, 0, duration_people, "it stands by itself"}};
        if (!plan_.turns)
            choose(holes, [&](const PlannedHole& hole) {
                DrivenThrough through = driven_through_rail(unit_, rails[hole.row], site_.rules.runs);
                through.coach = standing_.coach;
                return through;
            });
    }

    void hang(const std::vector<PlannedHole*>& holes, bool packed_at_bottom) {
        ScrewPattern pattern;
        pattern.packed_at_bottom = packed_at_bottom;
        for (const PlannedHole* hole : holes)
            pattern.holes.push_back({plan_.from_left(*hole).in_metres(), (hole->z - standing_.bottom).in_metres()});
        const UnitForces forces =
            unit_forces(unit_, plan_.empty_mass, plan_.loaded_mass, pattern, site_.rules.lining_pressure);
        plan_.turns = forces.refused;
        if (forces.refused)
            return;
        for (const UnitCase& one : forces.cases) {
            plan_.loads.push_back(one.load);
            plan_.loads.back().at_x += standing_.place.left.in_metres();
            for (std::size_t i = 0; i < holes.size(); ++i)
                holes[i]->demands.push_back(
                    {one.holes[i].tension, one.holes[i].down, one.load.duration, one.load.when, one.holes[i].across});
        }
    }

    /// What each top screw of a tall unit holds back, by the stability sum.
    void hold_back(const std::vector<PlannedHole*>& holes, const HangingRail& top_rail) {
        const TippingRules& rules = site_.rules.tipping;
        const Piece piece = piece_of(unit_, plan_.empty_mass, plan_.loaded_mass);
        const auto top = static_cast<std::size_t>(
            std::ranges::count_if(holes, [&](const PlannedHole* hole) { return hole->row == holes.front()->row; }));
        for (const TipCase& tip : tip_cases(piece, rules, (unit_.height - top_rail.down).in_metres()))
            plan_.tip_needs = std::max(plan_.tip_needs, tip.needs);
        std::vector<Length> columns;
        for (const PlannedHole* hole : holes)
            columns.push_back(hole->x);
        std::ranges::sort(columns);
        columns.erase(std::ranges::unique(columns).begin(), columns.end());
        const Force each = each_restraint(plan_.tip_needs, columns.size(), 1, rules) *
                           static_cast<double>(columns.size()) / static_cast<double>(top);
        for (PlannedHole* hole : holes)
            hole->demands = {{each, 0, duration_people, "it begins to tip"}};
    }

    void choose(const std::vector<PlannedHole*>& holes, auto&& driven_through) {
        const Substrate substrate = site_.masonry() ? Substrate::masonry : Substrate::proved_stud;
        std::vector<SpottedPart> parts;
        for (const PlannedHole* hole : holes) {
            HeldPart part{driven_through(*hole), hole->demands};
            part.through.packing = hole->packing;
            if (const Framing* framing = site_.timber(); framing && hole->stud)
                part.through.to_edge = to_edge_of(*framing, site_.survey.studs[*hole->stud], hole->x, site_.rules);
            parts.push_back({std::move(part), hole->spot});
        }
        const FixedGroup fixed = choose_each(site_.fixings(), site_.chosen, substrate, parts);
        for (std::size_t i = 0; i < holes.size(); ++i)
            if (const auto& part = fixed.parts[i]) {
                holes[i]->fixing = part->fixing;
                holes[i]->strength = part->strength;
                holes[i]->utilisation = utilisation_of(part->strength, substrate, holes[i]->demands);
            }
        if (!fixed.worst)
            return;
        plan_.fixing = fixed.worst->fixing;
        plan_.utilisation = fixed.worst->utilisation;
        plan_.tension = fixed.worst->governing.tension;
        plan_.shear = fixed.worst->governing.shear();
        plan_.governing = fixed.worst->governing.when;
    }

    const StandingUnit& standing_;
    const CabinetUnit& unit_;
    const WallSite& site_;
    UnitPlan plan_;
};

} // namespace

std::vector<HangingRail> rails_of(const CabinetUnit& unit, const RunRules& rules) {
    if (!unit.rails.empty() || unit.back < rules.rail_back)
        return unit.rails;
    const Length inset = std::min(solid_back_inset, unit.height / 2);
    std::vector<HangingRail> rails{{inset, 2 * inset, unit.back}};
    if (unit.height > 2 * inset)
        rails.push_back({unit.height - inset, 2 * inset, unit.back});
    return rails;
}

DrivenThrough driven_through_rail(const CabinetUnit& unit, const HangingRail& rail, const RunRules& rules) {
    DrivenThrough through{rail.thickness};
    through.gravity = specific_gravity(unit.rail_wood);
    through.bearing = wood_bearing(*through.gravity);
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
