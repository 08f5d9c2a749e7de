#include "core/fitting/wall_marks.hpp"

#include "core/fixings/drilling.hpp"
#include "core/survey/strips.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr Length same_hole = 2_mm; ///< nearer than this two holes are one (house rule)

class MarkLister {
public:
    MarkLister(const Wall& wall, const WallPlan& plan)
        : wall_{wall}
        , plan_{plan} {}

    std::vector<WallMark> list() {
        for (std::size_t i = 0; i < plan_.shelves.size(); ++i)
            shelf(wall_.shelves[i], plan_.shelves[i]);
        for (const RunPlan& run : plan_.runs)
            this->run(run);
        for (const SystemPlan& system : plan_.systems)
            this->system(system);
        for (const PiecePlan& piece : plan_.pieces)
            for (std::size_t i = 0; i < piece.places.size(); ++i) {
                const RestraintPlace& place = piece.places[i];
                hole(piece.id, {"{0}: place {1} that holds it", {piece.name, count(i + 1)}}, place.x, place.z,
                     place.hold, piece.fixing);
            }
        for (const BoxPlan& box : plan_.boxes)
            holes_of(box.id, box.hang, box.name);
        for (const HungPlan& hung : plan_.hung)
            if (hung.verdict != HungVerdict::sound)
                holes_of(hung.id, hung.wanted, hung.name);
        return std::move(marks_);
    }

private:
    void add(WallMark mark) {
        mark.above_now = plan_.survey.floor.above_floor_now(mark.x, mark.z);
        marks_.push_back(std::move(mark));
    }

    /// @param through  what is screwed on, where it is wood and has to be drilled too
    /// @param drilled  how wide the hole is where no fixing says more
    void hole(const std::string& item, Sentence what, Length x, Length z, Hold hold,
              const std::optional<Fixing>& fixing, Length through = {}, Length drilled = {}, std::size_t screws = 1) {
        WallMark mark{MarkKind::hole, item, std::move(what), x, z, {}, {}, hold, fixing};
        const Length wide =
            std::max({drilled, fixing ? fixing->hole_diameter : Length{}, fixing ? fixing->clearance : Length{}});
        mark.in_strip = strip_at(plan_.survey.strips, x, z, wide / 2);
        mark.screws = screws;
        if (fixing && carries(hold))
            mark.passes = drill_passes(wall_, *fixing, through, mark.in_strip);
        mark.made = std::ranges::any_of(wall_.made, [&](const MadeHole& made) {
            return made.item == item && absolute(made.x - x) <= same_hole && absolute(made.z - z) <= same_hole;
        });
        add(std::move(mark));
    }

    void level_line(const std::string& item, Sentence what, Length from, Length to, Length z) {
        add({MarkKind::level_line, item, std::move(what), from, z, to});
    }
    void plumb_line(const std::string& item, Sentence what, Length x, Length z) {
        add({MarkKind::plumb_line, item, std::move(what), x, z});
    }

    void shelf(const Shelf& shelf, const ShelfPlan& plan) {
        if (!plan.holes.empty() || !plan.cleats.empty())
            level_line(shelf.id, {"{0}: underside of its board", {shelf.name}}, shelf.left, shelf.right(),
                       shelf.underside());
        for (const Hole& each : plan.holes) {
            const BracketPlan& place = plan.brackets[each.bracket];
            Sentence what = plan.bracket ? Sentence{"{0}: bracket {1}, hole {2}",
                                                    {shelf.name, count(each.bracket + 1), count(each.row + 1)}}
                                         : Sentence{"{0}: hole {1}", {shelf.name, count(each.bracket + 1)}};
            const auto* rail = shelf.held<HookRail>();
            const auto* cleats = shelf.held<OnCleats>();
            hole(shelf.id, std::move(what), each.x, each.z, place.hold, place.fixing,
                 rail     ? rail->board
                 : cleats ? cleats->thickness
                          : Length{},
                 2 * each.radius);
        }
    }

    void holes_of(const std::string& item, const UnitPlan& unit, const std::string& name) {
        for (std::size_t i = 0; i < unit.holes.size(); ++i) {
            const UnitHole& each = unit.holes[i];
            hole(item, {"{0}: screw {1}, rail {2} from the top", {name, count(i + 1), count(each.rail + 1)}}, each.x,
                 each.z, each.hold, carries(each.hold) ? unit.fixing : std::nullopt);
        }
    }

    void run(const RunPlan& run) {
        if (run.units.empty())
            return;
        const bool hangs = run.level == RunLevel::wall;
        const Length z = hangs ? run.units.front().bottom : run.units.front().top;
        level_line(run.id,
                   {hangs ? std::string_view{"{0}: bottoms of its units"} : "{0}: tops of its units", {run.name}},
                   run.layout.left(), run.layout.right(), z);
        plumb_line(run.id, {"{0} begins here", {run.name}}, run.layout.left(), z);
        plumb_line(run.id, {"{0} ends here", {run.name}}, run.layout.right(), z);
        for (const UnitPlan& unit : run.units)
            holes_of(unit.unit_id, unit, unit.name);
        for (const RunPiece& piece : run.pieces)
            if (piece.what == RunPiece::What::suspension_rail)
                for (std::size_t i = 0; i < piece.fixings.size(); ++i)
                    hole(run.id,
                         {"{0}: rail, fixing {1}, screws there: {2}",
                          {run.name, count(i + 1), count(piece.hold.screws)}},
                         piece.fixings[i], piece.z, hold_at(piece.fixings[i]), piece.hold.fixing, {}, {},
                         piece.hold.screws);
    }

