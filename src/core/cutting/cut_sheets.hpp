#pragma once

#include "core/measure/length.hpp"

#include <cstddef>
#include <optional>
#include <vector>

/// Rectangles out of sheets by cuts from edge to edge, as a panel saw or a guided hand saw makes them.
namespace yes_square {

struct SheetPiece {
    Length length; ///< along the grain, where it has one
    Length breadth;
    bool may_turn = false; ///< no grain to be kept
};

struct SheetStock {
    Length length; ///< along the grain
    Length breadth;
    std::optional<int> number = {}; ///< so many lie there; none: can be bought
};

struct SheetQuestion {
    std::vector<SheetPiece> pieces;
    std::vector<SheetStock> stock;
    Length kerf;
    Length trim; ///< off each edge of a bought sheet
    int tries = 60;
};

struct PlacedPiece {
    std::size_t piece = 0;
    Length x; ///< of its corner, along the sheet's length
    Length y;
    Length length; ///< as it lies
    Length breadth;
};

struct SheetCut {
    bool along = false; ///< the sheet's length
    Length at;          ///< across the direction of the cut: where its near edge lies
    Length from;
    Length to;
};

struct Sheet {
    std::size_t stock = 0;
    std::vector<PlacedPiece> pieces;
    std::vector<SheetCut> cuts;       ///< in the order they are made: each from edge to edge of what is left
    std::vector<PlacedPiece> offcuts; ///< largest first; `piece` means nothing
};

struct SheetPlan {
    std::vector<Sheet> sheets;
    std::vector<std::size_t> impossible;
    std::size_t bought = 0;
    std::size_t least = 0; ///< by area, and by pieces that can only lie alone: no plan buys fewer
    double used_share = 0; ///< of the area of the sheets that is parts
    bool proved() const { return bought <= least; }
};

/// A good plan of guillotine cuts: what lies there first, fewest sheets bought, the largest single offcut. Many orders
/// of the pieces and ways to part what is left are tried, the same every time. Not proved best; `least` says how far
/// it can be from that.
SheetPlan cut_sheets(const SheetQuestion& question);

} // namespace yes_square
