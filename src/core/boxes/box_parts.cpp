#include "core/boxes/box_parts.hpp"

#include "core/boxes/box_work.hpp"

#include <cmath>

namespace yes_square {

namespace {

std::string_view words_of_side(const WallBox& box) {
    if (box.corner == BoxCorner::over_sides)
        return "between top and bottom, screwed";
    if (box.corner == BoxCorner::mitred)
        return "its ends mitred, measured over the long side";
    return box.back == BoxBack::rebated ? std::string_view{"rebated along its back edge"} : std::string_view{};
}

} // namespace

Length shelf_depth(const WallBox& box) {
    switch (box.back) {
    case BoxBack::rebated:
        return box.depth - box.rebate;
    case BoxBack::grooved:
        return box.depth - box.groove_in - box.back_thickness;
    case BoxBack::planted:
        break;
    }
    return box.depth;
}

std::vector<BoxPart> box_parts(const WallBox& box) {
    const bool housed = box.joint == BoxJoint::housing;
    const Length between = box.width - 2 * box.side;
    const Length across = housed ? between + 2 * box.housing - 2 * box.clearance : between;
    const std::string_view ends = housed ? std::string_view{"its ends enter housings"} : "between the sides, screwed";
    const bool over = box.corner == BoxCorner::over_sides;
    const bool through = box.corner == BoxCorner::sides_through;
    const std::string_view end_words = through ? ends
                                       : over  ? std::string_view{"over the sides, screwed down into them"}
                                               : "its ends mitred, measured over the long side";
    const Length outer = through ? across : box.width;
    std::vector<BoxPart> parts;
    parts.push_back(
        {"side", 2, over ? box.height - 2 * box.side : box.height, box.depth, box.side, words_of_side(box)});
    parts.push_back({"top", 1, outer, box.depth, box.side, end_words});
    parts.push_back({"bottom", 1, outer, box.depth, box.side, end_words});
    if (box.shelves > 0)
        parts.push_back({"shelf", static_cast<std::size_t>(box.shelves), across, shelf_depth(box), box.side, ends});
    if (box.back == BoxBack::planted)
        parts.push_back({"back", 1, box.height, box.width, box.back_thickness, "lies on the back edges"});
    else
        parts.push_back({"back", 1, box.height - box.side - 2 * box.clearance, box.width - box.side - 2 * box.clearance,
                         box.back_thickness,
                         box.back == BoxBack::rebated ? std::string_view{"lies in the rebates"}
                                                      : "slides into the grooves before the last board goes on"});
    if (box.rail_thickness > Length{})
        parts.push_back({"strip behind top and bottom", 2, between, strip_breadth, box.rail_thickness,
                         box.back == BoxBack::grooved ? std::string_view{"behind the back, screwed to the sides"}
                                                      : "before the back, screwed to the sides"});
    return parts;
}

std::vector<Length> shelf_tops(const WallBox& box) {
    std::vector<Length> tops;
    const Length clear = (box.height - box.side * (box.shelves + 2)) / (box.shelves + 1);
    for (int i = 1; i <= box.shelves; ++i)
        tops.push_back(box.top - box.side - clear * i - box.side * (i - 1));
    return tops;
}

Length shear_of_top(Length rising, Length falling, Length width) {
    const double r = rising.in_metres();
    const double f = falling.in_metres();
    return width > Length{} ? Length::nearest_to_metres((r - f) * (r + f) / (4 * width.in_metres())) : Length{};
}

Squareness squareness(Length width, Length height, Length rising, Length falling, const BoxRules& rules) {
    const double aside = shear_of_top(rising, falling, width).in_metres();
    Squareness square;
    square.top_moves = Length::nearest_to_metres(std::abs(aside));
    square.to_right = aside < 0;
    square.angle = std::asin(std::min(1.0, std::abs(aside) / height.in_metres()));
    square.within = std::abs(aside) <= rules.square_per_m.in_metres() * height.in_metres();
    return square;
}

std::size_t back_screws(const WallBox& box, const BoxRules& rules) {
    const auto along = [&](Length edge) {
        return static_cast<std::size_t>(std::ceil(edge.in_metres() / rules.back_screws.in_metres()));
    };
    return 2 * (along(box.width) + along(box.height));
}

} // namespace yes_square
