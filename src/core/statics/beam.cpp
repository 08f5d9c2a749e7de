#include "core/statics/beam.hpp"

#include <algorithm>
#include <cmath>
#include <stdexcept>

namespace yes_square {
namespace {

/// Places examined in a span before the worst one is refined.
constexpr int samples = 16;

/// A stretch of board: an overhang or a span.
struct Stretch {
    double from = 0;
    double length = 0;
    int left_support = -1;  ///< index; -1: free end
    int right_support = -1; ///< index; -1: free end
    bool overhang() const { return left_support < 0 || right_support < 0; }
};

/// The beam's answer to one load: slopes at the supports, from which all else follows span by span.
struct Response {
    std::vector<double> slope;    ///< at each support, positive clockwise (downwards to the right)
    std::vector<double> reaction; ///< at each support
    std::vector<double> load;     ///< N/m on each stretch
};

class Solver {
public:
    explicit Solver(const Beam& beam)
        : ei_{beam.stiffness}
        , supports_{beam.supports} {
        const auto inside = [&](double x) { return x >= 0 && x <= beam.length; };
        if (!(beam.length > 0) || !(beam.stiffness > 0) || supports_.size() < 2 ||
            !std::ranges::all_of(supports_, inside) ||
            std::ranges::adjacent_find(supports_, std::greater_equal{}) != supports_.end())
            throw std::invalid_argument("a beam needs length, stiffness and two supports in rising order");
        const int last = static_cast<int>(supports_.size()) - 1;
        if (supports_.front() > 0)
            stretches_.push_back({0, supports_.front(), -1, 0});
        for (int i = 0; i < last; ++i)
            stretches_.push_back({supports_[i], supports_[i + 1] - supports_[i], i, i + 1});
        if (beam.length > supports_.back())
            stretches_.push_back({supports_.back(), beam.length - supports_.back(), last, -1});
        factorise();
    }

    const std::vector<Stretch>& stretches() const { return stretches_; }
    const std::vector<double>& supports() const { return supports_; }

    /// Uniform load on each stretch.
    Response uniform(std::vector<double> load) const {
        // Slope-deflection: the moments that fixed ends would give, released at every support.
        std::vector<double> unbalanced(supports_.size(), 0.0);
        for (std::size_t s = 0; s < stretches_.size(); ++s) {
            const Stretch& stretch = stretches_[s];
            const double w = load[s];
            const double square = w * stretch.length * stretch.length;
            if (stretch.left_support < 0)
                unbalanced[stretch.right_support] -= square / 2;
            else if (stretch.right_support < 0)
                unbalanced[stretch.left_support] += square / 2;
            else {
                unbalanced[stretch.left_support] += square / 12;
                unbalanced[stretch.right_support] -= square / 12;
            }
        }
        Response response{solve(std::move(unbalanced)), std::vector<double>(supports_.size(), 0.0), std::move(load)};
        for (std::size_t s = 0; s < stretches_.size(); ++s) {
            const Stretch& stretch = stretches_[s];
            const double weight = response.load[s] * stretch.length;
            if (stretch.left_support < 0)
                response.reaction[stretch.right_support] += weight;
            else if (stretch.right_support < 0)
                response.reaction[stretch.left_support] += weight;
            else {
                const auto [left, right] = end_moments(response, s);
                response.reaction[stretch.left_support] += weight / 2 + (right - left) / stretch.length;
                response.reaction[stretch.right_support] += weight / 2 + (left - right) / stretch.length;
            }
        }
        return response;
    }

