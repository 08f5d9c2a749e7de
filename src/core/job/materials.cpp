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
// Densities are usual upper figures (common practice). Bending strengths: EN 622-5, EN 312, EN 300, EN 636 and EN 338
// classes that such boards reach, all from memory and on the low side.
constexpr std::array<BoardProperties, 13> boards{{
    {BoardMaterial::mdf, "mdf", "MDF", 2.2_gpa, 780_kg_m3, 2.25, 0, 20_mpa, 0.20, 0.65, en622, ec5},
    {BoardMaterial::mdf_moisture_resistant, "mdf_moisture_resistant", "MDF, moisture-resistant", 2.2_gpa, 780_kg_m3,
     2.25, 3.00, 20_mpa, 0.20, 0.65, en622, ec5},
    {BoardMaterial::particleboard_p2, "particleboard_p2", "Particleboard P2", 1.6_gpa, 700_kg_m3, 2.25, 0, 11_mpa, 0.30,
     0.85, en312, ec5},
    {BoardMaterial::particleboard_p5, "particleboard_p5", "Particleboard P5", 1.6_gpa, 720_kg_m3, 2.25, 3.00, 16_mpa,
     0.30, 0.85, en312, ec5},
    {BoardMaterial::osb3, "osb3", "OSB/3", 3.5_gpa, 650_kg_m3, 1.50, 2.25, 18_mpa, 0.40, 0.90, en300, ec5},
    {BoardMaterial::birch_plywood, "birch_plywood", "Birch plywood", 9.0_gpa, 700_kg_m3, 0.80, 1.00, 30_mpa, 0.60, 0.90,
     plywood_practice, ec5},
    {BoardMaterial::plywood, "plywood", "Plywood", 6.0_gpa, 600_kg_m3, 0.80, 1.00, 15_mpa, 0.60, 0.90, plywood_practice,
     ec5},
    {BoardMaterial::eastern_white_pine, "eastern_white_pine", "Eastern white pine", 8.5_gpa, 400_kg_m3, 0.60, 0.80,
     14_mpa, 0.60, 0.90, wood_handbook, ec5},
    {BoardMaterial::ponderosa_pine, "ponderosa_pine", "Ponderosa pine", 8.9_gpa, 450_kg_m3, 0.60, 0.80, 14_mpa, 0.60,
     0.90, wood_handbook, ec5},
    {BoardMaterial::yellow_poplar, "yellow_poplar", "Yellow-poplar", 10.9_gpa, 470_kg_m3, 0.60, 0.80, 18_mpa, 0.60,
     0.90, wood_handbook, ec5},
    {BoardMaterial::douglas_fir, "douglas_fir", "Douglas-fir", 13.4_gpa, 530_kg_m3, 0.60, 0.80, 18_mpa, 0.60, 0.90,
     wood_handbook, ec5},
    {BoardMaterial::red_oak, "red_oak", "Red oak", 12.5_gpa, 700_kg_m3, 0.60, 0.80, 30_mpa, 0.60, 0.90, wood_handbook,
     ec5},
    {BoardMaterial::sugar_maple, "sugar_maple", "Sugar maple", 12.6_gpa, 705_kg_m3, 0.60, 0.80, 30_mpa, 0.60, 0.90,
     wood_handbook, ec5},
}};

