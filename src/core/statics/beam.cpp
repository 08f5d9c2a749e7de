#include "core/statics/beam.hpp"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <numbers>
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

/// One board of a shelf with the answers to each of its loads.
class Board {
public:
    Board(const Beam& beam, const BeamLoad& load)
        : load_{load}
        , solver_{beam, load.goods}
        , responses_{solver_.stretches().size() + 1, solver_.supports().size(), solver_.stretches().size()}
        , permanent_{responses_[solver_.stretches().size()]} {
        const std::size_t stretches = solver_.stretches().size();
        solver_.load(
            permanent_, [&](std::size_t) { return load.permanent.in_newtons_per_metre(); },
            [](std::size_t) { return false; });
        each_.reserve(stretches);
        for (std::size_t s = 0; s < stretches; ++s) {
            each_.push_back(responses_[s]);
            const auto here = [s](std::size_t other) { return other == s; };
            solver_.load(
                each_.back(),
                [&](std::size_t other) { return here(other) ? load.variable.in_newtons_per_metre() : 0.0; }, here);
        }
    }

    std::vector<Reaction> reactions() {
        std::vector<Reaction> reactions;
        const std::size_t supports = solver_.supports().size();
        for (std::size_t i = 0; i < supports; ++i) {
            Reaction reaction;
            reaction.self_weight = Force::newtons(permanent_.reaction[i]);
            reaction.all_loaded = reaction.sustained = reaction.least = reaction.self_weight;
            for (const Response& one : each_) {
                const Force share = Force::newtons(one.reaction[i]);
                reaction.all_loaded += share;
                reaction.sustained += std::max<Force>(0, share);
                reaction.least += std::min<Force>(0, share);
            }
            reactions.push_back(reaction);
        }
        for (std::size_t i = 0; i < supports; ++i) {
            const auto worst = load_.accidental > 0 ? solver_.influence(static_cast<int>(i)) : Solver::Influence{};
            reactions[i].greatest = reactions[i].sustained + load_.accidental * worst.greatest;
            reactions[i].least += load_.accidental * worst.least;
        }
        return reactions;
    }

    /// @param from of the board's left end in the whole shelf
    void sags(double kdef, double from, std::vector<SpanSag>& sags) const {
        const WorstSag worst{solver_, permanent_, each_};
        const auto& stretches = solver_.stretches();
        for (std::size_t s = 0; s < stretches.size(); ++s) {
            const Stretch& stretch = stretches[s];
            // An overhang is worst at its free end.
            const double x =
                !stretch.overhang() ? worst.worst_place(s) : (stretch.left_support < 0 ? 0 : stretch.length);
            const double sag = worst.at(s, x);
            sags.push_back({stretch.length, stretch.overhang(), from + stretch.from + x, sag, sag * (1 + kdef)});
        }
    }

    struct Moments {
        Moment greatest = 0;
        Moment least = 0;
    };
    Moments moments(std::size_t s, double x) const {
        const Moment always = Moment::newton_metres(solver_.moment(permanent_, s, x));
        Moments moments{always, always};
        for (const Response& one : each_) {
            const Moment moment = Moment::newton_metres(solver_.moment(one, s, x));
            moments.greatest += std::max<Moment>(0, moment);
            moments.least += std::min<Moment>(0, moment);
        }
        return moments;
    }

    Moment greatest_moment() const {
        Moment greatest = 0;
        const auto& stretches = solver_.stretches();
        const auto note = [&](std::size_t s, double x) {
            const Moments moments = this->moments(s, x);
            greatest = std::max({greatest, moments.greatest, -moments.least});
        };
        for (std::size_t s = 0; s < stretches.size(); ++s) {
            for (const double share : {0.0, 0.5, 1.0})
                note(s, share * stretches[s].length);
            for (const PointLoad& point : stretches[s].goods.points)
                note(s, stretches[s].left_support < 0 ? stretches[s].length - point.x : point.x);
            for (const PartLoad& part : stretches[s].goods.parts)
                note(s, stretches[s].left_support < 0 ? stretches[s].length - (part.from + part.to) / 2
                                                      : (part.from + part.to) / 2);
        }
        return greatest;
    }

