#pragma once

#include "core/plan/piece_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// The sums behind a piece: "case/N", counted from 1, "restraint", "fixing".
std::vector<Working> workings_of(const Piece& piece, const PiecePlan& plan, const WallSite& site);

/// How a piece is set and held, with the pull test that ends it.
std::vector<Step> steps_of(const Piece& piece, const PiecePlan& plan, const WallSite& site);

std::string_view words(RestraintKind kind);

/// What to mind with furniture that may tip.
std::vector<Sentence> tipping_cautions();

} // namespace yes_square
