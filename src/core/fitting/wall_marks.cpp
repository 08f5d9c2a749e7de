#include "core/fitting/wall_marks.hpp"

#include "core/fixings/drilling.hpp"
#include "core/site/plan_hole.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

/// From the reference end, in stretches of a reach: within one from top to bottom, so that a fitter stands still.
void sort_for_walking(std::vector<WallMark>& marks, const Tape& tape, Length reach) {
    const auto at = [&](const WallMark& mark) { return tape.reads(tape.near(mark.x, std::max(mark.x, mark.to_x))); };
    std::ranges::stable_sort(marks, {}, at);
    for (auto from = marks.begin(); from != marks.end();) {
        const Length limit = at(*from) + reach;
        const auto to = std::find_if(from, marks.end(), [&](const WallMark& mark) { return at(mark) > limit; });
        std::stable_sort(
            from, to, [&](const WallMark& a, const WallMark& b) { return at(a) != at(b) ? at(a) < at(b) : a.z > b.z; });
        from = to;
    }
}

} // namespace

std::string WallMark::key() const {
    const auto micrometres = [](Length length) { return length.in_steps_of(Length::micrometres(1)); };
    return fmt::format("{}@{},{}", item, micrometres(x), micrometres(z));
}

std::vector<WallMark> marks_of(const WallPlan& plan) {
    std::vector<WallMark> marks;
    for_each_thing(plan, [&](const ThingPlan& thing) {
        for (const PlannedLine& line : thing.lines) {
            WallMark& mark = marks.emplace_back();
            mark.kind = line.plumb ? MarkKind::plumb_line : MarkKind::level_line;
            mark.item = thing.id;
            mark.what = line.what;
            mark.x = line.x;
            mark.z = line.z;
            mark.to_x = line.to_x;
            mark.tape = thing.tape;
            mark.above_now = plan.survey.floor.above_floor_now(line.x, line.z);
        }
        for (const PlannedHole& hole : thing.holes)
            marks.push_back({hole, MarkKind::hole, {}, thing.tape});
    });
    return marks;
}

std::vector<WallPass> walk_wall(const WallPlan& plan, const FitRules& rules) {
    WallPass lines;
    WallPass pencil;
    std::vector<WallPass> drilling;
    for (const WallMark& mark : marks_of(plan)) {
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
        sort_for_walking(pass.marks, plan.tape, rules.reach);
        walk.push_back(std::move(pass));
    };
    add(std::move(lines));
    add(std::move(pencil));
    for (WallPass& pass : drilling)
        add(std::move(pass));
    return walk;
}

Sentence words(const WallPass& pass) {
    if (!pass.drill)
        return {pass.marks.front().kind == MarkKind::hole ? std::string_view{"Mark"} : "Lines"};
    return {pass.drill->hammer ? std::string_view{"Drill {0}, {1}, tape at {2}, hammer on"}
                               : "Drill {0}, {1}, tape at {2}",
            {stock(pass.drill->diameter), pass.drill->bit, stock(pass.drill->depth)}};
}

std::string tick_key(const WallMark& mark, const WallPass& pass) {
    if (!pass.drill)
        return mark.key() + (mark.kind == MarkKind::hole ? "/mark" : "/line");
    // The lining's own pass may have the bit of the hole itself.
    return fmt::format("{}/drill {} {}{}", mark.key(), pass.drill->bit,
                       pass.drill->diameter.in_steps_of(Length::micrometres(1)),
                       pass.drill->stage == DrillStage::lining ? " lining" : "");
}

std::vector<Check> left_over_holes(const Wall& wall, const WallPlan& plan, const FitRules& rules) {
    std::vector<Check> checks;
    if (wall.made.empty())
        return checks;
    const std::vector<WallMark> marks = marks_of(plan);
    for (const MadeHole& made : wall.made) {
        const bool wanted = std::ranges::any_of(marks, [&](const WallMark& mark) {
            return mark.kind == MarkKind::hole && absolute(mark.x - made.x) <= rules.same_hole &&
                   absolute(mark.z - made.z) <= rules.same_hole;
        });
        if (wanted)
            continue;
        Check& check = checks.emplace_back(Check{
            checks::hole_left_over,
            Severity::warning,
            {"A hole at {0}, {1} up is in the wall and nothing uses it", {along(wall, made.x), quantity(made.z)}}});
        check.x = made.x;
        check.z = made.z;
        check.cures.push_back({{"Fill it, or put back what it was made for"}, ForgetHole{wall.id, made.x, made.z}});
    }
    return checks;
}

} // namespace yes_square