// NDS-2018 appendix L and table I1 (from memory); head diameters as screws are made, of coach screws across the flats.
// A wood screw's point is taken as 2 D long (house rule), a coach screw's as appendix L has it.
constexpr double gauge_in(std::int64_t micrometres) {
    return Length::micrometres(micrometres).in_inches();
}
// Metric screws: nominal and root diameters as the handbooks of EN 14592 and DIN 571 have them (0.64 to 0.65 of the
// nominal, 0.7 of coach screws), heads twice the nominal or across the flats, all from memory; points as above, of a
// coach screw its diameter; the bending yield of NDS is the lowest of its list (house rules).
constexpr ScrewProperties metric_screw(ScrewGauge gauge, std::string_view name, const char* words,
                                       std::int64_t diameter, std::int64_t root, std::int64_t head,
                                       bool coach = false) {
    return {gauge,
            name,
            words,
            gauge_in(diameter),
            gauge_in(root),
            gauge_in(head),
            coach ? 45'000_psi : 70'000_psi,
            (coach ? 1 : 2) * gauge_in(diameter),
            coach,
            TimberSchool::en};
}
constexpr std::array<ScrewProperties, 14> gauges{{
    {ScrewGauge::number_8, "#8", "#8 wood screw", 0.164, 0.131, 0.332, 90'000_psi, 2 * 0.164},
    {ScrewGauge::number_10, "#10", "#10 wood screw", 0.190, 0.152, 0.385, 80'000_psi, 2 * 0.190},
    {ScrewGauge::number_14, "#14", "#14 wood screw", 0.242, 0.196, 0.507, 70'000_psi, 2 * 0.242},
    {ScrewGauge::coach_quarter, "coach 1/4", "1/4 in coach screw", 0.250, 0.173, 0.4375, 70'000_psi, 5.0 / 32, true},
    {ScrewGauge::coach_five_sixteenths, "coach 5/16", "5/16 in coach screw", 0.3125, 0.227, 0.5, 60'000_psi, 3.0 / 16,
     true},
    {ScrewGauge::coach_three_eighths, "coach 3/8", "3/8 in coach screw", 0.375, 0.265, 0.5625, 45'000_psi, 7.0 / 32,
     true},
    metric_screw(ScrewGauge::metric_3_5, "3.5", "3.5 mm wood screw", 3500, 2240, 7000),
    metric_screw(ScrewGauge::metric_4, "4", "4 mm wood screw", 4000, 2600, 8000),
    metric_screw(ScrewGauge::metric_4_5, "4.5", "4.5 mm wood screw", 4500, 2900, 9000),
    metric_screw(ScrewGauge::metric_5, "5", "5 mm wood screw", 5000, 3200, 10'000),
    metric_screw(ScrewGauge::metric_6, "6", "6 mm wood screw", 6000, 3900, 12'000),
    metric_screw(ScrewGauge::coach_m6, "coach M6", "M6 coach screw", 6000, 4200, 10'000, true),
    metric_screw(ScrewGauge::coach_m8, "coach M8", "M8 coach screw", 8000, 5600, 13'000, true),
    metric_screw(ScrewGauge::coach_m10, "coach M10", "M10 coach screw", 10'000, 7000, 17'000, true),
}};

} // namespace

namespace {

constexpr double strength_factors = 1.3 * 1.5;

} // namespace

double shear_share(BoardMaterial material) {
    switch (material) {
    case BoardMaterial::mdf:
    case BoardMaterial::mdf_moisture_resistant:
    case BoardMaterial::particleboard_p2:
    case BoardMaterial::particleboard_p5:
        return 1 / 2.6;
    case BoardMaterial::osb3:
    case BoardMaterial::birch_plywood:
    case BoardMaterial::plywood:
        return 1.0 / 13;
    default:
        return 1.0 / 16;
    }
}

Pressure bending_stored(const BoardProperties& board) {
    return board.bending * board.kmod_stored / strength_factors;
}

Pressure bending_leaned(const BoardProperties& board) {
    return board.bending * board.kmod_leaned / strength_factors;
}

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
    case Species::c18:
    case Species::c24:
    case Species::c30:
        return 0.36;
    }
    std::abort();
}

Density characteristic_density(Species species) {
    switch (species) {
    case Species::spruce_pine_fir:
    case Species::c16:
        return 310_kg_m3;
    case Species::c18:
        return 320_kg_m3;
    case Species::southern_pine:
    case Species::douglas_fir_larch:
    case Species::c24:
        return 350_kg_m3;
    case Species::c30:
        return 380_kg_m3;
    case Species::red_oak:
        return 530_kg_m3;
    case Species::unknown:
    case Species::western_cedars:
        return 290_kg_m3;
    }
    std::abort();
}

Density characteristic_density(double gravity) {
    return gravity * 800_kg_m3;
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

const std::array<ScrewProperties, 14>& all_gauges() {
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
