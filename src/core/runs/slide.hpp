#pragma once

#include "core/runs/place_run.hpp"

/// Where a run, or a lone unit, may be slid so that its screws are in studs.
namespace yes_square {

/// A unit that hangs by screws, or a wardrobe bay by its cleats, as the search sees it.
struct HungUnit {
    bool needs = false;    ///< it hangs by screws in studs
    bool narrow = false;   ///< no two studs of this framing fit into it: one will do beside a neighbour held by two
    Length inset;          ///< from its outer edge to the first place for a screw
    std::size_t wants = 2; ///< studs; of one that stands on the floor one will do
};

/// What the search is asked. All places are from the wall's left end.
struct SlideQuestion {
    std::vector<Length> widths; ///< of the run's units
    std::vector<HungUnit> hung;
    std::vector<UnitChain> chains;
    std::vector<Length> now; ///< of the chains' left ends
    /// Room before each chain and, last, after the last: what its filler may be, or any gap at an end.
    std::vector<Length> room_least;
    std::vector<Length> room_most;
    Length from;
    std::optional<Length> to;
    std::vector<Length> studs; ///< proved centres, in order
    Length apart_least;        ///< studs nearer than this count as one
};

/// Exact: what each unit loses changes only where a stud enters or leaves it, so all places are covered by a finite
/// number of bands. Of several chains the least total move is found among the places where a band, a wish or a filler's
/// limit ends (dynamic programming); a chain's limits reach over at most six fillers.
StudSlide slide_for_studs(const SlideQuestion& question);

/// The question a run puts.
SlideQuestion slide_question(const Run& run, const RunLayout& layout, const Wall& wall, const std::vector<Stud>& studs,
                             const HouseRules& rules);

/// The edit that pushes a whole run along its line: where it ends in fillers, one gives what the other takes, within
/// their limits.
PlaceRun push_run(const Run& run, const RunLayout& layout, Length by);

/// The edit that slides a run to where the search puts it.
PlaceRun place_by_slide(const Run& run, const RunLayout& layout, const StudSlide& slide);

} // namespace yes_square