    /// Reactions to a point load on the free end of an overhang.
    std::vector<double> tip_reactions(const Stretch& overhang, double force) const {
        const bool at_left = overhang.left_support < 0;
        const int root = at_left ? overhang.right_support : overhang.left_support;
        std::vector<double> unbalanced(supports_.size(), 0.0);
        unbalanced[root] += (at_left ? -1 : 1) * force * overhang.length;
        Response response{solve(std::move(unbalanced)), {}, std::vector<double>(stretches_.size(), 0.0)};
        std::vector<double> reaction(supports_.size(), 0.0);
        reaction[root] += force;
        for (std::size_t s = 0; s < stretches_.size(); ++s) {
            const Stretch& stretch = stretches_[s];
            if (stretch.overhang())
                continue;
            const auto [left, right] = end_moments(response, s);
            reaction[stretch.left_support] += (right - left) / stretch.length;
            reaction[stretch.right_support] += (left - right) / stretch.length;
        }
        return reaction;
    }

    /// Bending moments at the two ends of a span, positive when they sag.
    std::pair<double, double> end_moments(const Response& response, std::size_t s) const {
        const Stretch& stretch = stretches_[s];
        const double fixed = response.load[s] * stretch.length * stretch.length / 12;
        const double k = 2 * ei_ / stretch.length;
        const double a = response.slope[stretch.left_support];
        const double b = response.slope[stretch.right_support];
        return {k * (2 * a + b) - fixed, -k * (a + 2 * b) - fixed};
    }

    /// Sag of stretch `s` at `x` from its left end.
    double sag(const Response& response, std::size_t s, double x) const {
        const Stretch& stretch = stretches_[s];
        const double w = response.load[s];
        const double length = stretch.length;
        if (stretch.overhang()) {
            // Measured from the root outwards.
            const bool at_left = stretch.left_support < 0;
            const double out = at_left ? length - x : x;
            const double slope =
                at_left ? -response.slope[stretch.right_support] : response.slope[stretch.left_support];
            const double bend = out * out * (6 * length * length - 4 * length * out + out * out) / 24;
            return slope * out + w * bend / ei_;
        }
        const auto [left, right] = end_moments(response, s);
        const double t = x / length;
        const double uniform = w * x * (length * length * length - 2 * length * x * x + x * x * x) / 24;
        const double moments = length * length / 6 * (left * (2 * t - 3 * t * t + t * t * t) + right * (t - t * t * t));
        return (uniform + moments) / ei_;
    }

private:
    /// Thomas algorithm on the slope equations, factorised once for all loads.
    void factorise() {
        diagonal_.assign(supports_.size(), 0.0);
        beside_.assign(supports_.size(), 0.0);
        for (const Stretch& stretch : stretches_) {
            if (stretch.overhang())
                continue;
            diagonal_[stretch.left_support] += 4 * ei_ / stretch.length;
            diagonal_[stretch.right_support] += 4 * ei_ / stretch.length;
            beside_[stretch.left_support] = 2 * ei_ / stretch.length;
        }
        for (std::size_t i = 1; i < diagonal_.size(); ++i)
            diagonal_[i] -= beside_[i - 1] * beside_[i - 1] / diagonal_[i - 1];
    }

    std::vector<double> solve(std::vector<double> right_side) const {
        for (std::size_t i = 1; i < right_side.size(); ++i)
            right_side[i] -= beside_[i - 1] / diagonal_[i - 1] * right_side[i - 1];
        for (std::size_t i = right_side.size(); i-- > 0;) {
            if (i + 1 < right_side.size())
                right_side[i] -= beside_[i] * right_side[i + 1];
            right_side[i] /= diagonal_[i];
        }
        return right_side;
    }

    double ei_;
    std::vector<double> supports_;
    std::vector<Stretch> stretches_;
    std::vector<double> diagonal_;
    std::vector<double> beside_;
};

/// Sag of a stretch at a place under the worst pattern: self-weight, plus every stretch whose load deepens it.
struct WorstSag {
    const Solver& solver;
    const Response& permanent;
    const std::vector<Response>& each;

    double at(std::size_t s, double x) const {
        double total = solver.sag(permanent, s, x);
        for (const Response& one : each)
            total += std::max(0.0, solver.sag(one, s, x));
        return total;
    }

