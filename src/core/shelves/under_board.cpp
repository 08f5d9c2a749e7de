#include "core/shelves/under_board.hpp"

namespace yes_square {

UnderBoard under_board(const Shelf& shelf, const ShelfPlan& plan, const BracketPlan& place) {
    const OtherSizes& sizes = shelf.other_sizes;
    const auto about = [at = place.x - shelf.left](Length width, Length back, Length front) {
        return UnderBoard{at - width / 2, at + width / 2, back, front};
    };
    if (!place.other)
        return about(plan.bracket->width, Length{}, std::min(plan.bracket->arm, shelf.depth));
    switch (place.other->kind) {
    case OtherKind::leg:
        return about(sizes.leg, place.other->out - sizes.leg / 2, place.other->out + sizes.leg / 2);
    case OtherKind::rod:
        return about(sizes.rods.diameter, Length{}, sizes.rods.in_shelf);
    case OtherKind::angled_screw:
        return about(10_mm, Length{}, shelf.thickness / 2);
    case OtherKind::left_strip:
    case OtherKind::right_strip:
        break;
    }
    return about(sizes.strip, Length{}, shelf.depth);
}

Length leg_length(const Shelf& shelf, const WallSite& site, const BracketPlan& leg) {
    return site.survey.floor.above_floor_now(leg.x, shelf.underside());
}

} // namespace yes_square
