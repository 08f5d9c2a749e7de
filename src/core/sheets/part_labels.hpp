#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// Labels to cut out and stick on the parts of a wardrobe: the part's own in large type, what it is, its sizes, the
/// wardrobe's name. As many on a page of this size as fit.
std::vector<Drawing> part_label_pages(const SystemPlan& plan, double width, double height, const Voice& voice);

} // namespace yes_square
