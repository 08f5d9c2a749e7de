#pragma once

#include "core/cutting/cut_list.hpp"

#include <vector>

namespace yes_square {

/// A part that is routed, sawn or drilled after it is cut, and how many of one thing are alike.
struct WorkedPart {
    CutPiece part;                   ///< the first of them
    std::vector<std::string> labels; ///< of all
};

/// Everything that is done to parts on the bench before anything is put together: what a router and saw schedule says.
/// Cuts in the order in which they are met from the end they are measured from.
std::vector<WorkedPart> worked_parts(const Job& job, const Plan& plan, const Scope& scope = {});

/// What is cut, how large, how deep, in how many passes and what for: "housing, 20 mm broad, 10 mm deep, 2 passes, for
/// shelf 1".
std::string cut_words(const PartCut& cut, const Voice& voice);

/// How a cut is measured, in words: what goes round its middle, or where its nearer side is.
bool by_its_middle(Machining kind);

} // namespace yes_square
