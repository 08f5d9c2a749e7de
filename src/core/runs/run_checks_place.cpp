#include "core/runs/run_checks.hpp"

#include "core/site/site_checks.hpp"
#include "core/survey/floor.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length round_service = 10_mm; ///< cut free round a socket or a pipe

Length overlap(const Outline& a, const Outline& b) {
    return std::min(a.right, b.right) - std::max(a.left, b.left);
}

class PlaceChecker : RunChecker {
public:
    PlaceChecker(const DraftRun& draft, RunPlan& plan)
        : RunChecker{draft, plan}
        , wall_{draft.site.wall.wall} {}

    void check() {
        ends();
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            if (draft_.units[i].unit.kind != UnitKind::appliance_gap)
                unit(i);
    }

private:
    void ends() {
        const RunLayout& layout = plan_.layout;
        if (!layout.ends_known) {
            Check& lost = add(checks::run_end_unknown,
                              {"What this run begins or ends at is not there any more, or waits for the run itself"});
            advise(lost, {"Choose another start or end for it"});
        }
        if (layout.units.empty())
            return;
        const Length early = layout.from - layout.left();
        if (early > Length{})
            add(checks::run_overruns, {"The run begins {0} before its start", {quantity(early)}}, quantity(early),
                layout.left(), draft_.units.front().bottom);
        if (!layout.to)
            return;
        const Length over = layout.right() - *layout.to;
        if (over > Length{})
            overrun(over);
        else if (over < Length{} || layout.left() > layout.from)
            gap(std::max(Length{}, layout.left() - layout.from), -over);
    }

    void overrun(Length over) {
        const RunLayout& layout = plan_.layout;
        Check& check =
            add(checks::run_overruns,
                {"The run is {0} too long: its units come to {1}, there is room for {2}",
                 {quantity(over), quantity(layout.right() - layout.left()), quantity(*layout.to - layout.from)}},
                quantity(over), layout.right(), draft_.units.back().bottom);
        Length give;
        for (const CabinetUnit& unit : draft_.run.units)
            if (unit.kind == UnitKind::filler)
                give += unit.width - least_of(unit);
        const bool moved = layout.left() > layout.from;
        if (moved && layout.left() - layout.from >= over)
            advise(check, {"Put it {0} to the left", {quantity(over)}},
                   PlaceRun{draft_.run.id, layout.left() - over, fillers()});
        if (give >= over)
            advise(check, {"Let its fillers take it up"}, SetSlack{draft_.run.id, Slack::fillers});
        else
            // The unit whose loss brings the run back within its room with least left over.
            if (const CabinetUnit* narrowest = narrowest_over(over))
                advise(check, {"Leave out {0}, {1} wide", {narrowest->name, quantity(narrowest->width)}},
                       RemoveUnit{narrowest->id});
        advise(check, {"Take narrower units: together {0} less", {quantity(over)}});
    }

    const CabinetUnit* narrowest_over(Length over) const {
        const CabinetUnit* best = nullptr;
        for (const CabinetUnit& unit : draft_.run.units)
            if (unit.kind != UnitKind::filler && unit.width >= over && (!best || unit.width < best->width))
                best = &unit;
        return best;
    }

    std::vector<Length> fillers() const {
        std::vector<Length> widths;
        for (std::size_t i = 0; i < draft_.units.size(); ++i)
            if (draft_.units[i].unit.kind == UnitKind::filler)
                widths.push_back(draft_.units[i].place.width);
        return widths;
    }

    void gap(Length left, Length right) {
        if (left + right <= Length{})
            return;
        const bool fills = std::ranges::any_of(draft_.run.units, [](const CabinetUnit& unit) {
            return unit.kind == UnitKind::filler && most_of(unit) > unit.width;
        });
        Check& check =
            add(checks::gap_beside,
                {"Room is left over: {0} at the left and {1} at the right", {quantity(left), quantity(right)}},
                quantity(left + right), left > right ? plan_.layout.from : plan_.layout.right(),
                draft_.units.front().bottom);
        if (fills && draft_.run.slack != Slack::fillers)
            advise(check, {"Let its fillers take it up"}, SetSlack{draft_.run.id, Slack::fillers});
        else
            advise(check, {"A filler or a wider unit takes it up; else leave it open"});
    }

