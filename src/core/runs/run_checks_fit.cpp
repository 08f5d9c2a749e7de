#include "core/job/field_visits.hpp"
#include "core/runs/level_units.hpp"
#include "core/runs/run_checks.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/site_checks.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

class FitChecker : RunChecker {
public:
    FitChecker(const DraftRun& draft, RunPlan& plan)
        : RunChecker{draft, plan}
        , rules_{draft.site.rules()} {}

    void check() {
        for (std::size_t i = 0; i < draft_.units.size(); ++i) {
            legs(i);
            opening(i);
            filler(i);
            tilt(i);
            hob(i);
            panels(i);
        }
        worktops();
        scribes();
        doors(true);
        doors(false);
    }

private:
    /// Holes in its back and sides: within them, and clear of what the unit hangs by.
    void panels(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const CabinetUnit& unit = standing.unit;
        for (const PanelCutOut& cut : unit.cut_outs) {
            const bool back = cut.panel == UnitPanel::back;
            const Length wide = back ? unit.width : unit.depth;
            const Length beyond = std::max(cut.far() - wide, cut.bottom() - unit.height);
            const Length x = standing.place.left + (back ? cut.across : Length{});
            if (beyond > Length{})
                advise(add(checks::panel_cut_off,
                           {"{0}: the hole for {1} reaches {2} beyond its {3}",
                            {unit.name, cut.name, quantity(beyond), enum_words(cut.panel)}},
                           quantity(beyond), x, standing.top() - cut.down),
                       {"Measure it anew from the unit's edges"});
            if (!back || standing.on_rail() || standing.on_plates())
                continue;
            const bool holds_it = standing.level == RunLevel::wall || standing.tall();
            for (const HangingRail& rail : rails_of(unit, site_.rules())) {
                const Length top = rail.down - rail.breadth / 2;
                if (cut.down >= top + rail.breadth || cut.bottom() <= top)
                    continue;
                Check& through =
                    add(checks::panel_cut_rail, holds_it ? Severity::error : Severity::warning,
                        {"{0}: the hole for {1} cuts into a rail it is screwed by, {2} to {3} below its top",
                         {unit.name, cut.name, quantity(top), quantity(top + rail.breadth)}},
                        std::nullopt, x, standing.top() - cut.down);
                if (standing.level == RunLevel::wall)
                    advise(through, {"Hang the run on a suspension rail"},
                           SetHanging{draft_.run.id, Hanging::suspension_rail});
                advise(through,
                       {"Have the duct or the socket moved clear of the rail, or screw a new rail beside the hole"});
            }
        }
    }

    void legs(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const auto& feet = plan_.units[i].feet;
        if (feet.empty())
            return;
        const auto longest = std::ranges::max_element(feet, {}, &Foot::height);
        const auto shortest = std::ranges::min_element(feet, {}, &Foot::height);
        const bool on_legs = standing.bottom > Length{};
        const Length most = on_legs ? rules_.leg_most : rules_.shim_most;
        if (longest->height > most)
            advise(add(checks::legs_run_out, Severity::warning,
                       {on_legs ? std::string_view{"{0} stands {1} above the floor at {2}; its legs reach {3}"}
                                : "{0} wants {1} of packing at {2}; shims make up {3}",
                        {standing.unit.name, quantity(longest->height), site_.wall.along(longest->x), quantity(most)}},
                       quantity(longest->height - most), longest->x, Length{}),
                   {"Rip a packer strip: {0} at {1}, {2} at {3}, level it and stand the unit on it",
                    {quantity(feet.front().packer), site_.wall.along(feet.front().x), quantity(feet.back().packer),
                     site_.wall.along(feet.back().x)}});
        if (on_legs && shortest->height < rules_.leg_least) {
            Check& low = add(checks::legs_run_out, Severity::error,
                             {"{0} leaves {1} for its legs at {2}; the shortest leg is {3}",
                              {standing.unit.name, quantity(shortest->height), site_.wall.along(shortest->x),
                               quantity(rules_.leg_least)}},
                             quantity(rules_.leg_least - shortest->height), shortest->x, Length{});
            advise(low, {"Pull the plinth line up to {0}",
                         {quantity(standing.bottom + rules_.leg_least - shortest->height)}});
        }
    }

    void opening(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        const auto& unit = standing.unit;
        if (!unit.gap_front || !unit.gap_back)
            return;
        const Length differ = absolute(*unit.gap_front - *unit.gap_back);
        if (differ <= rules_.opening_parallel)
            return;
        advise(add(checks::opening_not_parallel,
                   {"The opening for {0} is {1} wide in front and {2} at the back",
                    {unit.name, quantity(*unit.gap_front), quantity(*unit.gap_back)}},
                   quantity(differ), standing.place.left, standing.top()),
               {*unit.gap_back < *unit.gap_front
                    ? std::string_view{"Shim {0} between unit and neighbour at the back, where it is narrow"}
                    : "Shim {0} between unit and neighbour in front, where it is narrow",
                {quantity(differ)}});
    }

