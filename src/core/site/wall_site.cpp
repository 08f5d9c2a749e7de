#include "core/site/wall_site.hpp"

#include "core/fixings/choose_fixing.hpp"

#include <algorithm>

namespace yes_square {

Length WallSite::screw_place(const std::string& item, const Stud& stud) const {
    const Framing* framing = timber();
    if (!framing || wall.made.empty())
        return stud.centre;
    const Length reach = usable_half_width(*framing, stud.uncertainty, usual_screw(rules.timber).diameter_in, rules);
    const auto made = std::ranges::find_if(
        wall.made, [&](const MadeHole& hole) { return hole.item == item && absolute(hole.x - stud.centre) <= reach; });
    return made == wall.made.end() ? stud.centre : made->x;
}

std::optional<std::size_t> WallSite::stud_round(Length x) const {
    return stud_round(x, usual_screw(rules.timber).diameter_in);
}

std::optional<std::size_t> WallSite::stud_round(Length x, double diameter_in) const {
    const Framing* framing = timber();
    for (std::size_t i = 0; framing && i < survey.studs.size(); ++i) {
        const Stud& stud = survey.studs[i];
        if (absolute(stud.centre - x) <= usable_half_width(*framing, stud.uncertainty, diameter_in, rules))
            return i;
    }
    return std::nullopt;
}

std::vector<Length> WallSite::apart(std::vector<Length> pins) const {
    std::ranges::sort(pins);
    std::vector<Length> kept;
    for (const Length pin : pins)
        if (kept.empty() || pin - kept.back() > pin_room())
            kept.push_back(pin);
    return kept;
}

Length highest_top(const Wall& wall) {
    return wall.height - wall.cornice_height - 100_mm;
}

Outline board_box(const Shelf& shelf) {
    return {shelf.left, shelf.right(), shelf.underside(), shelf.height};
}

std::vector<Outline> board_boxes(const Shelf& shelf) {
    std::vector<Outline> boxes;
    for (int tier = 0; tier < shelf.tiers; ++tier) {
        const Length top = shelf.top_of(tier);
        boxes.push_back({shelf.left, shelf.right(), top - shelf.thickness, top});
    }
    return boxes;
}

std::vector<Outline> leg_boxes(const Shelf& shelf, const ShelfPlan& plan, const BracketPlan& place) {
    const Length centre = place.x;
    if (place.hanger)
        return {}; // it hangs from the ceiling
    if (place.other) {
        const OtherSizes& sizes = shelf.other_sizes;
        const Length under = shelf.underside();
        switch (place.other->kind) {
        case OtherKind::leg:
            return {{centre - sizes.leg / 2, centre + sizes.leg / 2, Length{}, under}};
        case OtherKind::left_strip:
        case OtherKind::right_strip:
            return {{centre - sizes.strip / 2, centre + sizes.strip / 2, under - sizes.strip_breadth, under}};
        case OtherKind::angled_screw:
            return {{centre - 5_mm, centre + 5_mm, under, under + shelf.thickness}};
        case OtherKind::rod: {
            const Length middle = under + shelf.thickness / 2;
            const Length half = sizes.rods.diameter / 2;
            return {{centre - half, centre + half, middle - half, middle + half}};
        }
        }
    }
    std::vector<Outline> boxes;
    if (!plan.bracket)
        return boxes;
    const Length half = plan.bracket->width / 2;
    for (int tier = 0; tier < (plan.one_leg ? 1 : shelf.tiers); ++tier) {
        const Length top = shelf.top_of(tier) - shelf.thickness + plan.leg_over;
        boxes.push_back({centre - half, centre + half, top - plan.bracket->leg, top});
    }
    return boxes;
}

Outline box_of(const Opening& opening) {
    return {opening.left, opening.left + opening.width, opening.bottom, opening.bottom + opening.height};
}

Outline box_of(const ServicePoint& service) {
    const Length half = service.width / 2;
    return {service.centre - half, service.centre + half, service.height - half, service.height + half};
}

Outline box_of(const Obstacle& obstacle) {
    const Length free = obstacle.clearance;
    return {obstacle.left - free, obstacle.left + obstacle.width + free, obstacle.bottom - free,
            obstacle.bottom + obstacle.height + free};
}

Outline box_of(const CornerThing& thing, const Wall& wall) {
    return thing.at_right_end ? Outline{wall.length - thing.along, wall.length, thing.bottom, thing.top}
                              : Outline{{}, thing.along, thing.bottom, thing.top};
}

Outline box_of(const Strip& strip) {
    return {strip.left, strip.right, strip.bottom, strip.top};
}

} // namespace yes_square
