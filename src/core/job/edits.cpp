#include "core/job/edits.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <set>

namespace yes_square {
namespace {

template <class Walls>
auto wall_holding(Walls& walls, const std::string& shelf) -> decltype(&walls.front()) {
    for (auto& wall : walls)
        if (std::ranges::find(wall.shelves, shelf, &Shelf::id) != wall.shelves.end())
            return &wall;
    return nullptr;
}

template <class SomeWall>
auto shelf_on(SomeWall* wall, const std::string& id) -> decltype(&wall->shelves.front()) {
    return wall ? &*std::ranges::find(wall->shelves, id, &Shelf::id) : nullptr;
}

struct Applier {
    Shelf& shelf;
    void operator()(const MoveShelf& move) const {
        shelf.left = move.left;
        shelf.height = move.height;
    }
    void operator()(const ResizeShelf& resize) const {
        shelf.left = resize.left;
        shelf.length = resize.length;
    }
    void operator()(const ChooseBracket& choice) const { shelf.bracket = choice.bracket; }
    void operator()(const ChooseLayout& choice) const {
        shelf.school = choice.school;
        shelf.extra_brackets = choice.extra_brackets;
    }
    void operator()(const ChooseBoard& choice) const {
        shelf.material = choice.material;
        shelf.thickness = choice.thickness;
    }
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
    void operator()(const auto&) const {}
};

} // namespace

const Wall* wall_of(const Job& job, const std::string& shelf) {
    return wall_holding(job.walls, shelf);
}
Wall* wall_of(Job& job, const std::string& shelf) {
    return wall_holding(job.walls, shelf);
}
const Shelf* find_shelf(const Job& job, const std::string& id) {
    return shelf_on(wall_of(job, id), id);
}
Shelf* find_shelf(Job& job, const std::string& id) {
    return shelf_on(wall_of(job, id), id);
}

void apply(const Edit& edit, Shelf& shelf) {
    std::visit(Applier{shelf}, edit);
}

void apply(const Edit& edit, Wall& wall) {
    std::visit(WallApplier{wall}, edit);
}

Job apply(const Edit& edit, Job job) {
    std::visit(
        [&](const auto& e) {
            if constexpr (requires { e.shelf; }) {
                if (Shelf* shelf = find_shelf(job, e.shelf))
                    apply(edit, *shelf);
            } else if (const auto wall = std::ranges::find(job.walls, e.wall, &Wall::id); wall != job.walls.end()) {
                apply(edit, *wall);
            }
        },
        edit);
    return job;
}

std::string fresh_id(const Job& job, std::string_view stem) {
    std::set<std::string> taken;
    for (const Room& room : job.rooms)
        taken.insert(room.id);
    for (const Wall& wall : job.walls) {
        taken.insert(wall.id);
        for (const Shelf& shelf : wall.shelves)
            taken.insert(shelf.id);
    }
    for (int number = 1;; ++number)
        if (std::string id = fmt::format("{}-{}", stem, number); !taken.contains(id))
            return id;
}

} // namespace yes_square
