#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// What of an anchor's figure may be used: recommended as it is; characteristic / 3.5; ultimate or not stated / 4, of
/// plugs and lining anchors / 5 (house rules).
Force allowable(Force figure, FigureBasis basis, AnchorKind kind);
/// What one piece of steel may bear of its maker's rating, by what that is called; none: nobody rates it.
std::optional<Force> allowed_of(const std::optional<Force>& rating, FigureBasis basis);
/// What one bracket may bear, of its rating as of an anchor of steel; none: nobody rates it.
std::optional<Force> allowed_on(const Bracket& bracket);
/// What `allowable` divides by.
double basis_divisor(FigureBasis basis, bool soft);

/// In the lining alone.
bool grips_lining(AnchorKind kind);

} // namespace yes_square
