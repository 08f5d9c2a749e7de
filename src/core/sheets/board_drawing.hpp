#pragma once

#include "core/job/boards.hpp"
#include "core/job/shelf.hpp"
#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"
#include "core/shelves/under_board.hpp"

#include <optional>
#include <vector>

namespace yes_square {

/// A board or a worktop as it lies, seen from above, its back edge up.
struct BoardFromAbove {
    Length length;
    Length depth;
    std::vector<CutOut> cut_outs = {};
    std::optional<HollowBoard> hollow = {};
    std::vector<UnderBoard> under = {};
};

/// Of a shelf that is a board; none: nothing to see but a plain board, or no board.
std::optional<BoardFromAbove> from_above(const Shelf& shelf, const ShelfPlan& plan);
/// Of a worktop; none: it is whole.
std::optional<BoardFromAbove> from_above(const RunPiece& piece);

/// The board to scale on a paper of this size in mm: each cut-out with its edges from the left end and from the back,
/// what stands under the board, a hollow board's strips and ribs.
Drawing draw_from_above(const BoardFromAbove& board, double width, double height, double text, const Voice& voice);

} // namespace yes_square
