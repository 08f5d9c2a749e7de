#pragma once

#include "core/statics/beam.hpp"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <stdexcept>

/// One board over its supports, solved for one load after another: for beam.cpp alone.
namespace yes_square::beams {

/// Places examined in a span before the worst one is refined.
constexpr int samples = 4;

/// A stretch of board: an overhang or a span.
struct Stretch {
    double from = 0;
    double length = 0;
    int left_support = -1;  ///< index; -1: free end
    int right_support = -1; ///< index; -1: free end
    SpanLoad goods = {};    ///< besides what lies all along; of an overhang as seen from its support
    bool overhang() const { return left_support < 0 || right_support < 0; }
};

/// What one load does to one stretch: enough to know its sag anywhere.
struct StretchState {
    double load = 0;    ///< N/m, all along
    bool goods = false; ///< the stretch's own goods stand there too
    double left = 0;    ///< bending moment at the left end of a span, positive when it sags
    double right = 0;   ///< at the right end
    double slope = 0;   ///< of an overhang at its support, positive when its free end goes down
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
    Solver(const Beam& beam, const SpanLoad& goods)
        : ei_{beam.stiffness.in_newton_square_metres()}
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
        if (!goods.empty())
            for (Stretch& stretch : stretches_) {
                stretch.goods = goods.on(stretch.from, stretch.length);
                if (stretch.left_support < 0)
                    stretch.goods = stretch.goods.reversed(stretch.length);
            }
        factorise();
    }

    const std::vector<Stretch>& stretches() const { return stretches_; }
    const std::vector<double>& supports() const { return supports_; }

    /// An even load on some stretches, `load_on(index)` in N/m, and the goods of those that `goods_on(index)` names.
    void load(Response response, auto&& load_on, auto&& goods_on) {
        // Slope-deflection: the moments that fixed ends would give, released at every support.
        std::vector<double>& unbalanced = start_unbalanced();
        for (std::size_t s = 0; s < stretches_.size(); ++s) {
            const Stretch& stretch = stretches_[s];
            StretchState& state = response.stretch[s];
            state.load = load_on(s);
            state.goods = !stretch.goods.empty() && goods_on(s);
            const FixedEnds ends = fixed_ends(stretch, state);
            if (stretch.left_support >= 0)
                unbalanced[stretch.left_support] += ends.left;
            if (stretch.right_support >= 0)
                unbalanced[stretch.right_support] -= ends.right;
        }
        settle(response);
    }

    /// The greatest and the least that a load of 1 N, anywhere on the beam, puts on a support.
    ///
    /// Influence line: what a load at x puts on a support is how far the beam rises at x when that support rises by
    /// one and the others stay (Mueller-Breslau). Between supports that is a cubic, beyond the last a straight line.
    struct Influence {
        double greatest = 0;
        double least = 0;
        void note(double share) {
            greatest = std::max(greatest, share);
            least = std::min(least, share);
        }
    };
    Influence influence(int support) {
        const auto rise = [support](int end) { return end == support ? 1.0 : 0.0; };
        std::vector<double>& turned = start_unbalanced();
        for (const Stretch& stretch : stretches_) {
            if (stretch.overhang())
                continue;
            const double turn = 6 * ei_ * (rise(stretch.right_support) - rise(stretch.left_support)) /
                                (stretch.length * stretch.length);
            turned[stretch.left_support] += turn;
            turned[stretch.right_support] += turn;
        }
        const std::vector<double>& slope = solve();
        Influence line;
        for (const Stretch& stretch : stretches_) {
            if (stretch.left_support < 0) {
                line.note(rise(stretch.right_support) - slope[stretch.right_support] * stretch.length);
                continue;
            }
            line.note(rise(stretch.left_support));
            const double from = rise(stretch.left_support);
            const double start = slope[stretch.left_support] * stretch.length;
            if (stretch.right_support < 0) {
                line.note(from + start);
                continue;
            }
            line.note(rise(stretch.right_support));
            const double by = rise(stretch.right_support) - from;
            const double end = slope[stretch.right_support] * stretch.length;
            const double square = 3 * by - 2 * start - end;
            const double cube = start + end - 2 * by;
            // Level where start + 2 square t + 3 cube t^2 = 0.
            const double root = square * square - 3 * cube * start;
            if (root < 0)
                continue;
            for (const double t : {(-square + std::sqrt(root)) / (3 * cube), (-square - std::sqrt(root)) / (3 * cube),
                                   -start / (2 * square)})
                if (t > 0 && t < 1)
                    line.note(from + t * (start + t * (square + t * cube)));
        }
        return line;
    }

