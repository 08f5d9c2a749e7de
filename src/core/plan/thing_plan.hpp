#pragma once

#include "core/plan/check.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// What every thing's plan has, whatever its kind.
struct ThingPlan {
    std::string id;
    std::string name;
    std::vector<Step> steps;
    std::vector<Working> workings;
    std::vector<Check> checks;
};

} // namespace yes_square
