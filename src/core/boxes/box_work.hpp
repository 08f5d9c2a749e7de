#pragma once

#include "core/fixings/beam_ends.hpp"
#include "core/job/boxes.hpp"
#include "core/job/house_rules.hpp"
#include "core/plan/box_plan.hpp"

/// What is worked on a box's parts after they are cut to size, and what its screwed joints bear.
namespace yes_square {

/// Depth of a rebate or groove that a back lies in, of the boards it is cut in: half their thickness (common practice).
Length back_let_in(const WallBox& box);

/// Puts housings, rebates, grooves, notches, mitres and screw holes on the parts of a box. Sides are measured from
/// their top ends and their back edges, top and bottom from their left ends. Shelves in housings that stop short have
/// their front corners notched. A housing is as broad as the shelf is thick: the schedule says to try an offcut.
void work_parts(const WallBox& box, const HouseRules& rules, std::vector<BoxPart>& parts);

/// How many screws join parts so worked.
std::size_t joint_screws(const std::vector<BoxPart>& parts);

/// How a screwed joint is made: what is drilled in the part that the screw passes, and in the end that it enters.
struct JointScrew {
    Length length;
    Length clearance;   ///< hole through the part it passes: up to 0.5 mm, and 0.5 mm more than the screw
    Length pilot;       ///< in the other's end, see pilot_diameter()
    Length countersink; ///< across its head
    Length in_end;      ///< of it in the other's end
};
JointScrew joint_screw(const WallBox& box, const HouseRules& rules);

/// Where the screws of a joint stand across it, from one edge to another: the first and last a house rule in from the
/// edges, no more than another apart, two at least; one where there is no room for two.
std::vector<Length> joint_places(Length from, Length to, const BoxRules& rules);

/// What one screw of such a joint bears: see end_screw_bears(). Boards count as no denser than spruce, since the edges
/// of made ones split (house rule).
Force joint_screw_bears(const WallBox& box, const HouseRules& rules);

/// Of the strips that wall screws go through, under the top and over the bottom.
inline constexpr Length strip_breadth = Length::mm(120);
/// Their middle from the sides' back edges.
Length strip_middle(const WallBox& box);

/// What is on the worst end of its strips: all that the wall carries of the box goes through them. A strip lies on its
/// two ends, and the wall's screws press on it where they are, down and out. None: what those have to bear is not
/// known.
std::optional<EndLoad> on_strip_end(const WallBox& box, const UnitPlan& hang, const HouseRules& rules);

/// The screws in one end of a shelf.
struct JointGroup {
    std::size_t number = 0;
    double foremost = 0; ///< share of what lies on the front edge that the foremost takes, the joint turning
};
/// None: one alone lets the shelf turn.
std::optional<JointGroup> joint_group(const WallBox& box, const BoxRules& rules);

/// What of them is used that hold one end of a shelf between the sides. The goods lie over its middle; somebody who
/// leans puts his weight over one end of the front edge, in front of the foremost screw, and the joint turns about the
/// middle of its screws. One screw alone lets the shelf turn: refused.
/// @param goods  on this end, the shelf itself included
Utilisation joint_used(const WallBox& box, Force goods, Force leaning, const HouseRules& rules);

} // namespace yes_square