    /// Sag of stretch `s` at `x` from its left end.
    double sag(Response response, std::size_t s, double x) const {
        const Stretch& stretch = stretches_[s];
        const StretchState& state = response.stretch[s];
        const double length = stretch.length;
        if (stretch.overhang()) {
            const double out = stretch.left_support < 0 ? length - x : x; // from the support outwards
            const double bend = state.load * out * out * (6 * length * length - 4 * length * out + out * out) / 24;
            return state.slope * out + (state.goods ? bend + stretch.goods.cantilever_sag(out) : bend) / ei_;
        }
        const double t = x / length;
        const double u = 1 - t;
        const double square = length * length;
        // Uniform load: w L^4 (t - 2 t^3 + t^4) / 24; end moments: L^2 t u (M_l (1 + u) + M_r (1 + t)) / 6.
        const double even =
            square * t * u *
            (state.load * square * (1 + t * u) / 24 + (state.left * (1 + u) + state.right * (1 + t)) / 6);
        return (state.goods ? even + stretch.goods.sag(length, x) : even) / ei_;
    }

    /// Bending moment of stretch `s` at `x` from its left end.
    double moment(Response response, std::size_t s, double x) const {
        const Stretch& stretch = stretches_[s];
        const StretchState& state = response.stretch[s];
        const double length = stretch.length;
        if (stretch.overhang()) {
            const double out = stretch.left_support < 0 ? length - x : x;
            const double even = state.load * (length - out) * (length - out) / 2;
            return -(state.goods ? even + stretch.goods.cantilever_moment(out) : even);
        }
        const double even =
            state.load * x * (length - x) / 2 + state.left * (1 - x / length) + state.right * x / length;
        return state.goods ? even + stretch.goods.moment(length, x) : even;
    }

private:
    /// Moments that ends held fast would give: hogging positive at both ends of a span, of an overhang at its support.
    struct FixedEnds {
        double left = 0;
        double right = 0;
    };
    static FixedEnds fixed_ends(const Stretch& stretch, const StretchState& state) {
        const double square = state.load * stretch.length * stretch.length;
        FixedEnds ends{square / 12, square / 12};
        if (stretch.left_support < 0)
            ends = {0, square / 2};
        else if (stretch.right_support < 0)
            ends = {square / 2, 0};
        if (!state.goods)
            return ends;
        if (stretch.overhang()) {
            (stretch.left_support < 0 ? ends.right : ends.left) += stretch.goods.about_left();
            return ends;
        }
        // A simple span's end slopes, turned back: M = (2/L) (2 x this slope - the other).
        const double near = stretch.goods.left_slope(stretch.length);
        const double far = stretch.goods.reversed(stretch.length).left_slope(stretch.length);
        ends.left += 2 / stretch.length * (2 * near - far);
        ends.right += 2 / stretch.length * (2 * far - near);
        return ends;
    }

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
            const double even = state.load * stretch.length;
            const double weight = state.goods ? even + stretch.goods.total() : even;
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
                const FixedEnds fixed = fixed_ends(stretch, state);
                state.left = k * (2 * a + b) - fixed.left;
                state.right = -k * (a + 2 * b) - fixed.right;
                const double to_right =
                    state.goods ? even / 2 + stretch.goods.about_left() / stretch.length : weight / 2;
                const double shift = (state.right - state.left) / stretch.length;
                response.reaction[stretch.left_support] += weight - to_right + shift;
                response.reaction[stretch.right_support] += to_right - shift;
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

} // namespace yes_square::beams
