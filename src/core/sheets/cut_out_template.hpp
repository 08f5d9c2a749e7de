#pragma once

#include "core/sheets/board_drawing.hpp"
#include "core/sheets/full_size.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// The cut-outs of a board at full size as one sees them from above, its back edge up, with the board's own edges where
/// they cross and the distances of each cut-out's sides. See full_size_pages(); places are from the board's left end
/// and up from its front edge.
std::vector<TemplatePage> cut_out_template(const std::string& name, const BoardFromAbove& board, double width,
                                           double height, const Voice& voice);

} // namespace yes_square
