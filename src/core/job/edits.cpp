#include "core/job/edits.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <set>

namespace yes_square {
namespace {

void move_pin(std::vector<Length>& pins, std::optional<Length> from, std::optional<Length> to) {
    if (from)
        std::erase(pins, *from);
    if (to && std::ranges::find(pins, *to) == pins.end())
        pins.push_back(*to);
    std::ranges::sort(pins);
}

struct Applier {
    Shelf& shelf;
    void operator()(const MoveShelf& move) const {
        shelf.left = move.left;
        shelf.height = move.height;
    }
    void operator()(const ResizeShelf& resize) const {
        for (std::vector<Length>* places : {&shelf.pins, &shelf.hangers})
            for (Length& place : *places)
                place += shelf.left - resize.left; // it stays on its stud, or under its joist
        shelf.left = resize.left;
        shelf.length = resize.length;
    }
    void operator()(const ChooseBracket& choice) const { shelf.bracket = choice.bracket; }
    void operator()(const ChooseLayout& choice) const {
        shelf.school = choice.school;
        shelf.extra_brackets = choice.extra_brackets;
    }
    void operator()(const PinPlace& pin) const {
        const bool hanger = pin.from && std::ranges::find(shelf.hangers, *pin.from) != shelf.hangers.end();
        move_pin(hanger ? shelf.hangers : shelf.pins, pin.from, pin.to);
    }
    void operator()(const ChooseBoard& choice) const {
        shelf.material = choice.material;
        shelf.thickness = choice.thickness;
    }
    void operator()(const ChangeShelf& change) const { shelf = change.to; }
    void operator()(const auto&) const {}
};

struct WallApplier {
    Wall& wall;
    void operator()(const SetWallHeight& edit) const { wall.height = edit.height; }
    void operator()(const TakeBuildUp& edit) const {
        wall.structure = edit.structure;
        wall.lining = edit.lining;
    }
    void operator()(const DropReadingsOffWall&) const {
        const auto drop = [&](auto& readings, auto&& off) { std::erase_if(readings, off); };
        const auto beyond = [&](const auto& reading) { return reading.x > wall.length; };
        const auto off_face = [&](const auto& reading) { return reading.x > wall.length || reading.z > wall.height; };
        drop(wall.observations,
             [&](const Observation& seen) { return seen.x > wall.length || (seen.z && *seen.z > wall.height); });
        drop(wall.floor, beyond);
        drop(wall.ceiling, beyond);
        drop(wall.face, off_face);
        drop(wall.trial_holes, off_face);
        drop(wall.joists, [&](Length x) { return x > wall.length; });
    }
    void operator()(const ForgetHole& edit) const {
        std::erase_if(wall.made, [&](const MadeHole& hole) { return hole.x == edit.x && hole.z == edit.z; });
    }
    void operator()(const auto&) const {}
};

void apply_to_job(const auto& edit, Job& job) {
    if constexpr (requires { edit.shelf; }) {
        if (Shelf* shelf = find_shelf(job, edit.shelf))
            yes_square::apply(Edit{edit}, *shelf);
    } else if constexpr (requires { edit.wall; }) {
        if (const auto wall = std::ranges::find(job.walls, edit.wall, &Wall::id); wall != job.walls.end())
            yes_square::apply(Edit{edit}, *wall);
    }
}

Room* find_room(Job& job, const std::string& id) {
    const auto room = std::ranges::find(job.rooms, id, &Room::id);
    return room == job.rooms.end() ? nullptr : &*room;
}

template <class Part>
void apply_to_job(const Change<Part>& edit, Job& job) {
    if (Part* part = find_part<Part>(job, edit.to.id).part)
        *part = edit.to;
}
/// Along the wall, and what hangs up or down too.
void shift(auto& thing, Length dx, Length dz) {
    thing.move(dx, dz);
}
void shift(Shelf& shelf, Length dx, Length dz) {
    shelf.left += dx;
    shelf.height += dz;
}
/// Its height is its line's, and its place its own only where it is set by hand.
void shift(Run& run, Length dx, Length) {
    if (run.slack == Slack::by_hand)
        run.left += dx;
}
void shift(StorageSystem& system, Length dx, Length dz) {
    system.left += dx;
    if (system.hung)
        system.top += dz;
}
void shift(Piece& piece, Length dx, Length) {
    piece.left += dx;
}
void shift(WallBox& box, Length dx, Length dz) {
    box.left += dx;
    box.top += dz;
}
void shift(HungCabinet& hung, Length dx, Length dz) {
    hung.left += dx;
    hung.top += dz;
}
void shift(LightFeed& feed, Length dx, Length dz) {
    if (!feed.item.empty())
        return; // it goes with what it is along
    feed.left += dx;
    feed.right += dx;
    feed.height += dz;
}
void apply_to_job(const MoveThing& edit, Job& job) {
    for_each_kind(Things{}, [&]<class Kind>() {
        if (Kind* thing = find_part<Kind>(job, edit.id).part)
            shift(*thing, edit.dx, edit.dz);
    });
}
void apply_to_job(const ChooseFixing& edit, Job& job) {
    for (Wall& wall : job.walls)
        for_each_thing(wall, [&](auto& part) {
            if constexpr (requires { part.fixing.choose(edit.where, edit.fixing); })
                if (part.id == edit.id)
                    part.fixing.choose(edit.where, edit.fixing);
        });
}
void apply_to_job(const RemoveThing& edit, Job& job) {
    for (Wall& wall : job.walls) {
        const auto remove = [&](auto& parts) {
            std::erase_if(parts, [&](const auto& part) { return part.id == edit.id; });
        };
        for_each_list(wall, remove);
        remove(wall.work_readings);
    }
}
void apply_to_job(const SetTimberSchool& edit, Job& job) {
    job.rules.timber = edit.school;
    auto& at_hand = job.catalogue.wood_screws;
    for (const WoodScrew& screw : shipped_catalogue().wood_screws)
        if (std::ranges::find(at_hand, screw.gauge, &WoodScrew::gauge) == at_hand.end())
            at_hand.push_back(screw);
}
void apply_to_job(const SetSkill& edit, Job& job) {
    job.rules.shelves.skill = edit.skill;
}
void apply_to_job(const SetLine& edit, Job& job) {
    if (Room* room = find_room(job, edit.room))
        if (const auto line = std::ranges::find(room->lines, edit.line, &LevelLine::id); line != room->lines.end())
            line->wanted = edit.wanted;
}
void apply_to_job(const TakeLines& edit, Job& job) {
    if (Room* room = find_room(job, edit.room)) {
        room->lines = edit.lines;
        room->line_relations = edit.relations;
    }
}
void apply_to_job(const SetRelation& edit, Job& job) {
    if (Room* room = find_room(job, edit.room); room && edit.relation < room->line_relations.size())
        room->line_relations[edit.relation].by = edit.by;
}
void apply_to_job(const PlaceRun& edit, Job& job) {
    Run* run = find_run(job, edit.run).run;
    if (!run)
        return;
    run->slack = Slack::by_hand;
    run->left = edit.left;
    std::size_t next = 0;
    for (CabinetUnit& unit : run->units)
        if (unit.kind == UnitKind::filler && next < edit.fillers.size())
            unit.width = edit.fillers[next++];
}
void apply_to_job(const SetSlack& edit, Job& job) {
    if (Run* run = find_run(job, edit.run).run)
        run->slack = edit.slack;
}
void apply_to_job(const SetHanging& edit, Job& job) {
    if (Run* run = find_run(job, edit.run).run)
        for (CabinetUnit& unit : run->units)
            if (is_cabinet(unit))
                unit.hanging = edit.hanging;
}
void apply_to_job(const ResizeUnit& edit, Job& job) {
    if (const UnitInRun found = find_unit(job, edit.unit); found.run)
        found.unit().width = edit.width;
}
void apply_to_job(const SetHinge& edit, Job& job) {
    if (const UnitInRun found = find_unit(job, edit.unit); found.run)
        found.unit().hinge = edit.hinge;
}
void apply_to_job(const RemoveUnit& edit, Job& job) {
    if (const UnitInRun found = find_unit(job, edit.unit); found.run) {
        std::erase_if(found.run->fixing.at, [&](const FixingAt& at) { return at.where.unit == edit.unit; });
        found.run->units.erase(found.run->units.begin() + static_cast<std::ptrdiff_t>(found.index));
    }
}
void apply_to_job(const PinScrew& edit, Job& job) {
    if (const UnitInRun found = find_unit(job, edit.id); found.run)
        move_pin(found.unit().pins, edit.from, edit.to);
    else if (Run* run = find_part<Run>(job, edit.id).part)
        move_pin(run->rail_pins, edit.from, edit.to);
}
void apply_to_job(const ReorderUnit& edit, Job& job) {
    const UnitInRun found = find_unit(job, edit.unit);
    if (!found.run)
        return;
    auto& units = found.run->units;
    CabinetUnit moved = std::move(found.unit());
    units.erase(units.begin() + static_cast<std::ptrdiff_t>(found.index));
    units.insert(units.begin() + static_cast<std::ptrdiff_t>(std::min(edit.to, units.size())), std::move(moved));
}

} // namespace

RunOnWall find_run(Job& job, const std::string& id) {
    for (Wall& wall : job.walls)
        for (Run& run : wall.runs)
            if (run.id == id)
                return {&wall, &run};
    return {};
}

const Run* find_run(const Job& job, const std::string& id) {
    return find_run(const_cast<Job&>(job), id).run; // looks only
}

UnitInRun find_unit(Job& job, const std::string& id) {
    for (Wall& wall : job.walls)
        for (Run& run : wall.runs)
            if (const auto unit = std::ranges::find(run.units, id, &CabinetUnit::id); unit != run.units.end())
                return {&wall, &run, static_cast<std::size_t>(unit - run.units.begin())};
    return {};
}

const Wall* wall_of(const Job& job, const std::string& shelf) {
    return find_part<Shelf>(job, shelf).wall;
}
Wall* wall_of(Job& job, const std::string& shelf) {
    return find_part<Shelf>(job, shelf).wall;
}
const Shelf* find_shelf(const Job& job, const std::string& id) {
    return find_part<Shelf>(job, id).part;
}
Shelf* find_shelf(Job& job, const std::string& id) {
    return find_part<Shelf>(job, id).part;
}

void apply(const Edit& edit, Shelf& shelf) {
    std::visit(Applier{shelf}, edit);
}

void apply(const Edit& edit, Wall& wall) {
    std::visit(WallApplier{wall}, edit);
}

Job apply(const Edit& edit, Job job) {
    std::visit([&](const auto& each) { apply_to_job(each, job); }, edit);
    return job;
}

std::string fresh_id(const Job& job, std::string_view stem) {
    std::set<std::string> taken;
    for (const Room& room : job.rooms)
        taken.insert(room.id);
    for (const Wall& wall : job.walls) {
        taken.insert(wall.id);
        const auto take = [&](const auto& parts) {
            for (const auto& part : parts)
                taken.insert(part.id);
        };
        for_each_list(wall, take);
        take(wall.work_readings);
        for (const StorageSystem& system : wall.systems)
            take(system.bays);
        for (const Run& run : wall.runs) {
            taken.insert(run.id);
            take(run.units);
        }
    }
    for (int number = 1;; ++number)
        if (std::string id = fmt::format("{}-{}", stem, number); !taken.contains(id))
            return id;
}

} // namespace yes_square
