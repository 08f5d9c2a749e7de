#include "core/runs/run_pieces.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/runs/level_units.hpp"

#include <algorithm>
#include <functional>
#include <limits>

namespace yes_square {
namespace {

constexpr Length shortest_rail = 300_mm; ///< two fixings and a unit's hook (house rule)
constexpr Length rail_end = 50_mm;       ///< of its outer fixings from its ends
constexpr Length rail_steel = 2_mm;
constexpr Length rail_hole = 7_mm;

using What = RunPiece::What;

bool under_worktop(const StandingUnit& standing) {
    const CabinetUnit& unit = standing.unit;
    if (standing.tall())
        return false;
    return unit.kind != UnitKind::appliance_gap ||
           (unit.appliance && unit.appliance->kind == ApplianceKind::undercounter);
}

bool has_plinth(const StandingUnit& standing) {
    return standing.unit.kind != UnitKind::end_panel && (standing.tall() || under_worktop(standing));
}

class Pieces {
public:
    Pieces(const std::vector<StandingUnit>& units, const RunSite& site)
        : units_{units}
        , site_{site} {}

    std::vector<RunPiece> cut() {
        if (units_.empty())
            return {};
        if (units_.front().level == RunLevel::floor) {
            if (const auto worktop = site_.line(line_id::worktop))
                sections(under_worktop, [&](auto first, auto last) { add_worktop(*worktop, first, last); });
            sections(has_plinth, [&](auto first, auto last) { add_plinth(first, last); });
            return std::move(pieces_);
        }
        sections([](const StandingUnit& s) { return is_cabinet(s.unit) && s.unit.hanging != Hanging::screws; },
                 [&](auto first, auto last) { add_rail(first, last); });
        sections([](const StandingUnit& s) { return is_cabinet(s.unit) && s.unit.hanging == Hanging::screws; },
                 [&](auto first, auto last) { add_ledger(first, last); });
        return std::move(pieces_);
    }

private:
    using Place = std::vector<StandingUnit>::const_iterator;

    /// Stretches of units that stand side by side on one height and share something; `last` is beyond the stretch.
    void sections(const std::function<bool(const StandingUnit&)>& shares,
                  const std::function<void(Place, Place)>& add) const {
        for (Place first = units_.begin(); first != units_.end();) {
            first = std::find_if(first, units_.end(), shares);
            Place last = first;
            const bool hung = first != units_.end() && first->level == RunLevel::wall;
            while (last != units_.end() && shares(*last) && (!hung || last->bottom == first->bottom))
                ++last;
            if (first != last)
                add(first, last);
            first = last;
        }
    }

    static Length deepest(Place first, Place last) {
        return std::max_element(first, last, [](const auto& a, const auto& b) { return a.unit.depth < b.unit.depth; })
            ->unit.depth;
    }
    static Length right_of(Place last) { return std::prev(last)->place.right(); }

    void add_worktop(Length z, Place first, Place last) {
        if (std::none_of(first, last, [](const StandingUnit& s) { return is_cabinet(s.unit); }))
            return;
        const Length from = first->place.left;
        pieces_.push_back({What::worktop,
                           from,
                           right_of(last),
                           z,
                           deepest(first, last) + site_.rules().worktop_overhang,
                           {right_of(last) - from},
                           {}});
    }

    void add_plinth(Place first, Place last) {
        Length height;
        for (Place unit = first; unit != last; ++unit)
            for (const Foot& foot : feet_of(*unit, site_.wall))
                height = std::max(height, foot.height);
        if (height <= Length{})
            return;
        const Length from = first->place.left;
        pieces_.push_back({What::plinth, from, right_of(last), {}, height, {right_of(last) - from}, {}});
    }

    std::vector<Length> studs_between(Length from, Length to) const {
        std::vector<Length> places;
        if (site_.wall.timber())
            for (const Stud& stud : site_.wall.survey.studs)
                if (stud.state == StudState::proved && stud.centre >= from && stud.centre <= to &&
                    holds_usual_screw(*site_.wall.timber(), stud, site_.wall.rules))
                    places.push_back(stud.centre);
        return places;
    }
    static std::vector<Length> even_between(Length from, Length to, Length apart) {
        const std::int64_t spaces = std::max<std::int64_t>(
            1, ((to - from).in_nanometres() + apart.in_nanometres() - 1) / apart.in_nanometres());
        std::vector<Length> places;
        for (std::int64_t i = 0; i <= spaces; ++i)
            places.push_back(from + (to - from) * i / spaces);
        return places;
    }
    std::vector<Length> fixings_between(Length from, Length to, Length apart) const {
        return site_.wall.masonry() ? even_between(from + rail_end, to - rail_end, apart) : studs_between(from, to);
    }

