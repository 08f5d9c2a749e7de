#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// Steps being said, in order; a way of holding says its own between those that all shelves share.
class ShelfSteps {
public:
    ShelfSteps(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan)
        : shelf_{shelf}
        , site_{site}
        , plan_{plan} {}

    const Shelf& shelf() const { return shelf_; }
    const WallSite& site() const { return site_; }
    const ShelfPlan& plan() const { return plan_; }
    std::size_t places() const { return plan_.brackets.size(); }
    Quantity mass() const { return quantity(plan_.mass); }

    void go_to(Phase phase) { phase_ = phase; }
    void say(Sentence words, int persons = 1) { steps_.push_back({std::move(words), false, phase_, persons}); }
    /// The whole of it is lifted to its place.
    void lift(Sentence words, int persons = 1);
    /// Not gone past before it is right.
    void hold(Sentence words) { steps_.push_back({std::move(words), true, phase_}); }
    void hold(Phase phase, Sentence words) {
        phase_ = phase;
        hold(std::move(words));
    }
    /// Nobody touches it for so many minutes.
    void wait(Sentence words, double minutes) { steps_.push_back({std::move(words), true, Phase::cure, 1, minutes}); }
    /// A board is laid on what is up, and screwed to it.
    void lay_board();
    /// Where a thicker board begins or ends at its end, tops flush: both may lie on one bracket.
    void pack_thinner();

protected:
    const Shelf& shelf_;
    const WallSite& site_;
    const ShelfPlan& plan_;
    Phase phase_ = Phase::ready;
    std::vector<Step> steps_;
};

/// How the shelf goes up, in order. Common practice: first bracket plumb on its mark, the second by a level laid on
/// the first, those between up to the line, then tighten.
std::vector<Step> steps_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

} // namespace yes_square
