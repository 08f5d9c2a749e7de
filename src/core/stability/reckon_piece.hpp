#pragma once

#include "core/plan/piece_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode piece_tips{"piece_tips", Severity::error};
inline constexpr CheckCode restraint_advised{"restraint_advised", Severity::warning};
inline constexpr CheckCode restraint_refused{"restraint_refused", Severity::error};
inline constexpr CheckCode restraint_few{"restraint_few", Severity::note};
inline constexpr CheckCode restraint_unrated{"restraint_unrated", Severity::warning, Bears::on_what_is_known};
} // namespace checks

/// Everything that follows from a piece: its cases, what holds it, checks with their cures, workings and steps. A cure
/// that holds the piece has been tried on it before it is offered.
PiecePlan reckon_piece(const Piece& piece, const WallSite& site);

} // namespace yes_square