    /// What a rail's fixing is in: it is set out on studs, or stands in masonry.
    Hold hold_at(Length x) const {
        if (std::holds_alternative<Masonry>(wall_.structure))
            return Hold::masonry;
        for (const Stud& stud : plan_.survey.studs)
            if (absolute(stud.centre - x) <= same_hole)
                return stud.state == StudState::proved      ? Hold::proved_stud
                       : stud.state == StudState::indicated ? Hold::indicated_stud
                                                            : Hold::assumed_stud;
        return Hold::lining;
    }

    void system(const SystemPlan& system) {
        if (system.panels.empty())
            return;
        plumb_line(system.id, {"{0}: outer face of P1", {system.name}}, system.panels.front().left, system.foot);
        for (const BayPlan& bay : system.bays)
            for (const BayCleat& cleat : bay.cleats)
                for (std::size_t i = 0; i < cleat.screws.size(); ++i)
                    hole(system.id, {"{0}: cleat of shelf {1}, screw {2}", {system.name, cleat.shelf, count(i + 1)}},
                         cleat.screws[i].x, cleat.z, cleat.screws[i].hold, system.fixing);
    }

    const Wall& wall_;
    const WallPlan& plan_;
    std::vector<WallMark> marks_;
};

/// From the reference end, in stretches of a reach: within one from top to bottom, so that a fitter stands still.
void sort_for_walking(std::vector<WallMark>& marks, Length reach) {
    std::ranges::stable_sort(marks, {}, &WallMark::x);
    for (auto from = marks.begin(); from != marks.end();) {
        const Length limit = from->x + reach;
        const auto to = std::find_if(from, marks.end(), [&](const WallMark& mark) { return mark.x > limit; });
        std::stable_sort(from, to,
                         [](const WallMark& a, const WallMark& b) { return a.x != b.x ? a.x < b.x : a.z > b.z; });
        from = to;
    }
}

} // namespace

std::string WallMark::key() const {
    const auto micrometres = [](Length length) { return length.in_steps_of(Length::micrometres(1)); };
    return fmt::format("{}@{},{}", item, micrometres(x), micrometres(z));
}

std::vector<WallMark> marks_of(const Wall& wall, const WallPlan& plan) {
    return MarkLister{wall, plan}.list();
}

std::vector<WallPass> walk_wall(const Wall& wall, const WallPlan& plan, const FitRules& rules) {
    WallPass lines;
    WallPass pencil;
    std::vector<WallPass> drilling;
    for (const WallMark& mark : marks_of(wall, plan)) {
        (mark.kind == MarkKind::hole ? pencil : lines).marks.push_back(mark);
        for (const DrillPass& pass : mark.passes) {
            auto same = std::ranges::find_if(drilling, [&](const WallPass& known) { return *known.drill == pass; });
            if (same == drilling.end())
                same = drilling.insert(drilling.end(), {pass, {}});
            same->marks.push_back(mark);
        }
    }
    std::ranges::stable_sort(drilling,
                             [](const WallPass& a, const WallPass& b) { return drilled_before(*a.drill, *b.drill); });
    std::vector<WallPass> walk;
    const auto add = [&](WallPass pass) {
        if (pass.marks.empty())
            return;
        sort_for_walking(pass.marks, rules.reach);
        walk.push_back(std::move(pass));
    };
    add(std::move(lines));
    add(std::move(pencil));
    for (WallPass& pass : drilling)
        add(std::move(pass));
    return walk;
}

std::string tick_key(const WallMark& mark, const WallPass& pass) {
    if (!pass.drill)
        return mark.key() + (mark.kind == MarkKind::hole ? "/mark" : "/line");
    // The lining's own pass may have the bit of the hole itself.
    return fmt::format("{}/drill {} {}{}", mark.key(), pass.drill->bit,
                       pass.drill->diameter.in_steps_of(Length::micrometres(1)),
                       pass.drill->stage == DrillStage::lining ? " lining" : "");
}

std::vector<Check> left_over_holes(const Wall& wall, const WallPlan& plan) {
    std::vector<Check> checks;
    if (wall.made.empty())
        return checks;
    const std::vector<WallMark> marks = marks_of(wall, plan);
    for (const MadeHole& made : wall.made) {
        const bool wanted = std::ranges::any_of(marks, [&](const WallMark& mark) {
            return mark.kind == MarkKind::hole && absolute(mark.x - made.x) <= same_hole &&
                   absolute(mark.z - made.z) <= same_hole;
        });
        if (wanted)
            continue;
        Check& check = checks.emplace_back(
            Check{CheckCode::hole_left_over,
                  Severity::warning,
                  {"A hole at {0}, {1} up is in the wall and nothing uses it", {quantity(made.x), quantity(made.z)}}});
        check.x = made.x;
        check.z = made.z;
        check.cures.push_back({{"Fill it, or put back what it was made for"}, ForgetHole{wall.id, made.x, made.z}});
    }
    return checks;
}

} // namespace yes_square
