#pragma once

#include "core/job/edits.hpp"
#include "core/reckon/reckon.hpp"
#include "core/shelves/new_shelf.hpp"

#include <algorithm>
#include <catch2/catch.hpp>

/// Walls to hang shelves of every kind on, and what a test asks of their plans.
namespace yes_square {

inline const std::vector<ShelfPreset>& all_kinds() {
    return shelf_presets();
}

/// 4 m of proved studs every 400 mm behind 12.5 mm of plasterboard.
inline Wall stud_wall() {
    Wall wall;
    wall.id = "wall";
    wall.name = "Wall";
    wall.room = "room";
    wall.length = 4000_mm;
    wall.height = 2500_mm;
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    for (int i = 1; i < 10; ++i)
        wall.studs.push_back({Length::mm(400 * i), StudState::proved, Length::micrometres(600), {}});
    return wall;
}

/// The same before it is lined: noggings go wherever they are wanted.
inline Wall bare_studs() {
    Wall wall = stud_wall();
    wall.lining.clear();
    std::get<Framing>(wall.structure).open = true;
    return wall;
}

inline Wall masonry_wall(MasonryKind kind = MasonryKind::brick) {
    Wall wall = stud_wall();
    wall.structure = Masonry{kind};
    wall.studs.clear();
    wall.lining = {{LiningMaterial::plaster, 10_mm, {}}};
    return wall;
}

inline Job job_with(Wall wall, Shelf shelf) {
    Job job = new_job();
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating = 2000_n;
    shelf.id = "shelf";
    shelf.name = "Shelf";
    wall.shelves = {std::move(shelf)};
    job.rooms.push_back({});
    job.rooms.back().id = job.rooms.back().name = "room";
    job.walls = {std::move(wall)};
    return job;
}

inline ShelfPlan shelf_plan(const Job& job) {
    return reckon(job).walls.front()->shelves.front();
}

inline const Check* find_check(const ShelfPlan& plan, CheckCode code) {
    const auto found = std::ranges::find(plan.checks, code, &Check::code);
    return found == plan.checks.end() ? nullptr : &*found;
}

inline bool has_error(const ShelfPlan& plan) {
    return std::ranges::any_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; });
}

/// The plan after the first cure of a check that the program can make by itself.
inline ShelfPlan cured(const Job& job, CheckCode code) {
    const ShelfPlan plan = shelf_plan(job);
    const Check* check = find_check(plan, code);
    REQUIRE(check);
    const auto cure = std::ranges::find_if(check->cures, [](const Cure& c) { return c.edit.has_value(); });
    REQUIRE(cure != check->cures.end());
    return shelf_plan(apply(*cure->edit, job));
}

/// A shelf on brackets, fixed with this all over.
inline Job fixed_with(const Wall& wall, std::optional<ChosenFixing> fixing) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.length = 1200_mm;
    shelf.fixing.all = std::move(fixing);
    return job_with(wall, shelf);
}

/// What its holes are fixed with, each once.
inline std::vector<std::string> names_in(const ThingPlan& plan) {
    std::vector<std::string> names;
    for (const PlannedHole& hole : plan.holes)
        if (hole.fixing && std::ranges::find(names, hole.fixing->name) == names.end())
            names.push_back(hole.fixing->name);
    return names;
}

} // namespace yes_square
