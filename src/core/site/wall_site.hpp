#pragma once

#include "core/fixings/choose_fixing.hpp"
#include "core/job/along.hpp"
#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <vector>

namespace yes_square {

/// What a shelf or a run is reckoned against: its wall and the rules of the job. Refers to the job, which must outlive
/// it.
struct WallSite {
    const HouseRules& rules;
    const Catalogue& catalogue;
    const Wall& wall;
    ServiceClass service_class = ServiceClass::dry;
    const WallSurvey& survey;
    const FixingChoices* chosen = nullptr; ///< what the fitter fixes the thing with that is reckoned
    /// Where on the wall other things were looked for, if somebody wants to know: see each_other_board().
    std::vector<Outline>* looked_at = nullptr;
    Tape tape = wall.tape(); ///< held to the end that the thing is measured from

    // The same to one who looks at it another way; what is given must outlive it.
    WallSite with(const WallSurvey& other) const {
        return {rules, catalogue, wall, service_class, other, chosen, looked_at, tape};
    }
    WallSite with(const HouseRules& other) const {
        return {other, catalogue, wall, service_class, survey, chosen, looked_at, tape};
    }
    WallSite with(const FixingChoices* other) const {
        return {rules, catalogue, wall, service_class, survey, other, looked_at, tape};
    }
    WallSite with(const Tape& other) const {
        return {rules, catalogue, wall, service_class, survey, chosen, looked_at, other};
    }

    /// Places along the wall as they are said of the thing; of two, that which the tape reaches first, and the other.
    Quantity along(Length x) const { return yes_square::along(tape, x); }
    Quantity near(Length left, Length right) const { return along(tape.near(left, right)); }
    Quantity far(Length left, Length right) const { return along(tape.far(left, right)); }

    FixingGround fixings(const ChosenFixing* by_hand) const { return {catalogue, rules, wall, by_hand}; }
    /// With what is chosen for all of a thing.
    FixingGround fixings() const { return fixings(chosen && chosen->all ? &*chosen->all : nullptr); }
    bool masonry() const { return std::holds_alternative<Masonry>(wall.structure); }
    /// Timber studs, in which wood screws hold; nullptr on any other wall. Steel studs hold nothing by our sums.
    const Framing* timber() const {
        const auto* framing = std::get_if<Framing>(&wall.structure);
        return framing && framing->material == StudMaterial::timber ? framing : nullptr;
    }
    /// No wall: units stand free in the room. nullptr: there is one.
    const OpenFloor* open_floor() const { return wall.open_floor(); }
    /// Bare timber studs, between which noggings go where fixings want them.
    bool open_framing() const { return timber() && timber()->open; }
    /// Where in a stud a thing is screwed: at its middle, or where a hole for that thing is in it already.
    Length screw_place(const std::string& item, const Stud& stud) const;
    /// The stud, by its number in the survey, that a usual screw at x is sure to be in.
    std::optional<std::size_t> stud_round(Length x) const;
    /// The same of a screw so thick.
    std::optional<std::size_t> stud_round(Length x, double diameter_in) const;
    /// Screws pinned nearer than this are in one place: a stud takes one column, and masonry breaks between two.
    Length pin_room() const { return timber() ? timber()->stud_width : rules.runs.side_grip; }
    /// Pins in order, those in one place once.
    std::vector<Length> apart(std::vector<Length> pins) const;
};

/// Where the top of a new thing may come at the highest: 100 mm under ceiling or cornice (house rule).
Length highest_top(const Wall& wall);

/// The highest of its boards.
Outline board_box(const Shelf& shelf);
/// One a tier, from the highest down.
std::vector<Outline> board_boxes(const Shelf& shelf);

/// Calls `look(other, board)` for the boards of other shelves that lie in a part of the wall or touch it. The only way
/// by which a shelf learns of others: what it did not look at may change, and its plan stays.
void each_other_board(const WallSite& site, const Shelf& shelf, const Outline& zone, auto&& look) {
    if (site.looked_at)
        site.looked_at->push_back(zone);
    for (const Shelf& other : site.wall.shelves)
        if (other.id != shelf.id)
            for (const Outline& board : board_boxes(other))
                if (board.touches(zone))
                    look(other, board);
}
/// What stands on the wall at a place along a shelf: one a tier, or one for all.
std::vector<Outline> leg_boxes(const Shelf& shelf, const ShelfPlan& plan, const BracketPlan& place);
Outline box_of(const Opening& opening);
Outline box_of(const ServicePoint& service);
/// With the clearance kept round it.
Outline box_of(const Obstacle& obstacle);
/// What a thing on the next wall takes of this one; reaches only as far out of the wall as CornerThing says.
Outline box_of(const CornerThing& thing, const Wall& wall);
Outline box_of(const Strip& strip);

} // namespace yes_square
