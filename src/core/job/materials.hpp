#pragma once

#include "core/measure/physical.hpp"
#include "core/measure/provenance.hpp"

#include <array>
#include <string_view>

namespace yes_square {

/// Framing timber. `unknown` takes the lowest density of the list.
enum class Species { unknown, spruce_pine_fir, southern_pine, douglas_fir_larch, red_oak, western_cedars, c16 };

/// Specific gravity for connection design (ANSI/AWC NDS-2018 table 12.3.3A, from memory).
double specific_gravity(Species species);

/// Thicknesses that boards are to be had in (common practice).
inline constexpr std::array board_thicknesses{15_mm, 18_mm, 22_mm, 25_mm, 28_mm, 30_mm, 36_mm, 40_mm, 44_mm};

enum class BoardMaterial {
    mdf,
    mdf_moisture_resistant,
    particleboard_p2,
    particleboard_p5,
    osb3,
    birch_plywood,
    plywood,
    eastern_white_pine,
    ponderosa_pine,
    yellow_poplar,
    douglas_fir,
    red_oak,
    sugar_maple,
};

/// What a board is made of, as a beam.
struct BoardProperties {
    BoardMaterial material;
    std::string_view file_name;
    std::string_view words;
    Pressure modulus;   ///< mean modulus of elasticity along the board, GPa
    Density density;    ///< for self-weight
    double kdef_dry;    ///< creep factor, service class 1
    double kdef_damp;   ///< service class 2; 0: not made for damp rooms
    Pressure bending;   ///< characteristic bending strength
    double kmod_stored; ///< EN 1995-1-1 table 3.1, service class 1, permanent load
    double kmod_leaned; ///< and short-term
    Source modulus_source;
    Source kdef_source;
};

/// Bending stress a board may bear in use: f kmod / (1.3 x 1.5), material and load factors of EN 1990 and EN 1995-1-1
/// (from memory). MPa
Pressure bending_stored(const BoardProperties& board);
Pressure bending_leaned(const BoardProperties& board);

const BoardProperties& properties(BoardMaterial material);
const std::array<BoardProperties, 13>& all_boards();

/// Wood screws by number, coach screws (lag screws) by diameter. Diameters in inches, bending yield in psi.
enum class ScrewGauge { number_8, number_10, number_14, coach_quarter, coach_five_sixteenths, coach_three_eighths };

struct ScrewProperties {
    ScrewGauge gauge;
    std::string_view file_name;
    const char* wood_screw_words;
    double diameter_in;
    double root_in;
    double head_in;
    Pressure bending_yield;
    double tip_in;      ///< of the point, which holds nothing
    bool coach = false; ///< driven with a socket, hexagon head
};

const ScrewProperties& properties(ScrewGauge gauge);
const std::array<ScrewProperties, 6>& all_gauges();

} // namespace yes_square
