#include "core/runs/run_pieces.hpp"

#include "core/site/cut_outs.hpp"
#include "core/site/plan_hole.hpp"

#include "core/fixings/choose_each.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/runs/level_units.hpp"

#include <algorithm>
#include <array>
#include <functional>
#include <limits>

namespace yes_square {
namespace {

constexpr Length rail_end = 50_mm; ///< of its outer fixings from its ends

using What = RunPiece::What;

bool under_worktop(const StandingUnit& standing) {
    const CabinetUnit& unit = standing.unit;
    if (standing.tall())
        return false;
    return unit.kind != UnitKind::appliance_gap ||
           (unit.appliance && unit.appliance->kind == ApplianceKind::undercounter);
}

/// Where what a unit hangs on is: on its line where the unit's top is on the one of wall units, else so much below its
/// top.
Length hung_from(const StandingUnit& standing, const char* line, Length drop, const RunSite& site) {
    const auto drawn = site.line(line);
    const auto top = site.line(line_id::wall_top);
    return drawn && top && standing.top() == *top ? *drawn : standing.top() - drop;
}

bool has_plinth(const StandingUnit& standing) {
    return standing.unit.kind != UnitKind::end_panel && (standing.tall() || under_worktop(standing));
}

class Pieces {
public:
    Pieces(const Run& run, const std::vector<StandingUnit>& units, const RunSite& site)
        : run_{run}
        , units_{units}
        , site_{site} {}

    std::vector<RunPiece> cut() {
        if (units_.empty())
            return {};
        if (units_.front().level == RunLevel::floor) {
            if (const auto worktop = site_.line(line_id::worktop))
                sections([&](const StandingUnit& s) { return under_worktop(s) && s.top() <= *worktop; }, any_height,
                         [&](auto first, auto last) { add_worktop(*worktop, first, last); });
            sections(has_plinth, any_height, [&](auto first, auto last) { add_plinth(first, last); });
            if (run_.channel > Length{})
                sections([](const StandingUnit& s) { return is_cabinet(s.unit) && !s.tall(); },
                         std::mem_fn(&StandingUnit::top), [&](auto first, auto last) { add_channel(first, last); });
        }
        if (site_.wall.open_floor()) // there is no wall for a rail or a ledger
            return std::move(pieces_);
        sections(std::mem_fn(&StandingUnit::on_rail), std::mem_fn(&StandingUnit::top),
                 [&](auto first, auto last) { add_rail(first, last); });
        if (units_.front().level == RunLevel::floor)
            return std::move(pieces_);
        sections([](const StandingUnit& s) { return is_cabinet(s.unit) && s.unit.hanging == Hanging::screws; },
                 std::mem_fn(&StandingUnit::bottom), [&](auto first, auto last) { add_ledger(first, last); });
        return std::move(pieces_);
    }

private:
    using Place = std::vector<StandingUnit>::const_iterator;

    static Length any_height(const StandingUnit&) { return {}; }

