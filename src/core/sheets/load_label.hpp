#pragma once

#include "core/reckon/reckon.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// What is stuck to a shelf when it is up. Date and name are written on it by whoever hung it.
struct LoadLabel {
    std::string name; ///< of the shelf
    std::string wall;
    Sentence greatest;             ///< the load, in large type
    std::vector<Sentence> assumes; ///< on what it rests, each a short line
    bool fit = true;               ///< not to be loaded at all as it stands
};

/// @param shelf  one of the job's; its plan and what it would hold
LoadLabel load_label(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const Capacity& capacity);

/// What a shelf is reckoned with all along it, besides itself and heavy things at places of their own.
Mass made_for(const Shelf& shelf, const ShelfPlan& plan);

} // namespace yes_square
