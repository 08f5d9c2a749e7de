#include "core/statics/beam.hpp"

#include <algorithm>
#include <cmath>
#include <stdexcept>

namespace yes_square {
namespace {

/// Places examined in a span before the worst one is refined.
constexpr int samples = 4;

/// A stretch of board: an overhang or a span.
struct Stretch {
    double from = 0;
    double length = 0;
    int left_support = -1;  ///< index; -1: free end
    int right_support = -1; ///< index; -1: free end
    bool overhang() const { return left_support < 0 || right_support < 0; }
};

/// What one load does to one stretch: enough to know its sag anywhere.
struct StretchState {
    double load = 0;  ///< N/m
    double left = 0;  ///< bending moment at the left end of a span, positive when it sags
    double right = 0; ///< at the right end
    double slope = 0; ///< of an overhang at its support, positive when its free end goes down
};

/// The beam's answer to one load. Looks into the buffers of Responses.
struct Response {
    double* reaction;      ///< at each support
    StretchState* stretch; ///< as the beam's stretches
};

/// Room for the answers to several loads, in two buffers: a shelf is weighed thousands of times.
class Responses {
public:
    Responses(std::size_t loads, std::size_t supports, std::size_t stretches)
        : supports_{supports}
        , stretches_{stretches}
        , reaction_(loads * supports, 0.0)
        , stretch_(loads * stretches) {}
    Response operator[](std::size_t load) {
        return {reaction_.data() + load * supports_, stretch_.data() + load * stretches_};
    }

private:
    std::size_t supports_;
    std::size_t stretches_;
    std::vector<double> reaction_;
    std::vector<StretchState> stretch_;
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

