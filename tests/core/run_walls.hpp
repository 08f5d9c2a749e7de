#pragma once

#include "core/lines/room_lines.hpp"
#include "survey_walls.hpp"

#include <catch2/catch.hpp>

/// Kitchens that the tests of lines and runs start from. Sizes are made up.
namespace yes_square {

inline CabinetUnit wall_unit(const std::string& id, Length width, Length height = 720_mm) {
    CabinetUnit unit;
    unit.id = id;
    unit.name = "Unit " + id;
    unit.kind = UnitKind::wall;
    unit.width = width;
    unit.height = height;
    unit.depth = 320_mm;
    unit.mass = 20_kg;
    unit.loaded_mass = 60_kg;
    unit.side = 16_mm;
    unit.rails = {{60_mm, 80_mm, 16_mm}, {height - 60_mm, 80_mm, 16_mm}};
    unit.rail_wood = Species::spruce_pine_fir;
    unit.hinge = DoorHinge::none;
    return unit;
}

inline CabinetUnit base_unit(const std::string& id, Length width, Length height = 720_mm) {
    CabinetUnit unit = wall_unit(id, width, height);
    unit.kind = UnitKind::base;
    unit.depth = 560_mm;
    return unit;
}

inline CabinetUnit tall_unit(const std::string& id, Length width, Length height) {
    CabinetUnit unit = base_unit(id, width, height);
    unit.kind = UnitKind::tall;
    return unit;
}

inline CabinetUnit filler(const std::string& id, Length width, Length least, Length most) {
    CabinetUnit unit;
    unit.id = id;
    unit.name = "Filler " + id;
    unit.kind = UnitKind::filler;
    unit.width = width;
    unit.height = 720_mm;
    unit.depth = 18_mm;
    unit.least = least;
    unit.most = most;
    return unit;
}

inline CabinetUnit gap(const std::string& id, Length width, Appliance appliance) {
    CabinetUnit unit;
    unit.id = id;
    unit.name = "Gap " + id;
    unit.kind = UnitKind::appliance_gap;
    unit.width = width;
    unit.height = appliance.height;
    unit.depth = 600_mm;
    unit.appliance = appliance;
    return unit;
}

inline Run run_of(RunLevel level, std::vector<CabinetUnit> units, Slack slack = Slack::right_end) {
    Run run;
    run.id = level == RunLevel::wall ? "wall-run" : "floor-run";
    run.name = level == RunLevel::wall ? "Wall units" : "Base units";
    run.level = level;
    run.slack = slack;
    run.units = std::move(units);
    return run;
}

/// A framed wall, 12.5 mm of board on proved studs at a spacing, with one run; the room has the usual lines.
inline Job kitchen_with(std::vector<Run> runs, Length length = 3600_mm, Length spacing = 400_mm,
                        Length first_stud = 400_mm) {
    Wall wall = plain_wall(length);
    wall.structure = Framing{38_mm, 89_mm, spacing, Species::spruce_pine_fir};
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    for (Length at = first_stud; at < length; at += spacing)
        wall.studs.push_back({at, StudState::proved, Length::micrometres(600), {}});
    wall.runs = std::move(runs);
    Job job = job_with({wall});
    const HouseLines house = house_lines(Unit::mm, job.rules.runs);
    job.rooms.front().lines = house.lines;
    job.rooms.front().line_relations = house.relations;
    return job;
}

/// The plan of the only wall's run of this number.
inline RunPlan plan_of(const Job& job, std::size_t run = 0) {
    return reckon(job).walls.front()->runs.at(run);
}

inline Length height_of(const Plan& plan, const char* line) {
    return plan.rooms.front().lines.height_of(line);
}

/// Where the first step that says this stands among the steps; the number of steps if none does.
inline std::size_t place_of(const RunPlan& plan, std::string_view words, const std::string& unit = {}) {
    const auto found = std::ranges::find_if(plan.steps, [&](const Step& step) {
        return say(step.words, {}).find(words) != std::string::npos &&
               (unit.empty() || say(step.words, {}).find(unit) != std::string::npos);
    });
    return static_cast<std::size_t>(found - plan.steps.begin());
}

} // namespace yes_square
