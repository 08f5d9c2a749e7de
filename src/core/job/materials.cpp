#include "core/job/materials.hpp"

#include "core/job/house_rules.hpp"

#include <cstdlib>

namespace yes_square {
namespace {

constexpr Source wood_handbook{Provenance::from_memory, "Wood Handbook FPL-GTR-282 ch. 5"};
constexpr Source en622{Provenance::from_memory, "EN 622-5"};
constexpr Source en312{Provenance::from_memory, "EN 312"};
constexpr Source en300{Provenance::from_memory, "EN 300"};
constexpr Source plywood_practice{Provenance::common_practice};
constexpr Source ec5{Provenance::from_memory, "EN 1995-1-1 table 3.2"};

// Moduli for solid wood leave out the 10 % shear correction: the safe side. P2 borrows P4's creep factor.
// Densities are usual upper figures (common practice).
constexpr std::array<BoardProperties, 13> boards{{
    {BoardMaterial::mdf, "mdf", "MDF", 2.2, 780, 2.25, 0, en622, ec5},
    {BoardMaterial::mdf_moisture_resistant, "mdf_moisture_resistant", "MDF, moisture-resistant", 2.2, 780, 2.25, 3.00,
     en622, ec5},
    {BoardMaterial::particleboard_p2, "particleboard_p2", "Particleboard P2", 1.6, 700, 2.25, 0, en312, ec5},
    {BoardMaterial::particleboard_p5, "particleboard_p5", "Particleboard P5", 1.6, 720, 2.25, 3.00, en312, ec5},
    {BoardMaterial::osb3, "osb3", "OSB/3", 3.5, 650, 1.50, 2.25, en300, ec5},
    {BoardMaterial::birch_plywood, "birch_plywood", "Birch plywood", 9.0, 700, 0.80, 1.00, plywood_practice, ec5},
    {BoardMaterial::plywood, "plywood", "Plywood", 6.0, 600, 0.80, 1.00, plywood_practice, ec5},
    {BoardMaterial::eastern_white_pine, "eastern_white_pine", "Eastern white pine", 8.5, 400, 0.60, 0.80, wood_handbook,
     ec5},
    {BoardMaterial::ponderosa_pine, "ponderosa_pine", "Ponderosa pine", 8.9, 450, 0.60, 0.80, wood_handbook, ec5},
    {BoardMaterial::yellow_poplar, "yellow_poplar", "Yellow-poplar", 10.9, 470, 0.60, 0.80, wood_handbook, ec5},
    {BoardMaterial::douglas_fir, "douglas_fir", "Douglas-fir", 13.4, 530, 0.60, 0.80, wood_handbook, ec5},
    {BoardMaterial::red_oak, "red_oak", "Red oak", 12.5, 700, 0.60, 0.80, wood_handbook, ec5},
    {BoardMaterial::sugar_maple, "sugar_maple", "Sugar maple", 12.6, 705, 0.60, 0.80, wood_handbook, ec5},
}};

// NDS-2018 appendix L and table I1 (from memory); head diameters as wood screws are made.
constexpr std::array<ScrewProperties, 3> gauges{{
    {ScrewGauge::number_8, "#8", "#8 wood screw", 0.164, 0.131, 0.332, 90'000},
    {ScrewGauge::number_10, "#10", "#10 wood screw", 0.190, 0.152, 0.385, 80'000},
    {ScrewGauge::number_14, "#14", "#14 wood screw", 0.242, 0.196, 0.507, 70'000},
}};

} // namespace

double specific_gravity(Species species) {
    switch (species) {
    case Species::spruce_pine_fir:
        return 0.42;
    case Species::southern_pine:
        return 0.55;
    case Species::douglas_fir_larch:
        return 0.50;
    case Species::red_oak:
        return 0.67;
    case Species::unknown:
    case Species::western_cedars:
    case Species::c16:
        return 0.36;
    }
    std::abort();
}

const BoardProperties& properties(BoardMaterial material) {
    return boards[static_cast<std::size_t>(material)];
}

const std::array<BoardProperties, 13>& all_boards() {
    return boards;
}

const ScrewProperties& properties(ScrewGauge gauge) {
    return gauges[static_cast<std::size_t>(gauge)];
}

const std::array<ScrewProperties, 3>& all_gauges() {
    return gauges;
}

int divisor(SagLimit limit) {
    switch (limit) {
    case SagLimit::l_200:
        return 200;
    case SagLimit::l_300:
        return 300;
    case SagLimit::l_384:
        return 384;
    case SagLimit::l_600:
        return 600;
    }
    std::abort();
}

} // namespace yes_square
