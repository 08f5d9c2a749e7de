#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <optional>
#include <string>
#include <vector>

namespace yes_square {

/// What a list is of: a wall, a room, or with both empty the job.
struct Scope {
    std::string wall; ///< id
    std::string room; ///< id
    bool takes(const Wall& in) const { return wall.empty() ? room.empty() || in.room == room : in.id == wall; }
};

/// What parts are cut from: those of one stuff share its lengths or sheets.
struct Stuff {
    StuffKind kind = StuffKind::board;
    std::string words; ///< "MDF", "strip"
    std::optional<BoardMaterial> material = {};
    Length thickness;
    Length breadth; ///< of a length's section; 0 for sheets, whose parts have each their own
    bool operator==(const Stuff&) const = default;
};

struct CutPiece {
    std::string label; ///< "P1", "17": written on the part
    Sentence name;     ///< "shelf of Linen bay"
    std::string item;  ///< id of what it is for
    std::string wall;  ///< id
    Stuff stuff;
    Length length; ///< to be cut, allowances in it; along the grain
    Length breadth;
    bool may_turn = false;               ///< no grain
    std::string_view mind;               ///< how it is let in, what is left on it; empty: nothing to mind
    std::optional<Working> working = {}; ///< of a length that is more than what was asked for
};

/// Every part of a job to be cut, in the order of its walls: boards, rails, poles, cleats, noggings, packers, panels,
/// fillers, worktops, plinths, ledgers. Labels stay the same whatever is asked for.
std::vector<CutPiece> cut_list(const Job& job, const Plan& plan, const Scope& scope = {});

/// "board", "sheet".
std::string_view words(StuffKind kind);

} // namespace yes_square