    void places(double kdef, double from, int steps, std::vector<BeamPlace>& places) const {
        const WorstSag worst{solver_, permanent_, each_};
        const auto& stretches = solver_.stretches();
        for (std::size_t s = 0; s < stretches.size(); ++s)
            for (int i = 0; i <= steps; ++i) {
                const double x = stretches[s].length * i / steps;
                const Moments bending = moments(s, x);
                LineLoad load = load_.permanent + load_.variable;
                for (const PartLoad& part : load_.goods.parts)
                    if (stretches[s].from + x >= part.from && stretches[s].from + x <= part.to)
                        load += part.load;
                places.push_back(
                    {from + stretches[s].from + x, load, worst.at(s, x) * (1 + kdef), bending.greatest, bending.least});
            }
    }

private:
    const BeamLoad& load_;
    Solver solver_;
    Responses responses_;
    Response permanent_;
    std::vector<Response> each_;
};

/// Calls `visit(board, load, left end, number of its first support)` for every board between joints.
void for_each_board(const Beam& beam, const BeamLoad& load, auto&& visit) {
    if (beam.joints.empty()) {
        visit(beam, load, 0.0, std::size_t{0});
        return;
    }
    std::vector<std::size_t> ends = beam.joints;
    std::ranges::sort(ends);
    if (ends.back() >= beam.supports.size())
        throw std::invalid_argument("a joint lies over a support of the beam");
    ends.push_back(beam.supports.size() - 1);
    std::size_t first = 0;
    double from = 0;
    for (std::size_t i = 0; i < ends.size(); ++i) {
        const bool last = i + 1 == ends.size();
        const double to = last ? beam.length : beam.supports[ends[i]];
        Beam board{to - from, {}, beam.stiffness};
        for (std::size_t s = first; s <= ends[i]; ++s)
            board.supports.push_back(s == ends[i] && !last ? board.length : beam.supports[s] - from);
        BeamLoad on_board = load;
        on_board.goods = load.goods.on(from, board.length);
        visit(board, on_board, from, first);
        from = to;
        first = ends[i];
    }
}

} // namespace

Stiffness board_stiffness(Pressure modulus, double depth, double thickness) {
    return modulus * metres(depth) * metres(thickness) * metres(thickness) * metres(thickness) / 12;
}

Stiffness round_stiffness(Pressure modulus, double outside, double inside) {
    return Stiffness::newton_square_metres(modulus.in_pascals() * std::numbers::pi / 64 *
                                           (std::pow(outside, 4) - std::pow(inside, 4)));
}

Stiffness section_stiffness(const std::vector<SectionPart>& parts) {
    const auto weight_of = [](const SectionPart& part) { // E A
        return part.modulus * metres(part.breadth) * metres(part.height);
    };
    Force weight = 0;
    Moment first_moment = 0;
    for (const SectionPart& part : parts) {
        weight += weight_of(part);
        first_moment += weight_of(part) * metres(part.middle);
    }
    const Distance centroid = weight > 0 ? first_moment / weight : Distance{};
    Stiffness stiffness = 0;
    for (const SectionPart& part : parts) {
        const Distance off = metres(part.middle) - centroid;
        stiffness += board_stiffness(part.modulus, part.breadth, part.height) + weight_of(part) * off * off;
    }
    return stiffness;
}

BeamResult analyse(const Beam& beam, const BeamLoad& load, double kdef) {
    assert(std::ranges::is_sorted(beam.supports));
    BeamResult result;
    for_each_board(beam, load, [&](const Beam& piece, const BeamLoad& on_piece, double from, std::size_t first) {
        Board board{piece, on_piece};
        std::vector<Reaction> reactions = board.reactions();
        if (result.reactions.empty())
            result.reactions = std::move(reactions);
        else {
            // Two boards meet over this support; whoever leans on the shelf leans on one of them.
            Reaction& shared = result.reactions[first];
            const Reaction& other = reactions.front();
            const Force leaning = std::max(shared.greatest - shared.sustained, other.greatest - other.sustained);
            shared.sustained += other.sustained;
            shared.greatest = shared.sustained + leaning;
            shared.least += other.least;
            shared.all_loaded += other.all_loaded;
            shared.self_weight += other.self_weight;
            result.reactions.insert(result.reactions.end(), reactions.begin() + 1, reactions.end());
        }
        board.sags(kdef, from, result.sags);
        result.greatest_moment = std::max(result.greatest_moment, board.greatest_moment());
    });
    assert(result.reactions.size() == beam.supports.size());
    return result;
}

std::vector<BeamPlace> diagram(const Beam& beam, const BeamLoad& load, double kdef, int steps) {
    std::vector<BeamPlace> places;
    for_each_board(beam, load, [&](const Beam& piece, const BeamLoad& on_piece, double from, std::size_t) {
        Board{piece, on_piece}.places(kdef, from, steps, places);
    });
    return places;
}

} // namespace yes_square
