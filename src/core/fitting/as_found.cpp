#include "core/fitting/as_found.hpp"

#include "core/job/edits.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <utility>

namespace yes_square {
namespace {

Wall* find_wall(Job& job, const std::string& id) {
    const auto wall = std::ranges::find(job.walls, id, &Wall::id);
    return wall == job.walls.end() ? nullptr : &*wall;
}

/// Whether it spoke for wood at a place, or for one of its edges.
bool spoke_for_stud(const Observation& seen) {
    return seen.kind != EvidenceKind::probe_miss && seen.kind != EvidenceKind::knock_hollow;
}

/// Takes away what spoke for a stud at a place; how much that was.
std::size_t forget_stud(Wall& wall, Length x) {
    const auto* framing = std::get_if<Framing>(&wall.structure);
    const Length half = framing ? framing->stud_width / 2 : Length{};
    const auto studs = std::erase_if(wall.studs, [&](const Stud& stud) { return absolute(stud.centre - x) <= half; });
    const auto traces = std::erase_if(wall.observations, [&](const Observation& seen) {
        return spoke_for_stud(seen) && absolute(seen.x - x) <= 2 * half;
    });
    return studs + traces;
}

bool work_has_begun(const Job& job) {
    return std::ranges::any_of(job.walls, [](const Wall& wall) { return !wall.made.empty(); }) ||
           std::ranges::find(job.log, LogKind::signature, &LogEntry::kind) != job.log.end();
}

/// What the plan follows from, without what was only done, read or written down.
Job planned(Job job) {
    for (Wall& wall : job.walls) {
        wall.made.clear();
        wall.work_readings.clear();
    }
    job.ticks.clear();
    job.log.clear();
    job.delivery.clear();
    job.fitter.clear();
    job.unit = Unit::mm;
    return job;
}

} // namespace

void log_change(const Job& before, Job& after, const std::string& what, const Stamp& stamp) {
    if (work_has_begun(before) && after.log.size() == before.log.size() && planned(before) != planned(after))
        write_log(after, LogKind::change, {}, what, stamp);
}

const Tick* find_tick(const Job& job, const std::string& key) {
    const auto found = std::ranges::find(job.ticks, key, &Tick::key);
    return found == job.ticks.end() ? nullptr : &*found;
}

bool is_done(const Job& job, const std::string& key) {
    const Tick* found = find_tick(job, key);
    return found && found->state == TickState::done;
}

void tick(Job& job, const std::string& key, TickState state, const Stamp& stamp, const std::string& because) {
    auto found = std::ranges::find(job.ticks, key, &Tick::key);
    if (found == job.ticks.end()) {
        found = job.ticks.insert(job.ticks.end(), Tick{});
        found->key = key;
    }
    found->state = state;
    found->by = stamp.by;
    found->because = because;
    (state == TickState::begun ? found->begun : found->at) = stamp.at;
}

void untick(Job& job, const std::string& key) {
    std::erase_if(job.ticks, [&](const Tick& tick) { return tick.key == key; });
}

void record_hole(Job& job, const Plan& plan, const std::string& wall_id, const WallMark& mark, const Stamp& stamp) {
    Wall* wall = find_wall(job, wall_id);
    if (!wall)
        return;
    const bool known = std::ranges::any_of(wall->made, [&](const MadeHole& made) {
        return made.item == mark.item && made.x == mark.x && made.z == mark.z;
    });
    if (!known)
        wall->made.push_back({mark.item, mark.x, mark.z, stamp.at, stamp.by, {}});
    const UnitInRun unit = find_unit(job, mark.item);
    const std::string run_id = unit.run ? unit.run->id : mark.item;
    for (const auto& of_wall : plan.walls)
        for (const RunPlan& run : of_wall->runs)
            if (run.id == run_id && !run.units.empty()) {
                PlaceRun place{run_id, run.layout.left(), {}};
                const Run* chosen = find_run(std::as_const(job), run_id);
                for (std::size_t i = 0; chosen && i < chosen->units.size(); ++i)
                    if (chosen->units[i].kind == UnitKind::filler)
                        place.fillers.push_back(run.units[i].place.width);
                job = yes_square::apply(Edit{place}, std::move(job));
                return;
            }
}

std::string_view words(CouldNot why) {
    switch (why) {
    case CouldNot::no_stud:
        return "no stud there";
    case CouldNot::service_found:
        return "a cable or pipe is there";
    case CouldNot::ragged:
        return "the hole came out ragged";
    case CouldNot::in_the_way:
        return "something is in the way";
    case CouldNot::other:
        return "another reason";
    }
    return {};
}

void record_could_not(Job& job, const std::string& wall_id, const WallMark& mark, const std::string& key, CouldNot why,
                      const Stamp& stamp, const std::string& said) {
    const std::string reason = said.empty() ? std::string{words(why)} : said;
    tick(job, key, TickState::could_not, stamp, reason);
    const Voice voice{job.unit};
    std::string line = fmt::format("{} at {}, {} up: {}", say(mark.what, voice), format(mark.x, job.unit),
                                   format(mark.z, job.unit), reason);
    if (Wall* wall = find_wall(job, wall_id)) {
        if (why == CouldNot::no_stud && std::holds_alternative<Framing>(wall->structure)) {
            const bool by_evidence = !wall->observations.empty(); // else its studs are as told, and stay so
            const std::size_t forgotten = forget_stud(*wall, mark.x);
            if (by_evidence) {
                Observation& miss = wall->observations.emplace_back();
                miss.kind = EvidenceKind::probe_miss;
                miss.x = mark.x;
                miss.z = mark.z;
            }
            line += fmt::format(". Traces taken away: {}", forgotten);
        }
        if (why == CouldNot::service_found) {
            ScannedArea area;
            area.result = ScanResult::keep_out;
            const Length service_room = job.rules.fitting.service_room;
            area.left = std::max(Length{}, mark.x - service_room);
            area.bottom = std::max(Length{}, mark.z - service_room);
            area.width = mark.x + service_room - area.left;
            area.height = mark.z + service_room - area.bottom;
            wall->scans.push_back(area);
        }
    }
    write_log(job, LogKind::deviation, mark.item, std::move(line), stamp);
}

void write_log(Job& job, LogKind kind, const std::string& item, std::string said, const Stamp& stamp) {
    LogEntry entry;
    entry.kind = kind;
    entry.at = stamp.at;
    entry.by = stamp.by;
    entry.item = item;
    entry.words = std::move(said);
    job.log.push_back(std::move(entry));
}

} // namespace yes_square
