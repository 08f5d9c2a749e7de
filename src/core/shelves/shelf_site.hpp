#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

namespace yes_square {

/// What a shelf is reckoned against: its wall and the rules of the job. Refers to the job, which must outlive it.
struct ShelfSite {
    const HouseRules& rules;
    const Catalogue& catalogue;
    const Wall& wall;
    ServiceClass service_class = ServiceClass::dry;
    const std::vector<Strip>& strips;

    bool masonry() const { return std::holds_alternative<Masonry>(wall.structure); }
};

/// A rectangle on the wall.
struct Box {
    Length left;
    Length right;
    Length bottom;
    Length top;
    bool overlaps(const Box& other) const {
        return left < other.right && other.left < right && bottom < other.top && other.bottom < top;
    }
};

Box board_box(const Shelf& shelf);
Box leg_box(const Shelf& shelf, const Bracket& bracket, Length centre);
Box box_of(const Opening& opening);
Box box_of(const ServicePoint& service);
Box box_of(const Strip& strip);

} // namespace yes_square
