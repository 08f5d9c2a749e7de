#include "core/shelves/carrier.hpp"

#include <algorithm>
#include <stdexcept>

namespace yes_square {
namespace {

constexpr Length hook_board_inset = 20_mm; ///< of screws from a hook rail's edges (house rule)
constexpr Length two_rows_from = 80_mm;    ///< a hook rail this high takes two rows
constexpr Length pole_plate_inset = 10_mm;
constexpr Length pole_plate_width = 40_mm;
constexpr Length pole_plate_thickness = 4_mm;
constexpr Length screw_head_breadth = 40_mm; ///< of a rail that presses on the wall beside each screw
constexpr std::size_t most_holes = 200;      ///< of an upright (house rule)
constexpr Length resin_room = 2_mm;          ///< a hole for resin is this much wider than its bar (common practice)

std::optional<Bracket> choose_bracket(const Shelf& shelf, const WallSite& site) {
    const auto& brackets = site.catalogue.brackets;
    if (!shelf.bracket.empty()) {
        const auto named = std::ranges::find(brackets, shelf.bracket, &Bracket::id);
        return named == brackets.end() ? std::nullopt : std::optional{*named};
    }
    const ArmRange range = arm_range(shelf.depth, site.rules);
    const Bracket* best = nullptr;
    for (const Bracket& bracket : brackets)
        if (bracket.arm <= range.most && (!best || bracket.arm > best->arm))
            best = &bracket;
    return best ? std::optional{*best} : std::nullopt;
}

/// Its leg over the arm: the holes seen from the leg's top.
void turn_up(Bracket& bracket) {
    for (Length& drop : bracket.hole_drops)
        drop = bracket.leg - drop;
    std::ranges::reverse(bracket.hole_drops);
}

DrivenThrough through_wood(Length thickness, BoardMaterial material) {
    // Specific gravity for connections lies somewhat under the density that counts for weight.
    const double gravity = std::min(0.5, properties(material).density / 1000 * 0.9);
    DrivenThrough through{thickness, wood_bearing_psi(gravity)};
    through.gravity = gravity;
    return through;
}

struct Choose {
    const Shelf& shelf;
    const WallSite& site;

    std::optional<Carrier> operator()(const OnBrackets& how) const {
        std::optional<Bracket> bracket = choose_bracket(shelf, site);
        if (!bracket)
            return std::nullopt;
        if (how.leg_up)
            turn_up(*bracket);
        Carrier carrier = even_load(*bracket);
        carrier.over = how.leg_up ? bracket->leg : Length{};
        return carrier;
    }
    std::optional<Carrier> operator()(const OnStandards& how) const {
        Bracket upright;
        upright.name = "Slotted upright";
        upright.arm = arm_range(shelf.depth, site.rules).most;
        upright.leg = how.standard;
        upright.width = how.width;
        upright.thickness = how.thickness;
        upright.hole_diameter = how.hole_diameter;
        for (Length at = how.first_hole; at < how.standard && how.hole_every > Length{}; at += how.hole_every) {
            if (upright.hole_drops.size() == most_holes)
                throw std::invalid_argument("an upright has more than 200 holes: is their distance right?");
            upright.hole_drops.push_back(at);
        }
        if (const auto named = std::ranges::find(site.catalogue.brackets, shelf.bracket, &Bracket::id);
            named != site.catalogue.brackets.end())
            upright.rating_n = named->rating_n;
        Carrier carrier = even_load(upright);
        carrier.over = how.top_over;
        carrier.boards = shelf.tiers;
        carrier.limp_lever = how.hole_every.in_metres();
        carrier.most = std::min(carrier.most, site.rules.shelves.standards_most);
        return carrier;
    }
    std::optional<Carrier> operator()(const OnHiddenRods& how) const {
        Bracket rod;
        rod.name = "Hidden rod";
        rod.arm = how.in_shelf;
        rod.leg = rod.width = how.diameter;
        rod.thickness = how.diameter;
        rod.hole_drops = {how.diameter / 2};
        rod.hole_diameter = how.diameter + (how.resin ? resin_room : Length{});
        rod.stiffened = true;
        Carrier carrier = even_load(rod);
        carrier.over = (shelf.thickness + how.diameter) / 2;
        carrier.most = std::min(carrier.most, site.rules.shelves.rods_most);
        carrier.rod = true;
        return carrier;
    }
    std::optional<Carrier> operator()(const HookRail& how) const {
        Bracket screws;
        screws.name = "Screws through the rail";
        screws.arm = shelf.depth;
        screws.leg = shelf.thickness;
        screws.width = screw_head_breadth;
        screws.thickness = how.board;
        screws.stiffened = true;
        if (shelf.thickness >= two_rows_from)
            screws.hole_drops = {hook_board_inset, shelf.thickness - hook_board_inset};
        else
            screws.hole_drops = {shelf.thickness / 2};
        screws.hole_diameter = 5_mm;
        Carrier carrier = even_load(screws);
        carrier.through = through_wood(how.board, shelf.material);
        carrier.through.head = Length::nearest_to_metres(properties(ScrewGauge::number_8).head_in * 0.0254);
        carrier.over = shelf.thickness;
        carrier.load_at = carrier.edge_at;
        carrier.most = std::min(carrier.most, site.rules.shelves.rail_most);
        return carrier;
    }
    std::optional<Carrier> operator()(const Pole& how) const {
        Bracket end;
        end.name = "Pole bracket";
        end.arm = shelf.depth;
        end.leg = how.plate;
        end.width = pole_plate_width;
        end.thickness = pole_plate_thickness;
        end.hole_drops = {pole_plate_inset, how.plate - pole_plate_inset};
        end.hole_diameter = how.hole_diameter;
        end.stiffened = true;
        Carrier carrier = even_load(end);
        carrier.over = (shelf.thickness + how.plate) / 2;
        carrier.load_at = carrier.edge_at;
        carrier.most = site.rules.shelves.pole_most;
        return carrier;
    }
    std::optional<Carrier> operator()(const auto&) const { return std::nullopt; }

    /// Goods in the middle of the depth, somebody at its front.
    Carrier even_load(const Bracket& bracket) const {
        Carrier carrier;
        carrier.bracket = bracket;
        carrier.through = DrivenThrough::leg_of(bracket);
        carrier.most = site.rules.spacing_most;
        carrier.load_at = shelf.depth.in_metres() / 2;
        carrier.edge_at = shelf.depth.in_metres();
        return carrier;
    }
};

} // namespace

ArmRange arm_range(Length depth, const HouseRules& rules) {
    return {Length::nearest_to_metres(depth.in_metres() * rules.arm_least_share), depth - rules.arm_set_back};
}

std::optional<Carrier> carrier_of(const Shelf& shelf, const WallSite& site) {
    return std::visit(Choose{shelf, site}, shelf.holding);
}

bool hangs_at_places(const Shelf& shelf) {
    return !(shelf.held<OnHiddenBracket>() || shelf.held<OnKeyholes>() || shelf.held<OnCleats>() ||
             shelf.held<Fixture>());
}

} // namespace yes_square
