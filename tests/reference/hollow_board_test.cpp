#include "core/shelves/board_section.hpp"
#include "core/shelves/new_shelf.hpp"

#include <catch2/catch.hpp>
#include <cstdlib>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <sstream>

using namespace yes_square;

/// A hollow board in CalculiX, an independent finite-element program: skins and strips as plane elements, a layer each,
/// their moduli times their breadths on a breadth of 1. What it takes for bending and for shear nobody tells it.
namespace {

constexpr int along = 80;    // elements
constexpr double clear = 70; // mm between the strips
constexpr int strip_layers = 4;

struct Layer {
    double height; // mm
    int elements;
    const char* name;
};

/// Sag at the middle of a simple span under q N/mm, mm.
double sag_by_calculix(double length, double thickness, double skin, double skin_modulus, double strip_modulus,
                       double strip_shear, double q) {
    const std::vector<Layer> layers{
        {skin, 1, "LOWER"}, {thickness - 2 * skin, strip_layers, "STRIPS"}, {skin, 1, "UPPER"}};
    std::vector<double> heights{0}; // of corner and mid-side rows
    for (const Layer& layer : layers)
        for (int i = 0; i < layer.elements; ++i) {
            const double high = layer.height / layer.elements;
            heights.push_back(heights.back() + high / 2);
            heights.push_back(heights.back() + high / 2);
        }
    const int rows = static_cast<int>(heights.size());
    const auto node = [&](int column, int row) { return column * rows + row + 1; };
    std::string deck = "*NODE,NSET=NALL\n";
    for (int column = 0; column <= 2 * along; ++column)
        for (int row = 0; row < rows; ++row)
            if (column % 2 == 0 || row % 2 == 0)
                deck += fmt::format("{},{:.6f},{:.6f},0.\n", node(column, row), length * column / (2 * along),
                                    heights[static_cast<std::size_t>(row)]);
    int element = 0;
    int row = 0;
    for (const Layer& layer : layers) {
        deck += fmt::format("*ELEMENT,TYPE=CPS8,ELSET={}\n", layer.name);
        for (int i = 0; i < layer.elements; ++i, row += 2)
            for (int column = 0; column < 2 * along; column += 2)
                deck += fmt::format("{},{},{},{},{},{},{},{},{}\n", ++element, node(column, row), node(column + 2, row),
                                    node(column + 2, row + 2), node(column, row + 2), node(column + 1, row),
                                    node(column + 2, row + 1), node(column + 1, row + 2), node(column, row + 1));
    }
    deck += fmt::format("*MATERIAL,NAME=SKIN\n*ELASTIC\n{:.3f},0.3\n"
                        "*MATERIAL,NAME=STRIP\n*ELASTIC,TYPE=ENGINEERING CONSTANTS\n{:.3f},{:.3f},{:.3f},0.3,0.3,0.3,"
                        "{:.3f},{:.3f}\n{:.3f}\n",
                        skin_modulus, strip_modulus, strip_modulus / 10, strip_modulus / 10, strip_shear, strip_shear,
                        strip_shear);
    deck += "*SOLID SECTION,ELSET=LOWER,MATERIAL=SKIN\n1.\n*SOLID SECTION,ELSET=UPPER,MATERIAL=SKIN\n1.\n"
            "*SOLID SECTION,ELSET=STRIPS,MATERIAL=STRIP\n1.\n*BOUNDARY\n";
    // Held up over its whole thickness at both ends, so that no support dents it.
    for (const int column : {0, 2 * along})
        for (int r = 0; r < rows; ++r)
            deck += fmt::format("{},2,2\n", node(column, r));
    deck += fmt::format("{},1,1\n", node(along, rows / 2));
    deck += "*STEP\n*STATIC\n*CLOAD\n";
    const double each = q * length / along;
    for (int column = 0; column <= 2 * along; ++column) {
        // Consistent loads of quadratic sides: 1/6, 4/6, 1/6.
        const double share = column % 2 == 1 ? 4.0 / 6 : column == 0 || column == 2 * along ? 1.0 / 6 : 2.0 / 6;
        deck += fmt::format("{},2,{:.9f}\n", node(column, rows - 1), -each * share);
    }
    deck += "*NODE PRINT,NSET=NALL\nU\n*END STEP\n";
    const auto folder = std::filesystem::temp_directory_path() / fmt::format("yes-square-hollow-{}", std::rand());
    std::filesystem::create_directory(folder);
    std::ofstream{folder / "board.inp"} << deck;
    REQUIRE(std::system(
                fmt::format("cd {} && OMP_NUM_THREADS=1 ccx -i board > log.txt 2>&1", folder.string()).c_str()) == 0);
    std::ifstream results{folder / "board.dat"};
    double sag = 0;
    for (std::string line; std::getline(results, line);) {
        std::istringstream words{line};
        int which = 0;
        double x = 0;
        double y = 0;
        if (words >> which >> x >> y && which == node(along, rows / 2))
            sag = -y;
    }
    std::filesystem::remove_all(folder);
    return sag;
}

} // namespace

TEST_CASE("a hollow board sags as finite elements have it, shear of what joins its skins included",
          "[boards][reference]") {
    for (const auto& [length, strip] : {std::pair{1200.0, 40.0}, std::pair{800.0, 20.0}, std::pair{500.0, 10.0}}) {
        Shelf shelf;
        shelf.length = Length::nearest_to_metres(length / 1000);
        shelf.depth = Length::nearest_to_metres((2 * strip + clear) / 1000); // no more than counts in full
        shelf.thickness = 40_mm;
        shelf.material = BoardMaterial::mdf;
        shelf.hollow = HollowBoard{};
        shelf.hollow->front = shelf.hollow->back = Length::nearest_to_metres(strip / 1000);
        const Section section = board_section(shelf);
        const double skin = properties(BoardMaterial::mdf).modulus.in_megapascals() * (2 * strip + clear);
        const double strips = properties(BoardMaterial::eastern_white_pine).modulus.in_megapascals() * 2 * strip;
        const double q = 0.4;
        const double theirs = sag_by_calculix(length, 40, 4, skin, strips, strips / 16, q);
        const double stiffness =
            with_shear(section, shelf.length, Length{}, 2).in_newton_square_metres() * 1e6; // N mm2
        const double ours = 5 * q * std::pow(length, 4) / 384 / stiffness;
        INFO(length << " mm, strips of " << strip << ": " << ours << " against " << theirs);
        CHECK(ours == Approx(theirs).epsilon(0.03));
        // Shear matters here: without it the shortest would be well off.
        const double without = 5 * q * std::pow(length, 4) / 384 / (section.stiffness.in_newton_square_metres() * 1e6);
        CHECK(without < theirs);
    }
}
