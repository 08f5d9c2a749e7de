#include "../physical.hpp"
#include "core/statics/beam.hpp"

#include <Eigen/Dense>
#include <catch2/catch.hpp>
#include <random>

using namespace yes_square;

/// The same beam by another route: two-node cubic finite elements, deflection and slope at every node, Eigen's dense
/// solver, and every on/off pattern of the spans tried one by one.
namespace {

struct Finite {
    std::vector<double> sag;      ///< at the nodes
    std::vector<double> reaction; ///< at the supports
};

class FiniteBeam {
public:
    FiniteBeam(const Beam& beam, int per_stretch)
        : beam_{beam} {
        std::vector<double> ends = beam.supports;
        if (ends.front() > 0)
            ends.insert(ends.begin(), 0.0);
        if (ends.back() < beam.length)
            ends.push_back(beam.length);
        stretches = ends.size() - 1;
        nodes.push_back(ends.front());
        for (std::size_t s = 0; s < stretches; ++s)
            for (int i = 1; i <= per_stretch; ++i) {
                nodes.push_back(ends[s] + (ends[s + 1] - ends[s]) * i / per_stretch);
                stretch_of_element.push_back(s);
            }
    }

    Finite solve(const std::vector<double>& load_by_stretch) const {
        std::vector<double> on_element;
        for (const std::size_t stretch : stretch_of_element)
            on_element.push_back(load_by_stretch[stretch]);
        return solve_elements(on_element, std::vector<double>(nodes.size(), 0.0));
    }

    Finite solve_elements(const std::vector<double>& on_element, const std::vector<double>& at_node) const {
        const int size = 2 * static_cast<int>(nodes.size());
        Eigen::MatrixXd stiffness = Eigen::MatrixXd::Zero(size, size);
        Eigen::VectorXd load = Eigen::VectorXd::Zero(size);
        for (std::size_t e = 0; e + 1 < nodes.size(); ++e) {
            const double l = nodes[e + 1] - nodes[e];
            const double k = beam_.stiffness.in_si() / (l * l * l);
            Eigen::Matrix4d element;
            element << 12, 6 * l, -12, 6 * l, 6 * l, 4 * l * l, -6 * l, 2 * l * l, -12, -6 * l, 12, -6 * l, 6 * l,
                2 * l * l, -6 * l, 4 * l * l;
            stiffness.block<4, 4>(2 * e, 2 * e) += k * element;
            const double w = on_element[e];
            load.segment<4>(2 * e) += w * l / 2 * Eigen::Vector4d{1, l / 6, 1, -l / 6};
        }
        for (std::size_t n = 0; n < nodes.size(); ++n)
            load(2 * static_cast<int>(n)) += at_node[n];
        const Eigen::MatrixXd free_stiffness = stiffness;
        const Eigen::VectorXd free_load = load;
        std::vector<int> held;
        for (const double support : beam_.supports)
            for (std::size_t n = 0; n < nodes.size(); ++n)
                if (std::abs(nodes[n] - support) < 1e-12)
                    held.push_back(2 * static_cast<int>(n));
        for (const int row : held) {
            stiffness.row(row).setZero();
            stiffness.col(row).setZero();
            stiffness(row, row) = 1;
            load(row) = 0;
        }
        const Eigen::VectorXd moved = stiffness.fullPivLu().solve(load);
        const Eigen::VectorXd residual = free_load - free_stiffness * moved;
        Finite finite;
        for (std::size_t n = 0; n < nodes.size(); ++n)
            finite.sag.push_back(moved(2 * n));
        for (const int row : held)
            finite.reaction.push_back(residual(row));
        return finite;
    }

    std::size_t stretches = 0;
    std::vector<double> nodes;
    std::vector<std::size_t> stretch_of_element;

private:
    Beam beam_;
};

} // namespace

