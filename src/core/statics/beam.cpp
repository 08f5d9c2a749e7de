#include "core/statics/beam.hpp"

#include "core/statics/beam_solver.hpp"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <numbers>
#include <stdexcept>

namespace yes_square {
namespace {

using namespace beams;

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
