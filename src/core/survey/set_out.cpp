#include "core/survey/set_out.hpp"

namespace yes_square {
namespace {

constexpr Length return_framing = 89_mm;

std::vector<Sentence> from_end(const Wall& wall, Length spacing, bool left) {
    std::vector<Sentence> said;
    for (const SetOut& place : first_studs(spacing, wall.lining_thickness(), left ? wall.left_end : wall.right_end))
        if (place.from_corner > Length{} && place.from_corner < wall.length)
            said.push_back({left != wall.tape().from_right() ? left ? std::string_view{"From the left end: {0}, if {1}"}
                                                                    : "From the right end: {0}, if {1}"
                            : left ? "From the left end: {0}, if {1}; that is {2} from the reference end"
                                   : "From the right end: {0}, if {1}; that is {2} from the reference end",
                            {quantity(place.from_corner), place.built, quantity(wall.length - place.from_corner)}});
    return said;
}

} // namespace

std::vector<SetOut> first_studs(Length spacing, Length lining, WallEnd end) {
    if (end == WallEnd::corner)
        return {{spacing - lining, "this wall butts the next"},
                {spacing - return_framing - lining, "this wall runs behind the next"}};
    return {{spacing + lining, "it was set out from this end"}};
}

std::vector<Sentence> where_studs_begin(const Wall& wall) {
    const auto* framing = std::get_if<Framing>(&wall.structure);
    if (!framing || framing->open)
        return {};
    std::vector<Sentence> said = from_end(wall, framing->spacing, true);
    for (Sentence& other : from_end(wall, framing->spacing, false))
        said.push_back(std::move(other));
    return said;
}

} // namespace yes_square
