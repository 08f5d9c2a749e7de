#pragma once

#include "core/shelves/shelf_trials.hpp"

#include <array>

namespace yes_square {

/// Cures that shelves of several ways have: each is tried before it is offered.
class ShelfCurer : public ShelfTrials {
public:
    using ShelfTrials::change;
    using ShelfTrials::say;
    using ShelfTrials::ShelfTrials;

    const Shelf& shelf() const { return shelf_; }
    const WallSite& site() const { return site_; }

    void more_brackets(Check& check) const;
    void thicker_board(Check& check) const;
    void other_board(Check& check) const;
    void other_bracket(Check& check) const;
    void raise(Check& check, Length by) const; ///< less than 0: lowers it
    void slide_upright(Check& check) const;

protected:
    /// How far a shelf is moved to see whether that helps.
    static constexpr std::array nudges{10_mm, 30_mm, 60_mm, 100_mm, 160_mm, 240_mm, 300_mm, 400_mm};
};

} // namespace yes_square
