#include "core/steps/next_step.hpp"

#include "core/fitting/as_found.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length same_place = 1_mm;

/// Whether a wall's check is about a stud there that nobody has proved.
bool about_unproved_stud(const Check& check, const WallSurvey& survey) {
    return check.x && std::ranges::any_of(survey.studs, [&](const Stud& stud) {
               return stud.state != StudState::proved && absolute(stud.centre - *check.x) <= same_place;
           });
}

/// What to do about something that is wrong.
NextStep about(const Check& check, const std::string& owner, const std::string& item, const WallPlan* wall,
               const std::string& wall_id) {
    NextStep next{NextStep::Kind::put_right, owner, check.message, {"Show it"}, wall_id, item};
    next.x = check.x;
    if (!check.cures.empty() && !check.cures.front().edit)
        next.how = check.cures.front().words;
    if (check.code == checks::bracket_unrated) {
        next.field = "bracket-rating";
        next.button = {"Type it in"};
        next.how.reset();
        return next;
    }
    if (check.code == checks::detect_first) {
        next.kind = NextStep::Kind::detect;
        next.button = {"Enter what it reads"};
        return next;
    }
    if (wall && about_unproved_stud(check, wall->survey)) {
        next.kind = NextStep::Kind::find_stud;
        next.button = {"Find that stud"};
        return next;
    }
    const auto made = std::ranges::find_if(check.cures, [](const Cure& cure) { return cure.edit.has_value(); });
    if (made != check.cures.end()) {
        next.kind = NextStep::Kind::cure;
        next.button = made->words;
        next.edit = made->edit;
        next.how.reset();
    }
    return next;
}

const Check* error_in(const std::vector<Check>& checks) {
    const auto error = std::ranges::find(checks, Severity::error, &Check::severity);
    return error == checks.end() ? nullptr : &*error;
}

/// The gravest of a thing's checks that keeps it from being known to hold, or is an error of another kind.
const Check* worst_of(const ThingPlan& thing) {
    if (const Check* error = error_in(thing.checks))
        return error;
    if (stays_up(holds(thing)))
        return nullptr;
    const auto unknown = std::ranges::find_if(thing.checks, [](const Check& check) {
        return check.severity == Severity::warning && check.code.bears() == Bears::on_what_is_known;
    });
    return unknown == thing.checks.end() ? nullptr : &*unknown;
}

/// What is wrong on a wall: its own first, then of what hangs there.
std::optional<NextStep> wrong_on(const Wall& wall, const WallPlan& plan) {
    for (const auto* own : {&plan.survey.checks, &plan.checks})
        if (const Check* error = error_in(*own))
            return about(*error, wall.name, {}, &plan, wall.id);
    std::optional<NextStep> next;
    for_each_thing(plan, [&](const ThingPlan& thing) {
        if (next)
            return;
        if (const Check* worst = worst_of(thing))
            next = about(*worst, thing.name, thing.id, &plan, wall.id);
        else if (!stays_up(holds(thing)))
            next = NextStep{NextStep::Kind::put_right,
                            thing.name,
                            {"It is not known whether this holds"},
                            {"Show it"},
                            wall.id,
                            thing.id};
    });
    return next;
}

std::optional<NextStep> wrong_anywhere(const Job& job, const Plan& plan, const std::string& in_hand) {
    std::optional<NextStep> elsewhere;
    for (std::size_t i = 0; i < job.walls.size(); ++i) {
        const bool here = job.walls[i].id == in_hand;
        if (elsewhere && !here)
            continue;
        if (auto next = wrong_on(job.walls[i], *plan.walls[i])) {
            if (here)
                return next;
            elsewhere = std::move(next);
        }
    }
    for (std::size_t i = 0; !elsewhere && i < job.rooms.size(); ++i) {
        const Check* error = error_in(plan.rooms[i].checks);
        error = error ? error : error_in(plan.rooms[i].lines.checks);
        const auto wall = std::ranges::find(job.walls, job.rooms[i].id, &Wall::room);
        if (error)
            elsewhere =
                about(*error, job.rooms[i].name, {}, nullptr, wall == job.walls.end() ? std::string{} : wall->id);
    }
    return elsewhere;
}

std::optional<NextStep> reading_out(const Job& job, const Plan& plan) {
    for (std::size_t i = 0; i < job.walls.size(); ++i)
        for (const ReadingPlan& reading : plan.walls[i]->readings)
            if (reading.verdict == Verdict::out)
                return NextStep{NextStep::Kind::read,
                                reading.item_name,
                                {"The last reading is out: put it right, then read it again"},
                                {"Show the reading"},
                                job.walls[i].id};
    return std::nullopt;
}

bool anything_hangs(const Job& job) {
    bool any = false;
    for (const Wall& wall : job.walls)
        for_each_thing(wall, [&](const auto&) { any = true; });
    return any;
}

} // namespace

NextStep next_step(const Job& job, const Plan& plan, const NextAsked& asked) {
    if (job.walls.empty())
        return {NextStep::Kind::begin, {}, {"Say what is to be hung or made safe, and on what wall"}, {"Begin"}};
    const auto in_hand = std::ranges::find(job.walls, asked.wall, &Wall::id);
    const Wall& here = in_hand == job.walls.end() ? job.walls.front() : *in_hand;
    if (!anything_hangs(job))
        return {NextStep::Kind::hang, here.name, {"Nothing is on this wall yet"}, {"Put something on it"}, here.id};
    if (auto next = wrong_anywhere(job, plan, here.id))
        return *std::move(next);
    if (auto next = reading_out(job, plan))
        return *std::move(next);
    const JobOrder& order = asked.order();
    const auto open = std::ranges::find_if(order.tasks, [&](const Task& task) { return !is_done(job, task.key); });
    const bool begun = std::ranges::any_of(order.tasks, [&](const Task& task) { return is_done(job, task.key); });
    if (open != order.tasks.end() && !begun && !asked.printed())
        return {NextStep::Kind::print,
                {},
                {"Nothing is wrong. Print the sheets and take them to the wall"},
                {"Print the sheets"},
                here.id};
    if (open != order.tasks.end()) {
        NextStep next{NextStep::Kind::task, open->item_name, open->step.words,
                      {"Show this step"},   open->wall,      open->item};
        next.task = open->key;
        return next;
    }
    if (std::ranges::find(job.log, LogKind::signature, &LogEntry::kind) == job.log.end())
        return {NextStep::Kind::sign, {}, {"Every step is done. Have it signed over"}, {"Sign"}, here.id};
    return {NextStep::Kind::over, {}, {"This job is handed over"}, {"Print the hand-over sheets"}, here.id};
}

} // namespace yes_square