    void filler(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        if (standing.unit.kind != UnitKind::filler)
            return;
        const Length width = standing.place.width;
        const Length low = least_of(standing.unit);
        const Length high = most_of(standing.unit);
        if (width >= low && width <= high)
            return;
        advise(add(checks::filler_out_of_range, Severity::warning,
                   {width < low ? std::string_view{"{0} would be {1} wide, {3} less than its least of {2}"}
                                : "{0} would be {1} wide, {3} more than its most of {2}",
                    {standing.unit.name, quantity(width), quantity(width < low ? low : high),
                     quantity(width < low ? low - width : width - high)}},
                   quantity(width < low ? low - width : width - high), standing.place.left, standing.top()),
               {width < low ? std::string_view{"Take a narrower unit, or give its fillers less"}
                            : "A second filler, or a wider unit, takes up the rest"});
    }

    void tilt(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        if (!standing.tall())
            return;
        // Tilted up on its back edge, a box is as high as its diagonal; legs are on it and count.
        const double height = standing.top().in_metres();
        const Length diagonal = Length::nearest_to_metres(std::hypot(height, standing.unit.depth.in_metres()));
        const Length ceiling =
            std::min(site_.wall.wall.height,
                     lowest_between(site_.wall.survey.floor.ceiling, standing.place.left, standing.place.right())
                         .value_or(site_.wall.wall.height));
        const Length room = ceiling - rules_.tilt_clear;
        if (diagonal <= room)
            return;
        const Length bare =
            Length::nearest_to_metres(std::hypot(standing.unit.height.in_metres(), standing.unit.depth.in_metres()));
        Check& tight = add(checks::unit_cannot_tilt,
                           {"{0} cannot be tilted upright: its diagonal is {1}, under the ceiling there is {2}, its "
                            "clearance of {3} included",
                            {standing.unit.name, quantity(diagonal), quantity(ceiling), quantity(rules_.tilt_clear)}},
                           quantity(diagonal - room), standing.place.left, ceiling);
        if (bare <= room)
            advise(tight, {"Tilt it up without its legs, {0}, and lift it onto them", {quantity(bare)}});
        advise(tight, {"Build it standing, or carry it in upright"});
    }

    /// Over a hob: a hood nearer than its maker's figure or the house's, or anything else that hangs there.
    void hob(std::size_t i) {
        const StandingUnit& standing = draft_.units[i];
        if (standing.level != RunLevel::wall || !is_cabinet(standing.unit))
            return;
        const auto worktop = site_.line(line_id::worktop);
        if (!worktop)
            return;
        const auto& appliance = standing.unit.appliance;
        const bool hood = appliance && appliance->kind == ApplianceKind::hood;
        const bool stated = hood && appliance->clearance > Length{};
        const Length wanted = stated ? appliance->clearance : rules_.hood_over_hob;
        const Wall& wall = site_.wall.wall;
        for (std::size_t r = 0; r < wall.runs.size(); ++r)
            for (std::size_t k = 0; k < wall.runs[r].units.size(); ++k) {
                const CabinetUnit& below = wall.runs[r].units[k];
                const PlacedUnit& place = site_.layouts[r].units[k];
                const bool is_hob = wall.runs[r].level == RunLevel::floor && below.appliance &&
                                    below.appliance->kind == ApplianceKind::hob;
                if (!is_hob || place.left >= standing.place.right() || standing.place.left >= place.right())
                    continue;
                const Length gap = standing.bottom - *worktop;
                if (gap >= wanted)
                    continue;
                Check& near = add(checks::hood_near_hob,
                                  {stated ? std::string_view{"{0} hangs {1} over the hob; its maker wants {2}"}
                                          : "{0} hangs {1} over the hob; {2} is kept where no maker and no local code "
                                            "says more",
                                   {standing.unit.name, quantity(gap), quantity(wanted)}},
                                  quantity(wanted - gap), standing.place.left, standing.bottom);
                advise(near, hood ? Sentence{"Raise the hood's line by {0}", {quantity(wanted - gap)}}
                                  : Sentence{"Leave it out over the hob, or move the hob"});
            }
    }

