#pragma once

#include "core/cutting/cut_bars.hpp"

#include <cstdint>
#include <vector>

namespace yes_square {

/// A bar question in whole micrometres, equal pieces together. A piece takes its length and a kerf; a bar holds its
/// length, less trim, and a kerf more: as the last piece of a bar needs no cut.
struct BarProblem {
    struct Item {
        std::int64_t size = 0;
        int demand = 0;
        std::vector<std::size_t> pieces; ///< of the question
    };
    struct Kind {
        std::int64_t room = 0;
        std::optional<int> number;
        double price = 0;      ///< of one: its price, or 1 for each that is bought; nothing for what lies there
        double cost = 0;       ///< as it is minimised: the price and a trifle for its length
        std::size_t stock = 0; ///< of the question
    };
    std::vector<Item> items; ///< longest first
    std::vector<Kind> kinds;
    std::vector<std::size_t> impossible;
};

BarProblem problem_of(const BarQuestion& question);

/// How many of each item one bar of a kind gives.
struct Pattern {
    std::size_t kind = 0;
    std::vector<int> counts;
};

/// All patterns to which no further piece could be added; empty where they are more than `most`.
std::vector<Pattern> all_patterns(const BarProblem& problem, std::size_t most);

struct BestPattern {
    std::vector<int> counts; ///< empty: none is worth more
    bool sure = true;        ///< the search was not cut short
};

/// The pattern of a kind worth most, each item worth `worth`, if it is worth more than `above`.
BestPattern best_pattern(const BarProblem& problem, std::size_t kind, const std::vector<double>& worth, double above);

} // namespace yes_square