    void add_rail(Place first, Place last) {
        const bool hooks = first->unit.hanging == Hanging::hook_brackets;
        const auto drawn = site_.line(hooks ? line_id::hooks : line_id::rail);
        const auto top = site_.line(line_id::wall_top);
        const Length z = drawn && top && first->top() == *top
                             ? *drawn
                             : first->top() - (hooks ? site_.rules().hook_drop : site_.rules().rail_drop);
        const Length from = first->place.left;
        const Length to = right_of(last);
        pieces_.push_back({What::suspension_rail,
                           from,
                           to,
                           z,
                           {},
                           cut_from_stock(to - from, site_.rules().rail_stock),
                           fixings_between(from, to, site_.rules().rail_masonry)});
    }

    void add_ledger(Place first, Place last) {
        const Length from = first->place.left;
        const Length to = right_of(last);
        pieces_.push_back({What::ledger, from, to, first->bottom, {}, {to - from}, fixings_between(from, to, 600_mm)});
    }

    const std::vector<StandingUnit>& units_;
    const RunSite& site_;
    std::vector<RunPiece> pieces_;
};

} // namespace

std::vector<StandingUnit> standing_units(const Run& run, const RunLayout& layout, const RunSite& site) {
    std::vector<StandingUnit> units;
    for (std::size_t i = 0; i < run.units.size(); ++i) {
        const CabinetUnit& unit = run.units[i];
        const StandsOn on = stands_on(unit, run.level);
        const Length line = site.line(on.line).value_or(on.by_top ? unit.height : Length{});
        units.push_back({unit, run.level, layout.units[i], on.by_top ? line - unit.height : line});
    }
    return units;
}

std::vector<RunPiece> pieces_of(const std::vector<StandingUnit>& units, const RunSite& site) {
    return Pieces{units, site}.cut();
}

std::vector<Length> cut_from_stock(Length length, Length stock) {
    std::vector<Length> cuts;
    for (Length rest = length; rest > Length{}; rest -= cuts.back())
        cuts.push_back(std::min(rest, stock));
    if (cuts.size() >= 2 && cuts.back() < shortest_rail && stock >= 2 * shortest_rail) {
        cuts[cuts.size() - 2] -= shortest_rail - cuts.back();
        cuts.back() = shortest_rail;
    }
    return cuts;
}

RailHold hold_of_rail(const RunPiece& rail, const std::vector<StandingUnit>& units, const std::vector<UnitPlan>& plans,
                      const RunSite& site) {
    // Each fixing carries what hangs nearer to it than to its neighbours; as a line load that is the widest such
    // stretch. Where much of the rail lies beyond its last fixing, that one carries by levers, which is more. Each unit
    // pulls about its own foot.
    double kg = 0;
    double moment_x = 0;
    double moment_n = 0; // N m over the whole rail, divided by each unit's own lever
    for (std::size_t i = 0; i < units.size(); ++i) {
        if (units[i].place.left < rail.from || units[i].place.right() > rail.to || !is_cabinet(units[i].unit))
            continue;
        const double weight = plans[i].loaded_kg * standard_gravity;
        const double lever = (rail.z - units[i].bottom).in_metres();
        const double doors =
            units[i].unit.doors_kg * standard_gravity * (units[i].unit.depth / 2 + units[i].unit.width / 2).in_metres();
        kg += plans[i].loaded_kg;
        moment_x += plans[i].loaded_kg * (units[i].place.left + units[i].place.width / 2).in_metres();
        moment_n += lever > 0 ? (weight * units[i].unit.depth.in_metres() / 2 + doors) / lever
                              : std::numeric_limits<double>::infinity();
    }
    if (rail.fixings.size() < 2)
        return {std::nullopt, std::numeric_limits<double>::infinity()};
    Length widest;
    for (std::size_t i = 0; i < rail.fixings.size(); ++i) {
        const Length left = i == 0 ? rail.from : (rail.fixings[i - 1] + rail.fixings[i]) / 2;
        const Length right = i + 1 == rail.fixings.size() ? rail.to : (rail.fixings[i] + rail.fixings[i + 1]) / 2;
        widest = std::max(widest, right - left);
    }
    std::vector<double> places;
    for (const Length fixing : rail.fixings)
        places.push_back(fixing.in_metres());
    const double share = std::max(widest.in_metres() / (rail.to - rail.from).in_metres(),
                                  kg > 0 ? greatest_share(places, moment_x / kg) : 0.0);
    const DrivenThrough through{rail_steel, steel_sheet_bearing_psi, rail_hole};
    RailHold hold{std::nullopt, std::numeric_limits<double>::infinity()};
    for (const std::size_t screws : {1, 2}) {
        const double each = share / static_cast<double>(screws);
        const std::vector<HoleDemand> demands{{moment_n * each, kg * standard_gravity * each, duration_stored}};
        const auto choice = choose_fixing(site.wall.catalogue, site.wall.rules, site.wall.wall,
                                          site.wall.masonry() ? Hold::masonry : Hold::proved_stud, through, demands);
        if (!choice)
            break;
        hold = {choice->fixing, choice->utilisation, screws};
        if (choice->utilisation <= 1)
            break;
    }
    return hold;
}

} // namespace yes_square
