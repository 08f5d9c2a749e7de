#pragma once

#include "core/job/things.hpp"

namespace yes_square {

/// A name that nothing in the job has yet, so that what is called out at the wall is one thing only.
/// @param pattern  with the number's place: "Shelf %1", "W%1"
/// @param first  number that is tried
std::string fresh_name(const Job& job, std::string_view pattern, int first = 1);

} // namespace yes_square
