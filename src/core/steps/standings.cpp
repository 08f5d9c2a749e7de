#include "core/steps/standings.hpp"

#include "core/cutting/cut_list.hpp"
#include "core/fitting/as_found.hpp"
#include "core/runs/place_run.hpp"
#include "core/runs/unit_library.hpp"

#include <algorithm>
#include <set>

namespace yes_square {
namespace {

/// "1 wall", "3 walls".
Sentence counted(std::size_t number, std::string_view one, std::string_view many) {
    return number == 1 ? Sentence{one} : Sentence{many, {count(number)}};
}

std::size_t errors_in(const std::vector<Check>& checks) {
    return static_cast<std::size_t>(std::ranges::count(checks, Severity::error, &Check::severity));
}

std::size_t doubts_in(const std::vector<Check>& checks) {
    return static_cast<std::size_t>(
        std::ranges::count_if(checks, [](const Check& check) { return check.severity != Severity::note; }));
}

} // namespace

/// Done when what hangs has what it needs: every stud that a screw goes into is proved, and no reading is in doubt. A
/// stud that nothing hangs on may stay as it was found.
Standing survey_standing(const Job& job, const Plan& plan) {
    if (job.walls.empty())
        return {Progress::missing, {{"no wall yet"}}};
    std::size_t studs = 0;
    std::size_t proved = 0;
    std::size_t wanted = 0; // and not proved
    std::size_t doubts = 0;
    bool anything = false;
    for (const RoomSurvey& room : plan.rooms)
        doubts += doubts_in(room.checks);
    for (const auto& wall : plan.walls) {
        const std::vector<Stud>& found = wall->survey.studs;
        studs += found.size();
        proved += static_cast<std::size_t>(std::ranges::count(found, StudState::proved, &Stud::state));
        doubts += doubts_in(wall->survey.checks);
        std::set<std::size_t> used;
        for_each_thing(*wall, [&](const ThingPlan& thing) {
            anything = true;
            for (const PlannedHole& hole : thing.holes)
                if (hole.stud && found[*hole.stud].state != StudState::proved)
                    used.insert(*hole.stud);
        });
        wanted += used.size();
    }
    std::size_t floors = 0; // that an island stands on, and nobody has said what they are
    for (std::size_t w = 0; w < job.walls.size() && w < plan.walls.size(); ++w)
        if (const auto* floor = job.walls[w].open_floor())
            floors += floor->floor == FloorBuilt::not_known &&
                      std::ranges::any_of(plan.walls[w]->runs, [](const RunPlan& run) { return !run.islands.empty(); });
    Standing standing{anything ? Progress::done : Progress::missing,
                      {counted(job.walls.size(), "1 wall", "{0} walls")}};
    if (studs > 0)
        standing.words.push_back({"{0} of {1} studs proved", {count(proved), count(studs)}});
    if (wanted > 0) {
        standing.progress = Progress::missing;
        standing.words.push_back(counted(wanted, "1 stud to prove", "{0} studs to prove"));
    }
    if (floors > 0) {
        standing.progress = Progress::missing;
        standing.words.push_back(counted(floors, "1 floor to be told", "{0} floors to be told"));
    }
    if (doubts > 0) {
        standing.progress = Progress::missing;
        standing.words.push_back(counted(doubts, "1 reading in doubt", "{0} readings in doubt"));
    }
    return standing;
}

Standing lines_standing(const Job& job, const Plan& plan) {
    std::size_t lines = 0;
    std::size_t fighting = 0;
    for (std::size_t i = 0; i < job.rooms.size(); ++i) {
        lines += job.rooms[i].lines.size();
        fighting += errors_in(plan.rooms[i].lines.checks);
    }
    Standing standing{lines == 0 ? Progress::missing : Progress::done,
                      {lines == 0 ? Sentence{"no lines yet"} : counted(lines, "1 line", "{0} lines")}};
    if (fighting > 0) {
        standing.progress = Progress::wrong;
        standing.words.push_back({"{0} wrong", {count(fighting)}});
    }
    return standing;
}

Standing layout_standing(const Job& job, const Plan& plan) {
    std::size_t shelves = 0;
    std::size_t cabinets = 0;
    std::size_t things = 0; // that are neither
    for (const Wall& wall : job.walls)
        for_each_thing(wall, [&]<class Thing>(const Thing& thing) {
            if constexpr (std::is_same_v<Thing, Run>)
                cabinets += static_cast<std::size_t>(std::ranges::count_if(thing.units, is_cabinet));
            else
                ++(std::is_same_v<Thing, Shelf> ? shelves : things);
        });
    if (shelves + cabinets + things == 0)
        return {Progress::missing, {{"nothing laid out yet"}}};
    Standing standing{Progress::done, {}};
    if (things > 0) {
        standing.words.push_back(counted(shelves + cabinets + things, "1 thing", "{0} things"));
    } else {
        if (shelves > 0)
            standing.words.push_back(counted(shelves, "1 shelf", "{0} shelves"));
        if (cabinets > 0)
            standing.words.push_back(counted(cabinets, "1 cabinet", "{0} cabinets"));
    }
    if (const std::size_t errors = count_checks(plan, Severity::error); errors > 0) {
        standing.progress = Progress::wrong;
        standing.words.push_back({"{0} wrong", {count(errors)}});
    }
    return standing;
}

Standing fixings_standing(const Plan& plan) {
    std::size_t held = 0;
    std::size_t unknown = 0;
    std::size_t wrong = 0;
    std::size_t light = 0;
    for (const auto& wall : plan.walls)
        for_each_thing(*wall, [&](const ThingPlan& thing) {
            // What has no holes in the wall may be wrong all the same: nothing to screw into, an island on its floor.
            if (thing.holes.empty() && holds(thing) == Holds::yes)
                return;
            light += holds(thing) == Holds::light;
            ++held;
            unknown += holds(thing) == Holds::unknown;
            wrong += holds(thing) == Holds::no;
        });
    if (held == 0)
        return {Progress::missing, {{"nothing to fix yet"}}};
    if (wrong > 0)
        return {Progress::wrong, {{"{0} of {1} do not hold", {count(wrong), count(held)}}}};
    if (unknown > 0)
        return {Progress::missing, {{"{0} of {1} not known to hold", {count(unknown), count(held)}}}};
    Standing standing{Progress::done, {counted(held, "1 thing holds", "{0} things hold")}};
    if (light > 0)
        standing.words.push_back(counted(light, "1 for light use alone", "{0} for light use alone"));
    return standing;
}

Standing cut_standing(const Job& job, const Plan& plan) {
    const std::size_t parts = cut_list(job, plan).size();
    Standing standing{parts == 0 ? Progress::missing : Progress::done,
                      {parts == 0 ? Sentence{"nothing to cut"} : counted(parts, "1 part", "{0} parts")}};
    std::size_t unchecked = 0;
    std::size_t bad = 0;
    for (const DeliveryLine& line : job.delivery) {
        unchecked += line.received == Received::unchecked;
        bad += line.received != Received::unchecked && line.received != Received::whole;
    }
    if (bad > 0) {
        standing.progress = Progress::wrong;
        standing.words.push_back({"{0} not whole", {count(bad)}});
    } else if (unchecked > 0) {
        standing.progress = Progress::missing;
        standing.words.push_back({"{0} delivered unchecked", {count(unchecked)}});
    }
    return standing;
}

Standing fit_standing(const Job& job, const Plan& plan, const JobOrder& order) {
    if (order.tasks.empty())
        return {Progress::missing, {{"no steps yet"}}};
    for (const auto& wall : plan.walls)
        for (const ReadingPlan& reading : wall->readings)
            if (reading.verdict == Verdict::out)
                return {Progress::wrong, {{"{0} is to be put right", {reading.item_name}}}};
    if (count_checks(plan, Severity::error) > 0)
        return {Progress::wrong, {{"clear what is wrong first"}}};
    const auto done = static_cast<std::size_t>(
        std::ranges::count_if(order.tasks, [&](const Task& task) { return is_done(job, task.key); }));
    return {done == order.tasks.size() ? Progress::done : Progress::missing,
            {{"{0} of {1} steps", {count(done), count(order.tasks.size())}}}};
}

Standing record_standing(const Job& job) {
    if (std::ranges::find(job.log, LogKind::signature, &LogEntry::kind) != job.log.end())
        return {Progress::done, {{"signed"}}};
    return {Progress::missing,
            {job.log.empty() ? Sentence{"nothing written yet"} : counted(job.log.size(), "1 line", "{0} lines")}};
}

} // namespace yes_square
