#include "beams.hpp"

#include <cmath>

namespace opinion {

Walked influence(double length, const std::vector<double>& supports) {
    std::vector<double> nodes{0.0, length};
    for (double s : supports)
        nodes.push_back(s);
    for (int i = 1; i < 80; ++i)
        nodes.push_back(length * i / 80);
    std::sort(nodes.begin(), nodes.end());
    nodes.erase(std::unique(nodes.begin(), nodes.end(), [](double a, double b) { return b - a < 1e-6; }), nodes.end());
    const auto n = static_cast<Eigen::Index>(nodes.size());
    Eigen::MatrixXd k = Eigen::MatrixXd::Zero(2 * n, 2 * n);
    for (Eigen::Index e = 0; e + 1 < n; ++e) {
        const double l = nodes[e + 1] - nodes[e];
        Eigen::Matrix4d one;
        one << 12, 6 * l, -12, 6 * l, 6 * l, 4 * l * l, -6 * l, 2 * l * l, -12, -6 * l, 12, -6 * l, 6 * l, 2 * l * l,
            -6 * l, 4 * l * l;
        k.block<4, 4>(2 * e, 2 * e) += one / (l * l * l);
    }
    std::vector<Eigen::Index> held;
    for (double s : supports)
        held.push_back(std::min_element(nodes.begin(), nodes.end(),
                                        [&](double a, double b) { return std::abs(a - s) < std::abs(b - s); }) -
                       nodes.begin());
    Eigen::MatrixXd fixed = k;
    for (Eigen::Index h : held) {
        fixed.row(2 * h).setZero();
        fixed.col(2 * h).setZero();
        fixed(2 * h, 2 * h) = 1;
    }
    const Eigen::PartialPivLU<Eigen::MatrixXd> solve{fixed};
    Walked walked{std::vector<double>(supports.size(), 0.0), std::vector<double>(supports.size(), 0.0)};
    for (Eigen::Index at = 0; at < n; ++at) {
        Eigen::VectorXd load = Eigen::VectorXd::Zero(2 * n);
        load(2 * at) = 1;
        Eigen::VectorXd free = load;
        for (Eigen::Index h : held)
            free(2 * h) = 0;
        const Eigen::VectorXd moved = solve.solve(free);
        const Eigen::VectorXd reaction = load - k * moved;
        for (std::size_t i = 0; i < held.size(); ++i) {
            walked.greatest[i] = std::max(walked.greatest[i], reaction(2 * held[i]));
            walked.least[i] = std::min(walked.least[i], reaction(2 * held[i]));
        }
    }
    return walked;
}

const std::map<std::string, Board> boards{{"mdf", {2.2e9, 20e6, 2.25, 3, 0.20, 0.65, 780}},
                                          {"mdf_moisture_resistant", {2.2e9, 20e6, 2.25, 3, 0.20, 0.65, 780}},
                                          {"particleboard_p2", {1.6e9, 11e6, 2.25, 3, 0.30, 0.85, 700}},
                                          {"particleboard_p5", {1.6e9, 16e6, 2.25, 3, 0.30, 0.85, 720}},
                                          {"osb3", {3.5e9, 18e6, 1.5, 2.25, 0.40, 0.90, 650}},
                                          {"birch_plywood", {9.0e9, 30e6, 0.8, 1, 0.60, 0.90, 700}},
                                          {"plywood", {6.0e9, 15e6, 0.8, 1, 0.60, 0.90, 600}},
                                          {"eastern_white_pine", {8.5e9, 14e6, 0.6, 0.8, 0.60, 0.90, 400}},
                                          {"ponderosa_pine", {8.9e9, 14e6, 0.6, 0.8, 0.60, 0.90, 450}},
                                          {"yellow_poplar", {10.9e9, 18e6, 0.6, 0.8, 0.60, 0.90, 470}},
                                          {"douglas_fir", {13.4e9, 18e6, 0.6, 0.8, 0.60, 0.90, 530}},
                                          {"red_oak", {12.5e9, 30e6, 0.6, 0.8, 0.60, 0.90, 700}},
                                          {"sugar_maple", {12.6e9, 30e6, 0.6, 0.8, 0.60, 0.90, 705}}};

} // namespace opinion