    void unit(std::size_t index) {
        const StandingUnit& standing = draft_.units[index];
        const Outline box = standing.box();
        const std::string& name = standing.unit.name;
        for (const Opening& opening : wall_.openings)
            if (const Outline hole = box_of(opening); box.overlaps(hole)) {
                Check& over =
                    add(checks::over_opening,
                        {opening.kind == OpeningKind::window ? std::string_view{"{0} covers the window over {1}"}
                                                             : "{0} covers the door over {1}",
                         {name, quantity(overlap(box, hole))}},
                        quantity(overlap(box, hole)), std::max(box.left, hole.left), box.top);
                advise(over, {"End the run at the opening, or take the unit out"}, RemoveUnit{standing.unit.id});
            }
        for (const Obstacle& obstacle : wall_.obstacles)
            if (const Outline kept = box_of(obstacle); box.overlaps(kept))
                advise(add(checks::over_obstacle,
                           {"{0} reaches {1} into {2} at {3}, its clearance included",
                            {name, quantity(overlap(box, kept)), words(obstacle.kind),
                             draft_.site.wall.along(obstacle.left)}},
                           quantity(overlap(box, kept)), std::max(box.left, kept.left), box.top),
                       {"Move the run {0}, or notch the unit round it", {quantity(overlap(box, kept))}});
        if (standing.level == RunLevel::wall)
            for (const ServicePoint& service : wall_.services)
                if (const Outline there = box_of(service);
                    box.overlaps(there) && !service.far_side && !cut_out_for(standing, there)) {
                    Check& over = add(checks::over_service, Severity::warning,
                                      {"{0} covers the socket, switch or pipe at {1}, {2} up",
                                       {name, draft_.site.wall.along(service.centre), quantity(service.height)}},
                                      std::nullopt, service.centre, service.height);
                    if (const auto cut = cut_round(standing, there))
                        advise(over, {"Cut its back out round it, {0} free all round", {quantity(round_service)}},
                               changed(draft_.run, [&](Run& run) { run.units[index].cut_outs.push_back(*cut); }));
                    advise(over, {"Or have it moved"});
                }
        for (const CornerThing& thing : site_.wall.survey.corner_things)
            if (const Outline there = box_of(thing, wall_); box.overlaps(there) && thing.off < standing.unit.depth)
                advise(add(checks::meets_neighbour,
                           {"In the corner {0} meets {1} of the next wall: they overlap {2} along this wall",
                            {name, thing.name, quantity(overlap(box, there))}},
                           quantity(overlap(box, there)), std::max(box.left, there.left), box.top),
                       {"Begin this run in front of the other, {0} farther from the corner",
                        {quantity(overlap(box, there))}});
        others(standing, box);
        ceiling(standing);
    }

    /// Whether the unit's back is open there already.
    static bool cut_out_for(const StandingUnit& standing, const Outline& there) {
        return std::ranges::any_of(standing.unit.cut_outs, [&](const PanelCutOut& cut) {
            const Length left = standing.place.left + cut.across;
            const Length top = standing.top() - cut.down;
            return cut.panel == UnitPanel::back && left <= there.left && left + cut.width >= there.right &&
                   top >= there.top && top - cut.height <= there.bottom;
        });
    }
    /// A hole in its back round what is there; none where that would not stay in the back.
    static std::optional<PanelCutOut> cut_round(const StandingUnit& standing, const Outline& there) {
        const PanelCutOut cut{"socket",
                              UnitPanel::back,
                              there.left - round_service - standing.place.left,
                              standing.top() - there.top - round_service,
                              there.right - there.left + 2 * round_service,
                              there.top - there.bottom + 2 * round_service};
        const CabinetUnit& unit = standing.unit;
        const bool inside =
            cut.across >= Length{} && cut.down >= Length{} && cut.far() <= unit.width && cut.bottom() <= unit.height;
        return inside ? std::optional{cut} : std::nullopt;
    }

    void others(const StandingUnit& standing, const Outline& box) {
        for (std::size_t r = 0; r < wall_.runs.size(); ++r) {
            const Run& other = wall_.runs[r];
            if (other.id == draft_.run.id)
                continue;
            for (const StandingUnit& there : standing_units(other, site_.layouts[r], site_))
                if (there.unit.kind != UnitKind::appliance_gap && box.overlaps(there.box()))
                    advise(add(checks::over_thing,
                               {"{0} runs into {1} of {2} over {3}",
                                {standing.unit.name, there.unit.name, other.name, quantity(overlap(box, there.box()))}},
                               quantity(overlap(box, there.box())), std::max(box.left, there.box().left), box.top),
                           {"Let one run begin where the other ends"});
        }
        for (const Shelf& shelf : wall_.shelves)
            if (box.overlaps(board_box(shelf)))
                advise(add(checks::over_thing,
                           {"{0} runs into {1} over {2}",
                            {standing.unit.name, shelf.name, quantity(overlap(box, board_box(shelf)))}},
                           quantity(overlap(box, board_box(shelf))), std::max(box.left, shelf.left), box.top),
                       {"Move the shelf or the run"});
    }

    void ceiling(const StandingUnit& standing) {
        const Length read = lowest_between(site_.wall.survey.floor.ceiling, standing.place.left, standing.place.right())
                                .value_or(wall_.height);
        const Length cornice = wall_.cornice_height;
        const Length highest = std::min(read, wall_.height) - cornice;
        if (standing.top() > highest)
            advise(add(checks::over_ceiling,
                       {cornice > Length{} ? std::string_view{"{0} stands {1} above the cornice's lower edge, {2} up"}
                                           : "{0} stands {1} above the ceiling, {2} up there",
                        {standing.unit.name, quantity(standing.top() - highest), quantity(highest)}},
                       quantity(standing.top() - highest), standing.place.left, highest),
                   {"Lower its line by {0}, or take a lower unit", {quantity(standing.top() - highest)}});
        if (standing.bottom < Length{})
            advise(add(checks::leaves_floor,
                       {"{0} reaches {1} under the floor", {standing.unit.name, quantity(-standing.bottom)}},
                       quantity(-standing.bottom), standing.place.left, Length{}),
                   {"Draw the lines it hangs on first"});
    }

    const Wall& wall_;
};

} // namespace

void check_places(const DraftRun& draft, RunPlan& plan) {
    PlaceChecker{draft, plan}.check();
}

} // namespace yes_square
