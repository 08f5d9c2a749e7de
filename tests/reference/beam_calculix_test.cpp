#include "core/statics/beam.hpp"

#include <catch2/catch.hpp>
#include <cmath>
#include <cstdlib>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <sstream>

using namespace yes_square;

/// The same shelf in CalculiX, an independent finite-element program: quadratic beams of a small square section, so
/// that shear deflection is nothing.
namespace {

constexpr double element = 20;                                  // mm
constexpr double modulus = 10'000;                              // N/mm2
constexpr double side = 4;                                      // mm
constexpr double ei = modulus * side * side * side * side / 12; // N mm2

struct Node {
    double sag = 0;
    double reaction = 0;
};

/// @param supports in mm, multiples of half an element  @param load N/mm on each element
std::vector<Node> calculix(double length, const std::vector<double>& supports, const std::vector<double>& load) {
    const auto elements = load.size();
    std::vector<double> force(2 * elements + 1, 0.0);
    std::string deck = "*NODE,NSET=NALL\n";
    for (std::size_t n = 0; n <= 2 * elements; ++n)
        deck += fmt::format("{},{:.6f},0.,0.\n", n + 1,
                            length * static_cast<double>(n) / (2.0 * static_cast<double>(elements)));
    deck += "*ELEMENT,TYPE=B32R,ELSET=BEAM\n";
    for (std::size_t e = 0; e < elements; ++e) {
        deck += fmt::format("{},{},{},{}\n", e + 1, 2 * e + 1, 2 * e + 2, 2 * e + 3);
        // Consistent nodal loads of a quadratic element: 1/6, 4/6, 1/6.
        const double total = load[e] * length / static_cast<double>(elements);
        force[2 * e] += total / 6;
        force[2 * e + 1] += 4 * total / 6;
        force[2 * e + 2] += total / 6;
    }
    deck += fmt::format("*MATERIAL,NAME=M\n*ELASTIC\n{:.1f},0.0\n*BEAM SECTION,ELSET=BEAM,MATERIAL=M,SECTION=RECT\n"
                        "{:.1f},{:.1f}\n0.,1.,0.\n*BOUNDARY\n",
                        modulus, side, side);
    for (std::size_t i = 0; i < supports.size(); ++i)
        deck += fmt::format("{},{},{}\n", std::lround(supports[i] / element * 2) + 1, i == 0 ? 1 : 2, i == 0 ? 4 : 3);
    deck += "*STEP\n*STATIC\n*CLOAD\n";
    for (std::size_t n = 0; n < force.size(); ++n)
        deck += fmt::format("{},2,{:.10f}\n", n + 1, -force[n]);
    deck += "*NODE PRINT,NSET=NALL\nU,RF\n*END STEP\n";

    const auto folder = std::filesystem::temp_directory_path() / fmt::format("yes-square-ccx-{}", std::rand());
    std::filesystem::create_directory(folder);
    std::ofstream{folder / "beam.inp"} << deck;
    REQUIRE(std::system(
                fmt::format("cd {} && OMP_NUM_THREADS=1 ccx -i beam > log.txt 2>&1", folder.string()).c_str()) == 0);
    std::ifstream results{folder / "beam.dat"};
    std::vector<Node> nodes(force.size());
    bool forces = false;
    for (std::string line; std::getline(results, line);) {
        if (line.find("forces") != std::string::npos)
            forces = true;
        std::istringstream row{line};
        std::size_t node = 0;
        double x = 0;
        double y = 0;
        if (row >> node >> x >> y && node >= 1 && node <= nodes.size())
            // The reaction printed leaves out the load applied at the node itself.
            forces ? nodes[node - 1].reaction = y + force[node - 1] : nodes[node - 1].sag = -y;
    }
    std::filesystem::remove_all(folder);
    return nodes;
}

} // namespace

TEST_CASE("reactions and sags agree with CalculiX, overhangs and one loaded span included", "[statics][reference]") {
    const double length = 2000;
    const std::vector<double> supports{120, 820, 1720};
    const double goods = 7e-5; // N/mm
    // The last span loaded and the overhang two supports away, the rest bare: the worst for its sag.
    std::vector<double> load(static_cast<std::size_t>(length / element), 0.0);
    for (std::size_t e = 0; e < load.size(); ++e) {
        const double middle = (static_cast<double>(e) + 0.5) * element;
        if (middle < supports[0] || (middle > supports[1] && middle < supports[2]))
            load[e] = goods;
    }
    const std::vector<Node> nodes = calculix(length, supports, load);
    double deepest = 0;
    for (const Node& node : nodes)
        deepest = std::max(deepest, node.sag);

    Beam beam{length / 1000, {}, Stiffness::newton_square_metres(ei / 1e6)};
    for (const double support : supports)
        beam.supports.push_back(support / 1000);
    const BeamResult ours = analyse(beam, {0, LineLoad::newtons_per_metre(goods * 1000)}, 0);
    REQUIRE(ours.sags.size() == 4);
    CHECK(ours.sags[2].instantaneous * 1000 == Approx(deepest).epsilon(0.001));

    // Everything loaded: the reactions one by one.
    const std::vector<Node> full = calculix(length, supports, std::vector<double>(load.size(), goods));
    for (std::size_t i = 0; i < supports.size(); ++i) {
        const double reaction = full[static_cast<std::size_t>(std::lround(supports[i] / element * 2))].reaction;
        CHECK(ours.reactions[i].all_loaded == Approx(reaction).epsilon(0.001));
    }
}
