#pragma once

/// What one unit is in another: by definition, exact unless a line says otherwise. Nowhere else.
namespace yes_square {

inline constexpr double metres_per_inch = 0.0254;
inline constexpr double metres_per_foot = 0.3048;
inline constexpr double mm_per_inch = 25.4;
inline constexpr double mm_per_foot = 304.8;
inline constexpr double kg_per_pound = 0.45359237;
inline constexpr double standard_gravity = 9.80665; ///< m/s2
inline constexpr double newtons_per_pound = kg_per_pound * standard_gravity;
inline constexpr double pascals_per_psi = newtons_per_pound / (metres_per_inch * metres_per_inch);

} // namespace yes_square
