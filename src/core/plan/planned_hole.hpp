#pragma once

#include "core/job/chosen_fixing.hpp"
#include "core/plan/check.hpp"
#include "core/plan/drill_pass.hpp"
#include "core/plan/substrate.hpp"

#include <algorithm>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace yes_square {

/// A hole in the wall that a thing wants. Whoever reckons the thing says where it is, what it is for and what it bears;
/// what the wall says of it is filled in by `plan_hole` (core/site) alone. Every list, drawing and table reads these.
struct PlannedHole {
    std::string item;      ///< id of what it is for: the thing, or one of its units
    Sentence what = {};    ///< "Map shelf: bracket 2, hole 1"
    std::size_t place = 0; ///< of those along the thing, from the left: a bracket, a plate's hole
    std::size_t row = 0;   ///< from the top; through all tiers
    FixingSpot spot = {};  ///< as a fitter chooses a fixing for it alone; everywhere: it is fixed as the whole thing is
    Length x;              ///< from the wall's left end
    Length z;              ///< above the datum, the finished floor
    Substrate substrate = Substrate::lining;
    std::optional<std::size_t> stud = {}; ///< index in WallSurvey::studs
    Length packing = {};                  ///< between wall and thing, so that its front is straight
    std::vector<HoleDemand> demands = {}; ///< as the load cases of its group
    std::optional<Fixing> fixing = {};    ///< none: nothing known holds there
    FixingStrength strength = {};         ///< of that fixing, here
    Utilisation utilisation = {};
    std::size_t screws = 1;  ///< at this place
    Length through = {};     ///< of what is screwed on, where it is wood and is drilled on the wall
    Length drilled = {};     ///< how wide a hole is in what is screwed on
    bool angled = false;     ///< drilled upwards through the board as it lies, `through` of it
    bool through_it = false; ///< pricked through the thing's own hole, held to its mark: its height is not measured

    // What the wall says.
    Length above_now = {};                ///< above the floor as it is now, at x
    Length radius = {};                   ///< of the widest pass
    std::string_view no_wall = {};        ///< "in the window": there is no wall at all; empty: there is
    std::vector<std::size_t> strips = {}; ///< of WallSurvey::strips, in which any of its circle lies: found ones first
    std::vector<DrillPass> passes = {};   ///< in order; none: nothing holds there, so nobody drills
    bool made = false;                    ///< it is in the wall

    /// In the lining alone, by what a packet says of it.
    bool held_by_lining() const { return substrate == Substrate::lining && fixing.has_value(); }

    /// A hidden service is likely there, or was found.
    bool in_strip() const { return !strips.empty(); }
    bool in_strip(std::size_t number) const { return std::ranges::find(strips, number) != strips.end(); }
};

/// A line to strike on the wall before anything is marked.
struct PlannedLine {
    bool plumb = false; ///< at x, through z; else level, from x to to_x
    Sentence what;
    Length x;
    Length z;
    Length to_x = {};
};

} // namespace yes_square
