#pragma once

#include "core/measure/provenance.hpp"

#include <array>
#include <string_view>

namespace yes_square {

/// Framing timber. `unknown` takes the lowest density of the list.
enum class Species { unknown, spruce_pine_fir, southern_pine, douglas_fir_larch, red_oak, western_cedars, c16 };

/// Specific gravity for connection design (ANSI/AWC NDS-2018 table 12.3.3A, from memory).
double specific_gravity(Species species);

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
    double modulus_gpa; ///< mean modulus of elasticity along the board, GPa
    double density;     ///< kg/m3, for self-weight
    double kdef_dry;    ///< creep factor, service class 1
    double kdef_damp;   ///< service class 2; 0: not made for damp rooms
    Source modulus_source;
    Source kdef_source;
};

const BoardProperties& properties(BoardMaterial material);
const std::array<BoardProperties, 13>& all_boards();

/// Wood screws by number. Diameters in inches, bending yield in psi.
enum class ScrewGauge { number_8, number_10, number_14 };

struct ScrewProperties {
    ScrewGauge gauge;
    std::string_view file_name;
    const char* wood_screw_words;
    double diameter_in;
    double root_in;
    double head_in;
    double bending_yield_psi;
};

const ScrewProperties& properties(ScrewGauge gauge);
const std::array<ScrewProperties, 3>& all_gauges();

} // namespace yes_square