    /// Uniform load on some stretches: `load_on(index)` in N/m.
    void uniform(Response response, auto&& load_on) {
        // Slope-deflection: the moments that fixed ends would give, released at every support.
        std::vector<double>& unbalanced = start_unbalanced();
        for (std::size_t s = 0; s < stretches_.size(); ++s) {
            const Stretch& stretch = stretches_[s];
            const double w = response.stretch[s].load = load_on(s);
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
        settle(response);
    }

    /// A point load on the free end of an overhang; only the reactions are meant to be used.
    void tip(Response response, const Stretch& overhang, double force) {
        const bool at_left = overhang.left_support < 0;
        const int root = at_left ? overhang.right_support : overhang.left_support;
        start_unbalanced()[root] += (at_left ? -1 : 1) * force * overhang.length;
        settle(response);
        response.reaction[root] += force;
    }

    /// Sag of stretch `s` at `x` from its left end.
    double sag(Response response, std::size_t s, double x) const {
        const Stretch& stretch = stretches_[s];
        const StretchState& state = response.stretch[s];
        const double length = stretch.length;
        if (stretch.overhang()) {
            const double out = stretch.left_support < 0 ? length - x : x; // from the support outwards
            const double bend = out * out * (6 * length * length - 4 * length * out + out * out) / 24;
            return state.slope * out + state.load * bend / ei_;
        }
        const double t = x / length;
        const double u = 1 - t;
        const double square = length * length;
        // Uniform load: w L^4 (t - 2 t^3 + t^4) / 24; end moments: L^2 t u (M_l (1 + u) + M_r (1 + t)) / 6.
        return square * t * u *
               (state.load * square * (1 + t * u) / 24 + (state.left * (1 + u) + state.right * (1 + t)) / 6) / ei_;
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

    /// From the unbalanced moments to slopes, and from those to the stretches' end moments and the reactions.
    void settle(Response response) {
        const std::vector<double>& slope = solve();
        for (std::size_t s = 0; s < stretches_.size(); ++s) {
            const Stretch& stretch = stretches_[s];
            StretchState& state = response.stretch[s];
            const double weight = state.load * stretch.length;
            if (stretch.left_support < 0) {
                state.slope = -slope[stretch.right_support];
                response.reaction[stretch.right_support] += weight;
            } else if (stretch.right_support < 0) {
                state.slope = slope[stretch.left_support];
                response.reaction[stretch.left_support] += weight;
            } else {
                const double a = slope[stretch.left_support];
                const double b = slope[stretch.right_support];
                const double k = 2 * ei_ / stretch.length;
                const double fixed = weight * stretch.length / 12;
                state.left = k * (2 * a + b) - fixed;
                state.right = -k * (a + 2 * b) - fixed;
                const double shift = (state.right - state.left) / stretch.length;
                response.reaction[stretch.left_support] += weight / 2 + shift;
                response.reaction[stretch.right_support] += weight / 2 - shift;
            }
        }
    }

    std::vector<double>& start_unbalanced() {
        unbalanced_.assign(supports_.size(), 0.0);
        return unbalanced_;
    }

    /// Turns the unbalanced moments into slopes.
    const std::vector<double>& solve() {
        std::vector<double>& right_side = unbalanced_;
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
    std::vector<double> unbalanced_;
};

/// Sag of a stretch at a place under the worst pattern: self-weight, plus every stretch whose load deepens it.
struct WorstSag {
    const Solver& solver;
    Response permanent;
    const std::vector<Response>& each;

    double at(std::size_t s, double x) const {
        double total = solver.sag(permanent, s, x);
        for (const Response& one : each)
            total += std::max(0.0, solver.sag(one, s, x));
        return total;
    }

    /// The worst place in a span: the best of even samples, then twice a parabola through it and its neighbours.
    double worst_place(std::size_t s) const {
        double step = solver.stretches()[s].length / samples;
        double best = step;
        double deepest = at(s, best);
        for (int i = 2; i < samples; ++i)
            if (const double sag = at(s, i * step); sag > deepest) {
                best = i * step;
                deepest = sag;
            }
        for (int turn = 0; turn < 2; ++turn) {
            const double before = at(s, best - step);
            const double after = at(s, best + step);
            const double curve = before - 2 * deepest + after;
            const double better =
                curve < 0 ? best + std::clamp(0.5 * (before - after) / curve, -1.0, 1.0) * step : best;
            if (const double sag = at(s, better); sag > deepest) {
                best = better;
                deepest = sag;
            }
            step /= 8;
        }
        return best;
    }
};

} // namespace

double board_stiffness(double modulus, double depth, double thickness) {
    return modulus * depth * thickness * thickness * thickness / 12;
}

BeamResult analyse(const Beam& beam, const BeamLoad& load, double kdef) {
    Solver solver{beam};
    const auto& stretches = solver.stretches();
    const std::size_t supports = solver.supports().size();
    Responses responses{stretches.size() + 2, supports, stretches.size()};
    const Response permanent = responses[stretches.size()];
    solver.uniform(permanent, [&](std::size_t) { return load.permanent; });
    std::vector<Response> each;
    each.reserve(stretches.size());
    for (std::size_t s = 0; s < stretches.size(); ++s) {
        each.push_back(responses[s]);
        solver.uniform(each.back(), [&](std::size_t other) { return other == s ? load.variable : 0.0; });
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
        const Response tip = responses[stretches.size() + 1];
        std::fill_n(tip.reaction, supports, 0.0);
        solver.tip(tip, stretch, load.accidental);
        for (std::size_t i = 0; i < supports; ++i) {
            worst_point[i] = std::max(worst_point[i], tip.reaction[i]);
            best_point[i] = std::min(best_point[i], tip.reaction[i]);
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
        const double square = stretches[s].length * stretches[s].length;
        if (stretches[s].overhang()) {
            note_moment([&](const Response& r) { return -r.stretch[s].load * square / 2; });
            continue;
        }
        note_moment([&](const Response& r) { return r.stretch[s].left; });
        note_moment([&](const Response& r) { return r.stretch[s].right; });
        note_moment([&](const Response& r) {
            const StretchState& state = r.stretch[s];
            return (state.left + state.right) / 2 + state.load * square / 8;
        });
    }
    return result;
}

} // namespace yes_square
