#pragma once

#include "core/shelves/bracket_search.hpp"

/// What places of brackets keep.
namespace yes_square {

/// The hanger that is at a place; nullptr: none.
const StudUnder* hanger_at(const BracketQuestion& question, Length place);
/// Whether no bracket may stand there.
bool kept_out(const BracketQuestion& question, Length place);
/// Whether a layout, from the left, is within insets, overhangs, spaces and keep-outs, with all that must be there.
bool keeps_limits(const BracketQuestion& question, const std::vector<Length>& places);

} // namespace yes_square
