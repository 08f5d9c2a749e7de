#include "core/shelves/screwed_board.hpp"

#include "core/fixings/choose_fixing.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length two_rows_from = 80_mm;      ///< a strip this high takes two rows
constexpr Length screw_head_breadth = 40_mm; ///< of a strip that presses on the wall beside each screw

DrivenThrough through_wood(Length thickness, BoardMaterial material) {
    // Specific gravity for connections lies somewhat under the density that counts for weight.
    const double gravity = std::min(0.5, properties(material).density / 1000_kg_m3 * 0.9);
    DrivenThrough through{thickness, wood_bearing(gravity)};
    through.gravity = gravity;
    return through;
}

} // namespace

Carrier screwed_through(const Shelf& shelf, const WallSite& site, std::string_view name, Length height,
                        Length thickness, std::vector<Length> rows) {
    Bracket screws;
    screws.name = name;
    screws.arm = shelf.depth;
    screws.leg = height;
    screws.width = screw_head_breadth;
    screws.thickness = thickness;
    screws.stiffened = true;
    screws.hole_drops = std::move(rows);
    screws.hole_diameter = 5_mm;
    Carrier carrier = even_carrier(screws, shelf, site);
    carrier.through = through_wood(thickness, shelf.material);
    carrier.through.head = Length::nearest_to_inches(properties(ScrewGauge::number_8).head_in);
    carrier.over = height;
    carrier.most = std::min(carrier.most, site.rules.shelves.rail_most);
    return carrier;
}

std::vector<Length> screw_rows(Length height) {
    if (height >= two_rows_from)
        return {screw_inset, height - screw_inset};
    return {height / 2};
}

} // namespace yes_square
