#pragma once

#include "core/plan/check.hpp"
#include "core/plan/supply.hpp"

#include <vector>

namespace yes_square {

/// So many of a fixing, with what it is driven with and what lies under its head.
std::vector<Supply> supplies_of(const Fixing& fixing, std::size_t number);

/// So many screws of a length, by what they are for.
Supply screws_of(Length length, std::string_view what, std::size_t number);

} // namespace yes_square
