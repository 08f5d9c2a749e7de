#pragma once

#include "core/measure/physical.hpp"
#include "core/measure/provenance.hpp"

#include <array>
#include <string_view>

namespace yes_square {

/// Framing timber, by species or by strength class. `unknown` takes a low density.
enum class Species {
    unknown,
    spruce_pine_fir,
    southern_pine,
    douglas_fir_larch,
    red_oak,
    western_cedars,
    c16,
    c18,
    c24,
    c30
};

/// Specific gravity for connection design (ANSI/AWC NDS-2018 table 12.3.3A, from memory); of strength classes, which it
/// does not list, that of unknown timber (house rule).
double specific_gravity(Species species);

/// Characteristic density (EN 338 for strength classes, from memory); of species, the class they are usually sold as
/// here, and of unknown timber 290 kg/m3 (house rules).
Density characteristic_density(Species species);
/// Of wood whose specific gravity alone is known: 800 kg/m3 times that, a low value (house rule).
Density characteristic_density(double gravity);

/// How joints of screws in timber are reckoned: by the American standard with screws by number and fractions of an
/// inch, or by the European one with metric screws. A job follows one.
enum class TimberSchool {
    nds, ///< ANSI/AWC NDS-2018, AWC TR12
    en,  ///< EN 1995-1-1
};

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

/// Modulus of shear over that of elasticity, as a board twists: 1/2.6 for fibre and particle boards, 1/13 for plywood
/// and OSB along their length, 1/16 for solid timber along the grain (from memory, low values).
double shear_share(BoardMaterial material);

/// Bending stress a board may bear in use: f kmod / (1.3 x 1.5), material and load factors of EN 1990 and EN 1995-1-1
/// (from memory). MPa
Pressure bending_stored(const BoardProperties& board);
Pressure bending_leaned(const BoardProperties& board);

const BoardProperties& properties(BoardMaterial material);
const std::array<BoardProperties, 13>& all_boards();

/// What a maker's figures are by the packet. See allowable() for what is taken of each.
enum class FigureBasis { recommended, characteristic, ultimate, not_stated };

/// Wood screws by number or diameter, coach screws (lag screws) by diameter. Diameters in inches, bending yield in psi.
enum class ScrewGauge {
    number_8,
    number_10,
    number_14,
    coach_quarter,
    coach_five_sixteenths,
    coach_three_eighths,
    metric_3_5,
    metric_4,
    metric_4_5,
    metric_5,
    metric_6,
    coach_m6,
    coach_m8,
    coach_m10
};

struct ScrewProperties {
    ScrewGauge gauge;
    std::string_view file_name;
    const char* wood_screw_words;
    double diameter_in;
    double root_in;
    double head_in;
    Pressure bending_yield;
    double tip_in;                           ///< of the point, which holds nothing
    bool coach = false;                      ///< driven with a socket, hexagon head
    TimberSchool school = TimberSchool::nds; ///< whose shops have it
    double thread_in = 0;                    ///< by its packet; 0: two thirds of its length
    Pressure withdrawal = 0;   ///< f_ax by its packet, characteristic, in timber of 350 kg/m3; 0: not said
    Pressure pull_through = 0; ///< f_head, likewise
    Force tensile = 0;         ///< f_tens, likewise
};

const ScrewProperties& properties(ScrewGauge gauge);
const std::array<ScrewProperties, 14>& all_gauges();

} // namespace yes_square
