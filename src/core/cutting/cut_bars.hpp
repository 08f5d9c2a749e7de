#pragma once

#include "core/measure/length.hpp"

#include <cstddef>
#include <optional>
#include <vector>

/// Lengths out of lengths: which part is sawn from which bar. See docs/cutting.md.
namespace yes_square {

struct BarStock {
    Length length;
    std::optional<int> number = {};   ///< so many lie there; none: as many as are wanted can be bought
    std::optional<double> price = {}; ///< of one that is bought
};

struct BarQuestion {
    std::vector<Length> pieces;
    std::vector<BarStock> stock;
    Length kerf;
    Length end_trim;      ///< off each end of a bought bar
    double seconds = 2.5; ///< at most, for the search
};

struct Bar {
    std::size_t stock = 0;
    std::vector<std::size_t> pieces; ///< longest first
    Length used;                     ///< pieces, kerfs between them, and one more where something is left
    Length offcut;
};

struct BarPlan {
    std::vector<Bar> bars;               ///< those on hand first
    std::vector<std::size_t> impossible; ///< pieces longer than any stock
    double cost = 0;                     ///< bars bought, or their price where every size has one
    double least = 0;                    ///< that no plan can go below
    bool priced = false;
    std::size_t bought = 0;
    Length longest_offcut;
    bool offcut_proved = false; ///< no plan of as many bars leaves a longer one
    /// No plan costs less.
    bool proved() const { return cost <= least * (1 + 1e-9) + 1e-6; }
    double gap() const { return cost > 0 ? (cost - least) / cost : 0; }
};

/// Fewest bars bought (where every size that can be bought has a price: the cheapest), what lies there used before
/// them; among such plans the shortest lengths, and then the longest single offcut. A mixed-integer program over
/// cutting patterns: all of them where they are few, else those that column generation finds, against the bound of its
/// linear program (Gilmore and Gomory). Pieces of one bar take a kerf between each two, and one more if the offcut is
/// longer than a kerf.
BarPlan cut_bars(const BarQuestion& question);

} // namespace yes_square