    /// The worst place in a stretch: the best of even samples, then a parabola through it and its neighbours.
    double worst_place(std::size_t s) const {
        const double length = solver.stretches()[s].length;
        const double step = length / samples;
        double best = step;
        for (int i = 2; i < samples; ++i)
            if (at(s, i * step) > at(s, best))
                best = i * step;
        const double before = at(s, best - step);
        const double here = at(s, best);
        const double after = at(s, best + step);
        const double curve = before - 2 * here + after;
        return curve < 0 ? best + std::clamp(0.5 * (before - after) / curve, -1.0, 1.0) * step : best;
    }
};

} // namespace

double board_stiffness(double modulus, double depth, double thickness) {
    return modulus * depth * thickness * thickness * thickness / 12;
}

BeamResult analyse(const Beam& beam, const BeamLoad& load, double kdef) {
    const Solver solver{beam};
    const auto& stretches = solver.stretches();
    const Response permanent = solver.uniform(std::vector<double>(stretches.size(), load.permanent));
    std::vector<Response> each;
    each.reserve(stretches.size());
    for (std::size_t s = 0; s < stretches.size(); ++s) {
        std::vector<double> only(stretches.size(), 0.0);
        only[s] = load.variable;
        each.push_back(solver.uniform(std::move(only)));
    }

    BeamResult result;
    for (std::size_t i = 0; i < solver.supports().size(); ++i) {
        Reaction reaction;
        reaction.self_weight = permanent.reaction[i];
        reaction.all_loaded = reaction.sustained = reaction.least = permanent.reaction[i];
        for (const Response& one : each) {
            reaction.all_loaded += one.reaction[i];
            reaction.sustained += std::max(0.0, one.reaction[i]);
            reaction.least += std::min(0.0, one.reaction[i]);
        }
        result.reactions.push_back(reaction);
    }
    // A point load is worst for a bracket right over it, or out on an overhang's end.
    std::vector<double> worst_point(solver.supports().size(), load.accidental);
    std::vector<double> best_point(solver.supports().size(), 0.0);
    for (const Stretch& stretch : stretches) {
        if (!stretch.overhang() || load.accidental == 0)
            continue;
        const std::vector<double> tip = solver.tip_reactions(stretch, load.accidental);
        for (std::size_t i = 0; i < tip.size(); ++i) {
            worst_point[i] = std::max(worst_point[i], tip[i]);
            best_point[i] = std::min(best_point[i], tip[i]);
        }
    }
    for (std::size_t i = 0; i < result.reactions.size(); ++i) {
        result.reactions[i].greatest = result.reactions[i].sustained + worst_point[i];
        result.reactions[i].least += best_point[i];
    }

    const WorstSag worst{solver, permanent, each};
    for (std::size_t s = 0; s < stretches.size(); ++s) {
        const Stretch& stretch = stretches[s];
        // An overhang is worst at its free end.
        const double x = !stretch.overhang() ? worst.worst_place(s) : (stretch.left_support < 0 ? 0 : stretch.length);
        const double sag = worst.at(s, x);
        result.sags.push_back({stretch.length, stretch.overhang(), stretch.from + x, sag, sag * (1 + kdef)});
    }

    const auto note_moment = [&](auto&& moment_of) {
        double high = moment_of(permanent);
        double low = high;
        for (const Response& one : each) {
            const double moment = moment_of(one);
            high += std::max(0.0, moment);
            low += std::min(0.0, moment);
        }
        result.greatest_moment = std::max({result.greatest_moment, high, -low});
    };
    for (std::size_t s = 0; s < stretches.size(); ++s) {
        if (stretches[s].overhang()) {
            note_moment([&](const Response& r) { return -r.load[s] * stretches[s].length * stretches[s].length / 2; });
            continue;
        }
        note_moment([&](const Response& r) { return solver.end_moments(r, s).first; });
        note_moment([&](const Response& r) { return solver.end_moments(r, s).second; });
        note_moment([&](const Response& r) {
            const auto [left, right] = solver.end_moments(r, s);
            return (left + right) / 2 + r.load[s] * stretches[s].length * stretches[s].length / 8;
        });
    }
    return result;
}

} // namespace yes_square
