#pragma once

#include "core/job/field_visits.hpp"

/// The members of the house rules for strips, boxes, cutting, fitting and lights: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<StripRules> auto& rules) {
    visit.optional("end_inset", rules.end_inset,
                   Meaning{"a distance", Range::not_negative}.told("Of a strip's first and last screw (house rule)"));
    visit.optional("masonry_every", rules.masonry_every,
                   Meaning{"a spacing", Range::more_than_zero}.told(
                       "Between screws along a strip in masonry, at the most (house rule)"));
    visit.optional("alone_up_to", rules.alone_up_to,
                   Meaning{"a length", Range::not_negative}.told(
                       "One person holds a strip this long while it is screwed on (house rule)"));
    visit.optional("pivot", rules.pivot,
                   Meaning{"a distance", Range::more_than_zero}.told(
                       "A strip turns about its lower edge this far up (house rule)"));
}

void fields(auto& visit, Is<BoxRules> auto& rules) {
    visit.optional(
        "back_screws", rules.back_screws,
        Meaning{"a length", Range::more_than_zero}.told("Between the screws that hold a back to its box (house rule)"));
    visit.optional("hole_in", rules.hole_in,
                   Meaning{"a length", Range::more_than_zero}.told(
                       "Of wall fixings below the top and above the bottom (house rule)"));
    visit.optional("square_per_m", rules.square_per_m,
                   Meaning{"a length", Range::more_than_zero}.told(
                       "The top of a box may stand out of square by this for each metre of height (house rule)"));
    constexpr Meaning length{"a length", Range::more_than_zero};
    visit.optional("joint_screw", rules.joint_screw,
                   length.told("Of the screws that hold a joint of a box's boards (house rule)"));
    visit.optional("joint_every", rules.joint_every, length.told("Between those screws, at the most (house rule)"));
    visit.optional("joint_in", rules.joint_in,
                   length.told("Of the first and last of them from the edges of what they hold (house rule)"));
    visit.optional("router_pass", rules.router_pass,
                   length.told("A router takes off this much at a time (common practice)"));
    visit.optional("keyhole_bore", rules.keyhole_bore,
                   length.told("Through which a screw's head enters a keyhole slot (common practice)"));
    visit.optional("keyhole_head", rules.keyhole_head,
                   length.told("Under a keyhole slot's lip, for a countersunk head (common practice)"));
    visit.optional("keyhole_wood", rules.keyhole_wood, length.told("Left below a keyhole's bore (house rule)"));
    visit.optional("keyhole_in", rules.keyhole_in,
                   length.told("Of a keyhole slot from the shelf's end, at the least (house rule)"));
}

void fields(auto& visit, Is<CutRules> auto& rules) {
    constexpr Meaning margin{"a length", Range::not_negative};
    visit.optional("kerf", rules.kerf, margin.told("That the saw eats (house rule)"));
    visit.optional("end_trim", rules.end_trim, margin.told("Off each end of a new length (house rule)"));
    visit.optional("sheet_trim", rules.sheet_trim, margin.told("Off each edge of a new sheet (house rule)"));
    visit.optional("offcut_kept", rules.offcut_kept, margin.told("A shorter offcut is waste (house rule)"));
    visit.optional(
        "spare_share", rules.spare_share,
        Meaning{"a share", Range::not_negative}.told("Of screws and plugs, besides those the plan wants (house rule)"));
    visit.optional("spare_least", rules.spare_least,
                   Meaning{"a number of spares", Range::not_negative}.told("House rule"));
    visit.optional("scribe_allowance", rules.scribe_allowance,
                   margin.told("Left on a board that is scribed to a wall (house rule)"));
}

void fields(auto& visit, Is<FitRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning minutes{"a time in minutes", Range::not_negative};
    visit.optional("level_per_m", rules.level_per_m,
                   length.told("Work may be out of level by this for each metre (house rule)"));
    visit.optional("plumb_per_m", rules.plumb_per_m, length.told("And out of plumb (house rule)"));
    visit.optional("straight", rules.straight, length.told("A front may be off a straight line by this (house rule)"));
    visit.optional("place", rules.place, length.told("A thing may stand this far from where it should (house rule)"));
    visit.optional("leg_pitch", rules.leg_pitch, length.told("Of a leg's thread: M10 coarse, ISO 261 (from memory)"));
    visit.optional("shim_step", rules.shim_step, length.told("Thinnest packing at hand (house rule)"));
    visit.optional("reach", rules.reach, length.told("Marked and drilled without taking a step (house rule)"));
    visit.optional("mark_min", rules.mark_min, minutes.told("Minutes for a mark (house rule)"));
    visit.optional("drill_min", rules.drill_min, minutes.told("For a hole (house rule)"));
    visit.optional("step_min", rules.step_min, minutes.told("For any other step (house rule)"));
    visit.optional("join_min", rules.join_min, minutes.told("For two units clamped and joined (house rule)"));
    visit.optional("door_min", rules.door_min, minutes.told("For a door hung and set (house rule)"));
    visit.optional("drawer_min", rules.drawer_min, minutes.told("For a unit's drawers, set (house rule)"));
    visit.optional("worktop_min", rules.worktop_min,
                   minutes.told("For a length of worktop, scribed and screwed down (house rule)"));
    visit.optional("worktop_joint_min", rules.worktop_joint_min, minutes.told("For a joint in it (house rule)"));
    visit.optional("plinth_min", rules.plinth_min,
                   minutes.told("For a length of plinth or handle channel (house rule)"));
    visit.optional("resin_min", rules.resin_min,
                   minutes.told("Until resin bears, where its packet says no other (house rule)"));
    visit.optional("sealant_min", rules.sealant_min,
                   minutes.told("Until sealant or glue may be wetted or strained (house rule)"));
    visit.optional("paint_min", rules.paint_min,
                   minutes.told("Until a coat of paint or oil may be painted over or touched, where its tin says no "
                                "other (house rule)"));
    visit.optional("service_room", rules.service_room,
                   length.told("Kept out round a place where a service answered (house rule)"));
    visit.optional("same_hole", rules.same_hole, length.told("Nearer than this two holes are one (house rule)"));
}

void fields(auto& visit, Is<FeedRules> auto& rules) {
    visit.optional("drop_most", rules.drop_most,
                   Meaning{"a share", Range::fraction}.told("Of the voltage, at the farthest lamp (house rule)"));
    visit.optional("driver_share", rules.driver_share,
                   Meaning{"a share", Range::fraction}.told(
                       "A driver is loaded to this share of its rating at most (house rule)"));
    visit.optional("driver_watts", rules.driver_watts,
                   Meaning{"a power", Range::more_than_zero}.told(
                       "The largest driver that is taken; more is shared among several (house rule)"));
    visit.optional("amps_per_mm2", rules.amps_per_mm2,
                   Meaning{"a current", Range::more_than_zero}.told("A lead carries this much at most (house rule)"));
    constexpr Meaning length{"a length", Range::more_than_zero};
    visit.optional("lead_hole", rules.lead_hole, length.told("Drilled for a lead (house rule)"));
    visit.optional("lead_in", rules.lead_in,
                   length.told("Of such a hole's middle from the boards beside it (house rule)"));
    visit.optional("driver_room", rules.driver_room,
                   length.told("Over units a driver wants as much, for air and a hand (house rule)"));
    visit.optional("plinth_driver", rules.plinth_driver,
                   length.told("Up, of a driver that lies behind a plinth (house rule)"));
}

} // namespace yes_square
