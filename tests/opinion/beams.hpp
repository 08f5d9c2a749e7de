#pragma once

#include <Eigen/Dense>
#include <algorithm>
#include <map>
#include <string>
#include <utility>
#include <vector>

/// Boards as beams, by beam elements.
namespace opinion {

/// The greatest and least reaction of each support under 1 N that walks along a beam, by beam elements.
struct Walked {
    std::vector<double> greatest, least;
};
Walked influence(double length, const std::vector<double>& supports);

/// A board: modulus and bending strength in Pa, creep dry and damp, kmod for what is stored and for people, kg/m3.
struct Board {
    double e, f, dry, damp, stored, leaned, density;
};
/// EN 622-5, EN 312, EN 300, Wood Handbook chapter 5; EN 1995-1-1 tables 3.1 and 3.2 (from memory).
extern const std::map<std::string, Board> boards;

/// A beam on points, loaded evenly stretch by stretch in every pattern, by beam elements.
class Bent {
public:
    /// @param dead, live  N/m
    Bent(double length, std::vector<double> supports, double stiffness, double dead, double live)
        : supports_{std::move(supports)} {
        std::vector<double> ends{0.0, length};
        ends.insert(ends.end(), supports_.begin(), supports_.end());
        std::sort(ends.begin(), ends.end());
        ends.erase(std::unique(ends.begin(), ends.end(), [](double a, double b) { return b - a < 1e-6; }), ends.end());
        constexpr int parts = 24;
        for (std::size_t s = 0; s + 1 < ends.size(); ++s)
            for (int i = 0; i < parts; ++i) {
                nodes.push_back(ends[s] + (ends[s + 1] - ends[s]) * i / parts);
                stretch_.push_back(s);
            }
        nodes.push_back(ends.back());
        const auto n = static_cast<Eigen::Index>(nodes.size());
        Eigen::MatrixXd k = Eigen::MatrixXd::Zero(2 * n, 2 * n);
        for (Eigen::Index e = 0; e + 1 < n; ++e)
            k.block<4, 4>(2 * e, 2 * e) += element(e, stiffness);
        for (double s : supports_) {
            const Eigen::Index h =
                std::min_element(nodes.begin(), nodes.end(),
                                 [&](double a, double b) { return std::abs(a - s) < std::abs(b - s); }) -
                nodes.begin();
            k.row(2 * h).setZero();
            k.col(2 * h).setZero();
            k(2 * h, 2 * h) = 1;
            held_.push_back(h);
        }
        const Eigen::PartialPivLU<Eigen::MatrixXd> solve{k};
        sag.assign(nodes.size(), 0.0);
        hog.assign(nodes.size(), 0.0);
        sagging.assign(nodes.size(), 0.0);
        // Dead load lies everywhere; live load on those stretches that make it worse there.
        for (std::size_t s = 0; s + 1 < ends.size(); ++s) {
            const auto [moved, moment] = under(s, solve, stiffness);
            for (std::size_t i = 0; i < nodes.size(); ++i) {
                sag[i] += dead * moved[i] + live * std::max(0.0, moved[i]);
                sagging[i] += dead * moment[i] + live * std::max(0.0, moment[i]);
                hog[i] += dead * moment[i] + live * std::min(0.0, moment[i]);
            }
        }
    }

    std::vector<double> nodes, sag, sagging, hog; ///< m, N m

    double at(double x) const {
        const auto right = std::min<std::size_t>(
            nodes.size() - 1,
            static_cast<std::size_t>(std::lower_bound(nodes.begin(), nodes.end(), x) - nodes.begin()));
        if (right == 0 || nodes[right] <= x)
            return sag[right];
        const double share = (x - nodes[right - 1]) / (nodes[right] - nodes[right - 1]);
        return sag[right - 1] + share * (sag[right] - sag[right - 1]);
    }
    double greatest_moment() const {
        return std::max(*std::max_element(sagging.begin(), sagging.end()), -*std::min_element(hog.begin(), hog.end()));
    }

private:
    Eigen::Matrix4d element(Eigen::Index e, double stiffness) const {
        const double l = nodes[e + 1] - nodes[e];
        Eigen::Matrix4d one;
        one << 12, 6 * l, -12, 6 * l, 6 * l, 4 * l * l, -6 * l, 2 * l * l, -12, -6 * l, 12, -6 * l, 6 * l, 2 * l * l,
            -6 * l, 4 * l * l;
        return one * stiffness / (l * l * l);
    }
    /// Down at every node, and the moment there (sagging positive), under 1 N/m on one stretch.
    std::pair<std::vector<double>, std::vector<double>>
    under(std::size_t stretch, const Eigen::PartialPivLU<Eigen::MatrixXd>& solve, double stiffness) const {
        const auto n = static_cast<Eigen::Index>(nodes.size());
        Eigen::VectorXd load = Eigen::VectorXd::Zero(2 * n);
        const auto even = [&](Eigen::Index e) -> Eigen::Vector4d {
            const double l = nodes[e + 1] - nodes[e];
            const double w = stretch_[static_cast<std::size_t>(e)] == stretch ? 1 : 0;
            return Eigen::Vector4d{w * l / 2, w * l * l / 12, w * l / 2, -w * l * l / 12};
        };
        for (Eigen::Index e = 0; e + 1 < n; ++e)
            load.segment<4>(2 * e) += even(e);
        for (Eigen::Index h : held_)
            load(2 * h) = 0;
        const Eigen::VectorXd moved = solve.solve(load);
        std::pair<std::vector<double>, std::vector<double>> found{std::vector<double>(nodes.size()),
                                                                  std::vector<double>(nodes.size())};
        for (Eigen::Index e = 0; e + 1 < n; ++e) {
            const Eigen::Vector4d forces = element(e, stiffness) * moved.segment<4>(2 * e) - even(e);
            found.first[static_cast<std::size_t>(e)] = moved(2 * e);
            found.second[static_cast<std::size_t>(e)] = -forces(1);
            found.first[static_cast<std::size_t>(e + 1)] = moved(2 * e + 2);
            found.second[static_cast<std::size_t>(e + 1)] = forces(3);
        }
        return found;
    }

    std::vector<double> supports_;
    std::vector<std::size_t> stretch_;
    std::vector<Eigen::Index> held_;
};

} // namespace opinion
