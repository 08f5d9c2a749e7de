// Stability and wardrobes against solutions found another way: statics solved as a linear system, the beam tables, and
// a rigid body tipped step by step.
#include "../core/piece_walls.hpp"
#include "core/measure/conversions.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/stability/tipping.hpp"
#include "core/storage/bay_contents.hpp"

#include <Eigen/Dense>
#include <catch2/catch.hpp>
#include <cmath>
#include <random>

using namespace yes_square;

namespace {

struct Placed {
    double x = 0; ///< towards the room
    double y = 0; ///< up
};

/// Where a place of the piece is once it has turned about its front feet.
Placed turned(double back, double up, double lean) {
    return {-back * std::cos(lean) + up * std::sin(lean), back * std::sin(lean) + up * std::cos(lean)};
}

/// The upward push of the floor, or of what its rear is raised on, on the rear feet: from the three equations of
/// equilibrium of a rigid body on two supports, the front one held against sliding. Less than 0: it would have to pull.
double rear_reaction(const std::vector<TipWeight>& weights, const std::optional<TipPull>& pull, double lean,
                     Placed rear) {
    Eigen::Matrix3d equations; // of front across, front up, rear up
    equations << 1, 0, 0,      // forces across
        0, 1, 1,               // forces up
        0, 0, rear.x;          // moments about the front feet, against the clock
    Eigen::Vector3d loads{0, 0, 0};
    for (const TipWeight& weight : weights) {
        const double n = weight.mass.in_kg() * standard_gravity;
        loads += Eigen::Vector3d{0, n, n * turned(weight.back, weight.up, lean).x};
    }
    if (pull)
        loads += Eigen::Vector3d{-pull->force.in_newtons(), 0,
                                 pull->force.in_newtons() * turned(pull->back, pull->up, lean).y};
    return equations.fullPivLu().solve(loads)[2];
}

} // namespace

TEST_CASE("a piece tips just when equilibrium would have its rear feet pull on the floor", "[reference][stability]") {
    std::mt19937 random{20261126};
    const auto between = [&](double low, double high) { return std::uniform_real_distribution{low, high}(random); };
    int tipped = 0;
    for (int i = 0; i < 2000; ++i) {
        std::vector<TipWeight> weights;
        for (int k = 0; k < 4; ++k)
            weights.push_back({"part", Mass::kg(between(2, 40)), between(-0.4, 0.5), between(0.05, 1.8)});
        const double lean = between(0, 0.06);
        std::optional<TipPull> pull;
        if (i % 2 == 0)
            pull = TipPull{Force::newtons(between(10, 200)), between(-0.1, 0.1), between(0.4, 1.42)};
        const TipBalance balance = tip_balance(weights, pull, lean);
        const Placed feet = turned(0.5, 0, lean);
        const double rear = rear_reaction(weights, pull, lean, feet);
        CHECK(balance.margin() == Approx(rear * -feet.x).margin(1e-9));
        CHECK(balance.tips() == (rear <= 0));
        tipped += balance.tips();
    }
    CHECK(tipped > 200); // both ways are met
    CHECK(tipped < 1800);
}

TEST_CASE("leaned step by step it goes at the angle that is told", "[reference][stability]") {
    std::mt19937 random{7};
    const auto between = [&](double low, double high) { return std::uniform_real_distribution{low, high}(random); };
    for (int i = 0; i < 200; ++i) {
        const std::vector<TipWeight> weights{
            {"body", Mass::kg(between(10, 80)), between(0.1, 0.4), between(0.3, 1.1)},
            {"drawer", Mass::kg(between(1, 12)), between(-0.3, 0.3), between(0.2, 1.2)}};
        const TipBalance level = tip_balance(weights, std::nullopt, 0);
        if (level.tips())
            continue;
        double lean = 0;
        while (!tip_balance(weights, std::nullopt, lean).tips())
            lean += 1e-4;
        CHECK(level.goes_at == Approx(lean).margin(1.1e-4));
    }
}

TEST_CASE("rods and shelves of a bay sag as the beam tables say", "[reference][storage]") {
    // Simple span, uniform load: 5 w L4 / 384 E I and w L2 / 8 (AISC Steel Construction Manual, beam diagrams, case 1).
    StorageSystem system = system_of({BayKind::double_hanging, BayKind::shelves});
    system.width = 1700_mm;
    for (const PoleStuff stuff : {PoleStuff::steel, PoleStuff::aluminium}) {
        system.rod_stuff = stuff;
        const BayPlan bay = system_plan(system_job(system)).bays.front();
        const double modulus = stuff == PoleStuff::steel ? 210e9 : 70e9;
        const double inertia = M_PI / 64 * (std::pow(0.025, 4) - std::pow(0.025 - 0.0024, 4));
        const double length = bay.rods.front().cut.in_metres();
        const double w = bay.rods.front().load.in_newtons() / length;
        CHECK(bay.rods.front().sag.long_term == Approx(5 * w * std::pow(length, 4) / (384 * modulus * inertia)));
        CHECK(bay.rods.front().sag.limit == Approx(length / 200));
    }
}