    /// Stretches of units side by side that share something and stand alike by `height`; `last` is beyond the stretch.
    void sections(const std::function<bool(const StandingUnit&)>& shares,
                  const std::function<Length(const StandingUnit&)>& height,
                  const std::function<void(Place, Place)>& add) const {
        for (Place first = units_.begin(); first != units_.end();) {
            first = std::find_if(first, units_.end(), shares);
            Place last = first;
            while (last != units_.end() && shares(*last) && height(*last) == height(*first))
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
        RunPiece& worktop = pieces_.emplace_back();
        worktop.what = What::worktop;
        worktop.from = from;
        worktop.to = right_of(last);
        worktop.z = z;
        worktop.breadth = deepest(first, last) + site_.rules().worktop_overhang;
        worktop.mass =
            site_.rules().worktop_density * (worktop.to - from) * worktop.breadth * site_.rules().worktop_thick;
        const auto units = std::count_if(first, last, [](const StandingUnit& s) { return is_cabinet(s.unit); });
        const Length begins = units_.front().place.left;
        worktop.cut_outs = cut_outs_between(run_.cut_outs, from - begins, worktop.to - begins);
        for (CutOut& cut : worktop.cut_outs)
            cut.across -= from - begins;
        worktop.screws = static_cast<std::size_t>(units * site_.rules().worktop_screws);
        cut_worktop(worktop, first, last);
    }

    /// The longest worktop to be had.
    Length worktop_stock() const {
        Length longest;
        for (const Stock& stock : site_.wall.catalogue.stock)
            if (stock.kind == StuffKind::worktop && (stock.to_buy || stock.on_hand > 0))
                longest = std::max(longest, stock.length);
        return longest > Length{} ? longest : site_.rules().worktop_stock;
    }

    /// Lengths as long as can be had, jointed over the sides of units, clear of what is cut out of it; where no side
    /// will do as near it as can be.
    void cut_worktop(RunPiece& worktop, Place first, Place last) const {
        const Length longest = worktop_stock();
        const Length clear = site_.rules().joint_clear;
        const auto clear_of_cut_outs = [&](Length x) {
            return std::ranges::none_of(worktop.cut_outs, [&](const CutOut& cut) {
                return x > worktop.from + cut.across - clear && x < worktop.from + cut.right() + clear;
            });
        };
        Length begun = worktop.from;
        while (worktop.to - begun > longest) {
            Length joint;
            for (Place unit = first; unit != last; ++unit)
                if (const Length side = unit->place.right();
                    side > begun && side - begun <= longest && side < worktop.to && clear_of_cut_outs(side))
                    joint = std::max(joint, side);
            if (joint <= begun)
                joint = begun + longest;
            worktop.cuts.push_back(joint - begun);
            worktop.joints.push_back(joint);
            begun = joint;
        }
        worktop.cuts.push_back(worktop.to - begun);
        // In a corner it meets the worktop of the run that this one begins or ends in front of.
        const auto meets = [&](const RunEnd& end) {
            return end.at == EndKind::run && !end.run.empty() &&
                   std::ranges::none_of(site_.wall.wall.runs, [&](const Run& run) { return run.id == end.run; });
        };
        if (meets(run_.start) && first == units_.begin())
            worktop.joints.insert(worktop.joints.begin(), worktop.from);
        if (meets(run_.end) && !run_.open_end && last == units_.end())
            worktop.joints.push_back(worktop.to);
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

    void add_channel(Place first, Place last) {
        const Length from = first->place.left;
        const Length to = right_of(last);
        pieces_.push_back({What::channel,
                           from,
                           to,
                           first->top(),
                           run_.channel,
                           cut_from_stock(to - from, site_.rules().channel_stock, site_.rules().shortest_rail),
                           {}});
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
        const SuspensionRail& rail = run_.rail;
        const Length z = rail.drop > Length{} ? first->top() - rail.drop
                                              : hung_from(*first, line_id::rail, site_.rules().rail_drop, site_);
        const Length from = first->place.left;
        const Length to = right_of(last);
        pieces_.push_back({What::suspension_rail,
                           from,
                           to,
                           z,
                           {},
                           cut_from_stock(to - from, rail.stock > Length{} ? rail.stock : site_.rules().rail_stock,
                                          site_.rules().shortest_rail),
                           round_pins(fixings_between(from, to, site_.rules().rail_masonry), from, to)});
    }

    /// The places that the fitter pinned on this rail, where something holds there, and those that the program found as
    /// far as they are no other than these.
    std::vector<Length> round_pins(std::vector<Length> found, Length from, Length to) const {
        std::vector<Length> pinned;
        for (const Length pin : site_.wall.apart(run_.rail_pins)) {
            const Length x = units_.front().place.left + pin;
            if (x >= from && x <= to && site_.rail_holds(x))
                pinned.push_back(x);
        }
        std::erase_if(found, [&](Length x) {
            return std::ranges::any_of(pinned, [&](Length pin) { return absolute(pin - x) <= site_.wall.pin_room(); });
        });
        found.insert(found.end(), pinned.begin(), pinned.end());
        std::ranges::sort(found);
        return found;
    }

    void add_ledger(Place first, Place last) {
        const Length from = first->place.left;
        const Length to = right_of(last);
        pieces_.push_back({What::ledger, from, to, first->bottom, {}, {to - from}, fixings_between(from, to, 600_mm)});
    }

    const Run& run_;
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
        StandingUnit& standing =
            units.emplace_back(StandingUnit{unit, run.level, layout.units[i], on.by_top ? line - unit.height : line});
        standing.hooks_at = unit.hook_plate.down > Length{}
                                ? standing.top() - unit.hook_plate.down
                                : hung_from(standing, line_id::hooks, site.rules().hook_drop, site);
    }
    return units;
}

std::vector<RunPiece> pieces_of(const Run& run, const std::vector<StandingUnit>& units, const RunSite& site) {
    return Pieces{run, units, site}.cut();
}

std::vector<Length> cut_from_stock(Length length, Length stock, Length shortest) {
    std::vector<Length> cuts;
    for (Length rest = length; rest > Length{}; rest -= cuts.back())
        cuts.push_back(std::min(rest, stock));
    if (cuts.size() >= 2 && cuts.back() < shortest && stock >= 2 * shortest) {
        cuts[cuts.size() - 2] -= shortest - cuts.back();
        cuts.back() = shortest;
    }
    return cuts;
}

namespace {

constexpr Stiffness rail_stiffness =
    Stiffness::newton_square_metres(1); ///< reactions do not depend on it where it is the same all along

/// A unit on the rail: the loads of its two hooks, in each case that it may be in.
using HookCases = std::vector<std::vector<PointLoad>>;

/// What the units put on each fixing, as one beam and as one cut over every fixing, each unit in the case that is worst
/// there or not there at all.
std::vector<Force> rail_reactions(double length, const std::vector<double>& fixings,
                                  const std::vector<HookCases>& units) {
    Beam beam{length, fixings, rail_stiffness};
    std::vector<Force> worst(fixings.size());
    const auto note = [&] {
        std::vector<Force> total(fixings.size());
        for (const HookCases& cases : units) {
            std::vector<Force> most(fixings.size());
            for (const std::vector<PointLoad>& hooks : cases) {
                BeamLoad load;
                load.goods.points = hooks;
                const BeamResult result = analyse(beam, load, 0);
                for (std::size_t i = 0; i < most.size(); ++i)
                    most[i] = std::max(most[i], result.reactions[i].all_loaded);
            }
            for (std::size_t i = 0; i < total.size(); ++i)
                total[i] += most[i];
        }
        for (std::size_t i = 0; i < worst.size(); ++i)
            worst[i] = std::max(worst[i], total[i]);
    };
    note();
    for (std::size_t i = 1; i + 1 < fixings.size(); ++i)
        beam.joints.push_back(i);
    note();
    return worst;
}

} // namespace

namespace {

/// The places of a rail's fixings, in studs or masonry, before anything is chosen for them.
std::vector<PlannedHole> places_of_rail(const RunPiece& rail, const std::string& run, const WallSite& site) {
    std::vector<PlannedHole> places;
    for (const Length x : rail.fixings) {
        PlannedHole& hole = places.emplace_back();
        hole.place = places.size() - 1;
        hole.spot = {run, static_cast<int>(places.size()), 0};
        hole.x = x;
        hole.z = rail.z;
        hole.packing = site.survey.face.shim_at(x, rail.z).value_or(Length{});
        if (site.masonry())
            hole.substrate = Substrate::masonry;
        hole.stud = site.stud_round(x);
        if (hole.stud)
            hole.substrate = substrate_of(site.survey.studs[*hole.stud].state);
    }
    return places;
}

} // namespace

RailHold hold_of_rail(const RunPiece& rail, const Run& run, const std::vector<StandingUnit>& units,
                      const std::vector<UnitPlan>& plans, const RunSite& site) {
    RailHold hold;
    hold.places = places_of_rail(rail, run.id, site.wall);
    if (rail.fixings.size() < 2)
        return hold;
    std::vector<HookCases> weights;
    std::vector<HookCases> pulls;
    bool turns = false;
    for (std::size_t i = 0; i < units.size(); ++i) {
        const StandingUnit& standing = units[i];
        if (standing.place.left < rail.from || standing.place.right() > rail.to || !standing.on_rail())
            continue;
        const Force empty = weight_of(plans[i].empty_mass);
        const Force contents = weight_of(plans[i].loaded_mass) - empty;
        const Length lever = rail.z - standing.bottom;
        const Moment doors = weight_of(standing.unit.doors_mass) * (standing.unit.depth / 2 + standing.unit.width / 2);
        const Length out = standing.unit.depth / 2;
        turns |= lever <= Length{};
        const Length inset = std::min(standing.unit.side + site.rules().side_grip, standing.unit.width / 2);
        const std::array at{(standing.place.left + inset - rail.from).in_metres(),
                            (standing.place.right() - inset - rail.from).in_metres()};
        HookCases& down = weights.emplace_back();
        HookCases& pull = pulls.emplace_back();
        // Full, or its goods on one half, which that side's hook bears three quarters of.
        for (const auto& [left, right] : {std::pair{0.5, 0.5}, std::pair{0.375, 0.125}, std::pair{0.125, 0.375}}) {
            const std::array hooks{empty / 2 + contents * left, empty / 2 + contents * right};
            down.push_back({{at[0], hooks[0]}, {at[1], hooks[1]}});
            if (lever > Length{})
                pull.push_back(
                    {{at[0], (hooks[0] * out + doors / 2) / lever}, {at[1], (hooks[1] * out + doors / 2) / lever}});
        }
        for (const std::size_t side : {std::size_t{0}, std::size_t{1}})
            hold.loads.push_back({"full", (empty + contents) / 2, rail.from.in_metres() + at[side],
                                  (empty + contents) / 2 * out + doors / 2, duration_stored});
    }
    if (weights.empty())
        return hold;
    std::vector<double> places;
    for (const Length fixing : rail.fixings)
        places.push_back((fixing - rail.from).in_metres());
    const double length = (rail.to - rail.from).in_metres();
    const std::vector<Force> down = rail_reactions(length, places, weights);
    const std::vector<Force> out = rail_reactions(length, places, pulls);
    const Substrate ground = site.wall.masonry() ? Substrate::masonry : Substrate::proved_stud;
    hold.utilisation = Utilisation::refused();
    // Beside one another along the rail, as far apart as their packet wants; a stud is too narrow for that.
    const std::size_t most_screws = ground == Substrate::masonry ? 2 : 1;
    for (std::size_t screws = 1; screws <= most_screws; ++screws) {
        std::vector<SpottedPart> parts;
        for (std::size_t i = 0; i < places.size(); ++i) {
            HeldPart part{{run.rail.thickness, steel_sheet_bearing, run.rail.hole}, {}};
            const PlannedHole& place = hold.places[i];
            if (const Framing* framing = site.wall.timber(); framing && place.stud)
                part.through.to_edge =
                    to_edge_of(*framing, site.wall.survey.studs[*place.stud], place.x, site.wall.rules);
            part.through.packing = place.packing;
            const auto each = static_cast<double>(screws);
            part.demands = {{out[i] / each, down[i] / each, duration_stored, "units full, or any of them"}};
            parts.push_back({std::move(part), place.spot});
        }
        const FixedGroup fixed =
            turns ? FixedGroup{} : choose_each(site.wall.fixings(), site.wall.chosen, ground, parts);
        if (!fixed.worst)
            break;
        hold.fixing = fixed.worst->fixing;
        hold.utilisation = fixed.worst->utilisation;
        hold.screws = screws;
        for (std::size_t i = 0; i < parts.size(); ++i) {
            PlannedHole& hole = hold.places[i];
            hole.demands = parts[i].part.demands;
            hole.fixing = fixed.parts[i]->fixing;
            hole.strength = fixed.parts[i]->strength;
            hole.utilisation = utilisation_of(hole.strength, ground, hole.demands);
            hole.screws = screws;
        }
        if (hold.utilisation.within())
            break;
    }
    return hold;
}

} // namespace yes_square
