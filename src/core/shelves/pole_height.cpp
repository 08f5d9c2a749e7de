#include "core/shelves/pole_height.hpp"

#include <algorithm>

namespace yes_square {

std::optional<PoleRoom> pole_room(const Wall& wall, const Shelf& pole, const HouseRules& rules) {
    const auto under = [&](const Opening& opening) {
        return std::min(pole.right(), opening.left + opening.width) - std::max(pole.left, opening.left);
    };
    const Opening* window = nullptr;
    for (const Opening& opening : wall.openings)
        if (opening.kind == OpeningKind::window && under(opening) > Length{} &&
            (!window || under(opening) > under(*window)))
            window = &opening;
    if (!window)
        return std::nullopt;
    const auto* how = std::get_if<Pole>(&pole.holding);
    const Length plate = how ? how->plate : Pole{}.plate;
    return PoleRoom{window->bottom + window->height, wall.height,
                    wall.height - wall.cornice_height - rules.strip_corner - plate / 2};
}

Length pole_height(const PoleRoom& room, double share) {
    const Length wanted =
        room.trim + Length::nearest_to_metres((room.ceiling - room.trim).in_metres() * std::clamp(share, 0.0, 1.0));
    return room.highest > room.trim ? std::min(wanted, room.highest) : wanted;
}

double pole_share(const PoleRoom& room, Length height) {
    return (height - room.trim).in_metres() / (room.ceiling - room.trim).in_metres();
}

} // namespace yes_square
