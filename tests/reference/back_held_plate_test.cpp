#include "core/job/materials.hpp"
#include "core/statics/back_held.hpp"

#include <catch2/catch.hpp>
#include <cmath>
#include <cstdlib>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <map>
#include <sstream>
#include <vector>

using namespace yes_square;

/// A board held along its back and at both ends, as a plate: in CalculiX, an independent finite-element program, and in
/// Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, uniformly loaded plates with three edges simply
/// supported and one free (from memory).
namespace {

constexpr double thick = 18;      // mm
constexpr double pressure = 1e-3; // N/mm2
constexpr double modulus = 3000;  // N/mm2, along the board

/// Sag of the middle of the front edge, mm. `across` and `shear` in N/mm2; isotropic where `across` is 0.
double calculix(double span, double depth, double across, double shear) {
    constexpr int columns = 28;
    constexpr int rows = 14;
    std::map<std::pair<int, int>, int> numbers;
    std::string nodes = "*NODE,NSET=NALL\n";
    const auto node = [&](int i, int j) {
        const auto [at, fresh] = numbers.try_emplace({i, j}, static_cast<int>(numbers.size()) + 1);
        if (fresh)
            nodes += fmt::format("{},{:.6f},{:.6f},0.\n", at->second, span * i / (2 * columns), depth * j / (2 * rows));
        return at->second;
    };
    std::string elements = "*ELEMENT,TYPE=S8R,ELSET=BOARD\n";
    for (int column = 0; column < columns; ++column)
        for (int row = 0; row < rows; ++row) {
            const int i = 2 * column;
            const int j = 2 * row;
            const std::vector<int> corners{node(i, j),     node(i + 2, j),     node(i + 2, j + 2), node(i, j + 2),
                                           node(i + 1, j), node(i + 2, j + 1), node(i + 1, j + 2), node(i, j + 1)};
            elements += fmt::format("{},{}\n", column * rows + row + 1, fmt::join(corners, ","));
        }
    std::string deck = nodes + elements + "*MATERIAL,NAME=M\n";
    if (across == 0)
        deck += fmt::format("*ELASTIC\n{},0.3\n*SHELL SECTION,ELSET=BOARD,MATERIAL=M\n{}\n", modulus, thick);
    else
        deck += fmt::format("*ELASTIC,TYPE=ENGINEERING CONSTANTS\n{0},{1},{1},0.1,0.1,0.1,{2},{2},\n{2},294.\n"
                            "*ORIENTATION,NAME=O,SYSTEM=RECTANGULAR\n1.,0.,0.,0.,1.,0.\n"
                            "*SHELL SECTION,ELSET=BOARD,MATERIAL=M,ORIENTATION=O\n{3}\n",
                            modulus, across, shear, thick);
    deck += "*BOUNDARY\n";
    for (const auto& [place, number] : numbers)
        if (place.first == 0 || place.first == 2 * columns || place.second == 0)
            deck += fmt::format("{},3,3\n", number);
    deck += fmt::format("{},1,2\n{},2,2\n*STEP\n*STATIC\n*DLOAD\nBOARD,P,{:.6f}\n*NODE PRINT,NSET=NALL\nU\n*END STEP\n",
                        numbers[{0, 0}], numbers[{2 * columns, 0}], -pressure);

    const auto folder = std::filesystem::temp_directory_path() / fmt::format("yes-square-plate-{}", std::rand());
    std::filesystem::create_directory(folder);
    std::ofstream{folder / "board.inp"} << deck;
    REQUIRE(std::system(
                fmt::format("cd {} && OMP_NUM_THREADS=1 ccx -i board > log.txt 2>&1", folder.string()).c_str()) == 0);
    std::ifstream results{folder / "board.dat"};
    const int wanted = numbers[{columns, 2 * rows}];
    double sag = 0;
    for (std::string line; std::getline(results, line);) {
        std::istringstream row{line};
        int number = 0;
        double x = 0;
        double y = 0;
        double z = 0;
        if (row >> number >> x >> y >> z && number == wanted)
            sag = std::abs(z);
    }
    std::filesystem::remove_all(folder);
    REQUIRE(sag > 0);
    return sag;
}

double plain_span(double span) {
    return 5 * pressure * std::pow(span, 4) / (384 * modulus * std::pow(thick, 3) / 12);
}

double share(double span, double depth, double shear) {
    return back_held_share(Length::nearest_to_metres(span / 1000), Length::nearest_to_metres(depth / 1000), shear);
}

} // namespace

TEST_CASE("a board along a cleat sags no more than it is reckoned to, and little less, as a plate of finite elements",
          "[statics][reference][slow]") {
    struct Board {
        BoardMaterial material;
        double across; ///< modulus across over that along; 0: as along
    };
    for (const Board& board : {Board{BoardMaterial::mdf, 0}, Board{BoardMaterial::plywood, 0.5},
                               Board{BoardMaterial::ponderosa_pine, 1.0 / 15}})
        for (const auto& [span, depth] : {std::pair{700.0, 350.0}, {900.0, 300.0}, {700.0, 250.0}}) {
            const double shear = shear_share(board.material);
            const double sag = calculix(span, depth, board.across * modulus, shear * modulus) / plain_span(span);
            INFO(static_cast<int>(board.material) << ": " << span << " x " << depth << ", " << sag);
            CHECK(sag <= share(span, depth, shear));
            CHECK(sag >= 0.8 * share(span, depth, shear));
        }
}

TEST_CASE("it is on the safe side of the table for plates on three edges", "[statics][standard]") {
    // Depth over span, w = alpha q a^4 / D at the middle of the free edge, nu 0.3 (from memory).
    const std::pair<double, double> table[]{{0.5, 0.00710}, {2.0 / 3, 0.00968}, {1.0, 0.01286}};
    for (const auto& [depth, alpha] : table) {
        const double strip = 5.0 / 384 / (1 - 0.3 * 0.3); // of the plain span, in q a^4 / D
        CHECK(share(700, 700 * depth, 1 / 2.6) >= alpha / strip);
        CHECK(share(700, 700 * depth, 1 / 2.6) <= 1.2 * alpha / strip);
    }
}
