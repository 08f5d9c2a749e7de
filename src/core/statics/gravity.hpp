#pragma once

namespace yes_square {

inline constexpr double standard_gravity = 9.80665; ///< m/s2

} // namespace yes_square