TEST_CASE("reactions and sags under every pattern agree with finite elements", "[statics][reference]") {
    std::mt19937 random{20261124};
    std::uniform_real_distribution<double> space{0.2, 0.9};
    std::uniform_real_distribution<double> end{0.0, 0.3};
    for (int round = 0; round < 12; ++round) {
        Beam beam{0, {}, 900.0_nm2};
        double x = round % 3 == 0 ? 0 : end(random);
        const int count = 2 + round % 4;
        for (int i = 0; i < count; ++i) {
            beam.supports.push_back(x);
            x += space(random);
        }
        beam.length = beam.supports.back() + (round % 2 == 0 ? 0 : end(random));
        const BeamLoad load{35_n_per_m, 360_n_per_m};
        const BeamResult ours = analyse(beam, load, 0.0);

        const FiniteBeam finite{beam, 16};
        std::vector<double> greatest(beam.supports.size(), -1e9);
        std::vector<double> least(beam.supports.size(), 1e9);
        std::vector<double> worst(finite.stretches, -1e9);
        for (unsigned pattern = 0; pattern < (1u << finite.stretches); ++pattern) {
            std::vector<double> loads(finite.stretches, load.permanent.in_si());
            for (std::size_t s = 0; s < finite.stretches; ++s)
                if (pattern & (1u << s))
                    loads[s] += load.variable.in_si();
            const Finite answer = finite.solve(loads);
            for (std::size_t i = 0; i < greatest.size(); ++i) {
                greatest[i] = std::max(greatest[i], answer.reaction[i]);
                least[i] = std::min(least[i], answer.reaction[i]);
            }
            for (std::size_t e = 0; e < finite.stretch_of_element.size(); ++e)
                for (const std::size_t node : {e, e + 1})
                    worst[finite.stretch_of_element[e]] =
                        std::max(worst[finite.stretch_of_element[e]], answer.sag[node]);
        }
        for (std::size_t i = 0; i < greatest.size(); ++i) {
            CHECK(ours.reactions[i].sustained == Approx(greatest[i]).epsilon(1e-6).margin(1e-6));
            CHECK(ours.reactions[i].least == Approx(least[i]).epsilon(1e-6).margin(1e-6));
        }
        REQUIRE(ours.sags.size() == worst.size());
        // The nodes may miss the worst place by half an element.
        for (std::size_t s = 0; s < worst.size(); ++s)
            CHECK(ours.sags[s].instantaneous == Approx(worst[s]).epsilon(0.006).margin(1e-7));
    }
}

TEST_CASE("loads on parts of a beam agree with finite elements", "[statics][reference]") {
    // The loads begin and end at nodes; point loads go on nodes of their own, which are the ends of elements.
    std::mt19937 random{20261125};
    std::uniform_real_distribution<double> space{0.3, 0.9};
    std::uniform_real_distribution<double> weight{50, 400};
    constexpr int per_stretch = 16;
    for (int round = 0; round < 10; ++round) {
        Beam beam{0, {}, 750.0_nm2};
        double x = round % 2 == 0 ? 0 : 0.2;
        for (int i = 0; i < 2 + round % 3; ++i) {
            beam.supports.push_back(x);
            x += space(random);
        }
        beam.length = beam.supports.back() + (round % 3 == 0 ? 0 : 0.25);
        const FiniteBeam finite{beam, per_stretch};
        BeamLoad load{30_n_per_m, 0};
        std::vector<double> on_element(finite.stretch_of_element.size(), load.permanent.in_si());
        const std::size_t first = static_cast<std::size_t>(round) % on_element.size();
        const std::size_t last = std::min(on_element.size(), first + 9);
        const double w = weight(random);
        load.goods.parts.push_back({finite.nodes[first], finite.nodes[last], LineLoad::newtons_per_metre(w)});
        for (std::size_t e = first; e < last; ++e)
            on_element[e] += w;
        std::vector<double> at_node(finite.nodes.size(), 0.0);
        at_node[last] += 120;
        load.goods.points.push_back({finite.nodes[last], 120_n});
        const Finite answer = finite.solve_elements(on_element, at_node);

        // All goods on at once: what analyse() calls everything loaded.
        const BeamResult ours = analyse(beam, load, 0.0);
        for (std::size_t i = 0; i < beam.supports.size(); ++i)
            CHECK(ours.reactions[i].all_loaded == Approx(answer.reaction[i]).epsilon(1e-6).margin(1e-6));
    }
}
