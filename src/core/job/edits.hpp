#pragma once

#include "core/job/job.hpp"

#include <variant>

/// Changes to a job that the program can make by itself: what a cure's button does. Each names its shelf or wall by id;
/// an edit whose shelf or wall is gone leaves the job as it is.
namespace yes_square {

struct MoveShelf {
    std::string shelf;
    Length left;
    Length height;
    bool operator==(const MoveShelf&) const = default;
};
struct ResizeShelf {
    std::string shelf;
    Length left;
    Length length;
    bool operator==(const ResizeShelf&) const = default;
};
struct ChooseBracket {
    std::string shelf;
    std::string bracket;
    bool operator==(const ChooseBracket&) const = default;
};
struct ChooseLayout {
    std::string shelf;
    School school = School::studs_first;
    int extra_brackets = 0;
    bool operator==(const ChooseLayout&) const = default;
};
struct ChooseBoard {
    std::string shelf;
    BoardMaterial material = BoardMaterial::mdf;
    Length thickness;
    bool operator==(const ChooseBoard&) const = default;
};

struct SetWallHeight {
    std::string wall;
    Length height;
    bool operator==(const SetWallHeight&) const = default;
};
/// Takes what a trial hole met as what the wall is made of.
struct TakeBuildUp {
    std::string wall;
    Structure structure;
    std::vector<LiningLayer> lining;
    bool operator==(const TakeBuildUp&) const = default;
};
/// Takes every reading off a wall that lies beyond its ends, floor or top.
struct DropReadingsOffWall {
    std::string wall;
    bool operator==(const DropReadingsOffWall&) const = default;
};

using Edit = std::variant<MoveShelf, ResizeShelf, ChooseBracket, ChooseLayout, ChooseBoard, SetWallHeight, TakeBuildUp,
                          DropReadingsOffWall>;

/// The shelf with this id, wherever it hangs; nullptr if none.
const Shelf* find_shelf(const Job& job, const std::string& id);
Shelf* find_shelf(Job& job, const std::string& id);
/// The wall a shelf hangs on.
const Wall* wall_of(const Job& job, const std::string& shelf);
Wall* wall_of(Job& job, const std::string& shelf);

/// Edits of walls leave a shelf as it is.
void apply(const Edit& edit, Shelf& shelf);
void apply(const Edit& edit, Wall& wall);
Job apply(const Edit& edit, Job job);

/// An id for a new part that no part of the job has: "shelf-4".
std::string fresh_id(const Job& job, std::string_view stem);

} // namespace yes_square