    /// What is cut out of its worktops, and what would be where there is none.
    void worktops() {
        std::size_t cut = 0;
        for (const RunPiece& piece : plan_.pieces) {
            if (piece.what != RunPiece::What::worktop)
                continue;
            cut += piece.cut_outs.size();
            joints_at_cut_outs(piece);
            check_cut_outs(piece.cut_outs, piece.to - piece.from, piece.breadth, site_.wall.rules, piece.from, piece.z,
                           plan_.checks);
        }
        if (cut < draft_.run.cut_outs.size())
            add(checks::cut_out_off_board,
                {"{0} of {1} cut-outs lie over no worktop of this run: they are told from its left end",
                 {count(draft_.run.cut_outs.size() - cut), count(draft_.run.cut_outs.size())}},
                std::nullopt, std::nullopt, std::nullopt);
    }

    /// A joint beside a sink or a hob opens in water and heat.
    void joints_at_cut_outs(const RunPiece& piece) {
        const Length clear = rules_.joint_clear;
        for (const Length joint : piece.joints)
            for (const CutOut& cut : piece.cut_outs) {
                const Length from = piece.from + cut.across;
                const Length off = std::max({Length{}, from - joint, joint - piece.from - cut.right()});
                if (off < clear)
                    advise(add(checks::joint_at_cut_out,
                               {"The worktop's joint at {0} lies {1} from {2}: {3} or more is wanted",
                                {site_.wall.along(joint), quantity(off), cut.name, quantity(clear)}},
                               quantity(clear - off), joint, piece.z),
                           {"Move what is cut out, or have a longer worktop"});
            }
    }

    void scribes() {
        for (const Scribe& scribe : plan_.scribes) {
            const Length stock_left = draft_.run.units[scribe.number].scribe;
            const Length swing = scribe.most() - scribe.least();
            if (swing > stock_left && swing > 1_mm)
                advise(add(checks::filler_out_of_range, Severity::note,
                           {"{0} must follow the wall by {1}; it has {2} of stock to be shaped",
                            {scribe.unit, quantity(swing), quantity(stock_left)}},
                           quantity(swing - stock_left), std::nullopt, std::nullopt),
                       {"Order it {0} wider and cut it by its table", {quantity(swing)}});
        }
    }

    /// A door or drawer beside a wall that stands out, or beside the front of the next wall's run.
    void doors(bool at_start) {
        const RunEnd& end = at_start ? draft_.run.start : draft_.run.end;
        const Wall& wall = site_.wall.wall;
        const bool corner =
            end.at == EndKind::wall_end && (at_start ? wall.left_end : wall.right_end) == WallEnd::corner;
        const bool other_run =
            end.at == EndKind::run && std::ranges::find(wall.runs, end.run, &Run::id) == wall.runs.end();
        const auto boundary = at_start ? std::optional{plan_.layout.from} : plan_.layout.to;
        if ((!corner && !other_run) || !boundary || draft_.units.empty() || (!at_start && draft_.run.open_end))
            return;
        const auto has_door = [](const StandingUnit& s) { return s.unit.hinge != DoorHinge::none; };
        const StandingUnit* nearest = nullptr;
        for (std::size_t i = 0; i < draft_.units.size() && !nearest; ++i) {
            const StandingUnit& s = draft_.units[at_start ? i : draft_.units.size() - 1 - i];
            if (has_door(s))
                nearest = &s;
            else if (is_cabinet(s.unit))
                return; // a corner unit or open shelf stands between
        }
        if (!nearest)
            return;
        const DoorHinge hinge = nearest->unit.hinge;
        const bool swings_here = hinge == DoorHinge::both || hinge == DoorHinge::drawers ||
                                 hinge == (at_start ? DoorHinge::left : DoorHinge::right);
        // What is kept clear at the end lies before the boundary of the run.
        const Length free =
            end.clear + (at_start ? nearest->place.left - *boundary : *boundary - nearest->place.right());
        if (!swings_here || free >= rules_.corner_clear || nearest->unit.kind == UnitKind::corner_blind)
            return;
        Check& meets = add(checks::door_meets_wall,
                           {hinge == DoorHinge::drawers
                                ? std::string_view{"The drawers of {0} stand {1} from the corner; handles want {2}"}
                                : "A door of {0}, hinged {1} from the corner, cannot open past square; it wants {2}",
                            {nearest->unit.name, quantity(free), quantity(rules_.corner_clear)}},
                           quantity(rules_.corner_clear - free), nearest->place.left, nearest->top());
        if (hinge == DoorHinge::left || hinge == DoorHinge::right)
            advise(meets, {"Hang the door on its other side"},
                   SetHinge{nearest->unit.id, hinge == DoorHinge::left ? DoorHinge::right : DoorHinge::left});
        advise(meets, {"A filler of {0} in the corner", {quantity(rules_.corner_clear - free)}});
    }

    const RunRules& rules_;
};

} // namespace

void check_fit(const DraftRun& draft, RunPlan& plan) {
    FitChecker{draft, plan}.check();
}

} // namespace yes_square
